package ration.physics.flow;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.assertj.core.data.Offset;
import ration.RandomEdits;
import ration.aircraft.condition.Condition;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Run;
import ration.answer.assess.Assessment;
import ration.answer.assess.StartingCase;
import ration.record.file.ProjectFileException;
import ration.record.project.Project;

/** What is handed on from edit to edit saves work and changes no answer. */
class HandedOnTest {

    /**
     * A layout edited in any way: its answers by a basis that came of the one before are those of a basis made anew.
     */
    @Property(tries = 3)
    void a_basis_that_came_of_another_answers_as_one_made_anew(@ForAll long seed) throws ProjectFileException {
        Random random = new Random(seed);
        Project project = RandomEdits.start(random);
        Optional<FlowBasis> basis = Assessment.of(project).basis();
        for (int i = 0; i < 4 && basis.isPresent(); i++) {
            project = RandomEdits.edited(project, random);
            FuelSystem edited = project.system();
            Optional<FlowBasis> fresh = Assessment.of(project).basis();
            if (fresh.isEmpty()) {
                return;
            }
            FlowBasis anew = fresh.get();
            FlowBasis handed = new FlowBasis(edited, anew.fuel(), anew.law(), anew.bodies(), anew.around(), basis);
            for (Condition c : conditions(project, random)) {
                for (FlowQuestion q : List.of(
                        new FlowQuestion.Capacity(),
                        new FlowQuestion.Demand(project.brief().demand()))) {
                    same(handed.ask(c, q), anew.ask(c, q), edited);
                }
            }
            basis = Optional.of(handed);
        }
    }

    private static List<Condition> conditions(Project project, Random random) {
        Condition start = StartingCase.of(project);
        var attitudes = project.brief().envelope().attitudes();
        return List.of(start, start.with(attitudes.get(random.nextInt(attitudes.size()))), start.withFouled(true));
    }

    private static void same(FlowAnswer a, FlowAnswer b, FuelSystem system) {
        assertThat(a.usable()).isEqualTo(b.usable());
        assertThat(a.reason()).isEqualTo(b.reason());
        assertThat(a.inletFlow()).isCloseTo(b.inletFlow(), Offset.offset(1e-15 + 1e-9 * Math.abs(b.inletFlow())));
        assertThat(a.airDrawn()).isEqualTo(b.airDrawn());
        assertThat(a.dryHeaders()).isEqualTo(b.dryHeaders());
        for (Run run : system.runs()) {
            assertThat(a.flow(run.id()))
                    .as(run.id())
                    .isCloseTo(b.flow(run.id()), Offset.offset(1e-13 + 1e-9 * Math.abs(b.flow(run.id()))));
        }
    }
}
