package ration.answer.assess;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import ration.aircraft.condition.Attitude;
import ration.aircraft.condition.Condition;
import ration.aircraft.condition.Contents;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Tank;
import ration.aircraft.topology.Passing;
import ration.aircraft.topology.Topology;
import ration.physics.flow.FlowAnswer;
import ration.physics.flow.FlowBasis;
import ration.physics.flow.FlowQuestion;
import ration.physics.flow.TankLevel;
import ration.physics.tank.Feed;
import ration.physics.tank.TankBody;
import ration.record.project.Brief;
import ration.record.project.Practice;
import ration.record.project.Project;

/** The cases a flow margin is judged in, and those that are only told. */
final class Matrix {

    private Matrix() {}

    /** Attitude x position x contents x pump set x clean and fouled, at take-off power. */
    static List<CaseAnswer.Setting> of(Project project, FlowBasis basis) {
        List<CaseAnswer.Setting> all = new ArrayList<>();
        Map<Contents, Map<String, Double>> filled = new EnumMap<>(Contents.class);
        for (Contents contents : Contents.values()) {
            filled.put(contents, StartingCase.filled(project, contents, basis.bodies()));
        }
        record Level(Condition condition, Contents contents, Map<String, TankLevel> levels) {}
        List<Level> levels = project.brief().envelope().flown().stream()
                .flatMap(attitude -> Arrays.stream(Contents.values()).map(contents -> Map.entry(attitude, contents)))
                .toList()
                .parallelStream()
                .map(e -> {
                    Condition c = new Condition(
                            e.getKey(),
                            filled.get(e.getValue()),
                            Map.of(),
                            Set.of(),
                            Set.of(),
                            project.brief().fuelKelvin());
                    return new Level(c, e.getValue(), basis.levels(c));
                })
                .toList();
        List<Boolean> states = project.system().hasFilter() ? List.of(false, true) : List.of(false);
        List<PumpSet> pumpSets = PumpSet.of(project.system());
        for (Map<String, String> position : Topology.positions(project.system())) {
            for (PumpSet pumps : pumpSets) {
                for (boolean fouled : states) {
                    for (Level level : levels) {
                        all.add(new CaseAnswer.Setting(
                                level.condition()
                                        .withPositions(position)
                                        .withStopped(pumps.stopped())
                                        .withFouled(fouled),
                                Filling.of(level.contents()),
                                pumps,
                                level.levels()));
                    }
                }
            }
        }
        if (all.isEmpty()) {
            return all;
        }
        extra(project, basis, pumpSets, filled, all);
        return all;
    }

    /**
     * Beside steady flight, on clean filters: what the fuel feels on the run and in a gust, cold fuel, one joined tank
     * dry.
     */
    private static void extra(
            Project project,
            FlowBasis basis,
            List<PumpSet> pumpSets,
            Map<Contents, Map<String, Double>> filled,
            List<CaseAnswer.Setting> all) {
        Map<String, Double> low = filled.get(Contents.LAST_USABLE);
        Brief brief = project.brief();
        Attitude level = Attitude.ofDegrees("Level", 0, 0);
        Condition usual = new Condition(level, low, Map.of(), Set.of(), Set.of(), brief.fuelKelvin());
        record Case(Condition condition, Filling filling, Map<String, TankLevel> levels, boolean asked) {}
        List<Case> everywhere = new ArrayList<>();
        for (Practice.Load load : brief.practice().loads(brief.envelope())) {
            Condition c = usual.with(load.attitude());
            everywhere.add(new Case(c, Filling.of(Contents.LAST_USABLE), basis.levels(c), load.asked()));
        }
        if (brief.practice().coldFuel().si() < brief.fuelKelvin()) {
            for (Attitude attitude : brief.envelope().flown()) {
                Condition c = usual.with(attitude)
                        .withFuelKelvin(brief.practice().coldFuel().si());
                everywhere.add(new Case(c, Filling.of(Contents.LAST_USABLE), basis.levels(c), true));
            }
        }
        for (Map<String, String> position : Topology.positions(project.system())) {
            List<Case> here = new ArrayList<>(everywhere);
            for (Tank dry : joined(project.system(), position)) {
                for (Attitude attitude : brief.envelope().flown()) {
                    TankBody body = basis.bodies().get(dry.id());
                    // as its outlet just stands clear: 23.951(b) asks for the tank that runs dry first
                    double left = Math.min(
                            dry.unusable().si(),
                            DRY
                                    * body.stranded(attitude.gravity().up(), Feed.GRAVITY)
                                            .volume());
                    // the other full, and as low as it may be: then what holds the line behind the dry outlet is least
                    for (Contents rest : List.of(Contents.FULL, Contents.LAST_USABLE)) {
                        Condition c = usual.with(attitude)
                                .withContents(filled.get(rest))
                                .withContents(dry.id(), left);
                        here.add(new Case(c, Filling.dry(dry.id(), rest), basis.levels(c), true));
                    }
                }
            }
            for (PumpSet pumps : pumpSets) {
                for (Case c : here) {
                    if (c.filling()
                            .dry()
                            .filter(dry -> feedsAlone(
                                    project, basis, c.condition(), position, pumps, dry, filled.get(Contents.FULL)))
                            .isPresent()) {
                        continue;
                    }
                    all.add(new CaseAnswer.Setting(
                            c.condition().withPositions(position).withStopped(pumps.stopped()),
                            c.filling(),
                            pumps,
                            c.levels(),
                            c.asked()));
                }
            }
        }
    }

    /** Whether with these pumps everything comes from the dry tank, so that nobody would run them so. */
    private static boolean feedsAlone(
            Project project,
            FlowBasis basis,
            Condition c,
            Map<String, String> position,
            PumpSet pumps,
            String dry,
            Map<String, Double> full) {
        FlowAnswer a = basis.ask(
                c.withContents(full).withPositions(position).withStopped(pumps.stopped()),
                new FlowQuestion.Demand(project.brief().demand()));
        return a.usable()
                && project.system().tanks().stream()
                        .noneMatch(t -> !t.id().equals(dry)
                                && a.outflow(t) > 0.05 * project.brief().demand());
    }

    /** Just under what stays when an outlet uncovers. */
    private static final double DRY = 0.98;

    /** Tanks whose outlets are joined to another's with the handles so, and so may run dry while that one feeds. */
    private static List<Tank> joined(FuelSystem system, Map<String, String> position) {
        Topology topology = Topology.of(system);
        return system.tanks().stream()
                .filter(t -> !t.outlets().isEmpty()
                        && !topology.joined(t, Passing.untrusted(position, Set.of()))
                                .isEmpty())
                .toList();
    }
}
