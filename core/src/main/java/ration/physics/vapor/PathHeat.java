package ration.physics.vapor;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import ration.aircraft.condition.Power;
import ration.aircraft.heat.Heat;
import ration.aircraft.heat.Zone;
import ration.aircraft.model.FuelSystem;
import ration.base.fluid.VaporPressure;
import ration.base.geometry.Point3;
import ration.physics.flow.FlowAnswer;

/**
 * Pressure and temperature along the path of one answer.
 *
 * @param gaps from the tank to the engine inlet, in order
 */
public record PathHeat(List<Gap> gaps) {

    /** Supply voltage taken for a pump's electrical power, V; common practice, no source. */
    public static final double VOLTS = 13.8;
    /** Share of its power a pump turns into pressure where its current is not known; common practice, no source. */
    static final double EFFICIENCY = 0.3;

    public PathHeat {
        gaps = List.copyOf(gaps);
    }

    /** Along the path of an answer; empty if nothing flows. */
    public static PathHeat of(FuelSystem system, FlowAnswer answer, Heat heat, Air air, Power power) {
        return HeatPath.of(system, answer, heat, power).on(air);
    }

    /**
     * Where a part stands: said so, else in the engine bay on the engine's side of the firewall, in the cabin on the
     * other.
     */
    public static Zone zone(FuelSystem system, Heat heat, String item, Point3 place) {
        Zone said = heat.zones().get(item);
        if (said != null) {
            return said;
        }
        boolean bay = system.firewall()
                .filter(w -> system.inlet()
                        .filter(e -> place.x() < w.station().si()
                                == e.place().point().x() < w.station().si())
                        .isPresent())
                .isPresent();
        return bay ? Zone.ENGINE_BAY : Zone.CABIN;
    }

    /** The point with the fewest degrees left; where a line ends at an item, the item. */
    public Optional<Gap> least(VaporPressure vapor) {
        Gap least = null;
        double fewest = Double.POSITIVE_INFINITY;
        for (Gap g : gaps) {
            double degrees = g.degrees(vapor);
            if (least == null || degrees < fewest - 1e-9 || degrees <= fewest + 1e-9 && g.body()) {
                least = g;
                fewest = degrees;
            }
        }
        return Optional.ofNullable(least);
    }

    /** The least of each item, in the order of the path. */
    public List<Gap> leastOfEach(VaporPressure vapor) {
        Map<String, Gap> least = new LinkedHashMap<>();
        gaps.forEach(g -> least.merge(g.item(), g, (a, b) -> b.degrees(vapor) < a.degrees(vapor) ? b : a));
        return List.copyOf(least.values());
    }
}
