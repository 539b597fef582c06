package ration.physics.breathing;

import ration.aircraft.model.VentLine;
import ration.solver.network.Element;
import ration.solver.network.FrictionLaw;

/**
 * A vent line full of air: Darcy and Weisbach, laminar to Re 2000 and Colebrook above, entrance and exit; air of the
 * standard sea level.
 *
 * @param bore m
 * @param length m
 * @param ball whether a check ball sits in it
 */
public record AirLine(double bore, double length, boolean ball) {

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
    }

    /** Friction alone, Pa a metre of line, at a flow of air, m3/s. */
    public double perMetre(double flow) {
        double speed = 4 * Math.abs(flow) / (Math.PI * bore * bore);
        double reynolds = DENSITY * speed * bore / VISCOSITY;
        return reynolds < 1e-9
                ? 0
                : FrictionLaw.CONSERVATIVE.factor(reynolds, ROUGHNESS / bore) / bore * DENSITY * speed * speed / 2;
    }

    /** As a line of the network. */
    public Element.Pipe pipe() {
        return new Element.Pipe(bore, length, ROUGHNESS, Element.Minor.k(ENDS + (ball ? BALL : 0)), false);
    }

    /** As laid out; its bore must be above zero. */
    public static AirLine of(VentLine v) {
        return new AirLine(v.bore().si(), Math.max(0, v.length().si()), v.ball());
    }

    /** Whole drop, Pa. */
    public double drop(double flow) {
        double speed = 4 * Math.abs(flow) / (Math.PI * bore * bore);
        return perMetre(flow) * length + (ENDS + (ball ? BALL : 0)) * DENSITY * speed * speed / 2;
    }
}
