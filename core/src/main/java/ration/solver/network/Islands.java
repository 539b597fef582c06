package ration.solver.network;

/**
 * Groups of nodes that no open link joins to a held pressure. One node of each is pinned where it is, so that the
 * equations stay regular; one that asks for fuel ends the attempt with the reason.
 */
final class Islands {

    private final Attempt attempt;
    private final Structure s;
    private final int[] group;
    private final boolean[] supplied;
    private final double[] asked;
    private final double[] most;

    Islands(Attempt attempt) {
        this.attempt = attempt;
        s = attempt.structure;
        group = new int[s.nodes];
        supplied = new boolean[s.nodes];
        asked = new double[s.nodes];
        most = new double[s.nodes];
    }

    /** Finds and pins them; a sentence if one asks for fuel, else null. */
    String pin() {
        if (s.hangsTogether(attempt)) {
            return null;
        }
        join();
        for (int i = 0; i < s.nodes; i++) {
            int r = root(i);
            supplied[r] |= s.held[i] || attempt.heldByRegulator[i];
            asked[r] += attempt.network.demand[i];
            most[r] = Math.max(most[r], Math.abs(attempt.network.demand[i]));
        }
        for (int i = 0; i < s.nodes; i++) {
            int r = root(i);
            attempt.cutOff[i] = !supplied[r];
            attempt.pinned[i] = !supplied[r] && r == i;
            if (!supplied[r]
                    && Math.abs(asked[r]) > 1e-12 * Math.max(most[r], 1e-6)
                    && attempt.network.demand[i] != 0) {
                return fed(r, asked[r] > 0)
                        ? pin()
                        : "No open path to " + s.problem.nodes().get(i).id() + ".";
            }
        }
        for (int e = 0; e < s.links; e++) {
            if (attempt.holding[e] && attempt.cutOff[s.otherNode[e]]) {
                return opened(e)
                        ? pin()
                        : "Pressure downstream of " + s.name(e) + " is undefined: closed off from every tank.";
            }
        }
        return null;
    }

    /**
     * Whether some valve at a cut-off group may be held shut wrongly. Whether it would open is known of pressures on
     * both sides only, and a group has none; but one that could only give fuel, or only take it, passes nothing: these
     * valves are right.
     */
    boolean undecided() {
        join();
        for (int i = 0; i < s.nodes; i++) {
            supplied[root(i)] |= s.held[i] || attempt.heldByRegulator[i];
            asked[root(i)] += Math.abs(attempt.network.demand[i]);
        }
        boolean[] gives = new boolean[s.nodes];
        boolean[] takes = new boolean[s.nodes];
        for (int e = 0; e < s.links; e++) {
            int from = root(s.from[e]);
            int to = root(s.to[e]);
            if (attempt.holding[e] && !(supplied[from] && supplied[to])
                    || attempt.out[e] && !s.shut[e] && !supplied[from] && from == to) {
                return true;
            }
            gives[from] |= attempt.out[e] && !s.shut[e];
            takes[to] |= attempt.out[e] && !s.shut[e];
        }
        for (int i = 0; i < s.nodes; i++) {
            if (root(i) == i && !supplied[i] && (gives[i] && takes[i] || asked[i] > 0 && (gives[i] || takes[i]))) {
                return true;
            }
        }
        return false;
    }

    /**
     * Opens the valves that are held shut and could feed a group, or take what it gives; whether there are any. While
     * the states were sought, fuel that came through the steep reverse of another valve may have hidden that these are
     * needed.
     */
    private boolean fed(int region, boolean asks) {
        boolean any = false;
        for (int e = 0; e < s.links; e++) {
            int inside = root(asks ? s.to[e] : s.from[e]);
            int outside = root(asks ? s.from[e] : s.to[e]);
            if (attempt.out[e]
                    && s.oneWay[e]
                    && !s.shut[e]
                    && s.heldNode[e] < 0
                    && inside == region
                    && outside != region) {
                attempt.out[e] = false;
                attempt.q[e] = s.firstFlow[e];
                any = true;
            }
        }
        return any;
    }

    private void join() {
        for (int i = 0; i < s.nodes; i++) {
            group[i] = i;
            supplied[i] = false;
            asked[i] = 0;
            most[i] = 0;
        }
        for (int e = 0; e < s.links; e++) {
            if (attempt.carries(e)) {
                int a = root(s.from[e]);
                int b = root(s.to[e]);
                group[Math.max(a, b)] = Math.min(a, b);
            }
        }
    }

    /** Opens the valves through which what a regulator passes can come or go; whether there are any. */
    private boolean opened(int regulator) {
        int region = root(s.otherNode[regulator]);
        boolean leaves = s.otherNode[regulator] == s.to[regulator];
        boolean any = false;
        for (int e = 0; e < s.links; e++) {
            int inside = root(leaves ? s.from[e] : s.to[e]);
            int outside = root(leaves ? s.to[e] : s.from[e]);
            if (attempt.out[e] && !s.shut[e] && s.heldNode[e] < 0 && inside == region && outside != region) {
                attempt.out[e] = false;
                attempt.q[e] = s.firstFlow[e];
                any = true;
            }
        }
        return any;
    }

    private int root(int i) {
        int r = i;
        while (group[r] != r) {
            group[r] = group[group[r]];
            r = group[r];
        }
        return r;
    }
}
