package ration.answer.assess;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Stream;
import ration.aircraft.condition.Condition;
import ration.aircraft.condition.Power;
import ration.aircraft.model.EngineInlet;
import ration.aircraft.model.Filter;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Header;
import ration.aircraft.model.Item;
import ration.aircraft.model.Mesh;
import ration.aircraft.model.PortRef;
import ration.aircraft.model.Pump;
import ration.aircraft.model.Regulator;
import ration.aircraft.model.Run;
import ration.aircraft.model.Strainer;
import ration.aircraft.model.Tank;
import ration.aircraft.plumbing.LineRules;
import ration.aircraft.topology.Topology;
import ration.base.quantity.Dimension;
import ration.base.quantity.Measured;
import ration.base.quantity.Method;
import ration.physics.flow.DeadHead;
import ration.physics.flow.FlowAnswer;
import ration.physics.flow.FlowBasis;
import ration.physics.flow.FlowQuestion;
import ration.record.project.Project;
import ration.verdict.check.Check;
import ration.verdict.check.Finding;
import ration.verdict.check.Measure;
import ration.verdict.check.Verdict;
import ration.verdict.standard.Subject;

/** Checks on pressures from pumps and regulators: too much at the inlet, dead-headed lines, rails, headers, pumps. */
final class PressureChecks {

    /** How far a rail may rise over its setting; common practice, no source. */
    private static final double RAIL_RISE = 0.05;

    private final Project project;
    private final FlowBasis basis;
    private final List<CaseAnswer> cases;
    private final List<Finding> findings = new ArrayList<>();

    private PressureChecks(Project project, FlowBasis basis, List<CaseAnswer> cases) {
        this.project = project;
        this.basis = basis;
        this.cases = cases;
    }

    /** Over cases that were assessed; without one nothing is said. */
    static List<Finding> of(Project project, FlowBasis basis, List<CaseAnswer> cases) {
        if (cases.isEmpty()) {
            return List.of();
        }
        PressureChecks checks = new PressureChecks(project, basis, cases);
        checks.greatestInletPressure();
        checks.deadHead();
        checks.rail();
        checks.headers();
        checks.airFromTheOtherTank();
        checks.findings.addAll(PowerChecks.of(project, basis));
        return checks.findings;
    }

    /** Level and full, all pumps running: where pressures are greatest. */
    private List<Condition> allOn(Power power) {
        Condition start = StartingCase.of(project);
        return Topology.positions(basis.system()).stream()
                .map(p -> new Condition(start.attitude(), start.contents(), p, Set.of(), Set.of(), start.fuelKelvin())
                        .with(power))
                .toList();
    }

    /** 23.955(c)(3): main and emergency pump together must not exceed what the inlet bears. */
    private void greatestInletPressure() {
        Optional<EngineInlet> inlet = basis.system().inlet();
        if (basis.topology().feedPumps().isEmpty() || inlet.isEmpty()) {
            return;
        }
        EngineInlet i = inlet.get();
        if (i.maximumPressure().isEmpty()) {
            findings.add(new Finding(
                    Check.FLOW_INLET_PRESSURE_MOST,
                    "",
                    "Maximum inlet pressure",
                    i.id(),
                    Verdict.NOT_SHOWN,
                    Finding.MISSED,
                    u -> "Manufacturer's maximum inlet pressure not entered.",
                    project.brief().cite(Subject.PUMPS_TOGETHER),
                    "Enter it on the card of " + i.name() + "."));
            return;
        }
        double most = Double.NEGATIVE_INFINITY;
        Condition where = null;
        String open = "";
        for (Power power : List.of(Power.IDLE, Power.TAKE_OFF)) {
            for (Condition c : allOn(power)) {
                FlowAnswer a =
                        basis.ask(c, new FlowQuestion.Demand(project.brief().demand() * power.demandShare()));
                OptionalDouble p = a.usable() ? a.pressure(new PortRef(i.id(), Item.IN)) : OptionalDouble.empty();
                open = p.isEmpty() && !a.starved() ? why(a) : open;
                if (p.isPresent() && p.getAsDouble() > most) {
                    most = p.getAsDouble();
                    where = c;
                }
            }
        }
        double limit = i.maximumPressure().get().si();
        double found = most;
        Condition at = where;
        Verdict shown = found <= 0 ? Verdict.HOLDS : Verdict.atLeast(limit, found);
        Verdict verdict = where == null ? Verdict.NOT_SHOWN : open.isEmpty() ? shown : shown.worse(Verdict.NOT_SHOWN);
        if (verdict == Verdict.NOT_SHOWN) {
            String why = open.isEmpty() ? "No fuel reaches the inlet with all pumps on." : open;
            findings.add(new Finding(
                    Check.FLOW_INLET_PRESSURE_MOST,
                    "",
                    "Maximum inlet pressure",
                    i.id(),
                    verdict,
                    Finding.MISSED,
                    u -> "Some cases did not solve: " + why,
                    project.brief().cite(Subject.PUMPS_TOGETHER),
                    ""));
            return;
        }
        findings.add(new Finding(
                        Check.FLOW_INLET_PRESSURE_MOST,
                        "",
                        "Maximum inlet pressure",
                        i.id(),
                        verdict,
                        found <= 0 ? Finding.MET : limit / found,
                        u -> u.text(found, Dimension.PRESSURE) + "; maximum "
                                + u.text(limit, Dimension.PRESSURE) + ", every pump on at "
                                + at.engine().power().label().toLowerCase(Locale.ROOT) + " power"
                                + at.positions().values().stream()
                                        .findFirst()
                                        .map(p -> ", " + p)
                                        .orElse("") + ".",
                        project.brief().cite(Subject.PUMPS_TOGETHER) + "; "
                                + Method.source(i.maximumPressure().orElseThrow()),
                        verdict == Verdict.FAILS ? "Fit a regulator or a lower-pressure pump." : "")
                .with(Measure.atMost(found, limit, Dimension.PRESSURE)));
    }

    /** A strainer or filter behind a pump against what it is rated for, dead-headed. */
    private void ratings(Map<String, Double> stands) {
        FuelSystem system = basis.system();
        Stream.concat(
                        system.all(Strainer.class).map(x -> new Caught(x.id(), x.name(), x.mesh(), x.drain())),
                        system.all(Filter.class).map(x -> new Caught(x.id(), x.name(), x.mesh(), false)))
                .forEach(h -> {
                    boolean pumped = basis
                            .topology()
                            .upstream(h.id, i -> i.only(Tank.class).isPresent())
                            .stream()
                            .map(system::item)
                            .flatMap(Optional::stream)
                            .anyMatch(i -> i.only(Pump.class).isPresent());
                    double[] at = basis.topology().meeting(h.id).stream()
                            .mapToDouble(r -> stands.getOrDefault(r.id(), Double.NaN))
                            .toArray();
                    if (pumped && at.length > 0) {
                        findings.add(rated(h, Arrays.stream(at).max().getAsDouble()));
                    }
                });
    }

    /** A strainer or filter, and whether its bowl has a drain. */
    private record Caught(String id, String name, Mesh mesh, boolean drain) {}

    private Finding rated(Caught h, double most) {
        Optional<Measured> said = h.mesh.rating().filter(r -> !r.assumed());
        boolean known = said.isPresent() && !Double.isNaN(most);
        double need = Math.max(1, most);
        Verdict verdict = known ? Verdict.atLeast(said.get().si(), need) : Verdict.NOT_SHOWN;
        String drained = h.drain ? " Drain its bowl only with the pumps off and the pressure gone." : "";
        return new Finding(
                Check.FILTER_RATING,
                h.id,
                "Pressure rating of " + h.name,
                h.id,
                verdict,
                known ? Math.min(Finding.MET, said.get().si() / need) : Finding.MISSED,
                u -> Double.isNaN(most)
                        ? "Its dead-head pressure did not solve."
                        : (known
                                        ? u.text(most, Dimension.PRESSURE) + " dead-headed, rated "
                                                + u.text(said.get().si(), Dimension.PRESSURE) + "."
                                        : "It stands " + u.text(most, Dimension.PRESSURE)
                                                + " dead-headed, all pumps on; its rating is not entered.")
                                + drained,
                known ? Method.source(said.get()) : Checks.PRACTICE,
                verdict == Verdict.HOLDS
                        ? ""
                        : known
                                ? "A can or bowl rated for it, or a relief."
                                : "Enter its pressure rating on the card of " + h.name + ".");
    }

    /** What each line stands when every pump pushes against a shut end, against its own rating. */
    private void deadHead() {
        List<Run> rated = basis.system().runs().stream()
                .filter(r -> LineRules.rating(r).isPresent())
                .toList();
        if (basis.topology().feedPumps().isEmpty()) {
            return;
        }
        Map<String, Double> stands = DeadHead.of(basis, allOn(Power.TAKE_OFF));
        ratings(stands);
        findings.addAll(HoseChecks.proofs(basis.system(), stands));
        if (rated.isEmpty()) {
            return;
        }
        Optional<Run> unknown =
                rated.stream().filter(r -> Double.isNaN(stands.get(r.id()))).findFirst();
        Run run = rated.stream()
                .filter(r -> !Double.isNaN(stands.get(r.id())))
                .min(Ties.least(r -> LineRules.rating(r).getAsDouble() / Math.max(1, stands.get(r.id()))))
                .orElse(rated.get(0));
        double limit = LineRules.rating(run).getAsDouble();
        double most = stands.get(run.id());
        Verdict found = Double.isNaN(most) ? Verdict.NOT_SHOWN : Verdict.atLeast(limit, Math.max(1, most));
        Verdict verdict = unknown.isPresent() ? found.worse(Verdict.NOT_SHOWN) : found;
        findings.add(new Finding(
                Check.BUILD_DEAD_HEAD,
                "",
                "Dead-head pressure",
                run.id(),
                verdict,
                Double.isNaN(most) ? Finding.MISSED : Math.min(Finding.MET, limit / Math.max(1, most)),
                u -> unknown.map(r -> "Not solved in " + r.name() + ". ").orElse("")
                        + (Double.isNaN(most)
                                ? ""
                                : u.text(most, Dimension.PRESSURE) + " in " + run.name()
                                        + " dead-headed, all pumps on, nothing returning; it is "
                                        + LineRules.construction(run).label().toLowerCase(Locale.ROOT) + ", "
                                        + u.text(limit, Dimension.PRESSURE)
                                        + ". Each line carries its own: pumps in parallel the strongest, in"
                                        + " series the sum."),
                LineRules.RATING_SOURCE,
                verdict == Verdict.FAILS ? "Use hose rated for it, or fit a relief valve." : ""));
    }

    private static String why(FlowAnswer a) {
        return a.reason().isEmpty() ? "closed valves isolate it: pressure undefined." : a.reason();
    }

    /** What a regulator held at one power: pressure over what it should hold there. */
    private record Held(Power power, double pressure, double wanted, double spill) {
        double off() {
            return wanted > 0 ? pressure / wanted - 1 : 0;
        }
    }

    /**
     * A rail's pressure at idle, cruise and take-off, each with its own manifold: the return must carry the whole
     * spill, the pumps the whole demand.
     */
    private void rail() {
        for (Regulator regulator : basis.system().all(Regulator.class).toList()) {
            boolean bypass = regulator.style() == Regulator.Style.BYPASS;
            List<Held> held = new ArrayList<>();
            String open = "";
            for (Power power : Power.values()) {
                double wanted = regulator.setting().si()
                        + (regulator.reference() == Regulator.Reference.MANIFOLD
                                ? power == Power.IDLE ? basis.around().idleManifold() : power.manifoldPa()
                                : 0);
                for (Condition c : allOn(power)) {
                    FlowAnswer a =
                            basis.ask(c, new FlowQuestion.Demand(project.brief().demand() * power.demandShare()));
                    OptionalDouble p = a.usable()
                            ? a.pressure(new PortRef(regulator.id(), bypass ? Item.IN : Item.OUT))
                            : OptionalDouble.empty();
                    if (p.isPresent()) {
                        held.add(new Held(
                                power,
                                p.getAsDouble(),
                                wanted,
                                Math.max(0, a.solution().flow(regulator.id()))));
                    } else {
                        open = why(a);
                    }
                }
            }
            String title = "Pressure held by " + regulator.name();
            Optional<Held> worst = held.stream().min(Ties.least((Held h) -> -Math.abs(h.off())));
            boolean off = worst.filter(h -> Math.abs(h.off()) > RAIL_RISE).isPresent();
            if (!off && (!open.isEmpty() || worst.isEmpty())) {
                String why = open;
                findings.add(new Finding(
                        Check.FLOW_REGULATED,
                        regulator.id(),
                        title,
                        regulator.id(),
                        Verdict.NOT_SHOWN,
                        Finding.MISSED,
                        u -> "Some cases did not solve: " + why,
                        Checks.PRACTICE + ": within 5% of the setting",
                        ""));
                continue;
            }
            double carried = held.stream().mapToDouble(Held::spill).max().orElse(0);
            Held w = worst.orElseThrow();
            double lowest = held.stream().mapToDouble(Held::pressure).min().orElse(0);
            double highest = held.stream().mapToDouble(Held::pressure).max().orElse(0);
            boolean over = w.off() > RAIL_RISE;
            findings.add(new Finding(
                    Check.FLOW_REGULATED,
                    regulator.id(),
                    title,
                    regulator.id(),
                    off ? Verdict.FAILS : Verdict.HOLDS,
                    !off ? Finding.MET : over ? w.wanted() / w.pressure() : Math.max(0, w.pressure() / w.wanted()),
                    u -> u.text(lowest, Dimension.PRESSURE)
                            + " to " + u.text(highest, Dimension.PRESSURE) + " from idle to takeoff; worst at "
                            + w.power().label().toLowerCase(Locale.ROOT) + ", "
                            + u.text(w.pressure(), Dimension.PRESSURE) + ", setting "
                            + u.text(w.wanted(), Dimension.PRESSURE) + " ("
                            + String.format(Locale.ROOT, "%+.1f%%)", 100 * w.off())
                                    .replace('-', '\u2212')
                            + (bypass ? "; maximum return flow " + u.text(carried, Dimension.FLOW) + "." : "."),
                    Checks.PRACTICE + ": within 5% of the setting",
                    !off
                            ? ""
                            : over
                                    ? "The return cannot carry the spill: a larger return" + " line."
                                    : "Pumps cannot reach the regulator setting."));
        }
    }

    /** A header must stay wet at take-off demand in every judged case. */
    private void headers() {
        for (Header header : basis.system().all(Header.class).toList()) {
            Optional<CaseAnswer> dry = cases.stream()
                    .filter(c -> c.judged() && !c.condition().engine().fouled())
                    .filter(c -> c.demand().dryHeaders().contains(header.id()))
                    .min(Ties.least(c -> c.demand().inletFlow()));
            Optional<CaseAnswer> never = cases.stream()
                    .filter(c -> c.judged() && c.demand().starved())
                    .findFirst();
            if (dry.isEmpty() && never.isPresent()) {
                findings.add(new Finding(
                        Check.FLOW_HEADER,
                        header.id(),
                        header.name() + " does not run dry",
                        header.id(),
                        Verdict.FAILS,
                        Finding.MISSED,
                        u -> never.get().demand().reason() + " " + never.get().label(basis.system(), u) + ".",
                        Checks.PRACTICE,
                        "First fix what stops pump delivery."));
                continue;
            }
            if (cases.stream().noneMatch(CaseAnswer::judged)) {
                findings.add(new Finding(
                        Check.FLOW_HEADER,
                        header.id(),
                        header.name() + " does not run dry",
                        header.id(),
                        Verdict.NOT_SHOWN,
                        Finding.MISSED,
                        u -> "No case to check: no tank feeds the engine in this layout.",
                        Checks.PRACTICE,
                        "Join the header to the engine."));
                continue;
            }
            Optional<CaseAnswer> open = cases.stream()
                    .filter(c ->
                            c.judged() && !c.demand().usable() && !c.demand().starved())
                    .findFirst();
            if (dry.isEmpty() && open.isPresent()) {
                findings.add(new Finding(
                        Check.FLOW_HEADER,
                        header.id(),
                        header.name() + " does not run dry",
                        header.id(),
                        Verdict.NOT_SHOWN,
                        Finding.MISSED,
                        u -> "Some cases did not solve. " + open.get().label(basis.system(), u) + ": "
                                + open.get().demand().reason(),
                        Checks.PRACTICE,
                        ""));
                continue;
            }
            double minutes = HeaderReserve.of(project, basis, header).seconds() / 60;
            findings.add(dry.map(c -> new Finding(
                            Check.FLOW_HEADER,
                            header.id(),
                            header.name() + " does not run dry",
                            header.id(),
                            Verdict.FAILS,
                            c.demand().inletFlow() / c.need(),
                            u -> "It takes in "
                                    + u.text(c.demand().inletFlow(), Dimension.FLOW) + " of "
                                    + u.text(c.need(), Dimension.FLOW)
                                    + " and runs dry. " + c.label(basis.system(), u) + ". Full, it lasts "
                                    + String.format(Locale.ROOT, "%.1f", minutes) + " min at takeoff demand.",
                            Checks.PRACTICE,
                            "Enlarge the line into it, or raise the tank."))
                    .orElseGet(() -> new Finding(
                            Check.FLOW_HEADER,
                            header.id(),
                            header.name() + " does not run dry",
                            header.id(),
                            Verdict.HOLDS,
                            Finding.MET,
                            u -> "Inflow meets demand in every case. Full, it lasts "
                                    + String.format(Locale.ROOT, "%.1f", minutes) + " min at takeoff demand.",
                            Checks.PRACTICE,
                            "")));
        }
    }

    /** 23.951(b): a pump drawing from two tanks at once draws air from the empty one. */
    private void airFromTheOtherTank() {
        cases.stream()
                .filter(c -> c.judged() && !c.demand().airDrawn().isEmpty())
                .min(Ties.least(CaseAnswer::margin))
                .ifPresent(c -> findings.add(new Finding(
                        Check.FLOW_AIR,
                        "",
                        "No air drawn from an empty tank",
                        c.demand().airDrawn().get(0).split("\\.")[0],
                        Verdict.FAILS,
                        Finding.MISSED,
                        u -> c.obstacle(basis.system()) + " The fuel in the other tank is" + " out of reach. "
                                + c.label(basis.system(), u) + ".",
                        project.brief().cite(Subject.AIR_DRAWN),
                        "Feed from one tank at a time, or through a header.")));
    }
}
