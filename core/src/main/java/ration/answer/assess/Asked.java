package ration.answer.assess;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import ration.verdict.check.Check;
import ration.verdict.check.Finding;
import ration.verdict.check.Verdict;

/**
 * One thing that is asked of the aircraft, as the ledger, Sign-off and the packet count it: a finding, and where a test
 * shows it, what that test says. The flow at a position and its flow test are one, and so are the unusable fuel of a
 * tank and its drain test.
 *
 * @param shownBy the finding of the test that shows it; empty where none does
 */
public record Asked(Finding finding, Optional<Finding> shownBy) {

    /** Of findings, each once, in their order. */
    static List<Asked> of(List<Finding> findings) {
        List<Asked> all = new ArrayList<>();
        Set<Finding> told = new HashSet<>();
        for (Finding f : findings) {
            partner(findings, f).ifPresent(told::add);
        }
        for (Finding f : findings) {
            if (!told.contains(f)) {
                all.add(new Asked(f, partner(findings, f)));
            }
        }
        return all;
    }

    private static Optional<Finding> partner(List<Finding> findings, Finding f) {
        return f.check() == Check.FLOW_MARGIN
                ? findings.stream()
                        .filter(x -> x.check() == Check.PROOF_FLOW && x.of().equals(f.of()))
                        .findFirst()
                : f.check() == Check.TANK_UNUSABLE
                        ? findings.stream()
                                .filter(x -> x.check() == Check.TANK_DRAIN_TEST
                                        && x.item().equals(f.item()))
                                .findFirst()
                        : Optional.empty();
    }

    /** No better than its test. */
    public Verdict verdict() {
        return shownBy.map(Finding::verdict).map(finding.verdict()::worse).orElse(finding.verdict());
    }

    /** For the notch bar. */
    public double ratio() {
        return verdict() == finding.verdict() ? finding.ratio() : Finding.MISSED;
    }

    public boolean open() {
        return verdict() == Verdict.FAILS || verdict() == Verdict.NOT_SHOWN;
    }

    /** What to do: for the finding, else for its test; empty where neither says. */
    public String remedy() {
        return finding.remedy().isEmpty() ? shownBy.map(Finding::remedy).orElse("") : finding.remedy();
    }
}
