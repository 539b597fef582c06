package ration.publish.export;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.util.List;
import java.util.Locale;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import ration.Systems;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Run;
import ration.base.quantity.UnitSystem;
import ration.publish.drawing.Mark;
import ration.publish.drawing.MeasuringPicture;
import ration.publish.drawing.MeasuringPoints;
import ration.publish.drawing.Picture;
import ration.record.project.Pattern;

/** The sheet a builder measures by: every point and line has its box, and every letter can be read in both views. */
class MeasuringSheetTest {

    private static String text(byte[] pdf) throws IOException {
        try (PDDocument document = Loader.loadPDF(pdf)) {
            return new PDFTextStripper().getText(document);
        }
    }

    @ParameterizedTest
    @EnumSource
    void everyPointAndLineOfALayoutHasItsBox(Pattern pattern) throws IOException {
        FuelSystem system = pattern.project().system();
        String text = text(MeasuringPdf.of(pattern.label(), system, UnitSystem.METRIC))
                .replaceAll("\\s+", " ");
        List<MeasuringPoints.Point> points = MeasuringPoints.of(system);
        assertThat(points)
                .extracting(MeasuringPoints.Point::letter)
                .doesNotHaveDuplicates()
                .doesNotContain("I", "O");
        for (MeasuringPoints.Point p : points) {
            assertThat(text.toLowerCase(Locale.ROOT)).contains(p.what().toLowerCase(Locale.ROOT));
        }
        for (Run r : system.runs()) {
            assertThat(text).contains(r.name() + " ");
        }
        assertThat(text).contains("all in millimeters", "Level it first", "Choose where zero is", "approves nothing");
    }

    @ParameterizedTest
    @EnumSource
    void noLetterLiesOnAnother(Pattern pattern) {
        FuelSystem system = pattern.project().system();
        List<MeasuringPoints.Point> points = MeasuringPoints.of(system);
        for (Picture view : List.of(
                MeasuringPicture.side(system, points, 318, 150), MeasuringPicture.above(system, points, 318, 150))) {
            List<Mark.Disc> letters = view.pieces().get(0).marks().stream()
                    .filter(Mark.Disc.class::isInstance)
                    .map(Mark.Disc.class::cast)
                    .toList();
            assertThat(letters).hasSameSizeAs(points);
            for (int i = 0; i < letters.size(); i++) {
                Mark.Disc a = letters.get(i);
                assertThat(a.centre().x()).isBetween(a.radius() - 0.1, 318 - a.radius() + 0.1);
                assertThat(a.centre().y()).isBetween(a.radius() - 0.1, 150 - a.radius() + 0.1);
                for (Mark.Disc b : letters.subList(i + 1, letters.size())) {
                    assertThat(Math.hypot(
                                    a.centre().x() - b.centre().x(),
                                    a.centre().y() - b.centre().y()))
                            .isGreaterThan(a.radius() * 1.4);
                }
            }
        }
    }

    /** What is long goes on to a second page; nothing is left out, and an empty sheet has its page too. */
    @Test
    void manyLinesGoOnToAnotherPage() throws IOException {
        FuelSystem tansy = Systems.assessed("tansy-l3").project().system();
        byte[] pdf = MeasuringPdf.of("Tansy L3", tansy, UnitSystem.US);
        try (PDDocument document = Loader.loadPDF(pdf)) {
            assertThat(document.getNumberOfPages()).isEqualTo(2);
        }
        String text = text(pdf);
        tansy.runs().forEach(r -> assertThat(text).contains(r.name()));
        assertThat(text(MeasuringPdf.of(
                        "Nothing", ration.record.project.Project.empty().system(), UnitSystem.US)))
                .contains("Carburetor", "all in inches");
    }
}
