package ration.physics.flow;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Header;
import ration.aircraft.model.Item;
import ration.solver.network.Network;
import ration.solver.network.NetworkProblem;

/**
 * Which nodes there are, what is joined to what, and how all is called: plans of one system differ more in their
 * elements than in this. Immutable.
 */
final class Wiring {

    private final List<Spot> spots;
    private final List<Wire> wires;
    private final List<NetworkProblem.Link> links;
    private final boolean[] surface;
    private final Network network;
    private final Map<String, Integer> spotByName = new HashMap<>();
    private final Map<String, Integer> wireByName = new HashMap<>();
    private final Map<String, int[]> wiresOf = new HashMap<>();
    private final int[][] wiresAt;
    private final List<Body> headers = new ArrayList<>();

    /** A header: where its level is read, and its ports. */
    record Body(String header, int out, List<Mouth> mouths) {}

    /** A port of a header. */
    record Mouth(String name, int spot, int wire, boolean outlet) {}

    /**
     * @param links its wires as the network has them
     * @param network of the first plan wired so
     */
    Wiring(FuelSystem system, List<Spot> spots, List<Wire> wires, List<NetworkProblem.Link> links, Network network) {
        this.spots = spots;
        this.wires = wires;
        this.links = links;
        surface = new boolean[spots.size()];
        this.network = network;
        List<List<Integer>> ends = new ArrayList<>();
        for (int i = 0; i < spots.size(); i++) {
            spotByName.put(spots.get(i).id(), i);
            surface[i] = spots.get(i).id().endsWith(Vessels.SURFACE);
            ends.add(new ArrayList<>());
        }
        Map<String, List<Integer>> items = new HashMap<>();
        for (int w = 0; w < wires.size(); w++) {
            Wire wire = wires.get(w);
            wireByName.put(wire.link(), w);
            items.computeIfAbsent(wire.item(), k -> new ArrayList<>()).add(w);
            ends.get(wire.from()).add(w);
            ends.get(wire.to()).add(w);
        }
        items.forEach(
                (item, list) -> wiresOf.put(item, list.stream().mapToInt(i -> i).toArray()));
        wiresAt = ends.stream().map(l -> l.stream().mapToInt(i -> i).toArray()).toArray(int[][]::new);
        system.all(Header.class)
                .forEach(h -> headers.add(new Body(
                        h.id(),
                        spot(h.id() + "." + Item.OUT),
                        h.ports().stream().map(p -> mouth(h, p)).toList())));
    }

    private Mouth mouth(Header h, String port) {
        String name = h.id() + "." + port;
        return new Mouth(name, spot(name), wire(name), h.outlets().contains(port));
    }

    NetworkProblem.Link link(int wire) {
        return links.get(wire);
    }

    /** Whether a node is the surface of a tank. */
    boolean surface(int spot) {
        return surface[spot];
    }

    List<Body> headers() {
        return headers;
    }

    /** The same for plans that may be wired alike. */
    static int hash(List<Spot> spots, List<Wire> wires) {
        int hash = spots.size();
        for (Wire w : wires) {
            hash = 31 * (31 * hash + w.from()) + w.to();
        }
        return hash;
    }

    int hash() {
        return hash(spots, wires);
    }

    /** Whether these are called and joined as here. */
    boolean fits(List<Spot> others, List<Wire> otherWires) {
        if (others.size() != spots.size() || otherWires.size() != wires.size()) {
            return false;
        }
        for (int i = 0; i < spots.size(); i++) {
            if (!spots.get(i).id().equals(others.get(i).id())) {
                return false;
            }
        }
        for (int w = 0; w < wires.size(); w++) {
            Wire here = wires.get(w);
            Wire there = otherWires.get(w);
            if (here != there
                    && (here.from() != there.from()
                            || here.to() != there.to()
                            || !here.link().equals(there.link())
                            || !here.item().equals(there.item()))) {
                return false;
            }
        }
        return true;
    }

    Network network() {
        return network;
    }

    /** The node of a name; -1 if there is none. */
    int spot(String name) {
        return spotByName.getOrDefault(name, -1);
    }

    /** The wire of a link; -1 if there is none. */
    int wire(String link) {
        return wireByName.getOrDefault(link, -1);
    }

    /** Wires that stand for an item. */
    int[] wiresOf(String item) {
        return wiresOf.getOrDefault(item, NONE);
    }

    private static final int[] NONE = new int[0];

    /** Wires that end at a node. */
    int[] wiresAt(int spot) {
        return wiresAt[spot];
    }
}
