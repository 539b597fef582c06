package ration.record.project;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import ration.aircraft.model.EngineInlet;
import ration.aircraft.model.FuelSystem;
import ration.base.quantity.Measured;

/**
 * The figures of the engine that the program put in and nobody said. What they decide may turn out Fails, never better
 * than Not shown.
 *
 * @param demand take-off power, specific consumption
 * @param least pressure at the inlet
 * @param most pressure at the inlet
 */
public record Unsaid(List<String> demand, List<String> least, List<String> most) {

    public Unsaid {
        demand = List.copyOf(demand);
        least = List.copyOf(least);
        most = List.copyOf(most);
    }

    /** What is only assumed of a brief and the inlet of its system. */
    public static Unsaid of(Brief brief, FuelSystem system) {
        List<String> demand = new ArrayList<>();
        if (brief.power().assumed()) {
            demand.add("takeoff power");
        }
        if (brief.consumption().assumed()) {
            demand.add("BSFC");
        }
        Optional<EngineInlet> inlet = system.inlet();
        return new Unsaid(
                demand,
                inlet.filter(i -> i.minimumPressure().assumed()).map(i -> "minimum pressure of " + i.name()).stream()
                        .toList(),
                inlet
                        .flatMap(EngineInlet::maximumPressure)
                        .filter(Measured::assumed)
                        .map(m -> "maximum pressure of " + inlet.get().name())
                        .stream()
                        .toList());
    }

    /** Of a whole project. */
    public static Unsaid of(Project project) {
        return of(project.brief(), project.system());
    }

    /** The same project with all of them confirmed by the builder on a day, as they stand. */
    public static Project said(Project project, LocalDate day) {
        FuelSystem system = project.system();
        return project.with(project.brief().demandSaid(day))
                .with(system.inlet()
                        .map(i -> system.replace(i.withPressures(
                                i.minimumPressure().confirmed(day),
                                i.maximumPressure().map(m -> m.confirmed(day)))))
                        .orElse(system));
    }

    /** All of them. */
    public List<String> all() {
        return Stream.of(demand, least, most).flatMap(List::stream).toList();
    }

    /** What a flow margin rests on of them: the demand and the least pressure. */
    public List<String> flow() {
        return Stream.of(demand, least).flatMap(List::stream).toList();
    }

    /** Whether the demand was said. */
    public boolean demandSaid() {
        return demand.isEmpty();
    }

    /** Whether all was said that a flow margin rests on. */
    public boolean flowSaid() {
        return flow().isEmpty();
    }

    /** A sentence that names what is only assumed; empty where all of it was said. */
    public static String words(List<String> assumed) {
        return assumed.isEmpty() ? "" : "Not shown: assumed values (" + String.join(", ", assumed) + ").";
    }
}
