package ration.project;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import ration.geometry.Point3;
import ration.model.Bulkhead;
import ration.model.CheckBlock;
import ration.model.CheckValve;
import ration.model.EngineInlet;
import ration.model.Filter;
import ration.model.Firewall;
import ration.model.FlowSender;
import ration.model.FuelSystem;
import ration.model.GaugePort;
import ration.model.Header;
import ration.model.Item;
import ration.model.JetPump;
import ration.model.Kinds;
import ration.model.Measured;
import ration.model.Orifice;
import ration.model.Place;
import ration.model.Pump;
import ration.model.QuickDisconnect;
import ration.model.Rated;
import ration.model.Regulator;
import ration.model.Run;
import ration.model.Selector;
import ration.model.ShutOff;
import ration.model.Strainer;
import ration.model.Tank;
import ration.model.Tee;
import ration.model.VentLine;
import ration.model.VentPlenum;
import ration.quantity.Quantity;
import ration.quantity.Unit;

/**
 * What can be added to or taken from one item beside its figures: measured points of a run, corners, outlets and
 * screens of a tank, positions of a selector, the firewall. New figures are marked as estimates, to be measured.
 */
public final class ItemEdits {

    static final String BY = "estimate";
    static final double INCH = 0.0254;

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

        @Override
        public Void shutOff(ShutOff item) {
            return nothing();
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

    void add(String label, FuelSystem result) {
        offers.add(new Offer(label, result));
    }

    void add(String label, Item changed) {
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

    /** What a vent line offers, of a tank or of a plenum. */
    void ventLine(VentLine v, String of, Point3 start, Point3 tip, Function<VentLine, Item> with) {
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

    static Measured inches(double metres, String by) {
        return new Measured(Quantity.of(Math.round(Unit.INCH.fromSi(metres) * 100) / 100.0, Unit.INCH), by);
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
