package ration.answer.find;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import ration.aircraft.condition.Condition;
import ration.aircraft.condition.Fault;
import ration.record.reading.Reading;

/** What reading to take next: for each that can be taken, what it may read, and what that would leave. */
final class Weighing {

    /** Minutes of work that a suspect less is worth twice over; common practice, no source. */
    private static final double WORTH = 30;
    /** Causes with less belief are not asked about the next reading; at most so many are. */
    private static final double ASKED = 0.002;

    private static final int MOST_ASKED = 24;

    private final Predictor predictor;
    private final Readable readable;
    private final List<Reading> readings;
    private final List<Explanation> explanations;
    private final double mostPressure;

    Weighing(
            Predictor predictor,
            Readable readable,
            List<Reading> readings,
            List<Explanation> explanations,
            double mostPressure) {
        this.mostPressure = mostPressure;
        this.predictor = predictor;
        this.readable = readable;
        this.readings = readings;
        this.explanations = explanations;
    }

    List<NextReading> next(Condition now) {
        List<Explanation> asked = explanations.stream()
                .filter(e -> e.belief() > ASKED && (e.fault().isPresent() || e.kind() == CauseKind.SOUND))
                .limit(MOST_ASKED)
                .toList();
        // an instrument, or none of these: only the same reading by another gauge parts them
        List<NextReading> again = again(now);
        if (asked.size() < 2) {
            return again;
        }
        List<Reading> open = readable
                .now(now, asked.stream().flatMap(e -> e.fault().stream()).toList())
                .stream()
                .filter(r -> readings.stream().noneMatch(x -> same(x, r)))
                .toList();
        // cause by cause, so that the readings that take long are spread over those who work
        asked.stream().flatMap(e -> open.stream().map(r -> Map.entry(e, r))).toList().parallelStream()
                .forEach(k -> predicted(k.getKey(), k.getValue()));
        List<NextReading> all =
                new ArrayList<>(open.stream().map(r -> judged(r, asked, now)).toList());
        boolean leaks = explanations.stream()
                .filter(e -> e.fault().isPresent())
                .limit(LEADING)
                .allMatch(e -> LEAKS.contains(e.fault().get().kind()));
        // fuel may be about: nothing is run before that is looked at
        all.sort(Comparator.comparing((NextReading n) -> leaks && n.asked().what() != Reading.What.DRIPS)
                .thenComparingDouble(n -> n.left() * (1 + n.minutes() / WORTH)));
        all.addAll(0, again);
        return leaks
                ? all.stream()
                        .map(n -> n.asked().what() == Reading.What.DRIPS
                                ? n.withCaution("Stop the engine first: look and smell. " + n.caution())
                                : n)
                        .toList()
                : all;
    }

    /**
     * The last reading once more, with another gauge, where nearly all belief lies with the instruments and what nobody
     * thought of.
     */
    private List<NextReading> again(Condition now) {
        double explained = explanations.stream()
                .filter(e -> e.fault().isPresent() || e.kind() == CauseKind.SOUND)
                .mapToDouble(Explanation::belief)
                .sum();
        if (readings.isEmpty() || explained > 1 - DOUBT) {
            return List.of();
        }
        Reading last = readings.get(readings.size() - 1);
        return List.of(new NextReading(
                last,
                readable.words(last, now) + ", with another gauge",
                readable.minutes(last, now),
                readable.caution(last),
                1,
                List.of()));
    }

    /** Belief that has to lie with instruments and the unknown. */
    private static final double DOUBT = 0.9;

    /** So many of the likeliest lead. */
    private static final int LEADING = 3;

    private static final Set<Fault.Kind> LEAKS = Set.of(Fault.Kind.FUEL_LEAK);

    /** Whether one was as good as taken: a look is the same look whatever the tanks hold and how the aircraft sits. */
    private static boolean same(Reading taken, Reading asked) {
        boolean here = taken.place().equals(asked.place()) && taken.what() == asked.what();
        return here
                && (taken.setting().equals(asked.setting())
                        || asked.what().sign()
                                && taken.setting()
                                        .manoeuvres()
                                        .equals(asked.setting().manoeuvres())
                                && taken.setting()
                                        .condition()
                                        .handles()
                                        .equals(asked.setting().condition().handles()));
    }

    private double predicted(Explanation cause, Reading r) {
        return predictor.of(cause.fault().map(Set::of).orElse(Set.of()), r);
    }

    static double entropy(double[] shares) {
        double sum = java.util.Arrays.stream(shares).sum();
        double h = 0;
        for (double s : shares) {
            h -= s > 0 && sum > 0 ? s / sum * Math.log(s / sum) : 0;
        }
        return h;
    }

    /** A sign is seen or not: what each leaves. */
    private NextReading looked(Reading r, List<Explanation> asked, Condition now) {
        double whole = asked.stream().mapToDouble(Explanation::belief).sum();
        Unasked unasked = unasked(asked);
        List<NextReading.Outcome> outcomes = new ArrayList<>();
        double h = 0;
        for (double seen : new double[] {1, 0}) {
            Map<Explanation, Double> left = new LinkedHashMap<>();
            for (Explanation e : asked) {
                double shows = predicted(e, r);
                left.put(e, e.belief() * (seen > 0 ? shows : 1 - shows));
            }
            double chance = left.values().stream().mapToDouble(x -> x).sum() / whole;
            double sound = predictor.of(Set.of(), r);
            h += chance
                    * unasked.entropy(
                            left.values().stream().mapToDouble(x -> x).toArray(), seen > 0 ? sound : 1 - sound, 0.5);
            outcomes.add(new NextReading.Outcome(
                    seen,
                    seen,
                    chance,
                    left.entrySet().stream()
                            .filter(e -> e.getValue() > LEFT * chance * whole)
                            .sorted(Map.Entry.<Explanation, Double>comparingByValue()
                                    .reversed())
                            .map(e -> e.getKey().name() + " " + e.getKey().how())
                            .toList()));
        }
        outcomes.sort(Comparator.comparingDouble(NextReading.Outcome::chance).reversed());
        return new NextReading(
                Reading.sign(r.place(), r.what(), outcomes.get(0).from() > 0, r.setting()),
                readable.words(r, now),
                readable.minutes(r, now),
                readable.caution(r),
                Math.exp(h),
                outcomes);
    }

    /** Causes with a smaller share are not named among what an outcome leaves. */
    private static final double LEFT = 0.02;

    private NextReading judged(Reading r, List<Explanation> asked, Condition now) {
        if (r.what().sign()) {
            return looked(r, asked, now);
        }
        record Guess(double value, Explanation of) {}
        List<Guess> guesses = new ArrayList<>(asked.stream()
                .map(e -> new Guess(predicted(e, r), e))
                .sorted(Comparator.comparingDouble(Guess::value))
                .toList());
        double whole = asked.stream().mapToDouble(Explanation::belief).sum();
        List<NextReading.Outcome> outcomes = new ArrayList<>();
        int from = 0;
        for (int i = 1; i <= guesses.size(); i++) {
            boolean apart = i == guesses.size()
                    || guesses.get(i).value() - guesses.get(i - 1).value()
                            > 2 * Search.error(r, guesses.get(i - 1).value());
            if (apart) {
                List<Guess> group = guesses.subList(from, i);
                double chance = group.stream().mapToDouble(g -> g.of().belief()).sum() / whole;
                // what is read lies within the error of the reading and the model about what is predicted
                double low = group.get(0).value();
                double high = group.get(group.size() - 1).value();
                outcomes.add(new NextReading.Outcome(
                        low - Search.error(r, low),
                        high + Search.error(r, high),
                        chance,
                        group.stream()
                                .map(Guess::of)
                                .sorted(Comparator.comparingDouble(Explanation::belief)
                                        .reversed())
                                .map(e -> e.name() + " " + e.how())
                                .toList()));
                from = i;
            }
        }
        outcomes.sort(Comparator.comparingDouble(NextReading.Outcome::chance).reversed());
        double[] values = guesses.stream().mapToDouble(Guess::value).toArray();
        double[] beliefs = guesses.stream().mapToDouble(g -> g.of().belief()).toArray();
        double expected = predicted(asked.get(0), r);
        return new NextReading(
                new Reading(r.place(), r.what(), expected, r.error(), r.setting()),
                readable.words(r, now),
                readable.minutes(r, now),
                readable.caution(r),
                Math.exp(expectedEntropy(r, values, beliefs, asked)),
                outcomes);
    }

    /**
     * Nodes and weights of the Gauss-Hermite rule of three points for a normal law: 0 and the root of three; a
     * textbook's.
     */
    private static final double[] NODES = {-Math.sqrt(3), 0, Math.sqrt(3)};

    private static final double[] WEIGHTS = {1.0 / 6, 2.0 / 3, 1.0 / 6};

    /**
     * What stays unknown on average: each cause reads as it would, off by the error of reading and model, and all are
     * weighed anew by that.
     */
    private double expectedEntropy(Reading r, double[] values, double[] beliefs, List<Explanation> asked) {
        double whole = java.util.Arrays.stream(beliefs).sum();
        Unasked unasked = unasked(asked);
        double sound = predictor.of(Set.of(), r);
        double anything = Math.exp(Search.unexplained(r, mostPressure));
        double h = 0;
        double[] left = new double[values.length];
        for (int i = 0; i < values.length; i++) {
            double error = Search.error(r, values[i]);
            for (int k = 0; k < NODES.length; k++) {
                double read = values[i] + NODES[k] * error;
                for (int j = 0; j < values.length; j++) {
                    left[j] = beliefs[j] * likely(r, read, values[j]);
                }
                h += beliefs[i] / whole * WEIGHTS[k] * unasked.entropy(left, likely(r, read, sound), anything);
            }
        }
        return h;
    }

    /**
     * Causes that are not asked one by one: the many hardly believed, which read as a sound aircraft does and are each
     * a suspect, and what no cause explains.
     */
    private record Unasked(double tail, double tailEntropy, double rest) {

        /** Of beliefs as a reading leaves them, with these weighed by how likely they make it. */
        double entropy(double[] left, double asSound, double anything) {
            double[] all = java.util.Arrays.copyOf(left, left.length + 2);
            all[left.length] = rest * anything;
            all[left.length + 1] = tail * asSound;
            double sum = java.util.Arrays.stream(all).sum();
            return Weighing.entropy(all) + (sum > 0 ? all[left.length + 1] / sum * tailEntropy : 0);
        }
    }

    private Unasked unasked(List<Explanation> asked) {
        double[] tail = explanations.stream()
                .filter(e -> e.fault().isPresent() && !asked.contains(e))
                .mapToDouble(Explanation::belief)
                .toArray();
        double sum = java.util.Arrays.stream(tail).sum();
        return new Unasked(
                sum,
                entropy(tail),
                Math.max(
                        0,
                        1
                                - sum
                                - asked.stream()
                                        .mapToDouble(Explanation::belief)
                                        .sum()));
    }

    private static double likely(Reading r, double read, double expected) {
        double e = Search.error(r, expected);
        return Math.exp(-0.5 * Math.pow((read - expected) / e, 2)) * r.error() / e;
    }
}
