package ration.answer.improve;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import ration.Systems;
import ration.aircraft.condition.Fault;
import ration.answer.assess.Assessment;
import ration.answer.fault.FaultAnswer;
import ration.answer.fault.FaultSearch;
import ration.answer.fault.FaultSum;
import ration.answer.remedy.Change;
import ration.base.task.Task;
import ration.verdict.check.Finding;
import ration.verdict.check.Verdict;

/** Failures made to hold on top of a set: what is told is what every failure says of the layout anew. */
class FailuresTooTest {

    private static final Weights TOO = Weights.usual().withFailures(true);

    /** What is left alone is not touched for failures either. */
    @Test
    void whatIsLeftAloneIsNotTouched() {
        Weights few = TOO.leaving(EnumSet.complementOf(EnumSet.of(Change.Sort.VENTS, Change.Sort.DRAINS)));
        MakeItHold found = MakeItHold.of(Systems.assessed("brindle-a2"), few, Task.QUIET);
        assertThat(found.sets()).isNotEmpty();
        assertThat(found.sets().stream().flatMap(i -> i.changes().stream()))
                .noneMatch(c -> few.leave().contains(c.sort()));
    }

    private static Set<String> fails(Assessment a) {
        return a.findings().stream()
                .filter(f -> f.verdict() == Verdict.FAILS)
                .map(Finding::id)
                .collect(Collectors.toSet());
    }

    @Test
    void everySetToldIsWhatEveryFailureSaysOfIt() {
        Assessment a = Systems.assessed("brindle-a2");
        MakeItHold found = Found.in("brindle-a2", TOO);
        FaultSum was = found.failures().was();
        assertThat(was).isEqualTo(FaultSum.of(Systems.faults("brindle-a2")));
        List<Improvement> told =
                found.sets().stream().filter(i -> i.failures().isPresent()).toList();
        assertThat(told).isNotEmpty();
        assertThat(told.get(0).failures().orElseThrow().shorts()).isLessThan(was.shorts());
        assertThat(told)
                .isSortedAccordingTo(java.util.Comparator.comparingInt(
                        i -> i.failures().orElseThrow().shorts()
                                + i.failures().orElseThrow().notShown()));
        Improvement best = told.get(0);
        Assessment anew = Assessment.of(best.edit().change().apply(a.project()));
        List<FaultAnswer> all = FaultSearch.of(anew);
        assertThat(FaultSum.of(all)).isEqualTo(best.failures().orElseThrow());
        // what is said to stay does, in the set as told
        assertThat(found.failures().beyond())
                .isSubsetOf(all.stream()
                        .filter(f -> f.verdict() == Verdict.FAILS)
                        .map(FaultSum::title)
                        .toList());
        Set<String> beyond = found.beyond().stream().map(Finding::id).collect(Collectors.toSet());
        assertThat(beyond).containsAll(fails(anew));
    }

    /** A failure that held with a set never fails, or loses its answer, by what is done for another. */
    @Test
    void noFailureIsMadeWorse() {
        MakeItHold plain = Found.in("brindle-a2", Weights.usual());
        MakeItHold found = Found.in("brindle-a2", TOO);
        assertThat(found.sets()).hasSizeGreaterThan(plain.sets().size());
        for (Improvement i : found.sets()) {
            Optional<Improvement> base = plain.sets().stream()
                    .filter(b ->
                            i.changes().containsAll(b.changes()) && !i.changes().equals(b.changes()))
                    .findFirst();
            if (base.isEmpty() || i.failures().isEmpty()) {
                continue;
            }
            Set<Fault> held = FaultSearch.of(base.get().after()).stream()
                    .filter(f -> f.verdict() == Verdict.HOLDS || f.verdict() == Verdict.THIN)
                    .map(FaultAnswer::fault)
                    .collect(Collectors.toSet());
            assertThat(FaultSearch.of(i.after()).stream()
                            .filter(f -> f.verdict() == Verdict.FAILS || f.verdict() == Verdict.NOT_SHOWN)
                            .map(FaultAnswer::fault))
                    .doesNotContainAnyElementsOf(held);
        }
    }

    /** A list cut short says nothing: not that failures hold, and not that nothing cures them. */
    @Test
    void stoppedItSaysNothingOfFailures() {
        AtomicBoolean half = new AtomicBoolean();
        MakeItHold found = MakeItHold.of(
                Systems.assessed("corrie-b1"), TOO, new Task(d -> half.compareAndSet(false, d > 0.5), half::get));
        assertThat(found.stopped()).isTrue();
        assertThat(found.failures().was().asked()).isFalse();
        assertThat(found.failures().beyond()).isEmpty();
        assertThat(found.sets()).isNotEmpty().allMatch(i -> i.failures().isEmpty());
    }
}
