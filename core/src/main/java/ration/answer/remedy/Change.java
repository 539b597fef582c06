package ration.answer.remedy;

import java.util.List;
import java.util.function.UnaryOperator;
import ration.aircraft.model.FuelSystem;
import ration.record.cost.Takes;
import ration.record.project.Project;

/**
 * One thing that could be done, not solved yet.
 *
 * @param item id of the part it is done to
 * @param slot what of that part is changed: two changes of one slot exclude each other
 * @param sort what kind of work it is, for a builder who leaves that alone
 * @param title what to do, as on its row
 * @param detail what it takes, in words
 * @param on does it; the part is looked up in the project given, which may have been edited since
 * @param takes what is bought and done for it
 */
public record Change(
        String item,
        String slot,
        Sort sort,
        String title,
        String detail,
        UnaryOperator<Project> on,
        List<Takes> takes) {

    public Change {
        takes = List.copyOf(takes);
    }

    /** Of the layout alone. */
    public static Change of(
            String item,
            String slot,
            Sort sort,
            String title,
            String detail,
            UnaryOperator<FuelSystem> on,
            Takes... takes) {
        return new Change(item, slot, sort, title, detail, p -> p.with(on.apply(p.system())), List.of(takes));
    }

    /** Kinds of work. */
    public enum Sort {
        LINES("lines", "lines"),
        FILTERS("filters", "filters"),
        VALVES("valves", "valves"),
        PUMPS("pumps", "pumps"),
        MOUNTS("mounts", "tank mounts"),
        TANKS("tanks", "tank outlets"),
        VENTS("vents", "caps"),
        DRAINS("drains", "drains"),
        HEADERS("headers", "headers"),
        SENDERS("senders", "senders"),
        HEAT("heat", "sleeves"),
        FUEL("fuel", "fuel class"),
        PLACARD("placard", "placards");

        private final String key;
        private final String label;

        Sort(String key, String label) {
            this.key = key;
            this.label = label;
        }

        /** Stable. */
        public String key() {
            return key;
        }

        public String label() {
            return label;
        }
    }

    /** Whether two of them can be done together. */
    public boolean goesWith(Change other) {
        return !(item.equals(other.item) && slot.equals(other.slot));
    }
}
