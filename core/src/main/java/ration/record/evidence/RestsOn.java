package ration.record.evidence;

import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import ration.aircraft.condition.Handles;
import ration.aircraft.model.CheckBlock;
import ration.aircraft.model.CheckValve;
import ration.aircraft.model.EngineInlet;
import ration.aircraft.model.Field;
import ration.aircraft.model.FieldSheet;
import ration.aircraft.model.Fitout;
import ration.aircraft.model.Fitting;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.GaugePort;
import ration.aircraft.model.Header;
import ration.aircraft.model.Item;
import ration.aircraft.model.PortRef;
import ration.aircraft.model.Pump;
import ration.aircraft.model.Regulator;
import ration.aircraft.model.Run;
import ration.aircraft.model.RunBuild;
import ration.aircraft.model.Selector;
import ration.aircraft.model.SomeKinds;
import ration.aircraft.model.Strainer;
import ration.aircraft.model.Tank;
import ration.aircraft.model.VentPlenum;
import ration.aircraft.topology.Passage;
import ration.aircraft.topology.Passing;
import ration.aircraft.topology.Topology;
import ration.base.geometry.Point3;
import ration.base.quantity.Dimension;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;

/**
 * What a test with a {@link Form} rests on, in lines: a part by its id, the key of its figure, and how that stood.
 * Heights and places count from the engine's inlet, so an aircraft measured from another datum is the same one; names
 * do not count.
 */
final class RestsOn {

    private static final Set<String> TANK_KEYS = Set.of("outlets", "shape", "wells", "ribs", "ventLine", "vent");

    private final Known known;
    private final AsBuilt built;
    private final FuelSystem system;
    private final Point3 origin;
    private final Map<String, String> lines = new LinkedHashMap<>();

    private RestsOn(Known known) {
        this.known = known;
        built = known.now();
        system = built.system();
        origin = known.origin();
    }

    /** Of a test of a kind on a part, with the handles so. */
    static Inputs of(Known known, TestKind kind, String subject, Handles handles) {
        RestsOn on = new RestsOn(known);
        AsBuilt built = known.now();
        switch (kind) {
            case DRAIN, FILL, TOP_OFF ->
                built.tank(subject)
                        .ifPresent(t -> on.lines.putAll(known.inputs(t).lines()));
            case LEVEL_SENDER -> {
                built.tank(subject)
                        .ifPresent(t -> on.lines.putAll(known.inputs(t).lines()));
                on.parked();
            }
            case TANK_PRESSURE ->
                built.tank(subject).ifPresent(t -> {
                    on.lines.putAll(known.inputs(t).lines());
                    on.plate(t);
                });
            case FLOW, PUMP_FLOW -> on.path(handles);
            case DEAD_HEAD -> {
                on.part(subject);
                on.returning();
            }
            case BENCH, ASSEMBLY -> {
                on.renewed(subject);
                on.part(subject);
            }
            case CLEAN ->
                built.tank(subject).ifPresent(t -> {
                    on.plate(t);
                    on.renewed(t.id());
                });
            case EMPTYING -> {
                built.tank(subject)
                        .ifPresent(t -> on.lines.putAll(known.inputs(t).lines()));
                on.parked();
                on.drain(subject);
            }
            case REGULATOR -> on.pressed(subject);
            case PRIMING -> on.everyPath();
            case JET -> {
                on.pressed(subject);
                known.topology().meeting(subject).forEach(on::part);
            }
            case RETURN -> {
                on.pressed("");
                on.system.selectors().forEach(on::part);
            }
            case HOLD -> {
                on.pressed("");
                on.system.all(CheckValve.class).forEach(on::part);
                on.system.all(CheckBlock.class).forEach(on::part);
            }
            case TANK_RETURN -> {
                on.pressed("");
                on.vents();
            }
            case OVERNIGHT -> {
                on.system.runs().forEach(on::joints);
                on.system.tanks().forEach(on::plate);
            }
            case LINE_PRESSURE -> on.system.runs().forEach(on::joints);
            case FIRST_RUN -> on.forward();
            case SELECTOR_OFF, CHECK_HOLDS -> on.part(subject);
            case VENTS -> on.vents();
            case DRAINS -> {
                on.parked();
                on.drains();
            }
            case FLOW_SENDER -> {
                on.part(subject);
                known.topology().meeting(subject).forEach(on::part);
            }
            case GAUGE_CHECK -> {
                on.renewed(subject);
                on.system
                        .item(subject)
                        .flatMap(i -> i.only(GaugePort.class))
                        .ifPresent(g -> on.line(g.id(), "kind", g.shows().key()));
            }
            case RUN_LOG, HOT_RESTART -> on.everyPath();
        }
        return new Inputs(on.lines);
    }

    private void line(String id, String what, String value) {
        lines.put(id + ": " + what, value);
    }

    /** What holds the pressure and what leads the rest back. */
    private void returning() {
        system.all(Regulator.class).forEach(this::part);
        Topology topology = known.topology();
        system.runs().stream().filter(topology::returns).forEach(this::part);
    }

    /** What makes the pressure, holds it and leads the rest back, and one part beside. */
    private void pressed(String subject) {
        part(subject);
        system.all(Pump.class).forEach(this::part);
        returning();
    }

    private void parked() {
        lines.put("parked angle", UnitSystem.figure(Math.toDegrees(built.parked()), 1) + "\u00b0");
    }

    /** Every part the fuel at the inlet hangs together with. */
    private void path(Handles handles) {
        lines.put("fuel", built.fuel().key());
        onWay(handles).forEach(this::part);
    }

    private void everyPath() {
        lines.put("fuel", built.fuel().key());
        Set<Item> all = new LinkedHashSet<>();
        Topology.positions(system).forEach(w -> all.addAll(onWay(new Handles(w, Set.of(), Set.of()))));
        system.items().stream().filter(all::contains).forEach(this::part);
    }

    /**
     * Everything the fuel at the inlet hangs together with, returns too: what is shut off by a handle does not count.
     */
    private List<Item> onWay(Handles handles) {
        Set<PortRef> reached = system.inlet()
                .map(i -> known.topology().reached(List.of(new PortRef(i.id(), Item.IN)), joined(handles)))
                .orElse(Set.of());
        return system.items().stream()
                .filter(i -> i.only(Run.class)
                        .map(r -> reached.contains(r.from()))
                        .orElseGet(() -> i.only(EngineInlet.class).isPresent()
                                || i.ports().stream().anyMatch(p -> reached.contains(new PortRef(i.id(), p)))))
                .toList();
    }

    private static Passing joined(Handles handles) {
        return (Passage p) -> switch (p.what()) {
            case TANK -> Passing.Way.NONE;
            case SHUT_OFF -> handles.shutValves().contains(p.from().item()) ? Passing.Way.NONE : Passing.Way.BOTH;
            case POSITION ->
                p.position().equals(handles.positions().get(p.from().item())) ? Passing.Way.BOTH : Passing.Way.NONE;
            case BORE, HEADER, RAIL, CHECK, FREE_PUMP, CHECKED_PUMP, TIGHT_PUMP, BYPASS, REDUCER -> Passing.Way.BOTH;
        };
    }

    private void part(String id) {
        system.item(id).ifPresent(this::part);
    }

    /** Every figure that is in the way of the fuel. */
    private void part(Item item) {
        lines.putAll(known.figures(item, i -> {
            RestsOn alone = new RestsOn(known);
            alone.figures(i);
            return alone.lines;
        }));
        if (item.only(Tank.class).isEmpty()) {
            renewed(item.id());
        }
    }

    private void figures(Item item) {
        boolean tank = item.only(Tank.class).isPresent();
        for (Field f : FieldSheet.of(item)) {
            if (tank ? TANK_KEYS.contains(f.key().replaceAll("[\\[.].*", "")) : !f.limit()) {
                line(item.id(), f.key(), figure(f, item));
            }
        }
        item.as(new Rest());
    }

    /** A hose renewed to the same size is another hose. */
    private void renewed(String id) {
        String last = built.renewed().get(id);
        if (last != null) {
            line(id, "renewed", last);
        }
    }

    /** Where the axis a figure lies along begins: what is no place is told as it is. */
    private double origin(String key) {
        return switch (key.substring(key.lastIndexOf('.') + 1)) {
            case "station" -> origin.x();
            case "buttLine" -> origin.y();
            case "waterLine" -> origin.z();
            default -> 0;
        };
    }

    private String figure(Field f, Item item) {
        double si = f.get().apply(item).si();
        double from = origin(f.key());
        Unit unit = f.unit();
        double value = unit.fromSi(unit.dimension() == Dimension.LENGTH ? si - from : si);
        return thousandths(value) + (unit == Unit.ONE ? "" : " " + unit.symbol());
    }

    /** A number to three decimals; a formatter takes most of the time of a record here. */
    private static String thousandths(double value) {
        long n = Math.round(value * 1000);
        long size = Math.abs(n);
        String rest = String.valueOf(1000 + size % 1000).substring(1);
        return (n < 0 ? "\u2212" : "") + size / 1000 + "." + rest;
    }

    /** What a part has beside figures. */
    private final class Rest implements SomeKinds<Void> {

        @Override
        public Void otherwise(Item item) {
            return null;
        }

        @Override
        public Void run(Run run) {
            line(run.id(), "size", run.size().label());
            line(run.id(), "fittings", Fitting.keys(run.fittings()));
            line(run.id(), "from", run.from().toString());
            line(run.id(), "to", run.to().toString());
            return null;
        }

        @Override
        public Void selector(Selector selector) {
            line(
                    selector.id(),
                    "positions",
                    selector.positions().stream()
                            .map(p -> p.name() + " " + p.joins())
                            .collect(Collectors.joining(", ")));
            return null;
        }

        @Override
        public Void pump(Pump pump) {
            line(pump.id(), "drive", pump.drive().name().toLowerCase(Locale.ROOT));
            return null;
        }

        @Override
        public Void regulator(Regulator regulator) {
            line(regulator.id(), "style", regulator.style().name().toLowerCase(Locale.ROOT));
            return null;
        }

        @Override
        public Void tank(Tank tank) {
            tank.outlets()
                    .forEach(o -> line(
                            tank.id(),
                            o.name() + ", edge",
                            o.edge().name().toLowerCase(Locale.ROOT).replace('_', ' ')));
            return null;
        }
    }

    /** A plate that was not there when the tank was found tight is a joint nobody looked at. */
    private void plate(Tank tank) {
        if (tank.fitout().has(Fitout.Piece.ACCESS_PLATE)) {
            line(tank.id(), "access plate", "fitted");
        }
    }

    private void joints(Run run) {
        renewed(run.id());
        line(run.id(), "size", run.size().label());
        joint(run, "start", run.from(), run.build().start());
        joint(run, "end", run.to(), run.build().end());
    }

    private void joint(Run run, String which, PortRef port, RunBuild.End end) {
        line(run.id(), which + " meets", port.toString());
        // a joint undone since is another joint: only what was found at it after it was done up counts
        String worked = built.joints().get(run.id() + "." + which);
        if (worked != null) {
            line(run.id(), which + " worked on", worked);
        }
        line(
                run.id(),
                which + " joint",
                end.fitting().map(f -> f.text()).orElse("not said") + ", "
                        + end.port().map(f -> f.text()).orElse("not said")
                        + (end.adapter().isEmpty() ? "" : ", adapter " + end.adapter())
                        + (end.sealant().isEmpty() ? "" : ", " + end.sealant())
                        + end.clamp()
                                .map(c -> ", clamp " + c.name().toLowerCase(Locale.ROOT))
                                .orElse(""));
        line(
                run.id(),
                "torque",
                run.build().torque().map(t -> t.quantity().shown()).orElse("not said"));
    }

    private void forward() {
        Form form = Form.of(TestKind.FIRST_RUN).orElseThrow();
        for (String piece : form.pieces(system).keySet()) {
            boolean start = piece.endsWith(".start");
            Form.item(system, piece).flatMap(i -> i.only(Run.class)).ifPresent(r -> {
                line(r.id(), "size", r.size().label());
                renewed(r.id());
                joint(
                        r,
                        start ? "start" : "end",
                        start ? r.from() : r.to(),
                        start ? r.build().start() : r.build().end());
            });
        }
    }

    private void vents() {
        for (Item item : system.items()) {
            boolean vented = item.only(Tank.class).isPresent()
                    || item.only(VentPlenum.class).isPresent();
            FieldSheet.of(item).stream()
                    .filter(f -> vented && f.key().startsWith("vent"))
                    .forEach(f -> line(item.id(), f.key(), figure(f, item)));
            item.only(Header.class).ifPresent(h -> h.vents()
                    .forEach(v -> system.runAt(new PortRef(h.id(), v)).ifPresent(this::part)));
        }
    }

    private void drain(String id) {
        system.item(id).ifPresent(item -> FieldSheet.of(item).stream()
                .filter(f -> f.key().startsWith("drain"))
                .forEach(f -> line(id, f.key(), figure(f, item))));
    }

    private void drains() {
        for (Item item : system.items()) {
            drain(item.id());
            item.only(Header.class).filter(Header::drain).ifPresent(h -> line(h.id(), "drain", "fitted"));
            item.only(GaugePort.class)
                    .filter(g -> g.shows() == GaugePort.Shows.SAMPLE)
                    .ifPresent(g -> line(g.id(), "drain", "fitted"));
            item.only(Strainer.class)
                    .ifPresent(s -> line(
                            s.id(),
                            "drain",
                            (s.drain() ? "fitted" : "none") + ", "
                                    + UnitSystem.figure(
                                            Unit.INCH.fromSi(s.place().point().z() - origin.z()), 2)
                                    + " in over the inlet"));
        }
    }
}
