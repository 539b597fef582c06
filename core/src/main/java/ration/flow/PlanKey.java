package ration.flow;

import java.util.Set;
import ration.condition.Condition;
import ration.condition.Faults;
import ration.condition.Handles;

/**
 * All that a network's elements depend on. Attitude, how full the tanks are and the size of pressures only move it to
 * another pose.
 *
 * @param asks     kind of question
 * @param airspace tanks whose air pressure is said
 * @param bare     ports of tanks that stand clear of the fuel: outlets that let nothing in, returns that fuel falls from
 */
record PlanKey(Class<? extends FlowQuestion> asks, Handles handles, double fuelKelvin, Condition.Engine engine, Set<String> airspace,
        Faults faults, HeaderStates headers, Set<String> bare) {

    static PlanKey of(Condition c, FlowQuestion question, HeaderStates headers, Set<String> bare) {
        return new PlanKey(question.getClass(), c.handles(), c.fuelKelvin(), c.engine(), c.airspace().keySet(), c.faults(), headers,
                bare);
    }
}
