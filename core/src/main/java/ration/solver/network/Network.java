package ration.solver.network;

import java.util.List;
import java.util.Map;
import ration.solver.network.NetworkProblem.Boundary;
import ration.solver.network.NetworkProblem.Node;

/**
 * A problem with indices in place of names, ready to be solved; immutable, so it may be solved from several threads.
 * The same network at other heights, pressures and demands ({@link #posed}) shares everything that was worked out for
 * it.
 */
public final class Network {

    final Structure structure;
    final double[] demand;
    final double[] fixedPressure;
    final double[] hydrostatic;
    /** Piezometric pressure a regulator holds, Pa, by link. */
    final double[] setting;

    private Network(Structure structure, double gravity, double[] heights, double[] given) {
        this.structure = structure;
        demand = new double[structure.nodes];
        fixedPressure = new double[structure.nodes];
        hydrostatic = new double[structure.nodes];
        setting = new double[structure.links];
        double weight = structure.problem.fluid().density() * gravity;
        for (int i = 0; i < structure.nodes; i++) {
            if (!Double.isFinite(heights[i]) || !Double.isFinite(given[i])) {
                throw new IllegalArgumentException(
                        "Node " + structure.problem.nodes().get(i).id()
                                + " needs a height, and what is given at it must be finite");
            }
            hydrostatic[i] = weight * heights[i];
            if (structure.held[i]) {
                fixedPressure[i] = given[i] + hydrostatic[i];
            } else {
                demand[i] = given[i];
            }
        }
        for (int e : structure.regulators) {
            setting[e] = ((Element.Regulator) structure.element(e)).gauge() + hydrostatic[structure.heldNode[e]];
        }
    }

    private static Network of(Structure structure, double gravity, List<Node> nodes) {
        double[] heights = new double[structure.nodes];
        double[] given = new double[structure.nodes];
        for (int i = 0; i < structure.nodes; i++) {
            Node node = nodes.get(i);
            heights[i] = node.height();
            given[i] = node.boundary() instanceof Boundary.Pressure fixed
                    ? fixed.gauge()
                    : node.boundary() instanceof Boundary.Demand asked ? asked.flow() : 0;
        }
        return new Network(structure, gravity, heights, given);
    }

    public static Network of(NetworkProblem problem) {
        return of(new Structure(problem, null), problem.gravity(), problem.nodes());
    }

    /**
     * A network that joins its nodes in the same way as another, if with other elements, shares what was worked out of
     * that.
     */
    public static Network of(NetworkProblem problem, Network alike) {
        return of(new Structure(problem, alike.structure), problem.gravity(), problem.nodes());
    }

    /**
     * The same network with its nodes at other heights, holding other pressures and asking for other flows.
     *
     * @param nodes the same, in the same order; each with the same kind of boundary
     */
    public Network posed(double gravity, List<Node> nodes) {
        return of(structure, gravity, nodes);
    }

    /**
     * The same.
     *
     * @param heights of its nodes, m
     * @param given at each node, Pa where its pressure is held, else the flow it is asked for, m3/s; all finite
     */
    public Network posed(double gravity, double[] heights, double[] given) {
        return new Network(structure, gravity, heights, given);
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
