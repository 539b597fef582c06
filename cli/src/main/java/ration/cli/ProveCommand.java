package ration.cli;

import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.SerializationFeature;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.Callable;
import java.util.stream.Stream;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;
import ration.solver.reference.Proof;
import ration.solver.reference.ReferenceCase;
import ration.solver.reference.ReferenceLibrary;

/** {@code ration prove [DIR] [--json]}. */
@Command(
        name = "prove",
        mixinStandardHelpOptions = true,
        description = "Solves every reference network, once with the reference's friction law and once with Ration's"
                + " own, and compares the flows. Exit code 1 if the first differ by more than 1e-4 anywhere; 2 if a"
                + " file cannot be used.")
final class ProveCommand implements Callable<Integer> {

    @Spec
    private CommandSpec spec;

    @Parameters(
            paramLabel = "DIR",
            arity = "0..1",
            description = "A folder of reference cases, *.json; the project's own copies by default.")
    private Path folder;

    @Option(names = "--json", description = "Print as JSON.")
    private boolean json;

    @Override
    public Integer call() {
        PrintWriter out = spec.commandLine().getOut();
        PrintWriter err = spec.commandLine().getErr();
        List<Proof> proofs = new ArrayList<>();
        boolean unusable = false;
        try {
            if (folder == null) {
                for (ReferenceCase c : ReferenceLibrary.own()) {
                    proofs.add(Proof.of(c));
                }
            } else {
                for (Path file : files()) {
                    try {
                        proofs.add(Proof.of(ReferenceCase.read(file)));
                    } catch (IOException e) {
                        err.println("ration: " + e.getMessage());
                        unusable = true;
                    }
                }
            }
        } catch (IOException e) {
            err.println("ration: " + folder + " cannot be read: " + e.getMessage());
            return 2;
        }
        if (proofs.isEmpty()) {
            err.println("ration: there is no reference case in " + folder + ".");
            return 2;
        }
        print(out, proofs);
        boolean all = proofs.stream().allMatch(Proof::passes);
        return unusable ? 2 : all ? 0 : 1;
    }

    /** Every JSON file of the folder that has nodes; timing tables and the like are left alone. */
    private List<Path> files() throws IOException {
        ObjectMapper mapper = new ObjectMapper();
        List<Path> files = new ArrayList<>();
        try (Stream<Path> all = Files.list(folder)) {
            for (Path p : all.filter(f -> f.getFileName().toString().endsWith(".json"))
                    .sorted()
                    .toList()) {
                boolean other = false;
                try {
                    var root = mapper.readTree(p.toFile());
                    other = !root.has("nodes") && !root.has("links") && !root.has("exact");
                } catch (IOException e) {
                    other = false;
                }
                if (!other) {
                    files.add(p);
                }
            }
        }
        return files;
    }

    private void print(PrintWriter out, List<Proof> proofs) {
        if (json) {
            ObjectMapper mapper = new ObjectMapper().enable(SerializationFeature.INDENT_OUTPUT);
            ObjectNode root = Json.answer();
            root.put("tolerance", Proof.TOLERANCE);
            for (Proof p : proofs) {
                root.withArray("cases")
                        .addObject()
                        .put("id", p.reference().id())
                        .put("title", p.reference().title())
                        .put("reference_law_difference", p.same())
                        .put("own_law_difference", p.own())
                        .put("reynolds_least", p.slowest())
                        .put("reynolds_most", p.fastest())
                        .put("passes", p.passes())
                        .put("explanation", p.explanation())
                        .put("failure", p.failure());
            }
            out.println(root.toPrettyString());
            return;
        }
        out.println("Largest relative flow difference, under the reference's friction law and under Ration's own");
        for (Proof p : proofs) {
            out.printf(
                    Locale.ROOT,
                    "%-6s %-6s %8.1e  %8.1e  %s; %s%n",
                    p.passes() ? "ok" : "FAILS",
                    p.reference().id(),
                    p.same(),
                    p.own(),
                    p.reference().title(),
                    p.failure().isEmpty() ? p.explanation() : p.failure());
        }
        long passed = proofs.stream().filter(Proof::passes).count();
        out.printf(Locale.ROOT, "%d of %d within %.0e.%n", passed, proofs.size(), Proof.TOLERANCE);
    }
}
