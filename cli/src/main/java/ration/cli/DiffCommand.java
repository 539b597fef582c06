package ration.cli;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.PrintWriter;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;
import ration.answer.assess.Assessment;
import ration.answer.assess.Comparison;
import ration.base.quantity.UnitSystem;
import ration.record.project.Project;
import ration.verdict.check.Verdict;

/** {@code ration diff A B [--json]}: what was changed, what that did, which tests it ended. */
@Command(
        name = "diff",
        mixinStandardHelpOptions = true,
        description = "Compares two documents: changes, the ledger before and after, findings that changed, tests no"
                + " longer valid. Exit code 0: no finding got worse and no test became invalid; 1: one"
                + " did; 2: a file cannot be used.")
final class DiffCommand implements Callable<Integer> {

    @Spec
    private CommandSpec spec;

    @Parameters(index = "0", paramLabel = "A", description = "The earlier document, or an example by name.")
    private String first;

    @Parameters(index = "1", paramLabel = "B", description = "The later one.")
    private String second;

    @Option(names = "--json", description = "Print as JSON.")
    private boolean json;

    @Override
    public Integer call() {
        PrintWriter err = spec.commandLine().getErr();
        Optional<Assessment> a = Documents.open(first, err).map(Assessment::of);
        Optional<Assessment> b = Documents.open(second, err).map(Assessment::of);
        if (a.isEmpty() || b.isEmpty()) {
            return 2;
        }
        Comparison c = Comparison.of(a.get(), b.get(), UnitSystem.US);
        spec.commandLine()
                .getOut()
                .print(json ? asJson(c) : asText(a.get().project(), b.get().project(), c));
        boolean worse = c.findings().stream()
                .anyMatch(t ->
                        t.is().isPresent() && t.is().get().compareTo(t.was().orElse(Verdict.HOLDS)) > 0);
        return worse || !c.ended().isEmpty() ? 1 : 0;
    }

    private static void lines(StringBuilder out, String title, List<String> lines, String none) {
        out.append('\n').append(title).append('\n');
        (lines.isEmpty() ? List.of(none) : lines)
                .forEach(l -> out.append("  ").append(l).append('\n'));
    }

    private static String word(Optional<Verdict> v, String none) {
        return v.map(Verdict::word).orElse(none);
    }

    private static String asText(Project a, Project b, Comparison c) {
        StringBuilder out = new StringBuilder(a.name() + " compared with " + b.name() + "\n");
        lines(out, "Changed", c.changes(), "nothing");
        out.append("\nLedger\n");
        c.ledger()
                .forEach(f -> out.append(String.format(
                        Locale.ROOT,
                        "  %-12s %9s %-9s %s %9s %-9s%s%n",
                        f.title(),
                        f.before(),
                        f.was().word(),
                        "\u2192",
                        f.after(),
                        f.is().word(),
                        f.changed() ? "" : "  same")));
        lines(
                out,
                "Findings that changed",
                c.findings().stream()
                        .map(t -> word(t.was(), "new") + " \u2192 " + word(t.is(), "gone") + "  " + t.title())
                        .toList(),
                "none");
        lines(
                out,
                "Tests no longer valid",
                c.ended().stream()
                        .map(e -> e.title() + ", " + e.test() + ": " + String.join("; ", e.causes()))
                        .toList(),
                "none");
        return out.toString();
    }

    private static String asJson(Comparison c) {
        ObjectNode root = Json.answer();
        ArrayNode changes = root.putArray("changes");
        c.changes().forEach(changes::add);
        ArrayNode ledger = root.putArray("ledger");
        c.ledger().forEach(f -> ledger.addObject()
                .put("title", f.title())
                .put("before", f.before())
                .put("verdictBefore", Json.word(f.was()))
                .put("after", f.after())
                .put("verdictAfter", Json.word(f.is())));
        ArrayNode findings = root.putArray("findings");
        for (Comparison.Turn t : c.findings()) {
            ObjectNode node = findings.addObject().put("title", t.title());
            node.put("before", t.was().map(Json::word).orElse(null));
            node.put("after", t.is().map(Json::word).orElse(null));
        }
        ArrayNode ended = root.putArray("ended");
        for (Comparison.Ended e : c.ended()) {
            ArrayNode causes = ended.addObject()
                    .put("test", e.test())
                    .put("title", e.title())
                    .putArray("causes");
            e.causes().forEach(causes::add);
        }
        return Json.text(root);
    }
}
