package ration.physics.flow;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Item;
import ration.aircraft.model.Place;
import ration.aircraft.model.PortRef;
import ration.aircraft.model.Run;
import ration.aircraft.model.VentPlenum;
import ration.base.geometry.Point3;

/**
 * What every plan of a system has: a node for each port and each plenum, and the runs between them while they are
 * sound.
 */
final class Groundwork {

    private final List<Spot> spots = new ArrayList<>();
    private final Map<String, Integer> byName = new HashMap<>();
    private final Map<String, Laid> laid = new HashMap<>();
    private final int ports;

    /** A run, where it lies and what it is to the network while it is sound. */
    private record Laid(Run run, Way way, Wire wire) {}

    /**
     * A run as it was measured.
     *
     * @param points from its start to its end
     * @param legs between them, m
     * @param straight sum of the legs, m
     * @param length as it was cut, m
     */
    record Way(List<Point3> points, double[] legs, double straight, double length) {

        static Way of(FuelSystem system, Run run) {
            List<Point3> points = new ArrayList<>();
            system.point(run.from()).ifPresent(points::add);
            run.points().forEach(p -> points.add(p.point()));
            system.point(run.to()).ifPresent(points::add);
            double[] legs = new double[points.size() - 1];
            double straight = 0;
            for (int i = 0; i < legs.length; i++) {
                legs[i] = points.get(i).distance(points.get(i + 1));
                straight += legs[i];
            }
            return new Way(points, legs, straight, run.lengthM(points.get(0), points.get(points.size() - 1)));
        }
    }

    /** @param before of the system before an edit: what it says of runs that lie as they did is taken from there */
    Groundwork(FuelSystem system, Optional<Groundwork> before) {
        for (Item item : system.items()) {
            for (String port : item.ports()) {
                PortRef ref = new PortRef(item.id(), port);
                add(Spot.at(ref.toString(), system.point(ref).orElseThrow()));
            }
        }
        ports = spots.size();
        system.all(VentPlenum.class)
                .forEach(p -> add(new Spot(Vessels.chamber(p), p.place().point(), "", Spot.Holds.NOTHING)));
        for (Run run : system.runs()) {
            int from = byName.get(run.from().toString());
            int to = byName.get(run.to().toString());
            Way way = Way.of(system, run);
            Optional<Laid> same = before.map(b -> b.laid.get(run.id()))
                    .filter(l -> l.run == run
                            && l.wire.from() == from
                            && l.wire.to() == to
                            && l.way.points().equals(way.points()));
            laid.put(
                    run.id(),
                    same.orElseGet(() -> new Laid(
                            run,
                            way,
                            new Wire(
                                    run.id(),
                                    run.id(),
                                    from,
                                    to,
                                    PlanMaker.pipe(system, run),
                                    run.points().stream().map(Place::point).toList()))));
        }
    }

    private void add(Spot spot) {
        byName.put(spot.id(), spots.size());
        spots.add(spot);
    }

    /** Nodes in their order: ports come first. */
    List<Spot> spots() {
        return spots;
    }

    /** How many of them are ports of items. */
    int ports() {
        return ports;
    }

    /** The place of a node among them; null if it is none of them. */
    Integer at(String name) {
        return byName.get(name);
    }

    Way way(Run run) {
        return laid.get(run.id()).way;
    }

    /** A run as it was made. */
    Wire sound(Run run) {
        return laid.get(run.id()).wire;
    }
}
