package ration.solver.network;

/**
 * Darcy friction factor against Reynolds number and relative roughness. All laws are laminar, 64/Re, up to at least Re
 * 2,000 and differ in what they do between there and 4,000, where small aircraft lines live.
 */
public enum FrictionLaw {

    /**
     * Ration's own: the turbulent branch (Colebrook, 3.7 and 2.51) from Re 2,300 up, reached from the laminar one by a
     * smooth step between 2,000 and 2,300. Never less than the textbook blend, so margins are on the safe side.
     */
    CONSERVATIVE("turbulent branch through the transition") {
        @Override
        void at(double re, Roughness rr, Drop out) {
            if (re <= LAMINAR_END) {
                laminar(re, out);
            } else if (re >= BLEND_END) {
                colebrook(re, rr, out);
            } else {
                colebrook(re, rr, out);
                double s = (re - LAMINAR_END) / (BLEND_END - LAMINAR_END);
                double step = s * s * (3 - 2 * s);
                double stepSlope = 6 * s * (1 - s) / (BLEND_END - LAMINAR_END);
                double rise = out.friction - 64 / re;
                double riseSlope = out.frictionRise + 64 / re;
                out.friction = 64 / re + step * rise;
                out.frictionRise = -64 / re + re * stepSlope * rise + step * riseSlope;
            }
        }
    },

    /** The common textbook blend: laminar to 2,300, a straight line to Colebrook at 4,000, Colebrook above. */
    TEXTBOOK("straight line from 2,300 to 4,000") {
        @Override
        void at(double re, Roughness rr, Drop out) {
            if (re <= BLEND_END) {
                laminar(re, out);
            } else if (re >= TURBULENT) {
                colebrook(re, rr, out);
            } else {
                colebrook(TURBULENT, rr, out);
                double low = 64 / BLEND_END;
                double slope = (out.friction - low) / (TURBULENT - BLEND_END);
                out.friction = low + slope * (re - BLEND_END);
                out.frictionRise = re * slope;
            }
        }
    },

    /**
     * The law of EPANET 2.2: Swamee and Jain above 4,000, Dunlop's cubic from 2,000 (formula as given in the reference
     * data). For comparison with networks solved elsewhere.
     */
    EPANET("Swamee-Jain with Dunlop's cubic") {
        @Override
        void at(double re, Roughness rr, Drop out) {
            if (re <= LAMINAR_END) {
                laminar(re, out);
            } else if (re >= TURBULENT) {
                double power = 5.74 * out.power(0, re);
                double y = rr.rough + power;
                double log = out.log(2, y);
                double inverse = 1 / (log * y);
                out.friction = QUARTER * (y * inverse) * (y * inverse);
                out.frictionRise = 1.8 * out.friction * power * inverse;
            } else {
                double r = re * (1 / LAMINAR_END);
                out.friction = rr.cubic0 + r * (rr.cubic1 + r * (rr.cubic2 + r * rr.cubic3));
                out.frictionRise = r * (rr.cubic1 + r * (2 * rr.cubic2 + r * 3 * rr.cubic3));
            }
        }
    };

    /** Reynolds number up to which flow in a line is taken as laminar. */
    public static final double LAMINAR_END = 2000;
    /** Reynolds number from which textbooks take flow as surely turbulent. */
    public static final double TURBULENT = 4000;

    private static final double BLEND_END = 2300;
    private static final double LN10 = Math.log(10);
    /** A quarter, over the square of the logarithm to ten. */
    private static final double QUARTER = 0.25 * LN10 * LN10;

    private final String words;

    FrictionLaw(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }

    /** Writes the friction factor and Re times its slope over Re. */
    abstract void at(double re, Roughness roughness, Drop out);

    /**
     * The Darcy friction factor.
     *
     * @param re Reynolds number, positive
     * @param relativeRoughness roughness over inside diameter, 0 to 0.05
     */
    public double factor(double re, double relativeRoughness) {
        Drop out = new Drop();
        at(re, new Roughness(relativeRoughness), out);
        return out.friction;
    }

    private static void laminar(double re, Drop out) {
        out.friction = 64 / re;
        out.frictionRise = -out.friction;
    }

    /**
     * Colebrook by Halley's steps on x = 1/sqrt(f), started from the last x or from Haaland's; two reach rounding
     * error.
     */
    private static void colebrook(double re, Roughness rr, Drop out) {
        double a = rr.rough;
        double b = 2.51 / re;
        double k = 2 / LN10;
        double last = out.kept(2);
        double x = last > 0 ? last : -1.8 / LN10 * Math.log(rr.haaland + 6.9 / re);
        double inner = a + b * x;
        for (int i = 0; i < 6; i++) {
            double off = x + k * out.log(0, inner);
            double lean = b / inner;
            double rise = 1 + k * lean;
            double step = 2 * off * rise / (2 * rise * rise + off * k * lean * lean);
            x -= step;
            inner = a + b * x;
            if (Math.abs(step) < 1e-4 * x) {
                break;
            }
        }
        out.keep(2, x);
        double xRise = k * b * x / inner / (1 + k * b / inner);
        out.friction = 1 / (x * x);
        out.frictionRise = -2 * out.friction / x * xRise;
    }
}
