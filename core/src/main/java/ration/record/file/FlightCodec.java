package ration.record.file;

import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import ration.aircraft.flight.FlightPlan;
import ration.aircraft.flight.Phase;
import ration.aircraft.flight.Switching;
import ration.aircraft.flight.Transfer;
import ration.base.quantity.Measured;
import ration.base.quantity.Unit;

/** A flight plan, there and back. */
final class FlightCodec {

    private static final String AT = "flight";

    private FlightCodec() {}

    static void write(ProjectWriter w, ObjectNode out, FlightPlan plan) {
        w.numbered(out, AT, "phases", plan.phases(), (p, at, node) -> {
            node.put("kind", ProjectWriter.word(p.kind()));
            w.measured(node, at, "minutes", p.minutes());
            w.measured(node, at, "share", p.share());
            w.measured(node, at, "pitch", p.pitch());
            // the tilt of the fuel was called its bank
            w.measured(node, at, "bank", p.tilt());
            p.turn().ifPresent(t -> w.measured(node, at, "turn", t));
            w.measured(node, at, "altitude", p.altitude());
            node.put("boost", p.boost());
            p.outside().ifPresent(t -> w.measured(node, at, "outside", t));
        });
        ObjectNode s = out.putObject("switching");
        s.put("mode", ProjectWriter.word(plan.switching().mode()));
        w.measured(s, AT + ".switching", "every", plan.switching().every());
        w.measured(s, AT + ".switching", "portion", plan.switching().portion());
        if (!plan.switching().steps().isEmpty()) {
            w.numbered(s, AT + ".switching", "steps", plan.switching().steps(), (step, at, node) -> {
                w.measured(node, at, "at", step.at());
                w.numbered(
                        node,
                        at,
                        "handles",
                        List.copyOf(new TreeMap<>(step.positions()).entrySet()),
                        (e, there, handle) -> {
                            handle.put("selector", e.getKey());
                            handle.put("position", e.getValue());
                        });
            });
        }
        w.restore(s, AT + ".switching");
        if (!plan.start().isEmpty()) {
            w.objects(
                    out,
                    AT,
                    "start",
                    List.copyOf(new TreeMap<>(plan.start()).entrySet()),
                    Map.Entry::getKey,
                    (e, node) -> {
                        node.put("id", e.getKey());
                        w.measured(node, AT + ".start[" + e.getKey() + "]", "volume", e.getValue());
                    });
        }
        if (!plan.transfers().isEmpty()) {
            w.numbered(out, AT, "transfers", plan.transfers(), (t, at, node) -> {
                node.put("pump", t.pump());
                w.measured(node, at, "at", t.at());
                t.lasts().ifPresent(m -> w.measured(node, at, "lasts", m));
                t.amount().ifPresent(m -> w.measured(node, at, "amount", m));
            });
        }
        w.measured(out, AT, "limit", plan.limit());
        w.restore(out, AT);
    }

    /** What cannot be is said as a problem of the document. */
    static FlightPlan read(ProjectReader r, JsonObjectReader in) {
        List<Phase> phases = new ArrayList<>();
        in.list("phases", p -> {
            try {
                phases.add(new Phase(
                        r.choice(p, "kind", Phase.Kind.values()),
                        p.measured("minutes", Unit.MINUTE),
                        p.measured("share", Unit.ONE),
                        p.measured("pitch", Unit.DEGREE),
                        p.measured("bank", Unit.DEGREE),
                        p.optionalMeasured("turn", Unit.DEGREE),
                        p.measured("altitude", Unit.FOOT),
                        p.flag("boost"),
                        p.optionalMeasured("outside", Unit.CELSIUS)));
            } catch (IllegalArgumentException e) {
                p.problem("", e.getMessage());
            }
            p.keepUnknown();
            return p;
        });
        Map<String, Measured> start = new HashMap<>();
        if (in.has("start")) {
            in.list("start", s -> {
                start.put(s.text("id"), s.measured("volume", Unit.GALLON));
                s.keepUnknown();
                return s;
            });
        }
        List<Transfer> transfers = new ArrayList<>();
        if (in.has("transfers")) {
            in.list("transfers", t -> {
                try {
                    transfers.add(new Transfer(
                            t.text("pump"),
                            t.measured("at", Unit.MINUTE),
                            t.optionalMeasured("lasts", Unit.MINUTE),
                            t.optionalMeasured("amount", Unit.GALLON)));
                } catch (IllegalArgumentException e) {
                    t.problem("", e.getMessage());
                }
                t.keepUnknown();
                return t;
            });
        }
        FlightPlan usual = FlightPlan.of(phases);
        try {
            FlightPlan plan = new FlightPlan(
                    phases,
                    switching(r, in.object("switching"), usual.switching()),
                    start,
                    in.measured("limit", Unit.GALLON),
                    transfers);
            in.keepUnknown();
            return plan;
        } catch (IllegalArgumentException e) {
            in.problem("", e.getMessage());
            return usual;
        }
    }

    private static Switching switching(ProjectReader r, JsonObjectReader in, Switching usual) {
        List<Switching.Step> steps = new ArrayList<>();
        if (in.has("steps")) {
            in.list("steps", s -> {
                Map<String, String> positions = new HashMap<>();
                s.list("handles", h -> {
                    positions.put(h.text("selector"), h.text("position"));
                    h.keepUnknown();
                    return h;
                });
                steps.add(new Switching.Step(s.measured("at", Unit.MINUTE), positions));
                s.keepUnknown();
                return s;
            });
        }
        Switching found = new Switching(
                r.choice(in, "mode", Switching.Mode.values()),
                in.has("every") ? in.measured("every", Unit.MINUTE) : usual.every(),
                in.has("portion") ? in.measured("portion", Unit.GALLON) : usual.portion(),
                steps);
        in.keepUnknown();
        return found;
    }
}
