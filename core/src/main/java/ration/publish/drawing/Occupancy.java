package ration.publish.drawing;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import ration.publish.drawing.Mark.Spot;

/** Ground that is taken, so that labels can look for a free place. */
final class Occupancy {

    private static final double STEP = 6;

    /** Ground is kept by squares of this size, px: who asks looks only into those that lie under it. */
    private static final double SQUARE = 48;

    private static final int SQUARES = 256;

    private final Map<Integer, List<double[]>> taken = new HashMap<>();

    void take(double left, double top, double right, double bottom) {
        double[] box = {Math.min(left, right), Math.min(top, bottom), Math.max(left, right), Math.max(top, bottom)};
        for (int i = square(box[0]); i <= square(box[2]); i++) {
            for (int k = square(box[1]); k <= square(box[3]); k++) {
                taken.computeIfAbsent(i * SQUARES + k, n -> new ArrayList<>()).add(box);
            }
        }
    }

    private static int square(double at) {
        return (int) Math.max(0, Math.min(SQUARES - 1, Math.floor(at / SQUARE) + 2));
    }

    /** The ground under lines; a slanting one takes it in steps. */
    void takeWay(List<Spot> way, double width) {
        double w = width / 2 + 2;
        for (int i = 1; i < way.size(); i++) {
            Spot a = way.get(i - 1);
            double dx = way.get(i).x() - a.x();
            double dy = way.get(i).y() - a.y();
            int steps = (int) Math.max(1, Math.ceil(Math.min(Math.abs(dx), Math.abs(dy)) / STEP));
            for (int k = 0; k < steps; k++) {
                double x = a.x() + dx * k / steps;
                double y = a.y() + dy * k / steps;
                take(
                        Math.min(x, x + dx / steps) - w,
                        Math.min(y, y + dy / steps) - w,
                        Math.max(x, x + dx / steps) + w,
                        Math.max(y, y + dy / steps) + w);
            }
        }
    }

    double overlap(double left, double top, double right, double bottom) {
        double sum = 0;
        for (int i = square(left); i <= square(right); i++) {
            for (int k = square(top); k <= square(bottom); k++) {
                for (double[] t : taken.getOrDefault(i * SQUARES + k, List.of())) {
                    double x = Math.max(left, t[0]);
                    double y = Math.max(top, t[1]);
                    double w = Math.min(right, t[2]) - x;
                    double h = Math.min(bottom, t[3]) - y;
                    // what lies in several squares counts in the one in which it begins
                    if (w > 0 && h > 0 && square(x) == i && square(y) == k) {
                        sum += w * h;
                    }
                }
            }
        }
        return sum;
    }
}
