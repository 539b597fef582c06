package ration.network;

/** Relative roughness of a line, with what the friction laws make of it alone: powers are dear, and asked in every step. */
final class Roughness {

    private static final double LN10 = Math.log(10);

    /** Over 3.7: the rough end of Colebrook's law. */
    final double rough;
    /** To the power 1.11 of Haaland's start. */
    final double haaland;
    /** Swamee and Jain's friction factor and its form at Re 4,000, where Dunlop's cubic begins. */
    final double cubicA;
    final double cubicB;

    /** @param relative roughness over inside diameter */
    Roughness(double relative) {
        rough = relative / 3.7;
        haaland = Math.pow(rough, 1.11);
        double y2 = rough + 5.74 / Math.pow(4000, 0.9);
        double y3 = -2 / LN10 * Math.log(y2);
        cubicA = 1 / (y3 * y3);
        cubicB = cubicA * (2 - 0.00514215 / (y2 * y3));
    }
}
