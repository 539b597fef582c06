package ration.desktop.session;

import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.BooleanSupplier;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;
import javafx.application.Platform;
import ration.aircraft.condition.Condition;
import ration.answer.assess.Assessment;
import ration.answer.assess.CaseAnswer;
import ration.publish.drawing.AirPicture;
import ration.publish.drawing.Schematic;
import ration.record.project.Project;

/** Assesses snapshots in the background; only the newest answer is delivered, on the interface thread. */
final class Analyst {

    private final ExecutorService worker = Executors.newSingleThreadExecutor(r -> {
        Thread thread = new Thread(r, "assessment");
        thread.setDaemon(true);
        return thread;
    });
    private final AtomicLong newest = new AtomicLong();
    private final UnaryOperator<Assessment> after;
    private volatile Assessment last;

    Analyst() {
        this(UnaryOperator.identity());
    }

    /** @param after what becomes of each assessment, for tests of what happens when that fails */
    Analyst(UnaryOperator<Assessment> after) {
        this.after = after;
    }

    /** At once, on the calling thread: for a document that was not worked out behind the window. */
    synchronized Worked now(Project project, Condition condition) {
        newest.incrementAndGet();
        return sured(compute(project, condition), () -> false);
    }

    /**
     * Goes on from a document that was.
     *
     * @param deliver told the same with how sure its flow margin is, where that is not known yet
     */
    void take(Worked known, Consumer<Worked> deliver) {
        long mine = newest.incrementAndGet();
        last = known.assessment();
        // what was opened is painted first: how sure it is takes all the machine has
        Painted.then(() -> {
            if (mine == newest.get()) {
                worker.execute(() -> surely(known, mine, deliver));
            }
        });
    }

    void close() {
        newest.incrementAndGet();
        worker.shutdownNow();
    }

    /**
     * @param early told the flow margin of an edit as soon as it is known, before all else; never after the answer
     *     itself
     */
    void ask(Project project, Condition condition, Consumer<CaseAnswer> early, Consumer<Worked> deliver) {
        long mine = newest.incrementAndGet();
        worker.execute(() -> {
            if (mine == newest.get()) {
                CompletableFuture.runAsync(() -> {
                    Schematic.prepare(
                            project.system(), project.brief().envelope().attitudes(), condition);
                    AirPicture.prepare(project, condition);
                });
                Precedence.ledger(() -> atOnce(project))
                        .ifPresent(c -> Platform.runLater(() -> {
                            if (mine == newest.get()) {
                                early.accept(c);
                            }
                        }));
                Worked result = Precedence.ledger(() -> compute(project, condition));
                Platform.runLater(() -> {
                    if (mine == newest.get()) {
                        deliver.accept(result);
                    }
                });
                // how sure the flow margin is comes after the figures: until then that is not shown
                surely(result, mine, deliver);
            }
        });
    }

    private void surely(Worked result, long mine, Consumer<Worked> deliver) {
        if (mine == newest.get()) {
            Worked sure = sured(result, () -> mine != newest.get());
            Platform.runLater(() -> {
                if (mine == newest.get() && sure != result) {
                    deliver.accept(sure);
                }
            });
        }
    }

    private synchronized Worked sured(Worked result, BooleanSupplier stop) {
        Assessment found = result.assessment().sured(stop);
        if (found == result.assessment()) {
            return result;
        }
        last = found;
        return new Worked(found, result.condition(), result.look());
    }

    private synchronized Optional<CaseAnswer> atOnce(Project project) {
        try {
            Assessment known = last;
            return known == null || known.project() == project
                    ? Optional.empty()
                    : Assessment.flowAtOnce(project, known);
        } catch (RuntimeException e) {
            // the whole assessment that follows says what is wrong
            return Optional.empty();
        }
    }

    /** Never fails: an answer that could not be worked out is one that shows nothing and says so. */
    private synchronized Worked compute(Project project, Condition condition) {
        try {
            Assessment known = last;
            if (known == null || known.project() != project) {
                known = after.apply(Assessment.ahead(project, Optional.ofNullable(known)));
                last = known;
            }
            return Worked.looked(known, condition);
        } catch (RuntimeException | Error e) {
            Worked failed = Worked.failed(project, condition, e);
            last = failed.assessment();
            return failed;
        }
    }
}
