package ration.record.build;

import java.time.LocalDate;
import java.util.Collections;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;

/**
 * What is kept of one step.
 *
 * @param stage how far it is
 * @param hours of work it takes from on hand to done, 0 to 1,000; empty where nobody said
 * @param expected day the delivery is expected
 * @param after what it waits for beyond what the layout says
 * @param access how the part is got at
 */
public record Step(
        Stage stage, Optional<Double> hours, Optional<LocalDate> expected, Set<StepKey> after, Access access) {

    public static final double MOST_HOURS = 1000;

    public Step {
        hours.ifPresent(h -> {
            if (!(h >= 0 && h <= MOST_HOURS)) {
                throw new IllegalArgumentException("A step takes 0 to 1,000 hours.");
            }
        });
        after = Collections.unmodifiableSet(new TreeSet<>(after));
    }

    /** Of which nothing was said. */
    public static Step unsaid(StepKey.Kind kind) {
        return new Step(kind.first(), Optional.empty(), Optional.empty(), Set.of(), Access.NONE);
    }

    public Step with(Stage other) {
        return new Step(other, hours, expected, after, access);
    }

    public Step withHours(Optional<Double> other) {
        return new Step(stage, other, expected, after, access);
    }

    public Step withExpected(Optional<LocalDate> other) {
        return new Step(stage, hours, other, after, access);
    }

    public Step with(Access other) {
        return new Step(stage, hours, expected, after, other);
    }

    public Step withAfter(StepKey key, boolean waits) {
        Set<StepKey> other = new TreeSet<>(after);
        if (waits) {
            other.add(key);
        } else {
            other.remove(key);
        }
        return new Step(stage, hours, expected, other, access);
    }
}
