package ration.cli;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import ration.aircraft.model.Pump;
import ration.answer.ask.Candidates;
import ration.answer.ask.PumpWords;
import ration.answer.ask.WhichPump;
import ration.answer.assess.Assessment;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;
import ration.base.task.Task;
import ration.record.file.FileTrouble;
import ration.record.project.Project;
import ration.verdict.check.Verdict;

/** {@code ration pumps FILE [PUMP] [--candidates CSV]}: what a pump must give, and which would do. */
@Command(
        name = "pumps",
        mixinStandardHelpOptions = true,
        description = "Says what every judged case needs of a pump, and holds the one fitted and candidates against it."
                + " Exit code 0: the one fitted does; 1: it does not, or nothing is judged with it; 2: the file or the"
                + " table cannot be used.")
final class PumpsCommand implements Callable<Integer> {

    @Mixin
    private Asked asked;

    @Parameters(
            index = "1",
            arity = "0..1",
            paramLabel = "PUMP",
            description = "Id of the pump; the first if left out.")
    private String pump;

    @Option(
            names = "--candidates",
            paramLabel = "CSV",
            description = "A table with the columns pump, flow, pressure: a row a point of a curve.")
    private Path table;

    @Override
    public Integer call() {
        Optional<Assessment> found = asked.assess();
        if (found.isEmpty()) {
            return 2;
        }
        Project p = found.get().project();
        List<Pump> pumps = p.system().all(Pump.class).toList();
        Optional<Pump> wanted =
                pumps.stream().filter(x -> pump == null || x.id().equals(pump)).findFirst();
        if (wanted.isEmpty()) {
            asked.err()
                    .println("ration: no pump has the id \u201c" + (pump == null ? "" : pump) + "\u201d. There are: "
                            + String.join(", ", pumps.stream().map(Pump::id).toList()));
            return 2;
        }
        List<Candidates.Candidate> candidates = new ArrayList<>();
        if (table != null) {
            try {
                candidates.addAll(Candidates.read(Files.readString(table)));
            } catch (IOException e) {
                asked.err().println("ration: " + table + " cannot be read: " + FileTrouble.why(table, e) + ".");
                return 2;
            } catch (IllegalArgumentException e) {
                asked.err().println("ration: " + table + ": " + e.getMessage());
                return 2;
            }
        }
        Optional<WhichPump> which = WhichPump.of(found.get(), wanted.get().id(), Task.QUIET);
        if (which.isEmpty()) {
            asked.err().println("ration: no case is judged with " + wanted.get().name() + " running.");
            return 1;
        }
        PumpWords words = new PumpWords(p.system(), which.get(), UnitSystem.US);
        List<PumpWords.Row> rows = new ArrayList<>(List.of(words.fitted(wanted.get())));
        words.wired(wanted.get()).ifPresent(rows::add);
        candidates.forEach(c -> rows.add(words.row(c.name(), c.curve())));
        asked.out().print(asked.json() ? asJson(p, which.get(), rows) : asText(p, words, rows));
        return rows.get(0).verdict() == Verdict.HOLDS || rows.get(0).verdict() == Verdict.THIN ? 0 : 1;
    }

    private static String asText(Project p, PumpWords words, List<PumpWords.Row> rows) {
        StringBuilder out = new StringBuilder(p.name() + "\n" + words.needs() + "\n"
                + (words.returned().isEmpty() ? "" : words.returned() + "\n") + "\n");
        rows.forEach(r -> out.append("  ")
                .append(String.format(
                        java.util.Locale.ROOT, "%-10s %-28s %s%n", r.verdict().word(), r.name(), r.detail())));
        return out.append("\nMaximum pressures, returns and heat are checked once a pump is in the layout.\n")
                .toString();
    }

    private static String asJson(Project p, WhichPump which, List<PumpWords.Row> rows) {
        ObjectNode root = Json.answer().put("aircraft", p.name()).put("pump", which.pump());
        ArrayNode needs = root.putArray("leastCurve");
        which.corners().forEach(n -> {
            ObjectNode node = needs.addObject();
            Json.figure(node, "flowGph", Unit.GALLON_PER_HOUR.fromSi(n.flow()));
            Json.figure(node, "pressurePsi", Unit.PSI.fromSi(n.rise()));
            node.put("attitude", n.condition().attitude().label());
        });
        root.put("cases", which.needs().size() + which.never().size())
                .put("casesNoPumpMends", which.never().size());
        ArrayNode all = root.putArray("pumps");
        rows.forEach(r -> all.addObject()
                .put("name", r.name())
                .put("verdict", Json.word(r.verdict()))
                .put("share", r.ratio())
                .put("detail", r.detail()));
        return Json.text(root);
    }
}
