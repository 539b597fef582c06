package ration.base.fluid;

import java.util.Optional;

/**
 * A grade of gasoline with the properties flow needs.
 *
 * <p>Sources, all from memory: ASTM D910 leaves the density of 100LL free, the standard weight is 6.0 lb/US gal; EN 228
 * allows motor gasoline 720 to 775 kg/m3 at 15 C, 745 is a usual tanker figure. Viscosity of gasolines 0.45 to 0.75
 * mm2/s near 15 C in practice, 0.9 to 1.0 at -20 C; one curve serves both grades since the scatter inside a grade is
 * larger than the difference between them.
 */
public enum FuelGrade {
    AVGAS_100LL("100LL", 6.0 * 0.45359237 / 3.785411784e-3),
    MOTOR_GASOLINE("Motor gasoline", 745.0);

    private static final double REFERENCE_K = 288.15;
    private static final double VISCOSITY_AT_REFERENCE = 0.60e-6;
    /** Andrade constant, K, from 0.60 mm2/s at 15 C and 0.95 mm2/s at -20 C. */
    private static final double ANDRADE_K = Math.log(0.95 / 0.60) / (1 / 253.15 - 1 / REFERENCE_K);

    private final String label;
    private final double density15;

    FuelGrade(String label, double density15) {
        this.label = label;
        this.density15 = density15;
    }

    public String label() {
        return label;
    }

    /** What documents call it. */
    public String key() {
        return this == AVGAS_100LL ? "100ll" : "motor-gasoline";
    }

    /** The grade that documents call this; those written before there were keys called the second by its words. */
    public static Optional<FuelGrade> written(String key) {
        String asked = key.strip().toLowerCase(java.util.Locale.ROOT).replace(' ', '-');
        for (FuelGrade grade : values()) {
            if (grade.key().equals(asked)) {
                return Optional.of(grade);
            }
        }
        return Optional.empty();
    }

    /**
     * Density, kg/m3. API gasolines (from memory): {@code alpha = 346.4228/rho^2 + 0.4388/rho} per C, {@code VCF =
     * exp(-alpha dt (1 + 0.8 alpha dt))}; stated for 653 to 770 kg/m3.
     *
     * @param kelvin fuel temperature, 220 to 350 K
     */
    public double density(double kelvin) {
        requireLiquidRange(kelvin);
        double dt = kelvin - REFERENCE_K;
        double alpha = 346.4228 / (density15 * density15) + 0.4388 / density15;
        return density15 * Math.exp(-alpha * dt * (1 + 0.8 * alpha * dt));
    }

    /** Kinematic viscosity, m2/s, 220 to 350 K. */
    public double viscosity(double kelvin) {
        requireLiquidRange(kelvin);
        return VISCOSITY_AT_REFERENCE * Math.exp(ANDRADE_K * (1 / kelvin - 1 / REFERENCE_K));
    }

    /** Both at one temperature. */
    public Fluid at(double kelvin) {
        return new Fluid(density(kelvin), viscosity(kelvin));
    }

    private static void requireLiquidRange(double kelvin) {
        if (!(kelvin >= 220 && kelvin <= 350)) {
            throw new IllegalArgumentException("Fuel temperature must lie between -53 and 77 \u00b0C");
        }
    }
}
