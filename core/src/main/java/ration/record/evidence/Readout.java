package ration.record.evidence;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import ration.aircraft.model.FuelSystem;
import ration.base.quantity.Dimension;
import ration.base.quantity.Measured;
import ration.base.quantity.UnitSystem;

/** What a test with a {@link Form} found, in words. */
public final class Readout {

    private Readout() {}

    /** Everything that was read, on one line. */
    public static String lines(Work.Sheet sheet, FuelSystem system, UnitSystem units) {
        List<String> parts = new ArrayList<>();
        once(sheet).forEach((label, shown) -> parts.add(label.toLowerCase(java.util.Locale.ROOT) + " " + shown));
        Map<String, String> pieces = sheet.form().pieces(system);
        for (Work.Row r : sheet.rows()) {
            parts.add(row(sheet, r, pieces, units));
        }
        return parts.isEmpty() ? "nothing yet" : String.join("; ", parts);
    }

    /** Figures entered once, by their label, in the order they are asked. */
    public static Map<String, String> once(Work.Sheet sheet) {
        Map<String, String> all = new LinkedHashMap<>();
        sheet.form().once().stream()
                .filter(a -> sheet.once().containsKey(a.key()))
                .forEach(a ->
                        all.put(a.label(), sheet.once().get(a.key()).quantity().shown()));
        return all;
    }

    /** A repeat, or a piece as it was seen. */
    public static String row(Work.Sheet sheet, Work.Row r, Map<String, String> pieces, UnitSystem units) {
        if (r.grade().isPresent()) {
            return pieces.getOrDefault(r.of(), r.of()) + ": " + r.grade().get().word()
                    + (r.again().isEmpty() ? "" : ", recheck by " + r.again());
        }
        List<String> shown = sheet.form().each().stream()
                .filter(a -> r.figures().containsKey(a.key()))
                .map(a -> r.figures().get(a.key()))
                .map(Measured::quantity)
                .map(q -> q.shown())
                .toList();
        return String.join(" in ", shown)
                + (flow(sheet, r) > 0 ? ", " + units.text(flow(sheet, r), Dimension.FLOW) : "");
    }

    /** Volume over time of a run into the can, m3/s; nothing of other repeats. */
    public static double flow(Work.Sheet sheet, Work.Row r) {
        boolean run = (sheet.kind() == TestKind.FLOW || sheet.kind() == TestKind.PUMP_FLOW)
                && r.figures().containsKey("volume")
                && r.figures().containsKey("time");
        return run ? r.si("volume") / r.si("time") : 0;
    }
}
