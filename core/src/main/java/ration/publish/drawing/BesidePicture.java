package ration.publish.drawing;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import ration.aircraft.condition.Attitude;
import ration.aircraft.condition.Condition;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Item;
import ration.aircraft.model.Run;
import ration.aircraft.model.Tank;
import ration.base.quantity.Dimension;
import ration.base.quantity.UnitSystem;
import ration.publish.drawing.Mark.Anchor;
import ration.publish.drawing.Mark.Box;
import ration.publish.drawing.Mark.Disc;
import ration.publish.drawing.Mark.Label;
import ration.publish.drawing.Mark.Notch;
import ration.publish.drawing.Mark.Path;
import ration.publish.drawing.Mark.Pen;
import ration.publish.drawing.Mark.Spot;
import ration.publish.drawing.Picture.Kind;
import ration.publish.drawing.Picture.Piece;

/**
 * Small drawings of several layouts of one aircraft, all on one ruler of heights over the engine inlet: each the
 * schematic itself, shrunk, with the names of its tanks and of what differs from the first. What differs lies on a band
 * of its own; what was taken out is named below.
 */
public final class BesidePicture {

    private static final double SHRINK = 0.5;
    /** Left of the drawing for the ruler, px. */
    private static final double RULER = 34;
    /** Under the drawing for what was taken out, px. */
    private static final double FOOT = 18;

    private static final double BAND = 9;
    private static final double SIZE = 11;
    private static final Pen NO_PEN = Pen.of(Ink.NONE, 0);
    private static final Set<Kind> KEPT = Set.of(Kind.RUN, Kind.TANK, Kind.VENT, Kind.DRAIN, Kind.SYMBOL, Kind.PORT);

    private final SchematicSubject subject;
    private final FuelSystem system;
    private final Set<String> changed;
    private final List<String> out;
    private final TextMeasure measure;
    private final double width;
    private final double height;
    private final List<Piece> pieces = new ArrayList<>();
    private final Occupancy ground = new Occupancy();

    private BesidePicture(
            SchematicSubject subject, FuelSystem first, TextMeasure measure, double width, double height) {
        this.subject = subject;
        this.system = subject.system();
        this.measure = measure;
        this.width = width;
        this.height = height;
        changed = new HashSet<>();
        for (Item i : system.items()) {
            if (first.item(i.id()).filter(i::equals).isEmpty()) {
                changed.add(i.id());
            }
        }
        out = first.items().stream()
                .filter(i -> system.item(i.id()).isEmpty())
                .map(Item::name)
                .toList();
    }

    /**
     * One picture a layout.
     *
     * @param systems the first is what the others are compared with
     * @param condition in which they are drawn: handles and pumps; they stand level
     */
    public static List<Picture> draw(
            List<FuelSystem> systems,
            Condition condition,
            UnitSystem units,
            double width,
            double height,
            TextMeasure measure) {
        Attitude level = Attitude.ofDegrees("Level", 0, 0);
        List<SchematicSubject> all = systems.stream()
                .map(s -> new SchematicSubject(s, List.of(level), condition.with(level), Optional.empty(), "", units))
                .toList();
        SchematicView view = new SchematicView(
                (width - RULER) / SHRINK + 2 * SchematicPart.RULER,
                (height - FOOT) / SHRINK,
                1,
                0,
                0,
                new SchematicView.Layers(false, true, true, false));
        SchematicView alike = view.with(Heights.common(all, view));
        return all.stream()
                .map(s -> new BesidePicture(s, all.get(0).system(), measure, width, height).drawn(alike))
                .toList();
    }

    private Picture drawn(SchematicView view) {
        SchematicPart sheet = new SchematicPart(subject, view, measure);
        Picture whole = Schematic.draw(subject, view, measure);
        ground(sheet.place);
        List<Piece> kept = whole.pieces().stream()
                .filter(p -> KEPT.contains(p.kind()))
                .map(BesidePicture::small)
                .toList();
        kept.stream().filter(p -> changed.contains(p.item())).forEach(this::band);
        pieces.addAll(kept);
        kept.forEach(this::take);
        names(kept);
        if (!out.isEmpty()) {
            String words = fitted("Taken out: " + String.join(", ", out), width - RULER);
            pieces.add(new Piece(
                    "",
                    Kind.TEXT,
                    "Taken out: " + String.join(", ", out),
                    List.of(new Label(RULER, height - 5, words, SIZE, false, Ink.SOFT, Anchor.START))));
        }
        return new Picture(width, height, pieces);
    }

    private String fitted(String words, double room) {
        String text = words;
        while (measure.width(text, SIZE, false) > room && text.length() > 1) {
            text = text.substring(0, text.length() - 2).strip() + "\u2026";
        }
        return text;
    }

    private static double x(double px) {
        return RULER + (px - SchematicPart.RULER) * SHRINK;
    }

    private void ground(Arrangement place) {
        double foot = height - FOOT;
        List<Mark> marks = new ArrayList<>();
        marks.add(new Box(RULER, 0, width - RULER, foot, 0, Ink.GROUND, NO_PEN));
        double wall = Math.max(RULER, Math.min(width, x(place.firewallX())));
        if (system.firewall().isPresent()) {
            marks.add(new Box(wall, 0, width - wall, foot, 0, Ink.BAY, NO_PEN));
        }
        Scale heights = new Scale(place.heightAt(foot / SHRINK), place.heightAt(0), foot, 0);
        var unit = subject.units().unit(Dimension.LENGTH);
        Scale shown = new Scale(unit.fromSi(heights.low()), unit.fromSi(heights.high()), foot, 0);
        List<Double> ticks = shown.ticks(26);
        for (double t : ticks) {
            double y = shown.at(t);
            marks.add(SchematicPart.line(RULER, y, width, y, Pen.of(t == 0 ? Ink.EDGE : Ink.GRID, 1)));
            if (y > 10 && y < foot - 4) {
                marks.add(new Label(
                        RULER - 6,
                        y + 4,
                        UnitSystem.figure(t, Scale.decimals(ticks)),
                        10,
                        t == 0,
                        Ink.SOFT,
                        Anchor.END));
            }
        }
        marks.add(SchematicPart.line(RULER, 0, RULER, foot, Pen.of(Ink.HAIRLINE, 1)));
        if (system.firewall().isPresent()) {
            marks.add(SchematicPart.line(wall, 6, wall, foot - 6, Pen.of(Ink.EDGE, 3)));
        }
        pieces.add(new Piece("", Kind.GROUND, "", marks));
    }

    private static Piece small(Piece p) {
        List<Mark> marks = new ArrayList<>();
        for (Mark m : p.marks()) {
            if (!(m instanceof Label) && !(m instanceof Notch)) {
                marks.add(small(m));
            }
        }
        return new Piece(p.item(), p.kind(), p.words(), marks);
    }

    private static Spot small(Spot s) {
        return new Spot(x(s.x()), s.y() * SHRINK);
    }

    private static Pen small(Pen p) {
        return new Pen(
                p.ink(),
                p.width() == 0 ? 0 : Math.max(0.8, p.width() * SHRINK),
                p.dashes().stream().map(d -> Math.max(1, d * SHRINK)).toList());
    }

    private static Mark small(Mark m) {
        if (m instanceof Path p) {
            return new Path(
                    p.spots().stream().map(BesidePicture::small).toList(),
                    p.closed(),
                    p.fill(),
                    small(p.pen()),
                    p.corner() * SHRINK);
        }
        if (m instanceof Disc d) {
            return new Disc(small(d.centre()), d.radius() * SHRINK, d.fill(), small(d.pen()));
        }
        if (m instanceof Box b) {
            return new Box(
                    x(b.x()),
                    b.y() * SHRINK,
                    b.width() * SHRINK,
                    b.height() * SHRINK,
                    b.corner() * SHRINK,
                    b.fill(),
                    small(b.pen()));
        }
        return m;
    }

    /** Under a run along it, round anything else. */
    private void band(Piece p) {
        List<Mark> marks = new ArrayList<>();
        if (p.kind() == Kind.RUN) {
            p.marks().stream()
                    .flatMap(m -> m instanceof Path x && !x.closed()
                            ? java.util.stream.Stream.of(x)
                            : java.util.stream.Stream.empty())
                    .forEach(x -> marks.add(new Path(x.spots(), false, Ink.NONE, Pen.of(Ink.BAND, BAND), x.corner())));
        } else if (p.kind() == Kind.TANK || p.kind() == Kind.SYMBOL) {
            double[] b = bounds(p);
            marks.add(new Box(b[0] - 5, b[1] - 5, b[2] - b[0] + 10, b[3] - b[1] + 10, 4, Ink.BAND, NO_PEN));
        }
        pieces.add(new Piece(p.item(), Kind.GROUND, "", marks));
    }

    /** Left, top, right, bottom. */
    private static double[] bounds(Piece p) {
        double[] b = {1e9, 1e9, -1e9, -1e9};
        for (Mark m : p.marks()) {
            if (m instanceof Path x) {
                x.spots().forEach(s -> reach(b, s.x(), s.y(), 0));
            } else if (m instanceof Disc d) {
                reach(b, d.centre().x(), d.centre().y(), d.radius());
            } else if (m instanceof Box x) {
                reach(b, x.x(), x.y(), 0);
                reach(b, x.x() + x.width(), x.y() + x.height(), 0);
            }
        }
        return b;
    }

    private static void reach(double[] b, double x, double y, double by) {
        b[0] = Math.min(b[0], x - by);
        b[1] = Math.min(b[1], y - by);
        b[2] = Math.max(b[2], x + by);
        b[3] = Math.max(b[3], y + by);
    }

    private void take(Piece p) {
        if (p.marks().isEmpty()) {
            return;
        }
        if (p.kind() == Kind.RUN || p.kind() == Kind.VENT) {
            for (Mark m : p.marks()) {
                if (m instanceof Path x) {
                    ground.takeWay(x.spots(), 2);
                }
            }
        } else {
            double[] b = bounds(p);
            ground.take(b[0], b[1], b[2], b[3]);
        }
    }

    /** Tanks first, then what differs, each where it lies on the least of the others. */
    private void names(List<Piece> kept) {
        Set<String> named = new HashSet<>();
        List<Piece> order = kept.stream()
                .filter(p -> !p.marks().isEmpty())
                .filter(p -> p.kind() == Kind.TANK || changed.contains(p.item()) && p.kind() != Kind.PORT)
                .sorted(Comparator.comparingInt(p -> p.kind() == Kind.TANK ? 0 : p.kind() == Kind.SYMBOL ? 1 : 2))
                .toList();
        for (Piece p : order) {
            system.item(p.item()).filter(i -> named.add(i.id())).ifPresent(i -> name(p, i));
        }
    }

    private void name(Piece p, Item item) {
        String words = item.only(Run.class)
                .map(r -> r.name() + " " + r.size().shortName())
                .orElse(item.name());
        boolean differs = changed.contains(item.id());
        double w = measure.width(words, SIZE, differs);
        double[] b = p.kind() == Kind.RUN ? middle(p) : bounds(p);
        double cx = (b[0] + b[2]) / 2;
        double cy = (b[1] + b[3]) / 2;
        double[][] places = {
            {cx - w / 2, b[1] - 7},
            {cx - w / 2, b[3] + SIZE + 5},
            {b[2] + 7, cy + 4},
            {b[0] - 7 - w, cy + 4},
            {cx - w / 2, item.only(Tank.class).isPresent() ? cy + 4 : b[1] - 18},
            {b[2] + 7, b[1] - 2},
            {b[0] - 7 - w, b[1] - 2}
        };
        double[] best = places[0];
        double least = Double.POSITIVE_INFINITY;
        for (double[] at : places) {
            double left = Math.max(RULER + 2, Math.min(width - w - 2, at[0]));
            double base = Math.max(SIZE, Math.min(height - FOOT - 3, at[1]));
            double over = ground.overlap(left - 1, base - SIZE, left + w + 1, base + 3);
            if (over < least - 1e-9) {
                least = over;
                best = new double[] {left, base};
            }
        }
        ground.take(best[0], best[1] - SIZE, best[0] + w, best[1] + 3);
        pieces.add(new Piece(
                item.id(),
                Kind.TEXT,
                item.name() + (differs ? ", differs" : ""),
                List.of(new Label(
                        best[0], best[1], words, SIZE, differs, differs ? Ink.DEEP : Ink.INK, Anchor.START))));
    }

    /** The middle of the longest straight of a run. */
    private static double[] middle(Piece run) {
        double[] best = bounds(run);
        double most = -1;
        for (Mark m : run.marks()) {
            if (m instanceof Path p && !p.closed()) {
                for (int i = 1; i < p.spots().size(); i++) {
                    Spot a = p.spots().get(i - 1);
                    Spot b = p.spots().get(i);
                    double long_ = Math.hypot(a.x() - b.x(), a.y() - b.y());
                    if (long_ > most) {
                        most = long_;
                        double x = (a.x() + b.x()) / 2;
                        double y = (a.y() + b.y()) / 2;
                        best = new double[] {x - 2, y - 2, x + 2, y + 2};
                    }
                }
            }
        }
        return best;
    }
}
