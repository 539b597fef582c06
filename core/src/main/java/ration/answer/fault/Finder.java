package ration.answer.fault;

import ration.aircraft.condition.Fault;
import ration.record.upkeep.Part;

/**
 * The check that finds a failure which shows nothing in service, and how long it sits unseen with it: common practice,
 * no source.
 */
public enum Finder {
    EACH_PUMP_ALONE(
            "Each pump alone, to a reading that moves past its error",
            "every flight; a run-up finds no dead pump while a header feeds",
            Part.Kind.PUMP),
    CHECK_VALVES("Check valve leak check, each alone", "every 12 months", Part.Kind.OTHER),
    VENTS_BLOWN("Vents blown through, caps off", "every 12 months", Part.Kind.VENT),
    LOOKED_AT("Screens, filters and lines inspected", "every 12 months or 100 h", Part.Kind.SCREEN),
    PRESSURES("Running and dead-head pressure read", "every 12 months", Part.Kind.OTHER);

    private final String words;
    private final String often;
    private final Part.Kind kind;

    Finder(String words, String often, Part.Kind kind) {
        this.words = words;
        this.often = often;
        this.kind = kind;
    }

    public String words() {
        return words;
    }

    public String often() {
        return often;
    }

    /** As what a part is tracked under Maintenance so that this is done. */
    public Part.Kind kind() {
        return kind;
    }

    static Finder of(Fault.Kind kind) {
        return switch (kind) {
            case PUMP_DEAD, PUMP_WEAK, SUPPLY_DEAD, CHECK_STUCK_SHUT -> EACH_PUMP_ALONE;
            case CHECK_STUCK_OPEN, SELECTOR_LEAKS -> CHECK_VALVES;
            case VENT_SHUT, VENT_HOLDS_LIQUID, CAP_LOST -> VENTS_BLOWN;
            case RELIEF_STUCK_OPEN, REGULATOR_STUCK_OPEN, REGULATOR_STUCK_SHUT, REFERENCE_OFF -> PRESSURES;
            case OUTLET_CLOGGED,
                    FLAPPER_STUCK,
                    FILTER_FOULED,
                    LINE_PINCHED,
                    SELECTOR_BETWEEN,
                    SELECTOR_STUCK,
                    VALVE_SHUT,
                    COUPLING_APART,
                    ORIFICE_CLOGGED,
                    NOZZLE_CLOGGED,
                    NEEDLE_STUCK_OPEN,
                    NEEDLE_STUCK_SHUT,
                    AIR_LEAK,
                    FUEL_LEAK,
                    RETURN_BLOCKED,
                    WATER,
                    FUEL_VOLATILE,
                    SENDER_CLOGGED,
                    INDICATION_FROZEN,
                    INDICATION_WRONG -> LOOKED_AT;
        };
    }
}
