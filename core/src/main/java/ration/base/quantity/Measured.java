package ration.base.quantity;

import java.util.Objects;
import java.util.OptionalDouble;

/**
 * A figure somebody measured or read.
 *
 * @param quantity as written
 * @param by how: tape, level, tag, bench, maker; may end in its tolerance, as in {@code tape \u00b11/8 in}; empty if
 *     not said
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

    /** How a figure came about that the program put in and nobody said: what rests on it is not shown. */
    public static final String ASSUMED = "assumed";

    /** A figure nobody said. */
    public static Measured assumed(double value, Unit unit) {
        return of(value, unit, ASSUMED);
    }

    /** Whether nobody said it. */
    public boolean assumed() {
        return by.equals(ASSUMED);
    }

    /**
     * This figure with where it is from, as somebody writes it. What is only assumed stays so until something is named:
     * an erased word would make it said by nobody.
     *
     * @throws IllegalArgumentException where nothing is named of what is only assumed
     */
    public Measured from(String source) {
        String named = source.strip();
        if (named.isEmpty() && assumed()) {
            throw new IllegalArgumentException("Name a source: this figure is only assumed so far.");
        }
        boolean still = Method.written(named).filter(m -> m == Method.ASSUMED).isPresent();
        return new Measured(quantity, still ? ASSUMED : named);
    }

    /** This figure as somebody says it now; how it was measured stays, unless it was only assumed. */
    public Measured said(Quantity other) {
        return new Measured(other, assumed() ? "" : by);
    }

    /**
     * This figure as it stands, taken as the builder's own word on a day; one that somebody said already stays as it
     * was said.
     */
    public Measured confirmed(java.time.LocalDate day) {
        return assumed() ? new Measured(quantity, Method.CONFIRMED.word() + ", " + day) : this;
    }

    public double si() {
        return quantity.si();
    }

    /** The tolerance written behind how it was measured, as a difference in SI; empty if none can be read there. */
    public OptionalDouble statedTolerance() {
        int at = Math.max(by.indexOf('\u00b1') + 1, by.indexOf("+/-") + (by.contains("+/-") ? 3 : 1));
        if (at < 1) {
            return OptionalDouble.empty();
        }
        try {
            Quantity q = Quantity.parse(by.substring(at), quantity.unit());
            return OptionalDouble.of(Math.abs(q.unit().differenceToSi(q.value())));
        } catch (IllegalArgumentException e) {
            return OptionalDouble.empty();
        }
    }

    /** This figure and so much more, SI, in its own unit to four decimals. */
    public Measured plus(double si) {
        double value = Math.round(quantity.unit().fromSi(quantity.si() + si) * 1e4) / 1e4;
        return with(Quantity.of(value, quantity.unit()));
    }

    /** A new figure measured the same way. */
    public Measured with(Quantity other) {
        return new Measured(other, by);
    }
}
