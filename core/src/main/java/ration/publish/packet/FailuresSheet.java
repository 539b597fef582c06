package ration.publish.packet;

import java.io.IOException;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import ration.answer.fault.Catalogue;
import ration.answer.fault.FaultAnswer;
import ration.answer.fault.FaultAnswer.Group;
import ration.answer.fault.FaultSum;
import ration.answer.fault.HiddenChecks;
import ration.answer.fault.HiddenSearch;
import ration.answer.fault.HiddenSearch.Hidden;
import ration.answer.fault.HiddenWords;
import ration.base.quantity.UnitSystem;
import ration.publish.paper.Cell;
import ration.publish.paper.Column;
import ration.publish.paper.Pages;
import ration.verdict.check.Finding;
import ration.verdict.check.Verdict;

/** What one part failing does, and what waits unseen until one more fails. */
final class FailuresSheet {

    static final String KEY = "failures";

    private final Pages pages;
    private final Dossier d;

    FailuresSheet(Pages pages, Dossier dossier) {
        this.pages = pages;
        d = dossier;
    }

    void write() throws IOException {
        if (!d.flows()) {
            pages.page(KEY, "Failures", Optional.of(Verdict.NOT_SHOWN), "");
            pages.text("Not shown: the layout is not computed yet, and no failure was run.", 8.5, false);
            return;
        }
        List<FaultAnswer> all = d.failures();
        Optional<HiddenSearch> pairs = d.hidden();
        FaultSum sum = FaultSum.of(all).with(pairs.orElse(null), d.project().upkeep());
        pages.page(
                KEY,
                "Failures",
                Optional.of(sum.worst()),
                Dossier.count(all.size(), "single failure", "single failures")
                        + ", one at a time; flow needs 1.00\u00d7 of the engine's demand");
        pages.facts(Stream.of(Group.values())
                .map(g -> new String[] {g.label(), String.valueOf(in(all, g).size())})
                .toList());
        for (Group g : List.of(Group.NO_WAY_OUT, Group.TOO_LATE, Group.WAY_OUT)) {
            if (!in(all, g).isEmpty()) {
                pages.section(g.label(), g.words());
                harmful(in(all, g));
            }
        }
        if (!in(all, Group.NOT_SHOWN).isEmpty()) {
            pages.section("Not shown", "counts as not held until a test or a computation says otherwise");
            Map<String, List<FaultAnswer>> why = new LinkedHashMap<>();
            in(all, Group.NOT_SHOWN).forEach(f -> why.computeIfAbsent(f.why(), k -> new ArrayList<>())
                    .add(f));
            pages.table(
                    List.of(
                            Column.<Map.Entry<String, List<FaultAnswer>>>strong("Failures", e -> e.getValue().stream()
                                    .map(FailuresSheet::name)
                                    .collect(Collectors.joining(", "))),
                            Column.text("Why", Map.Entry::getKey)),
                    List.copyOf(why.entrySet()));
        }
        hidden(pairs);
    }

    private static List<FaultAnswer> in(List<FaultAnswer> all, Group g) {
        return all.stream().filter(f -> f.group() == g).toList();
    }

    private static String name(FaultAnswer f) {
        return f.part() + " " + Catalogue.words(f.fault());
    }

    private void harmful(List<FaultAnswer> some) throws IOException {
        pages.table(
                List.of(
                        Column.<FaultAnswer>strong("Failure", FailuresSheet::name),
                        Column.cell("Flow left", FailuresSheet::left),
                        Column.figure("Low flow in", FailuresSheet::minutes),
                        Column.text(
                                "Indication",
                                f -> f.seen().isEmpty()
                                        ? "none"
                                        : f.seen().get(0).what()),
                        Column.text(
                                "Pilot action",
                                f -> f.wayOut().map(FaultAnswer.WayOut::does).orElse("none")),
                        Column.cell(
                                "", f -> Cell.state(f.verdict() == Verdict.HOLDS ? Finding.MET : 0.5, f.verdict()))),
                some);
    }

    private static Cell left(FaultAnswer f) {
        return Cell.of(Double.isNaN(f.share()) ? "not known" : UnitSystem.figure(f.share(), 2) + "\u00d7");
    }

    private static String minutes(FaultAnswer f) {
        return Double.isNaN(f.minutes())
                ? "not known"
                : Double.isInfinite(f.minutes())
                        ? "never"
                        : f.minutes() == 0 ? "at once" : UnitSystem.figure(f.minutes(), 1) + " min";
    }

    /** What shows nothing by itself: the check that finds it, and whether the document has that check. */
    private void hidden(Optional<HiddenSearch> pairs) throws IOException {
        if (pairs.isEmpty()) {
            pages.section("Hidden failures", "");
            pages.text(
                    "Not shown: no case brings the engine its demand with nothing failed, so no pair was run.",
                    8,
                    false);
            return;
        }
        HiddenSearch s = pairs.get();
        pages.section("Hidden failures", "one that shows nothing, then one more; " + s.pairs() + " pairs");
        pages.text(HiddenWords.sum(s), 8, false);
        pages.space(3);
        List<Hidden> some = s.hidden().stream()
                .filter(h -> !h.stops().isEmpty()
                        || !h.unseen().isEmpty()
                        || !h.notShown().isEmpty())
                .sorted(Comparator.comparing((Hidden h) -> -h.stops().size()))
                .toList();
        if (some.isEmpty()) {
            return;
        }
        pages.table(
                List.of(
                        Column.<Hidden>strong("Waits unseen", HiddenWords::name),
                        Column.figure(
                                "Then stop it", h -> String.valueOf(h.stops().size())),
                        Column.text("Soonest", h -> h.worst()
                                .map(w -> HiddenWords.name(w) + ", " + minutes(w))
                                .orElse("none stops it")),
                        Column.text("Check that finds it", h -> h.finder().words()),
                        Column.text("How often", h -> h.finder().often()),
                        Column.text(
                                "In this document",
                                h -> HiddenChecks.found(h, d.project().upkeep()) ? "yes" : "no check")),
                some,
                h -> !h.stops().isEmpty() && !HiddenChecks.found(h, d.project().upkeep()));
    }
}
