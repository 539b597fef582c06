package ration.record.project;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import ration.aircraft.model.CheckBlock;
import ration.aircraft.model.CheckValve;
import ration.aircraft.model.EngineInlet;
import ration.aircraft.model.Filter;
import ration.aircraft.model.Firewall;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Header;
import ration.aircraft.model.Item;
import ration.aircraft.model.JetPump;
import ration.aircraft.model.LineSize;
import ration.aircraft.model.Orifice;
import ration.aircraft.model.Outlet;
import ration.aircraft.model.Place;
import ration.aircraft.model.PortRef;
import ration.aircraft.model.Pump;
import ration.aircraft.model.Rated;
import ration.aircraft.model.Regulator;
import ration.aircraft.model.Run;
import ration.aircraft.model.Selector;
import ration.aircraft.model.ShutOff;
import ration.aircraft.model.Strainer;
import ration.aircraft.model.Tag;
import ration.aircraft.model.Tank;
import ration.aircraft.model.TankShape;
import ration.aircraft.model.Tee;
import ration.base.quantity.Measured;
import ration.base.quantity.Unit;

/**
 * Puts a starting layout together; every figure is marked as an estimate. Stations, butt lines, water lines in inches.
 */
final class PatternSheet {

    static final String BY = "estimate";
    static final String HALF = "1/2 x 0.035 tube";
    static final String THREE_EIGHTHS = "3/8 x 0.035 tube";
    static final String QUARTER = "1/4 x 0.035 tube";
    static final String HOSE = "-6 hose";

    private final List<Item> items = new ArrayList<>();
    private int runs;

    /** Where something is, inches. */
    record At(double station, double buttLine, double waterLine) {
        At plus(double x, double y, double z) {
            return new At(station + x, buttLine + y, waterLine + z);
        }

        Place place() {
            return new Place(inches(station), inches(buttLine), inches(waterLine));
        }
    }

    static Measured inches(double v) {
        return Measured.of(v, Unit.INCH, BY);
    }

    private static Tag tag(String name, At at) {
        return new Tag(name.toLowerCase(java.util.Locale.ROOT).replaceAll("[^a-z0-9]+", "-"), name, at.place());
    }

    PatternSheet add(Item item) {
        items.add(item);
        return this;
    }

    /**
     * A box tank with its outlets near the floor, a vent over it and a sump drain.
     *
     * @param floor middle of the floor
     * @param outlets stations of the outlets behind the middle of the floor
     * @param returns names of ports at its top
     */
    PatternSheet tank(String name, At floor, double[] size, double[] outlets, String... returns) {
        TankShape shape = new TankShape.Box(
                floor.plus(-size[0] / 2, -size[1] / 2, 0).place(), inches(size[0]), inches(size[1]), inches(size[2]));
        List<Outlet> out = new ArrayList<>();
        for (int i = 0; i < outlets.length; i++) {
            out.add(new Outlet(
                    i == 0 ? "outlet" : "outlet-" + (i + 1),
                    floor.plus(outlets[i], 0, 0.1).place(),
                    inches(0.43),
                    Optional.of(Rated.of(20, 0.008, BY))));
        }
        List<Tank.Entry> entries = new ArrayList<>();
        for (int i = 0; i < returns.length; i++) {
            entries.add(new Tank.Entry(
                    returns[i],
                    floor.plus(size[0] / 4, 2 * (i + 1), size[2] - 0.5).place()));
        }
        Tag tag = tag(name, floor);
        return add(new Tank(
                tag.id(),
                name,
                shape,
                out,
                entries,
                Optional.of(floor.plus(0, 0, size[2] + 6).place()),
                Optional.of(floor.plus(-size[0] / 4, 0, 0).place()),
                Measured.of(0.5, Unit.GALLON, BY)));
    }

    /** With another placard on the tank laid out last. */
    PatternSheet unusable(double gallons) {
        for (int i = items.size() - 1; i >= 0; i--) {
            Optional<Tank> tank = items.get(i).only(Tank.class);
            if (tank.isPresent()) {
                items.set(i, tank.get().withUnusable(Measured.of(gallons, Unit.GALLON, BY)));
                return this;
            }
        }
        return this;
    }

    PatternSheet selector(At at, boolean both) {
        List<Selector.Position> positions = new ArrayList<>(List.of(
                new Selector.Position("LEFT", List.of(List.of("left", Item.OUT))),
                new Selector.Position("RIGHT", List.of(List.of("right", Item.OUT)))));
        if (both) {
            positions.add(new Selector.Position("BOTH", List.of(List.of("left", "right", Item.OUT))));
        }
        positions.add(new Selector.Position("OFF", List.of()));
        return add(new Selector(tag("Selector", at), List.of("left", "right"), positions, Rated.of(20, 0.04, BY)));
    }

    PatternSheet duplex(At at) {
        return add(new Selector(
                tag("Selector", at),
                List.of("left", "right"),
                List.of("left-return", "right-return"),
                List.of(
                        new Selector.Position(
                                "LEFT", List.of(List.of("left", Item.OUT), List.of(Selector.RETURN, "left-return"))),
                        new Selector.Position(
                                "RIGHT", List.of(List.of("right", Item.OUT), List.of(Selector.RETURN, "right-return"))),
                        new Selector.Position("OFF", List.of())),
                Rated.of(30, 0.08, BY)));
    }

    PatternSheet shutOff(At at) {
        return add(new ShutOff(new Tag("shut-off", "Shutoff valve", at.place()), Rated.of(20, 0.02, BY)));
    }

    PatternSheet strainer(At at) {
        return add(
                new Strainer(tag("Strainer", at), Rated.of(20, 0.05, BY), Optional.of(Rated.of(20, 0.15, BY)), true));
    }

    PatternSheet filter(At at) {
        return add(new Filter(tag("Filter", at), List.of(Rated.of(20, 0.10, BY)), Optional.of(Rated.of(20, 0.30, BY))));
    }

    PatternSheet tee(String name, At at) {
        return add(new Tee(tag(name, at), inches(0.297)));
    }

    /** A pump by dead-head and free flow, psi and gph. */
    PatternSheet pump(String name, At at, Pump.Drive drive, double psi, double gph, boolean checked) {
        List<Pump.CurvePoint> curve = new ArrayList<>();
        for (double[] p : new double[][] {{0, 1}, {0.6, 0.8}, {1, 0}}) {
            curve.add(new Pump.CurvePoint(
                    Measured.of(p[0] * gph, Unit.GALLON_PER_HOUR, BY), Measured.of(p[1] * psi, Unit.PSI, BY)));
        }
        return add(new Pump(
                tag(name, at),
                drive,
                curve,
                checked ? Optional.empty() : Optional.of(Rated.of(20, 0.3, BY)),
                new Pump.Build(
                        Optional.empty(),
                        drive == Pump.Drive.ELECTRIC
                                ? Optional.of(Measured.of(psi > 20 ? 5 : 1.6, Unit.AMPERE, BY))
                                : Optional.empty(),
                        checked)));
    }

    PatternSheet checkBlock(At at) {
        return add(new CheckBlock(tag("Check block", at), Measured.of(0.05, Unit.PSI, BY), Rated.of(20, 0.08, BY)));
    }

    PatternSheet header(String name, At at, double gallons, double height, String... inlets) {
        return add(new Header(
                tag(name, at),
                Measured.of(gallons, Unit.GALLON, BY),
                inches(height),
                inches(height - 1),
                List.of(inlets)));
    }

    PatternSheet regulator(At at, Regulator.Style style, double psi) {
        return add(new Regulator(
                tag("Regulator", at),
                style,
                Regulator.Reference.AMBIENT,
                Measured.of(psi, Unit.PSI, BY),
                Rated.of(30, 0.5, BY)));
    }

    PatternSheet orifice(String name, At at, double bore) {
        return add(new Orifice(tag(name, at), inches(bore), 0.7));
    }

    PatternSheet check(String name, At at) {
        return add(new CheckValve(tag(name, at), Measured.of(0.005, Unit.PSI, BY), Rated.of(20, 0.02, BY)));
    }

    PatternSheet jet(At at) {
        return add(new JetPump(
                tag("Jet pump", at), inches(0.1), Measured.of(2, Unit.ONE, BY), Measured.of(0.2, Unit.ONE, BY)));
    }

    PatternSheet carburettor(At at, double psi) {
        return add(new EngineInlet(
                new Tag("carburettor", "Carburetor", at.place()),
                EngineInlet.Style.FLOAT,
                inches(0.25),
                Measured.assumed(psi, Unit.PSI),
                Optional.of(Measured.assumed(8, Unit.PSI)),
                false));
    }

    PatternSheet injection(String name, At at, EngineInlet.Style style, double least, double most, boolean returns) {
        return add(new EngineInlet(
                tag(name, at),
                style,
                inches(0.25),
                Measured.assumed(least, Unit.PSI),
                Optional.of(Measured.assumed(most, Unit.PSI)),
                returns));
    }

    /** Two electric pumps side by side between a tee and a check-valve block, joined up: tee.in to check-block.out. */
    PatternSheet pumpPair(At at) {
        return tee("Tee", at)
                .pump("Pump one", at.plus(-3, -4, 3), Pump.Drive.ELECTRIC, 65, 45, true)
                .pump("Pump two", at.plus(-3, 4, -4), Pump.Drive.ELECTRIC, 65, 45, true)
                .checkBlock(at.plus(-7, 0, 1))
                .run("tee.out", "pump-one.in", HOSE, 6)
                .run("tee.branch", "pump-two.in", HOSE, 6)
                .run("pump-one.out", "check-block.in", HOSE, 6)
                .run("pump-two.out", "check-block.in-2", HOSE, 6);
    }

    /** An outlet high in a tank, through which it runs over. */
    PatternSheet overflow(String tank, double down) {
        return change(tank, t -> {
            List<Outlet> outlets = new ArrayList<>(t.outlets());
            Outlet first = outlets.get(0);
            double top = t.solid().highest(new ration.base.geometry.Point3(0, 0, 1));
            outlets.add(new Outlet(
                    "overflow",
                    new Place(
                            first.place().station(),
                            first.place().buttLine(),
                            inches(Math.round(Unit.INCH.fromSi(top) * 10) / 10.0 - down)),
                    first.bore(),
                    Optional.empty()));
            return t.withOutlets(outlets);
        });
    }

    private PatternSheet change(String tank, UnaryOperator<Tank> how) {
        items.replaceAll(i -> i.only(Tank.class)
                .filter(t -> t.id().equals(tank))
                .<Item>map(how)
                .orElse(i));
        return this;
    }

    /** A run between two ports written item.port; longer if its ends lie further apart. */
    PatternSheet run(String from, String to, String size, double length) {
        String name = "R" + ++runs;
        FuelSystem so = new FuelSystem(items, Optional.empty());
        double way = Unit.INCH.fromSi(
                so.point(port(from)).orElseThrow().distance(so.point(port(to)).orElseThrow()));
        return add(new Run(
                name.toLowerCase(java.util.Locale.ROOT),
                name,
                port(from),
                port(to),
                LineSize.parse(size),
                Optional.of(inches(Math.max(length, Math.ceil(1.08 * way)))),
                List.of(),
                List.of()));
    }

    private static PortRef port(String written) {
        int dot = written.indexOf('.');
        return new PortRef(written.substring(0, dot), written.substring(dot + 1));
    }

    /** The system without a return port that nothing comes back through. */
    FuelSystem system(double firewallStation, double top, double foot, String tank, String unused) {
        change(
                tank,
                t -> t.withReturns(t.returns().stream()
                        .filter(r -> !r.name().equals(unused))
                        .toList()));
        return system(firewallStation, top, foot);
    }

    FuelSystem system(double firewallStation, double top, double foot) {
        return new FuelSystem(items, Optional.of(new Firewall(inches(firewallStation), inches(top), inches(foot))));
    }
}
