package ration.publish.drawing;

import java.util.ArrayList;
import java.util.List;
import ration.publish.drawing.Mark.Box;
import ration.publish.drawing.Mark.Notch;
import ration.publish.drawing.Mark.Path;
import ration.publish.drawing.Mark.Pen;
import ration.publish.drawing.Mark.Spot;
import ration.verdict.check.Verdict;

/** A notch bar in plain marks, for paper; the window draws its own control the same way. */
public final class NotchMarks {

    /** Of the height, that a bar which holds by little is filled: told from one that holds without its color. */
    public static final double THIN = 0.5;

    private NotchMarks() {}

    /** Frame, fill by verdict, notch and triangle. */
    public static List<Mark> of(Notch n) {
        List<Mark> marks = new ArrayList<>();
        double notch = n.x() + Math.round(n.width() * 2 / 3);
        double end = n.x() + Math.max(0, Math.min(1.5, n.ratio())) / 1.5 * n.width();
        boolean none = n.verdict() == Verdict.NOT_SHOWN;
        marks.add(new Box(
                n.x(),
                n.y(),
                n.width(),
                n.height(),
                0,
                Ink.PANEL,
                none ? Pen.of(Ink.SOFT, 1, 1.5, 2.0) : Pen.of(Ink.EDGE, 1)));
        if (n.verdict() == Verdict.FAILS) {
            double stop = Math.max(n.x() + 0.2 * n.width(), Math.min(end, notch - 3));
            for (double x = n.x(); x + n.height() <= stop; x += 4) {
                marks.add(new Path(
                        List.of(new Spot(x, n.y() + n.height()), new Spot(x + n.height(), n.y())),
                        false,
                        Ink.NONE,
                        Pen.of(Ink.RUST, 1.4),
                        0));
            }
            marks.add(new Box(n.x(), n.y(), stop - n.x(), n.height(), 0, Ink.NONE, Pen.of(Ink.RUST, 1)));
        } else if (!none) {
            double empty = n.verdict() == Verdict.THIN ? n.height() * (1 - THIN) : 0;
            marks.add(new Box(
                    n.x(),
                    n.y() + empty,
                    Math.max(0, end - n.x()),
                    n.height() - empty,
                    0,
                    n.verdict() == Verdict.THIN ? Ink.THIN : Ink.HOLDS,
                    Pen.of(Ink.NONE, 0)));
            if (n.verdict() == Verdict.THIN) {
                marks.add(new Box(end - 1, n.y() + 1, 2, n.height() + 2, 0, Ink.INK, Pen.of(Ink.NONE, 0)));
            }
        }
        if (!none) {
            marks.add(new Path(
                    List.of(new Spot(notch, n.y() + 1), new Spot(notch, n.y() + n.height() - 1)),
                    false,
                    Ink.NONE,
                    Pen.of(n.verdict() == Verdict.HOLDS ? Ink.PANEL : Ink.INK, 1.4),
                    0));
        }
        double half = n.height() < 8 ? 2.5 : 3.5;
        marks.add(new Path(
                List.of(
                        new Spot(notch - half, n.y() - half - 1),
                        new Spot(notch + half, n.y() - half - 1),
                        new Spot(notch, n.y())),
                true,
                none ? Ink.SOFT : Ink.INK,
                Pen.of(Ink.NONE, 0),
                0));
        return marks;
    }
}
