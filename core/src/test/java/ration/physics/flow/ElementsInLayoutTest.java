package ration.physics.flow;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import ration.Systems;
import ration.aircraft.condition.Attitude;
import ration.aircraft.condition.Condition;
import ration.aircraft.condition.Power;
import ration.aircraft.model.Filter;
import ration.aircraft.model.FlowSender;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Item;
import ration.aircraft.model.Orifice;
import ration.aircraft.model.Place;
import ration.aircraft.model.PortRef;
import ration.aircraft.model.Pump;
import ration.aircraft.model.QuickDisconnect;
import ration.aircraft.model.Rated;
import ration.aircraft.model.Regulator;
import ration.aircraft.model.Run;
import ration.aircraft.model.ShutOff;
import ration.aircraft.model.Strainer;
import ration.aircraft.model.Tag;
import ration.aircraft.model.Tank;
import ration.base.fluid.FuelGrade;
import ration.base.quantity.Measured;
import ration.base.quantity.Unit;
import ration.record.project.Pattern;
import ration.solver.network.FrictionLaw;

/** Items as laid out against sums done by hand: one item between a tank and the inlet, all on one level. */
class ElementsInLayoutTest {

    private static final double GPH = Unit.GALLON_PER_HOUR.toSi(1);
    private static final double PSI = Unit.PSI.toSi(1);

    private static Tag tag(String id, double z) {
        return new Tag(id, id, Place.inches(5, 0, z));
    }

    /** Tank at the inlet's own height, the item, and lines wide enough to cost nothing. */
    private static FuelSystem line(Item item, Item... more) {
        List<Item> items = new ArrayList<>(List.of(
                Systems.tank("tank", 10, 0, 0),
                item,
                Systems.inlet(),
                wide("a", "tank.outlet", item.id() + ".in"),
                wide("b", item.id() + ".out", "carburettor.in")));
        items.addAll(List.of(more));
        return new FuelSystem(items, Optional.empty());
    }

    private static Run wide(String id, String from, String to) {
        Run run = Systems.run(id, from, to, 1);
        return run.withSize(ration.aircraft.model.LineSize.parse("2 in bore"));
    }

    private static FlowAnswer demand(FuelSystem s, double gph, Condition c) {
        return new FlowBasis(s, FuelGrade.AVGAS_100LL, FrictionLaw.CONSERVATIVE)
                .ask(c, new FlowQuestion.Demand(gph * GPH));
    }

    /** Pressure the item adds (or with a minus takes) at a demand, psi. */
    private static double rise(FuelSystem s, String item, double gph, Condition c) {
        FlowAnswer a = demand(s, gph, c);
        assertThat(a.usable()).as(a.reason()).isTrue();
        return (a.pressure(new PortRef(item, Item.OUT)).orElseThrow()
                        - a.pressure(new PortRef(item, Item.IN)).orElseThrow())
                / PSI;
    }

    private static Condition level(FuelSystem s) {
        return Systems.level(s, 5);
    }

    private static Pump pump(Pump.Drive drive, Optional<Rated> off, Pump.Build build) {
        return new Pump(tag("pump", 0), drive, List.of(point(0, 8), point(40, 0)), off, build);
    }

    private static Pump.CurvePoint point(double gph, double psi) {
        return new Pump.CurvePoint(Measured.of(gph, Unit.GALLON_PER_HOUR), Measured.of(psi, Unit.PSI));
    }

    @ParameterizedTest
    @CsvSource({"10, -0.0375", "20, -0.10", "40, -0.30"})
    void aFilterThroughTwoPointsGoesThroughBoth(double gph, double psi) {
        FuelSystem s = line(new Filter(
                tag("filter", 0), List.of(Rated.of(20, 0.10, "maker"), Rated.of(40, 0.30, "maker")), Optional.empty()));
        assertThat(rise(s, "filter", gph, level(s))).isCloseTo(psi, Offset.offset(1e-4));
    }

    @Test
    void aFouledFilterCostsItsFouledFigureOrTwiceTheCleanOne() {
        FuelSystem given =
                line(new Filter(tag("filter", 0), List.of(Rated.of(20, 0.1, "")), Optional.of(Rated.of(20, 0.7, ""))));
        FuelSystem not = line(new Strainer(tag("filter", 0), Rated.of(20, 0.1, ""), true));
        assertThat(rise(given, "filter", 20, level(given).withFouled(true))).isCloseTo(-0.7, Offset.offset(1e-4));
        assertThat(rise(not, "filter", 20, level(not).withFouled(true))).isCloseTo(-0.2, Offset.offset(1e-4));
    }

    @ParameterizedTest
    @CsvSource({"flow-sender", "quick", "shut-off", "bulkhead"})
    void openBoresCostTheSquareOfTheirRatedPoint(String kind) {
        Rated rated = Rated.of(20, 0.2, "maker");
        FuelSystem s = line(
                kind.equals("flow-sender")
                        ? new FlowSender(tag("x", 0), rated)
                        : kind.equals("quick")
                                ? new QuickDisconnect(tag("x", 0), rated)
                                : kind.equals("bulkhead")
                                        ? new ration.aircraft.model.Bulkhead(tag("x", 0), rated)
                                        : new ShutOff(tag("x", 0), rated));
        assertThat(rise(s, "x", 10, level(s))).isCloseTo(-0.05, Offset.offset(1e-4));
    }

    /** dp = rho/2 (Q / (Cd A))^2, textbook. */
    @Test
    void anOrificeFollowsItsTextbookLaw() {
        double bore = 0.1 * 0.0254;
        FuelSystem s = line(new Orifice(tag("x", 0), Measured.of(0.1, Unit.INCH), 0.65));
        double q = 12 * GPH;
        double rho = FuelGrade.AVGAS_100LL.at(288.15).density();
        double dp = rho / 2 * Math.pow(q / (0.65 * Math.PI * bore * bore / 4), 2) / PSI;
        assertThat(rise(s, "x", 12, level(s))).isCloseTo(-dp, Offset.offset(1e-4));
    }

    @ParameterizedTest
    @ValueSource(doubles = {0, 10, 25})
    void aPumpAddsWhatItsCurveSays(double gph) {
        FuelSystem s = line(pump(Pump.Drive.ELECTRIC, Optional.empty(), Pump.Build.PLAIN));
        assertThat(rise(s, "pump", gph, level(s))).isCloseTo(8 * (1 - gph / 40), Offset.offset(1e-3));
    }

    /** What an engine drives moves flow in step with its speed; the pressure at no flow stays. */
    @Test
    void anEnginePumpFollowsTheEngine() {
        FuelSystem s = line(pump(Pump.Drive.ENGINE, Optional.empty(), Pump.Build.PLAIN));
        assertThat(rise(s, "pump", 10, level(s))).isCloseTo(6, Offset.offset(1e-3));
        double idle = Power.IDLE.speedShare();
        assertThat(rise(s, "pump", 5, level(s).with(Power.IDLE)))
                .isCloseTo(8 * (1 - 5 / (40 * idle)), Offset.offset(1e-3));
    }

    @ParameterizedTest
    @CsvSource({"1, 5", "10, 5", "15, 5", "30, 2"})
    void aReliefCutsTheCurveOff(double gph, double psi) {
        FuelSystem s = line(pump(
                Pump.Drive.ELECTRIC,
                Optional.empty(),
                new Pump.Build(Optional.of(Measured.of(5, Unit.PSI)), Optional.empty(), false)));
        assertThat(rise(s, "pump", gph, level(s))).isCloseTo(psi, Offset.offset(1e-3));
    }

    @Test
    void aStandingPumpPassesOrBlocks() {
        Condition off = level(line(pump(Pump.Drive.ELECTRIC, Optional.empty(), Pump.Build.PLAIN)))
                .withStopped(Set.of("pump"));
        FuelSystem passes = line(pump(Pump.Drive.ELECTRIC, Optional.of(Rated.of(20, 0.3, "")), Pump.Build.PLAIN));
        assertThat(rise(passes, "pump", 10, off)).isCloseTo(-0.075, Offset.offset(1e-3));
        FuelSystem blocks = line(pump(Pump.Drive.ELECTRIC, Optional.empty(), Pump.Build.PLAIN));
        assertThat(demand(blocks, 10, off).usable()).isFalse();
        assertThat(demand(blocks, 10, off).reason()).contains("carburettor.in");
    }

    /** Referred to the manifold, the rail falls with it: the same lift over the air it sprays into. */
    @ParameterizedTest
    @CsvSource({"AMBIENT, TAKE_OFF, 3.0", "AMBIENT, IDLE, 3.0", "MANIFOLD, TAKE_OFF, 3.0"})
    void anInLineRegulatorHoldsOverItsReference(Regulator.Reference reference, Power power, double psi) {
        Regulator r = new Regulator(
                tag("regulator", 0),
                Regulator.Style.IN_LINE,
                reference,
                Measured.of(3, Unit.PSI),
                Rated.of(20, 0.2, ""));
        Pump pump = pump(Pump.Drive.ELECTRIC, Optional.empty(), Pump.Build.PLAIN);
        FuelSystem s = new FuelSystem(
                List.of(
                        Systems.tank("tank", 10, 0, 0),
                        pump,
                        r,
                        Systems.inlet(),
                        wide("a", "tank.outlet", "pump.in"),
                        wide("b", "pump.out", "regulator.in"),
                        wide("c", "regulator.out", "carburettor.in")),
                Optional.empty());
        FlowAnswer a = demand(s, 8, level(s).with(power));
        assertThat(a.pressure(new PortRef("regulator", Item.OUT)).orElseThrow() / PSI)
                .isCloseTo(psi, Offset.offset(1e-3));
    }

    @Test
    void aManifoldReferenceDropsTheRailAtIdle() {
        var p = Pattern.TWO_PUMPS_PARALLEL.project();
        Regulator r = (Regulator) p.system().item("regulator").orElseThrow();
        FuelSystem s = p.system()
                .replace(new Regulator(r.tag(), r.style(), Regulator.Reference.MANIFOLD, r.setting(), r.loss()));
        Condition c = ration.answer.assess.StartingCase.of(p);
        FlowAnswer takeOff = demand(s, 1, c);
        FlowAnswer idle = demand(s, 1, c.with(Power.IDLE));
        double fall = takeOff.pressure(new PortRef("regulator", Item.IN)).orElseThrow()
                - idle.pressure(new PortRef("regulator", Item.IN)).orElseThrow();
        assertThat(fall).isCloseTo(-Power.IDLE.manifoldPa(), Offset.offset(2.0));
    }

    /** Front and rear outlets teed below: nose up the rear feeds, nose down the front, and the flow never stops. */
    @ParameterizedTest
    @ValueSource(doubles = {-12, -6, 0, 8, 15})
    void twoOutletsFeedNoseUpAndNoseDown(double pitch) {
        var p = Pattern.GRAVITY_TWO_OUTLETS.project();
        Condition c = ration.answer.assess.StartingCase.of(p)
                .with(Attitude.ofDegrees("Set", pitch, 0))
                .withContents(java.util.Map.of("left-tank", Unit.GALLON.toSi(2), "right-tank", Unit.GALLON.toSi(2)));
        FlowAnswer a = demand(p.system(), 8, c);
        assertThat(a.usable()).isTrue();
        assertThat(a.airDrawn()).isEmpty();
        double front = a.solution().flow("left-tank.outlet");
        double rear = a.solution().flow("left-tank.outlet-2");
        assertThat(front + rear).isCloseTo(8 * GPH, Offset.offset(1e-9));
        if (pitch >= 8) {
            assertThat(rear).isGreaterThan(front);
        } else if (pitch <= -6) {
            assertThat(front).isGreaterThan(rear);
        }
    }

    /** The transfer pump fills the main tank; once full, the overflow carries at least as much back. */
    @Test
    void aTransferPumpFillsAndTheOverflowCarriesItBack() {
        var p = Pattern.TRANSFER.project();
        Condition half = ration.answer.assess.StartingCase.of(p)
                .withContents(
                        java.util.Map.of("main-tank", Unit.GALLON.toSi(8), "auxiliary-tank", Unit.GALLON.toSi(8)));
        FlowAnswer filling = demand(p.system(), 5, half);
        Tank main = (Tank) p.system().item("main-tank").orElseThrow();
        Tank auxiliary = (Tank) p.system().item("auxiliary-tank").orElseThrow();
        assertThat(filling.outflow(main)).isNegative();
        assertThat(filling.outflow(main) + filling.outflow(auxiliary)).isCloseTo(5 * GPH, Offset.offset(1e-9));
        FlowAnswer full = demand(
                p.system(),
                5,
                half.withContents("main-tank", main.shape().solid().volume()));
        assertThat(full.solution().flow("main-tank.overflow"))
                .isGreaterThan(full.solution().flow("transfer-pump"));
        assertThat(full.outflow(main)).isPositive();
    }
}
