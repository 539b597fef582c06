package ration.verdict.check;

import ration.base.quantity.Dimension;

/**
 * A figure against what is wanted of it.
 *
 * @param value found, SI; a difference of temperatures in K
 * @param limit wanted, SI
 * @param dimension of both
 * @param sense which way the limit holds
 */
public record Measure(double value, double limit, Dimension dimension, Sense sense) {

    /** Which side of its limit a figure should lie on. */
    public enum Sense {
        AT_LEAST,
        AT_MOST
    }

    public static Measure atLeast(double value, double limit, Dimension dimension) {
        return new Measure(value, limit, dimension, Sense.AT_LEAST);
    }

    public static Measure atMost(double value, double limit, Dimension dimension) {
        return new Measure(value, limit, dimension, Sense.AT_MOST);
    }

    /** Whether the figure lies on the side it should. */
    public boolean met() {
        return sense == Sense.AT_LEAST ? value >= limit : value <= limit;
    }
}
