package ration.answer.ask;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import ration.aircraft.condition.Attitude;
import ration.aircraft.condition.Condition;
import ration.aircraft.condition.Power;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Item;
import ration.aircraft.model.PortRef;
import ration.aircraft.model.Pump;
import ration.aircraft.model.Run;
import ration.aircraft.model.Wire;
import ration.aircraft.topology.Topology;
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
 * @param returned share of what it moves by itself that comes back unburned, by the engine's power; of a level aircraft
 *     with half in every tank; nothing where that has no answer
 */
public record WhichPump(String pump, List<Need> needs, List<Condition> never, Map<Power, Double> returned) {

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
        returned = java.util.Collections.unmodifiableMap(new java.util.TreeMap<>(returned));
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
        return Optional.of(new WhichPump(pump, all, never, returned(a, pump)));
    }

    static Map<Power, Double> returned(Assessment a, String pump) {
        FlowBasis basis = a.basis().orElseThrow();
        Map<String, Double> half = new HashMap<>();
        basis.bodies().forEach((id, b) -> half.put(id, b.capacity() / 2));
        Set<String> others = Topology.of(basis.system()).feedPumps().stream()
                .map(Pump::id)
                .filter(id -> !id.equals(pump))
                .collect(Collectors.toSet());
        Map<Power, Double> all = new java.util.EnumMap<>(Power.class);
        for (Power power : Power.values()) {
            double burn = a.project().brief().demand() * power.demandShare();
            FlowAnswer now = basis.ask(
                    new Condition(
                                    Attitude.ofDegrees("Level", 0, 0),
                                    half,
                                    Topology.positions(basis.system()).stream()
                                            .findFirst()
                                            .orElse(Map.of()),
                                    Set.of(),
                                    others,
                                    a.project().brief().fuelKelvin())
                            .with(power),
                    new FlowQuestion.Demand(burn));
            double moved = basis.system()
                    .runAt(new PortRef(pump, Item.OUT))
                    .map(r -> now.usable() ? Math.abs(now.flow(r.id())) : 0)
                    .orElse(0.0);
            if (now.usable() && moved > FlowAnswer.NO_FLOW) {
                all.put(power, share(burn, moved));
            }
        }
        return all;
    }

    /** Of what a pump moves, the share that is not burned, 0 to 1. */
    static double share(double burn, double moved) {
        return Math.max(0, 1 - burn / moved);
    }

    /**
     * A curve at another speed: flow goes with speed, pressure with its square. Affinity of turbine pumps; of others
     * from memory, confidence low.
     *
     * @param speed over the rated one
     */
    public static List<Pump.CurvePoint> at(List<Pump.CurvePoint> curve, Speed speed) {
        return curve.stream()
                .map(p -> new Pump.CurvePoint(
                        Measured.of(p.flow().si() * speed.share(), Unit.CUBIC_METRE_PER_SECOND, "computed"),
                        Measured.of(p.pressure().si() * speed.share() * speed.share(), Unit.PASCAL, "computed")))
                .toList();
    }

    /** Over the rated speed: by voltage, the share of the rated voltage. */
    public record Speed(double share) {

        /** Nominal voltage of a charged bus, at which pumps are rated; common practice, no source. */
        public static final double RATED_VOLTS = 13.8;

        /** Of an electric pump by what its wire leaves of the bus; empty where wire or current are not known. */
        public static Optional<Speed> wired(Pump pump) {
            OptionalDouble ohms = pump.build().wiring().wire().map(Wire::ohms).orElse(OptionalDouble.empty());
            return pump.drive() == Pump.Drive.ELECTRIC
                            && ohms.isPresent()
                            && pump.build().current().isPresent()
                    ? Optional.of(new Speed(Math.max(
                            0,
                            (RATED_VOLTS
                                            - ohms.getAsDouble()
                                                    * pump.build()
                                                            .current()
                                                            .get()
                                                            .si())
                                    / RATED_VOLTS)))
                    : Optional.empty();
        }

        public double volts() {
            return share * RATED_VOLTS;
        }
    }

    /** How a curve, flow and pressure points with the flow rising, fares: it fits none while a case never holds. */
    public Fit fit(List<Pump.CurvePoint> curve) {
        return fit(curve, Double.POSITIVE_INFINITY);
    }

    /** The same of a pump as it is fitted, cut off at its relief. */
    public Fit fit(Pump fitted) {
        return fit(fitted, new Speed(1));
    }

    /** The same at another speed. */
    public Fit fit(Pump fitted, Speed speed) {
        return fit(
                at(fitted.curve(), speed),
                fitted.build().relief().map(Measured::si).orElse(Double.POSITIVE_INFINITY));
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
