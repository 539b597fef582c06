package ration.cli;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.nio.file.Path;
import java.util.Locale;
import java.util.Optional;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;
import ration.answer.assess.Assessment;
import ration.answer.proof.TestProgram;
import ration.answer.proof.Touched;
import ration.base.quantity.UnitSystem;
import ration.publish.export.TestCards;
import ration.record.file.FileTrouble;
import ration.record.project.Project;

/** {@code ration tests FILE}: the tests an aircraft gets, how each stands, which is next. */
@Command(
        name = "tests",
        mixinStandardHelpOptions = true,
        description = "Lists the tests this aircraft needs and their status, what it needs and what is computed for"
                + " it. Exit code 0: every"
                + " one asked for counts; 1: one does not; 2: the file cannot be used.")
final class TestsCommand implements Callable<Integer> {

    @Mixin
    private Asked asked;

    @Option(names = "--cards", paramLabel = "OUT.pdf", description = "Writes blank cards of what is still to run.")
    private Path cards;

    @Option(
            names = "--touch",
            paramLabel = "ITEM",
            description = "Says which tests a change of this part would end, and what would be shown again.")
    private String touch;

    @Override
    public Integer call() {
        Optional<Project> found = asked.open();
        if (found.isEmpty()) {
            return 2;
        }
        Project p = found.get();
        if (touch != null) {
            return p.system()
                    .item(touch)
                    .map(i -> {
                        asked.out().println(Touched.by(p, touch).words(i.name()));
                        return 0;
                    })
                    .orElseGet(() -> {
                        asked.err()
                                .println("ration: no part has the id \u201c" + touch + "\u201d. There are: "
                                        + String.join(
                                                ", ",
                                                p.system().items().stream()
                                                        .map(i -> i.id())
                                                        .toList()));
                        return 2;
                    });
        }
        Assessment a = Assessment.of(p);
        if (cards != null) {
            byte[] pdf;
            try {
                pdf = TestCards.of(a, UnitSystem.US);
            } catch (IOException e) {
                asked.err().println("ration: the cards could not be made: " + FileTrouble.why(cards, e) + ".");
                return 2;
            }
            if (!asked.write(cards, pdf)) {
                return 2;
            }
        }
        asked.out().print(asked.json() ? asJson(p, a.program()) : asText(p, a.program()));
        return a.program().counting() == a.program().asked() ? 0 : 1;
    }

    private static String asText(Project p, TestProgram program) {
        StringBuilder out = new StringBuilder(
                p.name() + ", hangar tests: " + program.counting() + " of " + program.asked() + " count\n");
        String group = "";
        for (TestProgram.Proof t : program.tests()) {
            String now = t.wanted().kind().group().label();
            if (!now.equals(group)) {
                out.append("\n").append(now).append("\n");
                group = now;
            }
            String needs = t.outcome().needs().in(UnitSystem.US);
            String predicted = t.outcome().predicted().in(UnitSystem.US);
            out.append(String.format(
                    Locale.ROOT,
                    "  %-10s %-36s %-34s %s%n",
                    t.verdict().word(),
                    t.wanted().name(),
                    t.state(),
                    (needs.isEmpty() ? "" : "needs " + needs)
                            + (predicted.isEmpty() ? "" : (needs.isEmpty() ? "" : ", ") + "computed " + predicted)));
        }
        program.next().ifPresent(n -> out.append("\nNext: ")
                .append(n.wanted().name())
                .append(", ")
                .append(n.wanted().asks())
                .append(".\n"));
        return out.append("\nA computed figure is not evidence. The inspector decides.\n")
                .toString();
    }

    private static String asJson(Project p, TestProgram program) {
        ObjectNode root = Json.answer()
                .put("aircraft", p.name())
                .put("counting", program.counting())
                .put("asked", program.asked());
        ArrayNode tests = root.putArray("tests");
        for (TestProgram.Proof t : program.tests()) {
            tests.addObject()
                    .put("test", t.wanted().key())
                    .put("name", t.wanted().name())
                    .put("group", t.wanted().kind().group().label())
                    .put("asked", t.wanted().asked())
                    .put("verdict", Json.word(t.verdict()))
                    .put("state", t.state())
                    .put("needs", t.outcome().needs().in(UnitSystem.US))
                    .put("computed", t.outcome().predicted().in(UnitSystem.US))
                    .put("measured", t.outcome().measured().in(UnitSystem.US))
                    .put("words", t.outcome().words().in(UnitSystem.US))
                    .put("source", t.wanted().source())
                    .put("record", t.record().map(r -> r.id()).orElse(null));
        }
        return Json.text(root);
    }
}
