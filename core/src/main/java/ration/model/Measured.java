package ration.model;

import java.util.Objects;
import ration.quantity.Quantity;
import ration.quantity.Unit;

/**
 * A figure somebody measured or read.
 *
 * @param quantity as written
 * @param by       how: tape, level, tag, bench, maker; empty if not said
 */
public record Measured(Quantity quantity, String by) {

    public Measured {
        Objects.requireNonNull(quantity, "quantity");
        by = by == null ? "" : by.strip();
    }

    public static Measured of(double value, Unit unit) {
        return new Measured(Quantity.of(value, unit), "");
    }

    public static Measured of(double value, Unit unit, String by) {
        return new Measured(Quantity.of(value, unit), by);
    }

    public double si() {
        return quantity.si();
    }

    /** A new figure measured the same way. */
    public Measured with(Quantity other) {
        return new Measured(other, by);
    }
}
