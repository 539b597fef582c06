package ration.network;

import java.util.Arrays;
import java.util.Comparator;

/**
 * The last digits of an answer. Newton's pressures come out of one system of equations in which a joint conducts ten
 * thousand million times what a fine line does, so they carry its rounding: some 1e-5 Pa, and from that the flows through
 * joints. Here the flows of a spanning tree follow from the balance of each node, and the pressures from the losses along
 * it, from the nodes whose pressure is known outwards. Links that resist most stay off the tree and close its loops: their
 * flow is known best.
 */
final class Refinement {

    /** Which links a tree is made of first: those that resist least. Worked out once for a network. */
    static int[] order(Characteristic[] laws, double[] firstFlow) {
        double[] slope = new double[laws.length];
        Drop drop = new Drop();
        for (int e = 0; e < laws.length; e++) {
            laws[e].at(firstFlow[e], drop);
            slope[e] = drop.slope;
        }
        Integer[] order = new Integer[laws.length];
        Arrays.setAll(order, e -> e);
        Arrays.sort(order, Comparator.comparingDouble(e -> slope[e]));
        return Arrays.stream(order).mapToInt(e -> e).toArray();
    }

    private final Attempt a;
    private final Structure s;
    /** The link by which a node hangs on the tree, and the node above it; -1 for those whose pressure is known. */
    private final int[] by;
    private final int[] above;
    private final int[] sequence;
    private int reached;

    Refinement(Attempt attempt) {
        a = attempt;
        s = attempt.structure;
        by = new int[s.nodes];
        above = new int[s.nodes];
        sequence = new int[s.nodes];
    }

    void refine() {
        boolean[] inTree = tree();
        grow(inTree);
        double[] before = a.q.clone();
        for (int pass = 0; pass <= Math.min(1, a.holdings); pass++) {
            balance();
        }
        follow(before);
        for (int k = 0; k < reached; k++) {
            int node = sequence[k];
            int link = by[node];
            if (link >= 0) {
                a.pressure[node] = a.pressure[above[node]] + (s.from[link] == node ? a.loss[link] : -a.loss[link]);
            }
        }
    }

    /** Losses at the flows as they are now: along the slope where they changed by their last digits only. */
    private void follow(double[] before) {
        boolean far = false;
        for (int e = 0; e < s.links; e++) {
            double change = a.q[e] - before[e];
            far |= a.carries(e) && Math.abs(change) > 1e-9 * Math.abs(a.q[e]);
            a.loss[e] += a.carries(e) ? a.slope[e] * change : 0;
        }
        if (far) {
            a.evaluateAll();
        }
    }

    /** A spanning forest in which all known pressures count as one node. */
    private boolean[] tree() {
        int[] group = new int[s.nodes + 1];
        for (int i = 0; i <= s.nodes; i++) {
            group[i] = i < s.nodes && known(i) ? s.nodes : i;
        }
        boolean[] inTree = new boolean[s.links];
        for (int e : s.leastFirst()) {
            if (a.carries(e)) {
                int from = root(group, s.from[e]);
                int to = root(group, s.to[e]);
                inTree[e] = from != to;
                group[from == s.nodes ? to : from] = from == s.nodes ? from : to;
            }
        }
        return inTree;
    }

    private boolean known(int node) {
        return s.held[node] || a.heldByRegulator[node] || a.pinned[node];
    }

    private static int root(int[] group, int i) {
        int r = i;
        while (group[r] != r) {
            group[r] = group[group[r]];
            r = group[r];
        }
        return r;
    }

    /** Puts the nodes in an order in which each comes after the one it hangs on. */
    private void grow(boolean[] inTree) {
        Arrays.fill(by, -1);
        boolean[] seen = new boolean[s.nodes];
        reached = 0;
        for (int i = 0; i < s.nodes; i++) {
            if (known(i)) {
                seen[i] = true;
                sequence[reached++] = i;
            }
        }
        for (int k = 0; k < reached; k++) {
            int node = sequence[k];
            for (int e : s.linksAt(node)) {
                int other = s.from[e] == node ? s.to[e] : s.from[e];
                if (inTree[e] && !seen[other]) {
                    seen[other] = true;
                    by[other] = e;
                    above[other] = node;
                    sequence[reached++] = other;
                }
            }
        }
    }

    /** Gives each link of the tree what the balance of the node under it leaves, from the tips inwards. */
    private void balance() {
        for (int k = reached - 1; k >= 0; k--) {
            int node = sequence[k];
            int own = by[node];
            if (own < 0) {
                continue;
            }
            double in = -a.network.demand[node];
            for (int e : s.linksAt(node)) {
                if (e != own && !a.out[e]) {
                    in += s.to[e] == node ? a.q[e] : -a.q[e];
                }
            }
            a.q[own] = s.from[own] == node ? in : -in;
        }
        a.balanceHeld(a.q);
    }
}
