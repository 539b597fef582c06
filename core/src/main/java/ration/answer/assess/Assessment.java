package ration.answer.assess;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ForkJoinTask;
import java.util.function.BooleanSupplier;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import ration.aircraft.condition.Attitude;
import ration.aircraft.condition.Condition;
import ration.aircraft.condition.Contents;
import ration.aircraft.condition.Faults;
import ration.aircraft.condition.Handles;
import ration.aircraft.heat.Heat;
import ration.aircraft.heat.HeatFigure;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Problem;
import ration.aircraft.model.Selector;
import ration.aircraft.model.Tank;
import ration.aircraft.model.Validation;
import ration.aircraft.topology.Passing;
import ration.aircraft.topology.Topology;
import ration.answer.proof.TestProgram;
import ration.base.geometry.Point3;
import ration.base.quantity.UnitSystem;
import ration.physics.breathing.Vents;
import ration.physics.flow.FlowAnswer;
import ration.physics.flow.FlowBasis;
import ration.physics.flow.FlowQuestion;
import ration.physics.flow.Surroundings;
import ration.physics.flow.TankLevel;
import ration.physics.tank.Feed;
import ration.physics.tank.TankBody;
import ration.record.evidence.TankEvidence;
import ration.record.project.Brief;
import ration.record.project.Practice;
import ration.record.project.Project;
import ration.record.project.Unsaid;
import ration.verdict.check.Check;
import ration.verdict.check.Finding;
import ration.verdict.check.Verdict;

/**
 * Everything computed from one project.
 *
 * @param project what was assessed
 * @param problems what is wrong or missing in the layout
 * @param basis answers any further question of this project; empty while a problem blocks
 * @param cases every case of the matrix; empty while a problem blocks
 * @param governing the case with the least margin
 * @param tanks unusable fuel of every tank whose shape closes, in the order of the layout
 * @param vapor the least gap to boiling over the hot day; empty while nothing flows
 * @param hotFuel the same with the tank as warm as in the hot fuel case
 * @param air vents of every tank
 * @param program tests it gets, and what is on record of them
 * @param howSure how well the flow margin is known
 * @param findings everything checked, worst first
 */
public record Assessment(
        Project project,
        List<Problem> problems,
        Optional<FlowBasis> basis,
        List<CaseAnswer> cases,
        Optional<CaseAnswer> governing,
        List<TankAnswer> tanks,
        Optional<VaporAnswer> vapor,
        Optional<VaporAnswer> hotFuel,
        List<AirAnswer> air,
        TestProgram program,
        HowSure howSure,
        List<Finding> findings) {

    public Assessment {
        problems = List.copyOf(problems);
        cases = List.copyOf(cases);
        tanks = List.copyOf(tanks);
        air = List.copyOf(air);
        findings = List.copyOf(findings);
    }

    /** Assesses a project; never fails: what cannot be computed is Not shown and says why. */
    public static Assessment of(Project project) {
        return of(project, Optional.empty());
    }

    /**
     * Assesses a project that came of another by an edit: tanks that it did not touch are taken from there. The answer
     * is the same.
     */
    public static Assessment of(Project project, Optional<Assessment> before) {
        Assessment found = ahead(project, before);
        if (!found.howSure.pending()) {
            return found;
        }
        Assessment bare = found.with(HowSure.NOT_ASKED);
        return found.with(HowSure.whenAsked(() -> Sureness.of(bare, () -> false)));
    }

    /** The same before it is known how sure its flow margin is: that is not shown yet. {@link #sured} finds it out. */
    public static Assessment ahead(Project project, Optional<Assessment> before) {
        try {
            Assessment found = assessed(project, before);
            return found.governing.isEmpty()
                    ? found
                    : found.with(before.filter(b -> sameForFlow(b.project, project))
                            .map(b -> b.howSure)
                            .filter(h -> h != HowSure.NOT_ASKED)
                            .orElse(HowSure.PENDING));
        } catch (IllegalArgumentException
                | IllegalStateException
                | ArithmeticException
                | org.hipparchus.exception.MathRuntimeException
                | java.util.NoSuchElementException e) {
            return failed(project, "Calculation failed on a layout value. Undo the last change.");
        }
    }

    /** Whether an edit left alone all that a margin and how sure it is rest on: a reading or a note does. */
    private static boolean sameForFlow(Project a, Project b) {
        return a.system() == b.system()
                && a.brief() == b.brief()
                && a.tests() == b.tests()
                && a.asBuilt().equals(b.asBuilt());
    }

    /** With how sure its flow margin is worked out; itself where it was, or where nothing governs. */
    public Assessment sured() {
        return sured(() -> false);
    }

    /**
     * The same, given up when asked to.
     *
     * @return itself, how sure it is still not shown, where it was given up
     */
    public Assessment sured(BooleanSupplier stop) {
        if (!howSure.pending()) {
            return this;
        }
        Sureness found = Sureness.of(with(HowSure.NOT_ASKED), stop);
        return stop.getAsBoolean() ? this : with(HowSure.known(found));
    }

    /** How well the flow margin is known; empty where nothing governs. */
    public Optional<Sureness> sure() {
        return howSure.get();
    }

    /** Whether another answers the same questions: only how sure they are may differ. */
    public boolean answersAs(Assessment other) {
        return project == other.project && cases.equals(other.cases);
    }

    private static Assessment assessed(Project project, Optional<Assessment> before) {
        List<Problem> problems = Validation.of(project.system());
        Map<String, TankAnswer> byId = TankAnswer.of(project, before);
        List<TankAnswer> tanks = TankAnswer.inOrder(project, byId);
        if (problems.stream().anyMatch(Problem::blocks)
                || project.brief().demand() <= 0
                || project.system().tanks().isEmpty()) {
            return blocked(project, problems, tanks, before);
        }
        FlowBasis basis = basis(project, tanks.stream().map(TankAnswer::body), before);
        List<CaseAnswer> cases = conditions(project, basis).parallelStream()
                .map(c -> new CaseAnswer(basis, project.brief(), c))
                .toList();
        Optional<CaseAnswer> governing =
                cases.stream().filter(c -> c.judged() && c.answered()).min(Ties.least(CaseAnswer::ratio));
        // four answers that rest on the cases and not on each other
        var vapor = beside(() -> VaporAnswer.of(project, cases, HeatFigure.TANK_FUEL, HeatFigure.NEEDED));
        var hot = beside(() -> VaporAnswer.of(project, cases, HeatFigure.HOT_FUEL, HeatFigure.HOT_NEEDED));
        var air = beside(() -> AirAnswer.of(project, cases, tanks));
        var program = beside(() -> ProofChecks.program(project, Optional.of(basis), tanks, before));
        ForkJoinTask.invokeAll(vapor, hot, air, program);
        List<Finding> findings = new ArrayList<>(Checks.of(List.of(
                new Checks.Group(
                        Check.PROOF_CHECKED, () -> ProofChecks.of(program.join().get())),
                new Checks.Group(Check.FLOW_CHECKED, () -> FlowChecks.of(project, problems, cases, basis)),
                new Checks.Group(
                        Check.FIREWALL_CHECKED,
                        () -> FirewallChecks.of(
                                project.system(), project.brief().choices().basis())),
                new Checks.Group(
                        Check.PATHS_CHECKED,
                        () -> PathChecks.of(
                                project.system(), project.brief().choices().basis())),
                new Checks.Group(Check.PRESSURES_CHECKED, () -> PressureChecks.of(project, basis, cases)),
                new Checks.Group(Check.TANKS_CHECKED, () -> TankChecks.of(project, tanks, basis)),
                new Checks.Group(Check.BUILD_CHECKED, () -> BuildChecks.of(project)),
                new Checks.Group(
                        Check.VAPOR_CHECKED,
                        () -> VaporChecks.of(
                                project, cases, vapor.join().get(), hot.join().get())),
                new Checks.Group(
                        Check.AIR_CHECKED,
                        () -> AirChecks.of(project, cases, tanks, air.join().get(), basis)))));
        findings.addAll(Answered.missing(project, true, tanks, findings));
        Unsaid unsaid = Unsaid.of(project);
        findings.replaceAll(f -> NeedsSaid.said(f, unsaid));
        List<String> wrong = new Assessment(
                        project,
                        problems,
                        Optional.of(basis),
                        cases,
                        governing,
                        List.of(),
                        Optional.empty(),
                        Optional.empty(),
                        List.of(),
                        TestProgram.NONE,
                        HowSure.NOT_ASKED,
                        List.of())
                .contradicted();
        findings.replaceAll(f -> wrong.isEmpty() || !NeedsSaid.restsOnFlow(f)
                ? f
                : f.worse(
                        Verdict.NOT_SHOWN,
                        "Measured shorter than the way between its ends: " + String.join(", ", wrong) + "."));
        Optional<CaseAnswer> open = cases.stream().filter(CaseAnswer::open).findFirst();
        findings.replaceAll(f -> open.isEmpty() || f.check() != Check.VAPOR_GAP && f.check() != Check.VAPOR_HOT_FUEL
                ? f
                : f.worse(
                        Verdict.NOT_SHOWN,
                        "Some cases did not solve: " + open.get().label(project.system(), UnitSystem.US) + "."));
        findings.sort(Checks.WORST_FIRST);
        return new Assessment(
                project,
                problems,
                Optional.of(basis),
                cases,
                governing,
                tanks,
                vapor.join().or(Optional.empty()),
                hot.join().or(Optional.empty()),
                air.join().or(List.of()),
                program.join().or(TestProgram.NONE),
                HowSure.NOT_ASKED,
                findings);
    }

    private static <T> ForkJoinTask<Tried<T>> beside(Supplier<T> work) {
        return ForkJoinTask.adapt(() -> Tried.of(work));
    }

    private Assessment with(HowSure other) {
        return new Assessment(
                project, problems, basis, cases, governing, tanks, vapor, hotFuel, air, program, other, findings);
    }

    /** Runs said to be shorter than the way between their ends: what flows through them is not known. */
    private List<String> contradicted() {
        return problems.stream()
                .filter(Problem::contradicts)
                .map(Problem::item)
                .filter(id -> cases.stream()
                        .anyMatch(c -> c.judged()
                                && (c.capacity().carries(id) || c.demand().carries(id))))
                .map(id -> project.system().item(id).map(i -> i.name()).orElse(id))
                .toList();
    }

    /** Everything checked, worst first; how sure the flow margin is decides on it too. */
    public List<Finding> findings() {
        Optional<Sureness> sure = sure();
        if (sure.isEmpty()) {
            return findings;
        }
        Sureness s = sure.get();
        List<Finding> all = new ArrayList<>(findings);
        // a margin on estimates is not shown on any handle position; samples speak of the case that governs
        Optional<Finding> governs =
                all.stream().filter(f -> f.check() == Check.FLOW_MARGIN).min(Ties.least(Finding::ratio));
        all.replaceAll(f -> f.check() != Check.FLOW_MARGIN
                ? f
                : s.mostlyGuessed()
                        ? f.worse(Verdict.NOT_SHOWN, s.reason())
                        : governs.filter(f::equals).isPresent() ? f.worse(s.verdict(), s.reason()) : f);
        all.add(s.finding());
        all.sort(Checks.WORST_FIRST);
        return List.copyOf(all);
    }

    /** Of a layout with something in it that must be mended first: only what needs no flow is looked at. */
    private static Assessment blocked(
            Project project, List<Problem> problems, List<TankAnswer> tanks, Optional<Assessment> before) {
        List<Finding> findings = Checks.of(List.of(
                new Checks.Group(Check.FLOW_CHECKED, () -> FlowChecks.blocked(project, problems)),
                new Checks.Group(
                        Check.FIREWALL_CHECKED,
                        () -> FirewallChecks.of(
                                project.system(), project.brief().choices().basis())),
                new Checks.Group(Check.TANKS_CHECKED, () -> TankChecks.of(project, tanks, null)),
                new Checks.Group(Check.BUILD_CHECKED, () -> BuildChecks.of(project))));
        return new Assessment(
                project,
                problems,
                Optional.empty(),
                List.of(),
                Optional.empty(),
                tanks,
                Optional.empty(),
                Optional.empty(),
                List.of(),
                ProofChecks.program(project, Optional.empty(), tanks, before),
                HowSure.NOT_ASKED,
                findings.stream().sorted(Checks.WORST_FIRST).toList());
    }

    /**
     * The flow margin of an edited project, before the rest is known: the cases that came nearest to short before the
     * edit, one of each handle position at least, solved anew. The edit may have made another case govern: the whole
     * assessment says so.
     *
     * @return the worst of them; empty while a problem blocks or nothing governed
     */
    public static Optional<CaseAnswer> flowAtOnce(Project project, Assessment before) {
        if (before.governing.isEmpty()
                || Validation.of(project.system()).stream().anyMatch(Problem::blocks)
                || project.brief().demand() <= 0) {
            return Optional.empty();
        }
        FlowBasis basis = basis(project, Optional.of(before));
        Map<Map<String, String>, CaseAnswer.Setting> first = new LinkedHashMap<>();
        List<CaseAnswer.Setting> near = before.nearest(Integer.MAX_VALUE);
        near.forEach(s -> first.putIfAbsent(s.condition().positions(), s));
        List<CaseAnswer.Setting> some = Stream.concat(near.stream().limit(AT_ONCE), first.values().stream())
                .distinct()
                .toList();
        return some.parallelStream()
                .map(s -> new CaseAnswer(
                        basis,
                        project.brief(),
                        new CaseAnswer.Setting(
                                s.condition(),
                                s.filling(),
                                s.pumps(),
                                basis.levels(s.condition()),
                                s.asked(),
                                s.share())))
                .filter(CaseAnswer::answered)
                .min(Ties.least(CaseAnswer::ratio));
    }

    /** Cases solved before all others. */
    private static final int AT_ONCE = 4;

    /** Of a project that could not be assessed: nothing is shown, and the one finding says why. */
    public static Assessment failed(Project project, String why) {
        return new Assessment(
                project,
                List.of(),
                Optional.empty(),
                List.of(),
                Optional.empty(),
                List.of(),
                Optional.empty(),
                Optional.empty(),
                List.of(),
                TestProgram.NONE,
                HowSure.NOT_ASKED,
                List.of(Checks.notShown(Check.FLOW_ASSESSED, "", "Everything computed", why)));
    }

    /** Attitude x position x contents x pump set x clean and fouled, at take-off power. */
    static List<CaseAnswer.Setting> conditions(Project project, FlowBasis basis) {
        List<CaseAnswer.Setting> all = new ArrayList<>();
        Map<Contents, Map<String, Double>> filled = new EnumMap<>(Contents.class);
        for (Contents contents : Contents.values()) {
            filled.put(contents, fill(project, contents, basis.bodies()));
        }
        record Level(Condition condition, Contents contents, Map<String, TankLevel> levels) {}
        List<Level> levels = project.brief().envelope().flown().stream()
                .flatMap(attitude -> Arrays.stream(Contents.values()).map(contents -> Map.entry(attitude, contents)))
                .toList()
                .parallelStream()
                .map(e -> {
                    Condition c = new Condition(
                            e.getKey(),
                            filled.get(e.getValue()),
                            Map.of(),
                            Set.of(),
                            Set.of(),
                            project.brief().fuelKelvin());
                    return new Level(c, e.getValue(), basis.levels(c));
                })
                .toList();
        List<Boolean> states = project.system().hasFilter() ? List.of(false, true) : List.of(false);
        List<PumpSet> pumpSets = PumpSet.of(project.system());
        for (Map<String, String> position : positions(project.system())) {
            for (PumpSet pumps : pumpSets) {
                for (boolean fouled : states) {
                    for (Level level : levels) {
                        all.add(new CaseAnswer.Setting(
                                level.condition()
                                        .withPositions(position)
                                        .withStopped(pumps.stopped())
                                        .withFouled(fouled),
                                Filling.of(level.contents()),
                                pumps,
                                level.levels()));
                    }
                }
            }
        }
        if (all.isEmpty()) {
            return all;
        }
        extra(project, basis, pumpSets, filled, all);
        return all;
    }

    /**
     * Beside steady flight, on clean filters: what the fuel feels on the run and in a gust, cold fuel, one joined tank
     * dry.
     */
    private static void extra(
            Project project,
            FlowBasis basis,
            List<PumpSet> pumpSets,
            Map<Contents, Map<String, Double>> filled,
            List<CaseAnswer.Setting> all) {
        Map<String, Double> low = filled.get(Contents.LAST_USABLE);
        Brief brief = project.brief();
        Attitude level = Attitude.ofDegrees("Level", 0, 0);
        Condition usual = new Condition(level, low, Map.of(), Set.of(), Set.of(), brief.fuelKelvin());
        record Case(Condition condition, Filling filling, Map<String, TankLevel> levels, boolean asked) {}
        List<Case> everywhere = new ArrayList<>();
        for (Practice.Load load : brief.practice().loads(brief.envelope())) {
            Condition c = usual.with(load.attitude());
            everywhere.add(new Case(c, Filling.of(Contents.LAST_USABLE), basis.levels(c), load.asked()));
        }
        if (brief.practice().coldFuel().si() < brief.fuelKelvin()) {
            for (Attitude attitude : brief.envelope().flown()) {
                Condition c = usual.with(attitude)
                        .withFuelKelvin(brief.practice().coldFuel().si());
                everywhere.add(new Case(c, Filling.of(Contents.LAST_USABLE), basis.levels(c), true));
            }
        }
        for (Map<String, String> position : positions(project.system())) {
            List<Case> here = new ArrayList<>(everywhere);
            for (Tank dry : joined(project.system(), position)) {
                for (Attitude attitude : brief.envelope().flown()) {
                    TankBody body = basis.bodies().get(dry.id());
                    // as its outlet just stands clear: 23.951(b) asks for the tank that runs dry first
                    double left = Math.min(
                            dry.unusable().si(),
                            DRY
                                    * body.stranded(attitude.gravity().up(), Feed.GRAVITY)
                                            .volume());
                    // the other full, and as low as it may be: then what holds the line behind the dry outlet is least
                    for (Contents rest : List.of(Contents.FULL, Contents.LAST_USABLE)) {
                        Condition c = usual.with(attitude)
                                .withContents(filled.get(rest))
                                .withContents(dry.id(), left);
                        here.add(new Case(c, Filling.dry(dry.id(), rest), basis.levels(c), true));
                    }
                }
            }
            for (PumpSet pumps : pumpSets) {
                for (Case c : here) {
                    if (c.filling()
                            .dry()
                            .filter(dry -> feedsAlone(
                                    project, basis, c.condition(), position, pumps, dry, filled.get(Contents.FULL)))
                            .isPresent()) {
                        continue;
                    }
                    all.add(new CaseAnswer.Setting(
                            c.condition().withPositions(position).withStopped(pumps.stopped()),
                            c.filling(),
                            pumps,
                            c.levels(),
                            c.asked()));
                }
            }
        }
    }

    /** Whether with these pumps everything comes from the dry tank, so that nobody would run them so. */
    private static boolean feedsAlone(
            Project project,
            FlowBasis basis,
            Condition c,
            Map<String, String> position,
            PumpSet pumps,
            String dry,
            Map<String, Double> full) {
        FlowAnswer a = basis.ask(
                c.withContents(full).withPositions(position).withStopped(pumps.stopped()),
                new FlowQuestion.Demand(project.brief().demand()));
        return a.usable()
                && project.system().tanks().stream()
                        .noneMatch(t -> !t.id().equals(dry)
                                && a.outflow(t) > 0.05 * project.brief().demand());
    }

    /** Just under what stays when an outlet uncovers. */
    private static final double DRY = 0.98;

    /** Tanks whose outlets are joined to another's with the handles so, and so may run dry while that one feeds. */
    private static List<Tank> joined(FuelSystem system, Map<String, String> position) {
        Topology topology = Topology.of(system);
        return system.tanks().stream()
                .filter(t -> !t.outlets().isEmpty()
                        && !topology.joined(t, Passing.untrusted(position, Set.of()))
                                .isEmpty())
                .toList();
    }

    /**
     * With tanks as their tests say, those known already taken as they are; the project must have no blocking problem.
     */
    static FlowBasis basis(Project project, Optional<Assessment> known) {
        Optional<Assessment> same = known.filter(k -> TankAnswer.sameForTanks(k.project(), project));
        return basis(
                project,
                project.system().tanks().stream().map(t -> same.flatMap(k -> k.tanks().stream()
                                .map(TankAnswer::body)
                                .filter(b -> b.tank() == t)
                                .findFirst())
                        .orElseGet(() -> body(project, t))),
                known);
    }

    private static FlowBasis basis(Project project, Stream<TankBody> bodies, Optional<Assessment> before) {
        Heat heat = project.heat();
        return new FlowBasis(
                project.system(),
                project.brief().fuel(),
                project.brief().choices().friction().law(),
                bodies.collect(Collectors.toMap(b -> b.tank().id(), b -> b, (a, b) -> a)),
                new Surroundings(
                        Vents.dynamic(heat.si(HeatFigure.SPEED)),
                        Optional.of(heat.vapor()),
                        -heat.si(HeatFigure.IDLE_VACUUM)),
                before.flatMap(Assessment::basis));
    }

    private static TankBody body(Project project, Tank tank) {
        return TankBody.of(
                tank,
                TankEvidence.of(tank, project.tests(), project.asBuilt())
                        .calibration(tank, project.brief().envelope().parked().si()));
    }

    /** Answers any condition of this project; empty while a problem blocks. */
    public Optional<CaseAnswer> look(Condition condition) {
        return basis.map(b -> new CaseAnswer(b, project.brief(), condition, Filling.SET));
    }

    /** The tank whose placard is furthest short of what stays, or nearest to it. */
    public Optional<TankAnswer> governingTank() {
        return tanks.stream()
                .filter(t -> !t.tank().outlets().isEmpty())
                .min(Ties.least(TankAnswer::ratio).thenComparing(Ties.least(t -> -t.unusable())));
    }

    /** Tanks that feed something and have no answer: the least over the others is not the least. */
    public List<Tank> unansweredTanks() {
        return project.system().tanks().stream()
                .filter(t -> !t.outlets().isEmpty() && tank(t.id()).isEmpty())
                .toList();
    }

    public Optional<TankAnswer> tank(String id) {
        return tanks.stream().filter(t -> t.tank().id().equals(id)).findFirst();
    }

    /** The judged cases with least margin, the least first. */
    public List<CaseAnswer.Setting> nearest(int howMany) {
        return cases.stream()
                .filter(c -> c.judged() && c.answered())
                .sorted(Ties.least(CaseAnswer::ratio))
                .limit(howMany)
                .map(CaseAnswer::setting)
                .toList();
    }

    /** Whether anything can be computed. */
    public boolean blocked() {
        return cases.isEmpty();
    }

    /**
     * Of the governing case; no better than Not shown while a case that had to be answered was not, nor than how sure
     * it is.
     */
    public Verdict flowVerdict() {
        Verdict found = governing.map(CaseAnswer::verdict).orElse(Verdict.NOT_SHOWN);
        Verdict sureOf = sure().map(Sureness::verdict).orElse(Verdict.HOLDS);
        return (cases.stream().anyMatch(CaseAnswer::open) || !contradicted().isEmpty()
                        ? found.worse(Verdict.NOT_SHOWN)
                        : found)
                .worse(sureOf);
    }

    /** Findings that are not yet good: Fails and Not shown. */
    public long open() {
        return findings().stream()
                .filter(f -> f.verdict() == Verdict.FAILS || f.verdict() == Verdict.NOT_SHOWN)
                .count();
    }

    public List<Finding> findingsOn(String item) {
        return findings().stream().filter(f -> f.item().equals(item)).toList();
    }

    /** A condition to start looking from: level, full, first position, everything on. */
    public static Condition start(Project project) {
        Brief brief = project.brief();
        return new Condition(
                Attitude.ofDegrees("Level", 0, 0),
                fill(project, Contents.FULL),
                positions(project.system()).get(0),
                Set.of(),
                Set.of(),
                brief.fuelKelvin());
    }

    /**
     * A condition for a changed project: what still exists stays as set, new tanks are full, new handles stand at their
     * first position.
     */
    public static Condition adapt(Condition before, Project project) {
        Condition fresh = start(project);
        Map<String, Double> contents = new HashMap<>(fresh.contents());
        before.contents().forEach((tank, volume) -> contents.computeIfPresent(tank, (k, v) -> volume));
        Map<String, String> positions = new HashMap<>(fresh.positions());
        before.positions().forEach((id, name) -> project.system()
                .item(id)
                .flatMap(i -> i.only(Selector.class))
                .filter(s -> s.position(name).isPresent())
                .ifPresent(i -> positions.put(id, name)));
        return before.withContents(contents)
                .with(new Handles(positions, known(before.shutValves(), project), known(before.stopped(), project)))
                .with(new Faults(Set.copyOf(before.faults().all().stream()
                        .filter(f -> project.system().item(f.item()).isPresent())
                        .toList())));
    }

    private static Set<String> known(Set<String> ids, Project project) {
        return Set.copyOf(
                ids.stream().filter(id -> project.system().item(id).isPresent()).toList());
    }

    /** Every tank filled alike, m3 by tank id; tanks whose shape does not close are left out. */
    public static Map<String, Double> fill(Project project, Contents contents) {
        Map<String, TankBody> bodies = new HashMap<>();
        for (Tank tank : project.system().tanks()) {
            try {
                bodies.put(tank.id(), body(project, tank));
            } catch (IllegalArgumentException e) {
                // what is wrong with its shape stands among the problems of the layout
            }
        }
        return fill(project, contents, bodies);
    }

    /** Every tank of this project filled alike, m3 by tank id; without building a tank again. */
    public Map<String, Double> fill(Contents contents) {
        return fill(
                project,
                contents,
                tanks.stream().collect(Collectors.toMap(t -> t.tank().id(), TankAnswer::body, (a, b) -> a)));
    }

    private static Map<String, Double> fill(Project project, Contents contents, Map<String, TankBody> bodies) {
        Map<String, Double> volumes = new HashMap<>();
        Point3 parked = project.brief().envelope().attitudes().get(0).gravity().up();
        for (Tank tank : project.system().tanks()) {
            TankBody body = bodies.get(tank.id());
            volumes.put(
                    tank.id(),
                    body == null
                            ? 0
                            : contents.volume(
                                    body.full(parked),
                                    tank.unusable().si(),
                                    project.brief().lowFuel().si()));
        }
        return volumes;
    }

    /** Every combination of handle positions with the engine fed: OFF is left out. */
    public static List<Map<String, String>> positions(FuelSystem system) {
        return Topology.positions(system);
    }
}
