package ration.solver.network;

import java.util.Arrays;
import java.util.HashSet;
import java.util.Set;
import ration.solver.network.NetworkSolution.Status;

/** Shuts exactly what is held back, solves the rest, turns over what disagrees, until all agree. */
final class Valves {

    /** A held-shut valve opens when pressed by this much more than it needs, Pa. */
    private static final double OPENING_SLACK = 1e-4;
    /** An open valve shuts when its flow is this far reversed, m3/s. */
    private static final double SHUTTING_SLACK = 1e-12;
    /** Of a regulator and a valve in one line with one flow the wrong way, the regulator is turned over. */
    private static final double REGULATORS_FIRST = 1.01;

    private final Attempt a;
    private final Structure s;

    Valves(Attempt attempt) {
        a = attempt;
        s = attempt.structure;
    }

    /** Ends the steep reverse branch: what it held back is shut. */
    Valves shutWhatIsHeldBack() {
        a.steepReverse = false;
        for (int e = 0; e < s.links; e++) {
            a.out[e] |= s.oneWay[e] && a.q[e] < Attempt.NO_FLOW;
        }
        return this;
    }

    NetworkSolution settle() {
        Set<String> seen = new HashSet<>();
        for (int round = 0; round < 2 * s.links + 20; round++) {
            for (int e = 0; e < s.links; e++) {
                a.q[e] = a.out[e] ? 0 : a.q[e] == 0 ? s.firstFlow[e] : a.q[e];
            }
            NetworkSolution refused = a.tryNewton();
            if (refused != null) {
                return refused;
            }
            int wrong = worstDisagreement();
            if (wrong < 0) {
                return a.answer();
            }
            turn(wrong);
            if (s.adjusted && !seen.add(Arrays.toString(a.out) + Arrays.toString(a.holding))) {
                break;
            }
        }
        return a.failed(Status.ITERATION_LIMIT, "The valves did not settle into open and shut.");
    }

    /** The one-way link furthest on the wrong side, or -1. */
    private int worstDisagreement() {
        int worst = -1;
        double most = 0;
        for (int e = 0; e < s.links; e++) {
            if (!s.oneWay[e] || s.shut[e]) {
                continue;
            }
            double excess = regulates(e) ? regulatorExcess(e) : valveExcess(e);
            if (excess > most) {
                most = excess;
                worst = e;
            }
        }
        return worst;
    }

    private boolean regulates(int e) {
        return !a.adjusting() && s.heldNode[e] >= 0;
    }

    private double valveExcess(int e) {
        if (!a.out[e]) {
            return a.q[e] < -SHUTTING_SLACK ? -a.q[e] : 0;
        }
        a.law(e, 0);
        boolean known = !a.cutOff[s.from[e]] && !a.cutOff[s.to[e]];
        double press = a.pressure[s.from[e]] - a.pressure[s.to[e]] - a.drop.loss;
        return known && press > OPENING_SLACK ? press / a.drop.slope : 0;
    }

    /** How far a regulator is from what its state says, as a flow. */
    private double regulatorExcess(int e) {
        if (!a.out[e] && a.q[e] < -SHUTTING_SLACK) {
            return -a.q[e] * REGULATORS_FIRST;
        }
        a.law(e, a.out[e] ? 0 : a.q[e]);
        double steepness = Math.max(a.drop.slope, 1e7);
        double press = a.pressure[s.from[e]] - a.pressure[s.to[e]];
        if (a.holding[e]) {
            return Math.max(0, a.drop.loss - press - OPENING_SLACK) / steepness;
        }
        if (a.cutOff[s.from[e]] || a.cutOff[s.to[e]]) {
            return 0;
        }
        double over = a.pressure[s.heldNode[e]] - a.network.setting[e];
        boolean upstream = s.heldNode[e] == s.from[e];
        if (a.out[e]) {
            return press > OPENING_SLACK ? Math.max(0, (upstream ? over : -over) - OPENING_SLACK) / steepness : 0;
        }
        return Math.max(0, (upstream ? -over : over) - OPENING_SLACK) / steepness;
    }

    /** Gives a link that disagrees its next state: valves open or shut, regulators hold, stand open or shut. */
    private void turn(int e) {
        if (!regulates(e)) {
            a.out[e] = !a.out[e];
        } else if (!a.out[e] && a.q[e] < -SHUTTING_SLACK) {
            a.hold(e, false);
            a.out[e] = true;
        } else {
            boolean holds = !a.holding[e];
            a.out[e] = false;
            a.hold(e, holds);
        }
    }
}
