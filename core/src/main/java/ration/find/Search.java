package ration.find;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import ration.assess.Assessment;
import ration.assess.PumpSet;
import ration.condition.Condition;
import ration.condition.Fault;
import ration.fault.Catalogue;
import ration.find.Cause.Sort;
import ration.find.Explanation.Fit;
import ration.model.Filter;
import ration.model.FlowSender;
import ration.model.FuelSystem;
import ration.model.Item;
import ration.model.Pump;
import ration.model.Strainer;
import ration.quantity.Unit;
import ration.reading.Reading;
import ration.reading.Setting.Manoeuvre;
import ration.reading.Setting;
import ration.topology.Topology;

/**
 * Causes weighed by readings. Belief is how common a cause is times how likely it makes what was read, severities averaged: a
 * severity that has to be fitted just so counts less than a fault that fits as it is.
 */
public final class Search {

    /** Shares before any reading: nothing wrong, all instruments together, something nobody thought of; common practice, no source. */
    private static final double SOUND = 0.08;
    static final double INSTRUMENT = 0.10;
    private static final double UNKNOWN = 0.04;
    /** Error of the model: share of a figure, and Pa, m3/s, minutes. */
    private static final double MODEL = 0.07;
    private static final double PRESSURE = Unit.PSI.toSi(0.1);
    private static final double FLOW = Unit.GALLON_PER_HOUR.toSi(0.2);
    private static final double MINUTES = 1;
    /** What is not explained may read anything within so many of its errors: ln of that over the height of a bell. */
    private static final double ANYTHING = Math.log(40 / Math.sqrt(2 * Math.PI));
    /** Minutes of work that a suspect less is worth twice over; common practice, no source. */
    private static final double WORTH = 30;
    /** Causes with less belief are not asked about the next reading; at most so many are. */
    private static final double ASKED = 0.002;
    private static final int MOST_ASKED = 24;

    private final Assessment assessment;
    private final FuelSystem system;
    private final Predictor predictor;
    private final List<Reading> readings;
    private final List<Cause> causes;
    private final List<Explanation> explanations = new ArrayList<>();

    private Search(Assessment assessment, Predictor predictor, List<Reading> readings) {
        this.assessment = assessment;
        this.readings = List.copyOf(readings);
        system = assessment.project().system();
        this.predictor = predictor;
        causes = causes(system, readings.size());
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

    static List<Cause> causes(FuelSystem system, int readings) {
        Map<String, List<Fault>> ways = new LinkedHashMap<>();
        for (Fault f : Catalogue.of(system)) {
            ways.computeIfAbsent(f.kind() + " " + f.item() + " " + f.port(), k -> new ArrayList<>()).add(f);
        }
        double sum = ways.values().stream().mapToDouble(w -> Cause.common(w.get(0).kind())).sum();
        double rest = 1 - SOUND - UNKNOWN - (readings > 0 ? INSTRUMENT : 0);
        List<Cause> all = new ArrayList<>();
        for (List<Fault> same : ways.values()) {
            Fault f = same.get(0);
            double[] tried = Cause.severities(f.kind());
            List<Fault> degrees = tried.length == 0 ? List.of(f) : java.util.Arrays.stream(tried).mapToObj(s -> new Fault(f.kind(), f.item(), f.port(),
                    s)).toList();
            all.add(new Cause(Sort.FAULT, degrees, -1, rest * Cause.common(f.kind()) / sum));
        }
        all.add(new Cause(Sort.SOUND, List.of(), -1, SOUND));
        for (int i = 0; i < readings; i++) {
            all.add(new Cause(Sort.INSTRUMENT, List.of(), i, INSTRUMENT / readings));
        }
        all.add(new Cause(Sort.UNKNOWN, List.of(), -1, UNKNOWN));
        return all;
    }

    /** Of instrument and model together, SI. */
    static double error(Reading r, double expected) {
        double floor = switch (r.what()) {
            case PRESSURE -> PRESSURE;
            case FLOW -> FLOW;
            case MINUTES -> MINUTES + 0.2 * expected;
        };
        return Math.sqrt(r.error() * r.error() + floor * floor + Math.pow(MODEL * expected, 2));
    }

    private void weigh() {
        List<double[]> found = new ArrayList<>();
        double most = Double.NEGATIVE_INFINITY;
        List<List<Fit>> fits = new ArrayList<>();
        List<Optional<Fault>> best = new ArrayList<>();
        for (Cause c : causes) {
            int degrees = Math.max(1, c.faults().size());
            double[] logs = new double[degrees];
            int top = 0;
            for (int d = 0; d < degrees; d++) {
                logs[d] = log(c, d);
                top = logs[d] > logs[top] ? d : top;
            }
            double highest = logs[top];
            double mean = java.util.Arrays.stream(logs).map(l -> Math.exp(l - highest)).average().orElse(0);
            double log = Math.log(c.prior()) + highest + Math.log(mean);
            most = Math.max(most, log);
            found.add(new double[] {log});
            fits.add(fits(c, top));
            best.add(c.faults().isEmpty() ? Optional.empty() : Optional.of(c.faults().get(top)));
        }
        double highest = most;
        double sum = found.stream().mapToDouble(l -> Math.exp(l[0] - highest)).sum();
        for (int i = 0; i < causes.size(); i++) {
            explanations.add(new Explanation(name(causes.get(i)), how(causes.get(i), best.get(i)), best.get(i), Math.exp(found.get(i)[0] - highest)
                    / sum, fits.get(i)));
        }
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
            if (c.sort() == Sort.UNKNOWN || c.wrong() == i) {
                sum -= ANYTHING;
            } else {
                double expected = predictor.of(faults(c, degree), r);
                double error = error(r, expected);
                sum -= 0.5 * Math.pow((r.value() - expected) / error, 2) + Math.log(error / r.error());
            }
        }
        return sum;
    }

    private List<Fit> fits(Cause c, int degree) {
        List<Fit> all = new ArrayList<>();
        for (int i = 0; i < readings.size(); i++) {
            Reading r = readings.get(i);
            double expected = c.sort() == Sort.UNKNOWN || c.wrong() == i ? Double.NaN : predictor.of(faults(c, degree), r);
            all.add(new Fit(expected, Double.isNaN(expected) ? 0 : (r.value() - expected) / error(r, expected)));
        }
        return all;
    }

    private String name(Cause c) {
        return switch (c.sort()) {
            case SOUND -> "Nothing is wrong";
            case UNKNOWN -> "None of these";
            case INSTRUMENT -> "Instrument of reading " + (c.wrong() + 1);
            case FAULT -> {
                Fault f = c.first().orElseThrow();
                yield f.kind() == Fault.Kind.SUPPLY_DEAD ? "Electric supply" : system.item(f.item()).map(Item::name).orElse(f.item()) + (f.port()
                        .isEmpty() ? "" : ", " + f.port());
            }
        };
    }

    private static String how(Cause c, Optional<Fault> fault) {
        return switch (c.sort()) {
            case SOUND -> "all as laid out";
            case UNKNOWN -> "read again, or two faults";
            case INSTRUMENT -> "reads wrong";
            case FAULT -> Catalogue.words(fault.orElseThrow());
        };
    }

    /** Suspects there are now: exp of the entropy of belief. */
    public double suspects() {
        return Math.exp(entropy(explanations.stream().mapToDouble(Explanation::belief).toArray()));
    }

    private static double entropy(double[] shares) {
        double sum = java.util.Arrays.stream(shares).sum();
        double h = 0;
        for (double s : shares) {
            h -= s > 0 && sum > 0 ? s / sum * Math.log(s / sum) : 0;
        }
        return h;
    }

    /** Readings that could be taken next: few suspects left for little work come first; half an hour weighs as much as twice as many. */
    public List<NextReading> next(Condition now) {
        List<Explanation> asked = explanations.stream().filter(e -> e.belief() > ASKED && (e.fault().isPresent() || e.name().startsWith("Nothing")))
                .limit(MOST_ASKED).toList();
        if (asked.size() < 2) {
            return List.of();
        }
        List<NextReading> all = new ArrayList<>();
        for (Setting s : settings(now)) {
            for (Reading r : gauges(s)) {
                boolean taken = readings.stream().anyMatch(x -> x.place().equals(r.place()) && x.what() == r.what() && x.setting().equals(s));
                if (!taken) {
                    all.add(judged(r, asked, now));
                }
            }
        }
        all.sort(Comparator.comparingDouble((NextReading n) -> n.left() * (1 + n.minutes() / WORTH)));
        return all;
    }

    /** As set, on every other handle, with each set of pumps, and what can be done beside. */
    private List<Setting> settings(Condition now) {
        List<Setting> all = new ArrayList<>(List.of(new Setting(now)));
        Assessment.positions(system).stream().filter(p -> !p.equals(now.positions())).forEach(p -> all.add(new Setting(now.withPositions(p))));
        PumpSet.of(system).stream().filter(p -> !p.stopped().equals(now.stopped())).forEach(p -> all.add(new Setting(now.withStopped(p.stopped()))));
        if (system.runs().stream().anyMatch(Topology.of(system)::returns)) {
            all.add(new Setting(now).with(Manoeuvre.RETURN_PINCHED));
            all.add(new Setting(now).with(Manoeuvre.RETURN_PINCHED).with(Manoeuvre.ENGINE_STOPPED));
        }
        all.add(new Setting(now).with(Manoeuvre.CAP_LOOSENED));
        all.add(new Setting(now).with(Manoeuvre.LINE_OPEN));
        return all;
    }

    private List<Reading> gauges(Setting s) {
        String inlet = system.inlet().orElseThrow().id();
        double psi = Unit.PSI.toSi(0.3);
        double gph = Unit.GALLON_PER_HOUR.toSi(0.5);
        if (s.has(Manoeuvre.LINE_OPEN)) {
            return List.of(new Reading(inlet, Reading.What.FLOW, 0, gph, s));
        }
        if (s.has(Manoeuvre.CAP_LOOSENED)) {
            return List.of(new Reading(inlet, Reading.What.MINUTES, 0, 1, s));
        }
        List<Reading> all = new ArrayList<>(List.of(new Reading(inlet, Reading.What.PRESSURE, 0, psi, s)));
        system.items().stream().filter(i -> i.only(Pump.class).isPresent() || i.only(Strainer.class).isPresent() || i.only(Filter.class).isPresent())
                .forEach(i -> all.add(new Reading(i.id() + ".out", Reading.What.PRESSURE, 0, psi, s)));
        system.all(FlowSender.class).forEach(f -> all.add(new Reading(f.id(), Reading.What.FLOW, 0, gph, s)));
        if (s.manoeuvres().isEmpty()) {
            all.add(new Reading(inlet, Reading.What.MINUTES, 0, 1, s));
        }
        return all;
    }

    private NextReading judged(Reading r, List<Explanation> asked, Condition now) {
        record Guess(double value, Explanation of) {
        }
        List<Guess> guesses = new ArrayList<>(asked.stream().map(e -> new Guess(predictor.of(e.fault().map(Set::of).orElse(Set.of()), r), e)).sorted(
                Comparator.comparingDouble(Guess::value)).toList());
        double whole = asked.stream().mapToDouble(Explanation::belief).sum();
        List<NextReading.Outcome> outcomes = new ArrayList<>();
        double h = 0;
        int from = 0;
        for (int i = 1; i <= guesses.size(); i++) {
            boolean apart = i == guesses.size() || guesses.get(i).value() - guesses.get(i - 1).value() > 2 * error(r, guesses.get(i - 1).value());
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
        double expected = predictor.of(asked.get(0).fault().map(Set::of).orElse(Set.of()), r);
        return new NextReading(new Reading(r.place(), r.what(), expected, r.error(), r.setting()), words(r, now), minutes(r, now), caution(r), Math.exp(h),
                outcomes);
    }

    private static boolean atInlet(FuelSystem system, Reading r) {
        return r.place().equals(system.inlet().orElseThrow().id());
    }

    /** Minutes a reading takes, the handles first being as they are in a case; common practice, no source. */
    public int minutes(Reading r, Condition now) {
        int work = r.what() == Reading.What.MINUTES ? 15 : r.what() == Reading.What.FLOW ? 2 : atInlet(system, r) ? 2 : 25;
        int set = r.setting().condition().positions().equals(now.positions()) && r.setting().condition().stopped().equals(now.stopped()) ? 0 : 1;
        return work + set + r.setting().manoeuvres().stream().mapToInt(Manoeuvre::minutes).sum();
    }

    private String caution(Reading r) {
        List<String> all = new ArrayList<>(r.setting().manoeuvres().stream().map(Manoeuvre::caution).filter(c -> !c.isEmpty()).sorted().toList());
        if (r.what() == Reading.What.PRESSURE && !atInlet(system, r)) {
            all.add("A joint has to be opened: catch the fuel, ventilate, no ignition source, extinguisher at hand; leak check after.");
        }
        return String.join(" ", all);
    }

    private String words(Reading r, Condition now) {
        String what = r.what() == Reading.What.MINUTES ? "Minutes until the engine falters" : (r.what() == Reading.What.PRESSURE ? "Pressure at "
                : r.setting().has(Manoeuvre.LINE_OPEN) ? "Flow of the open line at " : "Flow at ") + r.named(system);
        List<String> how = new ArrayList<>();
        Condition c = r.setting().condition();
        c.positions().forEach((id, p) -> {
            if (!p.equals(now.positions().get(id))) {
                how.add(p);
            }
        });
        if (!c.stopped().equals(now.stopped())) {
            how.add(PumpSet.of(system, c.stopped()).label());
        }
        r.setting().manoeuvres().stream().sorted().map(Manoeuvre::word).filter(w -> !w.equals("line open")).forEach(how::add);
        return what + (how.isEmpty() ? ", as set" : ", " + String.join(", ", how));
    }

    /** Of whose readings. */
    public Assessment assessment() {
        return assessment;
    }
}
