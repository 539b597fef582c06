package ration.answer.assess;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import ration.aircraft.model.Tank;
import ration.aircraft.model.VentLine;
import ration.base.fluid.Fluid;
import ration.base.geometry.Point3;
import ration.base.quantity.Dimension;
import ration.physics.breathing.VentSpill;
import ration.physics.flow.TankLevel;
import ration.record.project.Project;
import ration.verdict.check.Check;
import ration.verdict.check.Finding;
import ration.verdict.check.Verdict;
import ration.verdict.standard.Subject;

/**
 * Fuel that leaves by a vent: in every judged case, and parked with full tanks on a slope of 1 % any way (14 CFR
 * 23.975(a)(7), from memory).
 */
final class SpillChecks {

    private static final double SLOPE = 0.01;
    private static final int WAYS = 8;
    private static final double ADVICE = 1.02;

    private final Project project;
    private final List<CaseAnswer> cases;

    private SpillChecks(Project project, List<CaseAnswer> cases) {
        this.project = project;
        this.cases = cases.stream().filter(CaseAnswer::judged).toList();
    }

    static List<Finding> of(Project project, List<CaseAnswer> cases, List<TankAnswer> tanks) {
        SpillChecks checks = new SpillChecks(project, cases);
        List<Finding> all = new ArrayList<>();
        for (TankAnswer t : tanks) {
            List<Point3> way = VentSpill.way(project.system(), t.tank());
            if (!way.isEmpty()) {
                all.add(checks.finding(t, way));
            }
        }
        return all;
    }

    /** What happens in a case, and which case that is. */
    private record Met(VentSpill spill, Finding.Wording where) {

        /** Runs by itself rather than after a push; the greater head. */
        boolean worse(Met other) {
            return spill.byItself() != other.spill.byItself() ? spill.byItself() : spill.head() > other.spill.head();
        }
    }

    private Optional<Met> worst(TankAnswer t, List<Point3> all) {
        List<Met> met = new ArrayList<>();
        // of a vent whose way nobody measured only the outlet is known
        List<Point3> way =
                VentSpill.measured(t.tank()) ? all : List.of(all.get(all.size() - 1), all.get(all.size() - 1));
        for (CaseAnswer c : cases) {
            TankLevel level = c.setting().levels().get(t.tank().id());
            if (level != null) {
                VentSpill.of(way, c.condition().attitude().gravity().up(), level.surface())
                        .ifPresent(s -> met.add(new Met(s, u -> c.label(project.system(), u))));
            }
        }
        double full = t.body().full(t.parkedUp());
        for (int i = 0; i <= WAYS; i++) {
            Point3 up = i == WAYS ? t.parkedUp() : sloped(t.parkedUp(), 2 * Math.PI * i / WAYS);
            boolean slope = i < WAYS;
            VentSpill.of(way, up, t.body().level(up, full))
                    .ifPresent(s -> met.add(new Met(s, u -> slope ? "Parked full on a slope of 1%" : "Parked full")));
        }
        return met.stream().reduce((a, b) -> b.worse(a) ? b : a);
    }

    private static Point3 sloped(Point3 up, double way) {
        Point3 p = new Point3(up.x() + SLOPE * Math.cos(way), up.y() + SLOPE * Math.sin(way), up.z());
        double length = Math.sqrt(p.dot(p));
        return new Point3(p.x() / length, p.y() / length, p.z() / length);
    }

    private Finding finding(TankAnswer t, List<Point3> way) {
        Tank tank = t.tank();
        Optional<Met> worst = worst(t, way);
        String title = "Fuel out of the vent of " + tank.name();
        String basis = project.brief().cite(Subject.VENT);
        if (worst.isEmpty()) {
            return Checks.finding(
                    Check.AIR_SPILL,
                    tank.id(),
                    title,
                    tank.id(),
                    Verdict.HOLDS,
                    Finding.MET,
                    u -> "In no case, nor parked full on a slope of 1%, is the inner end of the vent covered by fuel"
                            + " above its outlet.",
                    basis,
                    "");
        }
        VentSpill s = worst.get().spill();
        Finding.Wording where = worst.get().where();
        if (!VentSpill.measured(tank)) {
            return Checks.finding(
                    Check.AIR_SPILL,
                    tank.id(),
                    title,
                    tank.id(),
                    Verdict.NOT_SHOWN,
                    Finding.MISSED,
                    u -> where.in(u) + ": fuel is " + u.text(s.head(), Dimension.LENGTH) + " above the vent outlet."
                            + " Where the vent leaves the tank and how high it rises are not entered.",
                    basis,
                    "Enter the points of the vent line on the tank's card, the first where it leaves the tank.");
        }
        Optional<VentLine> line = VentSpill.narrowest(project.system(), tank);
        Fluid fuel = cases.stream()
                .filter(c -> c.demand().usable())
                .findFirst()
                .map(c -> c.demand().fluid())
                .orElse(null);
        Optional<Double> flow = line.filter(v -> fuel != null)
                .map(v -> VentSpill.flow(v, Math.max(0, v.length().si()), s.head(), fuel));
        Finding found = Checks.finding(
                Check.AIR_SPILL,
                tank.id(),
                title,
                tank.id(),
                s.byItself() ? Verdict.FAILS : Verdict.THIN,
                s.byItself() ? Finding.MISSED : ADVICE,
                u -> where.in(u) + ": fuel is " + u.text(s.head(), Dimension.LENGTH) + " above the vent outlet "
                        + (s.byItself()
                                ? "and above every point of the vent: it runs out by itself"
                                : "and covers the inner end of the vent. Once warming or slosh pushes it over the"
                                        + " hump, " + u.text(s.hump(), Dimension.LENGTH) + " higher, it siphons")
                        + flow.map(q -> ", up to " + u.text(q, Dimension.FLOW))
                                .orElse(". Flow unknown: vent bore and length not entered")
                        + ".",
                basis,
                s.byItself()
                        ? "Lead the vent up over the tank and to the other side before it goes down."
                        : "Lead the vent higher over the tank, or move its inner end to where air stays.");
        return flow.isEmpty() ? found : found.because(() -> WhyAir.spill(tank, line.get(), s, fuel, flow.get()));
    }
}
