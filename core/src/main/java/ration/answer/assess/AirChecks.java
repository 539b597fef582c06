package ration.answer.assess;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Collectors;
import ration.aircraft.condition.Contents;
import ration.aircraft.heat.HeatFigure;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Item;
import ration.aircraft.model.LineSize;
import ration.aircraft.model.PortRef;
import ration.aircraft.model.Run;
import ration.aircraft.model.Tank;
import ration.aircraft.model.VentPlenum;
import ration.aircraft.topology.Topology;
import ration.base.quantity.Dimension;
import ration.base.quantity.Method;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;
import ration.physics.breathing.VentPath;
import ration.physics.breathing.Vents;
import ration.physics.flow.FlowAnswer;
import ration.physics.flow.FlowBasis;
import ration.physics.flow.FlowQuestion;
import ration.record.project.Project;
import ration.verdict.check.Check;
import ration.verdict.check.Finding;
import ration.verdict.check.Verdict;
import ration.verdict.standard.Subject;

/** Vents, traps, drains, the strainer's place. */
final class AirChecks {

    /** Drop in a vent in flight, Pa. */
    private static final double MOST_DROP = Vents.MOST_DROP;

    private static final double ADVICE = 1.02;
    /** Flows closer than this share are alike: the layout is not known better. */
    private static final double TIE = 0.02;

    private final Project project;
    private final FuelSystem system;
    private final List<CaseAnswer> cases;
    private final List<AirAnswer> air;
    private final FlowBasis basis;
    private final List<Finding> findings = new ArrayList<>();

    private AirChecks(Project project, List<CaseAnswer> cases, List<AirAnswer> air, FlowBasis basis) {
        this.basis = basis;
        this.project = project;
        this.system = project.system();
        this.cases = cases;
        this.air = air;
    }

    static List<Finding> of(
            Project project, List<CaseAnswer> cases, List<TankAnswer> tanks, List<AirAnswer> air, FlowBasis basis) {
        AirChecks checks = new AirChecks(project, cases, air, basis);
        air.forEach(checks::vent);
        air.forEach(a ->
                checks.blocked(a.tank().id(), a.tank().name(), a.tank().fitout().secondAir(), a.blocked()));
        checks.plenums(tanks);
        checks.findings.addAll(SpillChecks.of(project, cases, tanks));
        checks.findings.addAll(WaterChecks.of(project, cases, air));
        checks.both();
        checks.tips();
        return checks.findings;
    }

    private void add(
            Check check,
            String of,
            String title,
            String item,
            Verdict verdict,
            double ratio,
            Finding.Wording detail,
            String source,
            String remedy) {
        findings.add(Checks.finding(check, of, title, item, verdict, ratio, detail, source, remedy));
    }

    /** Computed drop and rule of thumb; the worse governs. */
    private void vent(AirAnswer a) {
        if (a.tank().vent().isEmpty()) {
            return;
        }
        if (a.ends() == VentPath.Ends.NOWHERE) {
            add(
                    Check.AIR_VENT,
                    a.tank().id(),
                    "Vent of " + a.tank().name(),
                    a.tank().id(),
                    Verdict.NOT_SHOWN,
                    Finding.MISSED,
                    u -> "Vents into a tank or plenum that is not in the layout.",
                    project.brief().cite(Subject.VENT),
                    "Set the vent destination on the tank's card.");
            return;
        }
        if (a.shut()) {
            add(
                    Check.AIR_VENT,
                    a.tank().id(),
                    "Vent of " + a.tank().name(),
                    a.tank().id(),
                    Verdict.FAILS,
                    Finding.MISSED,
                    u -> "Vents loop between tanks and never reach outside air.",
                    project.brief().cite(Subject.VENT),
                    "Route one vent overboard.");
            return;
        }
        if (a.line().isEmpty()) {
            add(
                    Check.AIR_VENT,
                    a.tank().id(),
                    "Vent of " + a.tank().name(),
                    a.tank().id(),
                    Verdict.NOT_SHOWN,
                    Finding.MISSED,
                    u -> "Vent bore and length not entered: pressure drop unknown.",
                    Checks.PRACTICE,
                    "Enter the vent line on the tank's card.");
            return;
        }
        double drop = Math.max(a.inFlight(), 1e-6);
        Optional<Run> line = ruled(a.tank());
        Optional<LineSize> rule = line.flatMap(r -> LineSize.usual().stream()
                .filter(s ->
                        s.kind() == LineSize.Kind.TUBE && s.dash() == r.size().dash() - 1)
                .findFirst());
        double thumb = rule.map(s -> a.line().get().bore() / s.bore() + 0.002).orElse(Finding.MET);
        boolean sized = project.brief().practice().asks().ventSize();
        double ratio = sized ? Math.min(MOST_DROP / drop, thumb) : MOST_DROP / drop;
        Verdict verdict =
                ratio < 1 ? Verdict.FAILS : MOST_DROP / drop < 1 + Verdict.THIN_SHARE ? Verdict.THIN : Verdict.HOLDS;
        List<String> guessed = VentPath.of(system, a.tank()).lines().stream()
                .flatMap(v -> v.pieces().stream())
                .filter(p -> Method.of(p.opening()).guessed())
                .map(p -> p.kind().label())
                .toList();
        String only = thumb >= 1 || MOST_DROP / drop < 1
                ? ""
                : sized
                        ? " By rule only: the pressure drop is acceptable. Practice on Aircraft can leave the rule out."
                        : " The rule is left out by Practice.";
        findings.add(Checks.finding(
                        Check.AIR_VENT,
                        a.tank().id(),
                        "Vent of " + a.tank().name(),
                        a.tank().id(),
                        guessed.isEmpty() ? verdict : verdict.worse(Verdict.NOT_SHOWN),
                        ratio,
                        u -> (guessed.isEmpty()
                                        ? ""
                                        : "Opening not measured: " + String.join(", ", guessed)
                                                + ". Blow through it alone. ")
                                + "Pressure drop "
                                + u.small(a.drop(a.feeding())) + " feeding, "
                                + (a.returning() > 0
                                        ? u.small(a.drop(a.returning())) + " while fuel comes" + " back, "
                                        : "")
                                + u.small(a.drop(a.descending()))
                                + " descending, " + u.small(drop) + " both together; maximum " + u.small(MOST_DROP)
                                + "; filling "
                                + u.small(a.drop(a.filling()))
                                + (a.through().isEmpty() ? "" : "; through " + beyond(a))
                                + ". By rule of thumb its bore is "
                                + (thumb >= 1 ? "wide enough" : "too narrow")
                                + rule.map(s -> ": one size under " + line.get().name() + ", "
                                                + UnitSystem.figure(Unit.INCH.fromSi(s.bore()), 3) + " in")
                                        .orElse("")
                                + "." + only,
                        Checks.PRACTICE + "; both schools shown, the" + " worse governs",
                        "Larger or shorter vent, no check ball.")
                .because(() -> WhyAir.inFlight(project, a).orElseThrow()));
    }

    /** The line a vent is sized by: into the first pump the tank feeds, else from its outlet. */
    private Optional<Run> ruled(Tank tank) {
        Topology topology = Topology.of(system);
        Optional<Run> outlet =
                tank.outlets().stream().findFirst().flatMap(o -> system.runAt(new PortRef(tank.id(), o.name())));
        Optional<Run> pump = topology.feedPumps().stream()
                .filter(p -> topology.upstream(p.id(), i -> i.only(Tank.class).isPresent())
                        .contains(tank.id()))
                .flatMap(p -> system.runAt(new PortRef(p.id(), Item.IN)).stream())
                .findFirst();
        return pump.or(() -> outlet);
    }

    /** What its air passes after its own vent. */
    private String beyond(AirAnswer a) {
        return VentPath.of(system, a.tank()).legs().stream()
                .skip(1)
                .map(l -> l.item().name())
                .collect(Collectors.joining(", then "));
    }

    /** One tip shut starves every tank under it, unless each has a second way for air. */
    private void plenums(List<TankAnswer> tanks) {
        system.all(VentPlenum.class).forEach(p -> {
            List<AirAnswer> under = air.stream()
                    .filter(a -> VentPath.of(system, a.tank()).through(p.id()))
                    .toList();
            if (!under.isEmpty()) {
                blocked(
                        p.id(),
                        p.name(),
                        under.stream().allMatch(a -> a.tank().fitout().secondAir()),
                        AirAnswer.blocked(project, p, cases, tanks));
            }
        });
    }

    private void blocked(String item, String name, boolean secondAir, Optional<AirAnswer.Blocked> blocked) {
        if (secondAir) {
            add(
                    Check.AIR_BLOCKED,
                    item,
                    "Blocked vent of " + name,
                    item,
                    Verdict.HOLDS,
                    Finding.MET,
                    u -> "Second air source entered (vented cap or second vent). Not verified here.",
                    Checks.PRACTICE,
                    "");
            return;
        }
        if (blocked.isEmpty()) {
            add(
                    Check.AIR_BLOCKED,
                    item,
                    "Blocked vent of " + name,
                    item,
                    Verdict.NOT_SHOWN,
                    Finding.MISSED,
                    u -> "This tank does not feed the engine alone: no immediate loss, but its fuel is"
                            + " unusable. Feed from the other tanks not computed.",
                    Checks.PRACTICE,
                    "Add a vented cap or a second vent.");
        }
        blocked.ifPresent(b -> findings.add(Checks.finding(
                        Check.AIR_BLOCKED,
                        item,
                        "Blocked vent of " + name,
                        item,
                        b.outlasts() ? Verdict.HOLDS : Verdict.FAILS,
                        b.outlasts() ? Finding.MET : Finding.MISSED,
                        u -> b.outlasts()
                                ? "At every attitude and quantity the tank empties before vacuum stops the flow."
                                : "At takeoff demand flow falls below demand "
                                        + (b.soonest().seconds() < 1
                                                ? "at once on the ground (hardly any air), after "
                                                : "after " + minutes(b.soonest()) + " on the ground to ")
                                        + minutes(b.latest()) + " at "
                                        + ceiling() + ", "
                                        + u.fineVolume(b.soonest().volume()) + " to "
                                        + u.fineVolume(b.latest().volume()) + " fed. "
                                        + b.look().label(system, u) + ", the soonest of all attitudes and fillings. "
                                        + (b.boilsFirst()
                                                ? "On the hot day up there the fuel boils first. "
                                                : "It does not boil before that. ")
                                        + "Tank then under " + u.text(b.suction(), Dimension.PRESSURE)
                                        + " vacuum: collapse limit not known here.",
                        "Trapped air by p V^n, n 1.4 to 1.0; common practice, no source",
                        "Add a vented cap, or a second vent that ice or an insect cannot block together with"
                                + " the first.")
                .because(() -> WhyAir.blocked(project, b))));
    }

    private String ceiling() {
        return UnitSystem.figure(Unit.FOOT.fromSi(project.heat().si(HeatFigure.CEILING)), 0) + " ft";
    }

    private static String minutes(AirAnswer.Run run) {
        return run.outlasts()
                ? "more than " + UnitSystem.figure(run.seconds() / 60, 1) + " min, when the fuel ends"
                : UnitSystem.figure(run.seconds() / 60, run.seconds() < 60 ? 2 : 1) + " min";
    }

    /** Positions that feed from several tanks: which gives more, and so empties first. */
    private void both() {
        cases.stream()
                .filter(c -> c.judged()
                        && c.demand().usable()
                        && c.filling().is(Contents.HALF)
                        && c.condition().attitude().level()
                        && !c.condition().engine().fouled())
                .filter(c -> system.tanks().stream()
                                .filter(t -> Math.abs(c.demand().outflow(t)) > 1e-8)
                                .count()
                        > 1)
                .findFirst()
                .ifPresent(c -> {
                    List<Tank> order = system.tanks().stream()
                            .sorted(Ties.least(t -> -c.demand().outflow(t)))
                            .toList();
                    Tank first = order.get(0);
                    Tank last = order.get(order.size() - 1);
                    String position = Topology.named(system, c.condition().positions());
                    if (c.demand().outflow(first) - c.demand().outflow(last)
                            <= TIE * c.demand().outflow(first)) {
                        add(
                                Check.AIR_BOTH,
                                "",
                                "Which tank empties first",
                                "",
                                Verdict.HOLDS,
                                Finding.MET,
                                u -> (position.isEmpty() ? "" : "On " + position + ", ")
                                        + "half full, level: equal feed, "
                                        + u.text(c.demand().outflow(first), Dimension.FLOW)
                                        + " each. In flight, trim and vent pressure decide.",
                                Checks.PRACTICE + "; for information",
                                "");
                        return;
                    }
                    add(
                            Check.AIR_BOTH,
                            "",
                            "Which tank empties first",
                            first.id(),
                            Verdict.HOLDS,
                            Finding.MET,
                            u -> (position.isEmpty() ? "" : "On " + position + ", ") + "half full, level: "
                                    + first.name() + " gives "
                                    + u.text(c.demand().outflow(first), Dimension.FLOW) + " and " + last.name()
                                    + (c.demand().outflow(last) < 0 ? " takes " : " gives ")
                                    + u.text(Math.abs(c.demand().outflow(last)), Dimension.FLOW) + ": " + first.name()
                                    + " empties first: higher fuel level or less line loss.",
                            Checks.PRACTICE + "; for information",
                            "");
                });
    }

    /** Tips under different pressure move fuel between joined tanks: solved with the engine taking nothing. */
    private void tips() {
        double q = Vents.dynamic(project.heat().si(HeatFigure.SPEED));
        Map<String, Double> over = new TreeMap<>();
        air.forEach(
                a -> a.tank().fitout().vent().ifPresent(v -> over.put(a.tank().id(), a.tip() * q)));
        Optional<CaseAnswer> joined = cases.stream()
                .filter(c -> c.judged()
                        && c.filling().is(Contents.HALF)
                        && c.condition().attitude().level()
                        && !c.condition().engine().fouled()
                        && c.demand().usable()
                        && system.tanks().stream()
                                        .filter(t -> Math.abs(c.demand().outflow(t)) > 1e-8)
                                        .count()
                                > 1)
                .findFirst();
        if (over.size() < 2 || joined.isEmpty()) {
            return;
        }
        double most = over.values().stream().mapToDouble(d -> d).max().orElse(0);
        double least = over.values().stream().mapToDouble(d -> d).min().orElse(0);
        double level =
                (most - least) / (project.brief().demandDensity() * ration.base.geometry.ApparentGravity.STANDARD);
        FlowAnswer still = basis.ask(joined.get().condition().withAirspace(over), new FlowQuestion.Demand(0));
        if (!still.usable()) {
            add(
                    Check.AIR_TIPS,
                    "",
                    "Vent pressure, connected tanks",
                    "",
                    Verdict.NOT_SHOWN,
                    Finding.MISSED,
                    u -> "Vent outlet pressures differ by "
                            + u.small(most - least)
                            + "; flow between the tanks at zero demand did not solve: "
                            + still.reason(),
                    Checks.PRACTICE,
                    "");
            return;
        }
        Optional<Tank> gains = system.tanks().stream().min(Ties.least(still::outflow));
        double rate = gains.map(t -> -still.outflow(t)).orElse(0.0);
        boolean apart = level > Unit.INCH.toSi(0.5);
        add(
                Check.AIR_TIPS,
                "",
                "Vent pressure, connected tanks",
                gains.map(Tank::id).orElse(""),
                apart ? Verdict.THIN : Verdict.HOLDS,
                apart ? ADVICE : Finding.MET,
                u -> "Vent outlet pressures differ by " + u.small(most - least) + " ("
                        + u.text(level, Dimension.LENGTH) + " of fuel)"
                        + (rate > 1e-9
                                ? ". At zero demand " + gains.map(Tank::name).orElse("") + " gains "
                                        + u.text(rate, Dimension.FLOW) + ", half full, level."
                                : ". No flow between them, half full, level."),
                Checks.PRACTICE,
                "Use matching vent outlets in matching positions.");
    }
}
