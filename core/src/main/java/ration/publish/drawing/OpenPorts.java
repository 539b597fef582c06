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
        system.cappedPorts().forEach(p -> square(p, p.item(), ", capped", Ink.INK));
        system.openPorts().forEach(p -> square(p, p.toString(), ", open", Ink.PANEL));
    }

    /** @param item that is picked by a click on it */
    private void square(PortRef port, String item, String state, Ink fill) {
        place.port(port).ifPresent(s -> {
            ground.take(s.x() - HALF - 1, s.y() - HALF - 1, s.x() + HALF + 1, s.y() + HALF + 1);
            piece(
                    item,
                    Kind.PORT,
                    Joining.words(system, port) + state,
                    java.util.List.of(
                            new Box(s.x() - HALF, s.y() - HALF, 2 * HALF, 2 * HALF, 1, fill, Pen.of(Ink.INK, 1.4))));
        });
    }
}
