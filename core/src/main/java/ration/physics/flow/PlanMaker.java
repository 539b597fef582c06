package ration.physics.flow;

import static ration.physics.flow.Sketch.factor;
import static ration.physics.flow.Sketch.port;
import static ration.physics.flow.Sketch.times;

import java.util.List;
import java.util.Optional;
import ration.aircraft.condition.Fault;
import ration.aircraft.condition.Faults;
import ration.aircraft.model.Bulkhead;
import ration.aircraft.model.CheckBlock;
import ration.aircraft.model.CheckValve;
import ration.aircraft.model.EngineInlet;
import ration.aircraft.model.Filter;
import ration.aircraft.model.Fitted;
import ration.aircraft.model.Fitting;
import ration.aircraft.model.FlowSender;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.GaugePort;
import ration.aircraft.model.Header;
import ration.aircraft.model.Item;
import ration.aircraft.model.JetPump;
import ration.aircraft.model.Kinds;
import ration.aircraft.model.LineSize;
import ration.aircraft.model.Orifice;
import ration.aircraft.model.PortRef;
import ration.aircraft.model.Pump;
import ration.aircraft.model.QuickDisconnect;
import ration.aircraft.model.Regulator;
import ration.aircraft.model.Run;
import ration.aircraft.model.Selector;
import ration.aircraft.model.ShutOff;
import ration.aircraft.model.Strainer;
import ration.aircraft.model.Tank;
import ration.aircraft.model.Tee;
import ration.aircraft.model.VentPlenum;
import ration.base.fluid.Fluid;
import ration.base.geometry.Point3;
import ration.solver.network.Element;
import ration.solver.network.Element.Minor;

/**
 * Makes the nodes and elements of every item, as it is set and as it has failed. One method a kind; {@link Vessels} are
 * apart.
 */
final class PlanMaker implements Kinds<Void> {

    /** Node behind the engine inlet: the vented float bowl, or the open end of the line. */
    static final String BOWL = "~bowl";

    /** Through and branch loss of a tee, textbook threaded fittings (Munson table 8.2, from memory). */
    private static final double TEE_THROUGH = 0.9;

    private static final double TEE_BRANCH = 2.0;
    /** Fouled over clean where nobody gave a fouled figure; common practice, no source. */
    private static final double FOULED = 2;
    /** Length of line over which it is pinched, m; common practice, no source. */
    private static final double PINCH = 0.0254;
    /** Discharge coefficient of a small sharp hole; textbook, from memory. */
    private static final double HOLE = 0.62;
    /** A hole wider than any passage here, m. */
    private static final double ALL_OPEN = 0.5;

    private final FlowBasis basis;
    private final FuelSystem system;
    private final PlanKey key;
    private final Faults faults;
    private final Fluid fluid;
    private final Groundwork ground;
    private final Sketch sketch;
    private final Vessels vessels;

    PlanMaker(FlowBasis basis, PlanKey key, Fluid fluid) {
        this.basis = basis;
        this.system = basis.system();
        this.key = key;
        this.faults = key.faults();
        this.fluid = fluid;
        this.ground = basis.ground();
        sketch = new Sketch(ground);
        vessels = new Vessels(basis, key, fluid, sketch);
        for (Item item : system.items()) {
            item.as(this);
        }
        faults.all().stream().filter(f -> f.kind() == Fault.Kind.FUEL_LEAK).forEach(this::leak);
    }

    Sketch sketch() {
        return sketch;
    }

    private void through(Fitted item, Element element) {
        wire(item.id(), item.id(), port(item, Item.IN), port(item, Item.OUT), element);
    }

    private void wire(String link, String item, String from, String to, Element element) {
        sketch.wire(link, item, from, to, element);
    }

    @Override
    public Void tank(Tank tank) {
        vessels.tank(tank);
        return null;
    }

    @Override
    public Void header(Header header) {
        vessels.header(header);
        return null;
    }

    @Override
    public Void ventPlenum(VentPlenum plenum) {
        vessels.plenum(plenum);
        return null;
    }

    @Override
    public Void shutOff(ShutOff valve) {
        through(
                valve,
                key.handles().shutValves().contains(valve.id()) || faults.has(Fault.Kind.VALVE_SHUT, valve.id())
                        ? new Element.Shut()
                        : Losses.openBore(valve.loss()));
        return null;
    }

    @Override
    public Void strainer(Strainer strainer) {
        Optional<Fault> fouled = faults.of(Fault.Kind.FILTER_FOULED, strainer.id());
        Element.Resistance loss = Losses.screen(
                !key.engine().fouled() && fouled.isEmpty()
                        ? strainer.loss()
                        : strainer.fouled().orElseGet(() -> strainer.loss().times(FOULED)));
        through(strainer, times(loss, factor(fouled)));
        return null;
    }

    @Override
    public Void filter(Filter filter) {
        Optional<Fault> fouled = faults.of(Fault.Kind.FILTER_FOULED, filter.id());
        Element.Resistance loss = !key.engine().fouled() && fouled.isEmpty()
                ? Losses.through(filter.points())
                : filter.fouled()
                        .map(Losses::screen)
                        .orElseGet(() -> Losses.through(filter.points().stream()
                                .map(r -> r.times(FOULED))
                                .toList()));
        through(filter, times(loss, factor(fouled)));
        return null;
    }

    @Override
    public Void flowSender(FlowSender sender) {
        through(
                sender,
                times(Losses.openBore(sender.loss()), factor(faults.of(Fault.Kind.SENDER_CLOGGED, sender.id()))));
        return null;
    }

    @Override
    public Void gaugePort(GaugePort item) {
        through(item, new Element.Joint());
        return null;
    }

    @Override
    public Void bulkhead(Bulkhead fitting) {
        through(fitting, Losses.openBore(fitting.loss()));
        return null;
    }

    @Override
    public Void quickDisconnect(QuickDisconnect coupling) {
        through(
                coupling,
                faults.has(Fault.Kind.COUPLING_APART, coupling.id())
                        ? new Element.Shut()
                        : Losses.openBore(coupling.loss()));
        return null;
    }

    @Override
    public Void regulator(Regulator r) {
        through(r, regulating(r));
        return null;
    }

    private Element regulating(Regulator r) {
        Optional<Fault> open = faults.of(Fault.Kind.REGULATOR_STUCK_OPEN, r.id());
        if (open.isPresent()) {
            // what stays open is a hole in its own passage
            Element.Resistance bore = Losses.openBore(r.loss());
            return new Element.Check(
                    0,
                    new Element.Resistance(
                            bore.linear(),
                            bore.square()
                                    + (open.get().severity() < ALL_OPEN
                                            ? resistance(open.get().severity(), HOLE)
                                                    .square()
                                            : 0)));
        }
        if (faults.has(Fault.Kind.REGULATOR_STUCK_SHUT, r.id())) {
            return new Element.Shut();
        }
        boolean refers = r.reference() == Regulator.Reference.MANIFOLD && !faults.has(Fault.Kind.REFERENCE_OFF, r.id());
        double reference = refers ? basis.around().manifold(key.engine().power()) : 0;
        return new Element.Regulator(
                r.style() == Regulator.Style.BYPASS
                        ? Element.Regulator.Holds.UPSTREAM
                        : Element.Regulator.Holds.DOWNSTREAM,
                r.setting().si() + reference,
                Losses.openBore(r.loss()));
    }

    @Override
    public Void checkValve(CheckValve valve) {
        through(valve, oneWay(valve, "", valve.cracking().si(), Losses.openBore(valve.loss())));
        return null;
    }

    /** A valve that passes one way, or as it is stuck. */
    private Element oneWay(Item item, String port, double cracking, Element.Resistance open) {
        return faults.of(Fault.Kind.CHECK_STUCK_SHUT, item.id(), port).isPresent()
                ? new Element.Shut()
                : faults.of(Fault.Kind.CHECK_STUCK_OPEN, item.id(), port).isPresent()
                        ? open
                        : new Element.Check(cracking, open);
    }

    @Override
    public Void orifice(Orifice orifice) {
        through(
                orifice,
                faults.has(Fault.Kind.ORIFICE_CLOGGED, orifice.id())
                        ? new Element.Shut()
                        : new Element.Orifice(orifice.bore().si(), orifice.dischargeCoefficient()));
        return null;
    }

    @Override
    public Void pump(Pump pump) {
        through(
                pump,
                PumpElement.of(
                        pump,
                        key.handles().stopped().contains(pump.id()),
                        key.engine().power(),
                        faults));
        return null;
    }

    @Override
    public Void checkBlock(CheckBlock block) {
        String centre = block.id() + "~body";
        sketch.spot(Spot.at(centre, block.place().point()));
        for (String in : List.of(Item.IN, CheckBlock.SECOND)) {
            wire(
                    port(block, in),
                    block.id(),
                    port(block, in),
                    centre,
                    oneWay(block, in, block.cracking().si(), Losses.openBore(block.loss())));
        }
        wire(port(block, Item.OUT), block.id(), centre, port(block, Item.OUT), new Element.Joint());
        return null;
    }

    @Override
    public Void jetPump(JetPump jet) {
        String nozzle = port(jet, Item.IN);
        String out = port(jet, Item.OUT);
        wire(
                nozzle,
                jet.id(),
                nozzle,
                out,
                faults.has(Fault.Kind.NOZZLE_CLOGGED, jet.id())
                        ? new Element.Shut()
                        : new Element.Check(0, resistance(jet.nozzle().si(), JetPump.NOZZLE_DISCHARGE)));
        wire(
                port(jet, JetPump.SUCTION),
                jet.id(),
                port(jet, JetPump.SUCTION),
                out,
                new Element.Jet(nozzle, jet.flowRatio().si(), jet.headRatio().si(), passage(jet)));
        return null;
    }

    /** One velocity head in the line that leads to the suction port, or in three nozzle bores where there is none. */
    private Element.Resistance passage(JetPump jet) {
        double bore = system.runAt(new PortRef(jet.id(), JetPump.SUCTION))
                .map(r -> r.size().bore())
                .orElse(3 * jet.nozzle().si());
        double area = Math.PI * bore * bore / 4;
        return new Element.Resistance(0, fluid.density() / (2 * area * area));
    }

    private Element.Resistance resistance(double bore, double dischargeCoefficient) {
        double effective = dischargeCoefficient * Math.PI * bore * bore / 4;
        return new Element.Resistance(0, fluid.density() / (2 * effective * effective));
    }

    @Override
    public Void selector(Selector selector) {
        String chosen = key.handles()
                .positions()
                .getOrDefault(selector.id(), selector.positions().get(0).name());
        List<List<String>> joins =
                selector.position(chosen).map(Selector.Position::joins).orElse(List.of());
        double share = factor(faults.of(Fault.Kind.SELECTOR_BETWEEN, selector.id()));
        int body = 0;
        for (List<String> group : joins) {
            String centre = selector.id() + "~body" + body++;
            sketch.spot(Spot.at(centre, selector.place().point()));
            for (String port : group) {
                boolean outlet = port.equals(Item.OUT) || selector.returns().contains(port);
                String ref = port(selector, port);
                wire(
                        ref,
                        selector.id(),
                        outlet ? centre : ref,
                        outlet ? ref : centre,
                        outlet ? new Element.Joint() : times(Losses.openBore(selector.loss()), 1 / (share * share)));
            }
        }
        Optional<Fault> leak = faults.of(Fault.Kind.SELECTOR_LEAKS, selector.id());
        if (leak.isPresent() && !joins.isEmpty()) {
            List<String> open = joins.stream().flatMap(List::stream).toList();
            for (String shut : selector.inlets()) {
                if (!open.contains(shut)) {
                    wire(
                            port(selector, shut) + "~leak",
                            selector.id(),
                            port(selector, shut),
                            selector.id() + "~body0",
                            resistance(leak.get().severity(), HOLE));
                }
            }
        }
        return null;
    }

    @Override
    public Void tee(Tee tee) {
        String centre = tee.id() + "~body";
        sketch.spot(Spot.at(centre, tee.place().point()));
        for (String port : tee.ports()) {
            double k = port.equals(Tee.BRANCH) ? TEE_BRANCH - TEE_THROUGH / 2 : TEE_THROUGH / 2;
            wire(
                    port(tee, port),
                    tee.id(),
                    port(tee, port),
                    centre,
                    new Element.Pipe(tee.bore().si(), 0, 0, Minor.k(k), false));
        }
        return null;
    }

    @Override
    public Void engineInlet(EngineInlet inlet) {
        String port = port(inlet, Item.IN);
        boolean openLine = key.asks() == FlowQuestion.OpenLine.class;
        if (inlet.returns() && !openLine) {
            wire(inlet.id() + "~rail", inlet.id(), port, port(inlet, EngineInlet.RETURN), new Element.Joint());
        }
        boolean stuckOpen = faults.has(Fault.Kind.NEEDLE_STUCK_OPEN, inlet.id()) && !openLine;
        boolean stuckShut = faults.has(Fault.Kind.NEEDLE_STUCK_SHUT, inlet.id()) && !openLine;
        if (key.asks() == FlowQuestion.Demand.class && !stuckOpen) {
            if (stuckShut) {
                String behind = port(inlet, "needle");
                sketch.spot(Spot.at(behind, sketch.spotOf(port).place()).holding(Spot.Holds.DEMAND));
                wire(inlet.id(), inlet.id(), port, behind, new Element.Shut());
            } else {
                sketch.spot(sketch.spotOf(port).holding(Spot.Holds.DEMAND));
            }
            return null;
        }
        sketch.spot(Spot.at(BOWL, sketch.spotOf(port).place()).holding(Spot.Holds.AMBIENT));
        wire(
                inlet.id(),
                inlet.id(),
                port,
                BOWL,
                stuckShut
                        ? new Element.Shut()
                        : openLine
                                ? openEnd(inlet)
                                : stuckOpen
                                        ? new Element.Check(
                                                0, resistance(inlet.seat().si(), EngineInlet.SEAT_DISCHARGE))
                                        : basis.wideOpen(inlet, key.engine().power()));
        return null;
    }

    /** One velocity head in the last line is lost as it pours out. */
    private Element openEnd(EngineInlet inlet) {
        double area = system.runAt(new PortRef(inlet.id(), Item.IN))
                .map(r -> r.size().area())
                .orElse(Math.PI * inlet.seat().si() * inlet.seat().si() / 4);
        return new Element.Check(0, new Element.Resistance(0, fluid.density() / (2 * area * area)));
    }

    @Override
    public Void run(Run run) {
        Wire sound = ground.sound(run);
        Optional<Fault> pinched = faults.of(Fault.Kind.LINE_PINCHED, run.id());
        if (faults.has(Fault.Kind.RETURN_BLOCKED, run.id())) {
            sketch.add(new Wire(
                    sound.link(), sound.item(), sound.from(), sound.to(), new Element.Shut(), sound.between()));
        } else if (pinched.isPresent()) {
            String pinch = run.id() + "~pinch";
            sketch.spot(Spot.at(pinch, sketch.spotOf(run.to().toString()).place()));
            sketch.add(new Wire(
                    sound.link(), sound.item(), sound.from(), sketch.at(pinch), sound.element(), sound.between()));
            wire(
                    pinch,
                    run.id(),
                    pinch,
                    run.to().toString(),
                    pinch(run.size(), pinched.get().severity()));
        } else {
            sketch.add(sound);
        }
        return null;
    }

    static Element.Pipe pipe(FuelSystem system, Run run) {
        Point3 start = system.point(run.from()).orElseThrow();
        Point3 end = system.point(run.to()).orElseThrow();
        Minor minor = Losses.flaredEnd(run.size()).times(2);
        for (Fitting f : run.fittings()) {
            minor = minor.plus(Losses.fitting(f, run.size().bore()));
        }
        return new Element.Pipe(
                run.size().bore(), run.lengthM(start, end), run.size().kind().roughness(), minor, false);
    }

    /**
     * An inch of narrower bore, with what it costs to go in and out: 0.5 (1 - b2) + (1 - b2)^2, Crane TP-410, from
     * memory.
     */
    static Element.Pipe pinch(LineSize size, double share) {
        double area = share * share;
        return new Element.Pipe(
                size.bore() * share,
                PINCH,
                Math.min(size.kind().roughness(), size.bore() * share / 2),
                Minor.k(0.5 * (1 - area) + (1 - area) * (1 - area)),
                false);
    }

    /** Fuel runs out where the pressure is over ambient; nothing comes in. */
    private void leak(Fault f) {
        String at = basis.leakPort(f);
        if (sketch.at(at) != null) {
            String outside = at + "~outside";
            sketch.spot(Spot.at(outside, sketch.spotOf(at).place()).holding(Spot.Holds.AMBIENT));
            wire(at + "~leak", at + "~leak", at, outside, new Element.Check(0, resistance(f.severity(), HOLE)));
        }
    }
}
