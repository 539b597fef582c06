package ration.answer.assess;

import java.util.ArrayList;
import java.util.List;
import ration.aircraft.model.Tank;
import ration.base.geometry.Point3;
import ration.base.geometry.Solid;

/** Heat that leaves a tank. */
public final class Cooling {

    /** Heat through a tank's walls, W/m2K; common practice, no source. */
    private static final double WALL = 5;
    /** Heat from the surface of the fuel into still air over it, W/m2K; common practice, no source. */
    private static final double SURFACE = 1;

    private Cooling() {}

    /** Heat out of a tank that holds so much, W/K: through the walls the fuel wets, and a little from its surface. */
    public static double of(Tank tank, Point3 up, double volume) {
        Solid solid = tank.solid();
        double level = solid.level(up, Math.max(1e-6, Math.min(solid.volume(), volume)));
        double wetted = 0;
        for (List<Point3> face : solid.faces()) {
            wetted += areaBelow(face, up, level);
        }
        double step = 1e-4;
        double surface =
                Math.max(0, (solid.volumeBelow(up, level + step) - solid.volumeBelow(up, level - step)) / (2 * step));
        return WALL * wetted + SURFACE * surface;
    }

    /** Area of the part of a flat face under a level, m2. */
    private static double areaBelow(List<Point3> face, Point3 up, double level) {
        List<Point3> kept = new ArrayList<>();
        for (int i = 0; i < face.size(); i++) {
            Point3 a = face.get(i);
            Point3 b = face.get((i + 1) % face.size());
            double ha = up.dot(a) - level;
            double hb = up.dot(b) - level;
            if (ha <= 0) {
                kept.add(a);
            }
            if (ha <= 0 != hb <= 0) {
                kept.add(a.toward(b, ha / (ha - hb)));
            }
        }
        Point3 sum = new Point3(0, 0, 0);
        for (int i = 1; i + 1 < kept.size(); i++) {
            sum = sum.plus(kept.get(i).minus(kept.get(0)).cross(kept.get(i + 1).minus(kept.get(0))));
        }
        return sum.length() / 2;
    }
}
