package ration.drawing;

import java.util.ArrayList;
import java.util.List;
import ration.drawing.Mark.Spot;

/** Ground that is taken, so that labels can look for a free place. */
final class Occupancy {

    private final List<double[]> taken = new ArrayList<>();

    void take(double left, double top, double right, double bottom) {
        taken.add(new double[] {Math.min(left, right), Math.min(top, bottom), Math.max(left, right),
            Math.max(top, bottom)});
    }

    /** The ground under orthogonal lines. */
    void takeWay(List<Spot> way, double width) {
        for (int i = 1; i < way.size(); i++) {
            Spot a = way.get(i - 1);
            Spot b = way.get(i);
            double w = width / 2 + 2;
            take(Math.min(a.x(), b.x()) - w, Math.min(a.y(), b.y()) - w, Math.max(a.x(), b.x()) + w,
                    Math.max(a.y(), b.y()) + w);
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
