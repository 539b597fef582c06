package ration.publish.drawing;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import ration.publish.drawing.Mark.Anchor;
import ration.publish.drawing.Mark.Box;
import ration.publish.drawing.Mark.Disc;
import ration.publish.drawing.Mark.Label;
import ration.publish.drawing.Mark.Path;
import ration.publish.drawing.Mark.Pen;
import ration.publish.drawing.Mark.Spot;
import ration.publish.drawing.Picture.Kind;
import ration.publish.drawing.Picture.Piece;

/** The layout without its words, small, and on it the numbers of the readings, where each was taken. */
public final class ReadPlaces {

    /** The schematic is laid out at full size and shown at this share of it. */
    private static final double SHARE = 0.56;

    private static final double RADIUS = 8;

    /**
     * A number on the drawing.
     *
     * @param item id
     * @param number of the reading
     * @param off whether it is off by more than its error from what a sound aircraft reads
     * @param words for who cannot see it
     */
    public record Number(String item, int number, boolean off, String words) {}

    private ReadPlaces() {}

    /** The layout alone, to lay numbers on; finding where its lines go takes a while. */
    public static Picture layout(SchematicSubject subject, double width, double height, TextMeasure measure) {
        Picture whole = Schematic.draw(
                subject,
                new SchematicView(
                        width / SHARE, height / SHARE, 1, 0, 0, new SchematicView.Layers(false, true, false, false)),
                measure);
        return new Picture(
                width,
                height,
                whole.pieces().stream()
                        .filter(p -> body(p) || p.kind() == Kind.RUN || p.kind() == Kind.VENT)
                        .map(p -> new Piece(
                                p.item(),
                                p.kind(),
                                p.words(),
                                p.marks().stream()
                                        .filter(m -> !(m instanceof Label) && !(m instanceof Mark.Notch))
                                        .map(ReadPlaces::small)
                                        .toList()))
                        .toList());
    }

    private static boolean body(Piece p) {
        return p.kind() == Kind.TANK || p.kind() == Kind.SYMBOL;
    }

    /**
     * @param layout as {@link #layout} made it
     * @param open places where something can be read and was not, by item id, with a letter of what
     * @param next where to read next
     */
    public static Picture draw(Picture layout, List<Number> numbers, Map<String, String> open, Optional<String> next) {
        double width = layout.width();
        double height = layout.height();
        List<Piece> pieces = new ArrayList<>(layout.pieces());
        Map<String, Spot> corners = new HashMap<>();
        for (Piece p : layout.pieces()) {
            if (!p.item().isEmpty() && (body(p) || !corners.containsKey(p.item()))) {
                corner(p.marks(), body(p)).ifPresent(c -> corners.put(p.item(), c));
            }
        }
        Map<String, Integer> beside = new HashMap<>();
        List<Mark> marks = new ArrayList<>();
        for (Number n : numbers) {
            Spot at = beside(corners.get(n.item()), beside.merge(n.item(), 1, Integer::sum) - 1, width, height);
            if (at != null) {
                marks.add(new Disc(at, RADIUS, n.off() ? Ink.RUST : Ink.INK, Pen.of(Ink.PANEL, 1.5)));
                marks.add(
                        new Label(at.x(), at.y() + 4, String.valueOf(n.number()), 11, true, Ink.PANEL, Anchor.MIDDLE));
                pieces.add(new Piece(n.item(), Kind.PILL, n.words(), List.of()));
            }
        }
        open.forEach((item, letter) -> {
            Spot at = beside.containsKey(item) ? null : beside(corners.get(item), 0, width, height);
            if (at != null) {
                marks.add(new Disc(at, RADIUS, Ink.PANEL, Pen.of(Ink.SOFT, 1, 2.0, 2.0)));
                marks.add(new Label(at.x(), at.y() + 3.5, letter, 10, false, Ink.SOFT, Anchor.MIDDLE));
            }
        });
        next.map(corners::get)
                .map(c -> beside(c, 0, width, height))
                .ifPresent(at -> marks.add(new Disc(at, RADIUS + 3, Ink.NONE, Pen.of(Ink.OLIVE, 2.5))));
        pieces.add(new Piece("", Kind.PILL, "", marks));
        return new Picture(width, height, pieces);
    }

    private static Spot beside(Spot corner, int n, double width, double height) {
        return corner == null
                ? null
                : new Spot(
                        Math.max(RADIUS + 4, Math.min(width - RADIUS - 4, corner.x() + n * (2 * RADIUS + 1))),
                        Math.max(RADIUS + 4, Math.min(height - RADIUS - 4, corner.y())));
    }

    /** The upper right of a body; the middle of a line. */
    private static Optional<Spot> corner(List<Mark> marks, boolean body) {
        List<Spot> all = new ArrayList<>();
        for (Mark m : marks) {
            if (m instanceof Path p) {
                all.addAll(p.spots());
            } else if (m instanceof Disc d) {
                all.add(new Spot(d.centre().x() + d.radius(), d.centre().y() - d.radius()));
            } else if (m instanceof Box b) {
                all.add(new Spot(b.x() + b.width(), b.y()));
            }
        }
        if (all.isEmpty()) {
            return Optional.empty();
        }
        return Optional.of(
                body
                        ? new Spot(
                                all.stream().mapToDouble(Spot::x).max().getAsDouble(),
                                all.stream().mapToDouble(Spot::y).min().getAsDouble())
                        : all.get(all.size() / 2));
    }

    private static Spot small(Spot s) {
        return new Spot(SHARE * s.x(), SHARE * s.y());
    }

    private static Pen small(Pen p) {
        return new Pen(
                p.ink(),
                Math.max(Math.min(1, p.width()), 0.75 * p.width()),
                p.dashes().stream().map(d -> SHARE * d).toList());
    }

    private static Mark small(Mark m) {
        if (m instanceof Path p) {
            return new Path(
                    p.spots().stream().map(ReadPlaces::small).toList(),
                    p.closed(),
                    p.fill(),
                    small(p.pen()),
                    SHARE * p.corner());
        }
        if (m instanceof Disc d) {
            return new Disc(small(d.centre()), SHARE * d.radius(), d.fill(), small(d.pen()));
        }
        Box b = (Box) m;
        return new Box(
                SHARE * b.x(),
                SHARE * b.y(),
                SHARE * b.width(),
                SHARE * b.height(),
                SHARE * b.corner(),
                b.fill(),
                small(b.pen()));
    }
}
