package ration.answer.ask;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.IntStream;
import ration.aircraft.condition.Attitude;
import ration.aircraft.condition.Condition;
import ration.aircraft.condition.Contents;
import ration.aircraft.model.Tank;
import ration.answer.assess.Assessment;
import ration.answer.assess.CaseAnswer;
import ration.base.task.Steps;
import ration.base.task.Task;
import ration.physics.flow.FlowAnswer;

/**
 * How steep one can climb and descend on what is left, with the handles, pumps, filters and power of a case and wings
 * level: for amounts in the tanks that feed, all filled alike, the pitch at which the flow is first short.
 *
 * @param feeding ids of the tanks that feed with the handles so
 * @param points from little to full
 */
public record HowSteep(List<String> feeding, List<Point> points) {

    /** As far as is asked, degrees. */
    public static final int MOST_UP = 30;

    public static final int MOST_DOWN = 20;
    private static final int POINTS = 14;
    /** Amounts lie closer where little is left. */
    private static final double CLOSER = 1.7;

    private static final double STEP = 2;
    private static final double EXACT = 0.05;

    public HowSteep {
        feeding = List.copyOf(feeding);
        points = List.copyOf(points);
    }

    /**
     * One amount.
     *
     * @param volume in the feeding tanks together, m3
     * @param up nose up
     * @param down nose down, degrees at or under zero
     */
    public record Point(double volume, Limit up, Limit down) {}

    /**
     * Where the flow falls short.
     *
     * @param degrees of pitch to which it holds, nose up above zero
     * @param open whether it still holds there, and no steeper was asked
     * @param air whether an outlet that stands clear ends it
     */
    public record Limit(double degrees, boolean open, boolean air) {}

    /** Of a case; empty if nothing is computed, nothing feeds, or the task is cancelled. */
    public static Optional<HowSteep> of(Assessment assessment, Condition condition, Task task) {
        Map<String, Double> full = assessment.fill(Contents.FULL);
        Condition level = condition.with(pitched(0)).withContents(full);
        Optional<CaseAnswer> look = assessment.look(level);
        if (look.isEmpty()) {
            return Optional.empty();
        }
        List<String> feeding = assessment.project().system().tanks().stream()
                .filter(t -> look.get().capacity().outflow(t) > FlowAnswer.NO_FLOW)
                .map(Tank::id)
                .toList();
        if (feeding.isEmpty()) {
            return Optional.empty();
        }
        Point[] points = new Point[POINTS];
        Steps steps = new Steps(task.progress(), POINTS);
        IntStream.range(0, POINTS).parallel().forEach(i -> {
            if (task.cancelled().getAsBoolean()) {
                return;
            }
            double share = Math.pow((i + 1.0) / POINTS, CLOSER);
            Map<String, Double> contents = new HashMap<>(condition.contents());
            feeding.forEach(t -> contents.put(t, full.get(t) * share));
            Condition c = condition.withContents(contents);
            points[i] = new Point(
                    feeding.stream().mapToDouble(contents::get).sum(),
                    limit(assessment, c, MOST_UP),
                    limit(assessment, c, -MOST_DOWN));
            steps.done();
        });
        return task.cancelled().getAsBoolean() ? Optional.empty() : Optional.of(new HowSteep(feeding, List.of(points)));
    }

    private static Attitude pitched(double degrees) {
        return Attitude.ofDegrees("Pitch " + Math.round(degrees) + "\u00b0", degrees, 0);
    }

    /** The first pitch at which it is short, going from level to an end, two degrees at a time and then by halves. */
    private static Limit limit(Assessment assessment, Condition c, double end) {
        double sign = Math.signum(end);
        double holds = 0;
        Optional<CaseAnswer> last = at(assessment, c, 0);
        if (!holds(last)) {
            return new Limit(0, false, air(last));
        }
        for (double d = STEP; d <= Math.abs(end) + 1e-9; d += STEP) {
            Optional<CaseAnswer> now = at(assessment, c, sign * d);
            if (!holds(now)) {
                double fails = d;
                last = now;
                while (fails - holds > EXACT) {
                    double middle = (fails + holds) / 2;
                    Optional<CaseAnswer> there = at(assessment, c, sign * middle);
                    if (holds(there)) {
                        holds = middle;
                    } else {
                        fails = middle;
                        last = there;
                    }
                }
                return new Limit(sign * holds, false, air(last));
            }
            holds = d;
        }
        return new Limit(end, true, false);
    }

    private static Optional<CaseAnswer> at(Assessment assessment, Condition c, double degrees) {
        return assessment.look(c.with(pitched(degrees)));
    }

    /** An answer that is not there holds nothing. */
    private static boolean holds(Optional<CaseAnswer> look) {
        return look.filter(l -> l.answered() && l.ratio() >= 1).isPresent();
    }

    private static boolean air(Optional<CaseAnswer> look) {
        return look.filter(l -> l.capacity().levels().values().stream()
                        .anyMatch(v -> !v.uncovered().isEmpty()))
                .isPresent();
    }

    /** The least amount on which the flow holds at this pitch and at every greater amount, m3; empty if on none. */
    public OptionalDouble least(double degrees) {
        double least = Double.NaN;
        for (int i = points.size() - 1; i >= 0 && reaches(points.get(i), degrees); i--) {
            least = points.get(i).volume();
        }
        return Double.isNaN(least) ? OptionalDouble.empty() : OptionalDouble.of(least);
    }

    private static boolean reaches(Point p, double degrees) {
        return degrees >= 0
                ? p.up().degrees() >= degrees && holdsLevel(p)
                : p.down().degrees() <= degrees && holdsLevel(p);
    }

    private static boolean holdsLevel(Point p) {
        return p.up().degrees() > 0 || p.down().degrees() < 0;
    }

    /** The limits on an amount between two that were solved, the nearer to level of both; empty under the least. */
    public Optional<Point> on(double volume) {
        List<Point> beside = new ArrayList<>();
        for (int i = 0; i < points.size(); i++) {
            boolean under = points.get(i).volume() <= volume + 1e-12
                    && (i + 1 == points.size() || points.get(i + 1).volume() > volume);
            boolean over = points.get(i).volume() >= volume
                    && (i == 0 || points.get(i - 1).volume() < volume);
            if (under || over) {
                beside.add(points.get(i));
            }
        }
        if (beside.isEmpty() || volume < points.get(0).volume()) {
            return Optional.empty();
        }
        Limit up = beside.stream()
                .map(Point::up)
                .min((a, b) -> Double.compare(a.degrees(), b.degrees()))
                .orElseThrow();
        Limit down = beside.stream()
                .map(Point::down)
                .max((a, b) -> Double.compare(a.degrees(), b.degrees()))
                .orElseThrow();
        return Optional.of(new Point(volume, up, down));
    }
}
