package ration.desktop.session;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.ZonedDateTime;
import java.util.Locale;
import java.util.Optional;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import ration.record.file.ProgramVersion;
import ration.record.file.ProjectFile;
import ration.record.project.Project;

/**
 * What is needed to find out what went wrong, in one zip file that the user sends: version, system, log, and the
 * document where it was asked for. It names no folder of the user's; the log may.
 */
public final class ProblemReport {

    private ProblemReport() {}

    /** Whatever of it cannot be had is told in its place: a report must not fail for what it reports. */
    public static byte[] of(Home home, Optional<Project> document) throws IOException {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(bytes, StandardCharsets.UTF_8)) {
            put(zip, "about.txt", about().getBytes(StandardCharsets.UTF_8));
            for (Path log : home.logs()) {
                put(zip, log.getFileName().toString(), read(log));
            }
            if (document.isPresent()) {
                put(zip, "document" + ProjectFile.ENDING, text(document.get()).getBytes(StandardCharsets.UTF_8));
            }
        }
        return bytes.toByteArray();
    }

    private static void put(ZipOutputStream zip, String name, byte[] content) throws IOException {
        zip.putNextEntry(new ZipEntry(name));
        zip.write(content);
        zip.closeEntry();
    }

    private static byte[] read(Path log) {
        try {
            return Files.readAllBytes(log);
        } catch (IOException e) {
            return ("Not read: " + e).getBytes(StandardCharsets.UTF_8);
        }
    }

    private static String text(Project document) {
        try {
            return ProjectFile.text(document);
        } catch (RuntimeException e) {
            return "Not written: " + e;
        }
    }

    private static String about() {
        Runtime machine = Runtime.getRuntime();
        StringBuilder about = new StringBuilder();
        about.append("Ration ").append(ProgramVersion.WORD).append('\n');
        about.append("written ").append(ZonedDateTime.now().withNano(0)).append('\n');
        for (String what :
                new String[] {"os.name", "os.version", "os.arch", "java.version", "java.vm.name", "javafx.version"}) {
            about.append(what)
                    .append(": ")
                    .append(System.getProperty(what, "unknown"))
                    .append('\n');
        }
        about.append("locale: ").append(Locale.getDefault().toLanguageTag()).append('\n');
        about.append("processors: ").append(machine.availableProcessors()).append('\n');
        about.append("memory: ").append(machine.maxMemory() >> 20).append(" MB\n");
        return about.toString();
    }
}
