package ration.base.geometry;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** Where a plane meets the faces of a closed solid. */
final class Cut {

    /** A face this near a place is asked whether it lies there, m. */
    private static final double NEAR = 1e-6;

    /** An edge in either direction. */
    private record Edge(Point3 a, Point3 b) {
        static Edge of(Point3 p, Point3 q) {
            int order = Comparator.comparingDouble(Point3::x)
                    .thenComparingDouble(Point3::y)
                    .thenComparingDouble(Point3::z)
                    .compare(p, q);
            return order <= 0 ? new Edge(p, q) : new Edge(q, p);
        }

        @Override
        public boolean equals(Object other) {
            return other instanceof Edge e && a.equals(e.a) && b.equals(e.b);
        }

        @Override
        public int hashCode() {
            return 31 * a.hashCode() + b.hashCode();
        }
    }

    private Cut() {}

    /**
     * Water lines of the lowest of these faces straight over or under places in a row; infinite beside them. Where the
     * plane of the station meets each face, without joining that to loops.
     */
    static double[] floorAt(List<List<Point3>> faces, double station, double... buttLines) {
        double plane = station + 1e-9;
        double[] least = new double[buttLines.length];
        Arrays.fill(least, Double.POSITIVE_INFINITY);
        List<Point3> crossed = new ArrayList<>();
        for (List<Point3> face : faces) {
            crossed.clear();
            Point3 p = face.get(face.size() - 1);
            for (int i = 0; i < face.size(); i++) {
                Point3 q = face.get(i);
                double hp = p.x() - plane;
                double hq = q.x() - plane;
                if (hp <= 0 != hq <= 0) {
                    // from the same side whichever face asks, so that two faces agree on where their edge is met
                    crossed.add(hp <= 0 ? p.toward(q, hp / (hp - hq)) : q.toward(p, hq / (hq - hp)));
                }
                p = q;
            }
            if (crossed.size() > 2) {
                Point3 along = crossed.get(1).minus(crossed.get(0));
                crossed.sort(Comparator.comparingDouble(along::dot));
            }
            for (int i = 0; i + 1 < crossed.size(); i += 2) {
                lower(least, buttLines, crossed.get(i), crossed.get(i + 1));
            }
        }
        return least;
    }

    /** The same at every one of these stations. */
    static double[][] floorsAt(List<List<Point3>> faces, double[] stations, double[] buttLines) {
        List<List<Point3>> near = new ArrayList<>();
        for (List<Point3> face : faces) {
            if (meets(face, stations, buttLines)) {
                near.add(face);
            }
        }
        double[][] floors = new double[stations.length][];
        for (int i = 0; i < stations.length; i++) {
            floors[i] = floorAt(near, stations[i], buttLines);
        }
        return floors;
    }

    /** Whether a face can lie over or under a place of a grid, whose lines are in order. */
    private static boolean meets(List<Point3> face, double[] stations, double[] buttLines) {
        double front = Double.POSITIVE_INFINITY;
        double back = Double.NEGATIVE_INFINITY;
        double left = Double.POSITIVE_INFINITY;
        double right = Double.NEGATIVE_INFINITY;
        for (int i = 0; i < face.size(); i++) {
            Point3 p = face.get(i);
            front = Math.min(front, p.x());
            back = Math.max(back, p.x());
            left = Math.min(left, p.y());
            right = Math.max(right, p.y());
        }
        return front - NEAR <= stations[stations.length - 1]
                && back + NEAR >= stations[0]
                && left - NEAR <= buttLines[buttLines.length - 1]
                && right + NEAR >= buttLines[0];
    }

    private static void lower(double[] least, double[] buttLines, Point3 a, Point3 b) {
        for (int k = 0; k < buttLines.length; k++) {
            if (a.y() <= buttLines[k] != b.y() <= buttLines[k]) {
                least[k] = Math.min(least[k], a.z() + (buttLines[k] - a.y()) / (b.y() - a.y()) * (b.z() - a.z()));
            }
        }
    }

    /** Loops, in no particular order; corners on the plane are taken to lie a hair beyond it. */
    static List<List<Point3>> of(List<List<Point3>> faces, Point3 normal, double offset) {
        Map<Edge, List<Edge>> next = new HashMap<>();
        Map<Edge, Point3> where = new HashMap<>();
        double plane = offset + 1e-9;
        for (List<Point3> face : faces) {
            List<Edge> crossed = new ArrayList<>();
            for (int i = 0; i < face.size(); i++) {
                Point3 p = face.get(i);
                Point3 q = face.get((i + 1) % face.size());
                double hp = normal.dot(p) - plane;
                double hq = normal.dot(q) - plane;
                if (hp <= 0 != hq <= 0) {
                    Edge edge = Edge.of(p, q);
                    crossed.add(edge);
                    where.put(edge, p.toward(q, hp / (hp - hq)));
                }
            }
            if (crossed.size() > 2) {
                Point3 along = where.get(crossed.get(1)).minus(where.get(crossed.get(0)));
                crossed.sort(Comparator.comparingDouble(e -> along.dot(where.get(e))));
            }
            for (int i = 0; i + 1 < crossed.size(); i += 2) {
                next.computeIfAbsent(crossed.get(i), k -> new ArrayList<>()).add(crossed.get(i + 1));
                next.computeIfAbsent(crossed.get(i + 1), k -> new ArrayList<>()).add(crossed.get(i));
            }
        }
        List<List<Point3>> loops = new ArrayList<>();
        Set<Edge> done = new HashSet<>();
        for (Edge start : next.keySet()) {
            List<Point3> loop = new ArrayList<>();
            Edge at = start;
            while (at != null && done.add(at)) {
                loop.add(where.get(at));
                at = next.get(at).stream()
                        .filter(e -> !done.contains(e))
                        .findFirst()
                        .orElse(null);
            }
            if (loop.size() > 2) {
                loops.add(loop);
            }
        }
        return loops;
    }
}
