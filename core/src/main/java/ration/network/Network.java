package ration.network;

import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Set;
import java.util.Queue;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.List;
import java.util.Map;
import org.ejml.data.DMatrixRMaj;
import org.ejml.dense.row.CommonOps_DDRM;
import ration.network.NetworkProblem.Boundary;
import ration.network.NetworkProblem.Link;
import ration.network.NetworkProblem.Node;
import ration.network.NetworkSolution.Evidence;
import ration.network.NetworkSolution.Figures;
import ration.network.NetworkSolution.LinkState;
import ration.network.NetworkSolution.Status;

/**
 * A problem with indices in place of names, ready to be solved; immutable, so it may be solved from several threads.
 */
public final class Network {

    /**
     * Slope of the reverse branch of a one-way element while its state is still sought, Pa per m3/s: a hundred times
     * steeper than a fine line, and not so steep that the equations lose digits.
     */
    private static final double REVERSE_SLOPE = 1e11;
    /** The steepest such branch, for networks whose valves do not settle. */
    private static final double STEEPEST = 1e14;
    /** A held-shut valve opens when pressed by this much more than it needs, Pa. */
    private static final double OPENING_SLACK = 1e-4;
    /** An open valve shuts when its flow is this far reversed, m3/s. */
    private static final double SHUTTING_SLACK = 1e-12;
    /** Of a regulator and a valve in one line with one flow the wrong way, the regulator is turned over. */
    private static final double REGULATORS_FIRST = 1.01;
    /** A valve that passes less than this, m3/s, is first tried shut: what lies behind it may be cut off. */
    private static final double NO_FLOW = 1e-13;

    private final NetworkProblem problem;
    private final int nodeCount;
    private final int linkCount;
    private final int[] from;
    private final int[] to;
    private final Characteristic[] laws;
    private final boolean[] oneWay;
    private final boolean[] shut;
    private final boolean[] held;
    private final double[] demand;
    private final double[] fixedPressure;
    private final double[] hydrostatic;
    private final double[] firstFlow;
    private final boolean anyOneWay;
    private final boolean adjusted;
    /** For regulators: the node held, the node at the other end, and the piezometric pressure held; else -1. */
    private final int[] heldNode;
    private final int[] otherNode;
    private final double[] setting;
    /** For jets: the link of the driving nozzle; else -1. */
    private final int[] nozzle;
    private final Map<String, Integer> nodeIndex;
    private final Map<String, Integer> linkIndex;
    /** Equations of the network with its set valves shut, kept from solve to solve: finding their order is dear. */
    private final Queue<Equations> idle = new ConcurrentLinkedQueue<>();

    private Network(NetworkProblem problem) {
        this.problem = problem;
        List<Node> nodes = problem.nodes();
        List<Link> links = problem.links();
        nodeCount = nodes.size();
        linkCount = links.size();
        nodeIndex = new HashMap<>(2 * nodeCount);
        linkIndex = new HashMap<>(2 * linkCount);
        held = new boolean[nodeCount];
        demand = new double[nodeCount];
        fixedPressure = new double[nodeCount];
        hydrostatic = new double[nodeCount];
        for (int i = 0; i < nodeCount; i++) {
            Node node = nodes.get(i);
            nodeIndex.put(node.id(), i);
            hydrostatic[i] = problem.fluid().density() * problem.gravity() * node.height();
            if (node.boundary() instanceof Boundary.Pressure fixed) {
                held[i] = true;
                fixedPressure[i] = fixed.gauge() + hydrostatic[i];
            } else if (node.boundary() instanceof Boundary.Demand asked) {
                demand[i] = asked.flow();
            }
        }
        from = new int[linkCount];
        to = new int[linkCount];
        laws = new Characteristic[linkCount];
        oneWay = new boolean[linkCount];
        shut = new boolean[linkCount];
        firstFlow = new double[linkCount];
        boolean any = false;
        for (int e = 0; e < linkCount; e++) {
            Link link = links.get(e);
            from[e] = nodeIndex.get(link.from());
            to[e] = nodeIndex.get(link.to());
            linkIndex.put(link.id(), e);
            laws[e] = link.element().prepare(problem.fluid(), problem.law());
            oneWay[e] = link.element().oneWay();
            shut[e] = link.element().shut();
            any |= oneWay[e];
            firstFlow[e] = link.element() instanceof Element.Pipe pipe ? 0.25 * pipe.bore() * pipe.bore() : 1e-5;
        }
        anyOneWay = any;
        adjusted = links.stream().map(Link::element)
                .anyMatch(x -> x instanceof Element.Regulator || x instanceof Element.Jet);
        heldNode = new int[linkCount];
        otherNode = new int[linkCount];
        setting = new double[linkCount];
        nozzle = new int[linkCount];
        for (int e = 0; e < linkCount; e++) {
            Element element = links.get(e).element();
            heldNode[e] = -1;
            nozzle[e] = element instanceof Element.Jet jet ? linkIndex.getOrDefault(jet.nozzle(), -1) : -1;
            if (element instanceof Element.Regulator r) {
                boolean upstream = r.holds() == Element.Regulator.Holds.UPSTREAM;
                heldNode[e] = upstream ? from[e] : to[e];
                otherNode[e] = upstream ? to[e] : from[e];
                setting[e] = r.gauge() + hydrostatic[heldNode[e]];
            }
        }
    }

    public static Network of(NetworkProblem problem) {
        return new Network(problem);
    }

    Map<String, Integer> nodeIndex() {
        return nodeIndex;
    }

    Map<String, Integer> linkIndex() {
        return linkIndex;
    }

    public NetworkSolution solve() {
        return solve(SolverSettings.USUAL);
    }

    /** Solves; a failure is an answer with its reason, never an exception. */
    public NetworkSolution solve(SolverSettings settings) {
        Run run = new Run(settings, Setting.NONE, firstFlow);
        NetworkSolution direct = run.solve();
        return run.settled(direct) || !settings.thorough() ? direct : new Adjustment(settings).solve();
    }

    /** Pressure added to the loss of each link beside its own law, and that added per flow; empty if none. */
    private record Setting(double[] pressure, double[] slope) {
        static final Setting NONE = new Setting(null, null);
    }

    /**
     * The slow way, for networks whose regulators and jets a {@link Run} does not settle. Each is given a fixed pressure
     * of its own, which keeps the network solvable; that pressure is then sought, one element after the other, until all
     * agree. For a regulator it lies between nothing (open to the stop) and what shuts it, and the held pressure rises or
     * falls with it.
     */
    private final class Adjustment {

        /** How near a regulator holds its setting, Pa. */
        private static final double HELD = 0.02;
        private static final int CYCLES = 12;
        /** A regulator that would have to take more than this holds nothing, Pa. */
        private static final double BEYOND = 1.5e7;
        /** By how much a slope is measured, and the largest step, Pa. */
        private static final double PROBE = 20;
        private static final double MOST_STEP = 2e5;
        private static final int TRIES = 40;

        private final SolverSettings settings;
        private final double[] extra = new double[linkCount];
        private final double[] extraSlope = new double[linkCount];
        private final List<Integer> links = new java.util.ArrayList<>();
        private double[] flows = firstFlow.clone();
        private NetworkSolution last;
        private int steps;

        Adjustment(SolverSettings settings) {
            this.settings = settings;
            for (int e = 0; e < linkCount; e++) {
                Element element = problem.links().get(e).element();
                if (element instanceof Element.Regulator r) {
                    links.add(e);
                    double rise = hydrostatic[from[e]] - hydrostatic[to[e]];
                    extra[e] = r.holds() == Element.Regulator.Holds.UPSTREAM ? Math.max(0, r.gauge() + rise) : 0;
                } else if (element instanceof Element.Jet) {
                    links.add(e);
                    extraSlope[e] = 1e9;
                }
            }
        }

        NetworkSolution solve() {
            if (!run()) {
                return last;
            }
            for (int cycle = 0; cycle < CYCLES; cycle++) {
                boolean moved = false;
                if (cycle > 0) {
                    together();
                }
                if (!last.converged()) {
                    return last;
                }
                for (int e : links) {
                    boolean off = problem.links().get(e).element() instanceof Element.Jet ? drive(e) : adjust(e);
                    if (!last.converged()) {
                        return last;
                    }
                    moved |= off;
                    if (extra[e] > BEYOND) {
                        return last.refused("Nothing that is open brings fuel past " + problem.links().get(e).id()
                                + ": the pressure it holds is not reached.");
                    }
                }
                if (!moved) {
                    return finished();
                }
            }
            return last.failed("The regulators and jet pumps did not settle against each other.");
        }

        private boolean run() {
            Run run = new Run(settings, new Setting(extra, extraSlope), flows);
            last = run.solve();
            steps += run.iterations;
            if (last.converged()) {
                for (int e = 0; e < linkCount; e++) {
                    flows[e] = run.q[e] == 0 ? firstFlow[e] : run.q[e];
                }
            }
            return last.converged();
        }

        private NetworkSolution finished() {
            LinkState[] states = new LinkState[linkCount];
            for (int e = 0; e < linkCount; e++) {
                LinkState was = last.state(e);
                states[e] = heldNode[e] < 0 || was != LinkState.OPEN ? was : last.flow(e) <= NO_FLOW ? LinkState.HELD_SHUT
                        : extra[e] > 0 ? LinkState.REGULATING : LinkState.OPEN;
            }
            return last.withRegulators(states, steps);
        }

        /** Over the setting positive: it must open further (upstream held) or close further (downstream held). */
        private double error(int e) {
            Element.Regulator r = (Element.Regulator) problem.links().get(e).element();
            boolean upstream = r.holds() == Element.Regulator.Holds.UPSTREAM;
            return last.gauge(upstream ? from[e] : to[e]) - r.gauge();
        }

        private boolean good(int e) {
            Element.Regulator r = (Element.Regulator) problem.links().get(e).element();
            double error = error(e);
            boolean passes = last.flow(e) > NO_FLOW;
            boolean upstream = r.holds() == Element.Regulator.Holds.UPSTREAM;
            if (Math.abs(error) <= HELD || last.cutOff(upstream ? from[e] : to[e])) {
                return true;
            }
            if (upstream) {
                return error > 0 && extra[e] == 0 || error < 0 && !passes;
            }
            return error < 0 && extra[e] == 0 || error > 0 && !passes;
        }

        /**
         * Regulators in one line act on the same flow, and one after the other they would approach each other slowly.
         * Those that pass fuel are brought to their settings together, by Newton steps on measured slopes.
         */
        private void together() {
            for (int round = 0; round < 12; round++) {
                List<Integer> active = new java.util.ArrayList<>();
                boolean off = false;
                for (int e : links) {
                    if (problem.links().get(e).element() instanceof Element.Regulator) {
                        off |= !good(e);
                        if (last.flow(e) > NO_FLOW && !(extra[e] == 0 && good(e))) {
                            active.add(e);
                        }
                    }
                }
                if (!off || active.size() < 2) {
                    return;
                }
                double[] kept = extra.clone();
                DMatrixRMaj slopes = new DMatrixRMaj(active.size(), active.size());
                DMatrixRMaj errors = new DMatrixRMaj(active.size(), 1);
                for (int i = 0; i < active.size(); i++) {
                    errors.set(i, 0, error(active.get(i)));
                }
                for (int j = 0; j < active.size(); j++) {
                    extra[active.get(j)] += PROBE;
                    if (!run()) {
                        return;
                    }
                    for (int i = 0; i < active.size(); i++) {
                        slopes.set(i, j, (error(active.get(i)) - errors.get(i, 0)) / PROBE + (i == j ? 1e-12 : 0));
                    }
                    System.arraycopy(kept, 0, extra, 0, linkCount);
                }
                DMatrixRMaj inverse = new DMatrixRMaj(active.size(), active.size());
                DMatrixRMaj step = new DMatrixRMaj(active.size(), 1);
                CommonOps_DDRM.pinv(slopes, inverse);
                CommonOps_DDRM.mult(inverse, errors, step);
                for (int i = 0; i < active.size(); i++) {
                    int e = active.get(i);
                    extra[e] = Math.max(0, kept[e] - Math.max(-MOST_STEP, Math.min(MOST_STEP, step.get(i, 0))));
                }
                if (!run()) {
                    return;
                }
            }
        }

        /** Brings one regulator to its setting with the others as they are; whether it had to move. */
        private boolean adjust(int e) {
            if (good(e)) {
                return false;
            }
            Element.Regulator r = (Element.Regulator) problem.links().get(e).element();
            double sense = r.holds() == Element.Regulator.Holds.UPSTREAM ? 1 : -1;
            double low = 0;
            double high = Double.POSITIVE_INFINITY;
            double lastAt = Double.NaN;
            double lastError = 0;
            double stretch = 1;
            for (int i = 0; i < TRIES && !good(e) && extra[e] <= BEYOND; i++) {
                double at = extra[e];
                double error = sense * error(e);
                if (error > 0) {
                    high = at;
                } else {
                    low = at;
                }
                double slope = Double.isNaN(lastAt) || at == lastAt ? 1 : (error - lastError) / (at - lastAt);
                double next = at - stretch * error / Math.max(Math.min(slope, 1.5), 0.02);
                lastAt = at;
                lastError = error;
                if (!(next > low && next < high)) {
                    next = high == Double.POSITIVE_INFINITY ? Math.max(2 * at, at + 2 * Math.abs(error))
                            : at == low && error > 0 ? 0 : next <= low && low == 0 ? 0 : (low + high) / 2;
                } else if (i > 6 && high < Double.POSITIVE_INFINITY) {
                    next = i % 2 == 0 ? next : (low + high) / 2;
                }
                extra[e] = Math.max(0, next);
                if (!run()) {
                    return true;
                }
            }
            return true;
        }

        /** Gives a jet the lift its nozzle now makes; whether that was new. */
        private boolean drive(int e) {
            Element.Jet jet = (Element.Jet) problem.links().get(e).element();
            int nozzle = linkIndex.get(jet.nozzle());
            double flow = Math.max(0, last.flow(nozzle));
            double drop = Math.max(0, last.piezometric(from[nozzle]) - last.piezometric(to[nozzle]));
            Drop left = new Drop();
            jet.lift(flow, jet.headRatio() * drop, Math.max(0, last.flow(e)), left);
            double slope = Math.max(left.slope, Characteristic.LEAST_SLOPE);
            double lift = left.loss - slope * Math.max(0, last.flow(e));
            if (Math.abs(lift - extra[e]) <= HELD && Math.abs(slope - extraSlope[e]) <= 1e-6 * slope) {
                return false;
            }
            extra[e] = lift;
            extraSlope[e] = slope;
            run();
            return true;
        }
    }

    /** One solve: the state that changes. */
    private final class Run {

        private final SolverSettings settings;
        private final double[] extra;
        private final double[] extraSlope;
        private final double[] q;
        private final double[] next = new double[linkCount];
        private final double[] before = new double[linkCount];
        private final double[] loss = new double[linkCount];
        private final double[] slope = new double[linkCount];
        private final double[] pressure = fixedPressure.clone();
        private final boolean[] out = shut.clone();
        /** Regulators that hold their setting: the node's pressure is known, the flow follows from its balance. */
        private final boolean[] holding = new boolean[linkCount];
        private final boolean[] heldByRegulator = new boolean[nodeCount];
        private int holdings;
        private final boolean[] pinned = new boolean[nodeCount];
        private final boolean[] cutOff = new boolean[nodeCount];
        private final Drop drop = new Drop();
        private final Drop nozzleDrop = new Drop();
        private boolean steepReverse = true;
        private double reverseSlope = REVERSE_SLOPE;
        private int iterations;

        Run(SolverSettings settings, Setting setting, double[] start) {
            this.settings = settings;
            this.extra = setting.pressure();
            this.extraSlope = setting.slope();
            this.q = start.clone();
        }

        NetworkSolution solve() {
            String hungry = pinIslands();
            if (hungry != null) {
                return failed(Status.NO_SUPPLY, hungry);
            }
            if (!newton()) {
                return failed(Status.ITERATION_LIMIT, "The flow through " + worstLink() + " did not settle.");
            }
            if (!anyOneWay) {
                return answer();
            }
            NetworkSolution settled = settleValves();
            return settled.status() == Status.ITERATION_LIMIT && (extra != null || !adjusted) ? holdSteep(settled) : settled;
        }

        /**
         * Whether an answer stands: converged, or refused while every regulator stood open or held what lies before it. The
         * latter passed more while it stood open, and that was what is asked behind it; holding, it passes less.
         */
        boolean settled(NetworkSolution answer) {
            if (!adjusted || answer.converged() || answer.status() == Status.IMPLAUSIBLE) {
                return true;
            }
            boolean certain = answer.status() == Status.NO_SUPPLY;
            for (int e = 0; e < linkCount; e++) {
                certain &= heldNode[e] < 0 || !out[e] && (!holding[e] || heldNode[e] == from[e]);
            }
            return certain;
        }

        /**
         * Where valves cut regions off from each other, what is open and what is shut may turn round and round. Then the
         * steep branch is made so steep that what it lets back lies far under the mass tolerance.
         */
        private NetworkSolution holdSteep(NetworkSolution unsettled) {
            System.arraycopy(shut, 0, out, 0, linkCount);
            System.arraycopy(firstFlow, 0, q, 0, linkCount);
            steepReverse = true;
            for (double slope = REVERSE_SLOPE; slope <= STEEPEST; slope *= 30) {
                reverseSlope = slope;
                if (pinIslands() != null || !newton()) {
                    return unsettled;
                }
            }
            for (int e = 0; e < linkCount; e++) {
                out[e] |= oneWay[e] && q[e] <= 0;
            }
            NetworkSolution held = answer();
            return held.converged() ? held : unsettled;
        }

        /** Shuts exactly what the steep branch held back, solves the rest, turns over what disagrees. */
        private NetworkSolution settleValves() {
            steepReverse = false;
            for (int e = 0; e < linkCount; e++) {
                out[e] |= oneWay[e] && q[e] < NO_FLOW;
            }
            Set<String> seen = new HashSet<>();
            for (int round = 0; round < 2 * linkCount + 20; round++) {
                for (int e = 0; e < linkCount; e++) {
                    q[e] = out[e] ? 0 : q[e] == 0 ? firstFlow[e] : q[e];
                }
                String hungry = pinIslands();
                if (hungry != null) {
                    return failed(Status.NO_SUPPLY, hungry);
                }
                if (!newton()) {
                    return failed(Status.ITERATION_LIMIT, "The flow through " + worstLink() + " did not settle.");
                }
                int wrong = worstDisagreement();
                if (wrong < 0) {
                    return answer();
                }
                turn(wrong);
                if (adjusted && !seen.add(Arrays.toString(out) + Arrays.toString(holding))) {
                    break;
                }
            }
            return failed(Status.ITERATION_LIMIT, "The valves did not settle into open and shut.");
        }

        /** The one-way link furthest on the wrong side, or -1. */
        private int worstDisagreement() {
            int worst = -1;
            double most = 0;
            for (int e = 0; e < linkCount; e++) {
                if (!oneWay[e] || shut[e]) {
                    continue;
                }
                double excess = extra == null && heldNode[e] >= 0 ? regulatorExcess(e) : valveExcess(e);
                if (excess > most) {
                    most = excess;
                    worst = e;
                }
            }
            return worst;
        }

        private double valveExcess(int e) {
            if (!out[e]) {
                return q[e] < -SHUTTING_SLACK ? -q[e] : 0;
            }
            law(e, 0);
            boolean known = !cutOff[from[e]] && !cutOff[to[e]];
            double press = pressure[from[e]] - pressure[to[e]] - drop.loss;
            return known && press > OPENING_SLACK ? press / drop.slope : 0;
        }

        /** How far a regulator is from what its state says, as a flow. */
        private double regulatorExcess(int e) {
            if (!out[e] && q[e] < -SHUTTING_SLACK) {
                return -q[e] * REGULATORS_FIRST;
            }
            law(e, out[e] ? 0 : q[e]);
            double slope = Math.max(drop.slope, 1e7);
            double press = pressure[from[e]] - pressure[to[e]];
            if (holding[e]) {
                return Math.max(0, drop.loss - press - OPENING_SLACK) / slope;
            }
            if (cutOff[from[e]] || cutOff[to[e]]) {
                return 0;
            }
            double over = pressure[heldNode[e]] - setting[e];
            boolean upstream = heldNode[e] == from[e];
            if (out[e]) {
                return press > OPENING_SLACK ? Math.max(0, (upstream ? over : -over) - OPENING_SLACK) / slope : 0;
            }
            return Math.max(0, (upstream ? -over : over) - OPENING_SLACK) / slope;
        }

        /** Gives a link that disagrees its next state: valves open or shut, regulators hold, stand open or shut. */
        private void turn(int e) {
            if (extra != null || heldNode[e] < 0) {
                out[e] = !out[e];
            } else if (!out[e] && q[e] < -SHUTTING_SLACK) {
                hold(e, false);
                out[e] = true;
            } else {
                boolean holds = !holding[e];
                out[e] = false;
                hold(e, holds);
            }
        }

        private void hold(int e, boolean holds) {
            if (holding[e] != holds) {
                holding[e] = holds;
                holdings += holds ? 1 : -1;
                heldByRegulator[heldNode[e]] = holds;
                if (holds) {
                    pressure[heldNode[e]] = setting[e];
                }
            }
        }

        private boolean carries(int e) {
            return !out[e] && !holding[e];
        }

        /**
         * Finds groups of nodes that no open link joins to a held pressure. One node of each is pinned where it is so
         * that the equations stay regular; returns a reason if such a group asks for fuel.
         */
        private String pinIslands() {
            int[] group = new int[nodeCount];
            Arrays.setAll(group, i -> i);
            for (int e = 0; e < linkCount; e++) {
                if (carries(e)) {
                    int a = root(group, from[e]);
                    int b = root(group, to[e]);
                    group[Math.max(a, b)] = Math.min(a, b);
                }
            }
            boolean[] supplied = new boolean[nodeCount];
            double[] asked = new double[nodeCount];
            double[] most = new double[nodeCount];
            for (int i = 0; i < nodeCount; i++) {
                int r = root(group, i);
                supplied[r] |= held[i] || heldByRegulator[i];
                asked[r] += demand[i];
                most[r] = Math.max(most[r], Math.abs(demand[i]));
            }
            for (int i = 0; i < nodeCount; i++) {
                int r = root(group, i);
                cutOff[i] = !supplied[r];
                pinned[i] = !supplied[r] && r == i;
                if (!supplied[r] && Math.abs(asked[r]) > 1e-12 * Math.max(most[r], 1e-6)
                        && demand[i] != 0) {
                    return "Nothing that is open brings fuel to " + problem.nodes().get(i).id() + ".";
                }
            }
            for (int e = 0; e < linkCount; e++) {
                if (holding[e] && cutOff[otherNode[e]]) {
                    return opened(group, e) ? pinIslands()
                            : "Nothing that is open sets the pressure behind " + problem.links().get(e).id() + ".";
                }
            }
            return null;
        }

        /** Opens the valves through which what a regulator passes can come or go; whether there are any. */
        private boolean opened(int[] group, int regulator) {
            int region = root(group, otherNode[regulator]);
            boolean leaves = otherNode[regulator] == to[regulator];
            boolean any = false;
            for (int e = 0; e < linkCount; e++) {
                int inside = root(group, leaves ? from[e] : to[e]);
                int outside = root(group, leaves ? to[e] : from[e]);
                if (out[e] && !shut[e] && heldNode[e] < 0 && inside == region && outside != region) {
                    out[e] = false;
                    q[e] = firstFlow[e];
                    any = true;
                }
            }
            return any;
        }

        private int root(int[] group, int i) {
            int r = i;
            while (group[r] != r) {
                group[r] = group[group[r]];
                r = group[r];
            }
            return r;
        }

        private boolean newton() {
            int[] unknown = new int[nodeCount];
            int unknowns = 0;
            for (int i = 0; i < nodeCount; i++) {
                unknown[i] = held[i] || pinned[i] || heldByRegulator[i] ? -1 : unknowns++;
            }
            int[] row = holdings == 0 ? unknown : balancedWith(unknown);
            if (row == null) {
                return false;
            }
            boolean usual = steepReverse && settings == SolverSettings.USUAL;
            Equations equations = unknowns == 0 ? null : usual ? idle.poll() : null;
            if (equations == null && unknowns > 0) {
                equations = row != unknown ? new Equations.General(unknowns, new Equations.Ends(row, unknown, from, to))
                        : Equations.of(unknowns, unknown, from, to, out, unknowns >= settings.sparseFrom());
            }
            boolean settled = iterate(equations, row, unknown, unknowns);
            if (usual && equations != null) {
                idle.add(equations);
            }
            return settled;
        }

        /**
         * The equation each node's balance goes into: a node whose pressure a regulator holds hands its balance to the
         * node at the regulator's other end. Null if two regulators contend for a node or hand on in a ring.
         */
        private int[] balancedWith(int[] unknown) {
            int[] by = new int[nodeCount];
            Arrays.fill(by, -1);
            for (int e = 0; e < linkCount; e++) {
                if (holding[e]) {
                    if (by[heldNode[e]] >= 0 || held[heldNode[e]]) {
                        return null;
                    }
                    by[heldNode[e]] = e;
                }
            }
            int[] row = unknown.clone();
            for (int i = 0; i < nodeCount; i++) {
                int at = i;
                for (int steps = 0; by[at] >= 0; steps++) {
                    if (steps > holdings) {
                        return null;
                    }
                    at = otherNode[by[at]];
                }
                row[i] = unknown[at];
            }
            return row;
        }

        private boolean iterate(Equations equations, int[] row, int[] unknown, int unknowns) {
            double[] right = new double[unknowns];
            double[] solved = new double[unknowns];
            evaluateAll(q);
            boolean balanced = false;
            double lastResidual = Double.MAX_VALUE;
            while (iterations < settings.iterationLimit()) {
                iterations++;
                if (!step(equations, row, unknown, right, solved)) {
                    return false;
                }
                if (balanced) {
                    search();
                } else {
                    System.arraycopy(next, 0, q, 0, linkCount);
                    evaluateAll(q);
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
        private boolean step(Equations equations, int[] row, int[] unknown, double[] right, double[] solved) {
            if (equations != null) {
                equations.clear();
                Arrays.fill(right, 0);
                for (int i = 0; i < nodeCount; i++) {
                    if (row[i] >= 0) {
                        right[row[i]] -= demand[i];
                    }
                }
                for (int e = 0; e < linkCount; e++) {
                    if (!carries(e)) {
                        continue;
                    }
                    double g = 1 / slope[e];
                    double known = q[e] - loss[e] * g + (unknown[from[e]] < 0 ? g * pressure[from[e]] : 0)
                            - (unknown[to[e]] < 0 ? g * pressure[to[e]] : 0);
                    equations.add(e, g);
                    if (row[from[e]] >= 0) {
                        right[row[from[e]]] -= known;
                    }
                    if (row[to[e]] >= 0) {
                        right[row[to[e]]] += known;
                    }
                }
                if (!equations.solve(right, solved)) {
                    return false;
                }
                for (int i = 0; i < nodeCount; i++) {
                    if (unknown[i] >= 0) {
                        pressure[i] = solved[unknown[i]];
                    }
                }
            }
            for (int e = 0; e < linkCount; e++) {
                next[e] = carries(e) ? q[e] + (pressure[from[e]] - pressure[to[e]] - loss[e]) / slope[e] : 0;
            }
            balanceHeld(next);
            return true;
        }

        /** Gives regulators that hold what their node's balance leaves them. */
        private void balanceHeld(double[] flows) {
            for (int pass = 0; pass < holdings; pass++) {
                for (int e = 0; e < linkCount; e++) {
                    if (holding[e]) {
                        int node = heldNode[e];
                        double in = -demand[node];
                        for (int k = 0; k < linkCount; k++) {
                            in += k == e || out[k] ? 0 : to[k] == node ? flows[k] : from[k] == node ? -flows[k] : 0;
                        }
                        flows[e] = node == from[e] ? in : -in;
                    }
                }
            }
        }

        /**
         * Moves along the step. The derivative of the convex content along it, which only grows, says where the lowest
         * point lies; the full step is taken unless it goes far past that.
         */
        private void search() {
            System.arraycopy(q, 0, before, 0, linkCount);
            double start = along(loss);
            System.arraycopy(next, 0, q, 0, linkCount);
            evaluateAll(q);
            double end = along(loss);
            if (end <= 0.5 * Math.abs(start) || start >= 0) {
                return;
            }
            double low = 0;
            double high = 1;
            for (int i = 0; i < 60 && end > 0.1 * Math.abs(start) && high - low > 1e-15; i++) {
                double middle = (low + high) / 2;
                move(middle);
                double value = along(loss);
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
            for (int e = 0; e < linkCount; e++) {
                q[e] = before[e] + t * (next[e] - before[e]);
            }
            evaluateAll(q);
        }

        /** Derivative of the content along the step, at the flows these losses belong to. */
        private double along(double[] losses) {
            double sum = 0;
            for (int e = 0; e < linkCount; e++) {
                if (carries(e)) {
                    sum += (next[e] - before[e]) * (losses[e] - pressure[from[e]] + pressure[to[e]]);
                }
            }
            return sum;
        }

        private void evaluateAll(double[] flows) {
            for (int e = 0; e < linkCount; e++) {
                if (carries(e)) {
                    evaluate(e, flows[e]);
                    loss[e] = drop.loss;
                    slope[e] = drop.slope;
                }
            }
        }

        private void evaluate(int e, double flow) {
            if (steepReverse && oneWay[e] && flow < 0) {
                law(e, 0);
                drop.loss += reverseSlope * flow;
                drop.slope = reverseSlope;
            } else {
                law(e, flow);
            }
        }

        private void law(int e, double flow) {
            laws[e].at(flow, drop);
            if (extra != null) {
                drop.loss += extra[e] + extraSlope[e] * flow;
                drop.slope += extraSlope[e];
            } else if (nozzle[e] >= 0) {
                drive((Element.Jet) problem.links().get(e).element(), nozzle[e], flow);
            }
        }

        /** The lift of a jet at what its nozzle passes now. */
        private void drive(Element.Jet jet, int by, double flow) {
            double through = out[by] ? 0 : Math.max(0, q[by]);
            laws[by].at(through, nozzleDrop);
            jet.lift(through, jet.headRatio() * Math.max(0, nozzleDrop.loss), flow, nozzleDrop);
            drop.loss += nozzleDrop.loss;
            drop.slope += nozzleDrop.slope;
        }

        /**
         * Worst pressure error over what is wanted: a billionth of the largest loss, which Newton reaches at once, and
         * what rounding leaves of the largest pressure. Much less is wanted while only the valves' states are sought.
         */
        private double residual() {
            double largest = 0;
            double worst = 0;
            double pressures = 0;
            for (int e = 0; e < linkCount; e++) {
                if (carries(e)) {
                    largest = Math.max(largest, Math.abs(loss[e]));
                    pressures = Math.max(pressures, Math.abs(pressure[from[e]]));
                    worst = Math.max(worst, Math.abs(loss[e] - pressure[from[e]] + pressure[to[e]]));
                }
            }
            double wanted = steepReverse && anyOneWay ? 1e-4 * largest + SolverSettings.PRESSURE_TOLERANCE
                    : 1e-9 * largest + 1e-12 * pressures + 1e-9;
            return worst / wanted;
        }

        /** Within a thousandth of the pressure tolerance, and no flow in doubt by a tenth of the mass tolerance. */
        private boolean coarselyGood() {
            for (int e = 0; e < linkCount; e++) {
                double error = pressureError(e);
                if (error > 1e-3 * SolverSettings.PRESSURE_TOLERANCE
                        || error / slope[e] > 0.1 * SolverSettings.MASS_TOLERANCE) {
                    return false;
                }
            }
            return true;
        }

        private String worstLink() {
            int worst = 0;
            for (int e = 1; e < linkCount; e++) {
                if (pressureError(e) > pressureError(worst)) {
                    worst = e;
                }
            }
            return problem.links().get(worst).id();
        }

        private double pressureError(int e) {
            return carries(e) ? Math.abs(loss[e] - pressure[from[e]] + pressure[to[e]]) : 0;
        }

        private double massError(double[] balance) {
            for (int i = 0; i < nodeCount; i++) {
                balance[i] = held[i] ? 0 : demand[i];
            }
            for (int e = 0; e < linkCount; e++) {
                balance[from[e]] += q[e];
                balance[to[e]] -= q[e];
            }
            double worst = 0;
            for (int i = 0; i < nodeCount; i++) {
                worst = held[i] ? worst : Math.max(worst, Math.abs(balance[i]));
            }
            return worst;
        }

        private NetworkSolution answer() {
            for (int e = 0; e < linkCount; e++) {
                q[e] = out[e] ? 0 : q[e];
            }
            String beyond = beyondBelief();
            if (!beyond.isEmpty()) {
                return failed(Status.IMPLAUSIBLE, beyond);
            }
            double mass = massError(new double[nodeCount]);
            String worst = linkCount == 0 ? "" : worstLink();
            double error = 0;
            for (int e = 0; e < linkCount; e++) {
                error = Math.max(error, pressureError(e));
            }
            Evidence evidence = new Evidence(iterations, mass, error, worst);
            if (!(mass <= SolverSettings.MASS_TOLERANCE) || !(error <= SolverSettings.PRESSURE_TOLERANCE)) {
                return new NetworkSolution(Status.ITERATION_LIMIT, "The answer at " + worst
                        + " is not within the tolerances.", evidence, Network.this, Figures.NONE);
            }
            LinkState[] states = new LinkState[linkCount];
            for (int e = 0; e < linkCount; e++) {
                states[e] = shut[e] ? LinkState.SHUT : out[e] ? LinkState.HELD_SHUT
                        : holding[e] ? LinkState.REGULATING : LinkState.OPEN;
            }
            double[] gauge = new double[nodeCount];
            for (int i = 0; i < nodeCount; i++) {
                gauge[i] = pressure[i] - hydrostatic[i];
            }
            return new NetworkSolution(Status.CONVERGED, "", evidence, Network.this,
                    new Figures(q, states, gauge, pressure, cutOff));
        }

        /** A sentence if the flow asked for takes more pressure than any line bears. */
        private String beyondBelief() {
            int worst = -1;
            for (int e = 0; e < linkCount; e++) {
                if (carries(e) && Math.abs(loss[e]) > SolverSettings.MOST_PRESSURE
                        && (worst < 0 || Math.abs(loss[e]) > Math.abs(loss[worst]))) {
                    worst = e;
                }
            }
            return worst < 0 ? "" : "The flow asked for cannot pass " + problem.links().get(worst).id()
                    + ": it would take more than 10,000 psi.";
        }

        private NetworkSolution failed(Status status, String reason) {
            String worst = status == Status.ITERATION_LIMIT && linkCount > 0 ? worstLink() : "";
            return new NetworkSolution(status, reason, new Evidence(iterations, 0, 0, worst), Network.this,
                    Figures.NONE);
        }
    }
}
