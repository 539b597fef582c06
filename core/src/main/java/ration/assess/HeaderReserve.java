package ration.assess;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.HashSet;
import java.util.Set;
import ration.condition.Condition;
import ration.flow.FlowAnswer;
import ration.flow.FlowBasis;
import ration.flow.FlowQuestion;
import ration.model.FuelSystem;
import ration.model.Header;
import ration.model.Item;
import ration.model.PortRef;
import ration.model.Run;
import ration.model.Tank;
import ration.project.Project;

/**
 * How long a full header lasts once nothing runs in: all that leaves it counts, what the engine sends back to a main tank too.
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
        Condition start = Assessment.start(project);
        double most = 0;
        for (var position : Assessment.positions(project.system())) {
            FlowAnswer a = basis.ask(start.withPositions(position), new FlowQuestion.Demand(demand));
            if (a.usable()) {
                double out = a.solution().flow(header.id() + "." + Item.OUT);
                for (String inlet : header.inlets()) {
                    out -= comesRound(project.system(), header, inlet) ? Math.max(0, a.solution().flow(header.id() + "." + inlet)) : 0;
                }
                most = Math.max(most, out);
            }
        }
        return most > 1e-9 ? new HeaderReserve(header, Math.max(most, demand), true) : new HeaderReserve(header, demand, false);
    }

    /** Whether what comes in at an inlet left the same header before: a return, which lasts as long as the header does. */
    private static boolean comesRound(FuelSystem system, Header header, String inlet) {
        Deque<PortRef> ahead = new ArrayDeque<>();
        Set<String> seen = new HashSet<>();
        ahead.add(new PortRef(header.id(), inlet));
        while (!ahead.isEmpty()) {
            PortRef at = ahead.poll();
            for (Run run : system.runs()) {
                if (!run.to().equals(at) || !seen.add(run.id())) {
                    continue;
                }
                String from = run.from().item();
                if (from.equals(header.id())) {
                    return true;
                }
                Item item = system.item(from).orElse(null);
                if (item != null && !(item instanceof Tank)) {
                    item.ports().forEach(p -> ahead.add(new PortRef(from, p)));
                }
            }
        }
        return false;
    }
}
