package ration.publish.drawing;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.stream.DoubleStream;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;
import ration.publish.drawing.Mark.Anchor;
import ration.publish.drawing.Mark.Disc;
import ration.publish.drawing.Mark.Label;
import ration.publish.drawing.Mark.Path;
import ration.publish.drawing.Mark.Pen;
import ration.publish.drawing.Mark.Spot;
import ration.publish.drawing.Picture.Kind;
import ration.publish.drawing.Picture.Piece;
import ration.verdict.check.Measure;

/**
 * What a test read, run by run, what was predicted and what is needed, on one axis; the side that fails is shaded. For
 * paper.
 */
public final class ReadAxis {

    public static final double WIDTH = 500;
    public static final double HEIGHT = 58;

    private static final double EDGE = 24;
    private static final double AXIS = 34;
    private static final double HIGH = 18;
    private static final double SIZE = 7.5;
    private static final double DOT = 3.2;
    /** Room beyond the outermost figure, of what lies between them. */
    private static final double BEYOND = 0.12;
    /** Where all are one figure, this share of it to both sides. */
    private static final double ALONE = 0.05;

    private ReadAxis() {}

    /**
     * The picture.
     *
     * @param runs figures read, SI, one or more
     * @param against the figure that counts, and what is needed
     * @param predicted SI; empty where nothing is
     * @param counts whether the test still does: of one that does not the runs are hollow
     */
    public static Picture draw(
            List<Double> runs, Measure against, OptionalDouble predicted, UnitSystem units, boolean counts) {
        Unit unit = units.unit(against.dimension());
        double low = all(runs, against, predicted).min().orElseThrow();
        double high = all(runs, against, predicted).max().orElseThrow();
        double more = high > low ? BEYOND * (high - low) : Math.max(1e-9, ALONE * Math.abs(high));
        Scale x = new Scale(unit.fromSi(low - more), unit.fromSi(high + more), EDGE, WIDTH - EDGE);
        List<Mark> marks = new ArrayList<>();
        double needed = x.at(unit.fromSi(against.limit()));
        boolean least = against.sense() == Measure.Sense.AT_LEAST;
        marks.add(new Mark.Box(
                least ? EDGE : needed,
                HIGH,
                least ? needed - EDGE : WIDTH - EDGE - needed,
                AXIS - HIGH,
                0,
                Ink.GRID,
                Pen.of(Ink.GRID, 0.4)));
        marks.add(line(EDGE, AXIS, WIDTH - EDGE, AXIS, Pen.of(Ink.INK, 0.8)));
        List<Double> ticks = x.ticks(60);
        for (double t : ticks) {
            marks.add(line(x.at(t), AXIS, x.at(t), AXIS + 3, Pen.of(Ink.INK, 0.8)));
            marks.add(label(x.at(t), AXIS + 18, UnitSystem.figure(t, Scale.decimals(ticks)), false, Anchor.MIDDLE));
        }
        marks.add(label(WIDTH - EDGE + 3, AXIS + 3, unit.symbol(), false, Anchor.START));
        marks.add(line(needed, HIGH - 3, needed, AXIS, Pen.of(Ink.INK, 1.6)));
        marks.add(label(
                needed + (least ? -4 : 4),
                HIGH + 10,
                least ? "fails below" : "fails above",
                false,
                least ? Anchor.END : Anchor.START));
        predicted.ifPresent(p -> {
            double at = x.at(unit.fromSi(p));
            marks.add(new Path(
                    List.of(new Spot(at, AXIS), new Spot(at - 4, AXIS + 7), new Spot(at + 4, AXIS + 7)),
                    true,
                    Ink.PANEL,
                    Pen.of(Ink.INK, 1),
                    0));
            boolean left = at > WIDTH / 2;
            marks.add(label(left ? at - 6 : at + 6, AXIS + 8, "predicted", false, left ? Anchor.END : Anchor.START));
        });
        runs.forEach(r -> marks.add(new Disc(
                new Spot(x.at(unit.fromSi(r)), AXIS - 6), DOT, counts ? Ink.INK : Ink.PANEL, Pen.of(Ink.INK, 1))));
        double counted = x.at(unit.fromSi(against.value()));
        marks.add(label(counted, HIGH - 5, counts ? "counts" : "counted", true, Anchor.MIDDLE));
        marks.add(line(counted, HIGH - 3, counted, AXIS - 6 - DOT, Pen.of(Ink.INK, 0.6)));
        return new Picture(
                WIDTH, HEIGHT, List.of(new Piece("", Kind.TEXT, "Read, predicted and needed on one axis", marks)));
    }

    private static DoubleStream all(List<Double> runs, Measure against, OptionalDouble predicted) {
        return DoubleStream.concat(
                runs.stream().mapToDouble(r -> r),
                DoubleStream.concat(DoubleStream.of(against.limit(), against.value()), predicted.stream()));
    }

    private static Path line(double x, double y, double toX, double toY, Pen pen) {
        return new Path(List.of(new Spot(x, y), new Spot(toX, toY)), false, Ink.NONE, pen, 0);
    }

    private static Label label(double x, double y, String text, boolean bold, Anchor anchor) {
        return new Label(x, y, text, SIZE, bold, bold ? Ink.INK : Ink.SOFT, anchor);
    }
}
