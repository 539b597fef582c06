package ration.desktop.upkeep;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import ration.aircraft.model.Item;
import ration.record.file.ProjectFile;
import ration.record.file.ProjectFileException;
import ration.record.project.Project;
import ration.record.upkeep.Due;
import ration.record.upkeep.Part;
import ration.record.upkeep.Upkeep;
import ration.verdict.check.Finding;
import ration.verdict.check.Verdict;

/** What the upkeep page says, without a display: a part of unknown age never looks as if it held. */
class DueWordsTest {

    private static final LocalDate TODAY = LocalDate.of(2026, 11, 27);

    private static DueWords of(Project p) {
        return new DueWords(Due.of(p.upkeep(), TODAY), p.upkeep(), p.system());
    }

    @Test
    void nothing_entered_says_so() {
        assertThat(new DueWords(List.of(), Upkeep.NONE, Project.empty().system()).sum(TODAY))
                .isEqualTo("no tracked parts entered");
    }

    @Test
    void every_part_of_the_demos_is_told_whole() throws ProjectFileException {
        for (String demo : List.of("corrie-b1", "tansy-l3", "brindle-a2")) {
            Project p = ProjectFile.demo(demo);
            DueWords words = of(p);
            long over = words.due().stream()
                    .filter(d -> d.verdict() == Verdict.FAILS)
                    .count();
            assertThat(words.due().isEmpty()
                            || words.sum(TODAY)
                                    .startsWith(over + " of " + words.due().size() + " overdue"))
                    .isTrue();
            for (Due d : words.due()) {
                DueWords.Row row = words.row(d);
                assertThat(row.spoken())
                        .contains(d.part().name(), d.left(), d.verdict().word());
                assertThat(row.where())
                        .isEqualTo(p.system()
                                .item(d.part().item())
                                .map(Item::name)
                                .orElse(d.part().kind().label()));
                assertThat(row.paper()).isNotBlank();
                assertThat(row.hours().isEmpty()).isEqualTo(d.part().fitted().isEmpty());
            }
        }
    }

    @Test
    void a_part_of_unknown_age_is_counted_apart_and_its_bar_is_empty() throws ProjectFileException {
        Project p = ProjectFile.demo("corrie-b1");
        Part known = p.upkeep().parts().stream()
                .filter(x -> x.fitted().isPresent() && x.life().ends() != ration.record.upkeep.Life.Ends.REMOVE)
                .findFirst()
                .orElseThrow();
        Part unknown = new Part("x1", "Old hose", known.item(), known.kind(), known.life(), Optional.empty(), "");
        Upkeep upkeep = new Upkeep(p.upkeep().hours(), List.of(unknown), List.of());
        DueWords words = new DueWords(Due.of(upkeep, TODAY), upkeep, p.system());
        assertThat(words.sum(TODAY)).isEqualTo("0 of 1 overdue, 1 age unknown; today 2026-11-27");
        DueWords.Row row = words.row(words.due().get(0));
        assertThat(row.fitted()).isEqualTo("unknown");
        assertThat(row.paper()).isEqualTo("none");
        assertThat(row.verdict()).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(DueWords.bar(words.due().get(0))).isEqualTo(Finding.MISSED);
    }
}
