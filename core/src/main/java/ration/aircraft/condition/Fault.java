package ration.aircraft.condition;

import java.util.Objects;
import ration.verdict.standard.Standard;
import ration.verdict.standard.Subject;

/**
 * One part that has failed in one way.
 *
 * @param kind how
 * @param item id of the part
 * @param port which outlet, inlet or end of it; empty where it has but one or all are meant
 * @param severity what {@link Kind#severity} says of it; 1 where it says nothing
 */
public record Fault(Kind kind, String item, String port, double severity) {

    /** Where a failure is felt. */
    public enum Felt {
        /** Pressures or flows change: solving the network tells what it does. */
        IN_THE_NETWORK,
        /** The network feels nothing, at once or ever: what it does is worked out beside it, or not shown. */
        BESIDE
    }

    /**
     * The ways in which a part fails, as handbook and practice name them; figures are common practice without a source.
     */
    public enum Kind {
        /** A vent lets no air in or out: the air over the fuel is what was shut in. */
        VENT_SHUT(Felt.IN_THE_NETWORK, "vent blocked", "", Source.PRACTICE),
        /** Liquid stands in a trap of the vent: air comes in once it is pulled over its rise. */
        VENT_HOLDS_LIQUID(Felt.IN_THE_NETWORK, "liquid trapped in vent", "rise of the liquid, m", Source.PRACTICE),
        /** The filler is open to the wing's upper side. */
        CAP_LOST(
                Felt.IN_THE_NETWORK,
                "filler cap missing",
                "suction coefficient over the filler, 0.5 to 1",
                Source.PRACTICE),
        OUTLET_CLOGGED(
                Felt.IN_THE_NETWORK, "screen clogged", "times its clean loss; infinite is clogged", Source.SCREENS),
        /** A door between bays hangs open or shut. */
        FLAPPER_STUCK(Felt.BESIDE, "flapper door stuck", "", Source.PRACTICE),
        FILTER_FOULED(Felt.IN_THE_NETWORK, "dirty", "times its dirty loss; infinite is clogged", Source.PRACTICE),
        LINE_PINCHED(Felt.IN_THE_NETWORK, "pinched", "share of the bore left, over one inch of line", Source.PRACTICE),
        SELECTOR_BETWEEN(Felt.IN_THE_NETWORK, "between detents", "share of the area left", Source.PRACTICE),
        SELECTOR_LEAKS(Felt.IN_THE_NETWORK, "leaks internally (port to port)", "bore of the leak, m", Source.PRACTICE),
        /** It cannot be turned any more. */
        SELECTOR_STUCK(Felt.BESIDE, "stuck in position", "", Source.PRACTICE),
        /** A valve in the line that is knocked, or turns by itself. */
        VALVE_SHUT(Felt.IN_THE_NETWORK, "knocked shut", "", Source.PRACTICE),
        /** Its halves part, and shut by themselves. */
        COUPLING_APART(Felt.IN_THE_NETWORK, "comes apart and shuts", "", Source.PRACTICE),
        CHECK_STUCK_OPEN(Felt.IN_THE_NETWORK, "stuck open", "", Source.PRACTICE),
        CHECK_STUCK_SHUT(Felt.IN_THE_NETWORK, "stuck shut", "", Source.PRACTICE),
        PUMP_DEAD(Felt.IN_THE_NETWORK, "inoperative", "", Source.PUMPS),
        PUMP_WEAK(Felt.IN_THE_NETWORK, "weak", "share of its pressure left", Source.PRACTICE),
        /** What it lifts runs back within it: its relief hangs open, or the hose inside its tank or module is off. */
        RELIEF_STUCK_OPEN(
                Felt.IN_THE_NETWORK, "bypasses internally: relief open, or hose off inside", "", Source.PRACTICE),
        /**
         * The electric supply is gone: every electric pump on the bus that the port names stands; every one where none
         * is named.
         */
        SUPPLY_DEAD(Felt.IN_THE_NETWORK, "electrical power lost", "", Source.PUMPS),
        /** A hole stays open in it: its bore, m, as a severity; 1 is all of it. */
        REGULATOR_STUCK_OPEN(Felt.IN_THE_NETWORK, "stuck open", "", Source.PRACTICE),
        REGULATOR_STUCK_SHUT(Felt.IN_THE_NETWORK, "stuck shut", "", Source.PRACTICE),
        REFERENCE_OFF(Felt.IN_THE_NETWORK, "manifold reference hose off", "", Source.PRACTICE),
        /** The drilled passage is plugged. */
        ORIFICE_CLOGGED(Felt.IN_THE_NETWORK, "clogged", "", Source.PRACTICE),
        NOZZLE_CLOGGED(Felt.IN_THE_NETWORK, "nozzle clogged", "", Source.PRACTICE),
        NEEDLE_STUCK_OPEN(Felt.IN_THE_NETWORK, "float needle stuck open", "", Source.PRACTICE),
        NEEDLE_STUCK_SHUT(Felt.IN_THE_NETWORK, "float needle stuck shut", "", Source.PRACTICE),
        /** An end, joint or seal lets air in wherever the pressure there falls under ambient. */
        AIR_LEAK(Felt.IN_THE_NETWORK, "leaks air in (suction side)", "", Source.PRACTICE),
        /** Fuel runs out through a small hole. */
        FUEL_LEAK(Felt.IN_THE_NETWORK, "leaks fuel", "bore of the hole, m", Source.PRACTICE),
        RETURN_BLOCKED(Felt.IN_THE_NETWORK, "blocked", "", Source.PRACTICE),
        /** Water lies in it, in place of fuel. */
        WATER(Felt.BESIDE, "water in bowl", "", Source.PRACTICE),
        /** The fuel aboard boils more easily than was said; its item stands for the whole document. */
        FUEL_VOLATILE(Felt.BESIDE, "more volatile", "rise of Reid pressure, Pa", Source.VOLATILITY),
        SENDER_CLOGGED(
                Felt.IN_THE_NETWORK, "flow sender rotor stuck", "times its loss; infinite is shut", Source.PRACTICE),
        /** What it shows no longer moves; the fuel does not feel it. */
        INDICATION_FROZEN(Felt.BESIDE, "indication frozen", "", Source.PRACTICE),
        /** What it shows is wrong; the fuel does not feel it. */
        INDICATION_WRONG(Felt.BESIDE, "reads wrong", "", Source.PRACTICE);

        /** Where a way to fail is taken from. */
        private enum Source {
            PRACTICE,
            PUMPS,
            SCREENS,
            VOLATILITY
        }

        private final Felt felt;
        private final String words;
        private final String severity;
        private final Source source;

        Kind(Felt felt, String words, String severity, Source source) {
            this.felt = felt;
            this.words = words;
            this.severity = severity;
            this.source = source;
        }

        /** Where it is felt: what is felt nowhere in the network is never called harmless by it. */
        public Felt felt() {
            return felt;
        }

        /** As said after the name of the part. */
        public String words() {
            return words;
        }

        /** What its severity is, with the unit; empty where it has none. */
        public String severity() {
            return severity;
        }

        /** Where it is taken from that parts fail so. */
        public String source(Standard basis) {
            return switch (source) {
                case PRACTICE -> "Common practice, no source";
                case PUMPS -> basis.cite(Subject.BACKUP_PUMP);
                case SCREENS -> basis.cite(Subject.OUTLET_SCREEN) + "; the degrees are common practice";
                case VOLATILITY -> "Classes of ASTM D4814 (from memory)";
            };
        }
    }

    public Fault {
        Objects.requireNonNull(kind);
        Objects.requireNonNull(item);
        Objects.requireNonNull(port);
        if (!(severity > 0)) {
            throw new IllegalArgumentException("Severity must be above 0.");
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
