package ration.physics.flow;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.assertj.core.data.Offset;
import org.assertj.core.data.Percentage;
import org.junit.jupiter.api.Test;
import ration.Systems;
import ration.aircraft.model.CheckValve;
import ration.aircraft.model.Firewall;
import ration.aircraft.model.Fitout;
import ration.aircraft.model.Fitted;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Item;
import ration.aircraft.model.Orifice;
import ration.aircraft.model.Place;
import ration.aircraft.model.Pump;
import ration.aircraft.model.Run;
import ration.aircraft.model.Tag;
import ration.aircraft.model.Tank;
import ration.aircraft.model.TankShape;
import ration.answer.assess.Assessment;
import ration.base.quantity.Measured;
import ration.base.quantity.Quantity;
import ration.base.quantity.Unit;
import ration.record.project.Brief;
import ration.record.project.Project;

/** What must not matter: where the datum is, which units were written, which side is called left. */
class InvarianceTest {

    /** Every place of a system put through a change. */
    private record Moved(
            UnaryOperator<Place> place,
            UnaryOperator<Measured> station,
            UnaryOperator<Measured> side,
            UnaryOperator<Measured> height) {

        FuelSystem of(FuelSystem system) {
            List<Item> items = new ArrayList<>();
            for (Item item : system.items()) {
                if (item instanceof Tank t) {
                    TankShape.Prism p = (TankShape.Prism) t.shape();
                    items.add(t.withShape(new TankShape.Prism(
                                    p.corners().stream()
                                            .map(c -> new TankShape.Corner(
                                                    station.apply(c.station()), height.apply(c.waterLine())))
                                            .toList(),
                                    side.apply(p.leftWall()),
                                    side.apply(p.rightWall())))
                            .withOutlets(t.outlets().stream()
                                    .map(o -> o.at(place.apply(o.place())))
                                    .toList())
                            .withVent(t.vent().map(place))
                            .withDrain(t.drain().map(place))
                            .with(new Fitout(
                                    t.fitout().wells().stream()
                                            .map(w -> new Fitout.Well(place.apply(w.floor()), w.length(), w.width()))
                                            .toList(),
                                    List.of(),
                                    t.fitout().filler().map(place),
                                    t.fitout().gauge().map(place),
                                    t.fitout().published(),
                                    t.fitout()
                                            .vent()
                                            .map(v -> v.withPoints(v.points().stream()
                                                    .map(place)
                                                    .toList())))));
                } else if (item instanceof Run r) {
                    items.add(r.withPoints(r.points().stream().map(place).toList()));
                } else if (item instanceof Fitted f) {
                    items.add(f.with(new Tag(f.id(), f.name(), place.apply(f.place()))));
                }
            }
            return new FuelSystem(
                    items,
                    system.firewall()
                            .map(w -> new Firewall(
                                    station.apply(w.station()), height.apply(w.top()), height.apply(w.foot()))));
        }

        static Moved by(double x, double y, double z, boolean mirror) {
            UnaryOperator<Measured> station =
                    m -> m.with(Quantity.of(m.quantity().value() + x, Unit.INCH));
            UnaryOperator<Measured> side =
                    m -> m.with(Quantity.of((mirror ? -1 : 1) * m.quantity().value() + y, Unit.INCH));
            UnaryOperator<Measured> height =
                    m -> m.with(Quantity.of(m.quantity().value() + z, Unit.INCH));
            return new Moved(
                    p -> new Place(station.apply(p.station()), side.apply(p.buttLine()), height.apply(p.waterLine())),
                    station,
                    side,
                    height);
        }
    }

    private static List<Double> margins(Project p) {
        return Assessment.of(p).cases().stream().map(c -> c.margin()).toList();
    }

    private static void same(List<Double> a, List<Double> b) {
        assertThat(b).hasSameSizeAs(a);
        for (int i = 0; i < a.size(); i++) {
            assertThat(b.get(i)).isCloseTo(a.get(i), Offset.offset(1e-6));
        }
    }

    @Property(tries = 8)
    void theDatumDoesNotMatter(
            @ForAll @DoubleRange(min = -300, max = 300) double x,
            @ForAll @DoubleRange(min = -50, max = 50) double y,
            @ForAll @DoubleRange(min = -200, max = 200) double z) {
        Project demo = Systems.corrie();
        same(margins(demo), margins(demo.with(Moved.by(x, y, z, false).of(demo.system()))));
    }

    @Test
    void leftAndRightDoNotMatterToTheWholeMatrix() {
        Project demo = Systems.corrie();
        List<Double> mirrored = margins(demo.with(Moved.by(0, 0, 0, true).of(demo.system())));
        assertThat(mirrored.stream().min(Double::compare).orElseThrow())
                .isCloseTo(margins(demo).stream().min(Double::compare).orElseThrow(), Offset.offset(1e-6));
    }

    @Test
    void theUnitsWrittenDoNotMatter() {
        Project demo = Systems.corrie();
        UnaryOperator<Measured> mm = m -> m.with(m.quantity().in(Unit.MILLIMETRE));
        Moved metric = new Moved(
                p -> new Place(mm.apply(p.station()), mm.apply(p.buttLine()), mm.apply(p.waterLine())), mm, mm, mm);
        Brief b = demo.brief();
        Project written = demo.with(metric.of(demo.system()))
                .with(b.withPower(b.power().quantity().in(Unit.KILOWATT))
                        .withLowFuel(b.lowFuel().quantity().in(Unit.LITRE))
                        .withConsumption(b.consumption().quantity().in(Unit.GRAM_PER_KILOWATT_HOUR))
                        .withFuelTemperature(b.fuelTemperature().quantity().in(Unit.FAHRENHEIT)));
        same(margins(demo), margins(written));
    }

    @Test
    void aBoxAndItsSectionAreTheSameTank() {
        Project box = Systems.project(Systems.oneLine());
        FuelSystem corners =
                Systems.offer(box.system(), "tank", "Draw by corners").on(box.system());
        same(margins(box), margins(box.with(corners)));
    }

    /** A line over a hump under the fuel surface, and one that dips: only length counts, not the way. */
    @Test
    void theWayOfALineCostsNothingButItsLength() {
        FuelSystem system = Systems.oneLine();
        Run run = system.runs().get(0);
        Run dips = run.withPoints(List.of(Place.inches(5, 0, -20)));
        Run rises = run.withPoints(List.of(Place.inches(5, 0, 20)));
        double straight = margins(Systems.project(system)).get(0);
        assertThat(margins(Systems.project(system.replace(dips))).get(0)).isCloseTo(straight, Offset.offset(1e-9));
        assertThat(margins(Systems.project(system.replace(rises))).get(0)).isCloseTo(straight, Offset.offset(1e-9));
        Run unmeasured = new Run(
                run.id(),
                run.name(),
                run.from(),
                run.to(),
                run.size(),
                Optional.empty(),
                List.of(Place.inches(5, 0, -20)),
                List.of());
        assertThat(margins(Systems.project(system.replace(unmeasured))).get(0)).isLessThan(straight);
    }

    /** Twice the head through a square-law path brings the square root of two more. */
    @Test
    void headAndFlowFollowTheSquareLaw() {
        FuelSystem system = new FuelSystem(
                List.of(
                        Systems.tank("tank", 0, 0, 20),
                        new Orifice(new Tag("jet", "Jet", Place.inches(0, 0, 0)), Systems.in(0.05), 0.65),
                        Systems.inlet(),
                        Systems.run("r1", "tank.outlet", "jet.in", 20),
                        Systems.run("r2", "jet.out", "carburettor.in", 1)),
                Optional.empty());
        FlowBasis basis = new FlowBasis(
                system, ration.base.fluid.FuelGrade.AVGAS_100LL, ration.solver.network.FrictionLaw.CONSERVATIVE);
        FlowAnswer low = basis.ask(Systems.level(system, 2), new FlowQuestion.OpenLine());
        FlowAnswer high = basis.ask(Systems.level(system, 7), new FlowQuestion.OpenLine());
        double ratio = high.headAvailable().getAsDouble() / low.headAvailable().getAsDouble();
        assertThat(high.inletFlow() / low.inletFlow()).isCloseTo(Math.sqrt(ratio), Percentage.withPercentage(0.5));
    }

    /** A strainer rated 0.06 psi at 20 gph costs 0.06 psi when 20 gph pass it; a selector likewise. */
    @Test
    void ratedItemsCostWhatTheirPointSays() {
        FuelSystem system = Systems.corrie().system();
        FlowBasis basis = new FlowBasis(
                system, ration.base.fluid.FuelGrade.AVGAS_100LL, ration.solver.network.FrictionLaw.CONSERVATIVE);
        FlowAnswer answer = basis.ask(
                Systems.level(system, 8).withPosition("selector", "UPPER"),
                new FlowQuestion.Demand(Unit.GALLON_PER_HOUR.toSi(20)));
        double strainer = answer.pressure(Systems.port("strainer.in")).getAsDouble()
                - answer.pressure(Systems.port("strainer.out")).getAsDouble();
        double selector = answer.pressure(Systems.port("selector.upper")).getAsDouble()
                - answer.pressure(Systems.port("selector.out")).getAsDouble();
        assertThat(Unit.PSI.fromSi(strainer)).isCloseTo(0.05, Offset.offset(1e-6));
        assertThat(Unit.PSI.fromSi(selector)).isCloseTo(0.045, Offset.offset(1e-6));
    }

    /** A check valve costs its cracking pressure before anything flows (0.5 psi would eat 19.2 in of head). */
    @Test
    void aCheckValveCostsItsCrackingPressure() {
        CheckValve valve = new CheckValve(
                new Tag("check", "Check", Place.inches(4, 0, 0)),
                Measured.of(0.2, Unit.PSI),
                ration.aircraft.model.Rated.of(20, 0.05, ""));
        FuelSystem system = Systems.oneLine()
                .minus("r1")
                .plus(
                        valve,
                        Systems.run("r1", "tank.outlet", "check.in", 30),
                        Systems.run("r2", "check.out", "carburettor.in", 5));
        FlowBasis basis = new FlowBasis(
                system, ration.base.fluid.FuelGrade.AVGAS_100LL, ration.solver.network.FrictionLaw.CONSERVATIVE);
        FlowAnswer answer = basis.ask(Systems.level(system, 4), new FlowQuestion.Demand(Unit.GALLON_PER_HOUR.toSi(10)));
        double loss = answer.pressure(Systems.port("check.in")).getAsDouble()
                - answer.pressure(Systems.port("check.out")).getAsDouble();
        assertThat(Unit.PSI.fromSi(loss)).isCloseTo(0.2 + 0.05 / 4, Offset.offset(1e-5));
    }

    /** A pump's working point lies on its own curve and on the line's loss. */
    @Test
    void aPumpWorksWhereItsCurveMeetsTheLine() {
        Pump pump = new Pump(
                new Tag("pump", "Pump", Place.inches(6, 0, -6)),
                Pump.Drive.ELECTRIC,
                List.of(
                        new Pump.CurvePoint(Measured.of(0, Unit.GALLON_PER_HOUR), Measured.of(6, Unit.PSI)),
                        new Pump.CurvePoint(Measured.of(30, Unit.GALLON_PER_HOUR), Measured.of(3, Unit.PSI)),
                        new Pump.CurvePoint(Measured.of(45, Unit.GALLON_PER_HOUR), Measured.of(0, Unit.PSI))),
                Optional.of(ration.aircraft.model.Rated.of(20, 0.3, "")));
        FuelSystem system = new FuelSystem(
                List.of(
                        Systems.tank("tank", 20, 0, -8),
                        pump,
                        Systems.inlet(),
                        Systems.run("r1", "tank.outlet", "pump.in", 20),
                        Systems.run("r2", "pump.out", "carburettor.in", 30)),
                Optional.empty());
        FlowBasis basis = new FlowBasis(
                system, ration.base.fluid.FuelGrade.AVGAS_100LL, ration.solver.network.FrictionLaw.CONSERVATIVE);
        FlowAnswer answer = basis.ask(Systems.level(system, 6), new FlowQuestion.Capacity());
        double gph = Unit.GALLON_PER_HOUR.fromSi(answer.inletFlow());
        double rise = Unit.PSI.fromSi(answer.pressure(Systems.port("pump.out")).getAsDouble()
                - answer.pressure(Systems.port("pump.in")).getAsDouble());
        double curve = gph < 30 ? 6 - 0.1 * gph : 3 - (gph - 30) / 5;
        assertThat(rise).isCloseTo(curve, Offset.offset(1e-3));
        FlowAnswer stopped = basis.ask(Systems.level(system, 6).withPump("pump", false), new FlowQuestion.Capacity());
        assertThat(stopped.inletFlow()).isLessThan(answer.inletFlow());
    }
}
