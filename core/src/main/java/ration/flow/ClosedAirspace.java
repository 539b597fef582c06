package ration.flow;

/**
 * Air shut in over the fuel: {@code p V = const}. Isothermal, the slower loss of pressure; air that has no time to take up
 * heat falls up to 1.4 times as fast (handbook, common practice).
 */
public final class ClosedAirspace {

    private ClosedAirspace() {
    }

    /**
     * Pressure over the fuel, Pa over ambient.
     *
     * @param roomM3  the air had when it was shut in at ambient pressure, above zero
     * @param usedM3  fuel that has left since; negative for fuel that has come
     * @param ambient Pa
     */
    public static double gauge(double roomM3, double usedM3, double ambient) {
        if (!(roomM3 > 0) || !(roomM3 + usedM3 > 0)) {
            throw new IllegalArgumentException("A closed airspace has room.");
        }
        return ambient * roomM3 / (roomM3 + usedM3) - ambient;
    }
}
