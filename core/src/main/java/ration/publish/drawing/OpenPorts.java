package ration.publish.drawing;

import ration.aircraft.model.PortRef;
import ration.publish.drawing.Mark.Box;
import ration.publish.drawing.Mark.Pen;
import ration.publish.drawing.Picture.Kind;
import ration.record.project.Joining;

/**
 * A square at each port that no run reaches yet, where a line can be begun or ended; a filled one where it is capped.
 */
final class OpenPorts extends SchematicPart {

    /** Half the side of a square, px. */
    private static final double HALF = 4.5;

    OpenPorts(SchematicPart sheet) {
        super(sheet);
    }

    void ports() {
        for (PortRef port : system.cappedPorts()) {
            place.port(port).ifPresent(s -> {
                ground.take(s.x() - HALF - 1, s.y() - HALF - 1, s.x() + HALF + 1, s.y() + HALF + 1);
                piece(
                        port.item(),
                        Kind.PORT,
                        Joining.words(system, port) + ", capped",
                        java.util.List.of(new Box(
                                s.x() - HALF, s.y() - HALF, 2 * HALF, 2 * HALF, 1, Ink.INK, Pen.of(Ink.INK, 1.4))));
            });
        }
        for (PortRef port : system.openPorts()) {
            place.port(port).ifPresent(s -> {
                ground.take(s.x() - HALF - 1, s.y() - HALF - 1, s.x() + HALF + 1, s.y() + HALF + 1);
                piece(
                        port.toString(),
                        Kind.PORT,
                        Joining.words(system, port) + ", open",
                        java.util.List.of(new Box(
                                s.x() - HALF, s.y() - HALF, 2 * HALF, 2 * HALF, 1, Ink.PANEL, Pen.of(Ink.INK, 1.4))));
            });
        }
    }
}
