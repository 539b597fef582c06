package ration.answer.drawdown;

import java.util.ArrayList;
import java.util.List;
import ration.aircraft.condition.Contents;
import ration.aircraft.flight.FlightPlan;
import ration.aircraft.flight.Phase;
import ration.aircraft.flight.Phase.Kind;
import ration.answer.assess.StartingCase;
import ration.record.project.Brief;
import ration.record.project.Project;

/**
 * The flight that is offered until another is entered: from full tanks as long as leaves the reserve of a day flight,
 * 30 min at cruise (14 CFR 91.151, from memory). Powers and minutes are common practice, no source.
 */
public final class UsualFlight {

    private static final double CEILING = 8000;
    private static final double FIELD = 500;
    /** The cruise ends on a whole so many minutes, with this much over the reserve. */
    private static final double WHOLE = 5;

    private static final double OVER = 1.1;

    private UsualFlight() {}

    /** Of an aircraft as laid out; with no cruise where there is nothing to burn. */
    public static FlightPlan of(Project project) {
        Brief brief = project.brief();
        double climb = Math.toDegrees(brief.envelope().climb().si());
        double glide = Math.toDegrees(brief.envelope().glide().si());
        List<Phase> phases = new ArrayList<>(List.of(
                Phase.of(Kind.TAXI, 10, 15, 0, FIELD, false),
                Phase.of(Kind.TAKE_OFF, 2, 100, climb / 2, FIELD + 700, true),
                Phase.of(Kind.CLIMB, 14, 85, climb, CEILING, true),
                Phase.of(Kind.CRUISE, 0, 65, 0, CEILING, false),
                Phase.of(Kind.DESCENT, 16, 35, glide, FIELD + 1000, true),
                Phase.of(Kind.CIRCUIT, 8, 50, 0, FIELD, true),
                Phase.of(Kind.RESERVE, 30, 65, 0, FIELD + 1000, false)));
        double usable = StartingCase.filled(project, Contents.FULL).values().stream()
                        .mapToDouble(v -> v)
                        .sum()
                - project.system().tanks().stream()
                        .mapToDouble(t -> t.unusable().si())
                        .sum();
        double other = phases.stream()
                .mapToDouble(p -> p.lasts() * p.share().si() * (p.kind() == Kind.RESERVE ? OVER : 1))
                .sum();
        double minutes = brief.demand() > 0 ? (usable / brief.demand() / 60 - other) / 0.65 : 0;
        double cruise = Math.max(0, Math.min(600, Math.floor(minutes / WHOLE) * WHOLE));
        phases.set(3, Phase.of(Kind.CRUISE, cruise, 65, 0, CEILING, false));
        return FlightPlan.of(phases);
    }

    /** The document's own flight, or the usual one. */
    public static FlightPlan meant(Project project) {
        return project.flight().orElseGet(() -> of(project));
    }
}
