package ration.answer.assess;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import ration.aircraft.condition.Attitude;
import ration.aircraft.condition.Condition;
import ration.aircraft.condition.Contents;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Header;
import ration.aircraft.model.Outlet;
import ration.aircraft.model.PortRef;
import ration.aircraft.model.Tank;
import ration.aircraft.model.Validation;
import ration.aircraft.topology.Topology;
import ration.base.geometry.Point3;
import ration.physics.flow.FlowAnswer;
import ration.physics.flow.FlowBasis;
import ration.physics.flow.FlowQuestion;
import ration.physics.tank.Feed;
import ration.record.project.Project;

/**
 * How the outlets of a tank are joined, from the layout and the flow answer: where their lines meet, and what the line
 * of each costs when it feeds alone. The same network that gives the flow decides what the Tanks page says.
 */
final class Feeds {

    private Feeds() {}

    static Feed of(Project project, Tank tank) {
        if (tank.outlets().size() < 2) {
            return Feed.GRAVITY;
        }
        FuelSystem system = project.system();
        Topology topology = Topology.of(system);
        Map<String, List<PortRef>> ways = new LinkedHashMap<>();
        tank.outlets().forEach(o -> ways.put(o.name(), topology.onward(new PortRef(tank.id(), o.name()))));
        Optional<PortRef> meets = ways.values().iterator().next().stream()
                .filter(p -> ways.values().stream().allMatch(w -> w.contains(p)))
                .findFirst();
        boolean part = meets.isEmpty()
                || system.item(meets.get().item())
                        .filter(i -> i.only(Header.class).isPresent()
                                || i.only(Tank.class).isPresent())
                        .isPresent();
        if (part) {
            return Feed.GRAVITY;
        }
        List<Feed.Leg> legs = new ArrayList<>();
        for (Outlet o : tank.outlets()) {
            List<PortRef> way = ways.get(o.name());
            legs.add(new Feed.Leg(
                    o.name(),
                    points(system, way.subList(0, way.indexOf(meets.get()) + 1)),
                    loss(project, tank, o, meets.get(), ways).orElse(Double.POSITIVE_INFINITY)));
        }
        return new Feed(legs);
    }

    /** The measured points along the ports. */
    private static List<Point3> points(FuelSystem system, List<PortRef> way) {
        List<Point3> points = new ArrayList<>();
        for (PortRef port : way) {
            system.point(port).ifPresent(points::add);
            system.runAt(port)
                    .filter(r -> way.contains(r.from()) && way.contains(r.to()))
                    .ifPresent(r -> r.points().forEach(p -> points.add(p.point())));
        }
        return points;
    }

    /**
     * Head from the surface to the joint with one outlet alone feeding take-off demand, level and full; empty without
     * an answer.
     */
    private static OptionalDouble loss(
            Project project, Tank tank, Outlet feeding, PortRef meets, Map<String, List<PortRef>> ways) {
        FuelSystem system = project.system();
        List<String> others = new ArrayList<>();
        ways.forEach((name, way) -> {
            if (!name.equals(feeding.name())) {
                system.runAt(new PortRef(tank.id(), name)).ifPresent(r -> others.add(r.id()));
            }
        });
        FuelSystem alone = system.minus(others.toArray(String[]::new));
        if (project.brief().demand() <= 0 || Validation.of(alone).stream().anyMatch(p -> p.blocks())) {
            return OptionalDouble.empty();
        }
        Project one = project.with(alone);
        FlowBasis basis = new FlowBasis(
                alone,
                project.brief().fuel(),
                project.brief().choices().friction().law());
        double most = Double.NaN;
        for (Map<String, String> position : Topology.positions(alone)) {
            Condition c = new Condition(
                    Attitude.ofDegrees("Level", 0, 0),
                    StartingCase.filled(one, Contents.FULL),
                    position,
                    Set.of(),
                    Set.of(),
                    project.brief().fuelKelvin());
            FlowAnswer a = basis.ask(c, new FlowQuestion.Demand(project.brief().demand()));
            OptionalDouble head = a.usable() ? a.head(meets) : OptionalDouble.empty();
            if (head.isPresent() && a.outflow(tank) > 0.5 * project.brief().demand()) {
                double lost = a.levels().get(tank.id()).surface() - head.getAsDouble();
                most = Double.isNaN(most) ? lost : Math.max(most, lost);
            }
        }
        return Double.isNaN(most) ? OptionalDouble.empty() : OptionalDouble.of(Math.max(0, most));
    }
}
