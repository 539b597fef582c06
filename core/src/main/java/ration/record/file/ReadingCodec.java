package ration.record.file;

import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import ration.aircraft.condition.Attitude;
import ration.aircraft.condition.Condition;
import ration.aircraft.condition.Handles;
import ration.aircraft.condition.Power;
import ration.base.quantity.Measured;
import ration.base.quantity.Unit;
import ration.record.reading.Reading;
import ration.record.reading.Setting;

/** Readings taken on the aircraft, there and back. Figures are written in SI units of everyday size. */
final class ReadingCodec {

    private ReadingCodec() {}

    private static Unit unit(Reading.What what) {
        return switch (what) {
            case PRESSURE -> Unit.PASCAL;
            case FLOW -> Unit.LITRE_PER_HOUR;
            case MINUTES -> Unit.MINUTE;
            case FALLS -> Unit.LITRE_PER_HOUR;
            case TEMPERATURE -> Unit.KELVIN;
            case VOLTS -> Unit.VOLT;
            case AMPS -> Unit.AMPERE;
            case FLUTTERS, SILENT, STILL, WILL_NOT_FILL, OVERBOARD, DRIPS, WATER -> Unit.ONE;
        };
    }

    /** Minutes are kept as minutes, all else in SI. */
    private static Measured figure(Reading.What what, double value) {
        Unit unit = unit(what);
        return Measured.of(what == Reading.What.MINUTES ? value : unit.fromSi(value), unit);
    }

    private static double value(Reading.What what, Measured m) {
        return what == Reading.What.MINUTES ? m.si() / 60 : m.si();
    }

    static void write(ProjectWriter w, ObjectNode out, String at, Reading r) {
        out.put("place", r.place());
        out.put("what", ProjectWriter.word(r.what()));
        w.measured(out, at, "value", figure(r.what(), r.value()));
        w.measured(out, at, "error", figure(r.what(), r.error()));
        Condition c = r.setting().condition();
        w.measured(out, at, "pitch", Measured.of(c.attitude().pitchDegrees(), Unit.DEGREE));
        w.measured(out, at, "bank", Measured.of(c.attitude().tiltDegrees(), Unit.DEGREE));
        w.measured(out, at, "fuelTemperature", Measured.of(c.fuelKelvin(), Unit.KELVIN));
        out.put("power", ProjectWriter.word(c.engine().power()));
        w.numbered(out, at, "contents", List.copyOf(new TreeMap<>(c.contents()).entrySet()), (e, there, node) -> {
            node.put("id", e.getKey());
            w.measured(node, there, "volume", Measured.of(Unit.LITRE.fromSi(e.getValue()), Unit.LITRE));
        });
        w.numbered(out, at, "handles", List.copyOf(new TreeMap<>(c.positions()).entrySet()), (e, there, node) -> {
            node.put("selector", e.getKey());
            node.put("position", e.getValue());
        });
        c.stopped().stream().sorted().forEach(out.putArray("stopped")::add);
        c.shutValves().stream().sorted().forEach(out.putArray("shut")::add);
        r.setting().manoeuvres().stream().sorted().map(ProjectWriter::word).forEach(out.putArray("done")::add);
    }

    /** What cannot be is said as a problem of the document. */
    static List<Reading> read(ProjectReader r, JsonObjectReader doc) {
        List<Reading> all = new ArrayList<>();
        doc.list("readings", in -> {
            try {
                all.add(reading(r, in));
            } catch (IllegalArgumentException e) {
                in.problem("", e.getMessage());
            }
            in.keepUnknown();
            return in;
        });
        return all;
    }

    private static Reading reading(ProjectReader r, JsonObjectReader in) {
        Reading.What what = r.choice(in, "what", Reading.What.values());
        Map<String, Double> contents = new HashMap<>();
        in.list("contents", c -> {
            contents.put(c.text("id"), c.measured("volume", Unit.LITRE).si());
            c.keepUnknown();
            return c;
        });
        Map<String, String> positions = new HashMap<>();
        in.list("handles", h -> {
            positions.put(h.text("selector"), h.text("position"));
            h.keepUnknown();
            return h;
        });
        Attitude attitude = new Attitude(
                "As read",
                in.measured("pitch", Unit.DEGREE).si(),
                in.measured("bank", Unit.DEGREE).si());
        Set<Setting.Manoeuvre> done = new HashSet<>();
        for (String word : in.texts("done")) {
            java.util.Arrays.stream(Setting.Manoeuvre.values())
                    .filter(m -> ProjectWriter.word(m).equals(word))
                    .findFirst()
                    .ifPresentOrElse(
                            done::add,
                            () -> in.problem("done", "\u201c" + word + "\u201d is nothing that is known to be done."));
        }
        Condition c = new Condition(
                        attitude,
                        contents,
                        positions,
                        Set.of(),
                        Set.of(),
                        in.measured("fuelTemperature", Unit.KELVIN).si())
                .with(new Handles(positions, Set.copyOf(in.texts("shut")), Set.copyOf(in.texts("stopped"))))
                .with(r.choice(in, "power", Power.values()));
        return new Reading(
                in.text("place"),
                what,
                value(what, in.measured("value", unit(what))),
                value(what, in.measured("error", unit(what))),
                new Setting(c, done));
    }
}
