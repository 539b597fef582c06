package ration.base.quantity;

import java.util.Locale;

/** The set of units results are shown in; one switch for the whole window, never mixed. */
public enum UnitSystem {
    US("in, gal", Unit.INCH, Unit.GALLON, Unit.GALLON_PER_HOUR, Unit.PSI),
    METRIC("mm, L", Unit.MILLIMETRE, Unit.LITRE, Unit.LITRE_PER_HOUR, Unit.KILOPASCAL);

    private final String label;
    private final Unit length;
    private final Unit volume;
    private final Unit flow;
    private final Unit pressure;

    UnitSystem(String label, Unit length, Unit volume, Unit flow, Unit pressure) {
        this.label = label;
        this.length = length;
        this.volume = volume;
        this.flow = flow;
        this.pressure = pressure;
    }

    public String label() {
        return label;
    }

    /** The unit a result of this dimension is shown in. */
    public Unit unit(Dimension dimension) {
        return switch (dimension) {
            case LENGTH -> length;
            case VOLUME -> volume;
            case FLOW -> flow;
            case PRESSURE -> pressure;
            case ANGLE -> Unit.DEGREE;
            case TEMPERATURE -> Unit.CELSIUS;
            case DENSITY -> this == US ? Unit.POUND_PER_GALLON : Unit.KILOGRAM_PER_LITRE;
            case KINEMATIC_VISCOSITY -> Unit.SQUARE_MILLIMETRE_PER_SECOND;
            case POWER -> this == US ? Unit.HORSEPOWER : Unit.KILOWATT;
            case SPECIFIC_CONSUMPTION -> this == US ? Unit.POUND_PER_HORSEPOWER_HOUR : Unit.GRAM_PER_KILOWATT_HOUR;
            case SPEED -> Unit.KNOT;
            case TORQUE -> this == US ? Unit.POUND_INCH : Unit.NEWTON_METRE;
            case CURRENT -> Unit.AMPERE;
            case VOLTAGE -> Unit.VOLT;
            case HEAT_TRANSFER -> Unit.WATT_PER_SQUARE_METRE_KELVIN;
            case TIME -> Unit.MINUTE;
            case NUMBER -> Unit.ONE;
        };
    }

    /** A height over the sea, m, with its unit: whole feet, or whole meters. */
    public String altitude(double meters) {
        return this == US ? figure(Unit.FOOT.fromSi(meters), 0) + " ft" : grouped(figure(meters, 0)) + " m";
    }

    /** An SI value as a bare figure in this system's unit, with the unit's usual decimals. */
    public String figure(double si, Dimension dimension) {
        Unit unit = unit(dimension);
        int decimals = dimension == Dimension.LENGTH && this == US
                ? 1
                : dimension == Dimension.LENGTH
                        ? 0
                        : dimension == Dimension.VOLUME
                                ? 1
                                : dimension == Dimension.PRESSURE && this == METRIC ? 2 : unit.decimals();
        return grouped(figure(unit.fromSi(si), decimals));
    }

    /** Beside metric units a comma may be a decimal: thousands are parted by a thin gap. */
    private String grouped(String figure) {
        return this == US ? figure : figure.replace(',', '\u2009');
    }

    /** The figure followed by its unit. */
    public String text(double si, Dimension dimension) {
        String symbol = unit(dimension).symbol();
        return figure(si, dimension) + (dimension == Dimension.ANGLE ? "" : " ") + symbol;
    }

    /** A small volume, m3, to a hundredth of a gallon or a tenth of a litre, with its unit. */
    public String fineVolume(double m3) {
        return figure(volume.fromSi(m3), this == US ? 2 : 1) + " " + volume.symbol();
    }

    /** A pressure that air in a line costs, Pa: inches of water or pascals, with its unit. */
    public String small(double pascal) {
        double water = Unit.INCH_OF_WATER.fromSi(pascal);
        return this == US
                ? figure(water, Math.abs(water) < 0.0995 ? 3 : 2) + " " + Unit.INCH_OF_WATER.symbol()
                : figure(pascal, Math.abs(pascal) < 10 ? 1 : 0) + " " + Unit.PASCAL.symbol();
    }

    /** A temperature, K: beside inches in degrees Fahrenheit, Celsius after it; else in degrees Celsius. */
    public String temperature(double kelvin, int decimals) {
        String celsius = figure(Unit.CELSIUS.fromSi(kelvin), decimals) + " " + Unit.CELSIUS.symbol();
        return this == US ? warmth(kelvin) + " (" + celsius + ")" : celsius;
    }

    /** The scale that temperatures are read on. */
    public Unit thermometer() {
        return this == US ? Unit.FAHRENHEIT : Unit.CELSIUS;
    }

    /** The same in whole degrees of one scale. */
    public String warmth(double kelvin) {
        return figure(thermometer().fromSi(kelvin), 0) + " " + thermometer().symbol();
    }

    /** A difference of temperatures, K, in degrees of this system's scale. */
    public String difference(double kelvin) {
        return figure(kelvin / thermometer().differenceToSi(1), 1) + " "
                + thermometer().symbol();
    }

    /**
     * A number with fixed decimals, a real minus sign and a comma between thousands; a half is rounded away from zero.
     */
    public static String figure(double value, int decimals) {
        double scaled = decimals < TENS.length ? Math.abs(value) * TENS[decimals] : MOST_QUICK;
        if (!(scaled < MOST_QUICK)) {
            return formatted(value, decimals);
        }
        long whole = (long) scaled;
        double rest = scaled - whole;
        if (Math.abs(rest - 0.5) < 1e-6) {
            return formatted(value, decimals);
        }
        long n = rest > 0.5 ? whole + 1 : whole;
        StringBuilder digits = new StringBuilder(16).append(n);
        while (digits.length() <= decimals) {
            digits.insert(0, '0');
        }
        int point = digits.length() - decimals;
        if (decimals > 0) {
            digits.insert(point, '.');
        }
        for (int i = point - 3; i > 0; i -= 3) {
            digits.insert(i, GAP);
        }
        return n != 0 && value < 0 ? digits.insert(0, '\u2212').toString() : digits.toString();
    }

    /** A figure as a field shows it that reads it back: thousands parted as {@link Quantity#parse} takes them. */
    public static String field(double value, Unit unit, int decimals) {
        String shown = figure(value, decimals);
        return unit.customary() ? shown : shown.replace(',', '\u2009');
    }

    private static final char GAP = ',';
    private static final double MOST_QUICK = 1e9;
    private static final long[] TENS = {1, 10, 100, 1000, 10_000};

    /** By the library's own formatter: right everywhere, and fifty times as slow. */
    static String formatted(double value, int decimals) {
        String plain = String.format(Locale.ROOT, "%,." + decimals + "f", value);
        boolean zero = plain.chars().noneMatch(c -> c >= '1' && c <= '9');
        if (zero) {
            return plain.replace("-", "");
        }
        return plain.replace('-', '\u2212');
    }
}
