package ration.publish.drawing;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Run;
import ration.aircraft.model.Tank;
import ration.base.geometry.Point3;
import ration.base.quantity.Unit;
import ration.publish.drawing.Mark.Anchor;
import ration.publish.drawing.Mark.Disc;
import ration.publish.drawing.Mark.Label;
import ration.publish.drawing.Mark.Path;
import ration.publish.drawing.Mark.Pen;
import ration.publish.drawing.Mark.Spot;
import ration.publish.drawing.MeasuringPoints.Point;
import ration.publish.drawing.Picture.Kind;
import ration.publish.drawing.Picture.Piece;

/**
 * Where the points of a measuring sheet are: the layout from the side or from above, to one scale, nose right, a cross
 * at each point and its letter beside it. In black and grey, for paper.
 */
public final class MeasuringPicture {

    private static final double EDGE = 26;
    private static final double RADIUS = 7.5;
    private static final double CROSS = 3.5;
    private static final double SIZE = 8.5;
    private static final double LEAST = Unit.INCH.toSi(20);
    /** Directions a letter is tried in, from its cross. */
    private static final int AROUND = 16;

    private final FuelSystem system;
    private final List<Point> points;
    private final double width;
    private final double height;
    private final boolean side;
    private final double scale;
    private final double middleX;
    private final double middleY;
    private final List<Mark> marks = new ArrayList<>();
    private final Occupancy taken = new Occupancy();

    private MeasuringPicture(FuelSystem system, List<Point> points, double width, double height, boolean side) {
        this.system = system;
        this.points = points;
        this.width = width;
        this.height = height;
        this.side = side;
        List<Point3> all = new ArrayList<>(points.stream().map(Point::at).toList());
        system.tanks().forEach(t -> all.addAll(shadow(t)));
        system.runs().forEach(r -> r.points().forEach(p -> all.add(p.point())));
        double left = all.stream().mapToDouble(Point3::x).min().orElse(0);
        double right = all.stream().mapToDouble(Point3::x).max().orElse(0);
        double low = all.stream().mapToDouble(this::second).min().orElse(0);
        double high = all.stream().mapToDouble(this::second).max().orElse(0);
        scale = Math.min(
                (width - 2 * EDGE) / Math.max(LEAST, right - left), (height - 2 * EDGE) / Math.max(LEAST, high - low));
        middleX = (left + right) / 2;
        middleY = (low + high) / 2;
    }

    /** From the side: stations across, water lines up. */
    public static Picture side(FuelSystem system, List<Point> points, double width, double height) {
        return new MeasuringPicture(system, points, width, height, true).drawn();
    }

    /** From above: stations across, the left wing up the page. */
    public static Picture above(FuelSystem system, List<Point> points, double width, double height) {
        return new MeasuringPicture(system, points, width, height, false).drawn();
    }

    private double second(Point3 p) {
        // left is negative, and stands up the page
        return side ? p.z() : -p.y();
    }

    private List<Point3> shadow(Tank tank) {
        return side ? TankShadow.side(tank) : TankShadow.above(tank);
    }

    private Spot at(Point3 p) {
        return new Spot(width / 2 - (p.x() - middleX) * scale, height / 2 - (second(p) - middleY) * scale);
    }

    private Picture drawn() {
        system.firewall().ifPresent(w -> {
            double x = at(new Point3(w.station().si(), 0, 0)).x();
            double top = side ? at(new Point3(0, 0, w.top().si())).y() : 4;
            double foot = side ? at(new Point3(0, 0, w.foot().si())).y() : height - 4;
            marks.add(new Path(List.of(new Spot(x, top), new Spot(x, foot)), false, Ink.NONE, Pen.of(Ink.AIR, 3), 0));
        });
        if (!side) {
            double axis = at(new Point3(middleX, 0, 0)).y();
            marks.add(new Path(
                    List.of(new Spot(0, axis), new Spot(width, axis)),
                    false,
                    Ink.NONE,
                    Pen.of(Ink.SOFT, 0.7, 6.0, 4.0),
                    0));
            marks.add(new Label(2, axis - 3, "butt line 0", SIZE - 1, false, Ink.SOFT, Anchor.START));
            taken.take(0, axis - 12, 50, axis + 2);
        }
        for (Tank tank : system.tanks()) {
            List<Spot> spots = shadow(tank).stream().map(this::at).toList();
            if (spots.size() > 2) {
                marks.add(new Path(spots, true, Ink.GRID, Pen.of(Ink.INK, 1.2), 0));
            }
        }
        system.runs().forEach(this::run);
        points.forEach(p -> {
            Spot s = at(p.at());
            cross(s);
            taken.take(s.x() - CROSS, s.y() - CROSS, s.x() + CROSS, s.y() + CROSS);
        });
        points.forEach(this::letter);
        return new Picture(
                width,
                height,
                List.of(new Piece(
                        "",
                        Kind.TEXT,
                        side ? "Measuring points from the side" : "Measuring points from above",
                        marks)));
    }

    private void run(Run run) {
        Optional<Point3> from = system.point(run.from());
        Optional<Point3> to = system.point(run.to());
        if (from.isEmpty() || to.isEmpty()) {
            return;
        }
        Function<Point3, Spot> place = this::at;
        List<Spot> way = new ArrayList<>(List.of(place.apply(from.get())));
        run.points().forEach(p -> way.add(at(p.point())));
        way.add(at(to.get()));
        marks.add(new Path(way, false, Ink.NONE, Pen.of(Ink.AIR, 1.8), 0));
        taken.takeWay(way, 2);
    }

    private void cross(Spot s) {
        Pen pen = Pen.of(Ink.INK, 1.1);
        marks.add(new Path(
                List.of(new Spot(s.x() - CROSS, s.y()), new Spot(s.x() + CROSS, s.y())), false, Ink.NONE, pen, 0));
        marks.add(new Path(
                List.of(new Spot(s.x(), s.y() - CROSS), new Spot(s.x(), s.y() + CROSS)), false, Ink.NONE, pen, 0));
    }

    /** Beside its cross, where it covers the least; farther off with a thread to it where all near places are taken. */
    private void letter(Point p) {
        Spot s = at(p.at());
        Spot best = s;
        double least = Double.POSITIVE_INFINITY;
        for (int ring = 0; ring < 6 && least > 0; ring++) {
            double off = RADIUS + 5 + 9 * ring;
            for (int k = 0; k < AROUND; k++) {
                double x = s.x() + off * Math.cos(2 * Math.PI * k / AROUND);
                double y = s.y() + off * Math.sin(2 * Math.PI * k / AROUND);
                if (x < RADIUS || y < RADIUS || x > width - RADIUS || y > height - RADIUS) {
                    continue;
                }
                double over = taken.overlap(x - RADIUS, y - RADIUS, x + RADIUS, y + RADIUS);
                if (over < least) {
                    least = over;
                    best = new Spot(x, y);
                }
            }
        }
        double far = Math.hypot(best.x() - s.x(), best.y() - s.y());
        if (far > RADIUS + 6) {
            marks.add(new Path(List.of(s, best), false, Ink.NONE, Pen.of(Ink.SOFT, 0.6), 0));
        }
        taken.take(best.x() - RADIUS, best.y() - RADIUS, best.x() + RADIUS, best.y() + RADIUS);
        marks.add(new Disc(best, RADIUS, Ink.PANEL, Pen.of(Ink.INK, 0.9)));
        marks.add(new Label(
                best.x(),
                best.y() + 3,
                p.letter(),
                p.letter().length() > 1 ? SIZE - 2 : SIZE,
                true,
                Ink.INK,
                Anchor.MIDDLE));
    }
}
