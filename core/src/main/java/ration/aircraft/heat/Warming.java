package ration.aircraft.heat;

import org.hipparchus.ode.ODEState;
import org.hipparchus.ode.OrdinaryDifferentialEquation;
import org.hipparchus.ode.nonstiff.DormandPrince853Integrator;

/** The plain heat balances, SI. */
public final class Warming {

    /** Specific heat of gasoline, J/kgK, 2.0 to 2.1 near 20 C (from memory). */
    public static final double SPECIFIC_HEAT = 2050;

    private static final double TOLERANCE = 1e-10;

    private Warming() {}

    /**
     * Fuel after a length of line: {@code T_zone + (T_in - T_zone) exp(-pi D U L / (m cp))}; the zone's own temperature
     * where nothing flows.
     *
     * @param in K
     * @param zone K
     * @param conduct pi D U L, W/K
     * @param massFlow kg/s
     */
    public static double along(double in, double zone, double conduct, double massFlow) {
        return zone + (in - zone) * keeps(conduct, massFlow);
    }

    /**
     * Share of its distance to the zone's temperature that fuel keeps along a length of line; nothing where none flows.
     */
    public static double keeps(double conduct, double massFlow) {
        return massFlow < 1e-9 ? 0 : Math.exp(-conduct / (massFlow * SPECIFIC_HEAT));
    }

    /**
     * A vessel that is filled as fast as it is drawn, and that part of what is drawn comes back to, warmer: a header, a
     * collector. It is taken as mixed. {@code T - T0 = r cp dT / (b cp + U) (1 - exp(-t / tau)), tau = m cp / (b cp +
     * U)}, energy balance.
     *
     * @param feed that comes in fresh, and is taken for good, kg/s
     * @param back that comes back, kg/s
     * @param mass it holds, kg
     * @param rise by which it comes back warmer than it would leave unwarmed, K
     * @param conduct heat out of it, and out of what goes round, for each degree it is warmer, W/K
     */
    public record Box(double feed, double back, double mass, double rise, double conduct) {

        /** How much warmer than its feed it is in the end, K; without end where nothing is taken and no heat leaves. */
        public double steady() {
            return rise <= 0 ? 0 : back * SPECIFIC_HEAT * rise / (feed * SPECIFIC_HEAT + conduct);
        }

        /** In which it comes two thirds of the way there, s. */
        public double tau() {
            return mass * SPECIFIC_HEAT / (feed * SPECIFIC_HEAT + conduct);
        }

        /** After a time, K. */
        public double after(double seconds) {
            double share = seconds / tau();
            return share < 1e-9 ? back * rise * seconds / Math.max(1e-12, mass) : steady() * -Math.expm1(-share);
        }
    }

    /**
     * A tank that hot fuel comes back to.
     *
     * @param mass of fuel, kg
     * @param burnt taken for good, kg/s
     * @param returned coming back, kg/s
     * @param riseK by which it comes back warmer than it left
     * @param conduct of its walls, W/K
     * @param outside K
     */
    public record Tank(double mass, double burnt, double returned, double riseK, double conduct, double outside) {

        /** Fuel temperature after a time, K: energy balance integrated by Dormand and Prince 8(5,3). */
        public double after(double seconds, double start) {
            OrdinaryDifferentialEquation balance = new OrdinaryDifferentialEquation() {
                @Override
                public int getDimension() {
                    return 1;
                }

                @Override
                public double[] computeDerivatives(double t, double[] y) {
                    double left = Math.max(0.05 * mass, mass - burnt * t);
                    return new double[] {
                        (returned * SPECIFIC_HEAT * riseK + conduct * (outside - y[0])) / (left * SPECIFIC_HEAT)
                    };
                }
            };
            return seconds <= 0
                    ? start
                    : new DormandPrince853Integrator(1e-6, seconds, TOLERANCE, TOLERANCE)
                            .integrate(balance, new ODEState(0, new double[] {start}), seconds)
                            .getPrimaryState()[0];
        }
    }
}
