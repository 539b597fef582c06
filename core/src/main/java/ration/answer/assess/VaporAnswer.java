package ration.answer.assess;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import ration.aircraft.heat.Heat;
import ration.aircraft.heat.HeatFigure;
import ration.base.quantity.UnitSystem;
import ration.physics.flow.FlowAnswer;
import ration.physics.vapor.Air;
import ration.physics.vapor.Gap;
import ration.physics.vapor.HeatPath;
import ration.physics.vapor.PathHeat;
import ration.record.project.Project;
import ration.verdict.check.Verdict;

/**
 * The least gap to boiling over the hot day's cases, and where it lies.
 *
 * @param look the case
 * @param air height and fuel of the day
 * @param gap the point
 * @param heat figures it rests on
 * @param wanted the figure that says how many degrees are wanted
 */
public record VaporAnswer(CaseAnswer look, Air air, Gap gap, Heat heat, HeatFigure wanted) {

    /** Thin: within this of what is wanted, K. */
    private static final double THIN = 1;

    /** Cases solved again with fuel as warm as the day; the others lie further from boiling. */
    private static final int NEAREST = 6;

    /** Over every judged case that feeds, at sea level and at the ceiling, fuel this warm; empty if none does. */
    public static Optional<VaporAnswer> of(
            Project project, List<CaseAnswer> cases, HeatFigure fuel, HeatFigure needed) {
        Heat heat = project.heat();
        double kelvin = heat.si(fuel);
        List<Air> airs = List.of(new Air(0, kelvin), new Air(heat.si(HeatFigure.CEILING), kelvin));
        List<CaseAnswer> nearest = cases.parallelStream()
                .filter(VaporAnswer::feeds)
                .flatMap(c -> nearest(project, c, c.demand(), airs).stream())
                .sorted(NEAREST_FIRST)
                .map(Nearest::look)
                .limit(NEAREST)
                .toList();
        return nearest.parallelStream()
                .flatMap(c -> nearest(project, c, c.demandAt(kelvin), airs).stream())
                .min(NEAREST_FIRST)
                .map(n -> new VaporAnswer(
                        n.look, n.air, n.path.on(n.air).least(heat.vapor()).orElseThrow(), heat, needed));
    }

    /** A case on the day on which it comes nearest to boiling. */
    private record Nearest(CaseAnswer look, Air air, HeatPath path, double degrees) {}

    private static final Comparator<Nearest> NEAREST_FIRST = Ties.least(Nearest::degrees);

    private static Optional<Nearest> nearest(Project project, CaseAnswer c, FlowAnswer demand, List<Air> airs) {
        if (!demand.usable()) {
            return Optional.empty();
        }
        HeatPath path = demand == c.demand()
                ? c.heatPath(project.heat())
                : HeatPath.of(
                        project.system(),
                        demand,
                        project.heat(),
                        c.condition().engine().power());
        if (path.stands()) {
            return Optional.empty();
        }
        boolean onTheGround = !c.steady();
        return airs.stream()
                .filter(a -> !onTheGround || a.altitudeM() == 0)
                .map(a -> new Nearest(c, a, path, path.fewest(a)))
                .min(NEAREST_FIRST);
    }

    /**
     * The judged case that boils on its way to the engine and so has no gap to boiling, the one with least flow; empty
     * if none.
     */
    static Optional<CaseAnswer> boiling(List<CaseAnswer> cases) {
        return cases.stream().filter(c -> c.judged() && c.boils()).min(Ties.least(CaseAnswer::margin));
    }

    private static boolean feeds(CaseAnswer c) {
        return c.judged()
                && !c.cold()
                && c.demand().usable()
                && c.demand().airDrawn().isEmpty()
                && c.demand().inletFlow() > 0;
    }

    /** The least of one case on one day; empty if nothing flows in it. */
    public static Optional<VaporAnswer> at(Project project, CaseAnswer c, Air air) {
        Heat heat = project.heat();
        return path(project, c, air).least(heat.vapor()).map(g -> new VaporAnswer(c, air, g, heat, HeatFigure.NEEDED));
    }

    /** Every point of the path of a case on a day, with fuel as warm as that. */
    public static PathHeat path(Project project, CaseAnswer c, Air air) {
        FlowAnswer hot = c.demandAt(air.fuelKelvin());
        return PathHeat.of(
                project.system(),
                hot.usable() ? hot : c.demand(),
                project.heat(),
                air,
                c.condition().engine().power());
    }

    public double degrees() {
        return gap.degrees(heat.vapor());
    }

    public double needed() {
        return heat.si(wanted);
    }

    /** Whether anything is said to be hot: where the firewall stands, or which zone a part lies in. */
    public boolean heatSaid() {
        return heatSaid(look, heat);
    }

    static boolean heatSaid(CaseAnswer look, Heat heat) {
        return look.system().firewall().isPresent() || !heat.zones().isEmpty();
    }

    /** Whether it is said which fuel is bought: motor gasoline differs by class, season and ethanol. */
    public boolean fuelSaid() {
        return heat.volatility() != ration.base.fluid.Volatility.MOGAS_UNSAID;
    }

    public Verdict verdict() {
        if (!fuelSaid()) {
            return Verdict.NOT_SHOWN;
        }
        if (!heatSaid(look, heat)) {
            return degrees() < needed() ? Verdict.FAILS : Verdict.NOT_SHOWN;
        }
        Verdict found =
                degrees() < needed() ? Verdict.FAILS : degrees() < needed() + THIN ? Verdict.THIN : Verdict.HOLDS;
        return found.shownIf(look.unsaid().demandSaid());
    }

    /** Degrees over what is wanted, for the notch bar. */
    public double ratio() {
        return verdict() == Verdict.NOT_SHOWN ? Math.min(0.99, met()) : met();
    }

    private double met() {
        return needed() <= 0 ? degrees() < needed() ? 0 : 1.5 : Math.max(0, Math.min(1.5, degrees() / needed()));
    }

    /** Where and when: Lift pump inlet, fuel 100 F, 8,000 ft. */
    public String label(Project project, UnitSystem units) {
        return project.system().item(gap.item()).map(i -> i.name()).orElse(gap.item()) + " " + gap.what() + ", fuel "
                + units.warmth(air.fuelKelvin()) + ", " + units.altitude(air.altitudeM());
    }
}
