package ration.answer.plan;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.Deque;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * When steps that wait for one another can begin at the earliest and must begin at the latest (critical path method, a
 * published standard of planning, from memory): earliest = the later of its delivery and the end of all it needs;
 * latest backward from the end of the whole; float = latest - earliest. Hours of work, any number of hands.
 *
 * @param <K> what steps are called by
 */
public final class CriticalPath<K> {

    /**
     * A step.
     *
     * @param hours it takes, 0 or more
     * @param ready hours from now at which what it takes is there, 0 or more
     * @param needs steps that end before it begins; one that is not among the steps is not waited for
     */
    public record Step<K>(K key, double hours, double ready, Set<K> needs) {
        public Step {
            if (!(hours >= 0 && ready >= 0)) {
                throw new IllegalArgumentException("Hours of " + key + " must be 0 or more.");
            }
            needs = Set.copyOf(needs);
        }
    }

    private final Map<K, Step<K>> steps;
    private final List<K> order;
    private final Map<K, Double> earliest = new HashMap<>();
    private final Map<K, Double> latest = new HashMap<>();
    private final Map<K, List<K>> next = new HashMap<>();
    private final double end;

    private CriticalPath(Map<K, Step<K>> steps, List<K> order) {
        this.steps = steps;
        this.order = order;
        for (K k : order) {
            Step<K> s = steps.get(k);
            double at = s.ready();
            for (K need : s.needs()) {
                if (steps.containsKey(need)) {
                    at = Math.max(at, ends(need));
                    next.computeIfAbsent(need, x -> new ArrayList<>()).add(k);
                }
            }
            earliest.put(k, at);
        }
        end = order.stream().mapToDouble(this::ends).max().orElse(0);
        for (int i = order.size() - 1; i >= 0; i--) {
            K k = order.get(i);
            double by = end;
            for (K after : next.getOrDefault(k, List.of())) {
                by = Math.min(by, latest.get(after));
            }
            latest.put(k, by - steps.get(k).hours());
        }
    }

    /** Of steps; throws where they go round: ask {@link #round} first. */
    public static <K> CriticalPath<K> of(Collection<Step<K>> all) {
        Map<K, Step<K>> steps = new LinkedHashMap<>();
        all.forEach(s -> steps.put(s.key(), s));
        List<K> order = order(steps);
        if (order.size() < steps.size()) {
            throw new IllegalArgumentException(
                    "These wait for one another: " + round(all).orElseThrow());
        }
        return new CriticalPath<>(steps, order);
    }

    /** Steps each of which waits for the next, the last for the first; empty where none do. */
    public static <K> Optional<List<K>> round(Collection<Step<K>> all) {
        Map<K, Step<K>> steps = new LinkedHashMap<>();
        all.forEach(s -> steps.put(s.key(), s));
        Set<K> stuck = new LinkedHashSet<>(steps.keySet());
        order(steps).forEach(stuck::remove);
        if (stuck.isEmpty()) {
            return Optional.empty();
        }
        // each that is stuck waits for one that is: following those comes round
        List<K> way = new ArrayList<>();
        K at = stuck.iterator().next();
        while (!way.contains(at)) {
            way.add(at);
            at = steps.get(at).needs().stream()
                    .filter(stuck::contains)
                    .findFirst()
                    .orElseThrow();
        }
        return Optional.of(List.copyOf(way.subList(way.indexOf(at), way.size())));
    }

    /** Each after all it needs, otherwise as given; what goes round, and what waits for that, is left out. */
    private static <K> List<K> order(Map<K, Step<K>> steps) {
        Map<K, Integer> open = new HashMap<>();
        Map<K, List<K>> next = new HashMap<>();
        Deque<K> free = new ArrayDeque<>();
        for (Step<K> s : steps.values()) {
            int waits = 0;
            for (K need : s.needs()) {
                if (steps.containsKey(need)) {
                    waits++;
                    next.computeIfAbsent(need, k -> new ArrayList<>()).add(s.key());
                }
            }
            open.put(s.key(), waits);
            if (waits == 0) {
                free.add(s.key());
            }
        }
        List<K> order = new ArrayList<>();
        while (!free.isEmpty()) {
            K k = free.poll();
            order.add(k);
            for (K after : next.getOrDefault(k, List.of())) {
                if (open.merge(after, -1, Integer::sum) == 0) {
                    free.add(after);
                }
            }
        }
        return order;
    }

    /** Steps, each after all that it needs. */
    public List<K> order() {
        return order;
    }

    /** When all is done, hours from now, with as many hands as can be used. */
    public double end() {
        return end;
    }

    public double earliest(K key) {
        return earliest.get(key);
    }

    private double ends(K key) {
        return earliest.get(key) + steps.get(key).hours();
    }

    /** By how many hours it may begin later without moving the end. */
    public double slack(K key) {
        return latest.get(key) - earliest.get(key);
    }

    /** Everything that waits for it, at once or through others. */
    public Set<K> blocks(K key) {
        Set<K> all = new LinkedHashSet<>();
        Deque<K> ahead = new ArrayDeque<>(next.getOrDefault(key, List.of()));
        while (!ahead.isEmpty()) {
            K k = ahead.poll();
            if (all.add(k)) {
                ahead.addAll(next.getOrDefault(k, List.of()));
            }
        }
        return all;
    }

    /**
     * When all is done where one pair of hands does one step after the other: in the order of earliest beginnings,
     * which no other order beats (a published result of scheduling one machine, from memory).
     */
    public double alone() {
        double at = 0;
        List<K> by = new ArrayList<>(order);
        by.sort(Comparator.comparingDouble(earliest::get));
        for (K k : by) {
            at = Math.max(at, earliest.get(k)) + steps.get(k).hours();
        }
        return at;
    }

    /** The same with one step's delivery so many hours from now. */
    public CriticalPath<K> delayed(K key, double ready) {
        Map<K, Step<K>> other = new LinkedHashMap<>(steps);
        Step<K> s = steps.get(key);
        other.put(key, new Step<>(key, s.hours(), ready, s.needs()));
        return new CriticalPath<>(other, order);
    }
}
