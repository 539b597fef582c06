package ration.physics.flow;

/**
 * How long a line that is shut in holds its pressure over a small opening. The line gives back what it was stretched
 * by: C dp/dt = -CdA sqrt(2 p / rho), so t = 2 C (sqrt(p0) - sqrt(p1)) / (CdA sqrt(2 / rho)). From memory; air left in
 * the line makes it longer.
 */
public final class HeldPressure {

    /** What a short rubber and metal line gives back, 0.05 mL/psi, m3/Pa: common practice, no source; an estimate. */
    public static final double GIVES = 0.05e-6 / 6894.757;

    private HeldPressure() {}

    /**
     * @param gives volume a line gives back, m3/Pa
     * @param from pressure at first, Pa gauge
     * @param to pressure at the end, Pa gauge, not above it
     * @param opening area times discharge coefficient of all that is open, m2
     * @param density of the fuel, kg/m3
     * @return s; without end where nothing is open
     */
    public static double seconds(double gives, double from, double to, double opening, double density) {
        return 2 * gives * (Math.sqrt(from) - Math.sqrt(to)) / (opening * Math.sqrt(2 / density));
    }
}
