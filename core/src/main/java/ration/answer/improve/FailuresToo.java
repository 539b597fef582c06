package ration.answer.improve;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import ration.aircraft.condition.Fault;
import ration.answer.assess.Assessment;
import ration.answer.assess.LeastMargin;
import ration.answer.fault.FaultAnswer;
import ration.answer.fault.FaultChanges;
import ration.answer.fault.FaultSearch;
import ration.answer.fault.FaultSum;
import ration.answer.remedy.Change;
import ration.base.quantity.UnitSystem;
import ration.base.task.Steps;
import ration.base.task.Task;
import ration.record.project.Project;
import ration.verdict.check.Finding;
import ration.verdict.check.Verdict;

/**
 * Sets after which failures hold too: on top of the cheapest sets that make the layout hold, or of the layout as it
 * stands, up to three changes that cure what no other failure takes back. Each change is solved alone with every
 * failure that cuts flow, each set whole with every failure there is. A failure that no single change known here cures
 * stays; a change that makes another failure cut flow, or hides its answer, is none.
 */
final class FailuresToo {

    /** Sets of the layout that failures are asked on top of: the cheapest, a builder waits seconds. */
    private static final int BASES = 1;
    /** Sets told on top of each. */
    private static final int EACH = 2;
    /** Sets solved whole on top of each, at most. */
    private static final int SOLVED = 6;

    private static final int MOST = 3;

    private final Assessment before;
    private final Weights weights;
    private final Weighing weighing;
    private final Task task;

    private FailuresToo(Assessment before, Weights weights, Task task) {
        this.before = before;
        this.weights = weights;
        this.task = task;
        weighing = new Weighing(before, weights);
    }

    /** A change on top of a set, with the failures that hold with it, by their place in the list. */
    private record Cure(Change change, Set<Integer> cures, double counts) {}

    /** A layout to be hardened, and its failures. */
    private record Base(List<Change> changes, Assessment after, List<FaultAnswer> failures) {

        List<FaultAnswer> open() {
            return failures.stream().filter(f -> f.verdict() == Verdict.FAILS).toList();
        }
    }

    static MakeItHold of(MakeItHold found, Assessment before, Weights weights, Task task) {
        return before.blocked() ? found : new FailuresToo(before, weights, task).on(found);
    }

    private boolean stopped() {
        return task.cancelled().getAsBoolean();
    }

    private List<FaultAnswer> failures(Assessment a) {
        return FaultSearch.of(a, UnitSystem.US, share -> {}, task.cancelled());
    }

    private MakeItHold on(MakeItHold found) {
        List<FaultAnswer> was = failures(before);
        List<Improvement> told = new ArrayList<>();
        List<Base> bases = new ArrayList<>();
        if (found.sets().isEmpty()) {
            bases.add(new Base(List.of(), before, was));
        }
        for (Improvement i :
                found.sets().subList(0, Math.min(BASES, found.sets().size()))) {
            if (!stopped()) {
                bases.add(new Base(i.changes(), i.after(), failures(i.after())));
            }
        }
        Set<String> beyond = new LinkedHashSet<>();
        int solved = 0;
        for (int n = 0; n < bases.size() && !stopped(); n++) {
            double from = (double) n / bases.size();
            double to = (n + 1.0) / bases.size();
            Base b = bases.get(n);
            List<Cure> cures = cures(b, from, from + (to - from) / 2);
            Set<Integer> reach = cures.stream().flatMap(c -> c.cures().stream()).collect(Collectors.toSet());
            if (n == 0) {
                List<FaultAnswer> open = b.open();
                IntStream.range(0, open.size())
                        .filter(i -> !reach.contains(i))
                        .forEach(i -> beyond.add(FaultSum.title(open.get(i))));
            }
            List<Improvement> here = sets(b, cures, reach, from + (to - from) / 2, to);
            solved += here.size();
            told.addAll(here);
        }
        if (stopped()) {
            // a list cut short says nothing of a failure
            return found.with(new WithFailures(FaultSum.of(List.of()), List.of(), true));
        }
        for (int n = 0; n < found.sets().size(); n++) {
            Improvement i = found.sets().get(n);
            told.add(n < bases.size() ? i.with(FaultSum.of(bases.get(n).failures())) : i);
        }
        told.sort(Comparator.comparingInt((Improvement i) ->
                        i.failures().map(f -> f.shorts() + f.notShown()).orElse(Integer.MAX_VALUE))
                .thenComparingDouble(Improvement::counts));
        Map<Change, Double> flow = new LinkedHashMap<>();
        told.stream()
                .flatMap(i -> i.changes().stream())
                .distinct()
                .filter(c -> !found.changes().contains(c))
                .forEach(c -> flow.put(
                        c,
                        LeastMargin.of(c.on().apply(before.project()), Optional.of(before))
                                .map(LeastMargin::ratio)
                                .orElse(Double.NaN)));
        return found.with(told, solved, flow).with(new WithFailures(FaultSum.of(was), List.copyOf(beyond), false));
    }

    /** Changes that cure at least one failure of a layout and break nothing of it. */
    private List<Cure> cures(Base b, double from, double to) {
        List<FaultAnswer> open = b.open();
        Map<Project, Change> distinct = new LinkedHashMap<>();
        // each is asked of the failures it is known for; what else it does is told by the set, solved whole
        Map<Change, List<Fault>> of = new LinkedHashMap<>();
        Project project = b.after().project();
        for (FaultAnswer f : open) {
            FaultChanges.of(project.system(), f.fault(), UnitSystem.US).stream()
                    .filter(c -> !weights.leave().contains(c.sort()))
                    .filter(c -> b.changes().stream().allMatch(c::goesWith))
                    .forEach(c -> of.computeIfAbsent(
                                    distinct.computeIfAbsent(c.on().apply(project), p -> c), x -> new ArrayList<>())
                            .add(f.fault()));
        }
        of.remove(distinct.get(project));
        Steps steps = new Steps(task.progress(), from, to, Math.max(1, of.size()));
        List<Cure> cures = new ArrayList<>();
        for (Map.Entry<Change, List<Fault>> tried : of.entrySet()) {
            if (stopped()) {
                return List.of();
            }
            Change c = tried.getKey();
            List<Fault> ways = tried.getValue();
            Assessment then = Assessment.bare(c.on().apply(project), Optional.of(b.after()));
            if (sound(b, then)) {
                List<FaultAnswer> now =
                        FaultSearch.of(then, asked(then, ways), UnitSystem.US, d -> {}, task.cancelled());
                Set<Integer> cured = cured(open, now);
                if (!cured.isEmpty()) {
                    cures.add(new Cure(c, cured, weighing.counts(List.of(c), project)));
                }
            }
            steps.done();
        }
        return cures;
    }

    /** Failures to ask of a changed layout: a supply parted into buses is judged by all of them. */
    private static List<Fault> asked(Assessment then, List<Fault> ways) {
        boolean supply = ways.stream().anyMatch(f -> f.kind() == Fault.Kind.SUPPLY_DEAD);
        return FaultSearch.ways(then).stream()
                .filter(f -> ways.contains(f) || supply && f.kind() == Fault.Kind.SUPPLY_DEAD)
                .toList();
    }

    /** Those that hold, or are Thin; one that is no longer asked, or not computed, is not cured. */
    private static Set<Integer> cured(List<FaultAnswer> open, List<FaultAnswer> now) {
        return IntStream.range(0, open.size())
                .filter(i -> {
                    Fault f = open.get(i).fault();
                    List<FaultAnswer> same = now.stream()
                            .filter(x -> f.kind() == Fault.Kind.SUPPLY_DEAD
                                    ? x.fault().kind() == Fault.Kind.SUPPLY_DEAD
                                    : x.fault().equals(f))
                            .toList();
                    return !same.isEmpty() && same.stream().allMatch(x -> holds(x.verdict()));
                })
                .boxed()
                .collect(Collectors.toSet());
    }

    private static boolean holds(Verdict v) {
        return v == Verdict.HOLDS || v == Verdict.THIN;
    }

    /** Nothing Fails that did not, and no answer is hidden. */
    private boolean sound(Base b, Assessment then) {
        Set<String> had = fails(b.after());
        return weighing.answers(then) && had.containsAll(fails(then));
    }

    private static Set<String> fails(Assessment a) {
        return Candidates.failing(a).stream().map(Finding::id).collect(Collectors.toSet());
    }

    /** On top of a base, those that cure most, the cheapest first. */
    private List<Improvement> sets(Base b, List<Cure> cures, Set<Integer> reach, double from, double to) {
        List<List<Cure>> all = new ArrayList<>();
        subsets(cures, 0, new ArrayList<>(), all);
        Comparator<List<Cure>> most = Comparator.comparingInt(s -> -cured(s).size());
        all.sort(most.thenComparingDouble(
                        s -> s.stream().mapToDouble(Cure::counts).sum())
                .thenComparing(s -> s.stream().map(c -> c.change().title()).collect(Collectors.joining())));
        List<Improvement> good = new ArrayList<>();
        List<Set<Change>> held = new ArrayList<>();
        Steps steps = new Steps(task.progress(), from, to, SOLVED + 1);
        for (int n = 0, tried = 0; n < all.size() && tried < SOLVED && good.size() < EACH && !stopped(); n++) {
            List<Change> extra = all.get(n).stream().map(Cure::change).toList();
            if (idle(all.get(n)) || held.stream().anyMatch(h -> extra.containsAll(h))) {
                continue;
            }
            tried++;
            solve(b, extra).ifPresent(i -> {
                good.add(i);
                held.add(new HashSet<>(extra));
            });
            steps.done();
        }
        return good;
    }

    private static Set<Integer> cured(List<Cure> set) {
        return set.stream().flatMap(c -> c.cures().stream()).collect(Collectors.toSet());
    }

    /** Whether one of them cures nothing that the others do not. */
    private static boolean idle(List<Cure> set) {
        return set.stream()
                .anyMatch(c -> cured(set.stream().filter(x -> x != c).toList()).containsAll(c.cures()));
    }

    private static void subsets(List<Cure> from, int at, List<Cure> chosen, List<List<Cure>> all) {
        if (!chosen.isEmpty()) {
            all.add(List.copyOf(chosen));
        }
        for (int i = at; chosen.size() < MOST && i < from.size(); i++) {
            Cure c = from.get(i);
            if (chosen.stream().allMatch(x -> x.change().goesWith(c.change()))) {
                chosen.add(c);
                subsets(from, i + 1, chosen, all);
                chosen.remove(chosen.size() - 1);
            }
        }
    }

    /** As one layout, with every failure; empty where something else fails by it or is hidden. */
    private Optional<Improvement> solve(Base b, List<Change> extra) {
        List<Change> changes =
                Stream.concat(b.changes().stream(), extra.stream()).toList();
        Project p = Improvement.made(before.project(), changes);
        Assessment after = Assessment.of(p, Optional.of(b.after()));
        if (!sound(b, after)) {
            return Optional.empty();
        }
        List<FaultAnswer> now = failures(after);
        Map<Fault, Verdict> were = b.failures().stream()
                .collect(Collectors.toMap(FaultAnswer::fault, FaultAnswer::verdict, Verdict::worse));
        boolean harms = now.stream()
                .anyMatch(f -> !holds(f.verdict()) && were.containsKey(f.fault()) && holds(were.get(f.fault())));
        FaultSum sum = FaultSum.of(now);
        FaultSum was = FaultSum.of(b.failures());
        return stopped() || harms || sum.shorts() + sum.notShown() >= was.shorts() + was.notShown()
                ? Optional.empty()
                : Optional.of(weighing.told(changes, after).with(sum));
    }
}
