package ration.answer.assess;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Predicate;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Header;
import ration.aircraft.model.Item;
import ration.aircraft.model.PortRef;
import ration.aircraft.model.Tank;
import ration.aircraft.topology.Passage;
import ration.aircraft.topology.Passing;
import ration.aircraft.topology.Topology;

/** Ways from the tanks to a place, and whether something stands in each of them. */
final class Ways {

    private final FuelSystem system;
    private final Topology topology;

    /** Ports of headers that returns and bleeds come in at: as it is meant to run fuel does not leave by them. */
    private final Set<PortRef> back = new HashSet<>();

    Ways(FuelSystem system) {
        this.system = system;
        topology = Topology.of(system);
        system.all(Header.class).forEach(h -> h.inlets().stream()
                .map(i -> new PortRef(h.id(), i))
                .filter(topology::comesRound)
                .forEach(back::add));
    }

    /** Ports of headers at which returns and bleeds come in. */
    Set<PortRef> back() {
        return back;
    }

    Topology topology() {
        return topology;
    }

    /**
     * Ids of what lies behind an item on its way to the engine, itself left out: through headers, not through tanks.
     */
    Set<String> behind(String id) {
        Set<String> all = new TreeSet<>();
        topology.reached(
                        List.of(new PortRef(id, Item.OUT)),
                        p -> p.from().item().equals(id) ? Passing.Way.NONE : onward(p))
                .forEach(port -> all.add(port.item()));
        all.remove(id);
        return all;
    }

    private Passing.Way onward(Passage p) {
        return switch (p.what()) {
            case TANK, RAIL -> Passing.Way.NONE;
            // a tee has no direction of its own
            case BORE, SHUT_OFF, POSITION -> Passing.Way.BOTH;
            case HEADER ->
                back.contains(p.to())
                        ? back.contains(p.from()) ? Passing.Way.NONE : Passing.Way.BACKWARD
                        : back.contains(p.from()) ? Passing.Way.FORWARD : Passing.Way.BOTH;
            case CHECK, FREE_PUMP, CHECKED_PUMP, TIGHT_PUMP, BYPASS, REDUCER -> Passing.Way.FORWARD;
        };
    }

    /**
     * The first tank from which fuel comes to a port past all that stands guard, through headers but no other tank, as
     * it is meant to run with every handle open.
     *
     * @param outlet whether that outlet of a tank is guarded
     * @param guard whether an item is one
     */
    Optional<Tank> past(PortRef to, Predicate<PortRef> outlet, Predicate<Item> guard) {
        Passing past = p -> system.item(p.from().item()).filter(guard).isPresent() ? Passing.Way.NONE : onward(p);
        return system.tanks().stream()
                .filter(t -> {
                    List<PortRef> from = t.outlets().stream()
                            .map(o -> new PortRef(t.id(), o.name()))
                            .filter(outlet.negate())
                            .toList();
                    Set<PortRef> reached = topology.reached(from, past);
                    return !from.isEmpty() && reached.contains(to);
                })
                .findFirst();
    }
}
