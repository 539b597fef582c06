package ration.model;

import ration.network.Element;
import ration.quantity.Unit;

/**
 * What an item costs, as its maker or a bench test states it: this loss at this flow.
 *
 * <p>Away from the point the loss is taken to grow with the square of flow for open bores; for screens a quarter of it
 * grows in proportion (common practice, no source: fine mesh is partly viscous at these flows).
 */
public record Rated(Measured flow, Measured loss) {

    public static Rated of(double gph, double psi, String by) {
        return new Rated(Measured.of(gph, Unit.GALLON_PER_HOUR, by), Measured.of(psi, Unit.PSI, by));
    }

    /** An open bore: valves, selectors. */
    public Element.Resistance openBore() {
        return Element.Resistance.rated(flow.si(), loss.si(), 0);
    }

    /** This loss taken a number of times. */
    public Rated times(double factor) {
        return new Rated(
                flow,
                new Measured(
                        ration.quantity.Quantity.of(
                                loss.quantity().value() * factor,
                                loss.quantity().unit()),
                        loss.by()));
    }

    /**
     * A filter through several rated points: {@code dp = a Q + b Q^2}, least squares in relative error, neither below
     * zero. One point is taken as a screen's.
     */
    public static Element.Resistance through(java.util.List<Rated> points) {
        if (points.size() < 2) {
            return points.isEmpty()
                    ? new Element.Resistance(0, 0)
                    : points.get(0).screen();
        }
        double qq = 0;
        double qqq = 0;
        double qqqq = 0;
        double pq = 0;
        double pqq = 0;
        for (Rated r : points) {
            double q = r.flow.si();
            double p = Math.max(r.loss.si(), 1e-9);
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

    /** A screen: strainers, outlet screens. */
    public Element.Resistance screen() {
        return Element.Resistance.rated(flow.si(), loss.si(), 0.25);
    }
}
