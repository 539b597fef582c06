package ration.desktop.session;

import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;
import javafx.application.Platform;
import ration.assess.Assessment;
import ration.assess.CaseAnswer;
import ration.condition.Condition;
import ration.drawing.Schematic;
import ration.project.Project;

/** Assesses snapshots in the background; only the newest answer is delivered, on the interface thread. */
final class Analyst {

    /** What was computed from what. */
    record Result(Assessment assessment, Condition condition, Optional<CaseAnswer> look) {
    }

    private final ExecutorService worker = Executors.newSingleThreadExecutor(r -> {
        Thread thread = new Thread(r, "assessment");
        thread.setDaemon(true);
        return thread;
    });
    private final AtomicLong newest = new AtomicLong();
    private final UnaryOperator<Assessment> after;
    private Assessment last;

    Analyst() {
        this(UnaryOperator.identity());
    }

    /** @param after what becomes of each assessment, for tests of what happens when that fails */
    Analyst(UnaryOperator<Assessment> after) {
        this.after = after;
    }

    /** At once, on the calling thread: for the first picture of a document; quick where it was assessed before. */
    synchronized Result now(Project project, Condition condition, Optional<Assessment> known) {
        newest.incrementAndGet();
        known.filter(k -> k.project() == project).ifPresent(k -> last = k);
        return compute(project, condition);
    }

    void close() {
        newest.incrementAndGet();
        worker.shutdownNow();
    }

    /**
     * @param early told the flow margin of an edit as soon as it is known, before all else; never after the answer itself
     */
    void ask(Project project, Condition condition, Consumer<CaseAnswer> early, Consumer<Result> deliver) {
        long mine = newest.incrementAndGet();
        worker.execute(() -> {
            if (mine == newest.get()) {
                CompletableFuture.runAsync(() -> Schematic.prepare(project.system(), project.brief().envelope().attitudes(), condition));
                atOnce(project).ifPresent(c -> Platform.runLater(() -> {
                    if (mine == newest.get()) {
                        early.accept(c);
                    }
                }));
                Result result = compute(project, condition);
                Platform.runLater(() -> {
                    if (mine == newest.get()) {
                        deliver.accept(result);
                    }
                });
            }
        });
    }

    private synchronized Optional<CaseAnswer> atOnce(Project project) {
        try {
            return last == null || last.project() == project ? Optional.empty() : Assessment.flowAtOnce(project, last);
        } catch (RuntimeException e) {
            // the whole assessment that follows says what is wrong
            return Optional.empty();
        }
    }

    /** Never fails: an answer that could not be worked out is one that shows nothing and says so. */
    private synchronized Result compute(Project project, Condition condition) {
        try {
            if (last == null || last.project() != project) {
                last = after.apply(Assessment.of(project, Optional.ofNullable(last)));
            }
            Optional<CaseAnswer> look = last.look(condition);
            // every page shows it; found here, it is there when they ask
            look.ifPresent(CaseAnswer::openLine);
            look.ifPresent(CaseAnswer::atNeeded);
            return new Result(last, condition, look);
        } catch (RuntimeException | Error e) {
            last = Assessment.failed(project, Failure.words(e));
            return new Result(last, condition, Optional.empty());
        }
    }
}
