package ration.publish.drawing;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import ration.aircraft.heat.Heat;
import ration.aircraft.heat.HeatFigure;
import ration.aircraft.model.Item;
import ration.aircraft.model.Run;
import ration.base.fluid.VaporPressure;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;
import ration.physics.vapor.Air;
import ration.physics.vapor.Gap;
import ration.physics.vapor.PathHeat;
import ration.publish.drawing.Mark.Anchor;
import ration.publish.drawing.Mark.Disc;
import ration.publish.drawing.Mark.Label;
import ration.publish.drawing.Mark.Path;
import ration.publish.drawing.Mark.Pen;
import ration.publish.drawing.Mark.Spot;
import ration.publish.drawing.Picture.Kind;
import ration.publish.drawing.Picture.Piece;
import ration.record.project.Project;

/** Height over fuel temperature in the tank: where each item on the path begins to boil. */
public final class AltitudeMap {

    private static final double LEFT = 58;
    private static final double RIGHT = 18;
    private static final double TOP = 34;
    private static final double FOOT = 34;
    private static final int MOST_LINES = 4;

    private AltitudeMap() {}

    /** The picture of a path on a day. */
    public static Picture draw(
            Project project,
            PathHeat path,
            Air air,
            UnitSystem units,
            double width,
            double height,
            TextMeasure measure) {
        List<Piece> pieces = new ArrayList<>();
        Heat heat = project.heat();
        VaporPressure vapor = heat.vapor();
        double ceiling = Math.max(Unit.FOOT.fromSi(heat.si(HeatFigure.CEILING)) * 1.5, 14000);
        Scale y = new Scale(0, Math.ceil(ceiling / 2000) * 2000, height - FOOT, TOP);
        List<Gap> each = path.leastOfEach(vapor).stream()
                .filter(g -> project.system()
                        .item(g.item())
                        .flatMap(i -> i.only(Run.class))
                        .isEmpty())
                .sorted((a, b) -> Double.compare(a.degrees(vapor), b.degrees(vapor)))
                .limit(MOST_LINES)
                .toList();
        double now = Unit.CELSIUS.fromSi(air.fuelKelvin());
        double edge = each.isEmpty() ? now + 20 : Math.max(now + 12, limit(each.get(0), vapor, 0, air) + 4);
        double needed = heat.si(HeatFigure.NEEDED);
        double start = Math.min(
                now - 12, each.isEmpty() ? now : limit(each.get(0), vapor, Unit.FOOT.toSi(y.high()), air) - needed - 4);
        Scale x = new Scale(Math.floor(start / 5) * 5, Math.ceil(edge / 5) * 5, LEFT, width - RIGHT);
        List<Mark> grid = new ArrayList<>();
        for (double t : y.ticks(44)) {
            grid.add(SchematicPart.line(LEFT, y.at(t), x.toPx(), y.at(t), Pen.of(Ink.GRID, 1)));
            grid.add(new Label(LEFT - 8, y.at(t) + 4, UnitSystem.figure(t, 0), 11, false, Ink.INK, Anchor.END));
        }
        Unit scale = units.thermometer();
        Scale shown = new Scale(
                scale.fromSi(Unit.CELSIUS.toSi(x.low())),
                scale.fromSi(Unit.CELSIUS.toSi(x.high())),
                LEFT,
                width - RIGHT);
        for (double t : shown.ticks(50)) {
            grid.add(new Label(
                    shown.at(t), y.fromPx() + 15, UnitSystem.figure(t, 0), 11, false, Ink.INK, Anchor.MIDDLE));
        }
        grid.add(new Label(LEFT - 8, TOP - 14, "ft", 11, false, Ink.SOFT, Anchor.END));
        grid.add(new Label(
                x.toPx(), height - 4, "fuel in the tank, " + scale.symbol(), 11, false, Ink.SOFT, Anchor.END));
        if (!each.isEmpty()) {
            List<Spot> first = line(each.get(0), vapor, x, y, air, 0);
            grid.add(new Path(
                    area(line(each.get(0), vapor, x, y, air, -needed), x),
                    true,
                    Ink.RUST_FAINT,
                    Pen.of(Ink.NONE, 0),
                    0));
            grid.add(new Path(area(first, x), true, Ink.RUST_TINT, Pen.of(Ink.NONE, 0), 0));
        }
        pieces.add(new Piece("", Kind.GROUND, "", grid));
        lines(pieces, project, each, vapor, x, y, air, needed, units, measure);
        Spot here = new Spot(x.at(now), y.at(Unit.FOOT.fromSi(air.altitudeM())));
        List<Mark> marks = new ArrayList<>();
        if (!each.isEmpty()) {
            double left = each.get(0).degrees(vapor);
            double to = Math.min(x.toPx(), x.at(limit(each.get(0), vapor, air.altitudeM(), air)));
            marks.add(SchematicPart.line(here.x(), here.y(), to, here.y(), Pen.of(Ink.INK, 1.4)));
            marks.add(new Label(
                    (here.x() + to) / 2, here.y() - 7, units.difference(left), 12, true, Ink.INK, Anchor.MIDDLE));
            marks.add(0, new Label(here.x() - 12, here.y() - 2, "this case", 11, true, Ink.INK, Anchor.END));
            marks.add(
                    1,
                    new Label(
                            here.x() - 12,
                            here.y() + 12,
                            units.warmth(air.fuelKelvin()) + ", " + units.altitude(air.altitudeM()),
                            11,
                            false,
                            Ink.SOFT,
                            Anchor.END));
        }
        marks.add(new Disc(here, 7, Ink.PANEL, Pen.of(Ink.INK, 2)));
        marks.add(new Disc(here, 3, Ink.INK, Pen.of(Ink.NONE, 0)));
        pieces.add(new Piece("", Kind.SYMBOL, "This case: " + units.warmth(air.fuelKelvin()), marks));
        return new Picture(width, height, pieces);
    }

    /**
     * Fuel temperature in the tank at which a point boils at a height, C: its own rise over the tank taken as it is
     * now.
     */
    private static double limit(Gap g, VaporPressure vapor, double altitudeM, Air air) {
        double boiling = vapor.boilingKelvin(Math.max(100, Heat.ambient(altitudeM) + g.gauge()));
        return Unit.CELSIUS.fromSi(boiling - (g.kelvin() - air.fuelKelvin()));
    }

    private static List<Spot> line(Gap g, VaporPressure vapor, Scale x, Scale y, Air air, double shift) {
        List<Spot> spots = new ArrayList<>();
        for (int i = 0; i <= 30; i++) {
            double ft = y.low() + (y.high() - y.low()) * i / 30;
            spots.add(new Spot(
                    Math.max(x.fromPx(), Math.min(x.toPx(), x.at(limit(g, vapor, Unit.FOOT.toSi(ft), air) + shift))),
                    y.at(ft)));
        }
        return spots;
    }

    private static List<Spot> area(List<Spot> line, Scale x) {
        List<Spot> ring = new ArrayList<>(line);
        ring.add(new Spot(x.toPx(), line.get(line.size() - 1).y()));
        ring.add(new Spot(x.toPx(), line.get(0).y()));
        return ring;
    }

    /** One line an item; items within half a degree share one. */
    private static void lines(
            List<Piece> pieces,
            Project project,
            List<Gap> each,
            VaporPressure vapor,
            Scale x,
            Scale y,
            Air air,
            double needed,
            UnitSystem units,
            TextMeasure measure) {
        Map<Gap, String> shared = new LinkedHashMap<>();
        for (Gap g : each) {
            String name = project.system().item(g.item()).map(Item::name).orElse(g.item());
            Gap near = shared.keySet().stream()
                    .filter(o -> Math.abs(limit(o, vapor, 0, air) - limit(g, vapor, 0, air)) < 0.5)
                    .findFirst()
                    .orElse(null);
            if (near == null) {
                shared.put(g, name);
            } else {
                shared.put(near, shared.get(near) + ", " + name);
            }
        }
        Occupancy taken = new Occupancy();
        boolean first = true;
        for (Map.Entry<Gap, String> e : shared.entrySet()) {
            List<Spot> line = line(e.getKey(), vapor, x, y, air, 0);
            List<Mark> marks = new ArrayList<>();
            marks.add(new Path(line, false, Ink.NONE, Pen.of(Ink.RUST, first ? 3 : 1.4), 0));
            if (first) {
                marks.add(new Path(
                        line(e.getKey(), vapor, x, y, air, -needed),
                        false,
                        Ink.NONE,
                        Pen.of(Ink.RUST, 1.4, 2.0, 3.0),
                        0));
                Spot low = line(e.getKey(), vapor, x, y, air, -needed).get(5);
                marks.add(new Label(
                        low.x() - 18,
                        low.y(),
                        "stay left of this: margin " + units.difference(needed),
                        11,
                        false,
                        Ink.RUST_TEXT,
                        Anchor.END));
            }
            Spot top = line.get(line.size() - 1);
            double half = measure.width(e.getValue(), 11, first) / 2;
            // the line looked at first is named to its left, so that the others find room on their right
            for (double[] c : new double[][] {
                {first ? half - 10 : half * 2, TOP - 7}, {half, TOP - 7}, {half, TOP - 20}, {half * 2, TOP - 20}
            }) {
                double from = Math.max(x.fromPx(), Math.min(x.toPx() - 2 * half, top.x() - 2 * half + c[0]));
                if (taken.overlap(from - 4, c[1] - 10, from + 2 * half + 4, c[1] + 2) < 1) {
                    taken.take(from - 4, c[1] - 10, from + 2 * half + 4, c[1] + 2);
                    marks.add(new Label(from, c[1], e.getValue(), 11, first, Ink.RUST_TEXT, Anchor.START));
                    break;
                }
            }
            pieces.add(new Piece(
                    e.getKey().item(),
                    Kind.RUN,
                    e.getValue() + " boils at "
                            + units.warmth(Unit.CELSIUS.toSi(limit(e.getKey(), vapor, air.altitudeM(), air)))
                            + " in the tank",
                    marks));
            first = false;
        }
    }
}
