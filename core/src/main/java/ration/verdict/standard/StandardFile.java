package ration.verdict.standard;

import java.io.IOException;
import java.io.InputStreamReader;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import ration.base.quantity.Quantity;
import ration.base.quantity.Unit;

/**
 * The file of a standard: a line a subject, under the heads subject, paragraph, asks, figures, shows, confidence;
 * figures as {@code share=0.0025; least=0.0625 gal}, without a unit where they are plain numbers.
 */
final class StandardFile {

    private StandardFile() {}

    private static final CSVFormat FORMAT = CSVFormat.DEFAULT
            .builder()
            .setHeader()
            .setSkipHeaderRecord(true)
            .setTrim(true)
            .setCommentMarker('#')
            .get();

    static Map<Subject, Clause> read(String key) {
        Map<Subject, Clause> all = new EnumMap<>(Subject.class);
        try (Reader in = new InputStreamReader(
                        Objects.requireNonNull(
                                StandardFile.class.getResourceAsStream("/ration/verdict/standard/" + key + ".csv"),
                                key),
                        StandardCharsets.UTF_8);
                CSVParser lines = FORMAT.parse(in)) {
            for (CSVRecord line : lines) {
                Subject subject = Subject.valueOf(name(line.get("subject")));
                Clause clause = new Clause(
                        line.get("paragraph"),
                        line.get("asks"),
                        figures(line.get("figures")),
                        line.get("shows"),
                        Clause.Confidence.valueOf(name(line.get("confidence"))));
                if (all.put(subject, clause) != null) {
                    throw new IllegalStateException(key + ": " + subject.key() + " stands twice");
                }
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return all;
    }

    private static String name(String key) {
        return key.toUpperCase(Locale.ROOT).replace('-', '_');
    }

    private static Map<String, Quantity> figures(String text) {
        Map<String, Quantity> all = new LinkedHashMap<>();
        for (String one : text.isEmpty() ? new String[0] : text.split(";")) {
            int at = one.indexOf('=');
            String[] written = one.substring(at + 1).strip().split(" ", 2);
            Unit unit = written.length == 1 ? Unit.ONE : Unit.named(written[1]).orElseThrow();
            all.put(one.substring(0, at).strip(), Quantity.of(Double.parseDouble(written[0]), unit));
        }
        return all;
    }
}
