package ration.aircraft.condition;

import ration.base.atmosphere.StandardAtmosphere;

/**
 * The air the aircraft is in.
 *
 * @param altitudeM pressure altitude, -1,000 to 12,000 m
 * @param offStandard outside temperature over that of the standard atmosphere, K, within 60
 */
public record Day(double altitudeM, double offStandard) {

    /** Sea level on a standard day. */
    public static final Day STANDARD = new Day(0, 0);

    public Day {
        if (!(altitudeM >= -1000 && altitudeM <= 12_000) || !(Math.abs(offStandard) <= 60)) {
            throw new IllegalArgumentException(
                    "An altitude lies between \u22121,000 and 12,000 m, a day within 60 K of standard.");
        }
    }

    /** Ambient pressure, Pa. */
    public double pressurePa() {
        return StandardAtmosphere.pressure(altitudeM);
    }

    /** Outside temperature. */
    public double kelvin() {
        return StandardAtmosphere.temperature(altitudeM) + offStandard;
    }
}
