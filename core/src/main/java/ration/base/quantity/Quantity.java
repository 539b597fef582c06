package ration.base.quantity;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A finite number with the unit it was written in.
 *
 * @param value the number as written, finite
 * @param unit the unit as written
 */
public record Quantity(double value, Unit unit) {

    /** Largest magnitude accepted from people and files; far outside anything an aircraft holds. */
    public static final double LIMIT = 1e9;

    private static final Pattern WRITTEN =
            Pattern.compile("\\s*([+\\-\u2212]?)\\s*(?:(\\d+)[\\s-]+(\\d+)\\s*/\\s*(\\d+)|(\\d+)\\s*/\\s*(\\d+)"
                    // groups of thousands: by a gap, by commas, by a comma before a point
                    + "|(\\d{1,3}(?:[ \u2009\u00a0\u202f]\\d{3})+(?:[.,]\\d+)?(?!\\d)"
                    + "|\\d{1,3}(?:,\\d{3}){2,}(?:\\.\\d+)?(?!\\d)"
                    + "|\\d{1,3},\\d{3}\\.\\d+|\\d+(?:[.,]\\d*)?|[.,]\\d+))\\s*(.*?)\\s*");

    /** Lengths meant in these are places and sizes in the aircraft; altitudes are meant in feet. */
    private static final java.util.Set<Unit> IN_THE_AIRCRAFT =
            java.util.EnumSet.of(Unit.INCH, Unit.MILLIMETRE, Unit.CENTIMETRE);
    /** No place in an aircraft lies further from its datum, m. */
    private static final double FARTHEST = 100;

    private static final String FARTHEST_WORDS = "\u2212100 and 100 m";

    /** A comma before exactly three digits: thousands to one writer, a decimal to another. */
    private static final Pattern THOUSANDS = Pattern.compile("[1-9]\\d{0,2},\\d{3}");

    public Quantity {
        Objects.requireNonNull(unit, "unit");
        if (!Double.isFinite(value)) {
            throw new IllegalArgumentException("A quantity must be a finite number, not " + value);
        }
    }

    public static Quantity of(double value, Unit unit) {
        return new Quantity(value, unit);
    }

    public static Quantity ofSi(double si, Unit unit) {
        return new Quantity(unit.fromSi(si), unit);
    }

    /** The value in SI; see {@link Unit} for the bases. */
    public double si() {
        return unit.toSi(value);
    }

    /** The same quantity written in another unit of the same dimension. */
    public Quantity in(Unit other) {
        if (other.dimension() != unit.dimension()) {
            throw new IllegalArgumentException(unit + " does not convert to " + other);
        }
        return other == unit ? this : ofSi(si(), other);
    }

    /**
     * Reads what people write: {@code 3/8}, {@code 52 1/2}, {@code 7.7 mm}, {@code 1,5 L}, {@code 8,000 ft}. A comma
     * before exactly three digits is a group of thousands beside feet, gallons and the like; beside a metric unit,
     * {@code 12,500 mm}, it may mean either and is asked back. Figures beyond what an aircraft holds are refused; see
     * {@link Dimension#holds}.
     *
     * @param text what was written
     * @param fallback the unit meant when none is written; also fixes the dimension
     * @throws QuantityFormatException with a sentence for the writer if it is not such a quantity
     */
    public static Quantity parse(String text, Unit fallback) {
        Matcher m = WRITTEN.matcher(text == null ? "" : text);
        if (text == null || text.isBlank() || text.length() > 60 || !m.matches()) {
            throw new QuantityFormatException(text, fallback);
        }
        double magnitude;
        if (m.group(2) != null) {
            magnitude = number(m.group(2)) + fraction(m.group(3), m.group(4), text, fallback);
        } else if (m.group(5) != null) {
            magnitude = fraction(m.group(5), m.group(6), text, fallback);
        } else {
            magnitude = Double.NaN;
        }
        Unit unit = m.group(8).isEmpty()
                ? fallback
                : Unit.named(m.group(8)).orElseThrow(() -> new QuantityFormatException(text, fallback));
        if (m.group(7) != null) {
            magnitude = grouped(text, m.group(7), m.group(8), unit);
        }
        double value = m.group(1).isEmpty() || m.group(1).equals("+") ? magnitude : -magnitude;
        if (unit.dimension() != fallback.dimension()) {
            throw new QuantityFormatException(text, fallback);
        }
        Quantity read = new Quantity(value, unit);
        if (Math.abs(value) > LIMIT) {
            throw new QuantityFormatException(text, fallback);
        }
        if (!unit.dimension().holds(read.si())
                || IN_THE_AIRCRAFT.contains(fallback) && Math.abs(read.si()) > FARTHEST) {
            throw QuantityFormatException.beyond(
                    text,
                    fallback,
                    IN_THE_AIRCRAFT.contains(fallback)
                            ? FARTHEST_WORDS
                            : fallback.dimension().range());
        }
        return read;
    }

    /**
     * Reads a quantity that must carry its unit, as in files.
     *
     * @param sample any unit of the dimension wanted
     */
    public static Quantity parseWithUnit(String text, Unit sample) {
        Matcher m = WRITTEN.matcher(text == null ? "" : text);
        if (sample != Unit.ONE && m.matches() && m.group(8).isEmpty()) {
            throw new QuantityFormatException(text, sample);
        }
        return parse(text, sample);
    }

    private static double fraction(String over, String under, String text, Unit fallback) {
        double divisor = number(under);
        if (divisor == 0) {
            throw new QuantityFormatException(text, fallback);
        }
        return number(over) / divisor;
    }

    /**
     * A number whose thousands may stand in groups. A gap parts thousands, and so do two commas, a comma before a
     * point, and one comma where the unit is of those whose users write thousands so; beside a metric unit it may as
     * well be a decimal.
     */
    private static double grouped(String text, String digits, String written, Unit unit) {
        String joined = digits.replaceAll("[ \u2009\u00a0\u202f]", "");
        if (joined.indexOf(',') != joined.lastIndexOf(',') || joined.indexOf(',') >= 0 && joined.indexOf('.') >= 0) {
            return Double.parseDouble(joined.replace(",", ""));
        }
        if (joined.equals(digits) && THOUSANDS.matcher(digits).matches()) {
            if (!unit.customary()) {
                throw QuantityFormatException.ambiguous(text, digits, written);
            }
            return Double.parseDouble(digits.replace(",", ""));
        }
        return number(joined);
    }

    private static double number(String digits) {
        return Double.parseDouble(digits.replace(',', '.'));
    }

    /** The number as short as it can be written without loss, then the unit: {@code 52.5 in}. */
    public String text() {
        String number = BigDecimal.valueOf(value).stripTrailingZeros().toPlainString();
        return number + (unit == Unit.DEGREE || unit == Unit.ONE ? "" : " ") + unit.symbol();
    }

    /** {@link #text} with a real minus sign, for the screen. */
    public String shown() {
        return text().replace('-', '\u2212');
    }

    /** Symbols a writer may use for this dimension, for messages and help. */
    static List<String> symbols(Dimension dimension) {
        List<String> symbols = new ArrayList<>();
        for (Unit unit : Unit.values()) {
            if (unit.dimension() == dimension && !unit.symbol().isEmpty()) {
                symbols.add(unit.symbol());
            }
        }
        return symbols;
    }
}
