package ration.project;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import ration.model.CheckBlock;
import ration.model.CheckValve;
import ration.model.EngineInlet;
import ration.model.Filter;
import ration.model.FingerScreen;
import ration.model.Firewall;
import ration.model.Fitout;
import ration.model.Fitted;
import ration.model.FlowSender;
import ration.model.FuelSystem;
import ration.model.Header;
import ration.model.Item;
import ration.model.JetPump;
import ration.model.Measured;
import ration.model.Orifice;
import ration.model.Outlet;
import ration.model.Place;
import ration.model.Pump;
import ration.model.QuickDisconnect;
import ration.model.Rated;
import ration.model.Regulator;
import ration.model.Run;
import ration.model.Selector;
import ration.model.ShutOff;
import ration.model.Strainer;
import ration.model.Tag;
import ration.model.Tank;
import ration.model.TankShape;
import ration.model.Tee;
import ration.model.VentLine;
import ration.quantity.Unit;

/**
 * The measured figures of each kind of item: how they are called, read and set. Cards show them, and tolerances are
 * sampled over them.
 */
public final class ItemFigures {

    /**
     * One figure of an item.
     *
     * @param label unique for the item
     * @param value now
     * @param unit  meant when none is written
     * @param set   the system with another figure
     */
    public record Figure(String label, Measured value, Unit unit, Function<Measured, UnaryOperator<FuelSystem>> set) {
    }

    /** The trade's abbreviations, where a row names two things. */
    private static final Map<String, String> SHORT = Map.of("Station", "sta", "Butt line", "BL", "Water line", "WL");

    private final List<Figure> fields = new ArrayList<>();

    private ItemFigures() {
    }

    /** Every figure of an item. */
    public static List<Figure> of(Item item, FuelSystem system) {
        ItemFigures f = new ItemFigures();
        if (item instanceof Fitted fitted) {
            f.place("", fitted.place(), p -> fitted.with(new Tag(fitted.id(), fitted.name(), p)));
        }
        if (item instanceof Tank tank) {
            f.tank(tank);
        } else if (item instanceof Selector s) {
            f.rated("Rated", s.loss(), s::withLoss);
        } else if (item instanceof ShutOff v) {
            f.rated("Rated", v.loss(), r -> new ShutOff(v.tag(), r));
        } else if (item instanceof Strainer s) {
            f.rated("Rated", s.loss(), r -> new Strainer(s.tag(), r, s.fouled(), s.drain(), s.bowl()));
            s.fouled().ifPresent(o -> f.rated("Fouled", o,
                    r -> new Strainer(s.tag(), s.loss(), Optional.of(r), s.drain(), s.bowl())));
            s.bowl().ifPresent(b -> f.add("Bowl holds", b, Unit.CUBIC_INCH, m -> s.withBowl(Optional.of(m))));
        } else if (item instanceof CheckValve v) {
            f.add("Cracking pressure", v.cracking(), Unit.PSI, m -> new CheckValve(v.tag(), m, v.loss()));
            f.rated("Rated", v.loss(), r -> new CheckValve(v.tag(), v.cracking(), r));
        } else if (item instanceof Orifice o) {
            f.add("Bore", o.bore(), Unit.INCH, m -> new Orifice(o.tag(), m, o.dischargeCoefficient()));
        } else if (item instanceof Pump p) {
            f.pump(p);
        } else if (item instanceof Filter x) {
            for (int i = 0; i < x.points().size(); i++) {
                int at = i;
                f.rated(x.points().size() == 1 ? "Rated" : "Rated " + (i + 1), x.points().get(i),
                        r -> new Filter(x.tag(), changed(x.points(), at, r), x.fouled()));
            }
            x.fouled().ifPresent(o -> f.rated("Fouled", o, r -> new Filter(x.tag(), x.points(), Optional.of(r))));
        } else if (item instanceof CheckBlock x) {
            f.add("Cracking pressure", x.cracking(), Unit.PSI, m -> new CheckBlock(x.tag(), m, x.loss()));
            f.rated("Rated", x.loss(), r -> new CheckBlock(x.tag(), x.cracking(), r));
        } else if (item instanceof FlowSender x) {
            f.rated("Rated", x.loss(), r -> new FlowSender(x.tag(), r));
        } else if (item instanceof QuickDisconnect x) {
            f.rated("Rated", x.loss(), r -> new QuickDisconnect(x.tag(), r));
        } else if (item instanceof Regulator x) {
            f.add("Setting", x.setting(), Unit.PSI,
                    m -> new Regulator(x.tag(), x.style(), x.reference(), m, x.loss()));
            f.rated("Open", x.loss(), r -> new Regulator(x.tag(), x.style(), x.reference(), x.setting(), r));
        } else if (item instanceof JetPump x) {
            f.add("Nozzle", x.nozzle(), Unit.INCH,
                    m -> new JetPump(x.tag(), m, x.flowRatio(), x.headRatio()));
            f.add("Flow ratio", x.flowRatio(), Unit.ONE,
                    m -> new JetPump(x.tag(), x.nozzle(), m, x.headRatio()));
            f.add("Head ratio", x.headRatio(), Unit.ONE,
                    m -> new JetPump(x.tag(), x.nozzle(), x.flowRatio(), m));
        } else if (item instanceof Header x) {
            f.add("Capacity", x.capacity(), Unit.GALLON,
                    m -> new Header(x.tag(), m, x.height(), x.inletRise(), x.inlets()));
            f.add("Height", x.height(), Unit.INCH,
                    m -> new Header(x.tag(), x.capacity(), m, x.inletRise(), x.inlets()));
            f.add("Inlets over outlet", x.inletRise(), Unit.INCH,
                    m -> new Header(x.tag(), x.capacity(), x.height(), m, x.inlets()));
        } else if (item instanceof Tee t) {
            f.add("Bore", t.bore(), Unit.INCH, m -> new Tee(t.tag(), m));
        } else if (item instanceof EngineInlet e) {
            if (e.style() == EngineInlet.Style.FLOAT) {
                f.add("Needle seat", e.seat(), Unit.INCH, e::withSeat);
            }
            f.add("Least pressure", e.minimumPressure(), Unit.PSI, m -> e.withPressures(m, e.maximumPressure()));
            e.maximumPressure().ifPresent(most -> f.add("Most pressure", most, Unit.PSI,
                    m -> e.withPressures(e.minimumPressure(), Optional.of(m))));
            system.firewall().ifPresent(f::firewall);
        } else if (item instanceof Run run) {
            run.length().ifPresent(l -> f.add("Length", l, Unit.INCH, run::withLength));
            for (int i = 0; i < run.points().size(); i++) {
                int at = i;
                f.place("Point " + (i + 1) + " ", run.points().get(i), p -> run.withPoints(changed(run.points(), at, p)));
            }
        }
        return f.fields;
    }

    private void firewall(Firewall w) {
        addWall("Firewall sta", w.station(), m -> new Firewall(m, w.top(), w.foot()));
        addWall("Firewall top", w.top(), m -> new Firewall(w.station(), m, w.foot()));
        addWall("Firewall foot", w.foot(), m -> new Firewall(w.station(), w.top(), m));
    }

    private void addWall(String label, Measured value, Function<Measured, Firewall> set) {
        fields.add(new Figure(label, value, Unit.INCH, m -> s -> new FuelSystem(s.items(), Optional.of(set.apply(m)))));
    }

    private static <T> List<T> changed(List<T> list, int at, T value) {
        List<T> copy = new ArrayList<>(list);
        copy.set(at, value);
        return copy;
    }

    private void add(String label, Measured value, Unit unit, Function<Measured, Item> set) {
        fields.add(new Figure(label, value, unit, m -> s -> s.replace(set.apply(m))));
    }

    private void place(String prefix, Place place, Function<Place, Item> set) {
        add(title(prefix, "Station"), place.station(), Unit.INCH,
                m -> set.apply(new Place(m, place.buttLine(), place.waterLine())));
        add(title(prefix, "Butt line"), place.buttLine(), Unit.INCH,
                m -> set.apply(new Place(place.station(), m, place.waterLine())));
        add(title(prefix, "Water line"), place.waterLine(), Unit.INCH,
                m -> set.apply(new Place(place.station(), place.buttLine(), m)));
    }

    private static String title(String prefix, String name) {
        return prefix.isEmpty() ? name : prefix + SHORT.get(name);
    }

    private void rated(String prefix, Rated rated, Function<Rated, Item> set) {
        add(prefix + " flow", rated.flow(), Unit.GALLON_PER_HOUR, m -> set.apply(new Rated(m, rated.loss())));
        add(prefix + " loss", rated.loss(), Unit.PSI, m -> set.apply(new Rated(rated.flow(), m)));
    }

    private void pump(Pump p) {
        for (int i = 0; i < p.curve().size(); i++) {
            int at = i;
            Pump.CurvePoint point = p.curve().get(i);
            UnaryOperator<String> name = what -> "Curve " + (at + 1) + " " + what;
            add(name.apply("flow"), point.flow(), Unit.GALLON_PER_HOUR, m -> p.withCurve(
                    changed(p.curve(), at, new Pump.CurvePoint(m, point.pressure()))));
            add(name.apply("pressure"), point.pressure(), Unit.PSI, m -> p.withCurve(
                    changed(p.curve(), at, new Pump.CurvePoint(point.flow(), m))));
        }
        p.off().ifPresent(r -> rated("Off", r, p::withOff));
        p.build().relief().ifPresent(r -> add("Relief", r, Unit.PSI, m -> p.withBuild(new Pump.Build(
                Optional.of(m), p.build().current(), p.build().checked()))));
        p.build().current().ifPresent(c -> add("Current", c, Unit.AMPERE, m -> p.withBuild(new Pump.Build(
                p.build().relief(), Optional.of(m), p.build().checked()))));
    }

    private void tank(Tank tank) {
        add("Unusable", tank.unusable(), Unit.GALLON, tank::withUnusable);
        for (int i = 0; i < tank.outlets().size(); i++) {
            int at = i;
            Outlet o = tank.outlets().get(i);
            String prefix = tank.outlets().size() == 1 ? "Outlet " : "Outlet " + (i + 1) + " ";
            Function<Outlet, Item> set = changed -> tank.withOutlets(changed(tank.outlets(), at, changed));
            place(prefix, o.place(), p -> set.apply(o.at(p)));
            add(prefix + "bore", o.bore(), Unit.INCH, m -> set.apply(o.withBore(m)));
            o.screen().ifPresent(s -> rated("Screen", s, r -> set.apply(
                    o.withScreen(Optional.of(r)))));
            o.finger().ifPresent(f -> {
                Function<FingerScreen, Item> finger = changed -> set.apply(o.withFinger(Optional.of(changed)));
                add(prefix + "mesh an inch", f.mesh(), Unit.ONE, m -> finger.apply(new FingerScreen(m, f.wire(), f.diameter(),
                        f.length())));
                add(prefix + "mesh wire", f.wire(), Unit.INCH, m -> finger.apply(new FingerScreen(f.mesh(), m, f.diameter(),
                        f.length())));
                add(prefix + "finger wide", f.diameter(), Unit.INCH, m -> finger.apply(new FingerScreen(f.mesh(), f.wire(), m,
                        f.length())));
                add(prefix + "finger long", f.length(), Unit.INCH, m -> finger.apply(new FingerScreen(f.mesh(), f.wire(),
                        f.diameter(), m)));
            });
        }
        for (int i = 0; i < tank.returns().size(); i++) {
            int at = i;
            Tank.Entry entry = tank.returns().get(i);
            place(tank.returns().size() == 1 ? "Return " : "Return " + (i + 1) + " ", entry.place(),
                    p -> tank.withReturns(changed(tank.returns(), at, new Tank.Entry(entry.name(), p))));
        }
        shape(tank);
        tank.vent().ifPresent(v -> place("Vent tip ", v, p -> tank.withVent(Optional.of(p))));
        tank.drain().ifPresent(d -> place("Drain ", d, p -> tank.withDrain(Optional.of(p))));
        fitout(tank);
    }

    private void fitout(Tank tank) {
        Fitout f = tank.fitout();
        f.published().ifPresent(m -> add("Maker's unusable", m, Unit.GALLON, v -> tank.with(f.withPublished(Optional.of(v)))));
        f.vent().ifPresent(v -> {
            Function<VentLine, Item> set = changed -> tank.with(f.withVent(Optional.of(changed)));
            add("Vent bore", v.bore(), Unit.INCH, m -> set.apply(v.withBore(m)));
            add("Vent length", v.length(), Unit.INCH, m -> set.apply(v.withLength(m)));
            add("Vent tip coefficient", v.tip(), Unit.ONE, m -> set.apply(v.withTip(m)));
            for (int i = 0; i < v.points().size(); i++) {
                int at = i;
                place("Vent point " + (i + 1) + " ", v.points().get(i), p -> set.apply(v.withPoints(changed(v.points(), at, p))));
            }
        });
        f.filler().ifPresent(p -> place("Filler ", p, v -> tank.with(f.withFiller(Optional.of(v)))));
        f.gauge().ifPresent(p -> place("Gauge foot ", p, v -> tank.with(f.withGauge(Optional.of(v)))));
        for (int i = 0; i < f.wells().size(); i++) {
            int at = i;
            Fitout.Well w = f.wells().get(i);
            String name = f.wells().size() == 1 ? "Well " : "Well " + (i + 1) + " ";
            Function<Fitout.Well, Item> set = changed -> tank.with(f.withWells(changed(f.wells(), at, changed)));
            place(name + "floor ", w.floor(), p -> set.apply(new Fitout.Well(p, w.length(), w.width())));
            add(name + "length", w.length(), Unit.INCH, m -> set.apply(new Fitout.Well(w.floor(), m, w.width())));
            add(name + "width", w.width(), Unit.INCH, m -> set.apply(new Fitout.Well(w.floor(), w.length(), m)));
        }
        for (int i = 0; i < f.ribs().size(); i++) {
            int at = i;
            Fitout.Rib r = f.ribs().get(i);
            String name = "Rib " + (i + 1) + " ";
            Function<Fitout.Rib, Item> set = changed -> tank.with(f.withRibs(changed(f.ribs(), at, changed)));
            add(name + "BL", r.at(), Unit.INCH, m -> set.apply(new Fitout.Rib(m, r.openings())));
            for (int k = 0; k < r.openings().size(); k++) {
                int hole = k;
                Fitout.Opening o = r.openings().get(k);
                String which = name + "hole " + (k + 1) + " ";
                Function<Fitout.Opening, Item> put = changed -> set.apply(new Fitout.Rib(r.at(), changed(r.openings(), hole,
                        changed)));
                add(which + "sta", o.along(), Unit.INCH, m -> put.apply(new Fitout.Opening(m, o.waterLine(), o.passes())));
                add(which + "WL", o.waterLine(), Unit.INCH, m -> put.apply(new Fitout.Opening(o.along(), m, o.passes())));
            }
        }
    }

    private void shape(Tank tank) {
        if (tank.shape() instanceof TankShape.Box box) {
            add("Length", box.length(), Unit.INCH,
                    m -> tank.withShape(new TankShape.Box(box.corner(), m, box.width(), box.height())));
            add("Width", box.width(), Unit.INCH,
                    m -> tank.withShape(new TankShape.Box(box.corner(), box.length(), m, box.height())));
            add("Height", box.height(), Unit.INCH,
                    m -> tank.withShape(new TankShape.Box(box.corner(), box.length(), box.width(), m)));
            place("Corner ", box.corner(),
                    p -> tank.withShape(new TankShape.Box(p, box.length(), box.width(), box.height())));
        } else if (tank.shape() instanceof TankShape.Cylinder c) {
            add("Length", c.length(), Unit.INCH, m -> tank.withShape(new TankShape.Cylinder(c.from(), c.along(), m,
                    c.diameter())));
            add("Diameter", c.diameter(), Unit.INCH, m -> tank.withShape(new TankShape.Cylinder(c.from(), c.along(),
                    c.length(), m)));
            place("Middle of end ", c.from(), p -> tank.withShape(new TankShape.Cylinder(p, c.along(), c.length(),
                    c.diameter())));
        } else if (tank.shape() instanceof TankShape.Prism prism) {
            add("Left wall", prism.leftWall(), Unit.INCH,
                    m -> tank.withShape(new TankShape.Prism(prism.corners(), m, prism.rightWall())));
            add("Right wall", prism.rightWall(), Unit.INCH,
                    m -> tank.withShape(new TankShape.Prism(prism.corners(), prism.leftWall(), m)));
            for (int i = 0; i < prism.corners().size(); i++) {
                int at = i;
                TankShape.Corner c = prism.corners().get(i);
                Function<TankShape.Corner, Item> set = other -> tank.withShape(new TankShape.Prism(
                        changed(prism.corners(), at, other), prism.leftWall(), prism.rightWall()));
                add("Corner " + (i + 1) + " sta", c.station(), Unit.INCH,
                        m -> set.apply(new TankShape.Corner(m, c.waterLine())));
                add("Corner " + (i + 1) + " WL", c.waterLine(), Unit.INCH,
                        m -> set.apply(new TankShape.Corner(c.station(), m)));
            }
        }
    }
}
