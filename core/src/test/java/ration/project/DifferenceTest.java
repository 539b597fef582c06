package ration.project;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import ration.Systems;
import ration.heat.HeatFigure;
import ration.model.LineSize;
import ration.model.Measured;
import ration.model.Run;
import ration.quantity.Unit;

/** What a builder reads before another's work is written over: everything that differs is named, nothing else is. */
class DifferenceTest {

    private static final Project CORRIE = Systems.corrie();

    @Test
    void nothingIsSaidOfTheSame() {
        assertThat(Difference.between(CORRIE, Systems.corrie())).isEmpty();
    }

    @Test
    void whatChangedIsNamed() {
        assertThat(Difference.between(CORRIE, CORRIE.with(CORRIE.system().change("r3", Run.class, r -> r.withLength(
                Measured.of(17, Unit.INCH)))))).satisfiesExactly(w -> assertThat(w).startsWith(
                        "R3: length was ").endsWith("now 17 in"));
        assertThat(Difference.between(CORRIE, CORRIE.with(CORRIE.system().change("r3", Run.class, r -> r.withSize(LineSize.parse("3/8 x 0.035 tube"))))))
                .containsExactly("R3: size was 5/16, now 3/8");
        assertThat(Difference.between(CORRIE, CORRIE.with(CORRIE.system().change("strainer", ration.model.Strainer.class, s -> s.withBowl(Optional.of(Measured.of(
                7, Unit.CUBIC_INCH))))))).containsExactly("Strainer: bowl holds was 4 in³, now 7 in³");
        assertThat(Difference.between(CORRIE, CORRIE.with(CORRIE.heat().with(HeatFigure.CEILING, Measured.of(9000, Unit.FOOT)))))
                .satisfiesExactly(w -> assertThat(w).startsWith("Highest pressure altitude flown was ").endsWith("now 9000 ft"));
        assertThat(Difference.between(CORRIE, CORRIE.with(CORRIE.brief().withDelivery(Brief.Delivery.PUMP)))).containsExactly(
                "Delivery was gravity, now pump");
        assertThat(Difference.between(CORRIE, CORRIE.with(new ration.model.FuelSystem(CORRIE.system().items(), Optional.empty())))).containsExactly(
                "the firewall differs");
    }

    @Test
    void testsAreComparedOneByOne() {
        Project fewer = CORRIE.withTests(CORRIE.tests().subList(0, CORRIE.tests().size() - 1));
        String last = CORRIE.tests().get(CORRIE.tests().size() - 1).id();
        assertThat(Difference.between(CORRIE, fewer)).containsExactly("test " + last + " is not there");
        assertThat(Difference.between(fewer, CORRIE)).containsExactly("test " + last + " is new");
    }

    /** One way or the other, the same places are named. */
    @Test
    void bothWaysNameTheSame() {
        Project other = CORRIE.with(CORRIE.system().minus("strainer").change("r2", Run.class, r -> r.withLength(Measured.of(1,
                Unit.FOOT))));
        List<String> there = Difference.between(CORRIE, other);
        assertThat(there).contains("Strainer is not there").anyMatch(w -> w.startsWith("R2: length was "));
        assertThat(Difference.between(other, CORRIE)).contains("Strainer is new").anyMatch(w -> w.startsWith("R2: length was ")).hasSameSizeAs(there);
    }
}
