package ration.base.quantity;

import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * A unit people of the trade write. {@code si = written * factor + offset}. SI bases: metre, radian, cubic metre, cubic
 * metre per second, pascal, kelvin, kilogram per cubic metre, square metre per second, watt, kilogram per joule, metre
 * per second.
 */
public enum Unit {
    INCH(Dimension.LENGTH, "in", 0.0254, 0, 2, "\"", "inch", "inches"),
    FOOT(Dimension.LENGTH, "ft", 0.3048, 0, 2, "'", "feet", "foot"),
    MILLIMETRE(Dimension.LENGTH, "mm", 0.001, 0, 1),
    CENTIMETRE(Dimension.LENGTH, "cm", 0.01, 0, 2),
    MICROMETRE(Dimension.LENGTH, "\u00b5m", 1e-6, 0, 0, "um", "\u03bcm", "micron", "microns"),
    METRE(Dimension.LENGTH, "m", 1, 0, 3),
    DEGREE(Dimension.ANGLE, "°", Math.PI / 180, 0, 1, "deg", "degrees"),
    RADIAN(Dimension.ANGLE, "rad", 1, 0, 4),
    GALLON(Dimension.VOLUME, "gal", Unit.GALLON_M3, 0, 2, "usgal", "gallons"),
    QUART(Dimension.VOLUME, "qt", Unit.GALLON_M3 / 4, 0, 2),
    CUBIC_INCH(Dimension.VOLUME, "in³", 0.0254 * 0.0254 * 0.0254, 0, 1, "in3", "cuin"),
    LITRE(Dimension.VOLUME, "L", 0.001, 0, 1, "l", "liter", "litre", "liters", "litres"),
    MILLILITRE(Dimension.VOLUME, "mL", 1e-6, 0, 0, "ml"),
    GALLON_PER_HOUR(Dimension.FLOW, "gph", Unit.GALLON_M3 / 3600, 0, 1, "gal/h"),
    LITRE_PER_HOUR(Dimension.FLOW, "L/h", 1e-3 / 3600, 0, 1, "l/h", "lph"),
    LITRE_PER_MINUTE(Dimension.FLOW, "L/min", 1e-3 / 60, 0, 2, "l/min"),
    CUBIC_METRE_PER_SECOND(Dimension.FLOW, "m³/s", 1, 0, 9, "m3/s"),
    PSI(Dimension.PRESSURE, "psi", 6894.757293168361, 0, 2, "lbf/in2"),
    KILOPASCAL(Dimension.PRESSURE, "kPa", 1000, 0, 1, "kpa"),
    PASCAL(Dimension.PRESSURE, "Pa", 1, 0, 0, "pa"),
    MILLIBAR(Dimension.PRESSURE, "mbar", 100, 0, 1, "hpa"),
    BAR(Dimension.PRESSURE, "bar", 1e5, 0, 3),
    INCH_OF_WATER(Dimension.PRESSURE, "inH2O", 249.08891, 0, 2, "inh2o", "inwater", "inwc"),
    INCH_OF_MERCURY(Dimension.PRESSURE, "inHg", 3386.389, 0, 1, "inhg"),
    CELSIUS(Dimension.TEMPERATURE, "°C", 1, 273.15, 1, "c", "degc"),
    FAHRENHEIT(Dimension.TEMPERATURE, "°F", 5.0 / 9.0, 459.67 * 5.0 / 9.0, 0, "f", "degf"),
    KELVIN(Dimension.TEMPERATURE, "K", 1, 0, 1, "k"),
    POUND_PER_GALLON(Dimension.DENSITY, "lb/gal", 0.45359237 / Unit.GALLON_M3, 0, 2),
    KILOGRAM_PER_CUBIC_METRE(Dimension.DENSITY, "kg/m³", 1, 0, 0, "kg/m3"),
    KILOGRAM_PER_LITRE(Dimension.DENSITY, "kg/L", 1000, 0, 3, "kg/l"),
    SQUARE_MILLIMETRE_PER_SECOND(Dimension.KINEMATIC_VISCOSITY, "mm²/s", 1e-6, 0, 2, "mm2/s", "cst"),
    HORSEPOWER(Dimension.POWER, "hp", 745.6998715822702, 0, 0, "bhp"),
    KILOWATT(Dimension.POWER, "kW", 1000, 0, 1, "kw"),
    WATT(Dimension.POWER, "W", 1, 0, 0, "w"),
    POUND_PER_HORSEPOWER_HOUR(
            Dimension.SPECIFIC_CONSUMPTION,
            "lb/hp/h",
            0.45359237 / 745.6998715822702 / 3600,
            0,
            3,
            "lb/hph",
            "lb/(hph)"),
    GRAM_PER_KILOWATT_HOUR(Dimension.SPECIFIC_CONSUMPTION, "g/kWh", 1e-3 / 3.6e6, 0, 0, "g/kwh"),
    KNOT(Dimension.SPEED, "kt", 1852.0 / 3600, 0, 0, "kts"),
    FOOT_PER_MINUTE(Dimension.SPEED, "fpm", 0.3048 / 60, 0, 0, "ft/min"),
    METRE_PER_SECOND(Dimension.SPEED, "m/s", 1, 0, 2),
    POUND_INCH(Dimension.TORQUE, "in·lb", 0.45359237 * 9.80665 * 0.0254, 0, 0, "lb-in", "in-lb", "lbin", "inlb"),
    NEWTON_METRE(Dimension.TORQUE, "N m", 1, 0, 1, "nm"),
    WATT_PER_SQUARE_METRE_KELVIN(Dimension.HEAT_TRANSFER, "W/m²K", 1, 0, 0, "w/m2k"),
    MINUTE(Dimension.TIME, "min", 60, 0, 1, "minutes"),
    SECOND(Dimension.TIME, "s", 1, 0, 0, "sec"),
    AMPERE(Dimension.CURRENT, "A", 1, 0, 1, "amp", "amps"),
    VOLT(Dimension.VOLTAGE, "V", 1, 0, 1, "volt", "volts"),
    ONE(Dimension.NUMBER, "", 1, 0, 2);

    /** One US gallon, 231 cubic inches, in cubic metres; exact. */
    static final double GALLON_M3 = 3.785411784e-3;

    private final Dimension dimension;
    private final String symbol;
    private final double factor;
    private final double offset;
    private final int decimals;
    private final List<String> aliases;

    Unit(Dimension dimension, String symbol, double factor, double offset, int decimals, String... aliases) {
        this.dimension = dimension;
        this.symbol = symbol;
        this.factor = factor;
        this.offset = offset;
        this.decimals = decimals;
        this.aliases = List.of(aliases);
    }

    public Dimension dimension() {
        return dimension;
    }

    /** The symbol shown after a figure and written in files. */
    public String symbol() {
        return symbol;
    }

    /** Decimals a computed figure in this unit is shown with. */
    public int decimals() {
        return decimals;
    }

    /** Whether it is one of those of the United States, whose users part thousands by a comma. */
    public boolean customary() {
        return switch (this) {
            case INCH,
                    FOOT,
                    GALLON,
                    QUART,
                    CUBIC_INCH,
                    GALLON_PER_HOUR,
                    PSI,
                    INCH_OF_WATER,
                    INCH_OF_MERCURY,
                    FAHRENHEIT,
                    POUND_PER_GALLON,
                    HORSEPOWER,
                    POUND_PER_HORSEPOWER_HOUR,
                    KNOT,
                    FOOT_PER_MINUTE,
                    POUND_INCH -> true;
            default -> false;
        };
    }

    public double toSi(double written) {
        return written * factor + offset;
    }

    public double fromSi(double si) {
        return (si - offset) / factor;
    }

    /** A difference of two readings in this unit, in SI: the offset of a temperature scale drops out. */
    public double differenceToSi(double written) {
        return written * factor;
    }

    /** The unit with this symbol or alias; letter case counts only where two units would otherwise be one. */
    public static Optional<Unit> named(String text) {
        String plain = text.strip().replace(" ", "");
        for (Unit unit : values()) {
            if (!unit.symbol.isEmpty() && unit.symbol.equals(plain)) {
                return Optional.of(unit);
            }
        }
        String lower = plain.toLowerCase(Locale.ROOT);
        for (Unit unit : values()) {
            if (!unit.symbol.isEmpty()
                    && (unit.symbol.toLowerCase(Locale.ROOT).equals(lower) || unit.aliases.contains(lower))) {
                return Optional.of(unit);
            }
        }
        return Optional.empty();
    }
}
