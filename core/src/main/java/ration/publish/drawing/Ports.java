package ration.publish.drawing;

import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import ration.aircraft.model.CheckBlock;
import ration.aircraft.model.EngineInlet;
import ration.aircraft.model.Fitted;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Header;
import ration.aircraft.model.Item;
import ration.aircraft.model.JetPump;
import ration.aircraft.model.PortRef;
import ration.aircraft.model.Selector;
import ration.aircraft.model.SomeKinds;
import ration.aircraft.model.Tank;
import ration.aircraft.model.Tee;
import ration.aircraft.topology.Topology;
import ration.publish.drawing.Mark.Spot;

/** Where the ports of a symbol are drawn, and on which side of it lines leave them. */
final class Ports {

    /** Inlets of a header that lie at one height are drawn so far apart, two by two on either side, px. */
    private static final double INLETS_APART = 9;
    /** Vents of a header beside each other, px. */
    private static final double VENTS_APART = 8;
    /** Outlets of a header or tank beside each other, px. */
    private static final double OUTLETS_APART = 11;
    /** A tank so near across stands over what it feeds, px. */
    private static final double OVER = 26;

    /** Which side of a symbol a port is on. */
    enum Side {
        LEFT,
        RIGHT,
        TOP,
        BOTTOM
    }

    private final Arrangement place;
    private final FuelSystem system;
    private final Topology topology;
    private final Map<PortRef, Side> sides = new HashMap<>();

    /** Of a system whose items have their place across. */
    Ports(Arrangement place, FuelSystem system, Topology topology) {
        this.place = place;
        this.system = system;
        this.topology = topology;
        system.selectors().forEach(this::sides);
        system.all(Tee.class).forEach(this::sides);
    }

    private void sides(Selector selector) {
        int others = 0;
        for (String inlet : selector.inlets()) {
            PortRef ref = new PortRef(selector.id(), inlet);
            Optional<Double> source = otherEnd(ref).flatMap(place::across);
            boolean above = source.isPresent()
                    && Math.abs(source.get() - place.across(selector.id()).orElse(Double.NaN)) < 1
                    && selector.inlets().stream().noneMatch(i -> sides.get(new PortRef(selector.id(), i)) == Side.TOP);
            sides.put(ref, above ? Side.TOP : others++ == 0 ? Side.LEFT : Side.BOTTOM);
        }
        sides.put(new PortRef(selector.id(), Item.OUT), Side.RIGHT);
    }

    private void sides(Tee tee) {
        sides.put(new PortRef(tee.id(), Item.IN), Side.LEFT);
        sides.put(new PortRef(tee.id(), Item.OUT), Side.RIGHT);
        PortRef branch = new PortRef(tee.id(), Tee.BRANCH);
        boolean up = otherEnd(branch)
                .flatMap(system::item)
                .map(i -> standing(i) >= tee.place().point().z())
                .orElse(true);
        sides.put(branch, up ? Side.TOP : Side.BOTTOM);
    }

    /** Height of an item, the aircraft level, m. */
    private static double standing(Item item) {
        return item.only(Tank.class)
                .map(t -> Arrangement.outletPoint(t).z())
                .or(() -> item.only(Fitted.class).map(f -> f.place().point().z()))
                .orElse(0.0);
    }

    /** Whether what feeds an inlet of a header is a tank that stands over it. */
    private boolean fallsInto(Header header, PortRef inlet) {
        return otherEnd(inlet)
                .flatMap(system::item)
                .flatMap(i -> i.only(Tank.class))
                .filter(t -> Math.abs(place.across(t.id()).orElse(Double.NaN)
                                - place.across(header.id()).orElse(Double.NaN))
                        < OVER * place.zoom())
                .isPresent();
    }

    private Optional<String> otherEnd(PortRef port) {
        return topology.across(port).map(PortRef::item).filter(place::placed);
    }

    Side side(PortRef port) {
        return system.item(port.item()).map(i -> i.as(new SideOf(port))).orElse(Side.LEFT);
    }

    /** Which side of its item a port is on. */
    private final class SideOf implements SomeKinds<Side> {
        private final PortRef port;

        SideOf(PortRef port) {
            this.port = port;
        }

        @Override
        public Side otherwise(Item item) {
            boolean lower = port.port().equals(CheckBlock.SECOND)
                    || port.port().equals(JetPump.SUCTION)
                    || topology.returnSide(port);
            return lower
                    ? Side.BOTTOM
                    : sides.getOrDefault(port, port.port().equals(Item.OUT) ? Side.RIGHT : Side.LEFT);
        }

        @Override
        public Side tank(Tank tank) {
            return tank.outlet(port.port()).isPresent() ? Side.BOTTOM : Side.TOP;
        }

        @Override
        public Side header(Header header) {
            return header.outlets().contains(port.port())
                    ? Side.BOTTOM
                    : header.vents().contains(port.port()) || fallsInto(header, port)
                            ? Side.TOP
                            : header.inlets().indexOf(port.port()) % 2 == 0 ? Side.LEFT : Side.RIGHT;
        }

        @Override
        public Side engineInlet(EngineInlet inlet) {
            return port.port().equals(EngineInlet.RETURN) ? Side.TOP : otherwise(inlet);
        }
    }

    /** Where a port is drawn, on the edge of its symbol. */
    Optional<Spot> at(PortRef port) {
        return system.item(port.item())
                .filter(i -> place.placed(i.id()) && i.ports().contains(port.port()))
                .flatMap(i -> i.as(new SpotOf(port)));
    }

    /** Where a port of an item is drawn. */
    private final class SpotOf implements SomeKinds<Optional<Spot>> {
        private final PortRef port;

        SpotOf(PortRef port) {
            this.port = port;
        }

        @Override
        public Optional<Spot> otherwise(Item item) {
            Spot c = place.centre(item);
            double dx = Symbols.halfWidth(item);
            double dy = Symbols.halfHeight(item);
            return Optional.of(
                    switch (side(port)) {
                        case LEFT -> new Spot(c.x() - dx, c.y());
                        case RIGHT -> new Spot(c.x() + dx, c.y());
                        case TOP -> new Spot(c.x(), c.y() - dy);
                        case BOTTOM -> new Spot(c.x(), c.y() + dy);
                    });
        }

        @Override
        public Optional<Spot> tank(Tank tank) {
            return tank.placeOf(port.port())
                    .map(p -> place.inTank(tank, p.point()))
                    .map(s -> new Spot(s.x() + aside(tank, s), s.y()));
        }

        /** Outlets over one another, seen from the side, are drawn beside each other. */
        private double aside(Tank tank, Spot at) {
            long before = tank.outlets().stream()
                    .takeWhile(o -> !o.name().equals(port.port()))
                    .filter(o -> Math.abs(place.inTank(tank, o.place().point()).x() - at.x()) < OUTLETS_APART - 1)
                    .count();
            return tank.outlet(port.port()).isPresent() ? before * OUTLETS_APART : 0;
        }

        @Override
        public Optional<Spot> header(Header header) {
            Spot c = place.centre(header);
            int inlet = header.inlets().indexOf(port.port());
            int outlet = header.outlets().indexOf(port.port());
            double half = Symbols.headerHalf(
                    header.build().form(),
                    header.rise(port.port()) / header.height().si());
            int vent = header.vents().indexOf(port.port());
            double off = vent > 0
                    ? 8 - VENTS_APART * vent
                    : outlet >= 0
                            ? (outlet % 2 == 0 ? -1 : 1) * ((outlet + 1) / 2) * OUTLETS_APART
                            : inlet < 0 ? 8 : fallsInto(header, port) ? -8 : inlet % 2 == 0 ? -half : half;
            return Optional.of(
                    new Spot(c.x() + off, c.y() - header.rise(port.port()) * place.scale() + inlet / 2 * INLETS_APART));
        }

        @Override
        public Optional<Spot> selector(Selector s) {
            if (!s.duplex() || side(port) != Side.BOTTOM || s.inlets().contains(port.port())) {
                return otherwise(s);
            }
            Spot c = place.centre(s);
            int at = s.returns().indexOf(port.port());
            return Optional.of(new Spot(c.x() + (at < 0 ? 12 : 4 - 8.0 * (at + 1)), c.y() + (at < 0 ? 13.4 : 17)));
        }
    }
}
