package ration.record.project;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import ration.aircraft.model.Fitout;
import ration.aircraft.model.Outlet;
import ration.aircraft.model.Place;
import ration.aircraft.model.Tank;
import ration.aircraft.model.TankShape;
import ration.aircraft.model.TankShape.Section;
import ration.aircraft.model.TankShape.SectionPoint;
import ration.base.geometry.Point3;
import ration.base.geometry.Solid;
import ration.base.quantity.Measured;
import ration.base.quantity.Quantity;
import ration.base.quantity.Unit;

/** Tanks people build, made from a few measurements. */
public enum ShapePattern {
    /** A box. */
    BOX(
            "Box",
            m("Front, station", 40),
            m("Floor, water line", 60),
            m("Middle, butt line", 0),
            m("Length", 20),
            m("Width", 20),
            m("Height", 8)),
    /** A bay of the wing between two ribs: swept, tapered, rising outwards. */
    WING_BAY(
            "Wing bay between ribs",
            m("Inner rib, butt line", 20),
            m("Outer rib, butt line", 50),
            m("Front spar, station at the inner rib", 80),
            m("Rear spar, station at the inner rib", 110),
            m("Floor at the front spar, inner", 22),
            m("Depth at the front spar, inner", 6.5),
            m("Depth at the rear spar, inner", 7),
            m("Upper skin camber", 1),
            a("Dihedral", 4),
            a("Incidence, nose up", 0),
            a("Sweep of the front spar", 0),
            n("Taper ratio (outer ÷ inner chord and depth)", 1)),
    /** Between a firewall and a bulkhead, floor falling to the rear. */
    SLOPED_FLOOR(
            "Fuselage tank with sloped floor",
            m("Front, station", 43),
            m("Rear, station", 61),
            m("Floor at the front, water line", 60),
            m("Floor at the rear, water line", 56.5),
            m("Top, water line", 75),
            m("Width at the top", 13),
            m("Width at the floor", 11),
            m("Middle, butt line", 0)),
    /** A drum lying across or along. */
    DRUM_ACROSS(
            "Drum lying across",
            m("Middle of the left end, station", 50),
            m("Middle of the left end, butt line", -15),
            m("Middle of the left end, water line", 70),
            m("Length", 30),
            m("Diameter", 14)),
    /** Along the hull. */
    DRUM_ALONG(
            "Drum lying along",
            m("Middle of the front end, station", 45),
            m("Middle of the front end, butt line", 0),
            m("Middle of the front end, water line", 66),
            m("Length", 26),
            m("Diameter", 13)),
    /** On end. */
    DRUM_UPRIGHT(
            "Drum on end",
            m("Middle of the floor, station", 52),
            m("Middle of the floor, butt line", 0),
            m("Floor, water line", 58),
            m("Height", 18),
            m("Diameter", 14));

    private static final String BY = "estimate";

    private final String label;
    private final List<Measure> measures;

    ShapePattern(String label, Measure... measures) {
        this.label = label;
        this.measures = List.of(measures);
    }

    /**
     * A figure that is asked for.
     *
     * @param label what to measure
     * @param unit meant when none is written
     * @param usual a starting value in that unit
     */
    public record Measure(String label, Unit unit, double usual) {}

    private static Measure m(String label, double inches) {
        return new Measure(label, Unit.INCH, inches);
    }

    private static Measure a(String label, double degrees) {
        return new Measure(label, Unit.DEGREE, degrees);
    }

    private static Measure n(String label, double ratio) {
        return new Measure(label, Unit.ONE, ratio);
    }

    public String label() {
        return label;
    }

    public List<Measure> measures() {
        return measures;
    }

    /**
     * The shape of these figures, one each in the order asked.
     *
     * @throws IllegalArgumentException with a sentence where they close no tank
     */
    public TankShape shape(List<Measured> v) {
        TankShape shape =
                switch (this) {
                    case BOX ->
                        new TankShape.Box(
                                new Place(
                                        v.get(0),
                                        inches(v.get(2).si() - v.get(4).si() / 2),
                                        v.get(1)),
                                v.get(3),
                                v.get(4),
                                v.get(5));
                    case WING_BAY -> wing(v);
                    case SLOPED_FLOOR -> hull(v);
                    case DRUM_ACROSS ->
                        new TankShape.Cylinder(
                                new Place(v.get(0), v.get(1), v.get(2)), TankShape.Along.BUTT_LINE, v.get(3), v.get(4));
                    case DRUM_ALONG ->
                        new TankShape.Cylinder(
                                new Place(v.get(0), v.get(1), v.get(2)), TankShape.Along.STATION, v.get(3), v.get(4));
                    case DRUM_UPRIGHT ->
                        new TankShape.Cylinder(
                                new Place(v.get(0), v.get(1), v.get(2)),
                                TankShape.Along.WATER_LINE,
                                v.get(3),
                                v.get(4));
                };
        shape.solid();
        return shape;
    }

    private static TankShape wing(List<Measured> v) {
        double inner = v.get(0).si();
        double outer = v.get(1).si();
        double span = Math.abs(outer) - Math.abs(inner);
        double taper = v.get(11).si();
        if (!(span > 0) || Math.signum(inner) * Math.signum(outer) < 0 || !(taper > 0.05 && taper < 4)) {
            throw new IllegalArgumentException(
                    "The outer rib lies beyond the inner one, on the same side; the outer chord is"
                            + " 0.05 to 4 times the inner.");
        }
        List<Section> sections = new ArrayList<>();
        for (double bl : new double[] {inner, outer}) {
            boolean out = bl == outer;
            double k = out ? taper : 1;
            double front = v.get(2).si() + (out ? span * Math.tan(v.get(10).si()) : 0);
            double chord = (v.get(3).si() - v.get(2).si()) * k;
            double floor = v.get(4).si() + (out ? span * Math.tan(v.get(8).si()) : 0);
            double fall = chord * Math.tan(v.get(9).si());
            sections.add(new Section(
                    inches(bl),
                    List.of(
                            point(front, floor),
                            point(front + chord, floor - fall),
                            point(front + chord, floor - fall + v.get(6).si() * k),
                            point(
                                    front + 0.4 * chord,
                                    floor
                                            - 0.4 * fall
                                            + (0.6 * v.get(5).si()
                                                            + 0.4 * v.get(6).si()
                                                            + v.get(7).si())
                                                    * k),
                            point(front, floor + v.get(5).si() * k))));
        }
        sections.sort(java.util.Comparator.comparingDouble(s -> s.at().si()));
        return new TankShape.Sections(TankShape.Along.BUTT_LINE, sections);
    }

    private static TankShape hull(List<Measured> v) {
        List<Section> sections = new ArrayList<>();
        double middle = v.get(7).si();
        double top = v.get(5).si() / 2;
        double foot = v.get(6).si() / 2;
        for (int end = 0; end < 2; end++) {
            double floor = v.get(2 + end).si();
            sections.add(new Section(
                    v.get(end),
                    List.of(
                            point(middle - foot, floor),
                            point(middle + foot, floor),
                            point(middle + top, v.get(4).si()),
                            point(middle - top, v.get(4).si()))));
        }
        return new TankShape.Sections(TankShape.Along.STATION, sections);
    }

    private static SectionPoint point(double across, double waterLine) {
        return new SectionPoint(inches(across), inches(waterLine));
    }

    private static Measured inches(double metres) {
        return new Measured(Quantity.of(Math.round(Unit.INCH.fromSi(metres) * 100) / 100.0, Unit.INCH), BY);
    }

    /**
     * A tank in another shape: outlets that no longer stand over its floor go to the nearest place that does, wells,
     * ribs, filler and gauge of the old shape go, vent and drain stay where they were measured.
     */
    public static Tank reshaped(Tank tank, TankShape shape) {
        Solid solid = shape.solid();
        List<Outlet> outlets = new ArrayList<>();
        for (Outlet o : tank.outlets()) {
            Point3 p = o.place().point();
            OptionalDouble floor = solid.floorAt(p.x(), p.y());
            if (floor.isPresent() && Math.abs(floor.getAsDouble() - p.z()) < Unit.INCH.toSi(2)) {
                outlets.add(o);
                continue;
            }
            Point3 middle = middle(solid);
            double x = floor.isPresent() ? p.x() : middle.x();
            double y = floor.isPresent() ? p.y() : middle.y();
            outlets.add(
                    o.at(Place.estimated(new Point3(x, y, solid.floorAt(x, y).orElse(middle.z())))));
        }
        return tank.withShape(shape)
                .withOutlets(outlets)
                .with(Fitout.NONE.withPublished(tank.fitout().published()));
    }

    private static Point3 middle(Solid solid) {
        Point3 x = new Point3(1, 0, 0);
        Point3 y = new Point3(0, 1, 0);
        Point3 z = new Point3(0, 0, 1);
        return new Point3(
                (solid.lowest(x) + solid.highest(x)) / 2, (solid.lowest(y) + solid.highest(y)) / 2, solid.lowest(z));
    }
}
