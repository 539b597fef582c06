package ration.vapor;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import ration.model.CheckBlock;
import ration.model.CheckValve;
import ration.model.EngineInlet;
import ration.model.Filter;
import ration.model.FlowSender;
import ration.model.FuelSystem;
import ration.model.Header;
import ration.model.Item;
import ration.model.JetPump;
import ration.model.Orifice;
import ration.model.PortRef;
import ration.model.Pump;
import ration.model.QuickDisconnect;
import ration.model.Regulator;
import ration.model.Run;
import ration.model.Selector;
import ration.model.Strainer;
import ration.model.Tank;
import ration.model.Tee;

/**
 * A volume that closed valves can shut in with nothing to relieve it.
 *
 * @param runs   ids of the runs in it
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
     * All of a system: every shut-off closed, every pump stopped, the engine taking nothing, every selector at each of its
     * positions in turn; what one position joins is not shut in at that one, and a selector without OFF never closes. Pressure
     * gets away through a tank or header (vented), a float valve (it lifts), a check valve or pump that passes forward, and a
     * bypass regulator.
     */
    public static List<Trapped> of(FuelSystem system) {
        Map<List<String>, Trapped> all = new LinkedHashMap<>();
        int most = system.selectors().stream().mapToInt(s -> s.positions().size()).max().orElse(1);
        boolean off = system.selectors().stream().allMatch(s -> s.positions().stream().anyMatch(Selector.Position::off));
        if (off) {
            at(system, s -> s.positions().stream().filter(Selector.Position::off).findFirst()).forEach(t -> all.put(t.runs(), t));
        }
        for (int i = 0; i < most; i++) {
            int turn = i;
            at(system, s -> s.positions().isEmpty() ? Optional.empty() : Optional.of(s.positions().get(turn % s.positions()
                    .size()))).stream().filter(t -> all.keySet().stream().noneMatch(known -> known.stream().anyMatch(
                            t.runs()::contains))).toList().forEach(t -> all.put(t.runs(), t));
        }
        return List.copyOf(all.values());
    }

    /** With every selector at one position. */
    private static List<Trapped> at(FuelSystem system, Function<Selector, Optional<Selector.Position>> position) {
        Parts parts = new Parts(system, position);
        Set<Integer> relieved = new HashSet<>();
        for (Item item : system.items()) {
            if (item instanceof Tank || item instanceof Header || item instanceof EngineInlet e
                    && e.style() == EngineInlet.Style.FLOAT) {
                item.ports().forEach(p -> relieved.add(parts.of(new PortRef(item.id(), p))));
            }
        }
        system.openPorts().forEach(p -> relieved.add(parts.of(p)));
        boolean more = true;
        while (more) {
            more = false;
            for (Item item : system.items()) {
                for (String[] way : oneWay(item)) {
                    if (relieved.contains(parts.of(new PortRef(item.id(), way[1])))) {
                        more |= relieved.add(parts.of(new PortRef(item.id(), way[0])));
                    }
                }
            }
        }
        Map<Integer, List<Run>> left = new HashMap<>();
        for (Run run : system.runs()) {
            int part = parts.of(run.from());
            if (!relieved.contains(part)) {
                left.computeIfAbsent(part, k -> new ArrayList<>()).add(run);
            }
        }
        List<Trapped> all = new ArrayList<>();
        left.values().forEach(runs -> all.add(new Trapped(runs.stream().map(Run::id).toList(), runs.stream()
                .mapToDouble(r -> r.size().area() * r.lengthM(system.point(r.from()).orElseThrow(), system.point(r.to())
                        .orElseThrow())).sum())));
        return all;
    }

    /** Ways that let pressure out in one direction while all is shut: from, to. */
    private static List<String[]> oneWay(Item item) {
        if (item instanceof CheckValve || item instanceof Regulator r && r.style() == Regulator.Style.BYPASS
                || item instanceof Pump p && p.off().isPresent() && p.build().checked()) {
            return List.<String[]>of(new String[] {Item.IN, Item.OUT});
        }
        if (item instanceof CheckBlock) {
            return List.of(new String[] {Item.IN, Item.OUT}, new String[] {CheckBlock.SECOND, Item.OUT});
        }
        if (item instanceof Regulator) {
            return List.<String[]>of(new String[] {Item.OUT, Item.IN});
        }
        return List.of();
    }

    /** Ports that stay joined while all is shut. */
    private static final class Parts {
        private final Map<PortRef, PortRef> above = new HashMap<>();
        private final Map<PortRef, Integer> numbers = new HashMap<>();

        Parts(FuelSystem system, Function<Selector, Optional<Selector.Position>> position) {
            system.runs().forEach(r -> join(r.from(), r.to()));
            system.selectors().forEach(s -> position.apply(s).ifPresent(p -> p.joins().forEach(group -> group.forEach(port -> join(
                    new PortRef(s.id(), group.get(0)), new PortRef(s.id(), port))))));
            for (Item item : system.items()) {
                boolean passes = item instanceof Tee || item instanceof Strainer || item instanceof Filter
                        || item instanceof Orifice || item instanceof FlowSender
                        || item instanceof QuickDisconnect || item instanceof JetPump || item instanceof Header
                        || item instanceof EngineInlet || item instanceof Pump p && p.off().isPresent()
                        && !p.build().checked();
                if (passes) {
                    item.ports().forEach(p -> join(new PortRef(item.id(), item.ports().get(0)), new PortRef(item.id(), p)));
                }
            }
        }

        private PortRef root(PortRef p) {
            PortRef at = p;
            while (above.containsKey(at)) {
                at = above.get(at);
            }
            return at;
        }

        private void join(PortRef a, PortRef b) {
            PortRef x = root(a);
            PortRef y = root(b);
            if (!x.equals(y)) {
                above.put(x, y);
            }
        }

        int of(PortRef p) {
            return numbers.computeIfAbsent(root(p), k -> numbers.size());
        }
    }
}
