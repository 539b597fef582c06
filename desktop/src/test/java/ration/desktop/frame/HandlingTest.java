package ration.desktop.frame;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Set;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import ration.aircraft.condition.Attitude;
import ration.aircraft.condition.Condition;
import ration.aircraft.condition.Fault;
import ration.aircraft.model.Item;
import ration.aircraft.model.Pump;
import ration.aircraft.model.Run;
import ration.aircraft.model.Selector;
import ration.answer.assess.Assessment;
import ration.answer.assess.StartingCase;
import ration.record.file.ProjectFile;
import ration.record.file.ProjectFileException;
import ration.record.project.Project;

/** What the hands on the conditions bar make of a case, without a display. */
class HandlingTest {

    private static Handling of(String demo) throws ProjectFileException {
        Project p = ProjectFile.demo(demo);
        return new Handling(p, StartingCase.of(p));
    }

    private static Handling at(Handling h, Condition c) {
        return new Handling(h.project(), c);
    }

    @Test
    void angles_of_a_preset_are_called_by_its_name_and_others_are_set_by_hand() throws ProjectFileException {
        Handling h = of("corrie-b1");
        for (Attitude a : h.project().brief().envelope().attitudes()) {
            assertThat(h.attitude(a.pitchRad(), a.tiltRad())).isEqualTo(a);
        }
        assertThat(h.attitude(0.123, -0.05).name()).isEqualTo("Set by hand");
    }

    /** Statics of a level turn: the load is 1/cos of the bank, and the fuel keeps its level. */
    @Test
    void a_turn_makes_the_fuel_heavier_and_strands_none() throws ProjectFileException {
        Handling h = of("corrie-b1");
        Handling level = at(h, h.now().with(h.nudged(12, 0)));
        Attitude turning = level.turning(Math.toRadians(60));
        assertThat(turning.load()).isCloseTo(2, Offset.offset(1e-9));
        assertThat(turning.tiltRad()).isZero();
        assertThat(turning.pitchDegrees()).isCloseTo(12, Offset.offset(1e-9));
        Handling there = at(h, h.now().with(turning));
        assertThat(Math.toDegrees(there.bank())).isCloseTo(60, Offset.offset(1e-6));
        assertThat(there.nudged(-1, 2).load()).as("a slip in the turn").isEqualTo(turning.load());
        assertThat(there.turning(0).load()).isEqualTo(1);
        assertThat(at(h, h.now().with(h.project().brief().envelope().attitudes().get(2)))
                        .bank())
                .isZero();
    }

    @ParameterizedTest
    @CsvSource({"1, 0", "-1, 0.5", "59.9, -59.9", "60, 60", "61, -75", "-200, 200", "0, 0"})
    void a_nudge_moves_by_what_it_says_and_never_past_the_limits(double pitch, double tilt)
            throws ProjectFileException {
        Attitude a = of("corrie-b1").nudged(pitch, tilt);
        assertThat(Math.toDegrees(a.pitchRad())).isCloseTo(Math.max(-60, Math.min(60, pitch)), Offset.offset(1e-4));
        assertThat(Math.toDegrees(a.tiltRad())).isCloseTo(Math.max(-60, Math.min(60, tilt)), Offset.offset(1e-4));
    }

    @Test
    void a_selector_turned_on_goes_through_all_its_positions_and_comes_back() throws ProjectFileException {
        Handling h = of("tansy-l3");
        Selector s = h.project().system().selectors().get(0);
        Condition c = h.now();
        for (int i = 1; i <= s.positions().size(); i++) {
            c = at(h, c).operated(s);
            assertThat(c.positions())
                    .containsEntry(
                            s.id(), s.positions().get(i % s.positions().size()).name());
        }
    }

    @Test
    void what_has_a_switch_is_turned_off_and_on_and_what_has_none_stays() throws ProjectFileException {
        Handling h = of("tansy-l3");
        assertThat(h.switchable()).isNotEmpty().allSatisfy(item -> {
            assertThat(h.on(item)).isTrue();
            Condition off = h.operated(item);
            assertThat(at(h, off).on(item)).isFalse();
            assertThat(at(h, off).operated(item)).isEqualTo(h.now());
        });
        assertThat(h.switchable())
                .extracting(Item::id)
                .containsAll(h.project().system().all(Pump.class).map(Pump::id).toList());
        Run run = h.project().system().runs().get(0);
        assertThat(h.operated(run)).isSameAs(h.now());
    }

    @Test
    void what_has_failed_is_told_part_by_part() throws ProjectFileException {
        Handling h = of("tansy-l3");
        assertThat(h.failed()).isEmpty();
        Pump pump = h.project().system().all(Pump.class).findFirst().orElseThrow();
        Handling failed = at(h, h.now().with(new Fault(Fault.Kind.PUMP_DEAD, pump.id(), 1)));
        assertThat(failed.failed()).isEqualTo(pump.name() + " " + Fault.Kind.PUMP_DEAD.words());
    }

    @ParameterizedTest
    @CsvSource({"12, +12.0\u00b0", "0, 0.0\u00b0", "-3.25, \u22123.3\u00b0", "0.04, 0.0\u00b0", "0.05, +0.1\u00b0"})
    void degrees_have_their_sign(double degrees, String words) {
        assertThat(Handling.signed(degrees)).isEqualTo(words);
    }

    @Test
    void a_load_case_is_named_over_the_attitudes() throws ProjectFileException {
        Handling h = of("corrie-b1");
        assertThat(h.attitudeTitle()).isEqualTo("Attitude");
        Assessment a = Assessment.of(h.project());
        Set<String> titles = new java.util.HashSet<>();
        a.cases().stream()
                .filter(c -> c.condition().attitude().load() != 1)
                .forEach(c -> titles.add(at(h, c.condition()).attitudeTitle()));
        assertThat(titles).isNotEmpty().doesNotContain("Attitude");
    }
}
