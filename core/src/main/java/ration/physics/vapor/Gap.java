package ration.physics.vapor;

import ration.base.atmosphere.StandardAtmosphere;
import ration.base.fluid.VaporPressure;

/**
 * One point of the path and how far it is from boiling.
 *
 * @param item id
 * @param along distance from the tank, m
 * @param pressure absolute, Pa
 * @param gauge over ambient, Pa
 * @param kelvin of the fuel there
 * @param boils pressure at which it boils there, Pa absolute
 * @param what the point in words: inlet, high point, outlet
 */
public record Gap(String item, double along, double pressure, double gauge, double kelvin, double boils, String what) {

    /** Whether it lies at a body and not within a run. */
    public boolean body() {
        return what.equals("inlet") || what.equals("outlet");
    }

    /** Pressure left, Pa; negative where it boils. */
    public double pascal() {
        return pressure - boils;
    }

    /** Degrees the fuel may still warm, K. */
    public double degrees(VaporPressure vapor) {
        return vapor.boilingKelvin(Math.max(1, pressure)) - kelvin;
    }

    /** Climb left before it boils as warm as it is, m; negative where it boils already. */
    public double climb(double altitudeM) {
        return StandardAtmosphere.altitude(Math.max(1, boils - gauge)) - altitudeM;
    }
}
