package ration.base.task;

import java.util.function.BooleanSupplier;
import java.util.function.DoubleConsumer;

/**
 * How whoever waits for a long task hears of it and stops it.
 *
 * @param progress told the share done, 0 to 1, from any thread
 * @param cancelled asked now and then, from any thread
 */
public record Task(DoubleConsumer progress, BooleanSupplier cancelled) {

    /** Nobody listens and nobody stops it. */
    public static final Task QUIET = new Task(share -> {}, () -> false);
}
