package ration.physics.vapor;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import ration.Systems;
import ration.aircraft.heat.Heat;
import ration.aircraft.heat.HeatFigure;
import ration.aircraft.heat.Zone;
import ration.aircraft.model.CheckValve;
import ration.aircraft.model.EngineInlet;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Item;
import ration.aircraft.model.Place;
import ration.aircraft.model.PortRef;
import ration.aircraft.model.Pump;
import ration.aircraft.model.Rated;
import ration.aircraft.model.Run;
import ration.aircraft.model.Selector;
import ration.aircraft.model.ShutOff;
import ration.aircraft.model.Strainer;
import ration.aircraft.model.Tag;
import ration.aircraft.model.Tee;
import ration.answer.assess.Assessment;
import ration.answer.assess.CaseAnswer;
import ration.answer.assess.StartingCase;
import ration.answer.assess.TankAnswer;
import ration.answer.assess.VaporAnswer;
import ration.base.fluid.Volatility;
import ration.base.geometry.Point3;
import ration.base.quantity.Measured;
import ration.base.quantity.Unit;
import ration.physics.flow.FlowAnswer;
import ration.physics.tank.TankBody;
import ration.record.file.ProjectFile;
import ration.record.file.ProjectFileException;
import ration.record.project.Pattern;
import ration.record.project.Project;
import ration.verdict.check.Finding;
import ration.verdict.check.Verdict;

/** Pressure and temperature along the path, the gap that governs, and what can be shut in. */
class VaporTest {

    private static Project brindle() {
        try {
            return ProjectFile.demo("brindle-a2");
        } catch (ProjectFileException e) {
            throw new IllegalStateException(e);
        }
    }

    private static VaporAnswer answer(Project p) {
        return Assessment.of(p).vapor().orElseThrow();
    }

    @Test
    void theLiftPumpsInletGovernsTheLowTank() {
        VaporAnswer v = answer(brindle());
        assertThat(v.gap().item()).isEqualTo("lift");
        assertThat(v.gap().what()).isEqualTo("inlet");
        assertThat(v.gap().gauge()).isNegative();
        assertThat(v.air().altitudeM()).isCloseTo(Unit.FOOT.toSi(8000), Offset.offset(1e-6));
    }

    /** The three ways of saying it agree: warmed by the degrees left, or lifted by the climb left, it just boils. */
    @Test
    void degreesAndClimbEndAtBoiling() {
        VaporAnswer v = answer(brindle());
        Gap g = v.gap();
        assertThat(v.heat().vapor().pascal(g.kelvin() + v.degrees())).isCloseTo(g.pressure(), Offset.offset(1e-3));
        assertThat(Heat.ambient(v.air().altitudeM() + g.climb(v.air().altitudeM())) + g.gauge())
                .isCloseTo(g.boils(), Offset.offset(1e-3));
        assertThat(g.pascal()).isPositive();
    }

    @Test
    void hotterFuelHigherFlightAndMoreVolatileFuelLeaveLess() {
        Project p = brindle();
        double now = answer(p).degrees();
        assertThat(answer(p.with(p.heat().with(HeatFigure.TANK_FUEL, Measured.of(110, Unit.FAHRENHEIT))))
                        .degrees())
                .isLessThan(now - 4);
        assertThat(answer(p.with(p.heat().with(HeatFigure.CEILING, Measured.of(12000, Unit.FOOT))))
                        .degrees())
                .isLessThan(now);
        assertThat(answer(p.with(p.heat().with(Volatility.MOGAS_D))).degrees()).isLessThan(0);
        assertThat(answer(p.with(p.heat().with(Volatility.MOGAS_D))).verdict()).isEqualTo(Verdict.FAILS);
    }

    /** Pressures along the path are the solver's own at the ports, and the fuel warms on its way through warmer air. */
    @Test
    void thePathAgreesWithTheSolver() {
        Project p = brindle();
        CaseAnswer c = Assessment.of(p).governing().orElseThrow();
        PathHeat path = VaporAnswer.path(p, c, new Air(0, 300));
        FlowAnswer hot = c.demandAt(300);
        Gap last = path.gaps().get(path.gaps().size() - 1);
        EngineInlet inlet = p.system().inlet().orElseThrow();
        assertThat(last.gauge())
                .isCloseTo(hot.pressure(new PortRef(inlet.id(), Item.IN)).orElseThrow(), Offset.offset(2.0));
        assertThat(last.kelvin()).isGreaterThan(300);
        double before = 0;
        for (Gap g : path.gaps()) {
            assertThat(g.along()).isGreaterThanOrEqualTo(before - 1e-9);
            before = g.along();
        }
    }

    @Test
    void aSleeveInTheEngineBayKeepsTheFuelCooler() {
        Project p = Systems.corrie();
        CaseAnswer c = Assessment.of(p).governing().orElseThrow();
        Run r4 = (Run) p.system().item("r4").orElseThrow();
        Run bare = r4.with(r4.build().with(new ration.aircraft.model.RunBuild.Marks(false, true, false)));
        Run sleeved = r4.with(r4.build().with(new ration.aircraft.model.RunBuild.Marks(true, true, false)));
        assertThat(end(p.with(p.system().replace(sleeved)), c))
                .isLessThan(end(p.with(p.system().replace(bare)), c));
        assertThat(end(p.with(p.heat().withZone("r4", Zone.OUTSIDE)), c)).isLessThan(end(p, c));
        assertThat(end(p.with(p.heat().withZone("carburettor", Zone.SHROUD)), c))
                .isLessThanOrEqualTo(end(p, c));
    }

    private static double end(Project p, CaseAnswer c) {
        List<Gap> gaps = VaporAnswer.path(
                        p, Assessment.of(p).look(c.condition()).orElseThrow(), new Air(0, 310))
                .gaps();
        return gaps.get(gaps.size() - 1).kelvin();
    }

    /** A hump within a run is a point of its own, and the lowest pressure lies there. */
    @Test
    void aHighPointWithinARunIsSeen() {
        FuelSystem s = Systems.oneLine();
        Run hump = s.runs()
                .get(0)
                .withPoints(List.of(Place.inches(8, 0, 23.9), Place.inches(4, 0, 33), Place.inches(2, 0, 10)));
        Project p = Systems.project(s.replace(hump))
                .with(Systems.corrie().brief().withPower(ration.base.quantity.Quantity.of(40, Unit.HORSEPOWER)));
        CaseAnswer c = Assessment.of(p).look(Systems.level(p.system(), 8)).orElseThrow();
        Gap least = VaporAnswer.at(p, c, new Air(0, 310)).orElseThrow().gap();
        assertThat(least.what()).isEqualTo("high point");
        assertThat(least.item()).isEqualTo("r1");
    }

    @ParameterizedTest
    @EnumSource
    void everyPatternHasAGap(Pattern pattern) {
        VaporAnswer v = answer(pattern.project());
        assertThat(v.degrees()).isFinite();
        assertThat(Assessment.of(pattern.project()).findings()).anyMatch(f -> f.id().equals("vapor.gap"));
    }

    // trapped volumes

    private static Tag tag(String id, double z) {
        return new Tag(id, id, Place.inches(0, 0, z));
    }

    private static FuelSystem injected(Item between) {
        EngineInlet servo = Systems.inlet().withStyle(EngineInlet.Style.SERVO, false);
        return new FuelSystem(
                List.of(
                        Systems.tank("tank", 0, 0, 20),
                        new ShutOff(tag("valve", 10), Rated.of(20, 0.02, "")),
                        between,
                        servo,
                        Systems.run("r1", "tank.outlet", "valve.in", 5),
                        Systems.run("r2", "valve.out", "x.in", 10),
                        Systems.run("r3", "x.out", "carburettor.in", 10)),
                Optional.empty());
    }

    @Test
    void betweenAShutOffAndAClosedServoFuelIsTrapped() {
        List<Trapped> all = Trapped.of(injected(new Strainer(tag("x", 5), Rated.of(20, 0.02, ""), true)));
        assertThat(all).hasSize(1);
        assertThat(all.get(0).runs()).containsExactlyInAnyOrder("r2", "r3");
        assertThat(all.get(0).volume())
                .isCloseTo(Math.PI / 4 * 0.305 * 0.305 * 20 * Math.pow(0.0254, 3), Offset.offset(1e-12));
    }

    @Test
    void aCheckValveSplitsItAndAFloatValveRelievesIt() {
        CheckValve check = new CheckValve(tag("x", 5), Measured.of(0.1, Unit.PSI), Rated.of(20, 0.02, ""));
        assertThat(Trapped.of(injected(check))).as("each side on its own").hasSize(2);
        FuelSystem floated = injected(check).replace(Systems.inlet());
        assertThat(Trapped.of(floated)).isEmpty();
        FuelSystem open = injected(new Strainer(tag("x", 5), Rated.of(20, 0.02, ""), true))
                .replace(new Tee(tag("valve", 10), Systems.in(0.3)));
        assertThat(Trapped.of(open)).as("no valve, no trap").isEmpty();
    }

    /** 1.3 GPa times 0.00128 a degree: about 240 psi a degree in rigid line. */
    @Test
    void trappedFuelRisesFast() {
        assertThat(Unit.PSI.fromSi(Trapped.perDegree())).isCloseTo(240.9, Offset.offset(0.5));
    }

    // findings, ledger, file

    @Test
    void suctionIsSaidWhereItIsComputed() {
        List<Finding> findings = Assessment.of(brindle()).findings();
        assertThat(findings)
                .anyMatch(f -> f.id().equals("vapor.suction-drain") && f.item().equals("strainer"));
        assertThat(findings).anyMatch(f -> f.id().equals("vapor.lift.lift"));
        assertThat(Systems.assessedCorrie().findings())
                .noneMatch(f -> f.id().startsWith("vapor.suction") || f.id().startsWith("vapor.lift"));
    }

    @Test
    void heatComesBackFromTheFile() throws ProjectFileException {
        Project p = Systems.corrie();
        Project changed = p.with(p.heat()
                .with(Volatility.MOGAS_C)
                .with(HeatFigure.NEEDED, Measured.of(8, Unit.CELSIUS, "own"))
                .with(HeatFigure.CEILING, Measured.of(10000, Unit.FOOT, ""))
                .withZone("r3", Zone.TUNNEL));
        assertThat(ProjectFile.read(ProjectFile.text(changed).getBytes(java.nio.charset.StandardCharsets.UTF_8), "x"))
                .isEqualTo(changed);
    }

    @Test
    void aReturnWarmsItsTankAndAPumpInItWantsFuelAroundIt() {
        assertThat(Assessment.of(Pattern.BOOST_AND_ENGINE_PUMP.project()).findings())
                .anySatisfy(f -> {
                    assertThat(f.id()).startsWith("vapor.warming.");
                    assertThat(f.detail().in(ration.base.quantity.UnitSystem.US))
                            .contains("come back", "minutes the tank has");
                });
        assertThat(Assessment.of(Pattern.PUMP_MODULES.project()).findings())
                .anyMatch(f -> f.id().startsWith("vapor.in-tank."));
    }

    /**
     * The most of all attitudes: with a little more, the fuel reaches the pump in each of them; with less, not in one.
     */
    @Test
    void aPumpInATankStandsClearBelowTheVolumeThatIsSaid() throws ProjectFileException {
        Assessment a = Assessment.of(ProjectFile.demo("pump-modules"));
        List<Finding> found = a.findings().stream()
                .filter(f -> f.id().startsWith("vapor.in-tank."))
                .toList();
        assertThat(found).hasSize(2);
        for (Finding f : found) {
            Point3 pump =
                    a.project().system().point(new PortRef(f.item(), Item.IN)).orElseThrow();
            double said = f.why().orElseThrow().value().value();
            TankBody tank = a.tanks().stream()
                    .map(TankAnswer::body)
                    .filter(b -> f.title().endsWith(b.tank().name()))
                    .findFirst()
                    .orElseThrow();
            List<Point3> ups = a.cases().stream()
                    .filter(CaseAnswer::judged)
                    .map(c -> c.condition().attitude().gravity().up())
                    .distinct()
                    .toList();
            assertThat(ups).allMatch(up -> tank.level(up, said * 1.01) > up.dot(pump));
            assertThat(ups).anyMatch(up -> tank.level(up, said * 0.99) < up.dot(pump));
        }
    }

    /** A stopped pump adds no heat: what the skin alone gives (recomputed: -0.1 K in place of +1.5 K). */
    @Test
    void aStoppedPumpHeatsNothing() throws ProjectFileException {
        Project p = ProjectFile.demo("tansy-l3");
        Assessment a = Assessment.of(p);
        Pump boost = p.system()
                .all(Pump.class)
                .filter(x -> x.drive() == Pump.Drive.ELECTRIC)
                .findFirst()
                .orElseThrow();
        ration.aircraft.condition.Condition start = StartingCase.of(p);
        double on = rise(p, a.look(start).orElseThrow(), boost.id());
        double off = rise(p, a.look(start.withPump(boost.id(), false)).orElseThrow(), boost.id());
        assertThat(on).isGreaterThan(0.5);
        assertThat(Math.abs(off)).isLessThan(0.2);
    }

    private static double rise(Project p, CaseAnswer c, String item) {
        List<Gap> gaps = VaporAnswer.path(p, c, new Air(0, 310)).gaps().stream()
                .filter(g -> g.item().equals(item))
                .toList();
        return gaps.get(gaps.size() - 1).kelvin() - gaps.get(0).kelvin();
    }

    private static FuelSystem selected(boolean off) {
        List<Selector.Position> positions = new java.util.ArrayList<>(List.of(
                new Selector.Position("LEFT", List.of(List.of("left", "out"))),
                new Selector.Position("RIGHT", List.of(List.of("right", "out")))));
        if (off) {
            positions.add(new Selector.Position("OFF", List.of()));
        }
        Selector selector = new Selector(tag("sel", 10), List.of("left", "right"), positions, Rated.of(20, 0.03, ""));
        return new FuelSystem(
                List.of(
                        Systems.tank("a", 0, -20, 20),
                        Systems.tank("b", 0, 20, 20),
                        selector,
                        Systems.inlet().withStyle(EngineInlet.Style.SERVO, false),
                        Systems.run("r1", "a.outlet", "sel.left", 5),
                        Systems.run("r2", "b.outlet", "sel.right", 5),
                        Systems.run("r3", "sel.out", "carburettor.in", 10)),
                Optional.empty());
    }

    /** A selector without OFF never closes: nothing is shut in behind it. */
    @Test
    void aSelectorWithoutOffShutsNothingIn() {
        assertThat(Trapped.of(selected(false))).isEmpty();
        assertThat(Trapped.of(selected(true))).singleElement().satisfies(t -> assertThat(t.runs())
                .containsExactly("r3"));
    }
}
