package ration.answer.assess;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import ration.answer.proof.TankFigures;
import ration.answer.proof.TestProgram;
import ration.physics.flow.FlowBasis;
import ration.record.evidence.Standing;
import ration.record.evidence.TestKind;
import ration.record.project.Project;
import ration.verdict.check.Check;
import ration.verdict.check.Finding;
import ration.verdict.check.Verdict;

/** What the tests of an aircraft show: one that is asked for and does not count is Not shown. */
final class ProofChecks {

    private ProofChecks() {}

    static TestProgram program(
            Project project, Optional<FlowBasis> basis, List<TankAnswer> tanks, Optional<Assessment> before) {
        Map<String, TankFigures> figures = new HashMap<>();
        tanks.forEach(t ->
                figures.put(t.tank().id(), new TankFigures(t.predicted(), t.drainedThere(), t.full(), t.placard())));
        return TestProgram.of(project, basis, figures, before.map(Assessment::program));
    }

    static List<Finding> of(TestProgram program) {
        List<Finding> all = new ArrayList<>();
        for (TestProgram.Proof p : program.tests()) {
            Optional<Check> check = check(p.wanted().kind());
            boolean said = p.counts() && p.outcome().verdict() != Verdict.NOT_SHOWN;
            if (check.isPresent()
                    && (p.wanted().asked()
                            || said
                            || p.standing()
                                    .map(Standing::state)
                                    .filter(s -> s == Standing.State.STALE)
                                    .isPresent())) {
                all.add(finding(check.get(), p));
            }
        }
        return all;
    }

    private static Finding finding(Check check, TestProgram.Proof p) {
        boolean counts = p.counts();
        // what a test that does not count would read is not solved for a finding: it is Not shown all the same
        Finding.Wording detail = u -> counts
                ? p.outcome().words().in(u)
                : sentence(p.record().isEmpty() ? "not run: " + p.wanted().asks() : p.state());
        Finding f = new Finding(
                check,
                p.wanted().on(),
                p.wanted().name(),
                p.wanted().subject(),
                p.verdict(),
                counts ? p.outcome().ratio() : Finding.MISSED,
                detail,
                p.wanted().source(),
                p.verdict() == Verdict.HOLDS
                        ? ""
                        : p.verdict() == Verdict.THIN
                                ? "Recheck it."
                                : p.verdict() == Verdict.FAILS
                                        ? "Fix what it shows, then retest."
                                        : "Run it on the Hangar tests page.");
        return counts ? p.outcome().measure().map(f::with).orElse(f) : f;
    }

    private static String sentence(String words) {
        return words.substring(0, 1).toUpperCase(java.util.Locale.ROOT) + words.substring(1) + ".";
    }

    /** Drains are judged with the placard of their tank. */
    private static Optional<Check> check(TestKind kind) {
        return switch (kind) {
            case DRAIN -> Optional.empty();
            case FILL -> Optional.of(Check.PROOF_FILL);
            case TOP_OFF -> Optional.of(Check.PROOF_TOP_OFF);
            case FLOW -> Optional.of(Check.PROOF_FLOW);
            case PUMP_FLOW -> Optional.of(Check.PROOF_PUMP_FLOW);
            case DEAD_HEAD -> Optional.of(Check.PROOF_DEAD_HEAD);
            case OVERNIGHT -> Optional.of(Check.PROOF_OVERNIGHT);
            case TANK_PRESSURE -> Optional.of(Check.PROOF_TANK_PRESSURE);
            case LINE_PRESSURE -> Optional.of(Check.PROOF_LINE_PRESSURE);
            case SELECTOR_OFF -> Optional.of(Check.PROOF_SELECTOR_OFF);
            case CHECK_HOLDS -> Optional.of(Check.PROOF_CHECK_HOLDS);
            case FIRST_RUN -> Optional.of(Check.PROOF_FIRST_RUN);
            case VENTS -> Optional.of(Check.PROOF_VENTS);
            case DRAINS -> Optional.of(Check.PROOF_DRAINS);
            case LEVEL_SENDER -> Optional.of(Check.PROOF_LEVEL_SENDER);
            case FLOW_SENDER -> Optional.of(Check.PROOF_FLOW_SENDER);
            case GAUGE_CHECK -> Optional.of(Check.PROOF_GAUGE_CHECK);
            case RUN_LOG -> Optional.of(Check.PROOF_RUN_LOG);
            case HOT_RESTART -> Optional.of(Check.PROOF_HOT_RESTART);
            case BENCH -> Optional.of(Check.PROOF_BENCH);
            case ASSEMBLY -> Optional.of(Check.PROOF_ASSEMBLY);
            case CLEAN -> Optional.of(Check.PROOF_CLEAN);
            case EMPTYING -> Optional.of(Check.PROOF_EMPTYING);
            case REGULATOR -> Optional.of(Check.PROOF_REGULATOR);
            case PRIMING -> Optional.of(Check.PROOF_PRIMING);
            case JET -> Optional.of(Check.PROOF_JET);
            case RETURN -> Optional.of(Check.PROOF_RETURN);
            case HOLD -> Optional.of(Check.PROOF_HOLD);
            case TANK_RETURN -> Optional.of(Check.PROOF_TANK_RETURN);
        };
    }
}
