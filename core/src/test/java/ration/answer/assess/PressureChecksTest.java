package ration.answer.assess;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import ration.Systems;
import ration.aircraft.model.Construction;
import ration.aircraft.model.EngineInlet;
import ration.aircraft.model.Filter;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Item;
import ration.aircraft.model.LineSize;
import ration.aircraft.model.PortRef;
import ration.aircraft.model.Pump;
import ration.aircraft.model.Rated;
import ration.aircraft.model.Regulator;
import ration.aircraft.model.Run;
import ration.aircraft.model.Tee;
import ration.aircraft.model.Wire;
import ration.base.quantity.Measured;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;
import ration.record.project.Brief;
import ration.record.project.Pattern;
import ration.record.project.Project;
import ration.verdict.check.Check;
import ration.verdict.check.Finding;
import ration.verdict.check.Verdict;

/** What is checked of pumps, regulators, headers and rails, each made to hold and made to fail. */
class PressureChecksTest {

    private static final Project PARALLEL = Systems.said(Pattern.TWO_PUMPS_PARALLEL.project());
    private static final Project HEADER = Systems.said(Pattern.HEADER_TWO_PUMPS.project());
    private static final Project BOOST = Systems.said(Pattern.BOOST_AND_ENGINE_PUMP.project());

    private static Optional<Finding> finding(Project p, String id) {
        return Assessment.of(p).findings().stream()
                .filter(f -> f.id().equals(id))
                .findFirst();
    }

    private static Verdict verdict(Project p, String id) {
        return finding(p, id).orElseThrow().verdict();
    }

    private static String says(Project p, String id) {
        return finding(p, id).orElseThrow().detail().in(UnitSystem.US);
    }

    private static <T extends Item> Project with(Project p, String id, Class<T> kind, UnaryOperator<T> change) {
        return p.with(
                p.system().replace(change.apply(kind.cast(p.system().item(id).orElseThrow()))));
    }

    private static Measured psi(double v) {
        return Measured.of(v, Unit.PSI);
    }

    /** 23.955(c)(3) before 2017 (from memory): both pumps on at idle must stay under what the inlet bears. */
    @Test
    void tooMuchPressureWithEveryPumpOnIsShort() {
        assertThat(verdict(BOOST, "flow.inlet-pressure-most")).isEqualTo(Verdict.HOLDS);
        Project weak = with(
                BOOST, "servo", EngineInlet.class, i -> i.withPressures(i.minimumPressure(), Optional.of(psi(45))));
        assertThat(verdict(weak, "flow.inlet-pressure-most")).isEqualTo(Verdict.FAILS);
        assertThat(says(weak, "flow.inlet-pressure-most"))
                .contains("maximum 45.00 psi")
                .contains("every pump on");
        Project unknown =
                with(BOOST, "servo", EngineInlet.class, i -> i.withPressures(i.minimumPressure(), Optional.empty()));
        assertThat(verdict(unknown, "flow.inlet-pressure-most")).isEqualTo(Verdict.NOT_SHOWN);
    }

    @Test
    void aReliefKeepsTheGreatestPressureDown() {
        Project relieved = with(
                BOOST,
                "engine-pump",
                Pump.class,
                p -> p.withBuild(new Pump.Build(Optional.of(psi(10)), Optional.empty(), false)));
        double before =
                1 / finding(BOOST, "flow.inlet-pressure-most").orElseThrow().ratio();
        double after =
                1 / finding(relieved, "flow.inlet-pressure-most").orElseThrow().ratio();
        assertThat(before - after).isGreaterThan(0.2);
    }

    /** Push-on hose to SAE J30 stands 50 psi (from memory): less than one of these pumps dead-headed. */
    @Test
    void theWeakestHoseIsHeldAgainstTheDeadHead() {
        assertThat(verdict(PARALLEL, "build.dead-head")).isEqualTo(Verdict.HOLDS);
        Project soft = with(PARALLEL, "r12", Run.class, r -> r.withSize(LineSize.parse("-6 hose"))
                .with(r.build().with(Optional.of(Construction.PUSH_ON))));
        assertThat(verdict(soft, "build.dead-head"))
                .as("65 psi of either pump, on hose for 50")
                .isEqualTo(Verdict.FAILS);
        assertThat(says(soft, "build.dead-head"))
                .contains("R12")
                .doesNotContain("130")
                .contains("50.00 psi");
    }

    /** An undersized return raises the rail over its setting (common practice, no source). */
    @Test
    void aReturnTooSmallForTheSpillIsShort() {
        assertThat(verdict(PARALLEL, "flow.regulated.regulator")).isEqualTo(Verdict.HOLDS);
        Run back = PARALLEL.system().runs().stream()
                .filter(r -> r.from().item().equals("regulator"))
                .findFirst()
                .orElseThrow();
        Project thin = PARALLEL.with(PARALLEL.system().replace(back.withSize(LineSize.parse("0.06 in bore"))));
        assertThat(verdict(thin, "flow.regulated.regulator")).isEqualTo(Verdict.FAILS);
        assertThat(finding(thin, "flow.regulated.regulator").orElseThrow().remedy())
                .contains("larger return");
    }

    @Test
    void aRegulatorSetOverWhatThePumpsReachIsShort() {
        Project high = with(
                PARALLEL,
                "regulator",
                Regulator.class,
                r -> new Regulator(r.tag(), r.style(), r.reference(), psi(140), r.loss()));
        assertThat(verdict(high, "flow.regulated.regulator")).isEqualTo(Verdict.FAILS);
        assertThat(finding(high, "flow.regulated.regulator").orElseThrow().remedy())
                .contains("cannot reach");
    }

    @Test
    void aHeaderStaysWetOrSaysWhatItLacks() {
        assertThat(verdict(HEADER, "flow.header.header")).isEqualTo(Verdict.HOLDS);
        assertThat(says(HEADER, "flow.header.header")).contains("13.1 min");
        FuelSystem s = HEADER.system();
        for (Run run : s.runs()) {
            if (run.to().item().equals("header") && !run.to().port().equals("return")) {
                s = s.replace(run.withSize(LineSize.parse("0.05 in bore")));
            }
        }
        assertThat(verdict(HEADER.with(s), "flow.header.header")).isEqualTo(Verdict.FAILS);
    }

    /** 23.991(b) before 2017 (from memory): an emergency pump with a supply of its own. */
    @ParameterizedTest
    @CsvSource({"BOOST_AND_ENGINE_PUMP, HOLDS", "TWO_PUMPS_PARALLEL, NOT_SHOWN"})
    void theSecondPumpHasItsOwnSupply(Pattern pattern, Verdict verdict) {
        assertThat(verdict(pattern.project(), "flow.second-pump")).isEqualTo(verdict);
    }

    @Test
    void onePumpAloneIsShort() {
        Project one = Pattern.TWO_PUMPS_PARALLEL.project();
        FuelSystem s = one.system()
                .minus("pump-two")
                .replace(new Tee(((Tee) one.system().item("tee").orElseThrow()).tag(), Measured.of(0.3, Unit.INCH)));
        s = s.minus(s.runs().stream()
                .filter(r -> r.to().item().equals("pump-two") || r.from().item().equals("pump-two"))
                .map(Item::id)
                .toArray(String[]::new));
        assertThat(verdict(one.with(s), "flow.second-pump")).isEqualTo(Verdict.FAILS);
    }

    @Test
    void theElectricDrawIsAddedUp() {
        assertThat(says(PARALLEL, "electrical.draw")).startsWith("10.0 A");
    }

    /**
     * A breaker carries a quarter more than the pump draws (common practice, no source); what is not said is not shown.
     */
    @ParameterizedTest
    @CsvSource({
        "8, 15, HOLDS, use 10.0 A or more",
        "8, 5, FAILS, use 10.0 A or more",
        "0, 5, NOT_SHOWN, pump current not entered"
    })
    void aBreakerIsLargerThanWhatThePumpDraws(double draws, double rating, Verdict verdict, String words) {
        Project p = with(
                PARALLEL,
                "pump-one",
                Pump.class,
                x -> x.withBuild(new Pump.Build(
                                x.build().relief(),
                                draws == 0 ? Optional.empty() : Optional.of(Measured.of(draws, Unit.AMPERE)),
                                x.build().checked())
                        .withWiring(x.build().wiring().withBreaker(Optional.of(Measured.of(rating, Unit.AMPERE))))));
        assertThat(verdict(p, "electrical.breaker.pump-one")).isEqualTo(verdict);
        assertThat(says(p, "electrical.breaker.pump-one")).contains(words);
        assertThat(finding(p, "electrical.breaker.pump-one")
                        .orElseThrow()
                        .remedy()
                        .isEmpty())
                .isEqualTo(verdict == Verdict.HOLDS);
    }

    /** A header from which nothing leads to the engine: no case is judged, and over no case nothing holds. */
    @Test
    void overNoCaseAHeaderIsNotShown() {
        String last = HEADER.system()
                .inlet()
                .flatMap(i -> HEADER.system().runAt(new PortRef(i.id(), Item.IN)))
                .orElseThrow()
                .id();
        Project apart = HEADER.with(HEADER.system().minus(last));
        assertThat(Assessment.of(apart).cases()).noneMatch(CaseAnswer::judged);
        assertThat(verdict(apart, "flow.header.header")).isEqualTo(Verdict.NOT_SHOWN);
    }

    /** Any layout with its last line taken away: nothing said of what reaches the engine holds. */
    @ParameterizedTest
    @EnumSource(Pattern.class)
    void withoutALineToTheEngineNothingOfItsFeedHolds(Pattern pattern) {
        Project p = Systems.said(pattern.project());
        String last = p.system()
                .inlet()
                .flatMap(i -> p.system().runAt(new PortRef(i.id(), Item.IN)))
                .orElseThrow()
                .id();
        List<Finding> findings = Assessment.of(p.with(p.system().minus(last))).findings();
        assertThat(findings)
                .filteredOn(f -> Set.of(
                                Check.FLOW_MARGIN,
                                Check.FLOW_HEADER,
                                Check.FLOW_INLET_PRESSURE,
                                Check.FLOW_INLET_PRESSURE_MOST,
                                Check.FLOW_REGULATED)
                        .contains(f.check()))
                .extracting(Finding::verdict)
                .isNotEmpty()
                .doesNotContain(Verdict.HOLDS, Verdict.THIN);
    }

    /** A header that nothing leads to is not called wet. */
    @Test
    void aHeaderNothingLeadsToIsNotCalledWet() {
        FuelSystem cut = HEADER.system();
        for (Run run : cut.runs()) {
            if (run.to().item().equals("header") && !run.to().port().equals("return")) {
                cut = cut.minus(run.id());
            }
        }
        assertThat(verdict(HEADER.with(cut), "flow.header.header")).isEqualTo(Verdict.FAILS);
        assertThat(says(HEADER.with(cut), "flow.header.header")).contains("No open path to");
    }

    /** 125 % of take-off consumption by pump, each alone (from memory); 100 % with filters fouled (practice). */
    @ParameterizedTest
    @EnumSource(names = {"TWO_PUMPS_PARALLEL", "BOOST_AND_ENGINE_PUMP"})
    void everyPumpIsJudgedAloneAndNoPumpIsNot(Pattern pattern) {
        Assessment a = Assessment.of(pattern.project());
        assertThat(a.cases())
                .filteredOn(c -> c.pumps().running() == 1
                        && !c.condition().engine().fouled()
                        && c.setting().asked())
                .isNotEmpty()
                .allMatch(CaseAnswer::judged)
                .allMatch(c -> c.factor() == 1.25);
        assertThat(a.cases()).filteredOn(c -> c.condition().engine().fouled()).allMatch(c -> c.factor() == 1.0);
        assertThat(a.cases())
                .filteredOn(c -> c.pumps().running() == 0)
                .isNotEmpty()
                .noneMatch(CaseAnswer::judged)
                .allMatch(c -> c.verdict() == Verdict.NOT_SHOWN);
    }

    @Test
    void dirtyFiltersCostFlow() {
        Project p = with(
                PARALLEL,
                "filter",
                Filter.class,
                f -> new Filter(f.tag(), f.points(), Optional.of(Rated.of(20, 30, "test"))));
        Assessment a = Assessment.of(p);
        for (CaseAnswer clean : a.cases()) {
            if (!clean.condition().engine().fouled() && clean.judged()) {
                CaseAnswer dirty = a.look(clean.condition().withFouled(true)).orElseThrow();
                assertThat(dirty.capacity().inletFlow())
                        .isLessThan(clean.capacity().inletFlow());
            }
        }
    }

    @Test
    void gravityIsJudgedWithoutAnyPumpCheck() {
        List<Finding> findings =
                Assessment.of(Pattern.GRAVITY_SELECTOR.project()).findings();
        assertThat(findings)
                .noneMatch(f -> f.id().startsWith("flow.second-pump")
                        || f.id().equals("build.dead-head")
                        || f.id().equals("flow.inlet-pressure-most"));
        assertThat(Pattern.GRAVITY_SELECTOR.project().brief().delivery()).isEqualTo(Brief.Delivery.GRAVITY);
    }

    /** AWG 18, 9 and 9 ft, 6.5 A: 0.7470 V (handbook of the trade 7, section 9, from memory). */
    @Test
    void a_wire_drops_by_ohms_law() {
        Wire wire = new Wire(Measured.of(18, Unit.ONE), Measured.of(18, Unit.FOOT));
        assertThat(6.5 * wire.ohms().orElseThrow()).isCloseTo(0.7470, within(5e-5));
        assertThat(new Wire(Measured.of(17, Unit.ONE), Measured.of(18, Unit.FOOT)).ohms())
                .isEmpty();
    }

    /** Drop and breaker of the wire; what is not said is Not shown, and a breaker too large for it fails. */
    @ParameterizedTest
    @CsvSource({
        "18, 18, 6.5, 10, FAILS, 0.75 V",
        "14, 18, 6.5, 20, HOLDS, 0.30 V",
        "14, 18, 6.5, 25, FAILS, protects no wire so thin",
        "22, 4, 2, 5, HOLDS, 0.13 V",
        "13, 4, 2, 5, NOT_SHOWN, not in the table"
    })
    void a_pumps_wire_is_judged(double gauge, double feet, double amps, double rating, Verdict verdict, String words) {
        Project wired = PARALLEL.with(PARALLEL.system()
                .change(
                        "pump-one",
                        Pump.class,
                        x -> x.withBuild(x.build()
                                .withCurrent(Measured.of(amps, Unit.AMPERE))
                                .withWiring(x.build()
                                        .wiring()
                                        .withBreaker(Optional.of(Measured.of(rating, Unit.AMPERE)))
                                        .withWire(Optional.of(new Wire(
                                                Measured.of(gauge, Unit.ONE), Measured.of(feet, Unit.FOOT))))))));
        assertThat(verdict(wired, "electrical.wire.pump-one")).isEqualTo(verdict);
        assertThat(says(wired, "electrical.wire.pump-one")).contains(words);
    }
}
