package ration.publish.drawing;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.function.ToDoubleFunction;
import ration.aircraft.model.Tank;
import ration.base.geometry.Point3;

/** What of the two other directions a tank covers when it is looked at along one: its corners in order. */
final class TankShadow {

    private TankShadow() {}

    /** From above, by station and butt line. */
    static List<Point3> above(Tank tank) {
        return hull(tank, Point3::y);
    }

    /** From the side, by station and water line. */
    static List<Point3> side(Tank tank) {
        return hull(tank, Point3::z);
    }

    private static List<Point3> hull(Tank tank, ToDoubleFunction<Point3> second) {
        List<Point3> all;
        try {
            all = tank.solid().faces().stream()
                    .flatMap(List::stream)
                    .distinct()
                    .sorted(Comparator.comparingDouble(Point3::x).thenComparingDouble(second))
                    .toList();
        } catch (IllegalArgumentException e) {
            // one that does not close is drawn by its outlets
            all = List.of();
        }
        if (all.size() < 3) {
            return tank.outlets().stream().map(o -> o.place().point()).toList();
        }
        List<Point3> hull = new ArrayList<>();
        for (int pass = 0; pass < 2; pass++) {
            int begun = hull.size();
            for (int i = 0; i < all.size(); i++) {
                Point3 p = all.get(pass == 0 ? i : all.size() - 1 - i);
                while (hull.size() >= begun + 2
                        && turns(hull.get(hull.size() - 2), hull.get(hull.size() - 1), p, second) <= 1e-12) {
                    hull.remove(hull.size() - 1);
                }
                hull.add(p);
            }
            hull.remove(hull.size() - 1);
        }
        return hull;
    }

    private static double turns(Point3 a, Point3 b, Point3 c, ToDoubleFunction<Point3> y) {
        return (b.x() - a.x()) * (y.applyAsDouble(c) - y.applyAsDouble(a))
                - (y.applyAsDouble(b) - y.applyAsDouble(a)) * (c.x() - a.x());
    }
}
