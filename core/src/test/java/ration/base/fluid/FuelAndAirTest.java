package ration.base.fluid;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

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
import org.junit.jupiter.params.provider.MethodSource;
import ration.base.atmosphere.StandardAtmosphere;
import ration.base.quantity.Unit;

class FuelAndAirTest {

    /** ASTM D1250 for 6.000 lb/gal at 15 C: lb/gal at other temperatures (handbook, calculated from memory). */
    @ParameterizedTest
    @CsvSource({"0, 6.115", "10, 6.038", "20, 5.962", "30, 5.884", "40, 5.806"})
    void avgasThinsAsItWarms(double celsius, double poundsPerGallon) {
        double density = FuelGrade.AVGAS_100LL.density(Unit.CELSIUS.toSi(celsius));
        assertThat(Unit.POUND_PER_GALLON.fromSi(density)).isCloseTo(poundsPerGallon, Offset.offset(0.001));
    }

    /** Usual values for gasolines (from memory): 0.45 to 0.75 mm2/s near 15 to 20 C, 0.9 to 1.0 at -20 C. */
    @Test
    void viscosityStaysInTheUsualBand() {
        for (FuelGrade grade : FuelGrade.values()) {
            assertThat(grade.viscosity(288.15) * 1e6).isCloseTo(0.60, Offset.offset(1e-9));
            assertThat(grade.viscosity(253.15) * 1e6).isBetween(0.9, 1.0);
            assertThat(grade.viscosity(313.15) * 1e6).isBetween(0.40, 0.60);
            assertThat(grade.at(300).density()).isEqualTo(grade.density(300));
        }
    }

    @Test
    void fuelOutsideItsRangeIsRefused() {
        assertThatThrownBy(() -> FuelGrade.AVGAS_100LL.density(400)).hasMessageContaining("\u00b0C");
        assertThatThrownBy(() -> FuelGrade.MOTOR_GASOLINE.viscosity(Double.NaN)).hasMessageContaining("\u00b0C");
        assertThatThrownBy(() -> new Fluid(0, 1e-6)).isInstanceOf(IllegalArgumentException.class);
        assertThat(FuelGrade.written("100LL")).contains(FuelGrade.AVGAS_100LL);
        assertThat(FuelGrade.written("kerosene")).isEmpty();
    }

    static Stream<double[]> isa() throws IOException {
        try (BufferedReader in = new BufferedReader(new InputStreamReader(
                FuelAndAirTest.class.getResourceAsStream("/reference/tables/isa.csv"), StandardCharsets.UTF_8))) {
            List<double[]> rows = in.lines()
                    .skip(1)
                    .map(l -> l.split(","))
                    .map(c -> new double[] {
                        Double.parseDouble(c[1]),
                        Double.parseDouble(c[2]),
                        Double.parseDouble(c[3]),
                        Double.parseDouble(c[5])
                    })
                    .toList();
            return rows.stream();
        }
    }

    /** US Standard Atmosphere 1976, isa.csv of the reference data. */
    @ParameterizedTest
    @MethodSource("isa")
    void followsTheStandardAtmosphere(double[] row) {
        assertThat(StandardAtmosphere.temperature(row[0])).isCloseTo(row[1], Offset.offset(1e-3));
        assertThat(StandardAtmosphere.pressure(row[0])).isCloseTo(row[2], Percentage.withPercentage(0.001));
        assertThat(StandardAtmosphere.density(row[0])).isCloseTo(row[3], Percentage.withPercentage(0.001));
    }

    @Test
    void airAboveTheTableIsRefused() {
        assertThatThrownBy(() -> StandardAtmosphere.pressure(30_000)).hasMessageContaining("20,000");
        assertThat(StandardAtmosphere.temperature(12_000)).isCloseTo(216.65, Offset.offset(1e-9));
    }
}
