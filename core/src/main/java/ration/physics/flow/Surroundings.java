package ration.physics.flow;

import java.util.Optional;
import ration.aircraft.condition.Power;
import ration.base.fluid.VaporPressure;

/**
 * What is round the system.
 *
 * @param ram dynamic pressure at the vent tips, Pa; only their suction counts, ram pressure is not relied on
 * @param vapor how the fuel boils; empty leaves that out
 * @param idleManifold gauge pressure of the manifold at idle, Pa
 */
public record Surroundings(double ram, Optional<VaporPressure> vapor, double idleManifold) {

    /** No wind at the tips. */
    public static final Surroundings STILL = new Surroundings(0, Optional.empty(), Power.IDLE.manifoldPa());

    double manifold(Power power) {
        return power == Power.IDLE ? idleManifold : power.manifoldPa();
    }

    /** The same, the boiling of the fuel left out. */
    public Surroundings withoutBoiling() {
        return new Surroundings(ram, Optional.empty(), idleManifold);
    }
}
