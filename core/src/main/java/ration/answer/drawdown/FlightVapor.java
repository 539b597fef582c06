package ration.answer.drawdown;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import ration.aircraft.condition.Condition;
import ration.aircraft.condition.Fault;
import ration.aircraft.heat.Heat;
import ration.aircraft.heat.HeatFigure;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.PortRef;
import ration.answer.assess.Assessment;
import ration.base.quantity.UnitSystem;
import ration.physics.flow.FlowAnswer;
import ration.physics.flow.FlowQuestion;
import ration.physics.vapor.Air;
import ration.physics.vapor.PathHeat;
import ration.record.project.Project;
import ration.record.project.Unsaid;
import ration.verdict.check.Verdict;

/**
 * How far from boiling a flight is on its way: the fuel begins as warm as the tank on the hot day and takes up the air
 * outside; what the air is follows the phases.
 *
 * @param points to the landing, in order of time, where fuel flows
 * @param crossing minutes at which it begins to boil; empty where it never does
 * @param wanted degrees that are wanted, K
 * @param fuelSaid whether it is said which fuel is bought
 * @param demandSaid whether it is said what the engine takes
 */
public record FlightVapor(
        List<Point> points, Optional<Double> crossing, double wanted, boolean fuelSaid, boolean demandSaid) {

    /**
     * In this time the fuel of a wing tank comes two thirds of the way to the air outside, minutes; common practice, no
     * source.
     */
    public static final double LAG = 45;
    /** Moments asked lie no further apart, minutes. */
    private static final double STEP = 5;

    private static final double THIN = 1;

    /**
     * A moment.
     *
     * @param minutes after the start
     * @param kelvin of the fuel in the tanks
     * @param degrees left before it boils, K
     * @param item where that is least
     * @param warms by which what comes back warms the tank it goes to, K a minute
     */
    public record Point(double minutes, double kelvin, double degrees, String item, double warms) {}

    public FlightVapor {
        points = List.copyOf(points);
    }

    /** Of a flight that was flown. */
    public static FlightVapor of(Assessment a, Flight f) {
        Project p = a.project();
        Timetable times = new Timetable(f.plan());
        Heat heat = p.heat();
        List<Point> all = new ArrayList<>();
        double kelvin = heat.si(HeatFigure.TANK_FUEL);
        double warmed = 0;
        double at = 0;
        Flight.Sample asked = null;
        Optional<Double> crossing = Optional.empty();
        for (Flight.Sample s : f.samples()) {
            if (s.minutes() > f.landing().minutes() + 1e-9) {
                break;
            }
            double outside = times.outside((at + s.minutes()) / 2, heat);
            kelvin = outside + (kelvin - outside) * Math.exp(-(s.minutes() - at) / LAG) + warmed * (s.minutes() - at);
            at = s.minutes();
            boolean changed = asked == null
                    || s.phase() != asked.phase()
                    || !s.condition().handles().equals(asked.condition().handles());
            if (!changed && s.minutes() - asked.minutes() < STEP) {
                continue;
            }
            Optional<Point> here = at(a, f, s, kelvin, times);
            warmed = here.map(Point::warms).orElse(0.0);
            if (here.isPresent() && here.get().degrees() < 0 && crossing.isEmpty()) {
                crossing = Optional.of(all.isEmpty() ? s.minutes() : root(all.get(all.size() - 1), here.get()));
            }
            here.ifPresent(all::add);
            asked = s;
        }
        return new FlightVapor(
                all,
                crossing,
                heat.si(HeatFigure.NEEDED),
                heat.volatility() != ration.base.fluid.Volatility.MOGAS_UNSAID,
                Unsaid.of(p).demandSaid());
    }

    /** Between two moments that lie on either side of boiling. */
    private static double root(Point before, Point after) {
        double share = before.degrees() / Math.max(1e-9, before.degrees() - after.degrees());
        return before.minutes() + Math.max(0, Math.min(1, share)) * (after.minutes() - before.minutes());
    }

    private static Optional<Point> at(Assessment a, Flight f, Flight.Sample s, double kelvin, Timetable times) {
        Project p = a.project();
        double need = p.brief().demand() * f.phase(s).share().si();
        Condition c = s.condition().withFuelKelvin(kelvin);
        FlowAnswer answer = a.basis().orElseThrow().ask(c, new FlowQuestion.Demand(need));
        if (need <= 0 || !answer.usable() || !answer.airDrawn().isEmpty()) {
            return Optional.empty();
        }
        double high = c.air().day().altitudeM();
        double rise = c.faults().all().stream()
                .filter(x -> x.kind() == Fault.Kind.FUEL_VOLATILE)
                .mapToDouble(Fault::severity)
                .sum();
        Heat heat = (rise > 0 ? p.heat().risen(rise) : p.heat()).onDay(times.outside(s.minutes(), p.heat()), high);
        PathHeat path = PathHeat.of(
                p.system(), answer, heat, new Air(high, kelvin), c.engine().power());
        double warms = path.gaps().isEmpty()
                ? 0
                : returned(
                        p.system(),
                        answer,
                        s,
                        path.gaps().get(path.gaps().size() - 1).kelvin() - kelvin);
        return path.least(heat.vapor())
                .map(g -> new Point(s.minutes(), kelvin, g.degrees(heat.vapor()), g.item(), warms));
    }

    /** Energy that comes back over what a tank holds, the most of all tanks: {@code r dT / V}, K a minute. */
    private static double returned(FuelSystem system, FlowAnswer answer, Flight.Sample s, double rise) {
        return system.tanks().stream()
                .mapToDouble(t -> {
                    double back = t.returns().stream()
                            .flatMap(e -> system.runAt(new PortRef(t.id(), e.name())).stream())
                            .mapToDouble(r -> Math.abs(answer.flow(r.id())))
                            .sum();
                    return back * Math.max(0, rise) * 60 / Math.max(LEAST_FUEL, s.tank(t.id()));
                })
                .max()
                .orElse(0);
    }

    /** Less than this is not warmed by itself, m3: a quart. */
    private static final double LEAST_FUEL = 1e-3;

    public Optional<Point> least() {
        return points.stream().min(Comparator.comparingDouble(Point::degrees));
    }

    public Verdict verdict() {
        if (least().isEmpty() || !fuelSaid) {
            return Verdict.NOT_SHOWN;
        }
        double d = least().get().degrees();
        return (d < wanted ? Verdict.FAILS : d < wanted + THIN ? Verdict.THIN : Verdict.HOLDS).shownIf(demandSaid);
    }

    /** The least, with its place and time: +8.2 C, Engine pump, 0:26. */
    public String words(Project p, UnitSystem units) {
        return least().map(l -> units.difference(l.degrees()) + ", "
                        + p.system().item(l.item()).map(i -> i.name()).orElse(l.item()) + ", "
                        + FlightTable.clock(l.minutes()))
                .orElse("Not shown");
    }
}
