package ration.physics.flow;

import java.util.ArrayList;
import java.util.List;
import ration.aircraft.condition.Fault;
import ration.solver.network.Element;
import ration.solver.network.NetworkSolution;

/**
 * Where air reaches the flowing line of a converged answer: through outlets that stand clear of the fuel, and parts
 * that let it in.
 */
final class AirWay {

    private final Posed pose;
    private final FlowPlan plan;
    private final NetworkSolution solution;
    private final double weight;

    AirWay(Posed pose, NetworkSolution solution, double weight) {
        this.pose = pose;
        this.plan = pose.plan();
        this.solution = solution;
        this.weight = weight;
    }

    /**
     * Follows the standing line behind each uncovered outlet to where fuel flows. Liquid in it stands at the height
     * that balances the pressure there; if the whole way lies above that height, air gets through. A part that lets air
     * in does so where the pressure falls under ambient.
     */
    List<String> through() {
        List<String> through = new ArrayList<>();
        for (TankLevel level : pose.levels().values()) {
            for (String outlet : level.uncovered()) {
                String name = level.tank() + "." + outlet;
                int node = plan.spot(name);
                boolean still = Math.abs(solution.flowAt(plan.wire(name))) < FlowAnswer.NO_FLOW;
                double over = pose.airspace(level.tank());
                if (still
                                && solution.knownAt(node)
                                && weight > 0
                                && airReaches(
                                        node, (solution.piezometricAt(node) - over) / weight, new boolean[plan.spots()])
                        || still && jetDraws(node, new boolean[plan.spots()])) {
                    through.add(name);
                }
            }
        }
        for (Fault f : pose.condition().faults().all()) {
            if (f.kind() == Fault.Kind.AIR_LEAK) {
                for (String name : plan.basis().airPorts(f)) {
                    int node = plan.spot(name);
                    if (node >= 0
                            && solution.knownAt(node)
                            && solution.pressureAt(node) < 0
                            && leads(node, new boolean[plan.spots()])) {
                        through.add(name);
                    }
                }
            }
        }
        return through;
    }

    /**
     * Whether air that comes in at a node gets to the engine: with the fuel where that flows, through fuel that stands,
     * never against it. What comes out into a tank is no air of the engine's.
     */
    private boolean leads(int node, boolean[] seen) {
        if (node == plan.inlet()) {
            return true;
        }
        if (seen[node] || plan.surface(node)) {
            return false;
        }
        seen[node] = true;
        for (int w : plan.wiresAt(node)) {
            Wire wire = plan.wire(w);
            Element element = wire.element();
            double flow = solution.flowAt(w) * (wire.from() == node ? 1 : -1);
            boolean stands = Math.abs(flow) <= FlowAnswer.NO_FLOW;
            boolean backward = wire.from() != node && element.oneWay();
            boolean passes = !element.shut()
                    && !(element instanceof Element.Uncovered)
                    && !(element instanceof Element.Vent)
                    && !backward
                    && !(stands && element instanceof Element.Pump);
            if (passes && (stands || flow > 0) && leads(wire.other(node), seen)) {
                return true;
            }
        }
        return false;
    }

    private boolean flowsAt(int node) {
        for (int w : plan.wiresAt(node)) {
            if (Math.abs(solution.flowAt(w)) > FlowAnswer.NO_FLOW) {
                return true;
            }
        }
        return false;
    }

    /** Whether a running jet's suction side leads to this bare outlet with nothing flowing between. */
    private boolean jetDraws(int node, boolean[] seen) {
        if (!plan.jets() || seen[node]) {
            return false;
        }
        seen[node] = true;
        for (int w : plan.wiresAt(node)) {
            Wire wire = plan.wire(w);
            Element element = wire.element();
            if (element.shut() || element instanceof Element.Uncovered || element instanceof Element.Pump) {
                continue;
            }
            if (element instanceof Element.Jet jet) {
                if (wire.from() == node && solution.flow(jet.nozzle()) > FlowAnswer.NO_FLOW) {
                    return true;
                }
            } else if (Math.abs(solution.flowAt(w)) <= FlowAnswer.NO_FLOW && jetDraws(wire.other(node), seen)) {
                return true;
            }
        }
        return false;
    }

    private boolean airReaches(int node, double liquidStands, boolean[] seen) {
        if (seen[node] || pose.height(node) <= liquidStands + 1e-6) {
            return false;
        }
        seen[node] = true;
        if (flowsAt(node)) {
            return true;
        }
        for (int w : plan.wiresAt(node)) {
            Wire wire = plan.wire(w);
            Element element = wire.element();
            // a running pump that takes in air moves nothing: its line stands, and what lies beyond it is safe
            boolean passes = !element.shut()
                    && !(element instanceof Element.Uncovered)
                    && !(element instanceof Element.Jet)
                    && !(element instanceof Element.Pump);
            if (passes && pose.lowest(wire) > liquidStands && airReaches(wire.other(node), liquidStands, seen)) {
                return true;
            }
        }
        return false;
    }
}
