package ration.physics.flow;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import ration.aircraft.condition.Fault;
import ration.aircraft.model.Item;
import ration.solver.network.Element;

/** Nodes and wires of a plan as they are gathered: those of the groundwork, and what parts add to them. */
final class Sketch {

    private final Groundwork ground;
    private final List<Spot> spots;
    /** Nodes beside those of the groundwork. */
    private final Map<String, Integer> byName = new HashMap<>();

    private final List<Wire> wires = new ArrayList<>();

    Sketch(Groundwork ground) {
        this.ground = ground;
        spots = new ArrayList<>(ground.spots());
    }

    List<Spot> spots() {
        return List.copyOf(spots);
    }

    List<Wire> wires() {
        return List.copyOf(wires);
    }

    /** Adds a node, or says of one that is there what holds it. */
    void spot(Spot s) {
        Integer at = at(s.id());
        if (at == null) {
            byName.put(s.id(), spots.size());
            spots.add(s);
        } else {
            spots.set(at, s);
        }
    }

    Integer at(String name) {
        Integer of = ground.at(name);
        return of != null ? of : byName.get(name);
    }

    Spot spotOf(String name) {
        return spots.get(at(name));
    }

    void wire(String link, String item, String from, String to, Element element) {
        wires.add(new Wire(link, item, at(from), at(to), element, List.of()));
    }

    static String port(Item item, String port) {
        return item.id() + "." + port;
    }

    void add(Wire wire) {
        wires.add(wire);
    }

    static Element times(Element.Resistance r, double factor) {
        return factor == Double.POSITIVE_INFINITY
                ? new Element.Shut()
                : factor == 1 ? r : new Element.Resistance(r.linear() * factor, r.square() * factor);
    }

    static double factor(Optional<Fault> fault) {
        return fault.map(Fault::severity).orElse(1.0);
    }
}
