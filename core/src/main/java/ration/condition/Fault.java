package ration.condition;

import java.util.Objects;

/**
 * One part that has failed in one way.
 *
 * @param kind how
 * @param item id of the part
 * @param port which outlet, inlet or end of it; empty where it has but one or all are meant
 * @param severity what {@link Kind#severity} says of it; 1 where it says nothing
 */
public record Fault(Kind kind, String item, String port, double severity) {

    /** The ways in which a part fails, as handbook and practice name them; figures are common practice without a source. */
    public enum Kind {
        /** A vent lets no air in or out: the air over the fuel is what was shut in. */
        VENT_SHUT("vent shut", ""),
        /** Liquid stands in a trap of the vent: air comes in once it is pulled over its rise. */
        VENT_HOLDS_LIQUID("liquid stands in the vent", "rise of the liquid, m"),
        /** The filler is open to the wing's upper side. */
        CAP_LOST("cap lost", "suction coefficient over the filler, 0.5 to 1"),
        OUTLET_CLOGGED("screen clogged", "times its loss; infinite is shut"),
        FILTER_FOULED("fouled", "times its fouled loss; infinite is shut"),
        LINE_PINCHED("pinched", "share of the bore left, over one inch of line"),
        SELECTOR_BETWEEN("between detents", "share of the area left"),
        SELECTOR_LEAKS("leaks across", "bore of the leak, m"),
        CHECK_STUCK_OPEN("stuck open", ""),
        CHECK_STUCK_SHUT("stuck shut", ""),
        PUMP_DEAD("dead", ""),
        PUMP_WEAK("weak", "share of its pressure left"),
        /** The electric supply is gone: every electric pump on the bus that the port names stands; every one where none is named. */
        SUPPLY_DEAD("electric supply dead", ""),
        REGULATOR_STUCK_OPEN("stuck open", ""),
        REGULATOR_STUCK_SHUT("stuck shut", ""),
        REFERENCE_OFF("reference hose off", ""),
        NEEDLE_STUCK_OPEN("needle stuck open", ""),
        NEEDLE_STUCK_SHUT("needle stuck shut", ""),
        /** An end, joint or seal lets air in wherever the pressure there falls under ambient. */
        AIR_LEAK("lets air in", ""),
        /** Fuel runs out through a small hole. */
        FUEL_LEAK("leaks fuel", "bore of the hole, m"),
        RETURN_BLOCKED("blocked", ""),
        /** Water lies in it, in place of fuel. */
        WATER("holds water", ""),
        /** The fuel aboard boils more easily than was said; its item stands for the whole document. */
        FUEL_VOLATILE("more volatile", "rise of Reid pressure, Pa"),
        SENDER_CLOGGED("rotor stuck", "times its loss; infinite is shut"),
        /** What it shows no longer moves; the fuel does not feel it. */
        INDICATION_FROZEN("indication frozen", "");

        private final String words;
        private final String severity;

        Kind(String words, String severity) {
            this.words = words;
            this.severity = severity;
        }

        /** As said after the name of the part. */
        public String words() {
            return words;
        }

        /** What its severity is, with the unit; empty where it has none. */
        public String severity() {
            return severity;
        }
    }

    public Fault {
        Objects.requireNonNull(kind);
        Objects.requireNonNull(item);
        Objects.requireNonNull(port);
        if (!(severity > 0)) {
            throw new IllegalArgumentException("A severity is above zero.");
        }
    }

    /** Of a whole part, in a way that knows no degrees. */
    public Fault(Kind kind, String item) {
        this(kind, item, "", 1);
    }

    /** Of a whole part, so far. */
    public Fault(Kind kind, String item, double severity) {
        this(kind, item, "", severity);
    }
}
