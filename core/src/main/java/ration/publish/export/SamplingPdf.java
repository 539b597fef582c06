package ration.publish.export;

import java.io.IOException;
import java.util.List;
import ration.physics.breathing.SamplingCard;
import ration.publish.drawing.Ink;
import ration.publish.paper.PdfSheet;
import ration.record.project.Project;

/** The pre-flight sampling card: every drain in walk-round order, with boxes for colour, water and grit. */
public final class SamplingPdf {

    private static final double ROW = 30;
    private static final List<String> BOXES = List.of("color", "water", "debris", "drain closed");

    private SamplingPdf() {}

    public static byte[] of(Project project) throws IOException {
        try (PdfSheet pdf = new PdfSheet("Sampling card of " + project.name())) {
            List<SamplingCard.Drain> drains = SamplingCard.of(project.system());
            double y = Double.MAX_VALUE;
            int n = 1;
            for (SamplingCard.Drain d : drains) {
                if (y > PdfSheet.HEIGHT - PdfSheet.MARGIN - 50) {
                    pdf.newPage();
                    y = head(pdf, project);
                }
                pdf.text(PdfSheet.MARGIN, y, n + "   " + d.name(), 13, true, Ink.INK);
                for (int b = 0; b < BOXES.size(); b++) {
                    double x = PdfSheet.MARGIN + 330 + b * 90;
                    pdf.frame(x, y - 11, 14, 14, 1);
                    pdf.text(x + 20, y, BOXES.get(b), 9, false, Ink.SOFT);
                }
                y += ROW;
                n++;
            }
            if (!drains.isEmpty() && SamplingCard.caps(project.system()).isPresent()) {
                for (String line : pdf.wrapped(
                        SamplingCard.caps(project.system()).get(), PdfSheet.WIDTH - 2 * PdfSheet.MARGIN, 10, false)) {
                    pdf.text(PdfSheet.MARGIN, y, line, 10, false, Ink.INK);
                    y += 14;
                }
            }
            if (drains.isEmpty()) {
                pdf.newPage();
                pdf.text(PdfSheet.MARGIN, head(pdf, project), "No drain in the layout.", 13, true, Ink.RUST_TEXT);
            }
            return pdf.bytes();
        }
    }

    private static double head(PdfSheet pdf, Project project) throws IOException {
        pdf.text(
                PdfSheet.MARGIN,
                PdfSheet.MARGIN + 14,
                project.name() + ", fuel samples before flight",
                15,
                true,
                Ink.INK);
        pdf.text(
                PdfSheet.MARGIN,
                PdfSheet.MARGIN + 32,
                "Left side, nose, right side. Wait after fueling for water to settle. Catch each sample, hold"
                        + " it to the light; repeat until clean.",
                9,
                false,
                Ink.SOFT);
        pdf.text(
                PdfSheet.MARGIN,
                PdfSheet.HEIGHT - PdfSheet.MARGIN,
                "No ignition source near; drained fuel is hazardous waste. Date:" + " ____________   By: ____________",
                9,
                false,
                Ink.SOFT);
        pdf.line(
                PdfSheet.MARGIN,
                PdfSheet.MARGIN + 40,
                PdfSheet.WIDTH - PdfSheet.MARGIN,
                PdfSheet.MARGIN + 40,
                0.8,
                Ink.EDGE);
        return PdfSheet.MARGIN + 74;
    }
}
