package ration.desktop.session;

import java.util.concurrent.ForkJoinPool;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.locks.LockSupport;
import java.util.function.BooleanSupplier;
import java.util.function.Supplier;

/**
 * The ledger comes first. Long work has threads of its own, so that it never sits on those the ledger's figures are
 * worked out with, and pauses wherever it asks whether to stop while they are.
 */
final class Precedence {

    private static final long PAUSE_NS = 500_000;
    /** A pause ends by itself: whoever asks while holding what the ledger waits for must go on. */
    private static final long LONGEST_NS = 200_000_000;

    private static final AtomicInteger LEDGERS = new AtomicInteger();
    private static final ForkJoinPool SEARCHES =
            new ForkJoinPool(Math.max(2, Runtime.getRuntime().availableProcessors()));

    private Precedence() {}

    /** Works out what the ledger shows; long work waits. */
    static <T> T ledger(Supplier<T> work) {
        LEDGERS.incrementAndGet();
        try {
            return work.get();
        } finally {
            LEDGERS.decrementAndGet();
        }
    }

    /** Waits a while where a ledger is worked out, unless it is to stop. */
    static boolean giveWay(BooleanSupplier stop) {
        long until = System.nanoTime() + LONGEST_NS;
        while (LEDGERS.get() > 0 && !stop.getAsBoolean() && System.nanoTime() < until) {
            LockSupport.parkNanos(PAUSE_NS);
        }
        return stop.getAsBoolean();
    }

    /** Does long work, and what it does side by side, on threads of its own; what it throws is thrown. */
    static <T> T search(Supplier<T> work) {
        return SEARCHES.submit(work::get).join();
    }
}
