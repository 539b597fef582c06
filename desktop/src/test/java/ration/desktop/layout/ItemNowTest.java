package ration.desktop.layout;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;
import ration.aircraft.model.Item;
import ration.aircraft.model.Run;
import ration.aircraft.model.Tank;
import ration.answer.assess.Assessment;
import ration.answer.assess.CaseAnswer;
import ration.answer.assess.Regime;
import ration.answer.assess.StartingCase;
import ration.base.quantity.Dimension;
import ration.base.quantity.UnitSystem;
import ration.record.file.ProjectFile;
import ration.record.file.ProjectFileException;
import ration.record.project.Project;

/** What a card says of an item now, without a display: the figures are those of the answer, in the units asked for. */
class ItemNowTest {

    private static Project corrie;
    private static CaseAnswer look;

    @BeforeAll
    static void look() throws ProjectFileException {
        corrie = ProjectFile.demo("corrie-b1");
        look = Assessment.of(corrie).look(StartingCase.of(corrie)).orElseThrow();
    }

    private static ItemNow now(String id, Regime regime, UnitSystem units) {
        return corrie.system().item(id).orElseThrow().as(new ItemNow.Of(corrie.system(), look, regime, units));
    }

    private static String figure(ItemNow now, String label) {
        return now.rows().stream()
                .filter(r -> r.label().equals(label))
                .map(ItemNow.Row::figure)
                .findFirst()
                .orElseThrow(() -> new AssertionError(now.rows().toString()));
    }

    @ParameterizedTest
    @EnumSource(Regime.class)
    void aRunTellsItsFlowAndWhatItCosts(Regime regime) {
        Run run = corrie.system().runs().get(0);
        ItemNow said = now(run.id(), regime, UnitSystem.US);
        assertThat(figure(said, "Flow"))
                .isEqualTo(UnitSystem.US.text(Math.abs(regime.of(look).flow(run.id())), Dimension.FLOW));
        assertThat(figure(said, "Bore")).endsWith(" in");
        assertThat(figure(said, "Head lost")).endsWith(" in");
        assertThat(figure(now(run.id(), regime, UnitSystem.METRIC), "Bore")).endsWith(" mm");
    }

    @Test
    void aTankTellsContentsAndWhatEachOutletDoes() throws ProjectFileException {
        Project two = ProjectFile.demo("two-outlets");
        CaseAnswer answer = Assessment.of(two).look(StartingCase.of(two)).orElseThrow();
        Tank tank = two.system().tanks().get(0);
        ItemNow said = tank.as(new ItemNow.Of(two.system(), answer, Regime.AS_IT_RUNS, UnitSystem.US));
        assertThat(tank.outlets()).hasSize(2);
        for (int i = 0; i < 2; i++) {
            assertThat(figure(said, "Outlet " + (i + 1)))
                    .startsWith(
                            answer.demand().state(tank, tank.outlets().get(i)).word());
        }
        assertThat(figure(said, "Flow out"))
                .isEqualTo(UnitSystem.US.text(answer.demand().outflow(tank), Dimension.FLOW));
    }

    @Test
    void theEngineTellsItsMarginFromItsDemandAndWarnsOfTheOpenLine() {
        ItemNow said = now("carburettor", Regime.AT_MOST, UnitSystem.US);
        assertThat(said.rows())
                .extracting(ItemNow.Row::label)
                .containsExactly("Available flow", "Open-line flow", "Takeoff demand", "Pressure at demand");
        assertThat(figure(said, "Available flow"))
                .isEqualTo(UnitSystem.US.text(look.capacity().inletFlow(), Dimension.FLOW));
        assertThat(said.note()).get().asString().contains("Use Available flow for margin");
    }

    /** Every item of every demo has something to say, and none of it is a hole. */
    @ParameterizedTest
    @ValueSource(strings = {"corrie-b1", "brindle-a2", "tansy-l3", "collector-sump", "twin-pumps-six-port"})
    void everyItemSaysSomethingWhole(String demo) throws ProjectFileException {
        Project p = ProjectFile.demo(demo);
        CaseAnswer answer = Assessment.of(p).look(StartingCase.of(p)).orElseThrow();
        for (Item item : p.system().items()) {
            for (Regime regime : Regime.values()) {
                List<ItemNow.Row> rows = item.as(new ItemNow.Of(p.system(), answer, regime, UnitSystem.METRIC))
                        .rows();
                assertThat(rows).as(item.id()).isNotEmpty().allSatisfy(r -> assertThat(r.figure())
                        .isNotBlank()
                        .doesNotContain("NaN", "Infinity", "null"));
                assertThat(rows).extracting(ItemNow.Row::label).doesNotHaveDuplicates();
            }
        }
    }
}
