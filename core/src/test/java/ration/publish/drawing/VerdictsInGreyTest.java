package ration.publish.drawing;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.rendering.ImageType;
import org.apache.pdfbox.rendering.PDFRenderer;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import ration.publish.paper.PdfSheet;
import ration.verdict.check.Verdict;

/** A verdict is told by its pattern: drawn in greys, with the same figure, no two bars look alike. */
class VerdictsInGreyTest {

    private static final double WIDE = 90;
    private static final double HIGH = 12;
    /** Lightness of 0 to 255 that an eye tells apart, over an eighth of the bar. */
    private static final int TOLD = 40;

    private static final double SHARE = 1.0 / 8;

    private static BufferedImage drawn(Verdict verdict, double ratio) throws IOException {
        try (PdfSheet pdf = new PdfSheet("bar", WIDE, HIGH, true)) {
            pdf.newPage();
            pdf.picture(
                    new Picture(
                            WIDE,
                            HIGH,
                            List.of(new Picture.Piece(
                                    "",
                                    Picture.Kind.SYMBOL,
                                    "",
                                    List.of(new Mark.Notch(2, 3, WIDE - 4, 7, ratio, verdict))))),
                    0,
                    0,
                    1);
            try (PDDocument doc = Loader.loadPDF(pdf.bytes())) {
                return new PDFRenderer(doc).renderImageWithDPI(0, 144, ImageType.GRAY);
            }
        }
    }

    @ParameterizedTest
    @ValueSource(doubles = {0.6, 1.0, 1.02, 1.4})
    void noTwoLookAlike(double ratio) throws IOException {
        Map<Verdict, BufferedImage> all = new EnumMap<>(Verdict.class);
        for (Verdict v : Verdict.values()) {
            all.put(v, drawn(v, ratio));
        }
        for (Verdict a : Verdict.values()) {
            for (Verdict b : Verdict.values()) {
                if (a.compareTo(b) < 0) {
                    assertThat(different(all.get(a), all.get(b)))
                            .as(a + " and " + b + " at " + ratio)
                            .isGreaterThan(SHARE);
                }
            }
        }
    }

    private static double different(BufferedImage a, BufferedImage b) {
        int told = 0;
        for (int x = 0; x < a.getWidth(); x++) {
            for (int y = 0; y < a.getHeight(); y++) {
                told += Math.abs(a.getRaster().getSample(x, y, 0)
                                        - b.getRaster().getSample(x, y, 0))
                                > TOLD
                        ? 1
                        : 0;
            }
        }
        return told / (double) (a.getWidth() * a.getHeight());
    }
}
