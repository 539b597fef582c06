package ration.answer.assess;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assertions.withinPercentage;

import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.SplittableRandom;
import java.util.stream.IntStream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import ration.Samples;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Item;
import ration.aircraft.model.Tank;
import ration.answer.measure.Job;
import ration.answer.measure.MeasureNext;
import ration.base.task.Task;
import ration.physics.tank.Governing;
import ration.record.file.ProjectFile;

/**
 * Shares of the spread against a decomposition of its own: every figure drawn at once, the answer solved anew, and the
 * variance parted by what goes with each figure (the first two terms of a variance decomposition; Saltelli et al.,
 * Global Sensitivity Analysis, 2008, from memory). Nothing of the one-at-a-time moves is in it.
 */
class DoubtTest {

    private static final long SEED = 34;
    private static final double WITHIN = 0.03;

    @ParameterizedTest
    @ValueSource(strings = {"corrie-b1", "brindle-a2", "tansy-l3"})
    void sharesAreThoseOfAFullDecomposition(String demo) throws Exception {
        Assessment a = Assessment.of(ProjectFile.demo(demo));
        Doubt doubt = Doubt.of(a, Task.QUIET);
        // in every build the one that is hardest of each: two pumps side by side bend the Brindle's vapor margin
        List<Doubt.Of> some = List.of(demo.equals("brindle-a2") ? Doubt.Of.VAPOR : Doubt.Of.FLOW);
        for (Doubt.Of of : Samples.of(0, 1) == 1 ? List.of(Doubt.Of.values()) : some) {
            MeasureNext m = MeasureNext.of(doubt, of, false);
            if (doubt.of(of).isEmpty() || m.jobs().isEmpty()) {
                continue;
            }
            Drawn all = drawn(a, doubt, of, Set.of(), Samples.of(demo.equals("tansy-l3") ? 4000 : 1500, 24_000));
            double apart = 0;
            for (Job j : m.jobs()) {
                double share = j.moves().stream()
                        .mapToDouble(x -> all.share(new Key(x.item().id(), x.key())))
                        .sum();
                if (!j.bends()) {
                    apart += share;
                    assertThat(m.share(j))
                            .as(demo + " " + of + " " + j.item().id() + " " + j.key())
                            .isCloseTo(share, within(WITHIN));
                }
            }
            // what bends has no linear part to compare: it is what the others leave
            double rest = 1 - apart;
            m.jobs().stream()
                    .filter(Job::bends)
                    .forEach(j -> assertThat(m.share(j)).as(demo + " " + of).isCloseTo(rest, within(WITHIN)));
            assertThat(m.deviation() / all.deviation()).as(demo + " " + of).isBetween(0.85, 1.15);
        }
    }

    /** What is promised of a reading is what comes of drawing again with it read. */
    @ParameterizedTest
    @ValueSource(strings = {"corrie-b1", "brindle-a2", "tansy-l3"})
    void promisedSpreadsComeTrue(String demo) throws Exception {
        Assessment a = Assessment.of(ProjectFile.demo(demo));
        Doubt doubt = Doubt.of(a, Task.QUIET);
        MeasureNext m = MeasureNext.of(doubt, Doubt.Of.FLOW, false);
        List<Job> read = m.jobs().subList(0, Math.min(2, m.jobs().size()));
        Drawn then = drawn(a, doubt, Doubt.Of.FLOW, new HashSet<>(read), Samples.of(800, 12_000));
        double promised = MeasureNext.deviation(a, Doubt.Of.FLOW, read, Task.QUIET);
        assertThat(promised).isLessThan(m.deviation());
        assertThat(promised / then.deviation()).isBetween(0.85, 1.15);
    }

    /** Off by as much as it may be, a tank keeps most in one of the attitudes in which it keeps most as entered. */
    @ParameterizedTest
    @ValueSource(strings = {"corrie-b1", "brindle-a2", "tansy-l3"})
    void theAttitudesLookedAtAreThoseThatGovern(String demo) throws Exception {
        Assessment a = Assessment.of(ProjectFile.demo(demo));
        FuelSystem system = a.project().system();
        List<Draws.Figure> figures = Draws.figures(List.copyOf(system.tanks()));
        SplittableRandom random = new SplittableRandom(SEED);
        int compared = 0;
        for (int i = 0; i < Samples.of(20, 1_000); i++) {
            Map<String, Item> drawn = new HashMap<>();
            figures.forEach(f -> drawn.merge(
                    f.item().id(),
                    f.moved(Draws.deviation(random)),
                    (was, x) -> f.moved(was, Draws.deviation(random))));
            for (TankAnswer t : a.tanks()) {
                Item then = drawn.getOrDefault(t.tank().id(), t.tank());
                try {
                    Tank tank = then.only(Tank.class).orElseThrow();
                    var corners = a.project().brief().envelope().corners();
                    double all = TankAnswer.of(a.project().with(system.replace(tank)), tank)
                            .predicted()
                            .volume();
                    double some = TankAnswer.of(
                                    a.project().with(system.replace(tank)),
                                    tank,
                                    Governing.nearest(t.body(), t.feed(), corners, Doubt.NEAREST_ATTITUDES))
                            .predicted()
                            .volume();
                    assertThat(some).as(demo + " " + tank.name()).isCloseTo(all, withinPercentage(0.5));
                    compared++;
                } catch (IllegalArgumentException e) {
                    // a tank that does not close is drawn again
                }
            }
        }
        assertThat(compared).isGreaterThan(10);
    }

    private record Key(String item, String figure) {}

    /** Answers of many draws, with what goes with each figure. */
    private record Drawn(double deviation, Map<Key, Double> with) {
        double share(Key k) {
            return with.getOrDefault(k, 0.0);
        }
    }

    private static Drawn drawn(Assessment a, Doubt doubt, Doubt.Of of, Set<Job> read, int samples) {
        Doubt.Mover mover = new Doubt.Mover(a);
        FuelSystem system = a.project().withTests(List.of()).system();
        List<Draws.Figure> figures = Draws.figures(system.items()).stream()
                .filter(f -> f.deviation() > 0)
                .toList();
        double[] narrowed = figures.stream().mapToDouble(f -> narrowed(f, read)).toArray();
        double[][] z = new double[samples][];
        double[] y = new double[samples];
        IntStream.range(0, samples).parallel().forEach(i -> {
            SplittableRandom random = new SplittableRandom(SEED + 977L * i);
            while (true) {
                double[] here = new double[figures.size()];
                Map<String, Item> items = new HashMap<>();
                for (int k = 0; k < here.length; k++) {
                    here[k] = Math.max(-3, Math.min(3, normal(random)));
                    Draws.Figure f = figures.get(k);
                    Item now = items.getOrDefault(f.item().id(), f.item());
                    items.put(f.item().id(), f.moved(now, here[k] * narrowed[k]));
                }
                try {
                    FuelSystem drawn = system.withItems(system.items().stream()
                            .map(x -> items.getOrDefault(x.id(), x))
                            .toList());
                    OptionalDouble answer = of == Doubt.Of.FLOW
                            ? mover.flow(drawn)
                            : of == Doubt.Of.UNUSABLE ? mover.unusable(drawn) : mover.vapor(drawn);
                    if (answer.isEmpty()) {
                        continue;
                    }
                    z[i] = here;
                    y[i] = answer.getAsDouble();
                    return;
                } catch (IllegalArgumentException e) {
                    // a tank that does not close is drawn again, as is a layout without an answer
                }
            }
        });
        // what the moves one at a time would say is taken off before and put on again behind: that changes no mean,
        // whether they are right or not, and leaves less to chance where they are
        double[] said = new double[figures.size()];
        for (int k = 0; k < said.length; k++) {
            Draws.Figure f = figures.get(k);
            said[k] = narrowed[k]
                    * doubt.moves().stream()
                            .filter(x -> x.item().id().equals(f.item().id())
                                    && x.key().equals(f.key()))
                            .mapToDouble(x -> x.by(of))
                            .findFirst()
                            .orElse(0);
        }
        double[] rest = new double[samples];
        for (int i = 0; i < samples; i++) {
            rest[i] = y[i];
            for (int k = 0; k < said.length; k++) {
                rest[i] -= said[k] * z[i][k];
            }
        }
        double mean = Arrays.stream(rest).average().orElseThrow();
        double left =
                Arrays.stream(rest).map(v -> (v - mean) * (v - mean)).average().orElseThrow();
        double chance = left / samples;
        Map<Key, Double> with = new HashMap<>();
        double variance = left;
        for (int k = 0; k < figures.size(); k++) {
            double sum = 0;
            double bend = 0;
            for (int i = 0; i < samples; i++) {
                sum += z[i][k] * (rest[i] - mean);
                bend += (z[i][k] * z[i][k] - 1) / Math.sqrt(2) * (rest[i] - mean);
            }
            double more = sum / samples;
            double slope = said[k] + more;
            variance += slope * slope - more * more;
            with.put(
                    new Key(figures.get(k).item().id(), figures.get(k).key()),
                    slope * slope + bend * bend / samples / samples - 2 * chance);
        }
        double all = variance;
        with.replaceAll((k, v) -> v / all);
        return new Drawn(Math.sqrt(all), with);
    }

    /** What a figure that is read is off by, over what it is off by now. */
    private static double narrowed(Draws.Figure f, Set<Job> read) {
        return read.stream()
                .filter(j -> j.moves().stream()
                        .anyMatch(x ->
                                x.item().id().equals(f.item().id()) && x.key().equals(f.key())))
                .mapToDouble(j -> Math.min(1, j.tool().deviation(f.as()) / f.deviation()))
                .findFirst()
                .orElse(1);
    }

    private static double normal(SplittableRandom random) {
        return Math.sqrt(-2 * Math.log(1 - random.nextDouble())) * Math.cos(2 * Math.PI * random.nextDouble());
    }
}
