package ration.aircraft.model;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import ration.base.geometry.Point3;

/**
 * Everything laid out. Immutable; every change gives a new system. Ids may still collide or point nowhere in a damaged
 * system: {@link Validation} says so, nothing here throws for it.
 */
public final class FuelSystem {

    private final List<Item> items;
    private final Optional<Firewall> firewall;
    private final Map<String, Item> byId = new java.util.HashMap<>();
    private final List<Run> runs;
    private final Map<PortRef, Run> byPort = new java.util.HashMap<>();
    private final List<Tank> tanks;
    private final Optional<EngineInlet> inlet;
    private final Map<String, Double> shifts;
    private final Set<PortRef> capped;
    /** Where every port is, once it was asked for; two threads that ask at once find the same. */
    private volatile Map<PortRef, Point3> points;

    private final Map<Class<?>, Object> derived = new java.util.concurrent.ConcurrentHashMap<>();

    public FuelSystem(List<Item> items, Optional<Firewall> firewall) {
        this(items, firewall, Map.of(), Set.of());
    }

    private FuelSystem(List<Item> items, Optional<Firewall> firewall, Map<String, Double> shifts, Set<PortRef> capped) {
        this.items = List.copyOf(items);
        this.firewall = firewall;
        this.shifts = Map.copyOf(shifts);
        this.items.forEach(i -> byId.putIfAbsent(i.id(), i));
        this.runs = all(Run.class).toList();
        runs.forEach(r -> {
            byPort.putIfAbsent(r.from(), r);
            byPort.putIfAbsent(r.to(), r);
        });
        this.tanks = all(Tank.class).toList();
        this.inlet = all(EngineInlet.class).findFirst();
        // a cap goes with its port, and where a line is joined there is none
        this.capped = capped.stream()
                .filter(p -> !byPort.containsKey(p))
                .filter(p ->
                        item(p.item()).filter(i -> i.ports().contains(p.port())).isPresent())
                .collect(Collectors.toUnmodifiableSet());
    }

    public List<Item> items() {
        return items;
    }

    public Optional<Firewall> firewall() {
        return firewall;
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof FuelSystem s
                && items.equals(s.items)
                && firewall.equals(s.firewall)
                && shifts.equals(s.shifts)
                && capped.equals(s.capped);
    }

    @Override
    public int hashCode() {
        return java.util.Objects.hash(items, firewall, shifts, capped);
    }

    @Override
    public String toString() {
        return "FuelSystem" + items + firewall;
    }

    /** What follows from the system alone, worked out when first asked for and kept with it. */
    public <T> T derived(Class<T> kind, Function<FuelSystem, T> make) {
        Object known = derived.get(kind);
        if (known == null) {
            T fresh = make.apply(this);
            Object first = derived.putIfAbsent(kind, fresh);
            known = first == null ? fresh : first;
        }
        return kind.cast(known);
    }

    /** The item with this id; the first, should a damaged system have two. */
    public Optional<Item> item(String id) {
        return Optional.ofNullable(byId.get(id));
    }

    public <T extends Item> Stream<T> all(Class<T> kind) {
        return items.stream().filter(kind::isInstance).map(kind::cast);
    }

    public List<Run> runs() {
        return runs;
    }

    public List<Tank> tanks() {
        return tanks;
    }

    public List<Selector> selectors() {
        return all(Selector.class).toList();
    }

    public Optional<EngineInlet> inlet() {
        return inlet;
    }

    public boolean hasPump() {
        return all(Pump.class).findAny().isPresent();
    }

    /** Whether anything in it clogs. */
    public boolean hasFilter() {
        return items.stream().anyMatch(i -> i instanceof Strainer || i instanceof Filter);
    }

    /** The run at a port, if one is joined to it. */
    public Optional<Run> runAt(PortRef port) {
        return Optional.ofNullable(byPort.get(port));
    }

    /** Where a port is, in aircraft axes; empty if there is no such port. */
    public Optional<Point3> point(PortRef port) {
        Map<PortRef, Point3> known = points;
        if (known == null) {
            known = placed();
            points = known;
        }
        return Optional.ofNullable(known.get(port));
    }

    private Map<PortRef, Point3> placed() {
        Map<PortRef, Point3> all = new java.util.HashMap<>();
        for (Item i : byId.values()) {
            if (i instanceof Tank tank) {
                tank.outlets().forEach(o -> put(all, i, o.name(), o.place().point()));
                tank.returns().forEach(r -> put(all, i, r.name(), r.place().point()));
            } else if (i instanceof Header header) {
                header.ports()
                        .forEach(p -> put(all, i, p, header.place().point().plus(new Point3(0, 0, header.rise(p)))));
            } else if (i instanceof Fitted fitted) {
                fitted.ports().forEach(p -> put(all, i, p, fitted.place().point()));
            }
        }
        return all;
    }

    /** Of ports called alike the first counts. */
    private static void put(Map<PortRef, Point3> all, Item item, String port, Point3 at) {
        if (called(item, port)) {
            all.putIfAbsent(new PortRef(item.id(), port), at);
        }
    }

    /** Whether a port can be spoken of: in a damaged system it may have no name. */
    private static boolean called(Item item, String port) {
        return !item.id().isBlank() && !port.isBlank();
    }

    /** Ports that a cap or a plug closes, in the order of the items; no run reaches them. */
    public List<PortRef> cappedPorts() {
        return capped.isEmpty()
                ? List.of()
                : items.stream()
                        .flatMap(i -> i.ports().stream()
                                .filter(port -> called(i, port))
                                .map(port -> new PortRef(i.id(), port)))
                        .filter(capped::contains)
                        .toList();
    }

    /** With a cap or plug on an open port, or without it; the same system where there is no such port or a run is. */
    public FuelSystem capped(PortRef port, boolean closed) {
        Set<PortRef> all = new HashSet<>(capped);
        if (closed) {
            all.add(port);
        } else {
            all.remove(port);
        }
        return new FuelSystem(items, firewall, shifts, all);
    }

    /** Ports that no run reaches and nothing closes. */
    public List<PortRef> openPorts() {
        Set<PortRef> taken = new HashSet<>(capped);
        for (Run run : runs()) {
            taken.add(run.from());
            taken.add(run.to());
        }
        List<PortRef> open = new ArrayList<>();
        for (Item item : items) {
            for (String port : item.ports()) {
                if (called(item, port) && !taken.contains(new PortRef(item.id(), port))) {
                    open.add(new PortRef(item.id(), port));
                }
            }
        }
        return open;
    }

    /** The item with the same id replaced. */
    public FuelSystem replace(Item changed) {
        return new FuelSystem(
                items.stream()
                        .map(i -> i.id().equals(changed.id()) ? changed : i)
                        .toList(),
                firewall,
                shifts,
                capped);
    }

    /** The same items behind another wall, or none. */
    public FuelSystem with(Optional<Firewall> other) {
        return new FuelSystem(items, other, shifts, capped);
    }

    /** The same with these items. */
    public FuelSystem withItems(List<Item> others) {
        return new FuelSystem(others, firewall, shifts, capped);
    }

    /**
     * How far items stand in the drawing from where they would, by id, in widths of the drawing; to the right above
     * zero.
     */
    public Map<String, Double> shifts() {
        return shifts;
    }

    /**
     * An item drawn so far, in widths of the drawing, from where it would stand; at most {@link #MOST_SHIFT}. Its
     * height stays true.
     */
    public FuelSystem shifted(String id, double widths) {
        Map<String, Double> all = new java.util.HashMap<>(shifts);
        double held = Math.max(-MOST_SHIFT, Math.min(MOST_SHIFT, widths));
        if (Math.abs(held) < LEAST_SHIFT) {
            all.remove(id);
        } else {
            all.put(id, held);
        }
        return new FuelSystem(items, firewall, all, capped);
    }

    public static final double MOST_SHIFT = 0.8;
    private static final double LEAST_SHIFT = 1e-6;

    /** The item with this id changed as it stands here; the same system where there is none of that kind. */
    public <T extends Item> FuelSystem change(String id, Class<T> kind, UnaryOperator<T> change) {
        return item(id).filter(kind::isInstance)
                .map(kind::cast)
                .map(i -> replace(change.apply(i)))
                .orElse(this);
    }

    public FuelSystem plus(Item... added) {
        List<Item> all = new ArrayList<>(items);
        all.addAll(List.of(added));
        return new FuelSystem(all, firewall, shifts, capped);
    }

    public FuelSystem minus(String... ids) {
        Set<String> gone = Set.of(ids);
        Map<String, Double> left = new java.util.HashMap<>(shifts);
        left.keySet().removeAll(gone);
        return new FuelSystem(items.stream().filter(i -> !gone.contains(i.id())).toList(), firewall, left, capped);
    }

    /** An id not yet taken, made from a kind: strainer, strainer-2. */
    public String freeId(String stem) {
        String base = stem.toLowerCase(java.util.Locale.ROOT)
                .replaceAll("[^a-z0-9]+", "-")
                .replaceAll("^-|-$", "");
        String candidate = base.isEmpty() ? "item" : base;
        for (int n = 2; item(candidate).isPresent(); n++) {
            candidate = base + "-" + n;
        }
        return candidate;
    }

    /**
     * A name no item bears: this one, or with a number behind it. Findings, faults and lists tell items apart by name.
     */
    public String freeName(String name) {
        String candidate = name;
        for (int n = 2; bearing(candidate).isPresent(); n++) {
            candidate = name + " " + n;
        }
        return candidate;
    }

    /**
     * A name for an item, if it is its own.
     *
     * @throws IllegalArgumentException with the name that is free, where another item bears it
     */
    public String ownName(Item item, String name) {
        bearing(name).filter(other -> !other.id().equals(item.id())).ifPresent(other -> {
            throw new IllegalArgumentException(
                    "Another part is called " + other.name() + ". Call this one " + freeName(name) + ", or otherwise.");
        });
        return name;
    }

    private Optional<Item> bearing(String name) {
        return items.stream().filter(i -> i.name().equalsIgnoreCase(name)).findFirst();
    }
}
