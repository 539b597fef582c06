package ration.answer.find;

import java.io.IOException;
import java.io.StringReader;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.TreeSet;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import ration.answer.assess.Assessment;
import ration.base.quantity.Unit;
import ration.record.reading.Reading;

/**
 * Readings as a table: place, quantity, value, unit, error, state; a point or a comma for decimals, comma or semicolon
 * between.
 */
public final class ReadingsCsv {

    private static final List<String> COLUMNS = List.of("place", "quantity", "value", "unit", "error", "state");

    private ReadingsCsv() {}

    /**
     * In the order of the rows.
     *
     * @throws IllegalArgumentException with the row, what is wrong there and what may be written
     */
    public static List<Reading> parse(Assessment a, String text) {
        String first = text.lines().findFirst().orElse("");
        char between = first.contains(";") ? ';' : ',';
        List<Reading> all = new ArrayList<>();
        try (CSVParser csv = CSVFormat.RFC4180
                .builder()
                .setDelimiter(between)
                .setHeader()
                .setSkipHeaderRecord(true)
                .setIgnoreHeaderCase(true)
                .setTrim(true)
                .setIgnoreEmptyLines(true)
                .get()
                .parse(new StringReader(text.startsWith("\uFEFF") ? text.substring(1) : text))) {
            Set<String> missing = new TreeSet<>(COLUMNS);
            csv.getHeaderNames().forEach(h -> missing.remove(h.toLowerCase(Locale.ROOT)));
            if (!missing.isEmpty()) {
                throw new IllegalArgumentException("The head line lacks " + String.join(", ", missing)
                        + "; it must name " + String.join(", ", COLUMNS) + ".");
            }
            for (CSVRecord row : csv) {
                try {
                    all.add(reading(a, row));
                } catch (IllegalArgumentException e) {
                    throw new IllegalArgumentException("Row " + row.getRecordNumber() + ": " + e.getMessage());
                }
            }
        } catch (IOException | java.io.UncheckedIOException e) {
            throw new IllegalArgumentException("This is no table: " + e.getMessage());
        }
        if (all.isEmpty()) {
            throw new IllegalArgumentException("There is no reading in it.");
        }
        return all;
    }

    private static Reading reading(Assessment a, CSVRecord row) {
        String quantity = row.get("quantity");
        Reading.What what = Reading.What.written(quantity)
                .orElseThrow(() -> new IllegalArgumentException("\u201c" + quantity
                        + "\u201d is no quantity here. Say one of: "
                        + String.join(
                                ", ",
                                Arrays.stream(Reading.What.values())
                                        .map(Reading.What::word)
                                        .toList()) + "."));
        if (what.sign()) {
            return Reading.sign(
                    Reading.placeOf(a.project().system(), row.get("place")),
                    what,
                    so(row.get("value")),
                    SettingWords.parse(a, row.get("state")));
        }
        String written = row.get("unit").isEmpty() && what == Reading.What.MINUTES ? "min" : row.get("unit");
        Unit unit = Unit.named(written)
                .filter(u -> u.dimension() == what.dimension())
                .orElseThrow(() -> new IllegalArgumentException(
                        "\u201c" + written + "\u201d is no unit of a " + what.word() + "."));
        double scale = what == Reading.What.MINUTES ? 1.0 / 60 : 1;
        double error = unit.differenceToSi(number(row.get("error"), "error")) * scale;
        if (!(error > 0)) {
            throw new IllegalArgumentException("The error is above zero: what the instrument may be off by.");
        }
        return new Reading(
                Reading.placeOf(a.project().system(), row.get("place")),
                what,
                unit.toSi(number(row.get("value"), "value")) * scale,
                error,
                SettingWords.parse(a, row.get("state")));
    }

    private static boolean so(String text) {
        String plain = text.strip().toLowerCase(Locale.ROOT);
        if (!plain.equals("yes") && !plain.equals("no")) {
            throw new IllegalArgumentException(
                    "\u201c" + text + "\u201d under value: a sign is there, yes, or one looked and it is not, no.");
        }
        return plain.equals("yes");
    }

    private static double number(String text, String column) {
        try {
            return Double.parseDouble(text.strip().replace(',', '.').replace('\u2212', '-'));
        } catch (NumberFormatException e) {
            throw new IllegalArgumentException("\u201c" + text + "\u201d under " + column + " is not a number.");
        }
    }
}
