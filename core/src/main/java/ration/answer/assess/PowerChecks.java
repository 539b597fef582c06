package ration.answer.assess;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import ration.aircraft.model.Pump;
import ration.base.quantity.Dimension;
import ration.base.quantity.Measured;
import ration.base.quantity.UnitSystem;
import ration.physics.flow.FlowBasis;
import ration.record.project.Brief;
import ration.record.project.Project;
import ration.verdict.check.Check;
import ration.verdict.check.Finding;
import ration.verdict.check.Verdict;
import ration.verdict.standard.Subject;

/** Where pumps take their power: a second one with its own, breakers that carry what they draw. */
final class PowerChecks {

    private final Project project;
    private final FlowBasis basis;
    private final List<Finding> findings = new ArrayList<>();

    private PowerChecks(Project project, FlowBasis basis) {
        this.project = project;
        this.basis = basis;
    }

    static List<Finding> of(Project project, FlowBasis basis) {
        PowerChecks checks = new PowerChecks(project, basis);
        checks.pumpPower();
        return checks.findings;
    }

    /** 23.991(b): the second pump has a supply of its own; two electric pumps need two. */
    private void pumpPower() {
        List<Pump> pumps = basis.topology().feedPumps();
        if (project.brief().delivery() != Brief.Delivery.PUMP || pumps.isEmpty()) {
            return;
        }
        boolean engine = pumps.stream().anyMatch(p -> p.drive() == Pump.Drive.ENGINE);
        List<Pump> electric =
                pumps.stream().filter(p -> p.drive() == Pump.Drive.ELECTRIC).toList();
        boolean apart = electric.stream().map(Pump::bus).distinct().count() > 1
                && electric.stream().allMatch(p -> p.build().wiring().apart());
        boolean second = pumps.size() > 1;
        String id = pumps.get(0).id();
        Verdict verdict = !second ? Verdict.FAILS : engine || apart ? Verdict.HOLDS : Verdict.NOT_SHOWN;
        findings.add(new Finding(
                Check.FLOW_SECOND_PUMP,
                "",
                "Backup pump on independent power",
                id,
                verdict,
                verdict == Verdict.HOLDS ? Finding.MET : Finding.MISSED,
                u -> supplies(electric, second, engine, apart),
                project.brief().cite(Subject.BACKUP_PUMP),
                verdict == Verdict.HOLDS
                        ? ""
                        : second
                                ? "Enter each pump's bus, switch, breaker and ground on its card; show them at"
                                        + " inspection."
                                : "Add an emergency pump."));
        electric.forEach(this::breaker);
        electric.forEach(this::wire);
        double current = pumps.stream()
                .flatMap(p -> p.build().current().stream())
                .mapToDouble(m -> m.si())
                .sum();
        if (current > 0) {
            findings.add(new Finding(
                    Check.ELECTRICAL_DRAW,
                    "",
                    "Pump current",
                    id,
                    Verdict.HOLDS,
                    Finding.MET,
                    u -> u.text(current, Dimension.CURRENT) + ", all on. Each needs its own switch and breaker.",
                    Checks.PRACTICE,
                    ""));
        }
    }

    private static String supplies(List<Pump> electric, boolean second, boolean engine, boolean apart) {
        if (!second) {
            return "One pump feeds the engine: if it stops, so does the engine.";
        }
        if (engine) {
            return "One engine-driven, one electric.";
        }
        if (apart) {
            return "Per their cards, each pump has its own battery, bus, switch, breaker and ground.";
        }
        List<String> shared = new ArrayList<>();
        if (electric.stream().map(Pump::bus).distinct().count() < 2) {
            shared.add("bus");
        }
        for (Pump.Own own : Pump.Own.values()) {
            if (electric.stream().anyMatch(p -> !p.build().wiring().own().contains(own))) {
                shared.add(own.name().toLowerCase(Locale.ROOT));
            }
        }
        List<String> said = electric.stream()
                .filter(p -> !p.build().bus().isEmpty())
                .map(Pump::bus)
                .distinct()
                .toList();
        return electric.size() + " electric pumps"
                + (said.isEmpty() ? "" : ", on bus " + String.join(", ", said) + " beside others")
                + ". Not shown independent: " + String.join(", ", shared) + ".";
    }

    /** A breaker carries a quarter more than the pump draws (common practice, no source). */
    private void breaker(Pump pump) {
        pump.build().wiring().breaker().ifPresent(rating -> {
            double draw = pump.build().current().map(Measured::si).orElse(Double.NaN);
            Verdict verdict = Double.isNaN(draw) ? Verdict.NOT_SHOWN : Verdict.atLeast(rating.si() / draw, BREAKER);
            boolean met = verdict == Verdict.HOLDS || verdict == Verdict.THIN;
            findings.add(new Finding(
                    Check.ELECTRICAL_BREAKER,
                    pump.id(),
                    "Breaker of " + pump.name(),
                    pump.id(),
                    verdict,
                    met ? Finding.MET : Finding.MISSED,
                    u -> u.text(rating.si(), Dimension.CURRENT)
                            + (Double.isNaN(draw)
                                    ? ": pump current not entered."
                                    : " for a pump that draws " + u.text(draw, Dimension.CURRENT) + ": use "
                                            + u.text(BREAKER * draw, Dimension.CURRENT)
                                            + " or more, within the wire rating."),
                    Checks.PRACTICE,
                    met
                            ? ""
                            : Double.isNaN(draw)
                                    ? "Enter the pump's current on its card."
                                    : "Fit a larger breaker, on wire rated for it."));
        });
    }

    private static final double BREAKER = 1.25;

    /** What wire and ground may take at 14 V, continuous: common practice and wire charts, from memory. */
    private static final double DROP = 0.5;

    /** Wire and ground by Ohm's law, and the breaker that protects the wire. */
    private void wire(Pump pump) {
        pump.build().wiring().wire().ifPresent(w -> {
            double draw = pump.build().current().map(Measured::si).orElse(Double.NaN);
            double drop = draw * w.ohms().orElse(Double.NaN);
            double rating = pump.build().wiring().breaker().map(Measured::si).orElse(Double.NaN);
            double most = w.breaker().orElse(Double.NaN);
            Verdict dropped = Double.isNaN(drop) ? Verdict.NOT_SHOWN : Verdict.atLeast(DROP, Math.max(1e-9, drop));
            Verdict guarded = Double.isNaN(rating) || Double.isNaN(most)
                    ? Verdict.HOLDS
                    : rating <= most ? Verdict.HOLDS : Verdict.FAILS;
            Verdict verdict = dropped.worse(guarded);
            boolean met = verdict == Verdict.HOLDS || verdict == Verdict.THIN;
            findings.add(new Finding(
                    Check.ELECTRICAL_WIRE,
                    pump.id(),
                    "Wire of " + pump.name(),
                    pump.id(),
                    verdict,
                    Double.isNaN(drop) ? Finding.MISSED : Math.min(Finding.MET, DROP / Math.max(1e-9, drop)),
                    u -> (Double.isNaN(draw)
                                    ? "Pump current not entered."
                                    : Double.isNaN(drop)
                                            ? "AWG "
                                                    + UnitSystem.figure(
                                                            w.gauge().si(), 0)
                                                    + " is not in the table: 12, 14, 16, 18, 20 or 22."
                                            : "It takes " + UnitSystem.figure(drop, 2) + " V there and back at "
                                                    + u.text(draw, Dimension.CURRENT) + "; "
                                                    + UnitSystem.figure(DROP, 1) + " V allowed, continuous.")
                            + (guarded == Verdict.FAILS
                                    ? " Its breaker of " + u.text(rating, Dimension.CURRENT)
                                            + " protects no wire so thin; the most is "
                                            + u.text(most, Dimension.CURRENT)
                                            + "."
                                    : ""),
                    Checks.PRACTICE,
                    met ? "" : "A heavier wire, or a shorter way."));
        });
    }
}
