package ration.record.evidence;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Optional;
import org.junit.jupiter.api.Test;
import ration.aircraft.model.EngineInlet;
import ration.aircraft.model.Run;
import ration.aircraft.model.Tag;
import ration.aircraft.model.Tank;
import ration.record.file.ProjectFile;
import ration.record.file.ProjectFileException;
import ration.record.project.Project;

/**
 * What is kept from one state of a document to the next never makes a record count that does not, or the other way
 * round.
 */
class KnownTest {

    private static void sameAsFresh(Project project, Known kept) {
        assertThat(project.tests()).isNotEmpty().allSatisfy(t -> assertThat(Standing.of(t, kept))
                .as(t.id())
                .isEqualTo(Standing.of(t, project.asBuilt())));
    }

    @Test
    void standings_after_edits_are_those_of_a_document_opened_anew() throws ProjectFileException {
        Project start = ProjectFile.demo(ProjectFile.DEMO);
        Known known = Known.of(start.asBuilt(), Optional.empty());
        sameAsFresh(start, known);
        Project at = start;
        for (Run run : start.system().runs()) {
            at = at.with(at.system().replace(run.resized(run.size().nextUp().orElse(run.size()))));
            known = Known.of(at.asBuilt(), Optional.of(known));
            sameAsFresh(at, known);
        }
        Tank tank = at.system().tanks().get(0);
        Tank lower = tank.withOutlets(
                tank.outlets().stream().map(o -> o.at(o.place().raised(0.01))).toList());
        at = at.with(at.system().replace(lower));
        known = Known.of(at.asBuilt(), Optional.of(known));
        sameAsFresh(at, known);
        EngineInlet inlet = at.system().inlet().orElseThrow();
        at = at.with(at.system()
                .replace(inlet.with(
                        new Tag(inlet.id(), inlet.name(), inlet.place().raised(0.02)))));
        known = Known.of(at.asBuilt(), Optional.of(known));
        sameAsFresh(at, known);
        sameAsFresh(start, Known.of(start.asBuilt(), Optional.of(known)));
    }
}
