package ration.aircraft.model;

import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** Whether the pilot can turn a valve in flight. */
public enum Reach {
    UNSAID("Reach not entered"),
    PILOT("In reach of the pilot"),
    GROUND("Reached on the ground only");

    private final String label;

    Reach(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }

    /** As it stands in documents. */
    public String key() {
        return name().toLowerCase(Locale.ROOT);
    }

    public static Optional<Reach> written(String key) {
        return List.of(values()).stream().filter(r -> r.key().equals(key)).findFirst();
    }
}
