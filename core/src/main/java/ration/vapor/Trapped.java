package ration.vapor;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import ration.model.FuelSystem;
import ration.model.Item;
import ration.model.PortRef;

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
        boolean off = system.selectors().stream().allMatch(s -> s.positions().stream().anyMatch(Item.Position::off));
        if (off) {
            at(system, s -> s.positions().stream().filter(Item.Position::off).findFirst()).forEach(t -> all.put(t.runs(), t));
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
    private static List<Trapped> at(FuelSystem system, Function<Item.Selector, Optional<Item.Position>> position) {
        Parts parts = new Parts(system, position);
        Set<Integer> relieved = new HashSet<>();
        for (Item item : system.items()) {
            if (item instanceof Item.Tank || item instanceof Item.Header || item instanceof Item.EngineInlet e
                    && e.style() == Item.EngineInlet.Style.FLOAT) {
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
        Map<Integer, List<Item.Run>> left = new HashMap<>();
        for (Item.Run run : system.runs()) {
            int part = parts.of(run.from());
            if (!relieved.contains(part)) {
                left.computeIfAbsent(part, k -> new ArrayList<>()).add(run);
            }
        }
        List<Trapped> all = new ArrayList<>();
        left.values().forEach(runs -> all.add(new Trapped(runs.stream().map(Item.Run::id).toList(), runs.stream()
                .mapToDouble(r -> r.size().area() * r.lengthM(system.point(r.from()).orElseThrow(), system.point(r.to())
                        .orElseThrow())).sum())));
        return all;
    }

    /** Ways that let pressure out in one direction while all is shut: from, to. */
    private static List<String[]> oneWay(Item item) {
        if (item instanceof Item.CheckValve || item instanceof Item.Regulator r && r.style() == Item.Regulator.Style.BYPASS
                || item instanceof Item.Pump p && p.off().isPresent() && p.build().checked()) {
            return List.<String[]>of(new String[] {Item.IN, Item.OUT});
        }
        if (item instanceof Item.CheckBlock) {
            return List.of(new String[] {Item.IN, Item.OUT}, new String[] {Item.CheckBlock.SECOND, Item.OUT});
        }
        if (item instanceof Item.Regulator) {
            return List.<String[]>of(new String[] {Item.OUT, Item.IN});
        }
        return List.of();
    }

    /** Ports that stay joined while all is shut. */
    private static final class Parts {
        private final Map<PortRef, PortRef> above = new HashMap<>();
        private final Map<PortRef, Integer> numbers = new HashMap<>();

        Parts(FuelSystem system, Function<Item.Selector, Optional<Item.Position>> position) {
            system.runs().forEach(r -> join(r.from(), r.to()));
            system.selectors().forEach(s -> position.apply(s).ifPresent(p -> p.joins().forEach(group -> group.forEach(port -> join(
                    new PortRef(s.id(), group.get(0)), new PortRef(s.id(), port))))));
            for (Item item : system.items()) {
                boolean passes = item instanceof Item.Tee || item instanceof Item.Strainer || item instanceof Item.Filter
                        || item instanceof Item.Orifice || item instanceof Item.FlowSender
                        || item instanceof Item.QuickDisconnect || item instanceof Item.JetPump || item instanceof Item.Header
                        || item instanceof Item.EngineInlet || item instanceof Item.Pump p && p.off().isPresent()
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
