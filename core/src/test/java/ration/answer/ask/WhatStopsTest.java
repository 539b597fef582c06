package ration.answer.ask;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import ration.Samples;
import ration.Systems;
import ration.aircraft.condition.Condition;
import ration.aircraft.condition.Fault;
import ration.aircraft.condition.Faults;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Pump;
import ration.aircraft.model.Run;
import ration.aircraft.model.Selector;
import ration.answer.assess.Assessment;
import ration.answer.assess.StartingCase;
import ration.physics.flow.FlowAnswer;
import ration.physics.flow.FlowQuestion;
import ration.record.file.ProjectFile;
import ration.record.file.ProjectFileException;
import ration.record.project.Pattern;
import ration.record.project.Project;

/** Which valve stops which leak: against the network, which knows nothing of ways and sets. */
class WhatStopsTest {

    private static final double HOLE = 0.005;
    private static final double NOTHING = 1e-9;

    static List<Project> projects() throws ProjectFileException {
        List<Project> all =
                new ArrayList<>(List.of(Systems.corrie(), Systems.demo("tansy-l3"), Systems.demo("brindle-a2")));
        for (String s : ProjectFile.systems()) {
            all.add(ProjectFile.demo(s));
        }
        for (Pattern p : Pattern.values()) {
            all.add(p.project());
        }
        return Samples.some(all, 8);
    }

    /**
     * What runs out of either end of a line through a hole, pumps off, these valves shut, m3/s; the most over
     * positions.
     */
    private static double runsOut(Assessment a, Run run, Set<String> shut) {
        FuelSystem s = a.project().system();
        Set<String> stopped = s.all(Pump.class).map(Pump::id).collect(Collectors.toSet());
        List<Map<String, String>> positions = new ArrayList<>(List.of(Map.of()));
        for (Selector sel : s.selectors()) {
            List<Map<String, String>> next = new ArrayList<>();
            for (Selector.Position p : sel.positions()) {
                if (p.off() == shut.contains(sel.id())) {
                    for (Map<String, String> before : positions) {
                        Map<String, String> more = new LinkedHashMap<>(before);
                        more.put(sel.id(), p.name());
                        next.add(more);
                    }
                }
            }
            positions = next;
        }
        Condition start = StartingCase.of(a.project());
        Set<String> valves = new HashSet<>(shut);
        valves.removeIf(v -> s.selectors().stream().anyMatch(x -> x.id().equals(v)));
        double most = 0;
        for (Map<String, String> p : positions) {
            for (String end : List.of("from", "to")) {
                Condition c = new Condition(start.attitude(), start.contents(), p, valves, stopped, start.fuelKelvin())
                        .with(new Faults(Set.of(new Fault(Fault.Kind.FUEL_LEAK, run.id(), end, HOLE))));
                FlowAnswer found = a.basis().orElseThrow().ask(c, new FlowQuestion.Capacity());
                assertThat(found.usable()).as(run.name() + found.reason()).isTrue();
                most = Math.max(most, found.leaks());
            }
        }
        return most;
    }

    /** Level, full, pumps off: with the valves shut that are said to stop a leak, nothing runs out of it. */
    @ParameterizedTest
    @MethodSource("projects")
    void what_is_said_to_stop_a_leak_stops_it(Project p) {
        Assessment a = Assessment.ahead(p, Optional.empty());
        WhatStops asked = WhatStops.of(p.system());
        for (Run run : p.system().runs()) {
            WhatStops.Leak leak = asked.leaks().get(run.id());
            for (String v : leak.alone()) {
                assertThat(runsOut(a, run, Set.of(v)))
                        .as(run.name() + " by " + v)
                        .isLessThan(NOTHING);
            }
            leak.together().ifPresent(t -> assertThat(runsOut(a, run, t))
                    .as(run.name() + " by " + t)
                    .isLessThan(NOTHING));
            if (leak.fed().isEmpty()) {
                assertThat(runsOut(a, run, Set.of())).as(run.name() + " dry").isLessThan(NOTHING);
            }
        }
    }

    /** The Corrie: the line from a tank to the selector is stopped by nothing, behind the selector by OFF. */
    @Test
    void the_line_before_a_valve_empties_its_tank_and_those_behind_it_do_not() {
        Project p = Systems.corrie();
        WhatStops asked = WhatStops.of(p.system());
        Selector s = p.system().selectors().get(0);
        Assessment a = Systems.assessedCorrie();
        for (Run r : p.system().runs()) {
            boolean before = r.to().item().equals(s.id());
            WhatStops.Leak leak = asked.leaks().get(r.id());
            assertThat(leak.stopped()).as(r.name()).isEqualTo(!before);
            if (before) {
                assertThat(leak.rest()).containsExactly(r.from().item());
                assertThat(runsOut(a, r, Set.of(s.id()))).isGreaterThan(1e-6);
                assertThat(asked.words(p.system(), r.id())).startsWith("no valve: ");
            } else {
                assertThat(leak.alone()).containsExactly(s.id());
                assertThat(asked.words(p.system(), r.id())).isEqualTo("shutting " + s.name());
            }
        }
        assertThat(asked.stops(s.id())).hasSize(2);
    }
}
