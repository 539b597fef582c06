package ration.answer.remedy;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.BiFunction;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
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
import ration.answer.assess.Assessment;
import ration.answer.assess.CaseAnswer;
import ration.answer.assess.LeastMargin;
import ration.base.quantity.Measured;
import ration.base.quantity.Quantity;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;
import ration.base.task.Steps;
import ration.base.task.Task;
import ration.physics.flow.PathStep;
import ration.record.project.Edit;
import ration.record.project.Project;

/** Single changes along the path that governs, each solved over every case and ranked. */
public final class Remedies {

    /** Ranked remedies at most this many. */
    private static final int MOST = 8;
    /** Cases that tell at most how much a change gains. */
    private static final int NEAREST = 12;

    private static final Comparator<Solved> BEST_FIRST =
            Comparator.comparingDouble(s -> -s.after().ratio());
    /** A change that brings less than this much margin over what is needed is not worth a row. */
    private static final double LEAST_GAIN = 0.005;
    /** Loss of a coarser screen or a straighter bore over the present one; common practice, no source. */
    private static final double EASIER = 0.5;

    private static final double INCH = 0.0254;

    private final Optional<Assessment> known;
    private final List<CaseAnswer.Setting> nearest;
    private final Project project;
    private final FuelSystem system;
    private final List<Change> changes = new ArrayList<>();

    /** One change to try. */
    private record Change(String item, String title, String detail, UnaryOperator<FuelSystem> on) {}

    private record Solved(Change change, LeastMargin after) {}

    private Remedies(Assessment assessment) {
        this.known = Optional.of(assessment);
        this.nearest = assessment.nearest(NEAREST);
        this.project = assessment.project();
        this.system = project.system();
    }

    /**
     * Best first; empty if nothing is computed, nothing helps, or the task is cancelled. Where two single changes on
     * different items help, the best two together stand in the list too.
     */
    public static List<Remedy> of(Assessment assessment, Task task) {
        Optional<CaseAnswer> governing = assessment.governing();
        if (governing.isEmpty()) {
            return List.of();
        }
        Remedies remedies = new Remedies(assessment);
        remedies.collect(governing.get());
        return remedies.solve(governing.get().ratio(), task);
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
            Remedies.this.run(run);
            return null;
        }

        @Override
        public Void tank(Tank tank) {
            change(
                    tank,
                    "Raise " + inSentence(tank.name()) + " 1 in",
                    "mounts, filler and cowl line",
                    Tank.class,
                    t -> t.raised(INCH));
            for (int i = 0; i < tank.outlets().size(); i++) {
                String port = tank.outlets().get(i).name();
                tank.outlets()
                        .get(i)
                        .screen()
                        .ifPresent(screen -> rated(
                                tank,
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
            rated(s, s.name() + " with straighter bores", s.loss(), Selector.class, Selector::withLoss);
            return null;
        }

        @Override
        public Void strainer(Strainer s) {
            rated(s, s.name() + " with a coarser screen", s.loss(), Strainer.class, (x, r) -> x.fouled()
                    .map(f -> x.withFouled(f.times(EASIER)))
                    .orElse(x)
                    .withLoss(r));
            return null;
        }

        @Override
        public Void filter(Filter f) {
            rated(
                    f,
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
            rated(v, v.name() + " with a full bore", v.loss(), ShutOff.class, ShutOff::withLoss);
            return null;
        }

        @Override
        public Void checkValve(CheckValve v) {
            rated(
                    v,
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
                    v.name() + ", larger",
                    v.loss(),
                    CheckBlock.class,
                    (x, r) -> new CheckBlock(x.tag(), x.cracking(), r));
            return null;
        }

        @Override
        public Void flowSender(FlowSender v) {
            rated(v, v.name() + ", larger", v.loss(), FlowSender.class, (x, r) -> new FlowSender(x.tag(), r));
            return null;
        }

        @Override
        public Void bulkhead(Bulkhead v) {
            rated(v, v.name() + ", larger", v.loss(), Bulkhead.class, Bulkhead::withLoss);
            return null;
        }

        @Override
        public Void quickDisconnect(QuickDisconnect v) {
            rated(v, v.name() + ", larger", v.loss(), QuickDisconnect.class, (x, r) -> new QuickDisconnect(x.tag(), r));
            return null;
        }

        @Override
        public Void pump(Pump pump) {
            change(
                    pump,
                    pump.name() + " with 20% more pressure",
                    "a pump or a speed step up",
                    Pump.class,
                    x -> x.withCurve(x.curve().stream()
                            .map(p -> new Pump.CurvePoint(p.flow(), times(p.pressure(), 1.2)))
                            .toList()));
            return null;
        }

        @Override
        public Void header(Header header) {
            change(
                    header,
                    "Raise " + inSentence(header.name()) + " 1 in",
                    "its bracket and lines",
                    Header.class,
                    h -> h.with(new Tag(h.id(), h.name(), h.place().raised(INCH))));
            return null;
        }

        @Override
        public Void regulator(Regulator r) {
            rated(
                    r,
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
        run.size()
                .nextUp()
                .ifPresent(up -> change(
                        run,
                        "Line " + run.name() + ", " + plain(run.size()) + " \u2192 " + up.shortName()
                                + (up.kind() == LineSize.Kind.TUBE ? " tube" : ""),
                        makes(run),
                        Run.class,
                        r -> r.resized(up)));
        if (!eased(run).equals(run.fittings())) {
            change(
                    run,
                    "Bends in place of elbow fittings in " + run.name(),
                    run.fittings().stream()
                                    .filter(f -> f == Fitting.ELBOW_90 || f == Fitting.ELBOW_45)
                                    .count() + " elbow fittings out",
                    Run.class,
                    r -> r.withFittings(eased(r)));
        }
    }

    private static List<Fitting> eased(Run run) {
        return run.fittings().stream()
                .map(f -> f == Fitting.ELBOW_90 ? Fitting.BEND_90 : f == Fitting.ELBOW_45 ? Fitting.BEND_45 : f)
                .toList();
    }

    private static String plain(LineSize size) {
        return size.kind() == LineSize.Kind.HOSE ? size.label().replace(" hose", "") : size.shortName();
    }

    private String makes(Run run) {
        Optional<ration.base.geometry.Point3> a = system.point(run.from());
        Optional<ration.base.geometry.Point3> b = system.point(run.to());
        double length = a.isPresent() && b.isPresent() ? run.lengthM(a.get(), b.get()) : 0;
        return UnitSystem.figure(Unit.INCH.fromSi(length), 0) + " in of "
                + run.kind().toLowerCase(Locale.ROOT) + ", its ends and what they meet";
    }

    private <T extends Item> void rated(
            Item item, String title, Rated now, Class<T> kind, BiFunction<T, Rated, T> make) {
        if (now.loss().si() > 0) {
            Rated eased = now.times(EASIER);
            change(
                    item,
                    title,
                    now.loss().quantity().shown() + " \u2192 "
                            + UnitSystem.figure(eased.loss().quantity().value(), 3) + " "
                            + eased.loss().quantity().unit().symbol() + " at "
                            + now.flow().quantity().shown(),
                    kind,
                    x -> make.apply(x, eased));
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
                orifice.name() + " with a " + which + " bore",
                orifice.bore().quantity().shown() + " \u2192 "
                        + UnitSystem.figure(orifice.bore().quantity().value() * factor, 3) + " "
                        + orifice.bore().quantity().unit().symbol() + "; " + but,
                Orifice.class,
                o -> new Orifice(o.tag(), times(o.bore(), factor), o.dischargeCoefficient()));
    }

    private static Measured times(Measured m, double factor) {
        return m.with(Quantity.of(
                Math.round(m.quantity().value() * factor * 1e6) / 1e6,
                m.quantity().unit()));
    }

    private static String inSentence(String name) {
        return name.isEmpty() ? name : name.substring(0, 1).toLowerCase(Locale.ROOT) + name.substring(1);
    }

    /** The item is looked up in the system the change is made on: that may have been edited since. */
    private <T extends Item> void change(
            Item item, String title, String detail, Class<T> kind, UnaryOperator<T> change) {
        changes.add(new Change(item.id(), title, detail, s -> s.change(item.id(), kind, change)));
    }

    /**
     * The cases nearest to short tell at most how much a change gains: no case can be worse than the worst of all. So
     * changes are solved over every case in the order of that bound, and only until no other can come among the first.
     */
    private List<Remedy> solve(double now, Task task) {
        Steps tried = new Steps(task.progress(), 0, 0.5, changes.size() + 1);
        List<Solved> bounds = new ArrayList<>(changes.parallelStream()
                .flatMap(change -> {
                    if (task.cancelled().getAsBoolean()) {
                        return Stream.empty();
                    }
                    Optional<LeastMargin> gained = over(change, nearest).filter(m -> m.ratio() > now + LEAST_GAIN);
                    tried.done();
                    return gained.map(m -> new Solved(change, m)).stream();
                })
                .toList());
        bounds.sort(BEST_FIRST);
        List<Solved> solved = new ArrayList<>();
        Steps done = new Steps(task.progress(), 0.5, 1, bounds.size() + 1);
        for (Solved bound : bounds) {
            if (task.cancelled().getAsBoolean()) {
                return List.of();
            }
            if (solved.size() >= MOST
                    && solved.get(MOST - 1).after().ratio() >= bound.after().ratio()) {
                break;
            }
            LeastMargin.of(project.with(bound.change().on().apply(system)), known)
                    .filter(m -> m.ratio() > now + LEAST_GAIN)
                    .ifPresent(m -> solved.add(new Solved(bound.change(), m)));
            solved.sort(BEST_FIRST);
            done.done();
        }
        List<Remedy> ranked = new ArrayList<>();
        for (Solved s : solved.subList(0, Math.min(MOST, solved.size()))) {
            ranked.add(remedy(s.change(), s.after()));
        }
        together(solved).ifPresent(r -> ranked.add(0, r));
        task.progress().accept(1);
        return ranked;
    }

    private Optional<LeastMargin> over(Change change, List<CaseAnswer.Setting> cases) {
        return LeastMargin.of(project.with(change.on().apply(system)), cases, known);
    }

    private Optional<Remedy> together(List<Solved> solved) {
        Map<String, Change> best = new LinkedHashMap<>();
        solved.forEach(s -> best.putIfAbsent(s.change().item(), s.change()));
        if (best.size() < 2) {
            return Optional.empty();
        }
        List<Change> two = best.values().stream().limit(2).toList();
        Change both = new Change(
                "",
                two.get(0).title() + " and " + inSentence(two.get(1).title()),
                "both changes together",
                s -> two.get(1).on().apply(two.get(0).on().apply(s)));
        return LeastMargin.of(project.with(both.on().apply(system)), known)
                .filter(m -> m.ratio() > solved.get(0).after().ratio() + LEAST_GAIN)
                .map(m -> remedy(both, m));
    }

    private static Remedy remedy(Change change, LeastMargin after) {
        return new Remedy(
                change.title(),
                change.detail(),
                Edit.of(
                        "Try " + inSentence(change.title()),
                        p -> p.with(change.on().apply(p.system()))),
                after);
    }
}
