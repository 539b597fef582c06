package ration.physics.breathing;

import java.util.List;
import ration.aircraft.model.VentLine;
import ration.aircraft.model.VentPiece;
import ration.solver.network.Element;
import ration.solver.network.FrictionLaw;

/**
 * A vent line full of air: Darcy and Weisbach, laminar to Re 2000 and Colebrook above, entrance and exit; air of the
 * standard sea level.
 *
 * @param bore m
 * @param length m
 * @param ball whether a check ball sits in it
 * @param gaps what the air passes before it, from the tank on
 */
public record AirLine(double bore, double length, boolean ball, List<Gap> gaps) {

    /**
     * A piece told by a hole with a sharp edge that passes as much.
     *
     * @param opening bore of that hole, m
     * @param beside whether it leads out beside the rest of the line
     */
    public record Gap(double opening, boolean beside) {
        public Gap {
            if (!(opening >= 0)) {
                throw new IllegalArgumentException("An opening is zero or more");
            }
        }

        private double area() {
            return DISCHARGE * Math.PI * opening * opening / 4;
        }

        /** What a flow of air loses in it, Pa; textbook. */
        double drop(double flow) {
            double speed = flow / area();
            return flow == 0 ? 0 : DENSITY * speed * speed / 2;
        }
    }

    /** Of a hole with a sharp edge; textbook, from memory. */
    private static final double DISCHARGE = 0.62;

    private static final int SPLITS = 60;

    /** A line with nothing in it. */
    public AirLine(double bore, double length, boolean ball) {
        this(bore, length, ball, List.of());
    }

    /** kg/m3 and Pa s at standard sea level. */
    public static final double DENSITY = 1.225;

    public static final double VISCOSITY = 1.79e-5;
    private static final double ROUGHNESS = 1.5e-6;
    /** Sharp entrance and exit (textbook, from memory). */
    private static final double ENDS = 1.5;
    /** A check ball passes far less than its fitting says; common practice, no source. */
    private static final double BALL = 10;

    public AirLine {
        if (!(bore > 0) || !(length >= 0)) {
            throw new IllegalArgumentException("A vent line needs a bore above zero and a length");
        }
        gaps = List.copyOf(gaps);
    }

    /** Friction alone, Pa a metre of line, at a flow of air, m3/s. */
    public double perMetre(double flow) {
        double speed = 4 * Math.abs(flow) / (Math.PI * bore * bore);
        double reynolds = DENSITY * speed * bore / VISCOSITY;
        return reynolds < 1e-9
                ? 0
                : FrictionLaw.CONSERVATIVE.factor(reynolds, ROUGHNESS / bore) / bore * DENSITY * speed * speed / 2;
    }

    /** As a line of the network; a way out beside it is left out there: less air than that comes. */
    public Element.Pipe pipe() {
        double area = Math.PI * bore * bore / 4;
        double inside = gaps.stream()
                .filter(g -> !g.beside())
                .mapToDouble(g -> Math.pow(area / Math.max(1e-12, g.area()), 2))
                .sum();
        return new Element.Pipe(bore, length, ROUGHNESS, Element.Minor.k(ENDS + (ball ? BALL : 0) + inside), false);
    }

    /** As laid out; its bore must be above zero. */
    public static AirLine of(VentLine v) {
        return new AirLine(
                v.bore().si(),
                Math.max(0, v.length().si()),
                v.ball(),
                v.pieces().stream()
                        .map(p -> new Gap(Math.max(0, p.opening().si()), p.kind() == VentPiece.Kind.BRANCH))
                        .toList());
    }

    /** Whole drop, Pa. */
    public double drop(double flow) {
        return from(0, Math.abs(flow));
    }

    /** From a gap on to the open end. */
    private double from(int gap, double flow) {
        if (gap == gaps.size()) {
            return bare(flow);
        }
        Gap g = gaps.get(gap);
        if (!g.beside()) {
            return g.drop(flow) + from(gap + 1, flow);
        }
        // both ways lose the same
        double low = 0;
        double high = flow;
        for (int i = 0; i < SPLITS; i++) {
            double out = (low + high) / 2;
            if (g.drop(out) < from(gap + 1, flow - out)) {
                low = out;
            } else {
                high = out;
            }
        }
        return from(gap + 1, flow - low);
    }

    private double bare(double flow) {
        double speed = 4 * flow / (Math.PI * bore * bore);
        return perMetre(flow) * length + (ENDS + (ball ? BALL : 0)) * DENSITY * speed * speed / 2;
    }

    /** What passes under so much pressure, m3/s; nothing where a gap is shut. */
    public double passes(double pascal) {
        return passes(List.of(this), pascal);
    }

    /** The same through several lines one after the other. */
    public static double passes(List<AirLine> lines, double pascal) {
        double low = 0;
        double high = MOST_BREATH;
        for (int i = 0; i < SPLITS; i++) {
            double q = (low + high) / 2;
            if (lines.stream().mapToDouble(l -> l.drop(q)).sum() < pascal) {
                low = q;
            } else {
                high = q;
            }
        }
        return low;
    }

    /** More air than anybody blows, m3/s. */
    private static final double MOST_BREATH = 0.1;
}
