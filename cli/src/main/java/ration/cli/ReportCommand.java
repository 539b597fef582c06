package ration.cli;

import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.Optional;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;
import ration.answer.assess.Assessment;
import ration.base.quantity.UnitSystem;
import ration.base.task.Task;
import ration.publish.packet.Packet;
import ration.record.file.DocumentMark;
import ration.record.file.FileTrouble;
import ration.record.project.Project;

/** {@code ration report FILE OUT.pdf}: the packet for the inspector. */
@Command(
        name = "report",
        mixinStandardHelpOptions = true,
        description =
                "Writes the packet for the inspector as PDF/A: open items first, drawing, a page a tank, gauges at true"
                        + " scale, lines, flow cases, vapor, single and hidden failures, flight, compliance table, test"
                        + " records, maintenance, index of evidence. Exit code 0: written; 2: a file cannot be used.")
final class ReportCommand implements Callable<Integer> {

    @Spec
    private CommandSpec spec;

    @Parameters(index = "0", paramLabel = "FILE", description = "A .ration document, or an example by name.")
    private String file;

    @Parameters(index = "1", paramLabel = "OUT.pdf", description = "Output file; overwritten if it exists.")
    private Path out;

    @Option(names = "--a4", description = "A4 paper; default US letter.")
    private boolean a4;

    @Option(names = "--metric", description = "In mm and liters; default inches and gallons.")
    private boolean metric;

    @Option(names = "--on", paramLabel = "DATE", description = "Date printed, as 2026-03-09; default today.")
    private LocalDate on;

    @Option(
            names = "--since",
            paramLabel = "EARLIER",
            description = "The document of the last packet issued: changes since are listed.")
    private String since;

    @Override
    public Integer call() {
        PrintWriter err = spec.commandLine().getErr();
        Optional<Project> found = Documents.open(file, err);
        if (found.isEmpty()) {
            return 2;
        }
        Optional<Project> earlier = since == null ? Optional.empty() : Documents.open(since, err);
        if (since != null && earlier.isEmpty()) {
            return 2;
        }
        byte[] pdf;
        try {
            pdf = Packet.of(
                            Assessment.of(found.get()),
                            a4 ? Packet.Paper.A4 : Packet.Paper.LETTER,
                            metric ? UnitSystem.METRIC : UnitSystem.US,
                            on == null ? LocalDate.now() : on,
                            Task.QUIET,
                            Packet.Given.before(earlier.map(Assessment::of)).at(Path.of(file)))
                    .orElseThrow();
        } catch (IOException e) {
            err.println("ration: the packet could not be made: " + FileTrouble.why(out, e) + ".");
            return 2;
        }
        if (!Documents.write(out, pdf, err, file, since)) {
            return 2;
        }
        spec.commandLine().getOut().println("Written: " + out + ", document ID " + DocumentMark.of(found.get()));
        return 0;
    }
}
