package ration.physics.tank;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import org.hipparchus.analysis.polynomials.PolynomialFunction;
import org.hipparchus.analysis.polynomials.PolynomialSplineFunction;
import org.hipparchus.analysis.solvers.BracketingNthOrderBrentSolver;

/**
 * A smooth curve that never falls through points that scatter: pools neighbours that would fall (pool adjacent
 * violators), then Hermite pieces with the slopes of Fritsch and Carlson (1980), both from memory.
 */
public final class MonotoneCurve {

    private final PolynomialSplineFunction spline;
    private final double[] x;
    private final double[] y;

    private MonotoneCurve(double[] x, double[] y) {
        this.x = x;
        this.y = y;
        this.spline = x.length < 2 ? null : hermite(x, y);
    }

    /** Through points in any order; at least one. Points at one place are averaged. */
    public static MonotoneCurve through(double[] xs, double[] ys) {
        Integer[] order = new Integer[xs.length];
        Arrays.setAll(order, i -> i);
        Arrays.sort(order, Comparator.comparingDouble(i -> xs[i]));
        List<double[]> points = new ArrayList<>();
        for (int i : order) {
            double[] last = points.isEmpty() ? null : points.get(points.size() - 1);
            if (last != null && xs[i] - last[0] < 1e-12) {
                last[1] = (last[1] * last[2] + ys[i]) / (last[2] + 1);
                last[2]++;
            } else {
                points.add(new double[] {xs[i], ys[i], 1});
            }
        }
        double[] x = new double[points.size()];
        for (int i = 0; i < x.length; i++) {
            x[i] = points.get(i)[0];
        }
        return new MonotoneCurve(x, rising(points));
    }

    /** Each point's height, or the mean of the block of neighbours it falls out of step with. */
    private static double[] rising(List<double[]> points) {
        List<double[]> blocks = new ArrayList<>();
        for (double[] p : points) {
            blocks.add(new double[] {p[1], p[2], 1});
            while (blocks.size() > 1 && blocks.get(blocks.size() - 2)[0] > blocks.get(blocks.size() - 1)[0]) {
                double[] b = blocks.remove(blocks.size() - 1);
                double[] a = blocks.remove(blocks.size() - 1);
                blocks.add(new double[] {(a[0] * a[1] + b[0] * b[1]) / (a[1] + b[1]), a[1] + b[1], a[2] + b[2]});
            }
        }
        double[] y = new double[points.size()];
        int at = 0;
        for (double[] block : blocks) {
            for (int i = 0; i < block[2]; i++) {
                y[at++] = block[0];
            }
        }
        return y;
    }

    private static PolynomialSplineFunction hermite(double[] x, double[] y) {
        int n = x.length;
        double[] chord = new double[n - 1];
        for (int i = 0; i + 1 < n; i++) {
            chord[i] = (y[i + 1] - y[i]) / (x[i + 1] - x[i]);
        }
        double[] slope = new double[n];
        slope[0] = chord[0];
        slope[n - 1] = chord[n - 2];
        for (int i = 1; i + 1 < n; i++) {
            slope[i] = chord[i - 1] * chord[i] <= 0 ? 0 : (chord[i - 1] + chord[i]) / 2;
        }
        for (int i = 0; i + 1 < n; i++) {
            if (chord[i] == 0) {
                slope[i] = 0;
                slope[i + 1] = 0;
                continue;
            }
            double a = slope[i] / chord[i];
            double b = slope[i + 1] / chord[i];
            double size = a * a + b * b;
            if (size > 9) {
                slope[i] = 3 / Math.sqrt(size) * a * chord[i];
                slope[i + 1] = 3 / Math.sqrt(size) * b * chord[i];
            }
        }
        PolynomialFunction[] pieces = new PolynomialFunction[n - 1];
        for (int i = 0; i + 1 < n; i++) {
            double h = x[i + 1] - x[i];
            pieces[i] = new PolynomialFunction(
                    y[i],
                    slope[i],
                    (3 * chord[i] - 2 * slope[i] - slope[i + 1]) / h,
                    (slope[i] + slope[i + 1] - 2 * chord[i]) / (h * h));
        }
        return new PolynomialSplineFunction(x, pieces);
    }

    public double lowest() {
        return x[0];
    }

    public double highest() {
        return x[x.length - 1];
    }

    /** Its height; level beyond its ends. */
    public double at(double where) {
        if (spline == null || where <= x[0]) {
            return y[0];
        }
        return where >= highest() ? y[y.length - 1] : spline.value(where);
    }

    /** The first place it reaches a height; its ends where it never does. */
    public double inverse(double height) {
        if (spline == null || height <= y[0]) {
            return x[0];
        }
        if (height >= y[y.length - 1]) {
            return highest();
        }
        return new BracketingNthOrderBrentSolver(1e-13, 1e-13, 1e-18, 5)
                .solve(200, v -> at(v) - height, x[0], highest());
    }
}
