package ration.answer.fault;

import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import ration.aircraft.condition.Fault;
import ration.answer.fault.HiddenSearch.Hidden;
import ration.base.quantity.UnitSystem;
import ration.record.upkeep.Upkeep;

/** What is said of failures that wait unseen. */
public final class HiddenWords {

    private HiddenWords() {}

    /** Said where it is not known how likely two at once are. */
    public static final String UNLIKELY =
            "How likely two at once are is not known. Run in the governing case of each selector position, all"
                    + " pumps on.";

    /** How many wait and stop the engine, and what does not count as harmless. */
    public static String sum(HiddenSearch s) {
        int stops = s.stopping().size();
        return (s.finished() ? "" : "Stopped before every pair was run. ")
                + (stops == 0
                        ? "No failure that waits unseen turns one more into a stoppage"
                        : stops == 1
                                ? "1 hidden failure shows nothing in service, then turns one more into a stoppage"
                                : stops
                                        + " hidden failures show nothing in service, then turn one more into a"
                                        + " stoppage")
                + "; " + s.hidden().size() + " wait unseen, " + s.beyond().size()
                + " not computed (never counted as harmless).";
    }

    /**
     * The check that would find the most of them, and whether the document has it; empty where none stops the engine.
     */
    public static String best(HiddenSearch s, Upkeep upkeep) {
        return Arrays.stream(Finder.values())
                .max(Comparator.comparingInt(f -> stopping(s, f)))
                .filter(f -> stopping(s, f) > 0)
                .map(f -> {
                    long open = HiddenChecks.without(s, upkeep).stream()
                            .filter(h -> h.finder() == f)
                            .count();
                    String where = f.onCard() ? "on the preflight card" : "in Maintenance";
                    return "One check (" + f.words().toLowerCase(Locale.ROOT) + ") would find "
                            + stopping(s, f) + " of them: "
                            + (open == 0
                                    ? "it is " + where + "."
                                    : open == stopping(s, f)
                                            ? "it is not " + where + "."
                                            : open + " of its parts are not " + where + ".");
                })
                .orElse("");
    }

    private static int stopping(HiddenSearch s, Finder f) {
        return (int) s.stopping().stream().filter(h -> h.finder() == f).count();
    }

    /** How long it sits unseen in a document: as its check is tracked, or without an end. */
    public static String unseenFor(Hidden h, Upkeep upkeep) {
        return h.finder()
                .tracked(upkeep, h.fault().item())
                .map(p -> "Unseen for up to "
                        + (h.finder().onCard() ? "a flight" : p.life().words().replace("inspect every ", "")))
                .orElse("Unseen until something else fails; with the check, up to "
                        + h.finder().unseen());
    }

    /** Said where nothing fitted would tell it at its check. */
    public static final String NO_READING = "No fitted instrument moves at once with that pump alone: watch the flow"
            + " at the overflow or return, or fit a flow or pressure sender behind each pump.";

    /** A way to fail in two words or three, for the head of a column. */
    public static String brief(Fault f) {
        return switch (f.kind()) {
            case VENT_SHUT -> "vent blocked";
            case VENT_HOLDS_LIQUID -> "liquid in vent";
            case CAP_LOST -> "cap missing";
            case OUTLET_CLOGGED, FILTER_FOULED, SENDER_CLOGGED, ORIFICE_CLOGGED, NOZZLE_CLOGGED -> "clogged";
            case FLAPPER_STUCK -> "door stuck";
            case LINE_PINCHED -> "pinched";
            case SELECTOR_BETWEEN -> "between detents";
            case SELECTOR_LEAKS -> "leaks across";
            case SELECTOR_STUCK -> "stuck";
            case VALVE_SHUT -> "shut";
            case COUPLING_APART -> "apart";
            case CHECK_STUCK_OPEN, REGULATOR_STUCK_OPEN, NEEDLE_STUCK_OPEN -> "stuck open";
            case CHECK_STUCK_SHUT, REGULATOR_STUCK_SHUT, NEEDLE_STUCK_SHUT -> "stuck shut";
            case PUMP_DEAD -> "dead";
            case PUMP_WEAK -> "weak";
            case RELIEF_STUCK_OPEN -> "bypasses";
            case SUPPLY_DEAD -> "lost";
            case REFERENCE_OFF -> "reference off";
            case AIR_LEAK -> "lets air in";
            case FUEL_LEAK -> "leaks fuel";
            case RETURN_BLOCKED -> "blocked";
            case WATER -> "water";
            case FUEL_VOLATILE -> "more volatile";
            case INDICATION_FROZEN -> "frozen";
            case INDICATION_WRONG -> "reads wrong";
        };
    }

    public static String name(FaultAnswer f) {
        return f.part() + " " + Catalogue.words(f.fault());
    }

    public static String name(Hidden h) {
        return h.part() + " " + Catalogue.words(h.fault());
    }

    /** What one more failure does. */
    public static String then(Hidden h) {
        if (!h.stops().isEmpty()) {
            return h.stops().stream().limit(3).map(HiddenWords::name).collect(Collectors.joining(", "))
                    + (h.stops().size() > 3 ? " and " + (h.stops().size() - 3) + " more" : "");
        }
        return !h.notShown().isEmpty()
                ? "not computed with " + name(h.notShown().get(0))
                        + (h.notShown().size() > 1 ? " and " + (h.notShown().size() - 1) + " more" : "")
                : !h.unseen().isEmpty()
                        ? "pilot action left, but no warning in time: "
                                + name(h.unseen().get(0))
                        : "nothing more";
    }

    /** Minutes until the soonest stop. */
    public static String in(Hidden h) {
        return h.worst()
                .map(w -> Double.isNaN(w.minutes())
                        ? "unknown"
                        : w.minutes() <= 0 ? "at once" : UnitSystem.figure(w.minutes(), 1) + " min")
                .orElse("");
    }

    /** All of a check, in the order of the search. */
    public static List<Hidden> of(HiddenSearch s, Finder finder) {
        return s.hidden().stream().filter(h -> h.finder() == finder).toList();
    }

    public static String key(Finder finder) {
        return finder.name().toLowerCase(Locale.ROOT).replace('_', '-');
    }
}
