package ration.record.project;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import ration.aircraft.model.EngineInlet;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Header;
import ration.aircraft.model.Item;
import ration.aircraft.model.LineSize;
import ration.aircraft.model.Outlet;
import ration.aircraft.model.Place;
import ration.aircraft.model.PortRef;
import ration.aircraft.model.Run;
import ration.aircraft.model.RunBuild;
import ration.aircraft.model.Selector;
import ration.aircraft.model.SomeKinds;
import ration.aircraft.model.Strainer;
import ration.aircraft.model.Tank;
import ration.aircraft.model.Tee;
import ration.aircraft.topology.Topology;
import ration.base.geometry.Point3;
import ration.base.quantity.Measured;
import ration.base.quantity.Quantity;
import ration.base.quantity.Unit;

/**
 * Edits that touch several items at once. Each gives the new system and the item to pick next, and keeps whatever was
 * joined joined.
 */
public final class LayoutEdits {

    private static final LineSize USUAL = LineSize.parse("3/8 x 0.035 tube");
    private static final double INCH = 0.0254;

    private LayoutEdits() {}

    /** A new system and what to pick in it. */
    public record Outcome(FuelSystem system, String picked) {}

    /** Where something can be added, in words for the chooser. */
    public enum Spot {
        IN_RUN,
        DOWNSTREAM,
        UPSTREAM,
        BRANCH
    }

    /** What A does at an item: follow it, insert in a run, or feed it where it still needs feeding. */
    public static Optional<Spot> addingAt(FuelSystem system, String picked) {
        return system.item(picked)
                .map(item -> item.as(new SomeKinds<Spot>() {
                    @Override
                    public Spot otherwise(Item other) {
                        return freeInlet(system, other).isPresent() && !outletFree(system, other)
                                ? Spot.UPSTREAM
                                : Spot.DOWNSTREAM;
                    }

                    @Override
                    public Spot run(Run run) {
                        return Spot.IN_RUN;
                    }

                    @Override
                    public Spot engineInlet(EngineInlet inlet) {
                        return Spot.UPSTREAM;
                    }
                }));
    }

    private static boolean outletFree(FuelSystem system, Item item) {
        return outlet(item).filter(p -> system.runAt(p).isEmpty()).isPresent();
    }

    private static Optional<PortRef> outlet(Item item) {
        Optional<String> first = item.only(Tank.class)
                .map(t -> t.outlets().stream().findFirst().map(Outlet::name))
                .orElse(item.ports().contains(Item.OUT) ? Optional.of(Item.OUT) : Optional.empty());
        return first.map(port -> new PortRef(item.id(), port));
    }

    /** Ports of an item by which fuel leaves on its way to the engine. */
    private static List<String> leaving(Item item) {
        return item.only(Header.class)
                .map(h ->
                        Stream.concat(h.outlets().stream(), h.vents().stream()).toList())
                .orElse(List.of(Item.OUT));
    }

    private static Optional<PortRef> freeInlet(FuelSystem system, Item item) {
        if (item.only(Tank.class).isPresent()) {
            return Optional.empty();
        }
        List<String> leaving = leaving(item);
        return item.ports().stream()
                .filter(p -> !leaving.contains(p))
                .map(p -> new PortRef(item.id(), p))
                .filter(p -> system.runAt(p).isEmpty())
                .findFirst();
    }

    /** What may be added at a spot. */
    public static List<NewItem> offers(FuelSystem system, String picked, Spot spot) {
        List<NewItem> offers = new ArrayList<>(List.of(NewItem.values()));
        boolean occupied = system.item(picked)
                .map(i -> i.only(EngineInlet.class).isPresent()
                        && system.runAt(new PortRef(i.id(), Item.IN)).isPresent())
                .orElse(false);
        if (spot == Spot.IN_RUN || spot == Spot.DOWNSTREAM || spot == Spot.UPSTREAM && occupied) {
            offers.remove(NewItem.TANK);
        }
        if (spot == Spot.BRANCH) {
            offers.remove(NewItem.TEE);
            offers.remove(NewItem.TANK);
            offers.add(0, NewItem.TANK);
        } else if (spot == Spot.UPSTREAM && !occupied) {
            offers.remove(NewItem.TANK);
            offers.add(0, NewItem.TANK);
        }
        return offers;
    }

    /** Adds at a spot. */
    public static Optional<Outcome> add(FuelSystem system, String picked, Spot spot, NewItem kind) {
        Optional<Item> item = system.item(picked);
        if (item.isEmpty()) {
            return Optional.empty();
        }
        return switch (spot) {
            case IN_RUN ->
                item.flatMap(i -> i.only(Run.class))
                        .flatMap(r -> kind == NewItem.BYPASS_REGULATOR && feeds(system, r)
                                ? branch(system, r, kind)
                                : insert(system, r, kind));
            case BRANCH -> item.filter(Run.class::isInstance).flatMap(r -> branch(system, (Run) r, kind));
            case DOWNSTREAM -> follow(system, item.get(), kind);
            case UPSTREAM -> feed(system, item.get(), kind);
        };
    }

    /**
     * Whether a run leads to the engine: a bypass regulator put in it would spill into the rail, so it goes on a tee.
     */
    private static boolean feeds(FuelSystem system, Run run) {
        Topology topology = Topology.of(system);
        return !topology.returns(run)
                && system.inlet()
                        .filter(i -> topology.downstream(run.to().item()).contains(i.id()))
                        .isPresent();
    }

    private static Optional<Outcome> follow(FuelSystem system, Item item, NewItem kind) {
        Optional<PortRef> out = outlet(item);
        if (out.isEmpty()) {
            return Optional.empty();
        }
        Optional<Run> run = system.runAt(out.get());
        if (run.isPresent()) {
            return insert(system, run.get(), kind);
        }
        Point3 at = system.point(out.get()).orElse(new Point3(0, 0, 0)).plus(new Point3(-6 * INCH, 0, -4 * INCH));
        Item added = kind.make(system, at);
        return Optional.of(joined(system.plus(added), out.get(), inlet(added), added));
    }

    private static Optional<Outcome> feed(FuelSystem system, Item item, NewItem kind) {
        Optional<PortRef> free = freeInlet(system, item);
        if (free.isEmpty()) {
            return system.runAt(new PortRef(item.id(), Item.IN)).flatMap(r -> insert(system, r, kind));
        }
        Point3 at = system.point(free.get())
                .orElse(new Point3(0, 0, 0))
                .plus(new Point3(8 * INCH, 0, kind == NewItem.TANK ? 24 * INCH : 4 * INCH));
        Item added = kind.make(system, at);
        PortRef from = outlet(added).orElseThrow();
        return Optional.of(joined(system.plus(added), from, free.get(), added));
    }

    private static Outcome joined(FuelSystem system, PortRef from, PortRef to, Item pick) {
        Run run = new Run(
                freeRunId(system), freeRunName(system), from, to, USUAL, Optional.empty(), List.of(), List.of());
        return new Outcome(system.plus(run), pick.id());
    }

    private static PortRef inlet(Item item) {
        String port = item.ports().stream()
                .filter(p -> !p.equals(Item.OUT))
                .findFirst()
                .orElse(Item.IN);
        return new PortRef(item.id(), port);
    }

    /** Splits a run at half its length and puts the item there. */
    private static Optional<Outcome> insert(FuelSystem system, Run run, NewItem kind) {
        if (kind == NewItem.TANK) {
            return Optional.empty();
        }
        Point3 start = system.point(run.from()).orElse(new Point3(0, 0, 0));
        Point3 end = system.point(run.to()).orElse(start);
        Half half = Half.of(run, start, end);
        Item added = kind.make(system, half.at());
        return Optional.of(split(system, run, added, half.before(), run.lengthM(start, end) / 2));
    }

    /**
     * An item put in a run.
     *
     * @param points of the run's measured points, how many lie before it
     * @param metres of the run's length, how much lies before it
     */
    private static Outcome split(FuelSystem system, Run run, Item added, int points, double metres) {
        double length = run.lengthM(
                system.point(run.from()).orElse(new Point3(0, 0, 0)),
                system.point(run.to()).orElse(new Point3(0, 0, 0)));
        Unit unit = run.length().map(l -> l.quantity().unit()).orElse(Unit.INCH);
        // the piece at hand was made for the whole of it
        RunBuild cut = run.build().with(RunBuild.Figure.SUPPLIED, Optional.empty());
        Run before = new Run(
                run.id(),
                run.name(),
                run.from(),
                inlet(added),
                run.size(),
                Optional.of(estimated(metres, unit)),
                run.points().subList(0, points),
                run.fittings(),
                cut.withEnd(RunBuild.End.NONE));
        FuelSystem split = system.replace(before).plus(added);
        Run after = new Run(
                freeRunId(split),
                freeRunName(split),
                new PortRef(added.id(), Item.OUT),
                run.to(),
                run.size(),
                Optional.of(estimated(length - metres, unit)),
                run.points().subList(points, run.points().size()),
                List.of(),
                cut.withStart(RunBuild.End.NONE));
        return new Outcome(split.plus(after), added.id());
    }

    /**
     * Drain ports at the low point of a run or beside a part, at its height, so that what stands there runs out of it:
     * one in each run that could take it.
     */
    public static List<Outcome> drainPorts(FuelSystem system, String at, Point3 low) {
        Optional<Run> within = system.item(at).flatMap(i -> i.only(Run.class));
        List<Run> runs = within.map(List::of).orElseGet(() -> Stream.concat(
                        Topology.of(system).leaving(at).stream(), Topology.of(system).arriving(at).stream())
                .toList());
        return runs.stream()
                .map(run -> {
                    int before = within.isPresent()
                            ? nearest(run, low)
                            : run.from().item().equals(at) ? 0 : run.points().size();
                    Point3 start = system.point(run.from()).orElse(low);
                    Point3 end = system.point(run.to()).orElse(low);
                    double whole = run.lengthM(start, end);
                    double straight = way(start, run.points(), end);
                    double first = way(start, run.points().subList(0, before), low);
                    double share = straight > 0 ? Math.min(1, first / straight) : 0.5;
                    return split(
                            system, run, NewItem.DRAIN_PORT.make(system, low), before, Math.max(INCH, whole * share));
                })
                .toList();
    }

    private static int nearest(Run run, Point3 to) {
        int best = 0;
        for (int i = 1; i < run.points().size(); i++) {
            best = run.points().get(i).point().distance(to)
                            < run.points().get(best).point().distance(to)
                    ? i
                    : best;
        }
        return best;
    }

    private static double way(Point3 start, List<Place> over, Point3 end) {
        double sum = 0;
        Point3 last = start;
        for (Place p : over) {
            sum += last.distance(p.point());
            last = p.point();
        }
        return sum + last.distance(end);
    }

    /**
     * Half way along a run as its points lie.
     *
     * @param at the place
     * @param before how many measured points lie on the way to it
     */
    private record Half(Point3 at, int before) {

        static Half of(Run run, Point3 start, Point3 end) {
            List<Point3> way = new ArrayList<>(List.of(start));
            run.points().forEach(p -> way.add(p.point()));
            way.add(end);
            double left = 0;
            for (int i = 1; i < way.size(); i++) {
                left += way.get(i - 1).distance(way.get(i)) / 2;
            }
            for (int i = 1; i < way.size(); i++) {
                double leg = way.get(i - 1).distance(way.get(i));
                if (left <= leg && leg > 0) {
                    return new Half(way.get(i - 1).toward(way.get(i), left / leg), i - 1);
                }
                left -= leg;
            }
            return new Half(start.toward(end, 0.5), run.points().size() / 2);
        }
    }

    private static Measured estimated(double metres, Unit unit) {
        return new Measured(Quantity.of(Math.round(unit.fromSi(metres) * 100) / 100.0, unit), "estimate");
    }

    private static Optional<Outcome> branch(FuelSystem system, Run run, NewItem kind) {
        Optional<Outcome> tee = insert(system, run, NewItem.TEE);
        if (tee.isEmpty() || kind == NewItem.TEE) {
            return tee;
        }
        FuelSystem with = tee.get().system();
        PortRef branch = new PortRef(tee.get().picked(), Tee.BRANCH);
        Point3 at = with.point(branch)
                .orElse(new Point3(0, 0, 0))
                .plus(new Point3(10 * INCH, 0, kind == NewItem.TANK ? 20 * INCH : -6 * INCH));
        Item added = kind.make(with, at);
        FuelSystem more = with.plus(added);
        return Optional.of(
                added.only(Tank.class).isPresent()
                        ? joined(more, outlet(added).orElseThrow(), branch, added)
                        : joined(more, branch, inlet(added), added));
    }

    /**
     * Removes an item. Where exactly two lines met at it they become one, with both lengths; otherwise its lines go
     * with it.
     */
    public static Optional<Outcome> remove(FuelSystem system, String id) {
        Optional<Item> item = system.item(id);
        if (item.isEmpty() || item.get().only(EngineInlet.class).isPresent()) {
            return Optional.empty();
        }
        Optional<Run> line = item.get().only(Run.class);
        if (line.isPresent()) {
            return Optional.of(new Outcome(system.minus(id), line.get().from().item()));
        }
        Topology topology = Topology.of(system);
        List<Run> lines = topology.meeting(id);
        List<Run> in = topology.arriving(id);
        List<Run> out = topology.leaving(id);
        if (in.size() == 1 && out.size() == 1 && item.get().only(Tank.class).isEmpty()) {
            Run a = in.get(0);
            Run b = out.get(0);
            List<Place> points = new ArrayList<>(a.points());
            points.addAll(b.points());
            List<ration.aircraft.model.Fitting> fittings = new ArrayList<>(a.fittings());
            fittings.addAll(b.fittings());
            Run one = new Run(
                    a.id(),
                    a.name(),
                    a.from(),
                    b.to(),
                    a.size(),
                    sum(system, a, b),
                    points,
                    fittings,
                    a.build().withEnd(b.build().end()));
            return Optional.of(new Outcome(system.minus(id, b.id()).replace(one), one.id()));
        }
        String[] gone = new String[lines.size() + 1];
        for (int i = 0; i < lines.size(); i++) {
            gone[i] = lines.get(i).id();
        }
        gone[lines.size()] = id;
        String next = lines.isEmpty()
                ? ""
                : lines.get(0).from().item().equals(id)
                        ? lines.get(0).to().item()
                        : lines.get(0).from().item();
        return Optional.of(new Outcome(VentEdits.without(system.minus(gone), id), next));
    }

    private static Optional<Measured> sum(FuelSystem system, Run a, Run b) {
        double total = 0;
        for (Run r : List.of(a, b)) {
            Point3 start = system.point(r.from()).orElse(new Point3(0, 0, 0));
            total += r.lengthM(start, system.point(r.to()).orElse(start));
        }
        Unit unit = a.length().map(l -> l.quantity().unit()).orElse(Unit.INCH);
        String by = a.length().map(Measured::by).orElse("estimate");
        return Optional.of(new Measured(Quantity.of(Math.round(unit.fromSi(total) * 100) / 100.0, unit), by));
    }

    /** Adds a vent to a tank, its tip 6 in over the highest point of the tank. */
    public static Optional<Outcome> addVent(FuelSystem system, String picked) {
        return system.item(picked)
                .filter(Tank.class::isInstance)
                .map(Tank.class::cast)
                .filter(t -> t.vent().isEmpty())
                .map(t -> {
                    double top = t.top() + 6 * INCH;
                    double x = t.shape().section().stream()
                            .mapToDouble(p -> p.x())
                            .average()
                            .orElse(0);
                    Point3 tip = new Point3(x, (t.shape().left() + t.shape().right()) / 2, top);
                    return new Outcome(system.replace(t.withVent(Optional.of(Place.estimated(tip)))), picked);
                });
    }

    /**
     * Leads what an item gives back to a tank: the return of a rail or servo, the spill of a regulator, the vent of a
     * header, a port of a duplex selector. It goes to a duplex selector's return side if that is free, else to the tank
     * that feeds the item, through a new port at its top. Empty if the item has nothing to give back.
     */
    public static Optional<Outcome> addReturn(FuelSystem system, String picked) {
        Optional<Item> item = system.item(picked);
        if (item.isEmpty()) {
            return Optional.empty();
        }
        FuelSystem with = givingBack(system, picked);
        Optional<PortRef> from = givesBack(with, with.item(picked).orElseThrow());
        if (from.isEmpty()) {
            return Optional.empty();
        }
        Optional<Selector> duplex = with.all(Selector.class)
                .filter(Selector::duplex)
                .filter(s -> !s.id().equals(picked))
                .filter(s -> with.runAt(new PortRef(s.id(), Selector.RETURN)).isEmpty())
                .findFirst();
        if (duplex.isPresent()) {
            return Optional.of(
                    returned(with, from.get(), new PortRef(duplex.get().id(), Selector.RETURN)));
        }
        Optional<Tank> tank = tankFor(with, from.get());
        return tank.map(t -> {
            Tank more = withEntry(t);
            return returned(
                    with.replace(more),
                    from.get(),
                    new PortRef(
                            t.id(),
                            more.returns().get(more.returns().size() - 1).name()));
        });
    }

    /** With a return at the engine, where that is what is picked and it had none. */
    static FuelSystem givingBack(FuelSystem system, String picked) {
        return system.item(picked)
                .flatMap(i -> i.only(EngineInlet.class))
                .filter(i -> !i.returns() && i.style() != EngineInlet.Style.FLOAT)
                .map(i -> system.replace(i.withStyle(i.style(), true)))
                .orElse(system);
    }

    static Outcome returned(FuelSystem system, PortRef from, PortRef to) {
        Run run = new Run(
                freeRunId(system), freeRunName(system), from, to, USUAL, Optional.empty(), List.of(), List.of());
        return new Outcome(system.plus(run), run.id());
    }

    /** Ports by which an item may give fuel back. */
    private static final SomeKinds<List<String>> GIVES_BACK = new SomeKinds<>() {
        @Override
        public List<String> otherwise(Item item) {
            return List.of(Item.OUT);
        }

        @Override
        public List<String> engineInlet(EngineInlet inlet) {
            return List.of(EngineInlet.RETURN);
        }

        @Override
        public List<String> header(Header header) {
            return header.vents();
        }

        @Override
        public List<String> selector(Selector selector) {
            return selector.returns();
        }

        @Override
        public List<String> tank(Tank tank) {
            return List.of();
        }
    };

    /** The free port an item gives back by. */
    static Optional<PortRef> givesBack(FuelSystem system, Item item) {
        return item.as(GIVES_BACK).stream()
                .filter(item.ports()::contains)
                .map(p -> new PortRef(item.id(), p))
                .filter(p -> system.runAt(p).isEmpty())
                .findFirst();
    }

    /** The tank a duplex port is named after, else the one that feeds the item, else the first. */
    private static Optional<Tank> tankFor(FuelSystem system, PortRef from) {
        Optional<Tank> same = system.item(from.item())
                .flatMap(i -> i.only(Selector.class))
                .filter(s -> s.returns().contains(from.port()))
                .flatMap(s -> system.runAt(new PortRef(s.id(), from.port().replace("-return", ""))))
                .flatMap(r -> system.item(r.from().item()))
                .flatMap(i -> i.only(Tank.class));
        return same.isPresent()
                ? same
                : Topology.of(system)
                        .upstream(from.item(), i -> i.only(Tank.class).isPresent())
                        .stream()
                        .map(system::item)
                        .flatMap(Optional::stream)
                        .map(i -> i.only(Tank.class))
                        .flatMap(Optional::stream)
                        .findFirst()
                        .or(() -> system.tanks().stream().findFirst());
    }

    /** A port at the top of a tank for what comes back. */
    static Tank withEntry(Tank tank) {
        String name = "return";
        for (int n = 2; tank.ports().contains(name); n++) {
            name = "return-" + n;
        }
        double top = tank.top();
        double x = tank.shape().section().stream()
                .mapToDouble(p -> p.x())
                .average()
                .orElse(0);
        List<Tank.Entry> entries = new ArrayList<>(tank.returns());
        entries.add(new Tank.Entry(
                name,
                Place.estimated(
                        new Point3(x, (tank.shape().left() + tank.shape().right()) / 2, top - 0.5 * INCH))));
        return tank.withReturns(entries);
    }

    /** Adds a drain to a tank at its lowest point, or to a strainer. */
    public static Optional<Outcome> addDrain(FuelSystem system, String picked) {
        Optional<Item> item = system.item(picked);
        Optional<Strainer> strainer = item.flatMap(i -> i.only(Strainer.class)).filter(s -> !s.drain());
        if (strainer.isPresent()) {
            return Optional.of(new Outcome(system.replace(strainer.get().withDrain(true, false)), picked));
        }
        Optional<Header> header = item.flatMap(i -> i.only(Header.class)).filter(h -> !h.drain());
        if (header.isPresent()) {
            return Optional.of(new Outcome(system.replace(header.get().withDrain(true)), picked));
        }
        return item.filter(Tank.class::isInstance)
                .map(Tank.class::cast)
                .filter(t -> t.drain().isEmpty())
                .map(t -> {
                    var low = t.shape().section().stream()
                            .min((a, b) -> Double.compare(a.z(), b.z()))
                            .orElseThrow();
                    Point3 at = new Point3(
                            low.x() + INCH, (t.shape().left() + t.shape().right()) / 2, low.z());
                    return new Outcome(system.replace(t.withDrain(Optional.of(Place.estimated(at)))), picked);
                });
    }

    private static String freeRunId(FuelSystem system) {
        return system.freeId(freeRunName(system));
    }

    static String freeRunName(FuelSystem system) {
        for (int n = 1; ; n++) {
            String name = "R" + n;
            if (system.freeName(name).equals(name)) {
                return name;
            }
        }
    }
}
