package ration.answer.assess;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ForkJoinTask;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import ration.aircraft.heat.Heat;
import ration.aircraft.heat.HeatFigure;
import ration.aircraft.model.Problem;
import ration.aircraft.model.Validation;
import ration.answer.proof.TestProgram;
import ration.base.quantity.UnitSystem;
import ration.physics.breathing.Vents;
import ration.physics.flow.FlowBasis;
import ration.physics.flow.Surroundings;
import ration.physics.tank.TankBody;
import ration.record.project.Project;
import ration.record.project.Unsaid;
import ration.verdict.check.Check;
import ration.verdict.check.Finding;
import ration.verdict.check.Verdict;

/** Works an assessment out: the matrix of cases, the answers that rest on them side by side, the checks. */
final class Assessor {

    /** What is the worst of every case: not shown while one of them did not solve. */
    private static final Set<Check> OVER_EVERY_CASE =
            EnumSet.of(Check.VAPOR_GAP, Check.VAPOR_HOT_FUEL, Check.AIR_RETURN_VAPOR);

    private Assessor() {}

    static Assessment of(Project project, Optional<Assessment> before) {
        List<Problem> problems = Validation.of(project.system());
        Map<String, TankAnswer> byId = TankAnswer.of(project, before);
        List<TankAnswer> tanks = TankAnswer.inOrder(project, byId);
        if (problems.stream().anyMatch(Problem::blocks)
                || project.brief().demand() <= 0
                || project.system().tanks().isEmpty()) {
            return blocked(project, problems, tanks, before);
        }
        FlowBasis basis = basis(project, tanks.stream().map(TankAnswer::body), before);
        List<CaseAnswer> cases = Matrix.of(project, basis).parallelStream()
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
                new Checks.Group(Check.SENDERS_CHECKED, () -> SenderChecks.of(project, cases)),
                new Checks.Group(Check.FILTERS_CHECKED, () -> FilterChecks.of(project)),
                new Checks.Group(Check.PRESSURES_CHECKED, () -> PressureChecks.of(project, basis, cases)),
                new Checks.Group(Check.TANKS_CHECKED, () -> TankChecks.of(project, tanks, basis)),
                new Checks.Group(Check.BUILD_CHECKED, () -> BuildChecks.of(project)),
                new Checks.Group(
                        Check.VAPOR_CHECKED,
                        () -> VaporChecks.of(
                                project,
                                cases,
                                tanks,
                                vapor.join().get(),
                                hot.join().get())),
                new Checks.Group(
                        Check.RETURNS_CHECKED,
                        () -> ReturnVaporChecks.of(project, cases, air.join().get())),
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
        findings.replaceAll(f -> open.isEmpty() || !OVER_EVERY_CASE.contains(f.check())
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
    static Optional<CaseAnswer> flowAtOnce(Project project, Assessment before) {
        if (before.governing().isEmpty()
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
                        .orElseGet(() -> StartingCase.body(project, t))),
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
}
