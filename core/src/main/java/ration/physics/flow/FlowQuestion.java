package ration.physics.flow;

/** What is asked of the network. */
public sealed interface FlowQuestion {

    /** The engine takes this flow, m3/s; what pressure is left? */
    record Demand(double flow) implements FlowQuestion {
        public Demand {
            if (!(flow >= 0)) {
                throw new IllegalArgumentException("A demand is zero or more");
            }
        }
    }

    /** The needle is held open at no less than the inlet's minimum pressure; what flow arrives? */
    record Capacity() implements FlowQuestion {}

    /** The line is taken off at the inlet and runs free at that height, as in the ground test; what pours? */
    record OpenLine() implements FlowQuestion {}
}
