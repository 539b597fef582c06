package ration.record.project;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import ration.aircraft.model.Bulkhead;
import ration.aircraft.model.CheckBlock;
import ration.aircraft.model.CheckValve;
import ration.aircraft.model.EngineInlet;
import ration.aircraft.model.Filter;
import ration.aircraft.model.Firewall;
import ration.aircraft.model.FlowSender;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.GaugePort;
import ration.aircraft.model.Header;
import ration.aircraft.model.Item;
import ration.aircraft.model.JetPump;
import ration.aircraft.model.Kinds;
import ration.aircraft.model.Mesh;
import ration.aircraft.model.Orifice;
import ration.aircraft.model.Place;
import ration.aircraft.model.PortRef;
import ration.aircraft.model.Pump;
import ration.aircraft.model.QuickDisconnect;
import ration.aircraft.model.Rated;
import ration.aircraft.model.Reach;
import ration.aircraft.model.Regulator;
import ration.aircraft.model.Run;
import ration.aircraft.model.Selector;
import ration.aircraft.model.ShutOff;
import ration.aircraft.model.Strainer;
import ration.aircraft.model.Tank;
import ration.aircraft.model.Tee;
import ration.aircraft.model.VentLine;
import ration.aircraft.model.VentPiece;
import ration.aircraft.model.VentPlenum;
import ration.aircraft.model.Wire;
import ration.base.geometry.Point3;
import ration.base.quantity.Measured;
import ration.base.quantity.Quantity;
import ration.base.quantity.Unit;

/**
 * What can be added to or taken from one item beside its figures: measured points of a run, corners, outlets and
 * screens of a tank, positions of a selector, the firewall. New figures are marked as estimates, to be measured.
 */
public final class ItemEdits {

    /** How a figure is said to be known that nobody measured. */
    public static final String ESTIMATE = "estimate";

    static final String BY = ESTIMATE;
    static final double INCH = 0.0254;

    private final FuelSystem system;
    private final List<Offer> offers = new ArrayList<>();

    private ItemEdits(FuelSystem system) {
        this.system = system;
    }

    /** One change on offer: what it is called, and the change, of whatever system it is taken up in. */
    public record Offer(String label, UnaryOperator<FuelSystem> edit) {

        /** What comes of it there, as the item stands there; the same system where the item is gone. */
        public FuelSystem on(FuelSystem system) {
            return edit.apply(system);
        }
    }

    /** What the card of an item offers. */
    public static List<Offer> of(FuelSystem system, String id) {
        ItemEdits edits = new ItemEdits(system);
        system.item(id).ifPresent(edits::offer);
        if (system.item(id).filter(Mirrored::possible).isPresent()) {
            edits.add("Copy to the other side", s -> Mirrored.added(s, id));
        }
        system.openPorts().stream()
                .filter(p -> p.item().equals(id) && !p.port().equals(Item.IN))
                .forEach(p -> edits.add("Cap " + p.port().replace('-', ' '), s -> s.capped(p, true)));
        system.cappedPorts().stream()
                .filter(p -> p.item().equals(id))
                .forEach(p -> edits.add("Uncap " + p.port().replace('-', ' '), s -> s.capped(p, false)));
        if (system.shifts().containsKey(id)) {
            edits.add("Reset drawing position", s -> s.shifted(id, 0));
        }
        return List.copyOf(edits.offers);
    }

    private void offer(Item item) {
        item.as(new Offers());
    }

    /** What each kind offers beside its figures; a new kind has to say. */
    private final class Offers implements Kinds<Void> {

        private Void nothing() {
            return null;
        }

        @Override
        public Void run(Run run) {
            ItemEdits.this.run(run);
            return null;
        }

        @Override
        public Void tank(Tank tank) {
            new TankEdits(ItemEdits.this, system).offer(tank);
            return null;
        }

        @Override
        public Void selector(Selector selector) {
            new SelectorEdits(ItemEdits.this).offer(selector);
            reach(selector, selector.reach(), Selector::with);
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
            add("Add inlet", h, x -> x.withInlets(withAnother(x.inlets(), "in-")));
            add("Add outlet", h, x -> x.withOutlets(withAnother(x.outlets(), "out-")));
            add("Add vent", h, x -> x.withVents(withAnother(x.vents(), "vent-")));
            boolean drain = !h.drain();
            add(drain ? "Add drain" : "Remove drain", h, x -> x.withDrain(drain));
            if (h.build().lowLight().isPresent()) {
                add("Remove low light", h, x -> x.withLowLight(Optional.empty()));
            } else {
                add(
                        "Add low light",
                        h,
                        x -> x.withLowLight(Optional.of(x.height()
                                .with(new Quantity(
                                        x.height().quantity().value() / 2,
                                        x.height().quantity().unit())))));
            }
            for (Header.Form form : Header.Form.values()) {
                if (form != h.build().form()) {
                    add(form.label(), h, x -> x.with(form));
                }
            }
            return null;
        }

        @Override
        public Void ventPlenum(VentPlenum p) {
            ventLine(
                    p.line(),
                    p.id(),
                    p.place().point(),
                    p.tip().point(),
                    change -> s -> s.change(p.id(), VentPlenum.class, x -> x.with(change.apply(x.line()))));
            return null;
        }

        @Override
        public Void gaugePort(GaugePort g) {
            for (GaugePort.Shows shows : GaugePort.Shows.values()) {
                if (shows != g.shows()) {
                    add(makeIt(shows.label()), g, x -> new GaugePort(x.tag(), shows));
                }
            }
            return null;
        }

        @Override
        public Void regulator(Regulator r) {
            boolean ambient = r.reference() == Regulator.Reference.AMBIENT;
            Regulator.Reference other = ambient ? Regulator.Reference.MANIFOLD : Regulator.Reference.AMBIENT;
            add(
                    ambient ? "Reference: manifold" : "Reference: ambient",
                    r,
                    x -> new Regulator(x.tag(), x.style(), other, x.setting(), x.loss()));
            return null;
        }

        @Override
        public Void strainer(Strainer s) {
            if (s.bowl().isEmpty()) {
                add("Enter bowl size", s, x -> x.withBowl(Optional.of(Measured.of(4, Unit.CUBIC_INCH, BY))));
            } else {
                add("Remove bowl size", s, x -> x.withBowl(Optional.empty()));
            }
            ItemEdits.this.strainer(s);
            mesh(s, s.mesh(), Strainer::mesh, Strainer::with);
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

        @Override
        public Void shutOff(ShutOff item) {
            reach(item, item.reach(), ShutOff::with);
            return null;
        }

        @Override
        public Void checkBlock(CheckBlock item) {
            return nothing();
        }

        @Override
        public Void flowSender(FlowSender item) {
            return nothing();
        }

        @Override
        public Void bulkhead(Bulkhead item) {
            return nothing();
        }

        @Override
        public Void quickDisconnect(QuickDisconnect item) {
            return nothing();
        }

        @Override
        public Void jetPump(JetPump item) {
            return nothing();
        }

        @Override
        public Void checkValve(CheckValve item) {
            return nothing();
        }

        @Override
        public Void orifice(Orifice item) {
            return nothing();
        }

        @Override
        public Void tee(Tee item) {
            return nothing();
        }
    }

    private <T extends Item> void reach(T item, Reach now, BiFunction<T, Reach, T> with) {
        for (Reach r : Reach.values()) {
            if (r != now && r != Reach.UNSAID) {
                add(r.label(), item, x -> with.apply(x, r));
            }
        }
    }

    /** Begun with what nobody said: a figure to be looked up, never taken for the maker's. */
    private <T extends Item> void mesh(T item, Mesh now, Function<T, Mesh> get, BiFunction<T, Mesh, T> with) {
        if (now.opening().isEmpty()) {
            add(
                    "Enter fineness",
                    item,
                    x -> with.apply(x, get.apply(x).withOpening(Optional.of(Measured.assumed(100, Unit.MICROMETRE)))));
        } else {
            add("Remove fineness", item, x -> with.apply(x, get.apply(x).withOpening(Optional.empty())));
        }
        if (now.rating().isEmpty()) {
            add(
                    "Enter pressure rating",
                    item,
                    x -> with.apply(x, get.apply(x).withRating(Optional.of(Measured.assumed(10, Unit.PSI)))));
        } else {
            add("Remove pressure rating", item, x -> with.apply(x, get.apply(x).withRating(Optional.empty())));
        }
    }

    private void strainer(Strainer s) {
        if (s.fouled().isEmpty()) {
            add("Add dirty loss", s, x -> x.withFouled(x.loss().times(2)));
        }
        if (s.drain()) {
            boolean capped = !s.capped();
            add(
                    capped ? "Capped port in place of the drain" : "Quick drain in place of the port",
                    s,
                    x -> x.withDrain(true, capped));
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
        add("Add rated point", f, ItemEdits::withRatedPoint);
        if (f.fouled().isEmpty()) {
            add("Add dirty loss", f, x -> x.withFouled(last(x.points()).times(2)));
        }
        mesh(f, f.mesh(), Filter::mesh, Filter::with);
    }

    private static Filter withRatedPoint(Filter f) {
        Rated last = last(f.points());
        return f.withPoints(and(
                f.points(),
                new Rated(
                        last.flow()
                                .with(Quantity.of(
                                        last.flow().quantity().value() * 2,
                                        last.flow().quantity().unit())),
                        last.times(3).loss())));
    }

    private void pump(Pump p) {
        Pump.Build b = p.build();
        if (b.relief().isEmpty() && !p.curve().isEmpty()) {
            Measured most = p.curve().get(0).pressure();
            built("Add relief", p, x -> x.withRelief(most));
        }
        if (p.drive() == Pump.Drive.ELECTRIC) {
            wiring(p, b);
        }
        built(b.checked() ? "No check valve inside" : "Check valve inside", p, x -> x.withCheck(!b.checked()));
        if (b.grain().isEmpty()) {
            built(
                    "Enter coarsest filter allowed",
                    p,
                    x -> x.withGrain(Optional.of(Measured.assumed(100, Unit.MICROMETRE))));
        } else {
            built("Remove coarsest filter allowed", p, x -> x.withGrain(Optional.empty()));
        }
        if (p.off().isPresent()) {
            add("Blocks when off", p, x -> new Pump(x.tag(), x.drive(), x.curve(), Optional.empty(), x.build()));
        } else {
            add("Passes when off", p, x -> x.withOff(Rated.of(20, 0.3, BY)));
        }
    }

    private void wiring(Pump p, Pump.Build b) {
        if (b.current().isEmpty()) {
            built("Add current", p, x -> x.withCurrent(Measured.of(2, Unit.AMPERE, BY)));
        }
        Pump.Wiring w = b.wiring();
        if (w.breaker().isEmpty()) {
            built(
                    "Enter breaker",
                    p,
                    x -> x.withWiring(x.wiring().withBreaker(Optional.of(Measured.of(5, Unit.AMPERE, BY)))));
        }
        if (w.wire().isEmpty()) {
            built(
                    "Enter its wire",
                    p,
                    x -> x.withWiring(x.wiring()
                            .withWire(Optional.of(
                                    new Wire(Measured.of(18, Unit.ONE, BY), Measured.of(20, Unit.FOOT, BY))))));
        } else {
            built("Remove its wire", p, x -> x.withWiring(x.wiring().withWire(Optional.empty())));
        }
        for (Pump.Own own : Pump.Own.values()) {
            boolean shared = w.own().contains(own);
            String word = own.name().toLowerCase(java.util.Locale.ROOT);
            built(
                    shared ? "Shares its " + word : "Own " + word,
                    p,
                    x -> x.withWiring(x.wiring().with(own, !shared)));
        }
        String bus = b.bus().isEmpty() ? "second" : "";
        built(b.bus().isEmpty() ? "On a second bus" : "On the main bus", p, x -> x.withBus(bus));
    }

    private void built(String label, Pump pump, UnaryOperator<Pump.Build> change) {
        add(label, pump, x -> x.withBuild(change.apply(x.build())));
    }

    private static String makeIt(String label) {
        String word = label.toLowerCase(java.util.Locale.ROOT);
        return "Make it " + ("aeiou".indexOf(word.charAt(0)) >= 0 ? "an " : "a ") + word;
    }

    private void inlet(EngineInlet inlet) {
        for (EngineInlet.Style style : EngineInlet.Style.values()) {
            boolean gives = style != EngineInlet.Style.FLOAT;
            Optional<Run> back = gives ? Optional.empty() : system.runAt(new PortRef(inlet.id(), EngineInlet.RETURN));
            if (style != inlet.style()) {
                add(makeIt(style.label()) + (back.isPresent() ? ", no return line" : ""), s -> without(
                                s, gives, inlet.id())
                        .change(inlet.id(), EngineInlet.class, x -> x.withStyle(style, gives && x.returns())));
            }
        }
        if (inlet.maximumPressure().isEmpty()) {
            add(
                    "Enter maximum pressure",
                    inlet,
                    x -> x.withPressures(x.minimumPressure(), Optional.of(Measured.assumed(8, Unit.PSI))));
        }
        if (inlet.grain().isEmpty()) {
            add(
                    "Enter coarsest filter allowed",
                    inlet,
                    x -> x.withGrain(Optional.of(Measured.assumed(40, Unit.MICROMETRE))));
        } else {
            add("Remove coarsest filter allowed", inlet, x -> x.withGrain(Optional.empty()));
        }
    }

    /** The line that came back from an inlet goes with the port it began at. */
    private static FuelSystem without(FuelSystem s, boolean gives, String inlet) {
        return gives
                ? s
                : s.runAt(new PortRef(inlet, EngineInlet.RETURN))
                        .map(r -> s.minus(r.id()))
                        .orElse(s);
    }

    void add(String label, UnaryOperator<FuelSystem> edit) {
        offers.add(new Offer(label, edit));
    }

    /** On offer: a change of the item as it stands where the offer is taken up. */
    @SuppressWarnings("unchecked")
    <T extends Item> void add(String label, T item, UnaryOperator<T> change) {
        Class<T> kind = (Class<T>) item.getClass();
        add(label, s -> s.change(item.id(), kind, change));
    }

    private void run(Run run) {
        add("Add point", s -> s.change(run.id(), Run.class, r -> r.withPoints(and(r.points(), halfway(s, r)))));
        if (!run.points().isEmpty()) {
            add("Remove point", run, r -> r.withPoints(butLast(r.points())));
        }
        if (run.length().isEmpty()) {
            add(
                    "Enter length",
                    s -> s.change(
                            run.id(),
                            Run.class,
                            r -> r.withLength(Measured.of(
                                    Math.round(Unit.INCH.fromSi(r.lengthM(start(s, r), end(s, r))) * 10) / 10.0,
                                    Unit.INCH,
                                    BY))));
        } else if (!run.points().isEmpty()) {
            add("Length from points", run, r -> r.withLength(Optional.empty()));
        }
    }

    private static Point3 start(FuelSystem system, Run run) {
        return system.point(run.from()).orElse(new Point3(0, 0, 0));
    }

    private static Point3 end(FuelSystem system, Run run) {
        return system.point(run.to()).orElse(start(system, run));
    }

    private static Place halfway(FuelSystem system, Run run) {
        Point3 last =
                run.points().isEmpty() ? start(system, run) : last(run.points()).point();
        return Place.estimated(last.toward(end(system, run), 0.5));
    }

    static <T> T last(List<T> list) {
        return list.get(list.size() - 1);
    }

    static <T> List<T> and(List<T> list, T more) {
        List<T> copy = new ArrayList<>(list);
        copy.add(more);
        return copy;
    }

    static <T> List<T> butLast(List<T> list) {
        return list.subList(0, Math.max(0, list.size() - 1));
    }

    /** Takes a change of a vent line to one of the system. */
    interface Lined extends Function<UnaryOperator<VentLine>, UnaryOperator<FuelSystem>> {}

    /** What a vent line offers, of a tank or of a plenum. */
    void ventLine(VentLine v, String of, Point3 start, Point3 tip, Lined lined) {
        add(v.ball() ? "No ball in the vent" : "Check ball in the vent", lined.apply(x -> x.withBall(!v.ball())));
        for (VentPiece.Kind kind : VentPiece.Kind.values()) {
            if (v.pieces().stream().noneMatch(p -> p.kind() == kind)) {
                add(
                        "Vent: add " + kind.label(),
                        lined.apply(x -> x.withPieces(and(x.pieces(), VentPiece.usual(kind)))));
            } else {
                add(
                        "Vent: remove " + kind.label(),
                        lined.apply(x -> x.withPieces(x.pieces().stream()
                                .filter(p -> p.kind() != kind)
                                .toList())));
            }
        }
        add(
                "Add vent point",
                lined.apply(x -> x.withPoints(and(
                        x.points(),
                        Place.estimated(
                                x.points().isEmpty()
                                        ? start
                                        : last(x.points()).point().toward(tip, 0.5))))));
        if (!v.points().isEmpty()) {
            add("Remove vent point", lined.apply(x -> x.withPoints(butLast(x.points()))));
        }
        for (Item other : v.to().isPresent() ? List.<Item>of() : VentEdits.leadingTo(system, of)) {
            add("Vent leads to " + other.name(), lined.apply(x -> x.leadingTo(Optional.of(other.id()))));
        }
        v.to().ifPresent(t -> add("Vent leads outside", lined.apply(x -> x.leadingTo(Optional.empty()))));
    }

    static Measured inches(double metres, String by) {
        return new Measured(Quantity.of(Math.round(Unit.INCH.fromSi(metres) * 100) / 100.0, Unit.INCH), by);
    }

    private void firewall(EngineInlet inlet) {
        if (system.firewall().isPresent()) {
            add("Remove firewall", s -> s.with(Optional.empty()));
        } else {
            add("Add firewall", ItemEdits::walled);
        }
    }

    /**
     * With a firewall four inches behind the inlet, on the side the tanks are, to be measured; itself where it has one
     * or no engine.
     */
    public static FuelSystem walled(FuelSystem system) {
        if (system.firewall().isPresent() || system.inlet().isEmpty()) {
            return system;
        }
        Point3 p = system.inlet().get().place().point();
        double tanks = system.tanks().stream()
                .flatMap(t -> t.outlets().stream())
                .mapToDouble(o -> o.place().point().x())
                .average()
                .orElse(p.x() + 1);
        double side = tanks < p.x() ? -1 : 1;
        return system.with(Optional.of(new Firewall(
                inches(p.x() + side * 4 * INCH, BY), inches(p.z() + 20 * INCH, BY), inches(p.z() - 12 * INCH, BY))));
    }
}
