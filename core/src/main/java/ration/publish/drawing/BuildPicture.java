package ration.publish.drawing;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import ration.answer.plan.Plan;
import ration.answer.plan.PlanWords;
import ration.publish.drawing.Mark.Anchor;
import ration.publish.drawing.Mark.Box;
import ration.publish.drawing.Mark.Label;
import ration.publish.drawing.Mark.Path;
import ration.publish.drawing.Mark.Pen;
import ration.publish.drawing.Mark.Spot;
import ration.publish.drawing.Picture.Kind;
import ration.publish.drawing.Picture.Piece;

/**
 * What is left of the build along time: a row a step, from where it can begin; the line behind it is its float, the
 * diamond its delivery. What has no float is filled.
 */
public final class BuildPicture {

    private static final double NAMES = 216;
    private static final double RIGHT = 20;
    private static final double TOP = 30;
    private static final double ROW = 19;
    private static final double BAR = 9;
    private static final double TEXT = 11;
    /** A step without hours is still seen. */
    private static final double LEAST = 3;

    /** Between dates on the axis, at least. */
    private static final double TICK = 120;

    private static final String KEY =
            "Filled: no float. Line: float. Diamond: delivery. With as many hands as can be used.";

    private BuildPicture() {}

    /** What is drawn: what moves the end first, then the first to begin. */
    private static List<Plan.Task> drawn(Plan plan) {
        return plan.tasks().stream()
                .filter(t -> !t.done() && !Double.isNaN(t.earliest()))
                .sorted(Comparator.comparing((Plan.Task t) -> t.slack() > 1e-9)
                        .thenComparingDouble(Plan.Task::earliest)
                        .thenComparingDouble(Plan.Task::slack))
                .toList();
    }

    /** How high a picture of all rows is. */
    public static double height(Plan plan) {
        return TOP + ROW * (drawn(plan).size() + 1) + 8;
    }

    public static Picture draw(Plan plan, TextMeasure measure, double width, double height) {
        List<Plan.Task> tasks = drawn(plan);
        double end = plan.path().map(p -> p.end()).orElse(0.0);
        if (tasks.isEmpty() || end <= 0) {
            String words = tasks.isEmpty()
                    ? "Nothing is left to draw."
                    : "Enter hours of work, or deliveries and hours a week: nothing can be drawn along time without.";
            return new Picture(
                    width,
                    height,
                    List.of(new Piece(
                            "",
                            Kind.TEXT,
                            words,
                            List.of(new Label(8, TOP, words, 12, false, Ink.SOFT, Anchor.START)))));
        }
        double scale = (width - NAMES - RIGHT) / end;
        List<Piece> pieces = new ArrayList<>();
        pieces.add(new Piece("", Kind.RULER, "", axis(plan, end, scale, TOP + ROW * tasks.size())));
        PlanWords words = new PlanWords(plan);
        for (int i = 0; i < tasks.size(); i++) {
            Plan.Task t = tasks.get(i);
            double y = TOP + ROW * i;
            pieces.add(new Piece(
                    t.key().text(),
                    Kind.SYMBOL,
                    t.name() + ", " + words.now(t) + ", " + words.slackSaid(t),
                    row(t, measure, y, NAMES + t.earliest() * scale, scale, NAMES + end * scale)));
        }
        return new Picture(width, height, pieces);
    }

    private static List<Mark> axis(Plan plan, double end, double scale, double foot) {
        List<Mark> marks = new ArrayList<>();
        int ticks = (int) Math.max(1, Math.floor(end * scale / TICK));
        marks.add(new Label(8, foot + 14, KEY, TEXT, false, Ink.SOFT, Anchor.START));
        for (int k = 0; k <= ticks; k++) {
            double at = end * k / ticks;
            double x = NAMES + at * scale;
            marks.add(SchematicPart.line(x, TOP - 8, x, foot, Pen.of(Ink.GRID, 1)));
            String said = plan.day(at).map(LocalDate::toString).orElse(PlanWords.hours(Math.rint(10 * at) / 10));
            marks.add(new Label(
                    x,
                    TOP - 14,
                    said,
                    TEXT,
                    false,
                    Ink.SOFT,
                    k == 0 ? Anchor.START : k == ticks ? Anchor.END : Anchor.MIDDLE));
        }
        return marks;
    }

    private static List<Mark> row(Plan.Task t, TextMeasure measure, double y, double x, double scale, double last) {
        List<Mark> marks = new ArrayList<>();
        double middle = y + ROW / 2;
        boolean tight = t.slack() < 1e-9;
        marks.add(new Label(8, middle + 4, cut(t.name(), measure), TEXT, tight, Ink.INK, Anchor.START));
        double wide = Math.max(LEAST, t.step().hours().orElse(0.0) * scale);
        if (!tight) {
            double to = Math.min(last, x + wide + t.slack() * scale);
            marks.add(SchematicPart.line(x + wide, middle, to, middle, Pen.of(Ink.EDGE, 1.2)));
            marks.add(SchematicPart.line(to, middle - 3, to, middle + 3, Pen.of(Ink.EDGE, 1.2)));
        }
        marks.add(new Box(
                x,
                middle - BAR / 2,
                wide,
                BAR,
                1.5,
                tight ? Ink.DEEP : Ink.PANEL,
                Pen.of(tight ? Ink.DEEP : Ink.OLIVE, 1.2)));
        if (t.step().stage().awaited() && t.step().expected().isPresent()) {
            marks.add(new Path(
                    List.of(
                            new Spot(x - 7, middle),
                            new Spot(x - 2, middle - 5),
                            new Spot(x + 3, middle),
                            new Spot(x - 2, middle + 5)),
                    true,
                    Ink.PANEL,
                    Pen.of(Ink.INK, 1.4),
                    0));
        }
        return marks;
    }

    /** Names end where the bars begin. */
    private static String cut(String name, TextMeasure measure) {
        String shown = name;
        while (shown.length() > 4 && measure.width(shown, TEXT, true) > NAMES - 20) {
            shown = shown.substring(0, shown.length() - 2).stripTrailing() + "\u2026";
        }
        return shown;
    }
}
