package ration.publish.drawing;

import java.util.ArrayList;
import java.util.List;
import ration.answer.drawdown.Lasting;
import ration.base.quantity.Dimension;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;
import ration.publish.drawing.Mark.Anchor;
import ration.publish.drawing.Mark.Box;
import ration.publish.drawing.Mark.Disc;
import ration.publish.drawing.Mark.Label;
import ration.publish.drawing.Mark.Path;
import ration.publish.drawing.Mark.Pen;
import ration.publish.drawing.Mark.Spot;
import ration.publish.drawing.Picture.Kind;
import ration.publish.drawing.Picture.Piece;

/** The minutes after something failed: pressure at the inlet over the least it takes, until there is none. */
public final class LastingPicture {

    private static final double LEFT = 40;
    private static final double TOP = 18;
    private static final double FOOT = 22;

    private LastingPicture() {}

    public static Picture draw(Lasting lasting, UnitSystem units, double width, double height) {
        Unit unit = units.unit(Dimension.PRESSURE);
        List<Lasting.Point> points =
                lasting.course().stream().filter(p -> !Double.isNaN(p.spare())).toList();
        if (points.size() < 2) {
            return new Picture(width, height, List.of());
        }
        double end = points.get(points.size() - 1).minutes();
        double last = Double.isFinite(lasting.minutes()) ? Math.max(lasting.minutes(), end) : end;
        double most =
                points.stream().mapToDouble(p -> unit.fromSi(p.spare())).max().orElse(1);
        Scale x = new Scale(0, last * 1.15, LEFT, width - 8);
        Scale y = new Scale(0, Math.max(most * 1.1, 1e-6), height - FOOT, TOP);
        List<Mark> marks = new ArrayList<>();
        marks.add(
                new Label(0, 11, "Inlet pressure over its least, " + unit.symbol(), 11, false, Ink.SOFT, Anchor.START));
        List<Double> ticks = y.ticks(24);
        for (double t : ticks) {
            marks.add(SchematicPart.line(LEFT, y.at(t), x.toPx(), y.at(t), Pen.of(Ink.GRID, 1)));
            marks.add(new Label(
                    LEFT - 5,
                    y.at(t) + 4,
                    UnitSystem.figure(t, Scale.decimals(ticks)),
                    11,
                    false,
                    Ink.INK,
                    Anchor.END));
        }
        List<Double> minutes = x.ticks(46);
        for (double t : minutes) {
            marks.add(new Label(
                    x.at(t),
                    height - 6,
                    UnitSystem.figure(t, Scale.decimals(minutes)),
                    11,
                    false,
                    Ink.INK,
                    Anchor.MIDDLE));
        }
        marks.add(new Label(x.toPx(), height - 6, "min", 11, false, Ink.SOFT, Anchor.END));
        List<Spot> line = new ArrayList<>(points.stream()
                .map(p -> new Spot(x.at(p.minutes()), y.at(Math.max(0, unit.fromSi(p.spare())))))
                .toList());
        if (last > end) {
            line.add(new Spot(x.at(last), line.get(line.size() - 1).y()));
        }
        marks.add(new Path(line, false, Ink.NONE, Pen.of(Ink.FUEL, 2.2), 0));
        if (Double.isFinite(lasting.minutes())) {
            double at = x.at(lasting.minutes());
            marks.add(new Box(at, TOP, x.toPx() - at, y.fromPx() - TOP, 0, Ink.RUST_FAINT, Pen.of(Ink.NONE, 0)));
            marks.add(SchematicPart.line(at, TOP, at, y.fromPx(), Pen.of(Ink.RUST, 1.6)));
            marks.add(new Disc(new Spot(at, y.fromPx()), 3.5, Ink.RUST, Pen.of(Ink.NONE, 0)));
            marks.add(new Label(
                    at - 6,
                    y.fromPx() - 6,
                    "flow fails at " + UnitSystem.figure(lasting.minutes(), 1),
                    11,
                    true,
                    Ink.RUST_TEXT,
                    Anchor.END));
        }
        String words = Double.isFinite(lasting.minutes())
                ? "Inlet pressure falls until flow fails after " + UnitSystem.figure(lasting.minutes(), 1) + " minutes"
                : "Flow does not fail in the " + UnitSystem.figure(last, 0) + " minutes checked";
        return new Picture(width, height, List.of(new Piece("", Kind.RUN, words, marks)));
    }
}
