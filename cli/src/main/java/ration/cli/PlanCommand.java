package ration.cli;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;
import ration.answer.assess.Assessment;
import ration.answer.plan.Plan;
import ration.answer.plan.PlanWords;
import ration.publish.export.PlanFiles;
import ration.record.file.FileTrouble;
import ration.record.project.Project;

/** {@code ration plan FILE [--on DATE] [--json]}: the build as work still to be done. */
@Command(
        name = "plan",
        mixinStandardHelpOptions = true,
        description = "Lists what can be done today, what is to buy, on order and waiting. Exit code 0: everything"
                + " asked for is done; 1: something is left, or steps wait for one another; 2: the file"
                + " cannot be used.")
final class PlanCommand implements Callable<Integer> {

    @Mixin
    private Asked asked;

    @Option(names = "--on", paramLabel = "DATE", description = "The day asked, as 2026-03-09; today if left out.")
    private LocalDate on;

    @Option(names = "--csv", description = "Print as a table.")
    private boolean csv;

    @Option(names = "--ics", description = "Print an iCalendar file of the deliveries expected.")
    private boolean calendar;

    @Option(names = "--list", paramLabel = "OUT.pdf", description = "Writes the list to print.")
    private Path list;

    @Override
    public Integer call() {
        Optional<Project> found = asked.open();
        if (found.isEmpty()) {
            return 2;
        }
        Project p = found.get();
        Plan plan = Plan.of(p, Assessment.ahead(p, Optional.empty()).program(), on == null ? LocalDate.now() : on);
        if (list != null) {
            try {
                if (!asked.write(list, PlanFiles.pdf(p, plan))) {
                    return 2;
                }
            } catch (IOException e) {
                asked.err().println("ration: the list could not be made: " + FileTrouble.why(list, e) + ".");
                return 2;
            }
        }
        asked.out()
                .print(
                        asked.json()
                                ? asJson(p, plan)
                                : csv ? PlanFiles.csv(plan) : calendar ? PlanFiles.calendar(p, plan) : asText(p, plan));
        return plan.round().isEmpty() && plan.tasks().stream().allMatch(Plan.Task::done) ? 0 : 1;
    }

    private static String asText(Project p, Plan plan) {
        PlanWords words = new PlanWords(plan);
        StringBuilder out = new StringBuilder(p.name() + ", build on " + plan.today() + ": " + words.sum() + ".\n");
        out.append(words.left()).append('\n');
        for (Plan.State state : Plan.State.values()) {
            List<Plan.Task> tasks = state == Plan.State.DONE ? List.of() : plan.in(state);
            if (!tasks.isEmpty()) {
                out.append('\n').append(PlanWords.group(state)).append('\n');
            }
            for (Plan.Task t : tasks) {
                out.append(String.format(
                                        Locale.ROOT,
                                        "  %-44s %-10s %-15s %s",
                                        t.name(),
                                        t.step().hours().map(PlanWords::hours).orElse("no hours"),
                                        words.slackSaid(t),
                                        words.now(t))
                                .stripTrailing())
                        .append('\n');
            }
        }
        return out.toString();
    }

    private static String asJson(Project p, Plan plan) {
        PlanWords words = new PlanWords(plan);
        ObjectNode root =
                Json.answer().put("aircraft", p.name()).put("on", plan.today().toString());
        root.put("hoursLeft", plan.hoursLeft())
                .put("stepsWithoutHours", plan.withoutHours())
                .put("deliveriesWithoutDate", plan.withoutDay())
                .put("ends", plan.ends().map(LocalDate::toString).orElse(null));
        ArrayNode round = root.putArray("round");
        plan.round().forEach(round::add);
        ArrayNode steps = root.putArray("steps");
        for (Plan.Task t : plan.tasks()) {
            ObjectNode node = steps.addObject()
                    .put("step", t.key().text())
                    .put("name", t.name())
                    .put("stage", t.step().stage().key())
                    .put("state", t.state().name().toLowerCase(Locale.ROOT).replace('_', '-'));
            Json.figure(node, "hours", t.step().hours().orElse(Double.NaN));
            node.put("expected", t.step().expected().map(LocalDate::toString).orElse(null));
            Json.figure(node, "earliest", t.done() ? Double.NaN : t.earliest());
            Json.figure(node, "float", t.done() ? Double.NaN : t.slack());
            ArrayNode waits = node.putArray("waitsFor");
            t.open().forEach(k -> waits.add(k.text()));
            node.put("now", words.now(t));
        }
        return Json.text(root);
    }
}
