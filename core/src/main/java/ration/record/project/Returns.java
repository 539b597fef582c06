package ration.record.project;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Header;
import ration.aircraft.model.PortRef;
import ration.aircraft.model.Selector;
import ration.aircraft.model.Tank;
import ration.base.geometry.Point3;
import ration.record.project.LayoutEdits.Outcome;

/** Where what an item gives back can be led: free inlets of headers, return sides of duplex selectors, tanks. */
public final class Returns {

    private Returns() {}

    /**
     * One of them.
     *
     * @param port it is led to
     * @param fresh whether that is a new port at the top of a tank
     */
    public record To(PortRef port, boolean fresh) {}

    /** All of them, nearest first; none where the item has nothing to give back. */
    public static List<To> of(FuelSystem system, String picked) {
        Optional<PortRef> from = from(system, picked);
        if (from.isEmpty()) {
            return List.of();
        }
        List<To> all = new ArrayList<>();
        system.all(Selector.class)
                .filter(s -> s.duplex() && !s.id().equals(picked))
                .map(s -> new PortRef(s.id(), Selector.RETURN))
                .filter(p -> system.runAt(p).isEmpty())
                .forEach(p -> all.add(new To(p, false)));
        system.all(Header.class)
                .filter(h -> !h.id().equals(picked))
                .flatMap(h -> h.inlets().stream().map(i -> new PortRef(h.id(), i)))
                .filter(p -> system.runAt(p).isEmpty())
                .forEach(p -> all.add(new To(p, false)));
        for (Tank t : system.tanks()) {
            all.add(t.returns().stream()
                    .map(r -> new PortRef(t.id(), r.name()))
                    .filter(p -> system.runAt(p).isEmpty())
                    .findFirst()
                    .map(p -> new To(p, false))
                    .orElseGet(() -> new To(new PortRef(t.id(), last(LayoutEdits.withEntry(t))), true)));
        }
        Point3 at = system.point(from.get()).orElse(new Point3(0, 0, 0));
        all.sort(Comparator.comparingDouble(to -> to.fresh
                ? system.item(to.port.item())
                        .flatMap(i -> i.only(Tank.class))
                        .map(t -> entry(t).distance(at))
                        .orElse(0.0)
                : system.point(to.port).map(p -> p.distance(at)).orElse(Double.MAX_VALUE)));
        return all;
    }

    private static String last(Tank t) {
        return t.returns().get(t.returns().size() - 1).name();
    }

    private static Point3 entry(Tank t) {
        Tank more = LayoutEdits.withEntry(t);
        return more.returns().get(more.returns().size() - 1).place().point();
    }

    private static Optional<PortRef> from(FuelSystem system, String picked) {
        FuelSystem with = LayoutEdits.givingBack(system, picked);
        return with.item(picked).flatMap(i -> LayoutEdits.givesBack(with, i));
    }

    /** Leads it there; nothing where that is not possible any more. */
    public static Optional<Outcome> lead(FuelSystem system, String picked, To to) {
        FuelSystem with = LayoutEdits.givingBack(system, picked);
        Optional<PortRef> from = from(system, picked);
        Optional<Tank> tank = with.item(to.port.item()).flatMap(i -> i.only(Tank.class));
        FuelSystem ready = to.fresh && tank.isPresent() && !tank.get().ports().contains(to.port.port())
                ? with.replace(LayoutEdits.withEntry(tank.get()))
                : with;
        boolean open = ready.item(to.port.item())
                        .filter(i -> i.ports().contains(to.port.port()))
                        .isPresent()
                && ready.runAt(to.port).isEmpty();
        return from.filter(f -> open).map(f -> LayoutEdits.returned(ready, f, to.port));
    }
}
