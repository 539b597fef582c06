package ration.assess;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import ration.check.Verdict;
import ration.flow.PathLine;
import ration.fluid.VaporPressure;
import ration.heat.Heat;
import ration.heat.HeatFigure;
import ration.project.Project;
import ration.quantity.Unit;
import ration.quantity.UnitSystem;
import ration.vapor.Air;
import ration.vapor.Gap;
import ration.vapor.PathHeat;

/**
 * The least gap to boiling over the hot day's cases, and where it lies.
 *
 * @param look   the case
 * @param air    height and fuel of the day
 * @param gap    the point
 * @param heat   figures it rests on
 */
public record VaporAnswer(CaseAnswer look, Air air, Gap gap, Heat heat) {

    /** Thin: within this of what is wanted, K. */
    private static final double THIN = 1;

    /** Over every judged case that feeds, at sea level and at the ceiling; empty if none does. */
    static Optional<VaporAnswer> of(Project project, List<CaseAnswer> cases) {
        Heat heat = project.heat();
        VaporPressure vapor = heat.vapor();
        List<Air> airs = List.of(new Air(0, heat.si(HeatFigure.TANK_FUEL)), new Air(heat.si(HeatFigure.CEILING),
                heat.si(HeatFigure.TANK_FUEL)));
        return cases.parallelStream().filter(VaporAnswer::feeds).flatMap(c -> {
            List<PathLine.Stretch> line = PathLine.of(project.system(), c.demand());
            return airs.stream().flatMap(a -> PathHeat.of(project.system(), c.demand(), line, heat, a, c.condition().engine().power())
                    .least(vapor).map(g -> new VaporAnswer(c, a, g, heat)).stream());
        }).min(Comparator.comparingDouble(v -> v.gap.degrees(vapor)));
    }

    private static boolean feeds(CaseAnswer c) {
        return c.judged() && c.demand().usable() && c.demand().airDrawn().isEmpty() && c.demand().inletFlow() > 0;
    }

    /** The least of one case on one day; empty if nothing flows in it. */
    public static Optional<VaporAnswer> at(Project project, CaseAnswer c, Air air) {
        Heat heat = project.heat();
        return path(project, c, air).least(heat.vapor()).map(g -> new VaporAnswer(c, air, g, heat));
    }

    /** Every point of the path of a case on a day. */
    public static PathHeat path(Project project, CaseAnswer c, Air air) {
        return PathHeat.of(project.system(), c.demand(), project.heat(), air, c.condition().engine().power());
    }

    public double degrees() {
        return gap.degrees(heat.vapor());
    }

    public double needed() {
        return heat.si(HeatFigure.NEEDED);
    }

    public Verdict verdict() {
        return degrees() < needed() ? Verdict.SHORT : degrees() < needed() + THIN ? Verdict.THIN : Verdict.HOLDS;
    }

    /** Degrees over what is wanted, for the notch bar. */
    public double ratio() {
        return needed() <= 0 ? degrees() < needed() ? 0 : 1.5 : Math.max(0, Math.min(1.5, degrees() / needed()));
    }

    /** Where and when: Lift pump inlet, 38 C fuel, 8 000 ft. */
    public String label(Project project) {
        return project.system().item(gap.item()).map(i -> i.name()).orElse(gap.item()) + " " + gap.what() + ", "
                + UnitSystem.figure(Unit.CELSIUS.fromSi(air.fuelKelvin()), 0) + " \u00b0C fuel, "
                + UnitSystem.figure(Unit.FOOT.fromSi(air.altitudeM()), 0) + " ft";
    }

    /** Degrees with their sign: +11.7 C. */
    public static String signed(double kelvin) {
        return (kelvin > 0.05 ? "+" : "") + UnitSystem.figure(kelvin, 1) + " \u00b0C";
    }
}
