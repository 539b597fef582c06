package ration.physics.flow;

import java.util.Map;
import ration.aircraft.condition.Condition;
import ration.base.geometry.ApparentGravity;
import ration.base.geometry.Point3;

/** A plan in an attitude, filled so, asked something: every node has its height. */
final class Posed {

    private final FlowPlan plan;
    private final Condition condition;
    private final Map<String, TankLevel> levels;
    private final FlowQuestion question;
    private final ApparentGravity gravity;
    private final double[] heights;
    private final double boils;

    Posed(FlowPlan plan, Condition condition, Map<String, TankLevel> levels, FlowQuestion question, double boils) {
        this.boils = boils;
        this.plan = plan;
        this.condition = condition;
        this.levels = levels;
        this.question = question;
        gravity = condition.attitude().gravity();
        heights = new double[plan.spots()];
        Point3 up = gravity.up();
        for (int i = 0; i < heights.length; i++) {
            Spot s = plan.spot(i);
            heights[i] = s.place() == null ? levels.get(s.tank()).surface() : up.dot(s.place());
        }
    }

    double[] heights() {
        return heights;
    }

    double height(int spot) {
        return heights[spot];
    }

    /** The lowest height along a wire, m. */
    double lowest(Wire w) {
        double lowest = Math.min(heights[w.from()], heights[w.to()]);
        for (Point3 p : w.between()) {
            lowest = Math.min(lowest, gravity.height(p));
        }
        return lowest;
    }

    /** Pressure over the fuel in a tank, Pa over ambient: as said, or as its vent makes it when it feeds nothing. */
    double airspace(String tank) {
        return condition.airspace().getOrDefault(tank, plan.tip(tank));
    }

    double demandAsked() {
        return question instanceof FlowQuestion.Demand d ? d.flow() : 0;
    }

    FlowPlan plan() {
        return plan;
    }

    Condition condition() {
        return condition;
    }

    Map<String, TankLevel> levels() {
        return levels;
    }

    HeaderStates headers() {
        return plan.key().headers();
    }

    ApparentGravity gravity() {
        return gravity;
    }

    /** Gauge pressure at which the fuel boils, Pa. */
    double boils() {
        return boils;
    }

    /** The maker's least pressure at the inlet, Pa. */
    double leastPressure() {
        return plan.system()
                .inlet()
                .map(i -> plan.basis().leastPressure(i, condition.engine().power()))
                .orElse(0.0);
    }
}
