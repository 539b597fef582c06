package ration.publish.drawing;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.DoubleStream;
import java.util.stream.Stream;
import ration.aircraft.model.Fitted;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Item;
import ration.aircraft.model.PortRef;
import ration.aircraft.model.Tank;
import ration.aircraft.model.VentPlenum;
import ration.base.geometry.Point3;
import ration.physics.breathing.LowPoints;
import ration.publish.drawing.Mark.Spot;
import ration.publish.drawing.Ports.Side;

/**
 * Where vents leave, come together and end on the drawing. Heights are true; a tip stands across where there is room,
 * as near to its place on its tank as that allows.
 */
final class VentPorts {

    /** Vents that come into one side of a plenum, apart, px. */
    private static final double APART = 8;
    /** How far a tip keeps from where its vent leaves, and from the edges, px. */
    private static final double ASIDE = 30;

    private static final double EDGE = 26;
    private static final double STEP = 8;
    /** Between a vent and another upright, px. */
    private static final double CLEAR = 13;

    private final Arrangement place;
    private final FuelSystem system;
    private final double right;
    private final Map<PortRef, Spot> spots = new HashMap<>();
    private final Map<PortRef, Side> sides = new HashMap<>();

    VentPorts(Arrangement place, FuelSystem system, double right) {
        this.place = place;
        this.system = system;
        this.right = right;
        List<Line> vents = Line.vents(system).stream()
                .filter(v -> place.placed(v.from().item()))
                .toList();
        vents.forEach(v -> leaves(v.from()));
        vents.stream().filter(v -> !v.to().port().equals(Line.TIP)).forEach(v -> comesInto(v, vents));
        List<double[]> taken = taken();
        vents.stream().filter(v -> v.to().port().equals(Line.TIP)).forEach(v -> tip(v, taken));
    }

    Optional<Spot> at(PortRef port) {
        return Optional.ofNullable(spots.get(port));
    }

    Side side(PortRef port) {
        return sides.getOrDefault(port, Side.TOP);
    }

    static boolean is(PortRef port) {
        return port.port().equals(Line.LEAVES)
                || port.port().equals(Line.TIP)
                || port.port().startsWith(Line.INTO);
    }

    private void put(PortRef port, Spot spot, Side side) {
        spots.put(port, spot);
        sides.put(port, side);
    }

    /** On the roof of a tank as it is drawn, or on top of a plenum. */
    private void leaves(PortRef port) {
        Item item = system.item(port.item()).orElseThrow();
        Optional<Tank> tank = item.only(Tank.class);
        if (tank.isEmpty()) {
            Spot c = place.centre(item);
            put(port, new Spot(c.x(), c.y() - Symbols.halfHeight((Fitted) item)), Side.TOP);
            return;
        }
        put(
                port,
                onRoof(
                        tank.get(),
                        place.inTank(tank.get(), LowPoints.ventWay(system, item).get(0))
                                .x()),
                Side.TOP);
    }

    /** As near to where it is wanted as the walls allow, and the lines that rise or fall from a port there. */
    private Spot onRoof(Tank tank, double wanted) {
        double[] box = place.box(tank);
        double inside = Math.max(box[0] + 5, Math.min(box[1] - 5, wanted));
        List<Double> beside = system.runs().stream()
                .flatMap(r -> Stream.of(r.from(), r.to()))
                .filter(place::upright)
                .flatMap(p -> place.port(p).stream())
                .map(Spot::x)
                .toList();
        double x = DoubleStream.iterate(0, d -> d < 60, d -> d > 0 ? -d : STEP - d)
                .map(d -> inside + d)
                .filter(d ->
                        d >= box[0] + 5 && d <= box[1] - 5 && beside.stream().allMatch(b -> Math.abs(b - d) >= CLEAR))
                .findFirst()
                .orElse(inside);
        double[] span = Half.spanAt(place.outline(tank), x);
        return new Spot(x, span == null ? box[2] : span[0]);
    }

    /** At the side of a plenum that it comes from, several one over another; on the roof of another tank. */
    private void comesInto(Line vent, List<Line> vents) {
        Optional<Item> to = system.item(vent.to().item()).filter(i -> place.placed(i.id()));
        to.flatMap(i -> i.only(Tank.class))
                .ifPresent(t -> put(vent.to(), onRoof(t, place.centre(t).x() + 12), Side.TOP));
        to.flatMap(i -> i.only(VentPlenum.class)).ifPresent(p -> {
            Spot c = place.centre(p);
            boolean left = spots.get(vent.from()).x() < c.x();
            List<Line> beside = vents.stream()
                    .filter(v -> v.to().item().equals(p.id())
                            && spots.containsKey(v.from())
                            && spots.get(v.from()).x() < c.x() == left)
                    .toList();
            double dy = APART * (beside.indexOf(vent) - (beside.size() - 1) / 2.0);
            double dx = Symbols.halfWidth(p);
            put(vent.to(), new Spot(c.x() + (left ? -dx : dx), c.y() + dy), left ? Side.LEFT : Side.RIGHT);
        });
    }

    private List<double[]> taken() {
        List<double[]> all = new ArrayList<>();
        for (Tank tank : system.tanks()) {
            double[] b = place.box(tank);
            all.add(new double[] {b[0] - 6, b[2] - 6, b[1] + 6, b[3] + 6});
        }
        system.all(Fitted.class).filter(f -> place.placed(f.id())).forEach(f -> all.add(place.body(f)));
        return all;
    }

    /** On free ground, nearest to where it is wanted. */
    private void tip(Line vent, List<double[]> taken) {
        Item item = system.item(vent.from().item()).orElseThrow();
        List<Point3> way = LowPoints.ventWay(system, item);
        Point3 tip = way.get(way.size() - 1);
        double from = spots.get(vent.from()).x();
        double y = place.y(tip);
        double there = item.only(Tank.class)
                .map(t -> place.inTank(t, tip).x())
                .orElse(from - Math.signum(tip.x() - way.get(0).x()) * 3 * ASIDE);
        double wanted = Math.abs(there - from) < ASIDE ? from + (there < from ? -ASIDE : ASIDE) : there;
        double best = Math.max(Arrangement.RULER + EDGE, Math.min(right - EDGE, wanted));
        double least = Double.MAX_VALUE;
        for (double x = Arrangement.RULER + EDGE; x <= right - EDGE; x += STEP) {
            double[] box = {x - 16, y - 10, x + 16, y + 10};
            double far = Math.abs(x - wanted);
            if (Math.abs(x - from) >= ASIDE
                    && far < least
                    && taken.stream()
                            .noneMatch(o -> box[0] < o[2] && o[0] < box[2] && box[1] < o[3] && o[1] < box[3])) {
                least = far;
                best = x;
            }
        }
        taken.add(new double[] {best - 20, y - 14, best + 20, y + 14});
        put(vent.to(), new Spot(best, y), best < from ? Side.RIGHT : Side.LEFT);
    }
}
