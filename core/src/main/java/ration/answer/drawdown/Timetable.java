package ration.answer.drawdown;

import java.util.ArrayList;
import java.util.List;
import ration.aircraft.flight.FlightPlan;
import ration.aircraft.flight.Phase;
import ration.aircraft.heat.Heat;

/** When each phase begins and ends, its altitudes, and when a pilot may move a handle. Minutes, m. */
final class Timetable {

    /** Above the place it started from, a handle may be moved in climb and descent: 1,000 ft, common practice. */
    private static final double SAFE = 304.8;
    /** And not in the last minutes of a descent. */
    private static final double LAST = 5;

    private final List<Phase> phases;
    private final double[] begins;

    Timetable(FlightPlan plan) {
        phases = plan.phases();
        begins = new double[phases.size() + 1];
        for (int i = 0; i < phases.size(); i++) {
            begins[i + 1] = begins[i] + phases.get(i).lasts();
        }
    }

    List<Phase> phases() {
        return phases;
    }

    double begins(int phase) {
        return begins[phase];
    }

    double ends() {
        return begins[phases.size()];
    }

    double[] altitudes(int phase) {
        double end = phases.get(phase).altitude().si();
        return new double[] {phase == 0 ? end : phases.get(phase - 1).altitude().si(), end};
    }

    /** Air outside at a time, K: as said at the ends of phases, the hot day's where it is not. */
    double outside(double minutes, Heat heat) {
        int n = phase(minutes);
        double end = outsideAt(n, heat);
        double start = n == 0 ? end : outsideAt(n - 1, heat);
        double lasts = phases.get(n).lasts();
        double share = lasts > 0 ? Math.max(0, Math.min(1, (minutes - begins[n]) / lasts)) : 1;
        return start + share * (end - start);
    }

    private double outsideAt(int phase, Heat heat) {
        return phases.get(phase)
                .outside()
                .map(t -> t.si())
                .orElseGet(() -> heat.outside(phases.get(phase).altitude().si()));
    }

    /** The phase at a time; the last one after the end. */
    int phase(double minutes) {
        int n = 0;
        while (n < phases.size() - 1 && minutes >= begins[n + 1] - 1e-9) {
            n++;
        }
        return n;
    }

    /** The first time, from one on, at which a handle may be moved. */
    double allowed(double from) {
        for (double[] w : windows()) {
            if (from < w[1] - 1e-6) {
                return Math.max(from, w[0]);
            }
        }
        return Math.max(from, ends());
    }

    /** The end of the window a time lies in; the time itself outside all. */
    double allowedUntil(double at) {
        return windows().stream()
                .filter(w -> at >= w[0] - 1e-9 && at < w[1] - 1e-6)
                .mapToDouble(w -> w[1])
                .findFirst()
                .orElse(at);
    }

    /** Whether a handle may be moved at a time, the last moment of a window among them; after the plan's end always. */
    boolean mayMove(double at) {
        return at >= ends() - 1e-9 || windows().stream().anyMatch(w -> at >= w[0] - 1e-9 && at <= w[1] + 1e-6);
    }

    /** Times, joined where they touch, in which handles may be moved. */
    List<double[]> windows() {
        List<double[]> all = new ArrayList<>();
        for (int i = 0; i < phases.size(); i++) {
            double from = begins[i];
            double to = begins[i + 1];
            Phase p = phases.get(i);
            double[] z = altitudes(i);
            double ground = phases.get(0).altitude().si() + SAFE;
            if (p.kind() == Phase.Kind.CLIMB && z[1] > z[0]) {
                from += (to - from) * Math.max(0, Math.min(1, (ground - z[0]) / (z[1] - z[0])));
            } else if (p.kind() == Phase.Kind.DESCENT) {
                to = Math.max(from, to - LAST);
            }
            if (p.kind().switching() && to > from) {
                if (!all.isEmpty() && Math.abs(all.get(all.size() - 1)[1] - from) < 1e-9) {
                    all.get(all.size() - 1)[1] = to;
                } else {
                    all.add(new double[] {from, to});
                }
            }
        }
        return all;
    }

    /** Minutes at take-off consumption that are burnt between two times. */
    double burn(double from, double to) {
        double sum = 0;
        for (int i = 0; i < phases.size(); i++) {
            double a = Math.max(from, begins[i]);
            double b = Math.min(to, begins[i + 1]);
            sum += b > a ? (b - a) * phases.get(i).share().si() : 0;
        }
        return sum;
    }
}
