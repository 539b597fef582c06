package ration.drawing;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import ration.breathing.LowPoints;
import ration.condition.Attitude;
import ration.drawing.Mark.Spot;
import ration.geometry.ApparentGravity;
import ration.geometry.Point2;
import ration.geometry.Point3;
import ration.model.Bulkhead;
import ration.model.EngineInlet;
import ration.model.Firewall;
import ration.model.Fitted;
import ration.model.FuelSystem;
import ration.model.Header;
import ration.model.Item;
import ration.model.Place;
import ration.model.PortRef;
import ration.model.Run;
import ration.model.SomeKinds;
import ration.model.Tank;
import ration.model.VentLine;
import ration.model.VentPlenum;
import ration.topology.Topology;

/** Where everything stands: true heights, and an order from tanks to engine across. */
final class Arrangement {

    static final double RULER = 46;
    /** Height of the result at the engine. */
    static final double RESULT = 150;
    static final double SELECTOR_RADIUS = 18;
    private static final double BAY = 226;
    private static final double TIGHT_BAY = 200;
    /** From the engine to the right end; between two items of the bay, px. */
    private static final double ENGINE = 109;
    private static final double APART = 66;
    private static final double TIGHT_APART = 52;
    /** The bay of the air side, which has no result in it: from the wall, to the engine, from there to the edge of the picture, px. */
    private static final double AIR_LEAD = 44;
    private static final double AIR_TAIL = 74;
    private static final double AIR_ENGINE = 50;
    private static final double AIR_EDGE = 12;
    private static final double TIGHT_COLUMN = 44;
    /** Room an item and its name want across. */
    private static final double COLUMN = 84;
    private static final double LEAST_COLUMN = 58;
    private static final double LEAST_SHARE = 0.45;
    private static final double LEAST_SQUEEZE = 0.36;
    private static final double LEAST_SQUEEZE_TIGHT = 0.27;
    /** Room over and under what is highest and lowest; with the numbers of drains under it, px. */
    private static final double ROOM = 96;
    private static final double ROOM_FOR_DRAINS = 140;
    /** So far a vent rises out of a roof at least, px. */
    private static final double OUT_OF_ROOF = 9;
    private static final double USUAL_SCALE = 8 / 0.0254;

    private final SchematicSubject subject;
    private final SchematicView view;
    private final FuelSystem system;
    private final Topology topology;
    private final ApparentGravity gravity;
    private final Point3 reference;
    private final Map<String, Double> centres = new LinkedHashMap<>();
    private final Ports ports;
    /** On the air side. */
    private Optional<VentPorts> vents = Optional.empty();
    /** Steps from the tanks by the longest way. */
    private final Map<String, Integer> rank;
    /** Found when first asked for. */
    private Map<String, Router.Routed> routes;
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
        ports = new Ports(this, system, topology);
        if (air()) {
            vents = Optional.of(new VentPorts(this, system, right()));
        }
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
        double room = view.height() - (air() ? ROOM_FOR_DRAINS : ROOM);
        double fit = share * Math.min(2 * USUAL_SCALE, room / (high - low));
        scale = fit * view.zoom();
        double spare = view.height() - fit * (high - low);
        double fittedZero = spare * 0.42 + fit * high;
        zeroY = view.height() / 2 + (fittedZero - view.height() / 2) * view.zoom() + view.panY();
    }

    private List<Point3> everyPoint() {
        List<Point3> points = new ArrayList<>();
        for (Item item : system.items()) {
            points.addAll(item.as(REACHES));
            points.addAll(air() ? LowPoints.ventWay(system, item) : List.of());
        }
        return points;
    }

    /** What of an item must lie in the picture. */
    private static final SomeKinds<List<Point3>> REACHES = new SomeKinds<>() {
        @Override
        public List<Point3> otherwise(Item item) {
            return List.of(((Fitted) item).place().point());
        }

        @Override
        public List<Point3> header(Header header) {
            return List.of(header.place().point(), header.place().point().plus(new Point3(0, 0, header.height().si())));
        }

        @Override
        public List<Point3> tank(Tank tank) {
            double y = sectionButtLine(tank);
            List<Point3> all = new ArrayList<>(section(tank).stream().map(p -> new Point3(p.x(), y, p.z())).toList());
            tank.vent().map(Place::point).ifPresent(all::add);
            tank.returns().forEach(r -> all.add(r.place().point()));
            return all;
        }

        @Override
        public List<Point3> run(Run run) {
            return run.points().stream().map(Place::point).toList();
        }
    };

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
        List<Fitted> order = inOrder().stream().filter(i -> !back.contains(i.id()) && i.only(VentPlenum.class).isEmpty() && !inWall(i))
                .toList();
        List<Fitted> bay = order.stream().filter(i -> wall.isPresent() && engineSide(i, wall.get()) > 0)
                .filter(i -> i.only(EngineInlet.class).isEmpty()).toList();
        List<Fitted> cabin = order.stream().filter(i -> !bay.contains(i))
                .filter(i -> i.only(EngineInlet.class).isEmpty()).toList();
        double right = right();
        firewallX = right - (bay.isEmpty() ? bayAlone() : engine() + lead() + tail() + apart() * (bay.size()
                - 1));
        double engineX = right - engine();
        spread(bay, firewallX + lead(), Math.max(firewallX + lead(), engineX - tail()));
        double last = firewallX - 84;
        double usual = RULER + Math.min(330, (firewallX - RULER) * 0.60);
        double first = Math.max(RULER + tankZone(), Math.min(usual, last - COLUMN * (cabin.size() - 1)));
        double start = Math.max(RULER + 90, Math.min(first, last - (tight ? TIGHT_COLUMN : LEAST_COLUMN)
                * Math.max(0.6, columns(cabin).size() - 1.0)));
        first = start;
        spread(cabin, start, last);
        system.inlet().ifPresent(i -> centres.put(i.id(), zoomX(engineX)));
        firewallX = zoomX(firewallX);
        system.all(Bulkhead.class).filter(this::inWall).forEach(b -> centres.put(b.id(), firewallX));
        placeTanks(zoomX(first));
        placeBack(back);
        system.all(VentPlenum.class).forEach(this::placePlenum);
        system.shifts().forEach(this::shift);
    }

    /** Moves an item across as its builder did, on its own side of the firewall and inside the picture; never in height. */
    private void shift(String id, double widths) {
        Double x = centres.get(id);
        if (x == null) {
            return;
        }
        Item item = system.item(id).orElseThrow();
        double[] half = item.only(Tank.class).map(t -> extent(t, 0)).orElseGet(() -> {
            double h = item.only(Fitted.class).map(Symbols::halfWidth).orElse(0.0);
            return new double[] {-h, h};
        });
        boolean bay = system.firewall().isPresent() && x > firewallX;
        boolean open = view.zoom() != 1 || view.panX() != 0;
        double least = (bay ? firewallX + 6 : open ? Double.NEGATIVE_INFINITY : RULER + 8) - half[0];
        double most = (system.firewall().isPresent() && !bay ? firewallX - 6 : open ? Double.POSITIVE_INFINITY : right() - 8) - half[1];
        centres.put(id, Math.max(Math.min(least, x), Math.min(Math.max(most, x), x + widths * view.width() * view.zoom())));
    }

    /** Whether an item sits in the firewall, and is drawn there. */
    private boolean inWall(Fitted item) {
        return item.only(Bulkhead.class).filter(b -> system.firewall().filter(w -> Math.abs(w.station().si() - b.place().point().x())
                < Firewall.IN_IT).isPresent()).isPresent();
    }

    /** Room from the firewall to the first item of the bay, px. */
    private double lead() {
        return air() ? AIR_LEAD : tight ? 46 : 62;
    }

    /** From the engine to the edge, px: the result stands over it, on the air side nothing. */
    private double engine() {
        return air() ? AIR_ENGINE : ENGINE;
    }

    /** A bay with the engine alone in it, px. */
    private double bayAlone() {
        return air() ? AIR_LEAD + AIR_TAIL + AIR_ENGINE : tight ? TIGHT_BAY : BAY;
    }

    private double apart() {
        return tight || air() ? TIGHT_APART : APART;
    }

    /** Room from the last item of the bay to the engine, px. */
    private double tail() {
        return air() ? AIR_TAIL : tight ? 90 : 110;
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
                .flatMap(i -> i.only(Fitted.class)).filter(f -> Math.abs(e.getValue() - x) < 46 && Math.abs(y(f.place().point()) - y) < 44)
                .isPresent());
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

    /** Columns with equal gaps between their symbols. */
    private void spread(List<Fitted> items, double from, double to) {
        List<List<Fitted>> columns = columns(items);
        double[] half = columns.stream().mapToDouble(c -> c.stream().mapToDouble(Symbols::halfWidth).max().orElse(0)).toArray();
        double symbols = 0;
        for (int i = 1; i < half.length; i++) {
            symbols += half[i - 1] + half[i];
        }
        double gap = half.length > 1 ? (to - from - symbols) / (half.length - 1) : 0;
        double x = from;
        for (int i = 0; i < half.length; i++) {
            x += i == 0 ? 0 : half[i - 1] + half[i] + gap;
            double at = zoomX(x);
            columns.get(i).forEach(item -> centres.put(item.id(), at));
        }
    }

    /** One item a column; where it is tight, items side by side in the flow stand over each other if their heights allow. */
    private List<List<Fitted>> columns(List<Fitted> items) {
        List<List<Fitted>> columns = new ArrayList<>();
        for (Fitted item : items) {
            List<Fitted> last = columns.isEmpty() ? null : columns.get(columns.size() - 1);
            boolean beside = tight && last != null && last.stream().allMatch(o -> rank.get(o.id()).equals(rank.get(item.id()))
                    && Math.abs(o.place().point().z() - item.place().point().z()) * scale > 32);
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
                crowded |= box[0] < rightmostOverlapping(taken, box) || air() && beside(tank) && box[1] > over - 34 + 0.5;
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

    static Point3 outletPoint(Tank tank) {
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

    /** What is drawn of a tank. */
    List<Spot> outline(Tank tank) {
        double y = sectionButtLine(tank);
        return section(tank).stream().map(p -> inTank(tank, new Point3(p.x(), y, p.z()))).toList();
    }

    /** Vents that are led across; none but on the air side. */
    List<Line> vents() {
        return air() ? Line.vents(system) : List.of();
    }

    private boolean air() {
        return view.layers().air();
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
        return item.only(Tank.class).map(tank -> inTank(tank, outletPoint(tank))).orElseGet(() -> new Spot(centres.get(item.id()), y(((Fitted) item).place()
                .point())));
    }

    // ports

    Ports.Side side(PortRef port) {
        return vents.isPresent() && VentPorts.is(port) ? vents.get().side(port) : ports.side(port);
    }

    /** Where a port is drawn, on the edge of its symbol. */
    Optional<Spot> port(PortRef port) {
        return vents.isPresent() && VentPorts.is(port) ? vents.get().at(port) : ports.at(port);
    }

    boolean upright(PortRef port) {
        Ports.Side side = side(port);
        return side == Ports.Side.TOP || side == Ports.Side.BOTTOM;
    }

    /** Where an item stands across; empty where it stands nowhere. */
    Optional<Double> across(String item) {
        return Optional.ofNullable(centres.get(item));
    }

    double zoom() {
        return view.zoom();
    }

    /** Corners of a run, orthogonal, its uprights where they cross least; measured points at their heights. */
    List<Spot> way(Run run) {
        return way(Line.of(run));
    }

    List<Spot> way(Line run) {
        if (port(run.from()).isEmpty() || port(run.to()).isEmpty()) {
            return List.of();
        }
        Router.Routed routed = routes().get(run.id());
        return routed == null ? List.of() : way(run, new Router.Routed(routed.turns().stream().map(x -> Double.isNaN(x) ? x : zoomX(x))
                .toList(), routed.lane()));
    }

    /** Whether a run lies off its height between two marks. */
    Router.Lane lane(Line run) {
        return Optional.ofNullable(routes().get(run.id())).map(Router.Routed::lane).orElse(Router.Lane.NONE);
    }

    /** With its uprights at these places; one that is not a number stands at the port. */
    List<Spot> way(Line run, Router.Routed routed) {
        Spot start = port(run.from()).orElseThrow();
        Spot end = port(run.to()).orElseThrow();
        List<Double> levels = levels(run, routed.lane());
        List<Spot> spots = new ArrayList<>(List.of(start));
        // zoomed in, a tank may stand so that a port is met from another side: then half way
        boolean fits = routed.turns().size() == levels.size() - 1;
        for (int i = 1; i < levels.size(); i++) {
            double x = fits ? routed.turns().get(i - 1) : i == 1 && upright(run.from()) || i == levels.size() - 1 && upright(run.to())
                    ? Double.NaN : (start.x() + end.x()) / 2;
            double turn = !Double.isNaN(x) ? x : i == 1 && upright(run.from()) ? start.x() : end.x();
            spots.add(new Spot(turn, levels.get(i - 1)));
            spots.add(new Spot(turn, levels.get(i)));
        }
        spots.add(end);
        List<Spot> way = tidy(spots);
        // where two ports all but touch, the run between them is still there
        return way.size() < 2 ? List.of(start, end) : way;
    }

    /** The heights a run lies at one after the other, y: of its ends, its measured points, and a passing lane if it takes one. */
    List<Double> levels(Line run, Router.Lane lane) {
        double from = port(run.from()).orElseThrow().y();
        double to = port(run.to()).orElseThrow().y();
        List<Double> levels = new ArrayList<>(List.of(from));
        run.points().forEach(p -> levels.add(y(p)));
        if (run.vent() && (levels.size() > 1 ? levels.get(1) : to) > from - OUT_OF_ROOF) {
            // it leaves the roof upwards, whatever comes after
            levels.add(1, from - OUT_OF_ROOF);
        }
        boolean bothUpright = run.points().isEmpty() && upright(run.from()) && upright(run.to());
        if (lane.taken()) {
            boolean under = lane.off() > 0;
            double off = lane.off() + system.item(lane.item()).flatMap(i -> i.only(Fitted.class)).filter(i -> placed(i.id())).map(this::body).map(b ->
                    under ? b[3] : b[1]).orElse(under ? Math.max(from, to) : Math.min(from, to));
            levels.add(Math.max(8, Math.min(view.height() - 10, off)));
        } else if (bothUpright) {
            Ports.Side a = side(run.from());
            Ports.Side b = side(run.to());
            levels.add(a != b ? (from + to) / 2 : a == Ports.Side.BOTTOM ? Math.max(from, to) + 18 * view.zoom() : Math.min(from, to) - 18
                    * view.zoom());
        }
        levels.add(to);
        return levels;
    }

    private Map<String, Router.Routed> routes() {
        if (routes == null) {
            routes = Routes.of(subject, view);
        }
        return routes;
    }

    /** Left, top, right, bottom of a symbol. */
    double[] body(Fitted item) {
        Spot c = centre(item);
        double w = Symbols.halfWidth(item);
        double up = item.only(Header.class).map(h -> h.height().si() * scale).orElse(Symbols.halfHeight(item));
        return new double[] {c.x() - w, c.y() - up, c.x() + w, c.y() + Symbols.depth(item)};
    }

    /** Left, right, top, bottom of a tank as it lies now. */
    double[] box(Tank tank) {
        double[] box = {Double.MAX_VALUE, -Double.MAX_VALUE, Double.MAX_VALUE, -Double.MAX_VALUE};
        for (Point2 p : section(tank)) {
            Spot s = inTank(tank, new Point3(p.x(), sectionButtLine(tank), p.z()));
            box[0] = Math.min(box[0], s.x());
            box[1] = Math.max(box[1], s.x());
            box[2] = Math.min(box[2], s.y());
            box[3] = Math.max(box[3], s.y());
        }
        return box;
    }

    double right() {
        return view.width() - (air() ? AIR_EDGE : RULER);
    }

    /** Top of the result at the engine: over the inlet where there is room, else under everything forward of the wall. */
    double engineTop() {
        boolean back = system.inlet().filter(EngineInlet::returns).isPresent();
        double over = y(0) - (back ? 266 : 232);
        if (over >= 34) {
            return over;
        }
        double lowest = system.all(Fitted.class).filter(i -> centre(i).x() > firewallX).mapToDouble(i -> centre(i).y()).max().orElse(y(
                0));
        double under = Math.max(lowest, y(0)) + 96;
        return under + RESULT < view.height() ? under : Math.max(34, Math.min(over, view.height() - RESULT));
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
