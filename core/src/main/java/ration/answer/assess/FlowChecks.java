package ration.answer.assess;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import ration.aircraft.condition.Contents;
import ration.aircraft.condition.PositionKey;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Item;
import ration.aircraft.model.LineSize;
import ration.aircraft.model.Problem;
import ration.aircraft.model.Pump;
import ration.aircraft.model.Run;
import ration.aircraft.model.Tank;
import ration.aircraft.topology.Topology;
import ration.base.quantity.Dimension;
import ration.base.quantity.Method;
import ration.base.quantity.UnitSystem;
import ration.physics.flow.FlowAnswer;
import ration.physics.flow.FlowBasis;
import ration.physics.flow.PathStep;
import ration.record.project.Project;
import ration.solver.network.FrictionLaw;
import ration.verdict.check.Check;
import ration.verdict.check.Finding;
import ration.verdict.check.Measure;
import ration.verdict.check.Verdict;
import ration.verdict.standard.Subject;

/** Whether the flow is enough in every case, and what stands in the way of telling. */
final class FlowChecks {

    private final Project project;
    private final FuelSystem system;
    private final List<CaseAnswer> cases;
    private final FlowBasis basis;
    private final List<Finding> findings = new ArrayList<>();

    private FlowChecks(Project project, List<CaseAnswer> cases, FlowBasis basis) {
        this.project = project;
        this.system = project.system();
        this.cases = cases;
        this.basis = basis;
    }

    /** Over cases that were assessed. */
    static List<Finding> of(Project project, List<Problem> problems, List<CaseAnswer> cases, FlowBasis basis) {
        FlowChecks checks = new FlowChecks(project, cases, basis);
        problems.forEach(checks::layout);
        if (cases.isEmpty()) {
            checks.nothing();
        } else {
            checks.margins();
            checks.unanswered();
            checks.overflow();
            checks.minimumPressureAtDemand();
            checks.transition();
        }
        return checks.findings;
    }

    /** Of a layout that nothing can be computed of. */
    static List<Finding> blocked(Project project, List<Problem> problems) {
        return of(project, problems, List.of(), null);
    }

    private void nothing() {
        findings.add(new Finding(
                Check.FLOW_MARGIN,
                "",
                "Flow margin",
                "",
                Verdict.NOT_SHOWN,
                Finding.MISSED,
                u -> "Fix the layout first: it cannot be computed.",
                project.brief().cite(project.brief().delivery().flow()),
                "Open each item marked on Layout."));
    }

    private void layout(Problem p) {
        findings.add(new Finding(
                Check.LAYOUT,
                (p.item().isEmpty() ? "" : p.item() + ".")
                        + p.field().toLowerCase(Locale.ROOT).replace(' ', '-'),
                p.field(),
                p.item(),
                Verdict.NOT_SHOWN,
                Finding.MISSED,
                u -> p.message(),
                Checks.PRACTICE,
                p.remedy()));
    }

    /** 150 % of take-off consumption by gravity, 125 % by pump, for each selector position. */
    private void margins() {
        Map<Map<String, String>, CaseAnswer> worst = new LinkedHashMap<>();
        for (CaseAnswer c : cases) {
            if (c.judged() && c.answered()) {
                worst.merge(
                        c.condition().positions(),
                        c,
                        (a, b) -> Ties.rounded(a.ratio()) <= Ties.rounded(b.ratio()) ? a : b);
            }
        }
        cases.stream()
                .filter(CaseAnswer::open)
                .filter(c -> !worst.containsKey(c.condition().positions()))
                .map(c -> c.condition().positions())
                .distinct()
                .forEach(p -> findings.add(Checks.notShown(
                        Check.FLOW_MARGIN,
                        new PositionKey(p).text(),
                        p.isEmpty() ? "Flow margin" : "Flow margin on " + Topology.named(system, p),
                        "No case in this selector position could be solved.")));
        for (CaseAnswer c : worst.values()) {
            String position = Topology.named(system, c.condition().positions());
            String obstacle = c.obstacle(system);
            Finding.Wording detail = u -> String.format(
                            Locale.ROOT,
                            "%.2f\u00d7 takeoff demand; needs %.2f\u00d7. %s available, %s required. %s. %s",
                            c.margin(),
                            c.factor(),
                            u.figure(c.capacity().inletFlow(), Dimension.FLOW),
                            u.text(c.need() * c.factor(), Dimension.FLOW),
                            c.label(system, u),
                            obstacle)
                    .strip();
            findings.add(new Finding(
                            Check.FLOW_MARGIN,
                            new PositionKey(c.condition().positions()).text(),
                            "Flow margin" + (position.isEmpty() ? "" : " on " + position),
                            largestLoss(c),
                            c.verdict(),
                            c.ratio(),
                            detail,
                            project.brief().cite(project.brief().delivery().flow()),
                            c.verdict() == Verdict.HOLDS ? "" : remedy(c))
                    .with(Measure.atLeast(c.margin(), c.factor(), Dimension.NUMBER))
                    .because(() -> WhyFlow.margin(project, c)));
        }
    }

    /** Cases the solver could not settle are said, and never count as good. */
    private void unanswered() {
        List<CaseAnswer> open =
                cases.stream().filter(c -> c.judged() && !c.answered()).toList();
        if (!open.isEmpty()) {
            CaseAnswer c = open.get(0);
            findings.add(new Finding(
                    Check.FLOW_UNANSWERED,
                    "",
                    "All cases solved",
                    "",
                    Verdict.NOT_SHOWN,
                    Finding.MISSED,
                    u -> open.size() + " of " + cases.size() + " cases did not solve. " + c.label(system, u) + ": "
                            + c.obstacle(system),
                    Checks.PRACTICE,
                    "Regulators or jet pumps oppose each other: check the items named."));
        }
    }

    private String largestLoss(CaseAnswer c) {
        return c.capacity().path().stream()
                .min(Ties.least((PathStep p) -> -p.loss()))
                .map(PathStep::item)
                .orElse("");
    }

    /**
     * What costs the most in the case that governs, and what the next size there gives: solved over the cases, not
     * promised.
     */
    private String remedy(CaseAnswer c) {
        Optional<Item> item = system.item(largestLoss(c));
        if (item.isEmpty()) {
            return "Fix the feed in this case, or prohibit it by placard.";
        }
        Optional<Run> run =
                item.get().only(Run.class).filter(r -> r.size().nextUp().isPresent());
        if (run.isEmpty()) {
            return item.get().name()
                    + " has the largest loss. Try one with less loss, or a larger line elsewhere: Flow ranks"
                    + " ways to add margin.";
        }
        LineSize up = run.get().size().nextUp().orElseThrow();
        FlowBasis larger = basis.with(system.replace(run.get().resized(up)));
        List<CaseAnswer> same = cases.stream()
                .filter(x -> x.judged()
                        && x.condition().positions().equals(c.condition().positions()))
                .map(x -> new CaseAnswer(larger, project.brief(), x.setting()))
                .toList();
        Optional<CaseAnswer> least = same.stream().allMatch(CaseAnswer::answered)
                ? same.stream().min(Ties.least(CaseAnswer::ratio))
                : Optional.empty();
        return item.get().name() + " has the largest loss. "
                + least.map(l -> "With " + up.shortName() + " it is "
                                + String.format(Locale.ROOT, "%.2f\u00d7", l.margin())
                                + (l.ratio() >= 1
                                        ? "."
                                        : ", which still Fails: one step of several. Flow ranks ways to add margin."))
                        .orElse("Try " + up.shortName() + ".");
    }

    /** 23.957(a): interconnected tanks must not overflow each other. */
    private void overflow() {
        for (CaseAnswer c : cases) {
            if (!c.filling().is(Contents.FULL) || !c.demand().usable()) {
                continue;
            }
            for (Tank tank : system.tanks()) {
                double filling = -c.demand().outflow(tank);
                if (filling > FlowAnswer.NO_FLOW) {
                    findings.add(new Finding(
                            Check.FLOW_OVERFLOW,
                            tank.id(),
                            "No overflow between tanks",
                            tank.id(),
                            Verdict.FAILS,
                            Finding.MISSED,
                            u -> tank.name() + " gains " + u.text(filling, Dimension.FLOW)
                                    + " when full and overflows through its vent. " + c.label(system, u) + ".",
                            project.brief().cite(Subject.OVERFLOW),
                            "Feed from one tank at a time, or add a check valve to stop back-flow."));
                    return;
                }
            }
        }
    }

    /** Pressure at the inlet at take-off demand, in the case with the least. */
    private void minimumPressureAtDemand() {
        Optional<CaseAnswer> never = cases.stream()
                .filter(c -> c.judged()
                        && !c.condition().engine().fouled()
                        && c.demand().starved())
                .min(Ties.least(CaseAnswer::margin));
        if (never.isPresent() && system.inlet().isPresent()) {
            findings.add(new Finding(
                    Check.FLOW_INLET_PRESSURE,
                    "",
                    "Inlet pressure at takeoff demand",
                    system.inlet().get().id(),
                    Verdict.FAILS,
                    Math.min(0.99, never.get().margin()),
                    u -> never.get().demand().reason() + " " + never.get().label(system, u) + ".",
                    project.brief().cite(Subject.FLOW_CONDITIONS),
                    "Reduce suction head at the pump inlet, or fit a larger pump."));
            return;
        }
        boolean unanswered = cases.stream()
                .anyMatch(c -> c.judged()
                        && !c.condition().engine().fouled()
                        && !c.demand().usable());
        system.inlet().ifPresent(inlet -> cases.stream()
                .filter(c -> c.judged() && !c.condition().engine().fouled())
                .filter(c -> c.inletPressureAtDemand(system).isPresent())
                .min(Ties.least(c -> c.inletPressureAtDemand(system).getAsDouble()))
                .ifPresent(c -> {
                    double left = c.inletPressureAtDemand(system).getAsDouble();
                    double least = inlet.minimumPressure().si();
                    Verdict shown = left < least ? Verdict.FAILS : left < least * 1.05 ? Verdict.THIN : Verdict.HOLDS;
                    Verdict verdict = unanswered ? shown.worse(Verdict.NOT_SHOWN) : shown;
                    findings.add(new Finding(
                                    Check.FLOW_INLET_PRESSURE,
                                    "",
                                    "Inlet pressure at takeoff demand",
                                    inlet.id(),
                                    verdict,
                                    shown == Verdict.FAILS && !(least > 0)
                                            ? Finding.MISSED
                                            : least > 0 ? Math.max(0, left / least) : Finding.MET,
                                    u -> cannotReach(c, least, u) + u.text(left, Dimension.PRESSURE) + "; minimum "
                                            + u.text(least, Dimension.PRESSURE) + ". " + c.label(system, u) + "."
                                            + (unanswered ? " Some cases did not solve." : ""),
                                    project.brief().cite(Subject.FLOW_CONDITIONS) + "; "
                                            + Method.source(inlet.minimumPressure()),
                                    verdict == Verdict.HOLDS ? "" : "Cut line loss, or add head.")
                            .with(Measure.atLeast(left, least, Dimension.PRESSURE))
                            .because(() -> WhyFlow.ofCase(project, c)
                                    .get("Pressure at demand")
                                    .get()));
                }));
    }

    /** In so many words where all running pumps together, against a shut end, stay under what the inlet must have. */
    private String cannotReach(CaseAnswer c, double least, UnitSystem units) {
        List<Pump> running = basis.topology().feedPumps().stream()
                .filter(p ->
                        !c.condition().stopped().contains(p.id()) && !p.curve().isEmpty())
                .toList();
        double shut = running.stream()
                .mapToDouble(p -> p.curve().get(0).pressure().si())
                .sum();
        double height =
                Math.max(0, c.demand().headAvailable().orElse(0) * c.demand().weight());
        return running.isEmpty() || shut + height >= least
                ? ""
                : (running.size() == 1 ? running.get(0).name() + " cannot" : "The pumps cannot")
                        + " make minimum inlet pressure: " + units.text(shut, Dimension.PRESSURE)
                        + ", and "
                        + units.text(least, Dimension.PRESSURE) + " required. ";
    }

    /** Says where friction is least certain: a note, never worse than Holds. */
    private void transition() {
        for (Run run : system.runs()) {
            double low = Double.MAX_VALUE;
            double high = 0;
            for (CaseAnswer c : cases) {
                double re = c.capacity().usable() ? c.capacity().reynolds(run) : 0;
                if (re > FrictionLaw.LAMINAR_END && re < FrictionLaw.TURBULENT) {
                    low = Math.min(low, re);
                    high = Math.max(high, re);
                }
            }
            if (high > 0) {
                String range = low == high
                        ? String.format(Locale.ROOT, "%.0f", low)
                        : String.format(Locale.ROOT, "%.0f to %.0f", low, high);
                findings.add(new Finding(
                        Check.FLOW_TRANSITION,
                        run.id(),
                        "Transition flow",
                        run.id(),
                        Verdict.HOLDS,
                        Finding.MET,
                        u -> "Re " + range + " in some cases, where friction is least certain; computed on" + " the "
                                + project.brief().choices().friction().label().toLowerCase(Locale.ROOT) + ".",
                        "Moody chart, transition zone (from memory)",
                        ""));
            }
        }
    }
}
