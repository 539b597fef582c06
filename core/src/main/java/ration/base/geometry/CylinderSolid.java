package ration.base.geometry;

import java.util.ArrayList;
import java.util.List;

/**
 * A round cylinder, exact under every plane.
 *
 * <p>With t across the axis in the direction that rises fastest, the fuel over a strip of width dt reaches along the
 * axis to a length that is straight in t and clamped to the cylinder's; so the volume is the integral of {@code 2
 * sqrt(R^2 - t^2)} times a clamped straight line, which has closed antiderivatives.
 */
final class CylinderSolid implements Solid {

    private static final int FACETS = 48;
    /** Under this rise along the axis, over the radius, the strip between the clamps is taken by its middle. */
    private static final double NARROW = 1e-5;

    private final Point3 from;
    private final Point3 axis;
    private final double length;
    private final double radius;

    CylinderSolid(Point3 from, Point3 to, double radius) {
        this.from = from;
        this.length = from.distance(to);
        this.radius = radius;
        if (!(length > 0) || !(radius > 0) || !Double.isFinite(length * radius)) {
            throw new IllegalArgumentException("A cylinder needs a length and a diameter above zero");
        }
        this.axis = to.minus(from).times(1 / length);
    }

    @Override
    public boolean round() {
        return true;
    }

    @Override
    public double volume() {
        return Math.PI * radius * radius * length;
    }

    @Override
    public double volumeBelow(Point3 up, double level) {
        double along = up.dot(axis);
        double across = Math.sqrt(Math.max(0, up.dot(up) - along * along));
        double start = along >= 0 ? up.dot(from) : up.dot(from.plus(axis.times(length)));
        double rise = Math.abs(along);
        double depth = level - start;
        if (across < 1e-12) {
            return Math.PI * radius * radius * clamp(depth / Math.max(rise, 1e-300), length);
        }
        double dry = Math.max(-radius, Math.min(radius, depth / across));
        double wet = Math.max(-radius, Math.min(radius, (depth - rise * length) / across));
        double sum = length * (area(wet) - area(-radius));
        if (dry > wet) {
            if (rise * length < NARROW * radius * across) {
                double middle = (wet + dry) / 2;
                sum += (area(dry) - area(wet)) * clamp((depth - across * middle) / Math.max(rise, 1e-300), length);
            } else {
                sum += (depth * (area(dry) - area(wet)) - across * (moment(dry) - moment(wet))) / rise;
            }
        }
        return Math.max(0, Math.min(volume(), sum));
    }

    private static double clamp(double value, double most) {
        return Math.max(0, Math.min(most, value));
    }

    /** Antiderivative of 2 sqrt(R2 - t2). */
    private double area(double t) {
        double root = Math.sqrt(Math.max(0, radius * radius - t * t));
        return t * root + radius * radius * Math.asin(Math.max(-1, Math.min(1, t / radius)));
    }

    /** Antiderivative of 2 t sqrt(R2 - t2). */
    private double moment(double t) {
        double square = Math.max(0, radius * radius - t * t);
        return -2.0 / 3 * square * Math.sqrt(square);
    }

    @Override
    public double volumeBelow(Point3 up, double level, Slab within) {
        throw new IllegalArgumentException("A round tank has no ribs here; give it as sections to divide it into bays");
    }

    @Override
    public double lowest(Point3 up) {
        double along = up.dot(axis);
        double across = Math.sqrt(Math.max(0, up.dot(up) - along * along));
        return up.dot(from) + Math.min(0, along * length) - radius * across;
    }

    @Override
    public double highest(Point3 up) {
        return -lowest(up.times(-1));
    }

    @Override
    public List<List<Point3>> faces() {
        Point3 any = Math.abs(axis.x()) < 0.9 ? new Point3(1, 0, 0) : new Point3(0, 1, 0);
        Point3 u = any.minus(axis.times(any.dot(axis)));
        u = u.times(1 / u.length());
        Point3 v = axis.cross(u);
        List<Point3> near = new ArrayList<>();
        List<Point3> far = new ArrayList<>();
        for (int i = 0; i < FACETS; i++) {
            double angle = 2 * Math.PI * i / FACETS;
            Point3 rim = from.plus(u.times(radius * Math.cos(angle))).plus(v.times(radius * Math.sin(angle)));
            near.add(0, rim);
            far.add(rim.plus(axis.times(length)));
        }
        List<List<Point3>> faces = new ArrayList<>(List.of(near, far));
        for (int i = 0; i < FACETS; i++) {
            Point3 a = near.get(FACETS - 1 - i);
            Point3 b = near.get((2 * FACETS - 2 - i) % FACETS);
            faces.add(List.of(a, b, far.get((i + 1) % FACETS), far.get(i)));
        }
        return faces;
    }
}
