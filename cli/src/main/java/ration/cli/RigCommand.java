package ration.cli;

import java.io.IOException;
import java.io.PrintWriter;
import java.io.UncheckedIOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.nio.file.FileSystemException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.Callable;
import picocli.CommandLine.ArgGroup;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;
import ration.aircraft.condition.Condition;
import ration.answer.assess.Assessment;
import ration.answer.assess.CaseWords;
import ration.answer.assess.FaultWords;
import ration.answer.find.Rig;
import ration.record.file.FileTrouble;
import ration.record.file.SafeWrite;

/** {@code ration rig FILE}: the program plays the aircraft and writes readings lines. */
@Command(
        name = "rig",
        mixinStandardHelpOptions = true,
        description = "Simulates the aircraft in the hangar and writes lines seconds,channel,value,unit after the"
                + " head \"# ration readings 1\"."
                + " Simulated data: never evidence. Exit code 0: written; 2: something cannot be used.")
final class RigCommand implements Callable<Integer> {

    @Spec
    private CommandSpec spec;

    @Parameters(paramLabel = "FILE", description = "A .ration document, or an example by name.")
    private String file;

    @Option(
            names = "--fault",
            paramLabel = "ID|hidden",
            description = "What has failed, as faults --json names it; or hidden: something it does not" + " tell.")
    private String fault;

    @Option(
            names = "--seed",
            paramLabel = "N",
            defaultValue = "1",
            description = "Of instrument errors and of what is hidden; 1 if left out.")
    private long seed;

    @Option(
            names = "--speed",
            paramLabel = "X",
            defaultValue = "0",
            description = "Times real time; as fast as it can if left out.")
    private double speed;

    @Option(
            names = "--seconds",
            paramLabel = "S",
            defaultValue = "600",
            description = "How long it runs, a line a channel each second; 600 if left out.")
    private int seconds;

    @Option(
            names = "--case",
            paramLabel = "WORDS",
            defaultValue = "level",
            description = "How it is set, words of solve --case; level if left out.")
    private String words;

    /** One or the other. */
    static final class Where {
        @Option(names = "--out", paramLabel = "FILE", description = "Write to a file, line by line.")
        private Path out;

        @Option(
                names = "--port",
                paramLabel = "N",
                description = "Wait for a reader on this port of this machine, 127.0.0.1 only; 0 takes a free one.")
        private Integer port;
    }

    @ArgGroup
    private final Where where = new Where();

    @Override
    public Integer call() throws InterruptedException {
        PrintWriter err = spec.commandLine().getErr();
        Optional<Assessment> found = Documents.assess(file, err);
        if (found.isEmpty() || found.get().basis().isEmpty()) {
            found.ifPresent(a -> err.println("ration: nothing runs yet: there is no tank or no demand."));
            return 2;
        }
        if (seconds < 1 || seconds > 86_400 || !(speed >= 0 && speed <= 10_000)) {
            err.println("ration: --seconds lies between 1 and 86400, --speed between 0 and 10000.");
            return 2;
        }
        try {
            Assessment a = found.get();
            Condition set = CaseWords.parse(a, words);
            Rig rig = fault == null
                    ? Rig.with(a, Set.of(), seed)
                    : fault.equals("hidden")
                            ? Rig.hiding(a, seed)
                            : Rig.with(a, Set.of(FaultWords.parse(a.project().system(), fault)), seed);
            if (where.port != null) {
                serve(rig, set, err);
            } else if (where.out != null) {
                // read while it grows, so not written beside and renamed: but never over a document
                SafeWrite.refuseDocuments(where.out, Path.of(file));
                try (PrintWriter to = new PrintWriter(Files.newBufferedWriter(where.out, StandardCharsets.UTF_8))) {
                    write(rig, set, to);
                    if (to.checkError()) {
                        throw new FileSystemException(
                                where.out.toString(), null, "not all of it could be written; the disk may be full");
                    }
                }
            } else {
                write(rig, set, spec.commandLine().getOut());
            }
            return 0;
        } catch (IllegalArgumentException | IllegalStateException e) {
            err.println("ration: " + e.getMessage());
            return 2;
        } catch (IOException | UncheckedIOException e) {
            IOException why = e instanceof UncheckedIOException u ? u.getCause() : (IOException) e;
            err.println("ration: " + (where.out == null ? "it" : where.out) + " cannot be written: "
                    + (where.out == null ? why.getMessage() : FileTrouble.why(where.out, why)) + ".");
            return 2;
        }
    }

    private void serve(Rig rig, Condition set, PrintWriter err) throws IOException, InterruptedException {
        try (ServerSocket server = new ServerSocket(where.port, 1, InetAddress.getLoopbackAddress())) {
            err.println("ration: waiting on 127.0.0.1:" + server.getLocalPort());
            err.flush();
            try (Socket reader = server.accept();
                    PrintWriter to = new PrintWriter(reader.getOutputStream(), false, StandardCharsets.UTF_8)) {
                write(rig, set, to);
            }
        }
    }

    private void write(Rig rig, Condition set, PrintWriter to) throws InterruptedException {
        to.println(Rig.HEAD);
        Rig.Lines lines = rig.run(set);
        for (int s = 0; s < seconds && !to.checkError(); s++) {
            lines.after(1).forEach(to::println);
            to.flush();
            if (speed > 0) {
                Thread.sleep(Math.round(1000 / speed));
            }
        }
    }
}
