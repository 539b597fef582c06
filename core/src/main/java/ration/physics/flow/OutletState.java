package ration.physics.flow;

/** What an outlet of a tank does in an answer. */
public enum OutletState {
    FEEDS("feeds"),
    /** Fuel comes in through it. */
    FILLS("fills"),
    /** Under fuel, and nothing flows. */
    STANDS("stands"),
    /** Clear of the fuel, and no air gets past the fuel that stands in its line: or nothing flows anywhere. */
    CLEAR("clear"),
    /** Clear of the fuel, and air reaches the flowing line through it. */
    DRAWS_AIR("draws air");

    private final String word;

    OutletState(String word) {
        this.word = word;
    }

    public String word() {
        return word;
    }
}
