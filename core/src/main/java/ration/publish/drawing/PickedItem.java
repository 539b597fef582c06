package ration.publish.drawing;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import ration.aircraft.model.Fitted;
import ration.aircraft.model.Item;
import ration.aircraft.model.PortRef;
import ration.aircraft.model.Run;
import ration.aircraft.model.Strainer;
import ration.aircraft.model.Tank;
import ration.base.quantity.Dimension;
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

/** The ring, guide, height tag and pressure dimension of the picked item. */
final class PickedItem extends SchematicPart {

    private static final Pen RING = Pen.of(Ink.OLIVE, 2.5);

    PickedItem(SchematicPart sheet) {
        super(sheet);
    }

    void pickedGuide() {
        picked().filter(i -> i.only(Run.class).isEmpty()).ifPresent(i -> {
            Spot c = place.centre(i);
            piece("", Kind.GROUND, line(RULER, c.y(), c.x(), c.y(), Pen.of(Ink.OLIVE, 1.2, 1.0, 4.0)));
        });
    }

    void pickedMarks() {
        picked().ifPresent(item -> item.only(Run.class).ifPresentOrElse(this::ring, () -> standing(item)));
    }

    /** Round the longest straight of a run and at its ends. */
    private void ring(Run run) {
        List<Spot> way = place.way(run);
        if (way.size() > 1) {
            double w = width(run) / 2 + 6;
            List<Mark> marks = new ArrayList<>();
            for (Spot s : List.of(way.get(0), way.get(way.size() - 1))) {
                marks.add(new Disc(s, 5, Ink.PANEL, RING));
            }
            int longest = 1;
            for (int i = 1; i < way.size(); i++) {
                longest = span(way, i) > span(way, longest) ? i : longest;
            }
            Spot a = way.get(longest - 1);
            Spot b = way.get(longest);
            marks.add(new Box(
                    Math.min(a.x(), b.x()) - w,
                    Math.min(a.y(), b.y()) - w,
                    Math.abs(a.x() - b.x()) + 2 * w,
                    Math.abs(a.y() - b.y()) + 2 * w,
                    4,
                    Ink.NONE,
                    RING));
            piece(run.id(), Kind.SYMBOL, "", marks);
        }
    }

    /** Round what stands, with its height at the ruler. */
    private void standing(Item item) {
        Spot c = place.centre(item);
        List<Mark> marks = new ArrayList<>();
        item.only(Tank.class)
                .map(place::box)
                .ifPresent(b ->
                        marks.add(new Box(b[0] - 8, b[2] - 8, b[1] - b[0] + 16, b[3] - b[2] + 16, 4, Ink.NONE, RING)));
        item.only(Fitted.class).ifPresent(fitted -> {
            double[] body = place.body(fitted);
            double foot = body[3] + (item.only(Strainer.class).isPresent() ? 4 : 8);
            marks.add(new Box(body[0] - 9, body[1] - 9, body[2] - body[0] + 18, foot - body[1] + 9, 4, Ink.NONE, RING));
            headDimension(item, c, marks);
        });
        String tag = UnitSystem.figure(
                units.unit(Dimension.LENGTH).fromSi(place.heightAt(c.y())), units == UnitSystem.US ? 1 : 0);
        piece(item.id(), Kind.SYMBOL, "", marks);
        double y = c.y();
        pieces.add(new Piece(
                "",
                Kind.RULER,
                "",
                List.of(
                        new Path(
                                List.of(
                                        new Spot(2, y - 9),
                                        new Spot(RULER - 7, y - 9),
                                        new Spot(RULER - 1, y),
                                        new Spot(RULER - 7, y + 9),
                                        new Spot(2, y + 9)),
                                true,
                                Ink.OLIVE_UNDER_TEXT,
                                NO_PEN,
                                0),
                        new Label(RULER - 10, y + 4, tag, 11, true, Ink.PANEL, Anchor.END))));
    }

    /** The gap from the item up to the head line is its pressure. */
    private void headDimension(Item item, Spot c, List<Mark> marks) {
        if (!item.ports().contains(Item.OUT) || flow.isEmpty() || !view.layers().headLine()) {
            return;
        }
        PortRef out = new PortRef(item.id(), Item.OUT);
        OptionalDouble head = flow.get().head(out);
        OptionalDouble pressure = flow.get().pressure(out);
        Optional<Spot> port = place.port(out);
        if (head.isEmpty() || pressure.isEmpty() || port.isEmpty()) {
            return;
        }
        double x = port.get().x() + 3;
        double top = headY(head.getAsDouble());
        double bottom = c.y() - 6;
        if (Math.abs(bottom - top) < 18 || top < 6 || top > view.height() - 6) {
            return;
        }
        double up = Math.signum(bottom - top);
        Pen pen = Pen.of(Ink.FUEL, 1.4);
        marks.add(line(x, top, x, bottom, pen));
        marks.add(new Path(
                List.of(new Spot(x, top + up), new Spot(x - 4, top + 8 * up), new Spot(x + 4, top + 8 * up)),
                true,
                Ink.FUEL,
                NO_PEN,
                0));
        marks.add(new Path(
                List.of(new Spot(x, bottom - up), new Spot(x - 4, bottom - 8 * up), new Spot(x + 4, bottom - 8 * up)),
                true,
                Ink.FUEL,
                NO_PEN,
                0));
        put(
                item.id(),
                new TextBlock()
                        .line(TextBlock.flow(units.text(pressure.getAsDouble(), Dimension.PRESSURE)))
                        .line(new TextBlock.Span(
                                units.text(pressure.getAsDouble() / flow.get().weight(), Dimension.LENGTH),
                                12,
                                false,
                                Ink.FUEL_TEXT)),
                List.of(
                        new Candidate(x - 8, (top + bottom) / 2 - 16, Anchor.END),
                        new Candidate(x + 8, (top + bottom) / 2 - 16, Anchor.START),
                        new Candidate(x - 8, (top + bottom) / 2 + 10, Anchor.END),
                        new Candidate(x + 8, (top + bottom) / 2 - 50, Anchor.START)));
    }
}
