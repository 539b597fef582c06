package ration.flow;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Set;
import ration.condition.Condition;
import ration.condition.Fault;
import ration.fluid.Fluid;
import ration.geometry.Point3;
import ration.model.Outlet;
import ration.model.PortRef;
import ration.model.Run;
import ration.model.Tank;
import ration.network.Element;
import ration.network.NetworkProblem;
import ration.network.NetworkSolution;

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
        this.airDrawn = solution.converged() ? findAir() : List.of();
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

    /** Id of the item at which the flow asked for would fall below the boiling pressure of the fuel; empty if nowhere. */
    String boilsAt() {
        return boilsAt;
    }

    private String findBoiling() {
        String worst = "";
        double least = pose.boils();
        List<Wire> wires = plan.wires();
        for (int w = 0; w < wires.size(); w++) {
            Wire wire = wires.get(w);
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
        int last = plan.last();
        return last >= 0 ? solution.flowAt(last) : pose.demandAsked();
    }

    /** Whether the inlet has its least pressure. */
    boolean meetsLeastPressure() {
        return plan.inlet() >= 0 && (solution.knownAt(plan.inlet()) ? solution.pressureAt(plan.inlet()) : 0) >= pose
                .leastPressure();
    }

    /** What a header loses, m3/s: more drawn than comes in; zero while it stays full. */
    public double drawn(String header) {
        return usable() && pose.headers().dry().contains(header) ? Math.max(0, lost(header)) : 0;
    }

    private double lost(String header) {
        double sum = 0;
        for (int w : plan.wiresOf(header)) {
            Wire wire = plan.wires().get(w);
            sum += wire.from() == plan.spot(header + "~body") ? solution.flowAt(w) : wire.to() == plan.spot(header + "~body")
                    ? -solution.flowAt(w) : 0;
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

    /** Net flow out of a tank, m3/s; negative when it fills. */
    public double outflow(Tank tank) {
        if (!usable()) {
            return 0;
        }
        double sum = 0;
        for (int w : plan.wiresOf(tank.id())) {
            boolean leaves = plan.isPort(plan.wires().get(w).to());
            sum += leaves ? solution.flowAt(w) : -solution.flowAt(w);
        }
        return sum;
    }

    /** Flow out of a tank through one of its outlets, m3/s; negative when it fills through it. */
    public double outflow(Tank tank, Outlet outlet) {
        int w = usable() ? plan.wire(tank.id() + "." + outlet.name()) : -1;
        return w < 0 ? 0 : plan.isPort(plan.wires().get(w).to()) ? solution.flowAt(w) : -solution.flowAt(w);
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
     * Gauge pressure at a port, Pa; empty if there is no such port, if closed valves leave it undetermined, or where nothing
     * flows and the figure lies below the pressure at which the fuel boils: no column of fuel stands so.
     */
    public OptionalDouble pressure(PortRef port) {
        OptionalDouble p = usable() && plan.spot(port) >= 0 ? solution.pressure(port.toString()) : OptionalDouble.empty();
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
        return 4 * Math.abs(flow(run.id())) / (Math.PI * run.size().bore() * plan.fluid().viscosity());
    }

    /** Weight of the fuel per volume as felt, Pa per metre of height. */
    public double weight() {
        return weight;
    }

    /** Names of tank outlets, and of parts that leak, through which air reaches the flowing line; empty in a healthy case. */
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
            known = findPath();
            path = known;
        }
        return known;
    }

    private List<PathStep> findPath() {
        if (!usable() || weight == 0 || plan.inlet() < 0) {
            return List.of();
        }
        Map<String, double[]> steps = new LinkedHashMap<>();
        int node = plan.inlet();
        for (int feeding : back(node)) {
            int before = plan.wires().get(feeding).other(node);
            double headIn = headAt(before);
            double headOut = headAt(node);
            double[] step = steps.computeIfAbsent(plan.wires().get(feeding).item(), k -> new double[] {headIn, headOut});
            step[0] = headIn;
            node = before;
        }
        List<PathStep> found = new ArrayList<>();
        steps.forEach((item, h) -> found.add(new PathStep(item, (h[0] - h[1]) * weight, h[0], h[1])));
        Collections.reverse(found);
        return List.copyOf(found);
    }

    /**
     * The wires back to the surface the fuel comes from, the one that brings most first at each node; what only goes round, as
     * from a rail back to the header before its pumps, is not where fuel comes from. Without a surface, the one that brings most.
     */
    private List<Integer> back(int inlet) {
        List<Integer> way = new ArrayList<>();
        if (reaches(inlet, new boolean[plan.spots().size()], way)) {
            return way;
        }
        boolean[] seen = new boolean[plan.spots().size()];
        for (int node = inlet; !seen[node] && !feeding(node).isEmpty(); node = plan.wires().get(way.get(way.size() - 1)).other(node)) {
            seen[node] = true;
            way.add(feeding(node).get(0));
        }
        return way;
    }

    private boolean reaches(int node, boolean[] seen, List<Integer> way) {
        if (plan.surface(node)) {
            return true;
        }
        seen[node] = true;
        for (int feeding : feeding(node)) {
            int before = plan.wires().get(feeding).other(node);
            if (!seen[before]) {
                way.add(feeding);
                if (reaches(before, seen, way)) {
                    return true;
                }
                way.remove(way.size() - 1);
            }
        }
        return false;
    }

    private double headAt(int node) {
        return solution.knownAt(node) ? solution.piezometricAt(node) / weight : 0;
    }

    /** The wires that bring a node fuel, the one that brings most first. */
    private List<Integer> feeding(int node) {
        List<Integer> all = new ArrayList<>();
        for (int w : plan.wiresAt(node)) {
            Wire wire = plan.wires().get(w);
            if (wire.to() != plan.bowl() && into(node, w) > NO_FLOW) {
                all.add(w);
            }
        }
        if (all.size() > 1) {
            all.sort(Comparator.comparingDouble(w -> -into(node, w)));
        }
        return all;
    }

    private double into(int node, int w) {
        return plan.wires().get(w).to() == node ? solution.flowAt(w) : -solution.flowAt(w);
    }

    /** What pumps on the path add, Pa. */
    public double pumped() {
        return path().stream().mapToDouble(s -> Math.max(0, -s.loss())).sum();
    }

    /** Head from the surface that feeds to the engine inlet, m; empty if nothing flows. */
    public OptionalDouble headAvailable() {
        List<PathStep> steps = path();
        return steps.isEmpty() || plan.inlet() < 0 ? OptionalDouble.empty()
                : OptionalDouble.of(steps.get(0).headIn() - pose.height(plan.inlet()));
    }

    /** Gauge pressure at the engine inlet as head, m. */
    public OptionalDouble headLeft() {
        if (!usable() || weight == 0 || plan.inlet() < 0 || !solution.knownAt(plan.inlet())) {
            return OptionalDouble.empty();
        }
        return OptionalDouble.of(solution.pressureAt(plan.inlet()) / weight);
    }

    /**
     * Follows the standing line behind each uncovered outlet to where fuel flows. Liquid in it stands at the height
     * that balances the pressure there; if the whole way lies above that height, air gets through. A part that lets air in
     * does so where the pressure falls under ambient.
     */
    private List<String> findAir() {
        List<String> through = new ArrayList<>();
        for (TankLevel level : pose.levels().values()) {
            for (String outlet : level.uncovered()) {
                String name = level.tank() + "." + outlet;
                int node = plan.spot(name);
                boolean still = Math.abs(solution.flowAt(plan.wire(name))) < NO_FLOW;
                double over = pose.airspace(level.tank());
                if (still && solution.knownAt(node) && weight > 0 && airReaches(node, (solution.piezometricAt(node) - over) / weight,
                        new boolean[plan.spots().size()]) || still && jetDraws(node, new boolean[plan.spots().size()])) {
                    through.add(name);
                }
            }
        }
        for (Fault f : pose.condition().faults().all()) {
            if (f.kind() == Fault.Kind.AIR_LEAK) {
                String name = plan.basis().leakPort(f);
                int node = plan.spot(name);
                if (node >= 0 && solution.knownAt(node) && solution.pressureAt(node) < 0 && flowsAt(node)) {
                    through.add(name);
                }
            }
        }
        return through;
    }

    private boolean flowsAt(int node) {
        for (int w : plan.wiresAt(node)) {
            if (Math.abs(solution.flowAt(w)) > NO_FLOW) {
                return true;
            }
        }
        return false;
    }

    /** Whether a running jet's suction side leads to this bare outlet with nothing flowing between. */
    private boolean jetDraws(int node, boolean[] seen) {
        if (!plan.jets() || seen[node]) {
            return false;
        }
        seen[node] = true;
        for (int w : plan.wiresAt(node)) {
            Wire wire = plan.wires().get(w);
            Element element = wire.element();
            if (element.shut() || element instanceof Element.Uncovered || element instanceof Element.Pump) {
                continue;
            }
            if (element instanceof Element.Jet jet) {
                if (wire.from() == node && solution.flow(jet.nozzle()) > NO_FLOW) {
                    return true;
                }
            } else if (Math.abs(solution.flowAt(w)) <= NO_FLOW && jetDraws(wire.other(node), seen)) {
                return true;
            }
        }
        return false;
    }

    private boolean airReaches(int node, double liquidStands, boolean[] seen) {
        if (seen[node] || pose.height(node) <= liquidStands + 1e-6) {
            return false;
        }
        seen[node] = true;
        if (flowsAt(node)) {
            return true;
        }
        for (int w : plan.wiresAt(node)) {
            Wire wire = plan.wires().get(w);
            Element element = wire.element();
            // a running pump that takes in air moves nothing: its line stands, and what lies beyond it is safe
            boolean passes = !element.shut() && !(element instanceof Element.Uncovered) && !(element instanceof Element.Jet)
                    && !(element instanceof Element.Pump);
            if (passes && pose.lowest(wire) > liquidStands && airReaches(wire.other(node), liquidStands, seen)) {
                return true;
            }
        }
        return false;
    }
}
