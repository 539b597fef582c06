package ration.flow;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import ration.breathing.AirLine;
import ration.breathing.VentPath;
import ration.condition.Fault;
import ration.condition.Faults;
import ration.fluid.Fluid;
import ration.geometry.ApparentGravity;
import ration.geometry.Point3;
import ration.model.Bulkhead;
import ration.model.CheckBlock;
import ration.model.CheckValve;
import ration.model.EngineInlet;
import ration.model.Filter;
import ration.model.Fitted;
import ration.model.Fitting;
import ration.model.FlowSender;
import ration.model.FuelSystem;
import ration.model.GaugePort;
import ration.model.Header;
import ration.model.Item;
import ration.model.JetPump;
import ration.model.Kinds;
import ration.model.LineSize;
import ration.model.Orifice;
import ration.model.Outlet;
import ration.model.PortRef;
import ration.model.Pump;
import ration.model.QuickDisconnect;
import ration.model.Rated;
import ration.model.Regulator;
import ration.model.Run;
import ration.model.Selector;
import ration.model.ShutOff;
import ration.model.Strainer;
import ration.model.Tank;
import ration.model.Tee;
import ration.model.VentPlenum;
import ration.network.Element.Minor;
import ration.network.Element;

/** Makes the nodes and elements of every item, as it is set and as it has failed. One method a kind. */
final class PlanMaker implements Kinds<Void> {

    /** Node behind the engine inlet: the vented float bowl, or the open end of the line. */
    static final String BOWL = "~bowl";
    /** What the node at the surface of a tank is called after its id. */
    static final String SURFACE = "~surface";

    /** Through and branch loss of a tee, textbook threaded fittings (Munson table 8.2, from memory). */
    private static final double TEE_THROUGH = 0.9;
    private static final double TEE_BRANCH = 2.0;
    /** Fouled over clean where nobody gave a fouled figure; common practice, no source. */
    private static final double FOULED = 2;
    /** Sharp entrance at a tank outlet (Crane TP-410, from memory). */
    private static final double ENTRANCE = 0.5;
    /** Length of line over which it is pinched, m; common practice, no source. */
    private static final double PINCH = 0.0254;
    /** Discharge coefficient of a small sharp hole; textbook, from memory. */
    private static final double HOLE = 0.62;
    /** Holds its upper side at ambient: fuel falling free, or running over a lip. */
    private static final Element FREE_FALL = new Element.Regulator(Element.Regulator.Holds.UPSTREAM, 0,
            new Element.Resistance(0, 0));

    private final FlowBasis basis;
    private final FuelSystem system;
    private final PlanKey key;
    private final Faults faults;
    private final Fluid fluid;
    private final Groundwork ground;
    private final List<Spot> spots;
    /** Nodes beside those of the groundwork. */
    private final Map<String, Integer> byName = new HashMap<>();
    private final List<Wire> wires = new ArrayList<>();

    PlanMaker(FlowBasis basis, PlanKey key, Fluid fluid) {
        this.basis = basis;
        this.system = basis.system();
        this.key = key;
        this.faults = key.faults();
        this.fluid = fluid;
        this.ground = basis.ground();
        spots = new ArrayList<>(ground.spots());
        for (Item item : system.items()) {
            item.as(this);
        }
        faults.all().stream().filter(f -> f.kind() == Fault.Kind.FUEL_LEAK).forEach(this::leak);
    }

    List<Spot> spots() {
        return List.copyOf(spots);
    }

    List<Wire> wires() {
        return List.copyOf(wires);
    }

    /** Adds a node, or says of one that is there what holds it. */
    private void spot(Spot s) {
        Integer at = at(s.id());
        if (at == null) {
            byName.put(s.id(), spots.size());
            spots.add(s);
        } else {
            spots.set(at, s);
        }
    }

    private Integer at(String name) {
        Integer of = ground.at(name);
        return of != null ? of : byName.get(name);
    }

    private Spot spotOf(String name) {
        return spots.get(at(name));
    }

    private void wire(String link, String item, String from, String to, Element element) {
        wires.add(new Wire(link, item, at(from), at(to), element, List.of()));
    }

    private void through(Fitted item, Element element) {
        wire(item.id(), item.id(), port(item, Item.IN), port(item, Item.OUT), element);
    }

    private static String port(Item item, String port) {
        return item.id() + "." + port;
    }

    private static Element times(Element.Resistance r, double factor) {
        return factor == Double.POSITIVE_INFINITY ? new Element.Shut() : factor == 1 ? r
                : new Element.Resistance(r.linear() * factor, r.square() * factor);
    }

    private static double factor(Optional<Fault> fault) {
        return fault.map(Fault::severity).orElse(1.0);
    }

    @Override
    public Void shutOff(ShutOff valve) {
        through(valve, key.handles().shutValves().contains(valve.id()) ? new Element.Shut() : valve.loss().openBore());
        return null;
    }

    @Override
    public Void strainer(Strainer strainer) {
        Optional<Fault> fouled = faults.of(Fault.Kind.FILTER_FOULED, strainer.id());
        Element.Resistance loss = !key.engine().fouled() && fouled.isEmpty() ? strainer.loss().screen()
                : strainer.fouled().orElseGet(() -> strainer.loss().times(FOULED)).screen();
        through(strainer, times(loss, factor(fouled)));
        return null;
    }

    @Override
    public Void filter(Filter filter) {
        Optional<Fault> fouled = faults.of(Fault.Kind.FILTER_FOULED, filter.id());
        Element.Resistance loss = !key.engine().fouled() && fouled.isEmpty() ? Rated.through(filter.points()) : filter.fouled().map(
                Rated::screen).orElseGet(() -> Rated.through(filter.points().stream().map(r -> r.times(FOULED)).toList()));
        through(filter, times(loss, factor(fouled)));
        return null;
    }

    @Override
    public Void flowSender(FlowSender sender) {
        through(sender, times(sender.loss().openBore(), factor(faults.of(Fault.Kind.SENDER_CLOGGED, sender.id()))));
        return null;
    }

    @Override
    public Void gaugePort(GaugePort item) {
        through(item, new Element.Joint());
        return null;
    }

    @Override
    public Void bulkhead(Bulkhead fitting) {
        through(fitting, fitting.loss().openBore());
        return null;
    }

    @Override
    public Void quickDisconnect(QuickDisconnect coupling) {
        through(coupling, coupling.loss().openBore());
        return null;
    }

    @Override
    public Void regulator(Regulator r) {
        through(r, regulating(r));
        return null;
    }

    private Element regulating(Regulator r) {
        if (faults.has(Fault.Kind.REGULATOR_STUCK_OPEN, r.id())) {
            return new Element.Check(0, r.loss().openBore());
        }
        if (faults.has(Fault.Kind.REGULATOR_STUCK_SHUT, r.id())) {
            return new Element.Shut();
        }
        boolean refers = r.reference() == Regulator.Reference.MANIFOLD && !faults.has(Fault.Kind.REFERENCE_OFF, r.id());
        double reference = refers ? basis.around().manifold(key.engine().power()) : 0;
        return new Element.Regulator(r.style() == Regulator.Style.BYPASS ? Element.Regulator.Holds.UPSTREAM
                : Element.Regulator.Holds.DOWNSTREAM, r.setting().si() + reference, r.loss().openBore());
    }

    @Override
    public Void checkValve(CheckValve valve) {
        through(valve, oneWay(valve, "", valve.cracking().si(), valve.loss().openBore()));
        return null;
    }

    /** A valve that passes one way, or as it is stuck. */
    private Element oneWay(Item item, String port, double cracking, Element.Resistance open) {
        return faults.of(Fault.Kind.CHECK_STUCK_SHUT, item.id(), port).isPresent() ? new Element.Shut()
                : faults.of(Fault.Kind.CHECK_STUCK_OPEN, item.id(), port).isPresent() ? open : new Element.Check(cracking, open);
    }

    @Override
    public Void orifice(Orifice orifice) {
        through(orifice, new Element.Orifice(orifice.bore().si(), orifice.dischargeCoefficient()));
        return null;
    }

    @Override
    public Void pump(Pump pump) {
        through(pump, PumpElement.of(pump, key.handles().stopped().contains(pump.id()), key.engine().power(), faults));
        return null;
    }

    /**
     * A header: one body at a level that follows from the balance. Its ports are level with their lips: fuel that comes in
     * over the level falls free, fuel leaves by the vent only once it stands there, and a body that is drawn lower than
     * its outlet is held at the outlet's lip, which is what air does to it.
     */
    @Override
    public Void header(Header header) {
        String body = header.id() + "~body";
        HeaderStates headers = key.headers();
        Spot middle = Spot.at(body, header.place().point());
        spot(headers.dry().contains(header.id()) ? middle.holding(Spot.Holds.AMBIENT) : middle);
        for (String outlet : header.outlets()) {
            wire(port(header, outlet), header.id(), body, port(header, outlet), new Element.Joint());
        }
        for (String inlet : header.inlets()) {
            String ref = port(header, inlet);
            wire(ref, header.id(), ref, body, headers.falling().contains(ref) ? FREE_FALL : new Element.Joint());
        }
        for (String name : header.vents()) {
            String vent = port(header, name);
            String mouth = header.id() + "~mouth" + (name.equals(Header.VENT) ? "" : "~" + name);
            if (headers.falling().contains(vent)) {
                spot(Spot.at(mouth, spotOf(vent).place()));
                wire(vent + "~lip", header.id(), body, mouth, new Element.Joint());
                wire(vent, header.id(), mouth, vent, FREE_FALL);
            } else {
                wire(vent, header.id(), body, vent, new Element.Check(0, new Element.Resistance(0, 0)));
            }
        }
        return null;
    }

    @Override
    public Void checkBlock(CheckBlock block) {
        String centre = block.id() + "~body";
        spot(Spot.at(centre, block.place().point()));
        for (String in : List.of(Item.IN, CheckBlock.SECOND)) {
            wire(port(block, in), block.id(), port(block, in), centre, oneWay(block, in, block.cracking().si(), block.loss().openBore()));
        }
        wire(port(block, Item.OUT), block.id(), centre, port(block, Item.OUT), new Element.Joint());
        return null;
    }

    @Override
    public Void jetPump(JetPump jet) {
        String nozzle = port(jet, Item.IN);
        String out = port(jet, Item.OUT);
        wire(nozzle, jet.id(), nozzle, out, new Element.Check(0, resistance(jet.nozzle().si(), JetPump.NOZZLE_DISCHARGE)));
        wire(port(jet, JetPump.SUCTION), jet.id(), port(jet, JetPump.SUCTION), out,
                new Element.Jet(nozzle, jet.flowRatio().si(), jet.headRatio().si(), passage(jet)));
        return null;
    }

    /** One velocity head in the line that leads to the suction port, or in three nozzle bores where there is none. */
    private Element.Resistance passage(JetPump jet) {
        double bore = system.runAt(new PortRef(jet.id(), JetPump.SUCTION)).map(r -> r.size().bore())
                .orElse(3 * jet.nozzle().si());
        double area = Math.PI * bore * bore / 4;
        return new Element.Resistance(0, fluid.density() / (2 * area * area));
    }

    private Element.Resistance resistance(double bore, double dischargeCoefficient) {
        double effective = dischargeCoefficient * Math.PI * bore * bore / 4;
        return new Element.Resistance(0, fluid.density() / (2 * effective * effective));
    }

    @Override
    public Void tank(Tank tank) {
        String surface = tank.id() + SURFACE;
        spot(new Spot(surface, null, tank.id(), Spot.Holds.AIRSPACE));
        VentPath vents = basis.vents(tank);
        boolean shut = vents.legs().stream().anyMatch(l -> faults.has(Fault.Kind.VENT_SHUT, l.item().id()));
        boolean lost = faults.has(Fault.Kind.CAP_LOST, tank.id());
        if (!key.airspace().contains(tank.id()) && !shut && !lost && breathes(vents)) {
            spot(new Spot(surface, null, tank.id(), Spot.Holds.NOTHING));
            air(tank, vents, surface, new Spot(tank.id() + "~tip", null, tank.id(), Spot.Holds.TIP));
        }
        for (Outlet outlet : tank.outlets()) {
            String port = port(tank, outlet.name());
            if (key.bare().contains(port)) {
                bare(tank, outlet.name());
            } else {
                double area = Math.PI * outlet.bore().si() * outlet.bore().si() / 4;
                double entrance = ENTRANCE * fluid.density() / (2 * area * area);
                Element.Resistance screen = outlet.screen().map(Rated::screen).orElse(new Element.Resistance(0, 0));
                wire(port, tank.id(), surface, port, times(new Element.Resistance(screen.linear(), screen.square() + entrance),
                        factor(faults.of(Fault.Kind.OUTLET_CLOGGED, tank.id(), outlet.name()))));
            }
        }
        for (Tank.Entry entry : tank.returns()) {
            String port = port(tank, entry.name());
            if (key.bare().contains(port)) {
                bare(tank, entry.name());
            } else {
                wire(port, tank.id(), port, surface, new Element.Joint());
            }
        }
        return null;
    }

    /** Whether what air costs on its way in is known; otherwise it costs nothing. */
    private boolean breathes(VentPath vents) {
        return vents.open() && (!vents.lines().isEmpty() || vents.legs().stream().anyMatch(l -> faults.has(Fault.Kind.VENT_HOLDS_LIQUID,
                l.item().id())));
    }

    /** Air comes in to a node from the plenum its vent leads to, or from its own tip; liquid in it holds it back. */
    private void air(Item item, VentPath vents, String inner, Spot tip) {
        String outer = vents.shares().map(PlanMaker::chamber).orElse(tip.id());
        String vent = item.id() + "~vent";
        if (vents.shares().isEmpty()) {
            spot(tip);
        }
        Element.Vent lines = new Element.Vent(vents.ownLines().stream().map(v -> AirLine.of(v).pipe()).toList());
        Optional<Fault> liquid = faults.of(Fault.Kind.VENT_HOLDS_LIQUID, item.id());
        if (liquid.isPresent()) {
            String trap = item.id() + "~trap";
            spot(new Spot(trap, spotOf(outer).place(), spotOf(outer).tank(), Spot.Holds.NOTHING));
            wire(trap, vent, outer, trap, new Element.Check(fluid.density() * ApparentGravity.STANDARD * liquid.get().severity(),
                    new Element.Resistance(0, 0)));
            wire(vent, vent, trap, inner, lines);
        } else {
            wire(vent, vent, outer, inner, lines);
        }
    }

    static String chamber(VentPlenum plenum) {
        return plenum.id() + "~air";
    }

    /** Air that tanks share on its way in. */
    @Override
    public Void ventPlenum(VentPlenum plenum) {
        VentPath vents = basis.vents(plenum);
        boolean shut = vents.legs().stream().anyMatch(l -> faults.has(Fault.Kind.VENT_SHUT, l.item().id()));
        if (vents.open() && !shut) {
            air(plenum, vents, chamber(plenum), new Spot(plenum.id() + "~tip", plenum.place().point(), plenum.id(), Spot.Holds.TIP));
        }
        return null;
    }

    /** A port that stands clear of the fuel: nothing comes in by it, and fuel falls out of it into the air of the tank. */
    private void bare(Tank tank, String name) {
        String port = port(tank, name);
        String lip = tank.id() + "~lip-" + name;
        spot(new Spot(lip, spotOf(port).place(), tank.id(), Spot.Holds.AIRSPACE));
        wire(port, tank.id(), port, lip, new Element.Uncovered());
    }

    @Override
    public Void selector(Selector selector) {
        String chosen = key.handles().positions().getOrDefault(selector.id(), selector.positions().get(0).name());
        List<List<String>> joins = selector.position(chosen).map(Selector.Position::joins).orElse(List.of());
        double share = factor(faults.of(Fault.Kind.SELECTOR_BETWEEN, selector.id()));
        int body = 0;
        for (List<String> group : joins) {
            String centre = selector.id() + "~body" + body++;
            spot(Spot.at(centre, selector.place().point()));
            for (String port : group) {
                boolean outlet = port.equals(Item.OUT) || selector.returns().contains(port);
                String ref = port(selector, port);
                wire(ref, selector.id(), outlet ? centre : ref, outlet ? ref : centre,
                        outlet ? new Element.Joint() : times(selector.loss().openBore(), 1 / (share * share)));
            }
        }
        Optional<Fault> leak = faults.of(Fault.Kind.SELECTOR_LEAKS, selector.id());
        if (leak.isPresent() && !joins.isEmpty()) {
            List<String> open = joins.stream().flatMap(List::stream).toList();
            for (String shut : selector.inlets()) {
                if (!open.contains(shut)) {
                    wire(port(selector, shut) + "~leak", selector.id(), port(selector, shut), selector.id() + "~body0",
                            resistance(leak.get().severity(), HOLE));
                }
            }
        }
        return null;
    }

    @Override
    public Void tee(Tee tee) {
        String centre = tee.id() + "~body";
        spot(Spot.at(centre, tee.place().point()));
        for (String port : tee.ports()) {
            double k = port.equals(Tee.BRANCH) ? TEE_BRANCH - TEE_THROUGH / 2 : TEE_THROUGH / 2;
            wire(port(tee, port), tee.id(), port(tee, port), centre, new Element.Pipe(tee.bore().si(), 0, 0, Minor.k(k), false));
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
                spot(Spot.at(behind, spotOf(port).place()).holding(Spot.Holds.DEMAND));
                wire(inlet.id(), inlet.id(), port, behind, new Element.Shut());
            } else {
                spot(spotOf(port).holding(Spot.Holds.DEMAND));
            }
            return null;
        }
        spot(Spot.at(BOWL, spotOf(port).place()).holding(Spot.Holds.AMBIENT));
        wire(inlet.id(), inlet.id(), port, BOWL, stuckShut ? new Element.Shut() : openLine ? openEnd(inlet) : stuckOpen
                ? new Element.Check(0, resistance(inlet.seat().si(), EngineInlet.SEAT_DISCHARGE)) : FlowBasis.wideOpen(inlet));
        return null;
    }

    /** One velocity head in the last line is lost as it pours out. */
    private Element openEnd(EngineInlet inlet) {
        double area = system.runAt(new PortRef(inlet.id(), Item.IN)).map(r -> r.size().area())
                .orElse(Math.PI * inlet.seat().si() * inlet.seat().si() / 4);
        return new Element.Check(0, new Element.Resistance(0, fluid.density() / (2 * area * area)));
    }

    @Override
    public Void run(Run run) {
        Wire sound = ground.sound(run);
        Optional<Fault> pinched = faults.of(Fault.Kind.LINE_PINCHED, run.id());
        if (faults.has(Fault.Kind.RETURN_BLOCKED, run.id())) {
            wires.add(new Wire(sound.link(), sound.item(), sound.from(), sound.to(), new Element.Shut(), sound.between()));
        } else if (pinched.isPresent()) {
            String pinch = run.id() + "~pinch";
            spot(Spot.at(pinch, spotOf(run.to().toString()).place()));
            wires.add(new Wire(sound.link(), sound.item(), sound.from(), at(pinch), sound.element(), sound.between()));
            wire(pinch, run.id(), pinch, run.to().toString(), pinch(run.size(), pinched.get().severity()));
        } else {
            wires.add(sound);
        }
        return null;
    }

    static Element.Pipe pipe(FuelSystem system, Run run) {
        Point3 start = system.point(run.from()).orElseThrow();
        Point3 end = system.point(run.to()).orElseThrow();
        Minor minor = Fitting.flaredEnd(run.size()).times(2);
        for (Fitting f : run.fittings()) {
            minor = minor.plus(f.loss(run.size().bore()));
        }
        return new Element.Pipe(run.size().bore(), run.lengthM(start, end), run.size().kind().roughness(), minor, false);
    }

    /** An inch of narrower bore, with what it costs to go in and out: 0.5 (1 - b2) + (1 - b2)^2, Crane TP-410, from memory. */
    static Element.Pipe pinch(LineSize size, double share) {
        double area = share * share;
        return new Element.Pipe(size.bore() * share, PINCH, Math.min(size.kind().roughness(), size.bore() * share / 2), Minor.k(
                0.5 * (1 - area) + (1 - area) * (1 - area)), false);
    }

    /** Fuel runs out where the pressure is over ambient; nothing comes in. */
    private void leak(Fault f) {
        String at = basis.leakPort(f);
        if (at(at) != null) {
            String outside = at + "~outside";
            spot(Spot.at(outside, spotOf(at).place()).holding(Spot.Holds.AMBIENT));
            wire(at + "~leak", at + "~leak", at, outside, new Element.Check(0, resistance(f.severity(), HOLE)));
        }
    }
}
