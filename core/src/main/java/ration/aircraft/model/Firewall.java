package ration.aircraft.model;

import ration.base.quantity.Measured;

/** Where the firewall stands: its station and the water lines of its top and foot. */
public record Firewall(Measured station, Measured top, Measured foot) {

    /** A fitting so near it sits in it: a bulkhead fitting is longer than the wall is thick, m. */
    public static final double IN_IT = 0.0254;
}
