/**
 * From what was laid out and a condition to a network, and back to answers by the user's own ids.
 *
 * <p>{@link ration.physics.flow.FlowBasis} makes a plan once for each state of handles, pumps, filters and faults, and
 * poses it for each attitude and filling: ports become nodes at their height along apparent up, runs and items become
 * elements. {@link ration.physics.flow.FlowAnswer} gives flow by run, pressure by port, levels by tank, the path the
 * fuel takes and what each item on it costs. Three questions are asked of one network
 * ({@link ration.physics.flow.FlowQuestion}): what pressure is left when the engine takes its demand, what flows when
 * the inlet is held at its least pressure, and what an open line would pour.
 *
 * <p>An outlet that stands clear of the fuel lets nothing in. If the pressure at the junction behind it cannot hold
 * liquid up in its line, the answer says that air is drawn through it; then the flow does not count. The pressure over
 * the fuel is that of the vent's tip less the drop of the air on its way in.
 */
package ration.physics.flow;
