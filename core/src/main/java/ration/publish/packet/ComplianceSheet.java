package ration.publish.packet;

import java.io.IOException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import ration.aircraft.model.Item;
import ration.answer.signoff.Requirement;
import ration.publish.paper.Cell;
import ration.publish.paper.Column;
import ration.publish.paper.Pages;
import ration.verdict.check.Verdict;

/** Everything that is asked, worst first: needed, predicted, measured, how it stands and since when, by what rule. */
final class ComplianceSheet {

    static final String KEY = "compliance";

    private final Pages pages;
    private final Dossier d;
    /** Rules as they are cited, in the order of the table; a row names its number. */
    private final Map<String, Integer> rules = new LinkedHashMap<>();

    ComplianceSheet(Pages pages, Dossier dossier) {
        this.pages = pages;
        d = dossier;
    }

    /** A requirement and those that are the same of other parts and hold alike. */
    private record Row(Requirement first, List<Requirement> others) {}

    void write() throws IOException {
        List<Requirement> all = d.requirements();
        pages.page(
                KEY,
                "Compliance table",
                Optional.of(Dossier.worst(all.stream().map(Requirement::verdict).toList())),
                all.size() + " requirements, "
                        + all.stream().filter(Requirement::open).count() + " open");
        pages.note("A requirement whose test is missing is Not shown, however good the prediction. Struck: no longer"
                + " valid. What holds alike of several parts stands in one row; figures are on the page of the part.");
        pages.space(4);
        List<Row> rows = rows(all);
        rows.forEach(r -> rules.putIfAbsent(r.first().basis(), rules.size() + 1));
        List<Column<Row>> columns = new ArrayList<>(List.of(
                Column.cell("Requirement", this::told),
                Column.figure("Rule", r -> String.valueOf(rules.get(r.first().basis())))));
        columns.addAll(figures(Row::first));
        pages.table(columns, rows, r -> r.first().struck());
        List<Map.Entry<String, Integer>> cited = List.copyOf(rules.entrySet());
        int half = (cited.size() + 1) / 2;
        pages.section("Rules cited", "from memory: check the text before relying on it", 12 * half + 60);
        pages.beside(0.5, () -> cited(cited.subList(0, half)), () -> cited(cited.subList(half, cited.size())));
        accepted(all);
    }

    private void cited(List<Map.Entry<String, Integer>> some) throws IOException {
        if (!some.isEmpty()) {
            pages.table(
                    List.of(
                            Column.<Map.Entry<String, Integer>>strong("Rule", e -> String.valueOf(e.getValue())),
                            Column.cell("Where it comes from", e -> new Cell.Text("", e.getKey(), false, false))),
                    some);
        }
    }

    private static List<Row> rows(List<Requirement> all) {
        Map<List<Object>, Row> rows = new LinkedHashMap<>();
        for (Requirement r : all) {
            boolean alike = r.verdict() == Verdict.HOLDS
                    && !figured(r)
                    && r.accepted().isEmpty()
                    && r.point().isEmpty();
            List<Object> key = alike
                    ? List.of(r.finding().check(), r.basis(), r.since())
                    : List.of(r.finding().check(), r.id(), r.finding().of());
            rows.computeIfAbsent(key, k -> new Row(r, new ArrayList<>()));
            if (rows.get(key).first() != r) {
                rows.get(key).others().add(r);
            }
        }
        return List.copyOf(rows.values());
    }

    private Cell told(Row r) {
        String others = r.others().stream()
                .map(o -> d.system().item(o.finding().item()).map(Item::name).orElse(o.title()))
                .distinct()
                .collect(Collectors.joining(", "));
        return Cell.over(
                r.first().title(),
                !others.isEmpty()
                        ? "and " + (r.others().size() > 1 ? r.others().size() + " more: " : "") + others
                        : figured(r.first()) ? "" : first(r.first().words()));
    }

    /**
     * Some of them on the page of what they are asked of, with what is said first of those that are open; their rules
     * stand in the table of all.
     */
    static void brief(Pages pages, List<Requirement> rows) throws IOException {
        List<Column<Requirement>> columns = new ArrayList<>(
                List.of(Column.cell("Requirement", r -> Cell.over(r.title(), r.open() ? first(r.words()) : ""))));
        columns.addAll(figures(r -> r));
        pages.table(columns, rows, Requirement::struck);
    }

    /** Predicted and measured never share a column; what no longer counts is struck. */
    private static <R> List<Column<R>> figures(java.util.function.Function<R, Requirement> of) {
        return List.of(
                Column.figure("Needs", r -> needs(of.apply(r))),
                Column.figure(
                        "Predicted",
                        r -> of.apply(r).predicted().isEmpty()
                                ? "n/a"
                                : of.apply(r).predicted()),
                new Column<>("Measured", true, r -> Cell.of(
                                of.apply(r).measured().isEmpty()
                                        ? "n/a"
                                        : of.apply(r).measured())
                        .struck(of.apply(r).struck())),
                Column.cell(
                        "State",
                        r -> Cell.state(of.apply(r).ratio(), of.apply(r).verdict())),
                Column.text(
                        "Valid since",
                        r -> of.apply(r).since() + (of.apply(r).accepted().isPresent() ? ", accepted" : "")));
    }

    /** The first sentence: the rest stands where it is worked out. */
    private static String first(String words) {
        int end = words.indexOf(". ");
        return end < 0 ? words : words.substring(0, end + 1);
    }

    /** Whether it comes down to figures; else it is told in words. */
    private static boolean figured(Requirement r) {
        return !r.needs().isEmpty() || !r.predicted().isEmpty() || !r.measured().isEmpty();
    }

    private static String needs(Requirement r) {
        return (r.needs().isEmpty() || r.side().isEmpty() ? "" : r.side() + " ") + r.needs();
    }

    private void accepted(List<Requirement> rows) throws IOException {
        List<Requirement> accepted =
                rows.stream().filter(r -> r.accepted().isPresent()).toList();
        if (accepted.isEmpty()) {
            return;
        }
        pages.section("Accepted as is", "by the inspector. Acceptance does not change the verdict");
        pages.table(
                List.of(
                        Column.strong("Requirement", Requirement::title),
                        Column.cell("State", r -> Cell.state(r.ratio(), r.verdict())),
                        Column.text(
                                "Inspector, date",
                                r -> r.accepted().get().name() + ", "
                                        + r.accepted().get().on()),
                        Column.text("Reason", r -> r.accepted().get().reason()),
                        Column.text(
                                "When accepted",
                                r -> r.acceptedOtherwise()
                                        ? "different then: "
                                                + r.accepted().get().as()
                                        : "as now")),
                accepted);
    }
}
