package ration.physics.flow;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import ration.aircraft.condition.Fault;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Item;
import ration.aircraft.model.PortRef;
import ration.aircraft.model.Tank;
import ration.aircraft.model.VentPlenum;
import ration.base.fluid.Fluid;
import ration.base.geometry.ApparentGravity;
import ration.base.geometry.Point3;
import ration.physics.breathing.VentPath;
import ration.solver.network.Network;
import ration.solver.network.NetworkProblem;
import ration.solver.network.NetworkProblem.Boundary;
import ration.solver.network.NetworkSolution;
import ration.solver.network.SolverSettings;

/**
 * A system in one state of its handles, pumps, filters and faults, made into a network once. Each attitude and each
 * filling only gives its nodes other heights and its tanks other pressures.
 */
final class FlowPlan {

    /** Demand and height of the fuel over an outlet in the pose from which every other starts, m3/s and m. */
    private static final double USUAL_FLOW = 2e-5;

    private static final double USUAL_DEPTH = 0.1;

    private final FlowBasis basis;
    private final PlanKey key;
    private final Spot[] spots;
    private final Wire[] wires;
    private final Wiring wiring;
    /** Pressure of the tip that each tank breathes at, Pa over ambient. */
    private final Map<String, Double> tips = new HashMap<>();

    private final Fluid fluid;
    private final int inlet;
    private final int bowl;
    private final int arriving;
    private final boolean jets;
    private final NetworkProblem problem;
    private final Network network;
    /** Solved when first wanted, in one pose whatever is asked: so answers do not depend on what was asked before. */
    private volatile NetworkSolution usual;

    FlowPlan(FlowBasis basis, PlanKey key) {
        this.basis = basis;
        this.key = key;
        this.fluid = basis.fuel().at(key.fuelKelvin());
        Sketch sketch = new PlanMaker(basis, key, fluid).sketch();
        List<Spot> places = sketch.spots();
        List<Wire> ways = sketch.wires();
        spots = places.toArray(Spot[]::new);
        wires = ways.toArray(Wire[]::new);
        for (Tank tank : basis.system().tanks()) {
            tips.put(tank.id(), tip(tank));
        }
        basis.system().all(VentPlenum.class).forEach(p -> tips.put(p.id(), tip(p)));
        Optional<Wiring> alike = basis.alike(places, ways);
        problem = new NetworkProblem(fluid, ApparentGravity.STANDARD, basis.law(), usualPose(), links(alike));
        network = alike.map(w -> Network.of(problem, w.network())).orElseGet(() -> Network.of(problem));
        wiring = alike.orElseGet(() -> basis.keep(new Wiring(basis.system(), places, ways, problem.links(), network)));
        inlet = basis.system()
                .inlet()
                .map(i -> spot(new PortRef(i.id(), Item.IN)))
                .orElse(-1);
        bowl = wiring.spot(PlanMaker.BOWL);
        arriving = last();
        jets = basis.hasJets();
    }

    /** A wire that is as it was in a plan wired alike is the same link there. */
    private List<NetworkProblem.Link> links(Optional<Wiring> alike) {
        List<NetworkProblem.Link> links = new ArrayList<>(wires.length);
        for (int w = 0; w < wires.length; w++) {
            Wire wire = wires[w];
            NetworkProblem.Link same = alike.isPresent() ? alike.get().link(w) : null;
            links.add(
                    same != null && same.element() == wire.element()
                            ? same
                            : new NetworkProblem.Link(
                                    wire.link(), spots[wire.from()].id(), spots[wire.to()].id(), wire.element()));
        }
        return links;
    }

    private double tip(Item vented) {
        Optional<Fault> cap = key.faults().of(Fault.Kind.CAP_LOST, vented.id());
        VentPath vents = basis.vents(vented);
        double own = vents.open() ? Math.min(0, vents.tip()) : 0;
        return Math.min(own, cap.map(f -> -f.severity()).orElse(0.0))
                * basis.around().ram();
    }

    private List<NetworkProblem.Node> usualPose() {
        List<NetworkProblem.Node> nodes = new ArrayList<>();
        Point3 up = new Point3(0, 0, 1);
        for (Spot s : spots) {
            double height = s.place() != null
                    ? up.dot(s.place())
                    : basis.system()
                            .item(s.tank())
                            .flatMap(i -> i.only(Tank.class))
                            .flatMap(t -> t.outlets().stream().findFirst())
                            .map(o -> up.dot(o.place().point()) + USUAL_DEPTH)
                            .orElse(0.0);
            nodes.add(node(s, height, USUAL_FLOW, 0));
        }
        return nodes;
    }

    private NetworkProblem.Node node(Spot s, double height, double demand, double airspace) {
        return new NetworkProblem.Node(
                s.id(),
                height,
                switch (s.holds()) {
                    case NOTHING -> Boundary.NONE;
                    case DEMAND -> new Boundary.Demand(demand);
                    case AMBIENT -> new Boundary.Pressure(0);
                    case AIRSPACE -> new Boundary.Pressure(airspace);
                    case TIP -> new Boundary.Pressure(tips.get(s.tank()));
                });
    }

    /** The nodes at their heights. */
    List<NetworkProblem.Node> nodes(Posed pose) {
        List<NetworkProblem.Node> nodes = new ArrayList<>(spots.length);
        double demand = pose.demandAsked();
        for (int i = 0; i < spots.length; i++) {
            Spot s = spots[i];
            nodes.add(node(s, pose.height(i), demand, s.tank().isEmpty() ? 0 : pose.airspace(s.tank())));
        }
        return nodes;
    }

    /** What holds at each node. */
    private double[] given(Posed pose) {
        double[] given = new double[spots.length];
        for (int i = 0; i < given.length; i++) {
            Spot s = spots[i];
            given[i] = switch (s.holds()) {
                case NOTHING, AMBIENT -> 0;
                case DEMAND -> pose.demandAsked();
                case AIRSPACE -> pose.airspace(s.tank());
                case TIP -> tips.get(s.tank());
            };
        }
        return given;
    }

    NetworkSolution solve(Posed pose, SolverSettings settings) {
        Solves.begin();
        return network.posed(pose.gravity().magnitude(), pose.heights(), given(pose))
                .solve(settings, near());
    }

    private NetworkSolution near() {
        if (usual == null) {
            usual = network.solve(SolverSettings.USUAL.quick());
        }
        return usual;
    }

    FlowBasis basis() {
        return basis;
    }

    PlanKey key() {
        return key;
    }

    FuelSystem system() {
        return basis.system();
    }

    Fluid fluid() {
        return fluid;
    }

    /** Of the network, in the usual pose. */
    NetworkProblem problem() {
        return problem;
    }

    /** How many nodes it has. */
    int spots() {
        return spots.length;
    }

    Spot spot(int at) {
        return spots[at];
    }

    /** How many wires it has. */
    int wires() {
        return wires.length;
    }

    Wire wire(int at) {
        return wires[at];
    }

    List<Wiring.Body> headers() {
        return wiring.headers();
    }

    /** Wires that stand for an item. */
    int[] wiresOf(String item) {
        return wiring.wiresOf(item);
    }

    /** Wires that end at a node. */
    int[] wiresAt(int spot) {
        return wiring.wiresAt(spot);
    }

    /** Pressure of the tip that a tank breathes at, Pa over ambient. */
    double tip(String tank) {
        return tips.getOrDefault(tank, 0.0);
    }

    /** Whether a node is the surface of a tank: where a path begins. */
    boolean surface(int spot) {
        return wiring.surface(spot);
    }

    /** Whether a node is a port that is laid out. */
    boolean isPort(int spot) {
        return spot < basis.ground().ports();
    }

    /** The node of a port; -1 if there is none. */
    int spot(PortRef port) {
        return wiring.spot(port.toString());
    }

    /** The node of a name; -1 if there is none. */
    int spot(String name) {
        return wiring.spot(name);
    }

    /** The wire of a link; -1 if there is none. */
    int wire(String link) {
        return wiring.wire(link);
    }

    /** The node the engine takes its fuel at; -1 if there is none. */
    int inlet() {
        return inlet;
    }

    /** The wire through which what the inlet passes leaves; -1 where the engine takes its demand. */
    int arriving() {
        return arriving;
    }

    private int last() {
        if (bowl < 0) {
            return -1;
        }
        for (int w : wiring.wiresAt(bowl)) {
            if (wires[w].to() == bowl) {
                return w;
            }
        }
        return -1;
    }

    int bowl() {
        return bowl;
    }

    boolean jets() {
        return jets;
    }
}
