package ration.answer.measure;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import ration.answer.assess.Assessment;
import ration.answer.assess.Doubt;
import ration.base.task.Task;

/**
 * What to measure next, for one answer of the ledger.
 *
 * <p>An answer is taken to be off by a normal law whose variance is the sum over its figures (they are independent).
 * Reading a job leaves it what its tool may be off. An outcome is settled where nine in ten of what is then still open
 * lies on one side of what is needed.
 *
 * @param of which answer
 * @param stands result over need, or degrees over need; not a number where the figures do not decide it
 * @param deviation one standard deviation of it, as entered
 * @param jobs that move it, the largest share first
 * @param next the smallest set of readings that settles it in eight outcomes of ten, the quickest among as small; as
 *     good as there is where none does
 * @param now how it would come out as it is
 * @param then how it would come out with those read
 * @param stopped whether it was told to stop: nothing is to be shown of it
 */
public record MeasureNext(
        Doubt.Of of,
        double stands,
        double deviation,
        List<Job> jobs,
        List<Job> next,
        Outcome now,
        Outcome then,
        boolean stopped) {

    /** Sure of one side in nine of ten: so many deviations. */
    private static final double SURE = 1.281552;
    /** Settled in so many outcomes is enough. */
    private static final double ENOUGH = 0.8;
    /** Jobs looked at for a set; the rest carry next to nothing. */
    private static final int LOOKED_AT = 10;
    /** Readings in a set. */
    private static final int MOST = 4;
    /** A reading that takes off less of the variance is not proposed. */
    private static final double LEAST_GAIN = 0.01;
    /** A job with less of the variance is not listed. */
    private static final double LEAST = 0.0005;

    public MeasureNext {
        jobs = List.copyOf(jobs);
        next = List.copyOf(next);
    }

    /**
     * How it could come out, shares of one.
     *
     * @param fails sure that it fails
     * @param open still on neither side
     * @param holds sure that it holds
     */
    public record Outcome(double fails, double open, double holds) {
        public double settled() {
            return fails + holds;
        }
    }

    /** Of an answer of the ledger. */
    public static MeasureNext of(Assessment a, Doubt.Of of, Task task) {
        return of(Doubt.of(a, task), of, task.cancelled().getAsBoolean()).resolved(a, task);
    }

    /** Where figures do not add up, what is left by reading some is drawn again, not reckoned. */
    public MeasureNext resolved(Assessment a, Task task) {
        if (next.isEmpty() || jobs.stream().noneMatch(Job::bends)) {
            return this;
        }
        double left = Math.min(deviation, deviation(a, of, next, task));
        if (Double.isNaN(left)) {
            return new MeasureNext(of, stands, deviation, jobs, next, now, new Outcome(0, 1, 0), true);
        }
        return new MeasureNext(
                of,
                stands,
                deviation,
                jobs,
                next,
                now,
                outcome(stands - need(of), deviation * deviation, left * left),
                stopped || task.cancelled().getAsBoolean());
    }

    /** The same with other readings than those proposed. */
    public MeasureNext reading(List<Job> read) {
        return new MeasureNext(of, stands, deviation, jobs, read, now, outcome(read), stopped);
    }

    /** One standard deviation of an answer with some jobs read, drawn anew. */
    public static double deviation(Assessment a, Doubt.Of of, List<Job> read, Task task) {
        return Doubt.spread(
                a,
                of,
                (item, key, deviation) -> read.stream()
                        .flatMap(j -> j.moves().stream()
                                .filter(m -> m.item().id().equals(item.id())
                                        && m.key().equals(key))
                                .map(m -> j.tool().deviation(m.as())))
                        .findFirst()
                        .map(d -> Math.min(d, deviation))
                        .orElse(deviation),
                task);
    }

    /** The same, where it is known how far each figure moves it. */
    public static MeasureNext of(Doubt doubt, Doubt.Of of, boolean stopped) {
        double need = need(of);
        double stands = doubt.of(of).orElse(Double.NaN);
        List<Job> all = Job.of(doubt, of);
        double variance = all.stream().mapToDouble(j -> j.variance(of)).sum();
        List<Job> jobs = all.stream()
                .filter(j -> j.variance(of) > LEAST * variance)
                .sorted(Comparator.comparingDouble((Job j) -> -j.variance(of)))
                .toList();
        Outcome now = outcome(stands - need, variance, variance);
        List<Job> next = stopped || !(variance > 0) || now.settled() >= ENOUGH
                ? List.of()
                : set(of, stands - need, variance, jobs);
        return new MeasureNext(
                of,
                stands,
                Math.sqrt(variance),
                jobs,
                next,
                now,
                outcome(stands - need, variance, left(of, variance, next)),
                stopped);
    }

    /** What an answer is held against. */
    public static double need(Doubt.Of of) {
        return of == Doubt.Of.VAPOR ? 0 : 1;
    }

    /** Its share of the variance. */
    public double share(Job j) {
        return deviation > 0 ? j.variance(of) / (deviation * deviation) : 0;
    }

    /** One standard deviation once some of them are read. */
    public double deviation(List<Job> read) {
        return Math.sqrt(left(of, deviation * deviation, read));
    }

    public Outcome outcome(List<Job> read) {
        return outcome(stands - need(of), deviation * deviation, left(of, deviation * deviation, read));
    }

    /**
     * What one figure of a job of one would have to be for the answer to just hold, SI; not a number where none does.
     */
    public double crossing(Job j) {
        if (j.moves().size() != 1 || j.bends()) {
            return Double.NaN;
        }
        Doubt.Move m = j.moves().get(0);
        double slope = m.by(of) / m.deviation();
        return slope == 0 ? Double.NaN : m.as().si() + (need(of) - stands) / slope;
    }

    private static double left(Doubt.Of of, double variance, List<Job> read) {
        double left = variance;
        for (Job j : read) {
            left -= j.variance(of) - j.left(of);
        }
        return Math.max(0, left);
    }

    /**
     * Before anything is read the result is known to within the whole variance; what is read moves it by the part that
     * goes, and leaves the rest. All settled where nothing is open.
     */
    static Outcome outcome(double over, double variance, double left) {
        if (Double.isNaN(over)) {
            return new Outcome(0, 1, 0);
        }
        double moved = Math.sqrt(Math.max(0, variance - left));
        double edge = SURE * Math.sqrt(left);
        double holds = above(over - edge, moved);
        double fails = above(-over - edge, moved);
        return new Outcome(fails, Math.max(0, 1 - fails - holds), holds);
    }

    /** Chance that a normal law around a value is above nothing. */
    private static double above(double value, double deviation) {
        return deviation <= 0
                ? value >= 0 ? 1 : 0
                : 1 - org.hipparchus.special.Erf.erfc(value / deviation / Math.sqrt(2)) / 2;
    }

    private static List<Job> set(Doubt.Of of, double over, double variance, List<Job> jobs) {
        // what its tool reads no better than it is entered is not read again
        List<Job> some = jobs.stream()
                .filter(j -> j.variance(of) - j.left(of) > LEAST_GAIN * variance)
                .limit(LOOKED_AT)
                .toList();
        List<Job> best = List.of();
        for (int size = 1; size <= MOST; size++) {
            List<List<Job>> sets = new ArrayList<>();
            choose(some, 0, size, new ArrayList<>(), sets);
            var enough = sets.stream()
                    .filter(s -> outcome(over, variance, left(of, variance, s)).settled() >= ENOUGH)
                    .min(Comparator.comparingInt((List<Job> s) ->
                                    s.stream().mapToInt(Job::minutes).sum())
                            .thenComparingDouble(s -> left(of, variance, s)));
            if (enough.isPresent()) {
                return enough.get();
            }
            var most = sets.stream().min(Comparator.comparingDouble(s -> left(of, variance, s)));
            best = most.orElse(best);
        }
        return best;
    }

    private static void choose(List<Job> from, int at, int left, List<Job> chosen, List<List<Job>> sets) {
        if (left == 0) {
            sets.add(List.copyOf(chosen));
            return;
        }
        for (int i = at; i < from.size(); i++) {
            chosen.add(from.get(i));
            choose(from, i + 1, left - 1, chosen, sets);
            chosen.remove(chosen.size() - 1);
        }
    }
}
