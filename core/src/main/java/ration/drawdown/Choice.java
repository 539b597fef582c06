package ration.drawdown;

import java.util.List;
import java.util.Map;
import java.util.Set;
import ration.flow.FlowAnswer;
import ration.flow.FlowQuestion;
import ration.model.Tank;
import ration.assess.Assessment;
import ration.condition.Condition;

/**
 * A way to set the handles, and the tanks that feed then.
 *
 * @param positions by selector id; empty where there is none
 * @param feeds     ids of tanks
 */
record Choice(Map<String, String> positions, Set<String> feeds) {

    Choice {
        positions = Map.copyOf(positions);
        feeds = Set.copyOf(feeds);
    }

    /** Every way but OFF, in the order of the handles; which tanks feed is asked of the network with full tanks. */
    static List<Choice> of(Assessment a, Condition level, double demand) {
        return Assessment.positions(a.project().system()).stream().map(p -> {
            FlowAnswer f = a.basis().orElseThrow().ask(level.withPositions(p), new FlowQuestion.Demand(demand));
            return new Choice(p, Set.copyOf(a.project().system().tanks().stream().filter(t -> f.outflow(t) > 0.02 * demand).map(Tank::id)
                    .toList()));
        }).toList();
    }

    /** Whether one tank feeds by itself. */
    boolean single() {
        return feeds.size() == 1;
    }

    String words() {
        return positions.isEmpty() ? "" : String.join(", ", positions.values());
    }
}
