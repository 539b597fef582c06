package ration.answer.proof;

import java.util.Optional;
import java.util.OptionalDouble;
import ration.verdict.check.Finding;
import ration.verdict.check.Finding.Wording;
import ration.verdict.check.Measure;
import ration.verdict.check.Verdict;

/**
 * What a record says against what is asked.
 *
 * @param verdict on it
 * @param ratio for the notch bar
 * @param needs what is asked
 * @param predicted what the model says this test would read; empty where it says nothing
 * @param measured what was read
 * @param words in a sentence
 * @param measure the figure against its limit, where it comes down to one
 * @param forecast what the model says the figure of the measure would be, SI; empty where it says nothing
 */
public record Outcome(
        Verdict verdict,
        double ratio,
        Wording needs,
        Wording predicted,
        Wording measured,
        Wording words,
        Optional<Measure> measure,
        OptionalDouble forecast) {

    private static final Wording NOTHING = u -> "";

    /** Seen, not measured. */
    static Outcome seen(Verdict verdict, String needs, String measured, String words) {
        return new Outcome(
                verdict,
                verdict == Verdict.HOLDS
                        ? Finding.MET
                        : verdict == Verdict.THIN ? 1 + Verdict.THIN_SHARE / 2 : Finding.MISSED,
                u -> needs,
                NOTHING,
                u -> measured,
                u -> words,
                Optional.empty(),
                OptionalDouble.empty());
    }

    /** A figure against a limit. */
    static Outcome measured(
            Verdict verdict,
            double ratio,
            Measure measure,
            Wording needs,
            Wording predicted,
            Wording measured,
            Wording words) {
        return new Outcome(
                verdict,
                Math.max(0, Math.min(Finding.MET, ratio)),
                needs,
                predicted,
                measured,
                words,
                Optional.of(measure),
                OptionalDouble.empty());
    }

    /** Nothing can be said of it, and why; what is predicted stands beside. */
    static Outcome open(Wording needs, Wording predicted, Wording measured, Wording words) {
        return new Outcome(
                Verdict.NOT_SHOWN,
                Finding.MISSED,
                needs,
                predicted,
                measured,
                words,
                Optional.empty(),
                OptionalDouble.empty());
    }

    /** The same figures, not shown, and why. */
    Outcome notShown(Wording why) {
        return new Outcome(
                verdict == Verdict.FAILS ? Verdict.FAILS : Verdict.NOT_SHOWN,
                Math.min(ratio, 1),
                needs,
                predicted,
                measured,
                u -> words.in(u) + " " + why.in(u),
                measure,
                forecast);
    }

    /** The same, what is predicted as a figure too. */
    Outcome forecast(double figure) {
        return new Outcome(verdict, ratio, needs, predicted, measured, words, measure, OptionalDouble.of(figure));
    }
}
