package ration.tank;

import ration.geometry.Point3;
import ration.model.Item;

/**
 * Height of the fuel along a sight tube or dipstick that stands upright in the aircraft, from its foot.
 *
 * @param body of the tank
 * @param up   of the attitude the gauge is read in
 * @param foot of the gauge
 */
public record GaugeCurve(TankBody body, Point3 up, Point3 foot) {

    /** By the tank's gauge, or, where none is laid out, a stick through its first outlet down to the tank's floor there. */
    public static GaugeCurve of(TankBody body, Point3 up) {
        return new GaugeCurve(body, up, foot(body));
    }

    /** Where readings count from. */
    public static Point3 foot(TankBody body) {
        Item.Tank tank = body.tank();
        return tank.fitout().gauge().map(g -> g.point()).orElseGet(() -> tank.outlets().isEmpty()
                ? new Point3(0, 0, body.solid().lowest(new Point3(0, 0, 1))) : tank.outlets().get(0).place().point());
    }

    /** Reading, m above the foot, with a volume in the tank, m3; below nothing is nothing. */
    public double reading(double volume) {
        return Math.max(0, (body.level(up, volume) - up.dot(foot)) / up.z());
    }

    /** Volume at a reading, m3. */
    public double volume(double reading) {
        return body.volumeBelow(up, up.dot(foot) + reading * up.z());
    }

    /** Volume by shape alone at a reading, m3. */
    public double volumeByShape(double reading) {
        return body.solid().volumeBelow(up, up.dot(foot) + reading * up.z());
    }
}
