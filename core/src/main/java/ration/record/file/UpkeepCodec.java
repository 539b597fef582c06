package ration.record.file;

import com.fasterxml.jackson.databind.node.ObjectNode;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import ration.record.upkeep.Entry;
import ration.record.upkeep.Life;
import ration.record.upkeep.Part;
import ration.record.upkeep.Upkeep;

/** Parts with a life and their log, there and back. Days as yyyy-mm-dd, hours of the airframe as numbers. */
final class UpkeepCodec {

    private static final String AT = "upkeep";

    private UpkeepCodec() {}

    static void write(ProjectWriter w, ObjectNode out, Upkeep upkeep) {
        out.put("hours", upkeep.hours());
        w.objects(out, AT, "parts", upkeep.parts(), Part::id, (p, node) -> {
            node.put("id", p.id())
                    .put("name", p.name())
                    .put("item", p.item())
                    .put("kind", ProjectWriter.word(p.kind()));
            node.put("months", p.life().months())
                    .put("lifeHours", p.life().hours())
                    .put("ends", ProjectWriter.word(p.life().ends()));
            p.fitted().ifPresent(f -> {
                node.put("fitted", f.on().toString()).put("fittedHours", f.hours());
                f.made().ifPresent(m -> node.put("made", m.toString()));
            });
            node.put("paper", p.paper());
        });
        w.objects(out, AT, "log", upkeep.log(), e -> String.valueOf(e.number()), (e, node) -> {
            node.put("number", e.number())
                    .put("on", e.on().toString())
                    .put("hours", e.hours())
                    .put("part", e.part());
            node.put("what", ProjectWriter.word(e.what()))
                    .put("words", e.words())
                    .put("who", e.who());
            if (e.corrects() > 0) {
                node.put("corrects", e.corrects());
            }
        });
        w.restore(out, AT);
    }

    /** What cannot be is said as a problem of the document; nothing is guessed in its place. */
    static Upkeep read(JsonObjectReader in) {
        List<Part> parts = new ArrayList<>();
        List<Entry> log = new ArrayList<>();
        in.list("parts", p -> {
            tried(p, () -> parts.add(part(p)));
            p.keepUnknown();
            return p;
        });
        in.list("log", e -> {
            tried(
                    e,
                    () -> log.add(new Entry(
                            (int) e.number("number", 0),
                            day(e.text("on")),
                            e.number("hours", 0),
                            e.text("part", ""),
                            word(e.text("what"), Entry.What.values()),
                            e.text("words"),
                            e.text("who", ""),
                            (int) e.number("corrects", 0))));
            e.keepUnknown();
            return e;
        });
        Upkeep[] read = {Upkeep.NONE};
        tried(in, () -> read[0] = new Upkeep(in.number("hours", 0), parts, log));
        in.keepUnknown();
        return read[0];
    }

    private static Part part(JsonObjectReader p) {
        Optional<Part.Fitted> fitted = p.has("fitted")
                ? Optional.of(new Part.Fitted(
                        day(p.text("fitted")),
                        p.number("fittedHours", 0),
                        p.has("made") ? Optional.of(day(p.text("made"))) : Optional.empty()))
                : Optional.empty();
        return new Part(
                p.text("id"),
                p.text("name"),
                p.text("item", ""),
                word(p.text("kind"), Part.Kind.values()),
                new Life(
                        (int) p.number("months", 0),
                        p.number("lifeHours", 0),
                        word(p.text("ends"), Life.Ends.values())),
                fitted,
                p.text("paper", ""));
    }

    private static void tried(JsonObjectReader in, Supplier<Object> read) {
        try {
            read.get();
        } catch (IllegalArgumentException e) {
            in.problem("", e.getMessage());
        }
    }

    private static LocalDate day(String text) {
        try {
            return LocalDate.parse(text);
        } catch (DateTimeException e) {
            throw new IllegalArgumentException("\u201c" + text + "\u201d is not a date. Use 2026-03-09.");
        }
    }

    private static <E extends Enum<E>> E word(String text, E[] all) {
        return Arrays.stream(all)
                .filter(e -> ProjectWriter.word(e).equals(text))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("\u201c" + text
                        + "\u201d is not known here. It is one of: "
                        + String.join(
                                ", ",
                                Arrays.stream(all).map(ProjectWriter::word).toList()) + "."));
    }
}
