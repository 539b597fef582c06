package ration.network;

import java.util.List;
import java.util.Map;
import ration.network.NetworkProblem.Boundary;
import ration.network.NetworkProblem.Node;

/**
 * A problem with indices in place of names, ready to be solved; immutable, so it may be solved from several threads. The
 * same network at other heights, pressures and demands ({@link #posed}) shares everything that was worked out for it.
 */
public final class Network {

    final Structure structure;
    final double[] demand;
    final double[] fixedPressure;
    final double[] hydrostatic;
    /** Piezometric pressure a regulator holds, Pa, by link. */
    final double[] setting;

    private Network(Structure structure, double gravity, List<Node> nodes) {
        this.structure = structure;
        demand = new double[structure.nodes];
        fixedPressure = new double[structure.nodes];
        hydrostatic = new double[structure.nodes];
        setting = new double[structure.links];
        double weight = structure.problem.fluid().density() * gravity;
        for (int i = 0; i < structure.nodes; i++) {
            Node node = nodes.get(i);
            hydrostatic[i] = weight * node.height();
            if (node.boundary() instanceof Boundary.Pressure fixed) {
                fixedPressure[i] = fixed.gauge() + hydrostatic[i];
            } else if (node.boundary() instanceof Boundary.Demand asked) {
                demand[i] = asked.flow();
            }
        }
        for (int e = 0; e < structure.links; e++) {
            if (structure.element(e) instanceof Element.Regulator r) {
                setting[e] = r.gauge() + hydrostatic[structure.heldNode[e]];
            }
        }
    }

    public static Network of(NetworkProblem problem) {
        return new Network(new Structure(problem, null), problem.gravity(), problem.nodes());
    }

    /** A network that joins its nodes in the same way as another, if with other elements, shares what was worked out of that. */
    public static Network of(NetworkProblem problem, Network alike) {
        return new Network(new Structure(problem, alike.structure), problem.gravity(), problem.nodes());
    }

    /**
     * The same network with its nodes at other heights, holding other pressures and asking for other flows.
     *
     * @param nodes the same, in the same order; each with the same kind of boundary
     */
    public Network posed(double gravity, List<Node> nodes) {
        return new Network(structure, gravity, nodes);
    }

    Map<String, Integer> nodeIndex() {
        return structure.nodeIndex;
    }

    Map<String, Integer> linkIndex() {
        return structure.linkIndex;
    }

    public NetworkSolution solve() {
        return solve(SolverSettings.USUAL);
    }

    /** Solves; a failure is an answer with its reason, never an exception. */
    public NetworkSolution solve(SolverSettings settings) {
        Attempt attempt = new Attempt(this, settings, Attempt.Added.NOTHING, structure.firstFlow);
        NetworkSolution direct = attempt.solve();
        return attempt.settled(direct) || !settings.thorough() ? direct : new Adjustment(this, settings).solve();
    }

    /**
     * Solves, starting from an answer of the same network in another pose: flows and states of valves that lie near are
     * soon confirmed. Where they are not, it begins anew; the answer is the same.
     */
    public NetworkSolution solve(SolverSettings settings, NetworkSolution near) {
        if (near.converged() && near.of(structure)) {
            NetworkSolution warm = new Attempt(this, settings, Attempt.Added.NOTHING, structure.firstFlow).from(near);
            if (warm.converged()) {
                return warm;
            }
        }
        return solve(settings);
    }
}
