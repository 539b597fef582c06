package ration.answer.drawdown;

import java.util.List;
import java.util.Map;
import java.util.Set;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Item;
import ration.aircraft.model.PortRef;
import ration.aircraft.model.Tank;
import ration.aircraft.topology.Passing;
import ration.aircraft.topology.Topology;
import ration.answer.assess.Assessment;

/**
 * A way to set the handles, and the tanks that feed then.
 *
 * @param positions by selector id; empty where there is none
 * @param feeds ids of tanks
 */
record Choice(Map<String, String> positions, Set<String> feeds) {

    Choice {
        positions = Map.copyOf(positions);
        feeds = Set.copyOf(feeds);
    }

    /** Every way but OFF, in the order of the handles: a tank feeds where its outlet is joined to the engine. */
    static List<Choice> of(FuelSystem system) {
        Topology topology = Topology.of(system);
        PortRef engine = new PortRef(system.inlet().orElseThrow().id(), Item.IN);
        return Assessment.positions(system).stream()
                .map(p -> new Choice(
                        p,
                        Set.copyOf(system.tanks().stream()
                                .filter(t -> topology.reached(
                                                t.outlets().stream()
                                                        .map(o -> new PortRef(t.id(), o.name()))
                                                        .toList(),
                                                forward(p))
                                        .contains(engine))
                                .map(Tank::id)
                                .toList())))
                .toList();
    }

    /** As it is meant to run, through headers but not through tanks, the selectors so. */
    private static Passing forward(Map<String, String> positions) {
        return p -> switch (p.what()) {
            case TANK, RAIL -> Passing.Way.NONE;
            case POSITION -> p.position().equals(positions.get(p.from().item())) ? Passing.Way.BOTH : Passing.Way.NONE;
            case BORE, SHUT_OFF, HEADER -> Passing.Way.BOTH;
            case CHECK, FREE_PUMP, CHECKED_PUMP, TIGHT_PUMP, BYPASS, REDUCER -> Passing.Way.FORWARD;
        };
    }

    /** Whether one tank feeds by itself. */
    boolean single() {
        return feeds.size() == 1;
    }

    String words() {
        return positions.isEmpty() ? "" : String.join(", ", positions.values());
    }
}
