package ration.publish.export;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import ration.Systems;
import ration.answer.assess.Assessment;
import ration.answer.assess.Doubt;
import ration.answer.measure.Job;
import ration.answer.measure.MeasureNext;
import ration.base.quantity.UnitSystem;
import ration.base.task.Task;
import ration.publish.drawing.DoubtPicture;
import ration.publish.drawing.Ink;
import ration.publish.drawing.Mark;
import ration.publish.drawing.Picture;

/** The readings to take, on paper, and the hundred outcomes they would narrow. */
class ReadingsPdfTest {

    private static final Assessment BRINDLE = Systems.assessed("brindle-a2");
    private static final MeasureNext UNUSABLE = MeasureNext.of(BRINDLE, Doubt.Of.UNUSABLE, Task.QUIET);

    @Test
    void eachReadingHasItsToolAndItsBoxes() throws Exception {
        byte[] pdf = ReadingsPdf.of(BRINDLE, UNUSABLE, UNUSABLE.jobs(), UnitSystem.US);
        try (PDDocument document = Loader.loadPDF(pdf)) {
            String text = new PDFTextStripper().getText(document);
            for (Job j : UNUSABLE.jobs()) {
                assertThat(text).contains("With " + j.tool().name());
                j.moves().forEach(m -> assertThat(text).contains(m.item().name() + ", " + m.label()));
            }
            assertThat(text).contains("never promised", "Document ID", "extinguisher");
        }
    }

    /**
     * The dots below the line are as many of a hundred as the normal law has below it (error function: mathematics).
     */
    @Test
    void dotsBelowTheLineAreThoseThatFail() {
        Picture picture = DoubtPicture.draw(UNUSABLE, UNUSABLE.next(), UnitSystem.US, 1100);
        List<Mark.Disc> dots = picture.pieces().get(0).marks().stream()
                .filter(Mark.Disc.class::isInstance)
                .map(Mark.Disc.class::cast)
                .toList();
        assertThat(dots).hasSize(100);
        double over = (UNUSABLE.stands() - 1) / UNUSABLE.deviation();
        long below = Math.round(50 * org.hipparchus.special.Erf.erfc(over / Math.sqrt(2)));
        assertThat(dots.stream().filter(d -> d.pen().ink() == Ink.RUST).count()).isBetween(below - 1, below + 1);
        assertThat(picture.pieces().get(0).words()).startsWith("Unusable fuel: ");
    }

    /** With other readings than those proposed the outcomes are theirs. */
    @Test
    void whatIsTickedInsteadHasItsOwnOutcome() {
        List<Job> one = UNUSABLE.jobs().subList(0, 1);
        MeasureNext then = UNUSABLE.reading(one);
        assertThat(then.next()).isEqualTo(one);
        assertThat(then.then()).isEqualTo(UNUSABLE.outcome(one));
        assertThat(UNUSABLE.reading(List.of()).then().settled())
                .isLessThanOrEqualTo(then.then().settled());
        assertThat(then.deviation()).isEqualTo(UNUSABLE.deviation());
    }
}
