package ration.answer.assess;

import java.util.ArrayList;
import java.util.DoubleSummaryStatistics;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.hipparchus.analysis.UnivariateFunction;
import org.hipparchus.analysis.solvers.BracketingNthOrderBrentSolver;
import ration.aircraft.heat.Heat;
import ration.aircraft.heat.HeatFigure;
import ration.aircraft.model.EngineInlet;
import ration.aircraft.model.Item;
import ration.aircraft.model.PortRef;
import ration.aircraft.model.Tank;
import ration.aircraft.model.VentPlenum;
import ration.base.geometry.Point3;
import ration.physics.breathing.AirLine;
import ration.physics.breathing.VentPath;
import ration.physics.breathing.Vents;
import ration.record.project.Project;

/**
 * The air side of one tank.
 *
 * @param tank itself
 * @param line its own vent as said; empty while bore and length are not known
 * @param through vents of further tanks its air passes before the open air, with what those tanks draw themselves
 * @param ends where its vent leads in the end
 * @param tip pressure coefficient of the tip its air comes in by in the end
 * @param feeding air that comes in at take-off demand, m3/s
 * @param returning air that goes out where more comes back, or runs over from another tank, than is taken, m3/s
 * @param filling air that goes out while it is filled, m3/s
 * @param descending air that comes in on the way down, nearly empty, m3/s
 * @param blocked what happens once the vent is shut; empty where the tank never feeds alone
 */
public record AirAnswer(
        Tank tank,
        Optional<AirLine> line,
        List<Beyond> through,
        VentPath.Ends ends,
        double tip,
        double feeding,
        double returning,
        double filling,
        double descending,
        Optional<Blocked> blocked) {

    public boolean shut() {
        return ends != VentPath.Ends.OUTSIDE;
    }

    /**
     * A vent further on.
     *
     * @param line of another tank, or of a plenum
     * @param descending air that the tanks take which come in there, on the way down, m3/s
     */
    public record Beyond(AirLine line, double descending) {}

    /**
     * A blocked vent at take-off demand: the air over the fuel thins and the surface falls. How fast lies between air
     * that keeps its warmth (n 1.0) and air that keeps its heat (n 1.4), and between the ground and the ceiling.
     *
     * @param look the case in which it is soonest, of all attitudes and fillings: a full tank has least air
     * @param soonest that flow is short: n 1.4 at sea level
     * @param latest n 1.0 at the highest altitude flown
     * @param boilsFirst whether the fuel under the thinned air boils before flow is short, on the hot day at that
     *     altitude
     * @param suction under ambient when flow is short, Pa: what the tank's shell must bear
     */
    public record Blocked(CaseAnswer look, Run soonest, Run latest, boolean boilsFirst, double suction) {

        /** Whether the fuel ends before the air holds it back, however slowly it thins. */
        public boolean outlasts() {
            return soonest.outlasts();
        }
    }

    /**
     * How long a tank feeds.
     *
     * @param volume that feeds before flow is short, m3
     * @param seconds it takes
     * @param outlasts whether the fuel ends first
     */
    public record Run(double volume, double seconds, boolean outlasts) {}

    /** Of every tank. */
    public static List<AirAnswer> of(Project project, List<CaseAnswer> cases, List<TankAnswer> tanks) {
        List<AirAnswer> all = new ArrayList<>();
        Heat heat = project.heat();
        for (TankAnswer t : tanks) {
            Tank tank = t.tank();
            DoubleSummaryStatistics out = cases.stream()
                    .filter(c -> c.demand().usable())
                    .mapToDouble(c -> c.demand().outflow(tank))
                    .summaryStatistics();
            VentPath way = VentPath.of(project.system(), tank);
            all.add(new AirAnswer(
                    tank,
                    way.legs().get(0).known().map(AirLine::of),
                    beyond(project, way, tanks),
                    way.ends(),
                    way.tip(),
                    Math.max(0, out.getMax()),
                    out.getMin() < -1e-9 ? -out.getMin() : 0,
                    heat.si(HeatFigure.FILL_RATE),
                    Vents.descending(t.body().capacity(), heat.si(HeatFigure.DESCENT)),
                    blocked(project, cases, List.of(t))));
        }
        return all;
    }

    /** The further vents on a way, each with what comes in there beside what came before. */
    private static List<Beyond> beyond(Project project, VentPath way, List<TankAnswer> tanks) {
        List<Beyond> through = new ArrayList<>();
        Set<String> counted = new HashSet<>(Set.of(way.legs().get(0).item().id()));
        for (VentPath.Leg leg : way.legs().subList(1, way.legs().size())) {
            double joining = 0;
            for (TankAnswer other : tanks) {
                boolean here = other.tank().id().equals(leg.item().id())
                        || leg.plenum().isPresent()
                                && VentPath.of(project.system(), other.tank())
                                        .through(leg.item().id());
                if (here && counted.add(other.tank().id())) {
                    joining += Vents.descending(
                            other.body().capacity(), project.heat().si(HeatFigure.DESCENT));
                }
            }
            double own = joining;
            leg.known().ifPresent(line -> through.add(new Beyond(AirLine.of(line), own)));
        }
        return through;
    }

    /**
     * What happens once a plenum is shut, to all tanks that breathe through it; empty where they never feed by
     * themselves.
     */
    public static Optional<Blocked> blocked(
            Project project, VentPlenum plenum, List<CaseAnswer> cases, List<TankAnswer> tanks) {
        return blocked(
                project,
                cases,
                tanks.stream()
                        .filter(t -> VentPath.of(project.system(), t.tank()).through(plenum.id()))
                        .toList());
    }

    /** Tanks under one air that is shut in, while they feed by themselves; the worst of the cases. */
    private static Optional<Blocked> blocked(Project project, List<CaseAnswer> cases, List<TankAnswer> group) {
        Optional<EngineInlet> inlet = project.system().inlet();
        if (inlet.isEmpty()) {
            return Optional.empty();
        }
        PortRef in = new PortRef(inlet.get().id(), Item.IN);
        // the least air first; a case that still feeds when the soonest so far is short cannot be sooner
        List<ShutIn> all = cases.stream()
                .filter(c -> c.judged()
                        && c.demand().usable()
                        && !c.condition().engine().fouled()
                        && c.filling().dry().isEmpty()
                        && !c.demand().path().isEmpty()
                        && group.stream().anyMatch(t -> c.demand()
                                .path()
                                .get(0)
                                .item()
                                .equals(t.tank().id()))
                        && given(c, group) > 0.9 * c.need())
                .map(c -> ShutIn.of(
                        project,
                        c,
                        group,
                        c.demand().pressure(in).orElse(0)
                                - inlet.get().minimumPressure().si()))
                .sorted(java.util.Comparator.comparingDouble(ShutIn::air))
                .toList();
        ShutIn soonest = null;
        Run least = null;
        for (ShutIn s : all) {
            if (least != null && !least.outlasts() && s.usable() > least.volume() && s.spare(least.volume()) > 0) {
                continue;
            }
            Run run = s.soonest(project);
            if (least == null
                    || least.outlasts() && !run.outlasts()
                    || least.outlasts() == run.outlasts() && run.volume() < least.volume()) {
                soonest = s;
                least = run;
            }
        }
        return soonest == null ? Optional.empty() : Optional.of(soonest.blocked(project, least));
    }

    private static double given(CaseAnswer c, List<TankAnswer> group) {
        return group.stream()
                .mapToDouble(t -> Math.max(0, c.demand().outflow(t.tank())))
                .sum();
    }

    /**
     * A case whose air is shut in.
     *
     * @param feeding the tank the way to the engine begins at
     * @param share of what is taken that comes out of it
     * @param least pressure at the inlet over what it needs, Pa
     * @param start in the tank, m3
     * @param air over the fuel of all that are shut in together, m3
     * @param usable above what stays, m3 taken
     */
    private record ShutIn(
            CaseAnswer look, TankAnswer feeding, double share, double least, double start, double air, double usable) {

        static ShutIn of(Project project, CaseAnswer c, List<TankAnswer> group, double spare) {
            TankAnswer feeding = group.stream()
                    .filter(t -> c.demand().path().get(0).item().equals(t.tank().id()))
                    .findFirst()
                    .orElseThrow();
            double share = Math.max(0, c.demand().outflow(feeding.tank())) / given(c, group);
            // the open vent's own drop is gone with it: it is part of what the trapped air may lose
            double open = VentPath.of(project.system(), feeding.tank()).lines().stream()
                    .mapToDouble(v -> AirLine.of(v).drop(c.need()))
                    .sum();
            double start = c.condition().contents().getOrDefault(feeding.tank().id(), 0.0);
            double air = group.stream()
                    .mapToDouble(t -> t.body().capacity()
                            - c.condition().contents().getOrDefault(t.tank().id(), 0.0))
                    .sum();
            return new ShutIn(
                    c,
                    feeding,
                    share,
                    spare + open,
                    start,
                    air,
                    share > 0 ? Math.max(0, start - feeding.unusable()) / share : 0);
        }

        /** What the falling surface has left of the pressure there was, once so much is taken, Pa. */
        private double fallen(double v) {
            Point3 up = look.condition().attitude().gravity().up();
            return least
                    - look.demand().weight()
                            * (feeding.body().level(up, start)
                                    - feeding.body().level(up, Math.max(0, start - share * v)));
        }

        /** What is left over at the inlet on the ground once so much is taken, Pa; falls as more is. */
        double spare(double v) {
            return fallen(v) - thinned(Heat.ambient(0), air, v, ADIABATIC);
        }

        Run soonest(Project project) {
            return run(project, this::fallen, usable, v -> thinned(Heat.ambient(0), air, v, ADIABATIC));
        }

        Blocked blocked(Project project, Run soonest) {
            double ceiling = project.heat().si(HeatFigure.CEILING);
            Run latest = run(project, this::fallen, usable, v -> thinned(Heat.ambient(ceiling), air, v, ISOTHERMAL));
            double boils = project.heat().vapor().pascal(project.heat().si(HeatFigure.TANK_FUEL));
            Run high = run(project, this::fallen, usable, v -> thinned(Heat.ambient(ceiling), air, v, ADIABATIC));
            double left = Heat.ambient(ceiling) - thinned(Heat.ambient(ceiling), air, high.volume(), ADIABATIC);
            return new Blocked(
                    look, soonest, latest, left < boils, thinned(Heat.ambient(0), air, soonest.volume(), ADIABATIC));
        }
    }

    private static final double ISOTHERMAL = 1.0;
    private static final double ADIABATIC = 1.4;

    /** What trapped air has lost once so much fuel has left, Pa. */
    private static double thinned(double ambient, double air, double left, double exponent) {
        return ambient - Vents.trapped(ambient, Math.max(1e-6, air), left, exponent);
    }

    private static Run run(Project project, UnivariateFunction fallen, double usable, UnivariateFunction thinned) {
        UnivariateFunction left = v -> fallen.value(v) - thinned.value(v);
        boolean outlasts = left.value(usable) >= 0;
        double volume = outlasts
                ? usable
                : left.value(0) <= 0
                        ? 0
                        : new BracketingNthOrderBrentSolver(1e-9, 1e-9, 1e-12, 5).solve(200, left, 0, usable);
        return new Run(volume, volume / project.brief().demand(), outlasts);
    }

    /** Drop from the open air to the airspace at a flow of its own air, Pa; 0 while the line is not known. */
    public double drop(double flow) {
        return line.map(l -> l.drop(flow)
                        + through.stream().mapToDouble(b -> b.line().drop(flow)).sum())
                .orElse(0.0);
    }

    /** Feeding and descending at once, every tank that shares a vent breathing too; filling can be done slowly. */
    public double inFlight() {
        double flow = feeding + descending;
        double sum = line.isPresent() ? line.get().drop(flow) : 0;
        for (Beyond b : through) {
            flow += b.descending();
            sum += b.line().drop(flow);
        }
        return sum;
    }
}
