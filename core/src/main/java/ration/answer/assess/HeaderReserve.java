package ration.answer.assess;

import ration.aircraft.condition.Condition;
import ration.aircraft.model.Header;
import ration.aircraft.model.PortRef;
import ration.aircraft.topology.Topology;
import ration.physics.flow.FlowAnswer;
import ration.physics.flow.FlowBasis;
import ration.physics.flow.FlowQuestion;
import ration.record.project.Project;

/**
 * How long a full header lasts once nothing runs in: all that leaves it counts, what the engine sends back to a main
 * tank too.
 *
 * @param drawn leaves it for good at take-off demand, m3/s
 * @param known whether that could be computed; otherwise the engine's demand is taken
 */
record HeaderReserve(Header header, double drawn, boolean known) {

    double seconds() {
        return header.capacity().si() / drawn;
    }

    /** Level, full, everything on: the most that leaves it over the handle's positions. */
    static HeaderReserve of(Project project, FlowBasis basis, Header header) {
        double demand = project.brief().demand();
        if (basis == null) {
            return new HeaderReserve(header, demand, false);
        }
        Condition start = StartingCase.of(project);
        Topology topology = basis.topology();
        double most = 0;
        for (var position : Topology.positions(project.system())) {
            FlowAnswer a = basis.ask(start.withPositions(position), new FlowQuestion.Demand(demand));
            if (a.usable()) {
                double out = header.outlets().stream()
                        .mapToDouble(o -> a.solution().flow(header.id() + "." + o))
                        .sum();
                for (String inlet : header.inlets()) {
                    out -= topology.comesRound(new PortRef(header.id(), inlet))
                            ? Math.max(0, a.solution().flow(header.id() + "." + inlet))
                            : 0;
                }
                most = Math.max(most, out);
            }
        }
        return most > 1e-9
                ? new HeaderReserve(header, Math.max(most, demand), true)
                : new HeaderReserve(header, demand, false);
    }
}
