package ration.desktop.layout;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Item;
import ration.aircraft.model.Run;
import ration.aircraft.model.Tank;
import ration.aircraft.topology.Topology;

/** Where the arrow keys lead: along the line, and between lines that meet. */
final class Walk {

    private final FuelSystem system;
    private final Topology topology;

    Walk(FuelSystem system) {
        this.system = system;
        this.topology = Topology.of(system);
    }

    String first() {
        return system.tanks().stream().map(Tank::id).findFirst().orElseGet(() -> system.inlet()
                .map(Item::id)
                .orElse(""));
    }

    Optional<String> downstream(String id) {
        return system.item(id).flatMap(i -> i.only(Run.class)
                .map(r -> r.to().item())
                .or(() -> topology.leaving(id).stream().findFirst().map(Run::id)));
    }

    Optional<String> upstream(String id) {
        return system.item(id).flatMap(i -> i.only(Run.class)
                .map(r -> r.from().item())
                .or(() -> topology.arriving(id).stream().findFirst().map(Run::id)));
    }

    /** The next line that meets the same item, or the next tank. */
    Optional<String> beside(String id, int step) {
        Optional<Item> item = system.item(id);
        if (item.isEmpty()) {
            return Optional.empty();
        }
        List<String> ring = new ArrayList<>();
        item.get().only(Run.class).ifPresent(run -> {
            List<Run> meet = topology.arriving(run.to().item());
            (meet.size() > 1 ? meet : topology.leaving(run.from().item())).forEach(r -> ring.add(r.id()));
        });
        item.get().only(Tank.class).ifPresent(tank -> system.tanks().forEach(t -> ring.add(t.id())));
        int at = ring.indexOf(id);
        return at < 0 || ring.size() < 2
                ? Optional.empty()
                : Optional.of(ring.get(Math.floorMod(at + step, ring.size())));
    }
}
