package ration.physics.breathing;

/** What closed and open airspaces do, SI. */
public final class Vents {

    /** Between a slow and a fast change of trapped air; common practice, no source. */
    public static final double POLYTROPIC = 1.2;
    /**
     * Most a tank may stand over or under the air outside in use, Pa: an inch and a half of fuel; common practice, no
     * source.
     */
    public static final double MOST_DROP = 250;

    private Vents() {}

    /** Pressure of trapped air after fuel has left: {@code p (V / (V + dV))^n}, Pa absolute. */
    public static double trapped(double pressure, double air, double left, double exponent) {
        return pressure * Math.pow(air / (air + left), exponent);
    }

    /**
     * Fuel that leaves before trapped air has fallen by so much, m3.
     *
     * @param pressure ambient, Pa
     * @param air in the tank when the vent closed, m3
     * @param allowed fall of pressure, Pa; nothing where it is not above zero
     */
    public static double until(double pressure, double air, double allowed, double exponent) {
        if (!(allowed > 0)) {
            return 0;
        }
        return allowed >= pressure
                ? Double.POSITIVE_INFINITY
                : air * (Math.pow(pressure / (pressure - allowed), 1 / exponent) - 1);
    }

    /** Air that must come in to fill up an airspace in a descent, m3/s: {@code V/p dp/dt}, isothermal at sea level. */
    public static double descending(double air, double metresASecond) {
        double slope = AirLine.DENSITY * 9.80665;
        return air * slope * metresASecond / 101_325;
    }

    /** Dynamic pressure at an equivalent airspeed, Pa. */
    public static double dynamic(double metresASecond) {
        return AirLine.DENSITY * metresASecond * metresASecond / 2;
    }
}
