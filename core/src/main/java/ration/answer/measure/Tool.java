package ration.answer.measure;

import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.Map;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import ration.base.quantity.Dimension;
import ration.base.quantity.Measured;
import ration.base.quantity.Unit;

/**
 * How a figure is read again; common practice, no source.
 *
 * @param name of the tool
 * @param inches a length is read to within this, in; not a number where it reads none
 * @param share another figure is read to within this share; not a number where it reads none
 * @param minutes it takes, with setting up
 * @param how in a sentence or two
 */
public record Tool(String name, double inches, double share, int minutes, String how) {

    private static final Map<String, Tool> TOOLS = read();

    /** For a kind of figure. */
    static Tool of(String kind) {
        return TOOLS.getOrDefault(kind, TOOLS.get("other"));
    }

    /** A standard deviation of what it reads, SI. */
    public double deviation(Measured m) {
        double within = m.quantity().unit().dimension() == Dimension.LENGTH && !Double.isNaN(inches)
                ? Unit.INCH.toSi(inches)
                : (Double.isNaN(share) ? 1 : share) * Math.abs(m.si());
        return within / 2;
    }

    private static Map<String, Tool> read() {
        CSVFormat format = CSVFormat.DEFAULT
                .builder()
                .setHeader()
                .setSkipHeaderRecord(true)
                .setCommentMarker('#')
                .get();
        Map<String, Tool> all = new LinkedHashMap<>();
        try (InputStream in = Tool.class.getResourceAsStream("/ration/answer/measure/tools.csv");
                CSVParser parser = CSVParser.parse(new InputStreamReader(in, StandardCharsets.UTF_8), format)) {
            for (CSVRecord r : parser) {
                all.put(
                        r.get("kind"),
                        new Tool(
                                r.get("tool"),
                                number(r.get("inches")),
                                number(r.get("share")),
                                Integer.parseInt(r.get("minutes")),
                                r.get("how")));
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return all;
    }

    private static double number(String text) {
        return text.isBlank() ? Double.NaN : Double.parseDouble(text);
    }
}
