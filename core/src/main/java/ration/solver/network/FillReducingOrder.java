package ration.solver.network;

import java.util.ArrayList;
import java.util.List;
import java.util.TreeSet;

/**
 * Minimum degree elimination order: the pressure with fewest neighbours goes first, among some of those the one that
 * fills in least.
 */
final class FillReducingOrder {

    /** So many nodes with equally few neighbours are looked at: more costs time and finds little. */
    private static final int ASKED = 4;

    private FillReducingOrder() {}

    /** For each unknown its place in the elimination order. Takes the neighbour sets apart on a copy. */
    static int[] minimumDegree(List<TreeSet<Integer>> neighbours) {
        int n = neighbours.size();
        List<TreeSet<Integer>> graph = new ArrayList<>(n);
        List<TreeSet<Integer>> byDegree = new ArrayList<>();
        for (int i = 0; i < n; i++) {
            graph.add(new TreeSet<>(neighbours.get(i)));
            byDegree.add(new TreeSet<>());
        }
        byDegree.add(new TreeSet<>());
        for (int i = 0; i < n; i++) {
            byDegree.get(graph.get(i).size()).add(i);
        }
        int[] place = new int[n];
        int lowest = 0;
        for (int next = 0; next < n; next++) {
            while (byDegree.get(lowest).isEmpty()) {
                lowest++;
            }
            int node = leastFill(byDegree.get(lowest), graph);
            byDegree.get(lowest).remove(node);
            place[node] = next;
            TreeSet<Integer> around = graph.get(node);
            for (int a : around) {
                TreeSet<Integer> ofA = graph.get(a);
                byDegree.get(ofA.size()).remove(a);
                ofA.addAll(around);
                ofA.remove(a);
                ofA.remove(node);
                byDegree.get(ofA.size()).add(a);
                lowest = Math.min(lowest, ofA.size());
            }
        }
        return place;
    }

    /**
     * Of nodes with equally many neighbours, the one whose neighbours know each other best already; asked of the first
     * few.
     */
    private static int leastFill(TreeSet<Integer> alike, List<TreeSet<Integer>> graph) {
        int best = alike.first();
        int least = Integer.MAX_VALUE;
        int asked = 0;
        for (int node : alike) {
            int fill = 0;
            for (int a : graph.get(node)) {
                for (int b : graph.get(node).headSet(a)) {
                    fill += graph.get(a).contains(b) ? 0 : 1;
                }
            }
            if (fill < least) {
                least = fill;
                best = node;
            }
            if (least == 0 || ++asked == ASKED) {
                break;
            }
        }
        return best;
    }
}
