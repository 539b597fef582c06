/**
 * The layout as a graph of ports, asked here and nowhere else: what is joined to what, what lies up and down the
 * stream, what fuel can reach, what valves shut in, what only leads back to a tank.
 *
 * <p>{@link ration.aircraft.topology.Passages} says for every kind how its ports are joined inside;
 * {@link ration.aircraft.topology.Passing} which of those let fuel through in a state (handles, valves, what is trusted
 * to hold); {@link ration.aircraft.topology.Topology} joins them with the runs and answers. No pressures here: what
 * does flow is asked of {@link ration.flow}.
 */
package ration.aircraft.topology;
