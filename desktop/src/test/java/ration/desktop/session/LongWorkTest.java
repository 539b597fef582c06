package ration.desktop.session;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicLong;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;
import ration.base.task.Task;

@ExtendWith(ApplicationExtension.class)
class LongWorkTest {

    @Start
    void start(Stage stage) {
        // the toolkit runs; the stage, which other classes use too, is left as it is
        assertThat(stage).isNotNull();
    }

    @Test
    void aNewTaskStopsTheLastAndOnlyTheNewestIsDelivered() throws Exception {
        LongWork work = new LongWork("test");
        List<String> delivered = new ArrayList<>();
        CountDownLatch running = new CountDownLatch(1);
        CountDownLatch stopped = new CountDownLatch(1);
        WaitForAsyncUtils.asyncFx(() -> work.start(
                        task -> {
                            running.countDown();
                            while (!task.cancelled().getAsBoolean()) {
                                Thread.onSpinWait();
                            }
                            stopped.countDown();
                            return "first";
                        },
                        delivered::add,
                        delivered::add))
                .get();
        assertThat(running.await(60, TimeUnit.SECONDS)).isTrue();
        WaitForAsyncUtils.asyncFx(() -> work.start(
                        task -> {
                            task.progress().accept(0.5);
                            return "second";
                        },
                        delivered::add,
                        delivered::add))
                .get();
        assertThat(stopped.await(60, TimeUnit.SECONDS)).isTrue();
        WaitForAsyncUtils.waitFor(60, TimeUnit.SECONDS, () -> WaitForAsyncUtils.asyncFx(
                        () -> !work.running().get())
                .get());
        assertThat(WaitForAsyncUtils.asyncFx(() -> List.copyOf(delivered)).get())
                .containsExactly("second");
    }

    @Test
    void whatIsCancelledDeliversNothing() throws Exception {
        LongWork work = new LongWork("test");
        List<String> delivered = new ArrayList<>();
        CountDownLatch running = new CountDownLatch(1);
        CountDownLatch go = new CountDownLatch(1);
        CountDownLatch done = new CountDownLatch(1);
        WaitForAsyncUtils.asyncFx(() -> work.start(
                        task -> {
                            running.countDown();
                            String late = await(go);
                            done.countDown();
                            return late;
                        },
                        delivered::add,
                        delivered::add))
                .get();
        assertThat(running.await(60, TimeUnit.SECONDS)).isTrue();
        WaitForAsyncUtils.asyncFx(work::cancel).get();
        go.countDown();
        assertThat(done.await(60, TimeUnit.SECONDS)).isTrue();
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(delivered).isEmpty();
        assertThat(work.running().get()).isFalse();
    }

    @Test
    void whatIsCancelledBeforeItsTurnIsNotEvenBegun() throws Exception {
        LongWork work = new LongWork("test");
        List<String> delivered = new ArrayList<>();
        List<String> begun = new ArrayList<>();
        CountDownLatch go = new CountDownLatch(1);
        WaitForAsyncUtils.asyncFx(() -> {
                    work.start(task -> await(go), delivered::add, delivered::add);
                    work.start(
                            task -> {
                                begun.add("second");
                                return "second";
                            },
                            delivered::add,
                            delivered::add);
                    work.cancel();
                    work.start(task -> "third", delivered::add, delivered::add);
                })
                .get();
        go.countDown();
        WaitForAsyncUtils.waitFor(60, TimeUnit.SECONDS, () -> WaitForAsyncUtils.asyncFx(
                        () -> !work.running().get())
                .get());
        assertThat(begun).isEmpty();
        assertThat(WaitForAsyncUtils.asyncFx(() -> List.copyOf(delivered)).get())
                .containsExactly("third");
    }

    private static String await(CountDownLatch go) {
        try {
            go.await(60, TimeUnit.SECONDS);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
        return "late";
    }

    @Test
    void workThatFailsSaysSoAndRunsNoMore() throws Exception {
        LongWork work = new LongWork("test");
        List<String> said = new ArrayList<>();
        List<String> delivered = new ArrayList<>();
        WaitForAsyncUtils.asyncFx(() -> work.<String>start(
                        (Task task) -> {
                            throw new IllegalStateException("ration.some.Class broke");
                        },
                        delivered::add,
                        said::add))
                .get();
        WaitForAsyncUtils.waitFor(60, TimeUnit.SECONDS, () -> WaitForAsyncUtils.asyncFx(
                        () -> !work.running().get())
                .get());
        assertThat(said).singleElement().asString().startsWith("Not shown").doesNotContain("ration.some");
        assertThat(delivered).isEmpty();
    }

    /** While the ledger's figures are worked out long work stands still, and goes on after. */
    @Test
    void longWorkGivesWayToTheLedger() throws Exception {
        LongWork work = new LongWork("test");
        AtomicLong asked = new AtomicLong();
        AtomicLong went = new AtomicLong();
        WaitForAsyncUtils.asyncFx(() -> work.start(
                        task -> {
                            do {
                                asked.incrementAndGet();
                            } while (!task.cancelled().getAsBoolean() && went.incrementAndGet() > 0);
                            return "";
                        },
                        r -> {},
                        r -> {}))
                .get();
        WaitForAsyncUtils.waitFor(60, TimeUnit.SECONDS, () -> went.get() > 100);
        long during = Precedence.ledger(() -> {
            long before = went.get();
            for (int i = 0; i < 100_000; i++) {
                Thread.onSpinWait();
            }
            return went.get() - before;
        });
        assertThat(during).as("the one that was just asking").isLessThanOrEqualTo(1);
        long then = went.get();
        WaitForAsyncUtils.waitFor(60, TimeUnit.SECONDS, () -> went.get() > then + 100);
        work.close();
        WaitForAsyncUtils.waitFor(60, TimeUnit.SECONDS, () -> asked.get() > went.get());
    }
}
