package ration.solver.network;

/**
 * Scratch result of a characteristic: loss in Pa and its slope in Pa per m3/s. Reused, so solving does not allocate.
 * For each line it keeps what its friction law last worked out: Newton's later steps are short, and near a logarithm
 * that is known the next costs a few multiplications.
 */
final class Drop {

    private static final int KEPT = 4;
    /** Relative distance up to which the series here are exact to the last digit or two. */
    private static final double NEAR = 0.005;

    private static final double THIRD = 1.0 / 3;
    private static final double FIFTH = 1.0 / 5;
    /** Binomial coefficients of the power -0.9. */
    private static final double B1 = -0.9;

    private static final double B2 = B1 * -1.9 / 2;
    private static final double B3 = B2 * -2.9 / 3;
    private static final double B4 = B3 * -3.9 / 4;
    private static final double B5 = B4 * -4.9 / 5;
    private static final double B6 = B5 * -5.9 / 6;

    double loss;
    double slope;
    /** Darcy friction factor. */
    double friction;
    /** Re times its slope over Re. */
    double frictionRise;

    private final double[] kept;
    private int line;

    Drop() {
        this(1);
    }

    /** @param lines whose laws it is asked to keep apart */
    Drop(int lines) {
        kept = new double[KEPT * lines];
    }

    /** What follows is asked for this line. */
    void line(int index) {
        line = KEPT * index;
    }

    /** A figure kept for the line, zero at first. */
    double kept(int slot) {
        return kept[line + slot];
    }

    void keep(int slot, double value) {
        kept[line + slot] = value;
    }

    /** Natural logarithm of a positive number, kept in two slots from this on. */
    double log(int slot, double x) {
        double near = kept[line + slot];
        double z = (x - near) / (x + near);
        if (!(Math.abs(z) < NEAR)) {
            kept[line + slot] = x;
            return kept[line + slot + 1] = Math.log(x);
        }
        double s = z * z;
        return kept[line + slot + 1] + 2 * z * (1 + s * (THIRD + s * FIFTH));
    }

    /** {@code x^-0.9}, kept in two slots from this on. */
    double power(int slot, double x) {
        double near = kept[line + slot];
        double d = (x - near) / near;
        if (!(Math.abs(d) < NEAR)) {
            kept[line + slot] = x;
            return kept[line + slot + 1] = Math.exp(-0.9 * Math.log(x));
        }
        double s = d * d;
        return kept[line + slot + 1] * (1 + d * (B1 + d * B2) + s * d * (B3 + d * B4 + s * (B5 + d * B6)));
    }
}
