package ration.record.project;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import ration.Systems;
import ration.aircraft.model.EngineInlet;
import ration.aircraft.model.EveryKind;
import ration.aircraft.model.FieldSheet;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Item;
import ration.aircraft.model.Problem;
import ration.aircraft.model.Run;
import ration.aircraft.model.Validation;
import ration.aircraft.model.VentPlenum;
import ration.base.geometry.Point3;
import ration.base.quantity.Measured;

/** The chooser: every kind can be had, and what it gives can be computed with. */
class NewItemTest {

    /** Kinds the chooser does not make, and how they come in. */
    private static final Map<Class<? extends Item>, String> ELSEWHERE = Map.of(
            Run.class,
            "by joining two ports",
            EngineInlet.class,
            "with the layout: there is one",
            VentPlenum.class,
            "by joining vents");

    private static FuelSystem corrie() {
        return Systems.corrie().system();
    }

    @Test
    void every_kind_can_be_had() {
        FuelSystem system = corrie();
        Set<Class<?>> made = Arrays.stream(NewItem.values())
                .map(n -> n.make(system, new Point3(1, 0, 0)).getClass())
                .collect(Collectors.toSet());
        Set<Class<?>> all = EveryKind.all().stream()
                .map(Item::getClass)
                .filter(k -> !ELSEWHERE.containsKey(k))
                .collect(Collectors.toSet());
        assertThat(made).isEqualTo(all);
    }

    @ParameterizedTest
    @EnumSource(NewItem.class)
    void what_is_chosen_is_sound_and_marked_as_an_estimate(NewItem kind) {
        FuelSystem system = corrie();
        Item item = kind.make(system, new Point3(1, 0, 0.2));
        assertThat(system.item(item.id())).as("an id of its own").isEmpty();
        assertThat(kind.usual()).isNotBlank();
        assertThat(Validation.of(system.plus(item)))
                .filteredOn(p -> p.item().equals(item.id()))
                .noneMatch(Problem::breaksLayout);
        // a bulkhead stands where the wall was measured
        Measured wall = system.firewall().orElseThrow().station();
        assertThat(FieldSheet.of(item))
                .isNotEmpty()
                .map(f -> f.get().apply(item))
                .filteredOn(m -> m != wall)
                .allSatisfy(m -> assertThat(m.by()).isEqualTo("estimate"));
    }
}
