package ration.model;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import ration.geometry.Point3;

/** Anything in the fuel system that can be picked, named and measured. */
public sealed interface Item {

    /** The port a two-port item takes fuel in at. */
    String IN = "in";
    /** The port a two-port item gives fuel out at. */
    String OUT = "out";

    /** Unique in the system; letters, digits and dashes. */
    String id();

    /** What people call it. */
    String name();

    /** The kind in trade terms. */
    String kind();

    /** The same item under another name. */
    Item renamed(String name);

    /** Names of its ports, upstream first; runs have none. */
    default List<String> ports() {
        return List.of(IN, OUT);
    }

    /** An item that sits in one place with its ports. */
    sealed interface Fitted extends Item {
        Tag tag();

        /** The same item elsewhere or renamed. */
        Fitted with(Tag tag);

        @Override
        default String id() {
            return tag().id();
        }

        @Override
        default String name() {
            return tag().name();
        }

        @Override
        default Fitted renamed(String name) {
            return with(new Tag(id(), name, tag().place()));
        }

        default Place place() {
            return tag().place();
        }
    }

    /** Id, name and place of a fitted item. */
    record Tag(String id, String name, Place place) {
        public Tag {
            Objects.requireNonNull(id, "id");
            Objects.requireNonNull(name, "name");
            Objects.requireNonNull(place, "place");
        }
    }

    /**
     * A tank.
     *
     * @param outlets  at least one for a tank that feeds
     * @param vent     tip of its vent line
     * @param drain    its sump drain
     * @param unusable the placard's unusable fuel
     */
    record Tank(String id, String name, TankShape shape, List<Outlet> outlets, Optional<Place> vent,
            Optional<Place> drain, Measured unusable) implements Item {
        public Tank {
            outlets = List.copyOf(outlets);
        }

        @Override
        public String kind() {
            return "Tank";
        }

        @Override
        public Tank renamed(String other) {
            return new Tank(id, other, shape, outlets, vent, drain, unusable);
        }

        @Override
        public List<String> ports() {
            return outlets.stream().map(Outlet::name).toList();
        }

        public Optional<Outlet> outlet(String port) {
            return outlets.stream().filter(o -> o.name().equals(port)).findFirst();
        }

        public Tank withShape(TankShape other) {
            return new Tank(id, name, other, outlets, vent, drain, unusable);
        }

        public Tank withOutlets(List<Outlet> other) {
            return new Tank(id, name, shape, other, vent, drain, unusable);
        }

        public Tank withVent(Optional<Place> tip) {
            return new Tank(id, name, shape, outlets, tip, drain, unusable);
        }

        public Tank withDrain(Optional<Place> at) {
            return new Tank(id, name, shape, outlets, vent, at, unusable);
        }

        public Tank withUnusable(Measured other) {
            return new Tank(id, name, shape, outlets, vent, drain, other);
        }
    }

    /** A tank outlet: where its lip is, its bore, and its finger screen. */
    record Outlet(String name, Place place, Measured bore, Optional<Rated> screen) {
    }

    /**
     * A selector: one body, several ports, positions that join some of them.
     *
     * @param inlets    names of the tank ports
     * @param positions in the order the handle turns
     * @param loss      of an open path
     */
    record Selector(Tag tag, List<String> inlets, List<Position> positions, Rated loss) implements Fitted {
        public Selector {
            inlets = List.copyOf(inlets);
            positions = List.copyOf(positions);
        }

        @Override
        public String kind() {
            return "Selector";
        }

        @Override
        public Selector with(Tag other) {
            return new Selector(other, inlets, positions, loss);
        }

        public Selector withLoss(Rated other) {
            return new Selector(tag, inlets, positions, other);
        }

        public Selector withPorts(List<String> newInlets, List<Position> newPositions) {
            return new Selector(tag, newInlets, newPositions, loss);
        }

        @Override
        public List<String> ports() {
            List<String> all = new ArrayList<>(inlets);
            all.add(OUT);
            return all;
        }

        public Optional<Position> position(String named) {
            return positions.stream().filter(p -> p.name().equals(named)).findFirst();
        }
    }

    /**
     * A handle position.
     *
     * @param name  as on the placard
     * @param joins groups of ports that are connected; none for OFF
     */
    record Position(String name, List<List<String>> joins) {
        public Position {
            joins = joins.stream().map(List::copyOf).toList();
        }

        public boolean off() {
            return joins.isEmpty();
        }
    }

    /** A valve with two states. */
    record ShutOff(Tag tag, Rated loss) implements Fitted {
        @Override
        public String kind() {
            return "Shut-off";
        }

        @Override
        public ShutOff with(Tag other) {
            return new ShutOff(other, loss);
        }
    }

    /** A strainer or filter. */
    record Strainer(Tag tag, Rated loss, boolean drain) implements Fitted {
        @Override
        public String kind() {
            return "Strainer";
        }

        @Override
        public Strainer with(Tag other) {
            return new Strainer(other, loss, drain);
        }
    }

    /** Passes one way only, once pressed open. */
    record CheckValve(Tag tag, Measured cracking, Rated loss) implements Fitted {
        @Override
        public String kind() {
            return "Check valve";
        }

        @Override
        public CheckValve with(Tag other) {
            return new CheckValve(other, cracking, loss);
        }
    }

    /** A drilled restriction. */
    record Orifice(Tag tag, Measured bore, double dischargeCoefficient) implements Fitted {
        @Override
        public String kind() {
            return "Orifice";
        }

        @Override
        public Orifice with(Tag other) {
            return new Orifice(other, bore, dischargeCoefficient);
        }
    }

    /**
     * A pump.
     *
     * @param drive electric or by the engine
     * @param curve flow and pressure points, flow rising
     * @param off   what it costs to draw through it when it stands; empty if it blocks
     */
    record Pump(Tag tag, Drive drive, List<CurvePoint> curve, Optional<Rated> off) implements Fitted {
        public Pump {
            curve = List.copyOf(curve);
        }

        @Override
        public String kind() {
            return drive == Drive.ELECTRIC ? "Electric pump" : "Engine pump";
        }

        @Override
        public Pump with(Tag other) {
            return new Pump(other, drive, curve, off);
        }
    }

    /** What turns a pump. */
    enum Drive { ELECTRIC, ENGINE }

    /** A point of a pump's curve. */
    record CurvePoint(Measured flow, Measured pressure) {
    }

    /** Joins three lines; the branch is the third. */
    record Tee(Tag tag, Measured bore) implements Fitted {
        /** The branch port. */
        public static final String BRANCH = "branch";

        @Override
        public String kind() {
            return "Tee";
        }

        @Override
        public Tee with(Tag other) {
            return new Tee(other, bore);
        }

        @Override
        public List<String> ports() {
            return List.of(IN, OUT, BRANCH);
        }
    }

    /**
     * The inlet of a float carburettor.
     *
     * @param seat            bore of the needle seat
     * @param minimumPressure the maker's least inlet pressure, gauge
     */
    record EngineInlet(Tag tag, Measured seat, Measured minimumPressure) implements Fitted {

        /** Discharge coefficient of a needle seat held open; common practice, no source. */
        public static final double SEAT_DISCHARGE = 0.62;

        @Override
        public String kind() {
            return "Float carburettor";
        }

        @Override
        public EngineInlet with(Tag other) {
            return new EngineInlet(other, seat, minimumPressure);
        }

        @Override
        public List<String> ports() {
            return List.of(IN);
        }
    }

    /**
     * A tube or hose between two ports.
     *
     * @param from     upstream as laid out; fuel may run either way
     * @param length   as taped along the line; if absent it follows from the points
     * @param points   measured points between its ends
     * @param fittings bends and elbows, each as often as there are
     */
    record Run(String id, String name, PortRef from, PortRef to, LineSize size, Optional<Measured> length,
            List<Place> points, List<Fitting> fittings) implements Item {
        public Run {
            points = List.copyOf(points);
            fittings = List.copyOf(fittings);
        }

        @Override
        public String kind() {
            return size.kind() == LineSize.Kind.HOSE ? "Hose" : "Tube";
        }

        @Override
        public Run renamed(String other) {
            return new Run(id, other, from, to, size, length, points, fittings);
        }

        @Override
        public List<String> ports() {
            return List.of();
        }

        public Run withSize(LineSize other) {
            return new Run(id, name, from, to, other, length, points, fittings);
        }

        public Run withLength(Measured other) {
            return new Run(id, name, from, to, size, Optional.of(other), points, fittings);
        }

        public Run withPoints(List<Place> other) {
            return new Run(id, name, from, to, size, length, other, fittings);
        }

        public Run withFittings(List<Fitting> other) {
            return new Run(id, name, from, to, size, length, points, other);
        }

        public Run between(PortRef newFrom, PortRef newTo) {
            return new Run(id, name, newFrom, newTo, size, length, points, fittings);
        }

        public long count(Fitting fitting) {
            return fittings.stream().filter(f -> f == fitting).count();
        }

        /** Length along the line, m: as taped, else along the points between these ends. */
        public double lengthM(Point3 start, Point3 end) {
            if (length.isPresent()) {
                return length.get().si();
            }
            double sum = 0;
            Point3 last = start;
            for (Place p : points) {
                sum += last.distance(p.point());
                last = p.point();
            }
            return sum + last.distance(end);
        }

    }
}
