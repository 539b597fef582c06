package ration.answer.ask;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import ration.Systems;
import ration.answer.assess.Assessment;
import ration.base.quantity.Unit;
import ration.record.project.Project;

/** Fuel of all tanks side by side; worked example of the handbook of the trade (7, section 11, from memory). */
class FuelTableTest {

    private static final double GAL = Unit.GALLON.toSi(1);

    /** Two tanks of 2.0 on the placard and 0.6 drained: 2.800 gal, 19.76 min at 8.5 gph. */
    @Test
    void what_is_below_the_placard_is_placard_less_drained() {
        FuelTable.Row one = new FuelTable.Row(
                "Left",
                20 * GAL,
                2.0 * GAL,
                OptionalDouble.of(2.0 * GAL),
                OptionalDouble.of(0.6 * GAL),
                0.5 * GAL,
                2 * GAL);
        FuelTable table = new FuelTable(List.of(one, one), List.of(), List.of());
        FuelTable.Below below = table.below(Unit.GALLON_PER_HOUR.toSi(8.5)).orElseThrow();
        assertThat(below.volume() / GAL).isCloseTo(2.800, within(5e-4));
        assertThat(below.seconds() / 60).isCloseTo(19.76, within(5e-3));
        assertThat(table.usable().orElseThrow() / GAL).isCloseTo(36, within(1e-9));
        assertThat(new FuelTable(List.of(one), List.of(), List.of("Right")).usable())
                .isEmpty();
        assertThat(table.below(0)).isEmpty();
    }

    @Test
    void the_corrie_has_what_its_tanks_say() {
        Assessment a = Systems.assessedCorrie();
        FuelTable table = FuelTable.of(a);
        assertThat(table.tanks()).hasSize(2);
        assertThat(table.missing()).isEmpty();
        for (int i = 0; i < 2; i++) {
            assertThat(table.tanks().get(i).governs())
                    .isEqualTo(a.tanks().get(i).unusable());
            assertThat(table.tanks().get(i).full()).isEqualTo(a.tanks().get(i).full());
        }
        assertThat(table.below(Unit.GALLON_PER_HOUR.toSi(8))).isPresent();
        Project header = Systems.demo("brindle-a2");
        assertThat(FuelTable.of(Assessment.ahead(header, java.util.Optional.empty()))
                        .headers())
                .extracting(FuelTable.Head::name)
                .containsExactly("Header");
    }
}
