package ration.desktop.flow;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import ration.aircraft.condition.Condition;
import ration.answer.ask.HowSteep;
import ration.answer.ask.WhichTank;
import ration.answer.assess.Assessment;
import ration.answer.assess.CaseAnswer;
import ration.answer.assess.PumpSet;
import ration.answer.assess.StartingCase;
import ration.answer.remedy.Chance;
import ration.answer.remedy.Remedies;
import ration.base.quantity.UnitSystem;
import ration.base.task.Task;
import ration.desktop.flow.MatrixCells.Choice;
import ration.record.file.ProjectFile;
import ration.record.file.ProjectFileException;
import ration.record.project.Pattern;
import ration.record.project.Project;
import ration.verdict.check.Check;
import ration.verdict.check.Verdict;

/** What the flow page says of cases, changes and questions, without a display. */
class FlowWordsTest {

    private static Assessment demo(String name) throws ProjectFileException {
        return Assessment.of(ProjectFile.demo(name));
    }

    /** No case is without a cell, and no cell shows better than the worst case it stands for. */
    @ParameterizedTest
    @ValueSource(strings = {"corrie-b1", "brindle-a2", "tansy-l3"})
    void every_judged_case_is_shown_by_its_cell_and_none_is_hidden_by_a_better_one(String name)
            throws ProjectFileException {
        Assessment a = demo(name);
        MatrixCells m = new MatrixCells(a, Choice.WORST);
        Map<MatrixCells.Key, CaseAnswer> worst = m.worst();
        Set<MatrixCells.Key> laidOut = new HashSet<>();
        m.attitudes().forEach(t -> m.positions()
                .forEach(p -> m.columns().forEach(c -> laidOut.add(new MatrixCells.Key(t.name(), p, c)))));
        assertThat(laidOut).containsAll(m.held());
        for (CaseAnswer c : a.cases()) {
            if (c.judged()) {
                CaseAnswer shown = worst.get(MatrixCells.Key.of(c));
                assertThat(shown.ratio()).isLessThanOrEqualTo(c.ratio());
            }
        }
        CaseAnswer governing = a.governing().orElseThrow();
        MatrixCells.Words words =
                m.words(Optional.of(worst.get(MatrixCells.Key.of(governing))), governing.condition(), UnitSystem.US);
        assertThat(words.governs()).isTrue();
        assertThat(words.looked()).isTrue();
        assertThat(words.figure()).isEqualTo(UnitSystem.figure(governing.margin(), 2));
        assertThat(words.spoken()).contains(governing.verdict().word()).endsWith("governs");
    }

    @ParameterizedTest
    @ValueSource(strings = {"corrie-b1", "brindle-a2", "tansy-l3"})
    void pumps_and_filters_chosen_show_only_their_cases(String name) throws ProjectFileException {
        Assessment a = demo(name);
        List<Choice> choices = new ArrayList<>(List.of(Choice.WORST.flipped(true), Choice.WORST.flipped(false)));
        PumpSet.of(a.project().system()).forEach(s -> choices.add(Choice.WORST.flipped(s)));
        for (Choice choice : choices) {
            assertThat(new MatrixCells(a, choice).worst().values())
                    .as("%s", choice)
                    .allSatisfy(c -> {
                        choice.fouled().ifPresent(f -> assertThat(
                                        c.condition().engine().fouled())
                                .isEqualTo(f));
                        choice.pumps().ifPresent(p -> assertThat(c.pumps()).matches(p::same));
                    });
        }
        assertThat(Choice.WORST.flipped(true).flipped(true)).as("pressed again").isEqualTo(Choice.WORST);
        assertThat(Choice.WORST.flipped(true).flipped(false).fouled()).contains(false);
        PumpSet one = new PumpSet("one", java.util.Set.of("two"), 1);
        PumpSet two = new PumpSet("two", java.util.Set.of("one"), 1);
        assertThat(Choice.WORST.flipped(one).flipped(two).pumps()).contains(two);
        assertThat(Choice.WORST.flipped(one).flipped(new PumpSet("renamed", one.stopped(), 1)))
                .isEqualTo(Choice.WORST);
    }

    @Test
    void a_cell_without_a_case_is_not_shown() throws ProjectFileException {
        MatrixCells m = new MatrixCells(demo("corrie-b1"), Choice.WORST);
        MatrixCells.Words none = m.words(Optional.empty(), StartingCase.of(m.a().project()), UnitSystem.US);
        assertThat(none.verdict()).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(none.ratio()).isZero();
        assertThat(none.governs()).isFalse();
    }

    @Test
    void the_matrix_is_built_anew_only_when_its_cells_are_others() throws ProjectFileException {
        Assessment a = demo("corrie-b1");
        Project p = a.project();
        ration.aircraft.model.Run run = p.system().runs().get(0);
        Assessment edited = Assessment.of(
                p.with(p.system().replace(run.resized(run.size().nextUp().orElseThrow()))));
        assertThat(new MatrixCells(a, Choice.WORST).structure())
                .isEqualTo(new MatrixCells(edited, Choice.WORST).structure())
                .isNotEqualTo(new MatrixCells(demo("brindle-a2"), Choice.WORST).structure());
        Assessment blocked = Assessment.of(Project.empty());
        assertThat(new MatrixCells(blocked, Choice.WORST).held()).isEmpty();
        assertThat(new MatrixCells(blocked, Choice.WORST).worst()).isEmpty();
    }

    @Test
    void the_sentence_says_by_how_much_the_path_is_short_or_has_to_spare() throws ProjectFileException {
        Assessment a = demo("corrie-b1");
        CaseAnswer governing = a.governing().orElseThrow();
        FlowWords words = new FlowWords(a, Optional.of(governing), UnitSystem.US);
        assertThat(words.isShort()).isEqualTo(governing.verdict() == Verdict.FAILS);
        assertThat(words.sentence()).contains("the inlet has").contains(words.isShort() ? " low." : " to spare.");
        CaseAnswer best = a.cases().stream()
                .filter(c -> c.verdict() == Verdict.HOLDS)
                .findFirst()
                .orElseThrow();
        assertThat(new FlowWords(a, Optional.of(best), UnitSystem.METRIC).sentence())
                .contains("L/h the inlet has", " to spare.");
        assertThat(words.budgetTitle()).isEqualTo("Where the head goes");
        Assessment pumped = demo("tansy-l3");
        assertThat(new FlowWords(pumped, pumped.governing(), UnitSystem.US).budgetTitle())
                .isEqualTo("Where the pressure goes");
        assertThat(new FlowWords(a, Optional.empty(), UnitSystem.US).isShort()).isFalse();
    }

    @Test
    void nothing_to_look_at_says_what_to_mend_first() {
        Assessment a = Assessment.of(Project.empty());
        FlowWords words = new FlowWords(a, Optional.empty(), UnitSystem.US);
        assertThat(words.sentence())
                .isEqualTo(a.problems().stream()
                        .findFirst()
                        .map(p -> p.message() + " " + p.remedy())
                        .orElse(""));
        assertThat(words.now()).isEmpty();
        assertThat(words.budgetCase()).isEmpty();
    }

    @Test
    void remarks_are_what_is_not_good_beside_the_margin() throws ProjectFileException {
        for (String name : List.of("corrie-b1", "brindle-a2", "tansy-l3")) {
            assertThat(new FlowWords(demo(name), Optional.empty(), UnitSystem.US).remarks())
                    .hasSizeLessThanOrEqualTo(2)
                    .allSatisfy(f -> {
                        assertThat(f.check()).isNotEqualTo(Check.FLOW_MARGIN);
                        assertThat(f.verdict()).isIn(Verdict.FAILS, Verdict.NOT_SHOWN);
                    });
        }
    }

    @Test
    void a_change_says_what_it_gives_and_what_governs_then() throws ProjectFileException {
        Assessment a = demo("corrie-b1");
        FlowWords words = new FlowWords(a, a.governing(), UnitSystem.US);
        assertThat(words.now())
                .isEqualTo(
                        "now " + UnitSystem.figure(a.governing().orElseThrow().margin(), 2) + "\u00d7");
        assertThat(Remedies.of(a, Task.QUIET)).isNotEmpty().allSatisfy(r -> {
            assertThat(words.then(r))
                    .startsWith(r.detail())
                    .contains(r.after().condition().attitude().label(), " governs");
            assertThat(FlowWords.gives(r)).isEqualTo(UnitSystem.figure(r.after().margin(), 2) + "\u00d7");
        });
    }

    /**
     * What is short or not shown is never made better by being sure of it, and what holds is thin where it is not sure.
     */
    @Test
    void sureness_never_makes_a_verdict_better() throws ProjectFileException {
        Chance sure = new Chance(400, 0, 1.6, 1.7, 1.8);
        Chance unsure = new Chance(400, 60, 1.4, 1.7, 1.8);
        for (String name : List.of("corrie-b1", "brindle-a2", "tansy-l3")) {
            FlowWords words = new FlowWords(demo(name), Optional.empty(), UnitSystem.US);
            Verdict flow = words.a().flowVerdict();
            assertThat(words.sureVerdict(sure)).isEqualTo(flow);
            assertThat(words.sureVerdict(unsure)).isEqualTo(flow == Verdict.HOLDS ? Verdict.THIN : flow);
        }
        assertThat(FlowWords.sure(unsure))
                .isEqualTo("below the limit in 60 of 400 samples of the measured figures; 90% lie between 1.40\u00d7"
                        + " and 1.80\u00d7");
    }

    @Test
    void which_tank_is_answered_by_shares_or_says_why_not() {
        Assessment a = Assessment.of(Pattern.GRAVITY_TEED.project());
        Condition c = StartingCase.of(a.project());
        Optional<WhichTank> found = WhichTank.of(a, c);
        AskWords words = new AskWords(a.project(), c, UnitSystem.US);
        WhichTank w = found.orElseThrow();
        assertThat(words.rows(w)).hasSize(w.tanks().size()).allSatisfy(r -> assertThat(r.gives())
                .endsWith("gph"));
        String first =
                a.project().system().item(w.tanks().get(0).tank()).orElseThrow().name();
        assertThat(words.which(found)).contains(first).endsWith(".");
        assertThat(words.which(Optional.empty())).startsWith("Only one tank feeds");
        assertThat(AskWords.percent(Math.log(1.25))).isEqualTo("25 %");
        assertThat(AskWords.lean(2.345)).isEqualTo("2.3\u00b0 more right wing low");
        assertThat(AskWords.lean(-0.01)).isEqualTo("Less than 0.1\u00b0 more left wing low");
    }

    @Test
    void how_steep_is_answered_or_not_shown() throws ProjectFileException {
        Assessment a = demo("corrie-b1");
        Condition c = a.governing().orElseThrow().condition();
        AskWords words = new AskWords(a.project(), c, UnitSystem.US);
        assertThat(words.steep(HowSteep.of(a, c, Task.QUIET)))
                .endsWith("Wings level, takeoff power, the other tanks as they are.");
        assertThat(words.steep(Optional.empty())).startsWith("Not shown");
    }
}
