package ration.answer.proof;

import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import ration.aircraft.condition.Attitude;
import ration.aircraft.condition.Condition;
import ration.aircraft.model.EngineInlet;
import ration.aircraft.model.Place;
import ration.aircraft.model.Tag;
import ration.aircraft.model.Tank;
import ration.base.geometry.Point3;
import ration.base.quantity.Measured;
import ration.base.quantity.Unit;
import ration.physics.flow.FlowAnswer;
import ration.physics.flow.FlowBasis;
import ration.physics.flow.FlowQuestion;
import ration.record.evidence.Work;
import ration.record.project.Brief;

/**
 * A flow test as it is done: the line off at the engine, its end so much over the inlet, the nose and the fuel as they
 * were. What it pours, what the same condition would bring to the inlet at its least pressure, and so which reading the
 * engine's need comes to.
 *
 * @param condition as tested
 * @param pours out of the open end, m3/s
 * @param arrives at the inlet held at its least pressure, m3/s
 */
public record OpenLine(Condition condition, double pours, double arrives) {

    /** The end of the line counts as level with the inlet within this, m. */
    private static final double LEVEL = 0.0005;

    /** The condition of a flow test; empty while what it needs is not entered. */
    public static Optional<Condition> condition(FlowBasis basis, Brief brief, Work.Sheet sheet) {
        OptionalDouble pitch = sheet.figure("pitch");
        OptionalDouble contents = sheet.figure("contents");
        if (pitch.isEmpty() || contents.isEmpty()) {
            return Optional.empty();
        }
        Map<String, Double> filled = new HashMap<>();
        for (Tank t : basis.system().tanks()) {
            filled.put(
                    t.id(),
                    Math.min(contents.getAsDouble(), basis.bodies().get(t.id()).capacity()));
        }
        return Optional.of(new Condition(
                new Attitude("As tested", pitch.getAsDouble(), 0),
                filled,
                sheet.handles().positions(),
                sheet.handles().shutValves(),
                sheet.handles().stopped(),
                sheet.figure("fuel").orElse(brief.fuelKelvin())));
    }

    /** Of a flow test; empty while its condition is not entered, or where nothing can be solved. */
    public static Optional<OpenLine> of(FlowBasis basis, Brief brief, Work.Sheet sheet) {
        return condition(basis, brief, sheet)
                .flatMap(c -> of(basis, c, sheet.figure("open").orElse(0)));
    }

    static Optional<OpenLine> of(FlowBasis basis, Condition c, double over) {
        FlowAnswer open = basis.ask(c, new FlowQuestion.OpenLine());
        FlowAnswer least = basis.ask(c, new FlowQuestion.Capacity());
        if (!open.usable() || !least.usable()) {
            return Optional.empty();
        }
        double pours = Math.abs(over) < LEVEL ? open.inletFlow() : lifted(basis, c, over, open);
        return Optional.of(new OpenLine(c, pours, least.inletFlow()));
    }

    /** With the end of the line held higher than the inlet, or lower: the inlet as if it stood there. */
    private static double lifted(FlowBasis basis, Condition c, double over, FlowAnswer open) {
        Point3 up = c.attitude().gravity().up();
        return basis.system()
                .inlet()
                .map(i -> {
                    Point3 p = i.place().point().plus(new Point3(up.x() * over, up.y() * over, up.z() * over));
                    EngineInlet there = i.with(new Tag(i.id(), i.name(), exact(p)));
                    FlowAnswer a = basis.with(basis.system().replace(there)).ask(c, new FlowQuestion.OpenLine());
                    return a.usable() ? Math.max(0, a.inletFlow()) : 0;
                })
                .orElse(open.inletFlow());
    }

    private static Place exact(Point3 p) {
        return new Place(
                Measured.of(p.x(), Unit.METRE), Measured.of(p.y(), Unit.METRE), Measured.of(p.z(), Unit.METRE));
    }

    /** What the can must show for so much at the engine, m3/s; NaN where nothing arrives. */
    public double reading(double atEngine) {
        return arrives > FlowAnswer.NO_FLOW ? atEngine * pours / arrives : Double.NaN;
    }

    /**
     * What arrives at the engine where the can shows so much, m3/s: the model's share of the two, in the condition of
     * the test.
     */
    public double atEngine(double read) {
        return pours > FlowAnswer.NO_FLOW ? read * arrives / pours : 0;
    }
}
