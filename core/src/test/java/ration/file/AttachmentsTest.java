package ration.file;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import ration.evidence.HangarTest;

/** A photograph beside the document is known by its bytes. */
class AttachmentsTest {

    @TempDir
    Path folder;

    @Test
    void itIsBroughtBesideTheDocumentAndKnownByItsBytes() throws IOException, ProjectFileException {
        Path document = Files.createDirectories(folder.resolve("plane")).resolve("corrie.ration");
        Path photo = Files.writeString(Files.createDirectories(folder.resolve("camera")).resolve("joint.jpg"), "abc");
        HangarTest.Photo one = Attachments.attach(document, photo);
        // SHA-256 of "abc": FIPS 180-2, appendix B.1
        assertThat(one).isEqualTo(new HangarTest.Photo("joint.jpg", "ba7816bf8f01cfea414140de5dae2223b00361a396177a9cb410ff61f20015ad"));
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
        assertThat(Attachments.state(document, new HangarTest.Photo("../camera/joint.jpg", two.sha256()))).as("nothing outside the folder").isEqualTo(Attachments.State.MISSING);
        assertThatThrownBy(() -> Attachments.attach(document, folder.resolve("nothing.jpg"))).isInstanceOf(ProjectFileException.class);
    }
}
