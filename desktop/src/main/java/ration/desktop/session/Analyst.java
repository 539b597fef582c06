package ration.desktop.session;

import java.util.Optional;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.Consumer;
import javafx.application.Platform;
import ration.assess.Assessment;
import ration.assess.CaseAnswer;
import ration.condition.Condition;
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
    private Assessment last;

    /** At once, on the calling thread: for the first picture of a document. */
    synchronized Result now(Project project, Condition condition) {
        newest.incrementAndGet();
        return compute(project, condition);
    }

    void ask(Project project, Condition condition, Consumer<Result> deliver) {
        long mine = newest.incrementAndGet();
        worker.execute(() -> {
            if (mine == newest.get()) {
                Result result = compute(project, condition);
                Platform.runLater(() -> {
                    if (mine == newest.get()) {
                        deliver.accept(result);
                    }
                });
            }
        });
    }

    private synchronized Result compute(Project project, Condition condition) {
        if (last == null || last.project() != project) {
            last = Assessment.of(project);
        }
        return new Result(last, condition, last.look(condition));
    }
}
