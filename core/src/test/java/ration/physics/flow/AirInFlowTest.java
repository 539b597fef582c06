package ration.physics.flow;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;
import org.assertj.core.data.Offset;
import org.assertj.core.data.Percentage;
import org.junit.jupiter.api.Test;
import ration.Systems;
import ration.aircraft.condition.Condition;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Item;
import ration.aircraft.model.Outlet;
import ration.aircraft.model.Place;
import ration.aircraft.model.PortRef;
import ration.aircraft.model.Pump;
import ration.aircraft.model.Run;
import ration.aircraft.model.Strainer;
import ration.aircraft.model.Tag;
import ration.aircraft.model.Tank;
import ration.aircraft.model.Tee;
import ration.aircraft.model.VentLine;
import ration.answer.assess.Assessment;
import ration.answer.assess.CaseAnswer;
import ration.answer.assess.CaseWords;
import ration.base.fluid.FuelGrade;
import ration.base.fluid.Volatility;
import ration.base.quantity.Measured;
import ration.base.quantity.Unit;
import ration.physics.breathing.AirLine;
import ration.physics.tank.TankBody;
import ration.record.project.Pattern;
import ration.record.project.Project;
import ration.solver.network.FrictionLaw;

/** Air over the fuel, air through a bare outlet, and fuel below the pressure at which it boils. */
class AirInFlowTest {

    private static final double GPH = Unit.GALLON_PER_HOUR.toSi(1);
    private static final String CASE = "climb, fuselage, low";

    private static double margin(Project p) {
        Assessment a = Assessment.of(p);
        return a.look(CaseWords.parse(a, CASE)).orElseThrow().margin();
    }

    private static Project vents(UnaryOperator<VentLine> change) {
        Project p = Systems.corrie();
        FuelSystem s = p.system();
        for (Tank t : s.tanks()) {
            s = s.replace(t.with(t.fitout().withVent(t.fitout().vent().map(change))));
        }
        return p.with(s);
    }

    /** Recomputed by independent code: 1.41 with the tips at rest, 1.21 at Cp -0.5 and 80 kt, -519 Pa. */
    @Test
    void tipsThatSuckTakeFlowAway() {
        assertThat(margin(Systems.corrie())).isCloseTo(1.41, Offset.offset(0.005));
        Project sucked = vents(v -> v.withTip(Measured.of(-0.5, Unit.ONE)));
        assertThat(margin(sucked)).isCloseTo(1.21, Offset.offset(0.005));
        Assessment a = Assessment.of(sucked);
        CaseAnswer c = a.look(CaseWords.parse(a, CASE)).orElseThrow();
        CaseAnswer set = a.look(c.condition().withAirspace(Map.of("upper", -519.0, "fuselage", -519.0)))
                .orElseThrow();
        assertThat(set.margin()).isCloseTo(c.margin(), Offset.offset(0.005));
    }

    @Test
    void ramPressureIsNotReliedOn() {
        assertThat(margin(vents(v -> v.withTip(Measured.of(1, Unit.ONE)))))
                .isCloseTo(margin(vents(v -> v.withTip(Measured.of(0, Unit.ONE)))), Offset.offset(1e-9));
    }

    /** A vent so fine that it costs 250 Pa at the flow found takes the same case from 1.41 to 1.32. */
    @Test
    void aVentCostsItsDropAtTheFlowFound() {
        double bore = 0.00345;
        Project fine = vents(v -> v.withBore(Measured.of(bore, Unit.METRE)).withLength(Measured.of(2.34, Unit.METRE)));
        Assessment a = Assessment.of(fine);
        CaseAnswer c = a.look(CaseWords.parse(a, CASE)).orElseThrow();
        double drop = new AirLine(bore, 2.34, false).drop(c.capacity().inletFlow());
        assertThat(drop).isBetween(200.0, 300.0);
        CaseAnswer set =
                a.look(c.condition().withAirspace(Map.of("fuselage", -drop))).orElseThrow();
        assertThat(set.margin()).as("the same as that pressure set by hand").isCloseTo(c.margin(), Offset.offset(1e-5));
        assertThat(margin(vents(v -> v.withTip(Measured.of(0, Unit.ONE)))) - c.margin())
                .isBetween(0.06, 0.12);
    }

    private static FlowBasis basis(FuelSystem s) {
        return new FlowBasis(s, FuelGrade.AVGAS_100LL, FrictionLaw.CONSERVATIVE);
    }

    private static FlowBasis boiling(FuelSystem s) {
        return basis(s).in(new Surroundings(0, Optional.of(Volatility.AVGAS_100LL.with(0)), 0));
    }

    private static Pump pump(double z, double psi, double gph) {
        return new Pump(
                new Tag("pump", "Pump", Place.inches(4, 0, z)),
                Pump.Drive.ELECTRIC,
                List.of(
                        new Pump.CurvePoint(Measured.of(0, Unit.GALLON_PER_HOUR), Measured.of(psi, Unit.PSI)),
                        new Pump.CurvePoint(Measured.of(gph, Unit.GALLON_PER_HOUR), Measured.of(0, Unit.PSI))),
                Optional.empty());
    }

    private static FuelSystem lifted(double bore) {
        FuelSystem s = Systems.oneLine();
        Run suction = Systems.run("r1", "tank.outlet", "pump.in", 200)
                .withSize(ration.aircraft.model.LineSize.parse(bore + " in bore"));
        return s.minus("r1").plus(pump(0, 60, 400), suction, Systems.run("r2", "pump.out", "carburettor.in", 12));
    }

    /** What converged to less than no pressure is refused, with the flow that can be had. */
    @Test
    void aDemandThePumpsCannotDeliverIsRefusedWithWhatTheyCan() {
        FuelSystem s = lifted(0.12);
        Condition c = Systems.level(s, 5);
        FlowAnswer much = boiling(s).ask(c, new FlowQuestion.Demand(60 * GPH));
        assertThat(much.usable()).isFalse();
        assertThat(much.undelivered()).isTrue();
        assertThat(much.reason()).contains("Vapor-limited").contains("vapor pressure");
        FlowAnswer most = boiling(s).ask(c, new FlowQuestion.Capacity());
        assertThat(most.usable()).isTrue();
        assertThat(most.inletFlow()).isBetween(1 * GPH, 60 * GPH);
        double boils = Volatility.AVGAS_100LL.with(0).pascal(c.fuelKelvin()) - 101_325;
        assertThat(most.pressure(new PortRef("pump", "in")).orElseThrow()).isCloseTo(boils, Offset.offset(200.0));
        assertThat(boiling(s)
                        .ask(c, new FlowQuestion.Demand(most.inletFlow() * 1.01))
                        .usable())
                .isFalse();
        Project p = Systems.project(s)
                .with(Systems.project(s)
                        .brief()
                        .withDelivery(ration.record.project.Brief.Delivery.PUMP)
                        .withPower(ration.base.quantity.Quantity.of(650, Unit.HORSEPOWER)));
        assertThat(Assessment.of(p).findings()).anySatisfy(f -> {
            assertThat(f.id()).isEqualTo("flow.inlet-pressure");
            assertThat(f.verdict()).isEqualTo(ration.verdict.check.Verdict.FAILS);
            assertThat(f.detail().in(ration.base.quantity.UnitSystem.US)).contains("Vapor-limited");
        });
    }

    /**
     * Water stands 34 ft high under the air, gasoline 46 ft (handbook): over that no line is a siphon, whatever its
     * loss.
     */
    @Test
    void aStrainerTooHighForAnySiphonBringsNothing() {
        Project p = Systems.corrie();
        Strainer s = (Strainer) p.system().item("strainer").orElseThrow();
        Project high = p.with(p.system()
                .change(
                        "strainer",
                        Strainer.class,
                        x -> new Strainer(
                                new Tag(
                                        s.id(),
                                        s.name(),
                                        Place.inches(
                                                Unit.INCH.fromSi(
                                                        s.place().station().si()),
                                                0,
                                                700)),
                                s.loss(),
                                s.fouled(),
                                s.drain(),
                                s.bowl())));
        Assessment a = Assessment.of(high);
        assertThat(a.governing().orElseThrow().margin()).isZero();
        assertThat(a.governing().orElseThrow().verdict()).isEqualTo(ration.verdict.check.Verdict.FAILS);
        ration.answer.assess.Ledger ledger = ration.answer.assess.Ledger.of(a, ration.base.quantity.UnitSystem.US);
        assertThat(ledger.vapor().verdict()).isEqualTo(ration.verdict.check.Verdict.FAILS);
        assertThat(ledger.vapor().figure()).isEqualTo("boiling");
        assertThat(a.findings())
                .filteredOn(f -> f.id().equals("vapor.gap") || f.id().equals("vapor.hot-fuel"))
                .hasSize(2)
                .allSatisfy(f -> assertThat(f.verdict()).isEqualTo(ration.verdict.check.Verdict.FAILS));
        assertThat(a.findings())
                .filteredOn(f -> f.id().equals("vapor.gap"))
                .first()
                .extracting(f -> f.detail().in(ration.base.quantity.UnitSystem.US))
                .asString()
                .contains("Strainer");
    }

    /** A valve shut behind a pump leaves lines in which nothing flows: no pressure under boiling is told of them. */
    @Test
    void standingLinesHaveNoPressureBelowBoiling() {
        for (Pattern pattern : Pattern.values()) {
            Project p = pattern.project();
            Assessment a = Assessment.of(p);
            for (CaseAnswer c : a.cases()) {
                for (Item item : p.system().items()) {
                    for (String port : item.ports()) {
                        c.demand().pressure(new PortRef(item.id(), port)).ifPresent(pa -> assertThat(pa)
                                .as(pattern + " " + item.id())
                                .isGreaterThan(-101_325));
                    }
                }
            }
        }
    }

    /** Two outlets of one tank teed low under a head: the bare one stands full of fuel, and the flow is not nothing. */
    @Test
    void theMostIsTheLargestFlowThatDrawsNoAir() {
        FuelSystem s = teed(-20);
        Condition c = bare(s);
        FlowAnswer most = basis(s).ask(c, new FlowQuestion.Capacity());
        assertThat(most.levels().get("tank").uncovered()).containsExactly("o2");
        assertThat(most.inletFlow()).isPositive();
        assertThat(most.airDrawn()).isEmpty();
        assertThat(states(s, most, "tank")).containsExactly(OutletState.FEEDS, OutletState.CLEAR);
        Tank tank = s.tanks().get(0);
        assertThat(tank.outlets().stream()
                        .mapToDouble(o -> most.outflow(tank, o))
                        .sum())
                .isCloseTo(most.outflow(tank), Offset.offset(1e-15));
        FuelSystem high = teed(40);
        assertThat(basis(high).ask(bare(high), new FlowQuestion.Capacity()).inletFlow())
                .as("teed over the tank, drawn from above")
                .isZero();
    }

    private static List<OutletState> states(FuelSystem s, FlowAnswer a, String tank) {
        return s.tanks().stream()
                .filter(t -> t.id().equals(tank))
                .flatMap(t -> t.outlets().stream().map(o -> a.state(t, o)))
                .toList();
    }

    /** A tank whose second outlet stands 3 in higher, both teed at a height into a pump. */
    static FuelSystem teed(double teeAt) {
        Tank one = Systems.tank("tank", 10, 0, 24);
        Outlet first = one.outlets().get(0);
        Tank two = one.withOutlets(List.of(
                first.at(Place.inches(5, 0, 24)),
                new Outlet("o2", Place.inches(15, 0, 27), first.bore(), Optional.empty())));
        return new FuelSystem(
                List.of(
                        two,
                        Systems.inlet(),
                        new Tee(new Tag("tee", "Tee", Place.inches(8, 0, teeAt)), Systems.in(0.297)),
                        pump(teeAt, 8, 60),
                        Systems.run("r1", "tank.outlet", "tee.in", 60),
                        Systems.run("r2", "tank.o2", "tee.branch", 60),
                        Systems.run("r3", "tee.out", "pump.in", 6),
                        Systems.run("r4", "pump.out", "carburettor.in", 20)),
                Optional.empty());
    }

    private static Condition bare(FuelSystem s) {
        double in = Unit.INCH.toSi(1);
        TankBody body = TankBody.of(s.tanks().get(0));
        return Systems.level(s, 0)
                .withContents("tank", body.volumeBelow(new ration.base.geometry.Point3(0, 0, 1), 26 * in));
    }

    /** A bare outlet on a running jet is air in its collector. */
    @Test
    void aJetOnABareOutletDrawsAir() {
        Project p = Pattern.JET_COLLECTOR.project();
        Assessment a = Assessment.of(p);
        Condition glide = CaseWords.parse(a, "glide, low").withContents("wing-tank", Unit.GALLON.toSi(2.5));
        CaseAnswer c = a.look(glide).orElseThrow();
        assertThat(c.demand().levels().get("wing-tank").uncovered()).containsExactly("outlet-2");
        assertThat(c.demand().airDrawn()).containsExactly("wing-tank.outlet-2");
        assertThat(c.obstacle(p.system())).contains("Air is drawn");
        assertThat(states(p.system(), c.demand(), "wing-tank")).contains(OutletState.DRAWS_AIR);
        assertThat(a.look(CaseWords.parse(a, "level, full"))
                        .orElseThrow()
                        .demand()
                        .airDrawn())
                .isEmpty();
    }

    @Test
    void aShutValveCostsNothingElsewhere() {
        FuelSystem s = Systems.twoTanks(24, 24);
        double alone = basis(s).ask(Systems.level(s, 4).withPosition("selector", "LEFT"), new FlowQuestion.Capacity())
                .inletFlow();
        double both = basis(s).ask(Systems.level(s, 4).withPosition("selector", "BOTH"), new FlowQuestion.Capacity())
                .inletFlow();
        assertThat(both).isGreaterThan(alone);
        assertThat(alone)
                .isCloseTo(
                        basis(s).ask(Systems.level(s, 4).withPosition("selector", "RIGHT"), new FlowQuestion.Capacity())
                                .inletFlow(),
                        Percentage.withPercentage(1e-6));
    }
}
