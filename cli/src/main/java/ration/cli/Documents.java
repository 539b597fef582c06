package ration.cli;

import java.io.IOException;
import java.io.PrintWriter;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.Objects;
import java.util.Optional;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.FutureTask;
import java.util.stream.Stream;
import ration.aircraft.model.Problem;
import ration.answer.assess.Assessment;
import ration.record.file.FileTrouble;
import ration.record.file.ProjectFile;
import ration.record.file.ProjectFileException;
import ration.record.file.SafeWrite;
import ration.record.project.Project;
import ration.record.project.Variant;
import ration.record.project.VariantEdits;

/** Opens what a command is given: a document, or a demo by name. */
final class Documents {

    private static volatile Ahead ahead;

    private Documents() {}

    private record Ahead(String file, FutureTask<Project> read) {}

    /**
     * Begins to read what may be a document, beside everything else a start takes: a third of a short command was
     * waiting for it. Nothing is said here; who opens it is told what is wrong with it.
     */
    static void begin(String file) {
        FutureTask<Project> read = new FutureTask<>(() -> read(file));
        ahead = new Ahead(file, read);
        Thread thread = new Thread(read, "ration-read");
        thread.setDaemon(true);
        thread.start();
    }

    /**
     * The document, or a variant of it as FILE#NAME, as if that were built; empty, with the reason printed, if it
     * cannot be used.
     */
    static Optional<Project> open(String file, PrintWriter err) {
        int at = file.lastIndexOf('#');
        return at < 1 || exists(file)
                ? whole(file, err)
                : whole(file.substring(0, at), err).flatMap(p -> variant(p, file.substring(at + 1), err));
    }

    private static boolean exists(String file) {
        try {
            return Files.exists(Path.of(file));
        } catch (InvalidPathException e) {
            return false;
        }
    }

    /** A variant as if it were built; empty, with those there are printed, if there is none of the name. */
    static Optional<Project> variant(Project p, String name, PrintWriter err) {
        Optional<Variant> found = VariantEdits.find(p, name);
        if (found.isEmpty()) {
            err.println("ration: no variant is called \u201c" + name + "\u201d. "
                    + (p.variants().isEmpty()
                            ? "The document has none."
                            : "There are: "
                                    + String.join(
                                            ", ",
                                            p.variants().stream()
                                                    .map(Variant::name)
                                                    .toList())
                                    + "."));
        }
        return found.map(v -> VariantEdits.as(p, v));
    }

    private static Optional<Project> whole(String file, PrintWriter err) {
        try {
            return Optional.of(begun(file));
        } catch (InvalidPathException e) {
            err.println("ration: not a file name: " + file + ".");
            return Optional.empty();
        } catch (ProjectFileException e) {
            err.println("ration: " + e.fullText());
            return Optional.empty();
        }
    }

    private static Project begun(String file) throws ProjectFileException {
        Ahead begun = ahead;
        ahead = null;
        if (begun != null && begun.file.equals(file)) {
            try {
                return begun.read.get();
            } catch (ExecutionException e) {
                // read again below: what is wrong with it is told from there
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
            }
        }
        return read(file);
    }

    private static Project read(String file) throws ProjectFileException {
        boolean demo = !Files.exists(Path.of(file))
                && (file.equals("demo")
                        || Stream.concat(ProjectFile.demos().stream(), ProjectFile.systems().stream())
                                .anyMatch(d -> d.startsWith(file.toLowerCase(java.util.Locale.ROOT))));
        return demo
                ? ProjectFile.demoNamed(file.equals("demo") ? ProjectFile.DEMO : file)
                : ProjectFile.open(Path.of(file));
    }

    /**
     * Writes what was made of documents: whole, or what was there stays; never over a document.
     *
     * @param inputs what it was made of, as the command was given them
     * @return whether it is there; if not, the reason is printed
     */
    static boolean write(Path target, byte[] bytes, PrintWriter err, String... inputs) {
        try {
            SafeWrite.derived(
                    target,
                    bytes,
                    Arrays.stream(inputs).filter(Objects::nonNull).map(Path::of).toArray(Path[]::new));
            return true;
        } catch (IOException e) {
            err.println("ration: " + target + " cannot be written: " + FileTrouble.why(target, e) + ".");
            return false;
        }
    }

    static boolean write(Path target, String text, PrintWriter err, String... inputs) {
        return write(target, text.getBytes(StandardCharsets.UTF_8), err, inputs);
    }

    /** The assessment; empty, with what to mend printed, if the layout cannot be computed. */
    static Optional<Assessment> assess(String file, PrintWriter err) {
        return assess(file, open(file, err), err);
    }

    /** The same of what was opened of it. */
    static Optional<Assessment> assess(String file, Optional<Project> opened, PrintWriter err) {
        Optional<Assessment> assessment = opened.map(Assessment::of);
        if (assessment.isPresent() && assessment.get().problems().stream().anyMatch(Problem::blocks)) {
            err.println("ration: " + file + " cannot be computed. Fix:");
            assessment.get().problems().stream().filter(Problem::blocks).forEach(p -> err.println("  " + p));
            return Optional.empty();
        }
        return assessment;
    }
}
