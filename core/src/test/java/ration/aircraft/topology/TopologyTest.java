package ration.aircraft.topology;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import ration.Systems;
import ration.aircraft.condition.Condition;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Header;
import ration.aircraft.model.Item;
import ration.aircraft.model.JetPump;
import ration.aircraft.model.PortRef;
import ration.aircraft.model.Run;
import ration.aircraft.topology.Passing.Way;
import ration.answer.assess.Assessment;
import ration.answer.assess.CaseAnswer;
import ration.physics.flow.FlowAnswer;
import ration.record.project.Pattern;
import ration.record.project.Project;

/**
 * The graph of ports against the network that computes pressures on the same layout, and against layouts seen by eye.
 */
class TopologyTest {

    static Stream<Project> layouts() {
        return Stream.concat(
                Stream.of("corrie-b1", "brindle-a2", "tansy-l3").map(Systems::demo),
                Arrays.stream(Pattern.values()).map(Pattern::project));
    }

    /** As the engine runs: checks hold, standing pumps pass as they are built. */
    private static Passing running(Condition c) {
        return p -> switch (p.what()) {
            case TANK -> Way.NONE;
            case SHUT_OFF -> c.handles().shutValves().contains(p.from().item()) ? Way.NONE : Way.BOTH;
            case POSITION -> p.position().equals(c.positions().get(p.from().item())) ? Way.BOTH : Way.NONE;
            case CHECK, BYPASS, REDUCER, CHECKED_PUMP -> Way.FORWARD;
            case TIGHT_PUMP -> c.stopped().contains(p.from().item()) ? Way.NONE : Way.FORWARD;
            case FREE_PUMP -> c.stopped().contains(p.from().item()) ? Way.BOTH : Way.FORWARD;
            case BORE, HEADER, RAIL -> Way.BOTH;
        };
    }

    /** A run that carries fuel carries it from a port that a tank's fuel can come to. */
    @ParameterizedTest
    @MethodSource("layouts")
    void whereFuelFlowsItCanCome(Project project) {
        FuelSystem system = project.system();
        Topology topology = Topology.of(system);
        List<PortRef> outlets = system.tanks().stream()
                .flatMap(t -> t.outlets().stream().map(o -> new PortRef(t.id(), o.name())))
                .toList();
        int flowing = 0;
        for (CaseAnswer c : Assessment.of(project).cases()) {
            if (!c.demand().usable()) {
                continue;
            }
            Set<PortRef> reached = topology.reached(outlets, running(c.condition()));
            for (Run run : system.runs()) {
                double flow = c.demand().flow(run.id());
                if (Math.abs(flow) > FlowAnswer.NO_FLOW) {
                    assertThat(reached)
                            .as(run.name() + " in " + c.condition())
                            .contains(flow > 0 ? run.from() : run.to());
                    flowing++;
                }
            }
        }
        assertThat(flowing).isPositive();
    }

    /** On one tank alone no other gives or takes; on a position that joins them the tanks are found joined. */
    @ParameterizedTest
    @MethodSource("layouts")
    void tanksThatTradeFuelAreFoundJoined(Project project) {
        FuelSystem system = project.system();
        Topology topology = Topology.of(system);
        for (CaseAnswer c : Assessment.of(project).cases()) {
            var giving = system.tanks().stream()
                    .filter(t -> c.demand().usable() && c.demand().outflow(t) > 1e-8)
                    .toList();
            if (giving.size() > 1 && system.all(Header.class).findAny().isEmpty()) {
                assertThat(topology.joined(
                                giving.get(0), Passing.untrusted(c.condition().positions(), Set.of())))
                        .contains(giving.get(1));
            }
        }
    }

    /** Whatever is shut in, no way leads from it to a vented place: asked from the other end. */
    @ParameterizedTest
    @MethodSource("layouts")
    void nothingShutInCanReachTheAir(Project project) {
        FuelSystem system = project.system();
        Topology topology = Topology.of(system);
        Set<PortRef> vented = new HashSet<>(system.openPorts());
        system.tanks().forEach(t -> t.ports().forEach(p -> vented.add(new PortRef(t.id(), p))));
        Passing away = Passing.putAway(Map.of());
        Set<String> shut = new HashSet<>();
        for (List<Run> part : topology.shutIn(vented, away)) {
            for (Run run : part) {
                assertThat(topology.reached(List.of(run.from(), run.to()), away))
                        .as(run.name())
                        .doesNotContainAnyElementsOf(vented);
                assertThat(shut.add(run.id())).as("in one volume only").isTrue();
            }
        }
        system.runs().stream().filter(r -> !shut.contains(r.id())).forEach(r -> assertThat(
                        topology.reached(List.of(r.from(), r.to()), away))
                .as(r.name())
                .containsAnyElementsOf(vented));
    }

    /** A path from a tank never steps back, and passes nothing that only leads back to a tank. */
    @ParameterizedTest
    @MethodSource("layouts")
    void thePathRisesInRank(Project project) {
        Topology topology = Topology.of(project.system());
        Map<String, Integer> ranks = topology.ranks();
        Set<String> back = topology.returning();
        for (CaseAnswer c : Assessment.of(project).cases()) {
            List<String> path = c.demand().path().stream()
                    .map(s -> s.item())
                    .filter(i -> project.system()
                            .item(i)
                            .flatMap(x -> x.only(Run.class))
                            .isEmpty())
                    .toList();
            if (path.isEmpty() || project.system().tanks().stream().noneMatch(t -> t.id().equals(path.get(0)))) {
                continue;
            }
            for (int i = 1; i < path.size(); i++) {
                assertThat(ranks.get(path.get(i))).as(path.toString()).isGreaterThan(ranks.get(path.get(i - 1)));
            }
            // a jet pump lies on both: what comes back drives what goes on
            assertThat(path)
                    .noneMatch(i -> back.contains(i)
                            && project.system()
                                    .item(i)
                                    .flatMap(x -> x.only(JetPump.class))
                                    .isEmpty());
        }
    }

    @Test
    void aTeeAndASelectorSeenByEye() {
        FuelSystem s = Systems.twoTanks(20, 20);
        Topology topology = Topology.of(s);
        PortRef left = Systems.port("left.outlet");
        assertThat(topology.onward(left))
                .map(PortRef::toString)
                .containsExactly("left.outlet", "selector.left", "selector.out", "carburettor.in");
        assertThat(topology.reached(List.of(left), Passing.untrusted(Map.of("selector", "RIGHT"), Set.of())))
                .map(PortRef::toString)
                .containsExactly("left.outlet", "selector.left");
        assertThat(topology.upstream("carburettor", i -> false))
                .containsExactly("carburettor", "selector", "left", "right");
        assertThat(topology.downstream("left")).containsExactly("left", "selector", "carburettor");
        assertThat(topology.fed(s.tanks().get(1))).hasValue("selector");
        assertThat(topology.meeting("selector")).hasSize(3);
        assertThat(topology.arriving("selector")).extracting(Item::id).containsExactly("r1", "r2");
    }

    /**
     * No kind is left without its inside, but the one that has none: every port of every other kind lies on a passage.
     */
    @Test
    void everyPortLiesOnAPassage() {
        List<String> bare = new ArrayList<>();
        for (Project project : layouts().toList()) {
            for (Item item : project.system().items()) {
                Set<String> joined = new HashSet<>();
                Passages.of(item).forEach(p -> joined.addAll(List.of(p.from().port(), p.to().port())));
                boolean one =
                        item.ports().size() < 2 || project.system().tanks().contains(item);
                item.ports().stream()
                        .filter(p -> !one && !joined.contains(p))
                        .forEach(p -> bare.add(item.kind() + " " + p));
            }
        }
        assertThat(bare).isEmpty();
    }
}
