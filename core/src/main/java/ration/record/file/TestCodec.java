package ration.record.file;

import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Stream;
import ration.aircraft.condition.Handles;
import ration.aircraft.model.Fitting;
import ration.aircraft.model.GaugePort;
import ration.base.fluid.FuelGrade;
import ration.base.quantity.Measured;
import ration.base.quantity.Unit;
import ration.record.evidence.Form;
import ration.record.evidence.Grade;
import ration.record.evidence.HangarTest;
import ration.record.evidence.Inputs;
import ration.record.evidence.TestKind;
import ration.record.evidence.Work;

/** Hangar tests to and from JSON. */
final class TestCodec {

    private static final double DAY = 86_400;

    private TestCodec() {}

    static HangarTest read(ProjectReader reader, JsonObjectReader in) {
        Work work =
                switch (in.text("kind")) {
                    case "drain" ->
                        new Work.Drain(
                                in.text("position", ""),
                                in.measured("pitch", Unit.DEGREE),
                                in.measured("tilt", Unit.DEGREE),
                                in.list("trials", t -> {
                                    Work.Trial trial = new Work.Trial(
                                            volume(t, "poured"),
                                            t.has("back")
                                                    ? java.util.Optional.of(volume(t, "back"))
                                                    : java.util.Optional.empty());
                                    t.keepUnknown();
                                    return trial;
                                }));
                    case "fill" ->
                        new Work.Fill(
                                Work.Stands.written(in.text("attitude")),
                                in.measured("pitch", Unit.DEGREE),
                                in.list("pours", p -> {
                                    Work.Pour pour = new Work.Pour(
                                            volume(p, "poured"), p.optionalMeasured("reading", Unit.INCH));
                                    p.keepUnknown();
                                    return pour;
                                }));
                    case "top-off" ->
                        new Work.TopOff(
                                volume(in, "before"),
                                in.optionalMeasured("metered", Unit.GALLON),
                                in.optionalMeasured("pitch", Unit.DEGREE));
                    default -> sheet(reader, in);
                };
        double step = in.number("step", 0);
        double seconds = in.number("seconds", 0);
        if (step < 0 || step > 100 || step != Math.rint(step) || seconds < 0 || seconds > 30 * DAY) {
            in.problem("step", "a step from 0 on and seconds from 0 on are expected.");
            step = 0;
            seconds = 0;
        }
        HangarTest test = new HangarTest(
                reader.mark(in, "id"),
                work.onTank() ? reader.mark(in, "tank") : in.text("subject", ""),
                new HangarTest.Circumstances(
                        in.text("date", ""),
                        in.text("who", ""),
                        in.text("instrument", ""),
                        in.optionalMeasured("ambient", Unit.CELSIUS),
                        in.text("notes", ""),
                        in.text("fingerprint", ""),
                        inputs(in),
                        beside(in)),
                work,
                new HangarTest.Progress((int) step, seconds, in.flag("done")));
        in.keepUnknown();
        return test;
    }

    /** A test with a form: unknown figures and grades are told, never guessed. */
    private static Work sheet(ProjectReader reader, JsonObjectReader in) {
        Optional<TestKind> kind = TestKind.keyed(in.text("kind"));
        Optional<Form> form = kind.flatMap(Form::of);
        if (form.isEmpty()) {
            in.problem(
                    "kind",
                    "this kind of test is not known to this version. Known: "
                            + String.join(
                                    ", ",
                                    Stream.of(TestKind.values())
                                            .map(TestKind::key)
                                            .toList()) + ".");
            return new Work.TopOff(Measured.of(0, Unit.GALLON), Optional.empty());
        }
        Map<String, String> positions = new LinkedHashMap<>();
        in.list("positions", p -> {
            positions.put(p.text("selector"), p.text("at"));
            p.keepUnknown();
            return p;
        });
        Set<String> stopped = new LinkedHashSet<>();
        in.list("stopped", p -> {
            stopped.add(p.text("pump"));
            p.keepUnknown();
            return p;
        });
        List<Work.Row> rows = in.list("rows", r -> {
            Optional<Grade> grade = r.has("grade") ? Grade.worded(r.text("grade")) : Optional.empty();
            if (r.has("grade") && grade.filter(form.get().grades()::contains).isEmpty()) {
                r.problem(
                        "grade",
                        "one of these is expected: "
                                + String.join(
                                        ", ",
                                        form.get().grades().stream()
                                                .map(Grade::word)
                                                .toList()) + ".");
                grade = Optional.empty();
            }
            Work.Row row = new Work.Row(r.text("of", ""), figures(r, form.get().each()), grade, r.text("again", ""));
            r.keepUnknown();
            return row;
        });
        return new Work.Sheet(
                kind.get(),
                new Handles(positions, Set.of(), stopped),
                figures(in, form.get().once()),
                rows);
    }

    private static Map<String, Measured> figures(JsonObjectReader in, List<Form.Ask> asked) {
        Map<String, Measured> all = new LinkedHashMap<>();
        in.list("figures", f -> {
            String of = f.text("of");
            Optional<Form.Ask> ask =
                    asked.stream().filter(a -> a.key().equals(of)).findFirst();
            if (ask.isEmpty()) {
                f.problem(
                        "of",
                        "this test has no such figure. Known: "
                                + String.join(
                                        ", ", asked.stream().map(Form.Ask::key).toList()) + ".");
                return f;
            }
            Measured m = f.measured("is", ask.get().unit());
            try {
                ask.get().check(m.si());
                all.put(of, m);
            } catch (IllegalArgumentException e) {
                f.problem("is", e.getMessage());
            }
            f.keepUnknown();
            return f;
        });
        return all;
    }

    private static HangarTest.Beside beside(JsonObjectReader in) {
        return new HangarTest.Beside(
                in.text("witness", ""),
                in.text("calibration", ""),
                in.has("standIn") && in.flag("standIn"),
                in.list("photos", p -> {
                    HangarTest.Photo photo = new HangarTest.Photo(p.text("file"), p.text("sha256"));
                    if (!HangarTest.Photo.wrong(photo.file()).isEmpty()) {
                        p.problem("file", HangarTest.Photo.wrong(photo.file()));
                    }
                    p.keepUnknown();
                    return photo;
                }));
    }

    private static Inputs inputs(JsonObjectReader in) {
        if (!in.has("inputs")) {
            return Inputs.NONE;
        }
        Map<String, String> lines = new LinkedHashMap<>();
        in.list("inputs", i -> {
            String what = i.text("what");
            lines.put(what, byKey(what, i.text("was")));
            i.keepUnknown();
            return i;
        });
        return new Inputs(lines);
    }

    /** Values that records once held in words. */
    private static String byKey(String what, String was) {
        if (what.endsWith(": fittings")) {
            return Fitting.keys(was);
        }
        if (what.endsWith(": kind")) {
            return GaugePort.Shows.written(was).map(GaugePort.Shows::key).orElse(was);
        }
        return what.equals("fuel") ? FuelGrade.written(was).map(FuelGrade::key).orElse(was) : was;
    }

    private static Measured volume(JsonObjectReader in, String field) {
        Measured m = in.measured(field, Unit.GALLON);
        if (m.si() < 0 || m.si() > 50) {
            in.problem(field, "a volume between nothing and 50 m\u00b3 is expected.");
            return Measured.of(0, Unit.GALLON);
        }
        return m;
    }

    static void write(ProjectWriter writer, ObjectNode out, String path, HangarTest test) {
        out.put("kind", test.work().kind().key());
        out.put("id", test.id());
        if (test.work().onTank()) {
            out.put("tank", test.subject());
        } else if (!test.subject().isEmpty()) {
            out.put("subject", test.subject());
        }
        HangarTest.Circumstances by = test.by();
        out.put("date", by.date());
        out.put("who", by.who());
        out.put("instrument", by.instrument());
        by.ambient().ifPresent(a -> writer.measured(out, path, "ambient", a));
        if (!by.notes().isEmpty()) {
            out.put("notes", by.notes());
        }
        out.put("fingerprint", by.fingerprint());
        if (!by.inputs().lines().isEmpty()) {
            writer.numbered(out, path, "inputs", List.copyOf(by.inputs().lines().entrySet()), (i, at, node) -> node.put(
                            "what", i.getKey())
                    .put("was", i.getValue()));
        }
        test.work()
                .<Runnable>as(
                        d -> () -> drain(writer, out, path, d),
                        f -> () -> fill(writer, out, path, f),
                        t -> () -> topOff(writer, out, path, t),
                        s -> () -> sheet(writer, out, path, s))
                .run();
        beside(writer, out, path, test.by().beside());
        out.put("step", test.progress().step());
        out.put("seconds", test.progress().seconds());
        out.put("done", test.progress().done());
    }

    private static void drain(ProjectWriter writer, ObjectNode out, String path, Work.Drain drain) {
        out.put("position", drain.position());
        writer.measured(out, path, "pitch", drain.pitch());
        writer.measured(out, path, "tilt", drain.tilt());
        writer.numbered(out, path, "trials", drain.trials(), (t, at, node) -> {
            writer.measured(node, at, "poured", t.poured());
            t.back().ifPresent(b -> writer.measured(node, at, "back", b));
        });
    }

    private static void fill(ProjectWriter writer, ObjectNode out, String path, Work.Fill fill) {
        out.put("attitude", fill.stands().key());
        writer.measured(out, path, "pitch", fill.pitch());
        writer.numbered(out, path, "pours", fill.points(), (p, at, node) -> {
            writer.measured(node, at, "poured", p.poured());
            p.reading().ifPresent(r -> writer.measured(node, at, "reading", r));
        });
    }

    private static void topOff(ProjectWriter writer, ObjectNode out, String path, Work.TopOff top) {
        writer.measured(out, path, "before", top.before());
        top.metered().ifPresent(m -> writer.measured(out, path, "metered", m));
        top.pitch().ifPresent(p -> writer.measured(out, path, "pitch", p));
    }

    private static void sheet(ProjectWriter writer, ObjectNode out, String path, Work.Sheet sheet) {
        if (!sheet.handles().positions().isEmpty()) {
            writer.numbered(out, path, "positions", sorted(sheet.handles().positions()), (p, at, node) -> node.put(
                            "selector", p.getKey())
                    .put("at", p.getValue()));
        }
        if (!sheet.handles().stopped().isEmpty()) {
            writer.numbered(
                    out,
                    path,
                    "stopped",
                    sheet.handles().stopped().stream().sorted().toList(),
                    (p, at, node) -> node.put("pump", p));
        }
        figures(writer, out, path, sheet.once());
        if (!sheet.rows().isEmpty()) {
            writer.numbered(out, path, "rows", sheet.rows(), (r, at, node) -> {
                if (!r.of().isEmpty()) {
                    node.put("of", r.of());
                }
                r.grade().ifPresent(g -> node.put("grade", g.word()));
                if (!r.again().isEmpty()) {
                    node.put("again", r.again());
                }
                figures(writer, node, at, r.figures());
            });
        }
    }

    private static <V> List<Map.Entry<String, V>> sorted(Map<String, V> map) {
        return List.copyOf(new TreeMap<>(map).entrySet());
    }

    private static void figures(ProjectWriter writer, ObjectNode out, String path, Map<String, Measured> figures) {
        if (!figures.isEmpty()) {
            writer.numbered(out, path, "figures", sorted(figures), (f, at, node) -> {
                node.put("of", f.getKey());
                writer.measured(node, at, "is", f.getValue());
            });
        }
    }

    private static void beside(ProjectWriter writer, ObjectNode out, String path, HangarTest.Beside beside) {
        if (!beside.witness().isEmpty()) {
            out.put("witness", beside.witness());
        }
        if (!beside.calibration().isEmpty()) {
            out.put("calibration", beside.calibration());
        }
        if (beside.standIn()) {
            out.put("standIn", true);
        }
        if (!beside.photos().isEmpty()) {
            writer.numbered(out, path, "photos", beside.photos(), (p, at, node) -> node.put("file", p.file())
                    .put("sha256", p.sha256()));
        }
    }
}
