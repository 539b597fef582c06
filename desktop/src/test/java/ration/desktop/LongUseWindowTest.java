package ration.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.lang.management.ManagementFactory;
import java.lang.ref.WeakReference;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ButtonBase;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestReporter;
import ration.aircraft.model.Run;
import ration.base.quantity.Measured;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;
import ration.desktop.frame.Page;
import ration.record.file.ProjectFile;
import ration.record.project.Edit;
import ration.record.project.Project;

/**
 * A day at the program: edits, undo and redo, pages, units, other documents, one after the other. At the end it holds
 * what it held after a quarter of them, threads and open files, and no page of a document that was closed. Memory and
 * the time an edit takes are told, not held to a figure: the software renderer of a display without one pools pictures.
 * Twenty edits in the build, 2,000 in the long one.
 */
class LongUseWindowTest extends WindowHarness {

    private static final int EDITS = Integer.getInteger("ration.edits", Boolean.getBoolean("ration.deep") ? 2000 : 20);
    /** How long readings come, s. */
    private static final int READ_SECONDS =
            Integer.getInteger("ration.read", Boolean.getBoolean("ration.deep") ? 600 : 4);
    /** Edits between two documents. */
    private static final int EACH = Math.min(20, EDITS / 2);
    /** Drawings of documents, those that were closed too. */
    private final List<WeakReference<Node>> drawings = new ArrayList<>();

    private record Held(long bytes, int threads, long files, double secondsEach) {}

    @Test
    void nothingIsHeldThatIsNotShown(TestReporter reporter) throws Exception {
        Project[] documents = {
            ProjectFile.demo("corrie-b1"), ProjectFile.demo("brindle-a2"), ProjectFile.demo("tansy-l3")
        };
        Random random = new Random(11);
        Held quarter = null;
        long begun = System.nanoTime();
        int since = 0;
        for (int n = 0; n < EDITS; n++) {
            edit(random, documents, n);
            since++;
            if (n == EDITS / 4) {
                quarter = held(begun, since);
                reporter.publishEntry("after a quarter", quarter.toString());
                begun = System.nanoTime();
                since = 0;
            }
        }
        Held end = held(begun, since);
        reporter.publishEntry("at the end", end.toString());
        assertThat(drawings.stream().filter(d -> d.get() != null))
                .as("drawings still held, of " + drawings.size())
                .hasSizeLessThanOrEqualTo(2);
        // a pool may be asked for the first time after the first look
        assertThat(end.threads()).as("threads").isLessThanOrEqualTo(quarter.threads() + 8);
        assertThat(end.files()).as("open files").isLessThanOrEqualTo(quarter.files() + 4);
    }

    /** Forty readings a second for four seconds in the build, for ten minutes in the long one. */
    @Test
    void readingsThatKeepComingLeaveNothingBehind(TestReporter reporter) throws Exception {
        runLogUpToTheDate();
        Path growing =
                Files.writeString(folder.resolve("live.csv"), "# ration readings 1\nseconds,channel,value,unit\n");
        answers.open = growing;
        robot.interact(() -> ((Button) node("#live-file")).fire());
        AtomicInteger written = new AtomicInteger();
        ScheduledExecutorService instrument = Executors.newSingleThreadScheduledExecutor();
        Future<?> writing = instrument.scheduleAtFixedRate(() -> write(growing, written), 0, 50, TimeUnit.MILLISECONDS);
        try {
            until(() -> robot.lookup("#live-use-outside").tryQuery().isPresent());
            int begun = written.get();
            Held quarter = null;
            long since = System.nanoTime();
            for (int minute = 1; minute <= 4; minute++) {
                int wanted = begun + minute * READ_SECONDS * 20 / 4;
                untilWithin(READ_SECONDS + 60, () -> written.get() >= wanted);
                if (minute == 1) {
                    quarter = held(since, 1);
                    reporter.publishEntry("after a quarter", quarter.toString());
                    since = System.nanoTime();
                }
            }
            Held end = held(since, 3);
            reporter.publishEntry("at the end, " + written + " times two channels", end.toString());
            assertThat(writing.isDone()).as("the instrument stopped").isFalse();
            assertThat(end.threads()).as("threads").isLessThanOrEqualTo(quarter.threads() + 2);
            assertThat(end.files()).as("open files").isLessThanOrEqualTo(quarter.files() + 2);
        } finally {
            instrument.shutdownNow();
            assertThat(instrument.awaitTermination(20, TimeUnit.SECONDS)).isTrue();
        }
    }

    /** Two channels at the next twentieth of a second. */
    private static void write(Path file, AtomicInteger written) {
        double seconds = written.get() / 20.0;
        try {
            Files.writeString(
                    file,
                    String.format(
                            Locale.ROOT,
                            "%.2f,outside,%.2f,F%n%.2f,can,%.3f,gal%n",
                            seconds,
                            64 + Math.sin(seconds),
                            seconds,
                            seconds / 100),
                    StandardOpenOption.APPEND);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        written.incrementAndGet();
    }

    private void edit(Random random, Project[] documents, int n) {
        if (n % EACH == 0) {
            robot.interact(() -> session.show(documents[n / EACH % documents.length], null));
            drawings.add(new WeakReference<>(node("#schematic")));
        } else if (n % 7 == 0) {
            robot.interact(session::undo);
        } else if (n % 11 == 0) {
            robot.interact(session::redo);
        } else if (n % 13 == 0) {
            robot.interact(() ->
                    session.units().set(session.units().get() == UnitSystem.US ? UnitSystem.METRIC : UnitSystem.US));
        } else {
            robot.interact(() -> session.apply(longer(random)));
        }
        Page page = Page.values()[random.nextInt(Page.values().length)];
        robot.interact(() -> ((ButtonBase) node("#rail-" + page.name().toLowerCase(Locale.ROOT))).fire());
        until(() -> session.shown().get().project() == session.project());
    }

    private static Edit longer(Random random) {
        double inches = 5 + random.nextInt(80);
        int which = random.nextInt(100);
        return Edit.of("Set a length", p -> {
            Run run = p.system().runs().get(which % p.system().runs().size());
            return p.with(p.system().replace(run.withLength(Measured.of(inches, Unit.INCH, "tape"))));
        });
    }

    private Held held(long begun, int steps) {
        double each = (System.nanoTime() - begun) / 1e9 / Math.max(1, steps);
        robot.interact(() -> {});
        long least = Long.MAX_VALUE;
        for (int i = 0; i < 3; i++) {
            System.gc();
            Runtime r = Runtime.getRuntime();
            least = Math.min(least, r.totalMemory() - r.freeMemory());
        }
        long files = ManagementFactory.getOperatingSystemMXBean()
                        instanceof com.sun.management.UnixOperatingSystemMXBean unix
                ? unix.getOpenFileDescriptorCount()
                : 0;
        return new Held(least, Thread.activeCount(), files, each);
    }
}
