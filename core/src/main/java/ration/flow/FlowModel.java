package ration.flow;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import ration.breathing.AirLine;
import ration.breathing.VentPath;
import ration.condition.Power;
import ration.fluid.VaporPressure;
import ration.quantity.Unit;
import ration.quantity.UnitSystem;
import ration.condition.Condition;
import ration.fluid.Fluid;
import ration.fluid.FuelGrade;
import ration.geometry.ApparentGravity;
import ration.geometry.Point3;
import ration.model.Fitting;
import ration.model.FuelSystem;
import ration.model.Item;
import ration.model.Place;
import ration.model.PortRef;
import ration.model.Rated;
import ration.network.Element;
import ration.network.Element.Minor;
import ration.network.FrictionLaw;
import ration.network.Network;
import ration.network.NetworkProblem;
import ration.network.NetworkProblem.Boundary;
import ration.network.PumpCurve;
import ration.network.SolverSettings;
import ration.tank.TankBody;

/** A system in a condition, mapped to nodes and elements. The system must have no blocking problem. */
public final class FlowModel {

    /** Node behind the engine inlet: the vented float bowl, or the open end of the line. */
    static final String BOWL = "~bowl";

    private static final String SURFACE = "~surface";
    /** More than any engine here takes, m3/s: 95 gph. */
    private static final double MOST_FLOW = 1e-4;
    /** The least flow asked for when the largest lasting one is sought, m3/s: 0.1 gph; and how often that is halved. */
    private static final double LEAST_ASKED = 1e-7;
    private static final int HALVINGS = 20;
    private static final double GPH = Unit.GALLON_PER_HOUR.toSi(1);
    /** Ambient at the standard sea level, Pa, and nothing. */
    private static final double AMBIENT = 101_325;

    /** Through and branch loss of a tee, textbook threaded fittings (Munson table 8.2, from memory). */
    private static final double TEE_THROUGH = 0.9;
    private static final double TEE_BRANCH = 2.0;
    /** Fouled over clean where nobody gave a fouled figure; common practice, no source. */
    private static final double FOULED = 2;
    /** Sharp entrance at a tank outlet (Crane TP-410, from memory). */
    private static final double ENTRANCE = 0.5;

    private final FuelSystem system;
    private final Condition condition;
    private final FlowQuestion question;
    private final HeaderStates headers;
    private final ApparentGravity gravity;
    private final Fluid fluid;
    private final Surroundings around;
    private final double boils;
    private final Map<String, TankLevel> levels = new LinkedHashMap<>();
    private final Map<String, NetworkProblem.Node> nodes = new LinkedHashMap<>();
    private final List<Wire> wires = new ArrayList<>();

    /** A link with the item it stands for and the lowest height along it, m. */
    record Wire(String link, String item, String fromNode, String toNode, Element element, double lowest) {
    }

    /**
     * What is round the system.
     *
     * @param ram          dynamic pressure at the vent tips, Pa; only their suction counts, ram pressure is not relied on
     * @param vapor        how the fuel boils; empty leaves that out
     * @param idleManifold gauge pressure of the manifold at idle, Pa
     */
    public record Surroundings(double ram, Optional<VaporPressure> vapor, double idleManifold) {

        /** No wind at the tips. */
        public static final Surroundings STILL = new Surroundings(0, Optional.empty(), Power.IDLE.manifoldPa());

        double manifold(Power power) {
            return power == Power.IDLE ? idleManifold : power.manifoldPa();
        }
    }

    /**
     * What every question of one assessment shares.
     *
     * @param system  without blocking problems
     * @param fuel    grade
     * @param law     friction law
     * @param bodies  its tanks made ready, by id
     * @param around  air and engine round it
     */
    public record Basis(FuelSystem system, FuelGrade fuel, FrictionLaw law, Map<String, TankBody> bodies, Surroundings around) {

        /** Standing still in open air. */
        public Basis(FuelSystem system, FuelGrade fuel, FrictionLaw law, Map<String, TankBody> bodies) {
            this(system, fuel, law, bodies, Surroundings.STILL);
        }

        /** Tanks as their shapes say. */
        public Basis(FuelSystem system, FuelGrade fuel, FrictionLaw law) {
            this(system, fuel, law, system.tanks().stream().collect(java.util.stream.Collectors.toMap(Item.Tank::id,
                    TankBody::of, (a, b) -> a)));
        }

        /** The same system in other surroundings. */
        public Basis in(Surroundings other) {
            return new Basis(system, fuel, law, bodies, other);
        }

        /** Asks one question. */
        public FlowAnswer ask(Condition condition, FlowQuestion question) {
            return ask(condition, levels(condition), question);
        }

        /** Asks one question where the levels are known: they depend on attitude and contents only. */
        public FlowAnswer ask(Condition condition, Map<String, TankLevel> levels, FlowQuestion question) {
            if (question instanceof FlowQuestion.Capacity) {
                return capacity(condition, levels);
            }
            FlowAnswer answer = settle(condition, levels, question);
            return question instanceof FlowQuestion.Demand && !answer.boilsAt().isEmpty() ? undelivered(condition, levels, answer)
                    : answer;
        }

        /** Below the pressure at which the fuel boils no answer is an answer: it says so, with what can be delivered. */
        private FlowAnswer undelivered(Condition condition, Map<String, TankLevel> levels, FlowAnswer answer) {
            FlowAnswer most = lasting(condition, levels, settle(condition, levels, new FlowQuestion.Capacity()), false);
            double gph = (most == null ? 0 : most.inletFlow()) / GPH;
            return answer.refused((system.hasPump() ? "The pumps cannot deliver this: " : "This cannot be delivered: ")
                    + nameOf(answer) + " would fall below the pressure at which the fuel"
                    + " boils. At most " + UnitSystem.figure(gph, 1) + " gph arrive.");
        }

        private String nameOf(FlowAnswer boiling) {
            return system.item(boiling.boilsAt()).map(Item::name).orElse(boiling.boilsAt());
        }

        /**
         * What the engine can take for good with its least pressure: the open inlet's flow, or, where that would draw air, boil
         * or run a header dry, the largest flow that does not.
         */
        private FlowAnswer capacity(Condition condition, Map<String, TankLevel> levels) {
            boolean jets = system.all(Item.JetPump.class).findAny().isPresent();
            FlowAnswer open = jets ? wet(condition, levels, new FlowQuestion.Capacity()) : settle(condition, levels,
                    new FlowQuestion.Capacity());
            boolean stands = open.usable() && open.airDrawn().isEmpty() && open.boilsAt().isEmpty();
            if (stands && (!jets || open.dryHeaders().isEmpty() && open.inletFlow() > FlowAnswer.NO_FLOW)
                    || !open.usable() && !jets) {
                return open;
            }
            FlowAnswer lasting = lasting(condition, levels, open, jets);
            FlowAnswer rest = lasting != null ? lasting : jets ? settle(condition, levels, new FlowQuestion.Capacity()) : open;
            return rest.boilsAt().isEmpty() || !rest.usable() ? rest : rest.refused(nameOf(rest) + " is under the pressure at which"
                    + " the fuel boils however little flows: no fuel gets past it.");
        }

        /** The largest demand that is met for good; null if there is none. */
        private FlowAnswer lasting(Condition condition, Map<String, TankLevel> levels, FlowAnswer open, boolean jets) {
            double low = 0;
            double high = open.usable() ? Math.max(open.arriving(), MOST_FLOW) : MOST_FLOW;
            FlowAnswer best = null;
            for (int i = 0; i < HALVINGS; i++) {
                double middle = i == 0 ? LEAST_ASKED : (low + high) / 2;
                FlowQuestion.Demand asked = new FlowQuestion.Demand(middle);
                FlowAnswer a = wet(condition, levels, asked);
                if (a.usable() && a.dryHeaders().isEmpty() && a.airDrawn().isEmpty() && a.boilsAt().isEmpty()
                        && a.meetsLeastPressure()) {
                    low = middle;
                    best = a;
                } else if (i == 0) {
                    return null;
                } else {
                    high = middle;
                }
            }
            return best;
        }

        /** The answer with every header taken to stay wet; unusable or dry if it does not. */
        private FlowAnswer wet(Condition condition, Map<String, TankLevel> levels, FlowQuestion question) {
            HeaderStates headers = HeaderStates.NONE;
            FlowAnswer answer = ask(condition, levels, question, headers, SolverSettings.USUAL.quick());
            for (int pass = 0; pass < 6 && answer.usable() && answer.dryHeaders().isEmpty(); pass++) {
                HeaderStates next = headers.after(answer, system);
                if (next.equals(headers)) {
                    break;
                }
                headers = next;
                answer = ask(condition, levels, question, headers, SolverSettings.USUAL.quick());
            }
            return answer;
        }

        private FlowAnswer settle(Condition condition, Map<String, TankLevel> levels, FlowQuestion question) {
            HeaderStates headers = HeaderStates.filling(system);
            FlowAnswer answer = ask(condition, levels, question, headers, SolverSettings.USUAL.quick());
            if (!answer.usable() || !headers.allFlow(answer)) {
                headers = HeaderStates.NONE;
                answer = ask(condition, levels, question, headers);
            }
            for (int pass = 0; pass < 6 && answer.usable(); pass++) {
                HeaderStates next = headers.after(answer, system);
                if (next.equals(headers)) {
                    break;
                }
                headers = next;
                answer = ask(condition, levels, question, headers);
                if (!answer.usable()) {
                    headers = headers.drained(system);
                    answer = ask(condition, levels, question, headers);
                }
            }
            return answer;
        }

        private FlowAnswer ask(Condition condition, Map<String, TankLevel> levels, FlowQuestion question,
                HeaderStates headers) {
            return ask(condition, levels, question, headers, SolverSettings.USUAL);
        }

        private FlowAnswer ask(Condition condition, Map<String, TankLevel> levels, FlowQuestion question,
                HeaderStates headers, SolverSettings settings) {
            FlowModel model = new FlowModel(this, condition, levels, question, headers);
            NetworkProblem problem = model.problem(law);
            return new FlowAnswer(model, problem, Network.of(problem).solve(settings));
        }

        /** Levels of every tank. */
        public Map<String, TankLevel> levels(Condition condition) {
            Map<String, TankLevel> levels = new LinkedHashMap<>();
            for (Item.Tank tank : system.tanks()) {
                levels.put(tank.id(), levelOf(bodies.get(tank.id()), condition));
            }
            return levels;
        }
    }

    private FlowModel(Basis basis, Condition condition, Map<String, TankLevel> known, FlowQuestion question,
            HeaderStates headers) {
        this.headers = headers;
        this.system = basis.system();
        this.condition = condition;
        this.question = question;
        this.gravity = condition.attitude().gravity();
        this.fluid = basis.fuel().at(condition.fuelKelvin());
        this.around = basis.around();
        this.boils = basis.around().vapor().map(v -> v.pascal(condition.fuelKelvin())).orElse(0.0) - AMBIENT;
        levels.putAll(known);
        for (Item item : system.items()) {
            addNodes(item);
        }
        for (Item item : system.items()) {
            addWires(item);
        }
    }

    private static TankLevel levelOf(TankBody body, Condition condition) {
        Item.Tank tank = body.tank();
        Point3 up = condition.attitude().gravity().up();
        double volume = Math.min(condition.contents().getOrDefault(tank.id(), 0.0), body.capacity());
        double surface = body.level(up, volume);
        Set<String> uncovered = new HashSet<>();
        for (Item.Outlet outlet : tank.outlets()) {
            if (surface <= up.dot(outlet.drainsAt())) {
                uncovered.add(outlet.name());
            }
        }
        return new TankLevel(tank.id(), volume, surface, uncovered);
    }

    private NetworkProblem problem(FrictionLaw law) {
        List<NetworkProblem.Link> links = new ArrayList<>();
        for (Wire w : wires) {
            links.add(new NetworkProblem.Link(w.link(), w.fromNode(), w.toNode(), w.element()));
        }
        return new NetworkProblem(fluid, gravity.magnitude(), law, List.copyOf(nodes.values()), links);
    }

    private void node(String id, double height, Boundary boundary) {
        nodes.put(id, new NetworkProblem.Node(id, height, boundary));
    }

    private void wire(String link, String item, String from, String to, Element element) {
        wire(link, item, from, to, element, Math.min(nodeHeight(from), nodeHeight(to)));
    }

    private void wire(String link, String item, String from, String to, Element element, double lowest) {
        wires.add(new Wire(link, item, from, to, element, lowest));
    }

    private void addNodes(Item item) {
        for (String port : item.ports()) {
            PortRef ref = new PortRef(item.id(), port);
            double height = gravity.height(system.point(ref).orElseThrow());
            boolean takes = item instanceof Item.EngineInlet && port.equals(Item.IN)
                    && question instanceof FlowQuestion.Demand;
            node(ref.toString(), height, takes
                    ? new Boundary.Demand(((FlowQuestion.Demand) question).flow()) : Boundary.NONE);
        }
    }

    private void addWires(Item item) {
        if (item instanceof Item.Tank tank) {
            addTank(tank);
        } else if (item instanceof Item.Selector selector) {
            addSelector(selector);
        } else if (item instanceof Item.Tee tee) {
            addTee(tee);
        } else if (item instanceof Item.EngineInlet inlet) {
            addInlet(inlet);
        } else if (item instanceof Item.Run run) {
            addRun(run);
        } else if (item instanceof Item.Header header) {
            addHeader(header);
        } else if (item instanceof Item.CheckBlock block) {
            addCheckBlock(block);
        } else if (item instanceof Item.JetPump jet) {
            addJet(jet);
        } else {
            twoPort(item);
        }
    }

    private void twoPort(Item item) {
        wire(item.id(), item.id(), port(item, Item.IN), port(item, Item.OUT), element(item));
    }

    private Element element(Item item) {
        if (item instanceof Item.ShutOff valve) {
            return condition.shutValves().contains(valve.id()) ? new Element.Shut() : valve.loss().openBore();
        }
        if (item instanceof Item.Strainer strainer) {
            return !condition.engine().fouled() ? strainer.loss().screen()
                    : strainer.fouled().orElseGet(() -> strainer.loss().times(FOULED)).screen();
        }
        if (item instanceof Item.Filter filter) {
            return !condition.engine().fouled() ? Rated.through(filter.points()) : filter.fouled().map(Rated::screen)
                    .orElseGet(() -> Rated.through(filter.points().stream().map(r -> r.times(FOULED)).toList()));
        }
        if (item instanceof Item.FlowSender sender) {
            return sender.loss().openBore();
        }
        if (item instanceof Item.QuickDisconnect coupling) {
            return coupling.loss().openBore();
        }
        if (item instanceof Item.Regulator r) {
            double reference = r.reference() == Item.Regulator.Reference.MANIFOLD
                    ? around.manifold(condition.engine().power()) : 0;
            return new Element.Regulator(r.style() == Item.Regulator.Style.BYPASS
                    ? Element.Regulator.Holds.UPSTREAM : Element.Regulator.Holds.DOWNSTREAM,
                    r.setting().si() + reference, r.loss().openBore());
        }
        if (item instanceof Item.CheckValve valve) {
            return new Element.Check(valve.cracking().si(), valve.loss().openBore());
        }
        if (item instanceof Item.Orifice orifice) {
            return new Element.Orifice(orifice.bore().si(), orifice.dischargeCoefficient());
        }
        if (item instanceof Item.Pump pump) {
            return pump(pump);
        }
        throw new IllegalStateException("No element for a " + item.kind());
    }

    /** A running pump by its curve, cut off at its relief; what an engine drives moves flow in step with its speed. */
    private Element pump(Item.Pump pump) {
        if (condition.stopped().contains(pump.id())) {
            return pump.off().map(r -> pump.build().checked() ? new Element.Check(0, r.openBore()) : r.openBore())
                    .orElseGet(Element.Shut::new);
        }
        double speed = pump.drive() == Item.Drive.ENGINE ? condition.engine().power().speedShare() : 1;
        List<PumpCurve.Point> points = new ArrayList<>(pump.curve().stream()
                .map(p -> new PumpCurve.Point(p.flow().si() * speed, p.pressure().si())).toList());
        return new Element.Pump(Element.curve(pump.build().relief()
                .map(r -> relieved(points, r.si())).orElse(points)));
    }

    /** The part of a curve above the relief is flat: the pump bypasses within itself. */
    private static List<PumpCurve.Point> relieved(List<PumpCurve.Point> points, double relief) {
        if (points.get(0).rise() <= relief) {
            return points;
        }
        List<PumpCurve.Point> cut = new ArrayList<>();
        cut.add(new PumpCurve.Point(points.get(0).flow(), relief));
        for (int i = 1; i < points.size(); i++) {
            PumpCurve.Point a = points.get(i - 1);
            PumpCurve.Point b = points.get(i);
            if (a.rise() > relief && b.rise() < relief) {
                double q = a.flow() + (a.rise() - relief) / (a.rise() - b.rise()) * (b.flow() - a.flow());
                if (q > cut.get(cut.size() - 1).flow() && q < b.flow()) {
                    cut.add(new PumpCurve.Point(q, relief));
                }
            }
            if (b.rise() < relief) {
                cut.add(b);
            }
        }
        if (cut.size() < 2) {
            PumpCurve.Point last = points.get(points.size() - 1);
            cut.add(new PumpCurve.Point(last.flow(), relief));
        }
        return cut;
    }

    /**
     * A header: one body at a level that follows from the balance. Its ports are level with their lips: fuel that comes in
     * over the level falls free, fuel leaves by the vent only once it stands there, and a body that is drawn lower than
     * its outlet is held at the outlet's lip, which is what air does to it.
     */
    private void addHeader(Item.Header header) {
        String body = header.id() + "~body";
        node(body, gravity.height(header.place().point()), headers.dry().contains(header.id())
                ? new Boundary.Pressure(0) : Boundary.NONE);
        wire(port(header, Item.OUT), header.id(), body, port(header, Item.OUT), new Element.Joint());
        for (String inlet : header.inlets()) {
            String ref = port(header, inlet);
            wire(ref, header.id(), ref, body, headers.falling().contains(ref) ? FREE_FALL : new Element.Joint());
        }
        String vent = port(header, Item.Header.VENT);
        String mouth = header.id() + "~mouth";
        if (headers.falling().contains(vent)) {
            node(mouth, nodeHeight(vent), Boundary.NONE);
            wire(vent + "~lip", header.id(), body, mouth, new Element.Joint());
            wire(vent, header.id(), mouth, vent, FREE_FALL);
        } else {
            wire(vent, header.id(), body, vent, new Element.Check(0, new Element.Resistance(0, 0)));
        }
    }

    /** Holds its upper side at ambient: fuel falling free, or running over a lip. */
    private static final Element FREE_FALL = new Element.Regulator(Element.Regulator.Holds.UPSTREAM, 0,
            new Element.Resistance(0, 0));

    private void addCheckBlock(Item.CheckBlock block) {
        String centre = block.id() + "~body";
        node(centre, gravity.height(block.place().point()), Boundary.NONE);
        for (String in : List.of(Item.IN, Item.CheckBlock.SECOND)) {
            wire(port(block, in), block.id(), port(block, in), centre,
                    new Element.Check(block.cracking().si(), block.loss().openBore()));
        }
        wire(port(block, Item.OUT), block.id(), centre, port(block, Item.OUT), new Element.Joint());
    }

    private void addJet(Item.JetPump jet) {
        String nozzle = port(jet, Item.IN);
        String out = port(jet, Item.OUT);
        wire(nozzle, jet.id(), nozzle, out, new Element.Check(0, resistance(new Element.Orifice(jet.nozzle().si(),
                Item.JetPump.NOZZLE_DISCHARGE))));
        wire(port(jet, Item.JetPump.SUCTION), jet.id(), port(jet, Item.JetPump.SUCTION), out,
                new Element.Jet(nozzle, jet.flowRatio().si(), jet.headRatio().si(), passage(jet)));
    }

    /** One velocity head in the line that leads to the suction port, or in three nozzle bores where there is none. */
    private Element.Resistance passage(Item.JetPump jet) {
        double bore = system.runAt(new PortRef(jet.id(), Item.JetPump.SUCTION)).map(r -> r.size().bore())
                .orElse(3 * jet.nozzle().si());
        double area = Math.PI * bore * bore / 4;
        return new Element.Resistance(0, fluid.density() / (2 * area * area));
    }

    private Element.Resistance resistance(Element.Orifice o) {
        double effective = o.dischargeCoefficient() * Math.PI * o.bore() * o.bore() / 4;
        return new Element.Resistance(0, fluid.density() / (2 * effective * effective));
    }

    private void addTank(Item.Tank tank) {
        TankLevel level = levels.get(tank.id());
        String surface = tank.id() + SURFACE;
        VentPath vents = VentPath.of(system, tank);
        double tip = vents.open() ? Math.min(0, vents.tip()) * around.ram() : 0;
        Double airspace = condition.airspace().get(tank.id());
        double over = airspace == null ? tip : airspace;
        if (airspace != null || vents.lines().isEmpty() || !vents.open()) {
            node(surface, level.surface(), new Boundary.Pressure(over));
        } else {
            node(surface, level.surface(), Boundary.NONE);
            node(tank.id() + "~tip", level.surface(), new Boundary.Pressure(tip));
            String vent = tank.id() + "~vent";
            wire(vent, vent, tank.id() + "~tip", surface, new Element.Vent(vents.lines().stream().map(v -> AirLine.of(v).pipe())
                    .toList()));
        }
        for (Item.Outlet outlet : tank.outlets()) {
            String port = tank.id() + "." + outlet.name();
            if (level.uncovered().contains(outlet.name())) {
                String lip = tank.id() + "~lip-" + outlet.name();
                node(lip, nodeHeight(port), new Boundary.Pressure(over));
                wire(port, tank.id(), port, lip, new Element.Uncovered());
            } else {
                double area = Math.PI * outlet.bore().si() * outlet.bore().si() / 4;
                double entrance = ENTRANCE * fluid.density() / (2 * area * area);
                Element.Resistance screen = outlet.screen().map(s -> s.screen())
                        .orElse(new Element.Resistance(0, 0));
                wire(port, tank.id(), surface, port,
                        new Element.Resistance(screen.linear(), screen.square() + entrance));
            }
        }
        for (Item.Entry entry : tank.returns()) {
            String port = tank.id() + "." + entry.name();
            if (level.surface() > nodeHeight(port)) {
                wire(port, tank.id(), port, surface, new Element.Joint());
            } else {
                String lip = tank.id() + "~lip-" + entry.name();
                node(lip, nodeHeight(port), new Boundary.Pressure(over));
                wire(port, tank.id(), port, lip, new Element.Uncovered());
            }
        }
    }

    /** Pressure over the fuel in a tank that feeds nothing, Pa over ambient. */
    double airspace(String tank) {
        return condition.airspace().getOrDefault(tank, system.item(tank).filter(Item.Tank.class::isInstance).map(t ->
                VentPath.of(system, (Item.Tank) t)).filter(VentPath::open).map(v -> Math.min(0, v.tip()) * around.ram()).orElse(0.0));
    }

    /** Gauge pressure at which the fuel boils at sea level, Pa; nothing at all where that is left out. */
    double boils() {
        return boils;
    }

    /** What was asked about. */
    Condition condition() {
        return condition;
    }

    FuelSystem system() {
        return system;
    }

    boolean jets() {
        return system.all(Item.JetPump.class).findAny().isPresent();
    }

    private void addSelector(Item.Selector selector) {
        String chosen = condition.positions().getOrDefault(selector.id(), selector.positions().get(0).name());
        List<List<String>> joins = selector.position(chosen).map(Item.Position::joins).orElse(List.of());
        int body = 0;
        for (List<String> group : joins) {
            String centre = selector.id() + "~body" + body++;
            node(centre, gravity.height(selector.place().point()), Boundary.NONE);
            for (String port : group) {
                boolean outlet = port.equals(Item.OUT) || selector.returns().contains(port);
                String ref = port(selector, port);
                wire(ref, selector.id(), outlet ? centre : ref, outlet ? ref : centre,
                        outlet ? new Element.Joint() : selector.loss().openBore());
            }
        }
    }

    private void addTee(Item.Tee tee) {
        String centre = tee.id() + "~body";
        node(centre, gravity.height(tee.place().point()), Boundary.NONE);
        for (String port : tee.ports()) {
            double k = port.equals(Item.Tee.BRANCH) ? TEE_BRANCH - TEE_THROUGH / 2 : TEE_THROUGH / 2;
            wire(port(tee, port), tee.id(), port(tee, port), centre,
                    new Element.Pipe(tee.bore().si(), 0, 0, Minor.k(k), false));
        }
    }

    private void addInlet(Item.EngineInlet inlet) {
        String port = port(inlet, Item.IN);
        if (inlet.returns() && !(question instanceof FlowQuestion.OpenLine)) {
            wire(inlet.id() + "~rail", inlet.id(), port, port(inlet, Item.EngineInlet.RETURN), new Element.Joint());
        }
        if (question instanceof FlowQuestion.Demand) {
            return;
        }
        node(BOWL, nodeHeight(port), new Boundary.Pressure(0));
        wire(inlet.id(), inlet.id(), port, BOWL, question instanceof FlowQuestion.Capacity ? wideOpen(inlet)
                : openEnd(inlet));
    }

    /** The inlet taking all it can get at its least pressure; a float carburettor no more than its seat passes. */
    public static Element wideOpen(Item.EngineInlet inlet) {
        return inlet.style() == Item.EngineInlet.Style.FLOAT
                ? new Element.NeedleSeat(inlet.minimumPressure().si(),
                        new Element.Orifice(inlet.seat().si(), Item.EngineInlet.SEAT_DISCHARGE))
                : new Element.Check(inlet.minimumPressure().si(), new Element.Resistance(0, 0));
    }

    /** One velocity head in the last line is lost as it pours out. */
    private Element openEnd(Item.EngineInlet inlet) {
        double area = system.runAt(new PortRef(inlet.id(), Item.IN)).map(r -> r.size().area())
                .orElse(Math.PI * inlet.seat().si() * inlet.seat().si() / 4);
        return new Element.Check(0, new Element.Resistance(0, fluid.density() / (2 * area * area)));
    }

    private void addRun(Item.Run run) {
        Point3 start = system.point(run.from()).orElseThrow();
        Point3 end = system.point(run.to()).orElseThrow();
        Minor minor = Fitting.flaredEnd(run.size()).times(2);
        for (Fitting f : run.fittings()) {
            minor = minor.plus(f.loss(run.size().bore()));
        }
        double lowest = Math.min(gravity.height(start), gravity.height(end));
        for (Place p : run.points()) {
            lowest = Math.min(lowest, gravity.height(p.point()));
        }
        wire(run.id(), run.id(), run.from().toString(), run.to().toString(), new Element.Pipe(run.size().bore(),
                run.lengthM(start, end), run.size().kind().roughness(), minor, false), lowest);
    }

    private static String port(Item item, String port) {
        return item.id() + "." + port;
    }

    double nodeHeight(String node) {
        return nodes.get(node).height();
    }

    /** Whether a node is the surface of a tank: where a path begins. */
    boolean surface(String node) {
        return node.endsWith(SURFACE);
    }

    /** The maker's least pressure at the inlet, Pa. */
    double leastPressure() {
        return system.inlet().map(i -> i.minimumPressure().si()).orElse(0.0);
    }

    double demandAsked() {
        return question instanceof FlowQuestion.Demand d ? d.flow() : 0;
    }

    Optional<String> inletNode() {
        return system.inlet().map(i -> port(i, Item.IN));
    }

    OptionalDouble inletHeight() {
        return inletNode().map(n -> OptionalDouble.of(nodeHeight(n))).orElse(OptionalDouble.empty());
    }

    List<Wire> wires() {
        return wires;
    }

    Map<String, TankLevel> levels() {
        return new HashMap<>(levels);
    }

    HeaderStates headers() {
        return headers;
    }

    ApparentGravity gravity() {
        return gravity;
    }
}
