package ration.publish.export;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.geom.Point2D;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.contentstream.PDFGraphicsStreamEngine;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.graphics.image.PDImage;
import org.apache.pdfbox.text.PDFTextStripper;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import ration.Systems;
import ration.aircraft.condition.Attitude;
import ration.answer.assess.Assessment;
import ration.answer.assess.TankAnswer;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;
import ration.record.project.Project;

/** The printed stick, measured on paper. */
class GaugeCardTest {

    private static final double POINT = 0.0254 / 72;

    /** Straight lines of a page, as drawn: x1, y1, x2, y2 in points. */
    private static final class Ruler extends PDFGraphicsStreamEngine {
        private final List<double[]> lines = new ArrayList<>();
        private Point2D at = new Point2D.Double();

        Ruler(PDPage page) {
            super(page);
        }

        @Override
        public void appendRectangle(Point2D a, Point2D b, Point2D c, Point2D d) {
            at = a;
        }

        @Override
        public void drawImage(PDImage image) {
            throw new IllegalStateException("There is no image on a gauge card");
        }

        @Override
        public void clip(int rule) {
            at = getCurrentPoint();
        }

        @Override
        public void moveTo(float x, float y) {
            at = new Point2D.Double(x, y);
        }

        @Override
        public void lineTo(float x, float y) {
            lines.add(new double[] {at.getX(), at.getY(), x, y});
            at = new Point2D.Double(x, y);
        }

        @Override
        public void curveTo(float x1, float y1, float x2, float y2, float x3, float y3) {
            at = new Point2D.Double(x3, y3);
        }

        @Override
        public Point2D getCurrentPoint() {
            return at;
        }

        @Override
        public void closePath() {
            at = getCurrentPoint();
        }

        @Override
        public void endPath() {
            at = getCurrentPoint();
        }

        @Override
        public void strokePath() {
            at = getCurrentPoint();
        }

        @Override
        public void fillPath(int rule) {
            at = getCurrentPoint();
        }

        @Override
        public void fillAndStrokePath(int rule) {
            at = getCurrentPoint();
        }

        @Override
        public void shadingFill(COSName name) {
            at = getCurrentPoint();
        }
    }

    private static TankAnswer upper(Project p) {
        return Assessment.of(p).tank("upper").orElseThrow();
    }

    @Test
    void marksStandAtTheRightMillimetres() throws IOException {
        Project p = Systems.corrie();
        TankAnswer upper = upper(p);
        List<GaugeCard.Mark> marks = GaugeCard.marks(upper, Attitude.ofDegrees("Level", 0, 0), UnitSystem.US);
        try (PDDocument pdf = Loader.loadPDF(GaugeCard.pdf(p, upper, UnitSystem.US))) {
            Ruler ruler = new Ruler(pdf.getPage(1));
            ruler.processPage(pdf.getPage(1));
            List<double[]> bar = ruler.lines.stream()
                    .filter(l -> l[1] == l[3] && Math.abs(l[2] - l[0] - 144) < 0.01)
                    .toList();
            assertThat(bar).as("the bar of 2 in").hasSize(1);
            double foot = ruler.lines.stream()
                    .filter(l -> l[1] == l[3] && Math.abs(l[2] - l[0] - 54) < 0.01)
                    .mapToDouble(l -> l[1])
                    .min()
                    .orElseThrow();
            List<Double> heights = ruler.lines.stream()
                    .filter(l -> l[1] == l[3]
                            && l[1] > foot + 0.01
                            && (Math.abs(l[2] - l[0] - 30) < 0.01 || Math.abs(l[2] - l[0] - 54) < 0.01))
                    .map(l -> (l[1] - foot) * POINT)
                    .sorted()
                    .toList();
            assertThat(heights).hasSameSizeAs(marks);
            for (int i = 0; i < marks.size(); i++) {
                assertThat(heights.get(i))
                        .as("mark %d", i)
                        .isCloseTo(marks.get(i).reading(), Offset.offset(0.00002));
            }
        }
    }

    @Test
    void zeroIsAtTheUnusableFuelAndThePlacardIsPrinted() throws IOException {
        Project p = Systems.corrie();
        TankAnswer upper = upper(p);
        GaugeCard.Mark zero = GaugeCard.marks(upper, Attitude.ofDegrees("Level", 0, 0), UnitSystem.US)
                .get(0);
        assertThat(zero.volume()).isZero();
        assertThat(zero.reading())
                .isCloseTo(
                        upper.gauge(Attitude.ofDegrees("Level", 0, 0)).reading(upper.unusable()), Offset.offset(1e-12));
        try (PDDocument pdf = Loader.loadPDF(GaugeCard.pdf(p, upper, UnitSystem.US))) {
            String text = new PDFTextStripper().getText(pdf);
            assertThat(text)
                    .contains(
                            "Upper tank", "Level, by fills", "Parked 12", "Unusable 1.3", "print at 100%", "inspector");
            assertThat(pdf.getNumberOfPages()).isEqualTo(3);
        }
    }

    @Test
    void aTallStickGoesOnBeside() throws IOException {
        Project p = Systems.corrie();
        TankAnswer fuselage = Assessment.of(p).tank("fuselage").orElseThrow();
        try (PDDocument pdf = Loader.loadPDF(GaugeCard.pdf(p, fuselage, UnitSystem.METRIC))) {
            assertThat(new PDFTextStripper().getText(pdf)).contains("goes on from 1");
        }
        assertThat(Unit.INCH.fromSi(GaugeCard.marks(fuselage, Attitude.ofDegrees("Level", 0, 0), UnitSystem.US)
                        .get(3)
                        .reading()))
                .isPositive();
    }
}
