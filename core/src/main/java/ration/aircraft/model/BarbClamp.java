package ration.aircraft.model;

import java.util.Locale;
import java.util.Optional;

/** What holds a hose on a barb or a bead. */
public enum BarbClamp {
    BAND("band"),
    EAR("crimped ear"),
    WORM("worm drive"),
    /** A barbed socket holds by itself: a clamp would cut it. */
    NONE("none by design");

    private final String label;

    BarbClamp(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }

    /** The clamp whose label begins with this, in any case: band, crimped, worm, none. */
    public static Optional<BarbClamp> labelled(String text) {
        String wanted = text.strip().toLowerCase(Locale.ROOT);
        for (BarbClamp c : values()) {
            if (wanted.length() >= 3 && c.label.startsWith(wanted)
                    || c.name().toLowerCase(Locale.ROOT).equals(wanted)) {
                return Optional.of(c);
            }
        }
        return Optional.empty();
    }
}
