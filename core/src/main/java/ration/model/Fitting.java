package ration.model;

import java.util.Optional;
import ration.network.Element.Minor;
import ration.quantity.Unit;

/**
 * Bends and fittings in a run, with their local losses.
 *
 * <p>Two-K values after Hooper (1981), from memory: {@code K = K1/Re + Kinf (1 + 1/ID)}, ID in inches. Fitted on pipe
 * of 1 in and more; below that the 1/ID term is an extrapolation on the safe side. Textbooks spread by a factor of two
 * to three for one fitting.
 */
public enum Fitting {
    BEND_90("90\u00b0 bend", 800, 0.20),
    BEND_45("45\u00b0 bend", 500, 0.15),
    ELBOW_90("90\u00b0 elbow fitting", 800, 0.40),
    ELBOW_45("45\u00b0 elbow fitting", 500, 0.20);

    private final String label;
    private final double k1;
    private final double kInfinity;

    Fitting(String label, double k1, double kInfinity) {
        this.label = label;
        this.k1 = k1;
        this.kInfinity = kInfinity;
    }

    public String label() {
        return label;
    }

    /** The fitting shown under this label. */
    public static Optional<Fitting> labelled(String label) {
        for (Fitting f : values()) {
            if (f.label.equals(label.strip())) {
                return Optional.of(f);
            }
        }
        return Optional.empty();
    }

    /** The loss on the velocity in a line of this bore, m. */
    public Minor loss(double boreM) {
        return new Minor(kInfinity * (1 + 1 / Unit.INCH.fromSi(boreM)), k1);
    }

    /**
     * A flared end fitting, whose drilled bore is less than the tube's: sudden contraction {@code 0.5 (1 - b2)} and
     * sudden enlargement {@code (1 - b2)^2} on the velocity in the fitting (Crane TP-410, from memory), brought to the
     * velocity in the line. Bores by dash: MS33656, from memory; between and beyond, in proportion.
     */
    public static Minor flaredEnd(LineSize size) {
        double outer = Unit.INCH.fromSi(size.outer());
        double drilled = Unit.INCH.toSi(0.062 + (outer - 0.125) * (0.844 - 0.062) / (1.0 - 0.125));
        double[][] table = {
            {0.1875, 0.125},
            {0.25, 0.172},
            {0.3125, 0.234},
            {0.375, 0.297},
            {0.5, 0.391},
            {0.625, 0.484},
            {0.75, 0.609},
            {1.0, 0.844}
        };
        for (double[] row : table) {
            if (Math.abs(row[0] - outer) < 1e-3) {
                drilled = Unit.INCH.toSi(row[1]);
            }
        }
        double area = Math.pow(drilled / size.bore(), 2);
        if (area >= 1 || size.kind() == LineSize.Kind.BORE) {
            return Minor.NONE;
        }
        double k = 0.5 * (1 - area) + (1 - area) * (1 - area);
        return Minor.k(k / (area * area));
    }
}
