package ration.answer.remedy;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import ration.Systems;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Problem;
import ration.aircraft.model.Pump;
import ration.aircraft.model.Validation;
import ration.answer.assess.Assessment;
import ration.base.fluid.Volatility;
import ration.base.task.Task;
import ration.record.file.ProjectFile;
import ration.record.file.ProjectFileException;
import ration.record.project.Pattern;
import ration.record.project.Project;

/** What buys degrees is true once tried, and leaves whole layouts. */
class MoreDegreesTest {

    private static Project brindle() throws ProjectFileException {
        return ProjectFile.demo("brindle-a2");
    }

    @ParameterizedTest
    @ValueSource(strings = {"brindle-a2", "BOOST_AND_ENGINE_PUMP", "HULL_AND_PYLON", "TWO_PUMPS_PARALLEL"})
    void everySuggestionDoesWhatItSays(String layout) throws ProjectFileException {
        Project said = layout.equals("brindle-a2")
                ? brindle()
                : Systems.said(Pattern.valueOf(layout).project());
        Project p = said.with(said.heat().with(Volatility.MOGAS_A));
        Assessment now = Assessment.of(p);
        List<MoreDegrees.Row> rows = MoreDegrees.of(now, Task.QUIET);
        assertThat(rows)
                .isNotEmpty()
                .isSortedAccordingTo(
                        (a, b) -> Double.compare(b.after().degrees(), a.after().degrees()));
        assertThat(rows).anyMatch(r -> r.title().contains("Mogas AA with ethanol in place of Mogas A"));
        for (MoreDegrees.Row r : rows) {
            Project after = r.edit().change().apply(p);
            assertThat(Validation.of(after.system())).as(r.title()).noneMatch(Problem::blocks);
            assertThat(Assessment.of(after).vapor().orElseThrow().degrees())
                    .as(r.title())
                    .isCloseTo(r.after().degrees(), Offset.offset(1e-9))
                    .isGreaterThan(now.vapor().orElseThrow().degrees());
            assertThat(r.costs()).contains("flow margin");
        }
    }

    /**
     * Before the first pump of a suction line: what lowers the pump, or eases what it draws through, gains; each names
     * its part.
     */
    @Test
    void aSuctionLineGainsByWhatStandsBeforeThePump() {
        Project p = Systems.said(Pattern.BOOST_AND_ENGINE_PUMP.project());
        List<MoreDegrees.Row> rows = MoreDegrees.of(Assessment.of(p), Task.QUIET);
        assertThat(rows)
                .extracting(MoreDegrees.Row::title)
                .anyMatch(t -> t.endsWith("pump 6 in lower"))
                .anyMatch(t -> t.equals("Strainer twice as large"))
                .anyMatch(t -> t.matches("Line R\\d+ in 1/2"));
        MoreDegrees.Row lower = rows.stream()
                .filter(r -> r.title().endsWith("pump 6 in lower"))
                .findFirst()
                .orElseThrow();
        Project after = lower.edit().change().apply(p);
        assertThat(after.system()
                        .all(Pump.class)
                        .mapToDouble(x -> x.place().point().z())
                        .sum())
                .isCloseTo(
                        p.system()
                                        .all(Pump.class)
                                        .mapToDouble(x -> x.place().point().z())
                                        .sum()
                                - 6 * 0.0254,
                        Offset.offset(1e-9));
        FuelSystem gone = p.system().minus("engine-pump");
        assertThat(lower.edit().change().apply(p.with(gone)).system())
                .as("of a pump taken away since")
                .isEqualTo(gone);
    }

    @Test
    void itCanBeStopped() throws ProjectFileException {
        assertThat(MoreDegrees.of(Assessment.of(brindle()), new Task(s -> {}, () -> true)))
                .isEmpty();
    }
}
