package ration.cli;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import ration.answer.assess.Assessment;
import ration.answer.assess.Doubt;
import ration.answer.measure.Job;
import ration.answer.measure.MeasureNext;
import ration.answer.measure.MeasureWords;
import ration.base.quantity.UnitSystem;
import ration.base.task.Task;

/** What to measure next, for each answer of the ledger that figures decide. */
final class MeasureNextText {

    private MeasureNextText() {}

    private static List<MeasureNext> all(Assessment a) {
        Doubt doubt = Doubt.of(a, Task.QUIET);
        List<MeasureNext> all = new ArrayList<>();
        for (Doubt.Of of : Doubt.Of.values()) {
            all.add(MeasureNext.of(doubt, of, false).resolved(a, Task.QUIET));
        }
        return all;
    }

    static String text(Assessment a) {
        List<String> lines = new ArrayList<>(List.of(a.project().name()));
        for (MeasureNext m : all(a)) {
            MeasureWords words = new MeasureWords(m, UnitSystem.US);
            lines.add("");
            lines.add(MeasureWords.title(m.of()) + ": " + words.head());
            if (!words.outcomes().isEmpty()) {
                lines.add("  " + words.outcomes());
            }
            if (!words.first().isEmpty()) {
                lines.add("  " + words.first());
            }
            for (Job j : words.listed()) {
                lines.add(String.format(
                        Locale.ROOT,
                        "  %s %4s  %-44s %-28s %s",
                        m.next().contains(j) ? "*" : " ",
                        words.share(j),
                        words.name(j) + ", " + words.entered(j),
                        "off " + words.off(j) + ", read " + words.within(j),
                        j.tool().name() + ", " + j.minutes() + " min"
                                + (words.means(j).isEmpty() ? "" : "; " + words.means(j))));
            }
        }
        lines.add("");
        lines.add("Tools, times and what they read to: common practice, no source. * is to be measured.");
        return String.join("\n", lines) + "\n";
    }

    static String json(Assessment a) {
        ObjectNode root = Json.answer().put("aircraft", a.project().name());
        ArrayNode answers = root.putArray("measureNext");
        for (MeasureNext m : all(a)) {
            MeasureWords words = new MeasureWords(m, UnitSystem.US);
            ObjectNode node = answers.addObject().put("of", m.of().name().toLowerCase(Locale.ROOT));
            if (!Double.isNaN(m.stands())) {
                Json.figure(node, "overNeed", m.stands());
                Json.figure(node, "deviation", m.deviation());
            }
            outcome(node.putObject("now"), m.now());
            outcome(node.putObject("then"), m.then());
            ArrayNode figures = node.putArray("figures");
            for (Job j : words.listed()) {
                ObjectNode f = figures.addObject()
                        .put("item", j.item().id())
                        .put("figure", j.key())
                        .put("figures", j.moves().size())
                        .put("measure", m.next().contains(j))
                        .put("sourceSaid", !j.unsaid())
                        .put("tool", j.tool().name())
                        .put("minutes", j.minutes());
                Json.figure(f, "share", m.share(j));
                if (!Double.isNaN(m.crossing(j))) {
                    Json.figure(f, "crossingSi", m.crossing(j));
                }
            }
        }
        return Json.text(root);
    }

    private static void outcome(ObjectNode node, MeasureNext.Outcome o) {
        Json.figure(node, "fails", o.fails());
        Json.figure(node, "open", o.open());
        Json.figure(node, "holds", o.holds());
    }
}
