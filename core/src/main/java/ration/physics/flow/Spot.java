package ration.physics.flow;

import ration.base.geometry.Point3;

/**
 * A node of the network before it has a height: where it is, and what is known of it.
 *
 * @param id unique
 * @param place in aircraft axes; null for what lies at the surface of a tank
 * @param tank whose surface it lies at, or whose air it feels; empty if none
 * @param holds what sets its pressure
 */
record Spot(String id, Point3 place, String tank, Holds holds) {

    /** What sets the pressure at a node. */
    enum Holds {
        /** Nothing: it follows. */
        NOTHING,
        /** Nothing, and the engine takes its demand there. */
        DEMAND,
        /** Ambient. */
        AMBIENT,
        /** The air over the fuel of its tank. */
        AIRSPACE,
        /** The tip of its tank's vent. */
        TIP
    }

    static Spot at(String id, Point3 place) {
        return new Spot(id, place, "", Holds.NOTHING);
    }

    Spot holding(Holds what) {
        return new Spot(id, place, tank, what);
    }
}
