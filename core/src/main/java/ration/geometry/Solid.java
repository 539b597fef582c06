package ration.geometry;

import java.util.ArrayList;
import java.util.List;
import org.hipparchus.analysis.solvers.BracketingNthOrderBrentSolver;

/**
 * A closed solid bounded by flat faces, each a loop of points seen counter-clockwise from outside; faces may be
 * concave. Metres.
 *
 * <p>Volume under a plane: divergence theorem, {@code V = 1/3 sum over faces of the integral of r . n}, with the
 * origin moved onto the plane so that the cap contributes nothing. Each face is fanned from its first point; signed
 * triangles make concave loops right, and clipping each triangle to the half space keeps the sum exact.
 */
public final class Solid {

    private final List<List<Point3>> faces;
    private final double volume;

    private Solid(List<List<Point3>> faces) {
        this.faces = faces;
        Point3 anyUp = new Point3(0, 0, 1);
        this.volume = volumeBelow(anyUp, highest(anyUp) + 1);
        if (!(volume > 0)) {
            throw new IllegalArgumentException("The faces do not close a solid with a positive volume");
        }
    }

    /** A section in the station / water line plane, drawn from one butt line to another. */
    public static Solid prism(List<Point2> section, double fromButtLine, double toButtLine) {
        if (section.size() < 3) {
            throw new IllegalArgumentException("A section needs three corners or more");
        }
        List<Point2> ring = signedArea(section) > 0 ? section : reversed(section);
        double right = Math.max(fromButtLine, toButtLine);
        double left = Math.min(fromButtLine, toButtLine);
        List<List<Point3>> faces = new ArrayList<>();
        List<Point3> leftFace = new ArrayList<>();
        List<Point3> rightFace = new ArrayList<>();
        for (int i = 0; i < ring.size(); i++) {
            Point2 a = ring.get(i);
            Point2 b = ring.get((i + 1) % ring.size());
            leftFace.add(new Point3(a.x(), left, a.z()));
            rightFace.add(0, new Point3(a.x(), right, a.z()));
            faces.add(List.of(new Point3(b.x(), left, b.z()), new Point3(a.x(), left, a.z()),
                    new Point3(a.x(), right, a.z()), new Point3(b.x(), right, b.z())));
        }
        faces.add(List.copyOf(leftFace));
        faces.add(List.copyOf(rightFace));
        return new Solid(List.copyOf(faces));
    }

    private static List<Point2> reversed(List<Point2> ring) {
        List<Point2> back = new ArrayList<>(ring);
        java.util.Collections.reverse(back);
        return back;
    }

    /** Twice-signed shoelace area; positive when the ring runs from +x towards +z. */
    private static double signedArea(List<Point2> ring) {
        double sum = 0;
        for (int i = 0; i < ring.size(); i++) {
            Point2 a = ring.get(i);
            Point2 b = ring.get((i + 1) % ring.size());
            sum += a.x() * b.z() - b.x() * a.z();
        }
        return sum / 2;
    }

    /** The whole volume, m3. */
    public double volume() {
        return volume;
    }

    /** The volume where {@code up . r <= level}, m3. */
    public double volumeBelow(Point3 up, double level) {
        double sum = 0;
        Point3 onPlane = up.times(level);
        for (List<Point3> face : faces) {
            Point3 a = face.get(0).minus(onPlane);
            for (int i = 1; i + 1 < face.size(); i++) {
                sum += clippedTriangle(a, face.get(i).minus(onPlane), face.get(i + 1).minus(onPlane), up);
            }
        }
        return sum / 6;
    }

    /** Six times the signed volume of the cone from the origin over the part of a triangle below the plane. */
    private static double clippedTriangle(Point3 a, Point3 b, Point3 c, Point3 up) {
        double ha = up.dot(a);
        double hb = up.dot(b);
        double hc = up.dot(c);
        if (ha > 0 && hb > 0 && hc > 0) {
            return 0;
        }
        double whole = a.dot(b.cross(c));
        if (ha <= 0 && hb <= 0 && hc <= 0) {
            return whole;
        }
        if (hb > 0 != hc > 0 && hb > 0 != ha > 0) {
            return oneCorner(b, c, a, hb, hc, ha, whole);
        }
        if (hc > 0 != ha > 0 && hc > 0 != hb > 0) {
            return oneCorner(c, a, b, hc, ha, hb, whole);
        }
        return oneCorner(a, b, c, ha, hb, hc, whole);
    }

    /** The first corner lies on its own side of the plane; keep its small triangle or what is left of the whole. */
    private static double oneCorner(Point3 p, Point3 q, Point3 r, double hp, double hq, double hr, double whole) {
        Point3 pq = p.toward(q, hp / (hp - hq));
        Point3 pr = p.toward(r, hp / (hp - hr));
        double small = p.dot(pq.cross(pr));
        return hp <= 0 ? small : whole - small;
    }

    public double lowest(Point3 up) {
        return faces.stream().flatMap(List::stream).mapToDouble(up::dot).min().orElseThrow();
    }

    public double highest(Point3 up) {
        return faces.stream().flatMap(List::stream).mapToDouble(up::dot).max().orElseThrow();
    }

    /** The level, metres along up, under which this volume lies; clamped to empty and full. */
    public double level(Point3 up, double volumeM3) {
        double low = lowest(up);
        double high = highest(up);
        if (volumeM3 <= 0) {
            return low;
        }
        if (volumeM3 >= volume) {
            return high;
        }
        return new BracketingNthOrderBrentSolver(1e-12, 1e-12, 1e-18, 5)
                .solve(200, h -> volumeBelow(up, h) - volumeM3, low, high);
    }
}
