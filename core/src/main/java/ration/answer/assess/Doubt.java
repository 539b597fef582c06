package ration.answer.assess;

import java.util.Arrays;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.SplittableRandom;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import ration.aircraft.condition.Attitude;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Item;
import ration.aircraft.model.Problem;
import ration.aircraft.model.Tank;
import ration.aircraft.model.Validation;
import ration.base.quantity.Measured;
import ration.base.task.Steps;
import ration.base.task.Task;
import ration.physics.flow.FlowBasis;
import ration.physics.tank.Governing;
import ration.physics.vapor.HeatPath;
import ration.record.project.Project;

/**
 * How far each figure as entered could move what the ledger says: one at a time, by one standard deviation up and down,
 * in the cases that come nearest to failing. Friction is not moved, as in {@link Draws}.
 *
 * @param flow margin over what is needed, in the case that governs; empty where nothing governs
 * @param unusable placard over what is left, of the tank that governs; empty where a test or the maker says it, not the
 *     figures
 * @param vapor degrees over what is needed; empty where none is computed
 * @param moves of every figure that moves one of them
 * @param bent figures of an answer that are told as one; none where all add up
 */
public record Doubt(
        OptionalDouble flow, OptionalDouble unusable, OptionalDouble vapor, List<Move> moves, Map<Of, Together> bent) {

    /** A figure with a smaller part of the variance may bend: it is too little to matter. */
    private static final double MATTERS = 0.02;
    /** Of a figure's own part, so much that goes the same way up and down is a bend. */
    private static final double BENDS = 0.1;
    /** Attitudes in which a moved tank is looked at. */
    static final int NEAREST_ATTITUDES = 40;
    /** Figures that are moved together at most, and places each is moved to. */
    private static final int MOST_TOGETHER = 3;

    private static final int MOST_DRAWS = 20;

    private static final int[] PLACES = {0, 15, 11, 7};

    public Doubt {
        moves = List.copyOf(moves);
        bent = Map.copyOf(bent);
    }

    /**
     * Figures whose moves do not add up, such as the curves of two pumps side by side of which the stronger works
     * alone: one thing, moved together.
     *
     * @param members of it
     * @param variance of the answer by all of them
     * @param beside variance by others that add up, found with these moving too
     */
    public record Together(List<Move> members, double variance, Map<Move, Double> beside) {
        public Together {
            members = List.copyOf(members);
            beside = Map.copyOf(beside);
        }
    }

    /** Answers of the ledger that figures decide. */
    public enum Of {
        FLOW,
        UNUSABLE,
        VAPOR
    }

    /**
     * Of one figure.
     *
     * @param item it belongs to
     * @param key stable word of the figure within its item
     * @param label as its card calls it
     * @param as it stands
     * @param deviation one standard deviation, SI, above 0
     * @param flow what one deviation does to it, signed: the mean of both ways; so the two that follow
     * @param flowSquare mean of the squares of both ways: its part of the variance; so the two that follow
     */
    public record Move(
            Item item,
            String key,
            String label,
            Measured as,
            double deviation,
            double flow,
            double unusable,
            double vapor,
            double flowSquare,
            double unusableSquare,
            double vaporSquare) {

        public double by(Of of) {
            return switch (of) {
                case FLOW -> flow;
                case UNUSABLE -> unusable;
                case VAPOR -> vapor;
            };
        }

        public double square(Of of) {
            return switch (of) {
                case FLOW -> flowSquare;
                case UNUSABLE -> unusableSquare;
                case VAPOR -> vaporSquare;
            };
        }
    }

    /** What a figure is off by, one standard deviation, where it would be known better than it is entered. */
    public interface Known {
        double deviation(Item item, String key, double asEntered);
    }

    /** What an answer stands over what is needed: above 1, or 0 degrees, it holds; empty where there is none. */
    public OptionalDouble of(Of of) {
        return switch (of) {
            case FLOW -> flow;
            case UNUSABLE -> unusable;
            case VAPOR -> vapor;
        };
    }

    /** Of an assessment; when asked to stop, of the figures that were moved by then, and it is not to be shown. */
    public static Doubt of(Assessment a, Task task) {
        Mover mover = new Mover(a);
        List<Draws.Figure> figures = Draws.figures(a.project().system().items()).stream()
                .filter(f -> f.deviation() > 0)
                .toList();
        Steps steps = new Steps(task.progress(), figures.size());
        List<Move> moves = figures.parallelStream()
                .filter(f -> f.deviation() > 0)
                .flatMap(f -> {
                    Stream<Move> m = task.cancelled().getAsBoolean() ? Stream.empty() : mover.move(f).stream();
                    steps.done();
                    return m;
                })
                .toList();
        Map<Of, Together> bent = new EnumMap<>(Of.class);
        for (Of of : Of.values()) {
            if (!task.cancelled().getAsBoolean()) {
                together(mover, figures, moves, of).ifPresent(t -> bent.put(of, t));
            }
        }
        return new Doubt(mover.flow, mover.unusable, mover.vapor, moves, bent);
    }

    /**
     * One standard deviation of an answer with some figures known better, by drawing all of them at once: where they do
     * not add up. To within one in thirty of itself; the same each time it is asked.
     *
     * @return not a number where nothing answers, or when asked to stop
     */
    public static double spread(Assessment a, Of of, Known known, Task task) {
        Mover mover = new Mover(a);
        List<Draws.Figure> figures = Draws.figures(a.project().system().items()).stream()
                .filter(f -> f.deviation() > 0)
                .map(f -> f.within(known.deviation(f.item(), f.key(), f.deviation())))
                .toList();
        Steps steps = new Steps(task.progress(), Draws.USUAL_SAMPLES);
        double[] answers = IntStream.range(0, Draws.USUAL_SAMPLES)
                .parallel()
                .mapToDouble(i -> {
                    SplittableRandom random = new SplittableRandom(Draws.SEED + 0x9E3779B97F4A7C15L * i);
                    double y = Double.NaN;
                    // a layout without an answer is drawn again, so often
                    for (int n = 0; n < MOST_DRAWS && Double.isNaN(y); n++) {
                        double[] by = figures.stream()
                                .mapToDouble(f -> Draws.deviation(random))
                                .toArray();
                        y = task.cancelled().getAsBoolean() ? 0 : mover.at(figures, by, of);
                    }
                    steps.done();
                    return y;
                })
                .toArray();
        return task.cancelled().getAsBoolean() ? Double.NaN : Math.sqrt(variance(answers));
    }

    /**
     * What bends, and the largest that do not, moved to every set of places of equal chance: what goes with one of
     * those alone is its own, the rest is of those that bend.
     */
    private static Optional<Together> together(Mover mover, List<Draws.Figure> figures, List<Move> moves, Of of) {
        double variance = moves.stream().mapToDouble(m -> m.square(of)).sum();
        List<Move> members = moves.stream()
                .filter(m -> m.square(of) > MATTERS * variance)
                .sorted(Comparator.comparing((Move m) -> !bends(m, of))
                        .thenComparing(Comparator.comparingDouble((Move m) -> m.square(of))
                                .reversed()))
                .limit(MOST_TOGETHER)
                .toList();
        if (members.stream().noneMatch(m -> bends(m, of))) {
            return Optional.empty();
        }
        List<Draws.Figure> moved = members.stream()
                .map(m -> figures.stream()
                        .filter(f -> f.item() == m.item() && f.key().equals(m.key()))
                        .findFirst()
                        .orElseThrow())
                .toList();
        double[] places = places(PLACES[members.size()]);
        int n = places.length;
        int all = (int) Math.round(Math.pow(n, members.size()));
        double[] answers = IntStream.range(0, all)
                .parallel()
                .mapToDouble(i -> {
                    double[] by = new double[moved.size()];
                    for (int k = 0, rest = i; k < by.length; k++, rest /= n) {
                        by[k] = places[rest % n];
                    }
                    return mover.at(moved, by, of);
                })
                .toArray();
        // places within equal chances spread less than the law they stand for
        double spread = Arrays.stream(places).map(x -> x * x).average().orElseThrow();
        double found = variance(answers) / spread;
        Map<Move, Double> beside = new HashMap<>();
        for (int k = 0, step = 1; k < members.size(); k++, step *= n) {
            if (!bends(members.get(k), of)) {
                int each = step;
                double own = variance(IntStream.range(0, n)
                                .mapToDouble(p -> IntStream.range(0, all)
                                        .filter(i -> i / each % n == p)
                                        .mapToDouble(i -> answers[i])
                                        .filter(Double::isFinite)
                                        .average()
                                        .orElse(Double.NaN))
                                .toArray())
                        / spread;
                beside.put(members.get(k), own);
            }
        }
        double rest = found - beside.values().stream().mapToDouble(v -> v).sum();
        return Double.isFinite(rest) && rest >= 0
                ? Optional.of(
                        new Together(members.stream().filter(m -> bends(m, of)).toList(), rest, beside))
                : Optional.empty();
    }

    private static boolean bends(Move m, Of of) {
        return m.square(of) - m.by(of) * m.by(of) > BENDS * m.square(of);
    }

    private static double variance(double[] of) {
        double[] y = Arrays.stream(of).filter(Double::isFinite).toArray();
        double mean = Arrays.stream(y).average().orElse(Double.NaN);
        return Arrays.stream(y).map(v -> (v - mean) * (v - mean)).average().orElse(Double.NaN);
    }

    private static double[] places(int n) {
        return IntStream.range(0, n)
                .mapToDouble(i -> Math.sqrt(2) * org.hipparchus.special.Erf.erfInv(2 * (i + 0.5) / n - 1))
                .toArray();
    }

    /** Asks the three answers of a layout with one figure off. */
    static final class Mover {

        private final Assessment known;
        private final Project project;
        private final List<CaseAnswer.Setting> nearest;
        private final Optional<String> tank;
        private final List<Attitude> attitudes;
        private final Optional<VaporAnswer> hot;
        final OptionalDouble flow;
        final OptionalDouble unusable;
        final OptionalDouble vapor;

        Mover(Assessment a) {
            known = a;
            // records speak of the tanks as they are, not of any drawn beside them
            project = a.project().withTests(List.of());
            nearest = a.governing().isPresent() ? a.nearest(Draws.NEAREST_CASES) : List.of();
            Optional<TankAnswer> least = a.governingTank().filter(t -> t.source() == TankAnswer.Source.PREDICTED);
            tank = least.map(t -> t.tank().id());
            attitudes = least.map(t -> Governing.nearest(
                            t.body(), t.feed(), project.brief().envelope().corners(), NEAREST_ATTITUDES))
                    .orElse(List.of());
            hot = a.vapor();
            FuelSystem system = project.system();
            flow = flow(system);
            unusable = unusable(system);
            vapor = vapor(system);
        }

        OptionalDouble flow(FuelSystem moved) {
            return nearest.isEmpty() ? OptionalDouble.empty() : flow(basis(moved));
        }

        OptionalDouble unusable(FuelSystem moved) {
            return of(tank.flatMap(moved::item)
                    .flatMap(i -> i.only(Tank.class))
                    .map(t -> TankAnswer.of(project.with(moved), t, attitudes).ratio()));
        }

        OptionalDouble vapor(FuelSystem moved) {
            return hot.isEmpty() ? OptionalDouble.empty() : vapor(basis(moved));
        }

        /** What flow and vapor of a layout rest on; empty where a problem blocks it. */
        private Optional<FlowBasis> basis(FuelSystem moved) {
            return Validation.of(moved).stream().anyMatch(Problem::blocks)
                    ? Optional.empty()
                    : Optional.of(Assessor.basis(project.with(moved), Optional.of(known)));
        }

        private OptionalDouble flow(Optional<FlowBasis> basis) {
            return of(basis.flatMap(b -> LeastMargin.of(project.with(b.system()), b, nearest))
                    .map(LeastMargin::ratio));
        }

        private OptionalDouble vapor(Optional<FlowBasis> asked) {
            if (hot.isEmpty() || asked.isEmpty()) {
                return OptionalDouble.empty();
            }
            FlowBasis basis = asked.get();
            VaporAnswer at = hot.get();
            CaseAnswer.Setting s = at.look().setting();
            CaseAnswer.Setting then = new CaseAnswer.Setting(
                    s.condition(), s.filling(), s.pumps(), basis.levels(s.condition()), s.asked());
            var demand =
                    CaseAnswer.demandAt(basis, project.brief(), then, at.air().fuelKelvin());
            if (!demand.usable()) {
                return OptionalDouble.empty();
            }
            HeatPath path = HeatPath.of(
                    basis.system(),
                    demand,
                    project.heat(),
                    s.condition().engine().power());
            return path.stands() ? OptionalDouble.empty() : OptionalDouble.of(path.fewest(at.air()) - at.needed());
        }

        private static OptionalDouble of(Optional<Double> d) {
            return d.isPresent() ? OptionalDouble.of(d.get()) : OptionalDouble.empty();
        }

        /** An answer with several figures off; not a number where the layout cannot be so. */
        double at(List<Draws.Figure> figures, double[] deviations, Of of) {
            try {
                Map<String, Item> parts = new LinkedHashMap<>();
                for (int k = 0; k < deviations.length; k++) {
                    Draws.Figure f = figures.get(k);
                    // of the part as it is by now: several of them may be of one
                    parts.put(f.item().id(), f.moved(parts.getOrDefault(f.item().id(), f.item()), deviations[k]));
                }
                FuelSystem s = project.system()
                        .withItems(project.system().items().stream()
                                .map(i -> parts.getOrDefault(i.id(), i))
                                .toList());
                return (switch (of) {
                            case FLOW -> flow(s);
                            case UNUSABLE -> unusable(s);
                            case VAPOR -> vapor(s);
                        })
                        .orElse(Double.NaN);
            } catch (IllegalArgumentException e) {
                return Double.NaN;
            }
        }

        /** Both ways, or the one it can go; empty where it moves nothing. */
        private Optional<Move> move(Draws.Figure f) {
            double[][] by = new double[3][2];
            int[] ways = new int[3];
            for (double n : new double[] {1, -1}) {
                double[] d = moved(f, n);
                for (int i = 0; d.length > 0 && i < 3; i++) {
                    if (Double.isFinite(d[i])) {
                        by[i][0] += n * d[i];
                        by[i][1] += d[i] * d[i];
                        ways[i]++;
                    }
                }
            }
            if (by[0][1] + by[1][1] + by[2][1] == 0) {
                return Optional.empty();
            }
            for (int i = 0; i < 3; i++) {
                by[i][0] /= Math.max(1, ways[i]);
                by[i][1] /= Math.max(1, ways[i]);
            }
            return Optional.of(new Move(
                    f.item(),
                    f.key(),
                    f.label(),
                    f.as(),
                    f.deviation(),
                    by[0][0],
                    by[1][0],
                    by[2][0],
                    by[0][1],
                    by[1][1],
                    by[2][1]));
        }

        /** What a figure off by so many deviations does to the three; nothing where the layout cannot be so. */
        private double[] moved(Draws.Figure f, double deviations) {
            try {
                FuelSystem s = project.system().replace(f.moved(deviations));
                boolean here = tank.filter(f.item().id()::equals).isPresent();
                Optional<FlowBasis> basis = nearest.isEmpty() && hot.isEmpty() ? Optional.empty() : basis(s);
                return new double[] {
                    less(flow(basis), flow), here ? less(unusable(s), unusable) : 0, less(vapor(basis), vapor)
                };
            } catch (IllegalArgumentException e) {
                return new double[0];
            }
        }

        private static double less(OptionalDouble then, OptionalDouble now) {
            return then.isPresent() && now.isPresent() ? then.getAsDouble() - now.getAsDouble() : Double.NaN;
        }
    }
}
