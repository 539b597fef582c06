package ration.publish.drawing;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import ration.aircraft.model.Fitted;
import ration.aircraft.model.Item;
import ration.aircraft.model.PortRef;
import ration.aircraft.model.Tee;
import ration.base.quantity.Dimension;
import ration.physics.flow.PathStep;
import ration.publish.drawing.Mark.Anchor;
import ration.publish.drawing.Mark.Disc;
import ration.publish.drawing.Mark.Path;
import ration.publish.drawing.Mark.Pen;
import ration.publish.drawing.Mark.Spot;
import ration.publish.drawing.Picture.Kind;

/** The head left along the path, and its figures after items. */
final class HeadLine extends SchematicPart {

    HeadLine(SchematicPart sheet) {
        super(sheet);
    }

    void headLine() {
        List<Spot> spots = headSpots();
        if (spots.size() < 2) {
            return;
        }
        List<Mark> marks = new ArrayList<>();
        for (List<Spot> part : inside(spots)) {
            part(marks, part);
        }
        piece("", Kind.HEAD_LINE, "Head left along the path", marks);
    }

    /** The stretches that stand on the picture: what pumps add may lie far over it. */
    private List<List<Spot>> inside(List<Spot> spots) {
        List<List<Spot>> parts = new ArrayList<>();
        List<Spot> part = new ArrayList<>();
        for (Spot s : spots) {
            if (onPicture(s.y())) {
                part.add(s);
            } else if (!part.isEmpty()) {
                parts.add(part);
                part = new ArrayList<>();
            }
        }
        parts.add(part);
        parts.removeIf(p -> p.size() < 2);
        return parts;
    }

    private boolean onPicture(double y) {
        return y > 6 && y < view.height() - 6;
    }

    private static void part(List<Mark> marks, List<Spot> spots) {
        for (int i = 1; i < spots.size(); i++) {
            if (Math.abs(spots.get(i).x() - spots.get(i - 1).x()) > 2) {
                marks.add(new Path(List.of(spots.get(i - 1), spots.get(i)), false, Ink.NONE, Pen.of(Ink.GROUND, 5), 0));
            }
        }
        marks.add(new Path(spots, false, Ink.NONE, Pen.of(Ink.INK, 1.6, 6.0, 4.0), 0));
        for (int i = 1; i < spots.size(); i++) {
            marks.add(new Disc(spots.get(i), 2.6, Ink.GROUND, Pen.of(Ink.INK, 1.4)));
        }
    }

    /** Heights of the head line after items, the steps a builder can change. */
    void headFigures() {
        if (!view.layers().headLine() || flow.isEmpty() || place.busy()) {
            return;
        }
        for (PathStep step : flow.get().path()) {
            Optional<Fitted> fitted = system.item(step.item())
                    .flatMap(i -> i.only(Fitted.class))
                    .filter(f -> f.only(Tee.class).isEmpty());
            if (fitted.filter(f -> f.ports().contains(Item.OUT)).isPresent()) {
                place.port(new PortRef(step.item(), Item.OUT)).ifPresent(port -> {
                    double y = headY(step.headOut());
                    if (!onPicture(y)) {
                        return;
                    }
                    put(
                            "",
                            new TextBlock()
                                    .line(TextBlock.body(
                                            units.text(step.headOut() - place.referenceHeight(), Dimension.LENGTH))),
                            List.of(
                                    new Candidate(port.x() + 6, y - 20, Anchor.START),
                                    new Candidate(port.x() + 8, y - 26, Anchor.START),
                                    new Candidate(port.x() - 8, y + 4, Anchor.END),
                                    new Candidate(port.x() - 8, y + 14, Anchor.END),
                                    new Candidate(port.x() + 8, y + 12, Anchor.START)));
                });
            }
        }
        List<Spot> spots = headSpots();
        int longest = 1;
        for (int i = 1; i < spots.size(); i++) {
            if (spots.get(i).x() - spots.get(i - 1).x()
                    > spots.get(longest).x() - spots.get(longest - 1).x()) {
                longest = i;
            }
        }
        if (spots.size() > 2 && flow.get().pumped() == 0) {
            Spot a = spots.get(longest - 1);
            Spot b = spots.get(longest);
            double x = (a.x() + b.x()) / 2;
            double y = (a.y() + b.y()) / 2;
            put(
                    "",
                    new TextBlock().line(TextBlock.soft("head left")),
                    List.of(
                            new Candidate(x - 10, y + 12, Anchor.END), new Candidate(x - 34, y + 14, Anchor.END),
                            new Candidate(x + 12, y - 26, Anchor.START), new Candidate(x + 20, y - 34, Anchor.START)));
        }
    }
}
