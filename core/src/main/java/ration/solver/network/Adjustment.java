package ration.solver.network;

import java.util.ArrayList;
import java.util.List;
import org.ejml.data.DMatrixRMaj;
import org.ejml.dense.row.CommonOps_DDRM;
import ration.solver.network.NetworkSolution.LinkState;

/**
 * The slow way, for networks whose regulators and jets a {@link Attempt} does not settle. Each is given a fixed
 * pressure of its own, which keeps the network solvable; that pressure is then sought, one element after the other,
 * until all agree. For a regulator it lies between nothing (open to the stop) and what shuts it, and the held pressure
 * rises or falls with it.
 */
final class Adjustment {

    /** How near a regulator holds its setting, Pa. */
    private static final double HELD = 0.02;

    private static final int CYCLES = 12;
    /** A regulator that would have to take more than this holds nothing, Pa. */
    private static final double BEYOND = 1.5e7;
    /** By how much a slope is measured, and the largest step, Pa. */
    private static final double PROBE = 20;

    private static final double MOST_STEP = 2e5;
    private static final int TRIES = 40;

    private final SolverSettings settings;
    private final Network network;
    private final Structure s;
    private final double[] extra;
    private final double[] extraSlope;
    private final List<Integer> links = new ArrayList<>();
    private final double[] flows;
    private NetworkSolution last;
    private int steps;

    Adjustment(Network network, SolverSettings settings) {
        this.network = network;
        this.settings = settings;
        s = network.structure;
        extra = new double[s.links];
        extraSlope = new double[s.links];
        flows = s.firstFlow.clone();
        for (int e = 0; e < s.links; e++) {
            Element element = s.element(e);
            if (element instanceof Element.Regulator r) {
                links.add(e);
                double rise = network.hydrostatic[s.from[e]] - network.hydrostatic[s.to[e]];
                extra[e] = r.holds() == Element.Regulator.Holds.UPSTREAM ? Math.max(0, r.gauge() + rise) : 0;
            } else if (element instanceof Element.Jet) {
                links.add(e);
                extraSlope[e] = 1e9;
            }
        }
    }

    NetworkSolution solve() {
        if (!run()) {
            return last;
        }
        for (int cycle = 0; cycle < CYCLES; cycle++) {
            boolean moved = false;
            if (cycle > 0) {
                together();
            }
            if (!last.converged()) {
                return last;
            }
            for (int e : links) {
                boolean off = s.element(e) instanceof Element.Jet ? drive(e) : adjust(e);
                if (!last.converged()) {
                    return last;
                }
                moved |= off;
                if (extra[e] > BEYOND) {
                    return last.refused("Nothing that is open brings fuel past " + s.name(e)
                            + ": the pressure it holds is not reached.");
                }
            }
            if (!moved) {
                return finished();
            }
        }
        return last.failed("Regulators and jet pumps: no stable solution.");
    }

    private boolean run() {
        Attempt run = new Attempt(network, settings, new Attempt.Added(extra, extraSlope), flows);
        last = run.solve();
        steps += run.iterations;
        if (last.converged()) {
            for (int e = 0; e < s.links; e++) {
                flows[e] = run.q[e] == 0 ? s.firstFlow[e] : run.q[e];
            }
        }
        return last.converged();
    }

    private NetworkSolution finished() {
        LinkState[] states = new LinkState[s.links];
        for (int e = 0; e < s.links; e++) {
            LinkState was = last.state(e);
            states[e] = s.heldNode[e] < 0 || was != LinkState.OPEN
                    ? was
                    : last.flow(e) <= Attempt.NO_FLOW
                            ? LinkState.HELD_SHUT
                            : extra[e] > 0 ? LinkState.REGULATING : LinkState.OPEN;
        }
        return last.withRegulators(states, steps);
    }

    /** Over the setting positive: it must open further (upstream held) or close further (downstream held). */
    private double error(int e) {
        Element.Regulator r = (Element.Regulator) s.element(e);
        boolean upstream = r.holds() == Element.Regulator.Holds.UPSTREAM;
        return last.gauge(upstream ? s.from[e] : s.to[e]) - r.gauge();
    }

    private boolean good(int e) {
        Element.Regulator r = (Element.Regulator) s.element(e);
        double error = error(e);
        boolean passes = last.flow(e) > Attempt.NO_FLOW;
        boolean upstream = r.holds() == Element.Regulator.Holds.UPSTREAM;
        if (Math.abs(error) <= HELD || last.cutOff(upstream ? s.from[e] : s.to[e])) {
            return true;
        }
        if (upstream) {
            return error > 0 && extra[e] == 0 || error < 0 && !passes;
        }
        return error < 0 && extra[e] == 0 || error > 0 && !passes;
    }

    /**
     * Regulators in one line act on the same flow, and one after the other they would approach each other slowly. Those
     * that pass fuel are brought to their settings together, by Newton steps on measured slopes.
     */
    private void together() {
        for (int round = 0; round < 12; round++) {
            List<Integer> active = new ArrayList<>();
            boolean off = false;
            for (int e : links) {
                if (s.element(e) instanceof Element.Regulator) {
                    off |= !good(e);
                    if (last.flow(e) > Attempt.NO_FLOW && !(extra[e] == 0 && good(e))) {
                        active.add(e);
                    }
                }
            }
            if (!off || active.size() < 2) {
                return;
            }
            double[] kept = extra.clone();
            DMatrixRMaj slopes = new DMatrixRMaj(active.size(), active.size());
            DMatrixRMaj errors = new DMatrixRMaj(active.size(), 1);
            for (int i = 0; i < active.size(); i++) {
                errors.set(i, 0, error(active.get(i)));
            }
            for (int j = 0; j < active.size(); j++) {
                extra[active.get(j)] += PROBE;
                if (!run()) {
                    return;
                }
                for (int i = 0; i < active.size(); i++) {
                    slopes.set(i, j, (error(active.get(i)) - errors.get(i, 0)) / PROBE + (i == j ? 1e-12 : 0));
                }
                System.arraycopy(kept, 0, extra, 0, s.links);
            }
            DMatrixRMaj inverse = new DMatrixRMaj(active.size(), active.size());
            DMatrixRMaj step = new DMatrixRMaj(active.size(), 1);
            CommonOps_DDRM.pinv(slopes, inverse);
            CommonOps_DDRM.mult(inverse, errors, step);
            for (int i = 0; i < active.size(); i++) {
                int e = active.get(i);
                extra[e] = Math.max(0, kept[e] - Math.max(-MOST_STEP, Math.min(MOST_STEP, step.get(i, 0))));
            }
            if (!run()) {
                return;
            }
        }
    }

    /** Brings one regulator to its setting with the others as they are; whether it had to move. */
    private boolean adjust(int e) {
        if (good(e)) {
            return false;
        }
        Element.Regulator r = (Element.Regulator) s.element(e);
        double sense = r.holds() == Element.Regulator.Holds.UPSTREAM ? 1 : -1;
        double low = 0;
        double high = Double.POSITIVE_INFINITY;
        double lastAt = Double.NaN;
        double lastError = 0;
        double stretch = 1;
        for (int i = 0; i < TRIES && !good(e) && extra[e] <= BEYOND; i++) {
            double at = extra[e];
            double error = sense * error(e);
            if (error > 0) {
                high = at;
            } else {
                low = at;
            }
            double slope = Double.isNaN(lastAt) || at == lastAt ? 1 : (error - lastError) / (at - lastAt);
            double next = at - stretch * error / Math.max(Math.min(slope, 1.5), 0.02);
            lastAt = at;
            lastError = error;
            if (!(next > low && next < high)) {
                next = high == Double.POSITIVE_INFINITY
                        ? Math.max(2 * at, at + 2 * Math.abs(error))
                        : at == low && error > 0 ? 0 : next <= low && low == 0 ? 0 : (low + high) / 2;
            } else if (i > 6 && high < Double.POSITIVE_INFINITY) {
                next = i % 2 == 0 ? next : (low + high) / 2;
            }
            extra[e] = Math.max(0, next);
            if (!run()) {
                return true;
            }
        }
        return true;
    }

    /** Gives a jet the lift its nozzle now makes; whether that was new. */
    private boolean drive(int e) {
        Element.Jet jet = (Element.Jet) s.element(e);
        int nozzle = s.linkIndex.get(jet.nozzle());
        double flow = Math.max(0, last.flow(nozzle));
        double drop = Math.max(0, last.piezometric(s.from[nozzle]) - last.piezometric(s.to[nozzle]));
        Drop left = new Drop();
        jet.lift(flow, jet.headRatio() * drop, Math.max(0, last.flow(e)), left);
        double slope = Math.max(left.slope, Characteristic.LEAST_SLOPE);
        double lift = left.loss - slope * Math.max(0, last.flow(e));
        if (Math.abs(lift - extra[e]) <= HELD && Math.abs(slope - extraSlope[e]) <= 1e-6 * slope) {
            return false;
        }
        extra[e] = lift;
        extraSlope[e] = slope;
        run();
        return true;
    }
}
