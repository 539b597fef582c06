package ration.record.upkeep;

import java.time.LocalDate;
import java.util.Objects;
import java.util.Optional;

/**
 * A part with a life, an item or a piece of one.
 *
 * @param id unique among the parts
 * @param name what it is called
 * @param item id of the item it is, or sits on; empty where it belongs to none
 * @param kind of part
 * @param life of it
 * @param fitted when and at how many hours; empty where nobody knows
 * @param paper release form, batch, length as cut; in the builder's words
 */
public record Part(String id, String name, String item, Kind kind, Life life, Optional<Fitted> fitted, String paper) {

    /** Kinds of part with their usual lives; common practice, no source: the maker's word comes first. */
    public enum Kind {
        RUBBER_HOSE("Rubber hose", 60, 0, Life.Ends.REPLACE),
        PTFE_HOSE("PTFE hose", 12, 0, Life.Ends.LOOK),
        SIGHT_TUBE("Sight tube", 60, 0, Life.Ends.REPLACE),
        SCREEN("Strainer screen", 12, 50, Life.Ends.LOOK),
        FILTER_ELEMENT("Filter element", 12, 100, Life.Ends.REPLACE),
        SEALS("O-rings", 60, 0, Life.Ends.REPLACE),
        VENT("Vent, check ball", 12, 0, Life.Ends.LOOK),
        SENDER("Sender", 12, 0, Life.Ends.LOOK),
        PUMP("Pump", 12, 100, Life.Ends.LOOK),
        CAP_SEAL("Cap seal", 12, 0, Life.Ends.LOOK),
        PLATE("Access plate, its gasket", 60, 0, Life.Ends.LOOK),
        SEALANT("Tank sealant inspection", 0, 10, Life.Ends.LOOK),
        TEMPORARY("Temporary", 0, 0, Life.Ends.REMOVE),
        FUNCTION("Function check", 12, 100, Life.Ends.LOOK),
        PREFLIGHT("Preflight check", 0, 0, Life.Ends.EACH_FLIGHT),
        OTHER("Other", 12, 100, Life.Ends.LOOK);

        private final String label;
        private final Life usual;

        Kind(String label, int months, double hours, Life.Ends ends) {
            this.label = label;
            usual = new Life(months, hours, ends);
        }

        public String label() {
            return label;
        }

        public Life usual() {
            return usual;
        }
    }

    /**
     * When it was put in, or made where the maker's date is printed on it: its calendar life runs from there.
     *
     * @param on day
     * @param hours of the airframe then, 0 to 100,000
     * @param made printed on it; empty where nothing is
     */
    public record Fitted(LocalDate on, double hours, Optional<LocalDate> made) {
        public Fitted {
            Objects.requireNonNull(on);
            if (!(hours >= 0 && hours <= 100_000)) {
                throw new IllegalArgumentException("An airframe has 0 to 100,000 hours.");
            }
        }

        /** Where its calendar begins. */
        public LocalDate begins() {
            return made.filter(m -> m.isBefore(on)).orElse(on);
        }
    }

    public Part {
        if (id.isBlank() || name.isBlank()) {
            throw new IllegalArgumentException("Enter a part name.");
        }
    }

    public Part with(Life other) {
        return new Part(id, name, item, kind, other, fitted, paper);
    }

    public Part fitted(Fitted other, String papers) {
        return new Part(id, name, item, kind, life, Optional.of(other), papers);
    }
}
