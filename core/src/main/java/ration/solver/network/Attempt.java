package ration.solver.network;

import java.util.Arrays;
import ration.solver.network.NetworkSolution.Evidence;
import ration.solver.network.NetworkSolution.Figures;
import ration.solver.network.NetworkSolution.LinkState;
import ration.solver.network.NetworkSolution.Status;

/**
 * One attempt at a solution: flows, pressures, and which valves are open, as they stand while it goes on.
 * {@link Newton} finds the flows for given states, {@link Valves} the states, {@link Islands} what is cut off.
 */
final class Attempt {

    /** A valve that passes less than this, m3/s, is first tried shut: what lies behind it may be cut off. */
    static final double NO_FLOW = 1e-13;
    /**
     * Slope of the reverse branch of a one-way element while its state is still sought, Pa per m3/s: a hundred times
     * steeper than a fine line, and not so steep that the equations lose digits.
     */
    private static final double REVERSE_SLOPE = 1e11;
    /** The steepest such branch, for networks whose valves do not settle. */
    private static final double STEEPEST = 1e14;

    /** Pressure added to the loss of each link beside its own law, and that added per flow; null if none. */
    record Added(double[] pressure, double[] slope) {
        static final Added NOTHING = new Added(null, null);
    }

    final Network network;
    final Structure structure;
    final SolverSettings settings;
    final double[] q;
    final double[] loss;
    final double[] slope;
    final double[] pressure;
    /** Links that carry nothing. */
    final boolean[] out;
    /** Regulators that hold their setting: the node's pressure is known, the flow follows from its balance. */
    final boolean[] holding;

    final boolean[] heldByRegulator;
    int holdings;
    final boolean[] pinned;
    final boolean[] cutOff;
    final Drop drop;
    boolean steepReverse = true;
    int iterations;
    private final Drop nozzleDrop = new Drop();
    private final Added added;
    private final Islands islands;
    private double reverseSlope = REVERSE_SLOPE;

    Attempt(Network network, SolverSettings settings, Added added, double[] start) {
        this.network = network;
        this.structure = network.structure;
        this.settings = settings;
        this.added = added;
        q = start.clone();
        drop = new Drop(structure.links);
        loss = new double[structure.links];
        slope = new double[structure.links];
        pressure = network.fixedPressure.clone();
        out = structure.shut.clone();
        holding = new boolean[structure.links];
        heldByRegulator = new boolean[structure.nodes];
        pinned = new boolean[structure.nodes];
        cutOff = new boolean[structure.nodes];
        islands = new Islands(this);
    }

    NetworkSolution solve() {
        NetworkSolution refused = tryNewton();
        if (refused != null) {
            return refused;
        }
        if (!structure.anyOneWay) {
            return answer();
        }
        NetworkSolution settled = new Valves(this).shutWhatIsHeldBack().settle();
        return settled.status() == Status.ITERATION_LIMIT && (adjusting() || !structure.adjusted)
                ? holdSteep(settled)
                : settled;
    }

    /**
     * Starts from the flows and states of an answer of the same network. Valves that shut something off may tell
     * nothing, there or here ({@link Islands#undecided}). Then only the flows are taken over.
     */
    NetworkSolution from(NetworkSolution near) {
        steepReverse = false;
        for (int e = 0; e < structure.links; e++) {
            LinkState state = near.state(e);
            out[e] |= state == LinkState.HELD_SHUT;
            hold(e, state == LinkState.REGULATING);
            q[e] = near.flow(e);
        }
        if (structure.anyOneWay && islands.undecided()) {
            return fromFlows();
        }
        NetworkSolution settled = new Valves(this).settle();
        return structure.anyOneWay && islands.undecided() ? fromFlows() : settled;
    }

    private NetworkSolution fromFlows() {
        System.arraycopy(structure.shut, 0, out, 0, structure.links);
        for (int e = 0; e < structure.links; e++) {
            q[e] = out[e] ? 0 : q[e] == 0 ? structure.firstFlow[e] : q[e];
        }
        steepReverse = true;
        NetworkSolution refused = tryNewton();
        return refused != null ? refused : new Valves(this).shutWhatIsHeldBack().settle();
    }

    /** Why no answer comes of the states as they are; null where one does. */
    NetworkSolution tryNewton() {
        String hungry = islands.pin();
        if (hungry != null) {
            return failed(Status.NO_SUPPLY, hungry);
        }
        return new Newton(this).settle()
                ? null
                : failed(Status.ITERATION_LIMIT, "The flow through " + worstLink() + " did not settle.");
    }

    /** Whether pressures are added from outside, so that regulators and jets stand as they are. */
    boolean adjusting() {
        return added.pressure() != null;
    }

    /**
     * Whether an answer stands: converged, or refused while every regulator stood open or held what lies before it. The
     * latter passed more while it stood open, and that was what is asked behind it; holding, it passes less.
     */
    boolean settled(NetworkSolution answer) {
        if (!structure.adjusted || answer.converged() || answer.status() == Status.IMPLAUSIBLE) {
            return true;
        }
        boolean certain = answer.status() == Status.NO_SUPPLY;
        for (int e = 0; e < structure.links; e++) {
            certain &=
                    structure.heldNode[e] < 0 || !out[e] && (!holding[e] || structure.heldNode[e] == structure.from[e]);
        }
        return certain;
    }

    /**
     * Where valves cut regions off from each other, what is open and what is shut may turn round and round. Then the
     * steep branch is made so steep that what it lets back lies far under the mass tolerance.
     */
    private NetworkSolution holdSteep(NetworkSolution unsettled) {
        System.arraycopy(structure.shut, 0, out, 0, structure.links);
        System.arraycopy(structure.firstFlow, 0, q, 0, structure.links);
        steepReverse = true;
        for (double steep = REVERSE_SLOPE; steep <= STEEPEST; steep *= 30) {
            reverseSlope = steep;
            if (tryNewton() != null) {
                return unsettled;
            }
        }
        for (int e = 0; e < structure.links; e++) {
            out[e] |= structure.oneWay[e] && q[e] <= 0;
        }
        NetworkSolution held = answer();
        return held.converged() ? held : unsettled;
    }

    void hold(int e, boolean holds) {
        if (holding[e] != holds) {
            holding[e] = holds;
            holdings += holds ? 1 : -1;
            heldByRegulator[structure.heldNode[e]] = holds;
            if (holds) {
                pressure[structure.heldNode[e]] = network.setting[e];
            }
        }
    }

    /** Gives regulators that hold what their node's balance leaves them. */
    void balanceHeld(double[] flows) {
        for (int pass = 0; pass < holdings; pass++) {
            for (int e = 0; e < structure.links; e++) {
                if (holding[e]) {
                    int node = structure.heldNode[e];
                    double in = -network.demand[node];
                    for (int k : structure.linksAt(node)) {
                        in += k == e || out[k] ? 0 : structure.to[k] == node ? flows[k] : -flows[k];
                    }
                    flows[e] = node == structure.from[e] ? in : -in;
                }
            }
        }
    }

    /** Whether a link passes fuel by its own law. */
    boolean carries(int e) {
        return !out[e] && !holding[e];
    }

    /** Those that do. */
    int[] carrying() {
        int[] all = new int[structure.links];
        int n = 0;
        for (int e = 0; e < all.length; e++) {
            if (carries(e)) {
                all[n++] = e;
            }
        }
        return n == all.length ? all : Arrays.copyOf(all, n);
    }

    /** Regulators that hold. */
    int[] regulators() {
        int[] all = new int[holdings];
        int n = 0;
        for (int e = 0; n < holdings; e++) {
            if (holding[e]) {
                all[n++] = e;
            }
        }
        return all;
    }

    void evaluateAll() {
        for (int e = 0; e < structure.links; e++) {
            if (carries(e)) {
                evaluate(e);
            }
        }
    }

    void evaluate(int e) {
        if (steepReverse && structure.oneWay[e] && q[e] < 0) {
            law(e, 0);
            loss[e] = drop.loss + reverseSlope * q[e];
            slope[e] = reverseSlope;
        } else {
            law(e, q[e]);
            loss[e] = drop.loss;
            slope[e] = drop.slope;
        }
    }

    /** Writes the loss of a link and its slope into {@link #drop}. */
    void law(int e, double flow) {
        double straight = structure.straight[e];
        if (straight > 0) {
            drop.loss = straight * flow;
            drop.slope = straight;
        } else if (flow == structure.firstFlow[e]) {
            drop.loss = structure.firstLoss[e];
            drop.slope = structure.firstSlope[e];
        } else {
            drop.line(e);
            structure.laws[e].at(flow, drop);
        }
        if (structure.airy[e]) {
            drop.loss += network.hydrostatic[structure.from[e]] - network.hydrostatic[structure.to[e]];
        }
        if (added.pressure() != null) {
            drop.loss += added.pressure()[e] + added.slope()[e] * flow;
            drop.slope += added.slope()[e];
        } else if (structure.nozzle[e] >= 0) {
            drive((Element.Jet) structure.element(e), structure.nozzle[e], flow);
        }
    }

    /** The lift of a jet at what its nozzle passes now. */
    private void drive(Element.Jet jet, int by, double flow) {
        double through = out[by] ? 0 : Math.max(0, q[by]);
        structure.laws[by].at(through, nozzleDrop);
        jet.lift(through, jet.headRatio() * Math.max(0, nozzleDrop.loss), flow, nozzleDrop);
        drop.loss += nozzleDrop.loss;
        drop.slope += nozzleDrop.slope;
    }

    /** The link whose pressures fit its loss least, or whose error is not a number; -1 if there are none. */
    private int worst() {
        int worst = -1;
        double most = -1;
        for (int e = 0; e < structure.links; e++) {
            double error = pressureError(e);
            if (!(error <= most)) {
                worst = e;
                most = Double.isNaN(error) ? Double.POSITIVE_INFINITY : error;
            }
        }
        return worst;
    }

    private String worstLink() {
        return structure.name(worst());
    }

    double pressureError(int e) {
        return carries(e) ? Math.abs(loss[e] - pressure[structure.from[e]] + pressure[structure.to[e]]) : 0;
    }

    private double massError() {
        double[] balance = new double[structure.nodes];
        for (int i = 0; i < structure.nodes; i++) {
            balance[i] = structure.held[i] ? 0 : network.demand[i];
        }
        for (int e = 0; e < structure.links; e++) {
            balance[structure.from[e]] += q[e];
            balance[structure.to[e]] -= q[e];
        }
        double worst = 0;
        for (int i = 0; i < structure.nodes; i++) {
            worst = structure.held[i] ? worst : Math.max(worst, Math.abs(balance[i]));
        }
        return worst;
    }

    NetworkSolution answer() {
        for (int e = 0; e < structure.links; e++) {
            q[e] = out[e] ? 0 : q[e];
        }
        new Refinement(this).refine();
        String beyond = beyondBelief();
        if (!beyond.isEmpty()) {
            return failed(Status.IMPLAUSIBLE, beyond);
        }
        double mass = massError();
        int most = worst();
        String worst = most < 0 ? "" : structure.name(most);
        double error = most < 0 ? 0 : pressureError(most);
        Evidence evidence = new Evidence(iterations, mass, error, worst);
        if (!(mass <= SolverSettings.MASS_TOLERANCE) || !(error <= SolverSettings.PRESSURE_TOLERANCE)) {
            return new NetworkSolution(
                    Status.ITERATION_LIMIT,
                    "The answer at " + worst + " is not within the tolerances.",
                    evidence,
                    network,
                    Figures.NONE);
        }
        LinkState[] states = new LinkState[structure.links];
        for (int e = 0; e < structure.links; e++) {
            states[e] = structure.shut[e]
                    ? LinkState.SHUT
                    : out[e] ? LinkState.HELD_SHUT : holding[e] ? LinkState.REGULATING : LinkState.OPEN;
        }
        double[] gauge = new double[structure.nodes];
        for (int i = 0; i < structure.nodes; i++) {
            gauge[i] = pressure[i] - network.hydrostatic[i];
        }
        return new NetworkSolution(
                Status.CONVERGED, "", evidence, network, new Figures(q, states, gauge, pressure, cutOff));
    }

    /** A sentence if the flow asked for takes more pressure than any line bears. */
    private String beyondBelief() {
        int worst = -1;
        for (int e = 0; e < structure.links; e++) {
            if (carries(e)
                    && Math.abs(loss[e]) > SolverSettings.MOST_PRESSURE
                    && (worst < 0 || Math.abs(loss[e]) > Math.abs(loss[worst]))) {
                worst = e;
            }
        }
        return worst < 0
                ? ""
                : "The flow asked for cannot pass " + structure.name(worst) + ": it would take more than 10,000 psi.";
    }

    NetworkSolution failed(Status status, String reason) {
        String worst = status == Status.ITERATION_LIMIT && structure.links > 0 ? worstLink() : "";
        return new NetworkSolution(status, reason, new Evidence(iterations, 0, 0, worst), network, Figures.NONE);
    }

    Islands islands() {
        return islands;
    }
}
