package ration.answer.assess;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import ration.aircraft.model.EngineInlet;
import ration.aircraft.model.FlowSender;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Item;
import ration.aircraft.model.PortRef;
import ration.aircraft.model.Regulator;
import ration.aircraft.model.Run;
import ration.base.quantity.Dimension;
import ration.base.quantity.UnitSystem;
import ration.record.project.Project;
import ration.verdict.check.Check;
import ration.verdict.check.Finding;
import ration.verdict.check.Verdict;

/**
 * What a flow sender counts: what the engine burns, what is pumped, or what comes back. Totals from one before a spill
 * say nothing of what is left; from two, feed less return, they say it with both errors.
 */
final class SenderChecks {

    /** Error of one sender once it is calibrated: common practice, no source. */
    static final double ERROR = 0.01;
    /** A burn known no better than this is only Thin. */
    private static final double POOR = 0.05;

    private final FuelSystem system;
    private final List<CaseAnswer> cases;
    private final Ways ways;
    private final List<Finding> findings = new ArrayList<>();

    private SenderChecks(Project project, List<CaseAnswer> cases) {
        system = project.system();
        this.cases = cases;
        ways = new Ways(system);
    }

    static List<Finding> of(Project project, List<CaseAnswer> cases) {
        SenderChecks checks = new SenderChecks(project, cases);
        project.system()
                .inlet()
                .ifPresent(i -> project.system().all(FlowSender.class).forEach(s -> checks.sender(s, i)));
        return checks.findings;
    }

    private void sender(FlowSender sender, EngineInlet inlet) {
        Set<String> behind = ways.behind(sender.id());
        if (!behind.contains(inlet.id()) || onReturn(sender)) {
            return;
        }
        boolean spills = system.all(Regulator.class)
                        .anyMatch(r -> r.style() == Regulator.Style.BYPASS && behind.contains(r.id()))
                || inlet.returns()
                        && system.runAt(new PortRef(inlet.id(), EngineInlet.RETURN))
                                .isPresent();
        Optional<FlowSender> back = system.all(FlowSender.class)
                .filter(o -> !o.id().equals(sender.id()) && onReturn(o))
                .findFirst();
        Optional<double[]> burn = spills && back.isPresent() ? burn(sender) : Optional.empty();
        Verdict verdict = !spills
                ? Verdict.HOLDS
                : burn.isEmpty()
                        ? Verdict.NOT_SHOWN
                        : burn.get()[1] > POOR * burn.get()[0] ? Verdict.THIN : Verdict.HOLDS;
        findings.add(new Finding(
                Check.SENDER_COUNTS,
                sender.id(),
                "What " + sender.name() + " counts",
                sender.id(),
                verdict,
                !spills
                        ? Finding.MET
                        : burn.map(x -> Math.min(Finding.MET, POOR * x[0] / Math.max(1e-12, x[1])))
                                .orElse(Finding.MISSED),
                u -> !spills
                        ? "What the engine burns: nothing is spilled behind it."
                        : burn.map(x -> "With " + back.get().name() + ", feed less return: "
                                        + u.text(x[0], Dimension.FLOW) + " \u00b1 " + u.text(x[1], Dimension.FLOW)
                                        + " at takeoff demand, " + UnitSystem.figure(100 * x[1] / x[0], 1)
                                        + "%, each sender within 1%.")
                                .orElse("What is pumped, not what is burned: fuel is spilled behind it, and no sender"
                                        + " stands in the return. Totals from it say nothing of the fuel left."),
                Checks.PRACTICE,
                verdict == Verdict.HOLDS
                        ? ""
                        : "One sender in the line that only the engine draws from, behind the spill."));
    }

    /** Whether what passes it has left the engine or a spill. */
    private boolean onReturn(FlowSender other) {
        return ways.topology().returning().contains(other.id());
    }

    /** What is burned and how well that is known, m3/s: root of the squares of both errors. */
    private Optional<double[]> burn(FlowSender sender) {
        Optional<Run> run = system.runAt(new PortRef(sender.id(), Item.OUT));
        return cases.stream()
                .filter(c -> c.judged() && c.demand().usable())
                .findFirst()
                .flatMap(c -> run.map(r -> {
                    double burned = c.need();
                    double feed = Math.max(burned, Math.abs(c.demand().flow(r.id())));
                    return new double[] {burned, error(feed, feed - burned, ERROR)};
                }));
    }

    /** Of the difference of two flows, each known within a share. */
    static double error(double feed, double back, double share) {
        return share * Math.hypot(feed, back);
    }
}
