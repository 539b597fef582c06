package ration.answer.improve;

import java.util.List;
import ration.answer.fault.FaultSum;

/**
 * What was found of failures.
 *
 * @param was how they end as the layout stands; not asked where they were not wanted, or it was stopped
 * @param beyond failures that cut flow and that no change known here cures, in words
 * @param stopped whether it was told to stop before they were all asked
 */
public record WithFailures(FaultSum was, List<String> beyond, boolean stopped) {

    /** Nobody asked for them. */
    static final WithFailures NOT_ASKED = new WithFailures(FaultSum.of(List.of()), List.of(), false);

    public WithFailures {
        beyond = List.copyOf(beyond);
    }
}
