package ration.answer.assess;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import ration.Systems;
import ration.aircraft.model.Bulkhead;
import ration.aircraft.model.Firewall;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Item;
import ration.aircraft.model.Place;
import ration.aircraft.model.Rated;
import ration.aircraft.model.ShutOff;
import ration.aircraft.model.Tag;
import ration.base.quantity.UnitSystem;
import ration.record.project.Project;
import ration.verdict.check.Check;
import ration.verdict.check.Finding;
import ration.verdict.check.Verdict;
import ration.verdict.standard.Standard;

/** Checks that fail, and those of the firewall. */
class ChecksTest {

    private static final Finding GOOD =
            new Finding(Check.FLOW_TRANSITION, "r1", "Good", "r1", Verdict.HOLDS, Finding.MET, u -> "", "", "");

    /** A group that fails is Not shown; what the others say stands, in the order of the groups. */
    @Test
    void aGroupThatFailsIsNotShownAndTheOthersStand() {
        List<Checks.Group> groups = new ArrayList<>();
        for (int i = 0; i < 40; i++) {
            boolean fails = i % 3 == 0;
            int which = i;
            groups.add(new Checks.Group(i % 2 == 0 ? Check.FLOW_CHECKED : Check.TANKS_CHECKED, () -> {
                if (fails && which % 2 == 0) {
                    throw new IllegalStateException("broken");
                }
                if (fails) {
                    throw new StackOverflowError();
                }
                return List.of(GOOD);
            }));
        }
        List<Finding> found = Checks.of(groups);
        assertThat(found).hasSize(40);
        for (int i = 0; i < 40; i++) {
            Finding f = found.get(i);
            assertThat(f.verdict()).isEqualTo(i % 3 == 0 ? Verdict.NOT_SHOWN : Verdict.HOLDS);
            if (i % 3 == 0) {
                assertThat(f.check()).isEqualTo(groups.get(i).fails());
                assertThat(f.title()).isEqualTo(f.check().title());
                assertThat(f.detail().in(UnitSystem.US)).contains("unknown").contains("Undo");
            }
        }
    }

    /** An answer that fails is thrown to whoever rests on it, and to nobody else. */
    @Test
    void anAnswerThatFailsTakesNothingWithIt() {
        Tried<String> failed = Tried.of(() -> {
            throw new StackOverflowError();
        });
        assertThat(failed.or("none")).isEqualTo("none");
        Finding f = Checks.of(List.of(
                        new Checks.Group(Check.VAPOR_CHECKED, () -> List.of(GOOD.worse(Verdict.HOLDS, failed.get())))))
                .get(0);
        assertThat(f.check()).isEqualTo(Check.VAPOR_CHECKED);
        assertThat(f.verdict()).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(Tried.of(() -> "good").or("none")).isEqualTo("good");
    }

    /** No group of a whole assessment, of a blocked one or of an empty sheet fails unheard. */
    @Test
    void noGroupFailsOnWhatIsUsual() {
        FuelSystem corrie = Systems.corrie().system();
        for (Project p : List.of(
                Systems.corrie(),
                Project.empty(),
                Systems.corrie().with(corrie.minus(corrie.tanks().get(0).id())))) {
            assertThat(Assessment.of(p).findings())
                    .extracting(Finding::check)
                    .doesNotContain(
                            Check.FLOW_CHECKED,
                            Check.PRESSURES_CHECKED,
                            Check.TANKS_CHECKED,
                            Check.FIREWALL_CHECKED,
                            Check.BUILD_CHECKED,
                            Check.VAPOR_CHECKED,
                            Check.AIR_CHECKED,
                            Check.PROOF_CHECKED);
        }
    }

    /** The worst comes first: Short, Not shown, Thin, Holds. */
    @Test
    void findingsStandWorstFirst() {
        assertThat(Systems.assessedCorrie().findings()).isSortedAccordingTo(Checks.WORST_FIRST);
        assertThat(Assessment.of(Project.empty()).findings()).isSortedAccordingTo(Checks.WORST_FIRST);
    }

    private static Optional<Firewall> wall(double station) {
        return Optional.of(new Firewall(Systems.in(station), Systems.in(30), Systems.in(-10)));
    }

    private static Verdict shutOffAt(double station, double wall, double engine) {
        FuelSystem corrie = Systems.corrie().system();
        List<Item> items = new ArrayList<>(corrie.items().stream()
                .filter(i -> i.only(ration.aircraft.model.EngineInlet.class).isPresent())
                .map(i -> (Item) i.only(ration.aircraft.model.EngineInlet.class)
                        .orElseThrow()
                        .with(new Tag(i.id(), i.name(), Place.inches(engine, 0, 0))))
                .toList());
        items.add(new ShutOff(new Tag("valve", "Valve", Place.inches(station, 0, 0)), Rated.of(1, 0, "")));
        FuelSystem system = new FuelSystem(items, wall(wall));
        return FirewallChecks.of(system, Standard.PART_23).stream()
                .filter(f -> f.check() == Check.BUILD_SHUT_OFF)
                .findFirst()
                .orElseThrow()
                .verdict();
    }

    /**
     * 14 CFR 23.995(b) (from memory): no shut-off on the engine side of the firewall, whichever way the engine faces.
     */
    @ParameterizedTest
    @CsvSource({
        "50, 38, 20, HOLDS",
        "30, 38, 20, FAILS",
        "38, 38, 20, HOLDS",
        "84, 112, 130, HOLDS",
        "120, 112, 130, FAILS"
    })
    void aShutOffStandsOnTheCabinSide(double station, double wall, double engine, Verdict verdict) {
        assertThat(shutOffAt(station, wall, engine)).isEqualTo(verdict);
    }

    /** A bulkhead fitting sits in the wall; common practice, no source. */
    @ParameterizedTest
    @CsvSource({"38, HOLDS", "44, FAILS"})
    void aBulkheadFittingSitsInTheWall(double station, Verdict verdict) {
        FuelSystem system = new FuelSystem(
                List.of(new Bulkhead(new Tag("through", "Through", Place.inches(station, 0, 0)), Rated.of(1, 0, ""))),
                wall(38));
        assertThat(FirewallChecks.of(system, Standard.PART_23)).singleElement().satisfies(f -> {
            assertThat(f.verdict()).isEqualTo(verdict);
            assertThat(f.remedy().isEmpty()).isEqualTo(verdict == Verdict.HOLDS);
        });
        assertThat(FirewallChecks.of(new FuelSystem(system.items(), Optional.empty()), Standard.PART_23))
                .as("without a wall nothing is asked")
                .isEmpty();
    }
}
