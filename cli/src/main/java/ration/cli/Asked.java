package ration.cli;

import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.Optional;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;
import ration.answer.assess.Assessment;
import ration.record.project.Project;

/** What a command that lists something of a document is given: which document, and whether JSON is wanted. */
final class Asked {

    @Spec(Spec.Target.MIXEE)
    private CommandSpec spec;

    @Parameters(index = "0", paramLabel = "FILE", description = "A .ration document, or an example by name.")
    private String file;

    @Option(names = "--json", description = "Print as JSON.")
    private boolean json;

    boolean json() {
        return json;
    }

    PrintWriter out() {
        return spec.commandLine().getOut();
    }

    PrintWriter err() {
        return spec.commandLine().getErr();
    }

    /** The document; empty, with the reason printed, if it cannot be used. */
    Optional<Project> open() {
        return Documents.open(file, err());
    }

    /** Its assessment; empty, with what to fix printed, if the layout cannot be computed. */
    Optional<Assessment> assess() {
        return Documents.assess(file, err());
    }

    /** Writes what was made of the document, never over it; whether it is there: if not, the reason is printed. */
    boolean write(Path target, byte[] bytes) {
        return Documents.write(target, bytes, err(), file);
    }
}
