package ration.publish.drawing;

import java.util.ArrayList;
import java.util.List;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Item;
import ration.aircraft.model.Place;
import ration.aircraft.model.PortRef;
import ration.aircraft.model.Run;
import ration.aircraft.model.VentLine;
import ration.base.geometry.Point3;
import ration.physics.breathing.LowPoints;

/**
 * What is led across the drawing from one port to another: a run, or on the air side a vent.
 *
 * @param id of the run, or of the tank or plenum whose vent it is
 * @param points measured between its ends
 * @param width it is drawn with, px
 */
record Line(String id, PortRef from, PortRef to, List<Point3> points, double width) {

    /** Where a vent leaves its tank or plenum, and its open end. */
    static final String LEAVES = "vent-leaves";

    static final String TIP = "vent-tip";
    /** Where the vent of an item comes into another: this and the item's id. */
    static final String INTO = "vent-into-";

    private static final double VENT_WIDTH = 6;

    Line {
        points = List.copyOf(points);
    }

    static Line of(Run run) {
        return new Line(
                run.id(),
                run.from(),
                run.to(),
                run.points().stream().map(Place::point).toList(),
                SchematicPart.width(run));
    }

    /** The vents of a system that lead anywhere. */
    static List<Line> vents(FuelSystem system) {
        List<Line> all = new ArrayList<>();
        for (Item item : system.items()) {
            List<Point3> way = LowPoints.ventWay(system, item);
            if (way.size() > 1) {
                PortRef to = VentLine.of(item)
                        .flatMap(VentLine::to)
                        .map(o -> new PortRef(o, INTO + item.id()))
                        .orElse(new PortRef(item.id(), TIP));
                all.add(new Line(
                        item.id(), new PortRef(item.id(), LEAVES), to, way.subList(1, way.size() - 1), VENT_WIDTH));
            }
        }
        return all;
    }

    /** What its label goes by: a run's id, or one that tells a vent from its tank. */
    String name() {
        return vent() ? "vent of " + id : id;
    }

    boolean vent() {
        return from.port().equals(LEAVES);
    }
}
