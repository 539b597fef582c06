package ration.answer.ask;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import ration.aircraft.model.Header;
import ration.answer.assess.Assessment;
import ration.answer.assess.TankAnswer;
import ration.record.evidence.TankEvidence;

/**
 * What every tank holds and leaves, side by side: capacity, usable, and the unusable fuel by placard, by manufacturer,
 * drained and computed; headers, which count in no total.
 *
 * @param tanks in layout order
 * @param headers names and capacities, m3
 * @param missing names of tanks whose shape does not close: no total holds without them
 */
public record FuelTable(List<Row> tanks, List<Head> headers, List<String> missing) {

    public FuelTable {
        tanks = List.copyOf(tanks);
        headers = List.copyOf(headers);
        missing = List.copyOf(missing);
    }

    /** A header, said apart. */
    public record Head(String name, double capacity) {}

    /**
     * A tank, m3.
     *
     * @param full as filled, parked
     * @param placard unusable fuel on its placard
     * @param manufacturer states; empty where none does
     * @param drained the most that stayed in a drain test that counts; empty where none does
     * @param computed from its shape, in the worst attitude
     * @param governs the largest of manufacturer, drained and computed
     */
    public record Row(
            String name,
            double full,
            double placard,
            OptionalDouble manufacturer,
            OptionalDouble drained,
            double computed,
            double governs) {

        /** What may be planned on: the larger of placard and what governs stays in the tank. */
        public double usable() {
            return Math.max(0, full - Math.max(placard, governs));
        }
    }

    public static FuelTable of(Assessment a) {
        List<Row> rows = new ArrayList<>();
        for (TankAnswer t : a.tanks()) {
            rows.add(new Row(
                    t.tank().name(),
                    t.full(),
                    t.placard(),
                    t.tank()
                            .fitout()
                            .published()
                            .map(m -> OptionalDouble.of(m.si()))
                            .orElse(OptionalDouble.empty()),
                    t.evidence().drained().stream()
                            .mapToDouble(TankEvidence.Drained::largest)
                            .max(),
                    t.predicted().volume(),
                    t.unusable()));
        }
        return new FuelTable(
                rows,
                a.project()
                        .system()
                        .all(Header.class)
                        .map(h -> new Head(h.name(), h.capacity().si()))
                        .toList(),
                a.project().system().tanks().stream()
                        .filter(t ->
                                a.tanks().stream().noneMatch(x -> x.tank().id().equals(t.id())))
                        .map(t -> t.name())
                        .toList());
    }

    /** Usable in all tanks, m3; empty while one of them has no answer. */
    public OptionalDouble usable() {
        return missing.isEmpty() && !tanks.isEmpty()
                ? OptionalDouble.of(tanks.stream().mapToDouble(Row::usable).sum())
                : OptionalDouble.empty();
    }

    /**
     * What is likely left below the placards in level flight: placard less drained, over the tanks that were drained.
     * Never to be planned on.
     *
     * @param volume m3
     * @param seconds at a burn
     */
    public record Below(double volume, double seconds) {}

    /** At a burn, m3/s, above 0; empty where no tank was drained. */
    public Optional<Below> below(double burn) {
        List<Row> known = tanks.stream().filter(r -> r.drained.isPresent()).toList();
        if (known.isEmpty() || !(burn > 0)) {
            return Optional.empty();
        }
        double volume = known.stream()
                .mapToDouble(r -> Math.max(0, r.placard - r.drained.getAsDouble()))
                .sum();
        return Optional.of(new Below(volume, volume / burn));
    }
}
