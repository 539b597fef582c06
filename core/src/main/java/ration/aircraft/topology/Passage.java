package ration.aircraft.topology;

import ration.aircraft.model.PortRef;

/**
 * A way through an item between two of its ports.
 *
 * @param from where fuel goes in as the item is meant
 * @param to where it comes out
 * @param what what stands in it
 * @param position of the selector that opens it; empty for every other kind
 */
public record Passage(PortRef from, PortRef to, What what, String position) {

    /** What stands in a way, and so when it lets fuel through and in which direction. */
    public enum What {
        /** Nothing: open both ways. */
        BORE,
        /** A shut-off. */
        SHUT_OFF,
        /** A selector, open at one of its positions. */
        POSITION,
        /** A valve that passes one way. */
        CHECK,
        /** A pump that passes both ways while it stands. */
        FREE_PUMP,
        /** A pump that passes forward only while it stands. */
        CHECKED_PUMP,
        /** A pump that passes nothing while it stands. */
        TIGHT_PUMP,
        /** A regulator that opens when the pressure before it rises. */
        BYPASS,
        /** A regulator that opens when the pressure behind it falls. */
        REDUCER,
        /** The air over the fuel of a header: its ports are joined by a free surface. */
        HEADER,
        /** The fuel of a tank, which joins its outlets. */
        TANK,
        /** The engine's own rail. */
        RAIL
    }

    Passage(PortRef from, PortRef to, What what) {
        this(from, to, what, "");
    }
}
