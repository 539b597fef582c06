package ration.answer.assess;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import ration.aircraft.model.CheckBlock;
import ration.aircraft.model.EngineInlet;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Header;
import ration.aircraft.model.Item;
import ration.aircraft.model.JetPump;
import ration.aircraft.model.PortRef;
import ration.aircraft.model.Run;
import ration.aircraft.model.Selector;
import ration.aircraft.model.Tank;
import ration.aircraft.model.VentPlenum;
import ration.aircraft.topology.Topology;

/**
 * Every way from every tank outlet to a port, one after the other, walked port by port: slow, and by rules of its own.
 */
final class EveryPath {

    private static final int MOST = 200_000;

    private final FuelSystem system;
    private final PortRef to;
    private final List<List<PortRef>> found = new ArrayList<>();
    private int steps;

    private EveryPath(FuelSystem system, PortRef to) {
        this.system = system;
        this.to = to;
    }

    static List<List<PortRef>> of(FuelSystem system, PortRef to) {
        EveryPath all = new EveryPath(system, to);
        for (Tank t : system.tanks()) {
            t.outlets().forEach(o -> all.walk(new PortRef(t.id(), o.name()), new ArrayList<>(), new HashSet<>()));
        }
        return all.found;
    }

    private void walk(PortRef at, List<PortRef> way, Set<PortRef> seen) {
        if (++steps > MOST) {
            throw new IllegalStateException("too many ways");
        }
        if (!seen.add(at)) {
            return;
        }
        way.add(at);
        if (at.equals(to)) {
            found.add(List.copyOf(way));
        } else {
            for (Run r : system.runs()) {
                if (r.from().equals(at)) {
                    through(r.to(), way, seen);
                } else if (r.to().equals(at)) {
                    through(r.from(), way, seen);
                }
            }
        }
        way.remove(way.size() - 1);
        seen.remove(at);
    }

    /** Arrived at an item by a run: on by every port that fuel so arriving may leave by. */
    private void through(PortRef port, List<PortRef> way, Set<PortRef> seen) {
        if (!seen.add(port)) {
            return;
        }
        way.add(port);
        if (port.equals(to)) {
            found.add(List.copyOf(way));
        } else {
            system.item(port.item())
                    .ifPresent(i -> leaves(i, port.port()).forEach(p -> walk(new PortRef(i.id(), p), way, seen)));
        }
        way.remove(way.size() - 1);
        seen.remove(port);
    }

    private Stream<String> leaves(Item item, String in) {
        if (item instanceof Tank || item instanceof EngineInlet || item instanceof VentPlenum) {
            return Stream.of();
        }
        if (item instanceof Selector s) {
            return s.positions().stream()
                    .flatMap(p -> p.joins().stream())
                    .filter(g -> g.contains(in))
                    .flatMap(List::stream)
                    .filter(p -> !p.equals(in))
                    .distinct();
        }
        if (item instanceof Header h) {
            return h.ports().stream()
                    .filter(p -> !p.equals(in))
                    .filter(p -> !Topology.of(system).comesRound(new PortRef(h.id(), p))
                            || !h.inlets().contains(p));
        }
        if (item instanceof CheckBlock) {
            return in.equals(Item.OUT) ? Stream.of() : Stream.of(Item.OUT);
        }
        if (item instanceof JetPump) {
            return in.equals(Item.OUT) ? Stream.of(Item.IN, JetPump.SUCTION) : Stream.of(Item.OUT);
        }
        boolean oneWay = item instanceof ration.aircraft.model.Pump
                || item instanceof ration.aircraft.model.CheckValve
                || item instanceof ration.aircraft.model.Regulator;
        return oneWay
                ? in.equals(Item.IN) ? Stream.of(Item.OUT) : Stream.of()
                : item.ports().stream().filter(p -> !p.equals(in));
    }

    /** What of it is passed, in order, ports of a filter both counted. */
    static Stream<Item> items(FuelSystem system, List<PortRef> way) {
        return way.stream()
                .map(p -> system.item(p.item()))
                .flatMap(Optional::stream)
                .distinct();
    }
}
