package ration.answer.signoff;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import ration.Systems;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.LineSize;
import ration.aircraft.model.Run;
import ration.answer.assess.Assessment;
import ration.answer.assess.Ledger;
import ration.answer.proof.Wanted;
import ration.base.quantity.Measured;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;
import ration.record.acceptance.SignOff;
import ration.record.evidence.HangarTest;
import ration.record.evidence.Standing;
import ration.record.evidence.Work;
import ration.record.file.DocumentMark;
import ration.record.file.ProjectFile;
import ration.record.file.ProjectFileException;
import ration.record.file.StrictSchema;
import ration.record.project.LayoutEdits;
import ration.record.project.NewItem;
import ration.record.project.Project;
import ration.verdict.check.Check;
import ration.verdict.check.Finding;
import ration.verdict.check.Verdict;

/** Requirements on a line: predicted and measured apart, and what people say of them changes nothing. */
class RequirementTest {

    private static final LocalDate DAY = LocalDate.of(2026, 11, 26);
    private static final Project CORRIE = Systems.corrie().withTests(List.of());

    private static Requirement of(Project p, String id) {
        return Requirement.of(Assessment.of(p), UnitSystem.US).stream()
                .filter(r -> r.id().equals(id))
                .findFirst()
                .orElseThrow();
    }

    private static Project poured(double gph) {
        Wanted w = Assessment.of(CORRIE).program().tests().stream()
                .map(t -> t.wanted())
                .filter(x -> x.key().equals("flow.selector:UPPER"))
                .findFirst()
                .orElseThrow();
        Work.Sheet sheet = w.begun()
                .with("pitch", Measured.of(22, Unit.DEGREE))
                .with("contents", Measured.of(2.3, Unit.GALLON))
                .plus(Work.Row.of(
                        Map.of("volume", Measured.of(0.25, Unit.GALLON), "time", Measured.of(900 / gph, Unit.SECOND))));
        return CORRIE.with(new HangarTest(
                "f",
                "",
                new HangarTest.Circumstances("2026-11-20", "", "", Optional.empty(), "", "")
                        .on(Standing.restsOn(CORRIE.asBuilt(), "", sheet)),
                sheet,
                new HangarTest.Progress(6, 0, true)));
    }

    /**
     * However good the prediction, a requirement whose test was not run is Not shown; run, it holds; the tube changed,
     * it is open again and struck.
     */
    @Test
    void aRequirementStandsOnItsTest() {
        Requirement before = of(CORRIE, "flow.margin.selector:UPPER");
        assertThat(before.verdict()).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(before.since()).isEqualTo("never");
        assertThat(before.measured()).isEqualTo("not run");
        assertThat(before.predicted()).endsWith("gph");
        Project tested = poured(31);
        Requirement then = of(tested, "flow.margin.selector:UPPER");
        assertThat(then.verdict()).isEqualTo(Verdict.HOLDS);
        assertThat(then.since()).isEqualTo("2026-11-20");
        assertThat(then.measured()).isEqualTo("31.0 gph");
        assertThat(then.struck()).isFalse();
        Requirement after = of(
                tested.with(tested.system().change("r3", Run.class, r -> r.resized(LineSize.parse("3/8 x 0.035")))),
                "flow.margin.selector:UPPER");
        assertThat(after.verdict()).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(after.struck()).isTrue();
        assertThat(after.measured()).isEqualTo("31.0 gph");
        assertThat(after.since()).isEqualTo("outdated");
        assertThat(after.words()).contains("R3: size was 5/16");
        assertThat(of(poured(15), "flow.margin.selector:UPPER").verdict())
                .as("short when measured, whatever is computed")
                .isEqualTo(Verdict.FAILS);
    }

    @Test
    void everyFindingIsOnALineOnceOrWithItsTest() {
        for (String demo : List.of("corrie-b1", "brindle-a2", "tansy-l3")) {
            Assessment a = Systems.assessed(demo);
            List<Requirement> all = Requirement.of(a, UnitSystem.METRIC);
            assertThat(all).extracting(r -> r.finding()).doesNotHaveDuplicates();
            long merged = a.findings().size() - all.size();
            assertThat(merged)
                    .as(demo)
                    .isBetween((long) a.tanks().size(), 2L + a.tanks().size());
            Verdict worst = a.findings().stream().map(f -> f.verdict()).reduce(Verdict.HOLDS, Verdict::worse);
            assertThat(all.get(0).verdict()).isEqualTo(worst);
            assertThat(all).allSatisfy(r -> assertThat(r.verdict())
                    .isGreaterThanOrEqualTo(r.finding().verdict()));
        }
    }

    /**
     * Two selectors whose positions are called alike, as the chooser makes them: each setting has its test, its line
     * and its name.
     */
    @Test
    void selectorsWithPositionsOfOneNameAreToldApart() {
        FuelSystem two = CORRIE.system();
        for (String run : List.of("r1", "r2")) {
            two = LayoutEdits.add(two, run, LayoutEdits.Spot.IN_RUN, NewItem.SELECTOR)
                    .orElseThrow()
                    .system();
        }
        assertThat(two.selectors()).hasSize(3);
        Assessment a = Assessment.of(CORRIE.with(two));
        List<Requirement> all = Requirement.of(a, UnitSystem.US);
        assertThat(a.findings()).extracting(Finding::id).doesNotHaveDuplicates();
        assertThat(a.program().tests()).extracting(p -> p.wanted().key()).doesNotHaveDuplicates();
        assertThat(a.program().tests()).extracting(p -> p.wanted().name()).doesNotHaveDuplicates();
        assertThat(all)
                .filteredOn(r -> r.finding().check() == Check.FLOW_MARGIN)
                .hasSizeGreaterThan(2);
    }

    /** An acceptance goes by what was found, not by the words it was found in. */
    @Test
    void rewordingEndsNoAcceptance() {
        Requirement open = of(CORRIE, "flow.margin.selector:FUSELAGE");
        SignOff.Accepted a = Requirement.accept(open.finding(), "I. Nobody", "not used", DAY);
        SignOff.Accepted reworded =
                new SignOff.Accepted(a.finding(), a.name(), a.reason(), a.on(), "Said in other words", a.found());
        assertThat(of(CORRIE.with(CORRIE.signOff().with(reworded)), open.id()).acceptedOtherwise())
                .isFalse();
        SignOff.Accepted other = new SignOff.Accepted(a.finding(), a.name(), a.reason(), a.on(), a.as(), "holds 2 1.5");
        assertThat(of(CORRIE.with(CORRIE.signOff().with(other)), open.id()).acceptedOtherwise())
                .isTrue();
    }

    /** One count of what is open, in the ledger and in Sign-off, by verdict too. */
    @ParameterizedTest
    @ValueSource(strings = {"corrie-b1", "brindle-a2", "tansy-l3", "collector-sump", "two-outlets"})
    void theLedgerCountsWhatSignOffLists(String demo) {
        Assessment a = Systems.assessed(demo);
        List<Requirement> all = Requirement.of(a, UnitSystem.US);
        long open = all.stream().filter(Requirement::open).count();
        long fails = all.stream().filter(r -> r.verdict() == Verdict.FAILS).count();
        Ledger.Entry said = Ledger.of(a, UnitSystem.US).open();
        assertThat(said.figure()).isEqualTo(open + " of " + all.size());
        assertThat(said.detail()).isEqualTo(fails + " Fails, " + (open - fails) + " Not shown");
        assertThat(a.open()).isEqualTo(open);
        assertThat(said.verdict())
                .isEqualTo(all.stream().map(Requirement::verdict).reduce(Verdict.HOLDS, Verdict::worse));
        assertThat(a.findings().stream().map(Finding::verdict).reduce(Verdict.HOLDS, Verdict::worse))
                .as("nothing that was found is lost by it")
                .isEqualTo(said.verdict());
    }

    @Test
    void anAcceptanceStandsBesideAndChangesNothing() throws Exception {
        Requirement open = of(CORRIE, "flow.margin.selector:FUSELAGE");
        SignOff said = CORRIE.signOff()
                .with(Requirement.accept(open.finding(), "I. Nobody", "fuselage tank not used for takeoff", DAY))
                .with(new SignOff.Point(open.id(), "builder", "tube ordered"))
                .with(new SignOff.Issued(DAY, "0000 1111 2222 3333", "packet.pdf"));
        Project p = CORRIE.with(said);
        Requirement r = of(p, open.id());
        assertThat(r.verdict()).isEqualTo(open.verdict()).isEqualTo(Verdict.FAILS);
        assertThat(r.accepted()).isPresent();
        assertThat(r.acceptedOtherwise()).isFalse();
        assertThat(r.point().orElseThrow().owner()).isEqualTo("builder");
        assertThat(Ledger.of(Assessment.of(p), UnitSystem.US).open().figure())
                .isEqualTo(
                        Ledger.of(Assessment.of(CORRIE), UnitSystem.US).open().figure());
        Project worse = p.with(p.system().change("r3", Run.class, x -> x.resized(LineSize.parse("1/4 x 0.035"))));
        assertThat(of(worse, open.id()).acceptedOtherwise())
                .as("what was accepted is not what is found now")
                .isTrue();
        assertThat(ProjectFile.read(ProjectFile.text(p).getBytes(StandardCharsets.UTF_8), "x.ration"))
                .isEqualTo(p);
        StrictSchema.describes(p);
        assertThat(DocumentMark.of(p))
                .as("a packet given out is no change of the document")
                .isEqualTo(DocumentMark.of(CORRIE.with(said.unissued())))
                .isNotEqualTo(DocumentMark.of(CORRIE));
        assertThat(said.with(new SignOff.Point(open.id(), " ", "")).points()).isEmpty();
        assertThatThrownBy(() -> new SignOff.Accepted("x", " ", "why", DAY, "", ""))
                .hasMessageContaining("name and a reason");
        assertThatThrownBy(() -> ProjectFile.read(
                        ProjectFile.text(p).replace("\"I. Nobody\"", "\"\"").getBytes(StandardCharsets.UTF_8),
                        "x.ration"))
                .isInstanceOf(ProjectFileException.class);
    }
}
