package ration.solver.network;

import java.util.Optional;
import org.ejml.data.DMatrixRMaj;
import org.ejml.dense.row.CommonOps_DDRM;
import ration.solver.network.NetworkSolution.LinkState;

/**
 * What one flow of an answer does when anything in the network changes a little: all slopes from one solve of the
 * equations as they stand at the answer (adjoint method, textbook). They hold as long as no valve turns over.
 */
public final class Sensitivity {

    private final Attempt at;
    private final Structure s;
    private final int link;
    private final double[] adjoint;

    private Sensitivity(Attempt at, int link, double[] adjoint) {
        this.at = at;
        this.s = at.structure;
        this.link = link;
        this.adjoint = adjoint;
    }

    /** Of the flow through a link; empty where there is no answer, or a jet, whose lift follows another flow. */
    static Optional<Sensitivity> of(Network network, NetworkSolution solution, int link) {
        Structure s = network.structure;
        if (!solution.converged()) {
            return Optional.empty();
        }
        Attempt at = new Attempt(network, SolverSettings.USUAL, Attempt.Added.NOTHING, s.firstFlow);
        at.steepReverse = false;
        for (int e = 0; e < s.links; e++) {
            if (s.nozzle[e] >= 0) {
                return Optional.empty();
            }
            at.out[e] = solution.state(e) == LinkState.SHUT || solution.state(e) == LinkState.HELD_SHUT;
            at.hold(e, solution.state(e) == LinkState.REGULATING);
            at.q[e] = solution.flow(e);
        }
        if (at.islands().pin() != null) {
            return Optional.empty();
        }
        at.evaluateAll();
        double[] adjoint = adjoint(at, link);
        return adjoint == null ? Optional.empty() : Optional.of(new Sensitivity(at, link, adjoint));
    }

    private static double[] adjoint(Attempt at, int link) {
        Structure s = at.structure;
        Elimination equations = s.elimination();
        equations.clear();
        for (int e = 0; e < s.links; e++) {
            if (at.carries(e)) {
                equations.add(e, 1 / at.slope[e]);
            }
        }
        for (int i = 0; i < s.nodes; i++) {
            if ((at.pinned[i] || at.heldByRegulator[i]) && !s.held[i]) {
                equations.tie(i);
            }
        }
        double[] x = new double[s.nodes];
        if (at.carries(link)) {
            x[s.from[link]] += 1 / at.slope[link];
            x[s.to[link]] -= 1 / at.slope[link];
        }
        boolean solved = equations.factorise() && solve(at, equations, x) && borders(at, equations, x, link);
        s.giveBack(equations);
        return solved ? x : null;
    }

    /** Solves in place; nodes whose pressure is given feel nothing. */
    private static boolean solve(Attempt at, Elimination equations, double[] x) {
        boolean good = equations.solve(x);
        for (int i = 0; i < x.length; i++) {
            x[i] = at.structure.held[i] ? 0 : x[i];
        }
        return good;
    }

    /** Regulators that hold: what they pass is one more unknown each, the pressure of their node one more equation. */
    private static boolean borders(Attempt at, Elimination equations, double[] x, int link) {
        Structure s = at.structure;
        int n = at.holdings;
        if (n == 0) {
            return true;
        }
        int[] regulators = at.regulators();
        double[][] each = new double[n][s.nodes];
        DMatrixRMaj slopes = new DMatrixRMaj(n, n);
        DMatrixRMaj wanted = new DMatrixRMaj(n, 1);
        DMatrixRMaj weights = new DMatrixRMaj(n, 1);
        for (int j = 0; j < n; j++) {
            each[j][s.heldNode[regulators[j]]] = 1;
            if (!solve(at, equations, each[j])) {
                return false;
            }
        }
        for (int i = 0; i < n; i++) {
            int from = s.from[regulators[i]];
            int to = s.to[regulators[i]];
            wanted.set(i, 0, x[from] - x[to] - (regulators[i] == link ? 1 : 0));
            for (int j = 0; j < n; j++) {
                slopes.set(i, j, each[j][from] - each[j][to]);
            }
        }
        if (!CommonOps_DDRM.solve(slopes, wanted, weights)) {
            return false;
        }
        for (int j = 0; j < n; j++) {
            for (int i = 0; i < s.nodes; i++) {
                x[i] -= weights.get(j, 0) * each[j][i];
            }
        }
        return true;
    }

    /** Change of the flow per pressure that a link loses more at its present flow, m3/s per Pa. */
    public double toLoss(String other) {
        int e = s.linkIndex.get(other);
        if (!at.carries(e)) {
            return 0;
        }
        double g = 1 / at.slope[e];
        return g * (adjoint[s.from[e]] - adjoint[s.to[e]]) - (e == link ? g : 0);
    }

    /** Change of the flow per flow taken more at a node, m3/s per m3/s. */
    public double toDemand(String node) {
        return -adjoint[s.nodeIndex.get(node)];
    }

    /**
     * Change of the flow per pressure held more at a node whose pressure is given, m3/s per Pa; by height: times
     * density and gravity.
     */
    public double toPressure(String node) {
        int i = s.nodeIndex.get(node);
        if (!s.held[i]) {
            throw new IllegalArgumentException("The pressure at " + node + " is not given: it follows.");
        }
        double sum = 0;
        for (int e : s.linksAt(i)) {
            if (at.carries(e)) {
                int other = s.from[e] == i ? s.to[e] : s.from[e];
                sum += adjoint[other] / at.slope[e]
                        + (e != link ? 0 : s.from[e] == i ? 1 / at.slope[e] : -1 / at.slope[e]);
            }
        }
        return sum;
    }
}
