package ration.record.build;

import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * What a step of the build is of.
 *
 * @param kind of thing
 * @param of id of the part or line; id of the line, a dot and its end for a joint; key of the test; number of a step of
 *     the builder's own
 */
public record StepKey(Kind kind, String of) implements Comparable<StepKey> {

    /** What steps are of. */
    public enum Kind {
        PART(Stage.TO_BUY, Stage.FINAL, Stage.ORDERED, Stage.ON_HAND, Stage.TEMPORARY, Stage.INSPECTED),
        LINE(Stage.TO_BUY, Stage.FINAL, Stage.ORDERED, Stage.ON_HAND, Stage.TEMPORARY, Stage.INSPECTED),
        JOINT(Stage.OPEN, Stage.TORQUED, Stage.TEMPORARY, Stage.FINAL, Stage.INSPECTED),
        /** How far a test is, its record says. */
        TEST(Stage.OPEN, Stage.INSPECTED),
        OWN(Stage.OPEN, Stage.FINAL);

        private final Stage first;
        private final Stage done;
        private final List<Stage> stages;

        Kind(Stage first, Stage done, Stage... others) {
            this.first = first;
            this.done = done;
            stages = java.util.stream.Stream.concat(
                            java.util.stream.Stream.of(first, done), java.util.stream.Stream.of(others))
                    .sorted()
                    .toList();
        }

        /** How far it is where nobody said. */
        public Stage first() {
            return first;
        }

        /** From which stage on others may count on it. */
        public Stage done() {
            return done;
        }

        /** The stages it goes through, in order. */
        public List<Stage> stages() {
            return stages;
        }

        String key() {
            return name().toLowerCase(Locale.ROOT);
        }
    }

    public static final String START = ".start";
    public static final String END = ".end";

    public StepKey {
        if (of.isBlank()) {
            throw new IllegalArgumentException("A step of the build is of something: nothing is named.");
        }
    }

    public static StepKey part(String id) {
        return new StepKey(Kind.PART, id);
    }

    public static StepKey line(String id) {
        return new StepKey(Kind.LINE, id);
    }

    public static StepKey start(String line) {
        return new StepKey(Kind.JOINT, line + START);
    }

    public static StepKey end(String line) {
        return new StepKey(Kind.JOINT, line + END);
    }

    public static StepKey test(String key) {
        return new StepKey(Kind.TEST, key);
    }

    public static StepKey own(int number) {
        return new StepKey(Kind.OWN, String.valueOf(number));
    }

    /** As it stands in documents: part:upper, joint:r3.start, test:flow.selector:LEFT. */
    public String text() {
        return kind.key() + ":" + of;
    }

    /** What {@link #text} wrote; empty where it is none. */
    public static Optional<StepKey> written(String text) {
        int at = text.indexOf(':');
        return at < 0 || text.substring(at + 1).isBlank()
                ? Optional.empty()
                : List.of(Kind.values()).stream()
                        .filter(k -> k.key().equals(text.substring(0, at)))
                        .findFirst()
                        .map(k -> new StepKey(k, text.substring(at + 1)));
    }

    @Override
    public int compareTo(StepKey other) {
        return text().compareTo(other.text());
    }

    @Override
    public String toString() {
        return text();
    }
}
