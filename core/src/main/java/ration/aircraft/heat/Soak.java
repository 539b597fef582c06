package ration.aircraft.heat;

import org.hipparchus.ode.ODEState;
import org.hipparchus.ode.OrdinaryDifferentialEquation;
import org.hipparchus.ode.nonstiff.DormandPrince853Integrator;

/**
 * A part after shutdown: it follows the air around it with a lag. The air of the engine bay rises from what it was at
 * idle to the soak's own height and fades; elsewhere it stays. Shapes are common practice, no source: fit them to a
 * log.
 *
 * @param outside K
 * @param startOver bay over outside at shutdown, K
 * @param soakOver height of the soak over outside, K
 * @param fade time constant with which the soak dies away, s
 * @param lag time constant of the part, s
 * @param start temperature of the part at shutdown, K
 */
public record Soak(double outside, double startOver, double soakOver, double fade, double lag, double start) {

    /** Time in which the cooling air stops and the bay takes up the engine's heat, s; common practice, no source. */
    public static final double RISE = 240;

    private static final double TOLERANCE = 1e-9;

    /** Air around the part, K. */
    public double air(double seconds) {
        double rising = Math.exp(-seconds / RISE);
        return outside + startOver * rising + soakOver * (1 - rising) * Math.exp(-seconds / fade);
    }

    /**
     * Temperature of the part at a time, K, in closed form: each exponential of the air answered by the lag.
     *
     * <p>The air is {@code outside + (start - soak) e^(-t/r) ...}; for every term {@code c e^(-kt)} the part holds
     * {@code c / (1 - k lag) (e^(-kt) - e^(-t/lag))}.
     */
    public double at(double seconds) {
        double own = Math.exp(-seconds / lag);
        return outside
                + (start - outside) * own
                + term(startOver, 1 / RISE, seconds, own)
                + term(soakOver, 1 / fade, seconds, own)
                - term(soakOver, 1 / fade + 1 / RISE, seconds, own);
    }

    private double term(double height, double rate, double seconds, double own) {
        double apart = 1 - rate * lag;
        return Math.abs(apart) < 1e-7
                ? height * seconds / lag * own
                : height / apart * (Math.exp(-rate * seconds) - own);
    }

    /** Temperature of the part every step, K, from shutdown on. */
    public double[] every(double stepSeconds, int steps) {
        OrdinaryDifferentialEquation relax = new OrdinaryDifferentialEquation() {
            @Override
            public int getDimension() {
                return 1;
            }

            @Override
            public double[] computeDerivatives(double t, double[] y) {
                return new double[] {(air(t) - y[0]) / lag};
            }
        };
        double[] all = new double[steps + 1];
        all[0] = start;
        double[] y = {start};
        for (int i = 1; i <= steps; i++) {
            y = new DormandPrince853Integrator(1e-4, stepSeconds, TOLERANCE, TOLERANCE)
                    .integrate(relax, new ODEState((i - 1) * stepSeconds, y), i * stepSeconds)
                    .getPrimaryState();
            all[i] = y[0];
        }
        return all;
    }
}
