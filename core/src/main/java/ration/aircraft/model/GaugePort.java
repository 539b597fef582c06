package ration.aircraft.model;

import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;

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
        NOTHING("Test port"),
        /** Capped, at a low point: opened to let water out. Water and dirt are looked for in what runs. */
        SAMPLE("Drain port");

        private final String label;
        private final String before;

        Shows(String label) {
            this.label = label;
            before = label.toLowerCase(Locale.ROOT);
        }

        /** Whether a needle in front of the pilot shows something of it. */
        public boolean needle() {
            return this == PRESSURE || this == TEMPERATURE;
        }

        public String label() {
            return label;
        }

        /** What documents and records call it. */
        public String key() {
            return name().toLowerCase(Locale.ROOT);
        }

        /** The one that is called so, by its key or in the words records had before there were keys. */
        public static Optional<Shows> written(String text) {
            return Stream.of(values())
                    .filter(s -> s.key().equals(text) || s.before.equals(text))
                    .findFirst();
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
