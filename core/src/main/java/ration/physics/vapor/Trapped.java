package ration.physics.vapor;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import ration.aircraft.model.EngineInlet;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Header;
import ration.aircraft.model.Item;
import ration.aircraft.model.PortRef;
import ration.aircraft.model.Run;
import ration.aircraft.model.Selector;
import ration.aircraft.model.SomeKinds;
import ration.aircraft.model.Tank;
import ration.aircraft.topology.Passing;
import ration.aircraft.topology.Topology;

/**
 * A volume that closed valves can shut in with nothing to relieve it.
 *
 * @param runs ids of the runs in it
 * @param volume m3
 */
public record Trapped(List<String> runs, double volume) {

    /** Bulk modulus of gasoline, Pa (Munson table 1.6, from memory). */
    public static final double BULK_MODULUS = 1.3e9;
    /** Expansion of gasoline near 15 C, 1/K: API 54B at 720 kg/m3, calculated from the formula, from memory. */
    public static final double EXPANSION = 0.00127770;

    public Trapped {
        runs = List.copyOf(runs);
    }

    /** Rise of pressure a degree in rigid lines, Pa/K; hoses give way and soften it. */
    public static double perDegree() {
        return BULK_MODULUS * EXPANSION;
    }

    /**
     * All of a system: every shut-off closed, every pump stopped, the engine taking nothing, every selector at each of
     * its positions in turn; what one position joins is not shut in at that one, and a selector without OFF never
     * closes. Pressure gets away through a tank or header (vented), a float valve (it lifts), a check valve or pump
     * that passes forward, and a bypass regulator.
     */
    public static List<Trapped> of(FuelSystem system) {
        Map<List<String>, Trapped> all = new LinkedHashMap<>();
        Topology topology = Topology.of(system);
        int most = system.selectors().stream()
                .mapToInt(s -> s.positions().size())
                .max()
                .orElse(1);
        boolean off =
                system.selectors().stream().allMatch(s -> s.positions().stream().anyMatch(Selector.Position::off));
        if (off) {
            at(system, topology, s -> s.positions().stream()
                            .filter(Selector.Position::off)
                            .findFirst())
                    .forEach(t -> all.put(t.runs(), t));
        }
        for (int i = 0; i < most; i++) {
            int turn = i;
            at(
                            system,
                            topology,
                            s -> s.positions().isEmpty()
                                    ? Optional.empty()
                                    : Optional.of(s.positions()
                                            .get(turn % s.positions().size())))
                    .stream()
                    .filter(t -> all.keySet().stream()
                            .noneMatch(known -> known.stream().anyMatch(t.runs()::contains)))
                    .toList()
                    .forEach(t -> all.put(t.runs(), t));
        }
        return List.copyOf(all.values());
    }

    /** With every selector at one position. */
    private static List<Trapped> at(
            FuelSystem system, Topology topology, Function<Selector, Optional<Selector.Position>> position) {
        Map<String, String> handles = new HashMap<>();
        system.selectors().forEach(s -> position.apply(s).ifPresent(p -> handles.put(s.id(), p.name())));
        List<PortRef> relieved = new ArrayList<>(system.openPorts());
        for (Item item : system.items()) {
            if (item.as(RELIEVES)) {
                item.ports().forEach(p -> relieved.add(new PortRef(item.id(), p)));
            }
        }
        return topology.shutIn(relieved, Passing.putAway(handles)).stream()
                .map(runs -> new Trapped(
                        runs.stream().map(Run::id).toList(),
                        runs.stream()
                                .mapToDouble(r -> r.size().area()
                                        * r.lengthM(
                                                system.point(r.from()).orElseThrow(),
                                                system.point(r.to()).orElseThrow()))
                                .sum()))
                .toList();
    }

    /** What lets pressure out by itself: tanks and headers are vented, a float valve lifts. */
    private static final SomeKinds<Boolean> RELIEVES = new SomeKinds<>() {
        @Override
        public Boolean otherwise(Item item) {
            return false;
        }

        @Override
        public Boolean tank(Tank item) {
            return true;
        }

        @Override
        public Boolean header(Header item) {
            return true;
        }

        @Override
        public Boolean engineInlet(EngineInlet item) {
            return item.style() == EngineInlet.Style.FLOAT;
        }
    };
}
