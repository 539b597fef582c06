package ration.answer.assess;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import ration.Systems;
import ration.aircraft.condition.Condition;
import ration.record.file.ProjectFile;
import ration.record.file.ProjectFileException;

/** A case said in words on the command line is the case of the matrix. */
class CaseWordsTest {

    private static final Assessment CORRIE = Systems.assessedCorrie();

    private static String words(CaseAnswer c) {
        List<String> words = new ArrayList<>(List.of(
                c.condition().attitude().name(),
                c.filling().label(CORRIE.project().system())));
        words.addAll(c.condition().positions().values());
        if (!c.pumps().label().isEmpty()) {
            words.add(c.pumps().label());
        }
        if (c.condition().engine().fouled()) {
            words.add("filters dirty");
        }
        return String.join(", ", words).toLowerCase(Locale.ROOT);
    }

    /** Every case on usual fuel with tanks alike can be said, and is the one meant, loads and pump sets as well. */
    @ParameterizedTest
    @ValueSource(strings = {"corrie-b1", "brindle-a2", "tansy-l3"})
    void everyCaseOfTheMatrixCanBeSaid(String demo) throws ProjectFileException {
        Assessment a = Assessment.of(ProjectFile.demo(demo));
        List<CaseAnswer> sayable = a.cases().stream()
                .filter(c -> !c.cold() && c.filling().dry().isEmpty())
                .toList();
        assertThat(sayable).isNotEmpty();
        for (CaseAnswer c : sayable) {
            Condition said = CaseWords.parse(a, words(c));
            assertThat(said.attitude()).as(words(c)).isEqualTo(c.condition().attitude());
            assertThat(a.look(said).orElseThrow().margin()).as(words(c)).isCloseTo(c.margin(), Offset.offset(1e-9));
        }
    }

    @Test
    void anAngleSaidAfterALoadKeepsTheLoad() {
        Condition c = CaseWords.parse(CORRIE, "takeoff run, pitch 9, tilt -2");
        assertThat(c.attitude().pitchDegrees()).isCloseTo(9, Offset.offset(1e-9));
        assertThat(c.attitude().tiltDegrees()).isCloseTo(-2, Offset.offset(1e-9));
        assertThat(c.attitude().forward()).isEqualTo(0.25);
        assertThat(c.attitude().label()).isEqualTo("Set by hand 9\u00b0, tilt 2\u00b0 left, 0.25 g forward");
    }

    @Test
    void whatIsNotKnownIsAnsweredWithWhatIs() {
        assertThatThrownBy(() -> CaseWords.parse(CORRIE, "climb, sideways"))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("\u201csideways\u201d")
                .hasMessageContaining("takeoff run")
                .hasMessageContaining("FUSELAGE")
                .hasMessageContaining("pitch 12");
        assertThatThrownBy(() -> CaseWords.parse(CORRIE, "pitch steep")).hasMessageContaining("pitch steep");
        assertThat(CaseWords.parse(CORRIE, " "))
                .isEqualTo(CORRIE.governing().orElseThrow().condition());
    }

    @Test
    void aFailedPartIsSaidAndStandsInTheNameOfTheCase() {
        ration.record.project.Project corrie = ration.Systems.corrie();
        Assessment a = Assessment.of(corrie);
        ration.aircraft.condition.Condition c = CaseWords.parse(a, "level, upper, full");
        CaseAnswer well = a.look(c).orElseThrow();
        CaseAnswer clogged = a.look(c.with(FaultWords.parse(corrie.system(), "outlet-clogged:upper=16")))
                .orElseThrow();
        assertThat(clogged.margin()).isLessThan(well.margin());
        assertThat(clogged.label(corrie.system(), ration.base.quantity.UnitSystem.US))
                .isEqualTo(well.label(corrie.system(), ration.base.quantity.UnitSystem.US)
                        + ", Upper tank: screen clogged");
        CaseAnswer shut = a.look(c.with(FaultWords.parse(corrie.system(), "filter-fouled:strainer=shut")))
                .orElseThrow();
        assertThat(shut.margin()).isZero();
        assertThat(shut.verdict()).isEqualTo(ration.verdict.check.Verdict.FAILS);
    }

    @Test
    void airThatComesInByALeakIsNotBlamedOnAnOutlet() {
        ration.record.project.Project tansy = ration.Systems.demo("tansy-l3");
        Assessment a = Assessment.of(tansy);
        CaseAnswer c = a.look(CaseWords.parse(a, "climb, left, low, engine pump alone")
                        .with(FaultWords.parse(tansy.system(), "air-leak:engine-pump")))
                .orElseThrow();
        assertThat(c.margin()).isZero();
        assertThat(c.obstacle(tansy.system()))
                .isEqualTo("Air leaks in at Engine pump: the pressure there is below ambient.");
    }

    @Test
    void aFaultThatIsNotUnderstoodListsWhatMayBeSaid() {
        ration.aircraft.model.FuelSystem s = ration.Systems.corrie().system();
        assertThatThrownBy(() -> FaultWords.parse(s, "gremlins:upper"))
                .hasMessageContaining("vent-shut")
                .hasMessageContaining("pump-dead");
        assertThatThrownBy(() -> FaultWords.parse(s, "vent-shut:nowhere"))
                .hasMessageContaining("upper")
                .hasMessageContaining("selector");
        assertThatThrownBy(() -> FaultWords.parse(s, "pump-dead:strainer"))
                .hasMessageContaining("does not fail in this way")
                .hasMessageContaining("filter-fouled");
        assertThatThrownBy(() -> FaultWords.parse(s, "outlet-clogged:upper"))
                .hasMessageContaining("times its clean loss");
        assertThatThrownBy(() -> FaultWords.parse(s, "outlet-clogged:upper=many"))
                .hasMessageContaining("not a number");
        assertThatThrownBy(() -> FaultWords.parse(s, "outlet-clogged:upper=-4")).hasMessageContaining("above 0");
    }
}
