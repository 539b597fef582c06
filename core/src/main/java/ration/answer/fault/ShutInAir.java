package ration.answer.fault;

import java.util.Comparator;
import java.util.List;
import ration.aircraft.condition.Condition;
import ration.aircraft.condition.Fault;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Tank;
import ration.answer.assess.Assessment;
import ration.answer.drawdown.Lasting;
import ration.answer.fault.FaultAnswer.Harm;
import ration.answer.fault.FaultAnswer.Seen;
import ration.base.quantity.Dimension;
import ration.base.quantity.UnitSystem;
import ration.physics.flow.FlowAnswer;
import ration.verdict.check.Verdict;

/** A vent that is shut: the air over the fuel thins as fuel leaves, until the flow falls short. */
final class ShutInAir {

    /** Suction a tank's shell is taken to bear unasked, Pa: half a psi; common practice, no source. */
    private static final double BEARS = 3447;

    private final Assessment assessment;
    private final FuelSystem system;
    private final UnitSystem units;
    private final FaultTold told;
    private final Felt felt;
    private final Indications indications;
    private final Course course;

    /** How a case goes on that stays as it is. */
    interface Course {
        Lasting of(Condition condition, double need);
    }

    ShutInAir(
            Assessment assessment,
            UnitSystem units,
            FaultTold told,
            Felt felt,
            Indications indications,
            Course course) {
        this.assessment = assessment;
        system = assessment.project().system();
        this.units = units;
        this.told = told;
        this.felt = felt;
        this.indications = indications;
        this.course = course;
    }

    /**
     * Air shut in: at once nothing changes, then it thins; soonest where there is least of it, over every filling and
     * attitude.
     */
    FaultAnswer vent(Fault f, List<FaultRow> own, WaysOut ways) {
        FaultRow any =
                own.stream().min(Comparator.comparingDouble(FaultRow::share)).orElseThrow();
        boolean second = system.item(f.item())
                .flatMap(i -> i.only(Tank.class))
                .filter(t -> t.fitout().secondAir())
                .isPresent();
        if (second) {
            return told.harmless(f, any, "Second air source entered for this tank; not verified.");
        }
        List<FaultRow> feeding = own.stream()
                .filter(r -> system.tanks().stream()
                        .anyMatch(
                                t -> felt.starved(f, t) && r.sound().capacity().outflow(t) > FlowAnswer.NO_FLOW))
                .toList();
        FaultAnswer worst = null;
        // least air first: it thins soonest
        for (FaultRow r : feeding.stream()
                .sorted(Comparator.comparingDouble(r -> air(f, r)))
                .toList()) {
            if (worst != null
                    && worst.verdict() == Verdict.FAILS
                    && Double.isInfinite(Lasting.minutes(
                            assessment.basis().orElseThrow(),
                            r.now().condition(),
                            r.sound().need(),
                            worst.minutes()))) {
                continue;
            }
            FaultAnswer here = vent(f, r, ways);
            worst = worst == null || FaultSearch.WORSE.compare(here, worst) < 0 ? here : worst;
        }
        return worst != null ? worst : told.harmless(f, any, "This tank does not feed in any case.");
    }

    /** Air over the fuel of the tanks that a shut vent starves, m3. */
    private double air(Fault f, FaultRow r) {
        return system.tanks().stream()
                .filter(t -> felt.starved(f, t))
                .mapToDouble(t ->
                        assessment.basis().orElseThrow().bodies().get(t.id()).capacity()
                                - r.sound().condition().contents().getOrDefault(t.id(), 0.0))
                .sum();
    }

    private FaultAnswer vent(Fault f, FaultRow r, WaysOut ways) {
        Lasting with = course.of(r.now().condition(), r.sound().need());
        String shell = with.suction() < BEARS
                ? ""
                : " Tank vacuum reaches " + units.text(with.suction(), Dimension.PRESSURE)
                        + "; collapse limit not entered.";
        // sound, it need not be followed further than that
        boolean outlasts = Double.isInfinite(with.minutes())
                || !Double.isInfinite(Lasting.minutes(
                        assessment.basis().orElseThrow(),
                        r.sound().condition(),
                        r.sound().need(),
                        with.minutes() + 0.01));
        if (outlasts && !shell.isEmpty()) {
            return told.in(
                    f,
                    r,
                    Harm.BEYOND,
                    r.share(),
                    Double.NaN,
                    List.of(),
                    ways.from(r.sound()),
                    Verdict.NOT_SHOWN,
                    "The pumps keep drawing." + shell);
        }
        if (outlasts) {
            return told.harmless(
                    f,
                    r,
                    "Tank empties before vacuum stops the flow"
                            + (Double.isInfinite(with.minutes())
                                    ? " (checked " + UnitSystem.figure(FaultSearch.AHEAD, 0) + " min ahead)."
                                    : "."));
        }
        List<Seen> seen = indications.falls(r.sound(), with);
        return told.judged(
                f,
                r,
                Harm.THINS,
                r.share(),
                with.minutes(),
                seen,
                ways.from(r.sound()),
                "Vacuum builds as fuel leaves (adiabatic): " + units.fineVolume(with.fed())
                        + " flows before inlet pressure reaches its minimum."
                        + (seen.isEmpty() ? " No installed gauge shows it first." : "") + shell);
    }
}
