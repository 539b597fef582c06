package ration.solver.network;

/**
 * When an answer counts.
 *
 * @param iterationLimit Newton steps in all; random networks of hundreds of links stay under 60
 * @param thorough whether regulators and jets that do not settle at once are sought the slow way; without, such a
 *     network is refused
 */
public record SolverSettings(int iterationLimit, boolean thorough) {

    /** Largest mass imbalance at a node of an accepted answer, m3/s: 1/30,000 of a small engine's idle flow. */
    public static final double MASS_TOLERANCE = 1e-9;
    /** Largest error of an element's pressure drop in an accepted answer, Pa: a tenth of a millimetre of fuel. */
    public static final double PRESSURE_TOLERANCE = 1.0;

    /** An answer that takes more pressure than this over one element is none, Pa: 10,000 psi. */
    public static final double MOST_PRESSURE = 6.9e7;

    public static final SolverSettings USUAL = new SolverSettings(400, true);

    public SolverSettings {
        if (iterationLimit < 1) {
            throw new IllegalArgumentException("An attempt takes one step or more");
        }
    }

    /** For tries of which most need no answer. */
    public SolverSettings quick() {
        return new SolverSettings(iterationLimit, false);
    }
}
