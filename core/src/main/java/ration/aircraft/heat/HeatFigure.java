package ration.aircraft.heat;

import ration.base.quantity.Measured;
import ration.base.quantity.Unit;

/**
 * A figure the heat, vapor and vent answers rest on, with its usual value. Temperatures "over" another are differences.
 */
public enum HeatFigure {
    HOT_DAY(
            "Hot day, outside air at sea level",
            Unit.FAHRENHEIT,
            100,
            0,
            130,
            "100 \u00b0F, 3.6 \u00b0F less each 1,000 ft: certification practice (from memory)"),
    CEILING("Highest pressure altitude flown", Unit.FOOT, 8000, 0, 30000, "the aircraft's own"),
    TANK_FUEL("Fuel in the tank on the hot day", Unit.FAHRENHEIT, 100, 0, 150, "same as outside air"),
    HOT_FUEL(
            "Fuel in the tank, hot fuel case",
            Unit.FAHRENHEIT,
            110,
            0,
            150,
            "110 \u00b0F: hot fuel of flight-test practice, AC 23-8 (from memory)"),
    NEEDED("Required vapor margin", Unit.CELSIUS, 6, 0, 40, "practice choice: no standard gives a number"),
    HOT_NEEDED(
            "Wanted before it boils, hot fuel case",
            Unit.CELSIUS,
            0,
            0,
            40,
            "practice choice: free of vapor lock, no number"),
    CABIN_OVER("Cabin over outside", Unit.CELSIUS, 6, -10, 60, "common practice, no source"),
    TUNNEL_OVER("Tunnel over outside", Unit.CELSIUS, 14, -10, 90, "common practice, no source"),
    BAY_CLIMB_OVER("Engine bay above OAT, climb", Unit.CELSIUS, 40, 0, 150, "common practice, no source"),
    BAY_CRUISE_OVER("Engine bay over outside, cruise", Unit.CELSIUS, 28, 0, 150, "common practice, no source"),
    BAY_IDLE_OVER("Engine bay over outside, idle", Unit.CELSIUS, 32, 0, 150, "common practice, no source"),
    BAY_SOAK_OVER("Engine bay over outside, after shutdown", Unit.CELSIUS, 55, 0, 200, "common practice, no source"),
    SOAK_FADE("Heat-soak decay time", Unit.MINUTE, 35, 2, 300, "common practice, no source"),
    SHROUD_OVER(
            "Air in a cooling shroud over outside, in flight", Unit.CELSIUS, 8, 0, 60, "common practice, no source"),
    BARE("Heat through a bare tube", Unit.WATT_PER_SQUARE_METRE_KELVIN, 25, 0.5, 300, "common practice, no source"),
    HOSE("Heat through a hose", Unit.WATT_PER_SQUARE_METRE_KELVIN, 15, 0.5, 300, "common practice, no source"),
    SLEEVE("Heat through a sleeve", Unit.WATT_PER_SQUARE_METRE_KELVIN, 7, 0.5, 300, "common practice, no source"),
    REID_CHANGE(
            "Reid pressure over the limit",
            Unit.PSI,
            0,
            -6,
            6,
            "ethanol adds about 1 psi at 5 to 10 %; weathered fuel has less (from memory)"),
    SPEED("Airspeed, for vent tips", Unit.KNOT, 80, 0, 300, "the aircraft's own"),
    DESCENT("Fastest descent", Unit.FOOT_PER_MINUTE, 1000, 0, 10000, "the aircraft's own"),
    IDLE_VACUUM(
            "Idle manifold vacuum", Unit.INCH_OF_MERCURY, 18.3, 10, 20, "10 to 20 inHg; common practice, no source"),
    FILL_RATE("Filling", Unit.GALLON_PER_HOUR, 600, 0, 6000, "10 gal a minute from a pump; common practice, no source");

    private final String label;
    private final Unit unit;
    private final double usual;
    private final double least;
    private final double most;
    private final String source;

    HeatFigure(String label, Unit unit, double usual, double least, double most, String source) {
        this.label = label;
        this.unit = unit;
        this.usual = usual;
        this.least = least;
        this.most = most;
        this.source = source;
    }

    public String label() {
        return label;
    }

    public Unit unit() {
        return unit;
    }

    /** Where its usual value comes from. */
    public String source() {
        return source;
    }

    public Measured usual() {
        return Measured.of(usual, unit, "usual");
    }

    /** Whether it is a difference of temperatures. */
    boolean difference() {
        return unit == Unit.CELSIUS;
    }

    /**
     * The figure if it can be.
     *
     * @throws IllegalArgumentException with a sentence where it lies outside its range
     */
    public Measured checked(Measured m) {
        double si =
                difference() ? m.quantity().unit().differenceToSi(m.quantity().value()) : m.si();
        double low = difference() ? least : unit.toSi(least);
        double high = difference() ? most : unit.toSi(most);
        if (!(si >= low - 1e-9 && si <= high + 1e-9)) {
            throw new IllegalArgumentException(label + " lies between "
                    + ration.base.quantity.Quantity.of(least, unit).shown() + " and "
                    + ration.base.quantity.Quantity.of(most, unit).shown() + ".");
        }
        return m;
    }
}
