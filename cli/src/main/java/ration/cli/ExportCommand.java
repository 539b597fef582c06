package ration.cli;

import java.io.IOException;
import java.io.PrintWriter;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;
import ration.aircraft.plumbing.RunSheet;
import ration.answer.assess.Assessment;
import ration.answer.assess.CaseAnswer;
import ration.answer.assess.CaseWords;
import ration.base.quantity.UnitSystem;
import ration.publish.drawing.TextMeasure;
import ration.publish.export.DrawingPdf;
import ration.publish.export.EpanetInp;
import ration.publish.export.GuidePdf;
import ration.publish.export.MatrixCsv;
import ration.publish.export.MeasuringPdf;
import ration.publish.export.PictureSvg;
import ration.publish.export.PrintedSheets;
import ration.record.file.FileTrouble;

/** {@code ration export FILE TARGET}: by the target's ending, a network, a drawing, the runs sheet or a table. */
@Command(
        name = "export",
        mixinStandardHelpOptions = true,
        description = "Writes one case or the line sheet for paper and other programs. The target name decides: .inp"
                + " the case as an EPANET network, .svg the drawing of the case, .pdf the drawing"
                + " sheet with its title block, runs.pdf and"
                + " runs.csv the line sheet, measuring.pdf the sheet to measure it by, guide.pdf the job step by"
                + " step with what the document misses, .csv the case matrix. Exit code 0: written; 1: the case"
                + " did not solve; 2: something cannot be used.")
final class ExportCommand implements Callable<Integer> {

    private static final String MEASURING = "measuring.pdf";
    private static final String GUIDE = "guide.pdf";
    /** Sheets that are of no case. */
    private static final Set<String> CASELESS = Set.of(MEASURING, GUIDE);

    @Spec
    private CommandSpec spec;

    @Parameters(index = "0", paramLabel = "FILE", description = "A .ration document, or an example by name.")
    private String file;

    @Parameters(index = "1", paramLabel = "TARGET", description = "The file to write.")
    private Path target;

    @Option(
            names = "--case",
            paramLabel = "WORDS",
            defaultValue = CaseWords.GOVERNING,
            description = "The case, as in 'climb, fuselage, low'; the governing one if not given.")
    private String words;

    @Option(names = "--metric", description = "Figures in mm, L, kPa.")
    private boolean metric;

    @Override
    public Integer call() {
        PrintWriter err = spec.commandLine().getErr();
        Optional<Assessment> found = Documents.assess(file, err);
        if (found.isEmpty()) {
            return 2;
        }
        Assessment a = found.get();
        String name = target.getFileName() == null
                ? ""
                : target.getFileName().toString().toLowerCase(java.util.Locale.ROOT);
        Optional<byte[]> made;
        try {
            CaseAnswer look = a.look(CaseWords.parse(a, words)).orElse(null);
            if (look == null && !name.startsWith("runs.") && !CASELESS.contains(name)) {
                err.println("ration: nothing to compute yet: no tank or no demand.");
                return 2;
            }
            if (name.endsWith(".inp") && !look.capacity().usable()) {
                err.println("ration: this case did not solve: nothing to export: "
                        + look.capacity().reason());
                return 1;
            }
            made = made(a, look, name, metric ? UnitSystem.METRIC : UnitSystem.US);
        } catch (IllegalArgumentException e) {
            err.println("ration: " + e.getMessage());
            return 2;
        } catch (IOException e) {
            err.println("ration: " + target + " could not be made: " + FileTrouble.why(target, e) + ".");
            return 2;
        }
        if (made.isEmpty()) {
            err.println("ration: " + target + ": name a target that ends in .inp, .svg, .pdf or .csv.");
            return 2;
        }
        if (!Documents.write(target, made.get(), err, file)) {
            return 2;
        }
        spec.commandLine().getOut().println("Written: " + target);
        return 0;
    }

    /** What the target's name asks for; empty where it names nothing known. */
    private static Optional<byte[]> made(Assessment a, CaseAnswer look, String name, UnitSystem units)
            throws IOException {
        String of = look == null
                ? ""
                : a.project().name() + ", " + look.label(a.project().system(), units);
        if (name.equals(GUIDE)) {
            return Optional.of(GuidePdf.of(a, units));
        } else if (name.equals(MEASURING)) {
            return Optional.of(MeasuringPdf.of(a.project().name(), a.project().system(), units));
        } else if (name.equals("runs.pdf")) {
            return Optional.of(PrintedSheets.runsPdf(a));
        } else if (name.equals("runs.csv")) {
            return text(RunSheet.csv(a.project().system()));
        } else if (name.endsWith(".csv")) {
            return text(MatrixCsv.of(a, units));
        } else if (name.endsWith(".inp")) {
            return text(EpanetInp.of(look.capacity(), of));
        } else if (name.endsWith(".svg")) {
            return text(PictureSvg.of(PrintedSheets.drawing(a, look, units, TextMeasure.approximate()), of));
        }
        return name.endsWith(".pdf") ? Optional.of(DrawingPdf.of(a, look, units, LocalDate.now())) : Optional.empty();
    }

    private static Optional<byte[]> text(String text) {
        return Optional.of(text.getBytes(StandardCharsets.UTF_8));
    }
}
