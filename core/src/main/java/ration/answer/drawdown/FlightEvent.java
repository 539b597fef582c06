package ration.answer.drawdown;

/**
 * Something that happens on the way.
 *
 * @param minutes after the start
 * @param kind what
 * @param about id of the item, or port, it happens to; empty for the whole
 * @param words for a list
 */
public record FlightEvent(double minutes, Kind kind, String about, String words) {

    /** What can happen, and whether the flight is worse for it. */
    public enum Kind {
        PHASE("phase", false),
        SWITCH("switch", false),
        TRANSFER("transfer", false),
        DRY("pump runs dry", true),
        UNCOVERS("outlet uncovers", false),
        HEADER_FALLS("header falls", true),
        HEADER_LOW("header low-level light", true),
        HEADER_EMPTY("header empty", true),
        OVERFLOWS("tank overflows", true),
        IMBALANCE("imbalance over its limit", true),
        LEAST("down to reserve fuel", false),
        STARVES("fuel starvation", true),
        LANDS("lands", false),
        ENDS("fuel exhaustion", false),
        DUE("switch due", false),
        FAILS("failure", true),
        BELOW_PLACARD("under its placard", true);

        private final String word;
        private final boolean bad;

        Kind(String word, boolean bad) {
            this.word = word;
            this.bad = bad;
        }

        public String word() {
            return word;
        }

        public boolean bad() {
            return bad;
        }
    }
}
