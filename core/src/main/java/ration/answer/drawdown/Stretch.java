package ration.answer.drawdown;

import ration.aircraft.condition.Condition;
import ration.aircraft.condition.Day;

/**
 * What is set for a while.
 *
 * @param condition attitude, handles, power, faults; its contents and altitude are not read
 * @param demand the engine takes, m3/s
 * @param from minutes
 * @param to minutes, after that
 * @param climbs altitude at the start and at the end, m
 */
record Stretch(Condition condition, double demand, double from, double to, double[] climbs) {

    /** At one altitude. */
    static Stretch level(Condition condition, double demand, double from, double to) {
        double at = condition.air().day().altitudeM();
        return new Stretch(condition, demand, from, to, new double[] {at, at});
    }

    Day day(double minutes) {
        double share = to > from ? Math.max(0, Math.min(1, (minutes - from) / (to - from))) : 0;
        return new Day(
                climbs[0] + share * (climbs[1] - climbs[0]),
                condition.air().day().offStandard());
    }

    Stretch until(double minutes) {
        return new Stretch(condition, demand, from, minutes, new double[] {
            climbs[0], day(minutes).altitudeM()
        });
    }
}
