package ration.answer.remedy;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.concurrent.atomic.AtomicInteger;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import ration.Systems;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Problem;
import ration.aircraft.model.Tee;
import ration.aircraft.model.Validation;
import ration.answer.assess.Assessment;
import ration.answer.assess.TankAnswer;
import ration.base.task.Task;
import ration.record.project.Project;

/** Ways to reduce unusable fuel: ranked, true once tried, and whole layouts after it. */
class LessLeftTest {

    @Test
    void everySuggestionDoesWhatItSays() {
        FuelSystem system = Systems.twoTanks(20, 20);
        Project project = Systems.project(system);
        TankAnswer now = Assessment.of(project).tank("left").orElseThrow();
        List<LessLeft.Row> rows = LessLeft.of(project, now, Task.QUIET);
        assertThat(rows)
                .isNotEmpty()
                .isSortedAccordingTo((a, b) -> Double.compare(
                        a.after().predicted().volume(), b.after().predicted().volume()));
        for (LessLeft.Row row : rows) {
            Project after = row.edit().change().apply(project);
            assertThat(Validation.of(after.system())).as(row.title()).noneMatch(Problem::blocks);
            Assessment a = Assessment.of(after);
            assertThat(a.blocked()).as(row.title()).isFalse();
            TankAnswer tank = a.tank("left").orElseThrow();
            assertThat(tank.predicted().volume())
                    .as(row.title())
                    .isCloseTo(row.after().predicted().volume(), Offset.offset(1e-12))
                    .isLessThan(now.predicted().volume());
        }
    }

    @Test
    void aSecondOutletIsTeedIn() {
        Project project = Systems.project(Systems.twoTanks(20, 20));
        TankAnswer now = Assessment.of(project).tank("left").orElseThrow();
        LessLeft.Row second = LessLeft.of(project, now, Task.QUIET).stream()
                .filter(r -> r.title().startsWith("Second outlet"))
                .findFirst()
                .orElseThrow();
        FuelSystem after = second.edit().change().apply(project).system();
        assertThat(after.openPorts()).isEqualTo(project.system().openPorts());
        assertThat(after.all(Tee.class)).hasSize(1);
    }

    @Test
    void itCanBeStopped() {
        Project project = Systems.project(Systems.twoTanks(20, 20));
        AtomicInteger told = new AtomicInteger();
        assertThat(LessLeft.of(
                        project,
                        Assessment.of(project).tank("left").orElseThrow(),
                        new Task(s -> told.incrementAndGet(), () -> told.get() >= 2)))
                .isEmpty();
        assertThat(told.get()).isEqualTo(2);
    }
}
