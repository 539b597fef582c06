package ration.answer.assess;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import ration.aircraft.condition.Condition;
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
        if (Validation.of(project.system()).stream().anyMatch(Problem::blocks)) {
            return Optional.empty();
        }
        FlowBasis basis = Assessor.basis(project, known);
        return least(
                project,
                basis,
                cases.stream()
                        .map(c -> new CaseAnswer.Setting(
                                c.condition(), c.filling(), c.pumps(), basis.levels(c.condition()), c.asked())));
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
