package ration.physics.flow;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.assertj.core.data.Percentage;
import org.junit.jupiter.api.Test;
import ration.Systems;
import ration.aircraft.condition.Attitude;
import ration.aircraft.condition.Condition;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Pump;
import ration.aircraft.model.Rated;
import ration.aircraft.model.Run;
import ration.answer.assess.Assessment;
import ration.answer.assess.StartingCase;
import ration.base.fluid.FuelGrade;
import ration.base.quantity.Measured;
import ration.base.quantity.Unit;
import ration.record.project.Pattern;
import ration.solver.network.FrictionLaw;

/** Pumps against a shut end: the test values of the handbook, section P14, from memory, every input invented. */
class DeadHeadTest {

    private static Pump pump(String id, double x, double psi, Optional<Double> relief) {
        return new Pump(
                new ration.aircraft.model.Tag(id, id, ration.aircraft.model.Place.inches(x, 0, 0)),
                Pump.Drive.ELECTRIC,
                List.of(
                        new Pump.CurvePoint(Measured.of(0, Unit.GALLON_PER_HOUR), Measured.of(psi, Unit.PSI)),
                        new Pump.CurvePoint(Measured.of(60, Unit.GALLON_PER_HOUR), Measured.of(0, Unit.PSI))),
                Optional.of(Rated.of(20, 0.3, "")),
                new Pump.Build(relief.map(r -> Measured.of(r, Unit.PSI)), Optional.empty(), false));
    }

    /** psi in each run of a tank, two pumps in series and the engine, less what the fuel's own height presses. */
    private static Map<String, Double> series(Pump first, Pump second) {
        FuelSystem line = Systems.oneLine();
        String tank = line.tanks().get(0).id();
        String outlet = line.tanks().get(0).outlets().get(0).name();
        FuelSystem s = line.minus(line.runs().get(0).id())
                .plus(
                        first,
                        second,
                        Systems.run("a", tank + "." + outlet, first.id() + ".in", 10),
                        Systems.run("b", first.id() + ".out", second.id() + ".in", 10),
                        Systems.run(
                                "c",
                                second.id() + ".out",
                                line.inlet().orElseThrow().id() + ".in",
                                10));
        FlowBasis basis = new FlowBasis(s, FuelGrade.AVGAS_100LL, FrictionLaw.CONSERVATIVE);
        Map<String, Double> full = Map.of(tank, basis.bodies().get(tank).capacity());
        Condition c = new Condition(Attitude.ofDegrees("Level", 0, 0), full, Map.of(), Set.of(), Set.of(), 288.15);
        return DeadHead.of(basis, List.of(c));
    }

    /** In series the sum: 7 and 32 psi are 39; a relief to the inlet at 28 caps that stage's rise: 35. */
    @Test
    void inSeriesTheSum() {
        double still = series(pump("one", 4, 1e-3, Optional.empty()), pump("two", 8, 1e-3, Optional.empty()))
                .get("c");
        double psi = Unit.PSI.toSi(1);
        double plain = series(pump("one", 4, 7, Optional.empty()), pump("two", 8, 32, Optional.empty()))
                .get("c");
        assertThat((plain - still) / psi).isCloseTo(39, Percentage.withPercentage(0.1));
        double relieved = series(pump("one", 4, 7, Optional.empty()), pump("two", 8, 32, Optional.of(28.0)))
                .get("c");
        assertThat((relieved - still) / psi).isCloseTo(35, Percentage.withPercentage(0.1));
        double between = series(pump("one", 4, 7, Optional.empty()), pump("two", 8, 32, Optional.empty()))
                .get("b");
        assertThat((between - still) / psi).as("each line by itself").isCloseTo(7, Percentage.withPercentage(1));
    }

    /**
     * Side by side the greatest, not the sum: two pumps of 65 psi are 65, and the suction lines see the height of the
     * fuel alone.
     */
    @Test
    void sideBySideTheGreatest() {
        Assessment a = Assessment.of(Systems.said(Pattern.TWO_PUMPS_PARALLEL.project()));
        Map<String, Double> by = DeadHead.of(a.basis().orElseThrow(), List.of(StartingCase.of(a.project())));
        double most = by.values().stream().mapToDouble(p -> p).max().orElseThrow();
        assertThat(Unit.PSI.fromSi(most)).isBetween(63.0, 67.0);
        Run suction = a.project().system().runs().stream()
                .filter(r -> r.from().item().contains("tank"))
                .findFirst()
                .orElseThrow();
        assertThat(Unit.PSI.fromSi(by.get(suction.id()))).isLessThan(1);
        assertThat(a.findings())
                .filteredOn(f -> f.check().key().equals("build.dead-head"))
                .singleElement()
                .satisfies(f -> assertThat(f.detail().in(ration.base.quantity.UnitSystem.US))
                        .doesNotContain("130"));
    }
}
