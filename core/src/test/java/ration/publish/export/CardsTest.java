package ration.publish.export;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.util.List;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import ration.Systems;
import ration.answer.assess.Assessment;
import ration.answer.proof.TestProgram;
import ration.base.quantity.UnitSystem;
import ration.record.evidence.Form;
import ration.record.file.DocumentMark;

/** Cards to print: a blank one for each test still to run, and the one before a flight; read back from the paper. */
class CardsTest {

    private static String text(byte[] pdf) throws IOException {
        try (PDDocument doc = Loader.loadPDF(pdf)) {
            return new PDFTextStripper().getText(doc).replaceAll("\\s+", " ");
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"corrie-b1", "brindle-a2", "tansy-l3"})
    void everyTestStillToRunHasACardWithItsBoxes(String demo) throws IOException {
        Assessment a = Systems.assessed(demo);
        List<TestProgram.Proof> left = a.program().tests().stream()
                .filter(p -> p.wanted().asked() && p.verdict() == ration.verdict.check.Verdict.NOT_SHOWN)
                .toList();
        byte[] pdf = TestCards.of(a, UnitSystem.US);
        String text = text(pdf);
        assertThat(text)
                .contains(
                        "card " + left.size() + " of " + left.size(),
                        "This card is a worksheet, not a record",
                        "Caution",
                        DocumentMark.of(a.project()));
        for (TestProgram.Proof p : left) {
            assertThat(text).contains(p.wanted().name(), p.outcome().needs().in(UnitSystem.US));
            Form.of(p.wanted().kind()).ifPresent(f -> {
                f.once().forEach(q -> assertThat(text).contains(q.label()));
                f.pieces(a.project().system()).values().forEach(piece -> assertThat(text)
                        .contains(piece));
            });
        }
        try (PDDocument doc = Loader.loadPDF(pdf)) {
            assertThat(doc.getNumberOfPages()).as("a page each").isEqualTo(left.size());
            doc.getPages().forEach(page -> {
                assertThat(page.getMediaBox().getWidth()).isEqualTo(612);
                assertThat(page.getMediaBox().getHeight())
                        .as("half a letter page, lying, or as high as it needs")
                        .isBetween(396f, 792f);
            });
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"corrie-b1", "brindle-a2", "tansy-l3"})
    void theCardBeforeFlightHoldsDrainsVentsAndTheDipstick(String demo) throws IOException {
        Assessment a = Systems.assessed(demo);
        String text = text(PreflightPdf.of(a, UnitSystem.US));
        assertThat(text).contains("Drains, walk-around order", "Vents and caps", "hazardous waste");
        ration.physics.breathing.SamplingCard.of(a.project().system())
                .forEach(d -> assertThat(text).contains(d.name()));
        a.tanks().forEach(t -> assertThat(text)
                .contains(
                        t.tank().fitout().gauge().isPresent()
                                ? t.tank().name() + " by dipstick"
                                : t.tank().name() + ": no gauge in the layout"));
        if (demo.equals("corrie-b1")) {
            assertThat(text).contains("Remove before flight Worm-drive hose clamp, R4", "read parked is off by up to");
        }
    }
}
