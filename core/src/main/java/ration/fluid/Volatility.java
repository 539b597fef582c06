package ration.fluid;

/**
 * How easily a fuel boils, at the limit of what its specification allows. ASTM D910, D7547 and D4814 limits, from memory
 * with high confidence.
 */
public enum Volatility {
    AVGAS_100LL("100LL", 7.1, 2, "ASTM D910: 5.5 to 7.1 psi"),
    AVGAS_91UL("91UL", 7.1, 2, "ASTM D7547: 5.5 to 7.1 psi, confidence medium"),
    MOGAS_AA("Mogas AA", 7.8, 3, "ASTM D4814 class AA"),
    MOGAS_A("Mogas A", 9.0, 3, "ASTM D4814 class A, summer"),
    MOGAS_B("Mogas B", 10.0, 3, "ASTM D4814 class B"),
    MOGAS_C("Mogas C", 11.5, 3, "ASTM D4814 class C"),
    MOGAS_D("Mogas D", 13.5, 3, "ASTM D4814 class D"),
    MOGAS_E("Mogas E", 15.0, 3, "ASTM D4814 class E, winter");

    private final String label;
    private final double reidPsi;
    private final double slope;
    private final String source;

    Volatility(String label, double reidPsi, double slope, String source) {
        this.label = label;
        this.reidPsi = reidPsi;
        this.slope = slope;
        this.source = source;
    }

    public String label() {
        return label;
    }

    /** Most Reid vapor pressure allowed, psi. */
    public double reidPsi() {
        return reidPsi;
    }

    /** Where its limit comes from. */
    public String source() {
        return source + " (from memory)";
    }

    /** With so much more or less Reid vapor pressure, psi: ethanol adds about one, weathering takes some away. */
    public VaporPressure with(double changePsi) {
        return new VaporPressure(Math.max(1, Math.min(20, reidPsi + changePsi)), slope);
    }

    /** Of another Reid vapor pressure, psi. */
    public VaporPressure own(double psi) {
        return new VaporPressure(psi, slope);
    }

    /** The usual one of a grade. */
    public static Volatility usual(FuelGrade grade) {
        return grade == FuelGrade.AVGAS_100LL ? AVGAS_100LL : MOGAS_A;
    }
}
