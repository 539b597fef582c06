package ration.base.fluid;

import java.util.EnumSet;
import java.util.Set;

/**
 * How easily a fuel boils, at the limit of what its specification allows. ASTM D910, D7547 and D4814 limits, from
 * memory with high confidence.
 */
public enum Volatility {
    AVGAS_100LL("100LL", 7.1, 2, "ASTM D910: 5.5 to 7.1 psi"),
    AVGAS_91UL("91UL", 7.1, 2, "ASTM D7547: 5.5 to 7.1 psi, confidence medium"),
    MOGAS_AA("Mogas AA", 7.8, 3, "ASTM D4814 class AA, summer in warm regions"),
    MOGAS_AA_ETHANOL(
            "Mogas AA with ethanol",
            8.8,
            3,
            "ASTM D4814 class AA, summer in warm regions; 5 to 10 % ethanol adds 1 psi"),
    MOGAS_A("Mogas A", 9.0, 3, "ASTM D4814 class A, summer"),
    MOGAS_A_ETHANOL("Mogas A with ethanol", 10.0, 3, "ASTM D4814 class A, summer; 5 to 10 % ethanol adds 1 psi"),
    MOGAS_B("Mogas B", 10.0, 3, "ASTM D4814 class B, between seasons"),
    MOGAS_B_ETHANOL(
            "Mogas B with ethanol", 11.0, 3, "ASTM D4814 class B, between seasons; 5 to 10 % ethanol adds 1 psi"),
    MOGAS_C("Mogas C", 11.5, 3, "ASTM D4814 class C, between seasons"),
    MOGAS_C_ETHANOL(
            "Mogas C with ethanol", 12.5, 3, "ASTM D4814 class C, between seasons; 5 to 10 % ethanol adds 1 psi"),
    MOGAS_D("Mogas D", 13.5, 3, "ASTM D4814 class D, winter"),
    MOGAS_D_ETHANOL("Mogas D with ethanol", 14.5, 3, "ASTM D4814 class D, winter; 5 to 10 % ethanol adds 1 psi"),
    MOGAS_E("Mogas E", 15.0, 3, "ASTM D4814 class E, winter"),
    MOGAS_E_ETHANOL("Mogas E with ethanol", 16.0, 3, "ASTM D4814 class E, winter; 5 to 10 % ethanol adds 1 psi"),
    /** Nobody said which: the most volatile is taken, and nothing counts as shown. */
    MOGAS_UNSAID(
            "Mogas, class not set", 16.0, 3, "the most volatile of ASTM D4814 until class, season and ethanol are set");

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

    /** The usual one of a grade; motor gasoline has none. */
    public static Volatility usual(FuelGrade grade) {
        return grade == FuelGrade.AVGAS_100LL ? AVGAS_100LL : MOGAS_UNSAID;
    }

    /** Whether it holds ethanol: not every hose, seal and sealant bears that. */
    public boolean ethanol() {
        return ETHANOL.contains(this);
    }

    private static final Set<Volatility> ETHANOL = EnumSet.of(
            MOGAS_AA_ETHANOL, MOGAS_A_ETHANOL, MOGAS_B_ETHANOL, MOGAS_C_ETHANOL, MOGAS_D_ETHANOL, MOGAS_E_ETHANOL);
}
