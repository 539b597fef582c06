package ration.physics.breathing;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import ration.aircraft.model.EngineInlet;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.GaugePort;
import ration.aircraft.model.Header;
import ration.aircraft.model.Item;
import ration.aircraft.model.Once;
import ration.aircraft.model.Place;
import ration.aircraft.model.PortRef;
import ration.aircraft.model.Run;
import ration.aircraft.model.SomeKinds;
import ration.aircraft.model.Strainer;
import ration.aircraft.model.Tank;
import ration.aircraft.model.VentLine;
import ration.aircraft.model.VentPlenum;
import ration.aircraft.topology.Topology;
import ration.base.geometry.Point3;

/**
 * Low and high points of wet lines and vents, from measured heights along an up.
 *
 * @param points in no particular order
 */
public record LowPoints(List<Found> points) {

    /** Heights nearer than this are level, m: a tenth of an inch. */
    private static final double LEVEL = 0.00254;

    public LowPoints {
        points = List.copyOf(points);
    }

    /** What a point does. */
    public enum Kind {
        /** Water gathers, and a drain takes it. */
        DRAINED,
        /** Water gathers, and nothing takes it. */
        UNDRAINED,
        /** Liquid sits in a vent line and closes it. */
        VENT_TRAP,
        /** Vapor gathers. */
        HIGH
    }

    /**
     * A point.
     *
     * @param item id of the run or item it lies on
     * @param place in aircraft axes
     */
    public record Found(Kind kind, String item, Point3 place) {}

    /** A place on the lines: a point within a run, or a whole item that is no run. */
    private static final class Node {
        private final String item;
        private final Point3 place;
        private final double height;
        private final Set<Node> next = new HashSet<>();

        Node(String item, Point3 place, double height) {
            this.item = item;
            this.place = place;
            this.height = height;
        }
    }

    /** Of a system, up given in aircraft axes. */
    public static LowPoints of(FuelSystem system, Point3 up) {
        List<Found> found = new ArrayList<>();
        Map<String, Node> bodies = new HashMap<>();
        List<Node> all = new ArrayList<>();
        Topology topology = Topology.of(system);
        for (Run run : system.runs()) {
            List<Node> line = new ArrayList<>();
            end(topology, system, run.from(), up, bodies, all).ifPresent(line::add);
            for (Place p : run.points()) {
                Node n = new Node(run.id(), p.point(), up.dot(p.point()));
                all.add(n);
                line.add(n);
            }
            end(topology, system, run.to(), up, bodies, all).ifPresent(line::add);
            for (int i = 1; i < line.size(); i++) {
                line.get(i - 1).next.add(line.get(i));
                line.get(i).next.add(line.get(i - 1));
            }
        }
        Set<Node> done = new HashSet<>();
        for (Node n : all) {
            if (done.contains(n)) {
                continue;
            }
            List<Node> flat = flat(n, done);
            boolean low = flat.stream()
                    .flatMap(f -> f.next.stream())
                    .filter(o -> !flat.contains(o))
                    .allMatch(o -> o.height > n.height);
            boolean high = flat.stream()
                    .flatMap(f -> f.next.stream())
                    .filter(o -> !flat.contains(o))
                    .allMatch(o -> o.height < n.height);
            Node shown = flat.stream()
                    .filter(f -> system.item(f.item)
                            .filter(x -> x.only(Run.class).isPresent())
                            .isPresent())
                    .findFirst()
                    .orElse(n);
            if (low && flat.stream().noneMatch(f -> ends(system, f))) {
                boolean drained = flat.stream().anyMatch(f -> drained(system, f));
                Node at = flat.stream()
                        .filter(f -> drained(system, f))
                        .findFirst()
                        .orElse(shown);
                found.add(new Found(drained ? Kind.DRAINED : Kind.UNDRAINED, at.item, at.place));
            }
            if (high && flat.stream().noneMatch(f -> ends(system, f))) {
                found.add(new Found(Kind.HIGH, shown.item, shown.place));
            }
        }
        vents(system, up, found);
        return new LowPoints(found);
    }

    private static Optional<Node> end(
            Topology topology, FuelSystem system, PortRef port, Point3 up, Map<String, Node> bodies, List<Node> all) {
        Optional<Item> item = system.item(port.item());
        boolean ported = item.filter(i -> i.as(VESSEL)).isPresent();
        String key = ported ? port.toString() : port.item() + (topology.returnSide(port) ? "~return" : "");
        return system.point(port)
                .map(p -> bodies.computeIfAbsent(key, k -> {
                    Node n = new Node(port.item(), p, up.dot(p));
                    all.add(n);
                    return n;
                }));
    }

    /** All that lies level with a node and joined to it. */
    private static List<Node> flat(Node start, Set<Node> done) {
        List<Node> flat = new ArrayList<>(List.of(start));
        done.add(start);
        for (int i = 0; i < flat.size(); i++) {
            for (Node o : flat.get(i).next) {
                if (Math.abs(o.height - start.height) <= LEVEL && done.add(o)) {
                    flat.add(o);
                }
            }
        }
        return flat;
    }

    /** What has a free surface: its ports lie in different places. */
    private static final SomeKinds<Boolean> VESSEL = new SomeKinds<>() {
        @Override
        public Boolean otherwise(Item item) {
            return false;
        }

        @Override
        public Boolean tank(Tank item) {
            return true;
        }

        @Override
        public Boolean header(Header item) {
            return true;
        }
    };

    /** Tanks have sumps of their own, headers vents, and the engine ends the line. */
    private static boolean ends(FuelSystem system, Node n) {
        return system.item(n.item)
                .filter(i -> i.as(VESSEL) || i.only(EngineInlet.class).isPresent())
                .isPresent();
    }

    /** What water is let out of. */
    private static final SomeKinds<Boolean> DRAINS = new SomeKinds<>() {
        @Override
        public Boolean otherwise(Item item) {
            return false;
        }

        @Override
        public Boolean strainer(Strainer item) {
            return item.drain();
        }

        @Override
        public Boolean gaugePort(GaugePort item) {
            return item.shows() == GaugePort.Shows.SAMPLE;
        }
    };

    private static boolean drained(FuelSystem system, Node n) {
        return system.item(n.item).filter(i -> i.as(DRAINS)).isPresent();
    }

    private static void vents(FuelSystem system, Point3 up, List<Found> found) {
        for (Item item : system.items()) {
            List<Point3> way = ventWay(system, item);
            for (int i = 1; i + 1 < way.size(); i++) {
                double h = up.dot(way.get(i));
                int a = i - 1;
                int b = i + 1;
                while (a > 0 && Math.abs(up.dot(way.get(a)) - h) <= LEVEL) {
                    a--;
                }
                while (b + 1 < way.size() && Math.abs(up.dot(way.get(b)) - h) <= LEVEL) {
                    b++;
                }
                if (up.dot(way.get(a)) > h + LEVEL && up.dot(way.get(b)) > h + LEVEL) {
                    found.add(new Found(Kind.VENT_TRAP, item.id(), way.get(i)));
                    i = b;
                }
            }
        }
    }

    /**
     * What has to be blown through a vent whose low spots are full, as a column of the liquid in them, m: in each up to
     * its lower shoulder, all of them added, since each pushes the next.
     */
    public static double opens(List<Point3> way, Point3 up) {
        double sum = 0;
        double shoulder = Double.NEGATIVE_INFINITY;
        double low = Double.POSITIVE_INFINITY;
        for (int i = 0; i < way.size(); i++) {
            double h = up.dot(way.get(i));
            boolean crest = i + 1 == way.size() || up.dot(way.get(i + 1)) < h;
            low = Math.min(low, h);
            if (crest && low < h && shoulder > low) {
                sum += Math.min(shoulder, h) - low;
            }
            if (crest) {
                shoulder = h;
                low = h;
            }
        }
        return sum;
    }

    /** Water line of the tank's roof straight over or under a place; empty beside it. */
    private static Optional<Double> roofAt(Tank tank, Point3 place) {
        double most = Double.NEGATIVE_INFINITY;
        for (List<Point3> loop : tank.shell().cut(new Point3(1, 0, 0), place.x())) {
            for (int i = 0; i < loop.size(); i++) {
                Point3 a = loop.get(i);
                Point3 b = loop.get((i + 1) % loop.size());
                if (a.y() <= place.y() != b.y() <= place.y()) {
                    most = Math.max(
                            most,
                            a.toward(b, (place.y() - a.y()) / (b.y() - a.y())).z());
                }
            }
        }
        return Double.isInfinite(most) ? Optional.empty() : Optional.of(most);
    }

    /**
     * The vent of a tank from its top, or of a plenum, to its tip or to the plenum it leads to; empty for what has
     * none.
     */
    public static List<Point3> ventWay(FuelSystem system, Item item) {
        List<Point3> way = new ArrayList<>();
        item.only(Tank.class).ifPresent(t -> way.addAll(VENT_WAYS.of(t)));
        item.only(VentPlenum.class).ifPresent(p -> {
            way.add(p.place().point());
            p.line().points().forEach(x -> way.add(x.point()));
            if (p.line().to().isEmpty()) {
                way.add(p.tip().point());
            }
        });
        Optional<Point3> joins = VentLine.of(item)
                .flatMap(VentLine::to)
                .flatMap(system::item)
                .flatMap(i -> i.only(VentPlenum.class))
                .map(p -> p.place().point());
        if (!way.isEmpty()
                && joins.filter(j -> j.distance(way.get(way.size() - 1)) > LEVEL)
                        .isPresent()) {
            way.add(joins.get());
        }
        return way;
    }

    private static final Once<Tank, List<Point3>> VENT_WAYS = new Once<>(LowPoints::ventWay);

    /**
     * It leaves the roof at its first measured point, wherever that lies: one under the roof is a place fuel reaches.
     */
    private static List<Point3> ventWay(Tank tank) {
        List<Point3> way = new ArrayList<>();
        tank.vent().ifPresent(tip -> {
            tank.fitout().vent().ifPresent(v -> v.points().forEach(p -> way.add(p.point())));
            Point3 first = way.isEmpty() ? tip.point() : way.get(0);
            Point3 leaves = roofAt(tank, first)
                    .filter(z -> !way.isEmpty())
                    .map(z -> new Point3(first.x(), first.y(), z))
                    .orElseGet(() -> topUnder(tank, first));
            if (way.isEmpty() || leaves.distance(first) > LEVEL) {
                way.add(0, leaves);
            }
            way.add(tip.point());
        });
        return List.copyOf(way);
    }

    /** Where a vent with no measured way is taken to leave the tank: its highest point. */
    private static Point3 topUnder(Tank tank, Point3 tip) {
        return tank.shell().faces().stream()
                .flatMap(List::stream)
                .max(Comparator.comparingDouble(Point3::z).thenComparingDouble(p -> -p.distance(tip)))
                .orElse(tip);
    }
}
