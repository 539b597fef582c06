package ration.aircraft.model;

import ration.base.quantity.Measured;
import ration.base.quantity.Unit;

/**
 * A piece in a vent line, as its air passes it.
 *
 * @param opening bore of a hole with a sharp edge that passes as much, by a breath through it alone; a guess until that
 *     was done
 */
public record VentPiece(Kind kind, Measured opening) {

    /** What sits in vent lines. Usual openings: common practice, no source. */
    public enum Kind {
        ROLLOVER("rollover valve", 0.15),
        ONE_WAY("one-way valve", 0.20),
        CANISTER("canister", 0.15),
        SEPARATOR("separator", 0.25),
        POWERED("powered valve", 0.20),
        CATCH_CAN("catch can", 0.25),
        /** A way out beside the rest of the line. */
        BRANCH("branch", 0.10);

        private final String label;
        private final double usual;

        Kind(String label, double usual) {
            this.label = label;
            this.usual = usual;
        }

        public String label() {
            return label;
        }
    }

    /** One nobody measured. */
    public static VentPiece usual(Kind kind) {
        return new VentPiece(kind, Measured.of(kind.usual, Unit.INCH, "estimate"));
    }

    public VentPiece withOpening(Measured other) {
        return new VentPiece(kind, other);
    }
}
