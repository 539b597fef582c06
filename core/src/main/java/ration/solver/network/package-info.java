/**
 * The steady liquid network: elements between nodes, one general solver, answers with their evidence.
 *
 * <p>A {@link ration.solver.network.NetworkProblem} is nodes (a demand or a fixed gauge pressure, each at a height
 * along apparent up) and links (an {@link ration.solver.network.Element} from one node to another). It knows nothing of
 * tanks, selectors or documents. Internally every pressure is piezometric, {@code P = p + rho g h}, so that height
 * drops out of the elements.
 *
 * <p><b>The mathematics.</b> Every element's loss {@code phi(q)} never falls as its flow rises, so the flows minimise a
 * convex content under the mass balance. {@link ration.solver.network.Network} takes Newton steps on that problem
 * (Todini and Pilati's gradient method, from memory), which keep the mass balance exact after the first step, and
 * searches along a step by its directional derivative when the full step overshoots. Valves that admit one direction
 * only are first given a steep reverse branch, then shut exactly and the rest solved again; a valve found on the wrong
 * side is turned over until all agree. So any graph with a supply converges; one without is refused with the reason.
 *
 * <p><b>The rooms.</b> {@link ration.solver.network.Network} is a problem ready to be solved: what stays the same in
 * every pose of it (order of the equations, prepared elements) is worked out once. An attempt at a solution is shared
 * by four: Newton steps find flows for given valve states, the valves' states are settled round them, islands are
 * pinned or refused, and a last refinement takes the rounding of the equations out of flows and pressures.
 * {@link ration.solver.network.Sensitivity} tells how a flow answers to everything else.
 *
 * <p>Conventions: flow positive from {@code from} to {@code to}, m3/s; pressures gauge, Pa; no velocity head at nodes;
 * an open end is a fixed pressure at its height with the exit loss in the last element.
 */
package ration.solver.network;
