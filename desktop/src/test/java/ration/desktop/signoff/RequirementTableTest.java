package ration.desktop.signoff;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import ration.answer.assess.Assessment;
import ration.answer.signoff.Requirement;
import ration.base.quantity.UnitSystem;
import ration.record.acceptance.SignOff;
import ration.record.file.ProjectFile;
import ration.record.file.ProjectFileException;
import ration.record.project.Project;
import ration.verdict.check.Verdict;

/** What Sign-off says and writes down, without a display. */
class RequirementTableTest {

    private static final LocalDate TODAY = LocalDate.of(2026, 5, 1);
    private static Assessment a;
    private static List<Requirement> all;

    @BeforeAll
    static void assess() throws ProjectFileException {
        a = assessed(ProjectFile.demo("corrie-b1"));
        all = Requirement.of(a, UnitSystem.US);
    }

    private static Assessment assessed(Project p) {
        Assessment made = Assessment.of(p);
        made.program().work();
        return made;
    }

    private static Requirement open() {
        return all.stream()
                .filter(r -> r.open() && r.accepted().isEmpty())
                .findFirst()
                .orElseThrow();
    }

    private static Requirement again(Requirement r, Project p) {
        return new RequirementTable(Requirement.of(assessed(p), UnitSystem.US), Optional.empty())
                .row(r.id())
                .orElseThrow();
    }

    @Test
    void chips_count_every_requirement_once() {
        RequirementTable table = new RequirementTable(all, Optional.empty());
        assertThat(table.rows()).isEqualTo(all);
        assertThat(table.allChip()).isEqualTo("All " + all.size());
        int sum = RequirementTable.ORDER.stream()
                .map(table::chip)
                .mapToInt(c -> Integer.parseInt(c.replaceAll(".* ", "")))
                .sum();
        assertThat(sum).isEqualTo(all.size());
        assertThat(RequirementTable.ORDER)
                .containsExactlyInAnyOrder(Verdict.values())
                .extracting(RequirementTable::chipId)
                .doesNotHaveDuplicates();
    }

    @ParameterizedTest
    @EnumSource(Verdict.class)
    void a_chip_shows_its_own_and_keeps_the_counts(Verdict v) {
        RequirementTable one = new RequirementTable(all, Optional.of(v));
        assertThat(one.rows())
                .allMatch(r -> r.verdict() == v)
                .hasSize(Integer.parseInt(one.chip(v).replaceAll(".* ", "")));
        assertThat(one.allChip()).isEqualTo("All " + all.size());
    }

    /** Every row can be read by who does not see it, and nothing too long for its column stands in it. */
    @Test
    void every_row_is_whole() {
        assertThat(all)
                .extracting(r -> RequirementTable.cells(r).id())
                .doesNotHaveDuplicates()
                .allMatch(id -> id.matches("requirement-[a-z0-9-]+"));
        assertThat(all).allSatisfy(r -> {
            RequirementTable.Cells c = RequirementTable.cells(r);
            assertThat(c.spoken()).contains(r.title(), r.verdict().word(), r.needs(), r.predicted(), r.measured());
            assertThat(List.of(c.needs(), c.predicted(), c.measured()))
                    .allSatisfy(cell -> assertThat(cell.text()).isNotBlank().hasSizeLessThanOrEqualTo(12));
            assertThat(c.basis()).isNotBlank().doesNotContain("before 2017");
        });
    }

    @Test
    void what_no_longer_counts_is_struck_and_said_to_be_stale() {
        Requirement stale = all.stream().filter(r -> r.outdated()).findFirst().orElseThrow();
        assertThat(RequirementTable.cells(stale).since().style()).isEqualTo("wrong-text");
        assertThat(RequirementTable.cells(stale).measured().style()).isEqualTo("struck");
        assertThat(RequirementTable.cells(stale).spoken()).contains("no longer valid");
        Requirement never = all.stream()
                .filter(r -> r.measured().equals("not run"))
                .findFirst()
                .orElseThrow();
        assertThat(RequirementTable.cells(never).measured()).isEqualTo(new RequirementTable.Cell("not run", "soft"));
    }

    @Test
    void an_open_point_can_be_taken_in_hand() {
        Project after = new PointWords(Optional.of(open()))
                .kept(" Ines ", "wait for the hose ")
                .orElseThrow()
                .change()
                .apply(a.project());
        PointWords now = new PointWords(Optional.of(again(open(), after)));
        assertThat(now.owner()).isEqualTo("Ines");
        assertThat(now.note()).isEqualTo("wait for the hose");
        assertThat(now.same(new PointWords(Optional.of(open())))).isTrue();
        assertThat(RequirementTable.cells(now.picked().orElseThrow()).hand()).isEqualTo("owner Ines");
    }

    /** An acceptance stands beside a finding and never changes it. */
    @Test
    void what_is_accepted_as_found_stays_what_it_is() {
        Requirement r = open();
        PointWords point = new PointWords(Optional.of(r));
        assertThatThrownBy(() -> point.taken("", "seen", TODAY)).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> point.taken("R. Holt", " ", TODAY)).isInstanceOf(IllegalArgumentException.class);
        Project after = point.taken("R. Holt", "ground runs only", TODAY)
                .orElseThrow()
                .change()
                .apply(a.project());
        Requirement now = again(r, after);
        assertThat(now.verdict()).isEqualTo(r.verdict());
        assertThat(now.open()).isTrue();
        assertThat(RequirementTable.cells(now).hand()).isEqualTo("accepted as is");
        assertThat(new PointWords(Optional.of(now)).accepted())
                .isEqualTo("Accepted as is by R. Holt on 2026-05-01: ground runs only");
        SignOff.Accepted otherwise =
                new SignOff.Accepted(r.id(), "R. Holt", "as it was", TODAY, "Thin; something else", "thin 1 1");
        Requirement other = again(r, a.project().with(a.project().signOff().with(otherwise)));
        assertThat(RequirementTable.cells(other).hand()).isEqualTo("accepted (verdict changed since)");
        assertThat(new PointWords(Optional.of(other)).accepted())
                .endsWith("The finding then was different: Thin; something else");
    }

    @Test
    void nothing_picked_offers_nothing() {
        PointWords none = new PointWords(Optional.empty());
        assertThat(none.title()).isEqualTo("Select a requirement");
        assertThat(none.open()).isFalse();
        assertThat(none.kept("a", "b")).isEmpty();
        assertThat(none.taken("a", "b", TODAY)).isEmpty();
        assertThat(none.accepted() + none.owner() + none.note() + none.basis() + none.remedy())
                .isEmpty();
    }

    @Test
    void the_packet_says_what_is_open_and_whether_the_document_changed_since() {
        PacketWords words = new PacketWords(a, all);
        long open = all.stream().filter(Requirement::open).count();
        assertThat(words.open()).startsWith(open + " open items");
        assertThat(words.last()).isEqualTo("No packet issued yet.");
        assertThat(words.cards()).isEqualTo("Write cards for the " + words.toRun() + " tests still to run");
        Project given =
                a.project().with(a.project().signOff().with(new SignOff.Issued(TODAY, words.mark(), "packet.pdf")));
        PacketWords after = new PacketWords(assessed(given), all);
        assertThat(after.last()).startsWith("Last packet 2026-05-01, mark " + words.mark());
        assertThat(after.issued()).isPresent();
        Project since = given.withTests(List.of());
        assertThat(new PacketWords(assessed(since), all).last())
                .as("changed since")
                .doesNotContain("as it was then");
    }
}
