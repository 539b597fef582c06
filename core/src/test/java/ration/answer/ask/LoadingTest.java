package ration.answer.ask;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.Size;
import org.junit.jupiter.api.Test;
import ration.answer.ask.Loading.Aboard;
import ration.answer.ask.Loading.Load;

/** Fuel to a wanted total. */
class LoadingTest {

    private static Aboard tank(String id, double aboard, double full) {
        return new Aboard(id, id, aboard, full);
    }

    private static List<Double> added(Loading l) {
        return l.tanks().stream().map(t -> Math.round(t.add() * 1000) / 1000.0).toList();
    }

    /**
     * Worked example of the trade: 30 wanted, equal; 6.2 and 9.8 aboard: 8.800 and 5.200. Common practice, no source.
     */
    @Test
    void two_tanks_by_hand() {
        assertThat(added(Loading.of(List.of(tank("left", 6.2, 20), tank("right", 9.8, 20)), 30)))
                .containsExactly(8.8, 5.2);
    }

    @Test
    void a_small_tank_is_full_and_a_fuller_one_stays() {
        assertThat(added(Loading.of(List.of(tank("left", 2, 5), tank("right", 2, 20)), 20)))
                .containsExactly(3.0, 13.0);
        assertThat(added(Loading.of(List.of(tank("left", 2, 20), tank("right", 12, 20)), 18)))
                .containsExactly(4.0, 0.0);
    }

    @Test
    void what_does_not_fit_and_what_is_aboard_already_is_told() {
        assertThat(Loading.of(List.of(tank("left", 2, 5)), 8).over()).isCloseTo(3, within(1e-9));
        assertThat(Loading.of(List.of(tank("left", 4, 5)), 3).over()).isCloseTo(-1, within(1e-9));
        assertThat(added(Loading.of(List.of(tank("left", 4, 5)), 3))).containsExactly(0.0);
    }

    /**
     * The total is met where it can be; no tank runs over or loses; one that got fuel ends no fuller than another
     * could.
     */
    @Property
    void as_near_alike_as_can_be(
            @ForAll @Size(min = 1, max = 5) List<@DoubleRange(min = 0, max = 30) Double> aboard,
            @ForAll @Size(min = 5, max = 5) List<@DoubleRange(min = 0, max = 30) Double> room,
            @ForAll @DoubleRange(min = 0, max = 200) double wanted) {
        List<Aboard> tanks = new ArrayList<>();
        for (int i = 0; i < aboard.size(); i++) {
            tanks.add(tank("t" + i, aboard.get(i), aboard.get(i) + room.get(i)));
        }
        Loading l = Loading.of(tanks, wanted);
        double then = l.tanks().stream().mapToDouble(Load::then).sum();
        assertThat(then + l.over()).isCloseTo(wanted, within(1e-6));
        for (int i = 0; i < tanks.size(); i++) {
            Load a = l.tanks().get(i);
            assertThat(a.add()).isNotNegative();
            assertThat(a.then()).isLessThanOrEqualTo(tanks.get(i).full() + 1e-9);
            for (int k = 0; k < tanks.size(); k++) {
                Load b = l.tanks().get(k);
                boolean takesMore = b.then() < tanks.get(k).full() - 1e-6;
                if (a.add() > 1e-6 && takesMore) {
                    assertThat(a.then()).isLessThanOrEqualTo(b.then() + 1e-6);
                }
            }
        }
    }
}
