package ration.physics.flow;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import ration.solver.network.NetworkSolution;

/** The way the most fuel takes through a converged answer, followed back from the engine inlet. */
final class FuelWay {

    private final FlowPlan plan;
    private final NetworkSolution solution;
    private final double weight;

    /** @param weight of the fuel as felt, Pa per metre; above zero */
    FuelWay(FlowPlan plan, NetworkSolution solution, double weight) {
        this.plan = plan;
        this.solution = solution;
        this.weight = weight;
    }

    /** Item by item, from the surface to the inlet. */
    List<PathStep> steps() {
        Map<String, double[]> steps = new LinkedHashMap<>();
        int node = plan.inlet();
        for (int feeding : back(node)) {
            int before = plan.wire(feeding).other(node);
            double headIn = headAt(before);
            double headOut = headAt(node);
            double[] step = steps.computeIfAbsent(plan.wire(feeding).item(), k -> new double[] {headIn, headOut});
            step[0] = headIn;
            node = before;
        }
        List<PathStep> found = new ArrayList<>();
        steps.forEach((item, h) -> found.add(new PathStep(item, (h[0] - h[1]) * weight, h[0], h[1])));
        Collections.reverse(found);
        return List.copyOf(found);
    }

    /**
     * The wires back to the surface the fuel comes from, the one that brings most first at each node; what only goes
     * round, as from a rail back to the header before its pumps, is not where fuel comes from. Without a surface, the
     * one that brings most.
     */
    private List<Integer> back(int inlet) {
        List<Integer> way = new ArrayList<>();
        if (reaches(inlet, new boolean[plan.spots()], way)) {
            return way;
        }
        boolean[] seen = new boolean[plan.spots()];
        for (int node = inlet;
                !seen[node] && !feeding(node).isEmpty();
                node = plan.wire(way.get(way.size() - 1)).other(node)) {
            seen[node] = true;
            way.add(feeding(node).get(0));
        }
        return way;
    }

    private boolean reaches(int node, boolean[] seen, List<Integer> way) {
        if (plan.surface(node)) {
            return true;
        }
        seen[node] = true;
        for (int feeding : feeding(node)) {
            int before = plan.wire(feeding).other(node);
            if (!seen[before]) {
                way.add(feeding);
                if (reaches(before, seen, way)) {
                    return true;
                }
                way.remove(way.size() - 1);
            }
        }
        return false;
    }

    private double headAt(int node) {
        return solution.knownAt(node) ? solution.piezometricAt(node) / weight : 0;
    }

    /** The wires that bring a node fuel, the one that brings most first. */
    private List<Integer> feeding(int node) {
        List<Integer> all = new ArrayList<>();
        for (int w : plan.wiresAt(node)) {
            Wire wire = plan.wire(w);
            if (wire.to() != plan.bowl() && into(node, w) > FlowAnswer.NO_FLOW) {
                all.add(w);
            }
        }
        if (all.size() > 1) {
            all.sort(Comparator.comparingDouble(w -> -into(node, w)));
        }
        return all;
    }

    private double into(int node, int w) {
        return plan.wire(w).to() == node ? solution.flowAt(w) : -solution.flowAt(w);
    }
}
