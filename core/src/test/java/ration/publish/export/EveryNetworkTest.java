package ration.publish.export;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.assertj.core.data.Offset;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import ration.answer.assess.Assessment;
import ration.answer.assess.CaseAnswer;
import ration.record.project.Pattern;

/** Whatever is laid out, its network file names what it uses and nothing twice. */
class EveryNetworkTest {

    /** Rows of a section, split at tabs, without comments. */
    private static List<String[]> section(String inp, String name) {
        int at = inp.indexOf("[" + name + "]");
        int end = inp.indexOf("\n[", at + 1);
        return inp.substring(at, end)
                .lines()
                .skip(1)
                .filter(l -> !l.isBlank() && !l.startsWith(";"))
                .map(l -> l.split("\t"))
                .toList();
    }

    @ParameterizedTest
    @EnumSource
    void everyLinkJoinsTwoNodesOfTheFile(Pattern pattern) {
        CaseAnswer look = Assessment.of(pattern.project()).governing().orElseThrow();
        String inp = EpanetInp.of(look.capacity(), pattern.label());
        Set<String> nodes = new HashSet<>();
        for (String part : List.of("JUNCTIONS", "RESERVOIRS")) {
            section(inp, part).forEach(r -> assertThat(nodes.add(r[0]))
                    .as(r[0] + " stands once")
                    .isTrue());
        }
        Set<String> links = new HashSet<>();
        Set<String> curves = section(inp, "CURVES").stream().map(r -> r[0]).collect(Collectors.toSet());
        for (String part : List.of("PIPES", "PUMPS", "VALVES")) {
            for (String[] r : section(inp, part)) {
                assertThat(links.add(r[0])).as(r[0] + " stands once").isTrue();
                assertThat(nodes).as(r[0]).contains(r[1], r[2]);
            }
        }
        section(inp, "VALVES").stream().filter(r -> r[4].equals("GPV")).forEach(r -> assertThat(curves)
                .contains(r[5]));
        section(inp, "PIPES").forEach(r -> assertThat(Double.parseDouble(r[3])).isPositive());
        assertThat(inp).doesNotContain("NaN").doesNotContain("Infinity");
    }

    /** Loss curves rise with flow and pump curves fall: EPANET refuses anything else. */
    @ParameterizedTest
    @EnumSource
    void curvesRiseAndFallAsEpanetWantsThem(Pattern pattern) {
        CaseAnswer look = Assessment.of(pattern.project()).governing().orElseThrow();
        String inp = EpanetInp.of(look.capacity(), pattern.label());
        Set<String> pumps = section(inp, "PUMPS").stream()
                .map(r -> r[3].replace("HEAD ", ""))
                .collect(Collectors.toSet());
        Map<String, double[]> last = new HashMap<>();
        for (String[] r : section(inp, "CURVES")) {
            double flow = Double.parseDouble(r[1]);
            double head = Double.parseDouble(r[2]);
            double[] before = last.put(r[0], new double[] {flow, head});
            if (before != null) {
                assertThat(flow).as(r[0]).isGreaterThan(before[0]);
                assertThat((head - before[1]) * (pumps.contains(r[0]) ? -1 : 1))
                        .as(r[0])
                        .isGreaterThanOrEqualTo(0);
            }
        }
    }

    /** Flow balances at every node that asks for nothing: what the file's links bring, they take. */
    @ParameterizedTest
    @EnumSource
    void theFlowsKeptWithTheFileBalance(Pattern pattern) {
        CaseAnswer look = Assessment.of(pattern.project()).governing().orElseThrow();
        String inp = EpanetInp.of(look.capacity(), pattern.label());
        Map<String, Double> flows = EpanetInp.flows(look.capacity());
        Map<String, Double> net = new HashMap<>();
        for (String part : List.of("PIPES", "PUMPS", "VALVES")) {
            for (String[] r : section(inp, part)) {
                double q = flows.getOrDefault(r[0], flows.getOrDefault(r[0].replace("~joint", ""), 0.0));
                net.merge(r[1], -q, Double::sum);
                net.merge(r[2], q, Double::sum);
            }
        }
        for (String[] r : section(inp, "JUNCTIONS")) {
            assertThat(net.getOrDefault(r[0], 0.0) - Double.parseDouble(r[2]))
                    .as(r[0])
                    .isCloseTo(0, Offset.offset(5e-6));
        }
    }
}
