package ration.record.build;

import java.util.Collections;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/**
 * What is kept of the build.
 *
 * @param steps what was said of each; a step of which nothing was said is missing
 * @param own steps of the builder's own: number and name, such as 2, "Left wing panel closed"
 * @param weekly hours of work a week, above 0, up to 168; empty where nobody said
 */
public record Build(Map<StepKey, Step> steps, Map<Integer, String> own, Optional<Double> weekly) {

    /** Nothing kept. */
    public static final Build NONE = new Build(Map.of(), Map.of(), Optional.empty());

    private static final double WEEK = 168;
    private static final int LONGEST_NAME = 80;

    public Build {
        weekly.ifPresent(w -> {
            if (!(w > 0 && w <= WEEK)) {
                throw new IllegalArgumentException("Hours a week: above 0, up to 168.");
            }
        });
        own.values().forEach(name -> {
            if (name.isBlank() || name.length() > LONGEST_NAME) {
                throw new IllegalArgumentException("Enter a step name of 1 to 80 letters.");
            }
        });
        Map<StepKey, Step> kept = new TreeMap<>();
        steps.forEach((k, s) -> {
            if (!k.kind().stages().contains(s.stage())) {
                throw new IllegalArgumentException(
                        "A " + k.kind().key() + " is never \u201c" + s.stage().key() + "\u201d.");
            }
            if (!s.equals(Step.unsaid(k.kind()))) {
                kept.put(k, s);
            }
        });
        steps = Collections.unmodifiableMap(kept);
        own = Collections.unmodifiableMap(new TreeMap<>(own));
    }

    public boolean none() {
        return steps.isEmpty() && own.isEmpty() && weekly.isEmpty();
    }

    public Step step(StepKey key) {
        return steps.getOrDefault(key, Step.unsaid(key.kind()));
    }

    public Build with(StepKey key, Step step) {
        Map<StepKey, Step> other = new TreeMap<>(steps);
        other.put(key, step);
        return new Build(other, own, weekly);
    }

    public Build withWeekly(Optional<Double> other) {
        return new Build(steps, own, other);
    }

    /** With a step of the builder's own more. */
    public Build plus(String name) {
        Map<Integer, String> other = new TreeMap<>(own);
        other.put(free(), name.strip());
        return new Build(steps, other, weekly);
    }

    public Build named(int number, String name) {
        Map<Integer, String> other = new TreeMap<>(own);
        other.replace(number, name.strip());
        return new Build(steps, other, weekly);
    }

    /** The number the next step of one's own gets. */
    public int free() {
        return own.keySet().stream().mapToInt(Integer::intValue).max().orElse(0) + 1;
    }

    /** Without one; nothing waits for it any more. */
    public Build without(int number) {
        StepKey gone = StepKey.own(number);
        Map<Integer, String> rest = new TreeMap<>(own);
        rest.remove(number);
        Map<StepKey, Step> left = new TreeMap<>();
        steps.forEach((k, s) -> {
            if (!k.equals(gone)) {
                left.put(k, s.withAfter(gone, false));
            }
        });
        return new Build(left, rest, weekly);
    }
}
