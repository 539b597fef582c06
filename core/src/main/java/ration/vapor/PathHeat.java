package ration.vapor;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import ration.condition.Power;
import ration.flow.FlowAnswer;
import ration.flow.PathLine;
import ration.fluid.VaporPressure;
import ration.geometry.Point3;
import ration.heat.Heat;
import ration.heat.HeatFigure;
import ration.heat.Warming;
import ration.heat.Zone;
import ration.model.Firewall;
import ration.model.FuelSystem;
import ration.model.Pump;

/**
 * Pressure and temperature along the path of one answer.
 *
 * @param gaps from the tank to the engine inlet, in order
 */
public record PathHeat(List<Gap> gaps) {

    /** Supply voltage taken for a pump's electrical power, V; common practice, no source. */
    public static final double VOLTS = 13.8;
    /** Share of its power a pump turns into pressure where its current is not known; common practice, no source. */
    private static final double EFFICIENCY = 0.3;
    /** Wetted area of a body that is no run, m2; common practice, no source. */
    private static final double BODY = 0.012;

    public PathHeat {
        gaps = List.copyOf(gaps);
    }

    /** Along the path of an answer; empty if nothing flows. */
    public static PathHeat of(FuelSystem system, FlowAnswer answer, Heat heat, Air air, Power power) {
        return of(system, answer, PathLine.of(system, answer), heat, air, power);
    }

    /** The same along a path already laid out, for several days. */
    public static PathHeat of(FuelSystem system, FlowAnswer answer, List<PathLine.Stretch> stretches, Heat heat, Air air,
            Power power) {
        List<Gap> gaps = new ArrayList<>();
        double ambient = Heat.ambient(air.altitudeM());
        VaporPressure vapor = heat.vapor();
        double kelvin = air.fuelKelvin();
        double density = answer.fluid().density();
        ZoneAir zones = new ZoneAir(system, heat, power, air.altitudeM());
        for (int i = 0; i < stretches.size(); i++) {
            PathLine.Stretch s = stretches.get(i);
            double mass = density * flow(stretches, i, answer);
            for (int k = 0; k < s.way().size(); k++) {
                PathLine.At at = s.way().get(k);
                if (k > 0) {
                    PathLine.At before = s.way().get(k - 1);
                    double start = kelvin;
                    kelvin = s.run().map(run -> Warming.along(start, zones.at(run.id(), before.place().toward(at.place(), 0.5)), Math.PI * run.size()
                            .bore() * heat.through(run) * (at.along() - before.along()), mass)).orElseGet(() -> through(zones, s, start, mass, answer));
                }
                double gauge = (s.head(at.along()) - at.height()) * answer.weight();
                gaps.add(new Gap(s.item().id(), at.along(), ambient + gauge, gauge, kelvin, vapor.pascal(kelvin),
                        what(s, k)));
            }
        }
        if (!gaps.isEmpty()) {
            Gap last = gaps.get(gaps.size() - 1);
            system.inlet().ifPresent(e -> gaps.add(new Gap(e.id(), last.along(), last.pressure(), last.gauge(), last.kelvin(),
                    last.boils(), "inlet")));
        }
        return new PathHeat(gaps);
    }

    private static String what(PathLine.Stretch s, int k) {
        if (k == 0) {
            return s.run().isPresent() ? "start" : "inlet";
        }
        if (k == s.way().size() - 1) {
            return s.run().isPresent() ? "end" : "outlet";
        }
        boolean high = s.way().get(k).height() > s.way().get(k - 1).height() && s.way().get(k).height() > s.way().get(k + 1)
                .height();
        return high ? "high point" : "bend";
    }

    private static double flow(List<PathLine.Stretch> stretches, int at, FlowAnswer answer) {
        for (int d = 0; d < stretches.size(); d++) {
            for (int i : new int[] {at - d, at + d}) {
                if (i >= 0 && i < stretches.size() && stretches.get(i).run().isPresent()) {
                    return Math.abs(answer.flow(stretches.get(i).item().id()));
                }
            }
        }
        return 0;
    }

    /** Where a part stands: said so, else in the engine bay on the engine's side of the firewall, in the cabin on the other. */
    public static Zone zone(FuelSystem system, Heat heat, String item, Point3 place) {
        Zone said = heat.zones().get(item);
        if (said != null) {
            return said;
        }
        boolean bay = system.firewall().filter(w -> system.inlet().filter(e -> place.x() < w.station().si()
                == e.place().point().x() < w.station().si()).isPresent()).isPresent();
        return bay ? Zone.ENGINE_BAY : Zone.CABIN;
    }

    /** A body that is no run: it takes up heat through its skin, and a pump that runs adds what it does not turn into pressure. */
    private static double through(ZoneAir zones, PathLine.Stretch s, double kelvin, double mass, FlowAnswer answer) {
        if (s.tank() || mass < 1e-9) {
            return kelvin;
        }
        double zone = zones.at(s.item().id(), s.way().get(0).place());
        double after = Warming.along(kelvin, zone, BODY * zones.heat.si(HeatFigure.BARE), mass);
        double hydraulic = Math.max(0, (s.headOut() - s.headIn()) * answer.weight()) * mass / answer.fluid().density();
        double spent = s.item().only(Pump.class).filter(p -> !answer.condition().stopped().contains(p.id())).map(p -> p.build().current().map(c -> Math.max(0,
                c.si() * VOLTS - hydraulic)).orElse(hydraulic * (1 / EFFICIENCY - 1))).orElse(0.0);
        return after + spent / (mass * Warming.SPECIFIC_HEAT);
    }

    /** The air of every zone on a day, found once for a whole path. */
    private static final class ZoneAir {
        private final Heat heat;
        private final Optional<Firewall> wall;
        private final boolean engineForward;
        private final boolean engine;
        private final double[] kelvin = new double[Zone.values().length];

        ZoneAir(FuelSystem system, Heat heat, Power power, double altitudeM) {
            this.heat = heat;
            this.wall = system.firewall();
            Optional<Point3> inlet = system.inlet().map(e -> e.place().point());
            this.engine = inlet.isPresent();
            this.engineForward = wall.isPresent() && engine && inlet.get().x() < wall.get().station().si();
            for (Zone z : Zone.values()) {
                kelvin[z.ordinal()] = heat.air(z, power, altitudeM);
            }
        }

        double at(String item, Point3 place) {
            Zone said = heat.zones().get(item);
            boolean bay = wall.isPresent() && engine && place.x() < wall.get().station().si() == engineForward;
            return kelvin[(said != null ? said : bay ? Zone.ENGINE_BAY : Zone.CABIN).ordinal()];
        }
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
