package ration.publish.drawing;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import ration.aircraft.model.Fitout;
import ration.aircraft.model.Outlet;
import ration.aircraft.model.Place;
import ration.aircraft.model.Tank;
import ration.aircraft.model.VentLine;
import ration.aircraft.model.VentPlenum;
import ration.base.geometry.Point3;
import ration.base.quantity.Dimension;
import ration.physics.flow.OutletState;
import ration.physics.flow.TankLevel;
import ration.publish.drawing.Mark.Anchor;
import ration.publish.drawing.Mark.Box;
import ration.publish.drawing.Mark.Label;
import ration.publish.drawing.Mark.Path;
import ration.publish.drawing.Mark.Pen;
import ration.publish.drawing.Mark.Spot;
import ration.publish.drawing.Picture.Kind;

/** Tanks as true sections with their fuel, vents, drains and outlet screens. */
final class Tanks extends SchematicPart {

    /** Where heights of surfaces are written. */
    private final Occupancy heads = new Occupancy();

    Tanks(SchematicPart sheet) {
        super(sheet);
    }

    private Optional<Spot> place(Place p, Tank tank) {
        return Optional.of(place.inTank(tank, p.point()));
    }

    private Optional<TankLevel> level(Tank tank) {
        return answer.map(a -> a.capacity().levels().get(tank.id()));
    }

    void tank(Tank tank) {
        List<Spot> outline = outline(tank);
        List<Mark> marks = new ArrayList<>();
        marks.add(new Path(outline, true, Ink.PANEL, NO_PEN, 0));
        Optional<TankLevel> level = level(tank);
        level.ifPresent(l -> {
            double surface = place.y(l.surface() - place.referenceHeight());
            List<Spot> wet = Half.below(outline, surface);
            if (wet.size() > 2 && l.volume() > 0) {
                marks.add(new Path(wet, true, Ink.FUEL_TINT, NO_PEN, 0));
                double a = wet.stream()
                        .filter(s -> Math.abs(s.y() - surface) < 0.5)
                        .mapToDouble(Spot::x)
                        .min()
                        .orElse(0);
                double b = wet.stream()
                        .filter(s -> Math.abs(s.y() - surface) < 0.5)
                        .mapToDouble(Spot::x)
                        .max()
                        .orElse(0);
                marks.add(line(a, surface, b, surface, Pen.of(Ink.FUEL, 1.8)));
                if (b - a > 30) {
                    double m = a + Math.min(20, (b - a) / 4);
                    marks.add(new Path(
                            List.of(
                                    new Spot(m - 5, surface - 9),
                                    new Spot(m + 5, surface - 9),
                                    new Spot(m, surface - 1)),
                            true,
                            Ink.PANEL,
                            Pen.of(Ink.FUEL, 1.2),
                            0));
                }
                String head = units.text(l.surface() - place.referenceHeight(), Dimension.LENGTH);
                double w = measure.width(head, 12, false);
                // over the fuel, or in it where the tank is too full
                double foot = within(outline, b - 12 - w, surface - 18) && within(outline, b - 12, surface - 18)
                        ? surface - 6
                        : surface + 15;
                if (b - a > 112
                        && within(outline, b - 12, foot + 3)
                        && !crossed(b - 12 - w, foot - 10, b - 12, foot + 2)) {
                    heads.take(b - 12 - w, foot - 10, b - 12, foot + 2);
                    ground.take(b - 12 - w, foot - 10, b - 12, foot + 2);
                    marks.add(new Label(b - 12, foot, head, 12, false, Ink.INK, Anchor.END));
                }
            }
        });
        marks.add(new Path(outline, true, Ink.NONE, Pen.of(Ink.INK, 2), 2));
        wells(tank, level.filter(l -> l.volume() > 0).isPresent() ? Ink.FUEL_TINT : Ink.PANEL, marks);
        piece(tank.id(), Kind.TANK, tank.name() + ", " + contents(tank) + outletWords(tank), marks);
    }

    /** What each of several outlets does, or one that stands clear, in words. */
    private String outletWords(Tank tank) {
        StringBuilder said = new StringBuilder();
        answer.map(subject.regime()::of).ifPresent(f -> {
            for (int i = 0; i < tank.outlets().size(); i++) {
                OutletState state = f.state(tank, tank.outlets().get(i));
                if (tank.outlets().size() > 1 || state == OutletState.CLEAR || state == OutletState.DRAWS_AIR) {
                    said.append(", outlet ")
                            .append(tank.outlets().size() > 1 ? (i + 1) + " " : "")
                            .append(state.word());
                }
            }
        });
        return said.toString();
    }

    /**
     * What several outlets of a tank do, or one that stands clear: bubbles in the line of one that draws air, one at
     * one that does not.
     */
    void outlets() {
        answer.map(subject.regime()::of)
                .ifPresent(f -> system.tanks().forEach(tank -> tank.outlets().forEach(o -> {
                    OutletState state = f.state(tank, o);
                    Spot at = foot(tank, o);
                    if (tank.outlets().size() > 1 || state == OutletState.CLEAR || state == OutletState.DRAWS_AIR) {
                        outletWord(tank, at, state);
                    }
                    int bubbles = state == OutletState.DRAWS_AIR ? 3 : state == OutletState.CLEAR ? 1 : 0;
                    for (int i = 0; i < bubbles; i++) {
                        piece(
                                tank.id(),
                                Kind.SYMBOL,
                                new Mark.Disc(
                                        new Spot(at.x() + (i == 1 ? 1.5 : -1), at.y() + 6 + 8 * i),
                                        3,
                                        Ink.PANEL,
                                        Pen.of(Ink.INK, 1.3)));
                    }
                })));
    }

    /** The word beside an outlet: in the tank, else right under it; left out where neither has room. */
    private void outletWord(Tank tank, Spot at, OutletState state) {
        boolean bad = state == OutletState.DRAWS_AIR;
        double w = measure.width(state.word(), 11, bad);
        List<Spot> outline = outline(tank);
        double surface = level(tank)
                .map(l -> place.y(l.surface() - place.referenceHeight()))
                .orElse(Double.NaN);
        for (Spot foot : List.of(
                new Spot(at.x() + 8, at.y() - 4),
                new Spot(at.x() - 8 - w, at.y() - 4),
                new Spot(at.x() + 8, at.y() - 16),
                new Spot(at.x() - 8 - w, at.y() - 16),
                new Spot(at.x() + 8, at.y() - 28),
                new Spot(at.x() - 8 - w, at.y() - 28),
                new Spot(at.x() + 9, at.y() + 13),
                new Spot(at.x() - 9 - w, at.y() + 13))) {
            double top = foot.y() - 9;
            double r = foot.x() + w;
            boolean inside = within(outline, foot.x() - 1, foot.y() + 2)
                    && within(outline, r + 1, foot.y() + 2)
                    && within(outline, foot.x() - 1, top)
                    && within(outline, r + 1, top)
                    && !(surface > top - 1 && surface < foot.y() + 3)
                    && !crossed(foot.x(), top, r, foot.y() + 2);
            if (inside || free(foot.x(), top, w, 11)) {
                heads.take(foot.x(), top, r, foot.y() + 2);
                ground.take(foot.x() - 2, top, r + 2, foot.y() + 2);
                piece(
                        tank.id(),
                        Kind.TEXT,
                        new Label(foot.x(), foot.y(), state.word(), 11, bad, bad ? Ink.INK : Ink.SOFT, Anchor.START));
                return;
            }
        }
    }

    /** Whether a run or the head line lies over a place inside a tank. */
    private boolean crossed(double left, double top, double r, double bottom) {
        Occupancy lines = new Occupancy();
        if (view.layers().headLine()) {
            lines.takeWay(headSpots(), 4);
        }
        system.runs().forEach(run -> lines.takeWay(place.way(run), width(run)));
        return lines.overlap(left, top, r, bottom) > 0.5 || heads.overlap(left, top, r, bottom) > 0 || top < 26;
    }

    /** A sump well hangs open under the floor and is full before anything else. */
    void wells(Tank tank, Ink fill, List<Mark> marks) {
        tank.fitout().wells().forEach(w -> well(tank, w, fill, marks));
    }

    private void well(Tank tank, Fitout.Well w, Ink fill, List<Mark> marks) {
        Point3 foot = w.floor().point();
        double half = w.length().si() / 2;
        OptionalDouble a = tank.shell().floorAt(foot.x() - half, foot.y());
        OptionalDouble b = tank.shell().floorAt(foot.x() + half, foot.y());
        if (a.isEmpty() || b.isEmpty()) {
            return;
        }
        List<Spot> walls = new ArrayList<>();
        for (Point3 p : List.of(
                new Point3(foot.x() - half, foot.y(), a.getAsDouble()),
                new Point3(foot.x() - half, foot.y(), foot.z()),
                new Point3(foot.x() + half, foot.y(), foot.z()),
                new Point3(foot.x() + half, foot.y(), b.getAsDouble()))) {
            walls.add(place.inTank(tank, p));
        }
        marks.add(new Path(walls, true, fill, NO_PEN, 0));
        marks.add(new Path(walls, false, Ink.NONE, Pen.of(Ink.INK, 2), 0));
    }

    void vent(Tank tank) {
        tank.vent().flatMap(v -> place(v, tank)).ifPresent(tip -> {
            double top = outline(tank).stream().mapToDouble(Spot::y).min().orElse(tip.y());
            double x = tip.x();
            double[] span = Half.spanAt(outline(tank), x);
            double start = span == null ? top : span[0];
            double y = Math.min(tip.y(), start - 6);
            Pen dashed = Pen.of(Ink.AIR, 1.8, 4.0, 3.0);
            Pen lip = Pen.of(Ink.AIR, 1.8);
            List<Mark> marks = new ArrayList<>();
            Optional<Spot> plenum = tank.fitout()
                    .vent()
                    .flatMap(VentLine::to)
                    .flatMap(system::item)
                    .flatMap(i -> i.only(VentPlenum.class))
                    .map(place::centre);
            if (plenum.isPresent()) {
                double to = plenum.get().y();
                marks.add(new Path(
                        List.of(
                                new Spot(x, start),
                                new Spot(x, to),
                                new Spot(plenum.get().x() - 14, to)),
                        false,
                        Ink.NONE,
                        dashed,
                        6));
                ground.take(x - 2, Math.min(to, start), x + 2, Math.max(to, start));
                piece(tank.id(), Kind.VENT, "", marks);
                return;
            }
            marks.add(new Path(
                    List.of(new Spot(x, start), new Spot(x, y), new Spot(x + 20, y)), false, Ink.NONE, dashed, 6));
            marks.add(line(x + 22, y - 4, x + 28, y - 4, lip));
            marks.add(line(x + 22, y + 4, x + 28, y + 4, lip));
            ground.take(x - 2, y - 8, x + 2, start);
            ground.take(x, y - 6, x + 30, y + 6);
            piece(tank.id(), Kind.VENT, "", marks);
            String word = "vent";
            double w = measure.width(word, 11, false);
            for (Spot at : List.of(
                    new Spot(x + 34, y + 4),
                    new Spot(x + 12, y - 9),
                    new Spot(x - 6 - w, y + 4),
                    new Spot(x + 8, y + 18))) {
                if (free(at.x(), at.y() - 9, w, 11)) {
                    ground.take(at.x(), at.y() - 9, at.x() + w, at.y() + 2);
                    piece(tank.id(), Kind.TEXT, new Label(at.x(), at.y(), word, 11, false, Ink.SOFT, Anchor.START));
                    break;
                }
            }
        });
    }

    private static boolean within(List<Spot> outline, double x, double y) {
        boolean in = false;
        for (int i = 0, k = outline.size() - 1; i < outline.size(); k = i++) {
            Spot a = outline.get(i);
            Spot b = outline.get(k);
            if (a.y() > y != b.y() > y && x < (b.x() - a.x()) * (y - a.y()) / (b.y() - a.y()) + a.x()) {
                in = !in;
            }
        }
        return in;
    }

    void drain(Tank tank) {
        tank.drain().flatMap(d -> place(d, tank)).ifPresent(at -> {
            ground.take(at.x() - 7, at.y(), at.x() + 7, at.y() + 24);
            piece(tank.id(), Kind.DRAIN, "", Symbols.drain(at));
        });
    }

    void outletScreens() {
        for (Tank tank : system.tanks()) {
            for (Outlet outlet : tank.outlets()) {
                if (outlet.screen().isPresent()) {
                    Spot at = foot(tank, outlet);
                    List<Mark> marks = new ArrayList<>();
                    marks.add(new Box(at.x() - 4.5, at.y() - 15, 9, 15, 4, Ink.PANEL, Pen.of(Ink.INK, 1.4)));
                    for (int i = 1; i <= 3; i++) {
                        marks.add(line(
                                at.x() - 4, at.y() - 2 - 3 * i, at.x() + 4, at.y() - 2 - 3 * i, Pen.of(Ink.INK, 1)));
                    }
                    piece(tank.id(), Kind.SYMBOL, "", marks);
                }
            }
        }
    }
}
