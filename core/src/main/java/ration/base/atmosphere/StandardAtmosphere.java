package ration.base.atmosphere;

/**
 * US Standard Atmosphere 1976 against geopotential altitude, -1,000 to 20,000 m.
 *
 * <p>Constants from memory and exact by definition: 288.15 K, 101,325 Pa, -6.5 K/km, tropopause at 11,000 m, R =
 * 287.05287 J/kg/K.
 */
public final class StandardAtmosphere {

    public static final double SEA_LEVEL_PRESSURE = 101_325;
    public static final double SEA_LEVEL_TEMPERATURE = 288.15;
    private static final double LAPSE = 0.0065;
    private static final double TROPOPAUSE = 11_000;
    private static final double LOWEST = -1_000;
    private static final double HIGHEST = 20_000;
    private static final double GAS_CONSTANT = 287.05287;
    private static final double GRAVITY = 9.80665;

    private StandardAtmosphere() {}

    /** Temperature, K. */
    public static double temperature(double altitudeM) {
        requireRange(altitudeM);
        return SEA_LEVEL_TEMPERATURE - LAPSE * Math.min(altitudeM, TROPOPAUSE);
    }

    /** Pressure, Pa. */
    public static double pressure(double altitudeM) {
        requireRange(altitudeM);
        double below = SEA_LEVEL_PRESSURE
                * Math.pow(temperature(altitudeM) / SEA_LEVEL_TEMPERATURE, GRAVITY / (GAS_CONSTANT * LAPSE));
        return altitudeM <= TROPOPAUSE
                ? below
                : below * Math.exp(-GRAVITY * (altitudeM - TROPOPAUSE) / (GAS_CONSTANT * temperature(altitudeM)));
    }

    /** Density, kg/m3. */
    public static double density(double altitudeM) {
        return pressure(altitudeM) / (GAS_CONSTANT * temperature(altitudeM));
    }

    /** Altitude of a pressure, m; within the range of this atmosphere, its end beyond. */
    public static double altitude(double pascal) {
        if (pascal >= pressure(LOWEST)) {
            return LOWEST;
        }
        if (pascal <= pressure(HIGHEST)) {
            return HIGHEST;
        }
        double below = SEA_LEVEL_TEMPERATURE
                / LAPSE
                * (1 - Math.pow(pascal / SEA_LEVEL_PRESSURE, GAS_CONSTANT * LAPSE / GRAVITY));
        return below <= TROPOPAUSE
                ? below
                : TROPOPAUSE
                        + GAS_CONSTANT * temperature(TROPOPAUSE) / GRAVITY * Math.log(pressure(TROPOPAUSE) / pascal);
    }

    private static void requireRange(double altitudeM) {
        if (!(altitudeM >= LOWEST && altitudeM <= HIGHEST)) {
            throw new IllegalArgumentException("Altitude must lie between -1,000 and 20,000 m");
        }
    }
}
