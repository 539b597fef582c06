package ration.network;

import org.ejml.data.DMatrixRMaj;
import org.ejml.dense.row.CommonOps_DDRM;

/**
 * Newton steps on the convex content (Todini and Pilati's gradient method, from memory): flows and pressures of an attempt
 * for the states its valves have.
 *
 * <p>A regulator that holds its node is one more unknown, its flow, and one more equation, the node's pressure. The node is
 * also tied to that pressure by a conductance of its own: at the answer nothing passes the tie, and the equations stay
 * regular where nothing else sets a pressure there. A cut-off group is tied in the same way where it is.
 */
final class Newton {

    private final Attempt a;
    private final Structure s;
    private final double[] next;
    private final double[] before;

    Newton(Attempt attempt) {
        a = attempt;
        s = attempt.structure;
        next = new double[s.links];
        before = new double[s.links];
    }

    /** Whether the flows settled. */
    boolean settle() {
        if (a.holdings > 0 && contended()) {
            return false;
        }
        Elimination equations = s.elimination();
        boolean settled = iterate(equations);
        s.giveBack(equations);
        return settled;
    }

    /** Whether two regulators contend for a node, or hand its balance on in a ring. */
    private boolean contended() {
        int[] by = new int[s.nodes];
        for (int e = 0; e < s.links; e++) {
            if (a.holding[e]) {
                if (by[s.heldNode[e]] > 0 || s.held[s.heldNode[e]]) {
                    return true;
                }
                by[s.heldNode[e]] = e + 1;
            }
        }
        for (int i = 0; i < s.nodes; i++) {
            int at = i;
            for (int steps = 0; by[at] > 0; steps++) {
                if (steps > a.holdings) {
                    return true;
                }
                at = s.otherNode[by[at] - 1];
            }
        }
        return false;
    }

    private boolean iterate(Elimination equations) {
        a.evaluateAll();
        boolean balanced = false;
        double lastResidual = Double.MAX_VALUE;
        while (a.iterations < a.settings.iterationLimit()) {
            a.iterations++;
            if (!step(equations)) {
                return false;
            }
            if (balanced) {
                search();
            } else {
                System.arraycopy(next, 0, a.q, 0, s.links);
                a.evaluateAll();
                balanced = true;
            }
            double residual = residual();
            if (residual <= 1 || residual < 1e6 && residual >= lastResidual && coarselyGood()) {
                return true;
            }
            lastResidual = residual;
        }
        return false;
    }

    /** Solves the linearised equations for new pressures and the flows that go with them; false if singular. */
    private boolean step(Elimination equations) {
        if (!new Linear(a, equations).solve()) {
            return false;
        }
        for (int e = 0; e < s.links; e++) {
            next[e] = a.carries(e) ? a.q[e] + (a.pressure[s.from[e]] - a.pressure[s.to[e]] - a.loss[e]) / a.slope[e] : 0;
        }
        a.balanceHeld(next);
        return true;
    }

    /**
     * Moves along the step. The derivative of the convex content along it, which only grows, says where the lowest
     * point lies; the full step is taken unless it goes far past that.
     */
    private void search() {
        System.arraycopy(a.q, 0, before, 0, s.links);
        double start = along();
        System.arraycopy(next, 0, a.q, 0, s.links);
        a.evaluateAll();
        double end = along();
        if (end <= 0.5 * Math.abs(start) || start >= 0) {
            return;
        }
        double low = 0;
        double high = 1;
        for (int i = 0; i < 60 && end > 0.1 * Math.abs(start) && high - low > 1e-15; i++) {
            double middle = (low + high) / 2;
            move(middle);
            double value = along();
            if (value >= 0) {
                high = middle;
                end = value;
            } else {
                low = middle;
            }
        }
        move(high);
    }

    private void move(double t) {
        for (int e = 0; e < s.links; e++) {
            a.q[e] = before[e] + t * (next[e] - before[e]);
        }
        a.evaluateAll();
    }

    /** Derivative of the content along the step, at the flows the losses belong to. */
    private double along() {
        double sum = 0;
        for (int e = 0; e < s.links; e++) {
            if (a.carries(e)) {
                sum += (next[e] - before[e]) * (a.loss[e] - a.pressure[s.from[e]] + a.pressure[s.to[e]]);
            }
        }
        return sum;
    }

    /**
     * Worst pressure error over what is wanted: a hundred-thousand-millionth of the largest loss, which Newton reaches at once, and
     * what rounding leaves of the largest pressure. Much less is wanted while only the valves' states are sought.
     */
    private double residual() {
        double largest = 0;
        double worst = 0;
        double pressures = 0;
        for (int e = 0; e < s.links; e++) {
            if (a.carries(e)) {
                largest = Math.max(largest, Math.abs(a.loss[e]));
                pressures = Math.max(pressures, Math.abs(a.pressure[s.from[e]]));
                worst = Math.max(worst, Math.abs(a.loss[e] - a.pressure[s.from[e]] + a.pressure[s.to[e]]));
            }
        }
        double wanted = a.steepReverse && s.anyOneWay ? 1e-4 * largest + SolverSettings.PRESSURE_TOLERANCE
                : 1e-11 * largest + 1e-13 * pressures + 1e-9;
        return worst / wanted;
    }

    /** Within a thousandth of the pressure tolerance, and no flow in doubt by a tenth of the mass tolerance. */
    private boolean coarselyGood() {
        for (int e = 0; e < s.links; e++) {
            double error = a.pressureError(e);
            if (error > 1e-3 * SolverSettings.PRESSURE_TOLERANCE || error / a.slope[e] > 0.1 * SolverSettings.MASS_TOLERANCE) {
                return false;
            }
        }
        return true;
    }

    /**
     * The linearised equations of an attempt as it stands, assembled and solved for what its pressures change by: near the
     * answer that is little, and its rounding less.
     */
    static final class Linear {

        private final Attempt a;
        private final Structure s;
        private final Elimination equations;
        private final int[] regulators;
        /** Pressures of all nodes per flow of each regulator that holds. */
        private final double[][] perFlow;

        Linear(Attempt attempt, Elimination equations) {
            a = attempt;
            s = attempt.structure;
            this.equations = equations;
            regulators = new int[a.holdings];
            int k = 0;
            for (int e = 0; e < s.links && k < regulators.length; e++) {
                if (a.holding[e]) {
                    regulators[k++] = e;
                }
            }
            perFlow = new double[regulators.length][];
        }

        /** Changes the pressures of the attempt; false if the equations are singular. */
        boolean solve() {
            double[] x = new double[s.nodes];
            if (!assemble(x) || !equations.solve(x) || !holdingFlows(x)) {
                return false;
            }
            for (int i = 0; i < s.nodes; i++) {
                if (!s.held[i]) {
                    a.pressure[i] += x[i];
                }
            }
            for (int e : regulators) {
                a.pressure[s.heldNode[e]] = a.network.setting[e];
            }
            return true;
        }

        private boolean assemble(double[] right) {
            equations.clear();
            for (int i = 0; i < s.nodes; i++) {
                right[i] = -a.network.demand[i];
            }
            for (int e = 0; e < s.links; e++) {
                if (!a.carries(e)) {
                    continue;
                }
                int from = s.from[e];
                int to = s.to[e];
                double g = 1 / a.slope[e];
                double known = a.q[e] + (a.pressure[from] - a.pressure[to] - a.loss[e]) * g;
                equations.add(e, g);
                right[from] -= known;
                right[to] += known;
            }
            for (int i = 0; i < s.nodes; i++) {
                if ((a.pinned[i] || a.heldByRegulator[i]) && !s.held[i]) {
                    equations.tie(i);
                }
            }
            return equations.factorise();
        }

        /** Adds what the regulators' flows do to the pressures, so that each holds its node. */
        private boolean holdingFlows(double[] x) {
            int n = regulators.length;
            if (n == 0) {
                return true;
            }
            DMatrixRMaj slopes = new DMatrixRMaj(n, n);
            DMatrixRMaj off = new DMatrixRMaj(n, 1);
            DMatrixRMaj flows = new DMatrixRMaj(n, 1);
            for (int r = 0; r < n; r++) {
                perFlow[r] = new double[s.nodes];
                perFlow[r][s.from[regulators[r]]] = -1;
                perFlow[r][s.to[regulators[r]]] += 1;
                if (!equations.solve(perFlow[r])) {
                    return false;
                }
                off.set(r, 0, a.network.setting[regulators[r]] - a.pressure[s.heldNode[regulators[r]]] - x[s.heldNode[regulators[r]]]);
            }
            for (int i = 0; i < n; i++) {
                for (int r = 0; r < n; r++) {
                    slopes.set(i, r, perFlow[r][s.heldNode[regulators[i]]]);
                }
            }
            if (n == 1 ? !one(slopes, off, flows) : !CommonOps_DDRM.solve(slopes, off, flows)) {
                return false;
            }
            for (int r = 0; r < n; r++) {
                double flow = flows.get(r, 0);
                if (!Double.isFinite(flow)) {
                    return false;
                }
                for (int i = 0; i < s.nodes; i++) {
                    x[i] += s.held[i] ? 0 : flow * perFlow[r][i];
                }
            }
            return true;
        }

        private static boolean one(DMatrixRMaj slope, DMatrixRMaj off, DMatrixRMaj flow) {
            flow.set(0, 0, off.get(0, 0) / slope.get(0, 0));
            return slope.get(0, 0) != 0;
        }
    }
}
