package ration.answer.remedy;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import ration.answer.assess.Assessment;
import ration.answer.assess.CaseAnswer;
import ration.answer.assess.LeastMargin;
import ration.base.task.Steps;
import ration.base.task.Task;
import ration.record.project.Edit;
import ration.record.project.Project;

/** Single changes along the path that governs, each solved over every case and ranked. */
public final class Remedies {

    /** Ranked remedies at most this many. */
    private static final int MOST = 8;
    /** Cases that tell at most how much a change gains. */
    private static final int NEAREST = 12;

    private static final Comparator<Solved> BEST_FIRST =
            Comparator.comparingDouble(s -> -s.after().ratio());
    /** A change that brings less than this much margin over what is needed is not worth a row. */
    private static final double LEAST_GAIN = 0.005;

    private final Optional<Assessment> known;
    private final List<CaseAnswer.Setting> nearest;
    private final Project project;
    private final List<Change> changes;

    private record Solved(Change change, LeastMargin after) {}

    private Remedies(Assessment assessment, CaseAnswer governing) {
        this.known = Optional.of(assessment);
        this.nearest = assessment.nearest(NEAREST);
        this.project = assessment.project();
        this.changes = FlowChanges.of(assessment.project().system(), governing);
    }

    /**
     * Best first; empty if nothing is computed, nothing helps, or the task is cancelled. Where two single changes on
     * different items help, the best two together stand in the list too.
     */
    public static List<Remedy> of(Assessment assessment, Task task) {
        Optional<CaseAnswer> governing = assessment.governing();
        if (governing.isEmpty()) {
            return List.of();
        }
        Remedies remedies = new Remedies(assessment, governing.get());
        return remedies.solve(governing.get().ratio(), task);
    }

    /**
     * The cases nearest to short tell at most how much a change gains: no case can be worse than the worst of all. So
     * changes are solved over every case in the order of that bound, and only until no other can come among the first.
     */
    private List<Remedy> solve(double now, Task task) {
        Steps tried = new Steps(task.progress(), 0, 0.5, changes.size() + 1);
        List<Solved> bounds = new ArrayList<>(changes.parallelStream()
                .flatMap(change -> {
                    if (task.cancelled().getAsBoolean()) {
                        return Stream.empty();
                    }
                    Optional<LeastMargin> gained = over(change, nearest).filter(m -> m.ratio() > now + LEAST_GAIN);
                    tried.done();
                    return gained.map(m -> new Solved(change, m)).stream();
                })
                .toList());
        bounds.sort(BEST_FIRST);
        List<Solved> solved = new ArrayList<>();
        Steps done = new Steps(task.progress(), 0.5, 1, bounds.size() + 1);
        for (Solved bound : bounds) {
            if (task.cancelled().getAsBoolean()) {
                return List.of();
            }
            if (solved.size() >= MOST
                    && solved.get(MOST - 1).after().ratio() >= bound.after().ratio()) {
                break;
            }
            LeastMargin.of(bound.change().on().apply(project), known)
                    .filter(m -> m.ratio() > now + LEAST_GAIN)
                    .ifPresent(m -> solved.add(new Solved(bound.change(), m)));
            solved.sort(BEST_FIRST);
            done.done();
        }
        List<Remedy> ranked = new ArrayList<>();
        for (Solved s : solved.subList(0, Math.min(MOST, solved.size()))) {
            ranked.add(remedy(s.change(), s.after()));
        }
        together(solved).ifPresent(r -> ranked.add(0, r));
        task.progress().accept(1);
        return ranked;
    }

    private Optional<LeastMargin> over(Change change, List<CaseAnswer.Setting> cases) {
        return LeastMargin.of(change.on().apply(project), cases, known);
    }

    private Optional<Remedy> together(List<Solved> solved) {
        Map<String, Change> best = new LinkedHashMap<>();
        solved.forEach(s -> best.putIfAbsent(s.change().item(), s.change()));
        if (best.size() < 2) {
            return Optional.empty();
        }
        List<Change> two = best.values().stream().limit(2).toList();
        Change both = new Change(
                "",
                "",
                two.get(0).sort(),
                two.get(0).title() + " and " + FlowChanges.inSentence(two.get(1).title()),
                "both changes together",
                p -> two.get(1).on().apply(two.get(0).on().apply(p)),
                Stream.concat(two.get(0).takes().stream(), two.get(1).takes().stream())
                        .toList());
        return LeastMargin.of(both.on().apply(project), known)
                .filter(m -> m.ratio() > solved.get(0).after().ratio() + LEAST_GAIN)
                .map(m -> remedy(both, m));
    }

    private static Remedy remedy(Change change, LeastMargin after) {
        return new Remedy(
                change.title(),
                change.detail(),
                Edit.of("Try " + FlowChanges.inSentence(change.title()), change.on()),
                after);
    }
}
