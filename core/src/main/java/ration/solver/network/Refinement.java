package ration.solver.network;

/**
 * The last digits of an answer. Newton's pressures come out of one system of equations in which a joint conducts ten
 * thousand million times what a fine line does, so they carry its rounding: some 1e-5 Pa, and from that the flows
 * through joints. Here the flows of a spanning tree follow from the balance of each node, and the pressures from the
 * losses along it, from the nodes whose pressure is known outwards.
 */
final class Refinement {

    private final Attempt a;
    private final Structure s;
    private final Tree tree;

    Refinement(Attempt attempt) {
        a = attempt;
        s = attempt.structure;
        tree = s.tree(attempt);
    }

    void refine() {
        double[] before = a.q.clone();
        for (int pass = 0; pass <= Math.min(1, a.holdings); pass++) {
            balance();
        }
        follow(before);
        for (int node : tree.sequence) {
            int link = tree.by[node];
            if (link >= 0) {
                a.pressure[node] = a.pressure[tree.above[node]] + (s.from[link] == node ? a.loss[link] : -a.loss[link]);
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

    /** Gives each link of the tree what the balance of the node under it leaves, from the tips inwards. */
    private void balance() {
        for (int k = tree.sequence.length - 1; k >= 0; k--) {
            int node = tree.sequence[k];
            int own = tree.by[node];
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
