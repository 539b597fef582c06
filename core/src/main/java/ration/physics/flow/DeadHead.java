package ration.physics.flow;

import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;
import ration.aircraft.condition.Condition;
import ration.aircraft.condition.Fault;
import ration.aircraft.condition.Faults;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.PortRef;
import ration.aircraft.model.Regulator;
import ration.aircraft.model.Run;
import ration.aircraft.topology.Topology;

/**
 * What each line stands when every pump runs and nothing gets away: the engine takes nothing, nothing is spilt back,
 * every return is blocked. Pumps, reliefs, checks and reducers are as fitted, so side by side the greatest counts and
 * in series the sum.
 */
public final class DeadHead {

    /** What goes on flowing, m3/s: hardly anything, so that a pressure behind shut ways is told; under 0.001 gph. */
    private static final double SEEPS = 1e-9;

    private DeadHead() {}

    /**
     * The greatest pressure in each run over some conditions, Pa gauge, by its id; not a number where it has no answer.
     *
     * @param conditions with the pumps on; a run that none of them reaches with fuel stands in none
     */
    public static Map<String, Double> of(FlowBasis basis, Iterable<Condition> conditions) {
        FuelSystem system = basis.system();
        Topology topology = Topology.of(system);
        Set<Fault> shut = new HashSet<>();
        system.all(Regulator.class)
                .filter(r -> r.style() == Regulator.Style.BYPASS)
                .forEach(r -> shut.add(new Fault(Fault.Kind.REGULATOR_STUCK_SHUT, r.id())));
        system.runs().stream()
                .filter(topology::returns)
                .forEach(r -> shut.add(new Fault(Fault.Kind.RETURN_BLOCKED, r.id())));
        Map<String, Double> greatest = new HashMap<>();
        for (Condition c : conditions) {
            FlowAnswer a = basis.ask(c.with(new Faults(shut)), new FlowQuestion.Demand(SEEPS));
            for (Run run : system.runs()) {
                greatest.merge(
                        run.id(),
                        a.usable() ? most(a, run) : Double.NaN,
                        (x, y) -> Double.isNaN(x) || Double.isNaN(y) ? Double.NaN : Math.max(x, y));
            }
        }
        return greatest;
    }

    /** At its ends; what no fuel reaches stands in the air. */
    private static double most(FlowAnswer a, Run run) {
        return Math.max(0, Math.max(at(a, run.from()), at(a, run.to())));
    }

    private static double at(FlowAnswer a, PortRef port) {
        return a.pressure(port).orElse(Double.NEGATIVE_INFINITY);
    }
}
