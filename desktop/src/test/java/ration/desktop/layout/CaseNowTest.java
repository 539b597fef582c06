package ration.desktop.layout;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import ration.aircraft.model.Fitting;
import ration.aircraft.model.Item;
import ration.aircraft.model.Run;
import ration.aircraft.model.Selector;
import ration.aircraft.model.Tank;
import ration.answer.assess.Assessment;
import ration.answer.assess.CaseAnswer;
import ration.answer.assess.Regime;
import ration.answer.assess.StartingCase;
import ration.base.quantity.Dimension;
import ration.base.quantity.UnitSystem;
import ration.record.file.ProjectFile;
import ration.record.file.ProjectFileException;

/** What the card says of a case while nothing is picked, and what can be entered on it; without a display. */
class CaseNowTest {

    private static Assessment demo(String name) throws ProjectFileException {
        return Assessment.of(ProjectFile.demo(name));
    }

    /** The losses in the budget and what is left add up to what there is from the surface to the inlet. */
    @ParameterizedTest
    @CsvSource({
        "corrie-b1, US, AT_MOST",
        "corrie-b1, METRIC, AS_IT_RUNS",
        "brindle-a2, METRIC, AS_IT_RUNS",
        "tansy-l3, US, AS_IT_RUNS"
    })
    void theBudgetAddsUp(String name, UnitSystem units, Regime r) throws ProjectFileException {
        Assessment a = demo(name);
        CaseAnswer look = a.governing().orElseThrow();
        CaseNow.Budget b = new CaseNow(a, look, r, units).budget().orElseThrow();
        assertThat(b.losses()).isNotEmpty().allSatisfy(l -> {
            assertThat(l.share()).isBetween(0.0, 1.0001);
            assertThat(l.name())
                    .isEqualTo(a.project()
                            .system()
                            .item(l.step().item())
                            .map(Item::name)
                            .orElseThrow());
        });
        double losses = b.losses().stream()
                .mapToDouble(l -> l.step().headIn() - l.step().headOut())
                .sum();
        assertThat(losses + r.of(look).headLeft().orElseThrow())
                .isCloseTo(r.of(look).headAvailable().orElseThrow(), within(1e-9));
        boolean pumped = r.of(look).pumped() > 0;
        assertThat(b.title()).isEqualTo(pumped ? "Where the pressure goes" : "Where the head goes");
        assertThat(b.unit())
                .isEqualTo(units.unit(pumped ? Dimension.PRESSURE : Dimension.LENGTH)
                        .symbol());
        assertThat(b.words().contains("negative values are added")).isEqualTo(pumped);
    }

    @Test
    void aCaseIsToldWithItsMarginAsAQuotient() throws ProjectFileException {
        Assessment a = demo("corrie-b1");
        CaseAnswer look = a.governing().orElseThrow();
        CaseNow now = new CaseNow(a, look, Regime.AS_IT_RUNS, UnitSystem.US);
        assertThat(now.rows())
                .extracting(CaseNow.Row::label)
                .containsExactly(
                        "Engine demand",
                        "Pressure at the inlet",
                        "Available flow",
                        "Open-line flow",
                        "Needed",
                        "Margin");
        assertThat(now.quotient())
                .startsWith(UnitSystem.figure(look.margin(), 2) + " = ")
                .contains("gph: ");
        assertThat(now.obstacle()).isEqualTo(look.obstacle(a.project().system()));
        assertThat(now.label()).isEqualTo(look.label(a.project().system(), UnitSystem.US));
    }

    /** A case that has no flow has no budget, and says why. */
    @Test
    void whereNothingFlowsNothingIsShared() throws ProjectFileException {
        Assessment a = demo("corrie-b1");
        CaseAnswer dry = a.look(StartingCase.of(a.project()).withContents(java.util.Map.of()))
                .orElseThrow();
        CaseNow now = new CaseNow(a, dry, Regime.AS_IT_RUNS, UnitSystem.US);
        assertThat(now.budget()).isEmpty();
        assertThat(now.obstacle()).isNotEmpty();
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "  ", "A name that is longer than any name on any plate in any hangar anywhere"})
    void aNameIsShortAndThere(String name) {
        assertThatThrownBy(() -> ItemEntry.name(name)).hasMessageContaining("1 to 60 letters");
        assertThat(ItemEntry.name(" Gascolator ")).isEqualTo("Gascolator");
    }

    @Test
    void aPositionHasANameOfItsOwn() throws ProjectFileException {
        Selector selector = demo("corrie-b1").project().system().selectors().get(0);
        String taken = selector.positions().get(0).name();
        assertThatThrownBy(() -> ItemEntry.position(selector, taken + " ")).hasMessageContaining("of its own");
        assertThatThrownBy(() -> ItemEntry.position(selector, " ")).hasMessageContaining("of its own");
        assertThatThrownBy(() -> ItemEntry.position(selector, "a position called too long"))
                .hasMessageContaining("20 letters");
        Selector after = (Selector) ItemEntry.called(selector, 1, "LOWER");
        assertThat(after.positions().get(1).name()).isEqualTo("LOWER");
        assertThat(after.positions().get(1).joins())
                .isEqualTo(selector.positions().get(1).joins());
        assertThat(ItemEntry.called(selector, 99, "LOWER"))
                .as("taken away meanwhile")
                .isEqualTo(selector);
        Tank tank = demo("corrie-b1").project().system().tanks().get(0);
        assertThat(ItemEntry.called(tank, 0, "LOWER")).isEqualTo(tank);
    }

    @Test
    void fittingsAreCountedUpAndDown() throws ProjectFileException {
        Run run = demo("corrie-b1").project().system().runs().get(0).withFittings(List.of());
        Fitting elbow = Fitting.values()[0];
        Run two = ItemEntry.more(ItemEntry.more(run, elbow), elbow);
        assertThat(two.count(elbow)).isEqualTo(2);
        assertThat(ItemEntry.less(two, elbow).count(elbow)).isEqualTo(1);
        assertThat(ItemEntry.less(run, elbow)).as("none to take").isEqualTo(run);
        assertThat(ItemEntry.less(two, Fitting.values()[1]).count(elbow)).isEqualTo(2);
    }
}
