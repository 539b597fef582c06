package ration.answer.drawdown;

import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Tank;
import ration.aircraft.topology.Topology;

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
        return Topology.positions(system).stream()
                .map(p -> new Choice(
                        p, topology.feeding(p).stream().map(Tank::id).collect(Collectors.toUnmodifiableSet())))
                .toList();
    }

    /** Whether one tank feeds by itself. */
    boolean single() {
        return feeds.size() == 1;
    }

    String words() {
        return positions.isEmpty() ? "" : String.join(", ", positions.values());
    }
}
