package ration.desktop.session;

import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import ration.aircraft.condition.Condition;
import ration.answer.assess.Assessment;
import ration.answer.assess.CaseAnswer;
import ration.answer.assess.StartingCase;
import ration.publish.drawing.Schematic;
import ration.record.project.Project;

/**
 * A document worked out behind the window, with all that every page asks of the case looked at.
 *
 * @param condition the case looked at
 * @param look its answer; empty while nothing can be computed
 */
public record Worked(Assessment assessment, Condition condition, Optional<CaseAnswer> look) {

    /**
     * A document just opened, in the case one starts from; never fails: what cannot be worked out shows nothing and
     * says so.
     */
    public static Worked of(Project project) {
        Worked found = ahead(project);
        return new Worked(found.assessment().sured(), found.condition(), found.look());
    }

    /** The same before it is known how sure its flow margin is: a session that begins with it finds that out. */
    public static Worked ahead(Project project) {
        try {
            Condition start = StartingCase.of(project);
            CompletableFuture.runAsync(() -> Schematic.prepare(
                    project.system(), project.brief().envelope().attitudes(), start));
            return of(Assessment.ahead(project, Optional.empty()), start);
        } catch (RuntimeException | Error e) {
            return failed(project, StartingCase.of(Project.empty()), e);
        }
    }

    static Worked of(Assessment assessment, Condition condition) {
        Optional<CaseAnswer> look = assessment.look(condition);
        // every page shows it; found here, it is there when they ask
        look.ifPresent(CaseAnswer::openLine);
        look.ifPresent(CaseAnswer::atNeeded);
        return new Worked(assessment, condition, look);
    }

    /** The same; a case that cannot be looked at takes no answer of the others with it. */
    static Worked looked(Assessment assessment, Condition condition) {
        try {
            return of(assessment, condition);
        } catch (RuntimeException | Error e) {
            Failure.words(e);
            return new Worked(assessment, condition, Optional.empty());
        }
    }

    static Worked failed(Project project, Condition condition, Throwable why) {
        return new Worked(Assessment.failed(project, Failure.words(why)), condition, Optional.empty());
    }
}
