package ration.aircraft.model;

import ration.base.quantity.Measured;

/**
 * A finger screen over a tank outlet as built.
 *
 * @param mesh openings an inch
 * @param wire diameter of its wire
 * @param diameter of the finger
 * @param length of its mesh
 */
public record FingerScreen(Measured mesh, Measured wire, Measured diameter, Measured length) {

    private static final double INCH = 0.0254;

    /** Openings an inch. */
    public double perInch() {
        return mesh.si();
    }

    /**
     * The largest grain that passes it, m: {@code 1/n - d} (handbook of the trade, from memory); none where it closes.
     */
    public double opening() {
        return Math.max(0, INCH / perInch() - wire.si());
    }

    /**
     * Area that is open, m2: side wall only, square mesh, {@code (1 - n d)^2} of it (handbook of the trade, from
     * memory).
     */
    public double clearArea() {
        double open = Math.max(0, 1 - perInch() * wire.si() / INCH);
        return Math.PI * diameter.si() * length.si() * open * open;
    }
}
