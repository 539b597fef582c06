package ration.record.file;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import ration.aircraft.condition.Handles;
import ration.aircraft.plumbing.RunSheet;
import ration.base.quantity.Measured;
import ration.base.quantity.Quantity;
import ration.base.quantity.Unit;
import ration.record.evidence.Form;
import ration.record.evidence.Grade;
import ration.record.evidence.HangarTest;
import ration.record.evidence.Inputs;
import ration.record.evidence.TestKind;
import ration.record.evidence.Work;

/**
 * Hangar tests as a table: a row a trial, a pour or a top-off; rows with one id are one test. Figures carry their
 * units.
 */
public final class TestsCsv {

    private static final List<String> HEAD = List.of(
            "id",
            "kind",
            "tank",
            "date",
            "who",
            "instrument",
            "ambient",
            "notes",
            "fingerprint",
            "done",
            "attitude",
            "pitch",
            "tilt",
            "poured",
            "back",
            "reading",
            "inputs",
            "handles",
            "figures",
            "of",
            "read",
            "seen",
            "again",
            "witness",
            "calibration",
            "stand-in",
            "photos");

    private TestsCsv() {}

    public static String write(List<HangarTest> tests) {
        StringBuilder out = new StringBuilder();
        try (CSVPrinter csv = new CSVPrinter(
                out, CSVFormat.DEFAULT.builder().setRecordSeparator("\n").get())) {
            csv.printRecord(HEAD);
            for (HangarTest t : tests) {
                for (List<String> row : rows(t)) {
                    csv.printRecord(row.stream()
                            .map(ration.aircraft.plumbing.CsvCell::out)
                            .toList());
                }
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toString();
    }

    private static List<List<String>> rows(HangarTest t) {
        return t.work().as(d -> drain(t, d), f -> fill(t, f), top -> List.of(topOff(t, top)), s -> sheet(t, s));
    }

    private static List<List<String>> drain(HangarTest t, Work.Drain d) {
        String pitch = text(d.pitch());
        String tilt = text(d.tilt());
        return d.trials().isEmpty()
                ? List.of(row(t, "drain", d.position(), pitch, tilt, "", "", ""))
                : d.trials().stream()
                        .map(x -> row(
                                t,
                                "drain",
                                d.position(),
                                pitch,
                                tilt,
                                text(x.poured()),
                                x.back().map(TestsCsv::text).orElse(""),
                                ""))
                        .toList();
    }

    private static List<List<String>> fill(HangarTest t, Work.Fill f) {
        String stands = f.stands().key();
        String pitch = text(f.pitch());
        return f.points().isEmpty()
                ? List.of(row(t, "fill", stands, pitch, "", "", "", ""))
                : f.points().stream()
                        .map(x -> row(
                                t,
                                "fill",
                                stands,
                                pitch,
                                "",
                                text(x.poured()),
                                "",
                                x.reading().map(TestsCsv::text).orElse("")))
                        .toList();
    }

    private static List<String> topOff(HangarTest t, Work.TopOff top) {
        return row(
                t,
                "top-off",
                "",
                top.pitch().map(TestsCsv::text).orElse(""),
                "",
                top.metered().map(TestsCsv::text).orElse(""),
                text(top.before()),
                "");
    }

    private static List<List<String>> sheet(HangarTest t, Work.Sheet sheet) {
        return sheet.rows().isEmpty()
                ? List.of(sheetRow(t, sheet, "", "", "", ""))
                : sheet.rows().stream()
                        .map(r -> sheetRow(
                                t,
                                sheet,
                                r.of(),
                                figures(r.figures()),
                                r.grade().map(Grade::word).orElse(""),
                                r.again()))
                        .toList();
    }

    private static List<String> row(HangarTest t, String kind, String... rest) {
        List<String> row = begun(t, kind, rest);
        row.addAll(List.of("", "", "", "", "", ""));
        return ended(t, row);
    }

    private static List<String> sheetRow(
            HangarTest t, Work.Sheet sheet, String of, String read, String seen, String again) {
        List<String> row = begun(t, sheet.kind().key(), "", "", "", "", "", "");
        List<String> handles = new ArrayList<>();
        new TreeMap<>(sheet.handles().positions()).forEach((s, p) -> handles.add(s + " = " + p));
        sheet.handles().stopped().stream().sorted().forEach(p -> handles.add(p + STANDS));
        row.addAll(List.of(String.join("; ", handles), figures(sheet.once()), of, read, seen, again));
        return ended(t, row);
    }

    private static final String STANDS = " stands";

    private static String figures(Map<String, Measured> figures) {
        return figures.entrySet().stream()
                .map(e -> e.getKey() + " = " + text(e.getValue()))
                .collect(Collectors.joining("; "));
    }

    private static List<String> ended(HangarTest t, List<String> row) {
        HangarTest.Beside b = t.by().beside();
        row.addAll(List.of(
                b.witness(),
                b.calibration(),
                b.standIn() ? "yes" : "",
                b.photos().stream().map(p -> p.file() + " = " + p.sha256()).collect(Collectors.joining("; "))));
        return row;
    }

    private static List<String> begun(HangarTest t, String kind, String... rest) {
        List<String> row = new ArrayList<>(List.of(
                t.id(),
                kind,
                t.subject(),
                t.by().date(),
                t.by().who(),
                t.by().instrument(),
                t.by().ambient().map(TestsCsv::text).orElse(""),
                t.by().notes(),
                t.by().fingerprint(),
                t.progress().done() ? "yes" : "no"));
        row.addAll(List.of(rest));
        row.add(t.by().inputs().lines().entrySet().stream()
                .map(e -> e.getKey() + " = " + e.getValue())
                .collect(Collectors.joining("; ")));
        return row;
    }

    private static String text(Measured m) {
        return m.quantity().text();
    }

    /**
     * Tests out of a table with the columns this class writes, in any order; unknown columns are left out.
     *
     * @throws IllegalArgumentException with row, column and reason
     */
    public static List<HangarTest> read(String text) {
        List<List<String>> table = RunSheet.table(text);
        if (table.isEmpty()
                || !table.get(0).contains("id")
                || !table.get(0).contains("kind")
                || !table.get(0).contains("tank")) {
            throw new IllegalArgumentException(
                    "The table does not begin with the names of its columns: id, kind, tank and so"
                            + " on, as Write CSV gives them.");
        }
        List<String> head = table.get(0);
        Map<String, HangarTest> tests = new LinkedHashMap<>();
        for (int i = 1; i < table.size(); i++) {
            Map<String, String> cells = new LinkedHashMap<>();
            for (int c = 0; c < Math.min(head.size(), table.get(i).size()); c++) {
                cells.put(head.get(c), table.get(i).get(c));
            }
            try {
                HangarTest row = test(cells);
                tests.merge(row.id(), row, TestsCsv::together);
            } catch (IllegalArgumentException e) {
                throw new IllegalArgumentException("Row " + (i + 1) + ": " + e.getMessage(), e);
            }
        }
        return List.copyOf(tests.values());
    }

    /**
     * What came of reading tests into a document.
     *
     * @param all tests then
     * @param added how many are new
     * @param words in a sentence or two
     */
    public record Import(List<HangarTest> all, int added, String words) {}

    /**
     * Adds tests to those there are. None is ever replaced: one that is there already word for word is left out,
     * another one of the same id is added under an id of its own, and both are said.
     */
    public static Import into(List<HangarTest> there, List<HangarTest> read) {
        List<HangarTest> all = new ArrayList<>(there);
        List<String> renamed = new ArrayList<>();
        int same = 0;
        for (HangarTest t : read) {
            if (all.stream().anyMatch(x -> write(List.of(x)).equals(write(List.of(t))))) {
                same++;
                continue;
            }
            String id = t.id();
            for (int n = 2; taken(all, id); n++) {
                id = t.id() + "-" + n;
            }
            if (!id.equals(t.id())) {
                renamed.add(t.id() + " as " + id);
            }
            all.add(new HangarTest(id, t.subject(), t.by(), t.work(), t.progress()));
        }
        int added = all.size() - there.size();
        return new Import(
                List.copyOf(all),
                added,
                added + (added == 1 ? " test" : " tests") + " read."
                        + (renamed.isEmpty()
                                ? ""
                                : " Another test had that id, both are kept: " + String.join(", ", renamed) + ".")
                        + (same > 0 ? " " + same + (same == 1 ? " was" : " were") + " there already." : ""));
    }

    private static boolean taken(List<HangarTest> all, String id) {
        return all.stream().anyMatch(x -> x.id().equals(id));
    }

    private static HangarTest together(HangarTest a, HangarTest b) {
        if (a.work().kind() != b.work().kind()) {
            throw apart(a);
        }
        // of one kind, so the second is what the first is
        return a.with(a.work()
                .<Work>as(
                        d -> d.plus(((Work.Drain) b.work()).trials()),
                        f -> f.plus(((Work.Fill) b.work()).points()),
                        top -> {
                            throw apart(a);
                        },
                        sheet -> sheet.plus(((Work.Sheet) b.work()).rows())));
    }

    private static IllegalArgumentException apart(HangarTest a) {
        return new IllegalArgumentException("test " + a.id() + " stands on two rows that do not belong together.");
    }

    private static HangarTest test(Map<String, String> cells) {
        String id = cells.getOrDefault("id", "");
        Optional<Form> form = TestKind.keyed(cells.getOrDefault("kind", "")).flatMap(Form::of);
        if (id.isBlank() || form.isEmpty() && cells.getOrDefault("tank", "").isBlank()) {
            throw new IllegalArgumentException("id and tank must not be empty.");
        }
        Optional<Measured> poured = measured(cells, "poured", Unit.GALLON);
        Optional<Measured> back = measured(cells, "back", Unit.GALLON);
        Measured pitch = measured(cells, "pitch", Unit.DEGREE).orElse(Measured.of(0, Unit.DEGREE));
        Measured tilt = measured(cells, "tilt", Unit.DEGREE).orElse(Measured.of(0, Unit.DEGREE));
        if (Math.abs(pitch.si()) > Math.toRadians(60) || Math.abs(tilt.si()) > Math.toRadians(60)) {
            throw new IllegalArgumentException("pitch and tilt lie within 60\u00b0.");
        }
        if (poured.map(m -> m.si() < 0 || m.si() > 50).orElse(false)
                || back.map(m -> m.si() < 0 || m.si() > 50).orElse(false)) {
            throw new IllegalArgumentException("poured and back lie between nothing and 50 m\u00b3.");
        }
        String attitude = cells.getOrDefault("attitude", "");
        Work work =
                switch (cells.getOrDefault("kind", "")) {
                    case "drain" ->
                        new Work.Drain(
                                attitude,
                                pitch,
                                tilt,
                                poured.map(p -> List.of(new Work.Trial(p, back)))
                                        .orElse(List.of()));
                    case "fill" ->
                        new Work.Fill(
                                Work.Stands.written(attitude),
                                pitch,
                                poured.map(p -> List.of(new Work.Pour(p, measured(cells, "reading", Unit.INCH))))
                                        .orElse(List.of()));
                    case "top-off" ->
                        new Work.TopOff(
                                back.orElse(Measured.of(0, Unit.GALLON)),
                                poured,
                                measured(cells, "pitch", Unit.DEGREE));
                    default ->
                        sheet(
                                cells,
                                form.orElseThrow(() -> new IllegalArgumentException(
                                        "\u201c" + cells.getOrDefault("kind", "") + "\u201d is no kind of test. Known: "
                                                + Stream.of(TestKind.values())
                                                        .map(TestKind::key)
                                                        .collect(Collectors.joining(", "))
                                                + ".")));
                };
        return new HangarTest(
                id,
                cells.get("tank"),
                new HangarTest.Circumstances(
                        cells.getOrDefault("date", ""),
                        cells.getOrDefault("who", ""),
                        cells.getOrDefault("instrument", ""),
                        measured(cells, "ambient", Unit.CELSIUS),
                        cells.getOrDefault("notes", ""),
                        cells.getOrDefault("fingerprint", ""),
                        inputs(cells.getOrDefault("inputs", "")),
                        beside(cells)),
                work,
                new HangarTest.Progress(0, 0, cells.getOrDefault("done", "").equalsIgnoreCase("yes")));
    }

    private static Work sheet(Map<String, String> cells, Form form) {
        Map<String, String> positions = new LinkedHashMap<>();
        Set<String> stopped = new LinkedHashSet<>();
        for (String part : cells.getOrDefault("handles", "").split(";")) {
            if (part.strip().endsWith(STANDS)) {
                stopped.add(part.strip().replaceAll(STANDS + "$", ""));
            } else if (part.contains("=")) {
                positions.put(
                        part.substring(0, part.indexOf('=')).strip(),
                        part.substring(part.indexOf('=') + 1).strip());
            }
        }
        Work.Sheet begun = new Work.Sheet(
                TestKind.keyed(cells.get("kind")).orElseThrow(),
                new Handles(positions, Set.of(), stopped),
                figures(cells.getOrDefault("figures", ""), form.once()),
                List.of());
        String seen = cells.getOrDefault("seen", "");
        Optional<Grade> grade = Grade.worded(seen).filter(form.grades()::contains);
        if (!seen.isBlank() && grade.isEmpty()) {
            throw new IllegalArgumentException("seen: one of these is expected: "
                    + form.grades().stream().map(Grade::word).collect(Collectors.joining(", ")) + ".");
        }
        Map<String, Measured> read = figures(cells.getOrDefault("read", ""), form.each());
        return read.isEmpty() && grade.isEmpty()
                ? begun
                : begun.plus(new Work.Row(cells.getOrDefault("of", ""), read, grade, cells.getOrDefault("again", "")));
    }

    private static Map<String, Measured> figures(String cell, List<Form.Ask> asked) {
        Map<String, Measured> all = new LinkedHashMap<>();
        for (String part : cell.split(";")) {
            int at = part.indexOf('=');
            if (at > 0) {
                String key = part.substring(0, at).strip();
                Form.Ask ask = asked.stream()
                        .filter(a -> a.key().equals(key))
                        .findFirst()
                        .orElseThrow(() ->
                                new IllegalArgumentException("figures: this test has no \u201c" + key + "\u201d."));
                Measured m = new Measured(Quantity.parse(part.substring(at + 1), ask.unit()), "");
                ask.check(m.si());
                all.put(key, m);
            }
        }
        return all;
    }

    private static HangarTest.Beside beside(Map<String, String> cells) {
        List<HangarTest.Photo> photos = new ArrayList<>();
        for (String part : cells.getOrDefault("photos", "").split(";")) {
            int at = part.lastIndexOf('=');
            if (at > 0 && !HangarTest.Photo.wrong(part.substring(0, at).strip()).isEmpty()) {
                throw new IllegalArgumentException("photos: "
                        + HangarTest.Photo.wrong(part.substring(0, at).strip()) + ".");
            }
            if (at > 0) {
                photos.add(new HangarTest.Photo(
                        part.substring(0, at).strip(), part.substring(at + 1).strip()));
            }
        }
        return new HangarTest.Beside(
                cells.getOrDefault("witness", ""),
                cells.getOrDefault("calibration", ""),
                cells.getOrDefault("stand-in", "").equalsIgnoreCase("yes"),
                photos);
    }

    private static Inputs inputs(String cell) {
        Map<String, String> lines = new LinkedHashMap<>();
        for (String line : cell.split(";")) {
            int at = line.lastIndexOf('=');
            if (at > 0) {
                lines.put(line.substring(0, at).strip(), line.substring(at + 1).strip());
            }
        }
        return new Inputs(lines);
    }

    private static Optional<Measured> measured(Map<String, String> cells, String column, Unit unit) {
        String text = cells.getOrDefault(column, "");
        if (text.isBlank()) {
            return Optional.empty();
        }
        try {
            return Optional.of(new Measured(Quantity.parse(text, unit), ""));
        } catch (IllegalArgumentException e) {
            throw new IllegalArgumentException(column + ": " + e.getMessage(), e);
        }
    }
}
