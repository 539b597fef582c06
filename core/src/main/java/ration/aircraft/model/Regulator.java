package ration.aircraft.model;

import ration.base.quantity.Measured;

/**
 * A pressure regulator.
 *
 * @param style what it holds
 * @param reference what its spring side feels
 * @param setting pressure over the reference
 * @param loss when open to the stop
 */
public record Regulator(Tag tag, Style style, Reference reference, Measured setting, Rated loss) implements Fitted {

    /** What a regulator holds. */
    public enum Style {
        /** Holds the line before it, spilling to a return. */
        BYPASS("Bypass regulator"),
        /** Holds the line behind it. */
        IN_LINE("In-line regulator");

        private final String label;

        Style(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }
    }

    /** What a regulator's spring side feels. */
    public enum Reference {
        AMBIENT,
        MANIFOLD
    }

    @Override
    public <R> R as(Kinds<R> kinds) {
        return kinds.regulator(this);
    }

    @Override
    public String kind() {
        return style.label();
    }

    @Override
    public Regulator with(Tag other) {
        return new Regulator(other, style, reference, setting, loss);
    }
}
