package ration.physics.flow;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.assertj.core.data.Offset;
import org.assertj.core.data.Percentage;
import org.junit.jupiter.api.Test;
import ration.Systems;
import ration.aircraft.condition.Attitude;
import ration.aircraft.condition.Condition;
import ration.aircraft.model.EngineInlet;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.LineSize;
import ration.aircraft.model.Place;
import ration.aircraft.model.PortRef;
import ration.aircraft.model.Pump;
import ration.aircraft.model.Run;
import ration.aircraft.model.ShutOff;
import ration.aircraft.model.Tag;
import ration.aircraft.model.Tank;
import ration.aircraft.model.Tee;
import ration.base.fluid.FuelGrade;
import ration.base.quantity.Measured;
import ration.base.quantity.Unit;
import ration.solver.network.Element;
import ration.solver.network.FrictionLaw;
import ration.solver.network.NetworkSolution.Status;

class FlowBasisTest {

    private static final double IN = 0.0254;

    private static FlowBasis basis(FuelSystem system) {
        return new FlowBasis(system, FuelGrade.AVGAS_100LL, FrictionLaw.CONSERVATIVE);
    }

    private static double gph(double si) {
        return Unit.GALLON_PER_HOUR.fromSi(si);
    }

    /** One line by hand: the head from surface to inlet is entrance, friction and needle seat together. */
    @Test
    void oneLineAgreesWithTheClosedForm() {
        FuelSystem system = Systems.oneLine();
        FlowAnswer answer = basis(system).ask(Systems.level(system, 4), new FlowQuestion.Capacity());
        double q = answer.inletFlow();
        var fuel = FuelGrade.AVGAS_100LL.at(288.15);
        double weight = fuel.density() * 9.80665;
        double depth = Unit.GALLON.toSi(4) / (20 * 10 * IN * IN);
        double d = 0.305 * IN;
        double v = q / (Math.PI / 4 * d * d);
        double re = v * d / fuel.viscosity();
        double f = FrictionLaw.CONSERVATIVE.factor(re, 1.5e-6 / d);
        double velocityHead = fuel.density() / 2 * v * v;
        double seat = new Element.Orifice(0.3 * IN, EngineInlet.SEAT_DISCHARGE).loss(q, fuel, FrictionLaw.CONSERVATIVE);
        double lost = velocityHead * (0.5 + f * 40 * IN / d) + Math.max(seat, Unit.PSI.toSi(0.05));
        assertThat(lost).isCloseTo(weight * (24 * IN + depth), Percentage.withPercentage(0.01));
    }

    @Test
    void theBudgetOfThePathAddsUpToTheHeadAvailable() {
        FuelSystem system = Systems.corrie().system();
        for (String position : List.of("UPPER", "FUSELAGE")) {
            Condition c = Systems.level(system, 3)
                    .withPosition("selector", position)
                    .with(Attitude.ofDegrees("Climb", 12, 3));
            FlowAnswer answer = basis(system).ask(c, new FlowQuestion.Capacity());
            double lost = answer.path().stream()
                    .mapToDouble(s -> s.headIn() - s.headOut())
                    .sum();
            assertThat(lost + answer.headLeft().getAsDouble())
                    .isCloseTo(answer.headAvailable().getAsDouble(), Offset.offset(1e-6));
            assertThat(answer.path().get(0).item()).isEqualTo(position.toLowerCase(java.util.Locale.ROOT));
            assertThat(answer.path()).allSatisfy(s -> assertThat(s.loss()).isPositive());
        }
    }

    @Test
    void demandLeavesThePressureThatCapacityUses() {
        FuelSystem system = Systems.oneLine();
        Condition c = Systems.level(system, 4);
        double most = basis(system).ask(c, new FlowQuestion.Capacity()).inletFlow();
        FlowAnswer demand = basis(system).ask(c, new FlowQuestion.Demand(most));
        FlowAnswer capacity = basis(system).ask(c, new FlowQuestion.Capacity());
        PortRef inlet = Systems.port("carburettor.in");
        assertThat(demand.inletFlow()).isEqualTo(most);
        assertThat(demand.pressure(inlet).getAsDouble())
                .isCloseTo(capacity.pressure(inlet).getAsDouble(), Offset.offset(0.1));
    }

    @Test
    void theOpenLinePoursMoreThanTheInletGets() {
        FuelSystem system = Systems.oneLine();
        Condition c = Systems.level(system, 4);
        assertThat(basis(system).ask(c, new FlowQuestion.OpenLine()).inletFlow())
                .isGreaterThan(basis(system).ask(c, new FlowQuestion.Capacity()).inletFlow());
    }

    @Test
    void offLeavesTheEngineDryAndSaysSo() {
        FuelSystem system = Systems.twoTanks(24, 24);
        Condition off = Systems.level(system, 4).withPosition("selector", "OFF");
        assertThat(basis(system).ask(off, new FlowQuestion.Capacity()).inletFlow())
                .isZero();
        FlowAnswer demand = basis(system).ask(off, new FlowQuestion.Demand(1e-5));
        assertThat(demand.usable()).isFalse();
        assertThat(demand.solution().status()).isEqualTo(Status.NO_SUPPLY);
        assertThat(demand.reason()).contains("carburettor");
    }

    @Test
    void bothFromEqualTanksDrawsEqually() {
        FuelSystem system = Systems.twoTanks(24, 24);
        FlowAnswer both = basis(system)
                .ask(Systems.level(system, 4).withPosition("selector", "BOTH"), new FlowQuestion.Capacity());
        assertThat(both.flow("r1")).isCloseTo(both.flow("r2"), Percentage.withPercentage(1e-4));
        assertThat(both.flow("r1") + both.flow("r2")).isCloseTo(both.flow("r3"), Offset.offset(1e-12));
        FlowAnswer left = basis(system)
                .ask(Systems.level(system, 4).withPosition("selector", "LEFT"), new FlowQuestion.Capacity());
        assertThat(both.inletFlow()).isGreaterThan(left.inletFlow());
        assertThat(left.flow("r2")).isCloseTo(0, Offset.offset(1e-12));
    }

    @Test
    void bothFromUnequalTanksFillsTheLowerOne() {
        FuelSystem system = Systems.twoTanks(40, 12);
        FlowAnswer both = basis(system)
                .ask(
                        Systems.level(system, 4).withPosition("selector", "BOTH"),
                        new FlowQuestion.Demand(Unit.GALLON_PER_HOUR.toSi(5)));
        Tank lower = system.tanks().get(1);
        assertThat(both.outflow(lower)).isNegative();
        assertThat(both.outflow(system.tanks().get(0)) + both.outflow(lower))
                .isCloseTo(Unit.GALLON_PER_HOUR.toSi(5), Offset.offset(1e-11));
    }

    @Test
    void anUncoveredOutletOnlyStopsFeedingUnderGravity() {
        FuelSystem system = Systems.twoTanks(40, 24);
        Condition c = Systems.level(system, 4).withContents("left", 0).withPosition("selector", "BOTH");
        FlowAnswer answer = basis(system).ask(c, new FlowQuestion.Demand(Unit.GALLON_PER_HOUR.toSi(8)));
        assertThat(answer.levels().get("left").uncovered()).containsExactly("outlet");
        assertThat(answer.airDrawn()).isEmpty();
        assertThat(answer.flow("r1")).isCloseTo(0, Offset.offset(1e-12));
        assertThat(gph(answer.inletFlow())).isCloseTo(8, Offset.offset(1e-6));
    }

    /** Low tanks teed to a pump: once one is dry the pump draws air and the other is out of reach. */
    @Test
    void aPumpDrawsAirThroughAnEmptyLowTank() {
        FuelSystem low = Systems.twoTanks(-30, -30);
        Pump pump = new Pump(
                new Tag("pump", "Pump", Place.inches(4, 0, -2)),
                Pump.Drive.ELECTRIC,
                List.of(
                        new Pump.CurvePoint(Measured.of(0, Unit.GALLON_PER_HOUR), Measured.of(6, Unit.PSI)),
                        new Pump.CurvePoint(Measured.of(40, Unit.GALLON_PER_HOUR), Measured.of(0, Unit.PSI))),
                Optional.empty());
        FuelSystem system = low.minus("r3")
                .plus(
                        pump,
                        Systems.run("r3", "selector.out", "pump.in", 12),
                        Systems.run("r4", "pump.out", "carburettor.in", 12));
        Condition full = Systems.level(system, 4).withPosition("selector", "BOTH");
        assertThat(basis(system).ask(full, new FlowQuestion.Capacity()).airDrawn())
                .isEmpty();
        Condition oneDry = full.withContents("left", 0);
        FlowAnswer much = basis(system).ask(oneDry, new FlowQuestion.Demand(Unit.GALLON_PER_HOUR.toSi(38)));
        assertThat(much.airDrawn()).containsExactly("left.outlet");
        FlowAnswer most = basis(system).ask(oneDry, new FlowQuestion.Capacity());
        assertThat(most.airDrawn())
                .as("the most is what draws no air: the full tank runs over into the dry one")
                .isEmpty();
        assertThat(most.inletFlow()).isLessThan(Unit.GALLON_PER_HOUR.toSi(38));
        assertThat(basis(system)
                        .ask(oneDry, new FlowQuestion.Demand(most.inletFlow() * 1.01))
                        .airDrawn())
                .isNotEmpty();
        FlowAnswer selected = basis(system).ask(oneDry.withPosition("selector", "RIGHT"), new FlowQuestion.Capacity());
        assertThat(selected.airDrawn()).isEmpty();
        assertThat(selected.inletFlow()).isPositive();
        FlowAnswer stopped = basis(system).ask(full.withPump("pump", false), new FlowQuestion.Capacity());
        assertThat(stopped.inletFlow()).as("a stopped pump that blocks").isZero();
    }

    @Test
    void aClosedShutOffStandsFullOfFuel() {
        FuelSystem line = Systems.oneLine().minus("r1");
        ShutOff valve = new ShutOff(
                new Tag("valve", "Valve", Place.inches(6, 0, 0)), ration.aircraft.model.Rated.of(20, 0.02, ""));
        FuelSystem system = line.plus(
                valve,
                Systems.run("r1", "tank.outlet", "valve.in", 30),
                Systems.run("r2", "valve.out", "carburettor.in", 8));
        Condition shut = Systems.level(system, 4).withValve("valve", true);
        FlowAnswer answer = basis(system).ask(shut, new FlowQuestion.Capacity());
        assertThat(answer.inletFlow()).isZero();
        double depth = Unit.GALLON.toSi(4) / (20 * 10 * IN * IN);
        assertThat(answer.pressure(Systems.port("valve.in")).getAsDouble())
                .isCloseTo(answer.weight() * (24 * IN + depth), Percentage.withPercentage(0.001));
    }

    @Test
    void aTeeJoinsABranch() {
        FuelSystem base = Systems.oneLine().minus("r1");
        Tee tee = new Tee(new Tag("tee", "Tee", Place.inches(5, 0, 2)), Systems.in(0.297));
        FuelSystem system = base.plus(
                tee,
                Systems.tank("second", 10, 30, 24),
                Systems.run("r1", "tank.outlet", "tee.in", 30),
                Systems.run("r2", "second.outlet", "tee.branch", 40),
                Systems.run("r3", "tee.out", "carburettor.in", 10));
        FlowAnswer answer = basis(system).ask(Systems.level(system, 4), new FlowQuestion.Capacity());
        assertThat(answer.flow("r2")).isPositive().isLessThan(answer.flow("r1"));
        assertThat(answer.flow("r3")).isCloseTo(answer.flow("r1") + answer.flow("r2"), Offset.offset(1e-12));
    }

    @Property(tries = 200)
    void aLargerLineNeverBringsLess(
            @ForAll @DoubleRange(min = 0.15, max = 0.5) double bore,
            @ForAll @DoubleRange(min = 0.01, max = 0.2) double more,
            @ForAll @DoubleRange(min = -10, max = 17) double pitch) {
        FuelSystem system = Systems.oneLine();
        Run run = system.runs().get(0);
        Condition c = Systems.level(system, 4).with(Attitude.ofDegrees("Any", pitch, 0));
        double small = basis(system.replace(run.withSize(size(bore))))
                .ask(c, new FlowQuestion.Capacity())
                .inletFlow();
        double large = basis(system.replace(run.withSize(size(bore + more))))
                .ask(c, new FlowQuestion.Capacity())
                .inletFlow();
        assertThat(large).isGreaterThanOrEqualTo(small);
    }

    private static LineSize size(double inches) {
        return LineSize.parse(String.format(java.util.Locale.ROOT, "%.4f in bore", inches));
    }

    @Property(tries = 200)
    void higherFuelNeverBringsLess(
            @ForAll @DoubleRange(min = 0.5, max = 8) double gallons,
            @ForAll @DoubleRange(min = 0, max = 0.6) double more) {
        FuelSystem system = Systems.oneLine();
        double low = basis(system)
                .ask(Systems.level(system, gallons), new FlowQuestion.Capacity())
                .inletFlow();
        double high = basis(system)
                .ask(Systems.level(system, gallons + more), new FlowQuestion.Capacity())
                .inletFlow();
        assertThat(high).isGreaterThanOrEqualTo(low);
    }
}
