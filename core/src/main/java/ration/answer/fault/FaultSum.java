package ration.answer.fault;

import java.util.List;
import java.util.OptionalInt;
import ration.record.upkeep.Upkeep;
import ration.verdict.check.Finding;
import ration.verdict.check.Verdict;

/**
 * How many faults there are, and how many are open.
 *
 * <p>One that waits unseen and then stops the engine with one more counts where no check of the document finds it.
 *
 * @param asked whether they were worked out; where not, nothing is shown of them
 * @param all of them
 * @param shorts how many end short
 * @param notShown how many are not computed
 * @param hidden how many wait unseen, then stop the engine, and have no check; empty where that was not asked
 * @param worst verdict among them; not shown where none was asked
 */
public record FaultSum(boolean asked, int all, int shorts, int notShown, OptionalInt hidden, Verdict worst) {

    /** Of what was worked out; null or none where it was not. */
    public static FaultSum of(List<FaultAnswer> found) {
        if (found == null || found.isEmpty()) {
            return new FaultSum(false, 0, 0, 0, OptionalInt.empty(), Verdict.NOT_SHOWN);
        }
        return new FaultSum(
                true,
                found.size(),
                count(found, Verdict.FAILS),
                count(found, Verdict.NOT_SHOWN),
                OptionalInt.empty(),
                found.stream().map(FaultAnswer::verdict).reduce(Verdict.HOLDS, Verdict::worse));
    }

    /**
     * With those that wait unseen.
     *
     * @param pairs null where they were not asked
     * @param upkeep whose checks find them
     */
    public FaultSum with(HiddenSearch pairs, Upkeep upkeep) {
        if (!asked) {
            return this;
        }
        if (pairs == null) {
            return new FaultSum(true, all, shorts, notShown, OptionalInt.empty(), worst.worse(Verdict.NOT_SHOWN));
        }
        int open = HiddenChecks.without(pairs, upkeep).size();
        Verdict and = open > 0 ? Verdict.FAILS : pairs.finished() ? Verdict.HOLDS : Verdict.NOT_SHOWN;
        return new FaultSum(true, all, shorts, notShown, OptionalInt.of(open), worst.worse(and));
    }

    /** A failure in words: the part, and what fails of it. */
    public static String title(FaultAnswer f) {
        return f.part() + " " + Catalogue.words(f.fault());
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

    /** How many wait unseen without a check, in words; nothing where no failure was asked at all. */
    public String hiddenWords() {
        return !asked
                ? ""
                : hidden.isEmpty()
                        ? "hidden failures not run"
                        : hidden.getAsInt() == 0
                                ? ""
                                : hidden.getAsInt()
                                        + (hidden.getAsInt() == 1 ? " hidden failure" : " hidden failures")
                                        + " without a check";
    }

    /** How many are not computed, in words; nothing where none was asked. */
    public String notShownWords() {
        return asked ? notShown + " failures Not shown" : "";
    }
}
