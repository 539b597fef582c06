package ration.answer.remedy;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.BiFunction;
import java.util.function.UnaryOperator;
import ration.aircraft.model.Bulkhead;
import ration.aircraft.model.CheckBlock;
import ration.aircraft.model.CheckValve;
import ration.aircraft.model.EngineInlet;
import ration.aircraft.model.Filter;
import ration.aircraft.model.Fitting;
import ration.aircraft.model.FlowSender;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.GaugePort;
import ration.aircraft.model.Header;
import ration.aircraft.model.Item;
import ration.aircraft.model.JetPump;
import ration.aircraft.model.Kinds;
import ration.aircraft.model.LineSize;
import ration.aircraft.model.Orifice;
import ration.aircraft.model.PortRef;
import ration.aircraft.model.Pump;
import ration.aircraft.model.QuickDisconnect;
import ration.aircraft.model.Rated;
import ration.aircraft.model.Regulator;
import ration.aircraft.model.Run;
import ration.aircraft.model.Selector;
import ration.aircraft.model.ShutOff;
import ration.aircraft.model.Strainer;
import ration.aircraft.model.Tag;
import ration.aircraft.model.Tank;
import ration.aircraft.model.Tee;
import ration.aircraft.model.VentPlenum;
import ration.aircraft.plumbing.Joints;
import ration.answer.assess.CaseAnswer;
import ration.base.quantity.Measured;
import ration.base.quantity.Quantity;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;
import ration.physics.flow.PathStep;
import ration.record.cost.Part;
import ration.record.cost.Takes;

/** Single changes that could leave more flow: along the path of the case that governs, and at what sends fuel back. */
public final class FlowChanges {

    /** Loss of a coarser screen or a straighter bore over the present one; common practice, no source. */
    private static final double EASIER = 0.5;

    private static final double INCH = 0.0254;

    private static final Map<Part, Change.Sort> SORTS = new EnumMap<>(Map.of(
            Part.SCREEN, Change.Sort.FILTERS,
            Part.STRAINER, Change.Sort.FILTERS,
            Part.FILTER, Change.Sort.FILTERS,
            Part.REGULATOR, Change.Sort.PUMPS));

    private final FuelSystem system;
    private final List<Change> changes = new ArrayList<>();

    private FlowChanges(FuelSystem system) {
        this.system = system;
    }

    /** Along the path of a case of a system, and at what sends fuel back. */
    public static List<Change> of(FuelSystem system, CaseAnswer along) {
        FlowChanges all = new FlowChanges(system);
        all.collect(along);
        return all.changes;
    }

    private void collect(CaseAnswer governing) {
        Set<String> onPath = new LinkedHashSet<>();
        governing.capacity().path().stream().map(PathStep::item).forEach(onPath::add);
        if (onPath.isEmpty()) {
            governing.condition().contents().keySet().forEach(onPath::add);
        }
        for (String id : onPath) {
            system.item(id).ifPresent(this::on);
        }
        system.all(Orifice.class).filter(o -> !onPath.contains(o.id())).forEach(this::throttle);
    }

    private void on(Item item) {
        item.as(new Eased());
    }

    /** What of each kind could cost less; a new kind has to say. */
    private final class Eased implements Kinds<Void> {

        private Void nothing() {
            return null;
        }

        @Override
        public Void run(Run run) {
            FlowChanges.this.run(run);
            return null;
        }

        @Override
        public Void tank(Tank tank) {
            change(
                    tank,
                    "height",
                    Change.Sort.MOUNTS,
                    "Raise " + inSentence(tank.name()) + " 1 in",
                    "mounts, filler and cowl line",
                    Tank.class,
                    t -> t.raised(INCH),
                    Takes.one(Part.TANK_MOUNT));
            for (int i = 0; i < tank.outlets().size(); i++) {
                String port = tank.outlets().get(i).name();
                tank.outlets()
                        .get(i)
                        .screen()
                        .ifPresent(screen -> rated(
                                tank,
                                Part.SCREEN,
                                "Outlet screen of " + tank.name() + ", coarser",
                                screen,
                                Tank.class,
                                (t, r) -> t.withOutlets(t.outlets().stream()
                                        .map(o -> o.name().equals(port) ? o.withScreen(Optional.of(r)) : o)
                                        .toList())));
            }
            return null;
        }

        @Override
        public Void selector(Selector s) {
            rated(s, Part.SELECTOR, s.name() + " with straighter bores", s.loss(), Selector.class, Selector::withLoss);
            return null;
        }

        @Override
        public Void strainer(Strainer s) {
            rated(s, Part.SCREEN, s.name() + " with a coarser screen", s.loss(), Strainer.class, (x, r) -> x.fouled()
                    .map(f -> x.withFouled(f.times(EASIER)))
                    .orElse(x)
                    .withLoss(r));
            return null;
        }

        @Override
        public Void filter(Filter f) {
            rated(
                    f,
                    Part.FILTER,
                    f.name() + " twice as large",
                    f.points().get(0),
                    Filter.class,
                    (x, r) -> new Filter(
                            x.tag(),
                            x.points().stream().map(p -> p.times(EASIER)).toList(),
                            x.fouled().map(p -> p.times(EASIER)),
                            x.mesh()));
            return null;
        }

        @Override
        public Void shutOff(ShutOff v) {
            rated(v, Part.SHUT_OFF, v.name() + " with a full bore", v.loss(), ShutOff.class, ShutOff::withLoss);
            return null;
        }

        @Override
        public Void checkValve(CheckValve v) {
            rated(
                    v,
                    Part.CHECK_VALVE,
                    v.name() + ", larger",
                    v.loss(),
                    CheckValve.class,
                    (x, r) -> new CheckValve(x.tag(), x.cracking(), r));
            return null;
        }

        @Override
        public Void checkBlock(CheckBlock v) {
            rated(
                    v,
                    Part.CHECK_VALVE,
                    v.name() + ", larger",
                    v.loss(),
                    CheckBlock.class,
                    (x, r) -> new CheckBlock(x.tag(), x.cracking(), r));
            return null;
        }

        @Override
        public Void flowSender(FlowSender v) {
            rated(
                    v,
                    Part.FLOW_SENDER,
                    v.name() + ", larger",
                    v.loss(),
                    FlowSender.class,
                    (x, r) -> new FlowSender(x.tag(), r));
            return null;
        }

        @Override
        public Void bulkhead(Bulkhead v) {
            rated(v, Part.BULKHEAD, v.name() + ", larger", v.loss(), Bulkhead.class, Bulkhead::withLoss);
            return null;
        }

        @Override
        public Void quickDisconnect(QuickDisconnect v) {
            rated(
                    v,
                    Part.QUICK_DISCONNECT,
                    v.name() + ", larger",
                    v.loss(),
                    QuickDisconnect.class,
                    (x, r) -> new QuickDisconnect(x.tag(), r));
            return null;
        }

        @Override
        public Void pump(Pump pump) {
            change(
                    pump,
                    "curve",
                    Change.Sort.PUMPS,
                    pump.name() + " with 20% more pressure",
                    "a pump or a speed step up",
                    Pump.class,
                    x -> x.withCurve(x.curve().stream()
                            .map(p -> new Pump.CurvePoint(p.flow(), times(p.pressure(), 1.2)))
                            .toList()),
                    Takes.one(Part.PUMP));
            return null;
        }

        @Override
        public Void header(Header header) {
            change(
                    header,
                    "height",
                    Change.Sort.MOUNTS,
                    "Raise " + inSentence(header.name()) + " 1 in",
                    "its bracket and lines",
                    Header.class,
                    h -> h.with(new Tag(h.id(), h.name(), h.place().raised(INCH))),
                    Takes.one(Part.TANK_MOUNT));
            return null;
        }

        @Override
        public Void regulator(Regulator r) {
            rated(
                    r,
                    Part.REGULATOR,
                    r.name() + ", larger",
                    r.loss(),
                    Regulator.class,
                    (x, loss) -> new Regulator(x.tag(), x.style(), x.reference(), x.setting(), loss));
            return null;
        }

        @Override
        public Void orifice(Orifice o) {
            bored(o, 1.25, "larger", "restricts less: check why it is there first");
            return null;
        }

        @Override
        public Void gaugePort(GaugePort item) {
            return nothing();
        }

        @Override
        public Void jetPump(JetPump item) {
            return nothing();
        }

        @Override
        public Void tee(Tee item) {
            return nothing();
        }

        @Override
        public Void ventPlenum(VentPlenum item) {
            return nothing();
        }

        @Override
        public Void engineInlet(EngineInlet item) {
            return nothing();
        }
    }

    private void run(Run run) {
        run.size().nextUp().ifPresent(up -> resized(run, up));
        if (!eased(run).equals(run.fittings())) {
            change(
                    run,
                    "fittings",
                    Change.Sort.LINES,
                    "Bends in place of elbow fittings in " + run.name(),
                    run.fittings().stream()
                                    .filter(f -> f == Fitting.ELBOW_90 || f == Fitting.ELBOW_45)
                                    .count() + " elbow fittings out",
                    Run.class,
                    r -> r.withFittings(eased(r)),
                    new Takes(Part.BENDS, plain(run.size()), 1));
        }
    }

    /** Where its new ends no longer go into the ports they meet, an adapter does. */
    private void resized(Run run, LineSize up) {
        List<Takes> takes = new ArrayList<>(List.of(
                new Takes(Part.LINE, plain(up), Math.max(0.1, Unit.FOOT.fromSi(length(run)))),
                new Takes(Part.END, plain(up), 2)));
        int adapters = Joints.adapters(Joints.adapted(run.resized(up)));
        if (adapters > 0) {
            takes.add(new Takes(Part.ADAPTER, "", adapters));
        }
        change(
                run,
                "size",
                Change.Sort.LINES,
                "Line " + run.name() + ", " + plain(run.size()) + " \u2192 " + up.shortName()
                        + (up.kind() == LineSize.Kind.TUBE ? " tube" : ""),
                makes(run),
                Run.class,
                r -> Joints.adapted(r.resized(up)),
                takes.toArray(Takes[]::new));
    }

    private static List<Fitting> eased(Run run) {
        return run.fittings().stream()
                .map(f -> f == Fitting.ELBOW_90 ? Fitting.BEND_90 : f == Fitting.ELBOW_45 ? Fitting.BEND_45 : f)
                .toList();
    }

    private static String plain(LineSize size) {
        return size.kind() == LineSize.Kind.HOSE ? size.label().replace(" hose", "") : size.shortName();
    }

    /** As routed, m; 0 where an end is not laid out. */
    private double length(Run run) {
        Optional<ration.base.geometry.Point3> a = system.point(run.from());
        Optional<ration.base.geometry.Point3> b = system.point(run.to());
        return a.isPresent() && b.isPresent() ? run.lengthM(a.get(), b.get()) : 0;
    }

    private String makes(Run run) {
        return UnitSystem.figure(Unit.INCH.fromSi(length(run)), 0) + " in of "
                + run.kind().toLowerCase(Locale.ROOT) + ", its ends and what they meet";
    }

    private <T extends Item> void rated(
            Item item, Part part, String title, Rated now, Class<T> kind, BiFunction<T, Rated, T> make) {
        if (now.loss().si() > 0) {
            Rated eased = now.times(EASIER);
            change(
                    item,
                    part == Part.SCREEN ? title : "loss",
                    SORTS.getOrDefault(part, Change.Sort.VALVES),
                    title,
                    now.loss().quantity().shown() + " \u2192 "
                            + UnitSystem.figure(eased.loss().quantity().value(), 3) + " "
                            + eased.loss().quantity().unit().symbol() + " at "
                            + now.flow().quantity().shown(),
                    kind,
                    x -> make.apply(x, eased),
                    Takes.one(part));
        }
    }

    /** An orifice that sends fuel back: a smaller one leaves more for the engine. */
    private void throttle(Orifice orifice) {
        boolean back = system.runAt(new PortRef(orifice.id(), Item.IN)).isPresent();
        if (back) {
            bored(orifice, 0.8, "smaller", "cools the pump less");
        }
    }

    private void bored(Orifice orifice, double factor, String which, String but) {
        change(
                orifice,
                "bore",
                Change.Sort.VALVES,
                orifice.name() + " with a " + which + " bore",
                orifice.bore().quantity().shown() + " \u2192 "
                        + UnitSystem.figure(orifice.bore().quantity().value() * factor, 3) + " "
                        + orifice.bore().quantity().unit().symbol() + "; " + but,
                Orifice.class,
                o -> new Orifice(o.tag(), times(o.bore(), factor), o.dischargeCoefficient()),
                Takes.one(Part.ORIFICE));
    }

    private static Measured times(Measured m, double factor) {
        return m.with(Quantity.of(
                Math.round(m.quantity().value() * factor * 1e6) / 1e6,
                m.quantity().unit()));
    }

    /** A title within a sentence. */
    public static String inSentence(String name) {
        return name.isEmpty() ? name : name.substring(0, 1).toLowerCase(Locale.ROOT) + name.substring(1);
    }

    /** The item is looked up in the system the change is made on: that may have been edited since. */
    private <T extends Item> void change(
            Item item,
            String slot,
            Change.Sort sort,
            String title,
            String detail,
            Class<T> kind,
            UnaryOperator<T> change,
            Takes... takes) {
        changes.add(new Change(
                item.id(),
                slot,
                sort,
                title,
                detail,
                p -> p.with(p.system().change(item.id(), kind, change)),
                List.of(takes)));
    }
}
