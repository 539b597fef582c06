package ration.publish.packet;

import java.io.IOException;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import ration.aircraft.condition.Contents;
import ration.aircraft.model.Selector;
import ration.answer.assess.CaseAnswer;
import ration.answer.assess.Filling;
import ration.answer.assess.Sureness;
import ration.answer.proof.TestProgram;
import ration.answer.signoff.Requirement;
import ration.base.quantity.Dimension;
import ration.base.quantity.UnitSystem;
import ration.publish.drawing.HeadBudget;
import ration.publish.paper.Cell;
import ration.publish.paper.Column;
import ration.publish.paper.Pages;
import ration.record.evidence.Named;
import ration.record.evidence.TestKind;
import ration.verdict.check.Check;
import ration.verdict.check.Verdict;

/** Every flow case at a glance, where the head goes in the one that governs, how sure that is, what was measured. */
final class FlowSheet {

    static final String KEY = "flow";
    /** Columns beside each other at most: what is over goes into a table of its own. */
    private static final int ACROSS = 8;

    private final Pages pages;
    private final Dossier d;

    FlowSheet(Pages pages, Dossier dossier) {
        this.pages = pages;
        d = dossier;
    }

    void write() throws IOException {
        UnitSystem u = d.units();
        Optional<CaseAnswer> least = d.assessment().governing();
        pages.page(
                KEY,
                "Flow",
                Optional.of(d.assessment().flowVerdict().worse(d.worst(Check.Topic.FLOW))),
                least.map(c -> "least margin " + UnitSystem.figure(c.margin(), 2) + "\u00d7, needs "
                                + UnitSystem.figure(c.factor(), 2) + "\u00d7")
                        .orElse("nothing is computed yet"));
        if (least.isEmpty()) {
            pages.text("Not shown: the layout has no flow case with an answer.", 8.5, false);
            return;
        }
        cases();
        CaseAnswer c = least.get();
        pages.section(
                "Head budget of the case that governs",
                c.label(d.system(), u) + "; engine demand " + u.text(c.need(), Dimension.FLOW),
                200);
        pages.picture(HeadBudget.draw(
                d.system(), c, u, 700, 26 + 19 * HeadBudget.rows(d.system(), c).size()));
        sure();
        requirements();
        measured();
    }

    /** A column of the cases: where tanks feed from, how full they are; all that have dirty filters stand in one. */
    private record Fill(Map<String, String> positions, Optional<Filling> clean) {}

    private void cases() throws IOException {
        Set<Fill> fills = new LinkedHashSet<>();
        Map<String, Map<Fill, CaseAnswer>> rows = new LinkedHashMap<>();
        List<CaseAnswer> judged =
                d.assessment().cases().stream().filter(CaseAnswer::judged).toList();
        for (CaseAnswer c : judged) {
            Fill fill = new Fill(
                    c.condition().positions(),
                    c.condition().engine().fouled() ? Optional.empty() : Optional.of(c.filling()));
            fills.add(fill);
            String row = c.condition().attitude().label()
                    + (c.cold() ? ", fuel " + d.units().warmth(c.condition().fuelKelvin()) : "");
            rows.computeIfAbsent(row, k -> new LinkedHashMap<>()).merge(fill, c, FlowSheet::worse);
        }
        int told = d.assessment().cases().size() - judged.size();
        pages.section(
                "Flow cases",
                judged.size() + " cases: available flow over the engine's demand, the worst of the pumps' settings");
        List<Fill> columns = new ArrayList<>(fills);
        columns.sort(Comparator.comparing((Fill f) -> words(f.positions())).thenComparing(FlowSheet::order));
        for (List<Fill> some : tables(columns)) {
            table(rows, some);
        }
        pages.note("Bars: the margin against what is needed. Empty: not asked. Dirty: the worst filling with dirty"
                + " filters, which needs "
                + UnitSystem.figure(d.project().brief().practice().fouled().si(), 2) + "\u00d7."
                + (told == 0 ? "" : " " + Dossier.count(told, "case is", "cases are") + " reported and not judged."));
    }

    /** Columns beside each other, those of one position together. */
    private static List<List<Fill>> tables(List<Fill> columns) {
        List<List<Fill>> all = new ArrayList<>();
        Map<Map<String, String>, List<Fill>> by = new LinkedHashMap<>();
        columns.forEach(
                f -> by.computeIfAbsent(f.positions(), k -> new ArrayList<>()).add(f));
        for (List<Fill> position : by.values()) {
            if (all.isEmpty() || all.get(all.size() - 1).size() + position.size() > ACROSS) {
                all.add(new ArrayList<>());
            }
            all.get(all.size() - 1).addAll(position);
        }
        return all;
    }

    /** Fuller first; with one tank dry after that, dirty last. */
    private static int order(Fill f) {
        return f.clean()
                .map(x -> x.level().map(Contents::ordinal).orElse(0)
                        + (x.dry().isPresent() ? Contents.values().length : 0))
                .orElse(Integer.MAX_VALUE);
    }

    private static CaseAnswer worse(CaseAnswer a, CaseAnswer b) {
        int by = a.verdict().compareTo(b.verdict());
        return by != 0 ? by > 0 ? a : b : a.ratio() <= b.ratio() ? a : b;
    }

    private void table(Map<String, Map<Fill, CaseAnswer>> rows, List<Fill> columns) throws IOException {
        List<Map.Entry<String, Map<Fill, CaseAnswer>>> some = rows.entrySet().stream()
                .filter(e -> columns.stream().anyMatch(e.getValue()::containsKey))
                .toList();
        List<Column<Map.Entry<String, Map<Fill, CaseAnswer>>>> heads = new ArrayList<>();
        heads.add(Column.strong("Attitude", Map.Entry::getKey));
        for (Fill f : columns) {
            heads.add(Column.cell(
                    (words(f.positions()) + " "
                                    + f.clean().map(x -> x.label(d.system())).orElse("Dirty"))
                            .strip(),
                    e -> margin(e.getValue().get(f))));
        }
        Optional<CaseAnswer> governing = d.assessment().governing();
        pages.table(heads, some, e -> columns.stream()
                .anyMatch(
                        f -> governing.filter(g -> same(g, e.getValue().get(f))).isPresent()));
    }

    private static boolean same(CaseAnswer a, CaseAnswer b) {
        return b != null && a.condition().equals(b.condition());
    }

    private static Cell margin(CaseAnswer c) {
        return c == null
                ? Cell.of("")
                : c.answered()
                        ? Cell.small(c.ratio(), c.verdict(), UnitSystem.figure(c.margin(), 2))
                        : Cell.small(0, Verdict.NOT_SHOWN, "none");
    }

    private String words(Map<String, String> positions) {
        StringBuilder words = new StringBuilder();
        for (Selector s : d.system().selectors()) {
            if (positions.containsKey(s.id())) {
                words.append(words.isEmpty() ? "" : " ").append(positions.get(s.id()));
            }
        }
        return words.toString();
    }

    private void sure() throws IOException {
        Optional<Sureness> sure = d.assessment().sure();
        if (sure.isEmpty()) {
            return;
        }
        Sureness s = sure.get();
        pages.section(
                "How sure it is",
                s.words()
                        + (s.samples() > 0
                                ? "; less than needed in " + s.shorts() + " of " + s.samples() + " samples"
                                : ""));
        if (s.deciding().isEmpty()) {
            return;
        }
        pages.table(
                List.of(
                        Column.<Sureness.Deciding>strong(
                                "Figure that decides it", x -> x.item().name() + ", " + x.label()),
                        Column.figure("Is", x -> x.as().quantity().shown()),
                        Column.text("By", x -> x.as().by()),
                        Column.figure("Share of the doubt", x -> Math.round(100 * x.share()) + "%")),
                s.deciding().stream().limit(6).toList());
    }

    /** What is asked of flow beside the margin: pressures, paths, pumps. */
    private void requirements() throws IOException {
        List<Requirement> asked = d.requirements(
                r -> r.finding().topic() == Check.Topic.FLOW || r.finding().topic() == Check.Topic.ELECTRICAL);
        if (!asked.isEmpty()) {
            pages.section("Requirements on flow", "");
            ComplianceSheet.brief(pages, asked);
        }
    }

    private void measured() throws IOException {
        List<TestProgram.Proof> flows = d.assessment().program().tests().stream()
                .filter(p -> p.wanted().kind() == TestKind.FLOW)
                .filter(p -> p.record().filter(t -> t.progress().done()).isPresent())
                .toList();
        if (flows.isEmpty()) {
            return;
        }
        UnitSystem u = d.units();
        pages.section("Measured", "flow tests; struck: no longer valid");
        pages.table(
                List.of(
                        Column.<TestProgram.Proof>strong(
                                "Test", p -> Named.of(d.system(), p.record().orElseThrow())),
                        Column.figure("Needs", p -> p.outcome().needs().in(u)),
                        Column.figure("Predicted", p -> p.outcome().predicted().in(u)),
                        new Column<>("Measured", true, p -> Cell.of(
                                        p.outcome().measured().in(u))
                                .struck(!p.counts())),
                        Column.text("Status", TestProgram.Proof::state)),
                flows,
                p -> !p.counts());
    }
}
