package ration.physics.tank;

import java.util.List;
import ration.base.geometry.Point3;

/**
 * Where the fuel in a tank has its middle in one attitude, by how much there is. Worked out once from sections: within
 * a slice the fuel is taken to lie about the middle section, so an error falls with the square of the number of slices.
 */
public final class FuelCentroid {

    private static final int SLICES = 48;

    /** Volumes under the nodes, m3, rising, and first moments of them, m4. */
    private final double[] volumes;

    private final Point3[] moments;

    private FuelCentroid(double[] volumes, Point3[] moments) {
        this.volumes = volumes;
        this.moments = moments;
    }

    /** @param up unit vector along apparent up */
    public static FuelCentroid of(TankBody body, Point3 up) {
        double low = body.solid().lowest(up);
        double step = (body.solid().highest(up) - low) / SLICES;
        double[] volumes = new double[SLICES + 1];
        Point3[] moments = new Point3[SLICES + 1];
        moments[0] = new Point3(0, 0, 0);
        Point3 last = null;
        for (int i = 0; i < SLICES; i++) {
            volumes[i + 1] = body.volumeBelow(up, low + (i + 1) * step);
            Point3 middle = middle(body.solid().cut(up, low + (i + 0.5) * step), up, last);
            moments[i + 1] = middle == null ? moments[i] : moments[i].plus(middle.times(volumes[i + 1] - volumes[i]));
            last = middle;
        }
        return new FuelCentroid(volumes, moments);
    }

    /** Of loops in one plane, by their areas; the one before where they enclose nothing. */
    private static Point3 middle(List<List<Point3>> loops, Point3 up, Point3 before) {
        double sum = 0;
        Point3 moment = new Point3(0, 0, 0);
        for (List<Point3> loop : loops) {
            double area = 0;
            Point3 first = new Point3(0, 0, 0);
            for (int i = 1; i + 1 < loop.size(); i++) {
                Point3 a = loop.get(0);
                Point3 b = loop.get(i);
                Point3 c = loop.get(i + 1);
                double part = b.minus(a).cross(c.minus(a)).dot(up) / 2;
                area += part;
                first = first.plus(a.plus(b).plus(c).times(part / 3));
            }
            double sign = Math.signum(area);
            sum += sign * area;
            moment = moment.plus(first.times(sign));
        }
        return sum > 0 ? moment.times(1 / sum) : before;
    }

    /** Middle of this much fuel, m; of the lowest of it where there is none. */
    public Point3 at(double volume) {
        int i = 1;
        while (i < SLICES && (volumes[i] < volume || volumes[i] <= 0)) {
            i++;
        }
        double share = volumes[i] > volumes[i - 1] ? (volume - volumes[i - 1]) / (volumes[i] - volumes[i - 1]) : 1;
        if (volume <= 0 && volumes[i] > 0) {
            return moments[i].times(1 / volumes[i]);
        }
        Point3 moment = moments[i - 1].plus(moments[i].minus(moments[i - 1]).times(Math.max(0, Math.min(1, share))));
        double held = volumes[i - 1] + (volumes[i] - volumes[i - 1]) * Math.max(0, Math.min(1, share));
        return held > 0 ? moment.times(1 / held) : moment;
    }
}
