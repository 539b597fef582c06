package ration.answer.find;

import java.util.List;
import java.util.Optional;
import ration.aircraft.condition.Fault;

/**
 * A cause as it stands after the readings.
 *
 * @param kind what it is
 * @param name of the part, or what else it is
 * @param how it failed
 * @param fault as bad as fits best; empty where nothing failed
 * @param belief share, 0 to 1; all add up to 1
 * @param fits how each reading fits
 */
public record Explanation(
        CauseKind kind, String name, String how, Optional<Fault> fault, double belief, List<Fit> fits) {

    public Explanation {
        fits = List.copyOf(fits);
    }

    /**
     * One reading under this cause.
     *
     * @param expected SI; not a number where anything would do
     * @param deviation of what was read from it, in errors of instrument and model together
     */
    public record Fit(double expected, double deviation) {

        /** Within one error, up to three, beyond; any where nothing is foretold. */
        public Match match() {
            double d = Math.abs(deviation);
            return Double.isNaN(expected) ? Match.ANY : d <= 1 ? Match.FITS : d <= 3 ? Match.POOR : Match.CONTRADICTS;
        }

        public String word() {
            return match().word();
        }
    }

    /** How a reading matches what a cause foretells. */
    public enum Match {
        ANY("any"),
        FITS("fits"),
        POOR("poor fit"),
        CONTRADICTS("contradicts");

        private final String word;

        Match(String word) {
            this.word = word;
        }

        public String word() {
            return word;
        }
    }

    /** Whether it is the cause in four of ten such cases or more. */
    public boolean likely() {
        return belief >= 0.4;
    }

    /** Likely from 40%, possible from 10%. */
    public String word() {
        return likely() ? "likely" : belief >= 0.1 ? "possible" : "unlikely";
    }

    /** Whether a reading speaks against it by more than three errors. */
    public boolean ruledOut() {
        return fits.stream().anyMatch(f -> !Double.isNaN(f.expected()) && Math.abs(f.deviation()) > 3);
    }
}
