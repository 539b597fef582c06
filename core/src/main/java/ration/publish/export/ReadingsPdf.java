package ration.publish.export;

import java.io.IOException;
import java.util.List;
import ration.answer.assess.Assessment;
import ration.answer.measure.Job;
import ration.answer.measure.MeasureNext;
import ration.answer.measure.MeasureWords;
import ration.base.quantity.UnitSystem;
import ration.publish.drawing.Ink;
import ration.publish.paper.PdfSheet;
import ration.record.file.DocumentMark;

/**
 * The few readings that would settle an answer, to take to the aircraft: how each is taken, and a box for each figure.
 */
public final class ReadingsPdf {

    private static final double WIDE = 612;
    private static final double HIGH = 792;
    private static final double LEFT = 54;
    private static final double RIGHT = WIDE - 36;
    private static final double BOX = 92;
    private static final double ROW = 22;

    private ReadingsPdf() {}

    public static byte[] of(Assessment a, MeasureNext m, List<Job> read, UnitSystem units) throws IOException {
        MeasureWords words = new MeasureWords(m, units);
        try (PdfSheet pdf = new PdfSheet("What to measure next, " + a.project().name(), WIDE, HIGH, true)) {
            double y = head(pdf, a, m);
            for (Job j : read) {
                double wanted = 64 + ROW * j.moves().size();
                if (y + wanted > HIGH - 60) {
                    y = head(pdf, a, m);
                }
                y = job(pdf, words, j, read.indexOf(j) + 1, y);
            }
            return pdf.bytes();
        }
    }

    private static double head(PdfSheet pdf, Assessment a, MeasureNext m) throws IOException {
        pdf.newPage();
        pdf.text(LEFT, 48, "What to measure next", 17, true, Ink.INK);
        pdf.text(
                LEFT,
                64,
                a.project().name() + ", " + MeasureWords.title(m.of()).toLowerCase(java.util.Locale.ROOT)
                        + ". A reading is never promised to make it hold. Document ID " + DocumentMark.of(a.project()),
                9,
                false,
                Ink.SOFT);
        pdf.line(LEFT, 72, RIGHT, 72, 1.2, Ink.INK);
        pdf.text(LEFT, HIGH - 50, "Date, who measured", 9, false, Ink.SOFT);
        pdf.line(LEFT + 100, HIGH - 48, RIGHT, HIGH - 48, 0.8, Ink.INK);
        pdf.text(
                LEFT,
                HIGH - 32,
                "Ventilate, no ignition source, aircraft and can bonded, extinguisher at hand. The inspector and the"
                        + " manufacturers' instructions decide.",
                7.5,
                false,
                Ink.SOFT);
        return 96;
    }

    private static double job(PdfSheet pdf, MeasureWords words, Job j, int number, double top) throws IOException {
        double y = top;
        pdf.text(LEFT, y, number + "  " + words.name(j), 12, true, Ink.INK);
        pdf.text(
                LEFT,
                y + 15,
                "With " + j.tool().name() + ", to within " + words.within(j) + "; some " + j.minutes() + " min.",
                9,
                false,
                Ink.SOFT);
        y += 30;
        for (String line : pdf.wrapped(j.tool().how(), RIGHT - LEFT, 10, false)) {
            pdf.text(LEFT, y, line, 10, false, Ink.INK);
            y += 13;
        }
        if (!words.means(j).isEmpty()) {
            pdf.text(LEFT, y, words.means(j), 9, false, Ink.INK);
            y += 13;
        }
        y += 4;
        for (var m : j.moves()) {
            pdf.text(LEFT + 12, y + 14, m.item().name() + ", " + m.label(), 9.5, false, Ink.INK);
            pdf.text(RIGHT - BOX - 110, y + 14, "now " + m.as().quantity().shown(), 9, false, Ink.SOFT);
            double x = RIGHT - BOX;
            pdf.frame(x, y, BOX, ROW - 3, 0.8);
            pdf.text(x + BOX - 22, y + 14, m.as().quantity().unit().symbol(), 8, false, Ink.SOFT);
            y += ROW;
        }
        return y + 22;
    }
}
