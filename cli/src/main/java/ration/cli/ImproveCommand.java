package ration.cli;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.Callable;
import java.util.stream.Collectors;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;
import ration.answer.assess.Assessment;
import ration.answer.assess.Ledger;
import ration.answer.fault.FaultSum;
import ration.answer.improve.ImproveWords;
import ration.answer.improve.Improvement;
import ration.answer.improve.MakeItHold;
import ration.answer.improve.Weights;
import ration.answer.remedy.Change;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;
import ration.base.task.Task;
import ration.record.cost.CostList;
import ration.record.file.FileTrouble;
import ration.verdict.check.Finding;

/** {@code ration improve FILE [--hour N] [--gallon N] [--leave KIND...] [--costs CSV] [--json]}: make it hold. */
@Command(
        name = "improve",
        mixinStandardHelpOptions = true,
        description = "Finds the cheapest few changes after which nothing Fails, each set solved as one layout."
                + " Exit code 0: nothing Fails, or a set cures all of it; 1: something would still Fail; 2: the file or"
                + " the list cannot be used.")
final class ImproveCommand implements Callable<Integer> {

    @Mixin
    private Asked asked;

    @Option(names = "--hour", paramLabel = "N", description = "What an hour of work is worth; 40 if left out.")
    private Double hour;

    @Option(names = "--gallon", paramLabel = "N", description = "What a usable gallon is worth; 60 if left out.")
    private Double gallon;

    @Option(
            names = "--leave",
            paramLabel = "KIND",
            arity = "1..*",
            description = "Kinds of work to leave alone: lines, filters, valves, pumps, mounts, tanks, vents, drains,"
                    + " headers, senders, heat, fuel, placard.")
    private List<String> leave = List.of();

    @Option(
            names = "--costs",
            paramLabel = "CSV",
            description = "Your own list, with the columns part, size, price, hours, weight, source, date; the one that"
                    + " ships is made up. --print-costs prints it, to begin with.")
    private Path costs;

    @Option(
            names = "--failures",
            description = "Failures are to hold too: changes that take the harm from them are tried on top of the"
                    + " cheapest sets, every failure run with each.")
    private boolean failures;

    @Option(names = "--print-costs", description = "Prints the list of costs that is used, and ends.")
    private boolean print;

    @Override
    public Integer call() {
        Optional<Weights> weights = weights();
        if (weights.isEmpty()) {
            return 2;
        }
        if (print) {
            asked.out().print(weights.get().costs().text());
            return 0;
        }
        Optional<Assessment> found = asked.assess();
        if (found.isEmpty()) {
            return 2;
        }
        MakeItHold answer = MakeItHold.of(found.get(), weights.get(), Task.QUIET);
        ImproveWords words = new ImproveWords(answer, weights.get(), UnitSystem.US);
        asked.out().print(asked.json() ? asJson(found.get(), answer, words) : asText(found.get(), answer, words));
        return answer.failing().isEmpty()
                        || !answer.sets().isEmpty() && answer.beyond().isEmpty()
                ? 0
                : 1;
    }

    private Optional<Weights> weights() {
        try {
            Weights w = Weights.usual();
            w = hour == null ? w : w.hour(hour);
            w = gallon == null ? w : w.gallon(gallon);
            Set<Change.Sort> sorts = EnumSet.noneOf(Change.Sort.class);
            for (String key : leave) {
                sorts.add(Arrays.stream(Change.Sort.values())
                        .filter(s -> s.key().equals(key))
                        .findFirst()
                        .orElseThrow(() -> new IllegalArgumentException("no kind of work is called \u201c" + key
                                + "\u201d. There are: "
                                + Arrays.stream(Change.Sort.values())
                                        .map(Change.Sort::key)
                                        .collect(Collectors.joining(", "))
                                + ".")));
            }
            w = w.leaving(sorts).withFailures(failures);
            return Optional.of(costs == null ? w : w.by(CostList.read(Files.readString(costs))));
        } catch (IOException e) {
            asked.err().println("ration: " + costs + " cannot be read: " + FileTrouble.why(costs, e) + ".");
        } catch (IllegalArgumentException e) {
            asked.err().println("ration: " + e.getMessage());
        }
        return Optional.empty();
    }

    private static String asText(Assessment before, MakeItHold found, ImproveWords words) {
        List<String> lines = new ArrayList<>(List.of(before.project().name(), words.head()));
        add(lines, "", words.size());
        add(lines, "", words.always());
        add(lines, "", words.beyond());
        add(lines, "", words.failures());
        Ledger was = Ledger.of(before, UnitSystem.US);
        int n = 0;
        for (Improvement i : found.sets()) {
            lines.add("");
            lines.add(String.format("%2d  %s; %s", ++n, words.counts(i), words.takes(i))
                    + (words.givesUp(i).isEmpty() ? "" : "; " + words.givesUp(i)));
            words.own(i).forEach(c -> lines.add("      " + c.title()));
            words.ledger(was, i)
                    .forEach(p -> lines.add(String.format(
                            "    %-14s %-22s %s",
                            p.is().title(), p.words(), p.is().verdict().word())));
            add(lines, "    ", words.failures(i));
            add(lines, "    Stays Thin: ", words.thin(i));
            add(lines, "    Opens: ", words.opens(i));
            add(lines, "    Ends: ", words.ends(i));
            add(lines, "    ", words.missing(i));
        }
        lines.add("");
        if (!found.sets().isEmpty()) {
            lines.add(words.prices());
            lines.add(ImproveWords.PREDICTED);
        }
        return String.join("\n", lines).strip() + "\n";
    }

    private static void add(List<String> lines, String before, String words) {
        if (!words.isEmpty()) {
            lines.add(before + words);
        }
    }

    private static String asJson(Assessment before, MakeItHold found, ImproveWords words) {
        ObjectNode root = Json.answer().put("aircraft", before.project().name());
        ids(root.putArray("fails"), found.failing());
        ids(root.putArray("stillFails"), found.beyond());
        titles(root.putArray("always"), found.always());
        if (found.failures().was().asked()) {
            failures(root.putObject("failures"), found.failures().was());
            ArrayNode stay = root.putArray("failuresNotCured");
            found.failures().beyond().forEach(stay::add);
        }
        root.put("mostChanges", found.size()).put("solved", found.solved());
        ArrayNode sets = root.putArray("sets");
        for (Improvement i : found.sets()) {
            ObjectNode node = sets.addObject();
            titles(node.putArray("changes"), i.changes());
            Json.figure(node, "price", i.bill().price());
            Json.figure(node, "hours", i.bill().hours());
            Json.figure(node, "weightKg", i.bill().weightKg());
            Json.figure(node, "usableGivenUpGal", Unit.GALLON.fromSi(i.givenUpM3()));
            Json.figure(node, "counts", i.counts());
            ArrayNode missing = node.putArray("withoutPrice");
            i.bill().missing().forEach(missing::add);
            ObjectNode ledger = node.putObject("after");
            Ledger l = Ledger.of(i.after(), UnitSystem.US);
            entry(ledger, "flow", l.flow());
            entry(ledger, "unusable", l.unusable());
            entry(ledger, "vapor", l.vapor());
            entry(ledger, "open", l.open());
            i.failures().ifPresent(f -> failures(node.putObject("failures"), f));
            ids(node.putArray("thin"), i.thin());
            ids(node.putArray("opens"), i.opens());
            ArrayNode ends = node.putArray("ends");
            i.ends().forEach(ends::add);
        }
        return Json.text(root);
    }

    private static void failures(ObjectNode node, FaultSum f) {
        node.put("all", f.all()).put("fail", f.shorts()).put("notShown", f.notShown());
    }

    private static void entry(ObjectNode ledger, String key, Ledger.Entry e) {
        ledger.putObject(key).put("figure", e.figure()).put("verdict", Json.word(e.verdict()));
    }

    private static void ids(ArrayNode array, List<Finding> findings) {
        findings.forEach(f -> array.addObject().put("id", f.id()).put("title", f.title()));
    }

    private static void titles(ArrayNode array, List<Change> changes) {
        changes.forEach(c -> array.addObject()
                .put("item", c.item())
                .put("kind", c.sort().key())
                .put("title", c.title()));
    }
}
