package ration.remedy;

import java.util.Locale;
import ration.model.Measured;
import ration.quantity.Dimension;
import ration.quantity.Unit;

/**
 * How far a measured figure may be off. What is written behind it ({@code tape \u00b11/8 in}) counts; otherwise it follows
 * from how it was measured. The defaults are common practice, no source; all are taken as two standard deviations.
 */
public final class Tolerances {

    private Tolerances() {
    }

    /** The tolerance of a figure, SI. */
    public static double of(Measured m) {
        return m.statedTolerance().orElseGet(() -> usual(m));
    }

    private static double usual(Measured m) {
        String by = m.by().toLowerCase(Locale.ROOT);
        boolean length = m.quantity().unit().dimension() == Dimension.LENGTH;
        double size = Math.abs(m.si());
        return switch (by) {
            case "level" -> length ? Unit.INCH.toSi(0.1) : 0.02 * size;
            case "gauge", "caliper" -> length ? Unit.INCH.toSi(0.003) : 0.02 * size;
            case "tape" -> length ? Unit.INCH.toSi(0.25) : 0.05 * size;
            case "bench", "water" -> 0.05 * size;
            case "tag", "maker" -> length ? 0.02 * size : 0.10 * size;
            case "estimate", "" -> length ? Math.min(Unit.INCH.toSi(1), 0.25 * size) : 0.20 * size;
            default -> length ? Math.min(Unit.INCH.toSi(0.5), 0.25 * size) : 0.10 * size;
        };
    }
}
