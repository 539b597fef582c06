package ration.record.upkeep;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import ration.RandomEdits;
import ration.Systems;
import ration.aircraft.model.Run;
import ration.answer.assess.Assessment;
import ration.answer.proof.Touched;
import ration.publish.export.WorkReport;
import ration.record.build.StepKey;
import ration.record.evidence.HangarTest;
import ration.record.evidence.Standing;
import ration.record.evidence.TestKind;
import ration.record.file.ProjectFile;
import ration.record.file.ProjectFileException;
import ration.record.project.Project;
import ration.verdict.check.Check;
import ration.verdict.check.Verdict;

/** Renewal as one job, and joints worked on without an edit of the layout. */
class RenewalTest {

    private static final LocalDate DAY = LocalDate.of(2026, 3, 9);

    private static Upkeep.Act act(String paper) {
        return new Upkeep.Act(DAY, 430, "builder", paper, Optional.empty());
    }

    @Test
    void the_layout_offers_every_part_that_ages_and_dates_none() throws ProjectFileException {
        List<Project> all = new ArrayList<>(List.of(Systems.demo("tansy-l3"), Systems.demo("brindle-a2")));
        for (String s : ProjectFile.systems()) {
            all.add(ProjectFile.demo(s));
        }
        for (Project p : all) {
            List<Offered> offered = Offered.of(p.system(), Upkeep.NONE);
            assertThat(offered).as(p.name()).isNotEmpty();
            Upkeep tracked = Offered.all(p.system(), Upkeep.NONE);
            assertThat(tracked.parts()).hasSameSizeAs(offered).allMatch(x -> x.fitted()
                    .isEmpty());
            assertThat(Due.of(tracked, DAY)).allMatch(d -> d.verdict() == Verdict.NOT_SHOWN);
            assertThat(Offered.of(p.system(), tracked)).isEmpty();
            assertThat(tracked.log()).isEmpty();
        }
    }

    /** Tests {1,2,5} with {2,3} with {3,5,6} are 5, not 8: each once (handbook of the trade 7, section 2). */
    @Property(tries = 10)
    void the_tests_after_many_are_the_union_of_the_tests_after_each(@ForAll long seed) throws ProjectFileException {
        Random random = new Random(seed);
        Project start = RandomEdits.start(random);
        Project p = start.with(Offered.all(start.system(), start.upkeep()));
        List<Part> some =
                p.upkeep().parts().stream().filter(x -> random.nextBoolean()).toList();
        Set<String> union = new LinkedHashSet<>();
        some.forEach(x -> Touched.renewed(p, x).forEach(a -> union.add(a.words())));
        assertThat(Touched.renewed(p, some).stream().map(Touched.Again::words))
                .doesNotHaveDuplicates()
                .containsExactlyInAnyOrderElementsOf(union);
    }

    @Test
    void a_campaign_is_what_its_acts_are_one_by_one() {
        Project p = Systems.corrie();
        Upkeep u = p.upkeep();
        List<String> replace = u.parts().stream()
                .filter(x -> x.kind() == Part.Kind.RUBBER_HOSE)
                .map(Part::id)
                .toList();
        List<String> keep = u.parts().stream()
                .filter(x -> x.kind() == Part.Kind.VENT || x.kind() == Part.Kind.SCREEN)
                .map(Part::id)
                .toList();
        assertThat(replace).isNotEmpty();
        Upkeep one = u.campaign(replace.stream().map(Upkeep.Renewed::new).toList(), keep, act("26-0101"));
        Upkeep many = u;
        for (String id : replace) {
            many = many.replaced(id, act("26-0101"));
        }
        for (String id : keep) {
            many = many.looked(id, act("26-0101"), "kept, ref. 26-0101");
        }
        assertThat(one).isEqualTo(many);
        assertThat(one.log()).hasSize(u.log().size() + replace.size() + keep.size());
        assertThat(one.log().subList(u.log().size(), one.log().size()))
                .allMatch(e -> e.words().contains("26-0101"));
    }

    private static Set<String> counting(Project p) {
        return p.tests().stream()
                .filter(t -> Standing.of(t, p.asBuilt()).counts())
                .map(HangarTest::id)
                .collect(Collectors.toSet());
    }

    /** Opened or done up, a joint ends just the records that look at joints; the flow tests go on counting. */
    @Test
    void a_joint_worked_on_ends_just_what_rests_on_it() throws Exception {
        Project p = Systems.corrie();
        Set<String> before = counting(p);
        for (Run r : p.system().runs()) {
            for (StepKey k : List.of(StepKey.start(r.id()), StepKey.end(r.id()))) {
                Project open = p.with(p.upkeep().opened(k, "it", act("")));
                Project shut = open.with(open.upkeep().closed(k, "it", act("26-7"), "110 in\u00b7lb"));
                for (Project now : List.of(open, shut)) {
                    Set<String> ended = before.stream()
                            .filter(t -> !counting(now).contains(t))
                            .collect(Collectors.toSet());
                    Set<String> resting = p.tests().stream()
                            .filter(t -> before.contains(t.id()))
                            .filter(t -> t.by().inputs()
                                    .lines()
                                    .containsKey(r.id() + ": " + (k.of().endsWith(StepKey.START) ? "start" : "end")
                                            + " joint"))
                            .map(HangarTest::id)
                            .collect(Collectors.toSet());
                    assertThat(ended).as(k.text()).isEqualTo(resting);
                    assertThat(p.tests().stream().filter(t -> ended.contains(t.id())))
                            .noneMatch(t -> t.work().kind() == TestKind.FLOW);
                }
                assertThat(open(open)).isEqualTo(1);
                assertThat(open(shut)).isZero();
                assertThat(ProjectFile.read(ProjectFile.text(shut).getBytes(StandardCharsets.UTF_8), "here"))
                        .isEqualTo(shut);
            }
        }
        assertThat(before).isNotEmpty();
    }

    private static long open(Project p) {
        return Assessment.ahead(p, Optional.empty()).findings().stream()
                .filter(f -> f.check() == Check.BUILD_OPEN_JOINT && f.verdict() == Verdict.FAILS)
                .count();
    }

    @Test
    void an_entry_put_right_is_no_work_and_a_joint_of_a_line_that_is_gone_is_not_open() {
        Project p = Systems.corrie();
        StepKey k = StepKey.end("r4");
        Project open = p.with(p.upkeep().opened(k, "it", act("")));
        int number = open.upkeep().log().get(open.upkeep().log().size() - 1).number();
        Project right = open.with(open.upkeep().corrected(number, act(""), "it was another joint"));
        assertThat(open(right)).isZero();
        assertThat(counting(right)).isEqualTo(counting(p));
        assertThat(open(open.with(open.system().minus("r4")))).isZero();
    }

    @Test
    void the_report_tells_what_was_done_and_what_is_to_be_shown_again() throws Exception {
        Project p = Systems.corrie();
        Part hose = p.upkeep().parts().stream()
                .filter(x -> x.kind() == Part.Kind.RUBBER_HOSE && !x.item().isEmpty())
                .findFirst()
                .orElseThrow();
        Project after = p.with(p.upkeep()
                .campaign(
                        List.of(new Upkeep.Renewed(hose.id(), "lot 7781, 19.5 in", Upkeep.Ends.REUSED)),
                        List.of(),
                        act("26-0101")));
        List<Entry> made = after.upkeep()
                .log()
                .subList(p.upkeep().log().size(), after.upkeep().log().size());
        byte[] pdf = WorkReport.of(
                after, Assessment.ahead(after, Optional.empty()).program(), made, Touched.renewed(p, List.of(hose)));
        try (PDDocument d = Loader.loadPDF(pdf)) {
            assertThat(new PDFTextStripper().getText(d).replaceAll("\\s+", " "))
                    .contains("Work report", "Replaced " + hose.name(), "26-0101", "Overnight leak check", "Done by")
                    .contains("lot 7781, 19.5 in", "reused, inspected");
            assertThat(after.upkeep().part(hose.id()).orElseThrow().paper()).isEqualTo("26-0101, lot 7781, 19.5 in");
        }
    }
}
