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
import ration.answer.assess.FaultWords;
import ration.answer.fault.Catalogue;
import ration.answer.fault.FaultAnswer;
import ration.answer.fault.FaultSearch;
import ration.answer.fault.Finder;
import ration.answer.fault.HiddenChecks;
import ration.answer.fault.HiddenSearch;
import ration.answer.fault.HiddenWords;
import ration.base.quantity.UnitSystem;
import ration.base.task.Task;
import ration.verdict.check.Verdict;

/** {@code ration faults FILE [--json]}: one part fails, each in each of its ways. */
@Command(
        name = "faults",
        mixinStandardHelpOptions = true,
        description = "Single failures: remaining flow, minutes to low flow, indication, pilot action."
                + " Exit code"
                + " 0: no failure cuts flow; 1: some do; 2: the file cannot be used.")
final class FaultsCommand implements Callable<Integer> {

    @Spec
    private CommandSpec spec;

    @Parameters(paramLabel = "FILE", description = "A .ration document, or an example by name.")
    private String file;

    @Option(names = "--json", description = "Print as JSON, SI units; times in minutes.")
    private boolean json;

    @Option(
            names = "--hidden",
            description =
                    "Failures that show nothing and wait, and what one more then does. Exit code 1: one of them turns"
                            + " another into a stoppage, or a pair is Not shown.")
    private boolean hidden;

    @Override
    public Integer call() {
        PrintWriter err = spec.commandLine().getErr();
        Optional<Assessment> found = Documents.assess(file, err);
        if (found.isEmpty() || found.get().blocked()) {
            found.ifPresent(a -> err.println("ration: nothing to compute yet: no tank or no demand."));
            return 2;
        }
        Assessment a = found.get();
        List<FaultAnswer> answers = FaultSearch.of(a);
        if (hidden) {
            return hidden(a, answers, err);
        }
        spec.commandLine().getOut().print(json ? asJson(a, answers) : asText(a, answers));
        return answers.stream().anyMatch(f -> f.verdict() == Verdict.FAILS) ? 1 : 0;
    }

    private int hidden(Assessment a, List<FaultAnswer> answers, PrintWriter err) {
        Optional<HiddenSearch> found = HiddenSearch.of(a, answers, UnitSystem.US, Task.QUIET);
        if (found.isEmpty()) {
            err.println("ration: no case brings the engine its demand with nothing failed: no pair can be judged.");
            return 1;
        }
        HiddenSearch s = found.get();
        spec.commandLine().getOut().print(json ? asJson(a, s) : asText(a, s));
        return s.hidden().stream().allMatch(h -> h.verdict() == Verdict.HOLDS || h.verdict() == Verdict.THIN) ? 0 : 1;
    }

    private static String asText(Assessment a, HiddenSearch s) {
        StringBuilder out = new StringBuilder(a.project().name() + ", hidden failures, " + s.pairs() + " pairs\n"
                + HiddenWords.sum(s) + "\n" + HiddenWords.best(s, a.project().upkeep()) + "\n");
        for (Finder finder : Finder.values()) {
            List<HiddenSearch.Hidden> of = HiddenWords.of(s, finder);
            if (!of.isEmpty()) {
                out.append("\n")
                        .append(finder.words())
                        .append(", ")
                        .append(finder.often())
                        .append(
                                onHand(a, of)
                                        ? ": tracked"
                                        : of.stream().anyMatch(h -> !h.stops().isEmpty()) ? ": not tracked" : "")
                        .append('\n');
            }
            for (HiddenSearch.Hidden h : of) {
                out.append(String.format(
                                        Locale.ROOT,
                                        "  %-10s %-52s %-9s %s",
                                        h.verdict().word(),
                                        HiddenWords.name(h),
                                        HiddenWords.in(h),
                                        HiddenWords.then(h))
                                .stripTrailing())
                        .append('\n');
            }
        }
        return out.append("\n" + HiddenWords.UNLIKELY + " A computed pass does not approve flight.\n")
                .toString();
    }

    /** Whether the document has the check of every one of them that stops the engine. */
    private static boolean onHand(Assessment a, List<HiddenSearch.Hidden> of) {
        List<HiddenSearch.Hidden> stop =
                of.stream().filter(h -> !h.stops().isEmpty()).toList();
        return !stop.isEmpty()
                && stop.stream().allMatch(h -> HiddenChecks.found(h, a.project().upkeep()));
    }

    private static String asJson(Assessment a, HiddenSearch s) {
        List<HiddenSearch.Hidden> open = HiddenChecks.without(s, a.project().upkeep());
        ObjectNode root = Json.answer().put("pairs", s.pairs()).put("withoutACheck", open.size());
        ArrayNode beyond = root.putArray("notComputed");
        s.beyond().forEach(beyond::add);
        ArrayNode all = root.putArray("hidden");
        for (HiddenSearch.Hidden h : s.hidden()) {
            ObjectNode node = all.addObject()
                    .put("part", h.part())
                    .put("fails", Catalogue.words(h.fault()))
                    .put("verdict", Json.word(h.verdict()))
                    .put("check", HiddenWords.key(h.finder()))
                    .put("checked", HiddenChecks.found(h, a.project().upkeep()))
                    .put("instrumentMoves", h.telling());
            ArrayNode stops = node.putArray("stops");
            h.stops().forEach(f -> {
                ObjectNode one = stops.addObject().put("then", HiddenWords.name(f));
                Json.figure(one, "minutes", f.minutes());
            });
            ArrayNode not = node.putArray("notShown");
            h.notShown().forEach(f -> not.add(HiddenWords.name(f)));
        }
        return Json.text(root);
    }

    private static String asText(Assessment a, List<FaultAnswer> answers) {
        StringBuilder out = new StringBuilder(a.project().name()).append(", single failures\n");
        FaultSearch.already(a, UnitSystem.US).ifPresent(w -> out.append(w).append('\n'));
        for (FaultAnswer.Group group : FaultAnswer.Group.values()) {
            List<FaultAnswer> in =
                    answers.stream().filter(f -> f.group() == group).toList();
            if (in.isEmpty()) {
                continue;
            }
            out.append(String.format(Locale.ROOT, "%n%s %d: %s%n", group.label(), in.size(), group.words()));
            for (FaultAnswer f : in) {
                out.append(String.format(
                        Locale.ROOT,
                        "  %-44s %6s %-10s %s%n",
                        f.part() + " " + Catalogue.words(f.fault()),
                        Double.isNaN(f.share()) ? "-" : String.format(Locale.ROOT, "%.2f\u00d7", f.share()),
                        minutes(f),
                        f.wayOut()
                                .map(w -> w.does() + " " + String.format(Locale.ROOT, "%.2f\u00d7", w.share()))
                                .orElse("")));
                if (f.verdict() != Verdict.HOLDS) {
                    out.append("      ")
                            .append(f.why())
                            .append(f.harm() == FaultAnswer.Harm.BEYOND ? "" : " " + f.where() + ".")
                            .append('\n');
                }
            }
        }
        return out.append("\nTwo failures at once: --hidden. A computed pass does not approve flight. Your"
                        + " inspector, the aviation authority and the manufacturers' instructions decide.\n")
                .toString();
    }

    private static String minutes(FaultAnswer f) {
        return Double.isNaN(f.minutes())
                ? "unknown"
                : Double.isInfinite(f.minutes())
                        ? "no end"
                        : f.minutes() == 0 ? "immediately" : UnitSystem.figure(f.minutes(), 1) + " min";
    }

    private static String asJson(Assessment a, List<FaultAnswer> answers) {
        ArrayNode root = Json.MAPPER.createArrayNode();
        for (FaultAnswer f : answers) {
            ObjectNode node = root.addObject()
                    .put(
                            "fault",
                            FaultWords.word(f.fault().kind()) + ":" + f.fault().item()
                                    + (f.fault().port().isEmpty()
                                            ? ""
                                            : "." + f.fault().port())
                                    + (f.fault().kind().severity().isEmpty()
                                            ? ""
                                            : "="
                                                    + (Double.isInfinite(
                                                                    f.fault().severity())
                                                            ? "shut"
                                                            : f.fault().severity())))
                    .put("item", f.fault().item())
                    .put("kind", FaultWords.word(f.fault().kind()))
                    .put("case", f.where());
            Json.figure(node, "flowShare", f.share());
            Json.figure(node, "minutesToShort", f.minutes());
            ArrayNode seen = node.putArray("seen");
            f.seen().forEach(s -> seen.addObject().put("what", s.what()).put("minutes", s.minutes()));
            Json.figure(node, "leadMinutes", f.lead());
            f.wayOut()
                    .ifPresentOrElse(
                            w -> node.putObject("wayOut").put("does", w.does()).put("flowShare", w.share()),
                            () -> node.putNull("wayOut"));
            node.put("verdict", Json.word(f.verdict())).put("why", f.why());
        }
        return Json.text(root);
    }
}
