package ration.answer.measure;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalInt;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import ration.aircraft.model.Field;
import ration.aircraft.model.FieldSheet;
import ration.aircraft.model.Item;
import ration.answer.measure.WalkRound.Asked;
import ration.answer.measure.WalkRound.Stop;
import ration.base.quantity.Dimension;
import ration.base.quantity.Quantity;
import ration.base.quantity.Unit;
import ration.record.project.Pattern;
import ration.record.project.Project;

/** The walk round an aircraft: no length is left out or asked twice, and what was read stands in the document. */
class WalkRoundTest {

    @ParameterizedTest
    @EnumSource(Pattern.class)
    void everyLengthIsAskedOnce(Pattern pattern) {
        Project p = pattern.project();
        List<String> wanted = new ArrayList<>();
        for (Item i : p.system().items()) {
            for (Field f : FieldSheet.of(i)) {
                if (f.unit().dimension() == Dimension.LENGTH && !f.limit()) {
                    wanted.add(i.id() + " " + f.key());
                }
            }
        }
        List<String> asked = WalkRound.of(p.system()).stream()
                .flatMap(s -> s.asked().stream())
                .map(a -> a.item() + " " + a.field())
                .toList();
        assertThat(asked).containsExactlyInAnyOrderElementsOf(wanted);
    }

    /** Stop by stop, in the order given, until nothing is left: each reading stands as it was typed. */
    @ParameterizedTest
    @EnumSource(
            value = Pattern.class,
            names = {"GRAVITY_SELECTOR", "GRAVITY_TEED"})
    void aWalkEndsWithNothingLeft(Pattern pattern) {
        Project p = pattern.project();
        int rounds = 0;
        for (OptionalInt at = WalkRound.next(WalkRound.of(p.system()), 0);
                at.isPresent();
                at = WalkRound.next(WalkRound.of(p.system()), at.getAsInt())) {
            Stop stop = WalkRound.of(p.system()).get(at.getAsInt());
            for (Asked a : stop.asked()) {
                Quantity same = a.now().quantity();
                p = a.take(same, "level").change().apply(p);
                assertThat(p.system()
                                .item(a.item())
                                .flatMap(i -> FieldSheet.of(i, a.field())
                                        .map(f -> f.get().apply(i)))
                                .orElseThrow())
                        .satisfies(m -> assertThat(m.by()).isEqualTo("level"))
                        .satisfies(m -> assertThat(m.quantity()).isEqualTo(same));
            }
            assertThat(rounds++).isLessThan(200);
        }
        assertThat(WalkRound.of(p.system())).allMatch(Stop::done);
        Asked gone = new Asked(
                "nobody",
                "length",
                "Length",
                WalkRound.of(p.system()).get(0).asked().get(0).now());
        assertThat(gone.take(Quantity.of(1, Unit.INCH), "tape").change().apply(p))
                .as("what is no longer laid out takes no reading")
                .isEqualTo(p);
    }
}
