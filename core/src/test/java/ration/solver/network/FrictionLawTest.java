package ration.solver.network;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.stream.Stream;
import org.assertj.core.data.Offset;
import org.assertj.core.data.Percentage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.MethodSource;

class FrictionLawTest {

    /** friction.csv of the reference data: Colebrook to 30 digits, and EPANET 2.2's law. */
    static Stream<double[]> table() throws IOException {
        try (BufferedReader in = new BufferedReader(new InputStreamReader(
                FrictionLawTest.class.getResourceAsStream("/reference/tables/friction.csv"), StandardCharsets.UTF_8))) {
            List<double[]> rows = in.lines()
                    .skip(1)
                    .map(l -> l.split(",", -1))
                    .map(c -> new double[] {
                        Double.parseDouble(c[0]),
                        Double.parseDouble(c[1]),
                        c[3].isEmpty() ? Double.NaN : Double.parseDouble(c[3]),
                        Double.parseDouble(c[8])
                    })
                    .toList();
            return rows.stream();
        }
    }

    @ParameterizedTest
    @MethodSource("table")
    void followsTheReferenceTable(double[] row) {
        double re = row[0];
        double rr = row[1];
        // the published cubic prints its constant 0.00514215 to six figures
        assertThat(FrictionLaw.EPANET.factor(re, rr)).isCloseTo(row[3], Percentage.withPercentage(1e-5));
        if (!Double.isNaN(row[2]) && re >= 2300) {
            assertThat(FrictionLaw.CONSERVATIVE.factor(re, rr)).isCloseTo(row[2], Percentage.withPercentage(1e-8));
        }
        if (!Double.isNaN(row[2]) && re >= 4000) {
            assertThat(FrictionLaw.TEXTBOOK.factor(re, rr)).isCloseTo(row[2], Percentage.withPercentage(1e-8));
        }
        if (re <= 2000) {
            for (FrictionLaw law : FrictionLaw.values()) {
                assertThat(law.factor(re, rr)).isCloseTo(64 / re, Percentage.withPercentage(1e-10));
            }
        }
    }

    /** Moody chart readings as textbooks print them (from memory). */
    @ParameterizedTest
    @CsvSource({
        "4000,0,0.0399",
        "1e4,0,0.0309",
        "1e5,0,0.0180",
        "1e5,1e-4,0.0185",
        "1e5,0.001,0.0222",
        "1e5,0.01,0.0385",
        "1e6,0,0.0116",
        "1e6,0.001,0.0199",
        "1e8,0.001,0.0196",
        "1e8,0.05,0.0716"
    })
    void readsLikeTheMoodyChart(double re, double rr, double chart) {
        assertThat(FrictionLaw.CONSERVATIVE.factor(re, rr)).isCloseTo(chart, Offset.offset(6e-5));
    }

    /** Blasius 0.3164 / Re^0.25 (from memory) holds within 2.5 % from 4,000 to 100,000 in smooth lines. */
    @ParameterizedTest
    @CsvSource({"5000", "10000", "30000", "100000"})
    void agreesWithBlasiusInSmoothLines(double re) {
        assertThat(FrictionLaw.CONSERVATIVE.factor(re, 0))
                .isCloseTo(0.3164 / Math.pow(re, 0.25), Percentage.withPercentage(2.5));
    }

    @Test
    void theConservativeBranchIsNeverUnderTheTextbookBlend() {
        for (double re = 100; re < 1e5; re *= 1.01) {
            assertThat(FrictionLaw.CONSERVATIVE.factor(re, 1e-4))
                    .isGreaterThanOrEqualTo(FrictionLaw.TEXTBOOK.factor(re, 1e-4) - 1e-12);
        }
    }

    @ParameterizedTest
    @EnumSource(FrictionLaw.class)
    void lossNeverFallsAndItsSlopeIsTheDerivative(FrictionLaw law) {
        Drop here = new Drop();
        Drop there = new Drop();
        Drop before = new Drop();
        double last = 0;
        for (double re = 50; re < 2e5; re *= 1.013) {
            law.at(re, new Roughness(2e-4), here);
            double loss = here.friction * re * re;
            assertThat(loss).as("at Re " + re).isGreaterThan(last);
            last = loss;
            double step = re * 1e-6;
            law.at(re + step, new Roughness(2e-4), there);
            law.at(re - step, new Roughness(2e-4), before);
            // to both sides: where the factor turns, a step to one side is off by more than the slope
            double numeric = (there.friction - before.friction) / (2 * step);
            if (Math.abs(re - 2000) > 1 && Math.abs(re - 2300) > 1 && Math.abs(re - 4000) > 1) {
                assertThat(here.frictionRise / re)
                        .as("slope at Re " + re)
                        .isCloseTo(numeric, Offset.offset(1e-3 * Math.abs(numeric) + 1e-10));
            }
        }
    }
}
