package ration.publish.export;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import ration.aircraft.condition.Attitude;
import ration.answer.assess.TankAnswer;
import ration.base.quantity.Dimension;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;
import ration.physics.tank.GaugeCurve;
import ration.publish.drawing.Ink;
import ration.publish.paper.PdfSheet;
import ration.record.project.Project;

/**
 * A card of gauge marks, and dipstick strips at true scale: a point is 1/72 in, so an inch on the stick is 72 points on
 * paper printed without fitting to the page. The zero mark stands at the unusable fuel.
 */
public final class GaugeCard {

    /** Points an inch. */
    public static final double POINTS = 72;

    private static final double STRIP_TOP = 96;
    private static final double STRIP_LENGTH = PdfSheet.HEIGHT - STRIP_TOP - PdfSheet.MARGIN - 24;
    private static final double METRE = POINTS / Unit.INCH.toSi(1);

    private GaugeCard() {}

    /**
     * A mark.
     *
     * @param volume in the tank over unusable, m3: what the gauge should say
     * @param reading height over the foot of the gauge, m
     */
    public record Mark(double volume, double reading) {}

    /** Marks at round usable volumes up to full, the first at zero. */
    public static List<Mark> marks(TankAnswer answer, Attitude attitude, UnitSystem units) {
        GaugeCurve gauge = answer.gauge(attitude);
        Unit unit = units.unit(Dimension.VOLUME);
        double usable = answer.usable();
        double step = step(unit.fromSi(usable));
        List<Mark> marks = new ArrayList<>();
        for (double v = 0; unit.toSi(v) <= usable + 1e-9; v += step) {
            marks.add(new Mark(unit.toSi(v), gauge.reading(answer.unusable() + unit.toSi(v))));
        }
        return marks;
    }

    private static double step(double usable) {
        for (double s : new double[] {0.5, 1, 2, 5, 10, 20, 50}) {
            if (usable / s <= 14) {
                return s;
            }
        }
        return 100;
    }

    /** The card with both attitudes, then a page a strip. */
    public static byte[] pdf(Project project, TankAnswer answer, UnitSystem units) throws IOException {
        Attitude level = Attitude.ofDegrees("Level", 0, 0);
        Attitude parked = project.brief().envelope().attitudes().get(0);
        List<Attitude> attitudes = Math.abs(parked.pitchRad()) < 1e-6 ? List.of(level) : List.of(level, parked);
        try (PdfSheet pdf = new PdfSheet("Gauge of " + answer.tank().name() + ", " + project.name())) {
            pdf.newPage();
            card(pdf, project, answer, units, attitudes);
            for (Attitude a : attitudes) {
                strips(pdf, project, answer, units, a);
            }
            return pdf.bytes();
        }
    }

    private static void head(PdfSheet pdf, Project project, TankAnswer answer, String what) throws IOException {
        pdf.text(
                PdfSheet.MARGIN,
                PdfSheet.MARGIN + 14,
                project.name() + ", " + answer.tank().name(),
                15,
                true,
                Ink.INK);
        pdf.text(PdfSheet.MARGIN, PdfSheet.MARGIN + 30, what, 10, false, Ink.SOFT);
        pdf.line(
                PdfSheet.MARGIN,
                PdfSheet.MARGIN + 38,
                PdfSheet.WIDTH - PdfSheet.MARGIN,
                PdfSheet.MARGIN + 38,
                0.8,
                Ink.EDGE);
        pdf.text(
                PdfSheet.MARGIN,
                PdfSheet.HEIGHT - PdfSheet.MARGIN + 8,
                "Valid for this tank as in the layout and measured on the day"
                        + " of printing. Check with a measured amount before use; the inspector and"
                        + " the authority decide.",
                7.5,
                false,
                Ink.SOFT);
    }

    private static void card(
            PdfSheet pdf, Project project, TankAnswer answer, UnitSystem units, List<Attitude> attitudes)
            throws IOException {
        head(
                pdf,
                project,
                answer,
                "Gauge card. Zero is at the unusable fuel, " + units.fineVolume(answer.unusable()) + " "
                        + answer.source().word()
                        + (answer.body().calibration().measured()
                                ? "."
                                : "; no fill is on record yet: heights are by shape."));
        Unit volume = units.unit(Dimension.VOLUME);
        Unit length = units.unit(Dimension.LENGTH);
        double x = PdfSheet.MARGIN;
        for (Attitude a : attitudes) {
            double y = PdfSheet.MARGIN + 64;
            pdf.text(x, y, a.label() + (answer.gauge(a).measured() ? ", by fills" : ", by shape"), 12, true, Ink.DEEP);
            pdf.text(x, y + 18, "usable, " + volume.symbol(), 9, false, Ink.SOFT);
            pdf.text(x + 110, y + 18, "height, " + length.symbol(), 9, false, Ink.SOFT);
            pdf.line(x, y + 23, x + 210, y + 23, 0.6, Ink.EDGE);
            y += 38;
            for (Mark m : marks(answer, a, units)) {
                pdf.text(x, y, UnitSystem.figure(volume.fromSi(m.volume()), 1), 11, true, Ink.INK);
                pdf.text(
                        x + 110,
                        y,
                        UnitSystem.figure(length.fromSi(m.reading()), length == Unit.INCH ? 2 : 0),
                        11,
                        false,
                        Ink.INK);
                y += 17;
            }
            x += 260;
        }
        double y = PdfSheet.HEIGHT - 130;
        pdf.text(PdfSheet.MARGIN, y, "Placard", 12, true, Ink.DEEP);
        double keeps = Math.max(answer.placard(), answer.unusable());
        pdf.text(
                PdfSheet.MARGIN,
                y + 20,
                "Usable " + units.fineVolume(Math.max(0, answer.full() - keeps)) + "    Unusable "
                        + units.fineVolume(keeps),
                15,
                true,
                Ink.INK);
    }

    /** One attitude's stick, its foot at the bottom; in pieces side by side where it is longer than the page. */
    private static void strips(PdfSheet pdf, Project project, TankAnswer answer, UnitSystem units, Attitude a)
            throws IOException {
        pdf.newPage();
        head(pdf, project, answer, "Dipstick, " + a.label() + ". True scale: print at 100%, and measure the 2 in bar.");
        double ruler = PdfSheet.WIDTH - PdfSheet.MARGIN - 2 * POINTS;
        double rulerY = PdfSheet.MARGIN + 56;
        pdf.line(ruler, rulerY, ruler + 2 * POINTS, rulerY, 1, Ink.INK);
        pdf.line(ruler, rulerY - 5, ruler, rulerY + 5, 1, Ink.INK);
        pdf.line(ruler + 2 * POINTS, rulerY - 5, ruler + 2 * POINTS, rulerY + 5, 1, Ink.INK);
        pdf.text(ruler + 58, rulerY + 14, "2 in", 9, false, Ink.INK);
        List<Mark> marks = marks(answer, a, units);
        double tall = marks.stream().mapToDouble(Mark::reading).max().orElse(0) * METRE + 18;
        int pieces = (int) Math.ceil(tall / STRIP_LENGTH);
        Unit volume = units.unit(Dimension.VOLUME);
        double foot = STRIP_TOP + STRIP_LENGTH;
        for (int piece = 0; piece < pieces; piece++) {
            double x = PdfSheet.MARGIN + 40 + piece * 110;
            double from = piece * STRIP_LENGTH;
            double top = Math.min(STRIP_LENGTH, tall - from);
            pdf.line(x, foot, x, foot - top, 1, Ink.INK);
            pdf.line(x + 54, foot, x + 54, foot - top, 1, Ink.INK);
            pdf.line(x, foot, x + 54, foot, 1, Ink.INK);
            pdf.text(x, foot + 12, piece == 0 ? "foot of the gauge" : "goes on from " + piece, 7.5, false, Ink.SOFT);
            for (Mark m : marks) {
                double h = m.reading() * METRE - from;
                if (h >= 0 && h <= STRIP_LENGTH) {
                    pdf.line(
                            x,
                            foot - h,
                            x + (m.volume() == 0 ? 54 : 30),
                            foot - h,
                            m.volume() == 0 ? 1.6 : 1,
                            m.volume() == 0 ? Ink.RUST : Ink.INK);
                    pdf.text(
                            x + 34,
                            foot - h + (m.volume() == 0 ? -3 : 3),
                            UnitSystem.figure(volume.fromSi(m.volume()), 1).replace(".0", ""),
                            9,
                            true,
                            m.volume() == 0 ? Ink.RUST_TEXT : Ink.INK);
                }
            }
        }
    }
}
