package ration.record.file;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import ration.record.evidence.HangarTest;
import ration.record.project.Project;

/** A photograph beside the document is known by its bytes. */
class AttachmentsTest {

    @TempDir
    Path folder;

    /** Gone through once: asked again nothing is read, until it is written. */
    @Test
    void itIsReadOnceAsLongAsItIsNotWritten() throws IOException, ProjectFileException {
        Path document = folder.resolve("corrie.ration");
        Path film = Files.write(folder.resolve("film.mp4"), new byte[1 << 20]);
        HangarTest.Photo p = new HangarTest.Photo("film.mp4", "0".repeat(64));
        assertThat(Attachments.known(document, p)).as("not read yet").isEmpty();
        assertThat(Attachments.state(document, p)).isEqualTo(Attachments.State.CHANGED);
        assertThat(Attachments.known(document, p)).contains(Attachments.State.CHANGED);
        Files.write(film, new byte[2 << 20]);
        assertThat(Attachments.known(document, p)).as("written since").isEmpty();
    }

    @ParameterizedTest
    @ValueSource(strings = {"../a.jpg", "a/b.jpg", "a\\b.jpg", "a\u0000.jpg", "", " ", "..", "a\n.jpg"})
    void namesThatLeadElsewhereAreRefusedWhenRead(String name) throws ProjectFileException {
        assertThat(HangarTest.Photo.wrong(name)).isNotEmpty();
        assertThat(Attachments.known(folder.resolve("corrie.ration"), new HangarTest.Photo(name, "0")))
                .contains(Attachments.State.MISSING);
        Project p = ration.Systems.corrie();
        HangarTest t = p.tests().get(0);
        Project with = p.withTests(p.tests().stream()
                .map(x -> x == t
                        ? x.with(x.by().with(x.by().beside().with(new HangarTest.Photo(name, "0".repeat(64)))))
                        : x)
                .toList());
        assertThatThrownBy(() -> ProjectFile.read(ProjectFile.text(with).getBytes(StandardCharsets.UTF_8), "a.ration"))
                .isInstanceOf(ProjectFileException.class)
                .hasMessageContaining("a.ration")
                .satisfies(
                        e -> assertThat(((ProjectFileException) e).fullText()).contains("by its name alone"));
    }

    @Test
    void itIsBroughtBesideTheDocumentAndKnownByItsBytes() throws IOException, ProjectFileException {
        Path document = Files.createDirectories(folder.resolve("plane")).resolve("corrie.ration");
        Path photo = Files.writeString(
                Files.createDirectories(folder.resolve("camera")).resolve("joint.jpg"), "abc");
        HangarTest.Photo one = Attachments.attach(document, photo);
        // SHA-256 of "abc": FIPS 180-2, appendix B.1
        assertThat(one)
                .isEqualTo(new HangarTest.Photo(
                        "joint.jpg", "ba7816bf8f01cfea414140de5dae2223b00361a396177a9cb410ff61f20015ad"));
        assertThat(Attachments.state(document, one)).isEqualTo(Attachments.State.AS_RECORDED);
        assertThat(Attachments.attach(document, photo)).as("the same once more").isEqualTo(one);
        Files.writeString(photo, "another");
        HangarTest.Photo two = Attachments.attach(document, photo);
        assertThat(two.file()).as("another of that name").isEqualTo("joint-2.jpg");
        assertThat(Attachments.state(document, one)).isEqualTo(Attachments.State.AS_RECORDED);
        Files.writeString(document.resolveSibling("joint.jpg"), "touched up");
        assertThat(Attachments.state(document, one)).isEqualTo(Attachments.State.CHANGED);
        Files.delete(document.resolveSibling("joint-2.jpg"));
        assertThat(Attachments.state(document, two)).isEqualTo(Attachments.State.MISSING);
        assertThat(Attachments.state(document, new HangarTest.Photo("../camera/joint.jpg", two.sha256())))
                .as("nothing outside the folder")
                .isEqualTo(Attachments.State.MISSING);
        assertThatThrownBy(() -> Attachments.attach(document, folder.resolve("nothing.jpg")))
                .isInstanceOf(ProjectFileException.class);
    }
}
