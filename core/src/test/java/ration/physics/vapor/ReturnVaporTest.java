package ration.physics.vapor;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import ration.Systems;
import ration.aircraft.heat.HeatFigure;
import ration.answer.assess.Assessment;
import ration.base.fluid.Volatility;
import ration.base.quantity.Measured;
import ration.base.quantity.Unit;
import ration.record.project.Project;
import ration.verdict.check.Check;
import ration.verdict.check.Finding;
import ration.verdict.check.Verdict;

/** Vapor that a warm return gives off in a tank. */
class ReturnVaporTest {

    private static final double GPH = Unit.GALLON.toSi(1) / 3600;

    /**
     * Worked example of the trade: 30 gph, 3 K over boiling, 310 K: 9.445 L/min, with a gas constant of 8.314. Common
     * practice, no source.
     */
    @Test
    void a_flash_by_hand() {
        double flow = ReturnVapor.flow(30 * GPH, 720, 3, 310, 101_325);
        assertThat(flow * 60_000).isCloseTo(9.445 * ReturnVapor.GAS / 8.314, within(0.0005));
        assertThat(ReturnVapor.flow(30 * GPH, 720, -3, 310, 101_325)).isZero();
    }

    @Test
    void vapor_weighs_what_a_gas_weighs() {
        // air of 28.96 g/mol at 288.15 K weighs 1.225 kg/m3
        assertThat(ReturnVapor.density(288.15, 101_325) * 0.02896 / ReturnVapor.MOLAR)
                .isCloseTo(1.225, within(0.001));
    }

    private static Optional<Finding> vapor(Project p) {
        return Assessment.bare(p, Optional.empty()).findings().stream()
                .filter(f -> f.check() == Check.AIR_RETURN_VAPOR)
                .findFirst();
    }

    private static Project hot(Project p, double fahrenheit) {
        return p.with(p.heat()
                .with(Volatility.MOGAS_A)
                .with(HeatFigure.HOT_FUEL, Measured.of(fahrenheit, Unit.FAHRENHEIT, "thermometer")));
    }

    @ParameterizedTest
    @ValueSource(strings = {"tansy-l3", "header-bleed"})
    void hotter_fuel_never_reads_better(String name) {
        List<Finding> found = java.util.stream.DoubleStream.of(70, 100, 120, 140)
                .mapToObj(f -> vapor(hot(Systems.demo(name), f)).orElseThrow())
                .toList();
        for (int i = 1; i < found.size(); i++) {
            assertThat(found.get(i).verdict())
                    .isGreaterThanOrEqualTo(found.get(i - 1).verdict());
            assertThat(found.get(i).ratio())
                    .isLessThanOrEqualTo(found.get(i - 1).ratio());
        }
        assertThat(found.get(0).verdict()).isNotEqualTo(found.get(3).verdict());
    }

    @Test
    void where_nothing_comes_back_nothing_is_said() {
        assertThat(vapor(Systems.demo("corrie-b1"))).isEmpty();
    }

    @Test
    void a_fuel_nobody_named_is_not_shown() {
        Project p = Systems.demo("tansy-l3");
        Project unsaid = p.with(p.heat()
                .with(Volatility.MOGAS_UNSAID)
                .with(HeatFigure.HOT_FUEL, Measured.of(40, Unit.FAHRENHEIT, "thermometer")));
        assertThat(vapor(unsaid).orElseThrow().verdict()).isEqualTo(Verdict.NOT_SHOWN);
    }
}
