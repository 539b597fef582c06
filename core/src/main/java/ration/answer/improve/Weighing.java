package ration.answer.improve;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import ration.aircraft.model.Tank;
import ration.answer.assess.Assessment;
import ration.answer.remedy.Change;
import ration.record.cost.Bill;
import ration.record.cost.Takes;
import ration.record.evidence.AsBuilt;
import ration.record.evidence.HangarTest;
import ration.record.evidence.Named;
import ration.record.evidence.Standing;
import ration.record.project.Project;
import ration.verdict.check.Check;
import ration.verdict.check.Finding;
import ration.verdict.check.Verdict;

/** What changes of one layout take, give up, end and open. */
final class Weighing {

    private final Project project;
    private final Weights weights;
    private final Set<String> unshown;

    Weighing(Assessment before, Weights weights) {
        project = before.project();
        this.weights = weights;
        unshown = before.findings().stream()
                .filter(f -> f.verdict() == Verdict.NOT_SHOWN)
                .map(Finding::id)
                .collect(Collectors.toSet());
    }

    /** A set, and the layout with it. */
    Improvement told(List<Change> changes, Assessment after) {
        List<Finding> now = after.findings();
        return new Improvement(
                changes,
                bill(changes),
                givenUp(after.project()),
                counts(changes, after.project()),
                after,
                now.stream().filter(f -> f.verdict() == Verdict.THIN).toList(),
                now.stream()
                        .filter(f -> f.verdict() == Verdict.NOT_SHOWN && !unshown.contains(f.id()))
                        .toList(),
                ended(after.project()),
                Optional.empty());
    }

    double counts(List<Change> changes, Project then) {
        Bill bill = bill(changes);
        return weights.counts(bill.price(), bill.hours(), givenUp(then));
    }

    private Bill bill(List<Change> changes) {
        List<Takes> takes = changes.stream().flatMap(c -> c.takes().stream()).toList();
        return Bill.of(weights.costs(), takes);
    }

    /** Placards raised, m3; one lowered by hand in between gives nothing back. */
    private double givenUp(Project then) {
        return then.system().tanks().stream()
                .mapToDouble(t -> Math.max(
                        0,
                        t.unusable().si()
                                - project.system()
                                        .item(t.id())
                                        .flatMap(i -> i.only(Tank.class))
                                        .map(x -> x.unusable().si())
                                        .orElse(0.0)))
                .sum();
    }

    /** A change that hides an answer is none: only tests and how sure a figure is may become Not shown by it. */
    boolean answers(Assessment after) {
        return !after.blocked()
                && after.findings().stream()
                        .filter(f -> f.verdict() == Verdict.NOT_SHOWN && !unshown.contains(f.id()))
                        .allMatch(Weighing::mayOpen);
    }

    private List<String> ended(Project then) {
        AsBuilt was = project.asBuilt();
        AsBuilt is = then.asBuilt();
        List<HangarTest> counted = project.tests().stream()
                .filter(t -> Standing.of(t, was).counts())
                .toList();
        return counted.stream()
                .filter(t -> !Standing.of(t, is).counts())
                .map(t -> Named.of(project.system(), t))
                .distinct()
                .toList();
    }

    /** What a change may leave to be shown: a test, a figure, how something is built. */
    private static boolean mayOpen(Finding f) {
        return switch (f.check()) {
            case TANK_STALE, FLOW_SURE -> true;
            // these say that a whole room of checks gave no answer
            case BUILD_CHECKED, PROOF_CHECKED -> false;
            default -> f.topic() == Check.Topic.HANGAR || f.topic() == Check.Topic.RUNS;
        };
    }
}
