package ration.answer.fault;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import ration.Samples;
import ration.Systems;
import ration.aircraft.condition.Condition;
import ration.aircraft.condition.Fault;
import ration.aircraft.condition.Power;
import ration.answer.assess.Assessment;
import ration.answer.assess.FaultCases;
import ration.base.quantity.UnitSystem;
import ration.base.task.Task;
import ration.verdict.check.Verdict;

/** What waits unseen, and what then stops the engine: a system whose pairs are known, and pairs solved anew. */
class HiddenSearchTest {

    private static final Map<String, HiddenSearch> SEARCHED = new ConcurrentHashMap<>();

    private static HiddenSearch search(String demo) {
        return SEARCHED.computeIfAbsent(
                demo, d -> HiddenSearch.of(Systems.assessed(d), Systems.faults(d), UnitSystem.US, Task.QUIET)
                        .orElseThrow());
    }

    private static Map<String, List<String>> stops(HiddenSearch s) {
        return s.hidden().stream()
                .collect(Collectors.toMap(
                        h -> h.fault().kind() + " " + h.fault().item() + " "
                                + h.fault().port(),
                        h -> h.stops().stream()
                                .map(f -> f.fault().kind() + " " + f.fault().item() + " "
                                        + f.fault().port())
                                .sorted()
                                .toList()));
    }

    /**
     * Two pumps side by side, a check each, a header behind: the dead one waits, the other's death stops the engine
     * once the header is empty; a check stuck shut is as good as its pump dead, one stuck open lets the other's flow
     * back.
     */
    @Test
    void a_dead_pump_waits_for_the_other() {
        HiddenSearch brindle = search("brindle-a2");
        Map<String, List<String>> stops = stops(brindle);
        assertThat(stops.get("PUMP_DEAD standby ")).contains("PUMP_DEAD lift ", "CHECK_STUCK_SHUT block in");
        assertThat(stops.get("PUMP_DEAD lift ")).contains("PUMP_DEAD standby ", "CHECK_STUCK_SHUT block in-2");
        assertThat(stops.get("CHECK_STUCK_SHUT block in")).contains("PUMP_DEAD standby ");
        assertThat(stops.get("CHECK_STUCK_OPEN block in")).contains("PUMP_DEAD lift ");
        HiddenSearch.Hidden dead = brindle.hidden().stream()
                .filter(h -> h.fault().kind() == Fault.Kind.PUMP_DEAD)
                .findFirst()
                .orElseThrow();
        assertThat(dead.verdict()).isEqualTo(Verdict.FAILS);
        assertThat(dead.finder()).isEqualTo(Finder.EACH_PUMP_ALONE);
        assertThat(dead.worst().orElseThrow().minutes()).isBetween(5.0, 20.0);
        assertThat(brindle.pairs()).isGreaterThan(500);
        assertThat(brindle.beyond()).isNotEmpty();
    }

    /** One tank, one line by gravity: nothing that waits makes one more failure worse. */
    @Test
    void where_nothing_stands_by_nothing_waits_that_stops_the_engine() {
        assertThat(search("corrie-b1").hidden()).allMatch(h -> h.stops().isEmpty());
        assertThat(HiddenSearch.of(
                        Systems.assessedCorrie(),
                        Systems.faults("corrie-b1"),
                        UnitSystem.US,
                        new Task(done -> {}, () -> true)))
                .isEmpty();
    }

    /**
     * Pairs solved anew, one network each: where a pair stops the engine at once, no handle and no power brings the
     * demand; where it is met, the demand arrives with both in.
     */
    @Test
    void pairs_are_what_the_plain_way_says() {
        // the Tansy's pairs, some of which stop at once, in the long build
        String demo = Samples.of(0, 1) == 1 ? "tansy-l3" : "brindle-a2";
        Assessment a = Systems.assessed(demo);
        HiddenSearch found = search(demo);
        List<Condition> governing = found.hidden().stream()
                .flatMap(h -> h.stops().stream())
                .map(f -> f.condition())
                .toList();
        assertThat(governing).isNotEmpty();
        for (HiddenSearch.Hidden h : found.hidden()) {
            for (FaultAnswer s : h.stops()) {
                if (s.minutes() > 0) {
                    continue;
                }
                assertThat(s.condition().faults().all()).contains(h.fault(), s.fault());
                assertThat(arrives(a, s.condition())).as("as it stands").isLessThan(1);
            }
        }
        List<Fault> met = new ArrayList<>(Systems.faults(demo).stream()
                .filter(f -> f.verdict() == Verdict.HOLDS && f.fault().kind() != Fault.Kind.FUEL_VOLATILE)
                .map(FaultAnswer::fault)
                .toList());
        Collections.shuffle(met, new Random(5));
        int tried = 0;
        for (int i = 0; i + 1 < met.size() && tried < Samples.of(12, 200); i++) {
            Fault h = met.get(i);
            Fault s = met.get(i + 1);
            if (h.item().equals(s.item())) {
                continue;
            }
            tried++;
            FaultAnswer pair = HiddenSearch.pair(a, h, s);
            if (pair.verdict() == Verdict.HOLDS) {
                assertThat(arrives(a, pair.condition())).as(h + " and " + s).isGreaterThanOrEqualTo(1);
            } else if (pair.group() == FaultAnswer.Group.NO_WAY_OUT && pair.minutes() == 0) {
                for (Condition c : FaultCases.handles(a, pair.condition())) {
                    assertThat(arrives(a, c.with(Power.TAKE_OFF)))
                            .as(h + " and " + s)
                            .isLessThan(1);
                }
            }
        }
        assertThat(tried).isPositive();
    }

    private static double arrives(Assessment a, Condition c) {
        return a.look(c).map(FaultCases::arrives).orElse(0.0);
    }

    @Test
    void every_way_to_fail_has_a_check_that_finds_it() {
        for (Fault.Kind k : Fault.Kind.values()) {
            assertThat(Finder.of(k).words()).isNotBlank();
        }
        assertThat(Optional.of(Finder.of(Fault.Kind.VENT_SHUT))).contains(Finder.VENTS_BLOWN);
    }
}
