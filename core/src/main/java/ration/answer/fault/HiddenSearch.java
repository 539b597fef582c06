package ration.answer.fault;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Predicate;
import ration.aircraft.condition.Fault;
import ration.aircraft.condition.Fault.Kind;
import ration.answer.assess.Assessment;
import ration.answer.assess.FaultCases;
import ration.answer.assess.FaultCases.Asked;
import ration.base.quantity.UnitSystem;
import ration.base.task.Steps;
import ration.base.task.Task;
import ration.physics.flow.FlowBasis;
import ration.verdict.check.Verdict;

/**
 * Failures that show nothing and wait; then one more stops the engine. Asked in the governing case of each position of
 * the selectors, all pumps on: every pair of a hidden failure and a second one, with the minutes until less than the
 * demand arrives and what a pilot can do, as single failures are asked. Of one way to fail of one part the worst degree
 * that still waits is asked, and the worst that does not stop the engine alone.
 *
 * @param seconds those that follow, in layout order, as they are with nothing hidden
 * @param hidden those that wait, the one with the most stops first
 * @param pairs asked
 * @param folded milder degrees that wait too, and are not asked apart
 * @param beyond names of single failures that are not computed: whether they wait, or follow, is not shown
 * @param finished whether every pair was asked; where not, those left are not shown
 */
public record HiddenSearch(
        List<FaultAnswer> seconds, List<Hidden> hidden, int pairs, int folded, List<String> beyond, boolean finished) {

    public HiddenSearch {
        seconds = List.copyOf(seconds);
        hidden = List.copyOf(hidden);
        beyond = List.copyOf(beyond);
    }

    /** What a pair does. */
    public enum Outcome {
        /** Less than the demand arrives, and nothing that a pilot can switch restores it. */
        STOPS,
        /** A way out is left, but nothing shows it in time. */
        UNSEEN,
        /** The pilot switches, in time. */
        SWITCHED,
        /** The demand is met. */
        MET,
        /** The pair has no answer. */
        NOT_SHOWN,
        /** It was stopped before this pair. */
        NOT_RUN,
        /** What waits has failed already. */
        SAME_PART
    }

    /**
     * A second failure while the hidden one waits.
     *
     * @param both the answer with both in; empty where none was asked
     */
    public record Pair(Fault second, Outcome outcome, Optional<FaultAnswer> both) {}

    /**
     * One that waits.
     *
     * @param pairs with each second failure, in their order
     * @param telling whether a fitted instrument moves past its error where the check that finds it is done
     */
    public record Hidden(Fault fault, String part, List<Pair> pairs, boolean telling) {

        public Hidden {
            pairs = List.copyOf(pairs);
        }

        private List<FaultAnswer> of(Outcome outcome) {
            return pairs.stream()
                    .filter(p -> p.outcome() == outcome)
                    .flatMap(p -> p.both().stream())
                    .toList();
        }

        /** Second failures after which nothing restores the flow, though alone they are met or have a way out. */
        public List<FaultAnswer> stops() {
            return of(Outcome.STOPS);
        }

        /** Second failures that have a way out, but nothing shows them in time. */
        public List<FaultAnswer> unseen() {
            return of(Outcome.UNSEEN);
        }

        /** Second failures of which the pair has no answer. */
        public List<FaultAnswer> notShown() {
            return of(Outcome.NOT_SHOWN);
        }

        /** The second failure that stops it soonest. */
        public Optional<FaultAnswer> worst() {
            return stops().stream().min(Comparator.comparingDouble(FaultAnswer::minutes));
        }

        public Finder finder() {
            return Finder.of(fault.kind());
        }

        private boolean any(Outcome outcome) {
            return pairs.stream().anyMatch(p -> p.outcome() == outcome);
        }

        /** Not shown while a pair is not; it fails while a second failure stops the engine. */
        public Verdict verdict() {
            return any(Outcome.STOPS)
                    ? Verdict.FAILS
                    : any(Outcome.NOT_SHOWN) || any(Outcome.NOT_RUN)
                            ? Verdict.NOT_SHOWN
                            : any(Outcome.UNSEEN) ? Verdict.THIN : Verdict.HOLDS;
        }
    }

    /** Those that wait and then stop the engine. */
    public List<Hidden> stopping() {
        return hidden.stream().filter(h -> !h.stops().isEmpty()).toList();
    }

    /** Of a document and its single failures; empty where nothing can be computed. Cancelled, it keeps what is done. */
    public static Optional<HiddenSearch> of(Assessment a, List<FaultAnswer> singles, UnitSystem units, Task task) {
        if (a.blocked() || a.basis().isEmpty()) {
            return Optional.empty();
        }
        List<Asked> cases = governing(a);
        if (cases.isEmpty()) {
            return Optional.empty();
        }
        FaultSearch alone = FaultSearch.in(a, units, cases);
        Map<Fault, FaultAnswer> single = new LinkedHashMap<>();
        singles.forEach(f -> single.put(f.fault(), f));
        List<Fault> computed = Catalogue.of(a.project().system()).stream()
                .filter(single::containsKey)
                .filter(f -> single.get(f).verdict() != Verdict.NOT_SHOWN && f.kind() != Kind.FUEL_VOLATILE)
                .toList();
        List<Fault> waiting = computed.parallelStream()
                .filter(f -> single.get(f).verdict() == Verdict.HOLDS && !alone.shows(f))
                .toList();
        List<Fault> waits = worstOfEach(waiting);
        Set<String> beyond = new LinkedHashSet<>();
        singles.stream()
                .filter(f -> f.verdict() == Verdict.NOT_SHOWN)
                .map(HiddenWords::name)
                .forEach(beyond::add);
        Map<Fault, FaultAnswer> follow = new LinkedHashMap<>();
        for (FaultAnswer f : computed.parallelStream().map(alone::ask).toList()) {
            switch (f.group()) {
                // one that stops the engine alone needs nothing that waits
                case NO_WAY_OUT -> {}
                case NOT_SHOWN -> beyond.add(HiddenWords.name(f));
                case TOO_LATE, WAY_OUT, NO_HARM -> follow.put(f.fault(), f);
            }
        }
        List<Fault> seconds = worstOfEach(List.copyOf(follow.keySet()));
        Pairs pairs = new Pairs(a, units, cases, waits, seconds);
        Map<Fault, Map<Fault, FaultAnswer>> answers = pairs.ask(task);
        FlowBasis apart = a.basis().orElseThrow().aside();
        List<Hidden> found = waits.stream()
                .map(h -> new Hidden(
                        h,
                        single.get(h).part(),
                        seconds.stream()
                                .map(s -> pair(h, follow.get(s), answers.getOrDefault(h, Map.of())))
                                .toList(),
                        telling(a, apart, alone, h)))
                .sorted(Comparator.comparing(Hidden::verdict).reversed().thenComparing(h -> -h.stops()
                        .size()))
                .toList();
        return Optional.of(new HiddenSearch(
                seconds.stream().map(follow::get).toList(),
                found,
                (int) found.stream()
                        .flatMap(h -> h.pairs().stream())
                        .filter(p -> p.outcome() != Outcome.SAME_PART)
                        .count(),
                waiting.size() - waits.size(),
                List.copyOf(beyond),
                found.stream().flatMap(h -> h.pairs().stream()).noneMatch(p -> p.outcome() == Outcome.NOT_RUN)));
    }

    private static Pair pair(Fault hidden, FaultAnswer second, Map<Fault, FaultAnswer> answers) {
        Fault s = second.fault();
        if (samePart(hidden, s)) {
            return new Pair(s, Outcome.SAME_PART, Optional.empty());
        }
        Optional<FaultAnswer> both = Optional.ofNullable(answers.get(s));
        Outcome outcome = both.map(b -> switch (b.group()) {
                    case NO_WAY_OUT -> Outcome.STOPS;
                    // alone it comes as late: what waits adds nothing
                    case TOO_LATE -> second.group() == FaultAnswer.Group.TOO_LATE ? Outcome.SWITCHED : Outcome.UNSEEN;
                    case NOT_SHOWN -> Outcome.NOT_SHOWN;
                    case WAY_OUT -> Outcome.SWITCHED;
                    case NO_HARM -> Outcome.MET;
                })
                .orElse(Outcome.NOT_RUN);
        return new Pair(s, outcome, both);
    }

    /** Ways to fail of which a part has one at a time: what is dead is not weak too. */
    private static final List<Set<Kind>> ONE_AT_A_TIME = List.of(
            EnumSet.of(Kind.PUMP_DEAD, Kind.PUMP_WEAK, Kind.RELIEF_STUCK_OPEN),
            EnumSet.of(Kind.CHECK_STUCK_OPEN, Kind.CHECK_STUCK_SHUT),
            EnumSet.of(Kind.REGULATOR_STUCK_OPEN, Kind.REGULATOR_STUCK_SHUT),
            EnumSet.of(Kind.NEEDLE_STUCK_OPEN, Kind.NEEDLE_STUCK_SHUT),
            EnumSet.of(Kind.VENT_SHUT, Kind.VENT_HOLDS_LIQUID));

    private static boolean samePart(Fault x, Fault y) {
        return x.item().equals(y.item())
                && x.port().equals(y.port())
                && (x.kind() == y.kind()
                        || ONE_AT_A_TIME.stream().anyMatch(s -> s.contains(x.kind()) && s.contains(y.kind())));
    }

    /** One pair by the plain way, for whoever wants to check it. */
    static FaultAnswer pair(Assessment a, Fault hidden, Fault second) {
        return FaultSearch.in(a, UnitSystem.US, waiting(a, governing(a), hidden))
                .ask(second);
    }

    /** Every pair once: where each of two waits for the other, their networks are solved for both. */
    private record Pairs(Assessment a, UnitSystem units, List<Asked> cases, List<Fault> waits, List<Fault> seconds) {

        private record Two(Fault first, Fault other) {}

        Map<Fault, Map<Fault, FaultAnswer>> ask(Task task) {
            Set<Fault> waiting = new LinkedHashSet<>(waits);
            Set<Fault> following = new LinkedHashSet<>(seconds);
            Set<Set<Fault>> seen = new LinkedHashSet<>();
            List<Two> all = new ArrayList<>();
            for (Fault h : waits) {
                for (Fault s : seconds) {
                    if (!samePart(h, s) && seen.add(Set.of(h, s))) {
                        all.add(new Two(h, s));
                    }
                }
            }
            Map<Fault, FaultSearch> searches = new ConcurrentHashMap<>();
            Map<Fault, Map<Fault, FaultAnswer>> answers = new ConcurrentHashMap<>();
            waits.forEach(h -> answers.put(h, new ConcurrentHashMap<>()));
            Steps steps = new Steps(task.progress(), all.size());
            Predicate<Fault> waitsToo = waiting::contains;
            all.parallelStream().forEach(two -> {
                if (task.cancelled().getAsBoolean()) {
                    return;
                }
                Together together = Together.pair();
                FaultAnswer one = search(searches, two.first).sharing(together).ask(two.other);
                if (waitsToo.test(two.other) && following.contains(two.first)) {
                    answers.get(two.other)
                            .put(
                                    two.first,
                                    search(searches, two.other)
                                            .sharing(together)
                                            .ask(two.first));
                }
                answers.get(two.first).put(two.other, one);
                steps.done();
            });
            return answers;
        }

        private FaultSearch search(Map<Fault, FaultSearch> searches, Fault hidden) {
            FaultSearch known = searches.get(hidden);
            if (known == null) {
                known = FaultSearch.in(a, units, waiting(a, cases, hidden));
                searches.put(hidden, known);
            }
            return known;
        }
    }

    /**
     * Whether some fitted instrument tells a hidden failure where its check is done: each pump alone; the others are
     * looked at, or read with a gauge that is put on.
     */
    private static boolean telling(Assessment a, FlowBasis apart, FaultSearch alone, Fault hidden) {
        return Finder.of(hidden.kind()) != Finder.EACH_PUMP_ALONE || alone.showsOnOnePump(apart, hidden);
    }

    /** The cases with a failure in them that nobody sees. */
    private static List<Asked> waiting(Assessment a, List<Asked> cases, Fault hidden) {
        FlowBasis apart = a.basis().orElseThrow().aside();
        return cases.stream()
                .map(c -> new Asked(FaultCases.failed(a, apart, c.sound(), hidden), c.airs(), c.flown()))
                .toList();
    }

    /** The least margin of each position of the selectors that holds with nothing failed, steady, all pumps on. */
    private static List<Asked> governing(Assessment a) {
        Map<Map<String, String>, Asked> least = new LinkedHashMap<>();
        for (Asked c : FaultCases.all(a, List.of())) {
            if (c.sound().steady()
                    && c.sound().condition().stopped().isEmpty()
                    && c.sound().filling().dry().isEmpty()
                    && FaultCases.holds(a, c)) {
                least.merge(
                        c.sound().condition().positions(),
                        c,
                        (x, y) -> FaultCases.arrives(x.sound()) <= FaultCases.arrives(y.sound()) ? x : y);
            }
        }
        return List.copyOf(least.values());
    }

    /** Of one way to fail of one part the worst degree: milder ones fold into it. */
    private static List<Fault> worstOfEach(List<Fault> all) {
        Map<List<Object>, Fault> worst = new LinkedHashMap<>();
        for (Fault f : all) {
            worst.merge(List.of(f.kind(), f.item(), f.port()), f, (x, y) -> worse(x, y) ? x : y);
        }
        return List.copyOf(worst.values());
    }

    private static boolean worse(Fault x, Fault y) {
        boolean less = x.kind() == Fault.Kind.LINE_PINCHED
                || x.kind() == Fault.Kind.PUMP_WEAK
                || x.kind() == Fault.Kind.SELECTOR_BETWEEN;
        return less ? x.severity() <= y.severity() : x.severity() >= y.severity();
    }
}
