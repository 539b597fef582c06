package ration.answer.drawdown;

import java.util.List;
import ration.aircraft.condition.Condition;
import ration.physics.flow.ClosedAirspace;
import ration.physics.flow.FlowBasis;

/**
 * A system that runs on while somebody looks at it: a step of time after the other, the handles as they are set
 * meanwhile.
 */
public final class Course {

    private final FlowBasis basis;
    private final Drawdown drawdown;
    private Holding holding;
    private double minutes;
    private Look now;

    /** @param begins contents, faults and the day: air is shut in as it is then */
    public Course(FlowBasis basis, Condition begins) {
        this.basis = basis;
        holding = Holding.of(basis.system(), begins.contents());
        drawdown = new Drawdown(basis, holding, begins, ClosedAirspace.ISOTHERMAL);
    }

    /**
     * Goes on.
     *
     * @param condition as set from now on; its contents are not read
     * @param demand the engine takes, m3/s; nothing arrives where it cannot have it
     * @param step minutes, above zero
     */
    public Look on(Condition condition, double demand, double step) {
        double end = minutes + step;
        while (minutes < end - 1e-9) {
            Stretch stretch = Stretch.level(condition, demand, minutes, end);
            Look first = drawdown.begin(stretch, holding);
            double taken = first.delivered() ? demand : 0;
            Drawdown.Outcome outcome =
                    drawdown.run(Stretch.level(condition, taken, minutes, end), holding, List.of(), l -> {});
            holding = outcome.at().holding();
            minutes = Math.max(outcome.at().minutes(), minutes + 1e-7);
        }
        now = drawdown.begin(Stretch.level(condition, demand, minutes, minutes + step), holding);
        return now;
    }

    public double minutes() {
        return minutes;
    }

    /** Of what. */
    public FlowBasis basis() {
        return basis;
    }
}
