package ration.answer.assess;

import java.util.Comparator;
import java.util.List;
import java.util.function.Supplier;
import ration.verdict.check.Check;
import ration.verdict.check.Finding;
import ration.verdict.check.Verdict;

/** What all groups of checks have in common: none may fail unheard, and the worst comes first. */
final class Checks {

    static final String PRACTICE = "Common practice, no source";

    /** Fails, Not shown, Thin, Holds; within each by ratio. */
    static final Comparator<Finding> WORST_FIRST =
            Comparator.comparing(Finding::verdict).reversed().thenComparing(Ties.least(Finding::ratio));

    /**
     * Some checks that stand or fall together.
     *
     * @param fails what is not shown if they fail
     */
    record Group(Check fails, Supplier<List<Finding>> checks) {

        /** Checks that fail say so as one finding that is not shown. */
        private List<Finding> findings() {
            try {
                return checks.get();
            } catch (RuntimeException | Error e) {
                Tried.log(e);
                return List.of(notShown(
                        fails,
                        "",
                        fails.title(),
                        "These checks stopped with an error; their results are unknown. Undo the last change."));
            }
        }
    }

    private Checks() {}

    /** Asked side by side; what a group says stands whatever becomes of the others. */
    static List<Finding> of(List<Group> groups) {
        return groups.parallelStream()
                .map(Group::findings)
                .flatMap(List::stream)
                .toList();
    }

    /** What could not be looked at: never good, and says why. */
    static Finding notShown(Check check, String of, String title, String why) {
        return new Finding(check, of, title, "", Verdict.NOT_SHOWN, Finding.MISSED, u -> why, PRACTICE, "");
    }

    /** A finding whose bar is full where it is met by more, and that asks for nothing where it holds. */
    static Finding finding(
            Check check,
            String of,
            String title,
            String item,
            Verdict verdict,
            double ratio,
            Finding.Wording detail,
            String source,
            String remedy) {
        return new Finding(
                check,
                of,
                title,
                item,
                verdict,
                Math.min(Finding.MET, ratio),
                detail,
                source,
                verdict == Verdict.HOLDS ? "" : remedy);
    }
}
