package ration.physics.flow;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.assertj.core.data.Offset;
import org.assertj.core.data.Percentage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import ration.Systems;
import ration.aircraft.condition.Condition;
import ration.aircraft.condition.Day;
import ration.aircraft.condition.Fault;
import ration.aircraft.condition.Fault.Kind;
import ration.aircraft.condition.Power;
import ration.aircraft.model.CheckValve;
import ration.aircraft.model.EngineInlet;
import ration.aircraft.model.Filter;
import ration.aircraft.model.FlowSender;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Item;
import ration.aircraft.model.LineSize;
import ration.aircraft.model.Outlet;
import ration.aircraft.model.Place;
import ration.aircraft.model.PortRef;
import ration.aircraft.model.Pump;
import ration.aircraft.model.Rated;
import ration.aircraft.model.Regulator;
import ration.aircraft.model.Run;
import ration.aircraft.model.Tag;
import ration.aircraft.model.Tank;
import ration.base.fluid.FuelGrade;
import ration.base.fluid.Volatility;
import ration.base.quantity.Measured;
import ration.base.quantity.Unit;
import ration.solver.network.FrictionLaw;
import ration.solver.network.NetworkSolution;

/**
 * Single failures: what the network makes of it, against sums done by hand or between the states it must lie between.
 */
class FaultsTest {

    private static final double GPH = Unit.GALLON_PER_HOUR.toSi(1);
    private static final double PSI = Unit.PSI.toSi(1);
    private static final double RHO = FuelGrade.AVGAS_100LL.density(288.15);
    private static final double G = 9.80665;

    private static Tag tag(String id) {
        return new Tag(id, id, Place.inches(5, 0, 0));
    }

    /** Tank at the inlet's own height, one item, and lines wide enough to cost nothing. */
    private static FuelSystem line(Item item, Item... more) {
        List<Item> items = new ArrayList<>(List.of(
                Systems.tank("tank", 10, 0, 0),
                item,
                Systems.inlet(),
                wide("a", "tank.outlet", item.id() + ".in"),
                wide("b", item.id() + ".out", "carburettor.in")));
        items.addAll(Arrays.asList(more));
        return new FuelSystem(items, Optional.empty());
    }

    private static Run wide(String id, String from, String to) {
        return Systems.run(id, from, to, 1).withSize(LineSize.parse("2 in bore"));
    }

    private static FlowBasis basis(FuelSystem s) {
        return new FlowBasis(s, FuelGrade.AVGAS_100LL, FrictionLaw.CONSERVATIVE);
    }

    private static FlowAnswer demand(FuelSystem s, double gph, Fault... faults) {
        Condition c = Systems.level(s, 5);
        for (Fault f : faults) {
            c = c.with(f);
        }
        return basis(s).ask(c, new FlowQuestion.Demand(gph * GPH));
    }

    private static double capacity(FuelSystem s, Fault... faults) {
        Condition c = Systems.level(s, 5);
        for (Fault f : faults) {
            c = c.with(f);
        }
        return basis(s).ask(c, new FlowQuestion.Capacity()).inletFlow();
    }

    private static double at(FlowAnswer a, String item, String port) {
        assertThat(a.usable()).as(a.reason()).isTrue();
        return a.pressure(new PortRef(item, port)).orElseThrow();
    }

    /** Pressure an item takes at a demand, psi. */
    private static double loss(FuelSystem s, String item, double gph, Fault... faults) {
        FlowAnswer a = demand(s, gph, faults);
        return (at(a, item, Item.IN) - at(a, item, Item.OUT)) / PSI;
    }

    @ParameterizedTest
    @CsvSource({"4, 0.4", "16, 1.6"})
    void aCloggedOutletCostsItsScreenAndEntranceSoManyTimes(double times, double psi) {
        FuelSystem open = line(new FlowSender(tag("x"), Rated.of(20, 0, "")));
        FuelSystem s = open.change(
                "tank",
                Tank.class,
                t -> t.withOutlets(List.of(new Outlet(
                        "outlet", t.outlets().get(0).place(), Systems.in(2), Optional.of(Rated.of(20, 0.1, ""))))));
        double clean = at(demand(s, 20), "tank", "outlet");
        double clogged = at(demand(s, 20, new Fault(Kind.OUTLET_CLOGGED, "tank", times)), "tank", "outlet");
        assertThat((clean - clogged) / PSI).isCloseTo(psi - 0.1, Offset.offset(0.001));
        assertThat(demand(s, 20, new Fault(Kind.OUTLET_CLOGGED, "tank", "outlet", Double.POSITIVE_INFINITY))
                        .solution()
                        .status())
                .isEqualTo(NetworkSolution.Status.NO_SUPPLY);
    }

    @Test
    void aFouledFilterCostsItsFouledFigureOrShuts() {
        FuelSystem s =
                line(new Filter(tag("filter"), List.of(Rated.of(20, 0.1, "")), Optional.of(Rated.of(20, 0.7, ""))));
        assertThat(loss(s, "filter", 20, new Fault(Kind.FILTER_FOULED, "filter")))
                .isCloseTo(0.7, Offset.offset(1e-4));
        assertThat(loss(s, "filter", 20, new Fault(Kind.FILTER_FOULED, "another")))
                .isCloseTo(0.1, Offset.offset(1e-4));
        assertThat(capacity(s, new Fault(Kind.FILTER_FOULED, "filter", Double.POSITIVE_INFINITY)))
                .isZero();
    }

    /** An inch of half the bore: 16 times the velocity head on the line's own, and what it costs to go in and out. */
    @Test
    void aPinchedLineLosesInAnInchOfLessBore() {
        FuelSystem s = Systems.oneLine();
        double bore = Unit.INCH.toSi(0.305);
        double q = 10 * GPH;
        FlowAnswer clear = demand(s, 10);
        FlowAnswer pinched = demand(s, 10, new Fault(Kind.LINE_PINCHED, "r1", 0.5));
        double narrow = bore / 2;
        double v = q / (Math.PI * narrow * narrow / 4);
        double re = v * narrow / FuelGrade.AVGAS_100LL.at(288.15).viscosity();
        double k = 0.5 * 0.75 + 0.75 * 0.75;
        double friction = FrictionLaw.CONSERVATIVE.factor(re, 1.5e-6 / narrow) * 0.0254 / narrow;
        assertThat(at(clear, "carburettor", Item.IN) - at(pinched, "carburettor", Item.IN))
                .isCloseTo(RHO * v * v / 2 * (k + friction), Percentage.withPercentage(0.5));
        assertThat(capacity(s, new Fault(Kind.LINE_PINCHED, "r1", 0.7)))
                .isBetween(capacity(s, new Fault(Kind.LINE_PINCHED, "r1", 0.5)), capacity(s));
    }

    /** A tenth of the area is a hundred times the loss. */
    @Test
    void aSelectorBetweenDetentsPassesThroughATenthOfItsArea() {
        FuelSystem s = Systems.twoTanks(24, 24);
        FlowAnswer good = demand(s, 5);
        FlowAnswer between = demand(s, 5, new Fault(Kind.SELECTOR_BETWEEN, "selector", 0.1));
        double rated = 0.03 * PSI * Math.pow(5.0 / 20, 2);
        assertThat(at(good, "carburettor", Item.IN) - at(between, "carburettor", Item.IN))
                .isCloseTo(99 * rated, Percentage.withPercentage(0.1));
    }

    /** Both full alike, nothing passes; the higher one runs into the lower one through the hole, by its head. */
    @Test
    void aSelectorThatLeaksJoinsTheOtherTankThroughASmallHole() {
        FuelSystem s = Systems.twoTanks(24, 34);
        Fault leak = new Fault(Kind.SELECTOR_LEAKS, "selector", Unit.INCH.toSi(0.02));
        FlowAnswer a = demand(s, 1, leak);
        double head = at(a, "selector", "right") - at(a, "selector", Item.OUT);
        double area = Math.PI * Math.pow(Unit.INCH.toSi(0.02), 2) / 4;
        double through = 0.62 * area * Math.sqrt(2 * head / RHO);
        assertThat(a.flow("r2")).isCloseTo(through, Percentage.withPercentage(0.1));
        assertThat(demand(s, 1).flow("r2")).isCloseTo(0, Offset.offset(1e-12));
    }

    @Test
    void aCheckValveStuckOpenPassesBothWaysAndStuckShutNeither() {
        CheckValve valve = new CheckValve(tag("check"), Measured.of(0.2, Unit.PSI), Rated.of(20, 0.1, ""));
        FuelSystem s = line(valve);
        assertThat(loss(s, "check", 20)).isCloseTo(0.3, Offset.offset(1e-4));
        assertThat(loss(s, "check", 20, new Fault(Kind.CHECK_STUCK_OPEN, "check")))
                .isCloseTo(0.1, Offset.offset(1e-4));
        assertThat(capacity(s, new Fault(Kind.CHECK_STUCK_SHUT, "check"))).isZero();
        FuelSystem back = new FuelSystem(
                        List.of(
                                Systems.tank("tank", 10, 0, 0),
                                Systems.tank("high", 10, 0, 40),
                                valve,
                                wide("a", "tank.outlet", "check.in"),
                                wide("b", "check.out", "high.outlet"),
                                Systems.inlet(),
                                wide("c", "x.in", "carburettor.in")),
                        Optional.empty())
                .minus("c", "carburettor");
        FlowAnswer stuck = basis(back)
                .ask(
                        Systems.level(back, 5).with(new Fault(Kind.CHECK_STUCK_OPEN, "check")),
                        new FlowQuestion.Demand(0));
        assertThat(stuck.flow("a")).as("runs back").isNegative();
        assertThat(basis(back)
                        .ask(Systems.level(back, 5), new FlowQuestion.Demand(0))
                        .flow("a"))
                .isZero();
    }

    private static Pump pump(Pump.Drive drive, Optional<Rated> off) {
        return new Pump(
                tag("pump"),
                drive,
                List.of(
                        new Pump.CurvePoint(Measured.of(0, Unit.GALLON_PER_HOUR), Measured.of(8, Unit.PSI)),
                        new Pump.CurvePoint(Measured.of(40, Unit.GALLON_PER_HOUR), Measured.of(0, Unit.PSI))),
                off,
                Pump.Build.PLAIN);
    }

    @Test
    void aDeadPumpIsAPassageOrAWallAndAWeakOneGivesAShareOfItsPressure() {
        FuelSystem passes = line(pump(Pump.Drive.ELECTRIC, Optional.of(Rated.of(20, 0.3, ""))));
        assertThat(loss(passes, "pump", 10)).isCloseTo(-6, Offset.offset(1e-4));
        assertThat(loss(passes, "pump", 10, new Fault(Kind.PUMP_WEAK, "pump", 0.6)))
                .isCloseTo(-3.6, Offset.offset(1e-4));
        assertThat(loss(passes, "pump", 20, new Fault(Kind.PUMP_DEAD, "pump"))).isCloseTo(0.3, Offset.offset(1e-4));
        FuelSystem blocks = line(pump(Pump.Drive.ELECTRIC, Optional.empty()));
        assertThat(capacity(blocks, new Fault(Kind.PUMP_DEAD, "pump"))).isZero();
    }

    @Test
    void withItsSupplyGoneEveryElectricPumpStandsAndNoEnginePump() {
        Fault supply = new Fault(Kind.SUPPLY_DEAD, "main bus");
        assertThat(capacity(line(pump(Pump.Drive.ELECTRIC, Optional.empty())), supply))
                .isZero();
        FuelSystem driven = line(pump(Pump.Drive.ENGINE, Optional.empty()));
        assertThat(capacity(driven, supply)).isEqualTo(capacity(driven)).isPositive();
    }

    /** Pump, rail, bypass regulator at 45 psi on the manifold, return to the tank. */
    private static FuelSystem rail() {
        Tank tank =
                Systems.tank("tank", 10, 0, 0).withReturns(List.of(new Tank.Entry("return", Place.inches(10, 0, 9))));
        EngineInlet rail = new EngineInlet(
                new Tag("rail", "Rail", Place.inches(0, 0, 0)),
                EngineInlet.Style.RAIL,
                Systems.in(0.2),
                Measured.of(30, Unit.PSI),
                Optional.empty(),
                true);
        Pump pump = new Pump(
                tag("pump"),
                Pump.Drive.ELECTRIC,
                List.of(
                        new Pump.CurvePoint(Measured.of(0, Unit.GALLON_PER_HOUR), Measured.of(75, Unit.PSI)),
                        new Pump.CurvePoint(Measured.of(50, Unit.GALLON_PER_HOUR), Measured.of(40, Unit.PSI))),
                Optional.empty(),
                Pump.Build.PLAIN);
        Regulator regulator = new Regulator(
                tag("regulator"),
                Regulator.Style.BYPASS,
                Regulator.Reference.MANIFOLD,
                Measured.of(45, Unit.PSI),
                Rated.of(30, 2, ""));
        return new FuelSystem(
                List.of(
                        tank,
                        pump,
                        rail,
                        regulator,
                        wide("a", "tank.outlet", "pump.in"),
                        wide("b", "pump.out", "rail.in"),
                        wide("c", "rail.return", "regulator.in"),
                        wide("d", "regulator.out", "tank.return")),
                Optional.empty());
    }

    private static FlowAnswer idling(FuelSystem s, Fault... faults) {
        Condition c = Systems.level(s, 5).with(Power.IDLE);
        for (Fault f : faults) {
            c = c.with(f);
        }
        return basis(s).ask(c, new FlowQuestion.Demand(GPH));
    }

    @Test
    void aRegulatorStuckOpenSpillsAllAndStuckShutLeavesThePumpsOwnPressure() {
        FuelSystem s = rail();
        double manifold = Power.IDLE.manifoldPa();
        assertThat(at(idling(s), "rail", Item.IN)).isCloseTo(45 * PSI + manifold, Offset.offset(50.0));
        FlowAnswer spills = idling(s, new Fault(Kind.REGULATOR_STUCK_OPEN, "regulator"));
        // all but the engine's gallon goes back, at two pounds for every thirty squared, nine inches up
        assertThat(at(spills, "rail", Item.IN) / PSI)
                .isLessThan(20)
                .isCloseTo(
                        2 * Math.pow((spills.flow("a") / GPH - 1) / 30, 2) + RHO * G * Unit.INCH.toSi(9) / PSI,
                        Percentage.withPercentage(0.2));
        // nothing flows back: 75 psi less seven tenths a gallon an hour
        assertThat(at(idling(s, new Fault(Kind.REGULATOR_STUCK_SHUT, "regulator")), "pump", Item.OUT)
                        - at(idling(s, new Fault(Kind.REGULATOR_STUCK_SHUT, "regulator")), "pump", Item.IN))
                .isCloseTo((75 - 0.7) * PSI, Percentage.withPercentage(0.01));
        assertThat(at(idling(s, new Fault(Kind.RETURN_BLOCKED, "d")), "rail", Item.IN))
                .isCloseTo(
                        at(idling(s, new Fault(Kind.REGULATOR_STUCK_SHUT, "regulator")), "rail", Item.IN),
                        Offset.offset(1.0));
    }

    @Test
    void withoutItsReferenceARegulatorHoldsAgainstAmbient() {
        FuelSystem s = rail();
        double off = at(idling(s, new Fault(Kind.REFERENCE_OFF, "regulator")), "rail", Item.IN);
        assertThat(off - at(idling(s), "rail", Item.IN)).isCloseTo(-Power.IDLE.manifoldPa(), Offset.offset(1.0));
    }

    /** The seat passes by its own head: the engine floods. */
    @Test
    void aNeedleStuckOpenPassesWhatItsSeatPasses() {
        FuelSystem s = Systems.oneLine();
        FlowAnswer a = demand(s, 5, new Fault(Kind.NEEDLE_STUCK_OPEN, "carburettor"));
        double area = Math.PI * Math.pow(Unit.INCH.toSi(0.3), 2) / 4;
        double through = EngineInlet.SEAT_DISCHARGE * area * Math.sqrt(2 * at(a, "carburettor", Item.IN) / RHO);
        assertThat(a.inletFlow())
                .isCloseTo(through, Percentage.withPercentage(0.1))
                .isGreaterThan(5 * GPH);
        FlowAnswer shut = demand(s, 5, new Fault(Kind.NEEDLE_STUCK_SHUT, "carburettor"));
        assertThat(shut.usable()).isFalse();
        assertThat(shut.solution().status()).isEqualTo(NetworkSolution.Status.NO_SUPPLY);
        assertThat(shut.reason()).contains("carburettor.needle");
        assertThat(capacity(s, new Fault(Kind.NEEDLE_STUCK_SHUT, "carburettor")))
                .isZero();
    }

    /** Where the line stands under ambient an end that leaks draws air; where it stands over it, nothing comes in. */
    @Test
    void anAirLeakDrawsAirOnlyUnderAmbient() {
        FuelSystem s = line(pump(Pump.Drive.ELECTRIC, Optional.empty()))
                .change("tank", Tank.class, t -> t.raised(Unit.INCH.toSi(-40)));
        Fault suction = new Fault(Kind.AIR_LEAK, "pump", Item.IN, 1);
        assertThat(demand(s, 10, suction).airDrawn()).containsExactly("pump.in");
        assertThat(capacity(s, suction)).isZero();
        assertThat(demand(s, 10, new Fault(Kind.AIR_LEAK, "pump", Item.OUT, 1)).airDrawn())
                .isEmpty();
        FuelSystem flooded = line(pump(Pump.Drive.ELECTRIC, Optional.empty()))
                .change("tank", Tank.class, t -> t.raised(Unit.INCH.toSi(40)));
        assertThat(capacity(flooded, suction)).isEqualTo(capacity(flooded)).isPositive();
    }

    /** A small hole under pressure: the orifice law at the pressure there; under ambient nothing runs out. */
    @Test
    void aLeakOfFuelIsAnOrificeToTheAir() {
        FuelSystem s = Systems.oneLine();
        double hole = Unit.INCH.toSi(0.02);
        FlowAnswer a = demand(s, 5, new Fault(Kind.FUEL_LEAK, "r1", "to", hole));
        double lost = 0.62 * Math.PI * hole * hole / 4 * Math.sqrt(2 * at(a, "carburettor", Item.IN) / RHO);
        assertThat(a.flow("r1") - 5 * GPH).isCloseTo(lost, Percentage.withPercentage(0.1));
        FuelSystem low = line(pump(Pump.Drive.ELECTRIC, Optional.empty()))
                .change("tank", Tank.class, t -> t.raised(Unit.INCH.toSi(-40)));
        assertThat(demand(low, 5, new Fault(Kind.FUEL_LEAK, "pump", Item.IN, hole))
                        .flow("a"))
                .isCloseTo(5 * GPH, Offset.offset(1e-12));
    }

    /** The air over the fuel feels the wing's upper side: Cp times the dynamic pressure, at every point under it. */
    @Test
    void aLostCapPutsTheSuctionOfTheWingOnTheFuel() {
        FuelSystem s = Systems.oneLine();
        double ram = 1000;
        FlowBasis moving = basis(s).in(new Surroundings(ram, Optional.empty(), 0));
        Condition c = Systems.level(s, 5);
        FlowQuestion asked = new FlowQuestion.Demand(5 * GPH);
        double before = at(moving.ask(c, asked), "carburettor", Item.IN);
        double after = at(moving.ask(c.with(new Fault(Kind.CAP_LOST, "tank", 0.8)), asked), "carburettor", Item.IN);
        assertThat(before - after).isCloseTo(800, Offset.offset(1e-6));
    }

    /** p V = const: the air that was shut in holds back the fuel that leaves. */
    @Test
    void aShutVentLeavesTheAirThatWasShutIn() {
        FuelSystem s = Systems.oneLine();
        Condition shut = Systems.level(s, 5).with(new Fault(Kind.VENT_SHUT, "tank"));
        FlowQuestion asked = new FlowQuestion.Demand(5 * GPH);
        double atOnce = at(basis(s).ask(shut, asked), "carburettor", Item.IN);
        assertThat(atOnce).as("nothing changes at once").isEqualTo(at(demand(s, 5), "carburettor", Item.IN));
        double room = 20 * 10 * 10 * Math.pow(0.0254, 3) - Unit.GALLON.toSi(5);
        double used = Unit.GALLON.toSi(0.05);
        double pressure = ClosedAirspace.gauge(room, used, 101_325);
        assertThat(pressure).isCloseTo(-101_325 * used / (room + used), Percentage.withPercentage(1e-6));
        double later = at(basis(s).ask(shut.withAirspace(Map.of("tank", pressure)), asked), "carburettor", Item.IN);
        assertThat(atOnce - later).isCloseTo(-pressure, Offset.offset(1e-6));
    }

    /** Four inches of fuel in a trap are pulled over before air comes in. */
    @Test
    void liquidInAVentIsPulledOverItsRise() {
        FuelSystem s = Systems.oneLine();
        double rise = Unit.INCH.toSi(4);
        double wet = at(demand(s, 5, new Fault(Kind.VENT_HOLDS_LIQUID, "tank", rise)), "carburettor", Item.IN);
        assertThat(at(demand(s, 5), "carburettor", Item.IN) - wet)
                .isCloseTo(RHO * G * rise, Percentage.withPercentage(0.01));
    }

    @Test
    void aStuckRotorCostsTenTimesAndAFrozenNeedleNothing() {
        FuelSystem s = line(new FlowSender(tag("sender"), Rated.of(20, 0.1, "")));
        assertThat(loss(s, "sender", 20, new Fault(Kind.SENDER_CLOGGED, "sender", 10)))
                .isCloseTo(1.0, Offset.offset(1e-4));
        assertThat(loss(s, "sender", 20, new Fault(Kind.INDICATION_FROZEN, "sender")))
                .isCloseTo(0.1, Offset.offset(1e-4));
    }

    /** Boiling begins at a gauge pressure that rises as ambient falls: 8,000 ft takes 3.8 psi (standard atmosphere). */
    @Test
    void theDayMovesThePressureAtWhichFuelBoils() {
        FuelSystem s = line(pump(Pump.Drive.ELECTRIC, Optional.empty()))
                .change("tank", Tank.class, t -> t.raised(Unit.INCH.toSi(-60)));
        FlowBasis boiling = basis(s).in(new Surroundings(0, Optional.of(Volatility.AVGAS_100LL.with(0)), 0));
        Condition warm = Systems.level(s, 5).withFuelKelvin(318);
        FlowQuestion asked = new FlowQuestion.Demand(5 * GPH);
        assertThat(boiling.ask(warm, asked).usable()).isTrue();
        assertThat(boiling.ask(warm.with(new Day(5500, 0)), asked).undelivered())
                .isTrue();
        assertThat(new Day(Unit.FOOT.toSi(8000), 0).pressurePa())
                .isCloseTo((14.696 - 3.78) * PSI, Percentage.withPercentage(0.1));
    }

    /** Every way to fail belongs to some part, and every way a part has changes its network but for what only shows. */
    @Test
    void everyWayToFailBelongsToAPart() {
        java.util.Set<Kind> known = new java.util.HashSet<>();
        ration.aircraft.model.EveryKind.all().forEach(i -> known.addAll(WaysToFail.of(i)));
        assertThat(known).containsExactlyInAnyOrder(Kind.values());
    }

    /** Whatever fails, there is an answer or a reason, and nothing that fails gives the engine more than it had. */
    @ParameterizedTest
    @EnumSource(Kind.class)
    void everyFaultOfEveryPartIsAnsweredOrRefusedWithAReason(Kind kind) {
        for (FuelSystem s : List.of(
                Systems.corrie().system(),
                Systems.demo("tansy-l3").system(),
                Systems.demo("brindle-a2").system())) {
            FlowBasis basis = basis(s);
            Condition c = Systems.level(s, 5);
            for (Item item : s.items()) {
                FlowAnswer a = basis.ask(
                        c.with(new Fault(kind, item.id(), kind.severity().endsWith(", m") ? 5e-4 : 0.5)),
                        new FlowQuestion.Demand(10 * GPH));
                assertThat(a.usable() || !a.reason().isBlank())
                        .as(kind + " of " + item.name())
                        .isTrue();
            }
        }
    }
}
