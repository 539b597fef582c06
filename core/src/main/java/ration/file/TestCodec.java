package ration.file;

import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import ration.evidence.HangarTest;
import ration.evidence.Inputs;
import ration.evidence.Work;
import ration.model.Measured;
import ration.quantity.Unit;

/** Hangar tests to and from JSON. */
final class TestCodec {

    private static final double DAY = 86_400;

    private TestCodec() {
    }

    static HangarTest read(ProjectReader reader, JsonObjectReader in) {
        Work work = switch (in.text("kind")) {
            case "drain" -> new Work.Drain(in.text("position", ""), in.measured("pitch", Unit.DEGREE),
                    in.measured("tilt", Unit.DEGREE), in.list("trials", t -> {
                        Work.Trial trial = new Work.Trial(volume(t, "poured"), t.has("back")
                                ? java.util.Optional.of(volume(t, "back")) : java.util.Optional.empty());
                        t.keepUnknown();
                        return trial;
                    }));
            case "fill" -> new Work.Fill(in.text("attitude"), in.measured("pitch", Unit.DEGREE), in.list("pours", p -> {
                Work.Pour pour = new Work.Pour(volume(p, "poured"), p.optionalMeasured("reading", Unit.INCH));
                p.keepUnknown();
                return pour;
            }));
            case "top-off" -> new Work.TopOff(volume(in, "before"), in.optionalMeasured("metered", Unit.GALLON),
                    in.optionalMeasured("pitch", Unit.DEGREE));
            default -> {
                in.problem("kind", "this kind of test is not known to this version. Known: drain, fill, top-off.");
                yield new Work.TopOff(Measured.of(0, Unit.GALLON), java.util.Optional.empty());
            }
        };
        double step = in.number("step", 0);
        double seconds = in.number("seconds", 0);
        if (step < 0 || step > 100 || step != Math.rint(step) || seconds < 0 || seconds > 30 * DAY) {
            in.problem("step", "a step from 0 on and seconds from 0 on are expected.");
            step = 0;
            seconds = 0;
        }
        HangarTest test = new HangarTest(reader.mark(in, "id"), reader.mark(in, "tank"), new HangarTest.Circumstances(
                in.text("date", ""), in.text("who", ""), in.text("instrument", ""),
                in.optionalMeasured("ambient", Unit.CELSIUS), in.text("notes", ""), in.text("fingerprint", ""), inputs(in)), work,
                new HangarTest.Progress((int) step, seconds, in.flag("done")));
        in.keepUnknown();
        return test;
    }

    private static Inputs inputs(JsonObjectReader in) {
        if (!in.has("inputs")) {
            return Inputs.NONE;
        }
        Map<String, String> lines = new LinkedHashMap<>();
        in.list("inputs", i -> {
            lines.put(i.text("what"), i.text("was"));
            i.keepUnknown();
            return i;
        });
        return new Inputs(lines);
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
        out.put("kind", test.work() instanceof Work.Drain ? "drain" : test.work() instanceof Work.Fill ? "fill" : "top-off");
        out.put("id", test.id());
        out.put("tank", test.tank());
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
            writer.numbered(out, path, "inputs", List.copyOf(by.inputs().lines().entrySet()), (i, at, node) -> node.put("what", i.getKey())
                    .put("was", i.getValue()));
        }
        if (test.work() instanceof Work.Drain drain) {
            out.put("position", drain.position());
            writer.measured(out, path, "pitch", drain.pitch());
            writer.measured(out, path, "tilt", drain.tilt());
            writer.numbered(out, path, "trials", drain.trials(), (t, at, node) -> {
                writer.measured(node, at, "poured", t.poured());
                t.back().ifPresent(b -> writer.measured(node, at, "back", b));
            });
        } else if (test.work() instanceof Work.Fill fill) {
            out.put("attitude", fill.attitude());
            writer.measured(out, path, "pitch", fill.pitch());
            writer.numbered(out, path, "pours", fill.points(), (p, at, node) -> {
                writer.measured(node, at, "poured", p.poured());
                p.reading().ifPresent(r -> writer.measured(node, at, "reading", r));
            });
        } else if (test.work() instanceof Work.TopOff top) {
            writer.measured(out, path, "before", top.before());
            top.metered().ifPresent(m -> writer.measured(out, path, "metered", m));
            top.pitch().ifPresent(p -> writer.measured(out, path, "pitch", p));
        }
        out.put("step", test.progress().step());
        out.put("seconds", test.progress().seconds());
        out.put("done", test.progress().done());
    }
}
