package ration.answer.proof;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.IdentityHashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.DoubleUnaryOperator;
import java.util.function.Supplier;
import java.util.stream.Stream;
import ration.aircraft.condition.Condition;
import ration.aircraft.condition.Handles;
import ration.aircraft.model.CheckBlock;
import ration.aircraft.model.CheckValve;
import ration.aircraft.model.Filter;
import ration.aircraft.model.Fitout;
import ration.aircraft.model.FlowSender;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.GaugePort;
import ration.aircraft.model.JetPump;
import ration.aircraft.model.Pump;
import ration.aircraft.model.Regulator;
import ration.aircraft.model.Run;
import ration.aircraft.model.Selector;
import ration.aircraft.model.ShutOff;
import ration.aircraft.model.Strainer;
import ration.aircraft.model.Tank;
import ration.aircraft.topology.Topology;
import ration.base.geometry.Point3;
import ration.physics.flow.FlowBasis;
import ration.physics.flow.TankLevel;
import ration.record.evidence.Form;
import ration.record.evidence.HangarTest;
import ration.record.evidence.Known;
import ration.record.evidence.Named;
import ration.record.evidence.Standing;
import ration.record.evidence.TestKind;
import ration.record.project.Brief;
import ration.record.project.Project;
import ration.verdict.check.Verdict;
import ration.verdict.standard.Standard;
import ration.verdict.standard.Subject;

/**
 * The tests of an aircraft, in the order of the work: those its layout, its basis and what is fitted ask for, and those
 * that are advised. What a test that does not count would read is solved only when it is asked for, or by
 * {@link #work}: an edit does not wait for it.
 */
public final class TestProgram {

    private static final String PRACTICE = "Common practice, no source";

    /** Nothing laid out. */
    public static final TestProgram NONE =
            new TestProgram(List.of(), Map.of(), new Later<>(Map::of), new Later<>(Map::of), p -> p, Optional.empty());

    private final List<Proof> tests;
    private final Map<String, Later<Outcome>> outcomes;
    private final Later<Map<String, Double>> heads;
    private final Later<Map<String, Double>> stands;
    private final DoubleUnaryOperator under;
    /** What the next state of the document need not read again. */
    private final Optional<Known> known;

    private volatile boolean worked;

    private TestProgram(
            List<Proof> tests,
            Map<String, Later<Outcome>> outcomes,
            Later<Map<String, Double>> heads,
            Later<Map<String, Double>> stands,
            DoubleUnaryOperator under,
            Optional<Known> known) {
        this.known = known;
        this.tests = List.copyOf(tests);
        this.outcomes = Map.copyOf(outcomes);
        this.heads = heads;
        this.stands = stands;
        this.under = under;
    }

    /** Each with what is on record of it. */
    public List<Proof> tests() {
        return tests;
    }

    /**
     * What a record says, finished or not, in the condition in which it was done; empty where the layout asks no such
     * test.
     */
    public Optional<Outcome> outcome(String record) {
        return Optional.ofNullable(outcomes.get(record)).map(Later::get);
    }

    /** Of fuel over each joint, by run and end, as the aircraft stands parked and full, m. */
    public Map<String, Double> heads() {
        return heads.get();
    }

    /**
     * What each line is put under in its pressure test, by run, Pa gauge: 1.5 times what it stands dead-headed, or as a
     * tank.
     */
    public Map<String, Double> pressures() {
        Map<String, Double> all = new LinkedHashMap<>();
        stands.get().forEach((run, p) -> all.put(run, under.applyAsDouble(p)));
        return all;
    }

    /** What a run stands dead-headed, or under the highest fuel, Pa gauge. */
    public double stands(String run) {
        return stands.get().getOrDefault(run, Double.NaN);
    }

    /** Works out all that was not asked for yet. */
    public void work() {
        tests.forEach(Proof::outcome);
        outcomes.values().forEach(Later::get);
        heads.get();
        stands.get();
        worked = true;
    }

    /** Whether nothing is left to solve. */
    public boolean worked() {
        return worked || tests.isEmpty();
    }

    /**
     * A test and what is on record of it.
     *
     * @param wanted itself
     * @param record the last that counts, or the last there is
     * @param standing of it
     * @param waits what is asked before it and not done: as long as something is, it does not count
     * @param said its outcome; what is predicted before anything is measured
     */
    public record Proof(
            Wanted wanted,
            Optional<HangarTest> record,
            Optional<Standing> standing,
            Optional<String> waits,
            Supplier<Outcome> said) {

        public Outcome outcome() {
            return said.get();
        }

        /** Whether a record counts. */
        public boolean counts() {
            return waits.isEmpty() && standing.map(Standing::counts).orElse(false);
        }

        /** What it shows now: nothing unless a record counts. */
        public Verdict verdict() {
            return counts() ? outcome().verdict() : Verdict.NOT_SHOWN;
        }

        /** How it stands, in a few words: counts 2026-02-28, Fails. */
        public String state() {
            if (record.isEmpty()) {
                return wanted.asked() ? "not run" : "not run (recommended)";
            }
            HangarTest t = record.get();
            return switch (standing.orElseThrow().state()) {
                case COUNTS ->
                    waits.map(w -> "waits for " + w)
                            .orElseGet(() -> "valid " + t.by().date() + ", "
                                    + outcome().verdict().word());
                case INTERRUPTED -> "in progress, step " + (t.progress().step() + 1);
                case STALE -> "outdated: " + standing.get().words();
                case STAND_IN -> "simulated, not evidence";
                case GONE -> "item no longer in the layout";
            };
        }
    }

    /** The first asked for that no record shows. */
    public Optional<Proof> next() {
        return tests.stream()
                .filter(p -> p.wanted().asked() && p.verdict() == Verdict.NOT_SHOWN)
                .findFirst();
    }

    /** Of these that are asked for, how many were done as they are asked. */
    public long counting() {
        return tests.stream()
                .filter(p -> p.wanted().asked() && p.verdict() != Verdict.NOT_SHOWN)
                .count();
    }

    public long asked() {
        return tests.stream().filter(p -> p.wanted().asked()).count();
    }

    public Optional<Proof> of(HangarTest t) {
        return tests.stream().filter(p -> p.wanted().is(t)).findFirst();
    }

    /**
     * Of a project.
     *
     * @param basis answers its flow questions; empty while a problem of the layout blocks
     * @param tanks what the shapes say, by id of the tank
     * @param before of a state of the project before this one, if any
     */
    public static TestProgram of(
            Project project, Optional<FlowBasis> basis, Map<String, TankFigures> tanks, Optional<TestProgram> before) {
        List<Proof> all = new ArrayList<>();
        Known known = Known.of(project.asBuilt(), before.flatMap(b -> b.known));
        Outcomes outcomes = new Outcomes(project, basis, tanks);
        Map<HangarTest, Standing> standings = new IdentityHashMap<>();
        project.tests().forEach(t -> standings.put(t, Standing.of(t, known)));
        List<Wanted> wanted = wanted(project);
        Map<String, Later<Outcome>> byRecord = new LinkedHashMap<>();
        for (HangarTest t : project.tests()) {
            wanted.stream()
                    .filter(w -> w.is(t))
                    .findFirst()
                    .ifPresent(w -> byRecord.put(t.id(), new Later<>(() -> outcomes.of(w, Optional.of(t)))));
        }
        for (Wanted w : wanted) {
            List<HangarTest> mine = project.tests().stream().filter(w::is).toList();
            List<HangarTest> counting =
                    mine.stream().filter(t -> standings.get(t).counts()).toList();
            // one done as it is asked goes before one that is kept for what it is
            Optional<HangarTest> record = counting.size() == 1
                    ? Optional.of(counting.get(0))
                    : last(counting.stream()
                                    .filter(t -> byRecord.get(t.id()).get().verdict() != Verdict.NOT_SHOWN))
                            .or(() -> last(counting.stream()))
                            .or(() -> mine.isEmpty() ? Optional.empty() : Optional.of(mine.get(mine.size() - 1)));
            all.add(new Proof(
                    w,
                    record,
                    record.map(standings::get),
                    Optional.empty(),
                    record.map(t -> byRecord.get(t.id()))
                            .orElseGet(() -> new Later<>(() -> outcomes.of(w, Optional.empty())))));
        }
        return new TestProgram(
                project.brief().practice().asks().assembly() ? assembledFirst(all) : all,
                byRecord,
                new Later<>(() -> basis.map(b -> heads(project, b, tanks)).orElse(Map.of())),
                new Later<>(outcomes::stands),
                outcomes::under,
                Optional.of(known));
    }

    /** Leak checks wait for the sheets of what was put together: one school, chosen on Aircraft. */
    private static List<Proof> assembledFirst(List<Proof> all) {
        List<Proof> missing = all.stream()
                .filter(p -> p.wanted().kind() == TestKind.ASSEMBLY && p.verdict() != Verdict.HOLDS)
                .toList();
        if (missing.isEmpty()) {
            return all;
        }
        String words =
                missing.get(0).wanted().name() + (missing.size() > 1 ? ", and " + (missing.size() - 1) + " more" : "");
        return all.stream()
                .map(p -> LEAKS.contains(p.wanted().kind())
                        ? new Proof(p.wanted(), p.record(), p.standing(), Optional.of(words), p.said())
                        : p)
                .toList();
    }

    private static final Set<TestKind> LEAKS =
            EnumSet.of(TestKind.OVERNIGHT, TestKind.LINE_PRESSURE, TestKind.FIRST_RUN);

    /** The highest fuel over each joint, parked, every tank full. */
    private static Map<String, Double> heads(Project project, FlowBasis basis, Map<String, TankFigures> tanks) {
        Map<String, Double> full = new LinkedHashMap<>();
        tanks.forEach((id, f) -> full.put(id, f.full()));
        Condition parked = new Condition(
                project.brief().envelope().attitudes().get(0),
                full,
                Map.of(),
                Set.of(),
                Set.of(),
                project.brief().fuelKelvin());
        double top = basis.levels(parked).values().stream()
                .mapToDouble(TankLevel::surface)
                .max()
                .orElse(0);
        Point3 up = parked.attitude().gravity().up();
        Map<String, Double> heads = new LinkedHashMap<>();
        for (Run r : project.system().runs()) {
            project.system().point(r.from()).ifPresent(p -> heads.put(r.id() + ".start", Math.max(0, top - up.dot(p))));
            project.system().point(r.to()).ifPresent(p -> heads.put(r.id() + ".end", Math.max(0, top - up.dot(p))));
        }
        return heads;
    }

    private static Optional<HangarTest> last(Stream<HangarTest> tests) {
        return tests.max(Comparator.comparing(t -> t.by().date()));
    }

    /** What an aircraft gets, done or not. */
    public static List<Wanted> wanted(Project project) {
        FuelSystem system = project.system();
        if (system.tanks().isEmpty()) {
            return List.of();
        }
        List<Wanted> all = new ArrayList<>();
        Brief brief = project.brief();
        boolean pumped = brief.delivery() == Brief.Delivery.PUMP;
        boolean pressed = brief.choices().basis().asks(Subject.TANK_PRESSURE);
        Adding add = new Adding(system, all);
        for (Tank t : system.tanks()) {
            if (!t.outlets().isEmpty()) {
                add.one(
                        TestKind.DRAIN,
                        t.id(),
                        true,
                        "at the attitude with the most predicted unusable fuel",
                        brief.cite(Subject.UNUSABLE_FUEL));
            }
            add.one(
                    TestKind.FILL,
                    t.id(),
                    t.fitout().gauge().isPresent(),
                    "gauge marks, level or parked",
                    brief.cite(Subject.GAUGE_ZERO));
            add.one(TestKind.TOP_OFF, t.id(), false, "capacity by fuel-pump meter", PRACTICE);
            add.one(
                    TestKind.CLEAN,
                    t.id(),
                    t.fitout().has(Fitout.Piece.ACCESS_PLATE),
                    "flushed, dry, drained clean",
                    PRACTICE);
            if (t.drain().isPresent()) {
                add.one(TestKind.EMPTYING, t.id(), false, "time and fuel left, parked", PRACTICE);
            }
        }
        bench(add, system);
        assembled(add, system, brief.practice().asks().assembly());
        List<Map<String, String>> positions = Topology.positions(system);
        if (!pumped) {
            for (Map<String, String> position : positions) {
                add.set(
                        TestKind.FLOW,
                        "",
                        new Handles(position, Set.of(), Set.of()),
                        true,
                        "150% of takeoff demand, nose-up: steepest climb + 5°",
                        brief.cite(Subject.GRAVITY_FLOW) + "; attitude: "
                                + Standard.PRACTICE.cite(Subject.GROUND_ATTITUDE));
            }
        }
        List<Pump> pumps = Topology.of(system).feedPumps();
        for (Pump p : pumps) {
            for (Map<String, String> position : positions) {
                Set<String> others = Set.copyOf(pumps.stream()
                        .map(Pump::id)
                        .filter(id -> !id.equals(p.id()))
                        .toList());
                add.set(
                        TestKind.PUMP_FLOW,
                        p.id(),
                        new Handles(position, Set.of(), others),
                        pumped,
                        "125% of takeoff demand by this pump alone",
                        brief.cite(Subject.PUMP_FLOW));
            }
        }
        pumps.forEach(
                p -> add.one(TestKind.DEAD_HEAD, p.id(), pumped, "running pressure and dead-head pressure", PRACTICE));
        running(add, system, pumps, positions);
        whole(add, TestKind.OVERNIGHT, "every fitting dry overnight", PRACTICE);
        system.tanks()
                .forEach(t -> add.one(
                        TestKind.TANK_PRESSURE,
                        t.id(),
                        pressed,
                        "held under pressure, no bubbles",
                        brief.cite(Subject.TANK_PRESSURE)));
        add.one(TestKind.LINE_PRESSURE, "", pumped, "1.5 × working pressure", PRACTICE);
        system.all(Selector.class)
                .filter(s -> s.positions().stream().anyMatch(Selector.Position::off))
                .forEach(s -> add.one(
                        TestKind.SELECTOR_OFF, s.id(), true, "no drop in ten minutes", brief.cite(Subject.SHUTOFF)));
        system.all(CheckValve.class)
                .forEach(v -> add.one(TestKind.CHECK_HOLDS, v.id(), true, "no reverse flow", PRACTICE));
        system.all(CheckBlock.class)
                .forEach(v -> add.one(TestKind.CHECK_HOLDS, v.id(), true, "no reverse flow", PRACTICE));
        whole(add, TestKind.FIRST_RUN, "every fitting dry after an engine run", PRACTICE);
        whole(add, TestKind.VENTS, "air flows through every vent", brief.cite(Subject.VENT));
        whole(add, TestKind.DRAINS, "every drain removes the water, parked attitude", brief.cite(Subject.DRAINS));
        instruments(add, system, brief);
        add.one(TestKind.RUN_LOG, "", false, "idle, run, climb, 15 minutes of soak", PRACTICE);
        add.one(TestKind.HOT_RESTART, "", false, "starts at peak heat soak", PRACTICE);
        all.sort(Comparator.comparing(w -> w.kind().group()));
        return all;
    }

    /** Parts that come from elsewhere and do something. */
    private static void bench(Adding add, FuelSystem system) {
        Stream.of(
                        system.all(Pump.class),
                        system.all(Regulator.class),
                        system.all(CheckValve.class),
                        system.all(CheckBlock.class),
                        system.all(Selector.class),
                        system.all(ShutOff.class))
                .flatMap(s -> s)
                .forEach(i -> add.one(TestKind.BENCH, i.id(), false, "tight, and does its work", PRACTICE));
    }

    /** Parts that are opened and closed, or have fasteners of their own. */
    private static void assembled(Adding add, FuelSystem system, boolean asked) {
        Stream.of(
                        system.all(Selector.class),
                        system.all(ShutOff.class),
                        system.all(Strainer.class),
                        system.all(Filter.class),
                        system.all(Pump.class),
                        system.all(Regulator.class))
                .flatMap(s -> s)
                .forEach(i -> add.one(TestKind.ASSEMBLY, i.id(), asked, "every point good", PRACTICE));
    }

    /** What is seen with the pumps on. */
    private static void running(Adding add, FuelSystem system, List<Pump> pumps, List<Map<String, String>> positions) {
        system.all(Regulator.class)
                .forEach(r -> add.one(
                        TestKind.REGULATOR, r.id(), true, "its setting at idle and full power, no creep", PRACTICE));
        pumps.forEach(p -> add.one(TestKind.PRIMING, p.id(), false, "seconds to steady pressure", PRACTICE));
        system.all(JetPump.class)
                .forEach(j -> add.one(TestKind.JET, j.id(), true, "suction flow of takeoff demand or more", PRACTICE));
        List<Tank> back =
                system.tanks().stream().filter(t -> !t.returns().isEmpty()).toList();
        if (!back.isEmpty() && !pumps.isEmpty()) {
            positions.forEach(p -> add.set(
                    TestKind.RETURN,
                    "",
                    new Handles(p, Set.of(), Set.of()),
                    true,
                    "the return reaches the intended tank and no other",
                    PRACTICE));
            back.forEach(
                    t -> add.one(TestKind.TANK_RETURN, t.id(), true, "tank pressure, all pumps returning", PRACTICE));
        }
        if (!pumps.isEmpty()) {
            add.one(TestKind.HOLD, "", false, "half the pressure or more after 5 min", PRACTICE);
        }
    }

    private static void instruments(Adding add, FuelSystem system, Brief brief) {
        system.tanks()
                .forEach(t -> add.one(
                        TestKind.LEVEL_SENDER,
                        t.id(),
                        t.fitout().has(Fitout.Piece.LEVEL_SENDER),
                        (t.fitout().has(Fitout.Piece.LEVEL_SENDER) ? "" : "if installed: ")
                                + "its zero at the unusable fuel",
                        brief.cite(Subject.GAUGE_ZERO)));
        system.all(FlowSender.class)
                .forEach(s -> add.one(TestKind.FLOW_SENDER, s.id(), true, "pulses for a measured volume", PRACTICE));
        system.all(GaugePort.class)
                .filter(g -> g.shows() == GaugePort.Shows.PRESSURE)
                .forEach(g -> add.one(TestKind.GAUGE_CHECK, g.id(), true, "compared with a fuel column", PRACTICE));
    }

    /** A test of pieces of the layout, where there are any. */
    private static void whole(Adding add, TestKind kind, String asks, String source) {
        if (!Form.of(kind).orElseThrow().pieces(add.system()).isEmpty()) {
            add.one(kind, "", true, asks, source);
        }
    }

    private record Adding(FuelSystem system, List<Wanted> all) {

        void one(TestKind kind, String subject, boolean asked, String asks, String source) {
            set(kind, subject, Wanted.NONE, asked, asks, source);
        }

        void set(TestKind kind, String subject, Handles handles, boolean asked, String asks, String source) {
            all.add(new Wanted(
                    kind,
                    subject,
                    handles,
                    Named.of(system, kind, subject, handles.positions()),
                    Named.brief(system, kind, subject, handles.positions()),
                    asked,
                    asks,
                    source));
        }
    }
}
