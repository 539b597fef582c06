package ration.publish.drawing;

import java.util.List;
import java.util.Optional;
import ration.aircraft.model.EngineInlet;
import ration.aircraft.model.Fitted;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Header;
import ration.aircraft.model.Item;
import ration.aircraft.model.PortRef;
import ration.aircraft.model.Run;
import ration.aircraft.model.Tank;
import ration.aircraft.topology.Topology;
import ration.base.geometry.Point2;
import ration.base.geometry.Point3;
import ration.publish.drawing.Mark.Spot;

/** Where everything stands: true heights, and an order from tanks to engine across. */
final class Arrangement {

    static final double RULER = 46;
    /** Height of the result at the engine. */
    static final double RESULT = 150;

    static final double SELECTOR_RADIUS = 18;

    private final SchematicView view;
    private final FuelSystem system;
    private final Heights heights;
    private final Across across;
    private final Ports ports;
    private final LineWays ways;
    /** On the air side; empty while they are placed themselves. */
    private Optional<VentPorts> vents = Optional.empty();

    Arrangement(SchematicSubject subject, SchematicView view) {
        this.view = view;
        system = subject.system();
        across = Across.fitted(subject, view);
        heights = across.heights();
        ways = new LineWays(this, subject, view);
        ports = new Ports(this, system, Topology.of(system));
        if (air()) {
            vents = Optional.of(new VentPorts(this, system, right()));
        }
    }

    // heights

    static List<Point2> section(Tank tank) {
        return tank.shape().section();
    }

    static double sectionButtLine(Tank tank) {
        return tank.outlets().isEmpty()
                ? (tank.shape().left() + tank.shape().right()) / 2
                : tank.outlets().get(0).place().point().y();
    }

    double scale() {
        return heights.scale();
    }

    /** y of a height over the engine inlet, m. */
    double y(double height) {
        return heights.y(height);
    }

    double heightAt(double y) {
        return heights.heightAt(y);
    }

    /** Height over the engine inlet, m, of a point in aircraft axes. */
    double height(Point3 p) {
        return heights.height(p);
    }

    double y(Point3 p) {
        return y(height(p));
    }

    /** Height of the engine inlet over the datum along up, m. */
    double referenceHeight() {
        return heights.referenceHeight();
    }

    static Point3 outletPoint(Tank tank) {
        if (tank.outlets().isEmpty()) {
            Point2 p = tank.shape().section().get(0);
            return new Point3(p.x(), sectionButtLine(tank), p.z());
        }
        return tank.outlets().get(0).place().point();
    }

    /** Where a point of a tank is drawn; nose to the right. */
    Spot inTank(Tank tank, Point3 p) {
        return across.inTank(tank, p);
    }

    /** What is drawn of a tank. */
    List<Spot> outline(Tank tank) {
        double y = sectionButtLine(tank);
        return section(tank).stream()
                .map(p -> inTank(tank, new Point3(p.x(), y, p.z())))
                .toList();
    }

    /** Vents that are led across; none but on the air side. */
    List<Line> vents() {
        return air() ? Line.vents(system) : List.of();
    }

    private boolean air() {
        return view.layers().air();
    }

    double firewallX() {
        return across.firewallX();
    }

    /** Whether there is too much in the picture to write everything beside it. */
    boolean busy() {
        return system.runs().size() > 7;
    }

    boolean placed(String item) {
        return across.at(item).isPresent();
    }

    /** Centre of an item's symbol; for a tank its first outlet. */
    Spot centre(Item item) {
        return item.only(Tank.class)
                .map(tank -> inTank(tank, outletPoint(tank)))
                .orElseGet(() -> new Spot(
                        across.at(item.id()).orElseThrow(),
                        y(((Fitted) item).place().point())));
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
        return across.at(item);
    }

    double zoomX(double x) {
        return across.zoomX(x);
    }

    double zoom() {
        return view.zoom();
    }

    /** Corners of a run, orthogonal, its uprights where they cross least; measured points at their heights. */
    List<Spot> way(Run run) {
        return way(Line.of(run));
    }

    List<Spot> way(Line run) {
        return ways.way(run);
    }

    /** Whether a run lies off its height between two marks. */
    Router.Lane lane(Line run) {
        return ways.lane(run);
    }

    /** With its uprights at these places; one that is not a number stands at the port. */
    List<Spot> way(Line run, Router.Routed routed) {
        return ways.way(run, routed);
    }

    /** The heights a run lies at one after the other, y. */
    List<Double> levels(Line run, Router.Lane lane) {
        return ways.levels(run, lane);
    }

    /** Left, top, right, bottom of a symbol. */
    double[] body(Fitted item) {
        Spot c = centre(item);
        double w = Symbols.halfWidth(item);
        double up = item.only(Header.class)
                .map(h -> h.height().si() * heights.scale())
                .orElse(Symbols.halfHeight(item));
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
        return across.right();
    }

    /**
     * Top of the result at the engine: over the inlet where there is room, else under everything forward of the wall.
     */
    double engineTop() {
        boolean back = system.inlet().filter(EngineInlet::returns).isPresent();
        double over = y(0) - (back ? 266 : 232);
        if (over >= 34) {
            return over;
        }
        double lowest = system.all(Fitted.class)
                .filter(i -> centre(i).x() > firewallX())
                .mapToDouble(i -> centre(i).y())
                .max()
                .orElse(y(0));
        double under = Math.max(lowest, y(0)) + 96;
        return under + RESULT < view.height() ? under : Math.max(34, Math.min(over, view.height() - RESULT));
    }
}
