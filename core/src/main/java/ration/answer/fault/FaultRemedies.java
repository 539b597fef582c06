package ration.answer.fault;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import ration.aircraft.condition.Fault;
import ration.answer.assess.Assessment;
import ration.answer.remedy.Change;
import ration.answer.remedy.FlowChanges;
import ration.base.quantity.UnitSystem;
import ration.base.task.Task;
import ration.record.project.Edit;
import ration.record.project.Project;
import ration.verdict.check.Verdict;

/**
 * What would take the harm from a fault, each solved: a second way for the air, a sender that shows it in time, a
 * header that lasts longer ({@link FaultChanges}).
 */
public final class FaultRemedies {

    private final Assessment assessment;
    private final UnitSystem units;

    private FaultRemedies(Assessment assessment, UnitSystem units) {
        this.assessment = assessment;
        this.units = units;
    }

    /**
     * Those that better the verdict on a fault or give at least a minute more, the best first; among equals the one
     * that cures more faults.
     *
     * @param task told the share that is done; once it is stopped, nothing is given back
     */
    public static List<FaultRemedy> of(Assessment a, FaultAnswer fault, UnitSystem units, Task task) {
        FaultRemedies all = new FaultRemedies(a, units);
        List<Change> changes = FaultChanges.of(a.project().system(), fault.fault(), units);
        List<FaultRemedy> good = new ArrayList<>();
        for (int i = 0; i < changes.size() && !task.cancelled().getAsBoolean(); i++) {
            all.tried(changes.get(i), fault).ifPresent(good::add);
            task.progress().accept((i + 1.0) / changes.size());
        }
        good.sort(Comparator.comparing((FaultRemedy r) -> r.after().verdict())
                .thenComparingInt(FaultRemedy::shorts)
                .thenComparing(
                        Comparator.comparingDouble((FaultRemedy r) -> r.after().minutes())
                                .reversed()));
        return task.cancelled().getAsBoolean() ? List.of() : good;
    }

    private Optional<FaultRemedy> tried(Change change, FaultAnswer before) {
        Project changed = change.on().apply(assessment.project());
        if (changed.equals(assessment.project())) {
            return Optional.empty();
        }
        Assessment then = Assessment.ahead(changed, Optional.of(assessment));
        List<Fault> ways = Catalogue.of(changed.system());
        // a supply parted into buses is judged by the worse of them
        boolean supply = before.fault().kind() == Fault.Kind.SUPPLY_DEAD;
        List<Fault> meant = ways.stream()
                .filter(f -> supply ? f.kind() == Fault.Kind.SUPPLY_DEAD : f.equals(before.fault()))
                .toList();
        Optional<FaultAnswer> after = FaultSearch.of(then, meant, units, share -> {}, () -> false).stream()
                .max(Comparator.comparing(FaultAnswer::verdict));
        boolean better = after.isPresent()
                && (after.get().verdict().compareTo(before.verdict()) < 0
                        || after.get().minutes() > before.minutes() + 1);
        // all others are asked only of what betters this one
        int shorts = better
                ? (int) FaultSearch.of(then, ways, units, share -> {}, () -> false).stream()
                        .filter(f -> f.verdict() == Verdict.FAILS)
                        .count()
                : 0;
        return better
                ? Optional.of(new FaultRemedy(
                        change.title(),
                        change.detail(),
                        Edit.of("Try " + FlowChanges.inSentence(change.title()), change.on()),
                        after.get(),
                        shorts))
                : Optional.empty();
    }
}
