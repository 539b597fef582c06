package ration.aircraft.heat;

/** The air a part stands in. */
public enum Zone {
    OUTSIDE("Outside air"),
    CABIN("Cabin"),
    TUNNEL("Tunnel"),
    ENGINE_BAY("Engine bay"),
    /** In the engine bay, in a shroud that blast air passes through in flight. */
    SHROUD("Cooling shroud");

    private final String label;

    Zone(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }
}
