package ration.base.geometry;

/**
 * A place or a displacement in aircraft axes, metres.
 *
 * @param x station, aft positive
 * @param y butt line, right positive
 * @param z water line, up positive
 */
public record Point3(double x, double y, double z) {

    public Point3 {
        if (!Double.isFinite(x) || !Double.isFinite(y) || !Double.isFinite(z)) {
            throw new IllegalArgumentException("A point needs three finite coordinates");
        }
    }

    /** As a record's own, without what those cost before they are compiled. */
    @Override
    public boolean equals(Object other) {
        return other instanceof Point3 p
                && Double.compare(x, p.x) == 0
                && Double.compare(y, p.y) == 0
                && Double.compare(z, p.z) == 0;
    }

    @Override
    public int hashCode() {
        return 31 * (31 * Double.hashCode(x) + Double.hashCode(y)) + Double.hashCode(z);
    }

    public Point3 plus(Point3 o) {
        return new Point3(x + o.x, y + o.y, z + o.z);
    }

    public Point3 minus(Point3 o) {
        return new Point3(x - o.x, y - o.y, z - o.z);
    }

    public Point3 times(double k) {
        return new Point3(k * x, k * y, k * z);
    }

    public double dot(Point3 o) {
        return x * o.x + y * o.y + z * o.z;
    }

    public Point3 cross(Point3 o) {
        return new Point3(y * o.z - z * o.y, z * o.x - x * o.z, x * o.y - y * o.x);
    }

    public double length() {
        return Math.sqrt(dot(this));
    }

    public double distance(Point3 o) {
        return minus(o).length();
    }

    /** The point a fraction t of the way to another. */
    public Point3 toward(Point3 o, double t) {
        return plus(o.minus(this).times(t));
    }
}
