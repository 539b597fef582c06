package ration.answer.assess;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import ration.aircraft.condition.Attitude;
import ration.aircraft.model.Pump;
import ration.aircraft.model.Tank;
import ration.base.geometry.Point3;
import ration.base.quantity.Dimension;
import ration.record.project.Project;
import ration.verdict.check.Check;
import ration.verdict.check.Finding;
import ration.verdict.check.Verdict;

/** Pumps that stand in a tank. */
final class InTankChecks {

    private static final double ADVICE = 1.02;

    private InTankChecks() {}

    /**
     * Pumps that stand in a tank are cooled by the fuel around them: the most there may be in it, over every attitude
     * judged, while they stand clear of it.
     */
    static List<Finding> of(Project project, List<CaseAnswer> cases, List<TankAnswer> tanks) {
        List<Finding> findings = new ArrayList<>();
        for (Pump pump : project.system().all(Pump.class).toList()) {
            Point3 p = pump.place().point();
            tanks.stream().filter(t -> within(t.tank(), p)).findFirst().ifPresent(t -> {
                Covered governs = cases.stream()
                        .filter(CaseAnswer::judged)
                        .map(c -> c.condition().attitude())
                        .distinct()
                        .map(a -> new Covered(
                                a,
                                t.body()
                                        .volumeBelow(
                                                a.gravity().up(),
                                                a.gravity().up().dot(p))))
                        .max(Comparator.comparingDouble(Covered::volume))
                        .orElse(new Covered(
                                project.brief().envelope().parkedAttitude(),
                                t.body().capacity()));
                findings.add(new Finding(
                                Check.VAPOR_IN_TANK,
                                pump.id(),
                                "Pump in " + t.tank().name(),
                                pump.id(),
                                Verdict.THIN,
                                ADVICE,
                                u -> pump.name() + " is cooled by the fuel around it, and is out of it below "
                                        + u.text(governs.volume(), Dimension.VOLUME) + " of "
                                        + u.text(t.body().capacity(), Dimension.VOLUME) + ", "
                                        + governs.attitude().label() + ".",
                                Checks.PRACTICE,
                                "Placard: keep that much or more, or stand the pump in a well.")
                        .because(() -> WhyVapor.covered(pump, t.tank(), governs.volume())));
            });
        }
        return findings;
    }

    /** What a tank may hold in an attitude while a pump in it stands clear, m3. */
    private record Covered(Attitude attitude, double volume) {}

    private static boolean within(Tank tank, Point3 p) {
        return tank.solid().floorAt(p.x(), p.y()).stream().anyMatch(z -> p.z() >= z)
                && p.z() <= tank.solid().highest(new Point3(0, 0, 1));
    }
}
