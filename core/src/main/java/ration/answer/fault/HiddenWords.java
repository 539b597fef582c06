package ration.answer.fault;

import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import ration.answer.fault.HiddenSearch.Hidden;
import ration.base.quantity.UnitSystem;

/** What is said of failures that wait unseen. */
public final class HiddenWords {

    private HiddenWords() {}

    /** Said where it is not known how likely two at once are. */
    public static final String UNLIKELY =
            "How likely two at once are is not known. Run in the governing case of each selector position, all"
                    + " pumps on.";

    /** How many wait and stop the engine, and what does not count as harmless. */
    public static String sum(HiddenSearch s) {
        long stops = s.hidden().stream().filter(h -> !h.stops().isEmpty()).count();
        return (stops == 0
                        ? "No failure that waits unseen turns one more into a stoppage"
                        : stops + (stops == 1 ? " hidden failure shows" : " hidden failures show")
                                + " nothing in service, then turn one more into a stoppage")
                + "; " + s.hidden().size() + " wait unseen, " + s.beyond().size() + " not computed: never counted as"
                + " harmless.";
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
