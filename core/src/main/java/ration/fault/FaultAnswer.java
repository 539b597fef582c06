package ration.fault;

import java.util.List;
import java.util.Optional;
import ration.check.Verdict;
import ration.condition.Condition;
import ration.condition.Fault;

/**
 * What one fault does in the case it is worst in.
 *
 * @param fault     what failed
 * @param part      what the part is called
 * @param condition the case, with the fault in it
 * @param share     of take-off demand that arrives at once; NaN where that is not known
 * @param minutes   until less than the demand arrives; 0 at once, infinite where it does not come to that, NaN where not known
 * @param seen      what shows it, of what is fitted, the first first
 * @param wayOut    what a pilot can do, the best; empty where nothing helps or nothing is wanted
 * @param verdict   on it
 * @param why       in words
 */
public record FaultAnswer(Fault fault, String part, Condition condition, double share, double minutes, List<Seen> seen,
        Optional<WayOut> wayOut, Verdict verdict, String why) {

    public FaultAnswer {
        seen = List.copyOf(seen);
    }

    /**
     * Something that shows it.
     *
     * @param what    in words
     * @param minutes after it failed
     */
    public record Seen(String what, double minutes) {
    }

    /**
     * What a pilot can do.
     *
     * @param does  in words
     * @param share of the demand at that power that arrives then
     */
    public record WayOut(String does, double share) {
    }

    /** Minutes between the first thing that shows it and the flow being short; NaN where either is not known. */
    public double lead() {
        return seen.isEmpty() || Double.isNaN(minutes) ? Double.NaN : minutes - seen.get(0).minutes();
    }

    /** In which of four groups it stands. */
    public enum Group {
        NO_WAY_OUT("No way out", "nothing the pilot can switch brings the flow back"),
        TOO_LATE("Seen too late", "seen less than a minute before it is short"),
        WAY_OUT("With a way out", "seen in time, and a switch brings it back"),
        NO_HARM("No harm", "the need is met with nothing done"),
        NOT_SHOWN("Not shown", "not computed: counts as not held");

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
            case SHORT -> wayOut.isEmpty() ? Group.NO_WAY_OUT : Group.TOO_LATE;
        };
    }
}
