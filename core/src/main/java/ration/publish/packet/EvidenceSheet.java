package ration.publish.packet;

import java.io.IOException;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import ration.aircraft.model.Field;
import ration.aircraft.model.FieldSheet;
import ration.aircraft.model.Item;
import ration.base.quantity.Measured;
import ration.base.quantity.Method;
import ration.publish.paper.Column;
import ration.publish.paper.Pages;
import ration.record.evidence.HangarTest;
import ration.verdict.standard.Clause;
import ration.verdict.standard.Subject;

/**
 * Where every figure comes from: the figures of parts that have no page of their own, how many were taken in which way,
 * instruments, files, the rules that are cited and how sure each citation is.
 */
final class EvidenceSheet {

    static final String KEY = "evidence";

    private final Pages pages;
    private final Dossier d;

    EvidenceSheet(Pages pages, Dossier dossier) {
        this.pages = pages;
        d = dossier;
    }

    void write() throws IOException {
        int figures = d.system().items().stream()
                .mapToInt(i -> FieldSheet.of(i).size())
                .sum();
        pages.page(
                KEY,
                "Index of evidence",
                Optional.empty(),
                Dossier.count(figures, "figure", "figures") + ", "
                        + Dossier.count(d.project().tests().size(), "test record", "test records"));
        methods();
        parts();
        instruments();
        files();
        rules();
        pages.section("What this packet does not say", "", 70);
        pages.text(
                "That the aircraft is airworthy, that the design is sound, or that anybody but the builder has looked."
                        + " Structure, wiring, fire and crash loads of the fuel system are not in it. Surge in flight,"
                        + " ice, dissolved air and aging hose are not computed. What is not computed is listed as Not"
                        + " shown, never left out. It replaces no test.",
                8,
                false);
    }

    /** How many figures of a part were taken in which way. */
    private record Counted(String name, Map<Method, Long> by, long all) {}

    private static Counted counted(String name, List<Item> items) {
        Map<Method, Long> by = new EnumMap<>(Method.class);
        long all = 0;
        for (Item i : items) {
            for (Field f : FieldSheet.of(i)) {
                by.merge(Method.of(f.get().apply(i)), 1L, Long::sum);
                all++;
            }
        }
        return new Counted(name, by, all);
    }

    private void methods() throws IOException {
        List<Counted> rows = new ArrayList<>();
        d.system().tanks().forEach(t -> rows.add(counted(t.name(), List.of(t))));
        List<Item> runs = List.copyOf(d.system().runs());
        d.parts().forEach(i -> rows.add(counted(i.name(), List.of(i))));
        rows.add(counted("Lines", runs));
        rows.removeIf(c -> c.all() == 0);
        Counted sum = counted("All", List.copyOf(d.system().items()));
        rows.add(sum);
        List<Column<Counted>> columns = new ArrayList<>(List.of(Column.strong("Part", Counted::name)));
        for (Method m : sum.by().keySet()) {
            columns.add(Column.figure(m.word(), c -> c.by().containsKey(m) ? String.valueOf(c.by().get(m)) : "\u00b7"));
        }
        columns.add(Column.figure("all", c -> String.valueOf(c.all())));
        pages.section("Figures by part and by how they were taken", "estimates and assumptions count as such");
        pages.table(columns, rows);
    }

    /** A figure of an item that is no place, and no tank's. */
    private record Figure(Item item, Field field) {}

    private void parts() throws IOException {
        List<Figure> all = new ArrayList<>();
        for (Item i : d.parts()) {
            FieldSheet.of(i).stream().filter(f -> !Placed.of(f)).forEach(f -> all.add(new Figure(i, f)));
        }
        if (all.isEmpty()) {
            return;
        }
        pages.section("Figures of other parts", "places beside the drawing; tanks and lines on their pages");
        pages.table(
                List.of(
                        Column.<Figure>strong("Part", f -> f.item().name()),
                        Column.text("Figure", f -> f.field().label()),
                        Column.figure(
                                "Is",
                                f -> f.field().get().apply(f.item()).quantity().shown()),
                        Column.text("By", f -> by(f.field().get().apply(f.item())))),
                all);
    }

    /** Figures of one item with how each was taken. */
    static void figures(Pages pages, Item item, List<Field> some) throws IOException {
        pages.table(
                List.of(
                        Column.<Field>strong("Figure", Field::label),
                        Column.figure("Is", f -> f.get().apply(item).quantity().shown()),
                        Column.text("By", f -> by(f.get().apply(item)))),
                some);
    }

    private static String by(Measured m) {
        return m.by().isBlank() ? "no source" : m.by();
    }

    private void instruments() throws IOException {
        Map<String, List<HangarTest>> all = new TreeMap<>();
        for (HangarTest t : d.project().tests()) {
            if (!t.by().instrument().isBlank()) {
                all.computeIfAbsent(t.by().instrument(), k -> new ArrayList<>()).add(t);
            }
        }
        if (all.isEmpty()) {
            return;
        }
        pages.section("Instruments", "as entered in the records");
        pages.table(
                List.of(
                        Column.<Map.Entry<String, List<HangarTest>>>strong("Instrument", Map.Entry::getKey),
                        Column.text("Its error, checked", e -> e.getValue().stream()
                                .map(t -> t.by().beside().calibration())
                                .filter(c -> !c.isBlank())
                                .distinct()
                                .reduce((a, b) -> a + "; " + b)
                                .orElse("not entered")),
                        Column.figure("Tests", e -> String.valueOf(e.getValue().size()))),
                List.copyOf(all.entrySet()));
    }

    private void files() throws IOException {
        Map<HangarTest.Photo, String> all = new LinkedHashMap<>();
        for (HangarTest t : d.project().tests()) {
            t.by().beside().photos().forEach(p -> all.put(p, ration.record.evidence.Named.of(d.system(), t)));
        }
        if (all.isEmpty()) {
            return;
        }
        pages.section("Files beside the document", "the first eight letters of each SHA-256");
        pages.table(
                List.of(
                        Column.<Map.Entry<HangarTest.Photo, String>>strong(
                                "File", e -> e.getKey().file()),
                        Column.text("Of", Map.Entry::getValue),
                        Column.text("Sum", e -> e.getKey().sha256().substring(0, 8))),
                List.copyOf(all.entrySet()));
    }

    /** A subject on which the basis says something. */
    private record Rule(Subject subject, Clause clause) {}

    private void rules() throws IOException {
        var basis = d.project().brief().choices().basis();
        List<Rule> rules = new ArrayList<>();
        for (Subject s : Subject.values()) {
            basis.clause(s).ifPresent(c -> rules.add(new Rule(s, c)));
        }
        if (rules.isEmpty()) {
            return;
        }
        pages.section("Rules of the basis, and how sure each citation is", basis.label() + ", from memory");
        pages.table(
                List.of(
                        Column.<Rule>strong(
                                "Where",
                                r -> r.clause().paragraph().isEmpty()
                                        ? "no number"
                                        : r.clause().paragraph()),
                        Column.text("Asks", r -> r.clause().asks()),
                        Column.text(
                                "Citation", r -> r.clause().confidence().name().toLowerCase(java.util.Locale.ROOT))),
                rules);
    }
}
