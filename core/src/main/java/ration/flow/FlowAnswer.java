package ration.flow;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import ration.flow.FlowModel.Wire;
import ration.condition.Condition;
import ration.geometry.Point3;
import ration.model.Item;
import ration.model.PortRef;
import ration.network.Element;
import ration.network.NetworkProblem;
import ration.network.NetworkSolution;

/** The answer to one question, by the ids of the layout. Heights and heads in metres along apparent up. */
public final class FlowAnswer {

    /** Flows below this do not count as flowing, m3/s: 0.001 gph. */
    public static final double NO_FLOW = 1e-9;

    private final FlowModel model;
    private final NetworkProblem problem;
    private final NetworkSolution solution;
    private final double weight;
    private final List<String> airDrawn;
    private final String boilsAt;
    private final String refusal;
    /** Found when first asked for; two threads that ask at once find the same. */
    private volatile List<PathStep> path;

    FlowAnswer(FlowModel model, NetworkProblem problem, NetworkSolution solution) {
        this(model, problem, solution, "");
    }

    private FlowAnswer(FlowModel model, NetworkProblem problem, NetworkSolution solution, String refusal) {
        this.refusal = refusal;
        this.model = model;
        this.problem = problem;
        this.solution = solution;
        this.weight = problem.fluid().density() * problem.gravity();
        this.airDrawn = solution.converged() ? findAir() : List.of();
        this.boilsAt = solution.converged() ? findBoiling() : "";
    }

    /** The same, of which no figure may be read. */
    FlowAnswer refused(String why) {
        return new FlowAnswer(model, problem, solution, why);
    }

    /** What was asked about. */
    public Condition condition() {
        return model.condition();
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
        double least = model.boils();
        for (Wire w : model.wires()) {
            if (w.element() instanceof Element.Vent || Math.abs(solution.flow(w.link())) <= NO_FLOW) {
                continue;
            }
            for (String node : List.of(w.fromNode(), w.toNode())) {
                OptionalDouble p = solution.pressure(node);
                if (p.isPresent() && p.getAsDouble() < least) {
                    least = p.getAsDouble();
                    worst = w.item();
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
        return problem;
    }

    /** Flow into the engine, m3/s; zero when air is drawn. */
    public double inletFlow() {
        if (!usable() || !airDrawn.isEmpty()) {
            return 0;
        }
        double arriving = arriving();
        double borrowed = model.headers().dry().stream().mapToDouble(h -> Math.max(0, drawn(h))).sum();
        double lasting = arriving - borrowed;
        return lasting < NO_FLOW ? 0 : lasting;
    }

    /** Flow through the inlet, lasting or not, m3/s. */
    double arriving() {
        Optional<Wire> last = model.wires().stream().filter(w -> w.toNode().equals(FlowModel.BOWL)).findFirst();
        return last.map(w -> solution.flow(w.link())).orElseGet(model::demandAsked);
    }

    /** Whether the inlet has its least pressure. */
    boolean meetsLeastPressure() {
        return model.inletNode().map(n -> solution.pressure(n).orElse(0) >= model.leastPressure()).orElse(false);
    }

    /** What a header loses for good, m3/s: more drawn than comes in. */
    private double drawn(String header) {
        double sum = 0;
        for (Wire w : model.wires()) {
            if (w.item().equals(header)) {
                String body = header + "~body";
                sum += w.fromNode().equals(body) ? solution.flow(w.link())
                        : w.toNode().equals(body) ? -solution.flow(w.link()) : 0;
            }
        }
        return sum;
    }

    /** Ids of headers that empty because more is taken than comes in. */
    public Set<String> dryHeaders() {
        return usable() ? model.headers().dry() : Set.of();
    }

    /** Flow through a run from its start to its end, m3/s. */
    public double flow(String run) {
        return usable() ? solution.flow(run) : 0;
    }

    /** Net flow out of a tank, m3/s; negative when it fills. */
    public double outflow(Item.Tank tank) {
        double sum = 0;
        for (Wire w : model.wires()) {
            if (usable() && w.item().equals(tank.id())) {
                sum += w.fromNode().startsWith(tank.id() + ".") ? -solution.flow(w.link()) : solution.flow(w.link());
            }
        }
        return sum;
    }

    /** Pressure as the equations have it, Pa: also where no fuel could stand so. */
    OptionalDouble solved(PortRef port) {
        return usable() ? solution.pressure(port.toString()) : OptionalDouble.empty();
    }

    /**
     * Gauge pressure at a port, Pa; empty if closed valves leave it undetermined, or where nothing flows and the figure lies
     * below the pressure at which the fuel boils: no column of fuel stands so.
     */
    public OptionalDouble pressure(PortRef port) {
        OptionalDouble p = usable() ? solution.pressure(port.toString()) : OptionalDouble.empty();
        return p.isPresent() && p.getAsDouble() < model.boils() ? OptionalDouble.empty() : p;
    }

    /** Height of the grade line over the aircraft datum at a port, m. */
    public OptionalDouble head(PortRef port) {
        if (!usable() || weight == 0) {
            return OptionalDouble.empty();
        }
        OptionalDouble p = solution.piezometric(port.toString());
        return p.isPresent() ? OptionalDouble.of(p.getAsDouble() / weight) : OptionalDouble.empty();
    }

    /** Height of a point along apparent up, m. */
    public double height(Point3 point) {
        return model.gravity().height(point);
    }

    public Map<String, TankLevel> levels() {
        return model.levels();
    }

    /** Reynolds number in a run, 0 if it stands. */
    public double reynolds(Item.Run run) {
        return 4 * Math.abs(flow(run.id())) / (Math.PI * run.size().bore() * problem.fluid().viscosity());
    }

    /** Weight of the fuel per volume as felt, Pa per metre of height. */
    public double weight() {
        return weight;
    }

    /** Names of tank outlets through which air reaches the flowing line; empty in a healthy case. */
    public List<String> airDrawn() {
        return airDrawn;
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
        if (!usable() || weight == 0 || model.inletNode().isEmpty()) {
            return List.of();
        }
        Map<String, double[]> steps = new LinkedHashMap<>();
        String node = model.inletNode().get();
        Set<String> seen = new HashSet<>();
        while (seen.add(node) && !model.surface(node)) {
            Wire feeding = null;
            double most = NO_FLOW;
            for (Wire w : model.wires()) {
                double into = w.toNode().equals(node) ? solution.flow(w.link())
                        : w.fromNode().equals(node) ? -solution.flow(w.link()) : 0;
                if (into > most && !w.toNode().equals(FlowModel.BOWL)) {
                    most = into;
                    feeding = w;
                }
            }
            if (feeding == null) {
                break;
            }
            String before = feeding.toNode().equals(node) ? feeding.fromNode() : feeding.toNode();
            double headIn = solution.piezometric(before).orElse(0) / weight;
            double headOut = solution.piezometric(node).orElse(0) / weight;
            double[] step = steps.computeIfAbsent(feeding.item(), k -> new double[] {headIn, headOut});
            step[0] = headIn;
            node = before;
        }
        List<PathStep> found = new ArrayList<>();
        steps.forEach((item, h) -> found.add(new PathStep(item, (h[0] - h[1]) * weight, h[0], h[1])));
        Collections.reverse(found);
        return List.copyOf(found);
    }

    /** What pumps on the path add, Pa. */
    public double pumped() {
        return path().stream().mapToDouble(s -> Math.max(0, -s.loss())).sum();
    }

    /** Head from the surface that feeds to the engine inlet, m; empty if nothing flows. */
    public OptionalDouble headAvailable() {
        List<PathStep> steps = path();
        return steps.isEmpty() || model.inletHeight().isEmpty() ? OptionalDouble.empty()
                : OptionalDouble.of(steps.get(0).headIn() - model.inletHeight().getAsDouble());
    }

    /** Gauge pressure at the engine inlet as head, m. */
    public OptionalDouble headLeft() {
        if (!usable() || weight == 0 || model.inletNode().isEmpty()) {
            return OptionalDouble.empty();
        }
        OptionalDouble p = solution.pressure(model.inletNode().get());
        return p.isPresent() ? OptionalDouble.of(p.getAsDouble() / weight) : p;
    }

    /**
     * Follows the standing line behind each uncovered outlet to where fuel flows. Liquid in it stands at the height
     * that balances the pressure there; if the whole way lies above that height, air gets through.
     */
    private List<String> findAir() {
        List<String> through = new ArrayList<>();
        for (TankLevel level : model.levels().values()) {
            for (String outlet : level.uncovered()) {
                String node = level.tank() + "." + outlet;
                OptionalDouble p = solution.piezometric(node);
                boolean still = Math.abs(solution.flow(node)) < NO_FLOW;
                double over = model.airspace(level.tank());
                if (still && p.isPresent() && weight > 0 && airReaches(node, (p.getAsDouble() - over) / weight, new HashSet<>())
                        || still && jetDraws(node, new HashSet<>())) {
                    through.add(node);
                }
            }
        }
        return through;
    }

    /** Whether a running jet's suction side leads to this bare outlet with nothing flowing between. */
    private boolean jetDraws(String node, Set<String> seen) {
        if (!model.jets() || !seen.add(node)) {
            return false;
        }
        for (Wire w : model.wires()) {
            boolean out = w.fromNode().equals(node);
            if (!out && !w.toNode().equals(node) || w.element().shut() || w.element() instanceof Element.Uncovered
                    || w.element() instanceof Element.Pump) {
                continue;
            }
            if (w.element() instanceof Element.Jet jet) {
                if (out && solution.flow(jet.nozzle()) > NO_FLOW) {
                    return true;
                }
            } else if (Math.abs(solution.flow(w.link())) <= NO_FLOW && jetDraws(out ? w.toNode() : w.fromNode(), seen)) {
                return true;
            }
        }
        return false;
    }

    private boolean airReaches(String node, double liquidStands, Set<String> seen) {
        if (!seen.add(node) || model.nodeHeight(node) <= liquidStands + 1e-6) {
            return false;
        }
        for (Wire w : model.wires()) {
            boolean touches = w.fromNode().equals(node) || w.toNode().equals(node);
            if (touches && Math.abs(solution.flow(w.link())) > NO_FLOW) {
                return true;
            }
        }
        for (Wire w : model.wires()) {
            boolean touches = w.fromNode().equals(node) || w.toNode().equals(node);
            // a running pump that takes in air moves nothing: its line stands, and what lies beyond it is safe
            boolean passes = !(w.element() instanceof Element.Uncovered) && !(w.element() instanceof Element.Jet)
                    && !(w.element() instanceof Element.Pump);
            if (touches && !w.element().shut() && passes
                    && w.lowest() > liquidStands) {
                String other = w.fromNode().equals(node) ? w.toNode() : w.fromNode();
                if (airReaches(other, liquidStands, seen)) {
                    return true;
                }
            }
        }
        return false;
    }
}
