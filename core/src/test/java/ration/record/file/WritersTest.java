package ration.record.file;

import static org.assertj.core.api.Assertions.assertThat;

import com.google.common.jimfs.Configuration;
import com.google.common.jimfs.Jimfs;
import java.io.IOException;
import java.net.URISyntaxException;
import java.nio.charset.StandardCharsets;
import java.nio.file.FileSystem;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.time.Duration;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import ration.Samples;

/**
 * Whatever happens while a file is written, a disk that fills or a program that is killed: the good file is there, or
 * the old one, never half.
 */
class WritersTest {

    @TempDir
    Path folder;

    /** Every way a file is written. */
    enum Writer {
        DOCUMENT {
            @Override
            void write(Path file, byte[] bytes) throws IOException {
                SafeWrite.document(file, bytes, true);
            }
        },
        OWNER_ONLY {
            @Override
            void write(Path file, byte[] bytes) throws IOException {
                SafeWrite.ownerOnly(file, bytes);
            }
        },
        DERIVED {
            @Override
            void write(Path file, byte[] bytes) throws IOException {
                SafeWrite.derived(file, bytes);
            }
        },
        COPY {
            @Override
            void write(Path file, byte[] bytes) throws IOException {
                Path from = Files.createTempFile("ration-copied", "");
                try {
                    Files.write(from, bytes);
                    SafeWrite.copy(from, file);
                } finally {
                    Files.delete(from);
                }
            }
        };

        abstract void write(Path file, byte[] bytes) throws IOException;
    }

    private static byte[] filled(int length, int with) {
        byte[] bytes = new byte[length];
        Arrays.fill(bytes, (byte) with);
        return bytes;
    }

    /** A file is written whole: all of it one letter. */
    private static void assertWhole(Path file, int length) throws IOException {
        byte[] bytes = Files.readAllBytes(file);
        assertThat(bytes).as(file.toString()).hasSize(length);
        assertThat(bytes).containsOnly(bytes[0]);
    }

    /** A disk with room for so many blocks more, from none to plenty: refused with the old file whole, or written. */
    @ParameterizedTest
    @EnumSource(Writer.class)
    void aFullDiskLeavesTheOldFile(Writer writer) throws IOException {
        int length = 40_000;
        int written = 0;
        int refused = 0;
        for (int room = 0; room <= 4 * length; room += Samples.of(4096, 512)) {
            try (FileSystem disk = Jimfs.newFileSystem(Configuration.unix().toBuilder()
                    .setBlockSize(512)
                    .setMaxSize(2L * length + 8192 + room)
                    .setMaxCacheSize(0)
                    .build())) {
                Path file = Files.createDirectory(disk.getPath("/home")).resolve("a.file");
                Files.write(file, filled(length, 'a'));
                Files.write(file.resolveSibling("other"), filled(length, 'o'));
                try {
                    writer.write(file, filled(length, 'b'));
                    assertWhole(file, length);
                    assertThat(Files.readAllBytes(file)[0]).isEqualTo((byte) 'b');
                    written++;
                } catch (IOException e) {
                    assertWhole(file, length);
                    assertThat(Files.readAllBytes(file)[0]).isEqualTo((byte) 'a');
                    refused++;
                }
                try (Stream<Path> left = Files.list(file.getParent())) {
                    assertThat(left.map(p -> p.getFileName().toString()))
                            .isSubsetOf("a.file", "other", "a.file.previous");
                }
            }
        }
        assertThat(written).isPositive();
        assertThat(refused).isPositive();
    }

    /** Killed at any moment: document and copy before it are whole; what was begun is taken away at a later start. */
    @Test
    void aKilledProgramLeavesWholeFiles() throws Exception {
        Path document = folder.resolve("a.ration");
        Random random = new Random(7);
        for (int n = 0; n < Samples.of(6, 330); n++) {
            Process writing = new ProcessBuilder(
                            Path.of(System.getProperty("java.home"), "bin", "java")
                                    .toString(),
                            "-XX:TieredStopAtLevel=1",
                            "-cp",
                            from(InALoop.class) + java.io.File.pathSeparator + from(SafeWrite.class),
                            InALoop.class.getName(),
                            document.toString())
                    .redirectErrorStream(true)
                    .start();
            // its first line says that it writes
            writing.getInputStream().read();
            long until =
                    System.nanoTime() + Duration.ofMillis(random.nextInt(60)).toNanos();
            while (System.nanoTime() < until) {
                Thread.onSpinWait();
            }
            writing.destroyForcibly().waitFor();
            assertWhole(document, InALoop.LENGTH);
            Path before = SafeWrite.previous(document);
            if (Files.exists(before)) {
                assertWhole(before, InALoop.LENGTH);
            }
        }
        try (Stream<Path> left = Files.list(folder)) {
            for (Path p : left.toList()) {
                Files.setLastModifiedTime(p, FileTime.from(Instant.now().minus(Duration.ofHours(1))));
            }
        }
        SafeWrite.clearLeftovers(folder);
        try (Stream<Path> left = Files.list(folder)) {
            assertThat(left.map(p -> p.getFileName().toString())).isSubsetOf("a.ration", "a.ration.previous");
        }
    }

    private static String from(Class<?> c) throws URISyntaxException {
        return Path.of(c.getProtectionDomain().getCodeSource().getLocation().toURI())
                .toString();
    }

    /**
     * What is being written at this moment by another program is let alone, and so is what this program never makes.
     */
    @Test
    void onlyWhatIsLeftBehindIsTakenAway() throws IOException {
        List<String> stay = List.of(
                ".ration-11111111-2222-3333-4444-555555555555.saving", "my.saving", ".ration-notes", "a.ration");
        for (String name : stay) {
            Files.writeString(folder.resolve(name), "x");
        }
        Path old = Files.writeString(folder.resolve(".ration-11111111-2222-3333-4444-666666666666.saving"), "x");
        Files.setLastModifiedTime(old, FileTime.from(Instant.now().minus(Duration.ofHours(1))));
        SafeWrite.clearLeftovers(folder);
        assertThat(old).doesNotExist();
        assertThat(stay).allSatisfy(name -> assertThat(folder.resolve(name)).exists());
    }

    /** A pipe or a device is written to, not taken away by a file in its place. */
    @Test
    void aDeviceStaysADevice() throws IOException {
        Path nothing = Path.of("/dev/null");
        SafeWrite.derived(nothing, "x".getBytes(StandardCharsets.UTF_8));
        assertThat(Files.isRegularFile(nothing)).isFalse();
    }

    /** Saves one letter after the other until it is killed. */
    static final class InALoop {

        static final int LENGTH = 1 << 20;

        private InALoop() {}

        public static void main(String[] args) throws IOException {
            Path file = Path.of(args[0]);
            SafeWrite.document(file, filled(LENGTH, 'a'), true);
            System.out.println("writing");
            for (int n = 0; ; n++) {
                SafeWrite.document(file, filled(LENGTH, 'a' + n % 26), true);
            }
        }
    }
}
