package ration.record.build;

import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** How far a step of the build is, in the order of the work. Temporary is never done. */
public enum Stage {
    /** A joint not done up; a step of the builder's own not done. */
    OPEN("Open"),
    TO_BUY("To buy"),
    ORDERED("Ordered"),
    ON_HAND("On hand"),
    TEMPORARY("Temporary"),
    FINAL("Final"),
    TORQUED("Torqued"),
    INSPECTED("Inspected");

    private final String label;

    Stage(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }

    /** As it stands in documents. */
    public String key() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    public static Optional<Stage> written(String key) {
        return List.of(values()).stream().filter(s -> s.key().equals(key)).findFirst();
    }

    /** Whether something is still to be bought or delivered. */
    public boolean awaited() {
        return this == TO_BUY || this == ORDERED;
    }
}
