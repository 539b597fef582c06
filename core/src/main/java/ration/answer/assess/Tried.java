package ration.answer.assess;

import java.util.function.Supplier;

/**
 * What was worked out beside other things, or what kept it from being: one that fails takes nothing else with it, and
 * whoever rests on it fails in turn and says so.
 *
 * @param <T> the answer
 */
final class Tried<T> {

    private static final System.Logger LOG = System.getLogger("ration");

    private final T value;
    private final Throwable failed;

    private Tried(T value, Throwable failed) {
        this.value = value;
        this.failed = failed;
    }

    static <T> Tried<T> of(Supplier<T> work) {
        try {
            return new Tried<>(work.get(), null);
        } catch (RuntimeException | Error e) {
            log(e);
            return new Tried<>(null, e);
        }
    }

    /** To be told to whoever has to mend it; the user is told by what is not shown. */
    static void log(Throwable e) {
        LOG.log(System.Logger.Level.WARNING, "An answer could not be worked out", e);
    }

    /** The answer; throws where there is none. */
    T get() {
        if (failed != null) {
            throw new IllegalStateException(failed);
        }
        return value;
    }

    /** The answer, or this where there is none. */
    T or(T other) {
        return failed == null ? value : other;
    }
}
