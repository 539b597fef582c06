package ration.publish.drawing;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import ration.publish.drawing.Mark.Spot;

/**
 * Closed outlines of where a grid of values lies under a level, by marching squares; beyond the grid counts as over it.
 */
final class Contours {

    private final double[][] value;
    private final double level;

    private Contours(double[][] value, double level) {
        this.value = value;
        this.level = level;
    }

    /** Rings in grid steps: x along a row, y over the rows. */
    static List<List<Spot>> under(double[][] value, double level) {
        return new Contours(value, level).rings();
    }

    /** An edge between two neighbours of the grid with a border round it. */
    private record Edge(int row, int column, boolean down) {}

    private double at(int row, int column) {
        boolean in = row >= 0 && column >= 0 && row < value.length && column < value[0].length;
        return in ? value[row][column] : Double.POSITIVE_INFINITY;
    }

    private boolean under(int row, int column) {
        return at(row, column) < level;
    }

    private List<List<Spot>> rings() {
        Map<Edge, List<Edge>> next = new HashMap<>();
        for (int r = -1; r < value.length; r++) {
            for (int c = -1; c < value[0].length; c++) {
                cell(r, c, next);
            }
        }
        List<List<Spot>> rings = new ArrayList<>();
        Set<Edge> done = new HashSet<>();
        for (Edge start : next.keySet()) {
            List<Spot> ring = new ArrayList<>();
            Edge at = start;
            while (at != null && done.add(at)) {
                ring.add(place(at));
                at = next.get(at).stream()
                        .filter(e -> !done.contains(e))
                        .findFirst()
                        .orElse(null);
            }
            if (ring.size() > 2) {
                rings.add(ring);
            }
        }
        return rings;
    }

    private void cell(int r, int c, Map<Edge, List<Edge>> next) {
        List<Edge> crossed = new ArrayList<>();
        add(crossed, under(r, c) != under(r, c + 1), new Edge(r, c, false));
        add(crossed, under(r, c + 1) != under(r + 1, c + 1), new Edge(r, c + 1, true));
        add(crossed, under(r + 1, c) != under(r + 1, c + 1), new Edge(r + 1, c, false));
        add(crossed, under(r, c) != under(r + 1, c), new Edge(r, c, true));
        if (crossed.size() == 2) {
            join(next, crossed.get(0), crossed.get(1));
        } else if (crossed.size() == 4) {
            boolean first = under(r, c);
            join(next, crossed.get(0), first ? crossed.get(3) : crossed.get(1));
            join(next, crossed.get(2), first ? crossed.get(1) : crossed.get(3));
        }
    }

    private static void add(List<Edge> crossed, boolean yes, Edge edge) {
        if (yes) {
            crossed.add(edge);
        }
    }

    private static void join(Map<Edge, List<Edge>> next, Edge a, Edge b) {
        next.computeIfAbsent(a, k -> new ArrayList<>()).add(b);
        next.computeIfAbsent(b, k -> new ArrayList<>()).add(a);
    }

    private Spot place(Edge e) {
        double a = at(e.row(), e.column());
        double b = e.down() ? at(e.row() + 1, e.column()) : at(e.row(), e.column() + 1);
        double t = Double.isInfinite(a) ? 1 : Double.isInfinite(b) ? 0 : (level - a) / (b - a);
        return e.down() ? new Spot(e.column(), e.row() + t) : new Spot(e.column() + t, e.row());
    }
}
