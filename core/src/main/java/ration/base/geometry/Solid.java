package ration.base.geometry;

import java.util.List;
import java.util.OptionalDouble;
import org.hipparchus.analysis.solvers.BracketingNthOrderBrentSolver;

/** A closed solid whose contents under any plane can be told. Metres, aircraft axes. */
public sealed interface Solid permits FacetedSolid, CylinderSolid, JoinedSolid {

    /**
     * A section in the station / water line plane, drawn from one butt line to another.
     *
     * @throws IllegalArgumentException with the reason where that closes no solid
     */
    static Solid prism(List<Point2> section, double fromButtLine, double toButtLine) {
        return FacetedSolid.prism(section, fromButtLine, toButtLine);
    }

    /**
     * Skins stretched over sections, one after the other along an axis. Each ring has three points or more, concave
     * ones too; points of neighbours belong together in their order, by share of the way round where their numbers
     * differ.
     *
     * @throws IllegalArgumentException with the reason where that closes no solid
     */
    static Solid loft(List<List<Point3>> rings) {
        return FacetedSolid.loft(rings);
    }

    /**
     * A round cylinder, exact.
     *
     * @param from middle of one end
     * @param to middle of the other
     * @param radius m
     */
    static Solid cylinder(Point3 from, Point3 to, double radius) {
        return new CylinderSolid(from, to, radius);
    }

    /** Solids that touch but do not lie in one another, open to each other: a tank and its sump well. */
    static Solid joined(List<Solid> parts) {
        return parts.size() == 1 ? parts.get(0) : new JoinedSolid(parts);
    }

    /**
     * Bounded by flat faces, each a loop seen counter-clockwise from outside.
     *
     * @throws IllegalArgumentException with the reason where they close no solid
     */
    static Solid faceted(List<List<Point3>> faces) {
        return FacetedSolid.closed(faces);
    }

    /** Whether its skin is curved. */
    default boolean round() {
        return false;
    }

    /** The whole volume, m3. */
    double volume();

    /** The volume where {@code up . r <= level}, m3; up is a unit vector. */
    double volumeBelow(Point3 up, double level);

    /** The volume where {@code up . r <= level} within two walls, m3. The walls may not lie level. */
    double volumeBelow(Point3 up, double level, Slab within);

    /** Height of its lowest point along up, m. */
    double lowest(Point3 up);

    /** Height of its highest point along up, m. */
    double highest(Point3 up);

    /** Its outer faces as loops, for drawing; round ones as many flat ones. */
    List<List<Point3>> faces();

    /** Loops in which a plane {@code normal . r = offset} cuts it, for drawing; none where it does not meet it. */
    default List<List<Point3>> cut(Point3 normal, double offset) {
        return Cut.of(faces(), normal, offset);
    }

    /** Water line of its lowest skin straight over or under a place; empty beside it. */
    default OptionalDouble floorAt(double station, double buttLine) {
        double least = Cut.floorAt(faces(), station, buttLine)[0];
        return Double.isInfinite(least) ? OptionalDouble.empty() : OptionalDouble.of(least);
    }

    /**
     * The same over a grid; infinite beside it.
     *
     * @param stations in order
     * @param buttLines in order
     * @return by station, then by butt line
     */
    default double[][] floorsAt(double[] stations, double[] buttLines) {
        return Cut.floorsAt(faces(), stations, buttLines);
    }

    /** The level, metres along up, under which this volume lies; clamped to empty and full. */
    default double level(Point3 up, double volumeM3) {
        double low = lowest(up);
        double high = highest(up);
        if (volumeM3 <= 0) {
            return low;
        }
        if (volumeM3 >= volume()) {
            return high;
        }
        if (volumeBelow(up, high) <= volumeM3) {
            return high; // all but the last bit of the whole
        }
        if (volumeBelow(up, low) >= volumeM3) {
            return low;
        }
        return new BracketingNthOrderBrentSolver(1e-12, 1e-12, 1e-18, 5)
                .solve(200, h -> volumeBelow(up, h) - volumeM3, low, high);
    }

    /**
     * The room between two parallel walls, {@code from <= normal . r <= to}.
     *
     * @param normal unit vector
     */
    record Slab(Point3 normal, double from, double to) {
        public Slab {
            if (!(from < to)) {
                throw new IllegalArgumentException("A bay needs two different walls");
            }
        }
    }
}
