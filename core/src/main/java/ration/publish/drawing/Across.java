package ration.publish.drawing;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import ration.aircraft.condition.Attitude;
import ration.aircraft.model.Bulkhead;
import ration.aircraft.model.EngineInlet;
import ration.aircraft.model.Firewall;
import ration.aircraft.model.Fitted;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Item;
import ration.aircraft.model.Tank;
import ration.aircraft.model.VentLine;
import ration.aircraft.model.VentPlenum;
import ration.aircraft.topology.Topology;
import ration.base.geometry.Point2;
import ration.base.geometry.Point3;
import ration.publish.drawing.Mark.Spot;

/**
 * Where everything stands across: an order from tanks to engine, tanks side by side, what returns between what it
 * joins.
 */
final class Across {

    private static final double BAY = 226;
    private static final double TIGHT_BAY = 200;
    /** From the engine to the right end; between two items of the bay, px. */
    private static final double ENGINE = 109;

    private static final double APART = 66;
    private static final double TIGHT_APART = 52;
    /**
     * The bay of the air side, which has no result in it: from the wall, to the engine, from there to the edge of the
     * picture, px.
     */
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

    private final SchematicSubject subject;
    private final SchematicView view;
    private final FuelSystem system;
    private final Topology topology;
    private final Heights heights;
    private final Map<String, Double> centres = new LinkedHashMap<>();
    /** Steps from the tanks by the longest way. */
    private final Map<String, Integer> rank;
    /** Where even narrow tanks find no room: everything else moves closer together. */
    private final boolean tight;
    /** Tanks drawn narrower than they are long, where several would not fit side by side; heights stay true. */
    private final double squeeze;

    private double firewallX;
    private boolean crowded;

    private Across(SchematicSubject subject, SchematicView view, Heights heights, double squeeze, boolean tight) {
        this.subject = subject;
        this.view = view;
        this.system = subject.system();
        this.topology = Topology.of(system);
        this.rank = topology.ranks();
        this.heights = heights;
        this.squeeze = squeeze;
        this.tight = tight;
        place();
    }

    /** Tanks are drawn narrower until there is room, then all moves closer together, then the heights give way. */
    static Across fitted(SchematicSubject subject, SchematicView view) {
        double squeeze = 1 / 0.88;
        boolean tight = false;
        double share = 1;
        Across found;
        do {
            if (squeeze > (tight ? LEAST_SQUEEZE_TIGHT : LEAST_SQUEEZE)) {
                squeeze *= 0.88;
            } else if (!tight) {
                tight = true;
            } else {
                share *= 0.92;
            }
            found = new Across(subject, view, new Heights(subject, view, share), squeeze, tight);
        } while (found.crowded && share > LEAST_SHARE);
        return found;
    }

    Heights heights() {
        return heights;
    }

    double firewallX() {
        return firewallX;
    }

    /** Where an item stands; empty where it stands nowhere. */
    Optional<Double> at(String item) {
        return Optional.ofNullable(centres.get(item));
    }

    double right() {
        return view.width() - (air() ? AIR_EDGE : Arrangement.RULER);
    }

    private boolean air() {
        return view.layers().air();
    }

    private double y(Point3 p) {
        return heights.y(heights.height(p));
    }

    /** Where a point of a tank is drawn; nose to the right. */
    Spot inTank(Tank tank, Point3 p) {
        Point3 origin = Arrangement.outletPoint(tank);
        return new Spot(
                centres.get(tank.id())
                        - aft(subject.condition().attitude(), p.minus(origin)) * heights.scale() * squeeze,
                y(p));
    }

    private void place() {
        Optional<Firewall> wall = system.firewall();
        Set<String> back = topology.returning();
        List<Fitted> order = inOrder().stream()
                .filter(i -> !back.contains(i.id()) && i.only(VentPlenum.class).isEmpty() && !inWall(i))
                .toList();
        List<Fitted> bay = order.stream()
                .filter(i -> wall.isPresent() && engineSide(i, wall.get()) > 0)
                .filter(i -> i.only(EngineInlet.class).isEmpty())
                .toList();
        List<Fitted> cabin = order.stream()
                .filter(i -> !bay.contains(i))
                .filter(i -> i.only(EngineInlet.class).isEmpty())
                .toList();
        double right = right();
        firewallX = right - (bay.isEmpty() ? bayAlone() : engine() + lead() + tail() + apart() * (bay.size() - 1));
        double engineX = right - engine();
        spread(bay, firewallX + lead(), Math.max(firewallX + lead(), engineX - tail()));
        double last = firewallX - 84;
        double usual = Arrangement.RULER + Math.min(330, (firewallX - Arrangement.RULER) * 0.60);
        double first = Math.max(Arrangement.RULER + tankZone(), Math.min(usual, last - COLUMN * (cabin.size() - 1)));
        double start = Math.max(
                Arrangement.RULER + 90,
                Math.min(
                        first,
                        last
                                - (tight ? TIGHT_COLUMN : LEAST_COLUMN)
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

    /**
     * Moves an item across as its builder did, on its own side of the firewall and inside the picture; never in height.
     */
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
        double least = (bay ? firewallX + 6 : open ? Double.NEGATIVE_INFINITY : Arrangement.RULER + 8) - half[0];
        double most =
                (system.firewall().isPresent() && !bay ? firewallX - 6 : open ? Double.POSITIVE_INFINITY : right() - 8)
                        - half[1];
        centres.put(
                id, Math.max(Math.min(least, x), Math.min(Math.max(most, x), x + widths * view.width() * view.zoom())));
    }

    /** Whether an item sits in the firewall, and is drawn there. */
    private boolean inWall(Fitted item) {
        return item.only(Bulkhead.class)
                .filter(b -> system.firewall()
                        .filter(w ->
                                Math.abs(w.station().si() - b.place().point().x()) < Firewall.IN_IT)
                        .isPresent())
                .isPresent();
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
        double x = Arrangement.RULER + 60;
        for (Tank tank : system.tanks()) {
            if (tank.fitout()
                    .vent()
                    .flatMap(VentLine::to)
                    .filter(plenum.id()::equals)
                    .isPresent()) {
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
                .flatMap(i -> i.only(Fitted.class))
                .filter(f ->
                        Math.abs(e.getValue() - x) < 46 && Math.abs(y(f.place().point()) - y) < 44)
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
        return Heights.attitudes(subject).stream().anyMatch(a -> {
            double itemTop = a.gravity().height(item.place().point()) * heights.scale() + 26;
            return Arrangement.section(tank).stream()
                    .anyMatch(p -> a.gravity().height(new Point3(p.x(), Arrangement.sectionButtLine(tank), p.z()))
                                    * heights.scale()
                            < itemTop);
        });
    }

    /** Columns with equal gaps between their symbols. */
    private void spread(List<Fitted> items, double from, double to) {
        List<List<Fitted>> columns = columns(items);
        double[] half = columns.stream()
                .mapToDouble(
                        c -> c.stream().mapToDouble(Symbols::halfWidth).max().orElse(0))
                .toArray();
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

    /**
     * One item a column; where it is tight, items side by side in the flow stand over each other if their heights
     * allow.
     */
    private List<List<Fitted>> columns(List<Fitted> items) {
        List<List<Fitted>> columns = new ArrayList<>();
        for (Fitted item : items) {
            List<Fitted> last = columns.isEmpty() ? null : columns.get(columns.size() - 1);
            boolean beside = tight
                    && last != null
                    && last.stream()
                            .allMatch(o -> rank.get(o.id()).equals(rank.get(item.id()))
                                    && Math.abs(o.place().point().z()
                                                            - item.place()
                                                                    .point()
                                                                    .z())
                                                    * heights.scale()
                                            > 32);
            if (beside) {
                last.add(item);
            } else {
                columns.add(new ArrayList<>(List.of(item)));
            }
        }
        return columns;
    }

    double zoomX(double x) {
        return view.width() / 2 + (x - view.width() / 2) * view.zoom() + view.panX();
    }

    private double engineSide(Fitted item, Firewall wall) {
        double engine = heights.reference().x() - wall.station().si();
        return (item.place().point().x() - wall.station().si()) * Math.signum(engine);
    }

    /** Items from tanks to engine. */
    private List<Fitted> inOrder() {
        return system.all(Fitted.class)
                .sorted(Comparator.comparing((Fitted i) -> rank.get(i.id())))
                .toList();
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
                if (box[0] < other[1] + 16
                        && other[0] < box[1] + 16
                        && box[2] < other[3] + 10
                        && other[2] < box[3] + 10) {
                    x -= box[1] + 24 - other[0];
                    box = extent(tank, x);
                }
            }
            double spill = Arrangement.RULER + 14 - box[0];
            double clear = rightmost(taken, box) + 24 - box[0];
            if (spill > 0 && clear > 0 && !beside(tank) && box[1] + clear < firewallX - 12) {
                x += clear;
                box = extent(tank, x);
                spill = 0;
            }
            if (spill > 0 && view.zoom() == 1 && view.panX() == 0) {
                x += spill;
                box = extent(tank, x);
                crowded |=
                        box[0] < rightmostOverlapping(taken, box) || air() && beside(tank) && box[1] > over - 34 + 0.5;
            }
            taken.add(box);
            centres.put(tank.id(), x);
            step++;
        }
    }

    /** Right edge of the tanks already placed at a box's height. */
    private static double rightmost(List<double[]> taken, double[] box) {
        return taken.stream()
                .filter(o -> box[2] < o[3] + 10 && o[2] < box[3] + 10)
                .mapToDouble(o -> o[1])
                .max()
                .orElse(Double.NEGATIVE_INFINITY);
    }

    /** Right edge of the tanks a box lies over, or less than any edge when it lies over none. */
    private static double rightmostOverlapping(List<double[]> taken, double[] box) {
        return rightmost(taken.stream().filter(o -> o[0] < box[1]).toList(), box);
    }

    private double outletHeightLevel(Tank tank) {
        return tank.outlets().isEmpty()
                ? 0
                : tank.outlets().get(0).place().point().z();
    }

    /** Left, right, top, bottom of a tank over every preset, so that tilting moves no tank sideways. */
    private double[] extent(Tank tank, double outletX) {
        double[] box = {Double.MAX_VALUE, -Double.MAX_VALUE, Double.MAX_VALUE, -Double.MAX_VALUE};
        Point3 origin = Arrangement.outletPoint(tank);
        for (Attitude a : Heights.attitudes(subject)) {
            for (Point2 p : Arrangement.section(tank)) {
                Point3 at = new Point3(p.x(), Arrangement.sectionButtLine(tank), p.z());
                double x = outletX - aft(a, at.minus(origin)) * heights.scale() * squeeze;
                double y = heights.y(a, at);
                box[0] = Math.min(box[0], x);
                box[1] = Math.max(box[1], x);
                box[2] = Math.min(box[2], y);
                box[3] = Math.max(box[3], y);
            }
        }
        return box;
    }

    /** How far aft a displacement leads, seen level, m. */
    private static double aft(Attitude a, Point3 d) {
        return d.x() * Math.cos(a.pitchRad()) + d.z() * Math.sin(a.pitchRad());
    }
}
