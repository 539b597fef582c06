package ration.record.evidence;

import java.util.Collections;
import java.util.IdentityHashMap;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import ration.aircraft.model.Item;
import ration.aircraft.model.Tank;
import ration.aircraft.topology.Topology;
import ration.base.geometry.Point3;

/**
 * What was read off parts for records, kept from one state of a document to the next: a part is immutable, so what it
 * says once it says always. May be asked from several threads.
 */
public final class Known {

    private final AsBuilt now;
    private final Point3 origin;
    private final Topology topology;
    private final Map<Item, Map<String, String>> figures;
    private final Map<Tank, String> prints;
    private final Map<Tank, Inputs> tanks;

    private Known(AsBuilt now, Optional<Known> before) {
        this.now = now;
        origin = now.system().inlet().map(i -> i.place().point()).orElse(new Point3(0, 0, 0));
        topology = before.filter(b -> b.now.system() == now.system())
                .map(b -> b.topology)
                .orElseGet(() -> Topology.of(now.system()));
        figures = kept(before.filter(b -> b.origin.equals(origin)), b -> b.figures);
        prints = kept(before, b -> b.prints);
        tanks = kept(before, b -> b.tanks);
    }

    /** Of an aircraft, with what was known of a state before it. */
    public static Known of(AsBuilt now, Optional<Known> before) {
        return before.filter(b -> b.now == now).orElseGet(() -> new Known(now, before));
    }

    /** Of an aircraft nothing is known of yet. */
    static Known of(AsBuilt now) {
        return new Known(now, Optional.empty());
    }

    /** What is known of parts that are still there. */
    private <K extends Item, V> Map<K, V> kept(Optional<Known> before, Function<Known, Map<K, V>> which) {
        Map<K, V> mine = new IdentityHashMap<>();
        before.ifPresent(b -> {
            Map<K, V> theirs = which.apply(b);
            java.util.Set<Item> here = now.system().items().stream()
                    .collect(Collectors.toCollection(() -> Collections.newSetFromMap(new IdentityHashMap<>())));
            synchronized (theirs) {
                theirs.forEach((k, v) -> {
                    if (here.contains(k)) {
                        mine.put(k, v);
                    }
                });
            }
        });
        return Collections.synchronizedMap(mine);
    }

    AsBuilt now() {
        return now;
    }

    Topology topology() {
        return topology;
    }

    /** The engine's inlet, from which heights and places count. */
    Point3 origin() {
        return origin;
    }

    /** Lines of a part that follow from it and the origin alone. */
    Map<String, String> figures(Item item, Function<Item, Map<String, String>> read) {
        return figures.computeIfAbsent(item, i -> Collections.unmodifiableMap(new LinkedHashMap<>(read.apply(i))));
    }

    String print(Tank tank) {
        return prints.computeIfAbsent(tank, Fingerprint::of);
    }

    Inputs inputs(Tank tank) {
        return tanks.computeIfAbsent(tank, Inputs::of);
    }
}
