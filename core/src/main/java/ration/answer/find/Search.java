package ration.answer.find;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import ration.aircraft.condition.Condition;
import ration.aircraft.condition.Fault;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Item;
import ration.aircraft.model.Pump;
import ration.answer.assess.Assessment;
import ration.answer.fault.Catalogue;
import ration.answer.find.Explanation.Fit;
import ration.base.quantity.Unit;
import ration.record.reading.Reading;

/**
 * Causes weighed by readings. Belief is how common a cause is times how likely it makes what was read, severities
 * averaged: a severity that has to be fitted just so counts less than a fault that fits as it is.
 */
public final class Search {

    /**
     * Shares before any reading: nothing wrong, all instruments together, something nobody thought of; common practice,
     * no source.
     */
    private static final double SOUND = 0.08;

    static final double INSTRUMENT = 0.10;
    private static final double UNKNOWN = 0.04;
    /** Error of the model: share of a figure, and Pa, m3/s, minutes. */
    private static final double MODEL = 0.07;

    private static final double PRESSURE = Unit.PSI.toSi(0.1);
    private static final double FLOW = Unit.GALLON_PER_HOUR.toSi(0.2);
    private static final double MINUTES = 1;
    private static final double KELVIN = 4;
    /** What is not explained may read anything within so many errors that are usual for such a reading. */
    private static final double ANYTHING = 40;

    private final Assessment assessment;
    private final FuelSystem system;
    private final Predictor predictor;
    private final Readable readable;
    private final List<Reading> readings;
    private final List<Cause> causes;
    private final List<Explanation> explanations = new ArrayList<>();

    private Search(Assessment assessment, Predictor predictor, List<Reading> readings) {
        this.assessment = assessment;
        this.readings = List.copyOf(readings);
        system = assessment.project().system();
        readable = new Readable(system);
        this.predictor = predictor;
        causes = causes(system, readings);
        weigh();
    }

    /** Of an aircraft of which something can be computed. */
    public static Search of(Assessment assessment, List<Reading> readings) {
        return new Search(assessment, new Predictor(assessment), readings);
    }

    /** The same aircraft with other readings: what was predicted is not worked out again. */
    public Search with(List<Reading> others) {
        return new Search(assessment, predictor, others);
    }

    /** What a reading would be with these parts failed, SI; minutes for a time. */
    public double predicted(Set<Fault> faults, Reading asked) {
        return predictor.of(faults, asked);
    }

    /** Every cause, the likeliest first; shares add up to 1. */
    public List<Explanation> explanations() {
        return List.copyOf(explanations);
    }

    /**
     * What no reading here feels: a gauge that is wrong is the instrument of a reading, a handle that is stuck shows
     * when it is turned.
     */
    private static final Set<Fault.Kind> UNFELT =
            Set.of(Fault.Kind.INDICATION_WRONG, Fault.Kind.SELECTOR_STUCK, Fault.Kind.FLAPPER_STUCK);

    static List<Cause> causes(FuelSystem system, List<Reading> readings) {
        Map<String, List<Fault>> ways = new LinkedHashMap<>();
        for (Fault f : Catalogue.of(system)) {
            if (UNFELT.contains(f.kind())) {
                continue;
            }
            ways.computeIfAbsent(f.kind() + " " + f.item() + " " + f.port(), k -> new ArrayList<>())
                    .add(f);
        }
        double sum = ways.values().stream()
                .mapToDouble(w -> Cause.common(w.get(0).kind()))
                .sum();
        double rest = 1 - SOUND - UNKNOWN - (readings.isEmpty() ? 0 : INSTRUMENT);
        List<Cause> all = new ArrayList<>();
        for (List<Fault> same : ways.values()) {
            Fault f = same.get(0);
            double[] tried = Cause.severities(f.kind());
            List<Fault> degrees = tried.length == 0
                    ? List.of(f)
                    : java.util.Arrays.stream(tried)
                            .mapToObj(s -> new Fault(f.kind(), f.item(), f.port(), s))
                            .toList();
            all.add(new Cause(CauseKind.FAULT, degrees, -1, rest * Cause.common(f.kind()) / sum));
        }
        all.add(new Cause(CauseKind.SOUND, List.of(), -1, SOUND));
        double eyes = readings.stream().mapToDouble(Search::mistaken).sum();
        for (int i = 0; i < readings.size(); i++) {
            all.add(new Cause(
                    CauseKind.INSTRUMENT, List.of(), i, INSTRUMENT * mistaken(readings.get(i)) / Math.max(1, eyes)));
        }
        all.add(new Cause(CauseKind.UNKNOWN, List.of(), -1, UNKNOWN));
        return all;
    }

    /**
     * How often a reading is wrong beside one of a gauge: who looks is mistaken more seldom, and that is in the chance
     * of the sign.
     */
    private static double mistaken(Reading r) {
        return r.what().sign() ? 0.2 : 1;
    }

    /** Of instrument and model together, SI. */
    static double error(Reading r, double expected) {
        double floor =
                switch (r.what()) {
                    case PRESSURE -> PRESSURE;
                    case FLOW, FALLS -> FLOW;
                    case MINUTES -> MINUTES + 0.2 * expected;
                    case TEMPERATURE -> KELVIN;
                    case VOLTS, AMPS -> 0.3;
                    case FLUTTERS, SILENT, STILL, WILL_NOT_FILL, OVERBOARD, DRIPS, WATER -> 0;
                };
        double share = r.what() == Reading.What.TEMPERATURE || r.what().sign() ? 0 : MODEL * expected;
        return Math.sqrt(r.error() * r.error() + floor * floor + share * share);
    }

    /**
     * A cause, weighed.
     *
     * @param log of its belief, to a constant that is the same for all
     * @param best as bad as fits best
     */
    private record Weighed(Cause cause, double log, List<Fit> fits, Optional<Fault> best) {}

    private Weighed weighed(Cause c) {
        int degrees = Math.max(1, c.faults().size());
        double[] logs = new double[degrees];
        int top = 0;
        for (int d = 0; d < degrees; d++) {
            logs[d] = log(c, d);
            top = logs[d] > logs[top] ? d : top;
        }
        double highest = logs[top];
        double mean = java.util.Arrays.stream(logs)
                .map(l -> Math.exp(l - highest))
                .average()
                .orElse(0);
        return new Weighed(
                c,
                Math.log(c.prior()) + highest + Math.log(mean),
                fits(c, top),
                c.faults().isEmpty() ? Optional.empty() : Optional.of(c.faults().get(top)));
    }

    private void weigh() {
        List<Weighed> all = causes.parallelStream().map(this::weighed).toList();
        double highest = all.stream().mapToDouble(Weighed::log).max().orElse(Double.NEGATIVE_INFINITY);
        double sum = all.stream().mapToDouble(w -> Math.exp(w.log - highest)).sum();
        all.forEach(w -> explanations.add(new Explanation(
                w.cause.sort(), name(w.cause), how(w.cause, w.best), w.best, Math.exp(w.log - highest) / sum, w.fits)));
        explanations.sort(Comparator.comparingDouble(Explanation::belief).reversed());
    }

    private static Set<Fault> faults(Cause c, int degree) {
        return c.faults().isEmpty() ? Set.of() : Set.of(c.faults().get(degree));
    }

    /** Log of how likely a cause makes the readings, to a constant that is the same for all. */
    private double log(Cause c, int degree) {
        double sum = 0;
        for (int i = 0; i < readings.size(); i++) {
            Reading r = readings.get(i);
            if (c.sort() == CauseKind.UNKNOWN || c.wrong() == i) {
                sum += r.what().sign() ? -Math.log(2) : unexplained(r, mostPressure(system));
            } else if (r.what().sign()) {
                sum += Math.log(chance(r, predictor.of(faults(c, degree), r)));
            } else {
                double expected = predictor.of(faults(c, degree), r);
                double error = error(r, expected);
                sum -= 0.5 * Math.pow((r.value() - expected) / error, 2) + Math.log(error / r.error());
            }
        }
        return sum;
    }

    /**
     * Log of how likely an unexplained reading is, to the constant of the others. The range it may lie in is that of
     * such readings and not of the instrument at hand: else a worse instrument would speak against what is unknown, and
     * so for a fault. An instrument so bad that it tells nothing leaves all as it was.
     *
     * @param most pressure anything here can make, Pa
     */
    static double unexplained(Reading r, double most) {
        double anything = Math.max(ANYTHING * r.what().usualError(), r.what() == Reading.What.PRESSURE ? most : 0);
        double range = Math.sqrt(anything * anything + 2 * Math.PI * r.error() * r.error());
        return -Math.log(range / (Math.sqrt(2 * Math.PI) * r.error()));
    }

    /** What all pumps can make one after the other, Pa: a gauge may show anything up to that. */
    static double mostPressure(FuelSystem system) {
        return system.all(Pump.class)
                .mapToDouble(p -> p.curve().stream()
                        .mapToDouble(c -> c.pressure().si())
                        .max()
                        .orElse(0))
                .sum();
    }

    /** That a sign that shows so often is, or is not, seen. */
    private static double chance(Reading r, double shows) {
        return r.value() > 0 ? shows : 1 - shows;
    }

    /** In errors; for a sign as far out as is as unlikely. */
    private static double deviation(Reading r, double expected) {
        return r.what().sign()
                ? Math.signum(r.value() - 0.5) * Math.sqrt(-2 * Math.log(chance(r, expected)))
                : (r.value() - expected) / error(r, expected);
    }

    private List<Fit> fits(Cause c, int degree) {
        List<Fit> all = new ArrayList<>();
        for (int i = 0; i < readings.size(); i++) {
            Reading r = readings.get(i);
            double expected =
                    c.sort() == CauseKind.UNKNOWN || c.wrong() == i ? Double.NaN : predictor.of(faults(c, degree), r);
            all.add(new Fit(expected, Double.isNaN(expected) ? 0 : deviation(r, expected)));
        }
        return all;
    }

    private String name(Cause c) {
        return switch (c.sort()) {
            case SOUND -> "No fault";
            case UNKNOWN -> "None of these";
            case INSTRUMENT -> "Instrument of reading " + (c.wrong() + 1);
            case FAULT -> {
                Fault f = c.first().orElseThrow();
                yield !Catalogue.whole(f).isEmpty()
                        ? Catalogue.whole(f)
                        : system.item(f.item()).map(Item::name).orElse(f.item())
                                + (f.port().isEmpty() ? "" : ", " + f.port());
            }
        };
    }

    private static String how(Cause c, Optional<Fault> fault) {
        return switch (c.sort()) {
            case SOUND -> "all as in the layout";
            case UNKNOWN -> "repeat readings, or two faults";
            case INSTRUMENT -> "reads wrong";
            case FAULT -> Catalogue.words(fault.orElseThrow());
        };
    }

    /** Suspects there are now: exp of the entropy of belief. */
    public double suspects() {
        return Math.exp(Weighing.entropy(
                explanations.stream().mapToDouble(Explanation::belief).toArray()));
    }

    /**
     * Readings that could be taken next: few suspects left for little work come first; half an hour weighs as much as
     * twice as many.
     */
    public List<NextReading> next(Condition now) {
        return new Weighing(predictor, readable, readings, explanations, mostPressure(system)).next(now);
    }

    /** Minutes a reading takes, the handles first being as they are in a case; common practice, no source. */
    public int minutes(Reading r, Condition now) {
        return readable.minutes(r, now);
    }

    /** Of whose readings. */
    public Assessment assessment() {
        return assessment;
    }
}
