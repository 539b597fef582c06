package ration.desktop.frame;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import ration.aircraft.condition.Fault;
import ration.aircraft.model.Run;
import ration.answer.assess.Assessment;
import ration.answer.fault.FaultAnswer;
import ration.answer.fault.FaultSum;
import ration.record.file.ProjectFile;
import ration.record.file.ProjectFileException;
import ration.record.project.Pattern;
import ration.record.project.Project;
import ration.record.upkeep.Due;
import ration.verdict.check.Finding;
import ration.verdict.check.Verdict;

/** What the rail says of each page, without a display. */
class RailStateTest {

    private static final LocalDate TODAY = LocalDate.of(2026, 11, 27);

    private static RailState rail(Project p) {
        return RailState.of(Assessment.of(p), FaultSum.of(List.of()), Optional.empty(), TODAY);
    }

    static Stream<Project> projects() throws ProjectFileException {
        List<Project> all = new ArrayList<>(List.of(
                Project.empty(),
                ProjectFile.demo("corrie-b1"),
                ProjectFile.demo("tansy-l3"),
                ProjectFile.demo("brindle-a2")));
        Arrays.stream(Pattern.values()).forEach(p -> all.add(p.project()));
        return all.stream();
    }

    @ParameterizedTest
    @MethodSource("projects")
    void no_page_is_better_than_the_worst_of_its_findings_and_none_holds_of_which_nothing_is_known(Project p) {
        Assessment a = Assessment.of(p);
        RailState rail = RailState.of(a, FaultSum.of(List.of()), Optional.empty(), TODAY);
        assertThat(rail.bars().keySet())
                .isEqualTo(Set.copyOf(Arrays.stream(Page.values())
                        .filter(x -> x != Page.FIND && x != Page.BUILD && x != Page.VARIANTS)
                        .toList()));
        rail.bars().forEach((page, bar) -> {
            Optional<Verdict> worst = a.findings().stream()
                    .filter(page::concerns)
                    .map(Finding::verdict)
                    .reduce(Verdict::worse);
            worst.ifPresent(w -> assertThat(bar.verdict()).as(page.label()).isEqualTo(w));
            if (worst.isEmpty() && page != Page.LAYOUT && page != Page.BRIEF && page != Page.UPKEEP) {
                assertThat(bar.verdict()).as(page.label()).isEqualTo(Verdict.NOT_SHOWN);
            }
        });
        assertThat(rail.bars().get(Page.UPKEEP).verdict())
                .as("the most urgent part, or nothing entered")
                .isEqualTo(Due.of(p.upkeep(), TODAY).stream()
                        .findFirst()
                        .map(Due::verdict)
                        .orElse(Verdict.NOT_SHOWN));
        assertThat(rail.bars().get(Page.FAULTS).verdict()).as("never asked").isEqualTo(Verdict.NOT_SHOWN);
        assertThat(rail.bars().get(Page.FLIGHT).verdict()).as("never flown").isEqualTo(Verdict.NOT_SHOWN);
    }

    @Test
    void an_empty_sheet_holds_nothing() {
        assertThat(rail(Project.empty()).bars().values())
                .extracting(RailState.Bar::verdict)
                .doesNotContain(Verdict.HOLDS, Verdict.THIN);
    }

    @Test
    void a_layout_that_is_blocked_holds_nothing_of_what_is_computed() throws ProjectFileException {
        Project p = ProjectFile.demo("corrie-b1");
        Run run = p.system().runs().get(0);
        RailState rail = rail(p.with(p.system().minus(run.id()).plus(run, run)));
        for (Page page : List.of(Page.LAYOUT, Page.FLOW, Page.VAPOR, Page.SIGN_OFF, Page.FAULTS, Page.FLIGHT)) {
            assertThat(rail.bars().get(page).verdict()).as(page.label()).isIn(Verdict.NOT_SHOWN, Verdict.FAILS);
        }
    }

    @Test
    void faults_stand_at_the_worst_of_them() throws ProjectFileException {
        Assessment a = Assessment.of(ProjectFile.demo("corrie-b1"));
        FaultAnswer held = new FaultAnswer(
                new Fault(Fault.Kind.AIR_LEAK, "r1", 1),
                "R1",
                a.governing().orElseThrow().condition(),
                "",
                FaultAnswer.Harm.NONE,
                1.2,
                Double.POSITIVE_INFINITY,
                List.of(),
                Optional.empty(),
                Verdict.HOLDS,
                "");
        FaultAnswer unknown = new FaultAnswer(
                held.fault(),
                "R1",
                held.condition(),
                "",
                FaultAnswer.Harm.BEYOND,
                Double.NaN,
                Double.NaN,
                List.of(),
                Optional.empty(),
                Verdict.NOT_SHOWN,
                "");
        assertThat(RailState.of(a, FaultSum.of(List.of(held)), Optional.empty(), TODAY)
                        .bars()
                        .get(Page.FAULTS))
                .isEqualTo(new RailState.Bar(Finding.MET, Verdict.HOLDS));
        assertThat(RailState.of(a, FaultSum.of(List.of(held, unknown)), Optional.empty(), TODAY)
                        .bars()
                        .get(Page.FAULTS))
                .isEqualTo(new RailState.Bar(0.5, Verdict.NOT_SHOWN));
    }
}
