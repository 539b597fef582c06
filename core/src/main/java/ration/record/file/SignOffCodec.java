package ration.record.file;

import com.fasterxml.jackson.databind.node.ObjectNode;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Supplier;
import ration.record.acceptance.SignOff;

/** What was said of open points and packets, there and back. Days as yyyy-mm-dd. */
final class SignOffCodec {

    private static final String AT = "signOff";

    private SignOffCodec() {}

    static void write(ProjectWriter w, ObjectNode out, SignOff said) {
        w.numbered(out, AT, "points", said.points(), (p, at, node) -> node.put("finding", p.finding())
                .put("owner", p.owner())
                .put("note", p.note()));
        w.numbered(out, AT, "accepted", said.accepted(), (a, at, node) -> node.put("finding", a.finding())
                .put("name", a.name())
                .put("reason", a.reason())
                .put("on", a.on().toString())
                .put("as", a.as())
                .put("found", a.found()));
        w.numbered(out, AT, "packets", said.packets(), (p, at, node) -> node.put("on", p.on().toString())
                .put("mark", p.mark())
                .put("file", p.file()));
        w.restore(out, AT);
    }

    /** What cannot be is said as a problem of the document. */
    static SignOff read(JsonObjectReader in) {
        List<SignOff.Point> points = in.list("points", p -> {
            SignOff.Point point = new SignOff.Point(p.text("finding"), p.text("owner", ""), p.text("note", ""));
            p.keepUnknown();
            return point;
        });
        List<SignOff.Accepted> accepted = new ArrayList<>();
        in.list("accepted", a -> {
            tried(
                    a,
                    () -> accepted.add(new SignOff.Accepted(
                            a.text("finding"),
                            a.text("name"),
                            a.text("reason"),
                            LocalDate.parse(a.text("on")),
                            a.text("as", ""),
                            a.text("found", ""))));
            a.keepUnknown();
            return a;
        });
        List<SignOff.Issued> packets = new ArrayList<>();
        in.list("packets", p -> {
            tried(
                    p,
                    () -> packets.add(
                            new SignOff.Issued(LocalDate.parse(p.text("on")), p.text("mark"), p.text("file", ""))));
            p.keepUnknown();
            return p;
        });
        in.keepUnknown();
        return new SignOff(points, accepted, packets);
    }

    private static void tried(JsonObjectReader in, Supplier<Boolean> reads) {
        try {
            reads.get();
        } catch (DateTimeException e) {
            in.problem("on", "a day such as 2026-11-26 is expected.");
        } catch (IllegalArgumentException e) {
            in.problem("name", e.getMessage());
        }
    }
}
