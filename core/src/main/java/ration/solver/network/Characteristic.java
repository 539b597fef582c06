package ration.solver.network;

/** An element prepared for one fluid: loss against flow. Never falls with rising flow; the slope is always positive. */
interface Characteristic {

    /** Least slope of any characteristic, Pa per m3/s: 0.001 Pa at 1e-4 m3/s, far below every tolerance. */
    double LEAST_SLOPE = 10;

    /** Below this flow, m3/s, a square law is rounded so that its slope does not vanish: 0.001 gph. */
    double ROUNDING_FLOW = 1e-9;

    /** Writes loss and slope at a flow into the scratch. */
    void at(double q, Drop out);

    /** Far above it, only the first term of the rounding is left: the next is under 1e-13 of the loss. */
    double FAR = 1000 * ROUNDING_FLOW;

    /** Adds a rounded square law {@code b q |q|}. */
    static void addSquare(double b, double q, Drop out) {
        double flow = Math.abs(q);
        if (flow > FAR) {
            out.loss += b * (q * flow + Math.copySign(ROUNDING_FLOW * ROUNDING_FLOW / 2, q));
            out.slope += 2 * b * flow;
            return;
        }
        double root = Math.sqrt(q * q + ROUNDING_FLOW * ROUNDING_FLOW);
        out.loss += b * q * root;
        out.slope += b * (2 * q * q + ROUNDING_FLOW * ROUNDING_FLOW) / root;
    }

    /** A linear and a square part. */
    static Characteristic polynomial(double linear, double square) {
        double a = linear + LEAST_SLOPE;
        return square == 0
                ? new Straight(a)
                : (q, out) -> {
                    out.loss = a * q;
                    out.slope = a;
                    addSquare(square, q, out);
                };
    }

    /** In proportion: what joints are, of which a network has most. */
    record Straight(double slope) implements Characteristic {
        @Override
        public void at(double q, Drop out) {
            out.loss = slope * q;
            out.slope = slope;
        }
    }
}
