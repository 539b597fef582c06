package ration.physics.vapor;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import ration.aircraft.condition.Power;
import ration.aircraft.heat.Heat;
import ration.aircraft.heat.HeatFigure;
import ration.aircraft.heat.Soak;
import ration.aircraft.heat.Warming;
import ration.aircraft.heat.Zone;
import ration.aircraft.model.Fitted;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Item;
import ration.aircraft.model.Run;
import ration.aircraft.model.Tank;
import ration.base.fluid.VaporPressure;
import ration.base.geometry.Point3;

/**
 * What stands in the lines after shutdown: each part of the path in the engine bay, and when it boils.
 *
 * @param item id
 * @param name of the part
 * @param soak its temperature
 * @param boils temperature at which it boils as it stands, K
 * @param line whether it is a run
 */
public record SoakPath(String item, String name, Soak soak, double boils, boolean line) {

    /**
     * Mass times specific heat of a body that is no run over what passes its skin, s a W/m2K; common practice, no
     * source.
     */
    private static final double BODY_LAG = 22_000;
    /** How far the soak is followed, s. */
    public static final double LENGTH = 40 * 60;

    private static final double STEP = 15;

    /** Of the parts in the engine bay after a case, shut down at a height; hottest first. */
    public static List<SoakPath> of(FuelSystem system, PathHeat path, Heat heat, Power power, double altitudeM) {
        VaporPressure vapor = heat.vapor();
        List<SoakPath> all = new ArrayList<>();
        double outside = heat.outside(altitudeM);
        double startOver = heat.air(Zone.ENGINE_BAY, power, altitudeM) - outside;
        for (Gap g : path.leastOfEach(vapor)) {
            Item item = system.item(g.item()).orElse(null);
            if (item == null || item.only(Tank.class).isPresent() || !inBay(system, heat, item)) {
                continue;
            }
            Optional<Run> line = item.only(Run.class);
            double lag = line.map(
                            run -> 720 * Warming.SPECIFIC_HEAT * run.size().bore() / (4 * heat.through(run)))
                    .orElse(BODY_LAG / heat.si(HeatFigure.BARE));
            double standing = Heat.ambient(altitudeM) + Math.min(0, g.gauge());
            all.add(new SoakPath(
                    item.id(),
                    item.name(),
                    new Soak(
                            outside,
                            startOver,
                            heat.si(HeatFigure.BAY_SOAK_OVER),
                            heat.si(HeatFigure.SOAK_FADE),
                            lag,
                            g.kelvin()),
                    vapor.boilingKelvin(Math.max(1000, standing)),
                    line.isPresent()));
        }
        all.sort((a, b) -> Double.compare(b.hottest(), a.hottest()));
        return all;
    }

    private static boolean inBay(FuelSystem system, Heat heat, Item item) {
        Optional<Point3> place = item.only(Fitted.class)
                .map(f -> f.place().point())
                .or(() -> item.only(Run.class).flatMap(r -> system.point(r.to())));
        return place.filter(p -> hot(PathHeat.zone(system, heat, item.id(), p))).isPresent();
    }

    /** A shroud has no air to cool with once the engine stands. */
    private static boolean hot(Zone zone) {
        return zone == Zone.ENGINE_BAY || zone == Zone.SHROUD;
    }

    private double hottest() {
        double most = 0;
        for (double t = 0; t <= LENGTH; t += STEP) {
            most = Math.max(most, soak.at(t));
        }
        return most;
    }

    /**
     * When it boils.
     *
     * @param from first moment, s after shutdown
     * @param to last; at most the end of what is followed
     */
    public record Window(double from, double to) {}

    /** Restart is at risk while any part boils; null where none does. */
    public static Window risk(List<SoakPath> parts) {
        double from = Double.POSITIVE_INFINITY;
        double to = -1;
        for (SoakPath p : parts) {
            for (double t = 0; t <= LENGTH; t += STEP) {
                if (p.soak.at(t) > p.boils) {
                    from = Math.min(from, t);
                    to = Math.max(to, t);
                }
            }
        }
        return to < 0 ? null : new Window(from, to);
    }
}
