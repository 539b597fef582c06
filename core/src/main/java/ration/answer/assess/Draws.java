package ration.answer.assess;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.SplittableRandom;
import java.util.function.BiFunction;
import java.util.function.BooleanSupplier;
import java.util.function.DoubleConsumer;
import java.util.function.UnaryOperator;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import ration.aircraft.model.Field;
import ration.aircraft.model.FieldSheet;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Item;
import ration.aircraft.model.Pump;
import ration.aircraft.model.SectionFields;
import ration.aircraft.model.Tank;
import ration.base.quantity.Dimension;
import ration.base.quantity.Measured;
import ration.base.quantity.Method;
import ration.base.quantity.Quantity;
import ration.base.task.Steps;
import ration.record.project.Project;

/**
 * A layout whose figures are off by as much as they may be. Every length, height, bore and loss is drawn from a normal
 * law cut at three deviations, a pump's pressures all together. Friction is not drawn: the turbulent branch already
 * stands on the safe side.
 */
public final class Draws {

    /** Enough to tell 90 from 95 %. */
    public static final int USUAL_SAMPLES = 400;
    /** Of what the ledger and the page say, so that both say the same. */
    public static final long SEED = 20_250_704L;
    /** Cases solved for each draw. */
    static final int NEAREST_CASES = 4;

    private static final int MOST_DRAWS = 50;

    private final FuelSystem system;
    private final List<Drawn> items;

    private Draws(FuelSystem system) {
        this.system = system;
        items = system.items().stream().map(Drawn::of).toList();
    }

    /**
     * A figure that may be off.
     *
     * @param item it belongs to
     * @param key stable word of it within its item
     * @param label as its card calls it
     * @param as it stands
     * @param deviation one standard deviation, SI
     * @param on an item of the kind with it off by so many deviations
     */
    record Figure(
            Item item, String key, String label, Measured as, double deviation, BiFunction<Item, Double, Item> on) {

        /** The item as it stands with it off by so many deviations. */
        Item moved(double deviations) {
            return on.apply(item, deviations);
        }

        /** The same of the item as other figures have moved it already. */
        Item moved(Item as, double deviations) {
            return on.apply(as, deviations);
        }

        /** The same, off by no more than this. */
        Figure within(double other) {
            return other >= deviation
                    ? this
                    : new Figure(item, key, label, as, other, (i, n) -> on.apply(i, n * other / deviation));
        }
    }

    /** Every figure of some items that is drawn. */
    static List<Figure> figures(List<Item> items) {
        List<Figure> all = new ArrayList<>();
        for (Item item : items) {
            Drawn d = Drawn.of(item);
            d.fields.forEach(
                    f -> all.add(new Figure(item, f.field.key(), f.field.label(), f.as, f.deviation, (i, n) -> f.field
                            .with()
                            .apply(i, f.at(n)))));
            item.only(Pump.class)
                    .filter(p -> d.pump > 0)
                    .ifPresent(p -> all.add(new Figure(
                            item,
                            "curve",
                            "pressure of its curve",
                            p.curve().get(0).pressure(),
                            d.pump * p.curve().get(0).pressure().si(),
                            (i, n) -> scaled(i.only(Pump.class).orElseThrow(), 1 + n * d.pump))));
        }
        return all;
    }

    /** One field of a part, with its standard deviation, SI. */
    private record Off(Field field, Measured as, double deviation) {

        Measured at(double deviations) {
            double si = as.si() + deviations * deviation;
            return as.with(Quantity.ofSi(
                    as.si() > 0 ? Math.max(si, 0.05 * as.si()) : si,
                    as.quantity().unit()));
        }
    }

    /**
     * What is drawn of one part: read off it once, since every sample asks for the same.
     *
     * @param pump deviation of a pump's pressures as a share of them; 0 of any other part
     */
    private record Drawn(Item item, List<Off> fields, double pump) {

        static Drawn of(Item item) {
            Optional<Pump> pump = item.only(Pump.class);
            double share = pump.filter(p ->
                            !p.curve().isEmpty() && p.curve().get(0).pressure().si() > 0)
                    .map(p -> Method.tolerance(p.curve().get(0).pressure())
                            / 2
                            / p.curve().get(0).pressure().si())
                    .orElse(0.0);
            return new Drawn(
                    item,
                    Stream.concat(
                                    FieldSheet.of(item).stream(),
                                    item.only(Tank.class).stream().flatMap(t -> SectionFields.of(t).stream()))
                            .filter(f -> !f.limit())
                            .filter(f -> f.unit().dimension() == Dimension.LENGTH
                                    || f.unit().dimension() == Dimension.PRESSURE && pump.isEmpty())
                            .map(f -> new Off(
                                    f,
                                    f.get().apply(item),
                                    Method.tolerance(f.get().apply(item)) / 2))
                            .toList(),
                    share);
        }

        Item by(SplittableRandom random) {
            Item out = item.only(Pump.class)
                    .filter(p -> pump > 0)
                    .<Item>map(p -> scaled(p, 1 + deviation(random) * pump))
                    .orElse(item);
            for (Off f : fields) {
                out = f.field.with().apply(out, f.at(deviation(random)));
            }
            return out;
        }
    }

    private static Pump scaled(Pump pump, double factor) {
        UnaryOperator<Measured> by = m ->
                m.with(Quantity.of(m.quantity().value() * factor, m.quantity().unit()));
        return pump.withCurve(pump.curve().stream()
                .map(p -> new Pump.CurvePoint(p.flow(), by.apply(p.pressure())))
                .toList());
    }

    /** Of a normal law cut at three deviations. */
    static double deviation(SplittableRandom random) {
        double d = Math.sqrt(-2 * Math.log(1 - random.nextDouble())) * Math.cos(2 * Math.PI * random.nextDouble());
        return Math.max(-3, Math.min(3, d));
    }

    /** A draw whose tanks close: figures that nobody measured may draw a floor through a sump well. */
    private FuelSystem possible(SplittableRandom random) {
        for (int i = 0; i < MOST_DRAWS; i++) {
            FuelSystem drawn =
                    system.withItems(items.stream().map(f -> f.by(random)).toList());
            if (drawn.tanks().stream().allMatch(Draws::closes)) {
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

    /**
     * What came of samples.
     *
     * @param margins rising
     * @param shorts how many were short
     */
    public record Samples(double[] margins, int shorts) {}

    /**
     * Draws a project so often and solves the cases that come nearest to short; the same seed gives the same answer,
     * however many threads help.
     *
     * @param nearest those cases
     * @param known of the project as it stands
     * @return empty if it was stopped
     */
    public static Optional<Samples> sample(
            Project as,
            List<CaseAnswer.Setting> nearest,
            Optional<Assessment> known,
            long seed,
            int samples,
            DoubleConsumer progress,
            BooleanSupplier stop) {
        // records speak of the tanks as they are, not of any drawn beside them
        Project project = as.withTests(List.of());
        Draws draws = new Draws(project.system());
        double[] margins = new double[samples];
        boolean[] isShort = new boolean[samples];
        Steps steps = new Steps(progress, samples);
        IntStream.range(0, samples).parallel().forEach(i -> {
            if (stop.getAsBoolean()) {
                return;
            }
            SplittableRandom random = new SplittableRandom(seed + 0x9E3779B97F4A7C15L * i);
            Optional<LeastMargin> m = LeastMargin.of(project.with(draws.possible(random)), nearest, known);
            margins[i] = m.map(LeastMargin::margin).orElse(0.0);
            isShort[i] = m.map(l -> l.ratio() < 1).orElse(true);
            steps.done();
        });
        if (stop.getAsBoolean()) {
            return Optional.empty();
        }
        Arrays.sort(margins);
        return Optional.of(new Samples(margins, (int)
                IntStream.range(0, samples).filter(i -> isShort[i]).count()));
    }
}
