package ration.answer.improve;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import ration.Systems;
import ration.answer.assess.Assessment;
import ration.answer.remedy.Change;
import ration.base.task.Task;
import ration.record.cost.CostList;
import ration.record.project.Project;
import ration.verdict.check.Finding;
import ration.verdict.check.Verdict;

/** Sets of changes after which nothing Fails, against every set tried the plain way. */
class MakeItHoldTest {

    private static final Assessment CORRIE = Systems.assessedCorrie();

    /** Few enough to try every set of them. */
    private static final Weights FEW = Weights.usual()
            .leaving(EnumSet.of(Change.Sort.MOUNTS, Change.Sort.TANKS, Change.Sort.HEAT, Change.Sort.FUEL));

    private static Set<String> fails(Assessment a) {
        return a.findings().stream()
                .filter(f -> f.verdict() == Verdict.FAILS)
                .map(Finding::id)
                .collect(Collectors.toSet());
    }

    @Test
    void theFirstIsTheCheapestOfAllThatHold() {
        MakeItHold found = Found.in("corrie-b1", FEW);
        List<Change> free = found.changes().stream()
                .filter(c -> !found.always().contains(c))
                .toList();
        List<List<Change>> all = new ArrayList<>();
        subsets(free, 0, new ArrayList<>(found.always()), found.size(), all);
        double cheapest = all.parallelStream()
                .filter(set -> fails(Assessment.of(Improvement.made(CORRIE.project(), set)))
                        .isEmpty())
                .mapToDouble(set -> counts(set))
                .min()
                .orElseThrow();
        assertThat(all).hasSizeGreaterThan(100);
        assertThat(found.beyond()).isEmpty();
        assertThat(found.sets().get(0).counts()).isEqualTo(cheapest, org.assertj.core.api.Assertions.within(1e-9));
    }

    private static double counts(List<Change> set) {
        Project then = Improvement.made(CORRIE.project(), set);
        ration.record.cost.Bill bill = ration.record.cost.Bill.of(
                FEW.costs(), set.stream().flatMap(c -> c.takes().stream()).toList());
        double given = 0;
        for (int i = 0; i < then.system().tanks().size(); i++) {
            given += then.system().tanks().get(i).unusable().si()
                    - CORRIE.project().system().tanks().get(i).unusable().si();
        }
        return FEW.counts(bill.price(), bill.hours(), given);
    }

    private static void subsets(List<Change> free, int from, List<Change> chosen, int left, List<List<Change>> all) {
        all.add(List.copyOf(chosen));
        for (int i = from; left > 0 && i < free.size(); i++) {
            Change c = free.get(i);
            if (chosen.stream().allMatch(c::goesWith)) {
                chosen.add(c);
                subsets(free, i + 1, chosen, left - 1, all);
                chosen.remove(chosen.size() - 1);
            }
        }
    }

    @Test
    void whatIsToldIsSoOnceItIsTakenUp() {
        for (String demo : List.of("brindle-a2", "tansy-l3")) {
            Assessment before = Systems.assessed(demo);
            MakeItHold found = Found.in(demo, Weights.usual());
            Set<String> beyond = found.beyond().stream().map(Finding::id).collect(Collectors.toSet());
            assertThat(found.sets()).as(demo).isNotEmpty();
            assertThat(found.sets()).isSortedAccordingTo(java.util.Comparator.comparingDouble(Improvement::counts));
            for (Improvement i : found.sets()) {
                Project then = i.edit().change().apply(before.project());
                assertThat(then).isEqualTo(i.after().project());
                assertThat(beyond).as(demo).containsAll(fails(Assessment.of(then)));
                assertThat(i.changes()).containsAll(found.always());
            }
        }
    }

    @Test
    void noSetHoldsAnother() {
        List<Improvement> sets = Found.in("brindle-a2", Weights.usual()).sets();
        for (Improvement a : sets) {
            assertThat(sets.stream().filter(b -> b != a && b.changes().containsAll(a.changes())))
                    .isEmpty();
        }
    }

    @Test
    void noChangeOfASetIsIdle() {
        Improvement first = Found.in("corrie-b1", FEW).sets().get(0);
        for (Change c : first.changes()) {
            List<Change> without = new ArrayList<>(first.changes());
            without.remove(c);
            assertThat(fails(Assessment.of(Improvement.made(CORRIE.project(), without))))
                    .as(c.title())
                    .isNotEmpty();
        }
    }

    @Test
    void usableFuelThatIsDearIsNotGivenUp() {
        MakeItHold cheap = MakeItHold.of(CORRIE, Weights.usual().gallon(0), Task.QUIET);
        MakeItHold dear = MakeItHold.of(CORRIE, Weights.usual().gallon(100_000), Task.QUIET);
        assertThat(cheap.sets().get(0).givenUpM3()).isPositive();
        assertThat(dear.sets().get(0).givenUpM3()).isZero();
    }

    @Test
    void whatIsLeftAloneIsNotTouched() {
        Weights w = Weights.usual().leaving(EnumSet.of(Change.Sort.VENTS));
        MakeItHold found = MakeItHold.of(Systems.assessed("brindle-a2"), w, Task.QUIET);
        assertThat(found.changes()).noneMatch(c -> c.sort() == Change.Sort.VENTS);
        assertThat(found.beyond()).extracting(Finding::title).contains("Blocked vent of Hull tank");
    }

    @Test
    void stoppedItKeepsWhatItFound() {
        AtomicInteger asked = new AtomicInteger();
        MakeItHold none = MakeItHold.of(CORRIE, Weights.usual(), new Task(d -> {}, () -> true));
        assertThat(none.stopped()).isTrue();
        assertThat(none.sets()).isEmpty();
        assertThat(none.beyond()).isEqualTo(none.failing());
        List<Double> told = new ArrayList<>();
        MakeItHold.of(
                Systems.assessed("brindle-a2"),
                Weights.usual(),
                new Task(
                        d -> {
                            synchronized (told) {
                                told.add(d);
                            }
                            asked.incrementAndGet();
                        },
                        () -> false));
        assertThat(told).isSorted().endsWith(1.0);
    }

    @Test
    void whatTheListLacksIsNamed() {
        CostList short_ = CostList.read("part,price,hours\nline,2,0.1\n");
        Improvement first =
                MakeItHold.of(CORRIE, FEW.by(short_), Task.QUIET).sets().get(0);
        assertThat(first.bill().missing()).contains("vented cap");
    }

    @Test
    void whereNothingFailsThereIsNothingToDo() {
        MakeItHold found = MakeItHold.of(
                Assessment.of(Found.in("corrie-b1", FEW).sets().get(0).after().project()), FEW, Task.QUIET);
        assertThat(found.failing()).isEmpty();
        assertThat(found.sets()).isEmpty();
    }
}
