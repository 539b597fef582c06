package ration.answer.assess;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import ration.aircraft.condition.Condition;
import ration.aircraft.condition.Contents;
import ration.aircraft.model.Problem;
import ration.aircraft.model.Validation;
import ration.physics.flow.FlowBasis;
import ration.physics.flow.FlowQuestion;
import ration.record.project.Project;
import ration.record.project.Unsaid;
import ration.verdict.check.Verdict;

/**
 * The least flow margin over the judged cases, and nothing else: for changes that are only tried.
 *
 * @param setting the case that governs
 * @param margin capacity over demand in it
 * @param factor what it should be
 * @param said whether somebody said all that it rests on
 */
public record LeastMargin(CaseAnswer.Setting setting, double margin, double factor, boolean said) {

    public Condition condition() {
        return setting.condition();
    }

    public double ratio() {
        return margin / factor;
    }

    public Verdict verdict() {
        return Verdict.atLeast(margin, factor).shownIf(said);
    }

    /** Of all cases of a project; empty while a problem blocks or nothing is judged. */
    public static Optional<LeastMargin> of(Project project, Optional<Assessment> known) {
        if (Validation.of(project.system()).stream().anyMatch(Problem::blocks)
                || project.brief().demand() <= 0
                || project.system().tanks().isEmpty()) {
            return Optional.empty();
        }
        FlowBasis basis = Assessor.basis(project, known);
        return least(project, basis, Matrix.of(project, basis).parallelStream());
    }

    /**
     * Of these cases only, their levels found anew: for small changes of figures, under which other cases stay far.
     * Empty while a problem blocks. In the caller's thread: who tries changes tries many at once.
     */
    public static Optional<LeastMargin> of(
            Project project, List<CaseAnswer.Setting> cases, Optional<Assessment> known) {
        return Validation.of(project.system()).stream().anyMatch(Problem::blocks)
                ? Optional.empty()
                : of(project, Assessor.basis(project, known), cases);
    }

    /** The same of a project that no problem blocks, on a basis that its other answers share. */
    static Optional<LeastMargin> of(Project project, FlowBasis basis, List<CaseAnswer.Setting> cases) {
        return least(
                project,
                basis,
                cases.stream()
                        .map(c -> new CaseAnswer.Setting(
                                c.condition(), c.filling(), c.pumps(), basis.levels(c.condition()), c.asked())));
    }

    /**
     * Whether one of these cases fails in another layout of the aircraft, filled as that would be: they are cases of
     * its own matrix, so where one fails, it fails. One with a tank dry is left out. The first that fails ends it.
     */
    public static boolean fails(Project project, List<CaseAnswer.Setting> cases, Optional<Assessment> known) {
        if (Validation.of(project.system()).stream().anyMatch(Problem::blocks)) {
            return false;
        }
        FlowBasis basis = Assessor.basis(project, known);
        Map<Contents, Map<String, Double>> filled = new EnumMap<>(Contents.class);
        return cases.stream().filter(c -> c.filling().dry().isEmpty()).anyMatch(c -> {
            Condition then = c.filling()
                    .level()
                    .map(l -> c.condition()
                            .withContents(
                                    filled.computeIfAbsent(l, x -> StartingCase.filled(project, x, basis.bodies()))))
                    .orElse(c.condition());
            CaseAnswer.Setting s = new CaseAnswer.Setting(then, c.filling(), c.pumps(), basis.levels(then), c.asked());
            return least(project, basis, Stream.of(s))
                    .filter(m -> m.ratio() < 1)
                    .isPresent();
        });
    }

    private static Optional<LeastMargin> least(Project project, FlowBasis basis, Stream<CaseAnswer.Setting> cases) {
        boolean said = Unsaid.of(project).flowSaid();
        return cases.filter(c -> CaseAnswer.judged(project.brief(), c))
                .map(c -> {
                    double flow = basis.ask(c.condition(), c.levels(), new FlowQuestion.Capacity())
                            .inletFlow();
                    double need = project.brief().demand()
                            * c.condition().engine().power().demandShare();
                    return new LeastMargin(c, flow / need, CaseAnswer.factor(project.brief(), c.condition()), said);
                })
                .min(Ties.least(LeastMargin::ratio));
    }
}
