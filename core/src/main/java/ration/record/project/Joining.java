package ration.record.project;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import ration.aircraft.model.EngineInlet;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Header;
import ration.aircraft.model.Item;
import ration.aircraft.model.LineSize;
import ration.aircraft.model.PortRef;
import ration.aircraft.model.Run;
import ration.aircraft.model.Selector;
import ration.aircraft.model.SomeKinds;
import ration.aircraft.model.Tank;
import ration.aircraft.model.Tee;

/** New runs between open ports that are there already: a second outlet, a tee's free leg, a selector's other side. */
public final class Joining {

    private static final LineSize USUAL = LineSize.parse("3/8 x 0.035 tube");

    /** What a port is for. */
    private enum Way {
        LEAVES,
        ARRIVES,
        EITHER
    }

    private Joining() {}

    /**
     * One run that could be laid.
     *
     * @param from where fuel leaves
     * @param to where it arrives
     * @param near the port at the picked item
     */
    public record Join(PortRef from, PortRef to, PortRef near) {

        public PortRef far() {
            return near.equals(from) ? to : from;
        }
    }

    /** What an item's open ports could be joined to, in layout order; nothing for a run. */
    public static List<Join> of(FuelSystem system, String picked) {
        List<PortRef> open = system.openPorts();
        List<Join> joins = new ArrayList<>();
        for (PortRef near : open) {
            for (PortRef far : open) {
                if (near.item().equals(picked)) {
                    between(system, near, far).ifPresent(joins::add);
                }
            }
        }
        return joins;
    }

    /** The run between two ports; empty where they are of one item, or both leave or both arrive. */
    public static Optional<Join> between(FuelSystem system, PortRef near, PortRef far) {
        Way a = way(system, near);
        Way b = way(system, far);
        return near.item().equals(far.item())
                ? Optional.empty()
                : a != Way.ARRIVES && b != Way.LEAVES
                        ? Optional.of(new Join(near, far, near))
                        : a != Way.LEAVES && b != Way.ARRIVES
                                ? Optional.of(new Join(far, near, near))
                                : Optional.empty();
    }

    /** Open ports that a branch off a run could lead to or come from. */
    public static List<PortRef> branches(FuelSystem system, Run run) {
        return system.openPorts().stream()
                .filter(p -> !p.equals(run.from()) && !p.equals(run.to()))
                .toList();
    }

    private static Way way(FuelSystem system, PortRef port) {
        return system.item(port.item())
                .map(i -> i.as(new SomeKinds<Way>() {
                    @Override
                    public Way otherwise(Item item) {
                        return port.port().equals(Item.OUT) ? Way.LEAVES : Way.ARRIVES;
                    }

                    @Override
                    public Way tank(Tank tank) {
                        return tank.outlet(port.port()).isPresent() ? Way.LEAVES : Way.ARRIVES;
                    }

                    @Override
                    public Way tee(Tee tee) {
                        return port.port().equals(Tee.BRANCH) ? Way.EITHER : otherwise(tee);
                    }

                    @Override
                    public Way header(Header header) {
                        return header.inlets().contains(port.port()) ? Way.ARRIVES : Way.LEAVES;
                    }

                    @Override
                    public Way selector(Selector selector) {
                        return selector.returns().contains(port.port()) ? Way.LEAVES : otherwise(selector);
                    }

                    @Override
                    public Way engineInlet(EngineInlet inlet) {
                        return port.port().equals(EngineInlet.RETURN) ? Way.LEAVES : Way.ARRIVES;
                    }
                }))
                .orElse(Way.EITHER);
    }

    /** Lays the run, if both ports are still open; picks it. */
    public static Optional<LayoutEdits.Outcome> join(FuelSystem system, Join join) {
        List<PortRef> open = system.openPorts();
        if (!open.contains(join.from()) || !open.contains(join.to())) {
            return Optional.empty();
        }
        String name = LayoutEdits.freeRunName(system);
        Run run = new Run(
                system.freeId(name), name, join.from(), join.to(), USUAL, Optional.empty(), List.of(), List.of());
        return Optional.of(new LayoutEdits.Outcome(system.plus(run), run.id()));
    }

    /** A tee in a run, its branch joined to an open port. */
    public static Optional<LayoutEdits.Outcome> branch(FuelSystem system, String run, PortRef port) {
        return LayoutEdits.add(system, run, LayoutEdits.Spot.IN_RUN, NewItem.TEE)
                .flatMap(tee -> {
                    PortRef branch = new PortRef(tee.picked(), Tee.BRANCH);
                    boolean from = way(tee.system(), port) == Way.LEAVES;
                    return join(tee.system(), from ? new Join(port, branch, branch) : new Join(branch, port, branch));
                });
    }

    /** A port in words, as a builder would say it: Selector, right. */
    public static String words(FuelSystem system, PortRef port) {
        return system.item(port.item()).map(Item::name).orElse(port.item()) + ", "
                + port.port().replace('-', ' ');
    }
}
