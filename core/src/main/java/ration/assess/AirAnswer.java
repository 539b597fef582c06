package ration.assess;

import java.util.ArrayList;
import java.util.DoubleSummaryStatistics;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.hipparchus.analysis.UnivariateFunction;
import org.hipparchus.analysis.solvers.BracketingNthOrderBrentSolver;
import ration.breathing.AirLine;
import ration.breathing.VentPath;
import ration.breathing.Vents;
import ration.condition.Contents;
import ration.geometry.Point3;
import ration.heat.Heat;
import ration.heat.HeatFigure;
import ration.model.EngineInlet;
import ration.model.Item;
import ration.model.PortRef;
import ration.model.Tank;
import ration.project.Project;

/**
 * The air side of one tank.
 *
 * @param tank       itself
 * @param line       its own vent as said; empty while bore and length are not known
 * @param through    vents of further tanks its air passes before the open air, with what those tanks draw themselves
 * @param ends       where its vent leads in the end
 * @param tip        pressure coefficient of the tip its air comes in by in the end
 * @param feeding    air that comes in at take-off demand, m3/s
 * @param returning  air that goes out where more comes back, or runs over from another tank, than is taken, m3/s
 * @param filling    air that goes out while it is filled, m3/s
 * @param descending air that comes in on the way down, nearly empty, m3/s
 * @param blocked    what happens once the vent is shut; empty where the tank never feeds alone
 */
public record AirAnswer(Tank tank, Optional<AirLine> line, List<Beyond> through, Ends ends, double tip, double feeding,
        double returning, double filling, double descending, Optional<Blocked> blocked) {

    /** Where a vent leads in the end. */
    public enum Ends {
        OUTSIDE,
        /** Round from tank to tank and never outside. */
        RING,
        /** To a tank that is not laid out. */
        NOWHERE
    }

    public boolean shut() {
        return ends != Ends.OUTSIDE;
    }

    /**
     * A vent further on.
     *
     * @param line       of another tank
     * @param descending air that tank takes on the way down, m3/s
     */
    public record Beyond(AirLine line, double descending) {
    }

    /**
     * A blocked vent, half full, level, at take-off demand: the air over the fuel thins and the surface falls. How fast lies
     * between air that keeps its warmth (n 1.0) and air that keeps its heat (n 1.4), and between the ground and the ceiling.
     *
     * @param soonest    that flow is short: n 1.4 at sea level
     * @param latest     n 1.0 at the highest altitude flown
     * @param boilsFirst whether the fuel under the thinned air boils before flow is short, on the hot day at that altitude
     * @param suction    under ambient when flow is short, Pa: what the tank's shell must bear
     */
    public record Blocked(Run soonest, Run latest, boolean boilsFirst, double suction) {

        /** Whether the fuel ends before the air holds it back, however slowly it thins. */
        public boolean outlasts() {
            return soonest.outlasts();
        }
    }

    /**
     * How long a tank feeds.
     *
     * @param volume   that feeds before flow is short, m3
     * @param seconds  it takes
     * @param outlasts whether the fuel ends first
     */
    public record Run(double volume, double seconds, boolean outlasts) {
    }

    /** Of every tank. */
    public static List<AirAnswer> of(Project project, List<CaseAnswer> cases, List<TankAnswer> tanks) {
        List<AirAnswer> all = new ArrayList<>();
        Heat heat = project.heat();
        for (TankAnswer t : tanks) {
            Tank tank = t.tank();
            DoubleSummaryStatistics out = cases.stream().filter(c -> c.demand().usable()).mapToDouble(c -> c.demand().outflow(tank))
                    .summaryStatistics();
            List<Beyond> through = new ArrayList<>();
            Ends ends = outside(tank, tanks, heat, through);
            all.add(new AirAnswer(tank, line(tank), through, ends, VentPath.of(project.system(), tank).tip(),
                    Math.max(0, out.getMax()), out.getMin() < -1e-9 ? -out.getMin() : 0, heat.si(HeatFigure.FILL_RATE),
                    Vents.descending(t.body().capacity(), heat.si(HeatFigure.DESCENT)), blocked(project, cases, t)));
        }
        return all;
    }

    private static Optional<AirLine> line(Tank tank) {
        return tank.fitout().vent().filter(v -> v.bore().si() > 0).map(AirLine::of);
    }

    /** Follows vents from tank to tank. */
    private static Ends outside(Tank tank, List<TankAnswer> tanks, Heat heat, List<Beyond> through) {
        Set<String> seen = new HashSet<>(Set.of(tank.id()));
        Tank at = tank;
        while (at.fitout().vent().isPresent() && at.fitout().vent().get().to().isPresent()) {
            String next = at.fitout().vent().get().to().get();
            Optional<TankAnswer> other = tanks.stream().filter(x -> x.tank().id().equals(next)).findFirst();
            if (other.isEmpty()) {
                return Ends.NOWHERE;
            }
            if (!seen.add(next)) {
                return Ends.RING;
            }
            at = other.get().tank();
            double own = Vents.descending(other.get().body().capacity(), heat.si(HeatFigure.DESCENT));
            Optional<AirLine> further = line(at);
            if (further.isPresent()) {
                through.add(new Beyond(further.get(), own));
            }
        }
        return Ends.OUTSIDE;
    }

    private static Optional<Blocked> blocked(Project project, List<CaseAnswer> cases, TankAnswer t) {
        Optional<EngineInlet> inlet = project.system().inlet();
        if (inlet.isEmpty()) {
            return Optional.empty();
        }
        PortRef in = new PortRef(inlet.get().id(), Item.IN);
        List<CaseAnswer> alone = cases.stream().filter(c -> c.judged() && c.demand().usable() && !c.condition().engine().fouled()
                && c.contents().equals(Contents.HALF.label()) && c.condition().attitude().name().equals("Level")
                && !c.demand().path().isEmpty() && c.demand().path().get(0).item().equals(t.tank().id())
                && c.demand().outflow(t.tank()) > 0.9 * c.need()).toList();
        if (alone.isEmpty()) {
            return Optional.empty();
        }
        double least = alone.stream().mapToDouble(c -> c.demand().pressure(in).orElse(0)
                - inlet.get().minimumPressure().si()).min().orElse(0);
        // the open vent's own drop is gone with it: it is part of what the trapped air may lose
        double open = VentPath.of(project.system(), t.tank()).lines().stream().mapToDouble(v -> AirLine.of(v).drop(alone.get(0)
                .need())).sum();
        double start = alone.get(0).condition().contents().getOrDefault(t.tank().id(), 0.0);
        double usable = Math.max(0, start - t.unusable());
        Point3 up = alone.get(0).condition().attitude().gravity().up();
        double weight = alone.get(0).demand().weight();
        double stands = t.body().level(up, start);
        double air = t.body().capacity() - start;
        double ceiling = project.heat().si(HeatFigure.CEILING);
        // what the falling surface has lost, against what there was to lose
        UnivariateFunction fallen = v -> least + open - weight * (stands - t.body().level(up, start - v));
        Run soonest = run(project, fallen, usable, v -> thinned(Heat.ambient(0), air, v, ADIABATIC));
        Run latest = run(project, fallen, usable, v -> thinned(Heat.ambient(ceiling), air, v, ISOTHERMAL));
        double boils = project.heat().vapor().pascal(project.heat().si(HeatFigure.TANK_FUEL));
        Run high = run(project, fallen, usable, v -> thinned(Heat.ambient(ceiling), air, v, ADIABATIC));
        double left = Heat.ambient(ceiling) - thinned(Heat.ambient(ceiling), air, high.volume(), ADIABATIC);
        return Optional.of(new Blocked(soonest, latest, left < boils, thinned(Heat.ambient(0), air, soonest.volume(), ADIABATIC)));
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
        double volume = outlasts ? usable : left.value(0) <= 0 ? 0 : new BracketingNthOrderBrentSolver(1e-9, 1e-9, 1e-12, 5)
                .solve(200, left, 0, usable);
        return new Run(volume, volume / project.brief().demand(), outlasts);
    }

    /** Drop from the open air to the airspace at a flow of its own air, Pa; 0 while the line is not known. */
    public double drop(double flow) {
        return line.map(l -> l.drop(flow) + through.stream().mapToDouble(b -> b.line().drop(flow)).sum()).orElse(0.0);
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
