package ration.publish.drawing;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.hipparchus.special.Erf;
import ration.answer.assess.Doubt;
import ration.answer.measure.Job;
import ration.answer.measure.MeasureNext;
import ration.answer.measure.MeasureWords;
import ration.base.quantity.UnitSystem;
import ration.publish.drawing.Mark.Anchor;
import ration.publish.drawing.Mark.Disc;
import ration.publish.drawing.Mark.Label;
import ration.publish.drawing.Mark.Path;
import ration.publish.drawing.Mark.Pen;
import ration.publish.drawing.Mark.Spot;
import ration.publish.drawing.Picture.Kind;
import ration.publish.drawing.Picture.Piece;

/**
 * How far an answer may be off: a hundred dots, each as likely as the next, along the answer over what is needed, and
 * under them nine in ten of it as one figure after the other is read. The dots are quantiles of the law that
 * {@link MeasureNext} takes the answer to follow.
 */
public final class DoubtPicture {

    private static final double NAMES = 226;
    private static final double FIGURES = 250;
    private static final double DOTS = 92;
    private static final double AXIS = 20;
    private static final double ROW = 20;
    private static final double SIZE = 11;
    /** Nine in ten lie within so many deviations. */
    private static final double NINE_IN_TEN = 1.644854;

    private static final int OUTCOMES = 100;

    private DoubtPicture() {}

    /** The height wanted for so many readings. */
    public static double height(int readings) {
        return DOTS + AXIS + ROW * (readings + 1) + 6;
    }

    /**
     * The picture.
     *
     * @param read in the order they are read
     */
    public static Picture draw(MeasureNext m, List<Job> read, UnitSystem units, double width) {
        MeasureWords words = new MeasureWords(m, units);
        double need = MeasureNext.need(m.of());
        double d = m.deviation();
        double low = Math.min(need, m.stands() - 3 * d);
        double high = Math.max(need, m.stands() + 3 * d);
        double spare = 0.04 * (high - low);
        Scale x = new Scale(low - spare, high + spare, NAMES, width - FIGURES);
        List<Mark> marks = new ArrayList<>();
        marks.add(new Label(0, 14, "As entered", SIZE, true, Ink.INK, Anchor.START));
        marks.add(new Label(0, 30, "Each dot is one outcome", SIZE, false, Ink.SOFT, Anchor.START));
        marks.add(new Label(0, 44, "of a hundred, all as likely", SIZE, false, Ink.SOFT, Anchor.START));
        int fails = dots(marks, m, x, need);
        double axis = DOTS;
        marks.add(SchematicPart.line(NAMES, axis, width - FIGURES, axis, Pen.of(Ink.SOFT, 1)));
        double line = x.at(need);
        marks.add(SchematicPart.line(line, 4, line, DOTS + AXIS + ROW * (read.size() + 1), Pen.of(Ink.INK, 1.6)));
        marks.add(new Label(
                line + 5,
                axis + 14,
                m.of() == Doubt.Of.VAPOR ? "what is needed" : "1.00 \u00d7 what is needed",
                SIZE,
                true,
                Ink.INK,
                Anchor.START));
        double right = width - FIGURES;
        String[] heads = {"nine in ten", "fail of 100", "settled"};
        double[] at = {right + 108, right + 178, right + 232};
        for (int i = 0; i < heads.length; i++) {
            marks.add(new Label(at[i], axis + 14, heads[i], SIZE, false, Ink.SOFT, Anchor.END));
        }
        for (int n = 0; n <= read.size(); n++) {
            List<Job> some = read.subList(0, n);
            band(
                    marks,
                    m,
                    some,
                    n == 0 ? "as entered" : n + "  " + words.name(read.get(n - 1)),
                    x,
                    DOTS + AXIS + ROW * n,
                    at,
                    units);
        }
        return new Picture(
                width,
                height(read.size()),
                List.of(new Piece(
                        "",
                        Kind.TEXT,
                        MeasureWords.title(m.of()) + ": " + fails + " of 100 outcomes fail as entered",
                        marks)));
    }

    /** Dots stand on each other where they would lie on each other; how many fail. */
    private static int dots(List<Mark> marks, MeasureNext m, Scale x, double need) {
        double bin = Math.max(5, Math.abs(x.at(m.stands() + m.deviation() / 4) - x.at(m.stands())));
        double radius = Math.min(4, bin / 2 - 0.4);
        Map<Long, Integer> stacks = new HashMap<>();
        int fails = 0;
        for (int i = 0; i < OUTCOMES; i++) {
            double share = (i + 0.5) / OUTCOMES;
            double value = m.stands() + m.deviation() * Math.sqrt(2) * Erf.erfInv(2 * share - 1);
            boolean below = value < need;
            fails += below ? 1 : 0;
            // never over the line it is not beyond
            long column = (long) Math.floor((x.at(value) - x.at(need)) / bin);
            int on = stacks.merge(column, 1, Integer::sum);
            double y = DOTS - radius - 1 - (on - 1) * Math.min(2 * radius + 1, 8);
            marks.add(new Disc(
                    new Spot(x.at(need) + (column + 0.5) * bin, Math.max(radius, y)),
                    radius,
                    below ? Ink.PANEL : Ink.OLIVE_UNDER_TEXT,
                    below ? Pen.of(Ink.RUST, 1.3) : Pen.of(Ink.PANEL, 0.6)));
        }
        return fails;
    }

    private static void band(
            List<Mark> marks,
            MeasureNext m,
            List<Job> read,
            String name,
            Scale x,
            double top,
            double[] at,
            UnitSystem units) {
        double need = MeasureNext.need(m.of());
        double half = NINE_IN_TEN * m.deviation(read);
        double from = m.stands() - half;
        double to = m.stands() + half;
        double high = 11;
        double y = top + (ROW - high) / 2;
        String shown = name.length() > 34 ? name.substring(0, 33) + "\u2026" : name;
        marks.add(new Label(0, top + 14, shown, SIZE, false, Ink.INK, Anchor.START));
        if (from < need) {
            double end = Math.min(to, need);
            marks.add(box(x.at(from), x.at(end), y, high, Ink.RUST_TINT, Pen.of(Ink.RUST, 1)));
            for (double s = x.at(from) + 4; s < x.at(end); s += 5) {
                marks.add(SchematicPart.line(s, y + high, Math.min(s + 5, x.at(end)), y + 1, Pen.of(Ink.RUST, 0.9)));
            }
        }
        if (to > need) {
            marks.add(box(x.at(Math.max(from, need)), x.at(to), y, high, Ink.OLIVE_UNDER_TEXT, Pen.of(Ink.NONE, 0)));
        }
        marks.add(SchematicPart.line(x.at(m.stands()), y - 2, x.at(m.stands()), y + high + 2, Pen.of(Ink.INK, 1.4)));
        // what does not add up was drawn again for the whole set
        MeasureNext.Outcome o = !read.isEmpty() && read.equals(m.next()) ? m.then() : m.outcome(read);
        double spread = m.deviation(read);
        double below =
                spread > 0 ? 1 - Erf.erfc((need - m.stands()) / spread / Math.sqrt(2)) / 2 : m.stands() < need ? 1 : 0;
        String[] figures = {
            figure(m, from, units) + " to " + figure(m, to, units),
            UnitSystem.figure(100 * below, 0),
            UnitSystem.figure(100 * o.settled(), 0) + " %"
        };
        for (int i = 0; i < figures.length; i++) {
            marks.add(new Label(at[i], top + 14, figures[i], SIZE, false, Ink.INK, Anchor.END));
        }
    }

    private static String figure(MeasureNext m, double value, UnitSystem units) {
        return m.of() == Doubt.Of.VAPOR ? units.difference(value) : UnitSystem.figure(value, 2) + "\u00d7";
    }

    private static Mark box(double from, double to, double y, double high, Ink fill, Pen pen) {
        return new Path(
                List.of(new Spot(from, y), new Spot(to, y), new Spot(to, y + high), new Spot(from, y + high)),
                true,
                fill,
                pen,
                0);
    }
}
