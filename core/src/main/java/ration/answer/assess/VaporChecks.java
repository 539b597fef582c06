package ration.answer.assess;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import ration.aircraft.heat.Warming;
import ration.aircraft.model.Filter;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Item;
import ration.aircraft.model.Outlet;
import ration.aircraft.model.PortRef;
import ration.aircraft.model.Pump;
import ration.aircraft.model.Run;
import ration.aircraft.model.Strainer;
import ration.aircraft.model.Tank;
import ration.aircraft.topology.Topology;
import ration.base.geometry.Point3;
import ration.base.quantity.Dimension;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;
import ration.physics.vapor.Air;
import ration.physics.vapor.SoakPath;
import ration.physics.vapor.Trapped;
import ration.record.project.Project;
import ration.verdict.check.Check;
import ration.verdict.check.Finding;
import ration.verdict.check.Measure;
import ration.verdict.check.Verdict;
import ration.verdict.standard.Subject;

/** Boiling, trapped volumes, and what practice says of suction, judged by what is computed. */
final class VaporChecks {

    /** Returns nearer than this to an outlet feed it hot fuel, m; common practice, no source. */
    private static final double NEAR = Unit.INCH.toSi(6);
    /** Under ambient by more than this counts as suction, Pa: 0.1 in of fuel. */
    private static final double SUCTION = -18;
    /** Advice stands just past its requirement. */
    private static final double ADVICE = 1.02;

    private final Project project;
    private final FuelSystem system;
    private final Topology topology;
    private final List<CaseAnswer> cases;
    private final List<Finding> findings = new ArrayList<>();

    private VaporChecks(Project project, List<CaseAnswer> cases) {
        this.project = project;
        this.system = project.system();
        topology = Topology.of(system);
        this.cases = cases.stream()
                .filter(c -> c.judged()
                        && c.steady()
                        && c.demand().usable()
                        && !c.condition().engine().fouled())
                .toList();
    }

    static List<Finding> of(
            Project project,
            List<CaseAnswer> cases,
            List<TankAnswer> tanks,
            Optional<VaporAnswer> vapor,
            Optional<VaporAnswer> hot) {
        VaporChecks checks = new VaporChecks(project, cases);
        Optional<CaseAnswer> boiling = VaporAnswer.boiling(cases);
        if (boiling.isPresent()) {
            checks.boils(Check.VAPOR_GAP, "", "Vapor margin", boiling.get());
            checks.boils(Check.VAPOR_HOT_FUEL, "", "Hot fuel case", boiling.get());
        } else {
            vapor.ifPresentOrElse(
                    checks::gap,
                    () -> checks.findings.add(Checks.notShown(
                            Check.VAPOR_GAP,
                            "",
                            "Vapor margin",
                            "No solved case brings fuel to the engine: vapor margin not computed.")));
            hot.ifPresentOrElse(
                    checks::hotFuel,
                    () -> checks.findings.add(Checks.notShown(
                            Check.VAPOR_HOT_FUEL,
                            "",
                            "Hot fuel case",
                            "No solved case brings fuel to the engine: vapor margin not computed.")));
        }
        checks.trapped();
        checks.suction();
        checks.lift();
        checks.returns();
        vapor.ifPresent(checks::warming);
        vapor.ifPresent(checks::restart);
        checks.findings.addAll(InTankChecks.of(project, cases, tanks));
        return checks.findings;
    }

    /**
     * A case that boils with the fuel no warmer than it is asked for has no gap to give: Fails, whatever the others
     * leave.
     */
    private void boils(Check check, String of, String title, CaseAnswer c) {
        findings.add(new Finding(
                check,
                of,
                title,
                "",
                Verdict.FAILS,
                Finding.MISSED,
                u -> c.label(system, u) + ", even with fuel at "
                        + u.temperature(c.condition().fuelKelvin(), 0) + ": "
                        + (c.demand().undelivered() ? c.demand() : c.capacity()).reason(),
                project.brief().cite(Subject.VAPOR_LOCK) + "; boiling pressure: API 2517 as in AP-42 (from memory)",
                "Lower that item, or reduce suction to it."));
    }

    /** 23.961: no vapor lock with fuel as warm as the hot fuel case has it, beside the day's own. */
    private void hotFuel(VaporAnswer v) {
        findings.add(new Finding(
                        Check.VAPOR_HOT_FUEL,
                        "",
                        "Hot fuel case",
                        v.gap().item(),
                        v.verdict(),
                        v.ratio(),
                        u -> "Fuel at "
                                + u.temperature(v.air().fuelKelvin(), 0) + " in the tank: "
                                + "Vapor margin " + u.difference(v.degrees()) + "; needs "
                                + u.difference(v.needed()) + ". "
                                + v.label(project, u) + ", " + v.look().label(system, u) + "." + unsaid(v),
                        project.brief().cite(Subject.HOT_FUEL) + "; required margin is our choice, no rule",
                        v.verdict() == Verdict.HOLDS
                                ? ""
                                : !v.heatSaid()
                                        ? HOT
                                        : v.fuelSaid()
                                                ? "Lower the pump, enlarge or sleeve the suction line, or use"
                                                        + " less volatile fuel. Vapor ranks what helps."
                                                : CHOOSE)
                .because(() -> WhyVapor.gap(project, v)));
    }

    private static final String CHOOSE = "Set mogas class and ethanol on Vapor.";

    private static final String HOT =
            "Add the firewall (a button on the Vapor page, or the engine's card), or set on its card which item"
                    + " is in the engine bay.";

    private static String unsaid(VaporAnswer v) {
        return (v.fuelSaid() ? "" : " Mogas class not set: assumed most volatile, with ethanol.")
                + (v.heatSaid()
                        ? ""
                        : " No heat source entered: no firewall and no zone, so no heat is counted and this is"
                                + " Not shown.");
    }

    private void gap(VaporAnswer v) {
        findings.add(new Finding(
                        Check.VAPOR_GAP,
                        "",
                        "Vapor margin",
                        v.gap().item(),
                        v.verdict(),
                        v.ratio(),
                        u -> "Vapor margin " + u.difference(v.degrees()) + "; needs "
                                + u.difference(v.needed()) + ": "
                                + u.text(v.gap().pressure(), Dimension.PRESSURE) + " abs at "
                                + u.temperature(v.gap().kelvin(), 1) + ", boils at "
                                + u.text(v.gap().boils(), Dimension.PRESSURE) + "; "
                                + (v.gap().climb(v.air().altitudeM()) > 0
                                        ? UnitSystem.figure(
                                                        Unit.FOOT.fromSi(v.gap()
                                                                .climb(v.air().altitudeM())),
                                                        0) + " ft more to boiling. "
                                        : "boils here. ")
                                + v.label(project, u) + ", "
                                + v.look().label(system, u) + "." + unsaid(v),
                        project.brief().cite(Subject.VAPOR_LOCK)
                                + "; required margin is our choice, no rule. Boiling pressure: API"
                                + " 2517 as in AP-42 (from memory),"
                                + " 0 to 10 % on the safe side of an equation of state from 20 to 60 \u00b0C",
                        v.verdict() == Verdict.HOLDS
                                ? ""
                                : !v.heatSaid()
                                        ? HOT
                                        : !v.fuelSaid()
                                                ? CHOOSE
                                                : "Lower the pump, enlarge or sleeve the suction line, or use"
                                                        + " less volatile fuel. Vapor ranks what helps.")
                .with(Measure.atLeast(v.degrees(), v.needed(), Dimension.TEMPERATURE))
                .because(() -> WhyVapor.gap(project, v)));
    }

    private void trapped() {
        List<Trapped> all = Trapped.of(system);
        for (Trapped t : all) {
            boolean gives = t.runs().stream().anyMatch(id -> system.item(id)
                    .flatMap(i -> i.only(Run.class))
                    .filter(r -> r.size().kind() == ration.aircraft.model.LineSize.Kind.HOSE)
                    .isPresent());
            String where = String.join(
                    ", ",
                    t.runs().stream()
                            .map(id -> system.item(id).map(Item::name).orElse(id))
                            .toList());
            findings.add(new Finding(
                            Check.VAPOR_TRAPPED,
                            t.runs().get(0),
                            "No thermal relief, " + where,
                            t.runs().get(0),
                            gives ? Verdict.THIN : Verdict.FAILS,
                            gives ? ADVICE : Finding.MISSED,
                            u -> UnitSystem.figure(t.volume() * 1e6, 0)
                                    + " mL can be locked between closed valves with no relief. Rigid line: about "
                                    + UnitSystem.figure(
                                            u.unit(Dimension.PRESSURE)
                                                    .fromSi(Trapped.perDegree()
                                                            * u.thermometer().differenceToSi(1)),
                                            0)
                                    + " " + u.unit(Dimension.PRESSURE).symbol() + " more for each "
                                    + u.thermometer().symbol() + " it warms"
                                    + (gives ? ". Hose in it takes up some of that." : "."),
                            "Bulk modulus 1.3 GPa (Munson) and expansion 0.00128/\u00b0C (API 54B)," + " from memory",
                            "Add a 0.010 in bleed to the tank, or a thermal relief valve.")
                    .because(WhyVapor::trapped));
        }
        if (all.isEmpty()) {
            findings.add(new Finding(
                    Check.VAPOR_TRAPPED,
                    "",
                    "Thermal relief",
                    "",
                    Verdict.HOLDS,
                    Finding.MET,
                    u -> "No line can be locked in: every volume is relieved to a tank, header or float valve.",
                    Checks.PRACTICE,
                    ""));
        }
    }

    /** Drains and fine filters whose pressure is below ambient in some case. */
    private void suction() {
        for (Item item : system.items()) {
            boolean drain = item.only(Strainer.class)
                    .filter(s -> s.drain() && !s.capped())
                    .isPresent();
            if (!drain && item.only(Filter.class).isEmpty()) {
                continue;
            }
            double least = cases.stream()
                    .flatMap(c -> c.demand().pressure(new PortRef(item.id(), Item.OUT)).stream()
                            .boxed())
                    .mapToDouble(d -> d)
                    .min()
                    .orElse(0);
            if (least < SUCTION && pumpBehind(item.id())) {
                findings.add(new Finding(
                        drain ? Check.VAPOR_SUCTION_DRAIN : Check.VAPOR_SUCTION_FILTER,
                        "",
                        (drain ? "Drain on suction, " : "Filter on suction, ") + item.name(),
                        item.id(),
                        Verdict.THIN,
                        ADVICE,
                        u -> u.text(least, Dimension.PRESSURE) + " at takeoff demand, below ambient: "
                                + (drain
                                        ? "a worn drain seal draws air before it leaks fuel."
                                        : "as it loads up, suction drops."),
                        Checks.PRACTICE,
                        drain
                                ? "Fit a capped port instead of a spring drain, or move the pump closer to the tank."
                                : "Coarse strainer here, fine filter downstream of the pump."));
            }
        }
    }

    private boolean pumpBehind(String id) {
        return topology.downstream(id).stream()
                .map(system::item)
                .flatMap(Optional::stream)
                .anyMatch(i -> i.only(Pump.class).isPresent());
    }

    /** Pumps that stand above the fuel they lift. */
    private void lift() {
        for (Pump pump : topology.feedPumps()) {
            double most = cases.stream()
                    .filter(c -> !c.condition().stopped().contains(pump.id())
                            && !c.demand().path().isEmpty()
                            && c.demand().path().stream().anyMatch(s -> s.item().equals(pump.id())))
                    .mapToDouble(c -> c.demand().height(pump.place().point())
                            - c.demand().path().get(0).headIn())
                    .max()
                    .orElse(0);
            if (most > Unit.INCH.toSi(1)) {
                findings.add(new Finding(
                        Check.VAPOR_LIFT,
                        pump.id(),
                        "Suction lift of " + pump.name(),
                        pump.id(),
                        Verdict.THIN,
                        ADVICE,
                        u -> u.text(most, Dimension.LENGTH) + " above the lowest fuel level: suction lift.",
                        Checks.PRACTICE,
                        "Mount it below the tank: flooded inlet, more vapor margin."));
            }
        }
    }

    private void returns() {
        for (Tank tank : system.tanks()) {
            for (Tank.Entry entry : tank.returns()) {
                for (Outlet outlet : tank.outlets()) {
                    Point3 a = entry.place().point();
                    double apart = a.distance(outlet.place().point());
                    boolean carries =
                            system.runAt(new PortRef(tank.id(), entry.name())).isPresent();
                    if (apart < NEAR && carries) {
                        findings.add(new Finding(
                                Check.VAPOR_RETURN_NEAR,
                                tank.id() + "." + entry.name(),
                                "Return beside the pickup, " + tank.name(),
                                tank.id(),
                                Verdict.THIN,
                                ADVICE,
                                u -> "The " + entry.name() + " enters " + u.text(apart, Dimension.LENGTH) + " from "
                                        + outlet.name() + ": it feeds hot, frothy fuel.",
                                Checks.PRACTICE,
                                "Move the return to the far end of the tank."));
                    }
                }
            }
        }
    }

    /** Fuel that comes back warm: the tank an hour later, and the gap then. */
    private void warming(VaporAnswer v) {
        CaseAnswer c = v.look();
        double density = c.demand().fluid().density();
        c.heatPath(project.heat())
                .mixed(v.air())
                .forEach(m -> findings.add(new Finding(
                        Check.VAPOR_WARMING,
                        m.header().id(),
                        "Return warms " + m.header().name(),
                        m.header().id(),
                        v.verdict(),
                        v.ratio(),
                        u -> u.text(m.back(), Dimension.FLOW) + " come back " + u.difference(m.pass())
                                + " warmer to " + m.header().name() + ", where "
                                + u.text(m.feed(), Dimension.FLOW) + " come in fresh: it stands "
                                + u.difference(Math.max(0, m.steady())) + " over its feed at takeoff, "
                                + u.difference(m.taxied())
                                + " after ten minutes' taxi. That is counted: "
                                + u.difference(v.degrees()) + " is left.",
                        Checks.PRACTICE + "; energy balance of a mixed vessel",
                        v.verdict() == Verdict.HOLDS
                                ? ""
                                : "Return to the tank, return less, or cool the line that comes back.")));
        for (Tank tank : system.tanks()) {
            double back = 0;
            for (Tank.Entry e : tank.returns()) {
                back += system.runAt(new PortRef(tank.id(), e.name()))
                        .map(r -> Math.abs(c.demand().flow(r.id())))
                        .orElse(0.0);
            }
            double mass = density * c.condition().contents().getOrDefault(tank.id(), 0.0);
            if (back < 1e-8 || mass < 1) {
                continue;
            }
            var gaps = VaporAnswer.path(project, c, v.air()).gaps();
            double rise = gaps.get(gaps.size() - 1).kelvin() - v.air().fuelKelvin();
            double hour = Math.min(3600, 0.8 * mass / Math.max(1e-9, density * c.need()));
            // the walls the fuel wets half way through: those over it hardly take any heat out
            double walls =
                    Cooling.of(tank, c.condition().attitude().gravity().up(), mass / density - c.need() * hour / 2);
            double warm = new Warming.Tank(
                            mass,
                            density * c.need(),
                            density * back,
                            rise,
                            walls,
                            project.heat().outside(v.air().altitudeM()))
                    .after(hour, v.air().fuelKelvin());
            VaporAnswer then = VaporAnswer.at(
                            project,
                            c,
                            new Air(v.air().altitudeM(), Math.max(warm, v.air().fuelKelvin())))
                    .orElse(v);
            double returned = back;
            findings.add(new Finding(
                    Check.VAPOR_WARMING,
                    tank.id(),
                    "Return warms " + tank.name(),
                    tank.id(),
                    then.verdict(),
                    then.ratio(),
                    u -> u.text(returned, Dimension.FLOW) + " come back " + u.difference(rise)
                            + " warmer; after " + UnitSystem.figure(hour / 60, 0) + " minutes the tank has "
                            + (warm >= v.air().fuelKelvin() ? "gained " : "lost ")
                            + u.difference(Math.abs(warm - v.air().fuelKelvin())) + ", and "
                            + "vapor margin " + u.difference(then.degrees()) + ".",
                    Checks.PRACTICE + "; energy balance of the tank",
                    then.verdict() == Verdict.HOLDS ? "" : "Reduce return flow, or cool the return line."));
        }
    }

    /** What stands in the engine bay after shutdown on the hot day boils for a time: a restart is at risk then. */
    private void restart(VaporAnswer v) {
        List<SoakPath> parts = SoakPath.of(
                system,
                VaporAnswer.path(project, v.look(), new Air(0, v.air().fuelKelvin())),
                project.heat(),
                v.look().condition().engine().power(),
                0);
        if (!v.heatSaid() || parts.isEmpty()) {
            return;
        }
        SoakPath.Window risk = SoakPath.risk(parts);
        boolean all = risk != null && risk.to() >= SoakPath.LENGTH - 1;
        // a pilot waits it out or starts it hot by the book: thin, never good
        Verdict found = risk == null ? Verdict.HOLDS : Verdict.THIN;
        Verdict verdict = v.fuelSaid() ? found : found.worse(Verdict.NOT_SHOWN);
        findings.add(new Finding(
                Check.VAPOR_RESTART,
                "",
                "Restart after shutdown",
                parts.get(0).item(),
                verdict,
                risk == null ? Finding.MET : ADVICE,
                u -> risk == null
                        ? "On the hot day nothing in the engine bay boils in the "
                                + UnitSystem.figure(SoakPath.LENGTH / 60, 0) + " min after shutdown."
                        : "On the hot day fuel in the engine bay boils from "
                                + UnitSystem.figure(risk.from() / 60, 0) + " to " + (all ? "more than " : "")
                                + UnitSystem.figure(risk.to() / 60, 0) + " min after shutdown, "
                                + parts.get(0).name()
                                + " first: a restart is at risk then." + unsaid(v),
                Checks.PRACTICE
                        + "; soak by energy balance, temperatures of the bay are usual ones until a log"
                        + " is laid over them",
                risk == null
                        ? ""
                        : "Wait it out, add a bleed back to the tank, or cool the bay after shutdown;"
                                + " verify by the hot restart test."));
    }
}
