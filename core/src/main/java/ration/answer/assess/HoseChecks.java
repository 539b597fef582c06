package ration.answer.assess;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import ration.aircraft.heat.Heat;
import ration.aircraft.heat.HeatFigure;
import ration.aircraft.heat.Zone;
import ration.aircraft.model.Construction;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.PortRef;
import ration.aircraft.model.Run;
import ration.aircraft.plumbing.HoseMade;
import ration.aircraft.plumbing.LineRules;
import ration.base.quantity.Dimension;
import ration.physics.vapor.PathHeat;
import ration.record.project.Project;
import ration.verdict.check.Check;
import ration.verdict.check.Finding;
import ration.verdict.check.Measure;
import ration.verdict.check.Verdict;

/** Hoses as they are bought: whether they can be made, what is round them, what they were proved at. */
final class HoseChecks {

    private HoseChecks() {}

    static List<Finding> of(Project project) {
        List<Finding> all = new ArrayList<>();
        for (Run run : project.system().runs()) {
            made(project.system(), run).ifPresent(all::add);
            heat(project, run).ifPresent(all::add);
            fuel(project, run).ifPresent(all::add);
        }
        return all;
    }

    /** Asked where somebody says how an end stands: a length by itself may lie in any curve. */
    private static Optional<Finding> made(FuelSystem system, Run run) {
        return HoseMade.of(system, run).filter(h -> HoseMade.said(run)).map(h -> {
            boolean good = h.trouble().isEmpty();
            return Checks.finding(
                    Check.BUILD_HOSE_MADE,
                    run.id(),
                    "Hose as routed, " + run.name(),
                    run.id(),
                    good ? Verdict.HOLDS : Verdict.FAILS,
                    good ? Finding.MET : Finding.MISSED,
                    u -> good
                            ? "Ends and bends fit: " + u.text(h.cut(), Dimension.LENGTH) + " of hose, "
                                    + u.text(h.seatToSeat(), Dimension.LENGTH) + " seat to seat."
                            : h.trouble(),
                    Checks.PRACTICE + "; geometry",
                    "Use another angle or end fitting, or move a point of the way.");
        });
    }

    /** What is usually printed on a kind only warns: it never makes a hose hold. */
    private static Optional<Finding> heat(Project project, Run run) {
        Optional<LineRules.HeatRange> range = LineRules.heat(run);
        Heat heat = project.heat();
        boolean bay = List.of(run.from(), run.to()).stream().anyMatch(p -> inBay(project.system(), heat, run, p));
        if (range.isEmpty() || !bay) {
            return Optional.empty();
        }
        double round = heat.outside(0) + heat.si(HeatFigure.BAY_SOAK_OVER);
        if (round <= range.get().low()) {
            return Optional.empty();
        }
        boolean over = round > range.get().high();
        return Optional.of(Checks.finding(
                Check.BUILD_HOSE_HEAT,
                run.id(),
                "Heat round " + run.name(),
                run.id(),
                over ? Verdict.FAILS : Verdict.THIN,
                over ? 0.9 : 1.02,
                u -> "The engine bay reaches " + u.text(round, Dimension.TEMPERATURE)
                        + " after shutdown on the hot day; "
                        + LineRules.construction(run).label().toLowerCase(java.util.Locale.ROOT)
                        + " is usually good for "
                        + u.text(range.get().low(), Dimension.TEMPERATURE)
                        + (range.get().high() > range.get().low()
                                ? " to " + u.text(range.get().high(), Dimension.TEMPERATURE)
                                : "")
                        + ".",
                "Usual print of hose, from memory, confidence middling to low; the manufacturer's print precedes",
                "Use a hose for that heat, or route it outside the bay."));
    }

    /** Low-pressure hose and clear tube are often not made for ethanol. */
    private static Optional<Finding> fuel(Project project, Run run) {
        Construction made = LineRules.construction(run);
        boolean doubtful = made == Construction.PUSH_ON || made == Construction.CLEAR;
        return doubtful && project.heat().volatility().ethanol()
                ? Optional.of(Checks.finding(
                        Check.BUILD_HOSE_FUEL,
                        run.id(),
                        "Ethanol in " + run.name(),
                        run.id(),
                        Verdict.THIN,
                        1.02,
                        u -> "Fuel with ethanol; " + made.label().toLowerCase(java.util.Locale.ROOT)
                                + " is often not made for it.",
                        "Usual print of hose, from memory, confidence middling; the manufacturer's print precedes",
                        "Use a hose whose print names ethanol."))
                : Optional.empty();
    }

    private static boolean inBay(FuelSystem system, Heat heat, Run run, PortRef port) {
        return system.point(port)
                .map(p -> PathHeat.zone(system, heat, run.id(), p))
                .filter(z -> z == Zone.ENGINE_BAY || z == Zone.SHROUD)
                .isPresent();
    }

    /**
     * Proof that was entered, against what each line stands dead-headed.
     *
     * @param stands Pa by run; not a number where that has no answer
     */
    static List<Finding> proofs(FuelSystem system, Map<String, Double> stands) {
        List<Finding> all = new ArrayList<>();
        for (Run run : system.runs()) {
            run.build()
                    .papers()
                    .proof()
                    .filter(p -> LineRules.construction(run).hose())
                    .ifPresent(p -> {
                        double working = Math.max(1, stands.getOrDefault(run.id(), Double.NaN));
                        double needs = LineRules.PROOF * working;
                        Verdict v = Double.isNaN(working) ? Verdict.NOT_SHOWN : Verdict.atLeast(p.si(), needs);
                        Finding f = Checks.finding(
                                Check.BUILD_HOSE_PROOF,
                                run.id(),
                                "Proof pressure, " + run.name(),
                                run.id(),
                                v,
                                Double.isNaN(working) ? Finding.MISSED : Math.min(Finding.MET, p.si() / needs),
                                u -> Double.isNaN(working)
                                        ? "Its dead-head pressure did not solve."
                                        : "Proved at " + u.text(p.si(), Dimension.PRESSURE) + "; required "
                                                + u.text(needs, Dimension.PRESSURE)
                                                + ", twice what it stands dead-headed.",
                                "Practice of hose shops, from memory: proof at twice the working pressure, in liquid",
                                "Prove it again, with liquid, never air.");
                        all.add(Double.isNaN(working) ? f : f.with(Measure.atLeast(p.si(), needs, Dimension.PRESSURE)));
                    });
        }
        return all;
    }
}
