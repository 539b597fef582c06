package ration.solver.network;

/**
 * Relative roughness of a line, with what the friction laws make of it alone: powers are dear, and asked in every step.
 */
final class Roughness {

    private static final double LN10 = Math.log(10);

    /** Over 3.7: the rough end of Colebrook's law. */
    final double rough;
    /** To the power 1.11 of Haaland's start. */
    final double haaland;
    /** Coefficients of Dunlop's cubic in Re / 2,000, which joins 64/Re to Swamee and Jain at Re 4,000. */
    final double cubic0;

    final double cubic1;
    final double cubic2;
    final double cubic3;

    /** @param relative roughness over inside diameter */
    Roughness(double relative) {
        rough = relative / 3.7;
        haaland = Math.pow(rough, 1.11);
        double y2 = rough + 5.74 / Math.pow(4000, 0.9);
        double y3 = -2 / LN10 * Math.log(y2);
        double a = 1 / (y3 * y3);
        double b = a * (2 - 0.00514215 / (y2 * y3));
        cubic0 = 7 * a - b;
        cubic1 = 0.128 - 17 * a + 2.5 * b;
        cubic2 = -0.128 + 13 * a - 2 * b;
        cubic3 = 0.032 - 3 * a + 0.5 * b;
    }
}
