package ration.flow;

import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;
import ration.breathing.VentPath;
import ration.condition.Condition;
import ration.condition.Fault;
import ration.fluid.FuelGrade;
import ration.geometry.Point3;
import ration.model.EngineInlet;
import ration.model.FuelSystem;
import ration.model.Item;
import ration.model.JetPump;
import ration.model.Outlet;
import ration.model.Run;
import ration.model.Tank;
import ration.model.VentPlenum;
import ration.network.Element;
import ration.network.FrictionLaw;
import ration.network.Network;
import ration.network.SolverSettings;
import ration.quantity.Unit;
import ration.quantity.UnitSystem;
import ration.tank.TankBody;
import ration.topology.Topology;

/**
 * What every question of one assessment shares: a system without blocking problems, its fuel, its tanks made ready, what is
 * round it. Networks made for one question are kept for the next. May be asked from several threads.
 */
public final class FlowBasis {

    /** More than any engine here takes, m3/s: 95 gph. */
    private static final double MOST_FLOW = 1e-4;
    /** The least flow asked for when the largest lasting one is sought, m3/s: 0.1 gph; and how often that is halved. */
    private static final double LEAST_ASKED = 1e-7;
    private static final int HALVINGS = 20;
    /** Plans kept for the next question: more than the largest assessment needs. */
    private static final int MOST_PLANS = 3000;
    private static final double GPH = Unit.GALLON_PER_HOUR.toSi(1);

    private final FuelSystem system;
    private final Topology topology;
    private final FuelGrade fuel;
    private final FrictionLaw law;
    private final Map<String, TankBody> bodies;
    private final Surroundings around;
    private final Map<String, VentPath> vents;
    private final boolean jets;
    private final Map<PlanKey, FlowPlan> plans;
    /** A network of each shape: plans of one system differ more in their elements than in what is joined to what. */
    private final Map<Integer, Network> shapes;

    /**
     * @param system without blocking problems
     * @param fuel   grade
     * @param law    friction law
     * @param bodies its tanks made ready, by id
     * @param around air and engine round it
     */
    public FlowBasis(FuelSystem system, FuelGrade fuel, FrictionLaw law, Map<String, TankBody> bodies, Surroundings around) {
        this.system = system;
        topology = Topology.of(system);
        this.fuel = fuel;
        this.law = law;
        this.bodies = Map.copyOf(bodies);
        this.around = around;
        vents = new HashMap<>();
        system.tanks().forEach(t -> vents.put(t.id(), VentPath.of(system, t)));
        system.all(VentPlenum.class).forEach(p -> vents.put(p.id(), VentPath.of(system, p)));
        jets = system.all(JetPump.class).findAny().isPresent();
        plans = new ConcurrentHashMap<>();
        shapes = new ConcurrentHashMap<>();
    }

    private FlowBasis(FlowBasis other, Surroundings around) {
        system = other.system;
        topology = other.topology;
        fuel = other.fuel;
        law = other.law;
        bodies = other.bodies;
        this.around = around;
        vents = other.vents;
        jets = other.jets;
        plans = other.plans;
        shapes = other.shapes;
    }

    /** Standing still in open air. */
    public FlowBasis(FuelSystem system, FuelGrade fuel, FrictionLaw law, Map<String, TankBody> bodies) {
        this(system, fuel, law, bodies, Surroundings.STILL);
    }

    /** Tanks as their shapes say. */
    public FlowBasis(FuelSystem system, FuelGrade fuel, FrictionLaw law) {
        this(system, fuel, law, system.tanks().stream().collect(Collectors.toMap(Tank::id, TankBody::of, (a, b) -> a)));
    }

    /** The same system in other surroundings. */
    public FlowBasis in(Surroundings other) {
        return new FlowBasis(system, fuel, law, bodies, other);
    }

    /** The same, pressures under which the fuel boils told and not refused. */
    public FlowBasis withoutBoiling() {
        return new FlowBasis(this, around.withoutBoiling());
    }

    public FuelSystem system() {
        return system;
    }

    public Topology topology() {
        return topology;
    }

    public FuelGrade fuel() {
        return fuel;
    }

    public FrictionLaw law() {
        return law;
    }

    public Map<String, TankBody> bodies() {
        return bodies;
    }

    public Surroundings around() {
        return around;
    }

    /** A network that may have the shape of these nodes and wires. */
    Optional<Network> alike(List<Spot> spots, List<Wire> wires) {
        return Optional.ofNullable(shapes.get(shape(spots, wires)));
    }

    void keep(List<Spot> spots, List<Wire> wires, Network network) {
        shapes.putIfAbsent(shape(spots, wires), network);
    }

    private static int shape(List<Spot> spots, List<Wire> wires) {
        int hash = spots.size();
        for (Wire w : wires) {
            hash = 31 * (31 * hash + w.from()) + w.to();
        }
        return hash;
    }

    boolean hasJets() {
        return jets;
    }

    /** The way of the air of a tank or plenum. */
    VentPath vents(Item item) {
        return vents.get(item.id());
    }

    /** The node at which a part leaks: the port named, the start of a run, the first port of another part. */
    String leakPort(Fault f) {
        Item item = system.item(f.item()).orElse(null);
        if (item == null) {
            return "";
        }
        return item.only(Run.class).map(r -> (f.port().equals("to") ? r.to() : r.from()).toString()).orElseGet(() -> item.id() + "."
                + (f.port().isEmpty() ? item.ports().get(0) : f.port()));
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
        FlowAnswer most = lasting(condition, levels, settle(condition, levels, new FlowQuestion.Capacity()));
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
        FlowAnswer open = jets ? wet(condition, levels, new FlowQuestion.Capacity()) : settle(condition, levels,
                new FlowQuestion.Capacity());
        boolean stands = open.usable() && open.airDrawn().isEmpty() && open.boilsAt().isEmpty();
        if (stands && (!jets || open.dryHeaders().isEmpty() && open.inletFlow() > FlowAnswer.NO_FLOW)
                || !open.usable() && !jets) {
            return open;
        }
        FlowAnswer lasting = lasting(condition, levels, open);
        FlowAnswer rest = lasting != null ? lasting : jets ? settle(condition, levels, new FlowQuestion.Capacity()) : open;
        return rest.boilsAt().isEmpty() || !rest.usable() ? rest : rest.refused(nameOf(rest) + " is under the pressure at which"
                + " the fuel boils however little flows: no fuel gets past it.");
    }

    /** The largest demand that is met for good; null if there is none. */
    private FlowAnswer lasting(Condition condition, Map<String, TankLevel> levels, FlowAnswer open) {
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
        PlanKey key = PlanKey.of(condition, question, headers, bare(condition, levels));
        if (plans.size() > MOST_PLANS) {
            plans.clear();
        }
        FlowPlan plan = plans.computeIfAbsent(key, k -> new FlowPlan(this, k));
        Posed pose = new Posed(plan, condition, levels, question, boils(condition));
        return new FlowAnswer(pose, plan.solve(pose, settings));
    }

    /** Gauge pressure at which the fuel boils on this day, Pa; nothing at all where that is left out. */
    private double boils(Condition condition) {
        return around.vapor().map(v -> v.pascal(condition.fuelKelvin())).orElse(0.0) - condition.air().day().pressurePa();
    }

    /** Ports of tanks that stand clear of the fuel. */
    private Set<String> bare(Condition condition, Map<String, TankLevel> levels) {
        Set<String> ports = new HashSet<>();
        Point3 up = condition.attitude().gravity().up();
        for (Tank tank : system.tanks()) {
            TankLevel level = levels.get(tank.id());
            level.uncovered().forEach(o -> ports.add(tank.id() + "." + o));
            for (Tank.Entry entry : tank.returns()) {
                if (!(level.surface() > up.dot(entry.place().point()))) {
                    ports.add(tank.id() + "." + entry.name());
                }
            }
        }
        return ports;
    }

    /** Levels of every tank. */
    public Map<String, TankLevel> levels(Condition condition) {
        Map<String, TankLevel> levels = new LinkedHashMap<>();
        for (Tank tank : system.tanks()) {
            levels.put(tank.id(), levelOf(bodies.get(tank.id()), condition));
        }
        return levels;
    }

    private static TankLevel levelOf(TankBody body, Condition condition) {
        Tank tank = body.tank();
        Point3 up = condition.attitude().gravity().up();
        double volume = Math.min(condition.contents().getOrDefault(tank.id(), 0.0), body.capacity());
        double surface = body.level(up, volume);
        Set<String> uncovered = new HashSet<>();
        for (Outlet outlet : tank.outlets()) {
            if (surface <= up.dot(outlet.drainsAt())) {
                uncovered.add(outlet.name());
            }
        }
        return new TankLevel(tank.id(), volume, surface, uncovered);
    }

    /** The inlet taking all it can get at its least pressure; a float carburettor no more than its seat passes. */
    public static Element wideOpen(EngineInlet inlet) {
        return inlet.style() == EngineInlet.Style.FLOAT
                ? new Element.NeedleSeat(inlet.minimumPressure().si(),
                        new Element.Orifice(inlet.seat().si(), EngineInlet.SEAT_DISCHARGE))
                : new Element.Check(inlet.minimumPressure().si(), new Element.Resistance(0, 0));
    }
}
