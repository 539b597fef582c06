package ration.aircraft.topology;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Stream;
import ration.aircraft.model.EngineInlet;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Header;
import ration.aircraft.model.Item;
import ration.aircraft.model.PortRef;
import ration.aircraft.model.Pump;
import ration.aircraft.model.Regulator;
import ration.aircraft.model.Run;
import ration.aircraft.model.Selector;
import ration.aircraft.model.SomeKinds;
import ration.aircraft.model.Tank;

/** The ports of a system, the runs between its items and the ways through them. Made once for a system; immutable. */
public final class Topology {

    private final FuelSystem system;
    private final Map<PortRef, List<Passage>> passages = new HashMap<>();
    private final Map<String, List<Run>> leaving = new HashMap<>();
    private final Map<String, List<Run>> arriving = new HashMap<>();

    private Topology(FuelSystem system) {
        this.system = system;
        for (Item item : system.items()) {
            for (Passage p : Passages.of(item)) {
                passages.computeIfAbsent(p.from(), k -> new ArrayList<>()).add(p);
                passages.computeIfAbsent(p.to(), k -> new ArrayList<>()).add(p);
            }
        }
        for (Run run : system.runs()) {
            leaving.computeIfAbsent(run.from().item(), k -> new ArrayList<>()).add(run);
            arriving.computeIfAbsent(run.to().item(), k -> new ArrayList<>()).add(run);
        }
    }

    public static Topology of(FuelSystem system) {
        return system.derived(Topology.class, Topology::new);
    }

    /**
     * Every combination of handle positions with the engine fed: OFF is left out; one empty one where there is no
     * selector.
     */
    public static List<Map<String, String>> positions(FuelSystem system) {
        List<Map<String, String>> all = new ArrayList<>();
        all.add(Map.of());
        for (Selector selector : system.selectors()) {
            List<Map<String, String>> next = new ArrayList<>();
            for (Map<String, String> so : all) {
                for (Selector.Position p : selector.positions()) {
                    if (!p.off()) {
                        Map<String, String> more = new LinkedHashMap<>(so);
                        more.put(selector.id(), p.name());
                        next.add(more);
                    }
                }
            }
            all = next.isEmpty() ? all : next;
        }
        return all;
    }

    /** Positions for eyes: LEFT; with the selector's name where two of them call one so. */
    public static String named(FuelSystem system, Map<String, String> positions) {
        List<String> names = new ArrayList<>();
        for (Selector s : system.selectors()) {
            String p = positions.get(s.id());
            if (p != null) {
                boolean alone = system.selectors().stream().filter(x -> x != s).noneMatch(x -> x.positions().stream()
                        .anyMatch(y -> y.name().equals(p)));
                names.add(alone ? p : s.name() + " " + p);
            }
        }
        return String.join(", ", names);
    }

    /** Runs laid out from an item, in layout order. */
    public List<Run> leaving(String item) {
        return leaving.getOrDefault(item, List.of());
    }

    /** Runs laid out to an item, in the order of its ports. */
    public List<Run> arriving(String item) {
        List<String> ports = system.item(item).map(Item::ports).orElse(List.of());
        return arriving.getOrDefault(item, List.of()).stream()
                .sorted(java.util.Comparator.comparing(r -> ports.indexOf(r.to().port())))
                .toList();
    }

    /** All runs that meet an item, in layout order. */
    public List<Run> meeting(String item) {
        return system.runs().stream()
                .filter(r -> r.from().item().equals(item) || r.to().item().equals(item))
                .toList();
    }

    /** The port at the other end of the run at a port. */
    public Optional<PortRef> across(PortRef port) {
        return system.runAt(port).map(r -> r.from().equals(port) ? r.to() : r.from());
    }

    /** The item that the first joined outlet of a tank leads to. */
    public Optional<String> fed(Tank tank) {
        return tank.outlets().stream()
                .map(o -> across(new PortRef(tank.id(), o.name())))
                .flatMap(Optional::stream)
                .map(PortRef::item)
                .findFirst();
    }

    /** Tanks that feed the engine as it is meant to run with the handles so: an outlet of theirs is joined to it. */
    public List<Tank> feeding(Map<String, String> positions) {
        Passing running = Passing.running(positions);
        return system.tanks().stream()
                .filter(t -> system.inlet()
                        .filter(i -> reached(
                                        t.outlets().stream()
                                                .map(o -> new PortRef(t.id(), o.name()))
                                                .toList(),
                                        running)
                                .contains(new PortRef(i.id(), Item.IN)))
                        .isPresent())
                .toList();
    }

    /** Every port that fuel at one of these could come to, these included. */
    public Set<PortRef> reached(Collection<PortRef> from, Passing passing) {
        Set<PortRef> seen = new LinkedHashSet<>();
        Deque<PortRef> ahead = new ArrayDeque<>(from);
        while (!ahead.isEmpty()) {
            PortRef at = ahead.poll();
            if (seen.add(at)) {
                across(at).ifPresent(ahead::add);
                passages.getOrDefault(at, List.of())
                        .forEach(p -> passed(p, at, passing).ifPresent(ahead::add));
            }
        }
        return seen;
    }

    private static Optional<PortRef> passed(Passage p, PortRef at, Passing passing) {
        Passing.Way way = passing.of(p);
        boolean ahead = p.from().equals(at);
        boolean opens = way == Passing.Way.BOTH || way == (ahead ? Passing.Way.FORWARD : Passing.Way.BACKWARD);
        return opens ? Optional.of(ahead ? p.to() : p.from()) : Optional.empty();
    }

    /** Tanks whose fuel could come to this one, or the other way round. */
    public List<Tank> joined(Tank tank, Passing passing) {
        Set<PortRef> reached = reached(
                tank.outlets().stream()
                        .map(o -> new PortRef(tank.id(), o.name()))
                        .toList(),
                passing);
        return system.tanks().stream()
                .filter(t -> t != tank
                        && t.outlets().stream().anyMatch(o -> reached.contains(new PortRef(t.id(), o.name()))))
                .toList();
    }

    /**
     * Ports from one towards the engine, one after the other, until the way ends or comes to a vessel or the engine.
     */
    public List<PortRef> onward(PortRef start) {
        Set<PortRef> way = new LinkedHashSet<>(List.of(start));
        Optional<PortRef> at = Optional.of(start);
        while (at.isPresent()) {
            Optional<PortRef> far = across(at.get()).filter(way::add);
            at = far.flatMap(f -> passages.getOrDefault(f, List.of()).stream()
                            .filter(p -> p.from().equals(f) && p.to().port().equals(Item.OUT))
                            .map(p -> passed(p, f, Passing.forward()))
                            .flatMap(Optional::stream)
                            .findFirst())
                    .filter(way::add);
        }
        return List.copyOf(way);
    }

    /** Runs that nothing can leave: each set is one volume shut in. Relieved ports let pressure away. */
    public List<List<Run>> shutIn(Collection<PortRef> relieved, Passing passing) {
        Set<PortRef> free = new HashSet<>();
        // against the ways: whatever can lead to a relieved port is relieved
        reached(relieved, p -> turned(passing.of(p))).forEach(free::add);
        Map<PortRef, List<Run>> parts = new LinkedHashMap<>();
        Map<PortRef, PortRef> partOf = new HashMap<>();
        for (Run run : system.runs()) {
            if (free.contains(run.from())) {
                continue;
            }
            PortRef part = partOf.get(run.from());
            if (part == null) {
                part = run.from();
                for (PortRef p : reached(
                        List.of(part), x -> passing.of(x) == Passing.Way.BOTH ? Passing.Way.BOTH : Passing.Way.NONE)) {
                    partOf.put(p, part);
                }
            }
            parts.computeIfAbsent(part, k -> new ArrayList<>()).add(run);
        }
        return List.copyOf(parts.values());
    }

    private static Passing.Way turned(Passing.Way way) {
        return way == Passing.Way.FORWARD
                ? Passing.Way.BACKWARD
                : way == Passing.Way.BACKWARD ? Passing.Way.FORWARD : way;
    }

    /**
     * Items from which a way as laid out leads to this one, nearest first, itself the first; what ends the way is among
     * them.
     */
    public Set<String> upstream(String item, Function<Item, Boolean> ends) {
        Set<String> seen = new LinkedHashSet<>();
        Deque<String> ahead = new ArrayDeque<>(List.of(item));
        while (!ahead.isEmpty()) {
            String at = ahead.poll();
            if (seen.add(at) && (at.equals(item) || !system.item(at).map(ends).orElse(true))) {
                arriving.getOrDefault(at, List.of()).stream()
                        .filter(r -> !returnSide(r.to()))
                        .forEach(r -> ahead.add(r.from().item()));
            }
        }
        return seen;
    }

    /** Items to which a way as laid out leads from this one, itself the first. */
    public Set<String> downstream(String item) {
        Set<String> seen = new LinkedHashSet<>();
        Deque<String> ahead = new ArrayDeque<>(List.of(item));
        while (!ahead.isEmpty()) {
            String at = ahead.poll();
            if (seen.add(at)) {
                leaving(at).forEach(r -> ahead.add(r.to().item()));
            }
        }
        return seen;
    }

    /** Pumps that bring fuel to the engine, in layout order: from them a way leads downstream to the inlet. */
    public List<Pump> feedPumps() {
        Set<String> feeding =
                system.inlet().map(i -> upstream(i.id(), Topology::isTank)).orElse(Set.of());
        return system.all(Pump.class).filter(p -> feeding.contains(p.id())).toList();
    }

    /** Electric pumps between tanks, in layout order: none of what they move goes to the engine first. */
    public List<Pump> transferPumps() {
        List<Pump> feeding = feedPumps();
        return system.all(Pump.class)
                .filter(p -> p.drive() == Pump.Drive.ELECTRIC && !feeding.contains(p))
                .filter(p -> upstream(p.id(), Topology::isTank).stream()
                        .anyMatch(id -> system.item(id).filter(Topology::isTank).isPresent()))
                .filter(p -> downstream(p.id()).stream()
                        .anyMatch(id -> system.item(id).filter(Topology::isTank).isPresent()))
                .toList();
    }

    private static boolean isTank(Item item) {
        return item.only(Tank.class).isPresent();
    }

    /** Whether what comes to a port has left the same item before: a return. */
    public boolean comesRound(PortRef port) {
        Set<String> seen = new HashSet<>();
        Deque<Run> ahead = new ArrayDeque<>(
                system.runAt(port).filter(r -> r.to().equals(port)).stream().toList());
        while (!ahead.isEmpty()) {
            String from = ahead.poll().from().item();
            if (from.equals(port.item())) {
                return true;
            }
            if (seen.add(from) && system.item(from).filter(i -> !isTank(i)).isPresent()) {
                ahead.addAll(arriving.getOrDefault(from, List.of()));
            }
        }
        return false;
    }

    /**
     * Whether a port lies on the return side of a duplex selector, which shares a body with the feed side, not a way.
     */
    public boolean returnSide(PortRef port) {
        return system.item(port.item())
                .flatMap(i -> i.only(Selector.class))
                .filter(s -> s.duplex()
                        && (port.port().equals(Selector.RETURN) || s.returns().contains(port.port())))
                .isPresent();
    }

    /** Whether fuel that leaves by a port goes back, runs over, or is air. */
    private boolean givesBack(PortRef port) {
        return system.item(port.item())
                .map(i -> i.as(new SomeKinds<Boolean>() {
                    @Override
                    public Boolean otherwise(Item item) {
                        return false;
                    }

                    @Override
                    public Boolean engineInlet(EngineInlet item) {
                        return true;
                    }

                    @Override
                    public Boolean header(Header item) {
                        return item.vents().contains(port.port());
                    }

                    @Override
                    public Boolean regulator(Regulator item) {
                        return item.style() == Regulator.Style.BYPASS;
                    }

                    @Override
                    public Boolean selector(Selector item) {
                        return item.returns().contains(port.port());
                    }
                }))
                .orElse(false);
    }

    /** Whether a run only leads back: it leaves where fuel goes back, or what does. */
    public boolean returns(Run run) {
        return givesBack(run.from()) || returning().contains(run.from().item());
    }

    /** Items on return, overflow and vent lines: what fuel only passes on its way back to a vessel. */
    public Set<String> returning() {
        Set<String> back = new LinkedHashSet<>();
        boolean more = true;
        while (more) {
            more = false;
            for (Run run : system.runs()) {
                boolean goesBack = back.contains(run.from().item()) || givesBack(run.from());
                if (goesBack
                        && system.item(run.to().item())
                                .filter(i -> !endsReturn(i))
                                .isPresent()) {
                    more |= back.add(run.to().item());
                }
            }
        }
        return back;
    }

    private static boolean endsReturn(Item item) {
        return isTank(item)
                || item.only(Selector.class).isPresent()
                || item.only(Header.class).isPresent()
                || item.only(EngineInlet.class).isPresent();
    }

    /**
     * How many runs the longest way has that leads to each item, returns left out, and what leads round to where the
     * way has been: an order from tanks to engine.
     */
    public Map<String, Integer> ranks() {
        Map<String, Integer> rank = new HashMap<>();
        system.items().forEach(i -> rank.put(i.id(), 0));
        Set<Run> onward = onward();
        for (int round = 0; round < system.items().size(); round++) {
            boolean moved = false;
            for (Run run : onward) {
                Integer from = rank.get(run.from().item());
                Integer to = rank.get(run.to().item());
                if (from != null && to != null && to < from + 1) {
                    rank.put(run.to().item(), from + 1);
                    moved = true;
                }
            }
            if (!moved) {
                break;
            }
        }
        return rank;
    }

    /** Runs that lead on: none of a return, none that closes a circle begun at a tank. */
    private Set<Run> onward() {
        Set<Run> all = new LinkedHashSet<>(system.runs().stream()
                .filter(r -> !givesBack(r.from())
                        && !(returnSide(r.to()) && r.to().port().equals(Selector.RETURN)))
                .toList());
        Set<Run> closing = new HashSet<>();
        Set<String> done = new HashSet<>();
        Stream.concat(system.tanks().stream(), system.items().stream())
                .map(Item::id)
                .forEach(id -> walk(id, all, closing, done, new LinkedHashSet<>()));
        all.removeAll(closing);
        return all;
    }

    private static void walk(String id, Set<Run> all, Set<Run> closing, Set<String> done, Set<String> way) {
        if (!done.contains(id)) {
            way.add(id);
            for (Run run : all) {
                if (run.from().item().equals(id)) {
                    if (way.contains(run.to().item())) {
                        closing.add(run);
                    } else {
                        walk(run.to().item(), all, closing, done, way);
                    }
                }
            }
            way.remove(id);
            done.add(id);
        }
    }
}
