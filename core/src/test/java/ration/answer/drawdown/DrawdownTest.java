package ration.answer.drawdown;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.assertj.core.data.Offset;
import org.assertj.core.data.Percentage;
import org.hipparchus.analysis.solvers.BrentSolver;
import org.junit.jupiter.api.Test;
import ration.Systems;
import ration.aircraft.condition.Condition;
import ration.aircraft.condition.Fault;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Header;
import ration.aircraft.model.LineSize;
import ration.aircraft.model.Place;
import ration.aircraft.model.Run;
import ration.aircraft.model.Tag;
import ration.aircraft.model.Tank;
import ration.aircraft.model.Tee;
import ration.base.fluid.FuelGrade;
import ration.base.geometry.Point3;
import ration.base.quantity.Measured;
import ration.base.quantity.Unit;
import ration.physics.flow.FlowBasis;
import ration.physics.tank.FuelCentroid;
import ration.physics.tank.TankBody;
import ration.solver.network.FrictionLaw;

/** Tanks in time, against sums done by hand. */
class DrawdownTest {

    private static final double GPH = Unit.GALLON_PER_HOUR.toSi(1);
    private static final double GALLON = Unit.GALLON.toSi(1);
    private static final double INCH = 0.0254;
    private static final double G = 9.80665;
    private static final double RHO = FuelGrade.AVGAS_100LL.density(288.15);
    private static final double AREA = 200 * INCH * INCH;

    private static Drawdown.Outcome run(
            FuelSystem system, Condition c, double demand, double minutes, Watch... watches) {
        FlowBasis basis = new FlowBasis(system, FuelGrade.AVGAS_100LL, FrictionLaw.TEXTBOOK);
        Holding from = Holding.of(system, c.contents());
        return new Drawdown(basis, from, c, 1)
                .run(Stretch.level(c, demand, 0, minutes), from, List.of(watches), l -> {});
    }

    private static Watch shortOfFuel() {
        return new Watch(FlightEvent.Kind.STARVES, "", Look::spare);
    }

    private static Run wide(String id, String from, String to, double inches) {
        return new Run(
                id,
                id,
                Systems.port(from),
                Systems.port(to),
                LineSize.parse("2 in bore"),
                Optional.of(Systems.in(inches)),
                List.of(),
                List.of());
    }

    @Test
    void aPrismEmptiesEvenlyAndItsOutletUncoversOnTime() {
        Condition c = Systems.level(Systems.oneLine(), 5);
        Drawdown.Outcome o = run(Systems.oneLine(), c, 6 * GPH, 600);
        // a box is empty to its floor, where the outlet is: V / q
        assertThat(o.by().orElseThrow().kind()).isEqualTo(FlightEvent.Kind.UNCOVERS);
        assertThat(o.at().minutes()).isCloseTo(50, Offset.offset(1e-4));
        assertThat(o.at().holding().burnt()).isCloseTo(5 * GALLON, Offset.offset(3e-8));
        Drawdown.Outcome half = run(Systems.oneLine(), c, 6 * GPH, 20);
        assertThat(half.at().holding().tank("tank")).isCloseTo(3 * GALLON, Offset.offset(1e-10));
    }

    /** Torricelli: t = 2 A / (C a sqrt(2 g)) (sqrt h0 - sqrt h1), with the hole's discharge as the network has it. */
    @Test
    void aLeakEmptiesATankAsTorricelliSays() {
        FuelSystem system = new FuelSystem(
                List.of(
                        Systems.tank("tank", 10, 0, 24),
                        Systems.inlet(),
                        wide("a", "tank.outlet", "carburettor.in", 40)),
                Optional.empty());
        double hole = 0.04 * INCH;
        Condition c = Systems.level(system, 6).with(new Fault(Fault.Kind.FUEL_LEAK, "tank", "outlet", hole));
        double h0 = 6 * GALLON / AREA;
        double minutes = 60;
        Drawdown.Outcome o = run(system, c, 0, minutes);
        double h1 = o.at().holding().tank("tank") / AREA;
        double area = Math.PI / 4 * hole * hole;
        double discharge = 2 * AREA / (area * Math.sqrt(2 * G)) * (Math.sqrt(h0) - Math.sqrt(h1)) / (60 * minutes);
        // one discharge fits the whole way down: half of the time gives the same
        double half = run(system, c, 0, minutes / 2).at().holding().tank("tank") / AREA;
        assertThat(2 * AREA / (area * Math.sqrt(2 * G)) * (Math.sqrt(h0) - Math.sqrt(half)) / (30 * minutes))
                .isCloseTo(discharge, Percentage.withPercentage(0.1));
        assertThat(discharge).isBetween(0.58, 0.65);
        assertThat(o.at().holding().spilt())
                .isCloseTo(6 * GALLON - o.at().holding().tank("tank"), Offset.offset(1e-9));
    }

    /**
     * Two equal boxes joined by a thin tube: their difference fades with the time constant A R / (2 rho g) while it
     * flows laminar.
     */
    @Test
    void joinedTanksSettleToOneLevel() {
        Tee tee = new Tee(new Tag("tee", "Tee", Place.inches(10, 0, 24)), Systems.in(2));
        LineSize thin = LineSize.parse("0.08 in bore");
        FuelSystem system = new FuelSystem(
                List.of(
                        Systems.tank("left", 10, -40, 24),
                        Systems.tank("right", 10, 40, 24),
                        tee,
                        Systems.inlet(),
                        new Run(
                                "l",
                                "L",
                                Systems.port("left.outlet"),
                                Systems.port("tee.in"),
                                thin,
                                Optional.of(Systems.in(200)),
                                List.of(),
                                List.of()),
                        new Run(
                                "r",
                                "R",
                                Systems.port("right.outlet"),
                                Systems.port("tee.branch"),
                                thin,
                                Optional.of(Systems.in(200)),
                                List.of(),
                                List.of()),
                        wide("c", "tee.out", "carburettor.in", 30)),
                Optional.empty());
        Condition c = Systems.level(system, 3).withContents("left", 3.4 * GALLON);
        double nu = FuelGrade.AVGAS_100LL.at(288.15).viscosity();
        double resistance = 128 * RHO * nu * 400 * INCH / (Math.PI * Math.pow(0.08 * INCH, 4));
        double minutes = AREA * resistance / (2 * RHO * G) / 60;
        Drawdown.Outcome o = run(system, c, 0, minutes);
        double difference = o.at().holding().tank("left") - o.at().holding().tank("right");
        assertThat(difference / (0.4 * GALLON)).isCloseTo(Math.exp(-1), Percentage.withPercentage(3));
        assertThat(o.at().holding().inTanks()).isCloseTo(6.4 * GALLON, Offset.offset(1e-9));
        Drawdown.Outcome last = run(system, c, 0, 12 * minutes);
        assertThat(last.at().holding().tank("left")).isCloseTo(3.2 * GALLON, Offset.offset(1e-3 * GALLON));
    }

    /**
     * Air shut in, lines that cost nothing: short when p V = const pulls as much as the head over the least pressure.
     */
    @Test
    void aShutVentLastsUntilTheTrappedAirHolds() {
        FuelSystem system = new FuelSystem(
                List.of(
                        Systems.tank("tank", 10, 0, 24),
                        Systems.inlet(),
                        wide("a", "tank.outlet", "carburettor.in", 40)),
                Optional.empty());
        Condition c = Systems.level(system, 4).with(new Fault(Fault.Kind.VENT_SHUT, "tank"));
        double q = 8 * GPH;
        Drawdown.Outcome o = run(system, c, q, 600, shortOfFuel());
        double room = AREA * 10 * INCH - 4 * GALLON;
        double outside = c.air().day().pressurePa();
        double least = Unit.PSI.toSi(0.05);
        double minutes = new BrentSolver(1e-9)
                .solve(
                        100,
                        t -> outside * room / (room + q * 60 * t)
                                - outside
                                + RHO * G * (24 * INCH + (4 * GALLON - q * 60 * t) / AREA)
                                - least,
                        0,
                        25);
        assertThat(o.by().orElseThrow().kind()).isEqualTo(FlightEvent.Kind.STARVES);
        // the wide line and the outlet still cost a little
        assertThat(o.at().minutes()).isCloseTo(minutes, Percentage.withPercentage(2));
    }

    /** A full header behind a bare tank: its capacity over the demand. */
    @Test
    void aHeaderLastsAsLongAsItHolds() {
        Header header = new Header(
                new Tag("header", "Header", Place.inches(4, 0, 12)),
                Measured.of(0.5, Unit.GALLON),
                Systems.in(5),
                Systems.in(4),
                List.of("in"));
        FuelSystem system = new FuelSystem(
                List.of(
                        Systems.tank("tank", 10, 0, 24),
                        header,
                        Systems.inlet(),
                        wide("a", "tank.outlet", "header.in", 20),
                        wide("b", "header.out", "carburettor.in", 20)),
                Optional.empty());
        Condition c = Systems.level(system, 0);
        Drawdown.Outcome o =
                run(system, c, 6 * GPH, 600, new Watch(FlightEvent.Kind.HEADER_EMPTY, "header", l -> l.holding()
                        .header(0)));
        assertThat(o.by().orElseThrow().kind()).isEqualTo(FlightEvent.Kind.HEADER_EMPTY);
        assertThat(o.at().minutes()).isCloseTo(5, Offset.offset(0.01));
    }

    /** The light of a header with half of its half gallon over it comes on after half of the time it lasts. */
    @Test
    void aHeadersLightComesOnAtItsHeight() {
        Header header = new Header(
                        new Tag("header", "Header", Place.inches(4, 0, 12)),
                        Measured.of(0.5, Unit.GALLON),
                        Systems.in(5),
                        Systems.in(4),
                        List.of("in"))
                .withLowLight(Optional.of(Systems.in(2.5)));
        FuelSystem system = new FuelSystem(
                List.of(
                        Systems.tank("tank", 10, 0, 24),
                        header,
                        Systems.inlet(),
                        wide("a", "tank.outlet", "header.in", 20),
                        wide("b", "header.out", "carburettor.in", 20)),
                Optional.empty());
        Lasting lasting = Lasting.of(
                new FlowBasis(system, FuelGrade.AVGAS_100LL, FrictionLaw.TEXTBOOK),
                Systems.level(system, 0),
                6 * GPH,
                60);
        assertThat(lasting.lights().get("header")).isCloseTo(2.5, Offset.offset(0.01));
        assertThat(lasting.minutes()).isCloseTo(5, Offset.offset(0.01));
    }

    @Test
    void theMiddleOfTheFuelIsThatOfItsShape() {
        Tank box = Systems.tank("tank", 10, 0, 24);
        FuelCentroid level = FuelCentroid.of(TankBody.of(box), new Point3(0, 0, 1));
        Point3 half = level.at(AREA * 5 * INCH);
        assertThat(half.x()).isCloseTo(10 * INCH, Offset.offset(1e-6));
        assertThat(half.y()).isCloseTo(0, Offset.offset(1e-6));
        assertThat(half.z()).isCloseTo(26.5 * INCH, Offset.offset(1e-5));
        // tilted by 45 degrees a half full square section holds a triangle: its middle lies at a third from both walls
        Point3 tilted = FuelCentroid.of(TankBody.of(box), new Point3(0, Math.sqrt(0.5), Math.sqrt(0.5)))
                .at(AREA * 5 * INCH);
        assertThat(tilted.y()).isCloseTo((-5 + 10.0 / 3) * INCH, Offset.offset(1e-4));
        assertThat(tilted.z()).isCloseTo((24 + 10.0 / 3) * INCH, Offset.offset(1e-4));
    }

    @Test
    void nothingIsLostOnTheWay() {
        for (String demo : List.of("corrie-b1", "brindle-a2", "tansy-l3")) {
            ration.answer.assess.Assessment a = ration.Systems.assessed(demo);
            Flight f = FlightRun.of(a, UsualFlight.of(a.project()));
            double start = f.samples().get(0).condition().contents().values().stream()
                            .mapToDouble(v -> v)
                            .sum()
                    + f.samples().get(0).headers();
            assertThat(f.trouble()).isEmpty();
            assertThat(f.samples()).allSatisfy(s -> {
                double now = s.condition().contents().values().stream()
                                .mapToDouble(v -> v)
                                .sum()
                        + s.headers()
                        + s.burnt();
                assertThat(now / start).isCloseTo(1, Offset.offset(1e-9));
            });
            assertThat(Map.of("burnt", f.reached().burnt())).allSatisfy((k, burnt) -> assertThat(burnt)
                    .isGreaterThan(0.9 * f.reached().placards()));
        }
    }
}
