package ration.desktop.runs;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Item;
import ration.aircraft.model.PortRef;
import ration.aircraft.model.Run;
import ration.aircraft.plumbing.SheetColumn;
import ration.record.file.ProjectFile;
import ration.record.file.ProjectFileException;
import ration.record.project.Project;

/** What is written into the runs sheet, without a display: what cannot be taken is told and changes nothing. */
class RunsEntryTest {

    private Project project;
    private final RunsEntry entry = new RunsEntry();

    @BeforeEach
    void open() throws ProjectFileException {
        project = ProjectFile.demo("corrie-b1");
    }

    private Run first() {
        return project.system().runs().get(0);
    }

    private RunsEntry.Outcome write(Optional<Run> run, SheetColumn column, String text) {
        RunsEntry.Outcome o = entry.write(project.system(), run, column, text);
        o.edit().ifPresent(e -> project = e.change().apply(project));
        return o;
    }

    @Test
    void a_cell_that_can_be_read_is_an_edit_of_the_run_as_it_stands_then() {
        Run before = first();
        RunsEntry.Outcome o = entry.write(project.system(), Optional.of(before), SheetColumn.SIZE, "1/2 x 0.035 tube");
        assertThat(o.taken()).isTrue();
        assertThat(o.says()).isEmpty();
        Project meanwhile = project.with(project.system().replace(before.renamed("Other name")));
        Run after = (Run) o.edit()
                .orElseThrow()
                .change()
                .apply(meanwhile)
                .system()
                .item(before.id())
                .orElseThrow();
        assertThat(after.name()).as("what was changed meanwhile stays").isEqualTo("Other name");
        assertThat(after.size().label()).startsWith("1/2");
    }

    @Test
    void a_cell_that_cannot_be_read_says_where_and_changes_nothing() {
        RunsEntry.Outcome o = write(Optional.of(first()), SheetColumn.SIZE, "as thick as a thumb");
        assertThat(o.taken()).isFalse();
        assertThat(o.edit()).isEmpty();
        assertThat(o.says()).startsWith("Size of " + first().name() + ": ");
    }

    @Test
    void an_edit_of_a_run_that_is_gone_does_nothing() {
        RunsEntry.Outcome o = entry.write(project.system(), Optional.of(first()), SheetColumn.SIZE, "1/2 x 0.035 tube");
        Project gone = project.with(project.system().minus(first().id()));
        assertThat(o.edit().orElseThrow().change().apply(gone)).isEqualTo(gone);
    }

    @Test
    void the_empty_row_becomes_a_run_once_both_ends_are_written_and_keeps_what_was_written_before() {
        FuelSystem system = project.system();
        Run last = system.runs().get(system.runs().size() - 1);
        project = project.with(system.minus(last.id()));
        assertThat(write(Optional.empty(), SheetColumn.SIZE, "1/2 x 0.035 tube").says())
                .contains("once From and To");
        assertThat(write(Optional.empty(), SheetColumn.FROM, name(last.from())).edit())
                .isEmpty();
        assertThat(entry.text(project.system(), Optional.empty(), SheetColumn.SIZE))
                .isEqualTo("1/2 x 0.035 tube");
        RunsEntry.Outcome made = write(Optional.empty(), SheetColumn.TO, name(last.to()));
        assertThat(made.says()).startsWith("Added ");
        Run added = project.system().runAt(last.from()).orElseThrow();
        assertThat(added.to()).isEqualTo(last.to());
        assertThat(added.size().label()).startsWith("1/2");
        assertThat(entry.text(project.system(), Optional.empty(), SheetColumn.SIZE))
                .as("the next row is empty")
                .isEmpty();
    }

    @Test
    void an_end_that_is_none_is_told_and_the_rest_of_the_row_stays() {
        write(Optional.empty(), SheetColumn.FROM, name(first().from()));
        RunsEntry.Outcome o = write(Optional.empty(), SheetColumn.TO, "the carpet");
        assertThat(o.taken()).isFalse();
        assertThat(o.says()).startsWith("New run: ");
        assertThat(entry.text(project.system(), Optional.empty(), SheetColumn.FROM))
                .isEqualTo(name(first().from()));
        assertThat(entry.text(project.system(), Optional.empty(), SheetColumn.TO))
                .isEmpty();
    }

    @Test
    void a_table_takes_the_cells_it_can_and_tells_the_others() {
        RunsEntry.Outcome o =
                RunsEntry.take(project.system(), "1/2 x 0.035 tube\nnonsense\n", 0, SheetColumn.SIZE, "Paste");
        assertThat(o.says()).startsWith("1 cell taken. 1 not: ");
        Project after = o.edit().orElseThrow().change().apply(project);
        assertThat(after.system().runs().get(0).size().label()).startsWith("1/2");
        assertThat(after.system().runs().get(1))
                .isEqualTo(project.system().runs().get(1));
        assertThat(RunsEntry.take(project.system(), "  ", 0, SheetColumn.SIZE, "Paste")
                        .says())
                .isEqualTo("The clipboard holds no table.");
    }

    /** Whatever is written, a layout comes of it or a sentence. */
    @ParameterizedTest
    @EnumSource(SheetColumn.class)
    void any_text_is_taken_or_told(SheetColumn column) {
        for (String text : List.of(
                "",
                " ",
                "0",
                "-1",
                "1e999",
                "NaN",
                "12",
                "12 in",
                "3/8",
                "3/8 x 0.035 tube",
                "\u2013",
                "yes",
                "; drop",
                "1,5",
                "a".repeat(500))) {
            takenOrTold(column, text);
        }
    }

    private void takenOrTold(SheetColumn column, String text) {
        Project p = project;
        Run run = p.system().runs().get(1);
        RunsEntry.Outcome o = new RunsEntry().write(p.system(), Optional.of(run), column, text);
        assertThat(o.taken()).isEqualTo(o.edit().isPresent());
        if (o.taken()) {
            assertThat(o.edit().orElseThrow().change().apply(p).system().runs())
                    .hasSameSizeAs(p.system().runs());
        } else {
            assertThat(o.says()).isNotBlank();
        }
    }

    private String name(PortRef port) {
        return project.system().item(port.item()).map(Item::name).orElseThrow() + " " + port.port();
    }
}
