package ration.answer.assess;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import ration.aircraft.flight.Phase;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Pump;
import ration.aircraft.topology.Topology;

/**
 * Which of the pumps that feed the engine run.
 *
 * @param label as on its button
 * @param stopped ids of those that stand
 * @param running how many run
 */
public record PumpSet(String label, Set<String> stopped, int running) {

    public PumpSet {
        stopped = Set.copyOf(stopped);
    }

    /** Whether the same pumps run, whatever they are called now. */
    public boolean same(PumpSet other) {
        return stopped.equals(other.stopped) && running == other.running;
    }

    /** Every set the matrix goes through: all, each alone, none; one empty set if there is no pump. */
    public static List<PumpSet> of(FuelSystem system) {
        List<Pump> pumps = Topology.of(system).feedPumps();
        if (pumps.isEmpty()) {
            return List.of(new PumpSet("", Set.of(), 0));
        }
        List<PumpSet> sets = new ArrayList<>();
        sets.add(new PumpSet(
                pumps.size() == 1 ? pumps.get(0).name() + " on" : pumps.size() == 2 ? "Both pumps" : "All pumps",
                Set.of(),
                pumps.size()));
        if (pumps.size() > 1) {
            for (Pump alone : pumps) {
                Set<String> stopped =
                        new LinkedHashSet<>(pumps.stream().map(Pump::id).toList());
                stopped.remove(alone.id());
                sets.add(new PumpSet(alone.name() + " alone", stopped, 1));
            }
        }
        sets.add(new PumpSet(
                pumps.size() == 1 ? pumps.get(0).name() + " off" : "No pump",
                Set.copyOf(pumps.stream().map(Pump::id).toList()),
                0));
        return sets;
    }

    /**
     * Ids of those that stand in a phase of a flight: the electric ones where its boost is off, if the engine drives
     * one of its own.
     */
    public static Set<String> stopped(FuelSystem system, Phase phase) {
        List<Pump> pumps = Topology.of(system).feedPumps();
        boolean own = pumps.stream().anyMatch(p -> p.drive() == Pump.Drive.ENGINE);
        return phase.boost() || !own
                ? Set.of()
                : Set.copyOf(pumps.stream()
                        .filter(p -> p.drive() != Pump.Drive.ENGINE)
                        .map(Pump::id)
                        .toList());
    }

    /** The set a condition stands for; empty label if it is none of them. */
    public static PumpSet of(FuelSystem system, Set<String> stopped) {
        List<Pump> pumps = Topology.of(system).feedPumps();
        Set<String> feeding = Set.copyOf(
                pumps.stream().map(Pump::id).filter(stopped::contains).toList());
        return of(system).stream()
                .filter(s -> s.stopped().equals(feeding))
                .findFirst()
                .orElse(new PumpSet("Pumps as set", feeding, pumps.size() - feeding.size()));
    }
}
