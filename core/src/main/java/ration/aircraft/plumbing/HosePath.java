package ration.aircraft.plumbing;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import ration.base.geometry.Point3;

/**
 * The center line of a hose or tube: straight pieces between measured corners, each rounded by one radius. Closed
 * geometry: a corner of angle f saves {@code 2 R tan(f/2) - R f}.
 *
 * @param corners from where the hose begins to where it ends, two at least, m
 * @param radius of every bend on the center line, m
 */
public record HosePath(List<Point3> corners, double radius) {

    /** Pieces shorter than this have no direction, m. */
    private static final double NOTHING = 1e-6;
    /** Nearer to straight on, or to straight back, there is no plane to bend in. */
    private static final double STRAIGHT = 1e-9;

    public HosePath {
        List<Point3> apart = new ArrayList<>();
        for (Point3 p : corners) {
            if (apart.isEmpty() || apart.get(apart.size() - 1).distance(p) > NOTHING) {
                apart.add(p);
            }
        }
        if (apart.size() < 2) {
            throw new IllegalArgumentException("A hose begins and ends at two places.");
        }
        corners = List.copyOf(apart);
    }

    private Point3 way(int i) {
        Point3 d = corners.get(i + 1).minus(corners.get(i));
        return d.times(1 / d.length());
    }

    /** By how much it turns at a corner, rad; the first is 1. */
    private double turn(int i) {
        return Math.acos(Math.max(-1, Math.min(1, way(i - 1).dot(way(i)))));
    }

    /** Along the rounded center line, m. */
    public double length() {
        double sum = 0;
        for (int i = 0; i + 1 < corners.size(); i++) {
            sum += corners.get(i).distance(corners.get(i + 1));
        }
        for (int i = 1; i + 1 < corners.size(); i++) {
            sum -= 2 * radius * Math.tan(turn(i) / 2) - radius * turn(i);
        }
        return sum;
    }

    /** The first corner, counted from 1, whose bend does not fit between its neighbours; 0 where all do. */
    public int tooTight() {
        double before = 0;
        for (int i = 1; i < corners.size(); i++) {
            double tangent = i + 1 < corners.size() ? radius * Math.tan(turn(i) / 2) : 0;
            if (before + tangent > corners.get(i - 1).distance(corners.get(i)) + NOTHING) {
                return Math.min(i, corners.size() - 2);
            }
            before = tangent;
        }
        return 0;
    }

    /**
     * How far the end at the far side is turned against the one at the near side, rad, 0 to 2 pi: clockwise as seen
     * looking along the hose from its beginning to its end. The near one is carried along by the least rotation at each
     * bend; swapping the ends changes nothing, a mirror turns it the other way.
     *
     * @param near from the hose's axis to the seat of the first end; what lies along the hose does not count
     * @param far the same of the last
     * @return empty where one of them lies along the hose, or the hose turns straight back
     */
    public OptionalDouble clocking(Point3 near, Point3 far) {
        Point3 u = square(near, way(0));
        Point3 w = square(far, way(corners.size() - 2));
        if (u.length() < NOTHING || w.length() < NOTHING) {
            return OptionalDouble.empty();
        }
        Point3 carried = u;
        for (int i = 1; i + 1 < corners.size(); i++) {
            Point3 axis = way(i - 1).cross(way(i));
            if (axis.length() < STRAIGHT) {
                if (way(i - 1).dot(way(i)) < 0) {
                    return OptionalDouble.empty();
                }
                continue;
            }
            carried = turned(carried, axis.times(1 / axis.length()), turn(i));
        }
        Point3 t = way(corners.size() - 2);
        double angle = Math.atan2(t.dot(carried.cross(w)), carried.dot(w));
        return OptionalDouble.of(angle < 0 ? angle + 2 * Math.PI : angle);
    }

    private static Point3 square(Point3 p, Point3 along) {
        return p.minus(along.times(p.dot(along)));
    }

    /** Rodrigues. */
    private static Point3 turned(Point3 p, Point3 axis, double angle) {
        return p.times(Math.cos(angle))
                .plus(axis.cross(p).times(Math.sin(angle)))
                .plus(axis.times(axis.dot(p) * (1 - Math.cos(angle))));
    }
}
