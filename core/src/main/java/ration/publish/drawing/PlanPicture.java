package ration.publish.drawing;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import ration.aircraft.model.Fitted;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Item;
import ration.aircraft.model.Run;
import ration.aircraft.model.Tank;
import ration.base.geometry.Point3;
import ration.base.quantity.Unit;
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

/**
 * The system from above, to one scale: nose right, so the right side is below the center line. Every part lies where it
 * was measured; a tank is the ground it covers.
 */
public final class PlanPicture {

    private static final double EDGE = 44;
    private static final double PART = 5;
    private static final double SIZE = 11;
    /** Never closer than this, so that one part alone does not fill the picture, m. */
    private static final double LEAST = Unit.INCH.toSi(20);
    /** Steps of the rulers, in or cm of the aircraft. */
    private static final int[] STEPS = {1, 2, 5, 10, 20, 50, 100, 200, 500};

    private static final double STEP_PX = 60;

    private final FuelSystem system;
    private final String picked;
    private final UnitSystem units;
    private final TextMeasure measure;
    private final double width;
    private final double height;
    private final List<Piece> pieces = new ArrayList<>();
    private final Occupancy taken = new Occupancy();
    private final double scale;
    private final double middleX;
    private final double middleY;

    private PlanPicture(
            FuelSystem system, String picked, UnitSystem units, TextMeasure measure, double width, double height) {
        this.system = system;
        this.picked = picked;
        this.units = units;
        this.measure = measure;
        this.width = width;
        this.height = height;
        List<Point3> all = all(system);
        double left = all.stream().mapToDouble(Point3::x).min().orElse(0);
        double right = all.stream().mapToDouble(Point3::x).max().orElse(0);
        double low = all.stream().mapToDouble(Point3::y).min().orElse(0);
        double high = all.stream().mapToDouble(Point3::y).max().orElse(0);
        scale = Math.min(
                (width - 2 * EDGE) / Math.max(LEAST, right - left), (height - 2 * EDGE) / Math.max(LEAST, high - low));
        middleX = (left + right) / 2;
        middleY = (low + high) / 2;
    }

    /** @param picked id of the item that is marked; empty for none */
    public static Picture draw(
            FuelSystem system, String picked, UnitSystem units, TextMeasure measure, double width, double height) {
        PlanPicture plan = new PlanPicture(system, picked, units, measure, width, height);
        plan.ground();
        system.tanks().forEach(plan::tank);
        system.runs().forEach(plan::run);
        system.all(Fitted.class).forEach(plan::part);
        plan.names();
        return new Picture(width, height, plan.pieces);
    }

    private static List<Point3> all(FuelSystem system) {
        List<Point3> all = new ArrayList<>();
        system.all(Fitted.class).forEach(f -> all.add(f.place().point()));
        system.tanks().forEach(t -> outline(t).forEach(all::add));
        system.runs().forEach(r -> r.points().forEach(p -> all.add(p.point())));
        system.firewall().ifPresent(w -> all.add(new Point3(w.station().si(), 0, 0)));
        return all;
    }

    private Spot at(Point3 p) {
        return new Spot(width / 2 - (p.x() - middleX) * scale, height / 2 + (p.y() - middleY) * scale);
    }

    private void piece(String item, Kind kind, String words, Mark... marks) {
        pieces.add(new Piece(item, kind, words, List.of(marks)));
    }

    private void ground() {
        system.firewall().ifPresent(w -> {
            double x = at(new Point3(w.station().si(), 0, 0)).x();
            boolean ahead = system.inlet()
                    .map(i -> i.place().point().x() <= w.station().si())
                    .orElse(true);
            piece(
                    "",
                    Kind.GROUND,
                    "",
                    ahead
                            ? new Box(x, 0, Math.max(0, width - x), height, 0, Ink.BAY, Pen.of(Ink.NONE, 0))
                            : new Box(0, 0, Math.max(0, x), height, 0, Ink.BAY, Pen.of(Ink.NONE, 0)),
                    SchematicPart.line(x, 0, x, height, Pen.of(Ink.SOFT, 2)),
                    new Label(
                            ahead ? x - 6 : x + 6,
                            14,
                            "Firewall",
                            SIZE,
                            false,
                            Ink.SOFT,
                            ahead ? Anchor.END : Anchor.START));
            taken.take(x - 60, 2, x + 2, 18);
        });
        double axis = at(new Point3(middleX, 0, 0)).y();
        piece(
                "",
                Kind.GROUND,
                "",
                SchematicPart.line(0, axis, width, axis, Pen.of(Ink.HAIRLINE, 1, 8.0, 5.0)),
                new Label(6, axis - 4, "center line", SIZE, false, Ink.SOFT, Anchor.START),
                new Label(width - 8, height - 36, "from above, nose right", SIZE, false, Ink.SOFT, Anchor.END),
                new Label(8, 46, "left", SIZE, false, Ink.SOFT, Anchor.START),
                new Label(8, height - 36, "right", SIZE, false, Ink.SOFT, Anchor.START));
        taken.take(width - 150, height - 50, width, height);
        taken.take(0, 0, 140, 34);
        rulers();
    }

    /** Stations along the foot, butt lines along the left edge. */
    private void rulers() {
        boolean us = units == UnitSystem.US;
        Unit unit = us ? Unit.INCH : Unit.MILLIMETRE;
        double one = unit.toSi(us ? 1 : 10);
        double step = one * STEPS[STEPS.length - 1];
        for (int i = STEPS.length - 1; i >= 0; i--) {
            step = STEPS[i] * one * scale >= STEP_PX ? STEPS[i] * one : step;
        }
        List<Mark> marks = new ArrayList<>();
        double first = middleX - (width / 2 - EDGE) / scale;
        for (double x = Math.ceil(first / step) * step; (x - middleX) * scale < width / 2 - EDGE; x += step) {
            double px = at(new Point3(x, 0, 0)).x();
            marks.add(SchematicPart.line(px, height - 28, px, height - 24, Pen.of(Ink.SOFT, 1)));
            marks.add(new Label(
                    px, height - 12, UnitSystem.figure(unit.fromSi(x), 0), SIZE, false, Ink.SOFT, Anchor.MIDDLE));
        }
        double top = middleY - (height / 2 - EDGE) / scale;
        for (double y = Math.ceil(top / step) * step; (y - middleY) * scale < height / 2 - EDGE; y += step) {
            double py = at(new Point3(0, y, 0)).y();
            marks.add(SchematicPart.line(30, py, 34, py, Pen.of(Ink.SOFT, 1)));
            marks.add(new Label(28, py + 4, UnitSystem.figure(unit.fromSi(y), 0), SIZE, false, Ink.SOFT, Anchor.END));
        }
        pieces.add(new Piece("", Kind.RULER, "", marks));
        taken.take(0, height - 30, width, height);
        taken.take(0, 0, 36, height);
    }

    /** The corners of the ground a tank covers, in order. */
    static List<Point3> outline(Tank tank) {
        return TankShadow.above(tank);
    }

    private void tank(Tank tank) {
        List<Spot> spots = outline(tank).stream().map(this::at).toList();
        Pen pen =
                Pen.of(tank.id().equals(picked) ? Ink.OLIVE : Ink.INK, tank.id().equals(picked) ? 3 : 1.6);
        List<Mark> marks = new ArrayList<>();
        if (spots.size() > 2) {
            marks.add(new Path(spots, true, Ink.FUEL_STANDING, pen, 0));
        }
        tank.outlets().forEach(o -> {
            Spot s = at(o.place().point());
            marks.add(new Disc(s, 3, Ink.FUEL, Pen.of(Ink.FUEL, 1)));
            taken.take(s.x() - 5, s.y() - 5, s.x() + 5, s.y() + 5);
        });
        pieces.add(new Piece(tank.id(), Kind.TANK, tank.name() + ", " + side(outlined(tank)), marks));
    }

    private static double outlined(Tank tank) {
        return outline(tank).stream().mapToDouble(Point3::y).average().orElse(0);
    }

    /** Which side of the center line. */
    private String side(double y) {
        boolean us = units == UnitSystem.US;
        String far = us
                ? UnitSystem.figure(Unit.INCH.fromSi(Math.abs(y)), 1) + " in"
                : UnitSystem.figure(Unit.MILLIMETRE.fromSi(Math.abs(y)), 0) + " mm";
        return Math.abs(y) < Unit.INCH.toSi(0.5) ? "on the center line" : far + (y > 0 ? " right" : " left");
    }

    private void run(Run run) {
        Optional<Point3> from = system.point(run.from());
        Optional<Point3> to = system.point(run.to());
        if (from.isEmpty() || to.isEmpty()) {
            return;
        }
        List<Spot> way = new ArrayList<>(List.of(at(from.get())));
        run.points().forEach(p -> way.add(at(p.point())));
        way.add(at(to.get()));
        boolean marked = run.id().equals(picked);
        piece(
                run.id(),
                Kind.RUN,
                "",
                new Path(way, false, Ink.NONE, Pen.of(marked ? Ink.OLIVE : Ink.FUEL_MID, marked ? 4 : 2.4), 6));
        taken.takeWay(way, 3);
    }

    private void part(Fitted f) {
        Spot s = at(f.place().point());
        boolean marked = f.id().equals(picked);
        piece(
                f.id(),
                Kind.SYMBOL,
                f.name() + ", " + side(f.place().point().y()),
                new Disc(
                        s,
                        marked ? PART + 2 : PART,
                        Ink.PANEL,
                        Pen.of(marked ? Ink.OLIVE : Ink.INK, marked ? 3 : 1.6)));
        taken.take(s.x() - PART - 2, s.y() - PART - 2, s.x() + PART + 2, s.y() + PART + 2);
    }

    private void names() {
        for (Tank t : system.tanks()) {
            List<Spot> spots = outline(t).stream().map(this::at).toList();
            double x = spots.stream().mapToDouble(Spot::x).average().orElse(0);
            double y = spots.stream().mapToDouble(Spot::y).min().orElse(0) + SIZE;
            name(t, x, y, true, 3);
        }
        system.all(Fitted.class).forEach(f -> {
            Spot s = at(f.place().point());
            name(f, s.x(), s.y(), false, PART + 3);
        });
        for (Run r : system.runs()) {
            system.point(r.from())
                    .flatMap(a -> system.point(r.to()).map(b -> longest(r, a, b)))
                    .ifPresent(s -> name(r, s.x(), s.y(), false, 4));
        }
    }

    /** The middle of its longest piece as drawn. */
    private Spot longest(Run r, Point3 from, Point3 to) {
        List<Spot> way = new ArrayList<>(List.of(at(from)));
        r.points().forEach(p -> way.add(at(p.point())));
        way.add(at(to));
        int best = 1;
        for (int i = 2; i < way.size(); i++) {
            best = far(way, i) > far(way, best) ? i : best;
        }
        return new Spot(
                (way.get(best - 1).x() + way.get(best).x()) / 2,
                (way.get(best - 1).y() + way.get(best).y()) / 2);
    }

    private static double far(List<Spot> way, int i) {
        return Math.hypot(
                way.get(i).x() - way.get(i - 1).x(),
                way.get(i).y() - way.get(i - 1).y());
    }

    /** At the freest of the places round it; further off with a line to it where all near it are taken. */
    private void name(Item item, double x, double y, boolean bold, double gap) {
        double w = measure.width(item.name(), SIZE, bold);
        double best = Double.POSITIVE_INFINITY;
        double[] chosen = {x + gap, y + 4};
        for (double r : new double[] {0, 12, 26, 42, 60}) {
            for (int k = 0; k < 8; k++) {
                double angle = k * Math.PI / 4;
                double cx = x + Math.cos(angle) * (gap + r);
                double cy = y + Math.sin(angle) * (gap + r);
                double left = Math.cos(angle) > 0.3 ? cx : Math.cos(angle) < -0.3 ? cx - w : cx - w / 2;
                double foot = cy + (Math.sin(angle) > 0.3 ? SIZE : Math.sin(angle) < -0.3 ? 0 : SIZE / 2 - 1);
                double cost = taken.overlap(left - 1, foot - SIZE, left + w + 1, foot + 3) + r * 0.8;
                boolean inside = left > 38 && left + w < width - 4 && foot > 16 && foot < height - 30;
                if (inside && cost < best) {
                    best = cost;
                    chosen = new double[] {left, foot, r};
                }
            }
        }
        taken.take(chosen[0] - 1, chosen[1] - SIZE, chosen[0] + w + 1, chosen[1] + 3);
        List<Mark> marks = new ArrayList<>();
        if (chosen.length > 2 && chosen[2] > 20) {
            double ex = Math.max(chosen[0], Math.min(chosen[0] + w, x));
            double ey = y > chosen[1] ? chosen[1] + 2 : chosen[1] - SIZE + 1;
            marks.add(SchematicPart.line(x, y, ex, ey, Pen.of(Ink.EDGE, 1)));
        }
        marks.add(new Label(chosen[0], chosen[1], item.name(), SIZE, bold, Ink.INK, Anchor.START));
        pieces.add(new Piece(item.id(), Kind.TEXT, "", marks));
    }
}
