package ration.publish.packet;

import java.io.IOException;
import java.util.List;
import java.util.Optional;
import ration.answer.plan.Plan;
import ration.answer.plan.PlanWords;
import ration.publish.paper.Column;
import ration.publish.paper.Pages;
import ration.record.build.Stage;
import ration.verdict.check.Verdict;

/** What of the build is not done; of a document that keeps no build nothing. */
final class BuildSheet {

    static final String KEY = "build";

    private final Pages pages;
    private final Dossier d;

    BuildSheet(Pages pages, Dossier dossier) {
        this.pages = pages;
        d = dossier;
    }

    void write() throws IOException {
        if (d.project().build().none()) {
            return;
        }
        Plan plan = Plan.of(d.project(), d.assessment().program(), d.today());
        PlanWords words = new PlanWords(plan);
        List<Plan.Task> left = plan.tasks().stream().filter(t -> !t.done()).toList();
        long temporary =
                left.stream().filter(t -> t.step().stage() == Stage.TEMPORARY).count();
        pages.page(
                KEY,
                "Build",
                left.isEmpty() ? Optional.of(Verdict.HOLDS) : Optional.of(Verdict.NOT_SHOWN),
                plan.tasks().size() - left.size() + " of " + plan.tasks().size() + " steps done"
                        + (temporary == 0 ? "" : ", " + temporary + " temporary: a temporary part is never done"));
        if (left.isEmpty()) {
            pages.text("Every step is done.", 8.5, false);
            return;
        }
        for (Plan.State state : Plan.State.values()) {
            List<Plan.Task> some = left.stream().filter(t -> t.state() == state).toList();
            if (some.isEmpty()) {
                continue;
            }
            pages.section(PlanWords.group(state), Dossier.count(some.size(), "step", "steps"));
            pages.table(
                    List.of(
                            Column.<Plan.Task>strong("Step", Plan.Task::name),
                            Column.text("Stage", t -> t.step().stage().label()),
                            Column.text("Expected", t -> t.step()
                                    .expected()
                                    .map(Object::toString)
                                    .orElse("")),
                            Column.text("Waits for", words::waits)),
                    some);
        }
    }
}
