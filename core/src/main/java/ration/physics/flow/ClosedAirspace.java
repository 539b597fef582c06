package ration.physics.flow;

/**
 * Air shut in over the fuel: {@code p V^n = const}. Isothermal, n 1, the slower loss of pressure; air that has no time
 * to take up heat, n 1.4, the quick bound (handbook, common practice).
 */
public final class ClosedAirspace {

    /** Air that stays as warm as it was. */
    public static final double ISOTHERMAL = 1.0;
    /** Air that takes up no heat: what is left of the pressure first. */
    public static final double ADIABATIC = 1.4;

    private ClosedAirspace() {}

    /**
     * Pressure over the fuel, Pa over ambient.
     *
     * @param roomM3 the air had when it was shut in at ambient pressure, above zero
     * @param usedM3 fuel that has left since; negative for fuel that has come
     * @param ambient Pa
     */
    public static double gauge(double roomM3, double usedM3, double ambient) {
        return new Room(roomM3, 0, ambient, ISOTHERMAL).gauge(-usedM3, ambient);
    }

    /**
     * Air as it was shut in.
     *
     * @param roomM3 it had, above zero
     * @param heldM3 fuel under it
     * @param ambient its pressure, Pa
     * @param exponent 1 to 1.4
     */
    public record Room(double roomM3, double heldM3, double ambient, double exponent) {

        public Room {
            if (!(roomM3 > 0)) {
                throw new IllegalArgumentException("A closed airspace has room.");
            }
        }

        /** Its pressure over that of the air outside, Pa, with so much fuel under it. */
        public double gauge(double nowM3, double outside) {
            double room = roomM3 + heldM3 - nowM3;
            if (!(room > 0)) {
                throw new IllegalArgumentException("A closed airspace has room.");
            }
            return ambient * Math.pow(roomM3 / room, exponent) - outside;
        }
    }
}
