package ration.desktop.layout;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Item;
import ration.base.quantity.Measured;
import ration.base.quantity.Quantity;
import ration.record.file.ProjectFile;
import ration.record.file.ProjectFileException;
import ration.record.project.ItemFigures;
import ration.record.project.LayoutEdits;
import ration.record.project.NewItem;
import ration.record.project.Project;

/** The arrow keys and the figures of the card, without a window. */
class WalkAndFieldsTest {

    private static FuelSystem demo() {
        try {
            return ProjectFile.demo(ProjectFile.DEMO).system();
        } catch (ProjectFileException e) {
            throw new IllegalStateException(e);
        }
    }

    @Test
    void theArrowsWalkTheLineFromTankToEngineAndBack() {
        Walk walk = new Walk(demo());
        String at = walk.first();
        StringBuilder way = new StringBuilder(at);
        Optional<String> next = walk.downstream(at);
        while (next.isPresent()) {
            way.append(' ').append(next.get());
            at = next.get();
            next = walk.downstream(at);
        }
        assertThat(way.toString()).isEqualTo("upper r1 selector r3 strainer r4 carburettor");
        assertThat(walk.upstream("carburettor")).contains("r4");
        assertThat(walk.upstream("r3")).contains("selector");
        assertThat(walk.upstream("selector")).contains("r1");
        assertThat(walk.upstream("upper")).isEmpty();
    }

    @Test
    void upAndDownChangeTheBranch() {
        Walk walk = new Walk(demo());
        assertThat(walk.beside("r1", 1)).contains("r2");
        assertThat(walk.beside("r2", 1)).contains("r1");
        assertThat(walk.beside("upper", -1)).contains("fuselage");
        assertThat(walk.beside("r3", 1)).isEmpty();
        assertThat(walk.beside("nothing", 1)).isEmpty();
    }

    @Test
    void anEmptySheetStartsAtTheInlet() {
        Walk walk = new Walk(Project.empty().system());
        assertThat(walk.first()).isEqualTo("carburettor");
        assertThat(walk.downstream("carburettor")).isEmpty();
    }

    /** Every figure on every card of every kind of item can be set, and shows what was set. */
    @Test
    void everyFigureIsSetAndReadBack() {
        FuelSystem system = demo();
        for (NewItem kind : NewItem.values()) {
            system = LayoutEdits.add(
                            system,
                            "r3",
                            kind == NewItem.TANK ? LayoutEdits.Spot.BRANCH : LayoutEdits.Spot.IN_RUN,
                            kind)
                    .map(LayoutEdits.Outcome::system)
                    .orElse(system);
        }
        for (Item item : system.items()) {
            List<ItemFigures.Figure> fields = ItemFigures.of(item, system);
            Set<String> labels = new HashSet<>();
            for (ItemFigures.Figure field : fields) {
                assertThat(labels.add(field.label()))
                        .as(item.id() + " has two rows " + field.label())
                        .isTrue();
                assertThat(field.value().quantity().unit().dimension())
                        .isEqualTo(field.unit().dimension());
                Measured other = new Measured(
                        Quantity.of(
                                field.value().quantity().value() + 0.25,
                                field.value().quantity().unit()),
                        "test");
                FuelSystem changed = field.set().apply(other).apply(system);
                Measured shown = ItemFigures.of(changed.item(item.id()).orElseThrow(), changed).stream()
                        .filter(f -> f.label().equals(field.label()))
                        .findFirst()
                        .orElseThrow()
                        .value();
                assertThat(shown).as(item.id() + " " + field.label()).isEqualTo(other);
                List<Item> before = system.items();
                long different = changed.items().stream()
                        .filter(i -> !before.contains(i))
                        .count();
                assertThat(different).as("items changed by " + field.label()).isLessThanOrEqualTo(1);
                assertThat(changed.items()).hasSameSizeAs(before);
            }
        }
    }
}
