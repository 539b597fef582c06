package ration.physics.vapor;

/**
 * Vapor that fuel gives off where it comes back to a tank warmer than it boils there: all it holds over boiling goes
 * into vapor, an upper bound, since the fuel in the tank cools it too.
 */
public final class ReturnVapor {

    /**
     * Of warm gasoline, J/(kg K) (from memory, medium): a little more than along the lines, the larger being safe here.
     */
    public static final double SPECIFIC_HEAT = 2100;
    /** Heat that turns gasoline into vapor, J/kg (from memory, medium). */
    public static final double HEAT = 340_000;
    /** Of the light ends that leave first, kg/mol (from memory, medium). */
    public static final double MOLAR = 0.068;
    /** J/(mol K). */
    public static final double GAS = 8.314462618;

    private ReturnVapor() {}

    /**
     * {@code m = rho Q cp dT / h}, volume {@code m R T / (M p)}.
     *
     * @param back fuel that comes back, m3/s
     * @param density of it, kg/m3
     * @param over degrees over boiling at the pressure in the tank, K; none at or below zero
     * @param kelvin of the vapor
     * @param pascal in the tank, absolute
     * @return m3/s
     */
    public static double flow(double back, double density, double over, double kelvin, double pascal) {
        double mass = density * back * SPECIFIC_HEAT * Math.max(0, over) / HEAT;
        return mass * GAS * kelvin / (MOLAR * pascal);
    }

    /** kg/m3. */
    public static double density(double kelvin, double pascal) {
        return MOLAR * pascal / (GAS * kelvin);
    }
}
