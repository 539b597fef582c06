package ration.answer.fault;

import java.util.List;
import ration.verdict.check.Finding;
import ration.verdict.check.Verdict;

/**
 * How many faults there are, and how many are open.
 *
 * @param asked whether they were worked out; where not, nothing is shown of them
 * @param all of them
 * @param shorts how many end short
 * @param notShown how many are not computed
 * @param worst verdict among them; not shown where none was asked
 */
public record FaultSum(boolean asked, int all, int shorts, int notShown, Verdict worst) {

    /** Of what was worked out; null or none where it was not. */
    public static FaultSum of(List<FaultAnswer> found) {
        if (found == null || found.isEmpty()) {
            return new FaultSum(false, 0, 0, 0, Verdict.NOT_SHOWN);
        }
        return new FaultSum(
                true,
                found.size(),
                count(found, Verdict.FAILS),
                count(found, Verdict.NOT_SHOWN),
                found.stream().map(FaultAnswer::verdict).reduce(Verdict.HOLDS, Verdict::worse));
    }

    private static int count(List<FaultAnswer> found, Verdict verdict) {
        return (int) found.stream().filter(f -> f.verdict() == verdict).count();
    }

    /** The share that is not open, for a bar; full only where all is shown and holds. */
    public double ratio() {
        return worst == Verdict.HOLDS || worst == Verdict.THIN
                ? Finding.MET
                : asked ? (all - shorts - notShown) / (double) all : Finding.MISSED;
    }

    /** How many end short, in words. */
    public String shortWords() {
        return asked ? shorts + " failures cut flow" : "failures not run";
    }

    /** How many are not computed, in words; nothing where none was asked. */
    public String notShownWords() {
        return asked ? notShown + " failures Not shown" : "";
    }
}
