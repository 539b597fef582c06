package ration.solver.network;

import java.util.List;

/** Pressure a pump adds against the flow it passes; never rises with flow. */
public sealed interface PumpCurve {

    /** Writes pressure rise, Pa, and its slope. */
    void at(double q, Drop out);

    /** Pressure rise at no flow, Pa. */
    default double deadHead() {
        Drop out = new Drop();
        at(0, out);
        return out.loss;
    }

    /** A point of a curve: flow m3/s, pressure rise Pa. */
    record Point(double flow, double rise) {
        public Point {
            if (!Double.isFinite(flow) || !Double.isFinite(rise) || flow < 0) {
                throw new IllegalArgumentException("A pump point needs a flow of zero or more and a pressure");
            }
        }
    }

    /** Straight lines between points, the end segments extended. */
    record Points(List<Point> points) implements PumpCurve {
        public Points {
            points = List.copyOf(points);
            if (points.size() < 2) {
                throw new IllegalArgumentException("A pump curve needs 2 or more points");
            }
            for (int i = 1; i < points.size(); i++) {
                if (points.get(i).flow <= points.get(i - 1).flow || points.get(i).rise > points.get(i - 1).rise) {
                    throw new IllegalArgumentException(
                            "A pump curve must have rising flows and pressures that do not rise");
                }
            }
        }

        @Override
        public void at(double q, Drop out) {
            int i = 1;
            while (i < points.size() - 1 && q > points.get(i).flow) {
                i++;
            }
            Point a = points.get(i - 1);
            Point b = points.get(i);
            out.slope = (b.rise - a.rise) / (b.flow - a.flow);
            out.loss = a.rise + out.slope * (q - a.flow);
        }
    }

    /** {@code rise = shutOff - factor q^exponent}. */
    record Power(double shutOff, double factor, double exponent) implements PumpCurve {
        public Power {
            if (!(shutOff > 0) || !(factor >= 0) || !(exponent > 0)) {
                throw new IllegalArgumentException("A power curve needs a positive shutoff pressure and exponent");
            }
        }

        @Override
        public void at(double q, Drop out) {
            double flow = Math.max(q, 0);
            out.loss = shutOff - factor * Math.pow(flow, exponent);
            out.slope = flow == 0 ? 0 : -factor * exponent * Math.pow(flow, exponent - 1);
        }
    }
}
