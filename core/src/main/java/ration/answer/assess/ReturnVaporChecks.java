package ration.answer.assess;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import ration.aircraft.heat.Heat;
import ration.aircraft.heat.HeatFigure;
import ration.aircraft.heat.Warming;
import ration.aircraft.heat.Zone;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.PortRef;
import ration.aircraft.model.Run;
import ration.aircraft.model.Tank;
import ration.aircraft.topology.Topology;
import ration.base.geometry.Point3;
import ration.base.quantity.Dimension;
import ration.physics.breathing.AirLine;
import ration.physics.breathing.Vents;
import ration.physics.flow.FlowAnswer;
import ration.physics.vapor.Air;
import ration.physics.vapor.HeatPath;
import ration.physics.vapor.PathHeat;
import ration.physics.vapor.ReturnVapor;
import ration.record.project.Project;
import ration.verdict.check.Check;
import ration.verdict.check.Finding;
import ration.verdict.check.Verdict;

/**
 * Fuel that comes back to a tank warmer than it boils there gives off vapor, and the vent has to let it out beside the
 * air that the fuel drives out: over every judged case, hot fuel in the tank, at sea level and at the ceiling.
 */
final class ReturnVaporChecks {

    private static final double ADVICE = 1.02;

    private final Project project;
    private final FuelSystem system;
    private final Topology topology;
    private final Heat heat;
    private final List<CaseAnswer> cases;
    private final List<Back> back;

    /** A line that leads back, the air round it, and the heat it takes, W/K. */
    private record Back(Run run, Zone zone, double conduct) {}

    private ReturnVaporChecks(Project project, List<CaseAnswer> cases) {
        this.project = project;
        system = project.system();
        topology = Topology.of(system);
        heat = project.heat();
        back = system.runs().stream()
                .filter(topology::returns)
                .flatMap(r -> back(r).stream())
                .toList();
        this.cases = cases.stream()
                .filter(c -> c.judged() && c.demand().usable() && !c.cold())
                .toList();
    }

    static List<Finding> of(Project project, List<CaseAnswer> cases, List<AirAnswer> air) {
        if (air.stream().allMatch(a -> a.tank().returns().isEmpty())) {
            return List.of();
        }
        ReturnVaporChecks checks = new ReturnVaporChecks(project, cases);
        List<Finding> all = new ArrayList<>();
        air.forEach(a -> checks.worst(a.tank()).ifPresent(w -> all.add(checks.finding(a, w))));
        return all;
    }

    /**
     * Fuel that comes back in a case.
     *
     * @param back m3/s
     * @param kelvin of it as it comes in
     * @param boils at what temperature in the tank, K
     * @param pascal in the tank, absolute
     * @param vapor given off, m3/s
     */
    record Met(CaseAnswer look, Air day, double back, double kelvin, double boils, double pascal, double vapor) {

        double over() {
            return kelvin - boils;
        }

        double density() {
            return look.demand().fluid().density();
        }

        boolean worse(Met other) {
            return vapor != other.vapor ? vapor > other.vapor : over() > other.over();
        }
    }

    private Optional<Met> worst(Tank tank) {
        double hot = heat.si(HeatFigure.HOT_FUEL);
        List<Air> days = List.of(new Air(0, hot), new Air(heat.si(HeatFigure.CEILING), hot));
        Met worst = null;
        for (CaseAnswer c : cases) {
            double back = back(tank, c);
            if (back <= FlowAnswer.NO_FLOW) {
                continue;
            }
            HeatPath path = c.heatPath(heat);
            if (path.stands()) {
                continue;
            }
            for (Air day : days) {
                if (day.altitudeM() > 0 && !c.steady()) {
                    continue;
                }
                Met met = met(c, path, day, back);
                worst = worst == null || met.worse(worst) ? met : worst;
            }
        }
        return Optional.ofNullable(worst);
    }

    private double back(Tank tank, CaseAnswer c) {
        return tank.returns().stream()
                .mapToDouble(e -> system.runAt(new PortRef(tank.id(), e.name()))
                        .map(r -> Math.abs(c.demand().flow(r.id())))
                        .orElse(0.0))
                .sum();
    }

    private Met met(CaseAnswer c, HeatPath path, Air day, double back) {
        double kelvin = warmedOnTheWay(c, day, path.arrives(day));
        double pascal = Heat.ambient(day.altitudeM());
        double boils = heat.vapor().boilingKelvin(pascal);
        double vapor =
                ReturnVapor.flow(back, c.demand().fluid().density(), kelvin - boils, Math.max(kelvin, boils), pascal);
        return new Met(c, day, back, kelvin, boils, pascal, vapor);
    }

    private Optional<Back> back(Run run) {
        Optional<Point3> from = system.point(run.from());
        Optional<Point3> to = system.point(run.to());
        return from.isEmpty() || to.isEmpty()
                ? Optional.empty()
                : Optional.of(new Back(
                        run,
                        PathHeat.zone(system, heat, run.id(), from.get().toward(to.get(), 0.5)),
                        Math.PI * run.size().bore() * heat.through(run) * run.lengthM(from.get(), to.get())));
    }

    /** What the lines back add; what cools it there is left out, on the safe side. */
    private double warmedOnTheWay(CaseAnswer c, Air day, double kelvin) {
        double warm = kelvin;
        for (Back b : back) {
            double mass = c.demand().fluid().density()
                    * Math.abs(c.demand().flow(b.run().id()));
            if (mass >= 1e-9) {
                double air = heat.air(b.zone(), c.condition().engine().power(), day.altitudeM());
                warm += Math.max(0, air - warm) * (1 - Warming.keeps(b.conduct(), mass));
            }
        }
        return warm;
    }

    /** Over the vents of a tank, Pa: vapor is heavier than the air that they are reckoned with. */
    static double drop(AirAnswer air, Met m) {
        double heavier = Math.max(1, ReturnVapor.density(m.kelvin(), m.pascal()) / AirLine.DENSITY);
        return heavier * air.drop(m.vapor() + m.back());
    }

    private Finding finding(AirAnswer a, Met m) {
        Tank tank = a.tank();
        boolean boils = m.over() > 0;
        double drop = drop(a, m);
        boolean unknown = boils && (a.line().isEmpty() || a.shut());
        double ratio = Vents.MOST_DROP / Math.max(drop, 1e-6);
        Verdict found = !boils ? Verdict.HOLDS : unknown ? Verdict.NOT_SHOWN : ratio < 1 ? Verdict.FAILS : Verdict.THIN;
        boolean fuelSaid = heat.volatility() != ration.base.fluid.Volatility.MOGAS_UNSAID;
        Verdict verdict =
                fuelSaid && VaporAnswer.heatSaid(m.look(), heat) || found == Verdict.FAILS ? found : Verdict.NOT_SHOWN;
        Finding finding = Checks.finding(
                Check.AIR_RETURN_VAPOR,
                tank.id(),
                "Vapor from the return to " + tank.name(),
                tank.id(),
                verdict,
                verdict == Verdict.NOT_SHOWN
                        ? Finding.MISSED
                        : !boils ? Finding.MET : found == Verdict.THIN ? Math.max(ADVICE, ratio) : ratio,
                u -> u.text(m.back(), Dimension.FLOW) + " come back at "
                        + u.temperature(m.kelvin(), 0) + "; boils in the tank at "
                        + u.temperature(m.boils(), 0) + ". "
                        + (!boils
                                ? "No vapor. "
                                : "Up to " + u.text(m.vapor(), Dimension.FLOW) + " of vapor"
                                        + (unknown
                                                ? "; pressure unknown: the vent is not entered. "
                                                : "; tank pressure " + u.small(drop) + ", maximum "
                                                        + u.small(Vents.MOST_DROP) + ". "))
                        + m.look().label(system, u) + ", "
                        + (m.day().altitudeM() > 0 ? "maximum altitude" : "sea level") + ", hot fuel."
                        + (fuelSaid ? "" : " Mogas class not set: assumed most volatile, with ethanol.")
                        + (VaporAnswer.heatSaid(m.look(), heat) ? "" : " No heat source entered."),
                Checks.PRACTICE + "; all heat over boiling goes into vapor: an upper bound",
                !fuelSaid
                        ? "Set mogas class and ethanol on Vapor."
                        : "Return less, cool the line that comes back, or use a larger vent.");
        return boils ? finding.because(() -> WhyVapor.returned(m)) : finding;
    }
}
