package ration.cli;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.io.PrintWriter;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;
import ration.answer.assess.Assessment;
import ration.answer.assess.FaultWords;
import ration.answer.find.Explanation;
import ration.answer.find.NextReading;
import ration.answer.find.ReadingsCsv;
import ration.answer.find.Search;
import ration.base.quantity.UnitSystem;
import ration.record.reading.Reading;

/** {@code ration find FILE READINGS.csv [--json]}: readings in, cause out. */
@Command(
        name = "find",
        mixinStandardHelpOptions = true,
        description = "Ranks likely causes of readings taken on the aircraft, and what to read next. Columns: place,"
                + " quantity (pressure, flow,"
                + " minutes, falls, temperature, volts, amps, or a sign: pressure flutters, makes no"
                + " sound, does not move, will not fill,"
                + " streams overboard, drips or smells, water in the sample), value (yes or no for a"
                + " sign), unit, error, state (words of"
                + " solve --case; engine stopped, return pinched, cap loosened, line open, hot, left"
                + " overnight)."
                + " Exit code 0: ranked; 2: a file cannot be used.")
final class FindCommand implements Callable<Integer> {

    private static final int SHOWN = 12;
    private static final long MOST = 1 << 20;

    @Spec
    private CommandSpec spec;

    @Parameters(index = "0", paramLabel = "FILE", description = "A .ration document, or an example by name.")
    private String file;

    @Parameters(index = "1", paramLabel = "READINGS.csv", description = "The table of readings.")
    private Path table;

    @Option(names = "--json", description = "Print as JSON, SI units; times in minutes.")
    private boolean json;

    @Override
    public Integer call() {
        PrintWriter err = spec.commandLine().getErr();
        Optional<Assessment> found = Documents.assess(file, err);
        if (found.isEmpty() || found.get().basis().isEmpty()) {
            found.ifPresent(a -> err.println("ration: nothing to compute yet: no tank or no demand."));
            return 2;
        }
        List<Reading> readings;
        try {
            if (Files.size(table) > MOST) {
                err.println("ration: " + table + " is too large for a list of readings.");
                return 2;
            }
            readings = ReadingsCsv.parse(found.get(), Files.readString(table, StandardCharsets.UTF_8));
        } catch (IllegalArgumentException e) {
            err.println("ration: " + table + ": " + e.getMessage());
            return 2;
        } catch (IOException e) {
            err.println("ration: " + table + " cannot be read: it is not there, or not UTF-8 text.");
            return 2;
        }
        Search search = Search.of(found.get(), readings);
        List<NextReading> next =
                search.next(readings.get(readings.size() - 1).setting().condition());
        spec.commandLine().getOut().print(json ? asJson(search, next) : asText(found.get(), search, next));
        return 0;
    }

    private static String figure(Reading.What what, double value) {
        return Reading.text(what, value, UnitSystem.US);
    }

    private static String asText(Assessment a, Search search, List<NextReading> next) {
        StringBuilder out = new StringBuilder(a.project().name()).append(", likely causes\n\n");
        for (Explanation e : search.explanations().stream().limit(SHOWN).toList()) {
            out.append(String.format(
                    Locale.ROOT,
                    "  %5.1f %%  %-9s %-40s %s%n",
                    100 * e.belief(),
                    e.word(),
                    e.name() + " " + e.how(),
                    String.join(
                            " ", e.fits().stream().map(Explanation.Fit::word).toList())));
        }
        out.append(String.format(Locale.ROOT, "%n  about %.1f likely causes%n", search.suspects()));
        if (!next.isEmpty()) {
            out.append("\nNext reading\n");
        }
        for (NextReading n : next.stream().limit(4).toList()) {
            out.append(String.format(
                    Locale.ROOT, "  %s, %d min, narrows to about %.1f causes%n", n.words(), n.minutes(), n.left()));
            for (NextReading.Outcome o : n.outcomes().stream().limit(4).toList()) {
                out.append(String.format(
                        Locale.ROOT,
                        "    %3.0f in 100: %s%s  %s%n",
                        100 * o.chance(),
                        figure(n.asked().what(), o.from()),
                        o.to() > o.from() ? " to " + figure(n.asked().what(), o.to()) : "",
                        String.join("; ", o.leaves().stream().limit(3).toList())));
            }
            if (!n.caution().isEmpty()) {
                out.append("    ").append(n.caution()).append('\n');
            }
        }
        return out.append("\nFault frequencies: common practice, no source. Double faults are not searched.\n")
                .toString();
    }

    private static String asJson(Search search, List<NextReading> next) {
        ObjectNode root = Json.answer().put("suspects", search.suspects());
        ArrayNode ranked = root.putArray("explanations");
        for (Explanation e : search.explanations()) {
            ObjectNode node = ranked.addObject()
                    .put("name", e.name())
                    .put("how", e.how())
                    .put("belief", e.belief())
                    .put("word", e.word());
            e.fault()
                    .ifPresentOrElse(
                            f -> node.put("item", f.item())
                                    .put("kind", FaultWords.word(f.kind()))
                                    .put("port", f.port())
                                    .put(
                                            "severity",
                                            Double.isInfinite(f.severity()) ? "shut" : String.valueOf(f.severity())),
                            () -> node.putNull("item"));
            ArrayNode fits = node.putArray("fits");
            e.fits().forEach(f -> {
                ObjectNode fit = fits.addObject().put("fit", f.word());
                if (Double.isNaN(f.expected())) {
                    fit.putNull("expected");
                } else {
                    fit.put("expected", f.expected()).put("deviation", f.deviation());
                }
            });
        }
        ArrayNode then = root.putArray("next");
        for (NextReading n : next.stream().limit(8).toList()) {
            ObjectNode node = then.addObject()
                    .put("words", n.words())
                    .put("place", n.asked().place())
                    .put("quantity", n.asked().what().word())
                    .put("minutes", n.minutes())
                    .put("caution", n.caution())
                    .put("suspectsLeft", n.left());
            ArrayNode outcomes = node.putArray("outcomes");
            n.outcomes().forEach(o -> {
                ObjectNode one = outcomes.addObject()
                        .put("from", o.from())
                        .put("to", o.to())
                        .put("chance", o.chance());
                o.leaves().forEach(one.withArray("leaves")::add);
            });
        }
        return Json.text(root);
    }
}
