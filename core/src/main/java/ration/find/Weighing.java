package ration.find;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import ration.condition.Condition;
import ration.reading.Reading;

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

    Weighing(Predictor predictor, Readable readable, List<Reading> readings, List<Explanation> explanations) {
        this.predictor = predictor;
        this.readable = readable;
        this.readings = readings;
        this.explanations = explanations;
    }

    List<NextReading> next(Condition now) {
        List<Explanation> asked = explanations.stream().filter(e -> e.belief() > ASKED && (e.fault().isPresent() || e.name().startsWith("Nothing")))
                .limit(MOST_ASKED).toList();
        if (asked.size() < 2) {
            return List.of();
        }
        List<Reading> open = readable.now(now, asked.stream().flatMap(e -> e.fault().stream()).toList()).stream().filter(r -> readings.stream().noneMatch(x -> x.place().equals(r.place())
                && x.what() == r.what() && x.setting().equals(r.setting()))).toList();
        // cause by cause, so that the readings that take long are spread over those who work
        asked.stream().flatMap(e -> open.stream().map(r -> Map.entry(e, r))).toList().parallelStream().forEach(k -> predicted(k.getKey(), k.getValue()));
        List<NextReading> all = new ArrayList<>(open.stream().map(r -> judged(r, asked, now)).toList());
        all.sort(Comparator.comparingDouble((NextReading n) -> n.left() * (1 + n.minutes() / WORTH)));
        return all;
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
        List<NextReading.Outcome> outcomes = new ArrayList<>();
        double h = 0;
        for (double seen : new double[] {1, 0}) {
            Map<Explanation, Double> left = new LinkedHashMap<>();
            for (Explanation e : asked) {
                double shows = predicted(e, r);
                left.put(e, e.belief() * (seen > 0 ? shows : 1 - shows));
            }
            double chance = left.values().stream().mapToDouble(x -> x).sum() / whole;
            h += chance * entropy(left.values().stream().mapToDouble(x -> x).toArray());
            outcomes.add(new NextReading.Outcome(seen, seen, chance, left.entrySet().stream().filter(e -> e.getValue() > LEFT * chance * whole).sorted(Map.Entry
                    .<Explanation, Double>comparingByValue().reversed()).map(e -> e.getKey().name() + " " + e.getKey().how()).toList()));
        }
        outcomes.sort(Comparator.comparingDouble(NextReading.Outcome::chance).reversed());
        return new NextReading(Reading.sign(r.place(), r.what(), outcomes.get(0).from() > 0, r.setting()), readable.words(r, now), readable.minutes(r, now), readable.caution(r), Math.exp(
                h), outcomes);
    }

    /** Causes with a smaller share are not named among what an outcome leaves. */
    private static final double LEFT = 0.02;

    private NextReading judged(Reading r, List<Explanation> asked, Condition now) {
        if (r.what().sign()) {
            return looked(r, asked, now);
        }
        record Guess(double value, Explanation of) {
        }
        List<Guess> guesses = new ArrayList<>(asked.stream().map(e -> new Guess(predicted(e, r), e)).sorted(
                Comparator.comparingDouble(Guess::value)).toList());
        double whole = asked.stream().mapToDouble(Explanation::belief).sum();
        List<NextReading.Outcome> outcomes = new ArrayList<>();
        double h = 0;
        int from = 0;
        for (int i = 1; i <= guesses.size(); i++) {
            boolean apart = i == guesses.size() || guesses.get(i).value() - guesses.get(i - 1).value() > 2 * Search.error(r, guesses.get(i - 1).value());
            if (apart) {
                List<Guess> group = guesses.subList(from, i);
                double chance = group.stream().mapToDouble(g -> g.of().belief()).sum() / whole;
                h += chance * entropy(group.stream().mapToDouble(g -> g.of().belief()).toArray());
                outcomes.add(new NextReading.Outcome(group.get(0).value(), group.get(group.size() - 1).value(), chance, group.stream().map(Guess::of)
                        .sorted(Comparator.comparingDouble(Explanation::belief).reversed()).map(e -> e.name() + " " + e.how()).toList()));
                from = i;
            }
        }
        outcomes.sort(Comparator.comparingDouble(NextReading.Outcome::chance).reversed());
        double expected = predicted(asked.get(0), r);
        return new NextReading(new Reading(r.place(), r.what(), expected, r.error(), r.setting()), readable.words(r, now), readable.minutes(r, now), readable.caution(r), Math.exp(h),
                outcomes);
    }
}
