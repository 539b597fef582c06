package ration.desktop.session;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;

@ExtendWith(ApplicationExtension.class)
class LongWorkTest {

    @Start
    void start(Stage stage) {
        stage.setTitle("long work");
    }

    @Test
    void aNewTaskStopsTheLastAndOnlyTheNewestIsDelivered() throws Exception {
        LongWork work = new LongWork("test");
        List<String> delivered = new ArrayList<>();
        CountDownLatch running = new CountDownLatch(1);
        CountDownLatch stopped = new CountDownLatch(1);
        WaitForAsyncUtils.asyncFx(() -> work.start(task -> {
            running.countDown();
            while (!task.cancelled().getAsBoolean()) {
                Thread.onSpinWait();
            }
            stopped.countDown();
            return "first";
        }, delivered::add)).get();
        assertThat(running.await(5, TimeUnit.SECONDS)).isTrue();
        WaitForAsyncUtils.asyncFx(() -> work.start(task -> {
            task.progress().accept(0.5);
            return "second";
        }, delivered::add)).get();
        assertThat(stopped.await(5, TimeUnit.SECONDS)).isTrue();
        WaitForAsyncUtils.waitFor(5, TimeUnit.SECONDS, () -> WaitForAsyncUtils.asyncFx(() -> !work.running().get()).get());
        assertThat(WaitForAsyncUtils.asyncFx(() -> List.copyOf(delivered)).get()).containsExactly("second");
    }

    @Test
    void whatIsCancelledDeliversNothing() throws Exception {
        LongWork work = new LongWork("test");
        List<String> delivered = new ArrayList<>();
        CountDownLatch go = new CountDownLatch(1);
        CountDownLatch done = new CountDownLatch(1);
        WaitForAsyncUtils.asyncFx(() -> work.start(task -> {
            try {
                go.await(5, TimeUnit.SECONDS);
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
            }
            done.countDown();
            return "late";
        }, delivered::add)).get();
        WaitForAsyncUtils.asyncFx(work::cancel).get();
        go.countDown();
        assertThat(done.await(5, TimeUnit.SECONDS)).isTrue();
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(delivered).isEmpty();
        assertThat(work.running().get()).isFalse();
    }
}
