package ration.physics.flow;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.stream.Stream;
import org.assertj.core.data.Offset;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import ration.Systems;
import ration.aircraft.model.Tank;
import ration.answer.assess.Assessment;
import ration.answer.assess.CaseAnswer;
import ration.answer.assess.Regime;
import ration.answer.assess.StartingCase;
import ration.record.file.ProjectFile;
import ration.record.project.Pattern;
import ration.record.project.Project;

/** The way of the fuel from where it comes from. */
class PathTest {

    static Stream<Arguments> layouts() {
        return Stream.concat(
                Arrays.stream(Pattern.values()).map(p -> Arguments.of(p.name(), p.project())),
                ProjectFile.systems().stream().map(s -> Arguments.of(s, Systems.demo(s))));
    }

    /**
     * Whatever goes round, from a rail back to the header before its pumps or through a jet, the way begins at a tank's
     * surface, and along it losses, what pumps add and what is left make up the height of the fuel over the inlet.
     */
    @ParameterizedTest
    @MethodSource("layouts")
    void beginsAtATankAndAddsUp(String pattern, Project p) {
        CaseAnswer look = Assessment.of(p).look(StartingCase.of(p)).orElseThrow();
        for (Regime regime : Regime.values()) {
            FlowAnswer flow = regime.of(look);
            assertThat(flow.path()).as(pattern + " " + regime).isNotEmpty();
            assertThat(p.system().item(flow.path().get(0).item()))
                    .as(pattern + " " + regime)
                    .get()
                    .isInstanceOf(Tank.class);
            double lost = flow.path().stream().mapToDouble(PathStep::loss).sum();
            assertThat(flow.headAvailable().orElseThrow() * flow.weight() - lost)
                    .as(pattern + " " + regime)
                    .isCloseTo(flow.headLeft().orElseThrow() * flow.weight(), Offset.offset(0.5));
        }
    }
}
