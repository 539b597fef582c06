package ration.find;

import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import ration.assess.Assessment;
import ration.condition.Condition;
import ration.condition.Fault;
import ration.drawdown.Lasting;
import ration.flow.FlowAnswer;
import ration.flow.FlowBasis;
import ration.flow.FlowQuestion;
import ration.model.EngineInlet;
import ration.model.FuelSystem;
import ration.model.Item;
import ration.model.Measured;
import ration.model.PortRef;
import ration.model.Run;
import ration.quantity.Unit;
import ration.reading.Reading;
import ration.reading.Setting.Manoeuvre;
import ration.reading.Setting;

/** What a reading would be if something had failed. One network answer serves all readings of a setting. */
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
    private final Map<Object, FlowAnswer> answers = new HashMap<>();
    private final Map<Object, Double> minutes = new HashMap<>();

    Predictor(Assessment a) {
        basis = a.basis().orElseThrow();
        system = a.project().system();
        FuelSystem undemanding = system.inlet().map(i -> system.change(i.id(), EngineInlet.class, e -> e.withPressures(NO_PRESSURE, e.maximumPressure())))
                .orElse(system);
        content = new FlowBasis(undemanding, basis.fuel(), basis.law(), basis.bodies(), basis.around());
        demand = a.project().brief().demand();
    }

    private record Key(Condition condition, boolean stopped, boolean open) {
    }

    /** SI; minutes for a time. */
    double of(Set<Fault> faults, Reading r) {
        Condition c = r.setting().failed(system, faults);
        double need = r.setting().has(Manoeuvre.ENGINE_STOPPED) ? STANDS : demand * c.engine().power().demandShare();
        if (r.what() == Reading.What.MINUTES) {
            return minutes.computeIfAbsent(c, k -> Math.min(NEVER, Lasting.of(basis, c, need, NEVER).minutes()));
        }
        FlowAnswer a = answers.computeIfAbsent(new Key(c, need == STANDS, r.setting().has(Manoeuvre.LINE_OPEN)), k -> r.setting().has(
                Manoeuvre.LINE_OPEN) ? content.ask(c, new FlowQuestion.OpenLine()) : running(c, need));
        if (r.what() == Reading.What.PRESSURE) {
            return Math.max(LEAST, a.pressure(r.port(system)).orElse(0));
        }
        Optional<Run> run = r.run(system);
        double flow = run.map(x -> Math.abs(a.flow(x.id()))).orElse(0.0);
        return a.airDrawn().isEmpty() ? flow : 0;
    }

    /** The engine takes its demand while it has any pressure; else what comes by itself. */
    private FlowAnswer running(Condition c, double need) {
        FlowAnswer takes = content.ask(c, new FlowQuestion.Demand(need));
        Optional<EngineInlet> inlet = system.inlet();
        boolean held = takes.usable() && takes.airDrawn().isEmpty() && inlet.map(i -> takes.pressure(new PortRef(i.id(), Item.IN)).orElse(-1) >= 0)
                .orElse(true);
        if (held || need == STANDS) {
            return takes;
        }
        FlowAnswer comes = content.ask(c, new FlowQuestion.Capacity());
        return comes.usable() || !takes.usable() ? comes : takes;
    }
}
