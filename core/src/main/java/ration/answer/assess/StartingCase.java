package ration.answer.assess;

import java.util.HashMap;
import java.util.Map;
import java.util.Set;
import ration.aircraft.condition.Attitude;
import ration.aircraft.condition.Condition;
import ration.aircraft.condition.Contents;
import ration.aircraft.condition.Faults;
import ration.aircraft.condition.Handles;
import ration.aircraft.model.Selector;
import ration.aircraft.model.Tank;
import ration.aircraft.topology.Topology;
import ration.base.geometry.Point3;
import ration.physics.tank.TankBody;
import ration.record.evidence.TankEvidence;
import ration.record.project.Brief;
import ration.record.project.Project;

/** The case one starts to look from, the case looked at carried over an edit, and tanks filled alike. */
public final class StartingCase {

    private StartingCase() {}

    /** A condition to start looking from: level, full, first position, everything on. */
    public static Condition of(Project project) {
        Brief brief = project.brief();
        return new Condition(
                Attitude.ofDegrees("Level", 0, 0),
                filled(project, Contents.FULL),
                Topology.positions(project.system()).get(0),
                Set.of(),
                Set.of(),
                brief.fuelKelvin());
    }

    /**
     * A condition for a changed project: what still exists stays as set, new tanks are full, new handles stand at their
     * first position.
     */
    public static Condition adapted(Condition before, Project project) {
        Condition fresh = of(project);
        Map<String, Double> contents = new HashMap<>(fresh.contents());
        before.contents().forEach((tank, volume) -> contents.computeIfPresent(tank, (k, v) -> volume));
        Map<String, String> positions = new HashMap<>(fresh.positions());
        before.positions().forEach((id, name) -> project.system()
                .item(id)
                .flatMap(i -> i.only(Selector.class))
                .filter(s -> s.position(name).isPresent())
                .ifPresent(i -> positions.put(id, name)));
        return before.withContents(contents)
                .with(new Handles(positions, known(before.shutValves(), project), known(before.stopped(), project)))
                .with(new Faults(Set.copyOf(before.faults().all().stream()
                        .filter(f -> project.system().item(f.item()).isPresent())
                        .toList())));
    }

    private static Set<String> known(Set<String> ids, Project project) {
        return Set.copyOf(
                ids.stream().filter(id -> project.system().item(id).isPresent()).toList());
    }

    /** Every tank filled alike, m3 by tank id; tanks whose shape does not close are left out. */
    public static Map<String, Double> filled(Project project, Contents contents) {
        Map<String, TankBody> bodies = new HashMap<>();
        for (Tank tank : project.system().tanks()) {
            try {
                bodies.put(tank.id(), body(project, tank));
            } catch (IllegalArgumentException e) {
                // what is wrong with its shape stands among the problems of the layout
            }
        }
        return filled(project, contents, bodies);
    }

    static Map<String, Double> filled(Project project, Contents contents, Map<String, TankBody> bodies) {
        Map<String, Double> volumes = new HashMap<>();
        Point3 parked = project.brief().envelope().attitudes().get(0).gravity().up();
        for (Tank tank : project.system().tanks()) {
            TankBody body = bodies.get(tank.id());
            volumes.put(
                    tank.id(),
                    body == null
                            ? 0
                            : contents.volume(
                                    body.full(parked),
                                    tank.unusable().si(),
                                    project.brief().lowFuel().si()));
        }
        return volumes;
    }

    static TankBody body(Project project, Tank tank) {
        return TankBody.of(
                tank,
                TankEvidence.of(tank, project.tests(), project.asBuilt())
                        .calibration(tank, project.brief().envelope().parked().si()));
    }
}
