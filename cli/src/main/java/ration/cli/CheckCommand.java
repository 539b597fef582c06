package ration.cli;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.SerializationFeature;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.PrintWriter;
import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;
import java.util.concurrent.Callable;
import java.util.function.Supplier;
import java.util.stream.Stream;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;
import ration.answer.assess.Assessment;
import ration.answer.assess.CaseAnswer;
import ration.answer.assess.Ledger;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;
import ration.verdict.check.Finding;
import ration.verdict.check.Measure;
import ration.verdict.check.Verdict;
import ration.verdict.why.Why;

/** {@code ration check FILE [--json | --explain[=FIGURE]]}. */
@Command(
        name = "check",
        mixinStandardHelpOptions = true,
        description = "Prints ledger, findings and the case matrix of a document. Exit code 0: nothing fails; "
                + "1: something fails; 2: the file cannot be used.")
final class CheckCommand implements Callable<Integer> {

    @Spec
    private CommandSpec spec;

    @Parameters(paramLabel = "FILE", description = "A .ration document, or an example by name ('demo' for the first).")
    private String file;

    @Option(names = "--json", description = "Print as JSON, SI units.")
    private boolean json;

    @Option(
            names = "--explain",
            arity = "0..1",
            fallbackValue = "",
            paramLabel = "FIGURE",
            description = "How figures are computed:"
                    + " those of the ledger and of all findings, or those whose name holds these words,"
                    + " with everything they are computed from.")
    private String explain;

    @Option(names = "--variant", paramLabel = "NAME", description = "A variant in the document, as if it were built.")
    private String variant;

    @Option(
            names = "--measure-next",
            description = "Which figures as entered decide the verdicts, and the few readings that would settle them.")
    private boolean measureNext;

    @Override
    public Integer call() {
        PrintWriter err = spec.commandLine().getErr();
        java.util.Optional<Assessment> found = variant == null
                ? Documents.assess(file, err)
                : Documents.assess(
                        file, Documents.open(file, err).flatMap(p -> Documents.variant(p, variant, err)), err);
        if (found.isEmpty()) {
            return 2;
        }
        Assessment assessment = found.get();
        PrintWriter out = spec.commandLine().getOut();
        if (measureNext) {
            out.print(json ? MeasureNextText.json(assessment) : MeasureNextText.text(assessment));
        } else if (explain != null) {
            List<String> lines = explained(assessment, explain);
            if (lines.isEmpty()) {
                err.println("ration: no figure named \u201c" + explain + "\u201d. Figures: "
                        + String.join(", ", names(assessment)) + ".");
                return 2;
            }
            out.print(json ? explainedJson(assessment, explain) : String.join("\n", lines) + "\n");
        } else {
            out.print(json ? asJson(assessment) : asText(assessment));
        }
        boolean anyShort = assessment.findings().stream().anyMatch(f -> f.verdict() == Verdict.FAILS);
        return anyShort ? 1 : 0;
    }

    /** Of the ledger, then of the findings. */
    private static List<Why> figures(Assessment a) {
        return Stream.concat(
                        Ledger.of(a, UnitSystem.US).entries().stream().flatMap(e -> e.because().stream()),
                        a.findings().stream().flatMap(f -> f.because().stream()))
                .map(Supplier::get)
                .toList();
    }

    private static List<String> names(Assessment a) {
        return figures(a).stream().map(Why::figure).distinct().toList();
    }

    private static List<String> explained(Assessment a, String words) {
        String wanted = words.toLowerCase(Locale.ROOT);
        return figures(a).stream()
                .flatMap(w -> words.isEmpty()
                        ? Stream.of(w)
                        : w.all().stream()
                                .filter(x -> x.figure().toLowerCase(Locale.ROOT).contains(wanted))
                                .limit(1))
                .map(w -> w.lines(UnitSystem.US))
                .distinct()
                .flatMap(l -> Stream.concat(l.stream(), Stream.of("")))
                .toList();
    }

    /** The same, a figure an object: its name, and the lines of how it came about. */
    private static String explainedJson(Assessment a, String words) {
        ArrayNode all = Json.MAPPER.createArrayNode();
        String wanted = words.toLowerCase(Locale.ROOT);
        figures(a).stream()
                .flatMap(w -> words.isEmpty()
                        ? Stream.of(w)
                        : w.all().stream()
                                .filter(x -> x.figure().toLowerCase(Locale.ROOT).contains(wanted))
                                .limit(1))
                .forEach(w -> {
                    ArrayNode lines = all.addObject().put("figure", w.figure()).putArray("lines");
                    w.lines(UnitSystem.US).forEach(lines::add);
                });
        return Json.text(Json.answer().set("figures", all));
    }

    private static String asText(Assessment a) {
        StringBuilder out = new StringBuilder(a.project().name()).append("\n\nLedger\n");
        for (Ledger.Entry e : Ledger.of(a, UnitSystem.US).entries()) {
            out.append(String.format(
                    Locale.ROOT,
                    "  %-12s %8s  %-12s %-10s %s%n",
                    e.title(),
                    e.figure(),
                    e.need(),
                    e.verdict().word(),
                    e.detail()));
        }
        out.append("\nFindings\n");
        for (Finding f : a.findings()) {
            out.append(String.format(
                    Locale.ROOT,
                    "  %-10s %s%n             %s%n",
                    f.verdict().word(),
                    f.title(),
                    f.detail().in(UnitSystem.US)));
            if (!f.remedy().isEmpty()) {
                out.append("             ").append(f.remedy()).append('\n');
            }
            out.append("             ").append(f.source()).append('\n');
        }
        out.append("\nCases, gph: available at minimum inlet pressure, open line, margin over takeoff demand\n");
        for (CaseAnswer c : a.cases()) {
            out.append(String.format(
                    Locale.ROOT,
                    "  %-42s %6.1f %6.1f  %5.2f\u00d7 %s%n",
                    c.label(a.project().system(), UnitSystem.US),
                    gph(c.capacity().inletFlow()),
                    gph(c.openLine().inletFlow()),
                    c.margin(),
                    c.verdict().word()));
        }
        out.append("\nA computed pass does not approve flight. Your inspector, the aviation authority and the"
                + " manufacturers' instructions decide. Prove flow on the aircraft, on the ground,"
                + " before flight.\n");
        return out.toString();
    }

    private static double gph(double si) {
        return Unit.GALLON_PER_HOUR.fromSi(si);
    }

    private static String asJson(Assessment a) {
        ObjectMapper mapper = new ObjectMapper().enable(SerializationFeature.INDENT_OUTPUT);
        ObjectNode root = Json.answer();
        root.put("name", a.project().name());
        root.put("demand_m3_s", a.project().brief().demand());
        root.put("factor", a.project().brief().factor());
        ArrayNode ledger = root.putArray("ledger");
        for (Ledger.Entry e : Ledger.of(a, UnitSystem.US).entries()) {
            ledger.addObject()
                    .put("title", e.title())
                    .put("figure", e.figure())
                    .put("need", e.need())
                    .put("verdict", Json.word(e.verdict()))
                    .put("ratio", e.ratio())
                    .put("detail", e.detail());
        }
        ArrayNode findings = root.putArray("findings");
        for (Finding f : a.findings()) {
            ObjectNode finding = findings.addObject()
                    .put("id", f.id())
                    .put("title", f.title())
                    .put("item", f.item())
                    .put("verdict", Json.word(f.verdict()))
                    .put("detail", f.detail().in(UnitSystem.US))
                    .put("source", f.source())
                    .put("remedy", f.remedy());
            f.measure().ifPresent(m -> finding.putObject("measure")
                    .put("value_si", m.value())
                    .put("limit_si", m.limit())
                    .put("sense", m.sense() == Measure.Sense.AT_LEAST ? "at least" : "at most")
                    .put("dimension", m.dimension().name().toLowerCase(java.util.Locale.ROOT)));
        }
        ArrayNode cases = root.putArray("cases");
        for (CaseAnswer c : a.cases()) {
            ObjectNode node = cases.addObject()
                    .put("attitude", c.condition().attitude().name())
                    .put("pitch_deg", c.condition().attitude().pitchDegrees())
                    .put("tilt_deg", c.condition().attitude().tiltDegrees())
                    .put("contents", c.filling().label(a.project().system()));
            ObjectNode positions = node.putObject("positions");
            c.condition().positions().forEach(positions::put);
            ObjectNode volumes = node.putObject("contents_m3");
            c.condition().contents().forEach(volumes::put);
            node.put("capacity_m3_s", c.capacity().inletFlow())
                    .put("open_line_m3_s", c.openLine().inletFlow())
                    .put("margin", c.margin())
                    .put("verdict", Json.word(c.verdict()))
                    .put("obstacle", c.obstacle(a.project().system()));
            OptionalDouble left = c.inletPressureAtDemand(a.project().system());
            if (left.isPresent()) {
                node.put("inlet_pressure_at_demand_Pa", left.getAsDouble());
            }
            if (c.capacity().usable()) {
                node.put("iterations", c.capacity().solution().evidence().iterations())
                        .put(
                                "mass_residual_m3_s",
                                c.capacity().solution().evidence().massResidual())
                        .put(
                                "pressure_residual_Pa",
                                c.capacity().solution().evidence().pressureResidual());
            }
        }
        try {
            return mapper.writeValueAsString(root) + "\n";
        } catch (JsonProcessingException e) {
            throw new IllegalStateException("The result could not be written as JSON", e);
        }
    }
}
