package ration.desktop.hangar;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import ration.answer.assess.Assessment;
import ration.answer.proof.TestProgram;
import ration.base.quantity.Measured;
import ration.base.quantity.Quantity;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;
import ration.record.evidence.Form;
import ration.record.evidence.Grade;
import ration.record.evidence.HangarTest;
import ration.record.evidence.Work;
import ration.record.file.ProjectFile;
import ration.record.file.ProjectFileException;
import ration.record.project.Project;

/** What the hangar page says and writes down, without a display. */
class BenchTest {

    private static final LocalDate TODAY = LocalDate.of(2026, 5, 1);
    private static Assessment corrie;

    @BeforeAll
    static void assess() throws ProjectFileException {
        corrie = worked(ProjectFile.demo("corrie-b1"));
    }

    private static Assessment worked(Project p) {
        Assessment a = Assessment.of(p);
        a.program().work();
        return a;
    }

    private static Project project() {
        return corrie.project();
    }

    private static TestProgram.Proof proof(String key) {
        return corrie.program().tests().stream()
                .filter(p -> p.wanted().key().equals(key))
                .findFirst()
                .orElseThrow();
    }

    private static HangarTest record(String id) {
        return project().test(id).orElseThrow();
    }

    private static StepWords words(HangarTest t) {
        return new StepWords(t, project(), corrie, UnitSystem.US);
    }

    private static TestRows.Row row(String key, String picked, String running, LocalDate today) {
        return new TestRows(corrie.program(), picked, running, today)
                .rows().stream()
                        .filter(r -> r.proof().wanted().key().equals(key))
                        .findFirst()
                        .orElseThrow();
    }

    @Test
    void picking_a_test_opens_what_was_interrupted_of_it() {
        Bench bench = Bench.picked(proof("drain.fuselage"), project());
        assertThat(bench).isEqualTo(new Bench("drain.fuselage", "test-4"));
        assertThat(bench.running(project())).isEqualTo("running, step 6");
        assertThat(Bench.picked(proof("fill.upper"), project()).open())
                .as("a finished one stays shut")
                .isEmpty();
        assertThat(bench.in(project().withTests(List.of())))
                .as("its record is gone")
                .isEqualTo(new Bench("drain.fuselage", ""));
        assertThat(Bench.EMPTY.opened(record("test-6"), corrie.program()).picked())
                .isEqualTo("flow.selector:UPPER");
    }

    @Test
    void the_head_counts_what_counts_and_what_no_longer_does() {
        assertThat(Bench.sum(corrie, project()))
                .isEqualTo(corrie.program().counting() + " of "
                        + corrie.program().asked() + " valid, 1 outdated, 1 in progress");
        Assessment nothing =
                worked(project().with(project().system().withItems(List.of())).withTests(List.of()));
        assertThat(Bench.sum(nothing, nothing.project())).doesNotContain("count");
    }

    /** Every test of the program can be begun, is its own, and starts at its first step with nothing read. */
    @ParameterizedTest
    @ValueSource(strings = {"corrie-b1", "brindle-a2", "tansy-l3"})
    void every_test_can_be_begun(String demo) throws ProjectFileException {
        Project p = ProjectFile.demo(demo);
        for (TestProgram.Proof proof : worked(p).program().tests()) {
            String id = Bench.fresh(p);
            assertThat(p.test(id)).isEmpty();
            Project after = Bench.begin(proof.wanted(), id, p, TODAY).change().apply(p);
            HangarTest t = after.test(id).orElseThrow();
            assertThat(proof.wanted().is(t)).as(proof.wanted().key()).isTrue();
            assertThat(t.by().date()).isEqualTo("2026-05-01");
            StepWords words = new StepWords(t, after, worked(after), UnitSystem.METRIC);
            assertThat(words.orphan()).isFalse();
            assertThat(words.done()).isFalse();
            assertThat(words.where()).contains(", step 1 of ");
            assertThat(words.title()).isNotBlank();
            assertThat(Bench.discard(t).change().apply(after).tests()).isEqualTo(p.tests());
        }
    }

    @Test
    void a_record_is_begun_by_whom_the_last_one_was() {
        HangarTest last = project().tests().get(project().tests().size() - 1);
        HangarTest t = Bench.begin(proof("drains").wanted(), "fresh", project(), TODAY)
                .change()
                .apply(project())
                .test("fresh")
                .orElseThrow();
        assertThat(t.by().who()).isEqualTo(last.by().who()).isNotBlank();
        assertThat(t.by().instrument()).isEqualTo(last.by().instrument());
        assertThat(t.by().inputs()).as("what it rests on").isNotEqualTo(ration.record.evidence.Inputs.NONE);
    }

    /** A file attached goes to the record as it is then, with whatever was read since. */
    @Test
    void a_file_goes_to_the_record_as_it_stands() {
        HangarTest drawn = record("test-4");
        HangarTest.Photo photo = new HangarTest.Photo("wing.jpg", "ab".repeat(32));
        Project since = project().with(drawn.with(drawn.by().withNotes("read since")));
        Project after = Bench.attached(drawn, photo).change().apply(since);
        assertThat(after.test("test-4").orElseThrow().by().notes()).isEqualTo("read since");
        assertThat(words(after.test("test-4").orElseThrow()).soFar())
                .contains(new StepWords.Line("Attached", "wing.jpg, abababababab"));
        assertThat(Bench.attached(drawn, photo)
                        .change()
                        .apply(project().withTests(List.of()))
                        .tests())
                .as("of a record that is gone")
                .isEmpty();
    }

    @Test
    void a_step_says_what_to_do_and_a_finished_test_what_was_found() {
        StepWords open = words(record("test-4"));
        assertThat(open.where()).contains("step 6 of ");
        assertThat(open.title()).isEqualTo(open.step().title());
        StepWords done = words(record("test-6"));
        assertThat(done.where()).endsWith(", finished " + record("test-6").by().date());
        assertThat(done.title()).isEqualTo("Result");
        assertThat(done.caution()).isEmpty();
        assertThat(done.found()).isEqualTo(done.outcome().orElseThrow().words().in(UnitSystem.US));
    }

    @Test
    void a_record_that_ended_says_so_before_it_says_what_it_found() {
        StepWords stale = words(record("test-5"));
        assertThat(stale.countsNot()).startsWith("No longer valid: ").contains("R3");
        assertThat(stale.found()).startsWith(stale.countsNot());
        HangarTest fed = record("test-6")
                .with(record("test-6").by().with(record("test-6").by().beside().fedByStandIn()));
        assertThat(words(fed).countsNot()).startsWith("Simulated data: not evidence");
        assertThat(words(fed).soFar()).contains(new StepWords.Line("Fed by", "the simulator: not evidence"));
    }

    @Test
    void a_record_of_what_is_no_longer_laid_out_is_kept_and_says_so() {
        HangarTest t = record("test-3");
        Project without = project()
                .with(project()
                        .system()
                        .withItems(project().system().items().stream()
                                .filter(i -> !i.id().equals("upper"))
                                .toList()));
        StepWords words = new StepWords(t, without, corrie, UnitSystem.US);
        assertThat(words.orphan()).isTrue();
        assertThat(words.title()).contains("no longer in the layout");
        assertThat(words.words()).isEqualTo("The record is kept.");
        assertThat(new StepWords(
                                new HangarTest(
                                        "x",
                                        "",
                                        record("test-6").by(),
                                        record("test-6").work(),
                                        HangarTest.Progress.START),
                                project(),
                                corrie,
                                UnitSystem.US)
                        .found())
                .as("nobody asks for it")
                .contains("no longer requires this test");
    }

    /** What is drawn of a step is drawn anew when, and only when, something of it changed. */
    @Test
    void a_step_tells_when_it_is_another() {
        HangarTest t = record("test-4");
        assertThat(words(t).state())
                .isEqualTo(words(t.with(t.by().withNotes("said"))).state());
        assertThat(words(t).state())
                .isNotEqualTo(words(t.atStep(2)).state())
                .isNotEqualTo(new StepWords(t, project(), corrie, UnitSystem.METRIC).state());
        HangarTest sheet = record("test-8");
        Work.Sheet fewer = ((Work.Sheet) sheet.work()).withRows(List.of());
        assertThat(words(sheet).state()).isNotEqualTo(words(sheet.with(fewer)).state());
    }

    @Test
    void what_was_entered_is_told_line_by_line() {
        assertThat(words(record("test-3")).soFar())
                .extracting(StepWords.Line::name)
                .startsWith("Trial 1")
                .contains("Selector")
                .endsWith("Tested by");
        assertThat(words(record("test-6")).soFar())
                .extracting(StepWords.Line::name)
                .contains("Run 1", "Run 2", "Run 3");
        assertThat(words(record("test-8")).soFar())
                .as("of eight joints only what is not good")
                .extracting(StepWords.Line::name)
                .filteredOn("Seen"::equals)
                .hasSizeLessThan(8);
        StepWords.Line by = words(record("test-3"))
                .soFar()
                .get(words(record("test-3")).soFar().size() - 1);
        assertThat(by.text())
                .startsWith(record("test-3").by().date() + ", "
                        + record("test-3").by().who())
                .doesNotContain(", ,");
    }

    @Test
    void a_test_not_begun_invites_with_what_is_computed() {
        Invitation fresh = new Invitation(proof("fill.fuselage"), UnitSystem.US);
        assertThat(fresh.button()).isEqualTo("Start test");
        assertThat(fresh.words())
                .endsWith(proof("fill.fuselage").outcome().words().in(UnitSystem.US));
        Invitation again = new Invitation(proof("flow.selector:FUSELAGE"), UnitSystem.US);
        assertThat(again.button()).isEqualTo("Repeat test");
        assertThat(again.words()).contains("On record: outdated");
        assertThat(again.under()).startsWith("Computed, not measured. ").contains("Needs ");
        Invitation counts = new Invitation(proof("flow.selector:UPPER"), UnitSystem.METRIC);
        assertThat(counts.big())
                .isEqualTo(proof("flow.selector:UPPER").outcome().measured().in(UnitSystem.METRIC));
        assertThat(counts.under()).doesNotContain("Computed");
    }

    @Test
    void the_list_stands_in_groups_and_marks_what_is_open_stale_or_next() {
        List<TestRows.Row> rows = new TestRows(corrie.program(), "drain.fuselage", "running, step 6", TODAY).rows();
        assertThat(rows)
                .extracting(TestRows.Row::id)
                .doesNotHaveDuplicates()
                .allMatch(id -> id.matches("wanted-[a-z0-9-]*[a-z0-9]"));
        assertThat(rows.stream().map(TestRows.Row::group).filter(g -> !g.isEmpty()))
                .doesNotHaveDuplicates()
                .first()
                .isEqualTo(rows.get(0).group());
        assertThat(rows).filteredOn(TestRows.Row::open).singleElement().satisfies(r -> assertThat(r.state())
                .isEqualTo("running, step 6"));
        assertThat(rows)
                .filteredOn(TestRows.Row::stale)
                .extracting(r -> r.proof().wanted().key())
                .containsExactly("flow.selector:FUSELAGE");
        assertThat(rows).filteredOn(TestRows.Row::stale).allMatch(TestRows.Row::bad);
        assertThat(rows).allSatisfy(r -> {
            assertThat(r.spoken()).contains(r.proof().wanted().name(), r.proof().state(), r.closes());
            assertThat(r.ratio())
                    .as("nothing is full that does not count")
                    .isEqualTo(r.proof().counts() ? r.proof().outcome().ratio() : 0);
        });
        assertThat(row("flow.selector:UPPER", "", "", TODAY).state()).isEqualTo("6 Mar, Holds");
    }

    @Test
    void a_smear_is_over_from_the_day_on_which_it_was_to_be_looked_at() {
        String day = ((Work.Sheet) record("test-8").work()).again().orElseThrow();
        assertThat(row("overnight", "", "", LocalDate.parse(day).minusDays(1)).state())
                .isEqualTo("7 Mar, Thin");
        TestRows.Row over = row("overnight", "", "", LocalDate.parse(day));
        assertThat(over.state()).isEqualTo("recheck overdue");
        assertThat(over.bad()).isTrue();
        assertThat(over.spoken()).contains("recheck overdue");
    }

    @Test
    void runs_stand_against_what_is_asked_only_while_the_record_counts() {
        BesideWords words = new BesideWords(project(), corrie, UnitSystem.US);
        assertThat(words.runs(record("test-6"))).hasSize(3).allSatisfy(r -> {
            assertThat(r.done()).isTrue();
            assertThat(r.ratio()).isPresent();
            assertThat(r.flow()).endsWith("gph");
        });
        assertThat(words.runs(record("test-5"))).as("stale: no bar").hasSize(3).allSatisfy(r -> assertThat(r.verdict())
                .isEmpty());
        HangarTest one = record("test-6")
                .with(((Work.Sheet) record("test-6").work())
                        .withRows(((Work.Sheet) record("test-6").work()).rows().subList(0, 1)));
        assertThat(words.runs(one)).extracting(BesideWords.Run::done).containsExactly(true, false, false);
        assertThat(words.runs(record("test-3"))).as("a drain has no runs").isEmpty();
        assertThat(BesideWords.fits(record("test-6"))).isTrue();
        assertThat(BesideWords.fits(Recording.finished(false).apply(record("test-6"))))
                .isFalse();
        assertThat(BesideWords.fits(record("test-8"))).isFalse();
    }

    @Test
    void records_are_told_with_what_became_of_them() {
        BesideWords words = new BesideWords(project(), corrie, UnitSystem.US);
        assertThat(words.records(Optional.of(proof("flow.selector:FUSELAGE"))))
                .extracting(HangarTest::id)
                .containsExactly("test-5");
        assertThat(words.records(Optional.empty()))
                .as("all are of what is laid out")
                .isEmpty();
        BesideWords.Record stale = words.record(record("test-5"));
        assertThat(stale.words()).contains("no longer valid: ");
        assertThat(stale.good()).isFalse();
        assertThat(words.record(record("test-4")).words()).endsWith("in progress, step 6");
        assertThat(words.record(record("test-6"))).satisfies(r -> {
            assertThat(r.words()).endsWith(", valid");
            assertThat(r.result())
                    .isEqualTo(proof("flow.selector:UPPER").outcome().measured().in(UnitSystem.US));
        });
        assertThat(words.now(proof("flow.selector:FUSELAGE"))).startsWith("Now Not shown: outdated");
        assertThat(words.source(proof("run-log"))).endsWith("Recommended, not required.");
    }

    @Test
    void nothing_is_recorded_of_a_form_that_nobody_entered() {
        SheetReadings readings = new SheetReadings(UnitSystem.US);
        Form form = ((Work.Sheet) record("test-6").work()).form();
        List<Form.Ask> asks = form.each();
        Form.Ask needed = asks.stream().filter(Form.Ask::needed).findFirst().orElseThrow();
        assertThat(readings.missing(asks, Map.of())).contains(needed);
        assertThatThrownBy(() -> readings.read(asks, Map.of(), Map.of()))
                .hasMessageStartingWith(needed.label() + ": enter what was read, such as 12");
        Map<String, String> entered = new HashMap<>();
        asks.stream()
                .filter(Form.Ask::needed)
                .forEach(a -> entered.put(
                        a.key(),
                        UnitSystem.figure(
                                readings.meant(a).fromSi((a.least() + Math.min(a.most(), a.least() + 1)) / 2), 3)));
        Map<String, Measured> read = readings.read(asks, entered, Map.of(needed.key(), TestRunner.STAND_IN));
        assertThat(read.keySet()).isEqualTo(entered.keySet());
        assertThat(read.get(needed.key()).by()).isEqualTo(TestRunner.STAND_IN);
        entered.put(needed.key(), "" + readings.meant(needed).fromSi(needed.most() * 2 + 1));
        assertThatThrownBy(() -> readings.read(asks, entered, Map.of())).hasMessageContaining("must be above 0");
    }

    @Test
    void pieces_are_graded_one_by_one_or_together_and_runs_can_be_struck() {
        HangarTest seen = record("test-8");
        Work.Sheet bare = ((Work.Sheet) seen.work()).withRows(List.of());
        Map<String, String> pieces = bare.form().pieces(project().system());
        Grade good = bare.form().grades().get(0);
        assertThat(SheetReadings.open(bare, pieces)).containsExactlyElementsOf(pieces.keySet());
        HangarTest all =
                SheetReadings.all(SheetReadings.open(bare, pieces), good).apply(seen.with(bare));
        assertThat(SheetReadings.open((Work.Sheet) all.work(), pieces)).isEmpty();
        Work.Row smear = new Work.Row(pieces.keySet().iterator().next(), Map.of(), Optional.of(Grade.SMEAR), "");
        assertThat(((Work.Sheet) SheetReadings.again(smear, " 2026-12-05 ")
                                .apply(all)
                                .work())
                        .again())
                .contains("2026-12-05");
        assertThatThrownBy(() -> SheetReadings.again(smear, "next week")).hasMessageContaining("2026-12-05");
        HangarTest flow = record("test-6");
        assertThat(((Work.Sheet) SheetReadings.struck(3).apply(flow).work()).rows())
                .hasSize(2);
        assertThat(SheetReadings.struck(3).apply(record("test-3")))
                .as("a drain has no runs to strike")
                .isEqualTo(record("test-3"));
    }

    @Test
    void a_figure_entered_later_goes_beside_what_is_there() {
        HangarTest flow = record("test-6");
        Work.Sheet was = (Work.Sheet) flow.work();
        Measured again = new Measured(Quantity.of(1, Unit.DEGREE), "level");
        Work.Sheet now = (Work.Sheet)
                SheetReadings.figures(Map.of("pitch", again)).apply(flow).work();
        assertThat(now.once())
                .containsEntry("pitch", again)
                .hasSizeGreaterThanOrEqualTo(was.once().size());
        assertThat(now.rows()).isEqualTo(was.rows());
    }
}
