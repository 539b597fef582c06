package ration.publish.drawing;

import java.util.ArrayList;
import java.util.List;
import ration.physics.breathing.LowPoints;
import ration.publish.drawing.Mark.Anchor;
import ration.publish.drawing.Mark.Box;
import ration.publish.drawing.Mark.Disc;
import ration.publish.drawing.Mark.Label;
import ration.publish.drawing.Mark.Path;
import ration.publish.drawing.Mark.Pen;
import ration.publish.drawing.Mark.Spot;
import ration.publish.drawing.Picture.Kind;
import ration.publish.drawing.Picture.Piece;

/** What the marks of the air side mean, under it: in a row, or in two where the picture is narrow. */
final class AirKey {

    private static final double ONE_ROW = 30;
    private static final double TWO_ROWS = 52;
    private static final double NARROW = 740;

    private AirKey() {}

    /** Its height under a picture so wide, px. */
    static double height(double width) {
        return width < NARROW ? TWO_ROWS : ONE_ROW;
    }

    /** A ring with a triangle: up for a high point, down for a low one or a trap. */
    static void mark(LowPoints.Kind kind, Spot s, List<Mark> marks) {
        if (kind == LowPoints.Kind.HIGH) {
            marks.add(new Disc(s, 8, Ink.PANEL, Pen.of(Ink.PLUM, 2)));
            marks.add(new Path(
                    List.of(new Spot(s.x() - 4, s.y() + 3), new Spot(s.x() + 4, s.y() + 3), new Spot(s.x(), s.y() - 4)),
                    true,
                    Ink.PLUM,
                    SchematicPart.NO_PEN,
                    0));
        } else {
            marks.add(new Disc(s, 8, Ink.PANEL, Pen.of(Ink.RUST, 2.2)));
            marks.add(new Path(
                    List.of(new Spot(s.x() - 4, s.y() - 3), new Spot(s.x() + 4, s.y() - 3), new Spot(s.x(), s.y() + 4)),
                    true,
                    Ink.RUST,
                    SchematicPart.NO_PEN,
                    0));
        }
    }

    static Piece of(double width, double height, TextMeasure measure) {
        double foot = height(width);
        List<Mark> marks = new ArrayList<>(List.of(
                new Box(0, height - foot, width, foot, 0, Ink.PANEL, SchematicPart.NO_PEN),
                SchematicPart.line(0, height - foot, width, height - foot, Pen.of(Ink.HAIRLINE, 1))));
        double y = height - foot + 15;
        double x = SchematicPart.RULER + 6;
        List<Spot> bar = new ArrayList<>(List.of(new Spot(x, y), new Spot(x + 34, y)));
        marks.add(new Path(bar, false, Ink.NONE, Pen.of(Ink.AIR, 6), 0));
        marks.add(new Path(
                List.of(new Spot(x + 12, y - 5), new Spot(x + 12, y + 5), new Spot(x + 23, y)),
                true,
                Ink.AIR,
                Pen.of(Ink.PANEL, 1.4),
                0));
        x = word(measure, marks, x + 40, y, "moving air");
        marks.add(SchematicPart.line(x, y, x + 30, y, Pen.of(Ink.AIR, 6)));
        marks.add(SchematicPart.line(x, y, x + 30, y, Pen.of(Ink.PANEL, 3)));
        x = word(measure, marks, x + 36, y, "still air");
        marks.add(SchematicPart.line(x, y, x + 30, y, Pen.of(Ink.FUEL_PALE, 6)));
        marks.add(SchematicPart.line(x, y, x + 30, y, Pen.of(Ink.FUEL_STANDING, 3.6)));
        x = word(measure, marks, x + 36, y, "fuel side");
        if (width < NARROW) {
            x = SchematicPart.RULER + 6;
            y += 22;
        }
        marks.add(new Disc(new Spot(x + 8, y), 8, Ink.TEAL, SchematicPart.NO_PEN));
        marks.add(new Label(x + 8, y + 4, "1", 11, true, Ink.PANEL, Anchor.MIDDLE));
        x = word(measure, marks, x + 22, y, "drain, walk-around order");
        mark(LowPoints.Kind.UNDRAINED, new Spot(x + 8, y), marks);
        x = word(measure, marks, x + 22, y, "low point or trap");
        mark(LowPoints.Kind.HIGH, new Spot(x + 8, y), marks);
        word(measure, marks, x + 22, y, "high point");
        return new Piece("", Kind.TEXT, "", marks);
    }

    private static double word(TextMeasure measure, List<Mark> marks, double x, double y, String text) {
        marks.add(new Label(x, y + 4, text, 11, false, Ink.SOFT, Anchor.START));
        return x + measure.width(text, 11, false) + 14;
    }
}
