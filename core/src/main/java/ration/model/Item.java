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
     * @param returns  ports that fuel comes back through: returns, overflows, transfers, vents of headers
     * @param vent     tip of its vent line
     * @param drain    its sump drain
     * @param unusable the placard's unusable fuel
     * @param fitout   wells, ribs, filler, gauge, and what its maker states
     */
    record Tank(String id, String name, TankShape shape, List<Outlet> outlets, List<Entry> returns,
            Optional<Place> vent, Optional<Place> drain, Measured unusable, Fitout fitout) implements Item {
        public Tank {
            outlets = List.copyOf(outlets);
            returns = List.copyOf(returns);
        }

        /** A tank that nothing comes back to. */
        public Tank(String id, String name, TankShape shape, List<Outlet> outlets, Optional<Place> vent,
                Optional<Place> drain, Measured unusable) {
            this(id, name, shape, outlets, List.of(), vent, drain, unusable, Fitout.NONE);
        }

        /** A bare tank that fuel may come back to. */
        public Tank(String id, String name, TankShape shape, List<Outlet> outlets, List<Entry> returns,
                Optional<Place> vent, Optional<Place> drain, Measured unusable) {
            this(id, name, shape, outlets, returns, vent, drain, unusable, Fitout.NONE);
        }

        /** Shell and wells as one closed solid; throws IllegalArgumentException with the reason where they close none. */
        public ration.geometry.Solid solid() {
            return fitout.with(shape.solid());
        }

        @Override
        public String kind() {
            return "Tank";
        }

        @Override
        public Tank renamed(String other) {
            return new Tank(id, other, shape, outlets, returns, vent, drain, unusable, fitout);
        }

        @Override
        public List<String> ports() {
            return java.util.stream.Stream.concat(outlets.stream().map(Outlet::name), returns.stream().map(Entry::name))
                    .toList();
        }

        /** Where a port of either kind is. */
        public Optional<Place> placeOf(String port) {
            return outlet(port).map(Outlet::place).or(() -> returns.stream().filter(r -> r.name().equals(port))
                    .map(Entry::place).findFirst());
        }

        /** The whole tank higher by so much, m: shape, ports, vent and drain. */
        public Tank raised(double metres) {
            return new Tank(id, name, shape.raised(metres), outlets.stream().map(o -> o.at(
                    o.place().raised(metres))).toList(), returns.stream().map(r -> new Entry(r.name(),
                    r.place().raised(metres))).toList(), vent.map(v -> v.raised(metres)), drain.map(d -> d.raised(metres)),
                    unusable, fitout.raised(metres));
        }

        public Tank withReturns(List<Entry> other) {
            return new Tank(id, name, shape, outlets, other, vent, drain, unusable, fitout);
        }

        public Optional<Outlet> outlet(String port) {
            return outlets.stream().filter(o -> o.name().equals(port)).findFirst();
        }

        public Tank with(Fitout other) {
            return new Tank(id, name, shape, outlets, returns, vent, drain, unusable, other);
        }

        public Tank withShape(TankShape other) {
            return new Tank(id, name, other, outlets, returns, vent, drain, unusable, fitout);
        }

        public Tank withOutlets(List<Outlet> other) {
            return new Tank(id, name, shape, other, returns, vent, drain, unusable, fitout);
        }

        public Tank withVent(Optional<Place> tip) {
            return new Tank(id, name, shape, outlets, returns, tip, drain, unusable, fitout);
        }

        public Tank withDrain(Optional<Place> at) {
            return new Tank(id, name, shape, outlets, returns, vent, at, unusable, fitout);
        }

        public Tank withUnusable(Measured other) {
            return new Tank(id, name, shape, outlets, returns, vent, drain, other, fitout);
        }
    }

    /**
     * A tank outlet.
     *
     * @param place  of its lip
     * @param screen what its finger screen costs
     * @param finger how that screen is built
     * @param edge   what of it was measured
     */
    record Outlet(String name, Place place, Measured bore, Optional<Rated> screen, Optional<FingerScreen> finger, Edge edge) {

        /** What of an outlet its place tells; a quarter of an inch of it can be half a gallon. */
        public enum Edge {
            /** Nobody said: the place is taken for the height at which air first comes in. */
            UNSAID("Not said", 0),
            /** The lip in the floor, or the top of a finger: fuel under it stays. */
            LIP("Lip in the floor", 0), FINGER_TOP("Top of the finger", 0),
            /** A pipe in the side wall: air comes in at its upper edge. */
            CENTRE("Centre of a side pipe", 0.5), LOWER_LIP("Lower lip of a side pipe", 1);

            private final String label;
            private final double bores;

            Edge(String label, double bores) {
                this.label = label;
                this.bores = bores;
            }

            public String label() {
                return label;
            }
        }

        /** An outlet of which nobody said what was measured. */
        public Outlet(String name, Place place, Measured bore, Optional<Rated> screen, Optional<FingerScreen> finger) {
            this(name, place, bore, screen, finger, Edge.UNSAID);
        }

        /** An outlet of whose screen at most the loss is known. */
        public Outlet(String name, Place place, Measured bore, Optional<Rated> screen) {
            this(name, place, bore, screen, Optional.empty());
        }

        /** The point at which air first comes in as the fuel falls, aircraft axes. */
        public Point3 drainsAt() {
            return place.point().plus(new Point3(0, 0, edge.bores * bore.si()));
        }

        public Outlet at(Place other) {
            return new Outlet(name, other, bore, screen, finger, edge);
        }

        public Outlet withBore(Measured other) {
            return new Outlet(name, place, other, screen, finger, edge);
        }

        public Outlet withScreen(Optional<Rated> other) {
            return new Outlet(name, place, bore, other, finger, edge);
        }

        public Outlet withFinger(Optional<FingerScreen> other) {
            return new Outlet(name, place, bore, screen, other, edge);
        }

        public Outlet with(Edge other) {
            return new Outlet(name, place, bore, screen, finger, other);
        }
    }

    /** A port that fuel comes back into a tank through. */
    record Entry(String name, Place place) {
    }

    /**
     * A selector: one body, several ports, positions that join some of them.
     *
     * @param inlets    names of the tank ports
     * @param returns   names of the ports to the tanks on the return side of a duplex body; empty for a simple one
     * @param positions in the order the handle turns
     * @param loss      of an open path
     */
    record Selector(Tag tag, List<String> inlets, List<String> returns, List<Position> positions, Rated loss)
            implements Fitted {

        /** The port the common return comes in at. */
        public static final String RETURN = "return";

        public Selector {
            inlets = List.copyOf(inlets);
            returns = List.copyOf(returns);
            positions = List.copyOf(positions);
        }

        /** A selector without a return side. */
        public Selector(Tag tag, List<String> inlets, List<Position> positions, Rated loss) {
            this(tag, inlets, List.of(), positions, loss);
        }

        /** Whether feed and return move together. */
        public boolean duplex() {
            return !returns.isEmpty();
        }

        @Override
        public String kind() {
            return "Selector";
        }

        @Override
        public Selector with(Tag other) {
            return new Selector(other, inlets, returns, positions, loss);
        }

        public Selector withLoss(Rated other) {
            return new Selector(tag, inlets, returns, positions, other);
        }

        public Selector withPorts(List<String> newInlets, List<Position> newPositions) {
            return new Selector(tag, newInlets, returns, newPositions, loss);
        }

        @Override
        public List<String> ports() {
            List<String> all = new ArrayList<>(inlets);
            all.add(OUT);
            if (duplex()) {
                all.add(RETURN);
                all.addAll(returns);
            }
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

    /**
     * A strainer with a bowl.
     *
     * @param loss   clean
     * @param fouled as dirty as it may become before it is cleaned; twice the clean loss if not given
     * @param bowl   what its sediment bowl holds
     */
    record Strainer(Tag tag, Rated loss, Optional<Rated> fouled, boolean drain, Optional<Measured> bowl) implements Fitted {

        /** A strainer of whose bowl nobody told the size. */
        public Strainer(Tag tag, Rated loss, Optional<Rated> fouled, boolean drain) {
            this(tag, loss, fouled, drain, Optional.empty());
        }

        public Strainer withBowl(Optional<Measured> other) {
            return new Strainer(tag, loss, fouled, drain, other);
        }

        /** A strainer whose fouled loss nobody gave. */
        public Strainer(Tag tag, Rated loss, boolean drain) {
            this(tag, loss, Optional.empty(), drain);
        }

        @Override
        public String kind() {
            return "Strainer";
        }

        @Override
        public Strainer with(Tag other) {
            return new Strainer(other, loss, fouled, drain, bowl);
        }
    }

    /**
     * A filter in the line.
     *
     * @param points rated points when clean, one or more
     * @param fouled as dirty as it may become before it is changed; twice the clean loss if not given
     */
    record Filter(Tag tag, List<Rated> points, Optional<Rated> fouled) implements Fitted {
        public Filter {
            points = List.copyOf(points);
        }

        @Override
        public String kind() {
            return "Filter";
        }

        @Override
        public Filter with(Tag other) {
            return new Filter(other, points, fouled);
        }
    }

    /** Two one-way valves in one body: two pumps in, one line out, neither pushing back through the other. */
    record CheckBlock(Tag tag, Measured cracking, Rated loss) implements Fitted {
        /** The second inlet. */
        public static final String SECOND = "in-2";

        @Override
        public String kind() {
            return "Check-valve block";
        }

        @Override
        public CheckBlock with(Tag other) {
            return new CheckBlock(other, cracking, loss);
        }

        @Override
        public List<String> ports() {
            return List.of(IN, SECOND, OUT);
        }
    }

    /** A flow sender with its loss, the rotor free. */
    record FlowSender(Tag tag, Rated loss) implements Fitted {
        @Override
        public String kind() {
            return "Flow sender";
        }

        @Override
        public FlowSender with(Tag other) {
            return new FlowSender(other, loss);
        }
    }

    /** A coupling that can be parted without tools. */
    record QuickDisconnect(Tag tag, Rated loss) implements Fitted {
        @Override
        public String kind() {
            return "Quick disconnect";
        }

        @Override
        public QuickDisconnect with(Tag other) {
            return new QuickDisconnect(other, loss);
        }
    }

    /**
     * A pressure regulator.
     *
     * @param style     what it holds
     * @param reference what its spring side feels
     * @param setting   pressure over the reference
     * @param loss      when open to the stop
     */
    record Regulator(Tag tag, Style style, Reference reference, Measured setting, Rated loss) implements Fitted {

        /** What a regulator holds. */
        public enum Style {
            /** Holds the line before it, spilling to a return. */
            BYPASS("Bypass regulator"),
            /** Holds the line behind it. */
            IN_LINE("In-line regulator");

            private final String label;

            Style(String label) {
                this.label = label;
            }

            public String label() {
                return label;
            }
        }

        /** What a regulator's spring side feels. */
        public enum Reference { AMBIENT, MANIFOLD }

        @Override
        public String kind() {
            return style.label();
        }

        @Override
        public Regulator with(Tag other) {
            return new Regulator(other, style, reference, setting, loss);
        }
    }

    /**
     * A jet pump: what flows through its nozzle draws fuel in at the suction port.
     *
     * @param nozzle    bore
     * @param flowRatio most suction flow over nozzle flow
     * @param headRatio most lift over nozzle pressure drop
     */
    record JetPump(Tag tag, Measured nozzle, Measured flowRatio, Measured headRatio) implements Fitted {
        /** Where fuel is drawn in. */
        public static final String SUCTION = "suction";
        /** Discharge coefficient of a rounded nozzle; textbook, from memory. */
        public static final double NOZZLE_DISCHARGE = 0.95;

        @Override
        public String kind() {
            return "Jet pump";
        }

        @Override
        public JetPump with(Tag other) {
            return new JetPump(other, nozzle, flowRatio, headRatio);
        }

        @Override
        public List<String> ports() {
            return List.of(IN, SUCTION, OUT);
        }
    }

    /**
     * A header or collector tank. It stands at its outlet; its level is not given but follows from what runs in and out.
     * Small, so its ports are taken to stand straight over each other.
     *
     * @param capacity  to the vent
     * @param height    of the vent port over the outlet
     * @param inletRise of the inlets over the outlet
     * @param inlets    names of the ports that fuel comes in at
     */
    record Header(Tag tag, Measured capacity, Measured height, Measured inletRise, List<String> inlets)
            implements Fitted {
        /** The vent or overflow at its top. */
        public static final String VENT = "vent";

        public Header {
            inlets = List.copyOf(inlets);
        }

        @Override
        public String kind() {
            return "Header tank";
        }

        @Override
        public Header with(Tag other) {
            return new Header(other, capacity, height, inletRise, inlets);
        }

        @Override
        public List<String> ports() {
            List<String> all = new ArrayList<>(inlets);
            all.add(OUT);
            all.add(VENT);
            return all;
        }

        /** Height of a port over the outlet, m. */
        public double rise(String port) {
            return port.equals(OUT) ? 0 : port.equals(VENT) ? height.si() : inletRise.si();
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
     * @param build what else is known of it
     */
    record Pump(Tag tag, Drive drive, List<CurvePoint> curve, Optional<Rated> off, Build build) implements Fitted {

        /**
         * How a pump is built.
         *
         * @param relief  pressure rise at which it bypasses within itself; empty if its curve already says so
         * @param current it draws, electric pumps
         * @param checked whether a check valve inside keeps fuel from running back through it
         */
        public record Build(Optional<Measured> relief, Optional<Measured> current, boolean checked) {
            /** Nothing known beyond the curve; fuel may run back through it when it stands. */
            public static final Build PLAIN = new Build(Optional.empty(), Optional.empty(), false);
        }

        public Pump {
            curve = List.copyOf(curve);
        }

        /** A pump of which only the curve is known. */
        public Pump(Tag tag, Drive drive, List<CurvePoint> curve, Optional<Rated> off) {
            this(tag, drive, curve, off, Build.PLAIN);
        }

        public Pump withCurve(List<CurvePoint> other) {
            return new Pump(tag, drive, other, off, build);
        }

        public Pump withOff(Rated other) {
            return new Pump(tag, drive, curve, Optional.of(other), build);
        }

        public Pump withBuild(Build other) {
            return new Pump(tag, drive, curve, off, other);
        }

        @Override
        public String kind() {
            return drive == Drive.ELECTRIC ? "Electric pump" : "Engine pump";
        }

        @Override
        public Pump with(Tag other) {
            return new Pump(other, drive, curve, off, build);
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
     * Where the engine takes its fuel.
     *
     * @param style           how
     * @param seat            bore of the needle seat, float carburettors
     * @param minimumPressure the maker's least inlet pressure, gauge
     * @param maximumPressure the maker's most
     * @param returns         whether what the engine does not take goes on to a return line, rails
     */
    record EngineInlet(Tag tag, Style style, Measured seat, Measured minimumPressure,
            Optional<Measured> maximumPressure, boolean returns) implements Fitted {

        /** Discharge coefficient of a needle seat held open; common practice, no source. */
        public static final double SEAT_DISCHARGE = 0.62;
        /** Where a rail gives back what is not burnt. */
        public static final String RETURN = "return";

        /** How an engine takes fuel. */
        public enum Style {
            FLOAT("Float carburettor"), SERVO("Injection servo"), RAIL("Injection rail");

            private final String label;

            Style(String label) {
                this.label = label;
            }

            public String label() {
                return label;
            }
        }

        /** A float carburettor without a stated greatest pressure. */
        public EngineInlet(Tag tag, Measured seat, Measured minimumPressure) {
            this(tag, Style.FLOAT, seat, minimumPressure, Optional.empty(), false);
        }

        @Override
        public String kind() {
            return style.label();
        }

        @Override
        public EngineInlet with(Tag other) {
            return new EngineInlet(other, style, seat, minimumPressure, maximumPressure, returns);
        }

        public EngineInlet withSeat(Measured other) {
            return new EngineInlet(tag, style, other, minimumPressure, maximumPressure, returns);
        }

        public EngineInlet withPressures(Measured least, Optional<Measured> most) {
            return new EngineInlet(tag, style, seat, least, most, returns);
        }

        public EngineInlet withStyle(Style other, boolean returning) {
            return new EngineInlet(tag, other, seat, minimumPressure, maximumPressure, returning);
        }

        @Override
        public List<String> ports() {
            return returns ? List.of(IN, RETURN) : List.of(IN);
        }
    }

    /**
     * A tube or hose between two ports.
     *
     * @param from     upstream as laid out; fuel may run either way
     * @param length   as taped along the line; if absent it follows from the points
     * @param points   measured points between its ends
     * @param fittings bends and elbows, each as often as there are
     * @param build    how it is made up
     */
    record Run(String id, String name, PortRef from, PortRef to, LineSize size, Optional<Measured> length,
            List<Place> points, List<Fitting> fittings, RunBuild build) implements Item {
        public Run {
            points = List.copyOf(points);
            fittings = List.copyOf(fittings);
        }

        /** A run whose make-up is not recorded. */
        public Run(String id, String name, PortRef from, PortRef to, LineSize size, Optional<Measured> length,
                List<Place> points, List<Fitting> fittings) {
            this(id, name, from, to, size, length, points, fittings, RunBuild.NONE);
        }

        public Run with(RunBuild other) {
            return new Run(id, name, from, to, size, length, points, fittings, other);
        }

        public Run withLength(Optional<Measured> other) {
            return new Run(id, name, from, to, size, other, points, fittings, build);
        }

        @Override
        public String kind() {
            return size.kind() == LineSize.Kind.HOSE ? "Hose" : "Tube";
        }

        @Override
        public Run renamed(String other) {
            return new Run(id, other, from, to, size, length, points, fittings, build);
        }

        @Override
        public List<String> ports() {
            return List.of();
        }

        public Run withSize(LineSize other) {
            return new Run(id, name, from, to, other, length, points, fittings, build);
        }

        /**
         * Made anew in another size: flare fittings on the line follow it, adapters no longer needed go, and what was
         * recorded of the old piece (torque, supplied length) is dropped.
         */
        public Run resized(LineSize other) {
            return with(build.resized(size, other)).withSize(other);
        }

        public Run withLength(Measured other) {
            return new Run(id, name, from, to, size, Optional.of(other), points, fittings, build);
        }

        public Run withPoints(List<Place> other) {
            return new Run(id, name, from, to, size, length, other, fittings, build);
        }

        public Run withFittings(List<Fitting> other) {
            return new Run(id, name, from, to, size, length, points, other, build);
        }

        public Run between(PortRef newFrom, PortRef newTo) {
            return new Run(id, name, newFrom, newTo, size, length, points, fittings, build);
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
