package ration.answer.fault;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import ration.aircraft.condition.Fault;
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
 * demand arrives and what a pilot can do, as single failures are asked.
 *
 * @param hidden those that wait, the one with the most stops first
 * @param pairs asked
 * @param beyond names of single failures that are not computed: whether they wait, or follow, is not shown
 */
public record HiddenSearch(List<Hidden> hidden, int pairs, List<String> beyond) {

    public HiddenSearch {
        hidden = List.copyOf(hidden);
        beyond = List.copyOf(beyond);
    }

    /**
     * One that waits.
     *
     * @param stops second failures after which nothing restores the flow, though alone they are met or have a way out
     * @param unseen second failures that have a way out, but nothing shows them in time
     * @param notShown second failures of which the pair has no answer
     */
    public record Hidden(
            Fault fault, String part, List<FaultAnswer> stops, List<FaultAnswer> unseen, List<FaultAnswer> notShown) {

        public Hidden {
            stops = List.copyOf(stops);
            unseen = List.copyOf(unseen);
            notShown = List.copyOf(notShown);
        }

        /** The second failure that stops it soonest. */
        public Optional<FaultAnswer> worst() {
            return stops.stream().min(Comparator.comparingDouble(FaultAnswer::minutes));
        }

        public Finder finder() {
            return Finder.of(fault.kind());
        }

        /** Not shown while a pair is not; it fails while a second failure stops the engine. */
        public Verdict verdict() {
            return !stops.isEmpty()
                    ? Verdict.FAILS
                    : !notShown.isEmpty() ? Verdict.NOT_SHOWN : unseen.isEmpty() ? Verdict.HOLDS : Verdict.THIN;
        }
    }

    /** Of a document and its single failures; empty where nothing can be computed, or the task is cancelled. */
    public static Optional<HiddenSearch> of(Assessment a, List<FaultAnswer> singles, UnitSystem units, Task task) {
        if (a.blocked() || a.basis().isEmpty()) {
            return Optional.empty();
        }
        List<Asked> cases = governing(a);
        if (cases.isEmpty()) {
            return Optional.empty();
        }
        FaultSearch alone = FaultSearch.in(a, units, cases);
        List<Fault> computed = worstOfEach(singles.stream()
                .filter(f -> f.verdict() != Verdict.NOT_SHOWN && f.fault().kind() != Fault.Kind.FUEL_VOLATILE)
                .map(FaultAnswer::fault)
                .toList());
        Map<Fault, FaultAnswer> single = new LinkedHashMap<>();
        singles.forEach(f -> single.put(f.fault(), f));
        List<Fault> waits = computed.parallelStream()
                .filter(f -> single.get(f).verdict() == Verdict.HOLDS && !alone.shows(f))
                .toList();
        Map<Fault, FaultAnswer.Group> seconds = new LinkedHashMap<>();
        List<String> beyond = new ArrayList<>(singles.stream()
                .filter(f -> f.verdict() == Verdict.NOT_SHOWN)
                .map(HiddenSearch::named)
                .toList());
        computed.parallelStream().map(alone::ask).toList().forEach(f -> {
            switch (f.group()) {
                // one that stops the engine alone needs nothing that waits
                case NO_WAY_OUT -> {}
                case NOT_SHOWN -> beyond.add(named(f));
                case TOO_LATE, WAY_OUT, NO_HARM -> seconds.put(f.fault(), f.group());
            }
        });
        Steps steps = new Steps(task.progress(), waits.size());
        List<Hidden> found = waits.parallelStream()
                .filter(h -> !task.cancelled().getAsBoolean())
                .map(h -> {
                    Hidden one = with(a, units, cases, h, single.get(h).part(), seconds, task);
                    steps.done();
                    return one;
                })
                .filter(h -> !task.cancelled().getAsBoolean())
                .sorted(Comparator.comparing(Hidden::verdict).reversed().thenComparing(h -> -h.stops()
                        .size()))
                .toList();
        return task.cancelled().getAsBoolean()
                ? Optional.empty()
                : Optional.of(new HiddenSearch(
                        found,
                        waits.size() * seconds.size(),
                        beyond.stream().distinct().toList()));
    }

    private static String named(FaultAnswer f) {
        return f.part() + " " + Catalogue.words(f.fault());
    }

    /** One pair by the plain way, for whoever wants to check it. */
    static FaultAnswer pair(Assessment a, Fault hidden, Fault second) {
        return FaultSearch.in(a, UnitSystem.US, waiting(a, governing(a), hidden))
                .ask(second);
    }

    private static Hidden with(
            Assessment a,
            UnitSystem units,
            List<Asked> cases,
            Fault hidden,
            String part,
            Map<Fault, FaultAnswer.Group> seconds,
            Task task) {
        FaultSearch search = FaultSearch.in(a, units, waiting(a, cases, hidden));
        List<FaultAnswer> stops = new ArrayList<>();
        List<FaultAnswer> unseen = new ArrayList<>();
        List<FaultAnswer> notShown = new ArrayList<>();
        for (Map.Entry<Fault, FaultAnswer.Group> second : seconds.entrySet()) {
            Fault s = second.getKey();
            if (task.cancelled().getAsBoolean()
                    || s.item().equals(hidden.item()) && s.port().equals(hidden.port())) {
                continue;
            }
            FaultAnswer both = search.ask(s);
            switch (both.group()) {
                case NO_WAY_OUT -> stops.add(both);
                case TOO_LATE -> {
                    if (second.getValue() != FaultAnswer.Group.TOO_LATE) {
                        unseen.add(both);
                    }
                }
                case NOT_SHOWN -> notShown.add(both);
                case WAY_OUT, NO_HARM -> {
                    // the pilot switches, or nothing is wanted
                }
            }
        }
        return new Hidden(hidden, part, stops, unseen, notShown);
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
