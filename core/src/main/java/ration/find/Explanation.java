package ration.find;

import java.util.List;
import java.util.Optional;
import ration.condition.Fault;

/**
 * A cause as it stands after the readings.
 *
 * @param name of the part, or what else it is
 * @param how it failed
 * @param fault as bad as fits best; empty where nothing failed
 * @param belief share, 0 to 1; all add up to 1
 * @param fits how each reading fits
 */
public record Explanation(String name, String how, Optional<Fault> fault, double belief, List<Fit> fits) {

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

        /** fits within one error, strained up to three, against beyond. */
        public String word() {
            double d = Math.abs(deviation);
            return Double.isNaN(expected) ? "any" : d <= 1 ? "fits" : d <= 3 ? "strained" : "against";
        }
    }

    /** Likely from 40 %, possible from 10 %. */
    public String word() {
        return belief >= 0.4 ? "likely" : belief >= 0.1 ? "possible" : "unlikely";
    }

    /** Whether a reading speaks against it by more than three errors. */
    public boolean ruledOut() {
        return fits.stream().anyMatch(f -> !Double.isNaN(f.expected()) && Math.abs(f.deviation()) > 3);
    }
}
