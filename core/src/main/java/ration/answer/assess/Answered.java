package ration.answer.assess;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import ration.aircraft.model.Tank;
import ration.record.project.Project;
import ration.verdict.check.Check;
import ration.verdict.check.Finding;

/** Sees to it that each check that must answer has: what gave no finding is Not shown and says so. */
final class Answered {

    private static final String SILENT = "This check gave no result. Treat it as Not shown.";

    private Answered() {}

    /**
     * What is missing.
     *
     * @param solved whether the cases could be solved
     * @param tanks whose shape closes
     */
    static List<Finding> missing(Project project, boolean solved, List<TankAnswer> tanks, List<Finding> findings) {
        List<Finding> missing = new ArrayList<>();
        for (Check check : Check.values()) {
            Set<String> on = findings.stream()
                    .filter(f -> f.check() == check)
                    .map(Finding::item)
                    .collect(Collectors.toSet());
            switch (check.answers()) {
                case ALWAYS -> once(missing, check, on, true);
                case ONCE_SOLVED -> once(missing, check, on, solved);
                case PER_TANK ->
                    tanks.stream()
                            .map(TankAnswer::tank)
                            .filter(t -> !t.outlets().isEmpty())
                            .forEach(t -> of(missing, check, on, t));
                case PER_VENTED_TANK ->
                    project.system().tanks().stream().filter(t -> solved).forEach(t -> of(missing, check, on, t));
                case WHEN_IT_CONCERNS -> {
                    // it decides itself whether there is something to say
                }
            }
        }
        return missing;
    }

    private static void once(List<Finding> missing, Check check, Set<String> on, boolean due) {
        if (due && on.isEmpty()) {
            missing.add(Checks.notShown(check, "", check.title(), SILENT));
        }
    }

    private static void of(List<Finding> missing, Check check, Set<String> on, Tank tank) {
        if (!on.contains(tank.id())) {
            missing.add(new Finding(
                    check,
                    tank.id(),
                    check.title() + ", " + tank.name(),
                    tank.id(),
                    ration.verdict.check.Verdict.NOT_SHOWN,
                    Finding.MISSED,
                    u -> SILENT,
                    "Common practice, no source",
                    ""));
        }
    }
}
