package ration.desktop.runs;

import java.util.EnumMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Run;
import ration.aircraft.plumbing.RunSheet;
import ration.aircraft.plumbing.SheetColumn;
import ration.record.project.Edit;

/**
 * What is written into the runs sheet, before any of it is a node: cells of runs, the empty row at the foot that
 * becomes a run once From and To are written, tables pasted and read. What cannot be taken is told, and stays as it
 * was.
 */
final class RunsEntry {

    private final Map<SheetColumn, String> draft = new EnumMap<>(SheetColumn.class);

    /**
     * What came of it.
     *
     * @param edit to be made; empty where nothing is
     * @param taken whether what was written stands in the cell
     * @param says in words; empty where it speaks for itself
     */
    record Outcome(Optional<Edit> edit, boolean taken, String says) {}

    /** What stands in a cell of a run, or of the row that is none yet. */
    String text(FuelSystem system, Optional<Run> run, SheetColumn column) {
        return run.map(r -> column.text(system, r)).orElseGet(() -> draft.getOrDefault(column, ""));
    }

    Outcome write(FuelSystem system, Optional<Run> run, SheetColumn column, String text) {
        return run.map(r -> set(system, r, column, text)).orElseGet(() -> begin(system, column, text));
    }

    private static Outcome set(FuelSystem system, Run run, SheetColumn column, String text) {
        try {
            column.set(system, run, text);
        } catch (IllegalArgumentException e) {
            return new Outcome(Optional.empty(), false, column.label() + " of " + run.name() + ": " + e.getMessage());
        }
        return new Outcome(
                Optional.of(
                        Edit.of("Set " + column.label().toLowerCase(Locale.ROOT) + " of " + run.name(), p -> p.system()
                                .item(run.id())
                                .flatMap(i -> i.only(Run.class))
                                .map(now -> p.with(column.set(p.system(), now, text)))
                                .orElse(p))),
                true,
                "");
    }

    private Outcome begin(FuelSystem system, SheetColumn column, String text) {
        draft.put(column, text);
        if (draft.getOrDefault(SheetColumn.FROM, "").isBlank()
                || draft.getOrDefault(SheetColumn.TO, "").isBlank()) {
            return new Outcome(Optional.empty(), true, "A run is made once From and To are written.");
        }
        Map<SheetColumn, String> written = new EnumMap<>(draft);
        try {
            FuelSystem next = RunSheet.add(system, written);
            String name = next.runs().get(next.runs().size() - 1).name();
            draft.clear();
            return new Outcome(
                    Optional.of(Edit.of("Add run " + name, p -> p.with(RunSheet.add(p.system(), written)))),
                    true,
                    "Added " + name + ".");
        } catch (IllegalArgumentException e) {
            draft.remove(column);
            return new Outcome(Optional.empty(), false, "New run: " + e.getMessage());
        }
    }

    /**
     * A table over the sheet from a cell on.
     *
     * @param name of the edit
     */
    static Outcome take(FuelSystem system, String text, int row, SheetColumn column, String name) {
        if (text == null || text.isBlank()) {
            return new Outcome(Optional.empty(), false, "The clipboard holds no table.");
        }
        try {
            RunSheet.Outcome found = RunSheet.paste(system, RunSheet.table(text), row, column);
            String taken = found.changed() + (found.changed() == 1 ? " cell taken." : " cells taken.");
            return new Outcome(
                    Optional.of(Edit.of(
                            name,
                            p -> p.with(RunSheet.paste(p.system(), RunSheet.table(text), row, column)
                                    .system()))),
                    true,
                    found.problems().isEmpty()
                            ? taken
                            : taken + " " + found.problems().size() + " not: " + String.join(" ", found.problems()));
        } catch (IllegalArgumentException e) {
            return new Outcome(Optional.empty(), false, e.getMessage());
        }
    }
}
