package ration.remedy;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.SplittableRandom;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.IntStream;
import ration.assess.Assessment;
import ration.assess.CaseAnswer;
import ration.assess.LeastMargin;
import ration.model.Field;
import ration.model.FieldSheet;
import ration.model.FuelSystem;
import ration.model.Item;
import ration.model.Measured;
import ration.model.Pump;
import ration.model.Tank;
import ration.project.Project;
import ration.quantity.Dimension;
import ration.quantity.Quantity;

/**
 * How often the margin would be short if the measured figures are off by as much as they may be. Each sample draws every
 * length, height, bore and loss once from a normal law cut at three deviations (a pump's pressures all together) and
 * solves the cases that come nearest to short. Friction itself is not sampled: the turbulent branch already stands on the
 * safe side.
 *
 * @param samples drawn
 * @param shorts  of them, how many were short
 * @param low     margin that one sample in twenty lies under
 * @param middle  half of them lie under
 * @param high    nineteen in twenty lie under
 */
public record Chance(int samples, int shorts, double low, double middle, double high) {

    /** Enough to tell 90 from 95 %. */
    public static final int USUAL_SAMPLES = 400;
    /** A margin less sure than this counts as Thin. */
    public static final double SURE = 0.90;
    private static final int NEAREST_CASES = 4;
    private static final int MOST_DRAWS = 50;

    /** Share of samples that are short. */
    public double share() {
        return samples == 0 ? 0 : (double) shorts / samples;
    }

    /**
     * Samples a project; the same seed gives the same answer, however many threads help.
     *
     * @return empty if nothing is computed or the task is cancelled
     */
    public static Optional<Chance> of(Assessment assessment, long seed, int samples, Task task) {
        List<CaseAnswer.Setting> nearest = assessment.nearest(NEAREST_CASES);
        if (nearest.isEmpty()) {
            return Optional.empty();
        }
        // records speak of the tanks as they are, not of any drawn beside them
        Project project = assessment.project().withTests(List.of());
        List<Figures> figures = figures(project.system());
        double[] margins = new double[samples];
        boolean[] isShort = new boolean[samples];
        AtomicInteger done = new AtomicInteger();
        IntStream.range(0, samples).parallel().forEach(i -> {
            if (task.cancelled().getAsBoolean()) {
                return;
            }
            SplittableRandom random = new SplittableRandom(seed + 0x9E3779B97F4A7C15L * i);
            Optional<LeastMargin> m = LeastMargin.of(project.with(possible(project.system(), figures, random)), nearest, Optional.of(assessment));
            margins[i] = m.map(LeastMargin::margin).orElse(0.0);
            isShort[i] = m.map(l -> l.ratio() < 1).orElse(true);
            task.progress().accept((double) done.incrementAndGet() / samples);
        });
        if (task.cancelled().getAsBoolean()) {
            return Optional.empty();
        }
        Arrays.sort(margins);
        int shorts = (int) IntStream.range(0, samples).filter(i -> isShort[i]).count();
        return Optional.of(new Chance(samples, shorts, margins[(int) (0.05 * (samples - 1))],
                margins[(samples - 1) / 2], margins[(int) (0.95 * (samples - 1))]));
    }

    /**
     * What is drawn of one part: read off it once, since every sample asks for the same.
     *
     * @param item  as it stands
     * @param drawn its figures that are drawn
     */
    private record Figures(Item item, List<Figure> drawn) {

        static Figures of(Item item) {
            boolean pump = item.only(Pump.class).isPresent();
            return new Figures(item, FieldSheet.of(item).stream().filter(f -> f.unit().dimension() == Dimension.LENGTH
                    || f.unit().dimension() == Dimension.PRESSURE && !pump).map(f -> Figure.of(f, f.get().apply(item))).toList());
        }

        Item drawn(SplittableRandom random) {
            Item out = item.only(Pump.class).<Item>map(p -> Chance.drawn(p, random)).orElse(item);
            for (Figure f : drawn) {
                out = f.field.with().apply(out, f.drawn(random));
            }
            return out;
        }
    }

    /**
     * One figure.
     *
     * @param deviation one standard deviation, SI
     */
    private record Figure(Field field, Measured as, double deviation) {

        static Figure of(Field field, Measured as) {
            return new Figure(field, as, Tolerances.of(as) / 2);
        }

        Measured drawn(SplittableRandom random) {
            double si = as.si() + Chance.deviation(random) * deviation;
            return as.with(Quantity.ofSi(as.si() > 0 ? Math.max(si, 0.05 * as.si()) : si, as.quantity().unit()));
        }
    }

    private static List<Figures> figures(FuelSystem system) {
        return system.items().stream().map(Figures::of).toList();
    }

    /** A draw whose tanks close: figures that nobody measured may draw a floor through a sump well. */
    private static FuelSystem possible(FuelSystem system, List<Figures> figures, SplittableRandom random) {
        for (int i = 0; i < MOST_DRAWS; i++) {
            FuelSystem drawn = system.withItems(figures.stream().map(f -> f.drawn(random)).toList());
            if (drawn.tanks().stream().allMatch(Chance::closes)) {
                return drawn;
            }
        }
        return system;
    }

    private static boolean closes(Tank tank) {
        try {
            return tank.solid().volume() > 0;
        } catch (IllegalArgumentException e) {
            return false;
        }
    }

    private static Item drawn(Pump pump, SplittableRandom random) {
        double factor = pump.curve().isEmpty() || pump.curve().get(0).pressure().si() <= 0 ? 1
                : 1 + deviation(random) * Tolerances.of(pump.curve().get(0).pressure()) / 2
                / pump.curve().get(0).pressure().si();
        List<Pump.CurvePoint> curve = new ArrayList<>();
        pump.curve().forEach(p -> curve.add(new Pump.CurvePoint(p.flow(), p.pressure().with(Quantity.of(
                p.pressure().quantity().value() * factor, p.pressure().quantity().unit())))));
        return pump.withCurve(curve);
    }

    private static double deviation(SplittableRandom random) {
        double d = Math.sqrt(-2 * Math.log(1 - random.nextDouble())) * Math.cos(2 * Math.PI * random.nextDouble());
        return Math.max(-3, Math.min(3, d));
    }
}
