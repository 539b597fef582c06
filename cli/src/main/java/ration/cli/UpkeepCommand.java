package ration.cli;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;
import ration.publish.export.UpkeepFiles;
import ration.record.project.Project;
import ration.record.upkeep.Due;
import ration.record.upkeep.Upkeep;
import ration.verdict.check.Verdict;

/** {@code ration upkeep FILE [--on DATE] [--json]}: parts with a life, the most urgent first. */
@Command(
        name = "upkeep",
        mixinStandardHelpOptions = true,
        description = "Lists parts with a life, the most urgent first, and the log. Exit code 0: none is over its"
                + " life; 1: one is, or its age is not known; 2: the file cannot be used.")
final class UpkeepCommand implements Callable<Integer> {

    private static final int LOGGED = 10;

    @Mixin
    private Asked asked;

    @Option(names = "--on", paramLabel = "DATE", description = "The day asked, as 2026-03-09; today if left out.")
    private LocalDate on;

    @Option(names = "--ics", description = "Print an iCalendar file of what falls due.")
    private boolean calendar;

    @Override
    public Integer call() {
        Optional<Project> found = asked.open();
        if (found.isEmpty()) {
            return 2;
        }
        LocalDate day = on == null ? LocalDate.now() : on;
        Project p = found.get();
        List<Due> due = Due.of(p.upkeep(), day);
        asked.out()
                .print(
                        asked.json()
                                ? asJson(p, due, day)
                                : calendar ? UpkeepFiles.calendar(p, day) : asText(p, due, day));
        return due.stream().anyMatch(d -> d.verdict() == Verdict.FAILS || d.verdict() == Verdict.NOT_SHOWN) ? 1 : 0;
    }

    private static String asText(Project p, List<Due> due, LocalDate day) {
        StringBuilder out = new StringBuilder(String.format(
                Locale.ROOT,
                "%s, upkeep on %s, airframe %.1f h%n%n",
                p.name(),
                day,
                p.upkeep().hours()));
        if (due.isEmpty()) {
            out.append("  No part with a life is entered: nothing is known of any.\n");
        }
        for (Due d : due) {
            out.append(String.format(
                    Locale.ROOT,
                    "  %-10s %-28s %-24s %-22s %s%n",
                    d.verdict().word(),
                    d.part().name(),
                    d.part().life().words(),
                    d.left(),
                    d.on().map(x -> "due " + x).orElse("")
                            + (Double.isNaN(d.atHours())
                                    ? ""
                                    : String.format(Locale.ROOT, " at %.1f h", d.atHours()))));
        }
        if (!p.upkeep().log().isEmpty()) {
            out.append("\nLog\n");
            p.upkeep()
                    .log()
                    .subList(
                            Math.max(0, p.upkeep().log().size() - LOGGED),
                            p.upkeep().log().size())
                    .forEach(e -> out.append("  ")
                            .append(e.number())
                            .append("  ")
                            .append(Upkeep.logbook(e))
                            .append(p.upkeep().corrected(e) ? " (put right later)" : "")
                            .append('\n'));
        }
        return out.append("\nIntervals are common practice until you enter the manufacturer's; the manufacturer's"
                        + " instructions"
                        + " come first.\n")
                .toString();
    }

    private static String asJson(Project p, List<Due> due, LocalDate day) {
        ObjectNode root = Json.answer()
                .put("aircraft", p.name())
                .put("on", day.toString())
                .put("hours", p.upkeep().hours());
        ArrayNode parts = root.putArray("parts");
        for (Due d : due) {
            ObjectNode node = parts.addObject()
                    .put("id", d.part().id())
                    .put("name", d.part().name())
                    .put("item", d.part().item())
                    .put("life", d.part().life().words())
                    .put("left", d.left())
                    .put("verdict", Json.word(d.verdict()));
            Json.figure(node, "used", d.used());
            node.put("due", d.on().map(LocalDate::toString).orElse(null));
            Json.figure(node, "dueHours", d.atHours());
        }
        ArrayNode log = root.putArray("log");
        p.upkeep().log().forEach(e -> log.addObject()
                .put("number", e.number())
                .put("on", e.on().toString())
                .put("hours", e.hours())
                .put("part", e.part())
                .put("what", e.what().word())
                .put("words", e.words())
                .put("who", e.who())
                .put("corrects", e.corrects()));
        return Json.text(root);
    }
}
