package ration.base.task;

import java.util.function.DoubleConsumer;

/**
 * Counts steps that are done by any thread, and tells the share of them: one after the other, each larger than the
 * last.
 */
public final class Steps {

    private final DoubleConsumer progress;
    private final double from;
    private final double each;
    private int done;

    /** Of all there is to do. */
    public Steps(DoubleConsumer progress, int steps) {
        this(progress, 0, 1, steps);
    }

    /**
     * Of a part of it.
     *
     * @param progress told by whichever thread did a step, never by two at once
     * @param from share done when the first begins
     * @param to share done with the last
     */
    public Steps(DoubleConsumer progress, double from, double to, int steps) {
        this.progress = progress;
        this.from = from;
        this.each = (to - from) / Math.max(1, steps);
    }

    /** One more. */
    public synchronized void done() {
        progress.accept(from + each * ++done);
    }
}
