package ration.answer.ask;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Stream;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Header;
import ration.aircraft.model.Item;
import ration.aircraft.model.Outlet;
import ration.aircraft.model.Place;
import ration.aircraft.model.PortRef;
import ration.aircraft.model.Run;
import ration.aircraft.model.Selector;
import ration.aircraft.model.ShutOff;
import ration.aircraft.model.Tank;
import ration.aircraft.topology.Passing;
import ration.aircraft.topology.Topology;
import ration.base.geometry.Point3;

/**
 * Which valves stop fuel that runs out of a broken line, pumps off, the aircraft level. Standing pumps, check valves
 * and regulators are taken to pass both ways: they seep, and fail. A vessel whose fuel stands no higher than the line's
 * lowest point feeds nothing into it; over a hump fuel siphons.
 *
 * @param valves that can be shut, in layout order
 * @param leaks of each line, in layout order
 */
public record WhatStops(List<String> valves, Map<String, Leak> leaks) {

    /** More valves than these at once are not asked for: hands are two. */
    private static final int MOST = 3;

    public WhatStops {
        valves = List.copyOf(valves);
        leaks = java.util.Collections.unmodifiableMap(new LinkedHashMap<>(leaks));
    }

    /**
     * A line that is broken.
     *
     * @param fed vessels that empty through it while every valve is open; none where it stands dry with the pumps off
     * @param alone valves each of which stops it alone
     * @param together the fewest valves that stop it together; empty where none or one does, or no three do
     * @param rest vessels that empty through it whatever valve is shut
     */
    public record Leak(Set<String> fed, Set<String> alone, Optional<Set<String>> together, Set<String> rest) {

        /** Whether some valve, or some valves together, stop it. */
        public boolean stopped() {
            return fed.isEmpty() || !alone.isEmpty() || together.isPresent();
        }
    }

    public static WhatStops of(FuelSystem system) {
        return new Asked(system).answer();
    }

    /** Asked of one layout. */
    private static final class Asked {
        private final FuelSystem system;
        private final Topology topology;
        private final List<String> valves;
        private final Map<PortRef, Double> sources = new LinkedHashMap<>();

        Asked(FuelSystem system) {
            this.system = system;
            topology = Topology.of(system);
            valves = Stream.concat(
                            system.all(ShutOff.class).map(Item::id),
                            system.all(Selector.class)
                                    .filter(s -> s.positions().stream().anyMatch(Selector.Position::off))
                                    .map(Item::id))
                    .toList();
            system.tanks().forEach(this::tank);
            system.all(Header.class).forEach(this::header);
        }

        private void tank(Tank t) {
            double top = t.mayStandTo();
            t.outlets().stream().map(Outlet::name).forEach(o -> sources.put(new PortRef(t.id(), o), top));
            t.returns().stream()
                    .filter(e -> e.place().point().z() < top)
                    .forEach(e -> sources.put(new PortRef(t.id(), e.name()), top));
        }

        private void header(Header h) {
            double top = h.place().point().z() + h.height().si();
            Stream.concat(h.outlets().stream(), h.inlets().stream())
                    .forEach(p -> sources.put(new PortRef(h.id(), p), top));
        }

        WhatStops answer() {
            Map<String, Leak> leaks = new LinkedHashMap<>();
            for (Run run : system.runs()) {
                leaks.put(run.id(), leak(run));
            }
            return new WhatStops(valves, leaks);
        }

        private Leak leak(Run run) {
            Set<String> fed = feeding(run, Set.of());
            Set<String> alone = new TreeSet<>();
            if (fed.isEmpty()) {
                return new Leak(fed, alone, Optional.empty(), Set.of());
            }
            valves.stream().filter(v -> feeding(run, Set.of(v)).isEmpty()).forEach(alone::add);
            Optional<Set<String>> together = Optional.empty();
            for (int many = 2; many <= Math.min(MOST, valves.size()) && alone.isEmpty() && together.isEmpty(); many++) {
                together = sets(many, 0).stream()
                        .filter(some -> feeding(run, some).isEmpty())
                        .findFirst();
            }
            return new Leak(fed, alone, together, feeding(run, Set.copyOf(valves)));
        }

        private List<Set<String>> sets(int many, int from) {
            if (many == 0) {
                return List.of(Set.of());
            }
            List<Set<String>> all = new ArrayList<>();
            for (int i = from; i + many <= valves.size(); i++) {
                for (Set<String> rest : sets(many - 1, i + 1)) {
                    Set<String> one = new TreeSet<>(rest);
                    one.add(valves.get(i));
                    all.add(one);
                }
            }
            return all;
        }

        /** Vessels whose fuel comes to a line with these valves shut and every other open. */
        private Set<String> feeding(Run run, Set<String> shut) {
            double low = low(run);
            Set<PortRef> reached = topology.reached(List.of(run.from(), run.to()), p -> switch (p.what()) {
                case TANK -> Passing.Way.NONE;
                case SHUT_OFF, POSITION -> shut.contains(p.from().item()) ? Passing.Way.NONE : Passing.Way.BOTH;
                case BORE, RAIL, HEADER, CHECK, FREE_PUMP, CHECKED_PUMP, TIGHT_PUMP, BYPASS, REDUCER ->
                    Passing.Way.BOTH;
            });
            Set<String> fed = new TreeSet<>();
            sources.forEach((port, top) -> {
                if (top > low && reached.contains(port)) {
                    fed.add(port.item());
                }
            });
            return fed;
        }

        private double low(Run run) {
            return Stream.concat(
                            Stream.of(run.from(), run.to()).map(system::point).flatMap(Optional::stream),
                            run.points().stream().map(Place::point))
                    .mapToDouble(Point3::z)
                    .min()
                    .orElse(Double.NEGATIVE_INFINITY);
        }
    }

    /** What a line's card says: which valve, which together, or what empties whatever is shut. */
    public String words(FuelSystem system, String run) {
        Leak leak = leaks.get(run);
        if (leak == null || leak.fed().isEmpty()) {
            return "pumps off";
        }
        if (!leak.alone().isEmpty()) {
            return "shutting " + named(system, leak.alone(), " or ");
        }
        return leak.together()
                .map(t -> "shutting " + named(system, t, " and "))
                .orElseGet(() -> "no valve: " + named(system, leak.rest().isEmpty() ? leak.fed() : leak.rest(), ", ")
                        + " runs out");
    }

    /** The lines whose leaks a valve stops alone. */
    public List<String> stops(String valve) {
        return leaks.entrySet().stream()
                .filter(e -> e.getValue().alone().contains(valve))
                .map(Map.Entry::getKey)
                .toList();
    }

    private static String named(FuelSystem system, Set<String> ids, String between) {
        return String.join(
                between,
                ids.stream()
                        .map(id -> system.item(id).map(Item::name).orElse(id))
                        .toList());
    }
}
