package ration.assess;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import ration.check.Check;
import ration.check.Finding;
import ration.check.Measure;
import ration.check.Verdict;
import ration.geometry.Point3;
import ration.heat.Warming;
import ration.model.Filter;
import ration.model.FuelSystem;
import ration.model.Item;
import ration.model.Outlet;
import ration.model.PortRef;
import ration.model.Pump;
import ration.model.Run;
import ration.model.Strainer;
import ration.model.Tank;
import ration.project.Project;
import ration.quantity.Dimension;
import ration.quantity.Unit;
import ration.quantity.UnitSystem;
import ration.topology.Topology;
import ration.vapor.Air;
import ration.vapor.SoakPath;
import ration.vapor.Trapped;

/** Boiling, trapped volumes, and what practice says of suction, judged by what is computed. */
final class VaporChecks {

    private static final String PRACTICE = "Common practice, no source";
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
            Project project, List<CaseAnswer> cases, Optional<VaporAnswer> vapor, Optional<VaporAnswer> hot) {
        VaporChecks checks = new VaporChecks(project, cases);
        Optional<CaseAnswer> boiling = VaporAnswer.boiling(cases);
        if (boiling.isPresent()) {
            checks.boils(Check.VAPOR_GAP, "", "Fuel stays liquid", boiling.get());
            checks.boils(Check.VAPOR_HOT_FUEL, "", "Hot fuel case", boiling.get());
        } else {
            vapor.ifPresentOrElse(
                    checks::gap,
                    () -> checks.findings.add(Checks.notShown(
                            Check.VAPOR_GAP,
                            "",
                            "Fuel stays liquid",
                            "No case brings fuel to the engine with an answer, so nothing is known of boiling.")));
            hot.ifPresentOrElse(
                    checks::hotFuel,
                    () -> checks.findings.add(Checks.notShown(
                            Check.VAPOR_HOT_FUEL,
                            "",
                            "Hot fuel case",
                            "No case brings fuel to the engine with an answer, so nothing is known of boiling.")));
        }
        checks.trapped();
        checks.suction();
        checks.lift();
        checks.returns();
        vapor.ifPresent(checks::warming);
        vapor.ifPresent(checks::restart);
        checks.inTank();
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
                u -> c.label(system, u) + ", no warmer than "
                        + u.temperature(c.condition().fuelKelvin(), 0) + ": "
                        + (c.demand().undelivered() ? c.demand() : c.capacity()).reason(),
                "14 CFR 23.961 asks for freedom from vapor lock (from memory); boiling"
                        + " pressure: API 2517 as in AP-42 (from memory)",
                "Lower the part named, or bring less suction to it."));
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
                                + VaporAnswer.signed(v.degrees()) + " before it boils against "
                                + VaporAnswer.signed(v.needed()) + ". "
                                + v.label(project) + ", " + v.look().label(system, u) + "." + unsaid(v),
                        "14 CFR 23.961 and AC 23-8, hot fuel at 110"
                                + " \u00b0F (from memory), as a guide; the degrees wanted are a practice choice",
                        v.verdict() == Verdict.HOLDS
                                ? ""
                                : !v.heatSaid()
                                        ? HOT
                                        : v.fuelSaid()
                                                ? "Lower the pump, a larger or sleeved suction line, a less"
                                                        + " volatile fuel: the Vapor page ranks what"
                                                        + " helps."
                                                : CHOOSE)
                .because(() -> WhyVapor.gap(project, v)));
    }

    private static final String CHOOSE = "Choose class, season and ethanol on the Vapor page, as you buy it.";

    private static final String HOT =
            "Add the firewall (a button on the Vapor page, or the engine's card), or say on its card which part"
                    + " lies in the engine bay.";

    private static String unsaid(VaporAnswer v) {
        return (v.fuelSaid()
                        ? ""
                        : " Which motor gasoline is bought is not said: taken is the most volatile of any season, with"
                                + " ethanol.")
                + (v.heatSaid()
                        ? ""
                        : " Nothing is said to be hot: no firewall, no zone of a part, so no heat is counted"
                                + " and that is not shown.");
    }

    private void gap(VaporAnswer v) {
        findings.add(new Finding(
                        Check.VAPOR_GAP,
                        "",
                        "Fuel stays liquid",
                        v.gap().item(),
                        v.verdict(),
                        v.ratio(),
                        u -> VaporAnswer.signed(v.degrees()) + " before it boils against "
                                + VaporAnswer.signed(v.needed()) + ": "
                                + u.text(v.gap().pressure(), Dimension.PRESSURE) + " abs at "
                                + u.temperature(v.gap().kelvin(), 1) + ", boils at "
                                + u.text(v.gap().boils(), Dimension.PRESSURE) + "; "
                                + (v.gap().climb(v.air().altitudeM()) > 0
                                        ? UnitSystem.figure(
                                                        Unit.FOOT.fromSi(v.gap()
                                                                .climb(v.air().altitudeM())),
                                                        0) + " ft of climb left. "
                                        : "it boils here. ")
                                + v.label(project) + ", "
                                + v.look().label(system, u) + "." + unsaid(v),
                        "14 CFR 23.961 asks for freedom from vapor lock and gives no number (from"
                                + " memory); the degrees wanted are a practice choice. Boiling pressure: API"
                                + " 2517 as in AP-42 (from memory),"
                                + " 0 to 10 % on the safe side of an equation of state from 20 to 60 \u00b0C",
                        v.verdict() == Verdict.HOLDS
                                ? ""
                                : !v.heatSaid()
                                        ? HOT
                                        : !v.fuelSaid()
                                                ? CHOOSE
                                                : "Lower the pump, a"
                                                        + " larger or sleeved suction line, a less volatile"
                                                        + " fuel: the Vapor page ranks what helps.")
                .with(Measure.atLeast(v.degrees(), v.needed(), Dimension.TEMPERATURE))
                .because(() -> WhyVapor.gap(project, v)));
    }

    private void trapped() {
        List<Trapped> all = Trapped.of(system);
        for (Trapped t : all) {
            boolean gives = t.runs().stream().anyMatch(id -> system.item(id)
                    .flatMap(i -> i.only(Run.class))
                    .filter(r -> r.size().kind() == ration.model.LineSize.Kind.HOSE)
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
                            u -> UnitSystem.figure(t.volume() * 1e6, 0) + " mL can be shut in with nothing"
                                    + " to relieve it: in rigid line about "
                                    + UnitSystem.figure(
                                            u.unit(Dimension.PRESSURE).fromSi(Trapped.perDegree()), 0)
                                    + " " + u.unit(Dimension.PRESSURE).symbol() + " more for each \u00b0C"
                                    + " it warms" + (gives ? "; the hose in it gives way and softens that." : "."),
                            "Bulk modulus 1.3 GPa (Munson) and expansion 0.00128/\u00b0C (API 54B)," + " from memory",
                            "A tiny bleed, 0.010 in, back to the tank, or a valve that relieves.")
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
                    u -> "No volume can be shut"
                            + " in without a way out: tanks, headers and a float valve relieve the rest.",
                    PRACTICE,
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
                        u -> u.text(least, Dimension.PRESSURE) + " there at take-off demand, under the air outside: "
                                + (drain
                                        ? "a worn seal lets air" + " in before it lets fuel out."
                                        : "what it holds back costs suction."),
                        PRACTICE,
                        drain
                                ? "A capped service" + " port in place of a sprung drain, or the pump nearer the tank."
                                : "A coarse strainer here, the fine filter" + " behind the pump."));
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
                        u -> "It stands " + u.text(most, Dimension.LENGTH)
                                + " above the fuel it draws, where that is lowest:" + " its line is under suction.",
                        PRACTICE,
                        "Below the tank it would be flooded, and further from boiling."));
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
                                u -> "The " + entry.name() + " pours in " + u.text(apart, Dimension.LENGTH) + " from "
                                        + outlet.name() + ": it feeds hot, frothy fuel.",
                                PRACTICE,
                                "Lead it to the far wall."));
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
                        u -> u.text(m.back(), Dimension.FLOW) + " come back " + UnitSystem.figure(m.pass(), 1)
                                + " \u00b0C warmer to " + m.header().name() + ", where "
                                + u.text(m.feed(), Dimension.FLOW) + " come in fresh: it stands "
                                + UnitSystem.figure(Math.max(0, m.steady()), 1) + " \u00b0C over its feed at take-off, "
                                + UnitSystem.figure(m.taxied(), 1)
                                + " \u00b0C after ten minutes' taxi. That is counted: "
                                + VaporAnswer.signed(v.degrees()) + " are left before it boils.",
                        PRACTICE + "; energy balance of a mixed vessel",
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
                    u -> u.text(returned, Dimension.FLOW) + " come back " + UnitSystem.figure(rise, 1) + " \u00b0C"
                            + " warmer; after " + UnitSystem.figure(hour / 60, 0) + " minutes the tank has "
                            + (warm >= v.air().fuelKelvin() ? "gained " : "lost ")
                            + UnitSystem.figure(Math.abs(warm - v.air().fuelKelvin()), 1) + " \u00b0C, and "
                            + VaporAnswer.signed(then.degrees()) + " are left before it boils.",
                    PRACTICE + "; energy balance of the tank",
                    then.verdict() == Verdict.HOLDS ? "" : "Return less, or cool the line that comes back."));
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
                PRACTICE
                        + "; soak by energy balance, temperatures of the bay are usual ones until a log"
                        + " is laid over them",
                risk == null
                        ? ""
                        : "Wait it out, a bleed back to the tank, or air through the bay after"
                                + " shutdown; show it by the hot restart test."));
    }

    /** Pumps that stand in a tank are cooled by the fuel around them. */
    private void inTank() {
        for (Pump pump : system.all(Pump.class).toList()) {
            Point3 p = pump.place().point();
            system.tanks().stream()
                    .filter(t -> t.solid().floorAt(p.x(), p.y()).stream().anyMatch(z -> p.z() >= z)
                            && p.z() <= t.solid().highest(new Point3(0, 0, 1)))
                    .findFirst()
                    .ifPresent(t -> findings.add(new Finding(
                            Check.VAPOR_IN_TANK,
                            pump.id(),
                            "Pump in " + t.name(),
                            pump.id(),
                            Verdict.THIN,
                            ADVICE,
                            u -> pump.name()
                                    + " is cooled by the fuel around it: "
                                    + u.text(t.solid().volume() / 4, Dimension.VOLUME)
                                    + " is a quarter tank.",
                            PRACTICE,
                            "Keep a quarter tank, and say so on the placard.")));
        }
    }
}
