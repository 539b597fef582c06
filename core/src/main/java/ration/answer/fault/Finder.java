package ration.answer.fault;

import java.util.EnumSet;
import java.util.Optional;
import java.util.Set;
import ration.aircraft.condition.Fault;
import ration.record.upkeep.Part;
import ration.record.upkeep.Upkeep;

/**
 * The check that finds a failure which shows nothing in service, and how long it sits unseen with it: common practice,
 * no source.
 */
public enum Finder {
    EACH_PUMP_ALONE(
            "Each pump alone, to a reading that moves past its error",
            "before every flight, 1 min; a run-up finds no dead pump while a header feeds",
            "a flight",
            Part.Kind.PREFLIGHT),
    CHECK_VALVES(
            "Check valve leak check, each alone", "every 12 months or 100 h", "12 months or 100 h", Part.Kind.FUNCTION),
    VENTS_BLOWN("Vents blown through, caps off", "every 12 months", "12 months", Part.Kind.VENT),
    LOOKED_AT(
            "Screens, filters and lines inspected", "every 12 months or 100 h", "12 months or 100 h", Part.Kind.OTHER),
    PRESSURES(
            "Running and dead-head pressure read",
            "every 12 months or 100 h",
            "12 months or 100 h",
            Part.Kind.FUNCTION);

    /** Tracked for what is not the way of the fuel through it: nobody looks there at the same time. */
    private static final Set<Part.Kind> ELSEWHERE = EnumSet.of(
            Part.Kind.VENT,
            Part.Kind.SENDER,
            Part.Kind.SIGHT_TUBE,
            Part.Kind.CAP_SEAL,
            Part.Kind.PLATE,
            Part.Kind.TEMPORARY,
            Part.Kind.FUNCTION,
            Part.Kind.PREFLIGHT);

    private final String words;
    private final String often;
    private final String unseen;
    private final Part.Kind kind;

    Finder(String words, String often, String unseen, Part.Kind kind) {
        this.words = words;
        this.often = often;
        this.unseen = unseen;
        this.kind = kind;
    }

    public String words() {
        return words;
    }

    public String often() {
        return often;
    }

    /** The longest that a failure sits unseen with it, in words. */
    public String unseen() {
        return unseen;
    }

    /** As what a part is tracked under Maintenance so that this is done. */
    public Part.Kind kind() {
        return kind;
    }

    /** Whether it is done before every flight, from the preflight card. */
    public boolean onCard() {
        return kind == Part.Kind.PREFLIGHT;
    }

    /** What tracks it on an item of a document, if anything does. */
    public Optional<Part> tracked(Upkeep upkeep, String item) {
        return upkeep.parts().stream()
                .filter(p -> p.item().equals(item))
                .filter(p -> p.kind() == kind || this == LOOKED_AT && !ELSEWHERE.contains(p.kind()))
                .findFirst();
    }

    /** What the check of an item is called where it is tracked. */
    String named(String item) {
        return switch (this) {
            case EACH_PUMP_ALONE -> item + " run alone";
            case CHECK_VALVES -> item + ", leak check";
            case VENTS_BLOWN -> "Vent of " + item;
            case LOOKED_AT -> item;
            case PRESSURES -> item + ", running and dead-head pressure";
        };
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
