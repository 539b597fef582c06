package ration.aircraft.model;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import ration.base.quantity.Measured;
import ration.base.quantity.Unit;

/** One item of every kind, with every figure it can have. */
public final class EveryKind {

    private EveryKind() {}

    private static Measured m(double value, Unit unit) {
        return Measured.of(value, unit, "tape");
    }

    private static Place place(double x) {
        return Place.inches(x, x / 10, x + 1);
    }

    private static Tag tag(String id) {
        return new Tag(id, "The " + id, place(id.length() + 20));
    }

    private static Rated rated(double gph) {
        return Rated.of(gph, gph / 100, "bench");
    }

    /** At least one of each; tanks of every shape, selectors with and without a return side, every style. */
    public static List<Item> all() {
        Fitout fitout = Fitout.NONE
                .withWells(List.of(new Fitout.Well(place(9), m(3, Unit.INCH), m(2, Unit.INCH))))
                .withRibs(List.of(new Fitout.Rib(
                        m(1, Unit.INCH),
                        List.of(new Fitout.Opening(m(10, Unit.INCH), m(11, Unit.INCH), Fitout.Passes.TO_THE_LEFT)))))
                .withFiller(Optional.of(place(14)))
                .withGauge(Optional.of(place(12)))
                .withPublished(Optional.of(m(0.4, Unit.GALLON)))
                .with(Fitout.Piece.SECOND_AIR, true)
                .with(Fitout.Piece.LEVEL_SENDER, true)
                .with(Fitout.Piece.CAP_SEAL, true)
                .with(Fitout.Piece.ACCESS_PLATE, true)
                .withVent(Optional.of(
                        new VentLine(m(0.3, Unit.INCH), m(40, Unit.INCH), m(-0.2, Unit.ONE), true, List.of(place(16)))
                                .withPieces(Stream.of(VentPiece.Kind.values())
                                        .map(k -> new VentPiece(k, m(0.1 + 0.02 * k.ordinal(), Unit.INCH)))
                                        .toList())));
        Outlet outlet = new Outlet(
                "outlet",
                place(10),
                m(0.3, Unit.INCH),
                Optional.of(rated(20)),
                Optional.of(new FingerScreen(m(12, Unit.ONE), m(0.02, Unit.INCH), m(0.5, Unit.INCH), m(2, Unit.INCH))),
                Outlet.Edge.CENTRE);
        Tank box = new Tank(
                "box",
                "Box",
                new TankShape.Box(place(8), m(20, Unit.INCH), m(12, Unit.INCH), m(9, Unit.INCH)),
                List.of(outlet),
                List.of(new Tank.Entry("return", place(13))),
                Optional.of(place(17)),
                Optional.of(place(8)),
                m(0.3, Unit.GALLON),
                fitout);
        Tank prism = new Tank(
                "prism",
                "Prism",
                new TankShape.Prism(
                        List.of(
                                new TankShape.Corner(m(0, Unit.INCH), m(0, Unit.INCH)),
                                new TankShape.Corner(m(20, Unit.INCH), m(0, Unit.INCH)),
                                new TankShape.Corner(m(9, Unit.INCH), m(12, Unit.INCH))),
                        m(-20, Unit.INCH),
                        m(-4, Unit.INCH)),
                List.of(outlet),
                Optional.empty(),
                Optional.empty(),
                m(0.3, Unit.GALLON));
        Tank drum = new Tank(
                "drum",
                "Drum",
                new TankShape.Cylinder(place(30), TankShape.Along.BUTT_LINE, m(20, Unit.INCH), m(9, Unit.INCH)),
                List.of(outlet),
                Optional.empty(),
                Optional.empty(),
                m(0.3, Unit.GALLON));
        return List.of(
                box,
                prism,
                drum,
                new Selector(
                        tag("selector"),
                        List.of("left", "right"),
                        List.of("left-return"),
                        List.of(
                                new Selector.Position(
                                        "LEFT", List.of(List.of("left", "out"), List.of("return", "left-return"))),
                                new Selector.Position("OFF", List.of())),
                        rated(20),
                        Reach.PILOT),
                new ShutOff(tag("shut-off"), rated(21), Reach.GROUND),
                new Strainer(
                        tag("strainer"),
                        rated(22),
                        Optional.of(rated(23)),
                        true,
                        Optional.of(m(4, Unit.CUBIC_INCH)),
                        true,
                        new Mesh(Optional.of(m(60, Unit.MICROMETRE)), Optional.of(m(12, Unit.PSI)))),
                new Filter(
                        tag("filter"),
                        List.of(rated(20), rated(40)),
                        Optional.of(rated(24)),
                        new Mesh(Optional.of(m(10, Unit.MICROMETRE)), Optional.of(m(90, Unit.PSI)))),
                new CheckBlock(tag("block"), m(0.2, Unit.PSI), rated(25)),
                new FlowSender(tag("sender"), rated(26)),
                new Bulkhead(tag("bulkhead"), rated(32)),
                new QuickDisconnect(tag("coupling"), rated(27)),
                new Regulator(
                        tag("bypass"),
                        Regulator.Style.BYPASS,
                        Regulator.Reference.MANIFOLD,
                        m(45, Unit.PSI),
                        rated(28)),
                new Regulator(
                        tag("in-line"),
                        Regulator.Style.IN_LINE,
                        Regulator.Reference.AMBIENT,
                        m(4, Unit.PSI),
                        rated(29)),
                new JetPump(tag("jet"), m(0.06, Unit.INCH), m(2, Unit.ONE), m(0.3, Unit.ONE)),
                new Header(
                        tag("header"),
                        m(1, Unit.GALLON),
                        m(9, Unit.INCH),
                        m(7, Unit.INCH),
                        new Header.Openings(List.of("in", "in-2"), List.of("out", "out-2"), List.of("vent", "vent-2")),
                        new Header.Build(Header.Form.TAPERED, true, Optional.of(m(4, Unit.INCH)))),
                new CheckValve(tag("check"), m(0.1, Unit.PSI), rated(30)),
                new Orifice(tag("orifice"), m(0.05, Unit.INCH), 0.7),
                new Pump(
                        tag("boost"),
                        Pump.Drive.ELECTRIC,
                        List.of(
                                new Pump.CurvePoint(m(0, Unit.GALLON_PER_HOUR), m(8, Unit.PSI)),
                                new Pump.CurvePoint(m(40, Unit.GALLON_PER_HOUR), m(2, Unit.PSI))),
                        Optional.of(rated(31)),
                        new Pump.Build(
                                Optional.of(m(7, Unit.PSI)),
                                Optional.of(m(2, Unit.AMPERE)),
                                true,
                                "essential",
                                new Pump.Wiring(
                                        java.util.Set.of(Pump.Own.SWITCH, Pump.Own.GROUND),
                                        Optional.of(m(5, Unit.AMPERE)),
                                        Optional.of(new Wire(m(18, Unit.ONE), m(18, Unit.FOOT)))),
                                Optional.of(m(150, Unit.MICROMETRE)))),
                new Pump(
                        tag("driven"),
                        Pump.Drive.ENGINE,
                        List.of(
                                new Pump.CurvePoint(m(0, Unit.GALLON_PER_HOUR), m(30, Unit.PSI)),
                                new Pump.CurvePoint(m(40, Unit.GALLON_PER_HOUR), m(20, Unit.PSI))),
                        Optional.empty(),
                        Pump.Build.PLAIN),
                new GaugePort(tag("sender-p"), GaugePort.Shows.PRESSURE),
                new GaugePort(tag("sender-t"), GaugePort.Shows.TEMPERATURE),
                new GaugePort(tag("port"), GaugePort.Shows.NOTHING),
                new Tee(tag("tee"), m(0.3, Unit.INCH)),
                new VentPlenum(
                        tag("plenum"),
                        new VentLine(
                                m(0.4, Unit.INCH),
                                m(20, Unit.INCH),
                                m(-0.1, Unit.ONE),
                                true,
                                Optional.of("box"),
                                List.of(place(18))),
                        place(19)),
                new EngineInlet(
                        tag("float"),
                        EngineInlet.Style.FLOAT,
                        m(0.2, Unit.INCH),
                        m(0.5, Unit.PSI),
                        Optional.of(m(6, Unit.PSI)),
                        false),
                new EngineInlet(
                        tag("rail"),
                        EngineInlet.Style.RAIL,
                        m(0.2, Unit.INCH),
                        m(30, Unit.PSI),
                        Optional.of(m(60, Unit.PSI)),
                        true,
                        Optional.of(m(40, Unit.MICROMETRE))),
                new EngineInlet(
                        tag("servo"),
                        EngineInlet.Style.SERVO,
                        m(0.2, Unit.INCH),
                        m(14, Unit.PSI),
                        Optional.empty(),
                        false),
                new Run(
                        "r1",
                        "R1",
                        new PortRef("box", "outlet"),
                        new PortRef("selector", "left"),
                        LineSize.parse("3/8 x 0.035 tube"),
                        Optional.of(m(40, Unit.INCH)),
                        List.of(place(21), place(22)),
                        List.of(Fitting.BEND_90, Fitting.ELBOW_45),
                        RunBuild.NONE
                                .with(Optional.of(Construction.values()[0]))
                                .with(RunBuild.Figure.TORQUE, Optional.of(m(150, Unit.POUND_INCH)))
                                .with(new RunBuild.Marks(true, false, true))
                                .with(new RunBuild.Papers(
                                        "cushion 3/8",
                                        "R4-a",
                                        "lot 7",
                                        "2024-05-01",
                                        Optional.of(m(150, Unit.PSI)),
                                        "2026-02-01",
                                        true,
                                        "ab"))
                                .withStart(new RunBuild.End(
                                        Optional.of(JointEnd.parse("-6 flare male")),
                                        Optional.empty(),
                                        Optional.of(Construction.values()[1]),
                                        "adapter",
                                        "paste",
                                        Optional.of(BarbClamp.EAR),
                                        Optional.of(HoseEnd.parse("45 down forward 0.7 0.8 swivel", 0))))
                                .withEnd(RunBuild.End.NONE
                                        .withFitting(Optional.of(JointEnd.parse("M12x1.5 banjo")))
                                        .withPort(Optional.of(JointEnd.parse("M12 x 1.5 metric female")))
                                        .withShape(Optional.of(HoseEnd.parse("straight 0.9", 0))))));
    }
}
