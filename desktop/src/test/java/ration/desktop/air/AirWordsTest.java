package ration.desktop.air;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import ration.aircraft.model.Item;
import ration.aircraft.model.Tank;
import ration.aircraft.model.VentPlenum;
import ration.answer.assess.AirAnswer;
import ration.answer.assess.Assessment;
import ration.base.quantity.UnitSystem;
import ration.record.file.ProjectFile;
import ration.record.file.ProjectFileException;
import ration.record.project.Project;
import ration.verdict.check.Check;

/** What the card of Air & water says, without a display. */
class AirWordsTest {

    @ParameterizedTest
    @CsvSource({"corrie-b1, US", "tansy-l3, METRIC", "brindle-a2, US", "collector-sump, METRIC"})
    void every_vent_is_told_with_its_air_and_its_cost_in_the_units_asked_for(String demo, UnitSystem units)
            throws ProjectFileException {
        Assessment a = Assessment.of(ProjectFile.demo(demo));
        AirWords words = new AirWords(a, Set.of(), units);
        Project p = a.project();
        assertThat(words.vents())
                .extracting(v -> v.item().id())
                .containsExactlyElementsOf(java.util.stream.Stream.concat(
                                a.air().stream().map(x -> x.tank().id()),
                                p.system().all(VentPlenum.class).map(Item::id))
                        .toList());
        for (AirAnswer x : a.air()) {
            AirWords.Vent v = words.vents().stream()
                    .filter(w -> w.item().id().equals(x.tank().id()))
                    .findFirst()
                    .orElseThrow();
            assertThat(v.said()).isEqualTo(x.line().isPresent());
            assertThat(v.rows().size()).isEqualTo(x.line().isEmpty() ? 0 : x.returning() > 0 ? 4 : 3);
            assertThat(v.rows()).allSatisfy(r -> {
                assertThat(r.air()).contains(units == UnitSystem.US ? "gph" : "L/h");
                assertThat(r.cost()).contains(units == UnitSystem.US ? "inH2O" : "Pa");
            });
            assertThat(v.blocked()).isEmpty();
        }
    }

    @Test
    void a_blocked_vent_says_what_stops_and_only_that_one() throws ProjectFileException {
        Assessment a = Assessment.of(ProjectFile.demo("tansy-l3"));
        Tank tank = a.project().system().tanks().get(0);
        AirWords words = new AirWords(a, Set.of(tank.id()), UnitSystem.US);
        for (AirWords.Vent v : words.vents()) {
            Optional<String> found = a.findings().stream()
                    .filter(f -> f.check() == Check.AIR_BLOCKED
                            && f.item().equals(v.item().id()))
                    .findFirst()
                    .map(f -> f.detail().in(UnitSystem.US));
            assertThat(v.blocked())
                    .isEqualTo(
                            v.item().id().equals(tank.id())
                                    ? found.or(() -> Optional.of("Effect not computed."))
                                    : Optional.empty());
        }
    }

    @Test
    void nothing_laid_out_says_so_and_holds_nothing() {
        AirWords none = new AirWords(Assessment.of(Project.empty()), Set.of(), UnitSystem.US);
        assertThat(none.vents()).isEmpty();
        assertThat(none.samples()).containsExactly("No drain in the layout.");
        assertThat(none.findings()).isEmpty();
    }

    @Test
    void a_vent_nobody_described_costs_nothing_known_and_a_blocked_one_of_an_unknown_system_is_not_computed()
            throws ProjectFileException {
        Project p = ProjectFile.demo("corrie-b1");
        Tank tank = p.system().tanks().get(0);
        Assessment a =
                Assessment.of(p.with(p.system().replace(tank.with(tank.fitout().withVent(Optional.empty())))));
        AirWords words = new AirWords(a, Set.of(), UnitSystem.US);
        AirWords.Vent v = words.vents().stream()
                .filter(x -> x.item().id().equals(tank.id()))
                .findFirst()
                .orElseThrow();
        assertThat(v.said()).isFalse();
        assertThat(v.rows()).isEmpty();
    }

    @Test
    void drains_are_numbered_from_one() throws ProjectFileException {
        AirWords words = new AirWords(Assessment.of(ProjectFile.demo("corrie-b1")), Set.of(), UnitSystem.US);
        assertThat(words.samples()).isNotEmpty();
        for (int i = 0; i < words.samples().size(); i++) {
            assertThat(words.samples().get(i)).startsWith(i + 1 + "  ");
        }
    }
}
