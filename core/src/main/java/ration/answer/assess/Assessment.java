package ration.answer.assess;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import java.util.stream.Collectors;
import ration.aircraft.condition.Condition;
import ration.aircraft.condition.Contents;
import ration.aircraft.model.Problem;
import ration.aircraft.model.Tank;
import ration.answer.proof.TestProgram;
import ration.physics.flow.FlowBasis;
import ration.record.project.Project;
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

    /** The same, how sure its flow margin is left out: for changes that are only tried. */
    public static Assessment bare(Project project, Optional<Assessment> before) {
        Assessment found = ahead(project, before);
        return found.howSure.pending() ? found.with(HowSure.NOT_ASKED) : found;
    }

    /** The same before it is known how sure its flow margin is: that is not shown yet. {@link #sured} finds it out. */
    public static Assessment ahead(Project project, Optional<Assessment> before) {
        try {
            Assessment found = Assessor.of(project, before);
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

    /**
     * Whether another answers the same questions: only how sure they are may differ, which is found out after the rest.
     * What rests on cases and figures alone need not be asked anew then.
     *
     * @param other null where nothing was asked yet
     */
    public boolean answersAs(Assessment other) {
        return this == other || other != null && project == other.project && cases.equals(other.cases);
    }

    private Assessment with(HowSure other) {
        return new Assessment(
                project, problems, basis, cases, governing, tanks, vapor, hotFuel, air, program, other, findings);
    }

    /** Runs said to be shorter than the way between their ends: what flows through them is not known. */
    List<String> contradicted() {
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

    /**
     * The flow margin of an edited project, before the rest is known: the cases that came nearest to short before the
     * edit, one of each handle position at least, solved anew. The edit may have made another case govern: the whole
     * assessment says so.
     *
     * @return the worst of them; empty while a problem blocks or nothing governed
     */
    public static Optional<CaseAnswer> flowAtOnce(Project project, Assessment before) {
        return Assessor.flowAtOnce(project, before);
    }

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

    /** Everything that is asked, each once with the test that shows it; worst first. */
    public List<Asked> asked() {
        return Asked.of(findings());
    }

    /** What of it is not yet good: Fails and Not shown. */
    public long open() {
        return asked().stream().filter(Asked::open).count();
    }

    public List<Finding> findingsOn(String item) {
        return findings().stream().filter(f -> f.item().equals(item)).toList();
    }

    /** Every tank of this project filled alike, m3 by tank id; without building a tank again. */
    public Map<String, Double> fill(Contents contents) {
        return StartingCase.filled(
                project,
                contents,
                tanks.stream().collect(Collectors.toMap(t -> t.tank().id(), TankAnswer::body, (a, b) -> a)));
    }
}
