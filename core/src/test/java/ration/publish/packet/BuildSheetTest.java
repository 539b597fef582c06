package ration.publish.packet;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.time.LocalDate;
import java.util.Optional;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import ration.Systems;
import ration.answer.assess.Assessment;
import ration.base.quantity.UnitSystem;
import ration.base.task.Task;
import ration.publish.paper.Pages;
import ration.publish.paper.PdfSheet;
import ration.record.build.Build;
import ration.record.build.Stage;
import ration.record.build.StepKey;
import ration.record.project.Project;

/** What an inspector is told of a build that is under way. */
class BuildSheetTest {

    private static String printed(Project p) throws IOException {
        try (PdfSheet pdf = new PdfSheet("Build", 612, 792, true)) {
            Pages pages = new Pages(pdf, 612, 792);
            pages.page("Before", "");
            new BuildSheet(
                            pages,
                            new Dossier(
                                    Assessment.ahead(p, Optional.empty()),
                                    UnitSystem.US,
                                    LocalDate.of(2026, 11, 26),
                                    Task.QUIET,
                                    Packet.Given.NOTHING))
                    .write();
            pages.finish(new Pages.Identity(p.name(), "", "", ""));
            try (PDDocument doc = Loader.loadPDF(pdf.bytes())) {
                return new PDFTextStripper().getText(doc).replaceAll("\\s+", " ");
            }
        }
    }

    @Test
    void what_is_temporary_or_to_be_bought_is_told() throws IOException {
        Project p = Systems.corrie();
        StepKey r3 = StepKey.line("r3");
        StepKey r4 = StepKey.line("r4");
        Build build = p.build()
                .plus("Left wing panel closed")
                .with(r3, p.build().step(r3).with(Stage.TEMPORARY))
                .with(r4, p.build().step(r4).with(Stage.TO_BUY));
        assertThat(printed(p.with(build)))
                .contains("Build", "steps done", "1 temporary: a temporary part is never done")
                .contains("Left wing panel closed", "R3", "Temporary", "To buy");
    }

    @Test
    void a_document_that_keeps_no_build_has_no_such_page() throws IOException {
        Project p = Systems.corrie();
        assertThat(p.build().none()).isTrue();
        assertThat(printed(p)).doesNotContain("steps done");
    }
}
