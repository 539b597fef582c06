package ration.cli;

import java.io.FilterWriter;
import java.io.IOException;
import java.io.PrintWriter;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.List;
import java.util.Set;
import picocli.CommandLine;
import picocli.CommandLine.Command;
import ration.base.quantity.Plain;

/** Entry of the command line. */
@Command(
        name = "ration",
        mixinStandardHelpOptions = true,
        version = "Ration " + ration.record.file.ProgramVersion.WORD,
        header = "Fuel systems of experimental aircraft: flow margin, unusable fuel, vapor.",
        customSynopsis = {
            "ration demo               open the window with the example aircraft",
            "       ration FILE               open the window with a document",
            "       ration check FILE         ledger, findings and case matrix on the command line",
            "       ration solve FILE         every pressure and flow of one case",
            "       ration faults FILE        single-failure analysis",
            "       ration fly FILE           fuel use over a flight",
            "       ration find FILE READINGS readings in, probable cause out",
            "       ration rig FILE           simulated readings, with a hidden failure on request",
            "       ration diff A B           what changed, its effect, tests no longer valid",
            "       ration leaks FILE         what can leak, how much runs out, which valve stops it",
            "       ration pumps FILE         what a pump must give, and which would do",
            "       ration plan FILE          what can be done today, what is to buy, what waits",
            "       ration upkeep FILE        tracked parts, next due first",
            "       ration report FILE OUT.pdf the packet for the inspector",
            "       ration export FILE TARGET drawing, line sheet, matrix or EPANET network",
            "       ration prove [DIR]        solve networks with known answers and compare"
        },
        footer = {
            "",
            "A computed pass does not approve flight. Your inspector, the aviation authority and the",
            "manufacturers' instructions decide. Prove flow on the aircraft, on the ground, before flight."
        })
public final class Main {

    private static final List<Class<?>> COMMANDS = List.of(
            CheckCommand.class,
            SolveCommand.class,
            FaultsCommand.class,
            FlyCommand.class,
            FindCommand.class,
            RigCommand.class,
            DiffCommand.class,
            HosesCommand.class,
            ImproveCommand.class,
            LeaksCommand.class,
            PumpsCommand.class,
            PlanCommand.class,
            UpkeepCommand.class,
            TestsCommand.class,
            ReportCommand.class,
            ExportCommand.class,
            ProveCommand.class);

    private Main() {}

    public static void main(String[] args) {
        if (args.length > 1 && !args[1].startsWith("-")) {
            Documents.begin(args[1]);
        }
        PrintWriter out = new PrintWriter(System.out, true, StandardCharsets.UTF_8);
        PrintWriter err = new PrintWriter(System.err, true, StandardCharsets.UTF_8);
        System.exit(run(out, err, args));
    }

    /** Names of all commands. */
    static Set<String> commands() {
        return line().getSubcommands().keySet();
    }

    /**
     * The command line with the one command asked for: looking through all of them takes longer than some of them work.
     */
    private static CommandLine line(String... args) {
        CommandLine line = new CommandLine(new Main());
        List<Class<?>> asked = COMMANDS.stream()
                .filter(c ->
                        args.length > 0 && c.getAnnotation(Command.class).name().equals(args[0]))
                .toList();
        (asked.isEmpty() ? COMMANDS : asked).forEach(line::addSubcommand);
        return line;
    }

    /** Runs one command; returns its exit code: 0 good, 1 short or disproved, 2 cannot be used. */
    static int run(PrintWriter given, PrintWriter errors, String... args) {
        PrintWriter out = plain(given);
        PrintWriter err = plain(errors);
        CommandLine commands = line(args).setOut(out).setErr(err);
        commands.setExecutionExceptionHandler((e, line, parsed) -> {
            err.println("ration: " + e.getMessage());
            return 2;
        });
        commands.registerConverter(LocalDate.class, Main::day);
        int code = args.length == 0 ? usage(commands) : commands.execute(args);
        out.flush();
        if (given.checkError()) {
            err.println("ration: output incomplete: the disk may be full, or the reader closed.");
            code = 2;
        }
        err.flush();
        return code;
    }

    /** Names in a document may hold what a terminal takes as a command: none of that is written to it. */
    private static PrintWriter plain(PrintWriter to) {
        return new PrintWriter(
                new FilterWriter(to) {
                    @Override
                    public void write(char[] some, int from, int many) throws IOException {
                        write(new String(some, from, many));
                    }

                    @Override
                    public void write(String some, int from, int many) throws IOException {
                        write(some.substring(from, from + many));
                    }

                    @Override
                    public void write(int c) throws IOException {
                        write(String.valueOf((char) c));
                    }

                    @Override
                    public void write(String some) throws IOException {
                        out.write(Plain.lines(some));
                        if (to.checkError()) {
                            throw new IOException("not all of it was taken");
                        }
                    }
                },
                false);
    }

    private static LocalDate day(String written) {
        try {
            return LocalDate.parse(written.strip());
        } catch (DateTimeParseException e) {
            throw new CommandLine.TypeConversionException("\u201c" + written + "\u201d is not a date. Use 2026-03-09");
        }
    }

    private static int usage(CommandLine commands) {
        commands.usage(commands.getOut());
        return 0;
    }
}
