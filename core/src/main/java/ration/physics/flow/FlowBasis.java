package ration.physics.flow;

import java.util.Collections;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;
import ration.aircraft.condition.Condition;
import ration.aircraft.condition.Fault;
import ration.aircraft.condition.Power;
import ration.aircraft.model.EngineInlet;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Item;
import ration.aircraft.model.JetPump;
import ration.aircraft.model.Outlet;
import ration.aircraft.model.Regulator;
import ration.aircraft.model.Run;
import ration.aircraft.model.Tank;
import ration.aircraft.model.VentPlenum;
import ration.aircraft.topology.Topology;
import ration.base.fluid.FuelGrade;
import ration.base.geometry.Point3;
import ration.physics.breathing.VentPath;
import ration.physics.tank.TankBody;
import ration.solver.network.Element;
import ration.solver.network.FrictionLaw;

/**
 * What every question of one assessment shares: a system without blocking problems, its fuel, its tanks made ready,
 * what is round it. Networks made for one question are kept for the next. May be asked from several threads.
 */
public final class FlowBasis {

    /** Plans kept for the next question: more than the largest assessment needs. */
    private static final int MOST_PLANS = 3000;

    /** Wirings handed on from edit to edit, before they are begun anew. */
    private static final int MOST_WIRINGS = 300;

    private final FuelSystem system;
    private final Topology topology;
    private final FuelGrade fuel;
    private final FrictionLaw law;
    private final Map<String, TankBody> bodies;
    private final Surroundings around;
    private final Map<String, VentPath> vents;
    private final boolean jets;
    private final boolean followsManifold;
    private final Map<PlanKey, FlowPlan> plans;
    private final Map<Integer, Wiring> wirings;
    private final Groundwork ground;
    private final HeaderStates filling;

    /**
     * @param system without blocking problems
     * @param fuel grade
     * @param law friction law
     * @param bodies its tanks made ready, by id
     * @param around air and engine round it
     */
    public FlowBasis(
            FuelSystem system, FuelGrade fuel, FrictionLaw law, Map<String, TankBody> bodies, Surroundings around) {
        this(system, fuel, law, bodies, around, Optional.empty());
    }

    /**
     * The same, after an edit.
     *
     * @param before what it was before: how plans are wired and sound runs are taken from there, which changes no
     *     answer
     */
    public FlowBasis(
            FuelSystem system,
            FuelGrade fuel,
            FrictionLaw law,
            Map<String, TankBody> bodies,
            Surroundings around,
            Optional<FlowBasis> before) {
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
        followsManifold = system.all(Regulator.class).anyMatch(r -> r.reference() == Regulator.Reference.MANIFOLD);
        plans = new ConcurrentHashMap<>();
        wirings =
                before.map(b -> b.wirings).filter(w -> w.size() < MOST_WIRINGS).orElseGet(ConcurrentHashMap::new);
        ground = new Groundwork(system, before.map(b -> b.ground));
        filling = HeaderStates.filling(system);
    }

    private FlowBasis(FlowBasis other, Surroundings around, Map<PlanKey, FlowPlan> plans) {
        system = other.system;
        topology = other.topology;
        fuel = other.fuel;
        law = other.law;
        bodies = other.bodies;
        this.around = around;
        vents = other.vents;
        jets = other.jets;
        followsManifold = other.followsManifold;
        this.plans = plans;
        wirings = other.wirings;
        ground = other.ground;
        filling = other.filling;
    }

    /** Standing still in open air. */
    public FlowBasis(FuelSystem system, FuelGrade fuel, FrictionLaw law, Map<String, TankBody> bodies) {
        this(system, fuel, law, bodies, Surroundings.STILL);
    }

    /** Tanks as their shapes say. */
    public FlowBasis(FuelSystem system, FuelGrade fuel, FrictionLaw law) {
        this(system, fuel, law, system.tanks().stream().collect(Collectors.toMap(Tank::id, TankBody::of, (a, b) -> a)));
    }

    /** Another layout with the same tanks, of the same fuel in the same surroundings. */
    public FlowBasis with(FuelSystem other) {
        return with(other, bodies);
    }

    /** The same with other tanks too. */
    public FlowBasis with(FuelSystem other, Map<String, TankBody> tanks) {
        return new FlowBasis(other, fuel, law, tanks, around, Optional.of(this));
    }

    /** The same system in other surroundings. */
    public FlowBasis in(Surroundings other) {
        return new FlowBasis(system, fuel, law, bodies, other);
    }

    /** The same, pressures under which the fuel boils told and not refused. */
    public FlowBasis withoutBoiling() {
        return new FlowBasis(this, around.withoutBoiling(), plans);
    }

    /** The same with networks of its own: those made for a question nobody asks again go with it. */
    public FlowBasis aside() {
        return new FlowBasis(this, around, new ConcurrentHashMap<>());
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

    Groundwork ground() {
        return ground;
    }

    /** What plans with these nodes and wires have in common with one made before. */
    Optional<Wiring> alike(List<Spot> spots, List<Wire> wires) {
        return Optional.ofNullable(wirings.get(Wiring.hash(spots, wires))).filter(w -> w.fits(spots, wires));
    }

    Wiring keep(Wiring made) {
        wirings.putIfAbsent(made.hash(), made);
        return made;
    }

    boolean hasJets() {
        return jets;
    }

    /** The way of the air of a tank or plenum. */
    VentPath vents(Item item) {
        return vents.get(item.id());
    }

    /** The nodes at which a part may let air in: the port named, else every one of its ends. */
    List<String> airPorts(Fault f) {
        Item item = system.item(f.item()).orElse(null);
        if (item == null || !f.port().isEmpty()) {
            return List.of(leakPort(f));
        }
        return item.only(Run.class)
                .map(r -> List.of(r.from().toString(), r.to().toString()))
                .orElseGet(() ->
                        item.ports().stream().map(p -> item.id() + "." + p).toList());
    }

    /** The node at which a part leaks fuel: the port named, the start of a run, the first port of another part. */
    String leakPort(Fault f) {
        Item item = system.item(f.item()).orElse(null);
        if (item == null) {
            return "";
        }
        return item.only(Run.class)
                .map(r -> (f.port().equals("to") ? r.to() : r.from()).toString())
                .orElseGet(() ->
                        item.id() + "." + (f.port().isEmpty() ? item.ports().get(0) : f.port()));
    }

    /** Asks one question. */
    public FlowAnswer ask(Condition condition, FlowQuestion question) {
        return ask(condition, levels(condition), question);
    }

    /** Asks one question where the levels are known: they depend on attitude and contents only. */
    public FlowAnswer ask(Condition condition, Map<String, TankLevel> levels, FlowQuestion question) {
        return new Asking(this, condition, levels).ask(question);
    }

    FlowPlan plan(PlanKey key) {
        if (plans.size() > MOST_PLANS) {
            plans.clear();
        }
        return plans.computeIfAbsent(key, k -> new FlowPlan(this, k));
    }

    /** Every header filled from above: what is tried first. */
    HeaderStates filling() {
        return filling;
    }

    /** Levels of every tank. */
    public Map<String, TankLevel> levels(Condition condition) {
        Map<String, TankLevel> levels = new LinkedHashMap<>();
        for (Tank tank : system.tanks()) {
            levels.put(tank.id(), levelOf(bodies.get(tank.id()), condition));
        }
        return Collections.unmodifiableMap(levels);
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
    public Element wideOpen(EngineInlet inlet, Power power) {
        double least = leastPressure(inlet, power);
        return inlet.style() == EngineInlet.Style.FLOAT
                ? new Element.NeedleSeat(least, new Element.Orifice(inlet.seat().si(), EngineInlet.SEAT_DISCHARGE))
                : new Element.Check(least, new Element.Resistance(0, 0));
    }

    /**
     * Least gauge pressure at the inlet, Pa. Where a regulator follows the manifold the inlet needs its least over
     * that, not over the air outside: closed throttle takes as much off what is needed as off what is held.
     */
    public double leastPressure(EngineInlet inlet, Power power) {
        return followsManifold
                ? Math.max(0, inlet.minimumPressure().si() + around.manifold(power))
                : inlet.minimumPressure().si();
    }
}
