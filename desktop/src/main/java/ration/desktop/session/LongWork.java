package ration.desktop.session;

import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.Consumer;
import java.util.function.Function;
import javafx.application.Platform;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyBooleanWrapper;
import javafx.beans.property.ReadOnlyDoubleProperty;
import javafx.beans.property.ReadOnlyDoubleWrapper;
import ration.base.task.Task;

/**
 * One long task at a time in the background: a new one cancels the last; progress and result come on the interface
 * thread.
 */
public final class LongWork {

    private final ExecutorService worker;
    private final AtomicLong newest = new AtomicLong();
    private final ReadOnlyDoubleWrapper progress = new ReadOnlyDoubleWrapper();
    private final ReadOnlyBooleanWrapper running = new ReadOnlyBooleanWrapper();

    /** @param name of its thread */
    public LongWork(String name) {
        worker = Executors.newSingleThreadExecutor(r -> {
            Thread thread = new Thread(r, name);
            thread.setDaemon(true);
            thread.setPriority(Thread.MIN_PRIORITY);
            return thread;
        });
    }

    /** Share done, 0 to 1. */
    public ReadOnlyDoubleProperty progress() {
        return progress.getReadOnlyProperty();
    }

    public ReadOnlyBooleanProperty running() {
        return running.getReadOnlyProperty();
    }

    /**
     * Starts a task; what it returns is delivered unless it was cancelled by then.
     *
     * @param failed told in a sentence should the work itself fail: nothing is delivered then, and nothing runs on
     */
    public <T> void start(Function<Task, T> work, Consumer<T> deliver, Consumer<String> failed) {
        if (worker.isShutdown()) {
            return;
        }
        long mine = newest.incrementAndGet();
        running.set(true);
        progress.set(0);
        AtomicLong told = new AtomicLong();
        Task task = new Task(
                share -> {
                    long percent = (long) (share * 100);
                    if (told.getAndSet(percent) != percent) {
                        Platform.runLater(() -> {
                            if (mine == newest.get()) {
                                progress.set(share);
                            }
                        });
                    }
                },
                () -> Precedence.giveWay(() -> mine != newest.get()));
        worker.execute(() -> {
            if (mine != newest.get()) {
                return;
            }
            Runnable end;
            try {
                T result = Precedence.search(() -> work.apply(task));
                end = () -> deliver.accept(result);
            } catch (RuntimeException | Error e) {
                String why = Failure.words(e);
                end = () -> failed.accept(why);
            }
            Runnable last = end;
            Platform.runLater(() -> {
                if (mine == newest.get()) {
                    running.set(false);
                    last.run();
                }
            });
        });
    }

    /** Stops what runs; nothing is delivered. */
    public void cancel() {
        newest.incrementAndGet();
        running.set(false);
    }

    /** For good: what runs is stopped, and its thread ends. */
    void close() {
        cancel();
        worker.shutdown();
    }
}
