package ration.record.project;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import ration.Systems;
import ration.answer.assess.Assessment;
import ration.base.quantity.UnitSystem;
import ration.base.task.Task;
import ration.publish.packet.Packet;
import ration.record.file.ProjectFile;

/** What stands on the plates of an aircraft is kept, printed and compared; nothing is computed from it. */
class PlateTest {

    private static Project said() {
        Plate plate = Plate.NONE
                .with(Plate.Field.REGISTRATION, "none yet")
                .with(Plate.Field.BUILDER, " I. Nobody ")
                .with(Plate.Field.SERIAL, "  ");
        return Systems.corrie().with(plate);
    }

    @Test
    void isKeptInTheDocument() throws Exception {
        assertThat(said().plate().get(Plate.Field.BUILDER)).isEqualTo("I. Nobody");
        assertThat(said().plate().said()).doesNotContainKey(Plate.Field.SERIAL);
        String text = ProjectFile.text(said());
        Project read = ProjectFile.read(text.getBytes(StandardCharsets.UTF_8), "here");
        assertThat(read).isEqualTo(said());
        assertThat(ProjectFile.text(Systems.corrie())).doesNotContain("\"plate\"");
        String more =
                text.replace("\"registration\" : \"none yet\"", "\"registration\" : \"none yet\", \"hull\" : \"7\"");
        Project carried = ProjectFile.read(more.getBytes(StandardCharsets.UTF_8), "here");
        assertThat(ProjectFile.text(carried)).contains("\"hull\" : \"7\"");
    }

    @Test
    void isToldAsAChangeAndChangesNoFinding() {
        assertThat(Difference.between(Systems.corrie(), said()))
                .containsExactly("registration none yet", "builder I. Nobody");
        assertThat(Difference.between(said(), said().with(Plate.NONE)))
                .containsExactly("registration removed", "builder removed");
        assertThat(Assessment.of(said()).open())
                .isEqualTo(Systems.assessedCorrie().open());
    }

    @Test
    void isPrintedAndWhatIsNotEnteredIsSaid() throws Exception {
        byte[] pdf = Packet.of(
                        Assessment.of(said()), Packet.Paper.LETTER, UnitSystem.US, LocalDate.of(2026, 3, 9), Task.QUIET)
                .orElseThrow();
        try (PDDocument d = Loader.loadPDF(pdf)) {
            PDFTextStripper cover = new PDFTextStripper();
            cover.setEndPage(1);
            assertThat(cover.getText(d))
                    .containsPattern("Registration\\s+none yet")
                    .containsPattern("Builder\\s+I. Nobody")
                    .containsPattern("Serial number\\s+not entered");
        }
    }
}
