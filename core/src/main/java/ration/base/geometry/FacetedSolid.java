package ration.base.geometry;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;

/**
 * A solid bounded by flat faces, each a loop of points seen counter-clockwise from outside; faces may be concave.
 *
 * <p>Volume under a plane: divergence theorem, {@code V = 1/3 sum over faces of the integral of r . n}, with the origin
 * moved onto the plane so that the cap contributes nothing. Each face is fanned from its first point; signed triangles
 * make concave loops right, and clipping each triangle to the half space keeps the sum exact. Two planes at once: the
 * origin goes onto the line in which they meet, so that neither cap needs building.
 */
final class FacetedSolid implements Solid {

    private static final int XYZ = 3;
    private static final int TRIANGLE = 9;

    private final List<List<Point3>> faces;
    private final double[] triangles;
    private final double volume;
    private final Map<Side, double[]> sides = new ConcurrentHashMap<>();

    /** @throws IllegalArgumentException where the faces leave a gap, or hold nothing */
    static FacetedSolid closed(List<List<Point3>> faces) {
        checkClosed(faces);
        return new FacetedSolid(faces);
    }

    /** @param faces that close */
    private FacetedSolid(List<List<Point3>> faces) {
        List<List<Point3>> own = new ArrayList<>(faces.size());
        for (List<Point3> face : faces) {
            own.add(List.copyOf(face));
        }
        this.faces = List.copyOf(own);
        int count = 0;
        for (List<Point3> face : own) {
            count += face.size() - 2;
        }
        triangles = new double[count * TRIANGLE];
        int at = 0;
        for (List<Point3> face : this.faces) {
            for (int i = 1; i + 1 < face.size(); i++) {
                at = put(face.get(0), at);
                at = put(face.get(i), at);
                at = put(face.get(i + 1), at);
            }
        }
        Point3 up = new Point3(0, 0, 1);
        double top = highest(up);
        double size = top - lowest(up);
        this.volume = volumeBelow(up, top + 1);
        if (!(volume > 1e-12 * Math.max(1e-9, size * size * size))) {
            throw new IllegalArgumentException("The faces do not close a solid with a positive volume");
        }
    }

    private int put(Point3 p, int at) {
        triangles[at] = p.x();
        triangles[at + 1] = p.y();
        triangles[at + 2] = p.z();
        return at + XYZ;
    }

    /** Every edge must be walked as often each way: otherwise fuel would find a gap. */
    private static void checkClosed(List<List<Point3>> faces) {
        Map<Point3, Integer> numbers = new HashMap<>();
        int edges = 0;
        for (List<Point3> face : faces) {
            edges += face.size();
        }
        long[] there = new long[edges];
        long[] back = new long[edges];
        int at = 0;
        for (List<Point3> face : faces) {
            int from = number(numbers, face.get(face.size() - 1));
            for (Point3 p : face) {
                int to = number(numbers, p);
                there[at] = (long) from << Integer.SIZE | to;
                back[at++] = (long) to << Integer.SIZE | from;
                from = to;
            }
        }
        Arrays.sort(there);
        Arrays.sort(back);
        int gap = Arrays.mismatch(there, back);
        if (gap >= 0) {
            long from = Math.min(there[gap], back[gap]) >> Integer.SIZE;
            numbers.forEach((p, number) -> {
                if (number == from) {
                    throw new IllegalArgumentException("The faces leave a gap at " + p);
                }
            });
        }
    }

    private static int number(Map<Point3, Integer> numbers, Point3 p) {
        Integer known = numbers.putIfAbsent(p, numbers.size());
        return known != null ? known : numbers.size() - 1;
    }

    static Solid prism(List<Point2> section, double fromButtLine, double toButtLine) {
        if (section.size() < XYZ) {
            throw new IllegalArgumentException("A section needs three corners or more");
        }
        double left = Math.min(fromButtLine, toButtLine);
        double right = Math.max(fromButtLine, toButtLine);
        return loft(List.of(
                section.stream().map(p -> new Point3(p.x(), left, p.z())).toList(),
                section.stream().map(p -> new Point3(p.x(), right, p.z())).toList()));
    }

    static Solid loft(List<List<Point3>> rings) {
        if (rings.size() < 2) {
            throw new IllegalArgumentException("A tank needs two sections or more");
        }
        List<List<Point3>> turned = new ArrayList<>();
        for (List<Point3> ring : rings) {
            if (ring.size() < XYZ) {
                throw new IllegalArgumentException("A section needs three points or more");
            }
            turned.add(ring);
        }
        Point3 along = centre(rings.get(rings.size() - 1)).minus(centre(rings.get(0)));
        for (int i = 0; i < turned.size(); i++) {
            if (area(turned.get(i)).dot(along) < 0) {
                List<Point3> back = new ArrayList<>(turned.get(i));
                Collections.reverse(back);
                back.add(0, back.remove(back.size() - 1));
                turned.set(i, back);
            }
        }
        List<List<Point3>> faces = new ArrayList<>();
        List<Point3> first = new ArrayList<>(turned.get(0));
        Collections.reverse(first);
        faces.add(first);
        for (int i = 0; i + 1 < turned.size(); i++) {
            skin(turned.get(i), turned.get(i + 1), faces);
        }
        faces.add(turned.get(turned.size() - 1));
        return new FacetedSolid(faces); // closed by the way it is made: neighbours share every edge
    }

    private static Point3 centre(List<Point3> ring) {
        Point3 sum = new Point3(0, 0, 0);
        for (Point3 p : ring) {
            sum = sum.plus(p);
        }
        return sum.times(1.0 / ring.size());
    }

    /** Twice the area of a loop, as a vector along its normal. */
    private static Point3 area(List<Point3> ring) {
        Point3 sum = new Point3(0, 0, 0);
        Point3 origin = ring.get(0);
        for (int i = 1; i + 1 < ring.size(); i++) {
            sum = sum.plus(ring.get(i).minus(origin).cross(ring.get(i + 1).minus(origin)));
        }
        return sum;
    }

    /**
     * The skin between two rings that run the same way round. Where they have as many points, four-cornered panels; one
     * that is not flat becomes four triangles about its middle, which hold as much as the ruled surface and favour
     * neither diagonal. Otherwise triangles, both rings walked together by share of the way round.
     */
    private static void skin(List<Point3> a, List<Point3> b, List<List<Point3>> faces) {
        int n = a.size();
        int m = b.size();
        if (n == m) {
            for (int i = 0; i < n; i++) {
                panel(List.of(a.get(i), a.get((i + 1) % n), b.get((i + 1) % n), b.get(i)), faces);
            }
            return;
        }
        double[] shareA = shares(a);
        double[] shareB = shares(b);
        int i = 0;
        int j = 0;
        while (i < n || j < m) {
            Point3 p = a.get(i % n);
            Point3 q = b.get(j % m);
            if (j >= m || i < n && shareA[i + 1] <= shareB[j + 1]) {
                faces.add(List.of(p, a.get((i + 1) % n), q));
                i++;
            } else {
                faces.add(List.of(p, b.get((j + 1) % m), q));
                j++;
            }
        }
    }

    private static void panel(List<Point3> corners, List<List<Point3>> faces) {
        if (planar(corners.get(0), corners.get(1), corners.get(2), corners.get(3))) {
            faces.add(corners);
            return;
        }
        Point3 middle = centre(corners);
        for (int i = 0; i < corners.size(); i++) {
            faces.add(List.of(corners.get(i), corners.get((i + 1) % corners.size()), middle));
        }
    }

    private static boolean planar(Point3 a, Point3 b, Point3 c, Point3 d) {
        Point3 normal = c.minus(a).cross(d.minus(b));
        return Math.abs(normal.dot(b.minus(a))) <= 1e-14 * normal.length();
    }

    private static double[] shares(List<Point3> ring) {
        double[] share = new double[ring.size() + 1];
        for (int i = 0; i < ring.size(); i++) {
            share[i + 1] = share[i] + ring.get(i).distance(ring.get((i + 1) % ring.size()));
        }
        double whole = share[ring.size()];
        for (int i = 0; i <= ring.size(); i++) {
            share[i] /= whole;
        }
        return share;
    }

    @Override
    public double volume() {
        return volume;
    }

    @Override
    public double volumeBelow(Point3 up, double level) {
        return Math.max(0, cones(triangles, up.times(level), up)); // rounding leaves −4e-17 at the lowest corner
    }

    /** Volume of the cones from an origin on a plane over what lies below it. */
    private static double cones(double[] t, Point3 origin, Point3 up) {
        double sum = 0;
        for (int i = 0; i < t.length; i += TRIANGLE) {
            double ax = t[i] - origin.x();
            double ay = t[i + 1] - origin.y();
            double az = t[i + 2] - origin.z();
            double bx = t[i + 3] - origin.x();
            double by = t[i + 4] - origin.y();
            double bz = t[i + 5] - origin.z();
            double cx = t[i + 6] - origin.x();
            double cy = t[i + 7] - origin.y();
            double cz = t[i + 8] - origin.z();
            double ha = up.x() * ax + up.y() * ay + up.z() * az;
            double hb = up.x() * bx + up.y() * by + up.z() * bz;
            double hc = up.x() * cx + up.y() * cy + up.z() * cz;
            if (ha > 0 && hb > 0 && hc > 0) {
                continue;
            }
            double whole = ax * (by * cz - bz * cy) + ay * (bz * cx - bx * cz) + az * (bx * cy - by * cx);
            sum += whole * shareBelow(ha, hb, hc);
        }
        return sum / 6;
    }

    /**
     * Share of a triangle below zero, by the heights of its corners. The cone from an origin on the plane over a part
     * of a triangle is to the whole cone as the areas are.
     */
    private static double shareBelow(double ha, double hb, double hc) {
        boolean a = ha > 0;
        boolean b = hb > 0;
        boolean c = hc > 0;
        if (!a && !b && !c) {
            return 1;
        }
        boolean lone = a != b && a != c ? !a : a != b ? !b : !c;
        double corner = a != b && a != c ? part(ha, hb, hc) : a != b ? part(hb, ha, hc) : part(hc, ha, hb);
        return lone ? corner : 1 - corner;
    }

    /** Share of the small triangle at a corner that lies on its own side. */
    private static double part(double own, double other, double third) {
        return own / (own - other) * (own / (own - third));
    }

    @Override
    public double volumeBelow(Point3 up, double level, Slab within) {
        return Math.max(
                0,
                volumeBelow(up, level, within.normal(), within.to())
                        - volumeBelow(up, level, within.normal(), within.from()));
    }

    /** Under a level and on the near side of a wall. */
    private double volumeBelow(Point3 up, double level, Point3 normal, double wall) {
        double cos = up.dot(normal);
        double det = 1 - cos * cos;
        if (det < 1e-9) {
            throw new IllegalArgumentException("A wall that lies level makes no bay");
        }
        Point3 origin = up.times((level - cos * wall) / det).plus(normal.times((wall - cos * level) / det));
        return cones(sides.computeIfAbsent(new Side(normal, wall), this::side), origin, up);
    }

    /** A wall, whose near side is kept clipped: it does not change with the level. */
    private record Side(Point3 normal, double wall) {}

    private double[] side(Side s) {
        List<double[]> kept = new ArrayList<>();
        Point3 onWall = s.normal().times(s.wall());
        for (int i = 0; i < triangles.length; i += TRIANGLE) {
            List<Point3> polygon = below(
                    List.of(
                            corner(i).minus(onWall),
                            corner(i + XYZ).minus(onWall),
                            corner(i + 2 * XYZ).minus(onWall)),
                    s.normal());
            for (int k = 1; k + 1 < polygon.size(); k++) {
                double[] t = new double[TRIANGLE];
                int at = 0;
                for (Point3 p : List.of(polygon.get(0), polygon.get(k), polygon.get(k + 1))) {
                    t[at++] = p.x() + onWall.x();
                    t[at++] = p.y() + onWall.y();
                    t[at++] = p.z() + onWall.z();
                }
                kept.add(t);
            }
        }
        double[] all = new double[kept.size() * TRIANGLE];
        for (int i = 0; i < kept.size(); i++) {
            System.arraycopy(kept.get(i), 0, all, i * TRIANGLE, TRIANGLE);
        }
        return all;
    }

    private Point3 corner(int at) {
        return new Point3(triangles[at], triangles[at + 1], triangles[at + 2]);
    }

    /** The part of a convex polygon where {@code up . r <= 0}. */
    private static List<Point3> below(List<Point3> polygon, Point3 up) {
        List<Point3> kept = new ArrayList<>(polygon.size() + 1);
        for (int i = 0; i < polygon.size(); i++) {
            Point3 a = polygon.get(i);
            Point3 b = polygon.get((i + 1) % polygon.size());
            double ha = up.dot(a);
            double hb = up.dot(b);
            if (ha <= 0) {
                kept.add(a);
            }
            if (ha <= 0 != hb <= 0) {
                kept.add(a.toward(b, ha / (ha - hb)));
            }
        }
        return kept;
    }

    @Override
    public double lowest(Point3 up) {
        double least = Double.POSITIVE_INFINITY;
        for (int i = 0; i < triangles.length; i += XYZ) {
            least = Math.min(least, up.x() * triangles[i] + up.y() * triangles[i + 1] + up.z() * triangles[i + 2]);
        }
        return least;
    }

    @Override
    public double highest(Point3 up) {
        return -lowest(up.times(-1));
    }

    @Override
    public List<List<Point3>> faces() {
        return faces;
    }
}
