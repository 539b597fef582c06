package ration.answer.improve;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import ration.answer.assess.Assessment;
import ration.answer.assess.CaseAnswer;
import ration.answer.assess.LeastMargin;
import ration.answer.remedy.Change;
import ration.base.task.Steps;
import ration.base.task.Task;
import ration.record.project.Project;
import ration.verdict.check.Check;
import ration.verdict.check.Finding;

/**
 * The cheapest sets of changes after which nothing Fails. Each change is solved alone; then sets, the cheapest first,
 * each as one layout, until enough hold. A set is looked at only where each thing that Fails has a change in it that
 * cures it alone, or brings it nearer; its flow is first asked of the few cases nearest to failing, which are cases of
 * its own: where one of them fails, the set does. Of two sets that hold, one within the other, only the smaller is
 * told.
 *
 * @param sets that hold, the cheapest first
 * @param failing what Fails now
 * @param beyond what no change here cures: these sets leave it as it is
 * @param always changes that are in every set: nothing else cures what they cure, and they bear on nothing else
 * @param size most changes beside those: three, or as many as it takes where three are not enough
 * @param alone flow margin with one change alone, over what is needed, in the order of {@link #changes}
 * @param changes that were tried
 * @param solved sets that were looked at
 * @param stopped whether it was told to stop: there may be cheaper sets, and others
 * @param failures what was found of failures
 */
public record MakeItHold(
        List<Improvement> sets,
        List<Finding> failing,
        List<Finding> beyond,
        List<Change> always,
        int size,
        List<Double> alone,
        List<Change> changes,
        int solved,
        boolean stopped,
        WithFailures failures) {

    /** Nothing asked yet. */
    public static final MakeItHold NONE = new MakeItHold(
            List.of(), List.of(), List.of(), List.of(), 0, List.of(), List.of(), 0, false, WithFailures.NOT_ASKED);

    /** Sets told. */
    private static final int MOST = 8;
    /** Changes in a set, unless it takes more. */
    private static final int FEW = 3;

    private static final int MANY = 6;
    /** Sets looked at before it is given up: a builder waits seconds. */
    private static final int MOST_SETS = 4000;
    /** Sets solved whole. */
    private static final int MOST_SOLVED = 150;
    /** Nearer by less than this share of what is needed is no help. */
    private static final double LEAST_HELP = 0.005;
    /** Cases the flow of a set is first asked of. */
    private static final int NEAREST = 12;
    /** Sets solved at once before it is looked whether enough hold. */
    private static final int BATCH = 8;

    public MakeItHold {
        sets = List.copyOf(sets);
        failing = List.copyOf(failing);
        beyond = List.copyOf(beyond);
        always = List.copyOf(always);
        alone = List.copyOf(alone);
        changes = List.copyOf(changes);
    }

    /** Margin over need with one of the changes alone. */
    public double alone(Change c) {
        int at = changes.indexOf(c);
        return at < 0 ? Double.NaN : alone.get(at);
    }

    /**
     * Of a layout.
     *
     * @param task told the share that is done; once stopped, what was found by then is given back
     */
    public static MakeItHold of(Assessment a, Weights weights, Task task) {
        if (!weights.failures()) {
            return new Search(a, weights, task).run();
        }
        MakeItHold found = new Search(a, weights, new Task(d -> task.progress().accept(d / 2), task.cancelled())).run();
        return FailuresToo.of(found, a, weights, new Task(d -> task.progress().accept(0.5 + d / 2), task.cancelled()));
    }

    MakeItHold with(WithFailures of) {
        return new MakeItHold(sets, failing, beyond, always, size, alone, changes, solved, stopped || of.stopped(), of);
    }

    /** With sets that failures were asked of, how many were solved for them, and what their changes do alone. */
    MakeItHold with(List<Improvement> others, int more, Map<Change, Double> flow) {
        List<Change> tried = new ArrayList<>(changes);
        List<Double> each = new ArrayList<>(alone);
        flow.forEach((c, ratio) -> {
            tried.add(c);
            each.add(ratio);
        });
        return new MakeItHold(others, failing, beyond, always, size, each, tried, solved + more, stopped, failures);
    }

    /** A change solved alone: which of what Fails it cures or brings nearer, a bit each. */
    private record Single(Change change, long cures, long helps, double counts, double flow, boolean sound) {}

    private record Wanted(int[] of, double counts) {}

    private static final class Search {

        private final Assessment before;
        private final Project project;
        private final Weights weights;
        private final Task task;
        private final List<Finding> failing;
        private final List<CaseAnswer.Setting> nearest;
        private final Weighing weighing;
        private List<Single> singles = List.of();
        private final List<Single> forced = new ArrayList<>();
        private long forcedCures;
        private int looked;
        private int solved;
        private int largest;
        /** How often each of what Fails was left by a set that was solved. */
        private int[] stays = {};

        Search(Assessment a, Weights weights, Task task) {
            this.before = a;
            this.project = a.project();
            this.weights = weights;
            this.task = task;
            // a bit each: what is over that stays as it is
            List<Finding> all = Candidates.failing(a);
            failing = all.subList(0, Math.min(Long.SIZE - 1, all.size()));
            nearest = a.governing().isPresent() ? a.nearest(NEAREST) : List.of();
            weighing = new Weighing(a, weights);
        }

        MakeItHold run() {
            if (before.blocked() || failing.isEmpty()) {
                return told(List.of(), failing);
            }
            List<Change> changes = Candidates.of(before, failing, weights.leave());
            Steps steps = new Steps(task.progress(), 0, 0.4, Math.max(1, changes.size()));
            singles = changes.parallelStream()
                    .map(c -> {
                        Optional<Single> s =
                                task.cancelled().getAsBoolean() ? Optional.<Single>empty() : Optional.of(alone(c));
                        steps.done();
                        return s;
                    })
                    .flatMap(Optional::stream)
                    .filter(s -> s.sound() && (s.cures() | s.helps()) != 0)
                    .sorted(Comparator.comparingDouble(Single::counts))
                    .toList();
            forced();
            long within = forcedCures
                    | singles.stream().mapToLong(s -> s.cures() | s.helps()).reduce(0, (x, y) -> x | y);
            long reach = within;
            List<Improvement> found = new ArrayList<>();
            while (reach != 0 && found.isEmpty() && !task.cancelled().getAsBoolean()) {
                stays = new int[failing.size()];
                solved = 0;
                int first = least(reach & ~forcedCures);
                for (int size = first;
                        size <= MANY && found.isEmpty() && !task.cancelled().getAsBoolean();
                        size++) {
                    // smaller ones were looked at before
                    int over = size == first ? 0 : size - 1;
                    solve(
                            sets(reach & ~forcedCures, size).stream()
                                    .filter(w -> w.of().length > over || over == 0)
                                    .toList(),
                            reach,
                            found);
                    largest = size;
                }
                if (found.isEmpty()) {
                    reach &= ~(1L << worst(reach));
                }
            }
            long cured = found.isEmpty() ? 0 : reach;
            // what was not looked for may be cured by the way
            Set<String> stay = found.stream()
                    .flatMap(i -> Candidates.failing(i.after()).stream())
                    .map(Finding::id)
                    .collect(Collectors.toSet());
            List<Finding> beyond = IntStream.range(0, failing.size())
                    .filter(i -> (cured >> i & 1) == 0)
                    .filter(i -> found.isEmpty() || stay.contains(failing.get(i).id()))
                    .mapToObj(failing::get)
                    .toList();
            task.progress().accept(1);
            return told(found, beyond);
        }

        /**
         * What only one change cures, and nothing else bears on, is in every set: the search is over the rest. Chosen
         * by bits alone; each set is solved whole with them in it.
         */
        private void forced() {
            for (int i = 0; i < failing.size(); i++) {
                long bit = 1L << i;
                List<Single> here = singles.stream()
                        .filter(s -> ((s.cures() | s.helps()) & bit) != 0)
                        .toList();
                if (here.size() == 1
                        && here.get(0).cures() == bit
                        && here.get(0).helps() == 0) {
                    forced.add(here.get(0));
                    forcedCures |= bit;
                }
            }
            singles = singles.stream().filter(s -> !forced.contains(s)).toList();
        }

        /** What to leave as it is: what is only ever brought nearer, else what most sets left. */
        private int worst(long reach) {
            long cured = Stream.concat(singles.stream(), forced.stream())
                    .mapToLong(Single::cures)
                    .reduce(0, (x, y) -> x | y);
            return IntStream.range(0, failing.size())
                    .filter(i -> (reach >> i & 1) != 0)
                    .boxed()
                    .max(Comparator.comparingInt((Integer i) -> (cured >> i & 1) == 0 ? 1 : 0)
                            .thenComparingInt(i -> stays[i]))
                    .orElseThrow();
        }

        private MakeItHold told(List<Improvement> found, List<Finding> beyond) {
            List<Single> all = Stream.concat(forced.stream(), singles.stream()).toList();
            return new MakeItHold(
                    found,
                    failing,
                    beyond,
                    forced.stream().map(Single::change).toList(),
                    Math.max(FEW, largest),
                    all.stream().map(Single::flow).toList(),
                    all.stream().map(Single::change).toList(),
                    looked,
                    task.cancelled().getAsBoolean(),
                    WithFailures.NOT_ASKED);
        }

        private Single alone(Change c) {
            Project p = c.on().apply(project);
            Assessment after = Assessment.bare(p, Optional.of(before));
            Then then = then(after);
            long cures = 0;
            long helps = 0;
            for (int i = 0; i < failing.size(); i++) {
                Finding f = failing.get(i);
                if ((then.left() >> i & 1) == 0) {
                    cures |= 1L << i;
                } else if (after.findings().stream()
                        .anyMatch(x -> x.id().equals(f.id()) && x.ratio() > f.ratio() + LEAST_HELP)) {
                    helps |= 1L << i;
                }
            }
            return new Single(
                    c,
                    cures,
                    helps,
                    weighing.counts(List.of(c), p),
                    after.governing().map(CaseAnswer::ratio).orElse(Double.NaN),
                    !then.breaks() && weighing.answers(after));
        }

        /** What of it is left, a bit each, and whether something else fails. */
        private record Then(long left, boolean breaks) {}

        /** A check that tells only its worst stands for the same where it tells it of another part. */
        private Then then(Assessment after) {
            List<Finding> fails = Candidates.failing(after);
            long left = 0;
            for (int i = 0; i < failing.size(); i++) {
                String id = failing.get(i).id();
                left |= fails.stream().anyMatch(f -> f.id().equals(id)) ? 1L << i : 0;
            }
            boolean breaks = false;
            for (Finding f : fails) {
                if (failing.stream().noneMatch(x -> x.id().equals(f.id()))) {
                    long had = left;
                    int same = IntStream.range(0, failing.size())
                            .filter(i -> failing.get(i).check() == f.check() && (had >> i & 1) == 0)
                            .findFirst()
                            .orElse(-1);
                    left |= same < 0 ? 0 : 1L << same;
                    breaks |= same < 0;
                }
            }
            return new Then(left, breaks);
        }

        /** The fewest changes that cover all that is within reach, three at least. */
        private int least(long reach) {
            for (int n = 1; n <= MANY; n++) {
                if (covers(reach, 0, n)) {
                    return Math.max(FEW, n);
                }
            }
            return MANY;
        }

        private boolean covers(long reach, long have, int left) {
            long open = reach & ~have;
            if (open == 0) {
                return true;
            }
            long first = Long.lowestOneBit(open);
            return left > 0
                    && singles.stream()
                            .map(s -> s.cures() | s.helps())
                            .filter(m -> (m & first) != 0)
                            .distinct()
                            .anyMatch(m -> covers(reach, have | m, left - 1));
        }

        /** Every set up to a size that touches all within reach, the cheapest first. */
        private List<Wanted> sets(long reach, int size) {
            Set<List<Integer>> all = new HashSet<>();
            grow(reach, size, new ArrayList<>(), 0, all);
            return all.stream()
                    .map(l -> new Wanted(l.stream().mapToInt(i -> i).toArray(), counts(l)))
                    .sorted(Comparator.comparingDouble(Wanted::counts).thenComparing(w -> Arrays.toString(w.of())))
                    .limit(MOST_SETS)
                    .toList();
        }

        private double counts(List<Integer> of) {
            return of.stream().mapToDouble(i -> singles.get(i).counts()).sum();
        }

        /** Covers first what is open and has no change yet; then adds what helps where nothing in it cures. */
        private void grow(long reach, int left, List<Integer> chosen, long have, Set<List<Integer>> all) {
            if (all.size() >= MOST_SETS * MANY) {
                return;
            }
            long open = reach & ~have;
            long sure = chosen.stream().mapToLong(i -> singles.get(i).cures()).reduce(0, (x, y) -> x | y);
            if (open == 0) {
                List<Integer> set = chosen.stream().sorted().toList();
                if (!all.add(set)) {
                    return;
                }
            }
            // an open one must be touched; where all are, only what is not cured for sure may want more
            long next = open != 0 ? Long.lowestOneBit(open) : reach & ~sure;
            if (left == 0 || next == 0) {
                return;
            }
            for (int i = 0; i < singles.size(); i++) {
                Single s = singles.get(i);
                if (((s.cures() | s.helps()) & next) != 0 && fits(chosen, s)) {
                    chosen.add(i);
                    grow(reach, left - 1, chosen, have | s.cures() | s.helps(), all);
                    chosen.remove(chosen.size() - 1);
                }
            }
        }

        private boolean fits(List<Integer> chosen, Single s) {
            return chosen.stream().allMatch(i -> singles.get(i).change().goesWith(s.change()));
        }

        /** In the order of cost, a few at once; what was found by then stays when it is stopped. */
        private void solve(List<Wanted> wanted, long reach, List<Improvement> found) {
            List<Set<Integer>> hold = new ArrayList<>();
            int at = 0;
            Steps steps = new Steps(task.progress(), 0.4 + 0.6 * solved / MOST_SOLVED, 1, wanted.size() / BATCH + 2);
            while (at < wanted.size()
                    && found.size() < MOST
                    && solved < MOST_SOLVED
                    && !task.cancelled().getAsBoolean()) {
                List<Wanted> batch = new ArrayList<>();
                while (at < wanted.size() && batch.size() < BATCH) {
                    Wanted w = wanted.get(at++);
                    if (hold.stream().noneMatch(h -> within(h, w))) {
                        batch.add(w);
                    }
                }
                List<Boolean> answers =
                        batch.parallelStream().map(w -> holds(w, reach)).toList();
                List<Wanted> good = new ArrayList<>();
                for (int i = 0; i < batch.size(); i++) {
                    Wanted w = batch.get(i);
                    if (answers.get(i)
                            && found.size() + good.size() < MOST
                            && hold.stream().noneMatch(h -> within(h, w))) {
                        hold.add(Arrays.stream(w.of()).boxed().collect(Collectors.toSet()));
                        good.add(w);
                    }
                }
                found.addAll(good.parallelStream().map(this::told).toList());
                looked += batch.size();
                steps.done();
            }
        }

        private static boolean within(Set<Integer> small, Wanted large) {
            return Arrays.stream(large.of()).boxed().collect(Collectors.toSet()).containsAll(small);
        }

        private List<Change> changes(Wanted w) {
            return Stream.concat(forced.stream(), Arrays.stream(w.of()).mapToObj(singles::get))
                    .map(Single::change)
                    .toList();
        }

        private boolean holds(Wanted w, long reach) {
            if (task.cancelled().getAsBoolean()) {
                return false;
            }
            Project p = Improvement.made(project, changes(w));
            if (flowFails(p, reach)) {
                return false;
            }
            Assessment quick = Assessment.bare(p, Optional.of(before));
            Then then = then(quick);
            synchronized (this) {
                solved++;
                for (int i = 0; i < failing.size(); i++) {
                    stays[i] += (int) (then.left() >> i & 1);
                }
            }
            return (then.left() & reach) == 0 && !then.breaks() && weighing.answers(quick);
        }

        /** What is told of a set that holds. */
        private Improvement told(Wanted w) {
            List<Change> changes = changes(w);
            Project p = Improvement.made(project, changes);
            return weighing.told(changes, Assessment.of(p, Optional.of(before)));
        }

        /** Of the cases nearest to failing; one that is left as it is does not count. */
        private boolean flowFails(Project p, long reach) {
            long flow = IntStream.range(0, failing.size())
                    .filter(i -> failing.get(i).check() == Check.FLOW_MARGIN)
                    .mapToLong(i -> 1L << i)
                    .sum();
            boolean fails = flow != 0 && (flow & ~reach) == 0 && LeastMargin.fails(p, nearest, Optional.of(before));
            if (fails) {
                synchronized (this) {
                    for (int i = 0; i < failing.size(); i++) {
                        stays[i] += failing.get(i).check() == Check.FLOW_MARGIN ? 1 : 0;
                    }
                }
            }
            return fails;
        }
    }
}
