package ration.answer.find;

import java.util.List;
import java.util.Optional;
import ration.aircraft.condition.Fault;
import ration.aircraft.condition.Fault.Kind;

/**
 * Something that may be the cause.
 *
 * @param sort of cause
 * @param faults the same fault in the severities that are tried; one without degrees, none where nothing failed
 * @param wrong number of the reading whose instrument is wrong; -1 if none is
 * @param prior how common, before any reading; they add up to 1
 */
record Cause(CauseKind sort, List<Fault> faults, int wrong, double prior) {

    Cause {
        faults = List.copyOf(faults);
    }

    Optional<Fault> first() {
        return faults.stream().findFirst();
    }

    /** How common ways to fail are among each other; common practice, no source. */
    static double common(Kind kind) {
        return switch (kind) {
            case FILTER_FOULED -> 4;
            case VENT_SHUT, PUMP_WEAK, SUPPLY_DEAD -> 2.5;
            // new ones hang open as well, several in a row; asked in many degrees, of which one has to fit
            case REGULATOR_STUCK_OPEN -> 10;
            case PUMP_DEAD, REGULATOR_STUCK_SHUT, OUTLET_CLOGGED -> 2;
            case WATER -> 1.5;
            case AIR_LEAK, FUEL_VOLATILE, NEEDLE_STUCK_OPEN, NEEDLE_STUCK_SHUT, VENT_HOLDS_LIQUID -> 1;
            case CHECK_STUCK_OPEN, CHECK_STUCK_SHUT, SELECTOR_BETWEEN, REFERENCE_OFF, CAP_LOST, FUEL_LEAK -> 0.7;
            case LINE_PINCHED,
                    RETURN_BLOCKED,
                    SELECTOR_LEAKS,
                    SENDER_CLOGGED,
                    INDICATION_FROZEN,
                    INDICATION_WRONG,
                    ORIFICE_CLOGGED,
                    NOZZLE_CLOGGED,
                    RELIEF_STUCK_OPEN -> 0.5;
            case SELECTOR_STUCK, VALVE_SHUT, COUPLING_APART, FLAPPER_STUCK -> 0.3;
        };
    }

    /** Severities tried, each as likely as the next. */
    static double[] severities(Kind kind) {
        double shut = Double.POSITIVE_INFINITY;
        return switch (kind) {
            case OUTLET_CLOGGED, SENDER_CLOGGED -> new double[] {4, 16, 64, 256, 1024, shut};
            case FILTER_FOULED -> new double[] {1, 3, 10, 30, 100, 300, shut};
            case LINE_PINCHED -> new double[] {0.7, 0.5, 0.35, 0.25, 0.15};
            case SELECTOR_BETWEEN -> new double[] {0.3, 0.1, 0.03};
            case PUMP_WEAK -> new double[] {0.85, 0.75, 0.65, 0.55, 0.45, 0.35, 0.25};
            case VENT_HOLDS_LIQUID -> new double[] {0.025, 0.075, 0.15};
            case SELECTOR_LEAKS -> new double[] {0.00025, 0.0005, 0.001};
            // a seep that only paper shows, a drip, a leak
            case FUEL_LEAK -> new double[] {0.00002, 0.00025, 0.0005, 0.001};
            case FUEL_VOLATILE -> new double[] {10_000, 20_000, 35_000};
            case CAP_LOST -> new double[] {0.5, 1};
            // bores of what stays open, m, and all of it
            case REGULATOR_STUCK_OPEN -> new double[] {0.0007, 0.0009, 0.0012, 0.0016, 0.002, 0.0025, 0.0032, 1};
            default -> new double[0];
        };
    }
}
