package ration.drawing;

import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import ration.drawing.Mark.Spot;
import ration.model.CheckBlock;
import ration.model.EngineInlet;
import ration.model.Fitted;
import ration.model.FuelSystem;
import ration.model.Header;
import ration.model.Item;
import ration.model.JetPump;
import ration.model.PortRef;
import ration.model.Selector;
import ration.model.Tank;
import ration.model.Tee;
import ration.topology.Topology;

/** Where the ports of a symbol are drawn, and on which side of it lines leave them. */
final class Ports {

    /** Inlets of a header that lie at one height are drawn so far apart, two by two on either side, px. */
    private static final double INLETS_APART = 9;
    /** Outlets of a header beside each other, px. */
    private static final double OUTLETS_APART = 11;
    /** A tank so near across stands over what it feeds, px. */
    private static final double OVER = 26;

    /** Which side of a symbol a port is on. */
    enum Side { LEFT, RIGHT, TOP, BOTTOM }

    private final Arrangement place;
    private final FuelSystem system;
    private final Topology topology;
    private final Map<PortRef, Side> sides = new HashMap<>();

    /** Of a system whose items have their place across. */
    Ports(Arrangement place, FuelSystem system, Topology topology) {
        this.place = place;
        this.system = system;
        this.topology = topology;
        assignSides();
    }

    private void assignSides() {
        for (Item item : system.items()) {
            if (item instanceof Selector selector) {
                int others = 0;
                for (String inlet : selector.inlets()) {
                    PortRef ref = new PortRef(selector.id(), inlet);
                    Optional<Double> source = otherEnd(ref).flatMap(place::across);
                    boolean above = source.isPresent()
                            && Math.abs(source.get() - place.across(selector.id()).orElse(Double.NaN)) < 1
                            && selector.inlets().stream().noneMatch(
                                    i -> sides.get(new PortRef(selector.id(), i)) == Side.TOP);
                    sides.put(ref, above ? Side.TOP : others++ == 0 ? Side.LEFT : Side.BOTTOM);
                }
                sides.put(new PortRef(selector.id(), Item.OUT), Side.RIGHT);
            } else if (item instanceof Tee tee) {
                sides.put(new PortRef(tee.id(), Item.IN), Side.LEFT);
                sides.put(new PortRef(tee.id(), Item.OUT), Side.RIGHT);
                PortRef branch = new PortRef(tee.id(), Tee.BRANCH);
                boolean up = otherEnd(branch).flatMap(system::item).map(i -> standing(i) >= tee.place().point().z()).orElse(true);
                sides.put(branch, up ? Side.TOP : Side.BOTTOM);
            }
        }
    }

    /** Height of an item, the aircraft level, m. */
    private static double standing(Item item) {
        return item.only(Tank.class).map(t -> Arrangement.outletPoint(t).z()).or(() -> item.only(Fitted.class).map(f -> f.place().point().z())).orElse(
                0.0);
    }

    /** Whether what feeds an inlet of a header is a tank that stands over it. */
    private boolean fallsInto(Header header, PortRef inlet) {
        return otherEnd(inlet).flatMap(system::item).flatMap(i -> i.only(Tank.class)).filter(t -> Math.abs(place.across(t.id()).orElse(Double.NaN) - place.across(
                header.id()).orElse(Double.NaN)) < OVER * place.zoom()).isPresent();
    }

    private Optional<String> otherEnd(PortRef port) {
        return topology.across(port).map(PortRef::item).filter(place::placed);
    }

    Side side(PortRef port) {
        Item item = system.item(port.item()).orElse(null);
        if (item instanceof Tank tank) {
            return tank.outlet(port.port()).isPresent() ? Side.BOTTOM : Side.TOP;
        }
        if (item instanceof Header header) {
            return header.outlets().contains(port.port()) ? Side.BOTTOM : port.port().equals(Header.VENT) ? Side.TOP
                    : fallsInto(header, port) ? Side.TOP : header.inlets().indexOf(port.port()) % 2 == 0 ? Side.LEFT : Side.RIGHT;
        }
        if (item instanceof EngineInlet && port.port().equals(EngineInlet.RETURN)) {
            return Side.TOP;
        }
        boolean lower = port.port().equals(CheckBlock.SECOND) || port.port().equals(JetPump.SUCTION) || topology.returnSide(port);
        if (lower) {
            return Side.BOTTOM;
        }
        return sides.getOrDefault(port, port.port().equals(Item.OUT) ? Side.RIGHT : Side.LEFT);
    }

    /** Where a port is drawn, on the edge of its symbol. */
    Optional<Spot> at(PortRef port) {
        Optional<Item> item = system.item(port.item()).filter(i -> place.placed(i.id()));
        if (item.isEmpty() || !item.get().ports().contains(port.port())) {
            return Optional.empty();
        }
        if (item.get() instanceof Tank tank) {
            return tank.placeOf(port.port()).map(p -> place.inTank(tank, p.point()));
        }
        Spot c = place.centre(item.get());
        if (item.get() instanceof Header header) {
            double level = c.y() - header.rise(port.port()) * place.scale();
            int inlet = header.inlets().indexOf(port.port());
            int outlet = header.outlets().indexOf(port.port());
            return Optional.of(new Spot(outlet >= 0 ? c.x() + (outlet % 2 == 0 ? -1 : 1) * ((outlet + 1) / 2) * OUTLETS_APART : inlet < 0 ? c.x() + 8 : fallsInto(header, port) ? c.x() - 8
                    : inlet % 2 == 0 ? c.x() - 17 : c.x()
                    + 17, level + inlet / 2 * INLETS_APART));
        }
        if (item.get() instanceof Selector s && s.duplex() && side(port) == Side.BOTTOM
                && !s.inlets().contains(port.port())) {
            int at = s.returns().indexOf(port.port());
            return Optional.of(new Spot(c.x() + (at < 0 ? 12 : 4 - 8.0 * (at + 1)), c.y() + (at < 0 ? 13.4 : 17)));
        }
        double dx = Symbols.halfWidth(item.get());
        double dy = Symbols.halfHeight(item.get());
        return Optional.of(switch (side(port)) {
            case LEFT -> new Spot(c.x() - dx, c.y());
            case RIGHT -> new Spot(c.x() + dx, c.y());
            case TOP -> new Spot(c.x(), c.y() - dy);
            case BOTTOM -> new Spot(c.x(), c.y() + dy);
        });
    }

    /** Whether a line leaves a port up or down. */
    boolean upright(PortRef port) {
        Side side = side(port);
        return side == Side.TOP || side == Side.BOTTOM;
    }
}
