package ration.base.task;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.RepeatedTest;
import ration.Samples;

/** Told from many threads at once, progress never goes back and misses no step. */
class StepsTest {

    private static final int THREADS = 16;

    @RepeatedTest(20)
    void progressRisesWhoeverTellsIt() throws InterruptedException {
        int each = Samples.of(200, 20_000);
        // no list for several threads: that it is written by one at a time is part of what is asked
        List<Double> told = new ArrayList<>();
        Steps steps = new Steps(told::add, 0.25, 0.75, THREADS * each);
        CountDownLatch go = new CountDownLatch(1);
        ExecutorService all = Executors.newFixedThreadPool(THREADS);
        for (int t = 0; t < THREADS; t++) {
            all.execute(() -> {
                try {
                    go.await();
                    for (int n = 0; n < each; n++) {
                        steps.done();
                    }
                } catch (InterruptedException e) {
                    Thread.currentThread().interrupt();
                }
            });
        }
        go.countDown();
        all.shutdown();
        assertThat(all.awaitTermination(60, TimeUnit.SECONDS)).isTrue();
        assertThat(told).hasSize(THREADS * each).isSorted().doesNotHaveDuplicates();
        assertThat(told.get(told.size() - 1)).isCloseTo(0.75, Offset.offset(1e-9));
    }
}
