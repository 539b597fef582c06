package ration.record.project;

import java.util.List;
import java.util.Optional;
import ration.aircraft.model.Bulkhead;
import ration.aircraft.model.CheckBlock;
import ration.aircraft.model.CheckValve;
import ration.aircraft.model.Filter;
import ration.aircraft.model.FlowSender;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.GaugePort;
import ration.aircraft.model.Header;
import ration.aircraft.model.Item;
import ration.aircraft.model.JetPump;
import ration.aircraft.model.Orifice;
import ration.aircraft.model.Outlet;
import ration.aircraft.model.Place;
import ration.aircraft.model.Pump;
import ration.aircraft.model.QuickDisconnect;
import ration.aircraft.model.Rated;
import ration.aircraft.model.Regulator;
import ration.aircraft.model.Selector;
import ration.aircraft.model.ShutOff;
import ration.aircraft.model.Strainer;
import ration.aircraft.model.Tag;
import ration.aircraft.model.Tank;
import ration.aircraft.model.TankShape;
import ration.aircraft.model.Tee;
import ration.base.geometry.Point3;
import ration.base.quantity.Measured;
import ration.base.quantity.Unit;

/** What can be added, named in trade terms, with the usual sizes; every figure is marked as an estimate. */
public enum NewItem {
    STRAINER("Strainer", "bowl with a drain, 0.06 psi at 20 gph"),
    SHUT_OFF("Shutoff valve", "open or shut, 0.02 psi at 20 gph"),
    SELECTOR("Selector", "LEFT, RIGHT, OFF; 0.05 psi at 20 gph"),
    CHECK_VALVE("Check valve", "opens at 0.02 psi"),
    ORIFICE("Orifice", "0.125 in bore"),
    ELECTRIC_PUMP("Electric pump", "6 psi dead-headed, 30 gph open flow"),
    ENGINE_PUMP("Engine-driven pump", "6 psi dead-headed, 40 gph open flow, follows engine speed"),
    PUMP_MODULE("Pump module", "in the tank, with check valve; 60 psi, 45 gph"),
    CHECK_BLOCK("Check-valve block", "two pumps in, one line out"),
    FILTER("Filter", "0.08 psi at 20 gph clean, 0.25 dirty"),
    HEADER("Header", "2 gal, level computed from inflow and outflow"),
    BYPASS_REGULATOR("Bypass regulator", "43.5 psi over ambient, spills to a return"),
    IN_LINE_REGULATOR("In-line regulator", "3 psi over ambient"),
    FLOW_SENDER("Flow sender", "0.3 psi at 20 gph"),
    JET_PUMP("Jet pump", "0.06 in nozzle, draws twice its flow"),
    PRESSURE_SENDER("Pressure sender", "a gauge shows the pressure here"),
    TEMPERATURE_SENDER("Temperature sender", "a gauge shows the fuel temperature here"),
    TEST_PORT("Test port", "capped, for a gauge on the ground"),
    DRAIN_PORT("Drain port", "capped, opened at a low point to sample"),
    BULKHEAD("Bulkhead fitting", "through the firewall, 0.02 psi at 20 gph"),
    QUICK_DISCONNECT("Quick disconnect", "0.05 psi at 20 gph"),
    TEE("Tee", "joins a third line"),
    TANK("Tank", "box of 10 gal; add vent and screen");

    private static final String BY = "estimate";

    private final String label;
    private final String usual;

    NewItem(String label, String usual) {
        this.label = label;
        this.usual = usual;
    }

    public String label() {
        return label;
    }

    /** The usual size, in words. */
    public String usual() {
        return usual;
    }

    /** A new item of this kind near a point. */
    Item make(FuelSystem system, Point3 near) {
        String id = system.freeId(name().replace('_', '-'));
        String name = system.freeName(label);
        Tag tag = new Tag(id, name, Place.estimated(near));
        return switch (this) {
            case STRAINER -> new Strainer(tag, Rated.of(20, 0.06, BY), true);
            case SHUT_OFF -> new ShutOff(tag, Rated.of(20, 0.02, BY));
            case SELECTOR ->
                new Selector(
                        tag,
                        List.of("left", "right"),
                        List.of(
                                new Selector.Position("LEFT", List.of(List.of("left", Item.OUT))),
                                new Selector.Position("RIGHT", List.of(List.of("right", Item.OUT))),
                                new Selector.Position("OFF", List.of())),
                        Rated.of(20, 0.05, BY));
            case CHECK_VALVE -> new CheckValve(tag, Measured.of(0.02, Unit.PSI, BY), Rated.of(20, 0.05, BY));
            case ORIFICE -> new Orifice(tag, Measured.of(0.125, Unit.INCH, BY), 0.65);
            case ELECTRIC_PUMP -> pump(tag, Pump.Drive.ELECTRIC, 30);
            case ENGINE_PUMP -> pump(tag, Pump.Drive.ENGINE, 40);
            case PUMP_MODULE ->
                new Pump(
                        tag,
                        Pump.Drive.ELECTRIC,
                        List.of(point(0, 60), point(30, 48), point(45, 0)),
                        Optional.empty(),
                        new Pump.Build(Optional.empty(), Optional.of(Measured.of(5, Unit.AMPERE, BY)), true));
            case CHECK_BLOCK -> new CheckBlock(tag, Measured.of(0.05, Unit.PSI, BY), Rated.of(20, 0.08, BY));
            case FILTER -> new Filter(tag, List.of(Rated.of(20, 0.08, BY)), Optional.of(Rated.of(20, 0.25, BY)));
            case HEADER ->
                new Header(
                        tag,
                        Measured.of(2, Unit.GALLON, BY),
                        Measured.of(9, Unit.INCH, BY),
                        Measured.of(8, Unit.INCH, BY),
                        List.of(Item.IN));
            case BYPASS_REGULATOR ->
                new Regulator(
                        tag,
                        Regulator.Style.BYPASS,
                        Regulator.Reference.AMBIENT,
                        Measured.of(43.5, Unit.PSI, BY),
                        Rated.of(30, 1, BY));
            case IN_LINE_REGULATOR ->
                new Regulator(
                        tag,
                        Regulator.Style.IN_LINE,
                        Regulator.Reference.AMBIENT,
                        Measured.of(3, Unit.PSI, BY),
                        Rated.of(20, 0.3, BY));
            case FLOW_SENDER -> new FlowSender(tag, Rated.of(20, 0.3, BY));
            case JET_PUMP ->
                new JetPump(
                        tag,
                        Measured.of(0.06, Unit.INCH, BY),
                        Measured.of(2, Unit.ONE, BY),
                        Measured.of(0.2, Unit.ONE, BY));
            case PRESSURE_SENDER -> new GaugePort(tag, GaugePort.Shows.PRESSURE);
            case TEMPERATURE_SENDER -> new GaugePort(tag, GaugePort.Shows.TEMPERATURE);
            case TEST_PORT -> new GaugePort(tag, GaugePort.Shows.NOTHING);
            case DRAIN_PORT -> new GaugePort(tag, GaugePort.Shows.SAMPLE);
            case BULKHEAD -> new Bulkhead(inWall(system, tag), Rated.of(20, 0.02, BY));
            case QUICK_DISCONNECT -> new QuickDisconnect(tag, Rated.of(20, 0.05, BY));
            case TEE -> new Tee(tag, Measured.of(0.297, Unit.INCH, BY));
            case TANK -> tank(tag, near);
        };
    }

    private static Tag inWall(FuelSystem system, Tag tag) {
        return system.firewall()
                .map(w -> new Tag(
                        tag.id(),
                        tag.name(),
                        new Place(
                                w.station(), tag.place().buttLine(), tag.place().waterLine())))
                .orElse(tag);
    }

    private static Pump.CurvePoint point(double gph, double psi) {
        return new Pump.CurvePoint(Measured.of(gph, Unit.GALLON_PER_HOUR, BY), Measured.of(psi, Unit.PSI, BY));
    }

    private static Pump pump(Tag tag, Pump.Drive drive, double free) {
        return new Pump(
                tag,
                drive,
                List.of(
                        new Pump.CurvePoint(Measured.of(0, Unit.GALLON_PER_HOUR, BY), Measured.of(6, Unit.PSI, BY)),
                        new Pump.CurvePoint(
                                Measured.of(free * 0.7, Unit.GALLON_PER_HOUR, BY), Measured.of(4, Unit.PSI, BY)),
                        new Pump.CurvePoint(Measured.of(free, Unit.GALLON_PER_HOUR, BY), Measured.of(0, Unit.PSI, BY))),
                Optional.of(Rated.of(20, 0.3, BY)));
    }

    private static Tank tank(Tag tag, Point3 near) {
        double inch = 0.0254;
        Point3 corner = near.plus(new Point3(-10 * inch, -8.25 * inch, 0));
        TankShape shape = new TankShape.Box(
                Place.estimated(corner),
                Measured.of(20, Unit.INCH, BY),
                Measured.of(16.5, Unit.INCH, BY),
                Measured.of(7, Unit.INCH, BY));
        return new Tank(
                tag.id(),
                tag.name(),
                shape,
                List.of(new Outlet(
                        "outlet",
                        Place.estimated(near.plus(new Point3(4 * inch, 0, 0))),
                        Measured.of(0.305, Unit.INCH, BY),
                        Optional.empty())),
                Optional.empty(),
                Optional.empty(),
                Measured.of(0.5, Unit.GALLON, BY));
    }
}
