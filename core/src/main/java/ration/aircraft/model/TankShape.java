package ration.aircraft.model;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.operation.valid.IsSimpleOp;
import ration.base.geometry.Point2;
import ration.base.geometry.Point3;
import ration.base.geometry.Solid;
import ration.base.quantity.Measured;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;

/** The inside of a tank, in aircraft axes. */
public sealed interface TankShape {

    /** What is answered of each kind of shape. */
    <R> R as(
            Function<Box, R> box,
            Function<Prism, R> prism,
            Function<Cylinder, R> cylinder,
            Function<Sections, R> sections);

    /** Itself if it is of one kind: for a question that concerns no other. */
    default <T extends TankShape> Optional<T> only(Class<T> kind) {
        return kind.isInstance(this) ? Optional.of(kind.cast(this)) : Optional.empty();
    }

    /** The closed solid; throws IllegalArgumentException with the reason where the measures do not close one. */
    Solid solid();

    /** The side section or outline, station and water line, metres. */
    List<Point2> section();

    /** Butt line of the left and right wall, metres. */
    double left();

    double right();

    /** The same shape higher by so much, m. */
    TankShape raised(double metres);

    /** The direction a shape runs along. */
    enum Along {
        STATION("nose to tail"),
        BUTT_LINE("left to right"),
        WATER_LINE("upright");

        private final String label;

        Along(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }

        /** Unit vector. */
        public Point3 axis() {
            return new Point3(this == STATION ? 1 : 0, this == BUTT_LINE ? 1 : 0, this == WATER_LINE ? 1 : 0);
        }
    }

    /**
     * A rectangular box.
     *
     * @param corner its lower, forward, left corner
     */
    record Box(Place corner, Measured length, Measured width, Measured height) implements TankShape {
        @Override
        public <R> R as(
                Function<Box, R> box,
                Function<Prism, R> prism,
                Function<Cylinder, R> cylinder,
                Function<Sections, R> sections) {
            return box.apply(this);
        }

        @Override
        public Solid solid() {
            return Solid.prism(section(), left(), right());
        }

        @Override
        public List<Point2> section() {
            double x = corner.station().si();
            double z = corner.waterLine().si();
            return List.of(
                    new Point2(x, z),
                    new Point2(x + length.si(), z),
                    new Point2(x + length.si(), z + height.si()),
                    new Point2(x, z + height.si()));
        }

        @Override
        public double left() {
            return corner.buttLine().si();
        }

        @Override
        public double right() {
            return left() + width.si();
        }

        @Override
        public TankShape raised(double metres) {
            return new Box(corner.raised(metres), length, width, height);
        }
    }

    /** A side section drawn straight across from one butt line to another. */
    record Prism(List<Corner> corners, Measured leftWall, Measured rightWall) implements TankShape {
        @Override
        public <R> R as(
                Function<Box, R> box,
                Function<Prism, R> prism,
                Function<Cylinder, R> cylinder,
                Function<Sections, R> sections) {
            return prism.apply(this);
        }

        public Prism {
            corners = List.copyOf(corners);
        }

        @Override
        public Solid solid() {
            checkSimple("The section", section());
            return Solid.prism(section(), left(), right());
        }

        @Override
        public List<Point2> section() {
            return corners.stream()
                    .map(c -> new Point2(c.station().si(), c.waterLine().si()))
                    .toList();
        }

        @Override
        public double left() {
            return leftWall.si();
        }

        @Override
        public double right() {
            return rightWall.si();
        }

        @Override
        public TankShape raised(double metres) {
            return new Prism(
                    corners.stream()
                            .map(c -> new Corner(c.station, c.waterLine.plus(metres)))
                            .toList(),
                    leftWall,
                    rightWall);
        }
    }

    /** A corner of a section as measured. */
    record Corner(Measured station, Measured waterLine) {}

    /**
     * A round cylinder.
     *
     * @param from middle of its end that lies forward, left or low
     * @param along which way it lies
     */
    record Cylinder(Place from, Along along, Measured length, Measured diameter) implements TankShape {
        @Override
        public <R> R as(
                Function<Box, R> box,
                Function<Prism, R> prism,
                Function<Cylinder, R> cylinder,
                Function<Sections, R> sections) {
            return cylinder.apply(this);
        }

        @Override
        public Solid solid() {
            return Solid.cylinder(from.point(), from.point().plus(along.axis().times(length.si())), diameter.si() / 2);
        }

        @Override
        public List<Point2> section() {
            if (along == Along.BUTT_LINE) {
                List<Point2> round = new ArrayList<>();
                for (int i = 0; i < 24; i++) {
                    double a = 2 * Math.PI * i / 24;
                    round.add(new Point2(
                            from.station().si() + diameter.si() / 2 * Math.cos(a),
                            from.waterLine().si() + diameter.si() / 2 * Math.sin(a)));
                }
                return round;
            }
            double x = from.station().si();
            double z = from.waterLine().si();
            double r = diameter.si() / 2;
            double l = length.si();
            return along == Along.STATION
                    ? List.of(
                            new Point2(x, z - r),
                            new Point2(x + l, z - r),
                            new Point2(x + l, z + r),
                            new Point2(x, z + r))
                    : List.of(
                            new Point2(x - r, z),
                            new Point2(x + r, z),
                            new Point2(x + r, z + l),
                            new Point2(x - r, z + l));
        }

        @Override
        public double left() {
            return from.buttLine().si() - (along == Along.BUTT_LINE ? 0 : diameter.si() / 2);
        }

        @Override
        public double right() {
            return from.buttLine().si() + (along == Along.BUTT_LINE ? length.si() : diameter.si() / 2);
        }

        @Override
        public TankShape raised(double metres) {
            return new Cylinder(from.raised(metres), along, length, diameter);
        }
    }

    /**
     * Skins over sections: across the span (each at a butt line, points by station and water line) or along the hull
     * (each at a station, points by butt line and water line).
     *
     * @param along BUTT_LINE or STATION
     */
    record Sections(Along along, List<Section> sections) implements TankShape {
        @Override
        public <R> R as(
                Function<Box, R> box,
                Function<Prism, R> prism,
                Function<Cylinder, R> cylinder,
                Function<Sections, R> sections) {
            return sections.apply(this);
        }

        public Sections {
            sections = List.copyOf(sections);
        }

        @Override
        public Solid solid() {
            if (sections.size() < 2) {
                throw new IllegalArgumentException("A tank needs two sections or more; give one at each end.");
            }
            double before = Double.NEGATIVE_INFINITY;
            for (int i = 0; i < sections.size(); i++) {
                Section s = sections.get(i);
                String who = "Section " + (i + 1) + " at " + s.at.quantity().shown();
                if (s.points.size() < 3) {
                    throw new IllegalArgumentException(
                            who + " has " + s.points.size() + " points; three or more close an outline.");
                }
                if (!(s.at.si() > before + 1e-6)) {
                    throw new IllegalArgumentException(who + " does not lie beyond the one before it: give sections in"
                            + " order, " + along.label + ".");
                }
                before = s.at.si();
                checkSimple(who, s.outline());
            }
            return Solid.loft(rings());
        }

        private List<List<Point3>> rings() {
            List<List<Point3>> rings = new ArrayList<>();
            for (Section s : sections) {
                rings.add(s.outline().stream()
                        .map(p -> along == Along.BUTT_LINE
                                ? new Point3(p.x(), s.at.si(), p.z())
                                : new Point3(s.at.si(), p.x(), p.z()))
                        .toList());
            }
            return rings;
        }

        @Override
        public List<Point2> section() {
            Coordinate[] all = rings().stream()
                    .flatMap(List::stream)
                    .map(p -> new Coordinate(p.x(), p.z()))
                    .toArray(Coordinate[]::new);
            Coordinate[] hull = new GeometryFactory()
                    .createMultiPointFromCoords(all)
                    .convexHull()
                    .getCoordinates();
            List<Point2> outline = new ArrayList<>();
            for (int i = 0; i + 1 < hull.length; i++) {
                outline.add(new Point2(hull[i].x, hull[i].y));
            }
            return outline;
        }

        @Override
        public double left() {
            return rings().stream()
                    .flatMap(List::stream)
                    .mapToDouble(Point3::y)
                    .min()
                    .orElse(0);
        }

        @Override
        public double right() {
            return rings().stream()
                    .flatMap(List::stream)
                    .mapToDouble(Point3::y)
                    .max()
                    .orElse(0);
        }

        @Override
        public TankShape raised(double metres) {
            return new Sections(
                    along,
                    sections.stream()
                            .map(s -> new Section(
                                    s.at,
                                    s.points.stream()
                                            .map(p -> new SectionPoint(p.across, p.waterLine.plus(metres)))
                                            .toList()))
                            .toList());
        }
    }

    /**
     * One section.
     *
     * @param at butt line or station of its plane
     * @param points in order round it
     */
    record Section(Measured at, List<SectionPoint> points) {
        public Section {
            points = List.copyOf(points);
        }

        List<Point2> outline() {
            return points.stream()
                    .map(p -> new Point2(p.across.si(), p.waterLine.si()))
                    .toList();
        }
    }

    /** A point of a section: station or butt line, whichever lies in its plane, and water line. */
    record SectionPoint(Measured across, Measured waterLine) {}

    private static void checkSimple(String who, List<Point2> outline) {
        if (outline.size() < 3) {
            return;
        }
        Coordinate[] ring = new Coordinate[outline.size() + 1];
        for (int i = 0; i < ring.length; i++) {
            Point2 p = outline.get(i % outline.size());
            ring[i] = new Coordinate(p.x(), p.z());
        }
        Geometry line = new GeometryFactory().createLinearRing(ring);
        IsSimpleOp simple = new IsSimpleOp(line);
        if (!simple.isSimple()) {
            Coordinate c = simple.getNonSimpleLocation();
            throw new IllegalArgumentException(who + " crosses itself near " + inches(c.x) + ", WL " + inches(c.y)
                    + " in: give its points in order round the outline.");
        }
        if (Math.abs(org.locationtech.jts.algorithm.Area.ofRingSigned(ring)) < 1e-7) {
            throw new IllegalArgumentException(who + " has no area: its points lie in one line.");
        }
    }

    private static String inches(double metres) {
        return UnitSystem.figure(Unit.INCH.fromSi(metres), 1);
    }
}
