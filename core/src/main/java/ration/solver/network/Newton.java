package ration.solver.network;

import org.ejml.data.DMatrixRMaj;
import org.ejml.dense.row.CommonOps_DDRM;

/**
 * Newton steps on the convex content (Todini and Pilati's gradient method, from memory): flows and pressures of an
 * attempt for the states its valves have.
 *
 * <p>A regulator that holds its node is one more unknown, its flow, and one more equation, the node's pressure. The
 * node is also tied to that pressure by a conductance of its own: at the answer nothing passes the tie, and the
 * equations stay regular where nothing else sets a pressure there. A cut-off group is tied in the same way where it is.
 */
final class Newton {

    /** A step that changes no flow by more than this share of it is followed along the slopes. */
    private static final double NEAR = 1e-7;
    /** No flow at all, m3/s. */
    private static final double NOTHING = 1e-18;

    private final Attempt a;
    private final Structure s;
    /** Links that pass fuel by their own law, in this settling. */
    private final int[] carrying;

    private final double[] next;
    private final double[] before;
    /** Derivatives of the convex content along the last step, where it began and where it ended. */
    private double start;

    private double end;
    private double residual;

    Newton(Attempt attempt) {
        a = attempt;
        s = attempt.structure;
        carrying = attempt.carrying();
        next = new double[s.links];
        before = new double[s.links];
    }

    /** Whether the flows settled. */
    boolean settle() {
        if (a.holdings > 0 && contended()) {
            return false;
        }
        Elimination equations = s.elimination();
        boolean settled = iterate(new Linear(a, carrying, equations));
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

    private boolean iterate(Linear equations) {
        arrive();
        boolean balanced = false;
        double lastResidual = Double.MAX_VALUE;
        while (a.iterations < a.settings.iterationLimit()) {
            a.iterations++;
            if (!equations.solve()) {
                return false;
            }
            step(equations.conductance);
            if (balanced) {
                search();
            }
            balanced = true;
            if (residual <= 1 || residual < 1e6 && residual >= lastResidual && coarselyGood()) {
                return true;
            }
            lastResidual = residual;
        }
        return false;
    }

    /** Goes to the flows that belong to the new pressures. */
    private void step(double[] conductance) {
        start = 0;
        boolean near = !(a.steepReverse && s.anyOneWay);
        System.arraycopy(a.q, 0, before, 0, s.links);
        for (int e : carrying) {
            double off = a.pressure[s.from[e]] - a.pressure[s.to[e]] - a.loss[e];
            double move = off * conductance[e];
            next[e] = a.q[e] + move;
            start -= move * off;
            near &= Math.abs(move) <= NEAR * Math.abs(a.q[e]) + NOTHING;
        }
        if (a.holdings > 0) {
            a.balanceHeld(next);
        }
        System.arraycopy(next, 0, a.q, 0, s.links);
        if (near) {
            follow();
        } else {
            arrive();
        }
    }

    /** Losses along their slopes: what their curvature adds is under the last digits that count. */
    private void follow() {
        for (int e : carrying) {
            a.loss[e] += a.slope[e] * (next[e] - before[e]);
        }
        look();
    }

    /**
     * Turns back on the step where it goes too far. The derivative of the convex content along it, which only grows,
     * says where the lowest point lies; the full step stands unless it goes far past that.
     */
    private void search() {
        double allowed = Math.abs(start);
        if (end <= 0.5 * allowed || start >= 0) {
            return;
        }
        double low = 0;
        double high = 1;
        double atHigh = end;
        for (int i = 0; i < 60 && atHigh > 0.1 * allowed && high - low > 1e-15; i++) {
            double middle = (low + high) / 2;
            move(middle);
            if (end >= 0) {
                high = middle;
                atHigh = end;
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
        arrive();
    }

    /** Losses at the flows as they are, and how far they are from the pressures. */
    private void arrive() {
        for (int e : carrying) {
            a.evaluate(e);
        }
        look();
    }

    /**
     * How far the losses are from the pressures: along the step, and at worst over what is wanted. That is a
     * hundred-thousand-millionth of the largest loss, which Newton reaches at once, and what rounding leaves of the
     * largest pressure. Much less is wanted while only the valves' states are sought.
     */
    private void look() {
        double largest = 0;
        double worst = 0;
        double pressures = 0;
        end = 0;
        for (int e : carrying) {
            double from = Math.abs(a.pressure[s.from[e]]);
            double loss = Math.abs(a.loss[e]);
            double off = a.loss[e] - a.pressure[s.from[e]] + a.pressure[s.to[e]];
            end += (next[e] - before[e]) * off;
            largest = loss > largest ? loss : largest;
            pressures = from > pressures ? from : pressures;
            worst = Math.abs(off) > worst ? Math.abs(off) : worst;
        }
        double wanted = a.steepReverse && s.anyOneWay
                ? 1e-4 * largest + SolverSettings.PRESSURE_TOLERANCE
                : 1e-11 * largest + 1e-13 * pressures + 1e-9;
        residual = Double.isNaN(end) ? end : worst / wanted;
    }

    /** Within a thousandth of the pressure tolerance, and no flow in doubt by a tenth of the mass tolerance. */
    private boolean coarselyGood() {
        for (int e = 0; e < s.links; e++) {
            double error = a.pressureError(e);
            if (error > 1e-3 * SolverSettings.PRESSURE_TOLERANCE
                    || error / a.slope[e] > 0.1 * SolverSettings.MASS_TOLERANCE) {
                return false;
            }
        }
        return true;
    }

    /**
     * The linearised equations of an attempt as it stands, assembled and solved for what its pressures change by: near
     * the answer that is little, and its rounding less.
     */
    static final class Linear {

        private final Attempt a;
        private final Structure s;
        private final int[] carrying;
        private final Elimination equations;
        private final double[] x;
        /** By link, one over its slope. */
        final double[] conductance;

        private final int[] regulators;
        /** Pressures of all nodes per flow of each regulator that holds. */
        private final double[][] perFlow;

        Linear(Attempt attempt, int[] carrying, Elimination equations) {
            a = attempt;
            s = attempt.structure;
            this.carrying = carrying;
            this.equations = equations;
            x = new double[s.nodes];
            conductance = new double[s.links];
            regulators = attempt.regulators();
            perFlow = new double[regulators.length][];
        }

        /** Changes the pressures of the attempt; false if the equations are singular. */
        boolean solve() {
            if (!assemble() || !equations.solve(x) || !holdingFlows()) {
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

        private boolean assemble() {
            equations.clear();
            for (int i = 0; i < s.nodes; i++) {
                x[i] = -a.network.demand[i];
            }
            for (int e : carrying) {
                int from = s.from[e];
                int to = s.to[e];
                double g = 1 / a.slope[e];
                double known = a.q[e] + (a.pressure[from] - a.pressure[to] - a.loss[e]) * g;
                conductance[e] = g;
                equations.add(e, g);
                x[from] -= known;
                x[to] += known;
            }
            for (int i = 0; i < s.nodes; i++) {
                if ((a.pinned[i] || a.heldByRegulator[i]) && !s.held[i]) {
                    equations.tie(i);
                }
            }
            return equations.factorise();
        }

        /** Adds what the regulators' flows do to the pressures, so that each holds its node. */
        private boolean holdingFlows() {
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
                off.set(
                        r,
                        0,
                        a.network.setting[regulators[r]]
                                - a.pressure[s.heldNode[regulators[r]]]
                                - x[s.heldNode[regulators[r]]]);
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
