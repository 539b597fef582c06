package ration.desktop.faults;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import ration.answer.assess.Assessment;
import ration.answer.fault.FaultAnswer;
import ration.answer.fault.FaultAnswer.Group;
import ration.answer.fault.FaultSearch;
import ration.record.file.ProjectFile;
import ration.record.file.ProjectFileException;
import ration.verdict.check.Verdict;

/** What the faults page says, without a display. */
class FaultTableTest {

    private static List<FaultAnswer> found;

    @BeforeAll
    static void search() throws ProjectFileException {
        found = FaultSearch.of(Assessment.of(ProjectFile.demo("brindle-a2")));
    }

    private static FaultAnswer like(
            double share,
            double minutes,
            Verdict verdict,
            List<FaultAnswer.Seen> seen,
            Optional<FaultAnswer.WayOut> out) {
        FaultAnswer f = found.get(0);
        return new FaultAnswer(
                f.fault(), "Pump", f.condition(), "", FaultAnswer.Harm.LACK, share, minutes, seen, out, verdict, "");
    }

    @Test
    void every_fault_stands_in_one_group_and_the_choices_count_them() {
        FaultTable all = new FaultTable(found, Optional.empty());
        assertThat(all.sections().stream().flatMap(s -> s.rows().stream())).containsExactlyInAnyOrderElementsOf(found);
        assertThat(all.choices().get(0).text()).isEqualTo("All " + found.size());
        assertThat(all.choices())
                .hasSize(all.sections().size() + 1)
                .extracting(FaultTable.Choice::id)
                .doesNotHaveDuplicates();
        long shorts = found.stream().filter(f -> f.verdict() == Verdict.FAILS).count();
        assertThat(all.sum()).isEqualTo(shorts + " of " + found.size());
        assertThat(all.shorts()).isEqualTo((int) shorts).isPositive();
    }

    @Test
    void words_find_parts_and_ways_to_fail() {
        FaultTable all = new FaultTable(found, Optional.empty());
        assertThat(all.sought(" ")).isEqualTo(all.sections());
        assertThat(all.sought("strainer clog").stream().flatMap(s -> s.rows().stream()))
                .isNotEmpty()
                .allMatch(f -> f.part().equals("Strainer"));
        assertThat(all.sought("no such thing")).isEmpty();
    }

    @ParameterizedTest
    @EnumSource(Group.class)
    void a_group_shows_its_own_and_the_sum_stays_that_of_all(Group group) {
        FaultTable one = new FaultTable(found, Optional.of(group));
        assertThat(one.sections().stream().flatMap(s -> s.rows().stream()))
                .allMatch(f -> f.group() == group)
                .hasSize((int) found.stream().filter(f -> f.group() == group).count());
        assertThat(one.sum()).isEqualTo(new FaultTable(found, Optional.empty()).sum());
        assertThat(one.words()).isEqualTo(new FaultTable(found, Optional.empty()).words());
    }

    @Test
    void nothing_worked_out_says_nothing() {
        FaultTable none = new FaultTable(List.of(), Optional.empty());
        assertThat(none.empty()).isTrue();
        assertThat(none.sum()).isEmpty();
        assertThat(none.sections()).isEmpty();
    }

    @Test
    void what_is_not_known_reads_as_not_known_and_its_bar_is_empty() {
        FaultAnswer f = like(Double.NaN, Double.NaN, Verdict.NOT_SHOWN, List.of(), Optional.empty());
        FaultTable.Cells cells = FaultTable.cells(f);
        assertThat(cells.share()).isEqualTo("\u2013");
        assertThat(cells.minutes()).isEqualTo("unknown");
        assertThat(cells.seen()).isEmpty();
        assertThat(cells.spoken()).endsWith("Not shown");
        assertThat(FaultTable.bar(f)).isZero();
        assertThat(FaultTable.barVerdict(f)).isEqualTo(Verdict.NOT_SHOWN);
    }

    @Test
    void a_fault_that_nothing_shows_and_nothing_mends_says_both() {
        FaultAnswer f = like(0, 0, Verdict.FAILS, List.of(), Optional.empty());
        FaultTable.Cells cells = FaultTable.cells(f);
        assertThat(cells.minutes()).isEqualTo("immediately");
        assertThat(cells.seen()).isEqualTo("none before power loss");
        assertThat(cells.wayOut()).isEqualTo("none");
        assertThat(FaultTable.allSeen(f)).startsWith("No installed sender");
        assertThat(FaultTable.wayOut(f)).startsWith("No selector position");
    }

    @Test
    void what_shows_it_is_told_in_the_order_of_time() {
        FaultAnswer f = like(
                0.4,
                12.34,
                Verdict.FAILS,
                List.of(new FaultAnswer.Seen("Fuel flow sender", 0), new FaultAnswer.Seen("low light of Header", 3)),
                Optional.of(new FaultAnswer.WayOut("Boost on", 1.2)));
        assertThat(FaultTable.allSeen(f)).isEqualTo("Fuel flow sender, immediately; low light of Header after 3.0 min");
        assertThat(FaultTable.cells(f).minutes()).isEqualTo("12.3 min");
        assertThat(FaultTable.cells(f).wayOut()).isEqualTo("Boost on  1.20\u00d7");
        assertThat(FaultTable.wayOut(f)).isEqualTo("Boost on: 1.20\u00d7 of demand then, in the worst case");
        assertThat(FaultTable.cells(like(1.5, Double.POSITIVE_INFINITY, Verdict.HOLDS, List.of(), Optional.empty()))
                        .minutes())
                .isEqualTo("never");
    }

    /** Every row can be read by who does not see it: part, share, minutes, way out and verdict. */
    @Test
    void every_row_is_spoken_whole() {
        assertThat(found).allSatisfy(f -> {
            FaultTable.Cells c = FaultTable.cells(f);
            assertThat(c.spoken())
                    .contains(f.part(), c.share(), c.minutes(), f.verdict().word());
        });
    }
}
