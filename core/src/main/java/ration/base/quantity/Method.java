package ration.base.quantity;

import java.util.Arrays;
import java.util.Comparator;
import java.util.Locale;
import java.util.Optional;

/**
 * How a figure came about, and how far it may be off then, as two standard deviations. Common practice, no source. What
 * is written behind the word is the builder's own; a word that is not among these counts as an estimate.
 */
public enum Method {
    LEVEL("level", 0.1, 0.02),
    TAPE("tape", 0.25, 0.05),
    CALIPER("caliper", 0.003, 0.02),
    GAUGE("gauge", 0.003, 0.02),
    BENCH("bench", Double.NaN, 0.05),
    CAN("can", Double.NaN, 0.05),
    CLOCK("clock", Double.NaN, 0.05),
    THERMOMETER("thermometer", Double.NaN, 0.05),
    WRENCH("wrench", Double.NaN, 0.05),
    WATER("water", Double.NaN, 0.05),
    COLUMN("column of water", Double.NaN, 0.05),
    COUNTED("counted", Double.NaN, 0.02),
    DRAIN_TEST("drain test", Double.NaN, 0.05),
    FLIGHT_TEST("flight test", Double.NaN, 0.05),
    MARKS("marks", Double.NaN, 0.05),
    FIT("fitted to a flow test", Double.NaN, 0.05),
    DRAWING("drawing", 0.25, 0.05),
    TAG("tag", Double.NaN, 0.10),
    MAKER("maker", Double.NaN, 0.10),
    PRINT("print", Double.NaN, 0.10),
    CONFIRMED("confirmed by the builder", 0.5, 0.10),
    ESTIMATE("estimate", 1, 0.20),
    ASSUMED("assumed", 1, 0.20);

    /** A length by tag or maker is off by this share. */
    private static final double PRINTED = 0.02;
    /** No length is taken to be off by more than this share. */
    private static final double MOST = 0.25;

    private final String word;
    private final double inches;
    private final double share;

    Method(String word, double inches, double share) {
        this.word = word;
        this.inches = inches;
        this.share = share;
    }

    /** As it is written. */
    public String word() {
        return word;
    }

    /** Whether nobody measured it. */
    public boolean guessed() {
        return this == ESTIMATE || this == ASSUMED;
    }

    /** How a figure came about; an estimate where nothing known is written. */
    public static Method of(Measured m) {
        return written(m.by()).orElse(ESTIMATE);
    }

    /** The way with whose word a text begins; empty where none does. */
    public static Optional<Method> written(String text) {
        String by = text.toLowerCase(Locale.ROOT);
        return Arrays.stream(values())
                .filter(x -> by.startsWith(x.word)
                        && (by.length() == x.word.length() || !Character.isLetter(by.charAt(x.word.length()))))
                .max(Comparator.comparingInt(x -> x.word.length()));
    }

    /** How far a figure may be off, SI: what is written behind it, else what is usual for how it came about. */
    public static double tolerance(Measured m) {
        return m.statedTolerance().orElseGet(() -> of(m).usual(m));
    }

    private double usual(Measured m) {
        double size = Math.abs(m.si());
        if (m.quantity().unit().dimension() != Dimension.LENGTH) {
            return share * size;
        }
        double most = this == TAG || this == MAKER || this == PRINT
                ? PRINTED * size
                : Double.isNaN(inches)
                        ? Math.min(share * size, Unit.INCH.toSi(ESTIMATE.inches))
                        : Unit.INCH.toSi(inches);
        return this == CONFIRMED || guessed() ? Math.min(most, MOST * size) : most;
    }

    /** Where a figure is from, as a source is named: the maker's only where that is written. */
    public static String source(Measured m) {
        return of(m) == MAKER
                ? "figure from the manufacturer"
                : m.by().isBlank() ? "source of the figure unknown" : "figure: " + m.by();
    }

    /** In words, for a list to choose from. */
    public String words() {
        String length = this == TAG || this == MAKER || this == PRINT
                ? "2 %"
                : Double.isNaN(inches)
                        ? percent(share)
                        : "\u00b1"
                                + (inches == Math.rint(inches) ? String.valueOf((int) inches) : String.valueOf(inches))
                                + " in";
        return word + ": lengths " + length + ", other figures " + percent(share);
    }

    private static String percent(double share) {
        return Math.round(100 * share) + " %";
    }
}
