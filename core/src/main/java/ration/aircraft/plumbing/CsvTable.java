package ration.aircraft.plumbing;

import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.Locale;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;

/** A table that a builder keeps: its columns by name, in any order; lines that begin with # are left out. */
public final class CsvTable {

    private static final int MOST_ROWS = 2000;

    private static final CSVFormat FORMAT = CSVFormat.DEFAULT
            .builder()
            .setHeader()
            .setSkipHeaderRecord(true)
            .setIgnoreHeaderCase(true)
            .setIgnoreEmptyLines(true)
            .setTrim(true)
            .setCommentMarker('#')
            .get();

    private CsvTable() {}

    /**
     * Its rows, at most 2,000.
     *
     * @param called what a message calls it: list, table
     * @param needed columns without which it says nothing
     * @param known all columns there can be
     * @throws IllegalArgumentException with what is missing, or cannot be read
     */
    public static List<CSVRecord> rows(String text, String called, List<String> needed, List<String> known) {
        String plain = text.startsWith("\ufeff") ? text.substring(1) : text;
        try (CSVParser parser = CSVParser.parse(new StringReader(plain), FORMAT)) {
            List<String> heads = parser.getHeaderNames().stream()
                    .map(h -> h.toLowerCase(Locale.ROOT))
                    .toList();
            needed.stream().filter(c -> !heads.contains(c)).findFirst().ifPresent(column -> {
                throw new IllegalArgumentException("The " + called + " has no column \u201c" + column
                        + "\u201d. It needs " + String.join(", ", known) + ".");
            });
            List<CSVRecord> rows = parser.stream().limit(MOST_ROWS + 1L).toList();
            if (rows.size() > MOST_ROWS) {
                throw new IllegalArgumentException("The " + called + " has more than 2,000 rows.");
            }
            return rows;
        } catch (IOException | UncheckedIOException e) {
            throw new IllegalArgumentException("Cannot read the " + called + ": unmatched quotation mark.", e);
        }
    }
}
