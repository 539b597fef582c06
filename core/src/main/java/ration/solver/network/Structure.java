package ration.solver.network;

import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Queue;
import java.util.concurrent.ConcurrentLinkedQueue;
import ration.solver.network.NetworkProblem.Boundary;
import ration.solver.network.NetworkProblem.Link;
import ration.solver.network.NetworkProblem.Node;

/**
 * What of a network stays the same whatever its heights, held pressures and demands: indices in place of names.
 * Immutable but for what it keeps.
 */
final class Structure {

    private static final double USUAL_FIRST_FLOW = 1e-5;

    final NetworkProblem problem;
    final int nodes;
    final int links;
    final int[] from;
    final int[] to;
    final Characteristic[] laws;
    /** Slopes of laws that are straight lines; 0 of others. */
    final double[] straight;

    final boolean[] oneWay;
    final boolean[] shut;
    /** Links full of air, which weighs nothing beside fuel. */
    final boolean[] airy;
    /** Nodes whose pressure is given. */
    final boolean[] held;
    /** Where a solve from nothing begins, and what the laws say there. */
    final double[] firstFlow;

    final double[] firstLoss;
    final double[] firstSlope;
    final boolean anyOneWay;
    /** Whether there is a regulator or a jet. */
    final boolean adjusted;
    /** For regulators: the node held and the node at the other end; else -1. */
    final int[] heldNode;

    final int[] otherNode;
    /** Links that are regulators. */
    final int[] regulators;
    /** For jets: the link of the driving nozzle; else -1. */
    final int[] nozzle;

    final Map<String, Integer> nodeIndex;
    final Map<String, Integer> linkIndex;
    private final Shape shape;
    private final int[] leastFirst;
    private volatile Tree lastTree;

    /** What depends on which node is joined to which only. */
    private record Shape(Elimination.Plan plan, int[][] linksAt, Queue<Elimination> idle) {}

    /** @param alike that may join its nodes in the same way; null if there is none */
    Structure(NetworkProblem problem, Structure alike) {
        this.problem = problem;
        boolean sameFluid =
                alike != null && problem.fluid().equals(alike.problem.fluid()) && problem.law() == alike.problem.law();
        boolean named = alike != null && namedAs(alike);
        List<Node> allNodes = problem.nodes();
        List<Link> allLinks = problem.links();
        nodes = allNodes.size();
        links = allLinks.size();
        nodeIndex = named ? alike.nodeIndex : new HashMap<>(2 * nodes);
        linkIndex = named ? alike.linkIndex : new HashMap<>(2 * links);
        held = new boolean[nodes];
        for (int i = 0; i < nodes; i++) {
            if (!named) {
                nodeIndex.put(allNodes.get(i).id(), i);
            }
            held[i] = allNodes.get(i).boundary() instanceof Boundary.Pressure;
        }
        from = new int[links];
        to = new int[links];
        laws = new Characteristic[links];
        straight = new double[links];
        oneWay = new boolean[links];
        shut = new boolean[links];
        airy = new boolean[links];
        firstFlow = new double[links];
        heldNode = new int[links];
        otherNode = new int[links];
        nozzle = new int[links];
        boolean any = false;
        boolean adjusts = false;
        for (int e = 0; e < links; e++) {
            Link link = allLinks.get(e);
            Element element = link.element();
            from[e] = named ? alike.from[e] : nodeIndex.get(link.from());
            to[e] = named ? alike.to[e] : nodeIndex.get(link.to());
            if (!named) {
                linkIndex.put(link.id(), e);
            }
            laws[e] = sameFluid && e < alike.links && element == alike.element(e)
                    ? alike.laws[e]
                    : element.prepare(problem.fluid(), problem.law());
            straight[e] = laws[e] instanceof Characteristic.Straight line ? line.slope() : 0;
            oneWay[e] = element.oneWay();
            shut[e] = element.shut();
            airy[e] = element instanceof Element.Vent;
            any |= oneWay[e];
            adjusts |= element instanceof Element.Regulator || element instanceof Element.Jet;
            firstFlow[e] = element instanceof Element.Pipe pipe ? 0.6 * pipe.bore() * pipe.bore() : USUAL_FIRST_FLOW;
            heldNode[e] = -1;
            if (element instanceof Element.Regulator r) {
                boolean upstream = r.holds() == Element.Regulator.Holds.UPSTREAM;
                heldNode[e] = upstream ? from[e] : to[e];
                otherNode[e] = upstream ? to[e] : from[e];
            }
        }
        for (int e = 0; e < links; e++) {
            nozzle[e] = allLinks.get(e).element() instanceof Element.Jet jet
                    ? linkIndex.getOrDefault(jet.nozzle(), -1)
                    : -1;
        }
        regulators = java.util.stream.IntStream.range(0, links)
                .filter(e -> heldNode[e] >= 0)
                .toArray();
        anyOneWay = any;
        adjusted = adjusts;
        boolean sameLaws = sameFluid && Arrays.equals(laws, alike.laws);
        firstLoss = sameLaws ? alike.firstLoss : new double[links];
        firstSlope = sameLaws ? alike.firstSlope : new double[links];
        if (!sameLaws) {
            begin();
        }
        leastFirst = sameLaws ? alike.leastFirst : Tree.leastFirst(firstSlope);
        boolean same = alike != null
                && Arrays.equals(held, alike.held)
                && Arrays.equals(from, alike.from)
                && Arrays.equals(to, alike.to);
        shape = same ? alike.shape : shape();
    }

    /** Whether nodes and links are called as there, and every link ends where it does there. */
    private boolean namedAs(Structure alike) {
        List<Node> these = problem.nodes();
        List<Node> those = alike.problem.nodes();
        List<Link> links = problem.links();
        List<Link> theirs = alike.problem.links();
        if (these.size() != those.size() || links.size() != theirs.size()) {
            return false;
        }
        for (int i = 0; i < these.size(); i++) {
            if (!these.get(i).id().equals(those.get(i).id())) {
                return false;
            }
        }
        for (int e = 0; e < links.size(); e++) {
            Link a = links.get(e);
            Link b = theirs.get(e);
            if (a != b && (!a.id().equals(b.id()) || !a.from().equals(b.from()) || !a.to().equals(b.to()))) {
                return false;
            }
        }
        return true;
    }

    private void begin() {
        Drop drop = new Drop(links);
        for (int e = 0; e < links; e++) {
            drop.line(e);
            laws[e].at(firstFlow[e], drop);
            firstLoss[e] = drop.loss;
            firstSlope[e] = drop.slope;
        }
    }

    private Shape shape() {
        int[] count = new int[nodes];
        for (int e = 0; e < links; e++) {
            count[from[e]]++;
            count[to[e]]++;
        }
        int[][] linksAt = new int[nodes][];
        for (int i = 0; i < nodes; i++) {
            linksAt[i] = new int[count[i]];
        }
        for (int e = 0; e < links; e++) {
            linksAt[from[e]][--count[from[e]]] = e;
            linksAt[to[e]][--count[to[e]]] = e;
        }
        return new Shape(Elimination.Plan.of(held, from, to), linksAt, new ConcurrentLinkedQueue<>());
    }

    Element element(int link) {
        return problem.links().get(link).element();
    }

    String name(int link) {
        return problem.links().get(link).id();
    }

    /** Links that end at a node. */
    int[] linksAt(int node) {
        return shape.linksAt[node];
    }

    /** All links, those that resist least first. */
    int[] leastFirst() {
        return leastFirst;
    }

    /** How the nodes hang together in an attempt as it stands. */
    Tree tree(Attempt attempt) {
        Tree tree = lastTree;
        if (tree == null || !tree.of(attempt)) {
            tree = new Tree(attempt);
            lastTree = tree;
        }
        return tree;
    }

    /** Whether it is known already that every node hangs on a held pressure in an attempt as it stands. */
    boolean hangsTogether(Attempt attempt) {
        Tree tree = lastTree;
        return tree != null && tree.complete() && tree.of(attempt);
    }

    /** Figures for one solve; given back by {@link #giveBack} they serve the next. */
    Elimination elimination() {
        Elimination kept = shape.idle.poll();
        return kept == null ? shape.plan.figures() : kept;
    }

    void giveBack(Elimination used) {
        shape.idle.add(used);
    }
}
