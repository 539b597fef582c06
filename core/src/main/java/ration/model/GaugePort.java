package ration.model;

/**
 * A tap in the line, for a gauge; it costs nothing.
 *
 * @param shows what a needle in front of the pilot shows of it
 */
public record GaugePort(Tag tag, Shows shows) implements Fitted {

    /** What is shown. */
    public enum Shows {
        PRESSURE("Pressure sender"),
        TEMPERATURE("Temperature sender"),
        /** Capped; a gauge is put on when something is looked for. */
        NOTHING("Test port");

        private final String label;

        Shows(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }
    }

    @Override
    public <R> R as(Kinds<R> kinds) {
        return kinds.gaugePort(this);
    }

    @Override
    public String kind() {
        return shows.label();
    }

    @Override
    public GaugePort with(Tag other) {
        return new GaugePort(other, shows);
    }
}
