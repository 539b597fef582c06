package ration.answer.assess;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.concurrent.Callable;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import ration.Apart;
import ration.Fuses;
import ration.Systems;
import ration.verdict.check.Finding;
import ration.verdict.check.Verdict;

/**
 * One part of the computation fails, by an exception or by an error of the machine: what does not rest on it stands as
 * it was, what does is Not shown, and nothing holds that did not hold before.
 */
class SabotageTest {

    /** What is found of the first demo. */
    public static final class Found implements Callable<Map<String, String>> {
        @Override
        public Map<String, String> call() {
            Map<String, String> all = new LinkedHashMap<>();
            for (Finding f : Assessment.of(Systems.corrie()).findings()) {
                all.merge(f.id(), f.verdict().name(), (a, b) -> a + " " + b);
            }
            return all;
        }
    }

    private static final Map<String, String> PARTS = Map.ofEntries(
            Map.entry("FlowChecks.of", "flow.checked"),
            Map.entry("FirewallChecks.of", "firewall.checked"),
            Map.entry("PathChecks.of", "paths.checked"),
            Map.entry("PressureChecks.of", "pressures.checked"),
            Map.entry("TankChecks.of", "tanks.checked"),
            Map.entry("BuildChecks.of", "build.checked"),
            Map.entry("VaporChecks.of", "vapor.checked"),
            Map.entry("ReturnVaporChecks.of", "returns.checked"),
            Map.entry("AirChecks.of", "air.checked"),
            Map.entry("ProofChecks.of", "proof.checked"),
            Map.entry("ProofChecks.program", "proof.checked"),
            Map.entry("VaporAnswer.of", "vapor.checked"),
            Map.entry("AirAnswer.of", "air.checked"));

    private static Callable<Map<String, String>> program;
    private static Map<String, String> whole;

    /** Loaded once, every part with a way to fail: loaded anew for each, it would be compiled anew for each. */
    @BeforeAll
    @SuppressWarnings("unchecked")
    static void load() throws Exception {
        Apart apart = new Apart(Fuses.in("ration.answer.assess.", PARTS.keySet()));
        program = (Callable<Map<String, String>>)
                apart.seen(Found.class).getConstructor().newInstance();
        whole = program.call();
        assertThat(whole).as("nothing fails").isEqualTo(new Found().call());
    }

    @AfterAll
    static void heal() {
        Fuses.heal();
    }

    static Stream<String> parts() {
        return PARTS.keySet().stream().sorted();
    }

    @ParameterizedTest
    @MethodSource("parts")
    void theRestStandsAndNothingHoldsByIt(String part) throws Exception {
        String toldBy = PARTS.get(part);
        assertThat(whole).doesNotContainKey(toldBy);
        for (String thrown : Fuses.THROWN) {
            Fuses.blow(part, thrown);
            Map<String, String> left = program.call();
            assertThat(left).as(thrown).containsEntry(toldBy, Verdict.NOT_SHOWN.name());
            left.forEach((id, verdict) -> {
                if (!verdict.equals(whole.get(id))) {
                    assertThat(verdict)
                            .as(part + " fails by " + thrown + ": " + id)
                            .isEqualTo("NOT_SHOWN");
                }
            });
            assertThat(left).as("what stands").hasSizeGreaterThan(whole.size() / 2);
        }
    }
}
