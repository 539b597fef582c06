package ration.answer.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import ration.answer.plan.CriticalPath.Step;

/** When steps of work can begin; the worked example is the handbook's of the trade (7, section 1, from memory). */
class CriticalPathTest {

    private static Step<String> step(String key, double hours, double ready, String... needs) {
        return new Step<>(key, hours, ready, Set.of(needs));
    }

    private static List<Step<String>> example(double delivery) {
        return List.of(
                step("F", 6, 0, "C", "D", "E"),
                step("A", 3, 0),
                step("B", 5, 0),
                step("C", 2, 0, "A", "B"),
                step("D", 4, 0),
                step("E", 2, delivery));
    }

    @Test
    void the_example_takes_thirteen_hours_and_its_floats_are_as_told() {
        CriticalPath<String> path = CriticalPath.of(example(0));
        assertThat(path.end()).isCloseTo(13, within(1e-9));
        assertThat(path.slack("A")).isCloseTo(2, within(1e-9));
        assertThat(path.slack("D")).isCloseTo(3, within(1e-9));
        assertThat(path.slack("E")).isCloseTo(5, within(1e-9));
        assertThat(List.of("B", "C", "F"))
                .allSatisfy(k -> assertThat(path.slack(k)).isCloseTo(0, within(1e-9)));
    }

    @Test
    void a_late_part_moves_what_waits_for_it_by_what_its_float_does_not_take() {
        CriticalPath<String> late = CriticalPath.of(example(0)).delayed("E", 9.25);
        assertThat(late.end()).isCloseTo(17.25, within(1e-9));
        assertThat(late.order()).filteredOn(k -> late.slack(k) < 1e-9).containsExactlyInAnyOrder("E", "F");
        assertThat(late.blocks("E")).containsExactly("F");
        assertThat(CriticalPath.of(example(5)).end()).isCloseTo(13, within(1e-9));
    }

    @Test
    void what_goes_round_is_named_and_nothing_else() {
        List<Step<String>> round = List.of(
                step("a", 1, 0),
                step("b", 1, 0, "a", "d"),
                step("c", 1, 0, "b"),
                step("d", 1, 0, "c"),
                step("e", 1, 0, "d"));
        assertThat(CriticalPath.round(round).orElseThrow()).containsExactlyInAnyOrder("b", "c", "d");
        assertThat(CriticalPath.round(example(0))).isEmpty();
        assertThatThrownBy(() -> CriticalPath.of(round)).hasMessageContaining("wait for one another");
        assertThatThrownBy(() -> step("x", -1, 0)).hasMessageContaining("0 or more");
    }

    private static List<Step<Integer>> random(Random r, int many) {
        List<Integer> names = new ArrayList<>();
        for (int i = 0; i < many; i++) {
            names.add(i);
        }
        Collections.shuffle(names, r);
        List<Step<Integer>> all = new ArrayList<>();
        for (int i = 0; i < many; i++) {
            Set<Integer> needs = new HashSet<>();
            for (int k = 0; k < i; k++) {
                if (r.nextInt(4) == 0) {
                    needs.add(names.get(k));
                }
            }
            all.add(new Step<>(names.get(i), r.nextInt(8), r.nextInt(4) == 0 ? r.nextInt(20) : 0, needs));
        }
        Collections.shuffle(all, r);
        return all;
    }

    @Property(tries = 200)
    void nothing_is_listed_or_begun_before_what_it_needs(@ForAll long seed) {
        Random r = new Random(seed);
        List<Step<Integer>> all = random(r, 2 + r.nextInt(14));
        CriticalPath<Integer> path = CriticalPath.of(all);
        assertThat(path.order()).hasSameSizeAs(all);
        for (Step<Integer> s : all) {
            for (int need : s.needs()) {
                assertThat(path.order().indexOf(need)).isLessThan(path.order().indexOf(s.key()));
                double ends = path.earliest(need)
                        + all.stream()
                                .filter(x -> x.key() == need)
                                .findFirst()
                                .orElseThrow()
                                .hours();
                assertThat(path.earliest(s.key())).isGreaterThanOrEqualTo(ends - 1e-9);
            }
            assertThat(path.earliest(s.key())).isGreaterThanOrEqualTo(s.ready());
            assertThat(path.slack(s.key())).isGreaterThanOrEqualTo(-1e-9);
        }
    }

    /** A delay within the float leaves the end; one past it moves the end by just the rest. */
    @Property(tries = 200)
    void a_delay_moves_the_end_by_what_exceeds_the_float(@ForAll long seed) {
        Random r = new Random(seed);
        List<Step<Integer>> all = random(r, 2 + r.nextInt(14));
        CriticalPath<Integer> path = CriticalPath.of(all);
        int one = all.get(r.nextInt(all.size())).key();
        double by = r.nextInt(12);
        double end = path.delayed(one, path.earliest(one) + by).end();
        assertThat(end - path.end()).isCloseTo(Math.max(0, by - path.slack(one)), within(1e-9));
    }

    /** One pair of hands: no order of seven steps ends earlier, tried all. */
    @Property(tries = 40)
    void no_other_order_of_one_pair_of_hands_ends_earlier(@ForAll long seed) {
        Random r = new Random(seed);
        List<Step<Integer>> all = random(r, 2 + r.nextInt(5));
        assertThat(CriticalPath.of(all).alone()).isCloseTo(best(all, new ArrayList<>(), 0), within(1e-9));
    }

    private static double best(List<Step<Integer>> all, List<Integer> done, double at) {
        if (done.size() == all.size()) {
            return at;
        }
        double best = Double.POSITIVE_INFINITY;
        for (Step<Integer> s : all) {
            if (!done.contains(s.key()) && done.containsAll(s.needs())) {
                List<Integer> then = new ArrayList<>(done);
                then.add(s.key());
                best = Math.min(best, best(all, then, Math.max(at, s.ready()) + s.hours()));
            }
        }
        return best;
    }

    @Property(tries = 200)
    void one_that_goes_round_names_a_true_circle(@ForAll long seed) {
        Random r = new Random(seed);
        List<Step<Integer>> all = new ArrayList<>(random(r, 3 + r.nextInt(10)));
        CriticalPath<Integer> path = CriticalPath.of(all);
        int first = path.order().get(0);
        Set<Integer> behind = path.blocks(first);
        if (behind.isEmpty()) {
            return;
        }
        int last = behind.stream().reduce((a, b) -> b).orElseThrow();
        all.replaceAll(s -> s.key() == first ? new Step<>(first, s.hours(), s.ready(), Set.of(last)) : s);
        List<Integer> round = CriticalPath.round(all).orElseThrow();
        for (int i = 0; i < round.size(); i++) {
            int at = round.get(i);
            int next = round.get((i + 1) % round.size());
            assertThat(all.stream()
                            .filter(s -> s.key() == at)
                            .findFirst()
                            .orElseThrow()
                            .needs())
                    .contains(next);
        }
    }
}
