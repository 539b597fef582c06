package ration.desktop.session;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class LogTest {

    @TempDir
    Path folder;

    /** Whatever the core logs and whatever nobody caught is there to be sent. */
    @Test
    void whatGoesWrongIsKept() throws Exception {
        Path home = folder.resolve("100 % home");
        try (AutoCloseable log = Log.in(home)) {
            assertThat(log).isNotNull();
            System.getLogger("ration").log(System.Logger.Level.WARNING, "It failed", new IllegalStateException("why"));
            Thread.UncaughtExceptionHandler before = Thread.getDefaultUncaughtExceptionHandler();
            Log.takeUncaught();
            Thread thread = new Thread(
                    () -> {
                        throw new StackOverflowError("deep");
                    },
                    "worker");
            thread.start();
            thread.join();
            Thread.setDefaultUncaughtExceptionHandler(before);
        }
        assertThat(Files.readString(home.resolve("ration-0.log")))
                .contains("It failed", "IllegalStateException: why", "Uncaught in worker", "deep");
    }

    @Test
    void whereItCannotBeKeptTheWorkGoesOn() throws Exception {
        Path file = Files.writeString(folder.resolve("file"), "");
        Log.in(file).close();
        assertThat(Files.readString(file)).isEmpty();
    }
}
