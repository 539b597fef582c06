package ration.network;

import java.util.ArrayList;
import java.util.List;
import java.util.TreeSet;

/** Minimum degree elimination order: the pressure with fewest neighbours goes first. */
final class FillReducingOrder {

    private FillReducingOrder() {
    }

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
            int node = byDegree.get(lowest).pollFirst();
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
}
