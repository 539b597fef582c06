package ration.record.file;

import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import java.util.function.DoubleConsumer;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import ration.base.quantity.Unit;

/**
 * What a logger wrote, as columns of numbers. Read are commas, semicolons and tabs; decimal points and commas; clock
 * times; gaps; lines before the names of the columns; units behind the names. What cannot be a table of numbers is
 * refused.
 *
 * @param columns in their order
 * @param skipped rows that had no number at all
 */
public record LogTable(List<Column> columns, int skipped) {

    /** Longer tables are refused; a day of ten readings a second is shorter. */
    private static final int MOST_ROWS = 1_000_000;

    private static final Pattern UNIT = Pattern.compile("[\\[(]\\s*([^\\])]+?)\\s*[\\])]|_([a-zA-Z\u00b0]+)$");
    private static final Pattern CLOCK =
            Pattern.compile("(?:\\d{4}-\\d\\d-\\d\\d[ T])?(\\d{1,3}):(\\d\\d)(?::(\\d\\d(?:[.,]\\d+)?))?");

    public LogTable {
        columns = List.copyOf(columns);
    }

    /**
     * One column.
     *
     * @param name as written, or Column n
     * @param unit read behind the name; empty if none is known
     * @param clock whether it held times of day, now seconds after midnight
     * @param values NaN where there was none
     */
    public record Column(String name, Optional<Unit> unit, boolean clock, double[] values) {

        /** How many values it has. */
        public int count() {
            return (int) Arrays.stream(values).filter(v -> !Double.isNaN(v)).count();
        }
    }

    public int rows() {
        return columns.isEmpty() ? 0 : columns.get(0).values().length;
    }

    /**
     * Reads a table.
     *
     * @param progress told the share done
     * @param cancelled asked now and then; an empty table comes of it
     * @throws IllegalArgumentException with what is wrong and what to do
     */
    public static LogTable read(String text, DoubleConsumer progress, BooleanSupplier cancelled) {
        String plain = text.startsWith("\ufeff") ? text.substring(1) : text;
        List<String> lines = plain.lines().filter(l -> !l.isBlank()).limit(40).toList();
        if (lines.size() < 3) {
            throw new IllegalArgumentException("No table in the file: it needs 3 or more lines, names and readings.");
        }
        char by = delimiter(lines);
        CSVFormat format = CSVFormat.DEFAULT
                .builder()
                .setDelimiter(by)
                .setIgnoreEmptyLines(true)
                .setTrim(true)
                .setIgnoreSurroundingSpaces(true)
                .get();
        List<String> heads = List.of();
        List<double[]> rows = new ArrayList<>();
        boolean[] clocks = null;
        boolean[] twoParts = null;
        int skipped = 0;
        int width = 0;
        long length = Math.max(1, plain.length());
        try (CSVParser parser = CSVParser.parse(new StringReader(plain), format)) {
            for (CSVRecord record : parser) {
                double[] row = numbers(record, by);
                boolean any = Arrays.stream(row).anyMatch(v -> !Double.isNaN(v));
                if (!any && rows.isEmpty()) {
                    heads = record.toList();
                    continue;
                }
                if (!any) {
                    skipped++;
                    continue;
                }
                if (clocks == null) {
                    width = Math.max(row.length, heads.size());
                    clocks = new boolean[width];
                    twoParts = new boolean[width];
                    for (int c = 0; c < row.length; c++) {
                        Matcher clock = CLOCK.matcher(record.get(c));
                        clocks[c] = clock.matches();
                        twoParts[c] = clocks[c] && clock.group(3) == null;
                    }
                }
                rows.add(Arrays.copyOf(row, width));
                if (row.length < width) {
                    Arrays.fill(rows.get(rows.size() - 1), row.length, width, Double.NaN);
                }
                if (rows.size() > MOST_ROWS) {
                    throw new IllegalArgumentException(
                            "The file has more than a million readings: write every tenth of them.");
                }
                if (rows.size() % 2000 == 0) {
                    progress.accept(Math.min(1, record.getCharacterPosition() / (double) length));
                    if (cancelled.getAsBoolean()) {
                        return new LogTable(List.of(), 0);
                    }
                }
            }
        } catch (IOException | UncheckedIOException | IllegalStateException e) {
            throw new IllegalArgumentException(
                    "The table cannot be read: " + e.getMessage() + ". Quotes may not be closed.", e);
        }
        LogTable table = table(heads, rows, clocks, twoParts, skipped);
        progress.accept(1);
        return table;
    }

    /**
     * Two parts are minutes and seconds where the column says so, where it begins under a minute, or where the first
     * part is no hour of a day; else hours and minutes.
     */
    private static void minutes(String head, boolean two, double[] values) {
        double[] known = Arrays.stream(values).filter(v -> !Double.isNaN(v)).toArray();
        boolean says = head.toLowerCase(java.util.Locale.ROOT).matches(".*\\bm{1,2}:ss\\b.*");
        if (two
                && known.length > 0
                && (says || known[0] < 3600 || Arrays.stream(known).anyMatch(v -> v >= 24 * 3600))) {
            for (int i = 0; i < values.length; i++) {
                values[i] /= 60;
            }
        }
    }

    private static LogTable table(
            List<String> heads, List<double[]> rows, boolean[] clocks, boolean[] twoParts, int skipped) {
        List<Column> columns = new ArrayList<>();
        int width = rows.isEmpty() ? 0 : rows.get(0).length;
        for (int c = 0; c < width; c++) {
            double[] values = new double[rows.size()];
            for (int r = 0; r < values.length; r++) {
                values[r] = rows.get(r)[c];
            }
            minutes(c < heads.size() ? heads.get(c) : "", clocks[c] && twoParts[c], values);
            String head = c < heads.size() && !heads.get(c).isBlank() ? heads.get(c) : "Column " + (c + 1);
            columns.add(new Column(head, unit(head), clocks[c], values));
        }
        long good = columns.stream()
                .filter(c -> c.count() >= rows.size() * 0.2 && c.count() > 1)
                .count();
        if (rows.size() < 3 || good < 2 || skipped > rows.size()) {
            throw new IllegalArgumentException("Not a table of readings: " + rows.size() + " lines with numbers, "
                    + good + (good == 1 ? " column" : " columns")
                    + " of them. It needs a column of times and one of temperatures.");
        }
        return new LogTable(columns, skipped);
    }

    /** The sign that divides the most lines into the same number of cells, two or more. */
    private static char delimiter(List<String> lines) {
        char best = ',';
        long most = 0;
        for (char by : new char[] {'\t', ';', ','}) {
            int cells = (int)
                    lines.get(lines.size() - 1).chars().filter(ch -> ch == by).count();
            long same = cells == 0
                    ? 0
                    : lines.stream()
                            .filter(l -> l.chars().filter(ch -> ch == by).count() == cells)
                            .count();
            if (same > most) {
                most = same;
                best = by;
            }
        }
        return best;
    }

    private static double[] numbers(CSVRecord record, char by) {
        double[] row = new double[record.size()];
        for (int c = 0; c < row.length; c++) {
            row[c] = number(record.get(c), by != ',');
        }
        return row;
    }

    private static double number(String cell, boolean comma) {
        String text = cell.strip().replace('\u2212', '-');
        Matcher clock = CLOCK.matcher(text);
        if (clock.matches()) {
            return Integer.parseInt(clock.group(1)) * 3600
                    + Integer.parseInt(clock.group(2)) * 60
                    + (clock.group(3) == null
                            ? 0
                            : Double.parseDouble(clock.group(3).replace(',', '.')));
        }
        if (text.isEmpty()
                || text.length() > 30
                || !Character.isDigit(text.charAt(text.length() - 1)) && text.charAt(text.length() - 1) != '.') {
            return Double.NaN;
        }
        try {
            double value = Double.parseDouble(comma ? text.replace(',', '.') : text);
            return Double.isFinite(value) && Math.abs(value) < 1e12 ? value : Double.NaN;
        } catch (NumberFormatException e) {
            return Double.NaN;
        }
    }

    private static Optional<Unit> unit(String head) {
        Matcher m = UNIT.matcher(head);
        while (m.find()) {
            Optional<Unit> unit = Unit.named(m.group(1) != null ? m.group(1) : m.group(2));
            if (unit.isPresent()) {
                return unit;
            }
        }
        return Optional.empty();
    }
}
