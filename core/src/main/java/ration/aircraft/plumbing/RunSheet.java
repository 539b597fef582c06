package ration.aircraft.plumbing;

import java.io.IOException;
import java.io.StringReader;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Item;
import ration.aircraft.model.LineSize;
import ration.aircraft.model.PortRef;
import ration.aircraft.model.Run;

/** Rows of the sheet: added, pasted, written out and read in. */
public final class RunSheet {

    private static final LineSize USUAL = LineSize.parse("3/8 x 0.035 tube");
    private static final int MOST_ROWS = 2000;

    private RunSheet() {}

    /**
     * What came of a paste or a file: the system with all cells that could be read, and a sentence for each that could
     * not.
     *
     * @param changed cells taken
     * @param problems row, column and what to write instead
     */
    public record Outcome(FuelSystem system, int changed, List<String> problems) {
        public Outcome {
            problems = List.copyOf(problems);
        }
    }

    /**
     * A new run from written cells; From and To must be there, Size is 3/8 x 0.035 tube if not.
     *
     * @throws IllegalArgumentException with a sentence for the writer
     */
    public static FuelSystem add(FuelSystem system, Map<SheetColumn, String> cells) {
        PortRef from = Portname.parse(system, cells.getOrDefault(SheetColumn.FROM, ""), List.of(Item.OUT));
        PortRef to = Portname.parse(system, cells.getOrDefault(SheetColumn.TO, ""), List.of(Item.IN));
        String name = cells.getOrDefault(SheetColumn.RUN, "").isBlank()
                ? freeName(system)
                : cells.get(SheetColumn.RUN).strip();
        if (from.equals(to)) {
            throw new IllegalArgumentException("A run goes from one port to another: From and To are the same.");
        }
        if (!system.freeName(name).equals(name)) {
            throw new IllegalArgumentException(
                    "Another part is called " + name + ". Call the run " + system.freeName(name) + ", or otherwise.");
        }
        Run bare = new Run(system.freeId(name), name, from, from, USUAL, Optional.empty(), List.of(), List.of());
        FuelSystem with = system.plus(bare);
        with = SheetColumn.TO.set(with, bare, Portname.text(system, to));
        if (system.runAt(from).isPresent()) {
            throw new IllegalArgumentException(
                    "That port already carries " + system.runAt(from).get().name() + ".");
        }
        for (Map.Entry<SheetColumn, String> cell : cells.entrySet()) {
            if (cell.getKey() != SheetColumn.FROM
                    && cell.getKey() != SheetColumn.TO
                    && !cell.getValue().isBlank()) {
                with = cell.getKey().set(with, (Run) with.item(bare.id()).orElseThrow(), cell.getValue());
            }
        }
        return with;
    }

    /** The next name of the row R1, R2, R3. */
    public static String freeName(FuelSystem system) {
        for (int n = 1; ; n++) {
            String name = "R" + n;
            if (system.freeName(name).equals(name)) {
                return name;
            }
        }
    }

    /** Reads a pasted table or a CSV file: by tabs, semicolons or commas, whichever its first line holds. */
    public static List<List<String>> table(String text) {
        String first = text.lines().filter(l -> !l.isBlank()).findFirst().orElse("");
        char by = first.indexOf('\t') >= 0 ? '\t' : first.indexOf(';') >= 0 ? ';' : ',';
        CSVFormat format = CSVFormat.DEFAULT
                .builder()
                .setDelimiter(by)
                .setIgnoreEmptyLines(true)
                .setTrim(true)
                .get();
        List<List<String>> rows = new ArrayList<>();
        try (CSVParser parser =
                CSVParser.parse(new StringReader(text.startsWith("\ufeff") ? text.substring(1) : text), format)) {
            for (CSVRecord record : parser) {
                rows.add(record.stream().map(CsvCell::in).toList());
                if (rows.size() > MOST_ROWS) {
                    throw new IllegalArgumentException("The table has more than " + MOST_ROWS + " rows.");
                }
            }
        } catch (IOException | java.io.UncheckedIOException | IllegalStateException e) {
            throw new IllegalArgumentException("Cannot read the table: unmatched quotation mark.", e);
        }
        return rows;
    }

    /**
     * Puts a table into the sheet. With a first line of column names each row finds its run by name, or makes a new
     * one; without, cells go in from a row and a column on, as in a spreadsheet, and rows past the last make new runs.
     *
     * @param atRow first row, without column names
     * @param atColumn first column, without column names
     */
    public static Outcome paste(FuelSystem system, List<List<String>> rows, int atRow, SheetColumn atColumn) {
        if (rows.isEmpty()) {
            return new Outcome(system, 0, List.of("There is nothing to paste."));
        }
        List<Optional<SheetColumn>> heads =
                rows.get(0).stream().map(SheetColumn::labelled).toList();
        boolean named = heads.stream().filter(Optional::isPresent).count() >= Math.min(2, heads.size());
        List<String> problems = new ArrayList<>();
        if (named) {
            for (int c = 0; c < heads.size(); c++) {
                if (heads.get(c).isEmpty()
                        && !rows.get(0).get(c).isBlank()
                        && !computed(rows.get(0).get(c))) {
                    problems.add("Column \u201c" + rows.get(0).get(c) + "\u201d is not known and was left out.");
                }
            }
        } else {
            heads = List.of(SheetColumn.values()).subList(atColumn.ordinal(), SheetColumn.values().length).stream()
                    .map(Optional::of)
                    .toList();
        }
        FuelSystem now = system;
        int changed = 0;
        int line = named ? 1 : 0;
        for (int i = line; i < rows.size(); i++) {
            Map<SheetColumn, String> cells = new EnumMap<>(SheetColumn.class);
            for (int c = 0; c < Math.min(heads.size(), rows.get(i).size()); c++) {
                String text = rows.get(i).get(c);
                heads.get(c).ifPresent(h -> cells.put(h, text));
            }
            Optional<Run> run = named ? byName(now, cells.getOrDefault(SheetColumn.RUN, "")) : at(now, atRow + i);
            String where = "Row " + (i + 1) + ": ";
            if (run.isEmpty()) {
                try {
                    now = add(now, cells);
                    changed += cells.size();
                } catch (IllegalArgumentException e) {
                    problems.add(where + e.getMessage() + " Row skipped.");
                }
                continue;
            }
            for (Map.Entry<SheetColumn, String> cell : cells.entrySet()) {
                Run present = (Run) now.item(run.get().id()).orElseThrow();
                if (!cell.getValue().equals(cell.getKey().text(now, present))) {
                    try {
                        now = cell.getKey().set(now, present, cell.getValue());
                        changed++;
                    } catch (IllegalArgumentException e) {
                        problems.add(where + cell.getKey().label() + ": " + e.getMessage());
                    }
                }
            }
        }
        return new Outcome(now, changed, problems);
    }

    /** Columns written for the reader only. */
    private static boolean computed(String head) {
        return head.strip().equalsIgnoreCase(CUT);
    }

    private static Optional<Run> byName(FuelSystem system, String name) {
        return system.runs().stream()
                .filter(r -> r.name().equalsIgnoreCase(name.strip()))
                .findFirst();
    }

    private static Optional<Run> at(FuelSystem system, int row) {
        return row >= 0 && row < system.runs().size()
                ? Optional.of(system.runs().get(row))
                : Optional.empty();
    }

    private static final String CUT = "Cut length";

    /** The whole sheet as CSV, with column names; {@link #paste} reads it back. */
    public static String csv(FuelSystem system) {
        StringBuilder out = new StringBuilder();
        try (var printer = new org.apache.commons.csv.CSVPrinter(
                out, CSVFormat.DEFAULT.builder().setRecordSeparator("\n").get())) {
            List<String> heads = new ArrayList<>();
            for (SheetColumn c : SheetColumn.values()) {
                heads.add(c.label());
            }
            heads.add(CUT);
            printer.printRecord(heads);
            for (Run run : system.runs()) {
                List<String> cells = new ArrayList<>();
                for (SheetColumn c : SheetColumn.values()) {
                    cells.add(CsvCell.out(c.text(system, run)));
                }
                cells.add(CutLength.of(system, run).text());
                printer.printRecord(cells);
            }
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
        return out.toString();
    }
}
