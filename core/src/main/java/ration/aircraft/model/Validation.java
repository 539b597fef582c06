package ration.aircraft.model;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import ration.base.geometry.Point3;
import ration.base.quantity.Measured;

/** A checklist over a system that collects everything wrong or missing, each with what to do. */
public final class Validation {

    /** Nothing in an aircraft is further than this from its datum, m. */
    static final double FAR = 100;
    /** No pressure in a light fuel system comes near this, Pa. */
    private static final double MOST_PRESSURE = 6.9e6;

    private static final int LONGEST_ID = 61;

    private final FuelSystem system;
    private final List<Problem> problems = new ArrayList<>();

    private Validation(FuelSystem system) {
        this.system = system;
    }

    /** All problems, those that block first. */
    public static List<Problem> of(FuelSystem system) {
        Validation v = new Validation(system);
        v.ids();
        system.items().forEach(v::item);
        v.ports();
        v.whole();
        v.firewall();
        v.problems.sort((a, b) -> Boolean.compare(b.blocks(), a.blocks()));
        return List.copyOf(v.problems);
    }

    private void ids() {
        Set<String> seen = new HashSet<>();
        Set<String> names = new HashSet<>();
        for (Item item : system.items()) {
            if (!seen.add(item.id())) {
                block(item.id(), Problem.ID, "Two items are called " + item.id() + ".", "Give one of them another id.");
            }
            if (!spelt(item.id())) {
                block(
                        item.id(),
                        Problem.ID,
                        "The id may hold letters, digits and dashes only.",
                        "Shorten or respell it.");
            }
            if (item.name().isBlank()) {
                miss(item.id(), "Name", "It has no name.", "Name it as you would in the hangar.");
            } else if (!names.add(item.name())) {
                miss(
                        item.id(),
                        "Name",
                        "Another part is called " + item.name() + " too: findings and lists cannot tell them apart.",
                        "Give one of them another name.");
            }
        }
    }

    /**
     * Letters and digits, and dashes but at the start: asked of every part with every draw of a figure, so without a
     * pattern.
     */
    private static boolean spelt(String id) {
        for (int i = 0; i < id.length(); i++) {
            char c = id.charAt(i);
            if (!(c >= 'A' && c <= 'Z' || c >= 'a' && c <= 'z' || c >= '0' && c <= '9' || c == '-' && i > 0)) {
                return false;
            }
        }
        return !id.isEmpty() && id.length() <= LONGEST_ID;
    }

    private void item(Item item) {
        item.only(Fitted.class).ifPresent(f -> near(f.id(), "Place", f.place()));
        item.as(new OfKind());
    }

    /** What is asked of each kind. */
    private final class OfKind implements Kinds<Void> {

        @Override
        public Void tank(Tank tank) {
            new TankValidation(Validation.this).tank(tank);
            return null;
        }

        @Override
        public Void selector(Selector selector) {
            Validation.this.selector(selector);
            return null;
        }

        @Override
        public Void run(Run run) {
            Validation.this.run(run);
            return null;
        }

        @Override
        public Void pump(Pump pump) {
            Validation.this.pump(pump);
            return null;
        }

        @Override
        public Void ventPlenum(VentPlenum plenum) {
            near(plenum.id(), "Vent", plenum.tip());
            bore(plenum.id(), "Vent bore", plenum.line().bore());
            if (!(plenum.line().length().si() >= 0)) {
                block(plenum.id(), "Vent length", "Must be 0 or more.", "Measure along the line.");
            }
            ventLeads(plenum, plenum.line());
            return null;
        }

        @Override
        public Void header(Header header) {
            Validation.this.header(header);
            return null;
        }

        @Override
        public Void strainer(Strainer strainer) {
            rated(strainer.id(), strainer.loss());
            strainer.fouled().ifPresent(r -> rated(strainer.id(), r));
            mesh(strainer.id(), strainer.mesh());
            return null;
        }

        @Override
        public Void filter(Filter filter) {
            filter.points().forEach(r -> rated(filter.id(), r));
            filter.fouled().ifPresent(r -> rated(filter.id(), r));
            mesh(filter.id(), filter.mesh());
            if (filter.points().isEmpty()) {
                block(filter.id(), "Rated points", "It has no rated point.", "Give its loss at one flow or more.");
            }
            return null;
        }

        @Override
        public Void checkBlock(CheckBlock block) {
            rated(block.id(), block.loss());
            pressure(block.id(), "Cracking pressure", block.cracking());
            return null;
        }

        @Override
        public Void flowSender(FlowSender sender) {
            rated(sender.id(), sender.loss());
            return null;
        }

        @Override
        public Void gaugePort(GaugePort item) {
            return null;
        }

        @Override
        public Void bulkhead(Bulkhead fitting) {
            rated(fitting.id(), fitting.loss());
            return null;
        }

        @Override
        public Void quickDisconnect(QuickDisconnect coupling) {
            rated(coupling.id(), coupling.loss());
            return null;
        }

        @Override
        public Void regulator(Regulator regulator) {
            rated(regulator.id(), regulator.loss());
            pressure(regulator.id(), "Setting", regulator.setting());
            return null;
        }

        @Override
        public Void jetPump(JetPump jet) {
            bore(jet.id(), "Nozzle", jet.nozzle());
            if (!(jet.flowRatio().si() > 0
                    && jet.flowRatio().si() <= 20
                    && jet.headRatio().si() > 0
                    && jet.headRatio().si() <= 2)) {
                block(
                        jet.id(),
                        "Ratios",
                        "A jet pump moves up to 20 times its nozzle's flow and lifts up to twice its" + " drop.",
                        "Flow 1 to 3 and head 0.1 to 0.4 are usual.");
            }
            return null;
        }

        @Override
        public Void shutOff(ShutOff valve) {
            rated(valve.id(), valve.loss());
            return null;
        }

        @Override
        public Void checkValve(CheckValve valve) {
            rated(valve.id(), valve.loss());
            pressure(valve.id(), "Cracking pressure", valve.cracking());
            return null;
        }

        @Override
        public Void orifice(Orifice orifice) {
            bore(orifice.id(), "Bore", orifice.bore());
            if (!(orifice.dischargeCoefficient() > 0 && orifice.dischargeCoefficient() <= 1)) {
                block(orifice.id(), "Discharge coefficient", "It must lie between 0 and 1.", "0.6 to 0.8 is usual.");
            }
            return null;
        }

        @Override
        public Void tee(Tee tee) {
            bore(tee.id(), "Bore", tee.bore());
            return null;
        }

        @Override
        public Void engineInlet(EngineInlet inlet) {
            if (inlet.style() == EngineInlet.Style.FLOAT) {
                bore(inlet.id(), "Needle seat", inlet.seat());
            }
            inlet.maximumPressure().ifPresent(m -> pressure(inlet.id(), "Greatest inlet pressure", m));
            pressure(inlet.id(), "Minimum inlet pressure", inlet.minimumPressure());
            grain(inlet.id(), "Coarsest filter allowed", inlet.grain());
            return null;
        }
    }

    private void header(Header header) {
        near(header.id(), "Place", header.place());
        boolean sized = header.capacity().si() > 0
                && header.capacity().si() < 1
                && header.height().si() > 0
                && header.height().si() < 5;
        if (!sized
                || !(header.inletRise().si() >= 0
                        && header.inletRise().si() <= header.height().si())) {
            block(
                    header.id(),
                    "Shape",
                    "A header needs a capacity, a height, and inlets between its outlet and its top.",
                    "Measure them again.");
        }
        header.build()
                .lowLight()
                .filter(l -> !(l.si() > 0 && l.si() < header.height().si()))
                .ifPresent(l -> block(
                        header.id(),
                        "Low light",
                        "Its low light stands between its outlets and its top.",
                        "Give its height over the outlets."));
        if (!header.outlets().contains(Item.OUT)) {
            block(header.id(), "Ports", "A header needs an outlet called out.", "Name its outlets out, out-2.");
        }
        if (!header.vents().contains(Header.VENT)) {
            block(header.id(), "Ports", "A header needs a vent called vent.", "Name its vents vent, vent-2.");
        }
        if (header.inlets().isEmpty()
                || new HashSet<>(header.ports()).size() != header.ports().size()) {
            block(header.id(), "Ports", "A header needs inlets with names of their own.", "Name them in, in-2.");
        }
    }

    /** Follows a vent from tank to plenum to tank. */
    void ventLeads(Item item, VentLine vent) {
        Set<String> seen = new HashSet<>(Set.of(item.id()));
        Optional<VentLine> at = Optional.of(vent);
        while (at.flatMap(VentLine::to).isPresent()) {
            String to = at.flatMap(VentLine::to).get();
            Optional<Item> other = system.item(to)
                    .filter(i -> i.only(Tank.class).isPresent()
                            || i.only(VentPlenum.class).isPresent());
            if (other.isEmpty()) {
                miss(
                        item.id(),
                        "Vent",
                        "Its vent leads to " + to + ", and there is no such tank or plenum.",
                        "Set the vent destination on its card.");
                return;
            }
            if (!seen.add(to)) {
                miss(
                        item.id(),
                        "Vent",
                        "Vents loop between tanks and never reach outside air.",
                        "Route one vent overboard.");
                return;
            }
            at = VentLine.of(other.get());
        }
    }

    private void selector(Selector selector) {
        rated(selector.id(), selector.loss());
        if (selector.positions().isEmpty()) {
            block(selector.id(), "Positions", "The selector has no positions.", "Add one or more, and OFF.");
        }
        Set<String> names = new HashSet<>();
        for (Selector.Position p : selector.positions()) {
            if (!names.add(p.name())) {
                block(selector.id(), "Positions", "Two positions are called " + p.name() + ".", "Rename one.");
            }
            Set<String> joined = new HashSet<>();
            for (List<String> group : p.joins()) {
                for (String port : group) {
                    if (!selector.ports().contains(port) || !joined.add(port)) {
                        block(
                                selector.id(),
                                "Positions",
                                "Position " + p.name() + " joins \u201c" + port
                                        + "\u201d, which is not one free port of it.",
                                "Use its ports: " + String.join(", ", selector.ports()) + ".");
                    }
                }
            }
        }
        if (selector.positions().stream().noneMatch(Selector.Position::off)) {
            miss(
                    selector.id(),
                    "Positions",
                    "There is no OFF position.",
                    "Add OFF, or a shutoff that the pilot can reach.");
        }
        if (new HashSet<>(selector.ports()).size() != selector.ports().size()) {
            block(selector.id(), "Ports", "Two ports have one name.", "Rename one.");
        }
    }

    private void run(Run run) {
        run.points().forEach(p -> near(run.id(), "Points", p));
        run.length().ifPresent(l -> {
            if (!(l.si() >= 0 && l.si() <= FAR)) {
                block(run.id(), "Length", "Length: above 0, up to 328 ft (100 m).", "Measure it again.");
            }
        });
        for (PortRef end : List.of(run.from(), run.to())) {
            if (system.point(end).isEmpty()) {
                block(
                        run.id(),
                        Problem.ENDS,
                        "It ends at " + end + ", and there is no such port.",
                        "Join it to a port that exists, or remove it.");
            }
        }
        if (run.from().equals(run.to())) {
            block(run.id(), Problem.ENDS, "Both its ends are at one port.", "Join one end elsewhere.");
        }
        var start = system.point(run.from());
        var end = system.point(run.to());
        if (start.isPresent() && end.isPresent() && run.tooShort(start.get(), end.get())) {
            miss(
                    run.id(),
                    Problem.LENGTH,
                    String.format(
                            java.util.Locale.ROOT,
                            "%s is shorter than the way between its ends, %.1f in: results that use %s are Not shown.",
                            run.length().orElseThrow().quantity().text(),
                            run.withLength(java.util.Optional.empty()).lengthM(start.get(), end.get()) / 0.0254,
                            run.name()),
                    "Measure the line again, or the places of its ends.");
        }
    }

    private void pump(Pump pump) {
        pump.off().ifPresent(r -> rated(pump.id(), r));
        grain(pump.id(), "Coarsest filter allowed", pump.build().grain());
        pump.build()
                .wiring()
                .wire()
                .filter(w -> !(w.length().si() >= 0
                        && w.length().si() <= 100
                        && w.gauge().si() > 0))
                .ifPresent(w -> block(pump.id(), "Wire", "Length: 0 to 328 ft; gauge above 0.", "Correct it."));
        pump.build().relief().ifPresent(r -> {
            pressure(pump.id(), "Relief", r);
            if (!(r.si() > 0)) {
                block(pump.id(), "Relief", "Relief setting must be above 0.", "Correct it, or leave it out.");
            }
        });
        boolean falls = pump.curve().size() >= 2 && pump.curve().get(0).flow().si() >= 0;
        for (Pump.CurvePoint p : pump.curve()) {
            pressure(pump.id(), "Curve", p.pressure());
            falls &= p.flow().si() < 1;
        }
        for (int i = 1; i < pump.curve().size(); i++) {
            falls &= pump.curve().get(i).flow().si()
                            > pump.curve().get(i - 1).flow().si()
                    && pump.curve().get(i).pressure().si()
                            <= pump.curve().get(i - 1).pressure().si();
        }
        if (!falls) {
            block(
                    pump.id(),
                    "Curve",
                    "The curve needs two points or more, flow rising and pressure not.",
                    "Give the dead-head pressure at no flow first, then rated points.");
        }
    }

    private void ports() {
        Map<PortRef, String> taken = new HashMap<>();
        for (Run run : system.runs()) {
            for (PortRef end : List.of(run.from(), run.to())) {
                String other = taken.putIfAbsent(end, run.name());
                if (other != null) {
                    block(
                            run.id(),
                            Problem.ENDS,
                            "Port " + end + " already carries " + other + ".",
                            "Put a tee there, or join it elsewhere.");
                }
            }
        }
        for (PortRef open : system.openPorts()) {
            system.item(open.item())
                    .ifPresent(i -> miss(
                            i.id(),
                            "Ports",
                            i.name() + ": port " + open.port() + " is open.",
                            "Select it and press A to add the next item, or cap the port on its card."));
        }
    }

    private void firewall() {
        system.firewall().ifPresent(w -> {
            for (Measured m : List.of(w.station(), w.top(), w.foot())) {
                if (Math.abs(m.si()) > FAR) {
                    block(
                            "",
                            "Firewall",
                            "The firewall is more than 328 ft (100 m) from the datum.",
                            "Check the figures and their units.");
                    return;
                }
            }
        });
    }

    private void whole() {
        long inlets = system.all(EngineInlet.class).count();
        if (inlets != 1) {
            block(
                    "",
                    "Engine inlet",
                    inlets == 0 ? "There is no engine inlet." : "There are several engine inlets.",
                    "A system feeds one engine inlet in this version.");
        }
        if (system.tanks().isEmpty()) {
            miss("", "Tanks", "No tank yet.", "Select the engine inlet and press A to add what feeds it.");
        }
    }

    void rated(String item, Rated rated) {
        if (!(rated.flow().si() > 1e-8 && rated.flow().si() < 1)) {
            block(item, "Rated flow", "A rated point needs a flow above zero.", "Give the flow the loss was taken at.");
        }
        pressure(item, "Rated loss", rated.loss());
    }

    void near(String item, String field, Place place) {
        Point3 p = place.point();
        if (Math.abs(p.x()) > FAR || Math.abs(p.y()) > FAR || Math.abs(p.z()) > FAR) {
            block(item, field, "More than 328 ft (100 m) from the datum.", "Check the figures and their units.");
        }
    }

    void bore(String item, String field, Measured bore) {
        if (!(bore.si() > 1e-4 && bore.si() < 0.2)) {
            block(item, field, "Bore: 0.004 to 8 in.", "Measure it again.");
        }
    }

    private void grain(String item, String field, java.util.Optional<Measured> m) {
        m.filter(g -> !(g.si() >= 1e-7 && g.si() <= 5e-3))
                .ifPresent(g -> block(item, field, "Must be 0.1 to 5,000 \u00b5m.", "Correct it."));
    }

    private void mesh(String item, Mesh mesh) {
        grain(item, "Fineness", mesh.opening());
        mesh.rating().ifPresent(r -> pressure(item, "Pressure rating", r));
    }

    private void pressure(String item, String field, Measured m) {
        if (!(m.si() >= 0 && m.si() < MOST_PRESSURE)) {
            block(item, field, "Must be 0 to 1,000 psi.", "Correct it.");
        }
    }

    void block(String item, String field, String message, String remedy) {
        problems.add(new Problem(item, field, message, remedy, true));
    }

    void miss(String item, String field, String message, String remedy) {
        problems.add(new Problem(item, field, message, remedy, false));
    }
}
