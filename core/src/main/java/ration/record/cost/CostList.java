package ration.record.cost;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.apache.commons.csv.CSVRecord;
import ration.aircraft.plumbing.CsvCell;
import ration.aircraft.plumbing.CsvTable;

/**
 * What parts cost: a table with the columns part, size, price, hours, weight, source, date. Price is in whatever money
 * the builder uses, weight in kg; both of one foot or one piece. A row without a size counts for every size that has
 * none of its own. Lines that begin with # are left out.
 */
public final class CostList {

    private static final List<String> COLUMNS = List.of("part", "size", "price", "hours", "weight", "source", "date");

    private record Key(Part part, String size) {}

    private final Map<Key, Cost> rows;
    private final String text;

    private CostList(Map<Key, Cost> rows, String text) {
        this.rows = Collections.unmodifiableMap(rows);
        this.text = text;
    }

    /** The list that ships: made up, and so marked in each row. */
    public static CostList shipped() {
        try (InputStream in = CostList.class.getResourceAsStream("/ration/record/cost/costs.csv")) {
            return read(new String(in.readAllBytes(), StandardCharsets.UTF_8));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /**
     * Reads a list.
     *
     * @throws IllegalArgumentException with the row, and what to write instead
     */
    public static CostList read(String text) {
        Map<Key, Cost> rows = new LinkedHashMap<>();
        CsvTable.rows(text, "list", List.of("part", "price", "hours"), COLUMNS).forEach(r -> row(r, rows));
        if (rows.isEmpty()) {
            throw new IllegalArgumentException("The list has no row.");
        }
        return new CostList(rows, text);
    }

    private static void row(CSVRecord r, Map<Key, Cost> rows) {
        String key = CsvCell.in(cell(r, "part")).toLowerCase(Locale.ROOT);
        Part part = Part.of(key)
                .orElseThrow(
                        () -> new IllegalArgumentException("Row " + r.getRecordNumber() + ": no part is called \u201c"
                                + key + "\u201d. There are: "
                                + String.join(
                                        ", ",
                                        java.util.Arrays.stream(Part.values())
                                                .map(Part::key)
                                                .toList())
                                + "."));
        try {
            Cost cost = new Cost(
                    number(r, "price"),
                    number(r, "hours"),
                    number(r, "weight"),
                    CsvCell.in(cell(r, "source")),
                    CsvCell.in(cell(r, "date")));
            if (rows.put(new Key(part, CsvCell.in(cell(r, "size"))), cost) != null) {
                throw new IllegalArgumentException("this part and size is there twice.");
            }
        } catch (IllegalArgumentException e) {
            throw new IllegalArgumentException("Row " + r.getRecordNumber() + ", " + key + ": " + e.getMessage(), e);
        }
    }

    private static String cell(CSVRecord r, String column) {
        return r.isMapped(column) && r.isSet(column) ? r.get(column).trim() : "";
    }

    private static double number(CSVRecord r, String column) {
        String text = cell(r, column);
        if (text.isEmpty()) {
            return 0;
        }
        try {
            return Double.parseDouble(text);
        } catch (NumberFormatException e) {
            throw new IllegalArgumentException(
                    "write " + column + " as a number such as 12.50, not \u201c" + text + "\u201d.", e);
        }
    }

    /** Of a part in a size; empty where the list says nothing of it. */
    public Optional<Cost> of(Part part, String size) {
        Cost sized = rows.get(new Key(part, size));
        return Optional.ofNullable(sized != null ? sized : rows.get(new Key(part, "")));
    }

    /** Where its figures come from, each once. */
    public List<String> sources() {
        return rows.values().stream().map(Cost::source).distinct().toList();
    }

    /** As it was read: to begin one's own with. */
    public String text() {
        return text;
    }
}
