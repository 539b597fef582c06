package ration.physics.flow;

import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Set;
import ration.aircraft.condition.Condition;
import ration.aircraft.condition.Fault;
import ration.aircraft.model.Outlet;
import ration.aircraft.model.PortRef;
import ration.aircraft.model.Run;
import ration.aircraft.model.Tank;
import ration.base.fluid.Fluid;
import ration.base.geometry.Point3;
import ration.solver.network.Element;
import ration.solver.network.NetworkProblem;
import ration.solver.network.NetworkSolution;

/** The answer to one question, by the ids of the layout. Heights and heads in metres along apparent up. */
public final class FlowAnswer {

    /** Flows below this do not count as flowing, m3/s: 0.001 gph. */
    public static final double NO_FLOW = 1e-9;

    private final Posed pose;
    private final FlowPlan plan;
    private final NetworkSolution solution;
    private final double weight;
    private final List<String> airDrawn;
    private final String boilsAt;
    private final String refusal;
    /** Found when first asked for; two threads that ask at once find the same. */
    private volatile List<PathStep> path;

    FlowAnswer(Posed pose, NetworkSolution solution) {
        this.pose = pose;
        this.plan = pose.plan();
        this.solution = solution;
        this.refusal = "";
        this.weight = plan.fluid().density() * pose.gravity().magnitude();
        this.airDrawn = solution.converged() ? new AirWay(pose, solution, weight).through() : List.of();
        this.boilsAt = solution.converged() ? findBoiling() : "";
    }

    private FlowAnswer(FlowAnswer same, String refusal) {
        pose = same.pose;
        plan = same.plan;
        solution = same.solution;
        weight = same.weight;
        airDrawn = same.airDrawn;
        boilsAt = same.boilsAt;
        this.refusal = refusal;
    }

    /** The same, of which no figure may be read. */
    FlowAnswer refused(String why) {
        return new FlowAnswer(this, why);
    }

    /** What was asked about. */
    public Condition condition() {
        return pose.condition();
    }

    /** Whether this flow cannot be delivered: somewhere on the way the fuel would boil. */
    public boolean undelivered() {
        return !refusal.isEmpty();
    }

    /** Whether the question was answered by saying that the flow cannot come: undelivered, or by no open path. */
    public boolean starved() {
        return undelivered() || solution.status() == NetworkSolution.Status.NO_SUPPLY;
    }

    /**
     * Id of the item at which the flow asked for would fall below the boiling pressure of the fuel; empty if nowhere.
     */
    String boilsAt() {
        return boilsAt;
    }

    private String findBoiling() {
        String worst = "";
        double least = pose.boils();
        for (int w = 0; w < plan.wires(); w++) {
            Wire wire = plan.wire(w);
            if (Math.abs(solution.flowAt(w)) <= NO_FLOW || wire.element() instanceof Element.Vent) {
                continue;
            }
            for (int end = 0; end < 2; end++) {
                int node = end == 0 ? wire.from() : wire.to();
                if (solution.knownAt(node) && solution.pressureAt(node) < least) {
                    least = solution.pressureAt(node);
                    worst = wire.item();
                }
            }
        }
        return worst;
    }

    /** Whether figures may be read; otherwise {@link #reason} says why not. */
    public boolean usable() {
        return solution.converged() && refusal.isEmpty();
    }

    public String reason() {
        return refusal.isEmpty() ? solution.reason() : refusal;
    }

    public NetworkSolution solution() {
        return solution;
    }

    /** What the network solver was asked. */
    public NetworkProblem problem() {
        NetworkProblem p = plan.problem();
        return new NetworkProblem(p.fluid(), pose.gravity().magnitude(), p.law(), plan.nodes(pose), p.links());
    }

    /** The fuel, as warm as it was. */
    public Fluid fluid() {
        return plan.fluid();
    }

    /** Flow into the engine, m3/s; zero when air is drawn. */
    public double inletFlow() {
        if (!usable() || !airDrawn.isEmpty()) {
            return 0;
        }
        double borrowed = 0;
        for (String header : pose.headers().dry()) {
            borrowed += Math.max(0, lost(header));
        }
        double lasting = arriving() - borrowed;
        return lasting < NO_FLOW ? 0 : lasting;
    }

    /** Flow through the inlet, lasting or not, m3/s. */
    double arriving() {
        int last = plan.arriving();
        return last >= 0 ? solution.flowAt(last) : pose.demandAsked();
    }

    /** Whether the inlet has its least pressure. */
    boolean meetsLeastPressure() {
        return plan.inlet() >= 0
                && (solution.knownAt(plan.inlet()) ? solution.pressureAt(plan.inlet()) : 0) >= pose.leastPressure();
    }

    /** What a header loses, m3/s: more drawn than comes in; zero while it stays full. */
    public double drawn(String header) {
        return usable() && pose.headers().dry().contains(header) ? Math.max(0, lost(header)) : 0;
    }

    private double lost(String header) {
        double sum = 0;
        for (int w : plan.wiresOf(header)) {
            Wire wire = plan.wire(w);
            sum += wire.from() == plan.spot(header + "~body")
                    ? solution.flowAt(w)
                    : wire.to() == plan.spot(header + "~body") ? -solution.flowAt(w) : 0;
        }
        return sum;
    }

    /** Ids of headers that empty because more is taken than comes in. */
    public Set<String> dryHeaders() {
        return usable() ? pose.headers().dry() : Set.of();
    }

    /** Flow through a run from its start to its end, m3/s. */
    public double flow(String run) {
        return usable() ? solution.flow(run) : 0;
    }

    /** Whether any fuel goes through an item. */
    public boolean carries(String item) {
        if (usable()) {
            for (int w : plan.wiresOf(item)) {
                if (Math.abs(solution.flowAt(w)) > NO_FLOW) {
                    return true;
                }
            }
        }
        return false;
    }

    /** Net flow out of a tank, m3/s; negative when it fills. */
    public double outflow(Tank tank) {
        if (!usable()) {
            return 0;
        }
        double sum = 0;
        for (int w : plan.wiresOf(tank.id())) {
            boolean leaves = plan.isPort(plan.wire(w).to());
            sum += leaves ? solution.flowAt(w) : -solution.flowAt(w);
        }
        return sum;
    }

    /** Flow out of a tank through one of its outlets, m3/s; negative when it fills through it. */
    public double outflow(Tank tank, Outlet outlet) {
        int w = usable() ? plan.wire(tank.id() + "." + outlet.name()) : -1;
        return w < 0 ? 0 : plan.isPort(plan.wire(w).to()) ? solution.flowAt(w) : -solution.flowAt(w);
    }

    /** What an outlet of a tank does. */
    public OutletState state(Tank tank, Outlet outlet) {
        if (pose.levels().get(tank.id()).uncovered().contains(outlet.name())) {
            return airDrawn.contains(tank.id() + "." + outlet.name()) ? OutletState.DRAWS_AIR : OutletState.CLEAR;
        }
        double out = outflow(tank, outlet);
        return out > NO_FLOW ? OutletState.FEEDS : out < -NO_FLOW ? OutletState.FILLS : OutletState.STANDS;
    }

    List<Wiring.Body> headers() {
        return plan.headers();
    }

    /**
     * Gauge pressure at a port, Pa; empty if there is no such port, if closed valves leave it undetermined, or where
     * nothing flows and the figure lies below the pressure at which the fuel boils: no column of fuel stands so.
     */
    public OptionalDouble pressure(PortRef port) {
        OptionalDouble p =
                usable() && plan.spot(port) >= 0 ? solution.pressure(port.toString()) : OptionalDouble.empty();
        return p.isPresent() && p.getAsDouble() < pose.boils() ? OptionalDouble.empty() : p;
    }

    /** Height of the grade line over the aircraft datum at a port, m. */
    public OptionalDouble head(PortRef port) {
        if (!usable() || weight == 0 || plan.spot(port) < 0) {
            return OptionalDouble.empty();
        }
        OptionalDouble p = solution.piezometric(port.toString());
        return p.isPresent() ? OptionalDouble.of(p.getAsDouble() / weight) : OptionalDouble.empty();
    }

    /** Height of a point along apparent up, m. */
    public double height(Point3 point) {
        return pose.gravity().height(point);
    }

    /** A run as the network had it, sound. */
    public Element.Pipe pipe(Run run) {
        return PlanMaker.pipe(plan.system(), run);
    }

    /** A run as it was laid out. */
    Groundwork.Way way(Run run) {
        return plan.basis().ground().way(run);
    }

    /** Gauge pressure over the fuel of a tank, Pa. */
    public double airspace(String tank) {
        return pose.airspace(tank);
    }

    public Map<String, TankLevel> levels() {
        return pose.levels();
    }

    /** Reynolds number in a run, 0 if it stands. */
    public double reynolds(Run run) {
        return 4
                * Math.abs(flow(run.id()))
                / (Math.PI * run.size().bore() * plan.fluid().viscosity());
    }

    /** Weight of the fuel per volume as felt, Pa per metre of height. */
    public double weight() {
        return weight;
    }

    /**
     * Names of tank outlets, and of parts that leak, through which air reaches the flowing line; empty in a healthy
     * case.
     */
    public List<String> airDrawn() {
        return airDrawn;
    }

    /** Fuel that runs out of parts that leak, m3/s. */
    public double leaks() {
        double sum = 0;
        for (Fault f : pose.condition().faults().all()) {
            int hole = f.kind() == Fault.Kind.FUEL_LEAK ? plan.wire(plan.basis().leakPort(f) + "~leak") : -1;
            sum += usable() && hole >= 0 ? Math.max(0, solution.flowAt(hole)) : 0;
        }
        return sum;
    }

    /**
     * The way the most fuel takes, from a tank surface to the engine inlet; empty if nothing flows. The losses add up
     * to the head from the surface to the inlet, less what is left there.
     */
    public List<PathStep> path() {
        List<PathStep> known = path;
        if (known == null) {
            known = usable() && weight != 0 && plan.inlet() >= 0
                    ? new FuelWay(plan, solution, weight).steps()
                    : List.of();
            path = known;
        }
        return known;
    }

    /** What pumps on the path add, Pa. */
    public double pumped() {
        return path().stream().mapToDouble(s -> Math.max(0, -s.loss())).sum();
    }

    /** Head from the surface that feeds to the engine inlet, m; empty if nothing flows. */
    public OptionalDouble headAvailable() {
        List<PathStep> steps = path();
        return steps.isEmpty() || plan.inlet() < 0
                ? OptionalDouble.empty()
                : OptionalDouble.of(steps.get(0).headIn() - pose.height(plan.inlet()));
    }

    /** Gauge pressure at the engine inlet as head, m. */
    public OptionalDouble headLeft() {
        if (!usable() || weight == 0 || plan.inlet() < 0 || !solution.knownAt(plan.inlet())) {
            return OptionalDouble.empty();
        }
        return OptionalDouble.of(solution.pressureAt(plan.inlet()) / weight);
    }
}
