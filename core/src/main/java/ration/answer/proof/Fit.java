package ration.answer.proof;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.DoubleUnaryOperator;
import ration.aircraft.model.Field;
import ration.aircraft.model.FieldSheet;
import ration.aircraft.model.Item;
import ration.aircraft.model.Tank;
import ration.base.quantity.Measured;
import ration.base.quantity.Quantity;
import ration.physics.flow.FlowBasis;
import ration.physics.tank.TankBody;
import ration.record.evidence.AsBuilt;
import ration.record.evidence.HangarTest;
import ration.record.evidence.Readout;
import ration.record.evidence.Standing;
import ration.record.evidence.Work;
import ration.record.project.Project;

/**
 * The rated loss of one part, or the height of the tank, made so that the model pours what a flow test poured. The part
 * is the same as before, it is only known better: records that counted go on counting.
 *
 * @param item id of the part
 * @param name of it
 * @param key of the figure; {@link #HIGHER} of a tank that stands higher or lower as a whole
 * @param was the loss, Pa; nothing of a height
 * @param is that agrees with the mean of the runs, Pa; how much higher, m
 * @param scatter of that by the scatter of the runs, either way
 * @param test id of the test
 */
public record Fit(String item, String name, String key, double was, double is, double scatter, String test) {

    /** The key of a tank's height. */
    public static final String HIGHER = "higher";
    /** Nobody mismeasures a tank by more, m. */
    private static final double MOST_HIGHER = 0.15;

    private static final double MOST = 60;
    private static final int HALVINGS = 40;
    private static final String LOSS = "loss.loss";
    private static final String RATED = "rated[0].loss";

    /** Every part on the way whose loss could explain a flow test; none where no loss does. */
    public static List<Fit> of(Project project, FlowBasis basis, HangarTest test) {
        Optional<Work.Sheet> form = test.work().sheet().filter(s -> OpenLine.condition(basis, project.brief(), s)
                .isPresent());
        if (form.isEmpty()) {
            return List.of();
        }
        Work.Sheet sheet = form.get();
        List<Double> flows = sheet.full().stream()
                .map(r -> Readout.flow(sheet, r))
                .filter(q -> q > 0)
                .toList();
        if (flows.isEmpty()) {
            return List.of();
        }
        double mean = flows.stream().mapToDouble(Double::doubleValue).average().orElseThrow();
        double half = (flows.stream().mapToDouble(Double::doubleValue).max().orElseThrow()
                        - flows.stream().mapToDouble(Double::doubleValue).min().orElseThrow())
                / 2;
        List<Fit> all = new ArrayList<>();
        String rests = String.join(
                "\n",
                Standing.restsOn(project.asBuilt(), test.subject(), test.work())
                        .lines()
                        .keySet());
        for (Item item : project.system().items()) {
            Optional<Field> field = FieldSheet.of(item, LOSS)
                    .or(() -> FieldSheet.of(item, RATED))
                    .filter(f -> rests.contains(item.id() + ": "));
            if (item.only(Tank.class).isPresent() && rests.contains(item.id() + ": ")) {
                higher(project, basis, sheet, item.only(Tank.class).get(), mean, half)
                        .map(x -> new Fit(item.id(), item.name(), HIGHER, 0, x[0], x[1], test.id()))
                        .ifPresent(all::add);
            }
            field.ifPresent(f -> fit(project, basis, sheet, item, f, mean, half)
                    .map(x -> new Fit(item.id(), item.name(), f.key(), x[0], x[1], x[2], test.id()))
                    .ifPresent(all::add));
        }
        return all;
    }

    private static Optional<double[]> fit(
            Project project, FlowBasis basis, Work.Sheet sheet, Item item, Field field, double mean, double half) {
        double was = field.get().apply(item).si();
        if (!(was > 0)) {
            return Optional.empty();
        }
        DoubleUnaryOperator pours = loss -> OpenLine.of(
                        basis.with(project.system().replace(with(item, field, loss))), project.brief(), sheet)
                .map(OpenLine::pours)
                .orElse(0.0);
        double is = solve(pours, was, mean);
        if (Double.isNaN(is)) {
            return Optional.empty();
        }
        double less = solve(pours, was, mean + half);
        double more = solve(pours, was, mean - half);
        double scatter = Double.isNaN(less) || Double.isNaN(more) ? is : Math.abs(more - less) / 2;
        return Optional.of(new double[] {was, is, scatter});
    }

    /** How much higher the tank stands, and the scatter of that. */
    private static Optional<double[]> higher(
            Project project, FlowBasis basis, Work.Sheet sheet, Tank tank, double mean, double half) {
        DoubleUnaryOperator pours = lower -> {
            Tank moved = tank.raised(-lower);
            Map<String, TankBody> bodies = new HashMap<>(basis.bodies());
            bodies.put(
                    tank.id(), TankBody.of(moved, basis.bodies().get(tank.id()).calibration()));
            return OpenLine.of(basis.with(project.system().replace(moved), bodies), project.brief(), sheet)
                    .map(OpenLine::pours)
                    .orElse(0.0);
        };
        double is = solve(pours, -MOST_HIGHER, MOST_HIGHER, mean);
        if (Double.isNaN(is)) {
            return Optional.empty();
        }
        double up = solve(pours, -2 * MOST_HIGHER, 2 * MOST_HIGHER, mean + half);
        double down = solve(pours, -2 * MOST_HIGHER, 2 * MOST_HIGHER, mean - half);
        return Optional.of(
                new double[] {-is, Double.isNaN(up) || Double.isNaN(down) ? MOST_HIGHER : Math.abs(down - up) / 2});
    }

    /** The loss with which so much pours; NaN where none does. */
    private static double solve(DoubleUnaryOperator pours, double was, double flow) {
        return solve(pours, was * 1e-3, was * MOST, flow);
    }

    /** Where something of which more lets less through lets so much through; NaN where nowhere between. */
    private static double solve(DoubleUnaryOperator pours, double from, double to, double flow) {
        double low = from;
        double high = to;
        if (pours.applyAsDouble(low) < flow || pours.applyAsDouble(high) > flow) {
            return Double.NaN;
        }
        double close = 1e-8 * (to - from);
        for (int i = 0; i < HALVINGS && high - low > close; i++) {
            double middle = (low + high) / 2;
            if (pours.applyAsDouble(middle) > flow) {
                low = middle;
            } else {
                high = middle;
            }
        }
        return (low + high) / 2;
    }

    private static Item with(Item item, Field field, double loss) {
        Measured was = field.get().apply(item);
        return field.with()
                .apply(
                        item,
                        new Measured(
                                Quantity.of(
                                        was.quantity().unit().fromSi(loss),
                                        was.quantity().unit()),
                                was.by()));
    }

    /** The project with this loss. What counted before counts still, resting on the figure as it is known now. */
    public Project applied(Project p) {
        Optional<Item> part = p.system().item(item);
        if (key.equals(HIGHER)) {
            return part.flatMap(i -> i.only(Tank.class))
                    .map(t -> known(p, p.with(p.system().replace(t.raised(is)))))
                    .orElse(p);
        }
        Optional<Field> field = part.flatMap(i -> FieldSheet.of(i, key));
        if (field.isEmpty()) {
            return p;
        }
        Measured now = field.get().get().apply(part.get());
        double value = Math.round(now.quantity().unit().fromSi(is) * 1e4) / 1e4;
        Item known = field.get()
                .with()
                .apply(
                        part.get(),
                        new Measured(Quantity.of(value, now.quantity().unit()), "fitted to test " + test));
        return known(p, p.with(p.system().replace(known)));
    }

    /** What counted before counts still, resting on what is known now. */
    private static Project known(Project p, Project next) {
        AsBuilt before = p.asBuilt();
        AsBuilt after = next.asBuilt();
        return next.withTests(p.tests().stream()
                .map(t -> !t.work().onTank()
                                && !t.by().inputs().lines().isEmpty()
                                && Standing.of(t.with(new HangarTest.Progress(0, 0, true)), before)
                                                .state()
                                        != Standing.State.STALE
                        ? t.with(t.by().withInputs(Standing.restsOn(after, t.subject(), t.work())))
                        : t)
                .toList());
    }
}
