package ration.publish.drawing;

import java.util.List;

/** A simple mark; pixels, y down. */
public sealed interface Mark {

    /** A point on the picture. */
    record Spot(double x, double y) {}

    /** How a line is drawn. */
    record Pen(Ink ink, double width, List<Double> dashes) {
        public Pen {
            dashes = List.copyOf(dashes);
        }

        static Pen of(Ink ink, double width, Double... dashes) {
            return new Pen(ink, width, List.of(dashes));
        }
    }

    /** Straight lines from spot to spot, corners rounded by a radius; filled if closed. */
    record Path(List<Spot> spots, boolean closed, Ink fill, Pen pen, double corner) implements Mark {
        public Path {
            spots = List.copyOf(spots);
        }
    }

    /** A circle. */
    record Disc(Spot centre, double radius, Ink fill, Pen pen) implements Mark {}

    /** A rectangle. */
    record Box(double x, double y, double width, double height, double corner, Ink fill, Pen pen) implements Mark {}

    /** One line of text, standing on y. */
    record Label(double x, double y, String text, double size, boolean bold, Ink ink, Anchor anchor) implements Mark {}

    /** A notch bar: result over need, 0 to 1.5, the need at two thirds. */
    record Notch(double x, double y, double width, double height, double ratio, ration.verdict.check.Verdict verdict)
            implements Mark {}

    /** Which part of a text stands at x. */
    enum Anchor {
        START,
        MIDDLE,
        END
    }
}
