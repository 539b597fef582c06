package ration.answer.assess;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Stream;
import ration.aircraft.condition.Attitude;
import ration.aircraft.condition.Condition;
import ration.aircraft.condition.Contents;
import ration.aircraft.condition.Day;
import ration.aircraft.condition.Fault;
import ration.aircraft.flight.Phase;
import ration.aircraft.heat.HeatFigure;
import ration.aircraft.topology.Topology;
import ration.physics.flow.FlowAnswer;
import ration.physics.flow.FlowBasis;
import ration.physics.flow.TankLevel;
import ration.physics.vapor.Air;
import ration.physics.vapor.HeatPath;

/**
 * The cases a fault is asked in: every judged case on clean filters with all pumps on and with those that run in some
 * phase of the flight, and every phase as it is flown, on each handle position and filling. Filters fouled are a
 * failure of their own, and two at once are not asked.
 */
public final class FaultCases {

    private FaultCases() {}

    /**
     * A case a fault is asked in.
     *
     * @param sound without a fault
     * @param airs heights and fuel of the hot day it is flown in; none where the fuel is that of a cold one
     * @param flown whether it is a phase of the flight and none of the matrix
     */
    public record Asked(CaseAnswer sound, List<Air> airs, boolean flown) {

        public Asked {
            airs = List.copyOf(airs);
        }
    }

    /** All of them, whether they hold without a fault or not. */
    public static List<Asked> all(Assessment a, List<Phase> phases) {
        Set<Set<String>> pumps = new HashSet<>(Set.of(Set.of()));
        phases.forEach(p -> pumps.add(PumpSet.stopped(a.project().system(), p)));
        double hot = a.project().heat().si(HeatFigure.TANK_FUEL);
        double ceiling = a.project().heat().si(HeatFigure.CEILING);
        List<Asked> all = new ArrayList<>();
        for (CaseAnswer c : a.cases()) {
            if (c.judged()
                    && !c.condition().engine().fouled()
                    && pumps.contains(c.condition().stopped())) {
                List<Air> airs = c.cold()
                        ? List.of()
                        : c.steady() ? List.of(new Air(0, hot), new Air(ceiling, hot)) : List.of(new Air(0, hot));
                all.add(new Asked(c, airs, false));
            }
        }
        return Stream.concat(all.stream(), flown(a, phases, hot).parallelStream())
                .toList();
    }

    private static List<Asked> flown(Assessment a, List<Phase> phases, double hot) {
        FlowBasis basis = a.basis().orElseThrow();
        Map<Contents, Map<String, Double>> filled = new HashMap<>();
        Arrays.stream(Contents.values()).forEach(c -> filled.put(c, a.fill(c)));
        Set<Flown> distinct = new LinkedHashSet<>();
        phases.stream().filter(p -> p.share().si() > 0).forEach(p -> distinct.add(Flown.of(a, p)));
        record Level(Flown flown, Contents contents, Condition condition, Map<String, TankLevel> levels) {}
        List<Level> levels = new ArrayList<>();
        for (Flown f : distinct) {
            for (Contents contents : Contents.values()) {
                Condition c = new Condition(
                                f.attitude(),
                                filled.get(contents),
                                Map.of(),
                                Set.of(),
                                f.stopped(),
                                a.project().brief().fuelKelvin())
                        .with(f.phase().power())
                        .with(new Day(f.altitude(), 0));
                levels.add(new Level(f, contents, c, basis.levels(c)));
            }
        }
        List<CaseAnswer.Setting> settings = new ArrayList<>();
        for (Map<String, String> position : Topology.positions(a.project().system())) {
            levels.forEach(l -> settings.add(new CaseAnswer.Setting(
                    l.condition().withPositions(position),
                    Filling.of(l.contents()),
                    PumpSet.of(basis.system(), l.flown().stopped()),
                    l.levels(),
                    true,
                    l.flown().share())));
        }
        return settings.parallelStream()
                .map(s -> new Asked(
                        new CaseAnswer(basis, a.project().brief(), s),
                        List.of(new Air(s.condition().air().day().altitudeM(), hot)),
                        true))
                .toList();
    }

    /** What the network feels of a phase; two phases that are alike are asked once. */
    private record Flown(Attitude attitude, Phase phase, double share, double altitude, Set<String> stopped) {

        static Flown of(Assessment a, Phase p) {
            return new Flown(
                    p.attitude(),
                    p,
                    p.share().si(),
                    p.altitude().si(),
                    PumpSet.stopped(a.project().system(), p));
        }

        private List<Object> felt() {
            return List.of(attitude.pitchRad(), attitude.tiltRad(), share, altitude, stopped);
        }

        @Override
        public boolean equals(Object other) {
            return other instanceof Flown f && f.felt().equals(felt());
        }

        @Override
        public int hashCode() {
            return felt().hashCode();
        }
    }

    /** Those that bring the engine its demand without a fault, on the hot day too. */
    public static List<CaseAnswer> of(Assessment a) {
        return a.blocked()
                ? List.of()
                : all(a, List.of()).stream()
                        .filter(c -> holds(a, c))
                        .map(Asked::sound)
                        .toList();
    }

    /**
     * Whether a case brings the engine its demand, under the most pressure its inlet takes, without boiling on the hot
     * day.
     */
    public static boolean holds(Assessment a, Asked c) {
        return c.sound().answered()
                && arrives(c.sound()) >= 1
                && !over(a, c.sound())
                && degrees(a, c.sound(), c.airs()).orElse(0) >= 0;
    }

    /** Share of the demand that arrives. */
    public static double arrives(CaseAnswer c) {
        return c.capacity().usable() ? c.margin() : 0;
    }

    /** Whether the inlet stands over the most pressure it takes. */
    public static boolean over(Assessment a, CaseAnswer c) {
        OptionalDouble pressure = c.inletPressureAtDemand(a.project().system());
        return pressure.isPresent()
                && a.project()
                        .system()
                        .inlet()
                        .flatMap(i -> i.maximumPressure())
                        .filter(m -> pressure.getAsDouble() > m.si())
                        .isPresent();
    }

    /**
     * The fewest degrees left before it boils on the way in any of these airs; empty where nothing flows or none is
     * asked, not a number where it has no answer.
     */
    public static OptionalDouble degrees(Assessment a, CaseAnswer c, List<Air> airs) {
        if (airs.isEmpty()) {
            return OptionalDouble.empty();
        }
        FlowAnswer hot = c.demandAt(airs.get(0).fuelKelvin());
        if (!hot.usable()) {
            return OptionalDouble.of(Double.NaN);
        }
        HeatPath path = HeatPath.of(
                a.project().system(),
                hot,
                a.project().heat(),
                c.condition().engine().power());
        return path.stands()
                ? OptionalDouble.empty()
                : airs.stream().mapToDouble(path::fewest).min();
    }

    /** A case with something failed, its networks kept apart. */
    public static CaseAnswer failed(Assessment a, FlowBasis apart, CaseAnswer sound, Fault f) {
        return new CaseAnswer(
                apart,
                a.project().brief(),
                sound.setting().with(sound.condition().with(f)));
    }

    /** The same case with its handles and power set otherwise. */
    public static CaseAnswer set(Assessment a, FlowBasis apart, CaseAnswer of, Condition condition) {
        return new CaseAnswer(
                apart,
                a.project().brief(),
                new CaseAnswer.Setting(
                        condition,
                        of.filling(),
                        PumpSet.of(apart.system(), condition.stopped()),
                        of.setting().levels()));
    }

    /** Answers a condition like one of the cases: its contents keep their name. */
    public static CaseAnswer like(Assessment a, CaseAnswer of, Condition condition) {
        return new CaseAnswer(a.basis().orElseThrow(), a.project().brief(), condition, of.filling());
    }

    /**
     * Every way the handles could stand: each position of each selector, OFF left out, and each set of feed pumps that
     * runs.
     */
    public static List<Condition> handles(Assessment a, Condition from) {
        List<Condition> all = new ArrayList<>();
        for (Map<String, String> position : Topology.positions(a.project().system())) {
            for (PumpSet pumps : PumpSet.of(a.project().system())) {
                all.add(from.withPositions(position).withStopped(Set.copyOf(pumps.stopped())));
            }
        }
        return all;
    }
}
