package ration.record.evidence;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import ration.aircraft.model.Fitout;
import ration.aircraft.model.Fitting;
import ration.aircraft.model.GaugePort;
import ration.aircraft.model.Outlet;
import ration.aircraft.model.Tank;
import ration.aircraft.model.TankShape;
import ration.base.fluid.FuelGrade;
import ration.base.geometry.Point3;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;

/**
 * What a record rests on, in readable lines: each figure as it stood when the test was done. {@link Fingerprint}
 * decides whether it still counts; these say what changed, from what to what. Where the tank sits in the aircraft does
 * not count: places are told from a corner of its shape.
 *
 * @param lines what it is, and what it was
 */
public record Inputs(Map<String, String> lines) {

    /** Of records that do not tell. */
    public static final Inputs NONE = new Inputs(Map.of());

    public Inputs {
        lines = java.util.Collections.unmodifiableMap(new LinkedHashMap<>(lines));
    }

    /**
     * One line that is no longer so.
     *
     * @param what it is
     * @param was when the test was done; empty where there was none
     * @param now empty where there is none
     */
    public record Change(String what, String was, String now) {

        /** In a sentence: outlet, water line was 0.00 in, now 0.25 in. */
        public String words() {
            return what
                    + (was.isEmpty()
                            ? " is new: " + named(now)
                            : now.isEmpty()
                                    ? " was " + named(was) + ", now there is none"
                                    : " was " + named(was) + ", now " + named(now));
        }

        private String named(String value) {
            if (what.endsWith("kind")) {
                return GaugePort.Shows.written(value)
                        .map(GaugePort.Shows::label)
                        .orElse(value);
            }
            return what.equals("fuel")
                    ? FuelGrade.written(value).map(FuelGrade::label).orElse(value)
                    : Fitting.named(value);
        }
    }

    /** Of a test on a tank as laid out. */
    public static Inputs of(Tank tank) {
        Map<String, String> lines = new LinkedHashMap<>();
        Point3 origin = origin(tank);
        lines.put("kind of shape", tank.shape().getClass().getSimpleName().toLowerCase(java.util.Locale.ROOT));
        shape(lines, tank.shape(), origin);
        for (Outlet o : tank.outlets()) {
            lines.put(
                    o.name() + ", edge measured",
                    o.edge().name().toLowerCase(java.util.Locale.ROOT).replace('_', ' '));
            place(lines, o.name() + ", air comes in", o.drainsAt(), origin);
        }
        fitout(lines, tank.fitout(), origin);
        return new Inputs(lines);
    }

    /** A corner of the shape: what is said of outlet and gauge is then said of them. */
    private static Point3 origin(Tank tank) {
        try {
            return tank.shape()
                    .only(TankShape.Cylinder.class)
                    .map(drum -> drum.from().point())
                    .orElseGet(() -> tank.shell().faces().get(0).get(0));
        } catch (IllegalArgumentException e) {
            return new Point3(0, 0, 0);
        }
    }

    private static void shape(Map<String, String> lines, TankShape shape, Point3 origin) {
        try {
            List<Point3> corners = shape.solid().faces().stream()
                    .flatMap(List::stream)
                    .distinct()
                    .toList();
            Optional<TankShape.Cylinder> drum = shape.only(TankShape.Cylinder.class);
            if (drum.isPresent()) {
                lines.put("diameter", length(drum.get().diameter().si()));
                lines.put("length", length(drum.get().length().si()));
                return;
            }
            for (int i = 0; i < corners.size(); i++) {
                place(lines, "corner " + (i + 1), corners.get(i), origin);
            }
        } catch (IllegalArgumentException e) {
            lines.put("shape", "does not close");
        }
    }

    private static void fitout(Map<String, String> lines, Fitout f, Point3 origin) {
        for (int i = 0; i < f.wells().size(); i++) {
            String well = "well " + (i + 1);
            lines.put(well + ", length", length(f.wells().get(i).length().si()));
            lines.put(well + ", width", length(f.wells().get(i).width().si()));
            place(lines, well + ", floor", f.wells().get(i).floor().point(), origin);
        }
        for (int i = 0; i < f.ribs().size(); i++) {
            Fitout.Rib rib = f.ribs().get(i);
            lines.put("rib " + (i + 1) + ", butt line", length(rib.at().si() - origin.y()));
            for (int k = 0; k < rib.openings().size(); k++) {
                Fitout.Opening o = rib.openings().get(k);
                place(
                        lines,
                        "rib " + (i + 1) + " hole " + (k + 1),
                        new Point3(o.along().si(), rib.at().si(), o.waterLine().si()),
                        origin);
                lines.put(
                        "rib " + (i + 1) + " hole " + (k + 1) + ", passes",
                        o.passes().label().toLowerCase(java.util.Locale.ROOT));
            }
        }
        f.gauge().ifPresent(g -> place(lines, "gauge foot", g.point(), origin));
    }

    private static void place(Map<String, String> lines, String what, Point3 p, Point3 origin) {
        Point3 d = p.minus(origin);
        lines.put(what + ", station", length(d.x()));
        lines.put(what + ", butt line", length(d.y()));
        lines.put(what + ", water line", length(d.z()));
    }

    /** To a tenth of a millimetre, as {@link Fingerprint} takes it. */
    private static String length(double metres) {
        double tenths = Fingerprint.tenths(metres) * 1e-4;
        return UnitSystem.figure(Unit.INCH.fromSi(tenths), 3) + " in";
    }

    /** What of a record's lines is not so now; nothing where the record does not tell. */
    public List<Change> changed(Inputs now) {
        List<Change> changes = new ArrayList<>();
        if (lines.isEmpty()) {
            return changes;
        }
        lines.forEach((what, was) -> Optional.ofNullable(now.lines.get(what))
                .filter(n -> !n.equals(was))
                .ifPresentOrElse(n -> changes.add(new Change(what, was, n)), () -> {
                    if (!now.lines.containsKey(what)) {
                        changes.add(new Change(what, was, ""));
                    }
                }));
        now.lines.forEach((what, n) -> {
            if (!lines.containsKey(what)) {
                changes.add(new Change(what, "", n));
            }
        });
        return changes;
    }
}
