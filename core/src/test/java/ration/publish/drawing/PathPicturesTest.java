package ration.publish.drawing;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import ration.Systems;
import ration.answer.assess.Assessment;
import ration.answer.assess.CaseAnswer;
import ration.base.quantity.UnitSystem;
import ration.record.project.Pattern;
import ration.record.project.Project;

class PathPicturesTest {

    /** What there is, less every loss and with what pumps add, is what is left: the bars hang together and add up. */
    @ParameterizedTest
    @EnumSource
    void theBudgetAddsUp(Pattern pattern) {
        Project project = pattern.project();
        for (CaseAnswer c : Assessment.of(project).cases()) {
            List<HeadBudget.Row> rows = HeadBudget.rows(project.system(), c);
            if (rows.isEmpty()) {
                assertThat(c.capacity().path()).isEmpty();
                continue;
            }
            double running = rows.get(0).to();
            for (HeadBudget.Row r : rows.subList(1, rows.size() - 1)) {
                assertThat(r.from()).isCloseTo(running, Offset.offset(1e-6));
                running += r.change();
            }
            if (c.capacity().dryHeaders().isEmpty()) {
                assertThat(running)
                        .as(c.label(project.system(), UnitSystem.US))
                        .isCloseTo(rows.get(rows.size() - 1).to(), Offset.offset(2e-3));
            }
        }
    }

    @ParameterizedTest
    @EnumSource
    void everyProfileStaysOnItsSheetAndHasNoHoles(Pattern pattern) {
        Project project = pattern.project();
        CaseAnswer c = Assessment.of(project).governing().orElseThrow();
        for (Picture p : List.of(
                PathProfile.draw(project.system(), c, UnitSystem.US, 690, 280, TextMeasure.approximate()),
                HeadBudget.draw(project.system(), c, UnitSystem.METRIC, 424, 330))) {
            assertThat(p.pieces()).isNotEmpty();
            p.pieces().stream().flatMap(x -> x.marks().stream()).forEach(m -> {
                if (m instanceof Mark.Path path) {
                    assertThat(path.spots())
                            .allSatisfy(s -> assertThat(s.x()).isBetween(-1.0, p.width() + 1))
                            .allSatisfy(s -> assertThat(s.y()).isBetween(-1.0, p.height() + 1));
                }
            });
        }
    }

    @Test
    void theShortCaseShowsWhatItLacks() {
        Project corrie = Systems.corrie();
        CaseAnswer c = Assessment.of(corrie).governing().orElseThrow();
        List<String> texts = PathProfile.draw(corrie.system(), c, UnitSystem.US, 690, 280, TextMeasure.approximate())
                .texts();
        assertThat(texts).contains("short", "Selector", "R3", "at 20.6 gph, as needed");
        double have = c.at(c.need() * c.factor()).headLeft().orElseThrow();
        double want = c.pressureWanted(c.need() * c.factor()).orElseThrow()
                / c.capacity().weight();
        assertThat(texts).contains(UnitSystem.US.text(want - have, ration.base.quantity.Dimension.LENGTH));
    }
}
