package ration.geometry;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** Where a plane meets the faces of a closed solid. */
final class Cut {

    /** An edge in either direction. */
    private record Edge(Point3 a, Point3 b) {
        static Edge of(Point3 p, Point3 q) {
            int order = Comparator.comparingDouble(Point3::x).thenComparingDouble(Point3::y)
                    .thenComparingDouble(Point3::z).compare(p, q);
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

    private Cut() {
    }

    /**
     * Water line of the lowest of these faces straight over or under a place; infinite beside them. Where the plane of the station
     * meets each face, without joining that to loops.
     */
    static double floorAt(List<List<Point3>> faces, double station, double buttLine) {
        double plane = station + 1e-9;
        double least = Double.POSITIVE_INFINITY;
        for (List<Point3> face : faces) {
            List<Point3> crossed = new ArrayList<>(2);
            Point3 p = face.get(face.size() - 1);
            for (Point3 q : face) {
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
                Point3 a = crossed.get(i);
                Point3 b = crossed.get(i + 1);
                if (a.y() <= buttLine != b.y() <= buttLine) {
                    least = Math.min(least, a.z() + (buttLine - a.y()) / (b.y() - a.y()) * (b.z() - a.z()));
                }
            }
        }
        return least;
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
                at = next.get(at).stream().filter(e -> !done.contains(e)).findFirst().orElse(null);
            }
            if (loop.size() > 2) {
                loops.add(loop);
            }
        }
        return loops;
    }
}
