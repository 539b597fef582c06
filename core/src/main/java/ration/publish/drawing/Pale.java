package ration.publish.drawing;

import java.util.List;
import ration.publish.drawing.Mark.Box;
import ration.publish.drawing.Mark.Disc;
import ration.publish.drawing.Mark.Label;
import ration.publish.drawing.Mark.Notch;
import ration.publish.drawing.Mark.Path;
import ration.publish.drawing.Mark.Pen;

/** Marks in paler inks, for what stands behind the matter of a drawing. */
final class Pale {

    private Pale() {}

    static List<Mark> of(List<Mark> marks) {
        return marks.stream().map(Pale::of).toList();
    }

    private static Mark of(Mark mark) {
        if (mark instanceof Path p) {
            return new Path(p.spots(), p.closed(), of(p.fill()), of(p.pen()), p.corner());
        } else if (mark instanceof Disc d) {
            return new Disc(d.centre(), d.radius(), of(d.fill()), of(d.pen()));
        } else if (mark instanceof Box b) {
            return new Box(b.x(), b.y(), b.width(), b.height(), b.corner(), of(b.fill()), of(b.pen()));
        } else if (mark instanceof Label l) {
            return new Label(
                    l.x(), l.y(), l.text(), l.size(), l.bold(), l.ink() == Ink.INK ? Ink.SOFT : l.ink(), l.anchor());
        }
        Notch notch = (Notch) mark;
        return notch;
    }

    private static Pen of(Pen pen) {
        return new Pen(of(pen.ink()), pen.width(), pen.dashes());
    }

    private static Ink of(Ink ink) {
        return switch (ink) {
            case INK, SOFT -> Ink.AIR;
            case FUEL, FUEL_MID -> Ink.FUEL_PALE;
            case FUEL_TINT -> Ink.FUEL_STANDING;
            case TEAL -> Ink.NONE;
            default -> ink;
        };
    }
}
