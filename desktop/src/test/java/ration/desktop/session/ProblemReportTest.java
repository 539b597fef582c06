package ration.desktop.session;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import ration.record.file.ProgramVersion;
import ration.record.file.ProjectFile;
import ration.record.project.Project;

/** What a user sends when something went wrong. */
class ProblemReportTest {

    @TempDir
    Path folder;

    private Map<String, String> read(Optional<Project> document) throws IOException {
        Map<String, String> all = new LinkedHashMap<>();
        try (ZipInputStream zip =
                new ZipInputStream(new ByteArrayInputStream(ProblemReport.of(new Home(folder), document)))) {
            for (ZipEntry e = zip.getNextEntry(); e != null; e = zip.getNextEntry()) {
                all.put(e.getName(), new String(zip.readAllBytes(), StandardCharsets.UTF_8));
            }
        }
        return all;
    }

    @Test
    void itHoldsVersionSystemAndLog() throws IOException {
        Files.writeString(folder.resolve("ration-0.log"), "WARNING: a check stopped");
        Files.writeString(folder.resolve("unsaved-1.ration"), "work of somebody");
        Map<String, String> all = read(Optional.empty());
        assertThat(all).containsOnlyKeys("about.txt", "ration-0.log");
        assertThat(all.get("about.txt")).contains(ProgramVersion.WORD, System.getProperty("os.name"));
        assertThat(all.get("ration-0.log")).contains("a check stopped");
    }

    /** Only where it was asked for, and such that it opens. */
    @Test
    void theDocumentComesWithItWhereAskedFor() throws Exception {
        Project demo = ProjectFile.demo(ProjectFile.DEMO);
        Map<String, String> all = read(Optional.of(demo));
        assertThat(all).containsOnlyKeys("about.txt", "document.ration");
        assertThat(ProjectFile.read(all.get("document.ration").getBytes(StandardCharsets.UTF_8), "sent"))
                .isEqualTo(demo);
    }

    @Test
    void theVersionIsThatOfTheBuild() throws IOException {
        assertThat(Files.readString(Path.of("../pom.xml")))
                .contains("<artifactId>ration</artifactId>\n  <version>" + ProgramVersion.WORD + "</version>");
    }

    @Test
    void withoutALogItIsStillWritten() throws IOException {
        assertThat(read(Optional.empty())).containsOnlyKeys("about.txt");
    }
}
