package ration.base.geometry;

/**
 * A point of a section in the station / water line plane, metres.
 *
 * @param x station, aft positive
 * @param z water line, up positive
 */
public record Point2(double x, double z) {

    public Point2 {
        if (!Double.isFinite(x) || !Double.isFinite(z)) {
            throw new IllegalArgumentException("A section point needs two finite coordinates");
        }
    }
}
