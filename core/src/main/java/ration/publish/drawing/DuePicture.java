package ration.publish.drawing;

import java.time.LocalDate;
import java.time.YearMonth;
import java.time.format.TextStyle;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import ration.publish.drawing.Mark.Anchor;
import ration.publish.drawing.Mark.Disc;
import ration.publish.drawing.Mark.Label;
import ration.publish.drawing.Mark.Path;
import ration.publish.drawing.Mark.Pen;
import ration.publish.drawing.Mark.Spot;
import ration.publish.drawing.Picture.Kind;
import ration.publish.drawing.Picture.Piece;
import ration.record.upkeep.Due;
import ration.record.upkeep.Life;
import ration.verdict.check.Verdict;

/**
 * What falls due by the calendar, two years ahead; what is over stands at today. Earlier ones stand higher, so no stem
 * crosses a name.
 */
public final class DuePicture {

    private static final double LEFT = 24;
    private static final double ROW = 14;
    private static final int ROWS = 4;
    private static final long MONTHS = 24;

    private DuePicture() {}

    public static Picture draw(List<Due> due, LocalDate today, TextMeasure measure, double width, double height) {
        LocalDate end = today.plusMonths(MONTHS);
        double axis = height - 34;
        double days = ChronoUnit.DAYS.between(today, end);
        List<Mark> marks = new ArrayList<>();
        marks.add(SchematicPart.line(LEFT, axis, width - LEFT, axis, Pen.of(Ink.INK, 1.2)));
        for (YearMonth m = YearMonth.from(today).plusMonths(1); m.atDay(1).isBefore(end); m = m.plusMonths(1)) {
            double x = LEFT + ChronoUnit.DAYS.between(today, m.atDay(1)) / days * (width - 2 * LEFT);
            boolean year = m.getMonthValue() == 1;
            marks.add(SchematicPart.line(x, axis, x, axis + (year ? 8 : 4), Pen.of(Ink.INK, 1)));
            marks.add(new Label(
                    x + 2,
                    axis + 14,
                    m.getMonth().getDisplayName(TextStyle.NARROW, Locale.ENGLISH),
                    11,
                    false,
                    Ink.SOFT,
                    Anchor.START));
            if (year) {
                marks.add(new Label(x + 2, axis + 28, String.valueOf(m.getYear()), 11, true, Ink.INK, Anchor.START));
            }
        }
        marks.add(new Label(LEFT, axis + 28, "today", 11, true, Ink.INK, Anchor.START));
        List<Due> shown = new ArrayList<>(due.stream()
                .filter(d -> d.verdict() == Verdict.FAILS
                        || d.verdict() == Verdict.NOT_SHOWN
                        || d.on().filter(o -> o.isBefore(end)).isPresent())
                .toList());
        shown.sort(Comparator.comparing((Due d) -> day(d, today)));
        double[] free = new double[ROWS];
        int left = 0;
        for (Due d : shown) {
            double x = LEFT + Math.max(0, ChronoUnit.DAYS.between(today, day(d, today))) / days * (width - 2 * LEFT);
            double w = measure.width(d.part().name(), 11, true);
            // the highest row under which no name is crossed by the stem
            int row = -1;
            while (row + 1 < ROWS && free[row + 1] <= x - 2) {
                row++;
            }
            if (row < 0) {
                left++;
                continue;
            }
            free[row] = x + w + 14;
            boolean bad = d.verdict() == Verdict.FAILS;
            double y = axis - (row + 1) * ROW + 4;
            marks.add(SchematicPart.line(x, axis, x, y, Pen.of(bad ? Ink.RUST : Ink.INK, 1)));
            marks.addAll(sign(d, x, axis));
            marks.add(new Label(x + 4, y + 3, d.part().name(), 11, true, bad ? Ink.RUST_TEXT : Ink.INK, Anchor.START));
        }
        if (left > 0) {
            marks.add(new Label(
                    width - LEFT, axis + 28, "and " + left + " more in the list", 11, false, Ink.SOFT, Anchor.END));
        }
        String words = shown.isEmpty()
                ? "Nothing due in two years"
                : "Due first: " + shown.get(0).part().name();
        return new Picture(width, height, List.of(new Piece("", Kind.TEXT, words, marks)));
    }

    private static LocalDate day(Due d, LocalDate today) {
        return d.verdict() == Verdict.FAILS || d.verdict() == Verdict.NOT_SHOWN ? today : d.on().orElse(today);
    }

    /** A filled diamond is replaced, a ring is looked at. */
    private static List<Mark> sign(Due d, double x, double y) {
        Ink ink = d.verdict() == Verdict.FAILS ? Ink.RUST : Ink.INK;
        return List.of(
                d.part().life().ends() == Life.Ends.LOOK
                        ? new Disc(new Spot(x, y), 4, Ink.PANEL, Pen.of(ink, 1.6))
                        : new Path(
                                List.of(new Spot(x, y - 5), new Spot(x + 5, y), new Spot(x, y + 5), new Spot(x - 5, y)),
                                true,
                                ink,
                                Pen.of(Ink.NONE, 0),
                                0));
    }
}
