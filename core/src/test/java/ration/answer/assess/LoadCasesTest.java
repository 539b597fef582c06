package ration.answer.assess;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import ration.Systems;
import ration.aircraft.condition.Attitude;
import ration.aircraft.condition.Condition;
import ration.aircraft.heat.HeatFigure;
import ration.aircraft.model.Filter;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Header;
import ration.aircraft.model.Item;
import ration.aircraft.model.Pump;
import ration.aircraft.model.Rated;
import ration.aircraft.model.Regulator;
import ration.aircraft.model.Run;
import ration.aircraft.model.ShutOff;
import ration.aircraft.model.Tag;
import ration.base.fluid.FuelGrade;
import ration.base.fluid.Volatility;
import ration.base.quantity.Measured;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;
import ration.record.file.ProjectFile;
import ration.record.file.ProjectFileException;
import ration.record.project.Brief;
import ration.record.project.Pattern;
import ration.record.project.Practice;
import ration.record.project.Project;
import ration.verdict.check.Finding;
import ration.verdict.check.Verdict;

/** What is asked beside steady flight on usual fuel, and defaults an inspector may change. */
class LoadCasesTest {

    private static final Assessment CORRIE = Systems.assessedCorrie();

    private static CaseAnswer worst(Assessment a, String attitude) {
        return a.cases().stream()
                .filter(c -> c.condition().attitude().name().equals(attitude)
                        && !c.condition().engine().fouled())
                .min(java.util.Comparator.comparingDouble(CaseAnswer::margin))
                .orElseThrow();
    }

    /** Recomputed by independent code: 0.25 g along the runway at the parked angle of 12 degrees, 1.125. */
    @Test
    void theRunAndAPushOverAreAsked() {
        assertThat(worst(CORRIE, "Takeoff run").margin()).isCloseTo(1.125, Offset.offset(0.0005));
        // lift acts across the nose: less of it throws the fuel further aft than the climb does, where scaling all
        // weight gave 1.22
        assertThat(worst(CORRIE, "Pushover").margin()).isCloseTo(1.18, Offset.offset(0.005));
        assertThat(worst(CORRIE, "Gust").judged()).as("a gust passes").isFalse();
        assertThat(CORRIE.governing().orElseThrow().condition().attitude().name())
                .isEqualTo("Takeoff run");
        Attitude run = worst(CORRIE, "Takeoff run").condition().attitude();
        assertThat(run.gravity().magnitude() / 9.80665)
                .as("g down, and along the runway")
                .isCloseTo(Math.hypot(1, 0.25), Offset.offset(1e-9));
    }

    @Test
    void practiceSaysWhichOfThemMustHold() {
        Project p = Systems.corrie();
        Practice only = p.brief().practice().withAsks(new Practice.Asks(false, false, true));
        Assessment a =
                Assessment.of(p.with(p.brief().withChoices(p.brief().choices().with(only))));
        assertThat(a.governing().orElseThrow().condition().attitude().name()).isEqualTo("Gust");
        Practice none = p.brief().practice().withAsks(new Practice.Asks(false, false, false));
        Assessment b =
                Assessment.of(p.with(p.brief().withChoices(p.brief().choices().with(none))));
        assertThat(b.governing().orElseThrow().margin()).isCloseTo(1.39, Offset.offset(0.005));
        assertThat(b.governing().orElseThrow().label(p.system(), UnitSystem.US))
                .contains("Climb 17", "fuel at 14 \u00b0F");
    }

    /** Viscosity at -10 C takes 1.41 to 1.39. */
    @Test
    void coldFuelIsACase() {
        double cold = CORRIE.cases().stream()
                .filter(c -> c.cold() && c.condition().attitude().name().equals("Climb"))
                .mapToDouble(CaseAnswer::margin)
                .min()
                .orElseThrow();
        assertThat(cold).isCloseTo(1.39, Offset.offset(0.005));
    }

    /** The gap to boiling is that of fuel same as outside air, thinner and lighter than the flow cases'. */
    @Test
    void hotFuelIsSolvedHot() throws ProjectFileException {
        Project p = ProjectFile.demo("brindle-a2");
        Assessment a = Assessment.of(p);
        VaporAnswer v = a.vapor().orElseThrow();
        double hot = v.look().demandAt(v.air().fuelKelvin()).problem().fluid().density();
        assertThat(hot).isLessThan(v.look().demand().problem().fluid().density() * 0.98);
        assertThat(a.hotFuel().orElseThrow().air().fuelKelvin())
                .isCloseTo(Unit.FAHRENHEIT.toSi(110), Offset.offset(1e-9));
        assertThat(a.hotFuel().orElseThrow().degrees()).isLessThan(v.degrees() - 4);
        assertThat(Ledger.of(a, UnitSystem.US).vapor().detail()).contains("110 \u00b0F");
        Assessment warmer =
                Assessment.of(p.with(p.heat().with(HeatFigure.HOT_FUEL, Measured.of(120, Unit.FAHRENHEIT))));
        assertThat(warmer.hotFuel().orElseThrow().verdict()).isEqualTo(Verdict.FAILS);
    }

    /** Fuel with its one tank dry on BOTH, pumped from above: the matrix asks it, and says what comes of it. */
    @Test
    void eachJoinedTankIsDryInTurn() {
        Assessment both = Assessment.of(Systems.project(Systems.twoTanks(24, 24)));
        assertThat(both.cases())
                .filteredOn(c -> c.filling().dry().isPresent())
                .isNotEmpty()
                .allMatch(c -> c.condition().positions().containsValue("BOTH"));
        FuelSystem low = Systems.twoTanks(-30, -30);
        Pump pump = new Pump(
                new Tag("pump", "Pump", ration.aircraft.model.Place.inches(4, 0, -2)),
                Pump.Drive.ELECTRIC,
                List.of(
                        new Pump.CurvePoint(Measured.of(0, Unit.GALLON_PER_HOUR), Measured.of(6, Unit.PSI)),
                        new Pump.CurvePoint(Measured.of(90, Unit.GALLON_PER_HOUR), Measured.of(0, Unit.PSI))),
                java.util.Optional.of(Rated.of(20, 0.3, "")));
        FuelSystem s = low.minus("r3")
                .plus(
                        pump,
                        Systems.run("r3", "selector.out", "pump.in", 12),
                        Systems.run("r4", "pump.out", "carburettor.in", 12));
        Project p = Systems.project(s)
                .with(Brief.usual()
                        .withDelivery(Brief.Delivery.PUMP)
                        .withPower(ration.base.quantity.Quantity.of(400, Unit.HORSEPOWER)));
        assertThat(Assessment.bare(p, Optional.empty()).findings()).anySatisfy(f -> {
            assertThat(f.id()).isEqualTo("flow.air");
            assertThat(f.verdict()).isEqualTo(Verdict.FAILS);
            assertThat(f.source()).contains("23.951(b)").contains("from memory");
            assertThat(f.detail().in(UnitSystem.US)).contains("left dry, the rest low");
        });
    }

    @Test
    void theNeedShownIsThatOfTheCaseThatGoverns() {
        Project p = Systems.said(Pattern.TWO_PUMPS_PARALLEL.project());
        Filter f = p.system().all(Filter.class).findFirst().orElseThrow();
        Project dirty = p.with(
                p.system().replace(new Filter(f.tag(), f.points(), java.util.Optional.of(Rated.of(20, 38, "")))));
        Assessment a = Assessment.of(dirty);
        assertThat(a.governing().orElseThrow().condition().engine().fouled()).isTrue();
        assertThat(Ledger.of(a, UnitSystem.US).flow().need()).isEqualTo("needs 1.00\u00d7");
        assertThat(ration.answer.remedy.Remedies.of(a, ration.base.task.Task.QUIET))
                .isNotEmpty()
                .allMatch(r -> r.after().ratio() > a.governing().orElseThrow().ratio());
        Practice asks = p.brief().practice().withFouled(Measured.of(1.1, Unit.ONE));
        Assessment more = Assessment.of(
                dirty.with(p.brief().withChoices(p.brief().choices().with(asks))));
        assertThat(Ledger.of(more, UnitSystem.US).flow().need()).isEqualTo("needs 1.10\u00d7");
    }

    /** Motor gasoline differs by class, season and ethanol: none is taken in silence. */
    @Test
    void whichMotorGasolineIsAsked() {
        Project p = Systems.corrie();
        Project mogas = p.with(p.brief().withFuel(FuelGrade.MOTOR_GASOLINE));
        assertThat(mogas.heat().volatility()).isEqualTo(Volatility.MOGAS_UNSAID);
        Assessment a = Assessment.of(mogas);
        assertThat(Ledger.of(a, UnitSystem.US).vapor().verdict()).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(a.findings())
                .filteredOn(f -> f.id().equals("vapor.gap"))
                .singleElement()
                .satisfies(f -> {
                    assertThat(f.verdict()).isEqualTo(Verdict.NOT_SHOWN);
                    assertThat(f.remedy()).contains("mogas class").contains("ethanol");
                });
        Assessment said = Assessment.of(mogas.with(mogas.heat().with(Volatility.MOGAS_A)));
        assertThat(said.vapor().orElseThrow().verdict()).isNotEqualTo(Verdict.NOT_SHOWN);
        assertThat(Volatility.MOGAS_A_ETHANOL.reidPsi()).isEqualTo(10);
    }

    @Test
    void practiceComesBackFromTheFile() throws ProjectFileException {
        Project p = Systems.corrie();
        Practice own = new Practice(
                Measured.of(1.2, Unit.ONE, "own"),
                Measured.of(0.3, Unit.ONE, ""),
                Measured.of(0.7, Unit.ONE, ""),
                Measured.of(0.4, Unit.ONE, ""),
                Measured.of(-20, Unit.CELSIUS, "coldest"),
                new Practice.Asks(true, false, true, false));
        Project changed = p.with(p.brief().withChoices(p.brief().choices().with(own)));
        assertThat(ProjectFile.read(ProjectFile.text(changed).getBytes(java.nio.charset.StandardCharsets.UTF_8), "x"))
                .isEqualTo(changed);
        assertThat(ProjectFile.text(p)).doesNotContain("practice");
    }

    /** A wrong Holds can kill: where a case that counts has no answer, or a check fails, nothing is good. */
    @Test
    void whatIsNotAnsweredIsNotShown() {
        Assessment none = Assessment.failed(Systems.corrie(), "why");
        assertThat(Ledger.of(none, UnitSystem.US).entries())
                .extracting(Ledger.Entry::verdict)
                .containsOnly(Verdict.NOT_SHOWN);
        FuelSystem s = Systems.oneLine();
        FuelSystem cut = s.plus(new ShutOff(
                        new Tag("valve", "Valve", ration.aircraft.model.Place.inches(0, 0, 5)), Rated.of(20, 0.1, "")))
                .minus("r1")
                .plus(Systems.run("r2", "valve.out", "carburettor.in", 5));
        Assessment a = Assessment.of(Systems.project(cut));
        assertThat(a.vapor()).isEmpty();
        assertThat(a.findings())
                .filteredOn(f -> f.id().equals("vapor.gap"))
                .singleElement()
                .satisfies(f -> assertThat(f.verdict()).isEqualTo(Verdict.NOT_SHOWN));
        assertThat(Ledger.of(a, UnitSystem.US).vapor().verdict()).isEqualTo(Verdict.NOT_SHOWN);
    }

    /** A rail cut off from one of its tanks is Short where it was answered, and Not shown where nothing was. */
    @Test
    void aRegulatorWithoutAnAnswerIsNotLeftOut() {
        Project p = Systems.said(Pattern.BOOST_AND_ENGINE_PUMP.project());
        List<Finding> held = Assessment.bare(Pattern.COLLECTOR_PER_TANK.project(), Optional.empty()).findings().stream()
                .filter(f -> f.check().key().equals("flow.regulated"))
                .toList();
        assertThat(held).isNotEmpty();
        Project rail = Systems.said(Pattern.TWO_PUMPS_PARALLEL.project());
        Run line = rail.system().runs().stream()
                .filter(r -> r.from().item().contains("tank"))
                .findFirst()
                .orElseThrow();
        FuelSystem cut = rail.system().minus(line.id());
        List<Finding> then = Assessment.of(rail.with(cut)).findings().stream()
                .filter(f -> f.check().key().equals("flow.regulated"))
                .toList();
        assertThat(then).isNotEmpty().noneMatch(f -> f.verdict() == Verdict.HOLDS);
    }

    /**
     * At idle the manifold pulls the rail down to 36.0 psi; a return that cannot carry what goes back then is Short.
     */
    @Test
    void idleIsComputedAsIdle() {
        Project p = Systems.said(Pattern.TWO_PUMPS_PARALLEL.project());
        Regulator r = p.system().all(Regulator.class).findFirst().orElseThrow();
        Project manifold = p.with(p.system()
                .replace(new Regulator(
                        r.tag(), r.style(), Regulator.Reference.MANIFOLD, Measured.of(45, Unit.PSI), r.loss())));
        Condition idle = StartingCase.of(manifold).with(ration.aircraft.condition.Power.IDLE);
        double at = new FlowProbe(manifold).pressure(idle, r.id());
        assertThat(Unit.PSI.fromSi(at)).isGreaterThanOrEqualTo(36.0 - 0.05);
        Finding f = Assessment.bare(manifold, Optional.empty()).findings().stream()
                .filter(x -> x.id().equals("flow.regulated." + r.id()))
                .findFirst()
                .orElseThrow();
        assertThat(f.detail().in(UnitSystem.US)).contains("setting 45.00 psi");
        Project deeper =
                manifold.with(manifold.heat().with(HeatFigure.IDLE_VACUUM, Measured.of(20, Unit.INCH_OF_MERCURY)));
        assertThat(new FlowProbe(deeper).pressure(idle, r.id())).isLessThan(at);
    }

    /** Pressure before a regulator at a tenth of the demand. */
    private record FlowProbe(Project project) {
        double pressure(Condition c, String regulator) {
            return Assessor.basis(project, java.util.Optional.empty())
                    .ask(
                            c,
                            new ration.physics.flow.FlowQuestion.Demand(
                                    project.brief().demand() * 0.1))
                    .pressure(new ration.aircraft.model.PortRef(regulator, Item.IN))
                    .orElseThrow();
        }
    }

    /** What a collector sends back to the main tank leaves it too. */
    @Test
    void theReserveOfACollectorCountsAllThatLeavesIt() {
        Project p = Systems.said(Pattern.COLLECTOR_PER_TANK.project());
        Header header = p.system().all(Header.class).findFirst().orElseThrow();
        HeaderReserve reserve = HeaderReserve.of(p, Assessor.basis(p, java.util.Optional.empty()), header);
        double burnt = header.capacity().si() / p.brief().demand();
        assertThat(reserve.known()).isTrue();
        assertThat(reserve.seconds()).isLessThanOrEqualTo(burnt);
        assertThat(reserve.drawn()).isGreaterThanOrEqualTo(p.brief().demand() - 1e-9);
        assertThat(Set.of(reserve.header())).containsExactly(header);
    }
}
