package ration.physics.tank;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * From what a shape holds to what was measured: a monotone map of volumes, m3. Beyond its last point it goes on in
 * proportion to it.
 */
public final class Calibration {

    /** Nothing measured: the shape is taken at its word. */
    public static final Calibration NONE = new Calibration(null, 0, 1);

    private static final double TOGETHER = 20;

    private final MonotoneCurve curve;
    private final double last;
    private final double beyond;

    private Calibration(MonotoneCurve curve, double last, double beyond) {
        this.curve = curve;
        this.last = last;
        this.beyond = beyond;
    }

    /**
     * A point.
     *
     * @param byShape m3
     * @param measured m3
     */
    public record Point(double byShape, double measured) {}

    /**
     * Through measured points; nothing is nothing. Points at or under zero are left out; points closer than a twentieth
     * of the largest are taken together, since what tells them apart is mostly the reading's own error.
     */
    public static Calibration through(List<Point> points) {
        List<Point> good = gathered(points.stream()
                .filter(p -> p.byShape() > 1e-9 && p.measured() > 1e-9)
                .sorted(Comparator.comparingDouble(Point::byShape))
                .toList());
        if (good.isEmpty()) {
            return NONE;
        }
        double[] x = new double[good.size() + 1];
        double[] y = new double[good.size() + 1];
        for (int i = 0; i < good.size(); i++) {
            x[i + 1] = good.get(i).byShape();
            y[i + 1] = good.get(i).measured();
        }
        MonotoneCurve curve = MonotoneCurve.through(x, y);
        return new Calibration(curve, curve.highest(), curve.at(curve.highest()) / curve.highest());
    }

    private static List<Point> gathered(List<Point> sorted) {
        List<Point> all = new ArrayList<>();
        List<Point> near = new ArrayList<>();
        for (Point p : sorted) {
            double apart = sorted.get(sorted.size() - 1).byShape() / TOGETHER;
            if (!near.isEmpty() && p.byShape() - near.get(0).byShape() > apart) {
                all.add(mean(near));
                near.clear();
            }
            near.add(p);
        }
        if (!near.isEmpty()) {
            all.add(mean(near));
        }
        return all;
    }

    private static Point mean(List<Point> near) {
        return new Point(
                near.stream().mapToDouble(Point::byShape).average().orElseThrow(),
                near.stream().mapToDouble(Point::measured).average().orElseThrow());
    }

    public boolean measured() {
        return curve != null;
    }

    /** What really fits where the shape says so much, m3. */
    public double real(double byShape) {
        return curve == null ? byShape : byShape > last ? byShape * beyond : curve.at(byShape);
    }

    /** What the shape says where so much was poured in, m3. */
    public double byShape(double real) {
        if (curve == null) {
            return real;
        }
        return real > real(last) ? real / beyond : curve.inverse(real);
    }
}
