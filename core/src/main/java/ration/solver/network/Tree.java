package ration.solver.network;

import java.util.Arrays;
import java.util.Comparator;

/**
 * How every node hangs on those whose pressure is known, over links that carry fuel. Links that resist most stay off
 * the tree and close its loops: their flow is known best. It depends on what is open and what is held only, so a
 * network keeps the last one. Immutable.
 */
final class Tree {

    /** The link by which a node hangs on the tree, -1 where it does not, and the node above it. */
    final int[] by;

    final int[] above;
    /** Nodes reached, each after the one it hangs on. */
    final int[] sequence;

    private final Structure s;
    private final boolean[] out;
    private final boolean[] holding;
    private final boolean[] pinned;
    /** Nodes held by a regulator or pinned. */
    private final boolean[] ties;

    private final boolean complete;

    Tree(Attempt of) {
        s = of.structure;
        out = of.out.clone();
        holding = of.holding.clone();
        pinned = of.pinned.clone();
        ties = pinned.clone();
        boolean pins = false;
        for (int i = 0; i < ties.length; i++) {
            pins |= pinned[i];
            ties[i] |= of.heldByRegulator[i];
        }
        by = new int[s.nodes];
        above = new int[s.nodes];
        int[] order = new int[s.nodes];
        int reached = grow(spanning(), order);
        sequence = Arrays.copyOf(order, reached);
        complete = !pins && reached == s.nodes;
    }

    /** Whether every node hangs on a pressure that is given or held, none on a pin. */
    boolean complete() {
        return complete;
    }

    /** Whether it is that of an attempt as it stands. */
    boolean of(Attempt attempt) {
        return Arrays.equals(out, attempt.out)
                && Arrays.equals(holding, attempt.holding)
                && Arrays.equals(pinned, attempt.pinned);
    }

    /** Which links a tree is made of first: those that resist least. */
    static int[] leastFirst(double[] slope) {
        Integer[] order = new Integer[slope.length];
        Arrays.setAll(order, e -> e);
        Arrays.sort(order, Comparator.comparingDouble(e -> slope[e]));
        return Arrays.stream(order).mapToInt(e -> e).toArray();
    }

    private boolean carries(int e) {
        return !out[e] && !holding[e];
    }

    /** A spanning forest in which all known pressures count as one node. */
    private boolean[] spanning() {
        int[] group = new int[s.nodes + 1];
        for (int i = 0; i <= s.nodes; i++) {
            group[i] = i < s.nodes && known(i) ? s.nodes : i;
        }
        boolean[] inTree = new boolean[s.links];
        for (int e : s.leastFirst()) {
            if (carries(e)) {
                int from = root(group, s.from[e]);
                int to = root(group, s.to[e]);
                inTree[e] = from != to;
                group[from == s.nodes ? to : from] = from == s.nodes ? from : to;
            }
        }
        return inTree;
    }

    private boolean known(int node) {
        return s.held[node] || ties[node];
    }

    private static int root(int[] group, int i) {
        int r = i;
        while (group[r] != r) {
            group[r] = group[group[r]];
            r = group[r];
        }
        return r;
    }

    /** Puts the nodes in an order in which each comes after the one it hangs on; how many there are. */
    private int grow(boolean[] inTree, int[] order) {
        Arrays.fill(by, -1);
        boolean[] seen = new boolean[s.nodes];
        int reached = 0;
        for (int i = 0; i < s.nodes; i++) {
            if (known(i)) {
                seen[i] = true;
                order[reached++] = i;
            }
        }
        for (int k = 0; k < reached; k++) {
            int node = order[k];
            for (int e : s.linksAt(node)) {
                int other = s.from[e] == node ? s.to[e] : s.from[e];
                if (inTree[e] && !seen[other]) {
                    seen[other] = true;
                    by[other] = e;
                    above[other] = node;
                    order[reached++] = other;
                }
            }
        }
        return reached;
    }
}
