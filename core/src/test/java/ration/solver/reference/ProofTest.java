package ration.solver.reference;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import ration.solver.network.FrictionLaw;
import ration.solver.network.Network;
import ration.solver.network.NetworkSolution;

/** Against networks solved by EPANET 2.2 and an independent Newton solution (reference data, see docs/reference.md). */
class ProofTest {

    @ParameterizedTest
    @ValueSource(strings = {"c01", "c03", "c04", "c05", "c07", "c09", "c11", "c14", "c17", "c20"})
    void solvesTheReferenceCaseUnderItsOwnLaw(String id) throws IOException {
        Proof proof = Proof.of(load(id));
        assertThat(proof.failure()).isEmpty();
        assertThat(proof.same()).isLessThan(1e-7);
        if (proof.slowest() >= FrictionLaw.TURBULENT) {
            assertThat(proof.own()).as("turbulent flows under Ration's law").isLessThan(0.005);
        }
        if (proof.fastest() < FrictionLaw.LAMINAR_END) {
            assertThat(proof.own())
                    .as("laminar flows are the same under every law")
                    .isLessThan(1e-7);
        }
    }

    /** The reference data also hold the flows under Colebrook with a straight line from Re 2,300 to 4,000. */
    @ParameterizedTest
    @ValueSource(strings = {"c01", "c03", "c04", "c05", "c07", "c09", "c11", "c14", "c17", "c20"})
    void solvesTheReferenceCaseUnderTheTextbookBlend(String id) throws IOException {
        Map<String, Double> expected;
        try (InputStream in = open(id)) {
            expected = ReferenceCase.alternative(in, "colebrook_lin2300_4000");
        }
        NetworkSolution solution =
                Network.of(load(id).under(FrictionLaw.TEXTBOOK)).solve();
        assertThat(Proof.difference(expected, solution)).isLessThan(1e-6);
    }

    @Test
    void aNodeThatClosedValvesCutOffHasNoPressure() throws IOException {
        NetworkSolution solution = Network.of(load("c09").problem()).solve();
        assertThat(solution.pressure("BO")).isEmpty();
        assertThat(solution.pressure("M")).isPresent();
        assertThat(solution.flow("CVB")).isZero();
    }

    @Test
    void aFileOfAnotherFormIsRefusedWithItsName() {
        assertThatThrownBy(() -> ReferenceCase.read(stream("{\"nodes\":3}"), "odd.json"))
                .isInstanceOf(IOException.class)
                .hasMessageContaining("odd.json")
                .hasMessageContaining("rho_kg_m3");
        assertThatThrownBy(() -> ReferenceCase.read(stream("{"), "cut.json"))
                .isInstanceOf(IOException.class)
                .hasMessageContaining("cut.json is not JSON");
    }

    private static org.assertj.core.data.Offset<Double> within(double d) {
        return org.assertj.core.data.Offset.offset(d);
    }

    private static InputStream stream(String text) {
        return new ByteArrayInputStream(text.getBytes(StandardCharsets.UTF_8));
    }

    private static InputStream open(String id) {
        return ProofTest.class.getResourceAsStream("/reference/network/" + id + ".json");
    }

    private static ReferenceCase load(String id) throws IOException {
        try (InputStream in = open(id)) {
            return ReferenceCase.read(in, id);
        }
    }
}
