package ration.aircraft.flight;

import java.util.List;
import java.util.Map;
import ration.base.quantity.Measured;

/**
 * When the pilot moves a selector.
 *
 * @param mode by what rule
 * @param every by the clock: from one switch to the next, a time
 * @param portion by quantity: what a tank gives before the next is taken, a volume
 * @param steps by hand: in the order of time
 */
public record Switching(Mode mode, Measured every, Measured portion, List<Step> steps) {

    /** The rules. */
    public enum Mode {
        HAND("By hand"),
        CLOCK("By the clock"),
        QUANTITY("By quantity"),
        BOTH("On both"),
        BALANCE("Planned");

        private final String label;

        Mode(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }
    }

    /**
     * The handles are put so at a time after the start.
     *
     * @param at a time
     * @param positions by selector id
     */
    public record Step(Measured at, Map<String, String> positions) {
        public Step {
            positions = Map.copyOf(positions);
        }

        public double minutes() {
            return at.si() / 60;
        }
    }

    public Switching {
        if (!(every.si() >= 60) || !(portion.si() >= 1e-4)) {
            throw new IllegalArgumentException("Minimum between switches: 1 min, or 0.03 gal (0.1 L).");
        }
        steps = steps.stream()
                .sorted(java.util.Comparator.comparingDouble(Step::minutes))
                .toList();
    }

    public Switching with(Mode other) {
        return new Switching(other, every, portion, steps);
    }

    public Switching withEvery(Measured other) {
        return new Switching(mode, other, portion, steps);
    }

    public Switching withPortion(Measured other) {
        return new Switching(mode, every, other, steps);
    }

    public Switching withSteps(List<Step> other) {
        return new Switching(mode, every, portion, other);
    }
}
