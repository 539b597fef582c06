package ration.answer.assess;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import ration.Systems;
import ration.aircraft.model.LineSize;
import ration.aircraft.model.Run;
import ration.record.project.Project;

/** What the ledger says of the flow before the rest is known: one of the cases, as the whole assessment has it. */
class FlowAtOnceTest {

    @ParameterizedTest
    @ValueSource(strings = {"corrie-b1", "brindle-a2", "tansy-l3"})
    void whatIsSaidAtOnceIsACaseOfTheWhole(String demo) {
        Project p = Systems.demo(demo);
        Assessment before = Assessment.of(p);
        for (Run run : p.system().runs()) {
            for (LineSize size : LineSize.usual().subList(0, 2)) {
                Project edited = p.with(p.system().replace(run.resized(size)));
                Assessment whole = Assessment.of(edited, Optional.of(before));
                CaseAnswer once = Assessment.flowAtOnce(edited, before).orElseThrow();
                CaseAnswer same = whole.cases().stream()
                        .filter(c -> c.condition().equals(once.condition())
                                && c.filling().equals(once.filling()))
                        .findFirst()
                        .orElseThrow();
                assertThat(once.ratio())
                        .as("%s in %s", run.id(), size)
                        .isCloseTo(same.ratio(), within(1e-9 * Math.max(1, same.ratio())));
                assertThat(Ties.rounded(whole.governing().orElseThrow().ratio()))
                        .as("the whole may only be worse")
                        .isLessThanOrEqualTo(Ties.rounded(once.ratio()));
            }
        }
    }

    @Test
    void nothingIsSaidAtOnceOfWhatCannotBeComputed() {
        Project p = Systems.corrie();
        Assessment before = Assessment.of(p);
        Project torn = p.with(p.system().minus(p.system().inlet().orElseThrow().id()));
        assertThat(Assessment.flowAtOnce(torn, before)).isEmpty();
        assertThat(Assessment.flowAtOnce(p, Assessment.of(torn)))
                .as("nothing governed before")
                .isEmpty();
    }
}
