package ration.physics.tank;

import java.util.List;
import ration.aircraft.model.Tank;
import ration.base.geometry.Point3;

/**
 * Height of the fuel along a sight tube or dipstick that stands upright in the aircraft, from its foot. Where marks
 * were measured in this attitude the curve goes through them, never falling; beyond them it goes on as the shape does.
 */
public final class GaugeCurve {

    private final TankBody body;
    private final Point3 up;
    private final Point3 foot;
    private final MonotoneCurve marks;

    /**
     * A mark measured in this attitude.
     *
     * @param volume in the tank, m3
     * @param reading m above the foot
     */
    public record Mark(double volume, double reading) {}

    private GaugeCurve(TankBody body, Point3 up, MonotoneCurve marks) {
        this.body = body;
        this.up = up;
        this.foot = foot(body);
        this.marks = marks;
    }

    /** By shape and calibration alone. */
    public static GaugeCurve of(TankBody body, Point3 up) {
        return new GaugeCurve(body, up, null);
    }

    /** Through these marks; by shape where there are fewer than two. */
    public static GaugeCurve of(TankBody body, Point3 up, List<Mark> marks) {
        return new GaugeCurve(
                body,
                up,
                marks.size() < 2
                        ? null
                        : MonotoneCurve.through(
                                marks.stream().mapToDouble(Mark::volume).toArray(),
                                marks.stream().mapToDouble(Mark::reading).toArray()));
    }

    /** Where readings count from: the tank's gauge, or, where none is laid out, a stick through its first outlet. */
    public static Point3 foot(TankBody body) {
        Tank tank = body.tank();
        return tank.fitout()
                .gauge()
                .map(g -> g.point())
                .orElseGet(() -> tank.outlets().isEmpty()
                        ? new Point3(0, 0, body.solid().lowest(new Point3(0, 0, 1)))
                        : tank.outlets().get(0).place().point());
    }

    /** Whether it goes through measured marks. */
    public boolean measured() {
        return marks != null;
    }

    /** Reading, m above the foot, with a volume in the tank, m3; nothing shows below the foot. */
    public double reading(double volume) {
        if (marks == null) {
            return byShape(volume);
        }
        double from = marks.lowest();
        double to = marks.highest();
        if (volume < from) {
            double shape = byShape(from);
            return shape < 1e-9 ? byShape(volume) : byShape(volume) * marks.at(from) / shape;
        }
        return volume > to ? marks.at(to) + byShape(volume) - byShape(to) : marks.at(volume);
    }

    private double byShape(double volume) {
        return Math.max(0, (body.level(up, volume) - up.dot(foot)) / up.z());
    }

    /** Volume by shape alone at a reading, m3. */
    public double volumeByShape(double reading) {
        return body.solid().volumeBelow(up, up.dot(foot) + reading * up.z());
    }
}
