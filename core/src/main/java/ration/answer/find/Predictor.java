package ration.answer.find;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Supplier;
import ration.aircraft.condition.Condition;
import ration.aircraft.condition.Fault;
import ration.aircraft.heat.Heat;
import ration.aircraft.heat.HeatFigure;
import ration.aircraft.model.EngineInlet;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Item;
import ration.aircraft.model.PortRef;
import ration.aircraft.model.Pump;
import ration.aircraft.model.Run;
import ration.aircraft.model.Tank;
import ration.answer.assess.Assessment;
import ration.answer.drawdown.Course;
import ration.answer.drawdown.Holding;
import ration.answer.drawdown.Lasting;
import ration.base.quantity.Measured;
import ration.base.quantity.Unit;
import ration.physics.flow.FlowAnswer;
import ration.physics.flow.FlowBasis;
import ration.physics.flow.FlowQuestion;
import ration.physics.vapor.Air;
import ration.physics.vapor.Gap;
import ration.physics.vapor.PathHeat;
import ration.record.reading.Reading;
import ration.record.reading.Setting;
import ration.record.reading.Setting.Manoeuvre;

/**
 * What a reading would be if something had failed. One network answer serves all readings of a setting. May be asked
 * from several threads; two that ask the same at once find the same.
 */
final class Predictor {

    /** A time that is never short reads as this, minutes: longer than anybody waits. */
    static final double NEVER = 60;
    /** What an engine takes that stands, m3/s: hardly anything, so that pressures behind shut ways are told. */
    private static final double STANDS = 1e-8;

    private static final Measured NO_PRESSURE = Measured.of(0, Unit.PSI);
    /** Pressure a gauge shows where nothing holds the fuel, Pa. */
    private static final double LEAST = -50_000;

    private final FlowBasis basis;
    /** The same, its inlet content with any pressure: an engine draws on when its gauge has long fallen. */
    private final FlowBasis content;

    private final FuelSystem system;
    private final double demand;
    private final Map<Object, FlowAnswer> answers = new ConcurrentHashMap<>();
    private final Map<Object, Double> minutes = new ConcurrentHashMap<>();
    private final Map<Object, Holding> levels = new ConcurrentHashMap<>();

    private final Heat heat;
    private final Signs signs;

    Predictor(Assessment a) {
        heat = a.project().heat();
        signs = new Signs(this, a.project());
        basis = a.basis().orElseThrow();
        system = a.project().system();
        FuelSystem undemanding = system.inlet()
                .map(i -> system.change(
                        i.id(), EngineInlet.class, e -> e.withPressures(NO_PRESSURE, e.maximumPressure())))
                .orElse(system);
        content = basis.with(undemanding);
        demand = a.project().brief().demand();
    }

    private record Key(Condition condition, boolean stopped, boolean open) {}

    /** Worked out without holding up those who ask for something else. */
    private static <T> T known(Map<Object, T> of, Object key, Supplier<T> make) {
        T there = of.get(key);
        if (there != null) {
            return there;
        }
        T made = make.get();
        T first = of.putIfAbsent(key, made);
        return first == null ? made : first;
    }

    /** SI; minutes for a time; for a sign how likely it shows, 0 to 1. */
    double of(Set<Fault> faults, Reading r) {
        Condition c = condition(faults, r.setting());
        double need = need(c, r.setting());
        return switch (r.what()) {
            case MINUTES -> known(minutes, c, () -> Math.min(NEVER, Lasting.minutes(basis, c, need, NEVER)));
            case PRESSURE ->
                locked(c, r.setting(), r.port(system))
                        ? 0
                        : Math.max(
                                LEAST,
                                answer(c, r.setting()).pressure(r.port(system)).orElse(0));
            case FLOW -> flow(answer(c, r.setting()), r);
            case FALLS -> falls(c, r);
            case TEMPERATURE ->
                path(c, r.setting()).gaps().stream()
                        .filter(g -> g.item().equals(r.item()))
                        .reduce((a, b) -> b)
                        .map(Gap::kelvin)
                        .orElse(c.fuelKelvin());
            case VOLTS -> signs.powered(c, r.item()) ? PathHeat.VOLTS : 0;
            case AMPS -> signs.amps(c, r.item());
            case FLUTTERS, SILENT, STILL, WILL_NOT_FILL, OVERBOARD, DRIPS, WATER -> signs.of(c, r);
        };
    }

    /** The case with faults in it; hot, the fuel is as warm as the hot day makes it. */
    Condition condition(Set<Fault> faults, Setting s) {
        Condition c = s.failed(system, faults);
        return s.has(Manoeuvre.HOT) ? c.withFuelKelvin(Math.max(c.fuelKelvin(), heat.si(HeatFigure.HOT_FUEL))) : c;
    }

    private double need(Condition c, Setting s) {
        return s.has(Manoeuvre.ENGINE_STOPPED)
                ? STANDS
                : demand * c.engine().power().demandShare();
    }

    FlowAnswer answer(Condition c, Setting s) {
        boolean open = s.has(Manoeuvre.LINE_OPEN);
        double need = need(c, s);
        return known(
                answers,
                new Key(c, need == STANDS, open),
                () -> open ? content.ask(c, new FlowQuestion.OpenLine()) : running(c, need));
    }

    private double flow(FlowAnswer a, Reading r) {
        Optional<Run> run = r.run(system);
        double flow = run.map(x -> Math.abs(a.flow(x.id()))).orElse(0.0);
        return a.airDrawn().isEmpty() ? flow * taken(a, r.setting()) : 0;
    }

    /** An engine never takes more than it needs, though more could come; an open line gives all. */
    private double taken(FlowAnswer a, Setting s) {
        double need = need(a.condition(), s);
        return s.has(Manoeuvre.LINE_OPEN) || a.inletFlow() <= need ? 1 : need / a.inletFlow();
    }

    /** Out of a tank in ten minutes: at once where its vent is open, drawn down where the air over it thins. */
    private double falls(Condition c, Reading r) {
        Optional<Tank> tank = system.item(r.item()).flatMap(i -> i.only(Tank.class));
        if (tank.isEmpty()) {
            return 0;
        }
        if (!c.faults().any(Fault.Kind.VENT_SHUT)) {
            FlowAnswer a = answer(c, r.setting());
            return a.airDrawn().isEmpty() ? a.outflow(tank.get()) * taken(a, r.setting()) : 0;
        }
        Holding after = known(levels, c, () -> new Course(basis, c)
                .on(c, need(c, r.setting()), DIPPED)
                .holding());
        return (c.contents().getOrDefault(r.item(), 0.0) - after.tank(r.item())) / (60 * DIPPED);
    }

    /** Temperature and distance to boiling along the way to the engine. */
    PathHeat path(Condition c, Setting s) {
        double rise = c.faults().all().stream()
                .filter(f -> f.kind() == Fault.Kind.FUEL_VOLATILE)
                .mapToDouble(Fault::severity)
                .sum();
        return PathHeat.of(
                system,
                answer(c, s),
                rise > 0 ? heat.risen(rise) : heat,
                new Air(c.air().day().altitudeM(), c.fuelKelvin()),
                c.engine().power());
    }

    /**
     * Where it boils on the way to a pump that runs, or anywhere where there is none: what lies behind has no pressure.
     * Asked hot only.
     */
    boolean locked(Condition c, Setting s, PortRef port) {
        if (!s.has(Manoeuvre.HOT)) {
            return false;
        }
        List<Gap> gaps = path(c, s).gaps();
        boolean pumped = gaps.stream().anyMatch(g -> runs(c, g.item()));
        boolean boils = false;
        boolean lost = false;
        for (Gap g : gaps) {
            boils |= g.pascal() < 0;
            lost |= boils && (!pumped || runs(c, g.item()));
            if (lost
                    && g.item().equals(port.item())
                    && !(runs(c, g.item()) && port.port().equals(Item.IN))) {
                return true;
            }
        }
        return false;
    }

    private boolean runs(Condition c, String item) {
        return system.item(item)
                .flatMap(i -> i.only(Pump.class))
                .filter(p -> !c.stopped().contains(p.id()))
                .isPresent();
    }

    /** What a tank holds, m3. */
    double capacity(String tank) {
        return basis.bodies().get(tank).capacity();
    }

    /** Minutes between two looks at a tank's level. */
    private static final double DIPPED = 10;

    /** The engine takes its demand while it has any pressure; else what comes by itself. */
    private FlowAnswer running(Condition c, double need) {
        FlowAnswer takes = content.ask(c, new FlowQuestion.Demand(need));
        Optional<EngineInlet> inlet = system.inlet();
        boolean held = takes.usable()
                && takes.airDrawn().isEmpty()
                && inlet.map(i -> takes.pressure(new PortRef(i.id(), Item.IN)).orElse(-1) >= 0)
                        .orElse(true);
        if (held || need == STANDS) {
            return takes;
        }
        FlowAnswer comes = content.ask(c, new FlowQuestion.Capacity());
        return comes.usable() || !takes.usable() ? comes : takes;
    }
}
