package ration.base.fluid;

/**
 * True vapor pressure of a gasoline: the correlation of API 2517 as AP-42 chapter 7.1 prints it, from memory.
 *
 * <p>{@code ln P = A - B/T} with P in psia and T in degrees Rankine, {@code A = 15.64 - 1.854 S^0.5 - (0.8742 - 0.3280
 * S^0.5) ln RVP}, {@code B = 8742 - 1042 S^0.5 - (1049 - 179.4 S^0.5) ln RVP}. Against equations of state at equal Reid
 * vapor pressure it reads 0 to 10 % high (safe side) from 20 to 60 C; below that higher still, above an extrapolation.
 *
 * @param reidPsi Reid vapor pressure, psi, 1 to 20
 * @param slope of the distillation curve at 10 %, degrees F per volume %: 2 for aviation, 3 for motor gasoline
 */
public record VaporPressure(double reidPsi, double slope) {

    private static final double PSI = 6894.757293168361;
    /** Degrees Fahrenheit of the formula's zero, 459.6 as printed. */
    private static final double RANKINE = 459.6;

    public VaporPressure {
        if (!(reidPsi >= 1 && reidPsi <= 20) || !(slope >= 0.5 && slope <= 10)) {
            throw new IllegalArgumentException("A Reid vapor pressure lies between 1 and 20 psi.");
        }
    }

    /** A of the line. */
    public double lineA() {
        double root = Math.sqrt(slope);
        return 15.64 - 1.854 * root + (0.7553 * root - 2.013) * Math.log10(reidPsi);
    }

    /** B of the line, degrees Rankine. */
    public double lineB() {
        double root = Math.sqrt(slope);
        return 8742 - 1042 * root + (413.0 * root - 2416) * Math.log10(reidPsi);
    }

    private static double rankine(double kelvin) {
        return (kelvin - 273.15) * 1.8 + 32 + RANKINE;
    }

    /**
     * The formula with its two figures worked out.
     *
     * @param a of the line
     * @param b of the line, degrees Rankine
     */
    public record Line(double a, double b) {

        /** Pressure at which the fuel begins to boil, Pa absolute. */
        public double pascal(double kelvin) {
            return PSI * Math.exp(a - b / rankine(kelvin));
        }

        /** Temperature at which it begins to boil under a pressure, K; 0 where nothing is too cold. */
        public double kelvin(double pascal) {
            if (!(pascal > 0)) {
                return 0;
            }
            double rankine = b / (a - Math.log(pascal / PSI));
            return rankine < 0 ? Double.POSITIVE_INFINITY : (rankine - RANKINE - 32) / 1.8 + 273.15;
        }
    }

    /** Ready for many questions. */
    public Line line() {
        return new Line(lineA(), lineB());
    }

    /** Pressure at which the fuel begins to boil, Pa absolute. */
    public double pascal(double kelvin) {
        return line().pascal(kelvin);
    }

    /** Temperature at which it begins to boil under a pressure, K; 0 where nothing is too cold. */
    public double boilingKelvin(double pascal) {
        return line().kelvin(pascal);
    }
}
