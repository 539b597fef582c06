package ration.answer.assess;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import ration.Systems;
import ration.aircraft.model.BarbClamp;
import ration.aircraft.model.Construction;
import ration.aircraft.model.HoseEnd;
import ration.aircraft.model.JointEnd;
import ration.aircraft.model.Run;
import ration.aircraft.model.RunBuild;
import ration.aircraft.plumbing.Joints;
import ration.base.fluid.Volatility;
import ration.base.quantity.Measured;
import ration.base.quantity.Unit;
import ration.record.project.Project;
import ration.verdict.check.Check;
import ration.verdict.check.Finding;
import ration.verdict.check.Verdict;

/** Hoses as they are bought: what is round them, what runs through them, how they are held and proved. */
class HoseChecksTest {

    private static final Project TANSY = Systems.demo("tansy-l3");

    private static Project with(String run, UnaryOperator<RunBuild> change) {
        return TANSY.with(TANSY.system().change(run, Run.class, r -> r.with(change.apply(r.build()))));
    }

    private static List<Finding> of(Project p, Check check) {
        return HoseChecks.of(p).stream().filter(f -> f.check() == check).toList();
    }

    /** The bay at 199 F after shutdown: clear tube fails, PTFE is not named; what is usual makes nothing hold. */
    @ParameterizedTest
    @CsvSource({"CLEAR, FAILS", "PTFE, ", "INJECTION, ", "MOLDED, "})
    void heatRoundAHose(Construction made, Verdict verdict) {
        List<Finding> found = of(with("r7", b -> b.with(Optional.of(made))), Check.BUILD_HOSE_HEAT).stream()
                .filter(f -> f.item().equals("r7"))
                .toList();
        assertThat(found).extracting(Finding::verdict).isEqualTo(verdict == null ? List.of() : List.of(verdict));
    }

    @Test
    void ethanolInLowPressureHoseIsThin() {
        Project p = with("r7", b -> b.with(Optional.of(Construction.PUSH_ON)));
        assertThat(of(p, Check.BUILD_HOSE_FUEL)).isEmpty();
        Project ethanol = p.with(p.heat().with(Volatility.MOGAS_A_ETHANOL));
        assertThat(of(ethanol, Check.BUILD_HOSE_FUEL)).singleElement().satisfies(f -> assertThat(f.verdict())
                .isEqualTo(Verdict.THIN));
    }

    /** Twice what the line stands; a line without an answer shows nothing. */
    @ParameterizedTest
    @CsvSource({"90, 40, HOLDS", "70, 40, FAILS", "90, NaN, NOT_SHOWN"})
    void aProofIsHeldAgainstTwiceWhatTheLineStands(double proof, double stands, Verdict verdict) {
        Project p = with("r7", b -> b.with(b.papers().withProof(Optional.of(Measured.of(proof, Unit.PSI, "gauge")))));
        List<Finding> found = HoseChecks.proofs(p.system(), Map.of("r7", stands * Unit.PSI.toSi(1))).stream()
                .filter(f -> f.item().equals("r7"))
                .toList();
        assertThat(found).extracting(Finding::verdict).containsExactly(verdict);
    }

    @Test
    void aHoseThatCannotBeMadeFails() {
        Project p = with("r7", b -> b.withStart(b.start().withShape(Optional.of(HoseEnd.parse("90 up aft 6 6", 0)))));
        assertThat(of(p, Check.BUILD_HOSE_MADE))
                .anySatisfy(f -> assertThat(f.item() + f.verdict()).isEqualTo("r7" + Verdict.FAILS));
        assertThat(of(TANSY, Check.BUILD_HOSE_MADE)).extracting(Finding::item).containsExactly("r8");
    }

    /** A clamp on each barb, none where the socket holds by itself, worm drives for ground runs; unsaid is open. */
    @ParameterizedTest
    @CsvSource({
        "PUSH_ON, BAND, GOOD",
        "PUSH_ON, EAR, GOOD",
        "PUSH_ON, WORM, WRONG",
        "PUSH_ON, NONE, WRONG",
        "PUSH_ON, , OPEN",
        "BARBED, NONE, GOOD",
        "BARBED, , GOOD",
        "BARBED, BAND, GOOD"
    })
    void barbsAreClamped(Construction made, BarbClamp clamp, Joints.State state) {
        Project p = with("r7", b -> b.with(Optional.of(made))
                .withStart(RunBuild.End.NONE
                        .withFitting(Optional.of(JointEnd.parse("3/8 barb female")))
                        .withPort(Optional.of(JointEnd.parse("3/8 barb")))
                        .withFamily(Optional.of(made))
                        .withClamp(Optional.ofNullable(clamp))));
        assertThat(Joints.of(p.system()).stream().filter(j -> j.id().equals("r7.start")))
                .extracting(Joints.Joint::state)
                .containsExactly(state);
    }
}
