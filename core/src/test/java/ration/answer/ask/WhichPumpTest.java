package ration.answer.ask;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import ration.Samples;
import ration.Systems;
import ration.aircraft.condition.Power;
import ration.aircraft.model.Pump;
import ration.answer.assess.Assessment;
import ration.base.quantity.Measured;
import ration.base.quantity.Unit;
import ration.base.task.Task;
import ration.record.project.Project;

/** Which pump will do: against whole assessments with the candidate in the layout. */
class WhichPumpTest {

    private static List<Pump.CurvePoint> curve(double... gphPsi) {
        List<Pump.CurvePoint> all = new java.util.ArrayList<>();
        for (int i = 0; i < gphPsi.length; i += 2) {
            all.add(new Pump.CurvePoint(
                    Measured.of(gphPsi[i], Unit.GALLON_PER_HOUR, "maker"),
                    Measured.of(gphPsi[i + 1], Unit.PSI, "maker")));
        }
        return all;
    }

    private static Project with(Project p, String pump, List<Pump.CurvePoint> curve) {
        return p.with(p.system().change(pump, Pump.class, x -> x.withCurve(curve)
                .withBuild(new Pump.Build(
                        Optional.empty(),
                        x.build().current(),
                        x.build().checked(),
                        x.build().bus(),
                        x.build().wiring()))));
    }

    /** Whether every judged case in which it runs has its flow. */
    private static boolean holds(Project p, String pump) {
        return Assessment.ahead(p, Optional.empty()).cases().stream()
                .filter(c -> c.judged() && !c.condition().stopped().contains(pump))
                .allMatch(c -> c.capacity().usable() && c.capacity().inletFlow() >= c.factor() * c.need());
    }

    /** The needs were found in one network at a time; a candidate put into the layout says the same. */
    @ParameterizedTest
    @CsvSource({"brindle-a2, lift, 6", "tansy-l3, boost, 40", "collector-sump, pump-one, 90"})
    void a_candidate_fits_just_when_every_case_holds_with_it(String demo, String pump, double most) {
        Project p = Systems.demo(demo);
        WhichPump which = WhichPump.of(Systems.assessed(demo), pump, Task.QUIET).orElseThrow();
        assertThat(which.needs()).isNotEmpty();
        Random random = new Random(7);
        int tried = 0;
        int fitted = 0;
        for (int i = 0; tried < Samples.of(2, 60) && i < 1000; i++) {
            double dead = most * (0.05 + 0.95 * random.nextDouble());
            double free = 15 + 110 * random.nextDouble();
            List<Pump.CurvePoint> candidate =
                    curve(0, dead, free / 2, dead * (0.6 + 0.4 * random.nextDouble()), free, 0);
            double share = which.fit(candidate).share();
            // on the edge the two may differ by the width of a search
            if (share < 0.99 || share > 1.01) {
                tried++;
                fitted += share > 1 ? 1 : 0;
                assertThat(holds(with(p, pump, candidate), pump))
                        .as(demo + " " + dead + " psi, " + free + " gph: " + share)
                        .isEqualTo(share > 1);
            }
        }
        assertThat(tried).isPositive();
        assertThat(which.corners()).isNotEmpty();
        for (WhichPump.Need n : which.needs()) {
            assertThat(which.corners().stream().anyMatch(c -> c.flow() >= n.flow() && c.rise() >= n.rise())
                            || n.rise() == 0)
                    .isTrue();
        }
    }

    /** A curve through the hardest need just fits; a hair under it does not. */
    @Test
    void the_least_curve_is_least() {
        WhichPump which =
                WhichPump.of(Systems.assessed("brindle-a2"), "lift", Task.QUIET).orElseThrow();
        double psi = Unit.PSI.fromSi(which.needs().get(0).rise());
        assertThat(which.fit(curve(0, psi * 1.0001, 1000, psi * 1.00005)).fits())
                .isTrue();
        assertThat(which.fit(curve(0, psi * 0.98, 1000, psi * 0.98 - 1e-9)).fits())
                .isFalse();
        assertThat(which.fit(curve(0, psi * 0.98, 1000, psi * 0.98 - 1e-9))
                        .worst()
                        .orElseThrow())
                .isEqualTo(which.needs().get(0));
    }

    /** Where a case holds with no pressure, no curve fits, however large. */
    @Test
    void a_case_that_no_pressure_helps_fits_nothing() {
        WhichPump which = new WhichPump(
                "lift",
                List.of(),
                List.of(Systems.assessedCorrie().governing().orElseThrow().condition()),
                Map.of());
        assertThat(which.fit(curve(0, 119, 500, 118)).fits()).isFalse();
        assertThat(new WhichPump("lift", List.of(), List.of(), Map.of())
                        .fit(curve(0, 1, 5, 0))
                        .fits())
                .isTrue();
        assertThat(WhichPump.of(Systems.assessedCorrie(), "selector", Task.QUIET))
                .isEmpty();
    }

    /** p = 88 s^2 - 0.03 Q^2, psi and gph, at 49 psi: 36.06 gph, 25.68 at 12.2 of 13.8 V. Worked example. */
    @Test
    void a_slower_pump_gives_less() {
        List<Pump.CurvePoint> rated = java.util.stream.IntStream.rangeClosed(0, 540)
                .mapToObj(i -> i / 10.0)
                .map(q -> new Pump.CurvePoint(
                        Measured.of(q, Unit.GALLON_PER_HOUR), Measured.of(88 - 0.03 * q * q, Unit.PSI)))
                .toList();
        assertThat(flow(rated, 1)).isCloseTo(36.06, within(0.02));
        assertThat(flow(rated, 12.2 / 13.8)).isCloseTo(25.68, within(0.02));
        assertThat(flow(rated, 13.05 / 13.8)).isCloseTo(31.48, within(0.03));
    }

    /** By halving: what it gives against 49 psi, gph. */
    private static double flow(List<Pump.CurvePoint> rated, double share) {
        List<Pump.CurvePoint> curve = WhichPump.at(rated, new WhichPump.Speed(share));
        double low = 0;
        double high = 54;
        for (int i = 0; i < 60; i++) {
            double q = (low + high) / 2;
            if (WhichPump.at(curve, Unit.GALLON_PER_HOUR.toSi(q)) > Unit.PSI.toSi(49)) {
                low = q;
            } else {
                high = q;
            }
        }
        return low;
    }

    /** A pump of 125 to 150 % of full power returns 20 to 33.33 %, 52 to 60 % at 60 % power. Worked example. */
    @ParameterizedTest
    @CsvSource({"1, 1.25, 20.00", "1, 1.5, 33.33", "0.6, 1.25, 52.00", "0.6, 1.5, 60.00", "2, 1.5, 0"})
    void what_is_not_burned_comes_back(double burn, double moved, double percent) {
        assertThat(100 * WhichPump.share(burn, moved)).isCloseTo(percent, within(0.005));
    }

    /** In a layout with a return more comes back the less is burned; without one nothing does. */
    @Test
    void the_less_is_burned_the_more_returns() {
        Assessment a = Assessment.of(ration.record.project.Pattern.TWO_PUMPS_PARALLEL.project());
        Map<Power, Double> returned = WhichPump.returned(
                a,
                a.project().system().all(Pump.class).findFirst().orElseThrow().id());
        assertThat(returned.get(Power.IDLE)).isGreaterThan(returned.get(Power.CRUISE));
        assertThat(returned.get(Power.CRUISE)).isGreaterThan(returned.get(Power.TAKE_OFF));
        assertThat(returned.get(Power.TAKE_OFF)).isBetween(0.0, 1.0);
    }

    @Test
    void a_table_of_candidates_is_read_and_what_cannot_be_is_told() {
        List<Candidates.Candidate> all = Candidates.read(
                """
                # invented
                pump,flow,pressure
                Small,0,4.5
                Small,30 gph,2
                Large,120 L/h,40 kPa
                Large,0,50 kPa
                """);
        assertThat(all).extracting(Candidates.Candidate::name).containsExactly("Small", "Large");
        assertThat(all.get(1).curve().get(0).pressure().si()).isCloseTo(50_000, within(1e-6));
        assertThatThrownBy(() -> Candidates.read("pump,flow\nA,3"))
                .hasMessageContaining("no column \u201cpressure\u201d");
        assertThatThrownBy(() -> Candidates.read("pump,flow,pressure\nA,3,high"))
                .hasMessageContaining("Row 1, pressure");
        assertThatThrownBy(() -> Candidates.read("pump,flow,pressure\nA,3,4\nA,9,5"))
                .hasMessageContaining("more flow and no more pressure");
        assertThatThrownBy(() -> Candidates.read("pump,flow,pressure\n")).hasMessageContaining("no pump");
    }
}
