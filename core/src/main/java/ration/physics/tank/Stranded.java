package ration.physics.tank;

import java.util.List;

/**
 * Fuel that no outlet reaches in an attitude.
 *
 * @param volume m3
 * @param level height along up to which the bay of the outlet drains, m
 * @param bays one each, left to right; one for an undivided tank
 */
public record Stranded(double volume, double level, List<Bay> bays) {

    public Stranded {
        bays = List.copyOf(bays);
    }

    /**
     * What a bay keeps.
     *
     * @param volume m3
     * @param level it drains to, m along up; infinite where no way leads out of it
     */
    public record Bay(double volume, double level) {}
}
