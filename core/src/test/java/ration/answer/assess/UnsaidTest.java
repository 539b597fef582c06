package ration.answer.assess;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import ration.Systems;
import ration.aircraft.model.EngineInlet;
import ration.answer.drawdown.FlightRun;
import ration.answer.drawdown.UsualFlight;
import ration.answer.fault.FaultAnswer;
import ration.answer.fault.FaultSearch;
import ration.base.quantity.Measured;
import ration.base.quantity.Quantity;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;
import ration.record.file.ProjectFile;
import ration.record.file.ProjectFileException;
import ration.record.project.Brief;
import ration.record.project.Pattern;
import ration.record.project.Project;
import ration.record.project.Unsaid;
import ration.verdict.check.Check;
import ration.verdict.check.Finding;
import ration.verdict.check.Verdict;

/** What nobody said of the engine shows nothing; said, it decides as before. */
class UnsaidTest {

    private static final Set<Verdict> GOOD = Set.of(Verdict.HOLDS, Verdict.THIN);
    private static final List<Check> ON_THE_ENGINE = List.of(
            Check.FLOW_MARGIN,
            Check.FLOW_INLET_PRESSURE,
            Check.FLOW_INLET_PRESSURE_MOST,
            Check.VAPOR_GAP,
            Check.VAPOR_HOT_FUEL,
            Check.AIR_VENT,
            Check.AIR_BLOCKED);

    private static List<Finding> good(Assessment a) {
        return a.findings().stream()
                .filter(f -> ON_THE_ENGINE.contains(f.check()) && GOOD.contains(f.verdict()))
                .toList();
    }

    @ParameterizedTest
    @EnumSource(Pattern.class)
    void aStartingLayoutShowsNothingOfItsEngine(Pattern pattern) {
        Assessment a = Assessment.of(pattern.project());
        assertThat(good(a)).isEmpty();
        assertThat(a.flowVerdict()).isNotIn(GOOD);
        assertThat(a.cases()).extracting(CaseAnswer::verdict).isNotEmpty().doesNotContainAnyElementsOf(GOOD);
        Ledger ledger = Ledger.of(a, UnitSystem.US);
        assertThat(ledger.flow().verdict()).isNotIn(GOOD);
        assertThat(ledger.flow().need()).isEqualTo("engine assumed");
        assertThat(ledger.vapor().verdict()).isNotIn(GOOD);
        assertThat(FlightRun.of(a, UsualFlight.of(a.project())).verdict()).isNotIn(GOOD);
    }

    /** Saying it moves no figure, and what was Short stays so. */
    @ParameterizedTest
    @EnumSource(
            value = Pattern.class,
            names = {"GRAVITY_SELECTOR", "HEADER_TWO_PUMPS"})
    void sayingItMovesVerdictsOnly(Pattern pattern) {
        Assessment assumed = Assessment.of(pattern.project());
        Assessment said = Assessment.of(Systems.said(pattern.project()));
        assertThat(good(said)).isNotEmpty();
        assertThat(said.findings().stream().map(Finding::id).toList())
                .containsExactlyInAnyOrderElementsOf(
                        assumed.findings().stream().map(Finding::id).toList());
        assertThat(said.governing().orElseThrow().margin())
                .isEqualTo(assumed.governing().orElseThrow().margin());
        assertThat(shorts(assumed)).isEqualTo(shorts(said));
    }

    private static Set<String> shorts(Assessment a) {
        return a.findings().stream()
                .filter(f -> f.verdict() == Verdict.FAILS)
                .map(Finding::id)
                .collect(Collectors.toSet());
    }

    @Test
    void aFaultThatDoesNoHarmToAnAssumedEngineIsNotShown() {
        Project p = Pattern.GRAVITY_SELECTOR.project();
        assertThat(FaultSearch.of(Assessment.of(p)))
                .extracting(FaultAnswer::verdict)
                .isNotEmpty()
                .doesNotContainAnyElementsOf(GOOD);
        assertThat(FaultSearch.of(Assessment.of(Systems.said(p))))
                .extracting(FaultAnswer::verdict)
                .containsAnyElementsOf(GOOD);
    }

    /** A flow test that was passed shows nothing against a demand nobody said; the record stays. */
    @Test
    void aFlowTestAgainstAnAssumedDemandIsNotShown() {
        Project p = Systems.demo("corrie-b1");
        assertThat(Assessment.of(p).findings())
                .filteredOn(f -> f.check() == Check.PROOF_FLOW && GOOD.contains(f.verdict()))
                .isNotEmpty();
        Brief b = p.brief();
        Project assumed = p.with(new Brief(
                b.engine(),
                b.delivery(),
                new Measured(b.power().quantity(), Measured.ASSUMED),
                b.consumption(),
                b.envelope(),
                b.fuel(),
                b.fuelTemperature(),
                b.lowFuel(),
                b.choices()));
        assertThat(Assessment.of(assumed).findings())
                .filteredOn(f -> f.check() == Check.PROOF_FLOW)
                .isNotEmpty()
                .noneMatch(f -> GOOD.contains(f.verdict()));
        assertThat(assumed.tests()).isEqualTo(p.tests());
    }

    /** Each figure by itself keeps back what rests on it, and typing one says it. */
    @Test
    void eachFigureKeepsBackWhatRestsOnIt() {
        Project said = Systems.said(Pattern.BOOST_AND_ENGINE_PUMP.project());
        EngineInlet servo = said.system().inlet().orElseThrow();
        Project least = said.with(
                said.system().replace(servo.withPressures(Measured.assumed(20, Unit.PSI), servo.maximumPressure())));
        assertThat(verdict(least, Check.FLOW_INLET_PRESSURE)).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(verdict(least, Check.VAPOR_GAP)).isEqualTo(verdict(said, Check.VAPOR_GAP));
        Project most = said.with(said.system()
                .replace(servo.withPressures(
                        servo.minimumPressure(),
                        servo.maximumPressure()
                                .map(m -> Measured.assumed(
                                        m.quantity().value(), m.quantity().unit())))));
        assertThat(verdict(most, Check.FLOW_INLET_PRESSURE_MOST)).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(verdict(most, Check.FLOW_INLET_PRESSURE))
                .isEqualTo(verdict(said, Check.FLOW_INLET_PRESSURE))
                .isIn(GOOD);
        Project power = Pattern.BOOST_AND_ENGINE_PUMP.project();
        power = power.with(power.brief().withPower(Quantity.of(120, Unit.HORSEPOWER)));
        assertThat(Unsaid.of(power).demand()).containsExactly("BSFC");
        assertThat(Unsaid.of(power.with(
                                power.brief().withConsumption(Quantity.of(0.5, Unit.POUND_PER_HORSEPOWER_HOUR))))
                        .demand())
                .isEmpty();
    }

    private static Verdict verdict(Project p, Check check) {
        return Assessment.of(p).findings().stream()
                .filter(f -> f.check() == check)
                .map(Finding::verdict)
                .reduce(Verdict::worse)
                .orElseThrow();
    }

    /** The file keeps that nobody said it. */
    @Test
    void theFileKeepsIt() throws ProjectFileException {
        Project p = Pattern.HEADER_TWO_PUMPS.project();
        assertThat(Unsaid.of(again(p)))
                .isEqualTo(Unsaid.of(p))
                .matches(u -> u.all().size() == 4);
        Project said = Systems.said(p);
        assertThat(Unsaid.of(again(said)).all()).isEmpty();
    }

    private static Project again(Project p) throws ProjectFileException {
        return ProjectFile.read(ProjectFile.text(p).getBytes(StandardCharsets.UTF_8), "again");
    }
}
