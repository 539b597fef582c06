package ration.answer.fault;

import java.util.List;
import java.util.Optional;
import ration.aircraft.condition.Condition;
import ration.aircraft.condition.Fault;
import ration.verdict.check.Verdict;

/**
 * What one fault does in the case it is worst in.
 *
 * @param fault what failed
 * @param part what the part is called
 * @param condition the case, with the fault in it
 * @param where the case in words
 * @param harm what it does there
 * @param share of what the engine takes that arrives at once, the least of all cases; NaN where that is not known
 * @param minutes until less than the demand arrives, the least of all cases; 0 at once, infinite where it does not come
 *     to that, NaN where not known
 * @param seen what shows it, of what is fitted, the first first
 * @param wayOut what a pilot can do, the best; empty where nothing helps or nothing is wanted
 * @param verdict on it
 * @param why in words
 */
public record FaultAnswer(
        Fault fault,
        String part,
        Condition condition,
        String where,
        Harm harm,
        double share,
        double minutes,
        List<Seen> seen,
        Optional<WayOut> wayOut,
        Verdict verdict,
        String why) {

    public FaultAnswer {
        seen = List.copyOf(seen);
    }

    /** What a failure does to the engine. */
    public enum Harm {
        /** Nothing that is asked here. */
        NONE,
        /** Less arrives than it takes. */
        LACK,
        /** Its inlet stands over the most pressure it takes. */
        PRESSURE,
        /** The fuel boils on its way on the hot day. */
        BOILS,
        /** Enough arrives at first: air that is shut in thins. */
        THINS,
        /** It is not computed. */
        BEYOND
    }

    /**
     * Something that shows it.
     *
     * @param what in words
     * @param minutes after it failed
     */
    public record Seen(String what, double minutes) {}

    /**
     * What a pilot can do.
     *
     * @param does in words
     * @param share of the demand at that power that arrives then
     */
    public record WayOut(String does, double share) {}

    FaultAnswer with(Verdict other, String words) {
        return new FaultAnswer(fault, part, condition, where, harm, share, minutes, seen, wayOut, other, words);
    }

    FaultAnswer withShare(double other) {
        return new FaultAnswer(fault, part, condition, where, harm, other, minutes, seen, wayOut, verdict, why);
    }

    FaultAnswer withMinutes(double other) {
        return new FaultAnswer(fault, part, condition, where, harm, share, other, seen, wayOut, verdict, why);
    }

    /** Minutes between the first thing that shows it and the flow being short; NaN where either is not known. */
    public double lead() {
        return seen.isEmpty() || Double.isNaN(minutes)
                ? Double.NaN
                : minutes - seen.get(0).minutes();
    }

    /** In which of four groups it stands. */
    public enum Group {
        NO_WAY_OUT("No pilot action", "nothing the pilot can switch restores flow"),
        TOO_LATE("Warning too late", "under 1 min before flow drops below demand"),
        WAY_OUT("Recoverable", "indicated in time, pilot action restores flow"),
        NO_HARM("Flow still meets demand", "no pilot action needed for flow"),
        NOT_SHOWN("Not shown", "not computed; never counts as good");

        private final String label;
        private final String words;

        Group(String label, String words) {
            this.label = label;
            this.words = words;
        }

        public String label() {
            return label;
        }

        public String words() {
            return words;
        }
    }

    public Group group() {
        return switch (verdict) {
            case NOT_SHOWN -> Group.NOT_SHOWN;
            case HOLDS -> Group.NO_HARM;
            case THIN -> Group.WAY_OUT;
            case FAILS -> wayOut.isEmpty() ? Group.NO_WAY_OUT : Group.TOO_LATE;
        };
    }
}
