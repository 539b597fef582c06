package ration.desktop.hangar;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.OutputStream;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.function.BooleanSupplier;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Where live readings come from: stopped it is gone, whatever the sender does; a file may be written anew under it. */
class SourceTest {

    @TempDir
    Path folder;

    private static void until(BooleanSupplier so) {
        long end = System.nanoTime() + Duration.ofSeconds(30).toNanos();
        while (!so.getAsBoolean() && System.nanoTime() < end) {
            Thread.onSpinWait();
        }
        assertThat(so.getAsBoolean()).isTrue();
    }

    @Test
    void stopClosesWhatIsSilent() throws IOException {
        try (ServerSocket silent = new ServerSocket(0, 60, InetAddress.getLoopbackAddress())) {
            List<Source> sources = new ArrayList<>();
            List<Socket> lines = new ArrayList<>();
            for (int n = 0; n < 50; n++) {
                sources.add(Source.port(silent.getLocalPort()));
                lines.add(silent.accept());
            }
            sources.forEach(Source::close);
            sources.forEach(s -> until(() -> !s.running()));
            for (Socket line : lines) {
                assertThat(line.getInputStream().read())
                        .as("the other end is closed")
                        .isEqualTo(-1);
                line.close();
            }
            assertThat(sources).allSatisfy(s -> assertThat(s.trouble()).isEmpty());
        }
    }

    @Test
    void aSenderThatEndsInTheMiddleOfALineGivesNoReadingOfIt() throws IOException {
        try (ServerSocket server = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
            Source source = Source.port(server.getLocalPort());
            try (Socket line = server.accept();
                    OutputStream to = line.getOutputStream()) {
                to.write("1,rail,30,psi\n2,rail,31,in".getBytes(StandardCharsets.UTF_8));
            }
            until(() -> !source.running());
            assertThat(source.live().samples("rail")).hasSize(1);
            assertThat(source.trouble()).contains("it ended");
        }
    }

    @Test
    void aFileThatIsRotatedOrGoneForAMomentGoesOn() throws IOException {
        Path log = Files.writeString(folder.resolve("log.csv"), "1,rail,30,psi\n");
        Source source = Source.growing(log);
        until(() -> source.live().samples("rail").size() == 1);
        Files.move(log, folder.resolve("log.1"));
        until(() -> source.trouble().contains("is not there now"));
        // longer than the one before: by its length alone it would be taken for the same
        Path fresh = Files.writeString(folder.resolve("fresh"), "2,rail,31,psi\n3,rail,32,psi\n");
        Files.move(fresh, log, StandardCopyOption.ATOMIC_MOVE);
        until(() -> source.live().samples("rail").size() == 3);
        assertThat(source.trouble()).isEmpty();
        Files.writeString(log, "4,rail,33,psi\n", StandardOpenOption.APPEND);
        until(() -> source.live().samples("rail").size() == 4);
        source.close();
        until(() -> !source.running());
    }
}
