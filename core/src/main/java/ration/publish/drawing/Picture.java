package ration.publish.drawing;

import java.util.List;

/**
 * A finished drawing, bottom layer first.
 *
 * @param width pixels
 * @param height pixels
 * @param pieces in drawing order
 */
public record Picture(double width, double height, List<Piece> pieces) {

    public Picture {
        pieces = List.copyOf(pieces);
    }

    /**
     * Marks that belong together.
     *
     * @param item id of the item they show, of a port as a file writes it, or empty
     * @param kind what part of the drawing it is
     * @param words what it says to somebody who cannot see it; empty if nothing
     * @param marks in drawing order
     */
    public record Piece(String item, Kind kind, String words, List<Mark> marks) {
        public Piece {
            marks = List.copyOf(marks);
        }
    }

    /** Layers, bottom up. */
    public enum Kind {
        GROUND,
        RUN,
        TANK,
        VENT,
        DRAIN,
        HEAD_LINE,
        SYMBOL,
        PORT,
        PILL,
        TEXT,
        RULER
    }

    /** All texts, for search and tests. */
    public List<String> texts() {
        return pieces.stream()
                .flatMap(p -> p.marks().stream())
                .filter(Mark.Label.class::isInstance)
                .map(m -> ((Mark.Label) m).text())
                .toList();
    }
}
