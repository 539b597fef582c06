package ration.answer.ask;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import ration.aircraft.condition.Attitude;
import ration.aircraft.condition.Condition;
import ration.aircraft.model.Item;
import ration.aircraft.model.PortRef;
import ration.aircraft.model.Tank;
import ration.aircraft.topology.Topology;
import ration.answer.assess.Assessment;
import ration.answer.assess.CaseAnswer;
import ration.physics.flow.FlowAnswer;
import ration.record.project.Project;

/**
 * Which of several tanks open at once feeds faster, and why, as the engine takes its demand. Each tank's height and the
 * pressure over its fuel drive it against what its line costs to where it meets the others: all three are told as
 * heights of fuel, and at the meeting they make the same head.
 *
 * @param meets name of the item at which the lines of the tanks meet
 * @param tanks the faster first
 * @param evens degrees the aircraft leans, right side down above zero, until the first two feed alike; empty if it does
 *     not come to that within {@link #MOST_LEAN}
 */
public record WhichTank(String meets, List<Share> tanks, OptionalDouble evens) {

    public static final int MOST_LEAN = 15;
    private static final double EXACT = 0.02;
    private static final double STEP = 0.5;

    public WhichTank {
        tanks = List.copyOf(tanks);
    }

    /**
     * What one tank does.
     *
     * @param tank id
     * @param flow out of it, m3/s; under zero it fills
     * @param share of all that leaves tanks
     * @param height of its fuel over the engine inlet, m
     * @param vent pressure over its fuel as a height of fuel, m
     * @param loss on its way to where the lines meet, as a height of fuel, m; under zero where fuel runs back
     */
    public record Share(String tank, double flow, double share, double height, double vent, double loss) {}

    /**
     * By how much the first gives more than the second, as logarithms that add up: by what the height of its fuel
     * drives, by its vent, by an easier line. A line's loss is taken to go with the square of its flow to tell them
     * apart (common practice, no source); the flows themselves are solved.
     *
     * @param all logarithm of the ratio of the two flows
     */
    public record Shares(double all, double height, double vent, double line) {}

    /** The shares in the lead of the first over the second; empty where one of them does not feed. */
    public Optional<Shares> shares() {
        Share a = tanks.get(0);
        Share b = tanks.get(1);
        if (!(a.loss() > 0) || !(b.loss() > 0) || !(a.flow() > 0) || !(b.flow() > 0)) {
            return Optional.empty();
        }
        double all = Math.log(a.flow() / b.flow());
        double driven = 0.5 * Math.log(a.loss() / b.loss());
        double apart = a.loss() - b.loss();
        double height = Math.abs(apart) < 1e-12 ? 0 : driven * (a.height() - b.height()) / apart;
        return Optional.of(new Shares(all, height, driven - height, all - driven));
    }

    /** Of a case; empty unless two tanks or more are open to the engine at once. */
    public static Optional<WhichTank> of(Assessment assessment, Condition condition) {
        Optional<CaseAnswer> look = assessment.look(condition);
        Project project = assessment.project();
        List<Tank> open = look.map(l -> feeding(project, l)).orElse(List.of());
        if (open.size() < 2) {
            return Optional.empty();
        }
        FlowAnswer flow = look.get().demand();
        Optional<Item> meeting = meeting(project, open);
        OptionalDouble head =
                meeting.map(m -> flow.head(new PortRef(m.id(), Item.OUT))).orElse(OptionalDouble.empty());
        if (head.isEmpty() || flow.weight() <= 0) {
            return Optional.empty();
        }
        double inlet = project.system()
                .inlet()
                .map(i -> flow.height(i.place().point()))
                .orElse(0.0);
        double all =
                open.stream().mapToDouble(t -> Math.max(0, flow.outflow(t))).sum();
        List<Share> shares = new ArrayList<>();
        for (Tank t : open) {
            double surface = flow.levels().get(t.id()).surface();
            double vent = flow.airspace(t.id()) / flow.weight();
            shares.add(new Share(
                    t.id(),
                    flow.outflow(t),
                    all > 0 ? Math.max(0, flow.outflow(t)) / all : 0,
                    surface - inlet,
                    vent,
                    surface + vent - head.getAsDouble()));
        }
        shares.sort(Comparator.comparingDouble((Share s) -> -s.flow()));
        return Optional.of(new WhichTank(
                meeting.get().name(),
                shares,
                evens(assessment, condition, shares.get(0).tank(), shares.get(1).tank())));
    }

    /** Tanks whose fuel moves with the handles so. */
    private static List<Tank> feeding(Project project, CaseAnswer look) {
        return project.system().tanks().stream()
                .filter(t -> !t.outlets().isEmpty()
                        && look.demand().usable()
                        && Math.abs(look.demand().outflow(t)) > FlowAnswer.NO_FLOW)
                .toList();
    }

    /** The first item on the way to the engine that all of them lead to. */
    private static Optional<Item> meeting(Project project, List<Tank> tanks) {
        Topology topology = Topology.of(project.system());
        List<Set<String>> below =
                tanks.stream().map(t -> topology.downstream(t.id())).toList();
        return topology.ranks().entrySet().stream()
                .filter(e -> below.stream().allMatch(b -> b.contains(e.getKey())))
                .min(Comparator.comparingInt(e -> e.getValue()))
                .flatMap(e -> project.system().item(e.getKey()))
                .filter(i -> i.ports().contains(Item.OUT));
    }

    private static OptionalDouble evens(Assessment assessment, Condition c, String faster, String slower) {
        for (double lean = STEP; lean <= MOST_LEAN; lean += STEP) {
            for (double side : new double[] {1, -1}) {
                if (ahead(assessment, c, side * lean, faster, slower) <= 0) {
                    double holds = lean - STEP;
                    double over = lean;
                    while (over - holds > EXACT) {
                        double middle = (over + holds) / 2;
                        if (ahead(assessment, c, side * middle, faster, slower) <= 0) {
                            over = middle;
                        } else {
                            holds = middle;
                        }
                    }
                    return OptionalDouble.of(side * over);
                }
            }
        }
        return OptionalDouble.empty();
    }

    /** How far the faster is ahead, m3/s, leaning so; no answer is no change. */
    private static double ahead(Assessment assessment, Condition c, double lean, String faster, String slower) {
        Attitude a = c.attitude();
        Attitude so = new Attitude(a.name(), a.pitchRad(), a.tiltRad() + Math.toRadians(lean));
        return assessment
                .look(c.with(so))
                .filter(l -> l.demand().usable())
                .map(l -> {
                    Project p = assessment.project();
                    return l.demand().outflow(tank(p, faster)) - l.demand().outflow(tank(p, slower));
                })
                .orElse(1.0);
    }

    private static Tank tank(Project p, String id) {
        return p.system().tanks().stream()
                .filter(t -> t.id().equals(id))
                .findFirst()
                .orElseThrow();
    }
}
