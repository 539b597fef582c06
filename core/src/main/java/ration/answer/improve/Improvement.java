package ration.answer.improve;

import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import ration.answer.assess.Assessment;
import ration.answer.fault.FaultSum;
import ration.answer.remedy.Change;
import ration.answer.remedy.FlowChanges;
import ration.record.cost.Bill;
import ration.record.project.Edit;
import ration.record.project.Project;
import ration.verdict.check.Finding;

/**
 * A set of changes, solved as one layout.
 *
 * @param changes in the order they are made
 * @param bill what they take
 * @param givenUpM3 usable fuel given up by the placards, m3, 0 or above
 * @param counts all of it in money, as the builder weighs it
 * @param after the layout with all of them
 * @param thin what is Thin then, by title
 * @param opens what is Not shown then and was not before
 * @param ends tests on record that count now and would not
 * @param failures how every failure ends with them; empty where that was not asked
 */
public record Improvement(
        List<Change> changes,
        Bill bill,
        double givenUpM3,
        double counts,
        Assessment after,
        List<Finding> thin,
        List<Finding> opens,
        List<String> ends,
        Optional<FaultSum> failures) {

    public Improvement {
        changes = List.copyOf(changes);
        thin = List.copyOf(thin);
        opens = List.copyOf(opens);
        ends = List.copyOf(ends);
    }

    Improvement with(FaultSum all) {
        return new Improvement(changes, bill, givenUpM3, counts, after, thin, opens, ends, Optional.of(all));
    }

    /** All of them as one edit, made on whatever the layout is by then. */
    public Edit edit() {
        return Edit.of(
                "Try "
                        + changes.stream()
                                .map(c -> FlowChanges.inSentence(c.title()))
                                .collect(Collectors.joining(" and ")),
                p -> made(p, changes));
    }

    static Project made(Project project, List<Change> changes) {
        Project p = project;
        for (Change c : changes) {
            p = c.on().apply(p);
        }
        return p;
    }
}
