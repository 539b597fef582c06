package ration.evidence;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import ration.model.EngineInlet;
import ration.model.FuelSystem;
import ration.model.Header;
import ration.model.Item;
import ration.model.PortRef;
import ration.model.Selector;
import ration.model.ShutOff;
import ration.model.Tank;

/** By which ways fuel could run from one tank to another; a check valve is not trusted to hold. */
public final class OpenPaths {

    private OpenPaths() {
    }

    /**
     * Tanks that fuel lines join to this one with the handles at these positions.
     *
     * @param positions by selector id; a selector not named stands at OFF where it has one
     * @param shut      ids of shut-offs that are closed
     */
    public static List<Tank> between(FuelSystem system, Tank tank, Map<String, String> positions,
            Set<String> shut) {
        Set<PortRef> seen = new HashSet<>();
        Deque<PortRef> ahead = new ArrayDeque<>();
        tank.outlets().forEach(o -> ahead.add(new PortRef(tank.id(), o.name())));
        Set<String> reached = new HashSet<>();
        while (!ahead.isEmpty()) {
            PortRef at = ahead.poll();
            if (!seen.add(at)) {
                continue;
            }
            system.runAt(at).ifPresent(r -> {
                ahead.add(r.from());
                ahead.add(r.to());
            });
            system.item(at.item()).ifPresent(item -> {
                if (item instanceof Tank other) {
                    if (other.outlet(at.port()).isPresent()) {
                        reached.add(other.id());
                        other.outlets().forEach(o -> ahead.add(new PortRef(other.id(), o.name())));
                    }
                } else {
                    joined(item, at.port(), positions, shut).forEach(p -> ahead.add(new PortRef(item.id(), p)));
                }
            });
        }
        reached.remove(tank.id());
        return system.tanks().stream().filter(t -> reached.contains(t.id())).toList();
    }

    private static List<String> joined(Item item, String port, Map<String, String> positions, Set<String> shut) {
        if (item instanceof Selector s) {
            return positions.containsKey(s.id()) ? s.position(positions.get(s.id())).stream()
                    .flatMap(p -> p.joins().stream()).filter(g -> g.contains(port)).findFirst().orElse(List.of()) : List.of();
        }
        if (item instanceof ShutOff && shut.contains(item.id()) || item instanceof Header
                || item instanceof EngineInlet) {
            return List.of();
        }
        return item.ports();
    }
}
