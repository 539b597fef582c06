package ration.answer.find;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Set;
import java.util.concurrent.ForkJoinPool;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import ration.Systems;
import ration.aircraft.condition.Condition;
import ration.aircraft.condition.Fault;
import ration.answer.assess.Assessment;
import ration.answer.assess.StartingCase;
import ration.answer.drawdown.Lasting;
import ration.answer.fault.Catalogue;
import ration.base.quantity.Unit;
import ration.record.project.Project;
import ration.record.reading.Reading;
import ration.record.reading.Setting;

/** Weighing causes: shares, and that it does not matter who helps or in which order. */
class SearchTest {

    private static List<Reading> readings(Project p) {
        String inlet = p.system().inlet().orElseThrow().id();
        Setting as = new Setting(StartingCase.of(p), Set.of());
        return List.of(
                new Reading(inlet, Reading.What.PRESSURE, Unit.PSI.toSi(0.4), Unit.PSI.toSi(0.3), as),
                new Reading(inlet, Reading.What.MINUTES, 9, 1, as));
    }

    @ParameterizedTest
    @ValueSource(strings = {"corrie-b1", "tansy-l3"})
    void theSameReadingsGiveTheSameCausesHoweverManyThreadsHelp(String demo) throws Exception {
        Project p = Systems.demo(demo);
        Condition now = StartingCase.of(p);
        Search usual = Search.of(Assessment.of(p), readings(p));
        List<NextReading> next = usual.next(now);
        ForkJoinPool alone = new ForkJoinPool(1);
        try {
            Search single =
                    alone.submit(() -> Search.of(Assessment.of(p), readings(p))).get();
            assertThat(single.explanations()).isEqualTo(usual.explanations());
            assertThat(alone.submit(() -> single.next(now)).get()).isEqualTo(next);
        } finally {
            alone.shutdown();
        }
        assertThat(usual.next(now)).as("asked again").isEqualTo(next);
        assertThat(usual.explanations().stream()
                        .mapToDouble(Explanation::belief)
                        .sum())
                .isCloseTo(1, within(1e-9));
        assertThat(usual.explanations()).isSortedAccordingTo((a, b) -> Double.compare(b.belief(), a.belief()));
        assertThat(next)
                .as("what was read is not asked for again, but with another gauge")
                .noneMatch(n -> !n.words().endsWith("another gauge")
                        && readings(p).stream()
                                .anyMatch(r -> r.place().equals(n.asked().place())
                                        && r.what() == n.asked().what()
                                        && r.setting().equals(n.asked().setting())));
    }

    /** The minutes alone are those of the whole course. */
    @ParameterizedTest
    @ValueSource(strings = {"corrie-b1", "brindle-a2"})
    void minutesAreThoseOfTheCourse(String demo) {
        Assessment a = Systems.assessed(demo);
        Condition now = StartingCase.of(a.project());
        double demand = a.project().brief().demand();
        List<Fault> faults = Catalogue.of(a.project().system());
        for (int i = 0; i < faults.size(); i += 5) {
            Condition failed = now.with(faults.get(i));
            Lasting whole = Lasting.of(a.basis().orElseThrow(), failed, demand, 40);
            assertThat(Lasting.minutes(a.basis().orElseThrow(), failed, demand, 40))
                    .as("%s", faults.get(i))
                    .isEqualTo(whole.minutes());
            assertThat(whole.course()).isNotEmpty();
        }
    }
}
