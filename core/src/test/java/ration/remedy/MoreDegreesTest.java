package ration.remedy;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import ration.assess.Assessment;
import ration.file.ProjectFile;
import ration.file.ProjectFileException;
import ration.fluid.Volatility;
import ration.model.Problem;
import ration.model.Validation;
import ration.project.Project;

/** What buys degrees is true once tried, and leaves whole layouts. */
class MoreDegreesTest {

    private static Project brindle() throws ProjectFileException {
        return ProjectFile.demo("brindle-a2");
    }

    @Test
    void everySuggestionDoesWhatItSays() throws ProjectFileException {
        Project p = brindle().with(brindle().heat().with(Volatility.MOGAS_A));
        Assessment now = Assessment.of(p);
        List<MoreDegrees.Row> rows = MoreDegrees.of(now, Task.QUIET);
        assertThat(rows).isNotEmpty().isSortedAccordingTo((a, b) -> Double.compare(b.after().degrees(), a.after().degrees()));
        assertThat(rows).anyMatch(r -> r.title().contains("Mogas AA with ethanol in place of Mogas A"));
        for (MoreDegrees.Row r : rows) {
            Project after = r.edit().change().apply(p);
            assertThat(Validation.of(after.system())).as(r.title()).noneMatch(Problem::blocks);
            assertThat(Assessment.of(after).vapor().orElseThrow().degrees()).as(r.title()).isCloseTo(r.after().degrees(),
                    Offset.offset(1e-9)).isGreaterThan(now.vapor().orElseThrow().degrees());
            assertThat(r.costs()).contains("flow margin");
        }
    }

    @Test
    void itCanBeStopped() throws ProjectFileException {
        assertThat(MoreDegrees.of(Assessment.of(brindle()), new Task(s -> { }, () -> true))).isEmpty();
    }
}
