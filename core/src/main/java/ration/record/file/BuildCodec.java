package ration.record.file;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import ration.record.build.Access;
import ration.record.build.Build;
import ration.record.build.Stage;
import ration.record.build.Step;
import ration.record.build.StepKey;

/** How far the build is, there and back. Hours as numbers, days as yyyy-mm-dd. */
final class BuildCodec {

    private static final String AT = "build";

    private BuildCodec() {}

    static void write(ProjectWriter w, ObjectNode out, Build build) {
        build.weekly().ifPresent(h -> out.put("hoursPerWeek", h));
        w.objects(out, AT, "own", List.copyOf(build.own().entrySet()), e -> String.valueOf(e.getKey()), (e, node) -> {
            node.put("number", e.getKey()).put("name", e.getValue());
        });
        w.objects(
                out,
                AT,
                "steps",
                List.copyOf(build.steps().entrySet()),
                e -> e.getKey().text(),
                (e, node) -> {
                    Step s = e.getValue();
                    node.put("step", e.getKey().text()).put("stage", s.stage().key());
                    s.hours().ifPresent(h -> node.put("hours", h));
                    s.expected().ifPresent(d -> node.put("expected", d.toString()));
                    if (!s.after().isEmpty()) {
                        ArrayNode after = node.putArray("after");
                        s.after().forEach(k -> after.add(k.text()));
                    }
                    access(node, s.access());
                });
        w.restore(out, AT);
    }

    /** What cannot be is said as a problem of the document; nothing is guessed in its place. */
    static Build read(JsonObjectReader in) {
        Map<Integer, String> own = new TreeMap<>();
        Map<StepKey, Step> steps = new TreeMap<>();
        in.list("own", o -> {
            own.put((int) o.number("number", 0), o.text("name"));
            o.keepUnknown();
            return o;
        });
        in.list("steps", s -> {
            try {
                steps.put(key(s.text("step")), step(s));
            } catch (IllegalArgumentException e) {
                s.problem("", e.getMessage());
            }
            s.keepUnknown();
            return s;
        });
        Build read = Build.NONE;
        try {
            read = new Build(
                    steps, own, in.has("hoursPerWeek") ? Optional.of(in.number("hoursPerWeek", 0)) : Optional.empty());
        } catch (IllegalArgumentException e) {
            in.problem("", e.getMessage());
        }
        in.keepUnknown();
        return read;
    }

    private static Step step(JsonObjectReader s) {
        Set<StepKey> after = new TreeSet<>();
        if (s.has("after")) {
            s.texts("after").forEach(t -> after.add(key(t)));
        }
        return new Step(
                Stage.written(s.text("stage"))
                        .orElseThrow(() -> new IllegalArgumentException(
                                "\u201c" + s.text("stage") + "\u201d is not a stage of the build.")),
                s.has("hours") ? Optional.of(s.number("hours", 0)) : Optional.empty(),
                s.has("expected") ? Optional.of(day(s.text("expected"))) : Optional.empty(),
                after,
                s.has("access") ? access(s.object("access")) : Access.NONE);
    }

    /** Minutes, and weight in kilograms. */
    private static void access(ObjectNode out, Access a) {
        if (a.equals(Access.NONE)) {
            return;
        }
        ObjectNode node = out.putObject("access");
        node.put("panels", a.panels()).put("tools", a.tools());
        if (!a.neighbors().isEmpty()) {
            node.put("neighbors", a.neighbors());
        }
        a.minutes().ifPresent(m -> node.put("minutes", m));
        a.weight().ifPresent(w -> node.put("weight", w));
    }

    private static Access access(JsonObjectReader in) {
        Access read = new Access(
                in.text("panels", ""),
                in.text("tools", ""),
                in.text("neighbors", ""),
                in.has("minutes") ? Optional.of(in.number("minutes", 0)) : Optional.empty(),
                in.has("weight") ? Optional.of(in.number("weight", 0)) : Optional.empty());
        in.keepUnknown();
        return read;
    }

    private static StepKey key(String text) {
        return StepKey.written(text)
                .orElseThrow(() -> new IllegalArgumentException("\u201c" + text
                        + "\u201d is not a step of the build. Write part:ID, line:ID, joint:ID.start, joint:ID.end,"
                        + " test:KEY or own:NUMBER."));
    }

    private static LocalDate day(String text) {
        try {
            return LocalDate.parse(text);
        } catch (DateTimeException e) {
            throw new IllegalArgumentException("\u201c" + text + "\u201d is not a date. Use 2026-03-09.", e);
        }
    }
}
