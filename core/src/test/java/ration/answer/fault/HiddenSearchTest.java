package ration.answer.fault;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
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
import ration.record.project.Project;
import ration.record.upkeep.Due;
import ration.record.upkeep.Life;
import ration.record.upkeep.Part;
import ration.record.upkeep.Upkeep;
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
    }

    /** Stopped before the first pair: what waits is told, nothing of it holds, and nothing is said to be harmless. */
    @Test
    void what_was_not_run_is_not_shown() {
        HiddenSearch stopped = HiddenSearch.of(
                        Systems.assessedCorrie(),
                        Systems.faults("corrie-b1"),
                        UnitSystem.US,
                        new Task(done -> {}, () -> true))
                .orElseThrow();
        assertThat(stopped.finished()).isFalse();
        assertThat(stopped.hidden()).isNotEmpty().allMatch(h -> h.verdict() == Verdict.NOT_SHOWN);
        assertThat(FaultSum.of(Systems.faults("corrie-b1"))
                        .with(stopped, Upkeep.NONE)
                        .worst())
                .isEqualTo(Verdict.FAILS);
        FaultAnswer held = Systems.faults("corrie-b1").stream()
                .filter(f -> f.verdict() == Verdict.HOLDS)
                .findFirst()
                .orElseThrow();
        FaultSum one = FaultSum.of(List.of(held));
        assertThat(one.worst()).isEqualTo(Verdict.HOLDS);
        assertThat(one.with(stopped, Upkeep.NONE).worst()).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(one.with(null, Upkeep.NONE).worst()).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(one.with(search("corrie-b1"), Upkeep.NONE).worst()).isEqualTo(Verdict.HOLDS);
    }

    /** A pair that was worked out with what its mirror image had solved is the pair asked by itself. */
    @Test
    void sharing_networks_changes_no_answer() {
        Assessment a = Systems.assessed("brindle-a2");
        List<Map.Entry<Fault, HiddenSearch.Pair>> all = new ArrayList<>();
        search("brindle-a2").hidden().forEach(h -> h.pairs().stream()
                .filter(p -> p.both().isPresent())
                .forEach(p -> all.add(Map.entry(h.fault(), p))));
        Collections.shuffle(all, new Random(11));
        for (Map.Entry<Fault, HiddenSearch.Pair> e : all.subList(0, Math.min(all.size(), Samples.of(40, all.size())))) {
            FaultAnswer shared = e.getValue().both().orElseThrow();
            FaultAnswer plain = HiddenSearch.pair(a, e.getKey(), e.getValue().second());
            assertThat(List.of(shared.group(), shared.where(), shared.seen().size(), shared.wayOut()))
                    .as(e.getKey() + " then " + e.getValue().second())
                    .isEqualTo(
                            List.of(plain.group(), plain.where(), plain.seen().size(), plain.wayOut()));
            assertThat(shared.minutes()).isEqualTo(plain.minutes());
            assertThat(shared.share()).isCloseTo(plain.share(), within(1e-9));
        }
    }

    /**
     * A degree that is seen, or that stops the engine alone, does not take the milder one with it that waits: a screen
     * clogged in part waits though a clogged one is no hidden failure.
     */
    @Test
    void the_worst_degree_that_still_waits_is_asked() {
        HiddenSearch brindle = search("brindle-a2");
        Map<Fault, FaultAnswer> single =
                Systems.faults("brindle-a2").stream().collect(Collectors.toMap(FaultAnswer::fault, f -> f));
        assertThat(brindle.hidden()).extracting(h -> h.fault()).anySatisfy(f -> {
            assertThat(f.kind()).isEqualTo(Fault.Kind.OUTLET_CLOGGED);
            assertThat(single.keySet())
                    .anyMatch(o -> o.kind() == f.kind()
                            && o.item().equals(f.item())
                            && o.severity() > f.severity()
                            && single.get(o).verdict() != Verdict.HOLDS);
        });
        assertThat(brindle.folded()).isPositive();
    }

    /** One act puts the checks where they are done; what they find is open no more, and the card has them. */
    @Test
    void a_check_closes_what_it_finds() {
        HiddenSearch brindle = search("brindle-a2");
        Project p = Systems.assessed("brindle-a2").project();
        List<HiddenSearch.Hidden> open = HiddenChecks.without(brindle, p.upkeep());
        assertThat(open).hasSameSizeAs(brindle.stopping()).hasSizeGreaterThan(5);
        List<HiddenSearch.Hidden> pumps =
                open.stream().filter(h -> h.finder() == Finder.EACH_PUMP_ALONE).toList();
        Project then = HiddenChecks.put(pumps).change().apply(p);
        assertThat(HiddenChecks.without(brindle, then.upkeep())).hasSize(open.size() - pumps.size());
        assertThat(then.upkeep().parts())
                .filteredOn(x -> x.life().ends() == Life.Ends.EACH_FLIGHT)
                .extracting(x -> x.name())
                .contains("Lift pump run alone", "Standby pump run alone");
        assertThat(Due.of(then.upkeep(), LocalDate.of(2026, 5, 1)))
                .filteredOn(d -> d.part().kind() == Part.Kind.PREFLIGHT)
                .as("that it was done is recorded nowhere")
                .allMatch(d -> d.verdict() == Verdict.NOT_SHOWN);
        assertThat(Due.falling(then.upkeep(), LocalDate.of(2026, 5, 1)))
                .noneMatch(d -> d.part().kind() == Part.Kind.PREFLIGHT);
        assertThat(HiddenChecks.put(pumps).change().apply(then).upkeep().parts())
                .as("once is enough")
                .hasSameSizeAs(then.upkeep().parts());
        Project done = HiddenChecks.put(open).change().apply(p);
        assertThat(FaultSum.of(Systems.faults("brindle-a2"))
                        .with(brindle, done.upkeep())
                        .hidden())
                .hasValue(0);
        assertThat(Due.of(done.upkeep(), LocalDate.of(2026, 5, 1)))
                .as("nobody has looked yet")
                .anyMatch(d -> d.verdict() == Verdict.NOT_SHOWN);
        assertThat(HiddenWords.best(brindle, p.upkeep())).contains("would find 4 of them", "not on the preflight card");
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
