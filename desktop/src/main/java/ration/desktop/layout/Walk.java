package ration.desktop.layout;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import ration.model.FuelSystem;
import ration.model.Item;
import ration.model.PortRef;
import ration.model.Run;
import ration.model.Tank;

/** Where the arrow keys lead: along the line, and between lines that meet. */
final class Walk {

    private final FuelSystem system;

    Walk(FuelSystem system) {
        this.system = system;
    }

    String first() {
        return system.tanks().stream().map(Tank::id).findFirst()
                .orElseGet(() -> system.inlet().map(Item::id).orElse(""));
    }

    Optional<String> downstream(String id) {
        return system.item(id).flatMap(i -> i instanceof Run run ? Optional.of(run.to().item())
                : leaving(id).stream().findFirst().map(Run::id));
    }

    Optional<String> upstream(String id) {
        return system.item(id).flatMap(i -> i instanceof Run run ? Optional.of(run.from().item())
                : arriving(id).stream().findFirst().map(Run::id));
    }

    /** The next line that meets the same item, or the next tank. */
    Optional<String> beside(String id, int step) {
        Optional<Item> item = system.item(id);
        if (item.isEmpty()) {
            return Optional.empty();
        }
        List<String> ring = new ArrayList<>();
        if (item.get() instanceof Run run) {
            List<Run> meet = arriving(run.to().item());
            (meet.size() > 1 ? meet : leaving(run.from().item())).forEach(r -> ring.add(r.id()));
        } else if (item.get() instanceof Tank) {
            system.tanks().forEach(t -> ring.add(t.id()));
        }
        int at = ring.indexOf(id);
        return at < 0 || ring.size() < 2 ? Optional.empty()
                : Optional.of(ring.get(Math.floorMod(at + step, ring.size())));
    }

    private List<Run> leaving(String id) {
        return system.runs().stream().filter(r -> r.from().item().equals(id)).toList();
    }

    private List<Run> arriving(String id) {
        List<Run> runs = new ArrayList<>();
        system.item(id).ifPresent(i -> i.ports().forEach(p -> system.runs().stream()
                .filter(r -> r.to().equals(new PortRef(id, p))).forEach(runs::add)));
        return runs;
    }
}
