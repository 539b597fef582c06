package ration.physics.flow;

import java.util.Set;

/**
 * Fuel in a tank in a condition.
 *
 * @param tank id
 * @param volume m3
 * @param surface height of the level surface along apparent up, m
 * @param uncovered names of outlets that stand clear of the fuel
 */
public record TankLevel(String tank, double volume, double surface, Set<String> uncovered) {

    public TankLevel {
        uncovered = Set.copyOf(uncovered);
    }
}
