package ration.drawing;

import java.util.ArrayList;
import java.util.List;
import ration.drawing.Mark.Spot;

/** Ground that is taken, so that labels can look for a free place. */
final class Occupancy {

    private static final double STEP = 6;

    private final List<double[]> taken = new ArrayList<>();

    void take(double left, double top, double right, double bottom) {
        taken.add(new double[] {Math.min(left, right), Math.min(top, bottom), Math.max(left, right),
            Math.max(top, bottom)});
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
                take(Math.min(x, x + dx / steps) - w, Math.min(y, y + dy / steps) - w, Math.max(x, x + dx / steps) + w,
                        Math.max(y, y + dy / steps) + w);
            }
        }
    }

    double overlap(double left, double top, double right, double bottom) {
        double sum = 0;
        for (double[] t : taken) {
            double w = Math.min(right, t[2]) - Math.max(left, t[0]);
            double h = Math.min(bottom, t[3]) - Math.max(top, t[1]);
            if (w > 0 && h > 0) {
                sum += w * h;
            }
        }
        return sum;
    }
}
