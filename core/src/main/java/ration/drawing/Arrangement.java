package ration.drawing;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import ration.condition.Attitude;
import ration.drawing.Mark.Spot;
import ration.geometry.ApparentGravity;
import ration.geometry.Point2;
import ration.geometry.Point3;
import ration.model.CheckBlock;
import ration.model.EngineInlet;
import ration.model.Firewall;
import ration.model.Fitted;
import ration.model.FuelSystem;
import ration.model.Header;
import ration.model.Item;
import ration.model.JetPump;
import ration.model.Place;
import ration.model.PortRef;
import ration.model.Run;
import ration.model.Selector;
import ration.model.Tank;
import ration.model.Tee;
import ration.model.VentLine;
import ration.model.VentPlenum;
import ration.topology.Topology;

/** Where everything stands: true heights, and an order from tanks to engine across. */
final class Arrangement {

    static final double RULER = 46;
    static final double SELECTOR_RADIUS = 18;
    private static final double BAY = 226;
    private static final double TIGHT_BAY = 200;
    private static final double TIGHT_COLUMN = 44;
    /** Room an item and its name want across. */
    private static final double COLUMN = 84;
    private static final double LEAST_COLUMN = 58;
    private static final double LEAST_SHARE = 0.45;
    private static final double LEAST_SQUEEZE = 0.36;
    private static final double LEAST_SQUEEZE_TIGHT = 0.27;
    private static final double USUAL_SCALE = 8 / 0.0254;

    /** Which side of a symbol a port is on. */
    enum Side { LEFT, RIGHT, TOP, BOTTOM }

    private final SchematicSubject subject;
    private final SchematicView view;
    private final FuelSystem system;
    private final Topology topology;
    private final ApparentGravity gravity;
    private final Point3 reference;
    private final Map<String, Double> centres = new LinkedHashMap<>();
    private final Map<PortRef, Side> sides = new HashMap<>();
    /** Steps from the tanks by the longest way. */
    private final Map<String, Integer> rank;
    private double scale;
    private double zeroY;
    private double firewallX;
    private boolean crowded;
    /** Where even narrow tanks find no room: everything else moves closer together. */
    private boolean tight;
    /** Tanks drawn narrower than they are long, where several would not fit side by side; heights stay true. */
    private double squeeze = 1 / 0.88;

    Arrangement(SchematicSubject subject, SchematicView view) {
        this.subject = subject;
        this.view = view;
        this.system = subject.system();
        this.topology = Topology.of(system);
        this.rank = topology.ranks();
        this.gravity = subject.condition().attitude().gravity();
        this.reference = system.inlet().map(i -> i.place().point()).orElse(new Point3(0, 0, 0));
        double share = 1;
        do {
            centres.clear();
            crowded = false;
            if (squeeze > (tight ? LEAST_SQUEEZE_TIGHT : LEAST_SQUEEZE)) {
                squeeze *= 0.88;
            } else if (!tight) {
                tight = true;
            } else {
                share *= 0.92;
            }
            fitHeights(share);
            placeAcross();
        } while (crowded && share > LEAST_SHARE);
        assignSides();
    }

    // heights

    /** Fits the heights of every preset into a share of the picture: less where tanks would not fit side by side. */
    private void fitHeights(double share) {
        double low = -0.1;
        double high = 0.2;
        List<Attitude> all = new ArrayList<>(subject.presets());
        all.add(subject.condition().attitude());
        for (Attitude a : all) {
            for (Point3 p : everyPoint()) {
                double h = a.gravity().height(p.minus(reference));
                low = Math.min(low, h);
                high = Math.max(high, h);
            }
        }
        double room = view.height() - 96;
        double fit = share * Math.min(2 * USUAL_SCALE, room / (high - low));
        scale = fit * view.zoom();
        double spare = view.height() - fit * (high - low);
        double fittedZero = spare * 0.42 + fit * high;
        zeroY = view.height() / 2 + (fittedZero - view.height() / 2) * view.zoom() + view.panY();
    }

    private List<Point3> everyPoint() {
        List<Point3> points = new ArrayList<>();
        for (Item item : system.items()) {
            if (item instanceof Tank tank) {
                for (Point2 p : section(tank)) {
                    points.add(new Point3(p.x(), sectionButtLine(tank), p.z()));
                }
                tank.vent().map(Place::point).ifPresent(points::add);
                tank.returns().forEach(r -> points.add(r.place().point()));
            } else if (item instanceof Fitted fitted) {
                points.add(fitted.place().point());
                if (fitted instanceof Header header) {
                    points.add(fitted.place().point().plus(new Point3(0, 0, header.height().si())));
                }
            } else if (item instanceof Run run) {
                run.points().forEach(p -> points.add(p.point()));
            }
        }
        return points;
    }

    static List<Point2> section(Tank tank) {
        return tank.shape().section();
    }

    static double sectionButtLine(Tank tank) {
        return tank.outlets().isEmpty() ? (tank.shape().left() + tank.shape().right()) / 2
                : tank.outlets().get(0).place().point().y();
    }

    double scale() {
        return scale;
    }

    /** y of a height over the engine inlet, m. */
    double y(double height) {
        return zeroY - height * scale;
    }

    double heightAt(double y) {
        return (zeroY - y) / scale;
    }

    /** Height over the engine inlet, m, of a point in aircraft axes. */
    double height(Point3 p) {
        return gravity.height(p.minus(reference));
    }

    double y(Point3 p) {
        return y(height(p));
    }

    /** Height of the engine inlet over the datum along up, m. */
    double referenceHeight() {
        return gravity.height(reference);
    }

    // across

    private void placeAcross() {
        Optional<Firewall> wall = system.firewall();
        Set<String> back = topology.returning();
        List<Fitted> order = inOrder().stream().filter(i -> !back.contains(i.id()) && i.only(VentPlenum.class).isEmpty()).toList();
        List<Fitted> bay = order.stream().filter(i -> wall.isPresent() && engineSide(i, wall.get()) > 0)
                .filter(i -> !(i instanceof EngineInlet)).toList();
        List<Fitted> cabin = order.stream().filter(i -> !bay.contains(i))
                .filter(i -> !(i instanceof EngineInlet)).toList();
        double right = view.width() - RULER;
        firewallX = right - (tight ? TIGHT_BAY + 36 * bay.size() : BAY + 46 * bay.size());
        double engineX = right - 109;
        spread(bay, firewallX + 62, engineX - 130 + (bay.isEmpty() ? 0 : 20));
        double last = firewallX - 84;
        double usual = RULER + Math.min(330, (firewallX - RULER) * 0.60);
        double first = Math.max(RULER + tankZone(), Math.min(usual, last - COLUMN * (cabin.size() - 1)));
        double start = Math.max(RULER + 90, Math.min(first, last - (tight ? TIGHT_COLUMN : LEAST_COLUMN)
                * Math.max(0.6, columns(cabin).size() - 1.0)));
        first = start;
        spread(cabin, start, last);
        system.inlet().ifPresent(i -> centres.put(i.id(), zoomX(engineX)));
        firewallX = zoomX(firewallX);
        placeTanks(zoomX(first));
        placeBack(back);
        system.all(VentPlenum.class).forEach(this::placePlenum);
    }

    /** Beside the tanks that breathe through it, clear of other symbols. */
    private void placePlenum(VentPlenum plenum) {
        double x = RULER + 60;
        for (Tank tank : system.tanks()) {
            if (tank.fitout().vent().flatMap(VentLine::to).filter(plenum.id()::equals).isPresent()) {
                x = Math.max(x, extent(tank, centres.get(tank.id()))[1] + 34);
            }
        }
        for (int tries = 0; tries < 12 && hits(x, y(plenum.place().point())); tries++) {
            x += 22;
        }
        centres.put(plenum.id(), x);
    }

    /** Between the things they join, clear of other symbols. */
    private void placeBack(Set<String> back) {
        int n = 0;
        for (String id : back) {
            Fitted item = (Fitted) system.item(id).orElseThrow();
            double x = firewallX - 40 - 70 * n++;
            double y = y(item.place().point());
            for (int tries = 0; tries < 12 && hits(x, y); tries++) {
                x -= 22;
            }
            centres.put(id, x);
        }
    }

    private boolean hits(double x, double y) {
        return centres.entrySet().stream().anyMatch(e -> system.item(e.getKey())
                .filter(i -> i instanceof Fitted f && Math.abs(e.getValue() - x) < 46
                        && Math.abs(y(f.place().point()) - y) < 44).isPresent());
    }

    /** Room that all tanks but the highest take side by side, at no zoom. */
    private double tankZone() {
        List<Tank> tanks = new ArrayList<>(system.tanks());
        tanks.sort(Comparator.comparingDouble((Tank t) -> -outletHeightLevel(t)));
        double sum = 60;
        int over = !tanks.isEmpty() && beside(tanks.get(0)) ? 0 : 1;
        for (Tank tank : tanks.subList(Math.min(over, tanks.size()), tanks.size())) {
            double[] box = extent(tank, 0);
            sum += (box[1] - box[0]) / view.zoom() + 26;
        }
        return sum;
    }

    /** Whether a tank reaches down to the item it feeds in some attitude, so that it cannot stand over it. */
    private boolean beside(Tank tank) {
        Optional<Fitted> fed = topology.fed(tank).flatMap(system::item).flatMap(i -> i.only(Fitted.class));
        if (fed.isEmpty()) {
            return false;
        }
        Fitted item = fed.get();
        List<Attitude> all = new ArrayList<>(subject.presets());
        all.add(subject.condition().attitude());
        return all.stream().anyMatch(a -> {
            double itemTop = a.gravity().height(item.place().point()) * scale + 26;
            return section(tank).stream().anyMatch(p -> a.gravity().height(new Point3(p.x(), sectionButtLine(tank),
                    p.z())) * scale < itemTop);
        });
    }

    private void spread(List<Fitted> items, double from, double to) {
        List<List<Fitted>> columns = columns(items);
        for (int i = 0; i < columns.size(); i++) {
            double x = columns.size() == 1 ? from : from + (to - from) * i / (columns.size() - 1);
            columns.get(i).forEach(item -> centres.put(item.id(), zoomX(x)));
        }
    }

    /** One item a column; where it is tight, items side by side in the flow stand over each other if their heights allow. */
    private List<List<Fitted>> columns(List<Fitted> items) {
        List<List<Fitted>> columns = new ArrayList<>();
        for (Fitted item : items) {
            List<Fitted> last = columns.isEmpty() ? null : columns.get(columns.size() - 1);
            boolean beside = tight && last != null && last.stream().allMatch(o -> rank.get(o.id()).equals(rank.get(item.id()))
                    && Math.abs(o.place().point().z() - item.place().point().z()) * scale > 38);
            if (beside) {
                last.add(item);
            } else {
                columns.add(new ArrayList<>(List.of(item)));
            }
        }
        return columns;
    }

    private double zoomX(double x) {
        return view.width() / 2 + (x - view.width() / 2) * view.zoom() + view.panX();
    }

    private double engineSide(Fitted item, Firewall wall) {
        double engine = reference.x() - wall.station().si();
        return (item.place().point().x() - wall.station().si()) * Math.signum(engine);
    }

    /** Items from tanks to engine. */
    private List<Fitted> inOrder() {
        return system.all(Fitted.class).sorted(Comparator.comparing((Fitted i) -> rank.get(i.id()))).toList();
    }

    /** The highest tank stands straight over the port it feeds; lower ones step to the left. */
    private void placeTanks(double firstX) {
        List<Tank> tanks = new ArrayList<>(system.tanks());
        tanks.sort(Comparator.comparingDouble((Tank t) -> -outletHeightLevel(t)));
        List<double[]> taken = new ArrayList<>();
        int step = 0;
        for (Tank tank : tanks) {
            double over = topology.fed(tank).map(centres::get).orElse(firstX);
            double x = over - 98 * view.zoom() * step;
            double[] box = extent(tank, x);
            if (beside(tank) && box[1] > over - 34) {
                x -= box[1] - (over - 34);
                box = extent(tank, x);
            }
            for (double[] other : taken) {
                if (box[0] < other[1] + 16 && other[0] < box[1] + 16 && box[2] < other[3] + 10
                        && other[2] < box[3] + 10) {
                    x -= box[1] + 24 - other[0];
                    box = extent(tank, x);
                }
            }
            double spill = RULER + 14 - box[0];
            double clear = rightmost(taken, box) + 24 - box[0];
            if (spill > 0 && clear > 0 && !beside(tank) && box[1] + clear < firewallX - 12) {
                x += clear;
                box = extent(tank, x);
                spill = 0;
            }
            if (spill > 0 && view.zoom() == 1 && view.panX() == 0) {
                x += spill;
                box = extent(tank, x);
                crowded |= box[0] < rightmostOverlapping(taken, box);
            }
            taken.add(box);
            centres.put(tank.id(), x);
            step++;
        }
    }

    /** Right edge of the tanks already placed at a box's height. */
    private static double rightmost(List<double[]> taken, double[] box) {
        return taken.stream().filter(o -> box[2] < o[3] + 10 && o[2] < box[3] + 10).mapToDouble(o -> o[1]).max()
                .orElse(Double.NEGATIVE_INFINITY);
    }

    /** Right edge of the tanks a box lies over, or less than any edge when it lies over none. */
    private static double rightmostOverlapping(List<double[]> taken, double[] box) {
        return rightmost(taken.stream().filter(o -> o[0] < box[1]).toList(), box);
    }

    private double outletHeightLevel(Tank tank) {
        return tank.outlets().isEmpty() ? 0 : tank.outlets().get(0).place().point().z();
    }

    /** Left, right, top, bottom of a tank over every preset, so that tilting moves no tank sideways. */
    private double[] extent(Tank tank, double outletX) {
        double[] box = {Double.MAX_VALUE, -Double.MAX_VALUE, Double.MAX_VALUE, -Double.MAX_VALUE};
        List<Attitude> all = new ArrayList<>(subject.presets());
        all.add(subject.condition().attitude());
        Point3 origin = outletPoint(tank);
        for (Attitude a : all) {
            for (Point2 p : section(tank)) {
                Point3 at = new Point3(p.x(), sectionButtLine(tank), p.z());
                double x = outletX - aft(a, at.minus(origin)) * scale * squeeze;
                double y = zeroY - a.gravity().height(at.minus(reference)) * scale;
                box[0] = Math.min(box[0], x);
                box[1] = Math.max(box[1], x);
                box[2] = Math.min(box[2], y);
                box[3] = Math.max(box[3], y);
            }
        }
        return box;
    }

    private static Point3 outletPoint(Tank tank) {
        if (tank.outlets().isEmpty()) {
            Point2 p = tank.shape().section().get(0);
            return new Point3(p.x(), sectionButtLine(tank), p.z());
        }
        return tank.outlets().get(0).place().point();
    }

    /** How far aft a displacement leads, seen level, m. */
    private static double aft(Attitude a, Point3 d) {
        return d.x() * Math.cos(a.pitchRad()) + d.z() * Math.sin(a.pitchRad());
    }

    /** Where a point of a tank is drawn; nose to the right. */
    Spot inTank(Tank tank, Point3 p) {
        Point3 origin = outletPoint(tank);
        return new Spot(centres.get(tank.id()) - aft(subject.condition().attitude(), p.minus(origin)) * scale * squeeze, y(p));
    }

    double firewallX() {
        return firewallX;
    }

    /** Whether there is too much in the picture to write everything beside it. */
    boolean busy() {
        return system.runs().size() > 7;
    }

    boolean placed(String item) {
        return centres.containsKey(item);
    }

    /** Centre of an item's symbol; for a tank its first outlet. */
    Spot centre(Item item) {
        if (item instanceof Tank tank) {
            return inTank(tank, outletPoint(tank));
        }
        Fitted fitted = (Fitted) item;
        return new Spot(centres.get(item.id()), y(fitted.place().point()));
    }

    // ports

    private void assignSides() {
        for (Item item : system.items()) {
            if (item instanceof Selector selector) {
                int others = 0;
                for (String inlet : selector.inlets()) {
                    PortRef ref = new PortRef(selector.id(), inlet);
                    Optional<Double> source = otherEnd(ref).map(centres::get);
                    boolean above = source.isPresent()
                            && Math.abs(source.get() - centres.get(selector.id())) < 1
                            && selector.inlets().stream().noneMatch(
                                    i -> sides.get(new PortRef(selector.id(), i)) == Side.TOP);
                    sides.put(ref, above ? Side.TOP : others++ == 0 ? Side.LEFT : Side.BOTTOM);
                }
                sides.put(new PortRef(selector.id(), Item.OUT), Side.RIGHT);
            } else if (item instanceof Tee tee) {
                sides.put(new PortRef(tee.id(), Item.IN), Side.LEFT);
                sides.put(new PortRef(tee.id(), Item.OUT), Side.RIGHT);
                PortRef branch = new PortRef(tee.id(), Tee.BRANCH);
                boolean up = otherEnd(branch).flatMap(system::item).map(i -> centre(i).y() <= centre(tee).y())
                        .orElse(true);
                sides.put(branch, up ? Side.TOP : Side.BOTTOM);
            }
        }
    }

    private Optional<String> otherEnd(PortRef port) {
        return topology.across(port).map(PortRef::item).filter(centres::containsKey);
    }

    Side side(PortRef port) {
        Item item = system.item(port.item()).orElse(null);
        if (item instanceof Tank tank) {
            return tank.outlet(port.port()).isPresent() ? Side.BOTTOM : Side.TOP;
        }
        if (item instanceof Header) {
            return port.port().equals(Item.OUT) ? Side.BOTTOM : port.port().equals(Header.VENT) ? Side.TOP
                    : Side.LEFT;
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
    Optional<Spot> port(PortRef port) {
        Optional<Item> item = system.item(port.item()).filter(i -> centres.containsKey(i.id()));
        if (item.isEmpty() || !item.get().ports().contains(port.port())) {
            return Optional.empty();
        }
        if (item.get() instanceof Tank tank) {
            return tank.placeOf(port.port()).map(p -> inTank(tank, p.point()));
        }
        Spot c = centre(item.get());
        if (item.get() instanceof Header header) {
            double level = c.y() - header.rise(port.port()) * scale;
            return Optional.of(new Spot(port.port().equals(Item.OUT) ? c.x()
                    : port.port().equals(Header.VENT) ? c.x() + 8 : c.x() - 17, level));
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

    /** Corners of a run, orthogonal: drop first then level, or level then rise; measured points at their heights. */
    List<Spot> way(Run run) {
        Optional<Spot> start = port(run.from());
        Optional<Spot> end = port(run.to());
        if (start.isEmpty() || end.isEmpty()) {
            return List.of();
        }
        boolean startUpright = upright(run.from());
        boolean endUpright = upright(run.to());
        List<Double> levels = new ArrayList<>();
        levels.add(start.get().y());
        run.points().forEach(p -> levels.add(y(p.point())));
        levels.add(end.get().y());
        List<Spot> spots = new ArrayList<>();
        spots.add(start.get());
        double x0 = start.get().x();
        double x1 = end.get().x();
        int changes = levels.size() - 1;
        for (int i = 1; i <= changes; i++) {
            boolean last = i == changes;
            boolean falls = levels.get(i) > levels.get(i - 1);
            double along = changes == 1 ? (falls ? 0.62 : 0.5) : (i - 0.5) / changes;
            double turn = x0 + (x1 - x0) * along;
            if (i == 1 && startUpright) {
                turn = x0;
            } else if (last && endUpright) {
                turn = x1;
            } else if (last && !falls) {
                turn = x1 - Math.min(38, Math.abs(x1 - x0) / 2) * Math.signum(x1 - x0);
            }
            spots.add(new Spot(turn, levels.get(i - 1)));
            spots.add(new Spot(turn, levels.get(i)));
        }
        spots.add(end.get());
        return tidy(spots);
    }

    private boolean upright(PortRef port) {
        Side side = side(port);
        return side == Side.TOP || side == Side.BOTTOM;
    }

    /** Without doubled spots and corners that are none. */
    private static List<Spot> tidy(List<Spot> spots) {
        List<Spot> out = new ArrayList<>();
        for (Spot s : spots) {
            if (!out.isEmpty() && near(out.get(out.size() - 1), s)) {
                continue;
            }
            int n = out.size();
            if (n >= 2 && straight(out.get(n - 2), out.get(n - 1), s)) {
                out.set(n - 1, s);
            } else {
                out.add(s);
            }
        }
        return out;
    }

    private static boolean near(Spot a, Spot b) {
        return Math.abs(a.x() - b.x()) < 0.5 && Math.abs(a.y() - b.y()) < 0.5;
    }

    private static boolean straight(Spot a, Spot b, Spot c) {
        return Math.abs(a.x() - b.x()) < 0.5 && Math.abs(b.x() - c.x()) < 0.5
                || Math.abs(a.y() - b.y()) < 0.5 && Math.abs(b.y() - c.y()) < 0.5;
    }
}
