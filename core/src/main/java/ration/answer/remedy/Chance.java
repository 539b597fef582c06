package ration.answer.remedy;

import java.util.List;
import java.util.Optional;
import ration.answer.assess.Assessment;
import ration.answer.assess.CaseAnswer;
import ration.answer.assess.Draws;
import ration.base.task.Task;

/**
 * How often the margin would be short if the measured figures are off by as much as they may be: {@link Draws} over the
 * cases that come nearest to short. The ledger counts the same.
 *
 * @param samples drawn
 * @param shorts of them, how many were short
 * @param low margin that one sample in twenty lies under
 * @param middle half of them lie under
 * @param high nineteen in twenty lie under
 */
public record Chance(int samples, int shorts, double low, double middle, double high) {

    private static final int NEAREST_CASES = 4;

    /** Share of samples that are short. */
    public double share() {
        return samples == 0 ? 0 : (double) shorts / samples;
    }

    /**
     * Samples a project; the same seed gives the same answer, however many threads help.
     *
     * @return empty if nothing is computed or the task is cancelled
     */
    public static Optional<Chance> of(Assessment assessment, long seed, int samples, Task task) {
        List<CaseAnswer.Setting> nearest = assessment.nearest(NEAREST_CASES);
        return nearest.isEmpty()
                ? Optional.empty()
                : Draws.sample(
                                assessment.project(),
                                nearest,
                                Optional.of(assessment),
                                seed,
                                samples,
                                task.progress(),
                                task.cancelled())
                        .map(s -> new Chance(
                                samples,
                                s.shorts(),
                                s.margins()[(int) (0.05 * (samples - 1))],
                                s.margins()[(samples - 1) / 2],
                                s.margins()[(int) (0.95 * (samples - 1))]));
    }
}
