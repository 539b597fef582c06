package ration.publish.drawing;

import java.util.ArrayList;
import java.util.List;
import java.util.function.ToDoubleFunction;
import ration.publish.drawing.Mark.Spot;

/** Parts of closed outlines beside a straight line, for filling; bridges along the line do not show. */
final class Half {

    private Half() {}

    /** At and under y. */
    static List<Spot> below(List<Spot> outline, double y) {
        return kept(outline, s -> s.y() - y);
    }

    static List<Spot> leftOf(List<Spot> outline, double x) {
        return kept(outline, s -> x - s.x());
    }

    static List<Spot> rightOf(List<Spot> outline, double x) {
        return kept(outline, s -> s.x() - x);
    }

    private static List<Spot> kept(List<Spot> outline, ToDoubleFunction<Spot> side) {
        List<Spot> in = new ArrayList<>();
        for (int i = 0; i < outline.size(); i++) {
            Spot a = outline.get(i);
            Spot b = outline.get((i + 1) % outline.size());
            double da = side.applyAsDouble(a);
            double db = side.applyAsDouble(b);
            if (da >= 0) {
                in.add(a);
            }
            if (da >= 0 != db >= 0) {
                double t = da / (da - db);
                in.add(new Spot(a.x() + t * (b.x() - a.x()), a.y() + t * (b.y() - a.y())));
            }
        }
        return in;
    }

    /** Least and greatest x at a height, or null where it is not met. */
    static double[] spanAcross(List<Spot> outline, double y) {
        double[] ends = cuts(outline, s -> s.y() - y, Spot::x);
        return ends.length < 2 ? null : new double[] {ends[0], ends[ends.length - 1]};
    }

    /** Least and greatest y at an x, or null. */
    static double[] spanAt(List<Spot> outline, double x) {
        double[] ends = cuts(outline, s -> s.x() - x, Spot::y);
        return ends.length < 2 ? null : new double[] {ends[0], ends[ends.length - 1]};
    }

    /** Pieces inside of the line {@code x - (foot - y) = c}, which rises to the right. */
    static List<Spot[]> diagonals(List<Spot> outline, double c, double foot) {
        double[] xs = cuts(outline, s -> s.x() - (foot - s.y()) - c, Spot::x);
        List<Spot[]> pieces = new ArrayList<>();
        for (int i = 0; i + 1 < xs.length; i += 2) {
            pieces.add(new Spot[] {new Spot(xs[i], foot - (xs[i] - c)), new Spot(xs[i + 1], foot - (xs[i + 1] - c))});
        }
        return pieces;
    }

    private static double[] cuts(List<Spot> outline, ToDoubleFunction<Spot> side, ToDoubleFunction<Spot> along) {
        List<Double> cuts = new ArrayList<>();
        for (int i = 0; i < outline.size(); i++) {
            Spot a = outline.get(i);
            Spot b = outline.get((i + 1) % outline.size());
            double da = side.applyAsDouble(a);
            double db = side.applyAsDouble(b);
            if (da >= 0 != db >= 0) {
                cuts.add(along.applyAsDouble(a) + da / (da - db) * (along.applyAsDouble(b) - along.applyAsDouble(a)));
            }
        }
        return cuts.stream().mapToDouble(Double::doubleValue).sorted().toArray();
    }
}
