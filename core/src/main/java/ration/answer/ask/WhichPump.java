package ration.answer.ask;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import ration.aircraft.condition.Condition;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Item;
import ration.aircraft.model.PortRef;
import ration.aircraft.model.Pump;
import ration.aircraft.model.Run;
import ration.answer.assess.Assessment;
import ration.answer.assess.CaseAnswer;
import ration.base.quantity.Measured;
import ration.base.quantity.Unit;
import ration.base.task.Steps;
import ration.base.task.Task;
import ration.physics.flow.FlowAnswer;
import ration.physics.flow.FlowBasis;
import ration.physics.flow.FlowQuestion;

/**
 * What a pump has to give: in each judged case in which it runs, the least pressure rise with which the flow asked for
 * reaches the inlet at its least pressure, and the flow that then goes through the pump, what it spills and drives with
 * it. A pump fits whose curve lies at or above all of these. Solved through the same network, with the pump's own curve
 * taken out.
 *
 * @param pump id
 * @param needs the hardest first
 * @param never cases that no pressure up to {@link #MOST} makes hold: another part is in the way
 */
public record WhichPump(String pump, List<Need> needs, List<Condition> never) {

    /** As far as is asked, Pa: 120 psi. */
    public static final double MOST = 120 * 6894.757293168361;

    /** Pressures nearer than this are one, Pa. */
    private static final double EXACT = 5;

    /** A curve that is flat to here, m3/s; it falls by a hair, so that it never rises. */
    private static final double FAR = 0.01;

    private static final int STEPS = 60;

    /** The first rise asked, Pa, and by how much the next is more. */
    private static final double FIRST = 500;

    private static final double WIDER = 1.6;

    public WhichPump {
        needs = List.copyOf(needs);
        never = List.copyOf(never);
    }

    /**
     * What one case asks of it.
     *
     * @param flow through it at its rated speed, m3/s
     * @param rise of pressure from its inlet to its outlet, Pa; 0 where it flows without
     */
    public record Need(Condition condition, double flow, double rise) {}

    /**
     * A curve held against the needs.
     *
     * @param share the least of what it gives over what is needed; infinite where nothing is
     * @param worst the case that says so
     */
    public record Fit(double share, Optional<Need> worst) {
        public boolean fits() {
            return share >= 1;
        }
    }

    /** Of a pump of a layout; empty where nothing is judged with it running, or the task is cancelled. */
    public static Optional<WhichPump> of(Assessment a, String pump, Task task) {
        Optional<Pump> found = a.project().system().item(pump).flatMap(i -> i.only(Pump.class));
        List<CaseAnswer> cases = a.cases().stream()
                .filter(c -> c.judged() && !c.condition().stopped().contains(pump))
                .toList();
        if (found.isEmpty() || cases.isEmpty() || a.basis().isEmpty()) {
            return Optional.empty();
        }
        Need[] needs = new Need[cases.size()];
        Steps steps = new Steps(task.progress(), cases.size());
        IntStream.range(0, cases.size()).parallel().forEach(i -> {
            if (!task.cancelled().getAsBoolean()) {
                needs[i] = new Asked(a.basis().get(), found.get(), cases.get(i)).need();
                steps.done();
            }
        });
        if (task.cancelled().getAsBoolean()) {
            return Optional.empty();
        }
        List<Need> all = new ArrayList<>(List.of(needs));
        List<Condition> never = all.stream()
                .filter(n -> Double.isNaN(n.rise))
                .map(Need::condition)
                .toList();
        all.removeIf(n -> Double.isNaN(n.rise));
        all.sort(Comparator.comparingDouble(Need::rise).reversed());
        return Optional.of(new WhichPump(pump, all, never));
    }

    /** How a curve, flow and pressure points with the flow rising, fares: it fits none while a case never holds. */
    public Fit fit(List<Pump.CurvePoint> curve) {
        return fit(curve, Double.POSITIVE_INFINITY);
    }

    /** The same of a pump as it is fitted, cut off at its relief. */
    public Fit fit(Pump fitted) {
        return fit(fitted.curve(), fitted.build().relief().map(Measured::si).orElse(Double.POSITIVE_INFINITY));
    }

    private Fit fit(List<Pump.CurvePoint> curve, double relief) {
        Fit least = new Fit(never.isEmpty() ? Double.POSITIVE_INFINITY : 0, Optional.empty());
        for (Need n : needs) {
            double share = n.rise <= 0 ? Double.POSITIVE_INFINITY : Math.min(relief, at(curve, n.flow)) / n.rise;
            if (share < least.share) {
                least = new Fit(share, Optional.of(n));
            }
        }
        return least;
    }

    /** Along straight lines, the end ones carried on, as the network has it. */
    static double at(List<Pump.CurvePoint> curve, double flow) {
        int i = 1;
        while (i < curve.size() - 1 && flow > curve.get(i).flow().si()) {
            i++;
        }
        Pump.CurvePoint a = curve.get(i - 1);
        Pump.CurvePoint b = curve.get(i);
        double slope = (b.pressure().si() - a.pressure().si())
                / (b.flow().si() - a.flow().si());
        return a.pressure().si() + slope * (flow - a.flow().si());
    }

    /** The corners of the least curve: of the needs, those that no other asks more flow and more pressure than. */
    public List<Need> corners() {
        List<Need> corners = new ArrayList<>();
        for (Need n : needs) {
            if (n.rise > 0 && corners.stream().noneMatch(o -> o.flow >= n.flow && o.rise >= n.rise)) {
                corners.add(n);
            }
        }
        corners.sort(Comparator.comparingDouble(Need::flow));
        return corners;
    }

    /** One case asked with one rise after the other. */
    private record Asked(FlowBasis basis, Pump pump, CaseAnswer given) {

        Need need() {
            double wanted = given.factor() * given.need();
            double speed = pump.drive() == Pump.Drive.ENGINE
                    ? given.condition().engine().power().speedShare()
                    : 1;
            double low = 0;
            FlowAnswer there = at(low);
            if (reaches(there, wanted)) {
                return new Need(given.condition(), through(there) / speed, 0);
            }
            // upward: far too much of a pump draws so hard that its own suction boils
            double high = FIRST;
            there = at(high);
            while (!reaches(there, wanted)) {
                low = high;
                high *= WIDER;
                if (high > MOST) {
                    return new Need(given.condition(), Double.NaN, Double.NaN);
                }
                there = at(high);
            }
            for (int i = 0; i < STEPS && high - low > EXACT; i++) {
                double middle = (low + high) / 2;
                FlowAnswer now = at(middle);
                if (reaches(now, wanted)) {
                    high = middle;
                    there = now;
                } else {
                    low = middle;
                }
            }
            return new Need(given.condition(), through(there) / speed, high);
        }

        private static boolean reaches(FlowAnswer a, double wanted) {
            return a.usable() && a.inletFlow() >= wanted * (1 - 1e-9);
        }

        private FlowAnswer at(double rise) {
            List<Pump.CurvePoint> flat = List.of(
                    new Pump.CurvePoint(
                            Measured.of(0, Unit.CUBIC_METRE_PER_SECOND, "asked"),
                            Measured.of(rise, Unit.PASCAL, "asked")),
                    new Pump.CurvePoint(
                            Measured.of(FAR, Unit.CUBIC_METRE_PER_SECOND, "asked"),
                            Measured.of(rise * (1 - 1e-6), Unit.PASCAL, "asked")));
            Pump.Build build = pump.build();
            FuelSystem other = basis.system()
                    .replace(pump.withCurve(flat)
                            .withBuild(new Pump.Build(
                                    Optional.empty(),
                                    build.current(),
                                    build.checked(),
                                    build.bus(),
                                    build.wiring(),
                                    build.grain())));
            return basis.with(other)
                    .aside()
                    .ask(given.condition(), given.setting().levels(), new FlowQuestion.Capacity());
        }

        private double through(FlowAnswer a) {
            return basis.system()
                    .runAt(new PortRef(pump.id(), Item.OUT))
                    .map(Run::id)
                    .map(r -> Math.abs(a.flow(r)))
                    .orElse(0.0);
        }
    }
}
