package ration.answer.plan;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Collectors;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Header;
import ration.aircraft.model.Item;
import ration.aircraft.model.PortRef;
import ration.aircraft.model.Run;
import ration.aircraft.model.Selector;
import ration.aircraft.model.Tank;
import ration.aircraft.topology.Passing;
import ration.aircraft.topology.Topology;
import ration.base.geometry.Point3;
import ration.base.quantity.UnitSystem;
import ration.physics.tank.TankBody;
import ration.record.project.Project;

/**
 * What must be drained before a part comes off, and what its mount carries. Parked, every tank full, every selector and
 * shutoff closed, pumps stopped; checks are not trusted to hold.
 *
 * @param drain by tank or header, what runs out at the part, m3
 * @param unknown names of tanks whose fuel comes to the part and whose shape does not close
 * @param weight full of fuel, kg; empty of what holds none, or where its own weight is not known
 */
public record Reach(List<Drain> drain, List<String> unknown, OptionalDouble weight) {

    /** Load factors of mounts: positive maneuver, the same ultimate, forward in a crash; from memory. */
    public static final double MANEUVER = 3.8;

    public static final double ULTIMATE = 1.5;
    public static final double FORWARD = 9;

    private static final double KG_PER_LB = 0.45359237;
    /** Less than this is a spoonful, m3. */
    private static final double NOTHING = 1e-5;

    public Reach {
        drain = List.copyOf(drain);
        unknown = List.copyOf(unknown);
    }

    /**
     * What runs out of one of them.
     *
     * @param item id of a tank or header
     * @param name for eyes
     */
    public record Drain(String item, String name, double volume) {}

    /**
     * Of a part or a line.
     *
     * @param bodies of the tanks, by id; one that does not close is not among them
     */
    public static Reach of(Project project, Map<String, TankBody> bodies, Item item) {
        FuelSystem system = project.system();
        Point3 up = project.brief().envelope().parkedAttitude().gravity().up();
        List<PortRef> ports = item.only(Run.class)
                .map(r -> List.of(r.from(), r.to()))
                .orElseGet(() -> item.ports().stream()
                        .map(p -> new PortRef(item.id(), p))
                        .toList());
        List<Drain> all = new ArrayList<>();
        List<String> unknown = new ArrayList<>();
        if (item.only(Tank.class).isPresent()) {
            TankBody body = bodies.get(item.id());
            if (body != null) {
                all.add(new Drain(item.id(), item.name(), body.full(up)));
            } else {
                unknown.add(item.name());
            }
        } else {
            Set<PortRef> reached = Topology.of(system).reached(ports, closed(system));
            double low = ports.stream()
                    .map(system::point)
                    .flatMap(java.util.Optional::stream)
                    .mapToDouble(up::dot)
                    .min()
                    .orElse(Double.POSITIVE_INFINITY);
            Set<String> ids = reached.stream().map(PortRef::item).collect(Collectors.toSet());
            for (Tank t : system.tanks()) {
                TankBody body = bodies.get(t.id());
                if (ids.contains(t.id()) && body == null) {
                    unknown.add(t.name());
                } else if (ids.contains(t.id())) {
                    double full = body.full(up);
                    // it empties down to the part, and no further than to its own outlet
                    double lip = t.outlets().stream()
                            .mapToDouble(o -> up.dot(o.drainsAt()))
                            .min()
                            .orElse(low);
                    double out = full - body.volumeBelow(up, Math.max(low, lip));
                    if (out > NOTHING) {
                        all.add(new Drain(t.id(), t.name(), out));
                    }
                }
            }
            system.all(Header.class)
                    .filter(h -> h.id().equals(item.id()) || ids.contains(h.id()))
                    .filter(h -> h.id().equals(item.id())
                            || up.dot(h.place().point()) + h.height().si() > low)
                    .forEach(h ->
                            all.add(new Drain(h.id(), h.name(), h.capacity().si())));
        }
        return new Reach(all, unknown, full(project, bodies, item));
    }

    /**
     * Everything that is not closed by hand lets fuel through, headers and rails too: what stands behind them runs
     * after. A selector that has no OFF cannot be closed.
     */
    private static Passing closed(FuelSystem system) {
        Set<String> shuts = system.selectors().stream()
                .filter(s -> s.positions().stream().anyMatch(Selector.Position::off))
                .map(Item::id)
                .collect(Collectors.toSet());
        return p -> switch (p.what()) {
            case SHUT_OFF -> Passing.Way.NONE;
            case POSITION -> shuts.contains(p.from().item()) ? Passing.Way.NONE : Passing.Way.BOTH;
            case BORE, CHECK, FREE_PUMP, CHECKED_PUMP, TIGHT_PUMP, BYPASS, REDUCER, TANK, HEADER, RAIL ->
                Passing.Way.BOTH;
        };
    }

    /** Its own weight and that of the fuel it is full of, at 15 C. */
    private static OptionalDouble full(Project project, Map<String, TankBody> bodies, Item item) {
        OptionalDouble holds = item.only(Tank.class).isPresent()
                ? bodies.containsKey(item.id())
                        ? OptionalDouble.of(bodies.get(item.id()).capacity())
                        : OptionalDouble.empty()
                : item.only(Header.class)
                        .map(h -> OptionalDouble.of(h.capacity().si()))
                        .orElse(OptionalDouble.empty());
        return holds.isEmpty()
                ? holds
                : project.build()
                        .step(ration.record.build.StepKey.part(item.id()))
                        .access()
                        .weight()
                        .map(own -> OptionalDouble.of(
                                loaded(holds.getAsDouble(), own, project.brief().demandDensity())))
                        .orElse(OptionalDouble.empty());
    }

    /** Weight of a vessel full, kg. */
    static double loaded(double volume, double own, double density) {
        return volume * density + own;
    }

    /** What must be drained, in a sentence. */
    public String drains(UnitSystem units) {
        return !unknown.isEmpty()
                ? "Drain first: Not shown. The shape of " + String.join(", ", unknown)
                        + " does not close: drain it whole."
                : drain.isEmpty()
                        ? "Drain first: no fuel above it with every valve shut. Catch what is in the line."
                        : "Drain first: "
                                + drain.stream()
                                        .map(d -> units.fineVolume(d.volume()) + " from " + d.name())
                                        .collect(Collectors.joining(", "))
                                + ", parked and full, every valve shut.";
    }

    /** What its mount carries, in a sentence; empty where that is not known. */
    public String load(UnitSystem units) {
        return weight.isEmpty()
                ? ""
                : "Full it weighs " + weighs(units, 1) + ": " + weighs(units, MANEUVER) + " at 3.8 g, "
                        + weighs(units, MANEUVER * ULTIMATE) + " ultimate, " + weighs(units, FORWARD)
                        + " at 9 g forward (from memory). Strength of the mount: Not shown.";
    }

    private String weighs(UnitSystem units, double times) {
        double kg = weight.getAsDouble() * times;
        return units == UnitSystem.US
                ? UnitSystem.figure(kg / KG_PER_LB, times > 1 ? 0 : 1) + " lb"
                : UnitSystem.figure(kg, times > 1 ? 0 : 1) + " kg";
    }
}
