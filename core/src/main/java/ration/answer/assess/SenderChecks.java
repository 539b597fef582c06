package ration.answer.assess;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import ration.aircraft.model.EngineInlet;
import ration.aircraft.model.FlowSender;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Item;
import ration.aircraft.model.PortRef;
import ration.aircraft.model.Regulator;
import ration.aircraft.model.Run;
import ration.base.geometry.Point3;
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
    /** Straight line at a rotor, bores; common practice, no source, uncertain. */
    private static final double STRAIGHT = 5;
    /** A line that turns by less is straight, degrees. */
    private static final double BEND = 10;

    private static final double ADVICE = 1.02;

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
        project.system().all(FlowSender.class).forEach(checks::straight);
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

    /**
     * A rotor reads what turns into it: straight line before and behind it, in bores. Said only where the way of both
     * lines is measured.
     */
    private void straight(FlowSender sender) {
        OptionalDouble before = bores(sender, Item.IN);
        OptionalDouble after = bores(sender, Item.OUT);
        if (before.isEmpty() || after.isEmpty()) {
            return;
        }
        double least = Math.min(before.getAsDouble(), after.getAsDouble());
        findings.add(Checks.finding(
                Check.SENDER_STRAIGHT,
                sender.id(),
                "Straight line at " + sender.name(),
                sender.id(),
                least < STRAIGHT ? Verdict.THIN : Verdict.HOLDS,
                least < STRAIGHT ? ADVICE : Finding.MET,
                u -> "Straight for " + UnitSystem.figure(before.getAsDouble(), 1) + " bores before it and "
                        + UnitSystem.figure(after.getAsDouble(), 1) + " behind it; minimum "
                        + UnitSystem.figure(STRAIGHT, 0) + " each, better 10 before.",
                Checks.PRACTICE + ", uncertain",
                "Lead the line straight into it and out of it, or calibrate it as installed."));
    }

    /** Bores of straight line at a port, up to the first bend or the next part; empty where nobody measured that. */
    private OptionalDouble bores(FlowSender sender, String port) {
        PortRef at = new PortRef(sender.id(), port);
        Optional<Run> run = system.runAt(at);
        if (run.isEmpty() || run.get().points().isEmpty() && run.get().length().isPresent()) {
            return OptionalDouble.empty();
        }
        List<Point3> way = new ArrayList<>();
        system.point(run.get().from()).ifPresent(way::add);
        run.get().points().forEach(p -> way.add(p.point()));
        system.point(run.get().to()).ifPresent(way::add);
        if (run.get().to().equals(at)) {
            Collections.reverse(way);
        }
        double length = 0;
        for (int i = 1; i < way.size(); i++) {
            double piece = way.get(i).distance(way.get(i - 1));
            if (i > 1 && bends(way.get(i - 2), way.get(i - 1), way.get(i))) {
                break;
            }
            length += piece;
        }
        return OptionalDouble.of(length / run.get().size().bore());
    }

    private static boolean bends(Point3 a, Point3 b, Point3 c) {
        double in = a.distance(b);
        double out = b.distance(c);
        double along = (b.x() - a.x()) * (c.x() - b.x())
                + (b.y() - a.y()) * (c.y() - b.y())
                + (b.z() - a.z()) * (c.z() - b.z());
        return in > 1e-6 && out > 1e-6 && along < Math.cos(Math.toRadians(BEND)) * in * out;
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
