package ration.physics.flow;

import static ration.physics.flow.Sketch.factor;
import static ration.physics.flow.Sketch.port;
import static ration.physics.flow.Sketch.times;

import java.util.Optional;
import ration.aircraft.condition.Fault;
import ration.aircraft.condition.Faults;
import ration.aircraft.model.Header;
import ration.aircraft.model.Item;
import ration.aircraft.model.Outlet;
import ration.aircraft.model.Tank;
import ration.aircraft.model.VentPlenum;
import ration.base.fluid.Fluid;
import ration.base.geometry.ApparentGravity;
import ration.physics.breathing.AirLine;
import ration.physics.breathing.VentPath;
import ration.solver.network.Element;

/** What holds fuel, and how air comes in over it: tanks, headers, the plenums their vents join in. */
final class Vessels {

    /** What the node at the surface of a tank is called after its id. */
    static final String SURFACE = "~surface";

    /** Sharp entrance at a tank outlet (Crane TP-410, from memory). */
    private static final double ENTRANCE = 0.5;
    /** Holds its upper side at ambient: fuel falling free, or running over a lip. */
    private static final Element FREE_FALL =
            new Element.Regulator(Element.Regulator.Holds.UPSTREAM, 0, new Element.Resistance(0, 0));

    private final FlowBasis basis;
    private final PlanKey key;
    private final Faults faults;
    private final Fluid fluid;
    private final Sketch sketch;

    Vessels(FlowBasis basis, PlanKey key, Fluid fluid, Sketch sketch) {
        this.basis = basis;
        this.key = key;
        this.fluid = fluid;
        this.sketch = sketch;
        faults = key.faults();
    }

    /**
     * A header: one body at a level that follows from the balance. Its ports are level with their lips: fuel that comes
     * in over the level falls free, fuel leaves by the vent only once it stands there, and a body that is drawn lower
     * than its outlet is held at the outlet's lip, which is what air does to it.
     */
    void header(Header header) {
        String body = header.id() + "~body";
        HeaderStates headers = key.headers();
        Spot middle = Spot.at(body, header.place().point());
        sketch.spot(headers.dry().contains(header.id()) ? middle.holding(Spot.Holds.AMBIENT) : middle);
        for (String outlet : header.outlets()) {
            sketch.wire(port(header, outlet), header.id(), body, port(header, outlet), new Element.Joint());
        }
        for (String inlet : header.inlets()) {
            String ref = port(header, inlet);
            sketch.wire(ref, header.id(), ref, body, headers.falling().contains(ref) ? FREE_FALL : new Element.Joint());
        }
        boolean shut = faults.has(Fault.Kind.VENT_SHUT, header.id());
        for (String name : header.vents()) {
            String vent = port(header, name);
            if (shut) {
                sketch.wire(vent, header.id(), body, vent, new Element.Shut());
                continue;
            }
            String mouth = header.id() + "~mouth" + (name.equals(Header.VENT) ? "" : "~" + name);
            if (headers.falling().contains(vent)) {
                sketch.spot(Spot.at(mouth, sketch.spotOf(vent).place()));
                sketch.wire(vent + "~lip", header.id(), body, mouth, new Element.Joint());
                sketch.wire(vent, header.id(), mouth, vent, FREE_FALL);
            } else {
                sketch.wire(vent, header.id(), body, vent, new Element.Check(0, new Element.Resistance(0, 0)));
            }
        }
    }

    void tank(Tank tank) {
        String surface = tank.id() + SURFACE;
        sketch.spot(new Spot(surface, null, tank.id(), Spot.Holds.AIRSPACE));
        VentPath vents = basis.vents(tank);
        boolean shut = vents.legs().stream()
                .anyMatch(l -> faults.has(Fault.Kind.VENT_SHUT, l.item().id()));
        boolean lost = faults.has(Fault.Kind.CAP_LOST, tank.id());
        if (!key.airspace().contains(tank.id()) && !shut && !lost && breathes(vents)) {
            sketch.spot(new Spot(surface, null, tank.id(), Spot.Holds.NOTHING));
            air(tank, vents, surface, new Spot(tank.id() + "~tip", null, tank.id(), Spot.Holds.TIP));
        }
        for (Outlet outlet : tank.outlets()) {
            String port = port(tank, outlet.name());
            if (key.bare().contains(port)) {
                bare(tank, outlet.name());
            } else {
                double area = Math.PI * outlet.bore().si() * outlet.bore().si() / 4;
                double entrance = ENTRANCE * fluid.density() / (2 * area * area);
                Element.Resistance screen = outlet.screen().map(Losses::screen).orElse(new Element.Resistance(0, 0));
                sketch.wire(
                        port,
                        tank.id(),
                        surface,
                        port,
                        times(
                                new Element.Resistance(screen.linear(), screen.square() + entrance),
                                factor(faults.of(Fault.Kind.OUTLET_CLOGGED, tank.id(), outlet.name()))));
            }
        }
        for (Tank.Entry entry : tank.returns()) {
            String port = port(tank, entry.name());
            if (key.bare().contains(port)) {
                bare(tank, entry.name());
            } else {
                sketch.wire(port, tank.id(), port, surface, new Element.Joint());
            }
        }
    }

    /** Whether what air costs on its way in is known; otherwise it costs nothing. */
    private boolean breathes(VentPath vents) {
        return vents.open()
                && (!vents.lines().isEmpty()
                        || vents.legs().stream()
                                .anyMatch(l -> faults.has(
                                        Fault.Kind.VENT_HOLDS_LIQUID, l.item().id())));
    }

    /** Air comes in to a node from the plenum its vent leads to, or from its own tip; liquid in it holds it back. */
    private void air(Item item, VentPath vents, String inner, Spot tip) {
        String outer = vents.shares().map(Vessels::chamber).orElse(tip.id());
        String vent = item.id() + "~vent";
        if (vents.shares().isEmpty()) {
            sketch.spot(tip);
        }
        Element.Vent lines = new Element.Vent(
                vents.ownLines().stream().map(v -> AirLine.of(v).pipe()).toList());
        Optional<Fault> liquid = faults.of(Fault.Kind.VENT_HOLDS_LIQUID, item.id());
        if (liquid.isPresent()) {
            String trap = item.id() + "~trap";
            sketch.spot(new Spot(
                    trap, sketch.spotOf(outer).place(), sketch.spotOf(outer).tank(), Spot.Holds.NOTHING));
            sketch.wire(
                    trap,
                    vent,
                    outer,
                    trap,
                    new Element.Check(
                            fluid.density()
                                    * ApparentGravity.STANDARD
                                    * liquid.get().severity(),
                            new Element.Resistance(0, 0)));
            sketch.wire(vent, vent, trap, inner, lines);
        } else {
            sketch.wire(vent, vent, outer, inner, lines);
        }
    }

    static String chamber(VentPlenum plenum) {
        return plenum.id() + "~air";
    }

    /** Air that tanks share on its way in. */
    void plenum(VentPlenum plenum) {
        VentPath vents = basis.vents(plenum);
        boolean shut = vents.legs().stream()
                .anyMatch(l -> faults.has(Fault.Kind.VENT_SHUT, l.item().id()));
        if (vents.open() && !shut) {
            air(
                    plenum,
                    vents,
                    chamber(plenum),
                    new Spot(plenum.id() + "~tip", plenum.place().point(), plenum.id(), Spot.Holds.TIP));
        }
    }

    /**
     * A port that stands clear of the fuel: nothing comes in by it, and fuel falls out of it into the air of the tank.
     */
    private void bare(Tank tank, String name) {
        String port = port(tank, name);
        String lip = tank.id() + "~lip-" + name;
        sketch.spot(new Spot(lip, sketch.spotOf(port).place(), tank.id(), Spot.Holds.AIRSPACE));
        sketch.wire(port, tank.id(), port, lip, new Element.Uncovered());
    }
}
