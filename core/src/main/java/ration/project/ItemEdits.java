package ration.project;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import ration.geometry.Point2;
import ration.geometry.Point3;
import ration.model.EngineInlet;
import ration.model.Filter;
import ration.model.FingerScreen;
import ration.model.Firewall;
import ration.model.Fitout;
import ration.model.FuelSystem;
import ration.model.GaugePort;
import ration.model.Header;
import ration.model.Item;
import ration.model.Measured;
import ration.model.Outlet;
import ration.model.Place;
import ration.model.Pump;
import ration.model.Rated;
import ration.model.Regulator;
import ration.model.Run;
import ration.model.Selector;
import ration.model.SomeKinds;
import ration.model.Strainer;
import ration.model.Tank;
import ration.model.TankShape;
import ration.model.VentLine;
import ration.model.VentPlenum;
import ration.quantity.Quantity;
import ration.quantity.Unit;

/**
 * What can be added to or taken from one item beside its figures: measured points of a run, corners, outlets and
 * screens of a tank, positions of a selector, the firewall. New figures are marked as estimates, to be measured.
 */
public final class ItemEdits {

    private static final String BY = "estimate";
    private static final double INCH = 0.0254;

    private final FuelSystem system;
    private final List<Offer> offers = new ArrayList<>();

    private ItemEdits(FuelSystem system) {
        this.system = system;
    }

    /** One change on offer: what it is called and what comes of it. */
    public record Offer(String label, FuelSystem result) {
    }

    /** What the card of an item offers. */
    public static List<Offer> of(FuelSystem system, String id) {
        ItemEdits edits = new ItemEdits(system);
        system.item(id).ifPresent(edits::offer);
        if (system.shifts().containsKey(id)) {
            edits.offers.add(new Offer("Draw it where it would stand", system.shifted(id, 0)));
        }
        return List.copyOf(edits.offers);
    }

    /** Takes up an offer in the system it is given, as the item stands there; nothing where it is no longer on offer. */
    public static UnaryOperator<FuelSystem> taking(String id, String label) {
        return s -> of(s, id).stream().filter(o -> o.label().equals(label)).findFirst().map(Offer::result).orElse(s);
    }

    private void offer(Item item) {
        item.as(new Offers());
    }

    /** What each kind offers beside its figures; the others nothing. */
    private final class Offers implements SomeKinds<Void> {

        @Override
        public Void otherwise(Item item) {
            return null;
        }

        @Override
        public Void run(Run run) {
            ItemEdits.this.run(run);
            return null;
        }

        @Override
        public Void tank(Tank tank) {
            ItemEdits.this.tank(tank);
            return null;
        }

        @Override
        public Void selector(Selector selector) {
            ItemEdits.this.selector(selector);
            return null;
        }

        @Override
        public Void engineInlet(EngineInlet inlet) {
            ItemEdits.this.inlet(inlet);
            firewall(inlet);
            return null;
        }

        @Override
        public Void header(Header h) {
            add("Add inlet", h.withInlets(withAnother(h.inlets(), "in-")));
            add("Add outlet", h.withOutlets(withAnother(h.outlets(), "out-")));
            add("Add vent", h.withVents(withAnother(h.vents(), "vent-")));
            add(h.drain() ? "Take the drain out" : "Add drain", h.withDrain(!h.drain()));
            add(h.build().lowLight().isPresent() ? "No low light" : "Add low light", h.withLowLight(h.build().lowLight().isPresent() ? Optional.empty()
                    : Optional.of(h.height().with(new Quantity(h.height().quantity().value() / 2, h.height().quantity().unit())))));
            for (Header.Form form : Header.Form.values()) {
                if (form != h.build().form()) {
                    add(form.label(), h.with(form));
                }
            }
            return null;
        }

        @Override
        public Void ventPlenum(VentPlenum p) {
            ventLine(p.line(), p.id(), p.place().point(), p.tip().point(), p::with);
            return null;
        }

        @Override
        public Void gaugePort(GaugePort g) {
            for (GaugePort.Shows shows : GaugePort.Shows.values()) {
                if (shows != g.shows()) {
                    add(makeIt(shows.label()), new GaugePort(g.tag(), shows));
                }
            }
            return null;
        }

        @Override
        public Void regulator(Regulator r) {
            boolean ambient = r.reference() == Regulator.Reference.AMBIENT;
            add(ambient ? "Refer to manifold" : "Refer to ambient", new Regulator(r.tag(), r.style(), ambient
                    ? Regulator.Reference.MANIFOLD : Regulator.Reference.AMBIENT, r.setting(), r.loss()));
            return null;
        }

        @Override
        public Void strainer(Strainer s) {
            add(s.bowl().isEmpty() ? "Give bowl size" : "No bowl size", s.withBowl(s.bowl().isEmpty() ? Optional.of(Measured.of(4,
                    Unit.CUBIC_INCH, BY)) : Optional.empty()));
            ItemEdits.this.strainer(s);
            return null;
        }

        @Override
        public Void filter(Filter f) {
            ItemEdits.this.filter(f);
            return null;
        }

        @Override
        public Void pump(Pump p) {
            ItemEdits.this.pump(p);
            return null;
        }
    }

    private void strainer(Strainer s) {
        if (s.fouled().isEmpty()) {
            add("Add fouled figure", s.withFouled(s.loss().times(2)));
        }
        if (s.drain()) {
            add(s.capped() ? "Quick drain in place of the port" : "Capped port in place of the drain", s.withDrain(true, !s.capped()));
        }
    }

    private static List<String> withAnother(List<String> ports, String stem) {
        List<String> more = new ArrayList<>(ports);
        int n = ports.size() + 1;
        while (more.contains(stem + n)) {
            n++;
        }
        more.add(stem + n);
        return more;
    }

    private void filter(Filter f) {
        Rated last = f.points().get(f.points().size() - 1);
        List<Rated> more = new ArrayList<>(f.points());
        more.add(new Rated(last.flow().with(Quantity.of(last.flow().quantity().value() * 2, last.flow().quantity().unit())),
                last.times(3).loss()));
        add("Add rated point", new Filter(f.tag(), more, f.fouled()));
        if (f.fouled().isEmpty()) {
            add("Add fouled figure", new Filter(f.tag(), f.points(), Optional.of(last.times(2))));
        }
    }

    private void pump(Pump p) {
        Pump.Build b = p.build();
        if (b.relief().isEmpty() && !p.curve().isEmpty()) {
            add("Add relief", p.withBuild(b.withRelief(p.curve().get(0).pressure())));
        }
        if (b.current().isEmpty() && p.drive() == Pump.Drive.ELECTRIC) {
            add("Add current", p.withBuild(b.withCurrent(Measured.of(2, Unit.AMPERE, BY))));
        }
        if (p.drive() == Pump.Drive.ELECTRIC) {
            Pump.Wiring w = b.wiring();
            if (w.breaker().isEmpty()) {
                add("Give breaker", p.withBuild(b.withWiring(w.withBreaker(Optional.of(Measured.of(5, Unit.AMPERE, BY))))));
            }
            for (Pump.Own own : Pump.Own.values()) {
                String word = own.name().toLowerCase(java.util.Locale.ROOT);
                add(w.own().contains(own) ? "Shares its " + word : "Own " + word, p.withBuild(b.withWiring(w.with(own, !w.own().contains(own)))));
            }
            add(b.bus().isEmpty() ? "On a second bus" : "On the main bus", p.withBuild(b.withBus(b.bus().isEmpty() ? "second" : "")));
        }
        add(b.checked() ? "No check valve inside" : "Check valve inside", p.withBuild(b.withCheck(!b.checked())));
        add(p.off().isPresent() ? "Blocks when off" : "Passes when off", p.off().isPresent()
                ? new Pump(p.tag(), p.drive(), p.curve(), Optional.empty(), b) : p.withOff(Rated.of(20, 0.3, BY)));
    }

    private static String makeIt(String label) {
        String word = label.toLowerCase(java.util.Locale.ROOT);
        return "Make it " + ("aeiou".indexOf(word.charAt(0)) >= 0 ? "an " : "a ") + word;
    }

    private void inlet(EngineInlet inlet) {
        for (EngineInlet.Style style : EngineInlet.Style.values()) {
            if (style != inlet.style()) {
                add(makeIt(style.label()), inlet.withStyle(style,
                        style != EngineInlet.Style.FLOAT && inlet.returns()));
            }
        }
        if (inlet.maximumPressure().isEmpty()) {
            add("Give greatest pressure", inlet.withPressures(inlet.minimumPressure(),
                    Optional.of(Measured.assumed(8, Unit.PSI))));
        }
    }

    private void add(String label, Item changed) {
        offers.add(new Offer(label, system.replace(changed)));
    }

    private void run(Run run) {
        Point3 start = system.point(run.from()).orElse(new Point3(0, 0, 0));
        Point3 end = system.point(run.to()).orElse(start);
        Point3 last = run.points().isEmpty() ? start : run.points().get(run.points().size() - 1).point();
        List<Place> more = new ArrayList<>(run.points());
        more.add(Place.estimated(last.toward(end, 0.5)));
        add("Add point", run.withPoints(more));
        if (!run.points().isEmpty()) {
            add("Remove point", run.withPoints(run.points().subList(0, run.points().size() - 1)));
        }
        if (run.length().isEmpty()) {
            double inches = Unit.INCH.fromSi(run.lengthM(start, end));
            add("Give a length", run.withLength(Measured.of(Math.round(inches * 10) / 10.0, Unit.INCH, BY)));
        } else if (!run.points().isEmpty()) {
            add("Length from points", run.withLength(Optional.empty()));
        }
    }

    private void tank(Tank tank) {
        if (tank.shape() instanceof TankShape.Box box) {
            List<TankShape.Corner> corners = new ArrayList<>();
            for (Point2 p : box.section()) {
                corners.add(corner(p.x(), p.z(), box.corner().station().by()));
            }
            add("Draw by corners", tank.withShape(new TankShape.Prism(corners, box.corner().buttLine(),
                    inches(box.right(), box.width().by()))));
        } else if (tank.shape() instanceof TankShape.Prism prism) {
            List<TankShape.Corner> more = new ArrayList<>(prism.corners());
            if (more.size() > 1) {
                Point2 a = prism.section().get(more.size() - 1);
                Point2 b = prism.section().get(0);
                more.add(corner((a.x() + b.x()) / 2, (a.z() + b.z()) / 2, BY));
                add("Add corner", tank.withShape(new TankShape.Prism(more, prism.leftWall(), prism.rightWall())));
            }
            if (prism.corners().size() > 3) {
                add("Remove corner", tank.withShape(new TankShape.Prism(
                        prism.corners().subList(0, prism.corners().size() - 1), prism.leftWall(),
                        prism.rightWall())));
            }
        }
        outlets(tank);
        fitout(tank);
    }

    private void fitout(Tank tank) {
        Fitout f = tank.fitout();
        Point3 at = tank.outlets().isEmpty() ? new Point3(0, 0, 0) : tank.outlets().get(0).place().point();
        Point3 over;
        try {
            over = new Point3(at.x(), at.y(), tank.shell().highest(new Point3(0, 0, 1)));
        } catch (IllegalArgumentException e) {
            return;
        }
        add(f.filler().isEmpty() ? "Give filler lip" : "No filler lip", tank.with(f.withFiller(f.filler().isEmpty()
                ? Optional.of(Place.estimated(over.plus(new Point3(0, 0, -0.3 * INCH)))) : Optional.empty())));
        add(f.gauge().isEmpty() ? "Give gauge" : "No gauge", tank.with(f.withGauge(f.gauge().isEmpty()
                ? Optional.of(Place.estimated(at)) : Optional.empty())));
        add(f.published().isEmpty() ? "Give maker's unusable" : "No maker's unusable", tank.with(f.withPublished(
                f.published().isEmpty() ? Optional.of(tank.unusable().with(tank.unusable().quantity())) : Optional.empty())));
        piece(tank, Fitout.Piece.LEVEL_SENDER, "Add level sender", "No level sender");
        piece(tank, Fitout.Piece.SECOND_AIR, "Cap vented too", "Cap not vented");
        piece(tank, Fitout.Piece.CAP_SEAL, "Add cap seal", "No cap seal");
        piece(tank, Fitout.Piece.ACCESS_PLATE, "Add access plate", "No access plate");
        if (tank.vent().isPresent()) {
            vent(tank, f, over);
        }
        if (f.wells().isEmpty()) {
            add("Add sump well", tank.with(f.withWells(List.of(new Fitout.Well(Place.estimated(at.plus(new Point3(0, 0,
                    -1.5 * INCH))), Measured.of(4, Unit.INCH, BY), Measured.of(4, Unit.INCH, BY))))));
        } else {
            add("Remove sump well", tank.with(f.withWells(f.wells().subList(0, f.wells().size() - 1))));
        }
        ribs(tank, f);
    }

    private void piece(Tank tank, Fitout.Piece piece, String fit, String take) {
        boolean fitted = tank.fitout().has(piece);
        add(fitted ? take : fit, tank.with(tank.fitout().with(piece, !fitted)));
    }

    private void vent(Tank tank, Fitout f, Point3 over) {
        if (f.vent().isEmpty()) {
            add("Give vent line", tank.with(f.withVent(Optional.of(VentEdits.usual()))));
        } else {
            ventLine(f.vent().get(), tank.id(), over, tank.vent().orElseThrow().point(), v -> tank.with(f.withVent(Optional.of(v))));
            add("No vent line", tank.with(f.withVent(Optional.empty())));
        }
        if (VentEdits.ownWays(system) > 1) {
            offers.add(new Offer("Join all vents in a plenum", VentEdits.joined(system)));
        }
    }

    /** What a vent line offers, of a tank or of a plenum. */
    private void ventLine(VentLine v, String of, Point3 start, Point3 tip, Function<VentLine, Item> with) {
        add(v.ball() ? "No ball in the vent" : "Check ball in the vent", with.apply(v.withBall(!v.ball())));
        List<Place> more = new ArrayList<>(v.points());
        more.add(Place.estimated(v.points().isEmpty() ? start : v.points().get(v.points().size() - 1).point().toward(tip, 0.5)));
        add("Add vent point", with.apply(v.withPoints(more)));
        if (!v.points().isEmpty()) {
            add("Remove vent point", with.apply(v.withPoints(v.points().subList(0, v.points().size() - 1))));
        }
        for (Item other : v.to().isPresent() ? List.<Item>of() : VentEdits.leadingTo(system, of)) {
            add("Vent leads to " + other.name(), with.apply(v.leadingTo(Optional.of(other.id()))));
        }
        v.to().ifPresent(t -> add("Vent leads outside", with.apply(v.leadingTo(Optional.empty()))));
    }

    private void ribs(Tank tank, Fitout f) {
        if (!(tank.shape() instanceof TankShape.Cylinder) && f.ribs().size() < 12) {
            double last = f.ribs().isEmpty() ? tank.shape().left() : f.ribs().get(f.ribs().size() - 1).at().si();
            double x = tank.outlets().isEmpty() ? tank.shape().section().get(0).x()
                    : tank.outlets().get(0).place().point().x();
            double bl = (last + tank.shape().right()) / 2;
            double floor = tank.shell().floorAt(x, bl).orElse(0);
            List<Fitout.Rib> more = new ArrayList<>(f.ribs());
            more.add(new Fitout.Rib(inches(bl, BY), List.of(new Fitout.Opening(inches(x, BY), inches(floor, BY),
                    Fitout.Passes.BOTH_WAYS))));
            add("Add rib", tank.with(f.withRibs(more)));
        }
        for (int i = 0; i < f.ribs().size(); i++) {
            Fitout.Rib r = f.ribs().get(i);
            for (int k = 0; k < r.openings().size(); k++) {
                Fitout.Opening o = r.openings().get(k);
                Fitout.Passes next = Fitout.Passes.values()[(o.passes().ordinal() + 1) % Fitout.Passes.values().length];
                List<Fitout.Opening> changed = new ArrayList<>(r.openings());
                changed.set(k, new Fitout.Opening(o.along(), o.waterLine(), next));
                add("Rib " + (i + 1) + " hole " + (k + 1) + ": " + next.label().toLowerCase(java.util.Locale.ROOT),
                        tank.with(f.withRibs(put(f.ribs(), i, new Fitout.Rib(r.at(), changed)))));
            }
            List<Fitout.Opening> more = new ArrayList<>(r.openings());
            more.add(new Fitout.Opening(more.isEmpty() ? inches(tank.shape().section().get(0).x(), BY) : more.get(0).along(),
                    more.isEmpty() ? inches(tank.shape().section().get(0).z(), BY) : more.get(0).waterLine(),
                    Fitout.Passes.BOTH_WAYS));
            add("Rib " + (i + 1) + ": add hole", tank.with(f.withRibs(put(f.ribs(), i, new Fitout.Rib(r.at(), more)))));
            List<Fitout.Rib> fewer = new ArrayList<>(f.ribs());
            fewer.remove(i);
            add("Remove rib " + (i + 1), tank.with(f.withRibs(fewer)));
        }
    }

    private static <T> List<T> put(List<T> list, int at, T value) {
        List<T> copy = new ArrayList<>(list);
        copy.set(at, value);
        return copy;
    }

    private static TankShape.Corner corner(double x, double z, String by) {
        return new TankShape.Corner(inches(x, by), inches(z, by));
    }

    private static Measured inches(double metres, String by) {
        return new Measured(Quantity.of(Math.round(Unit.INCH.fromSi(metres) * 100) / 100.0, Unit.INCH), by);
    }

    private void outlets(Tank tank) {
        for (int i = 0; i < tank.outlets().size(); i++) {
            Outlet o = tank.outlets().get(i);
            String of = tank.outlets().size() == 1 ? "Outlet" : "Outlet " + (i + 1);
            if (o.edge() == Outlet.Edge.UNSAID) {
                for (Outlet.Edge e : Outlet.Edge.values()) {
                    if (e != Outlet.Edge.UNSAID) {
                        add(of + " measured at: " + e.label().toLowerCase(java.util.Locale.ROOT), tank.withOutlets(put(tank.outlets(),
                                i, o.with(e))));
                    }
                }
            } else {
                add(of + " not measured at: " + o.edge().label().toLowerCase(java.util.Locale.ROOT), tank.withOutlets(put(
                        tank.outlets(), i, o.with(Outlet.Edge.UNSAID))));
            }
            if (o.finger().isEmpty()) {
                add(tank.outlets().size() == 1 ? "Give screen's build" : "Give screen's build " + (i + 1),
                        tank.withOutlets(put(tank.outlets(), i, o.withFinger(Optional.of(new FingerScreen(
                        Measured.of(12, Unit.ONE, BY), Measured.of(0.018, Unit.INCH, BY), Measured.of(0.5, Unit.INCH, BY),
                        Measured.of(1.5, Unit.INCH, BY)))))));
            }
            if (o.screen().isEmpty()) {
                add(tank.outlets().size() == 1 ? "Add screen" : "Add screen " + (i + 1), tank.withOutlets(put(tank.outlets(),
                        i, o.withScreen(Optional.of(Rated.of(20, 0.012, BY))))));
            }
        }
        if (!tank.outlets().isEmpty() && tank.outlets().size() < 4) {
            Outlet first = tank.outlets().get(0);
            List<Outlet> more = new ArrayList<>(tank.outlets());
            more.add(new Outlet("outlet-" + (more.size() + 1),
                    Place.estimated(first.place().point().plus(new Point3(-3 * INCH, 0, 0))), first.bore(),
                    Optional.empty()));
            add("Add outlet", tank.withOutlets(more));
        }
    }

    private void selector(Selector s) {
        if (!s.duplex() && s.inlets().size() > 1) {
            add("Make it duplex", duplex(s));
        }
        if (s.inlets().size() > 1 && s.position("BOTH").isEmpty()) {
            List<Selector.Position> positions = new ArrayList<>(s.positions());
            List<String> both = new ArrayList<>(s.inlets());
            both.add(Item.OUT);
            positions.add(Math.max(0, positions.size() - 1), new Selector.Position("BOTH", List.of(both)));
            add("Add BOTH", s.withPorts(s.inlets(), positions));
        }
        if (s.inlets().size() < 5 && !s.duplex()) {
            String port = "tank-" + (s.inlets().size() + 1);
            List<String> inlets = new ArrayList<>(s.inlets());
            inlets.add(port);
            List<Selector.Position> positions = new ArrayList<>(s.positions());
            positions.add(Math.max(0, positions.size() - 1),
                    new Selector.Position("TANK " + inlets.size(), List.of(List.of(port, Item.OUT))));
            if (!s.ports().contains(port) && s.position("TANK " + inlets.size()).isEmpty()) {
                add("Add port", s.withPorts(inlets, positions));
            }
        }
    }

    /** The same selector with a return side that turns with the feed: what is drawn from a tank goes back to it. */
    private static Selector duplex(Selector s) {
        List<Selector.Position> positions = s.positions().stream().map(p -> {
            List<List<String>> joins = new ArrayList<>(p.joins());
            p.joins().stream().flatMap(List::stream).filter(s.inlets()::contains).findFirst()
                    .ifPresent(inlet -> joins.add(List.of(Selector.RETURN, inlet + "-return")));
            return new Selector.Position(p.name(), joins);
        }).toList();
        return new Selector(s.tag(), s.inlets(), s.inlets().stream().map(i -> i + "-return").toList(), positions,
                s.loss());
    }

    /** Four inches behind the inlet, on the side the tanks are. */
    private void firewall(EngineInlet inlet) {
        if (system.firewall().isPresent()) {
            offers.add(new Offer("Remove firewall", system.with(Optional.empty())));
            return;
        }
        Point3 p = inlet.place().point();
        double tanks = system.tanks().stream().flatMap(t -> t.outlets().stream())
                .mapToDouble(o -> o.place().point().x()).average().orElse(p.x() + 1);
        double side = tanks < p.x() ? -1 : 1;
        offers.add(new Offer("Add firewall", system.with(Optional.of(new Firewall(
                inches(p.x() + side * 4 * INCH, BY), inches(p.z() + 20 * INCH, BY),
                inches(p.z() - 12 * INCH, BY))))));
    }
}
