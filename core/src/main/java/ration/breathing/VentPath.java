package ration.breathing;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import ration.model.FuelSystem;
import ration.model.Tank;
import ration.model.VentLine;

/**
 * The vents the air of a tank passes until it is outside: its own, and those of the tanks it leads through.
 *
 * @param lines whose bore is known, from the tank outwards
 * @param tip   pressure coefficient of the last tip; 0 where none is said
 * @param open  whether it ends outside
 */
public record VentPath(List<VentLine> lines, double tip, boolean open) {

    public VentPath {
        lines = List.copyOf(lines);
    }

    /** Of a tank as laid out. */
    public static VentPath of(FuelSystem system, Tank tank) {
        List<VentLine> lines = new ArrayList<>();
        Set<String> seen = new HashSet<>(Set.of(tank.id()));
        Tank at = tank;
        while (true) {
            Optional<VentLine> vent = at.fitout().vent();
            vent.filter(v -> v.bore().si() > 0).ifPresent(lines::add);
            if (vent.flatMap(VentLine::to).isEmpty()) {
                return new VentPath(lines, vent.map(v -> v.tip().si()).orElse(0.0), true);
            }
            Optional<Tank> next = system.item(vent.get().to().get()).filter(Tank.class::isInstance)
                    .map(Tank.class::cast);
            if (next.isEmpty() || !seen.add(next.get().id())) {
                return new VentPath(lines, 0, false);
            }
            at = next.get();
        }
    }
}
