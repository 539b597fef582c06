package ration.physics.flow;

import java.util.List;
import ration.aircraft.model.Fitting;
import ration.aircraft.model.LineSize;
import ration.aircraft.model.Rated;
import ration.base.quantity.Unit;
import ration.solver.network.Element;
import ration.solver.network.Element.Minor;

/** What sizes, fittings and rated losses are to the network. */
public final class Losses {

    private Losses() {}

    /** An open bore: valves, selectors. */
    static Element.Resistance openBore(Rated r) {
        return Element.Resistance.rated(r.flow().si(), r.loss().si(), 0);
    }

    /** A screen: strainers, outlet screens. */
    static Element.Resistance screen(Rated r) {
        return Element.Resistance.rated(r.flow().si(), r.loss().si(), 0.25);
    }

    /**
     * A filter through several rated points: {@code dp = a Q + b Q^2}, least squares in relative error, neither below
     * zero. One point is taken as a screen's.
     */
    public static Element.Resistance through(List<Rated> points) {
        if (points.size() < 2) {
            return points.isEmpty() ? new Element.Resistance(0, 0) : screen(points.get(0));
        }
        double qq = 0;
        double qqq = 0;
        double qqqq = 0;
        double pq = 0;
        double pqq = 0;
        for (Rated r : points) {
            double q = r.flow().si();
            double p = Math.max(r.loss().si(), 1e-9);
            double x = q / p;
            double y = q * q / p;
            qq += x * x;
            qqq += x * y;
            qqqq += y * y;
            pq += x;
            pqq += y;
        }
        double det = qq * qqqq - qqq * qqq;
        double a = det > 1e-12 * qq * qqqq ? (pq * qqqq - pqq * qqq) / det : -1;
        double b = det > 1e-12 * qq * qqqq ? (qq * pqq - qqq * pq) / det : -1;
        if (a < 0 || b < 0) {
            a = a < 0 ? 0 : pq / qq;
            b = a > 0 ? 0 : pqq / qqqq;
        }
        return new Element.Resistance(a, b);
    }

    /**
     * The loss of a fitting on the velocity in a line of this bore, m: {@code K1/Re + Kinf (1 + 1/ID)}, ID in inches.
     */
    public static Minor fitting(Fitting f, double boreM) {
        return new Minor(f.kInfinity() * (1 + 1 / Unit.INCH.fromSi(boreM)), f.k1());
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
