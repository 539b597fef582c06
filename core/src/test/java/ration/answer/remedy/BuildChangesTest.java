package ration.answer.remedy;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import ration.Systems;
import ration.aircraft.model.CheckValve;
import ration.aircraft.model.Filter;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.GaugePort;
import ration.aircraft.model.Run;
import ration.aircraft.model.RunBuild;
import ration.aircraft.model.Selector;
import ration.aircraft.model.ShutOff;
import ration.aircraft.model.Strainer;
import ration.aircraft.model.Tank;
import ration.aircraft.plumbing.LineRules;
import ration.aircraft.plumbing.SealingPlaces;
import ration.answer.assess.Assessment;
import ration.base.geometry.Point3;
import ration.base.quantity.Measured;
import ration.base.quantity.Unit;
import ration.physics.breathing.LowPoints;
import ration.physics.breathing.SamplingCard;
import ration.physics.vapor.Trapped;
import ration.record.project.LayoutEdits;
import ration.record.project.NewItem;
import ration.record.project.Project;
import ration.verdict.check.Check;
import ration.verdict.check.Finding;
import ration.verdict.check.Verdict;

/** What the build of a layout lacks, put in: the finding it is of no longer Fails. */
class BuildChangesTest {

    private static List<Finding> failing(Assessment a, Check check) {
        return a.findings().stream()
                .filter(f -> f.check() == check && f.verdict() == Verdict.FAILS)
                .toList();
    }

    /** Ids of what Fails once a change is made. */
    private static Set<String> then(Assessment a, Change c) {
        Project changed = c.on().apply(a.project());
        return Assessment.bare(changed, Optional.of(a)).findings().stream()
                .filter(f -> f.verdict() == Verdict.FAILS)
                .map(Finding::id)
                .collect(Collectors.toSet());
    }

    @ParameterizedTest
    @CsvSource({
        "brindle-a2, AIR_LOW",
        "tansy-l3, AIR_LOW",
        "tansy-l3, VAPOR_TRAPPED",
        "tansy-l3, BUILD_JOINT",
        "corrie-b1, AIR_BLOCKED",
        "collector-sump, TANK_EXPANSION",
        "collector-sump, AIR_BLOCKED"
    })
    void aChangeCuresTheFindingItIsOf(String demo, Check check) {
        Assessment a = Systems.assessed(demo);
        List<Finding> failing = failing(a, check);
        assertThat(failing).isNotEmpty();
        for (Finding f : failing) {
            List<Change> changes = BuildChanges.of(a, f);
            assertThat(changes).as(f.title()).isNotEmpty();
            assertThat(changes.stream().anyMatch(c -> !then(a, c).contains(f.id())))
                    .as(f.title())
                    .isTrue();
        }
    }

    /** Feed and return side of one valve are two low points, and each gets its port. */
    @Test
    void aDrainPortIsSampledAndCanLeak() {
        Assessment a = Systems.assessed("tansy-l3");
        Finding low = failing(a, Check.AIR_LOW).get(0);
        Change c = BuildChanges.of(a, low).get(0);
        FuelSystem s = c.on().apply(a.project()).system();
        List<GaugePort> ports = s.all(GaugePort.class)
                .filter(g -> g.shows() == GaugePort.Shows.SAMPLE)
                .toList();
        assertThat(ports).isNotEmpty().hasSize((int) c.takes().get(0).amount());
        for (GaugePort g : ports) {
            assertThat(SamplingCard.of(s)).anyMatch(d -> d.item().equals(g.id()));
            assertThat(SealingPlaces.of(s)).anyMatch(p -> p.item().equals(g.id()));
            assertThat(LowPoints.of(s, new Point3(0, 0, 1)).points())
                    .noneMatch(p -> p.item().equals(g.id()) && p.kind() == LowPoints.Kind.UNDRAINED);
        }
    }

    /** Opens over all the pumps could make: while they run nothing goes through it. */
    @Test
    void aThermalReliefPassesNothingInFlight() {
        Assessment a = Systems.assessed("tansy-l3");
        Finding f = failing(a, Check.VAPOR_TRAPPED).get(0);
        for (Change c : BuildChanges.of(a, f)) {
            Project p = c.on().apply(a.project());
            assertThat(Trapped.of(p.system())).noneMatch(t -> t.runs().contains(f.item()));
            Assessment after = Assessment.bare(p, Optional.of(a));
            CheckValve valve = p.system()
                    .all(CheckValve.class)
                    .filter(v -> a.project().system().item(v.id()).isEmpty())
                    .findFirst()
                    .orElseThrow();
            after.cases().stream()
                    .filter(x -> x.judged() && x.answered())
                    .flatMap(x -> Stream.of(x.capacity(), x.demand()))
                    .filter(x -> x.usable())
                    .forEach(x -> p.system().runs().stream()
                            .filter(r -> r.from().item().equals(valve.id()))
                            .forEach(r -> assertThat(x.flow(r.id())).isCloseTo(0, Assertions.within(1e-12))));
        }
    }

    /** A piece cut for the whole run fits neither half. */
    @Test
    void whatIsAtHandIsAskedAnewWhereARunIsCut() {
        Project p = Systems.demo("brindle-a2");
        Run run = p.system().runs().stream()
                .filter(r -> r.build().supplied().isPresent())
                .findFirst()
                .orElseThrow();
        FuelSystem cut = LayoutEdits.add(p.system(), run.id(), LayoutEdits.Spot.IN_RUN, NewItem.TEST_PORT)
                .orElseThrow()
                .system();
        assertThat(cut.item(run.id())
                        .orElseThrow()
                        .only(Run.class)
                        .orElseThrow()
                        .build()
                        .supplied())
                .isEmpty();
    }

    @Test
    void aWayWithoutAValveGetsOne() {
        Project p = Systems.corrie();
        FuelSystem s = p.system();
        for (Selector x : s.selectors()) {
            s = s.replace(x.withPorts(
                    x.inlets(), x.positions().stream().filter(pos -> !pos.off()).toList()));
        }
        for (ShutOff x : s.all(ShutOff.class).toList()) {
            s = LayoutEdits.remove(s, x.id()).orElseThrow().system();
        }
        cured(p.with(s), Check.BUILD_SHUTS, "Shutoff valve in ");
    }

    @Test
    void aWayWithoutAFilterGetsOne() {
        Project p = Systems.corrie();
        FuelSystem s = p.system();
        for (Strainer x : s.all(Strainer.class).toList()) {
            s = LayoutEdits.remove(s, x.id()).orElseThrow().system();
        }
        for (Filter x : s.all(Filter.class).toList()) {
            s = LayoutEdits.remove(s, x.id()).orElseThrow().system();
        }
        for (Tank t : s.tanks()) {
            s = s.replace(t.withOutlets(t.outlets().stream()
                    .map(o -> o.withScreen(Optional.empty()).withFinger(Optional.empty()))
                    .toList()));
        }
        cured(p.with(s), Check.BUILD_FILTERED, "Filter in ");
    }

    /** One clamp halves a stretch at best: as many are counted as it takes. */
    @ParameterizedTest
    @CsvSource({"1.5, 1, Another clamp on ", "2, 1, Another clamp on ", "2.5, 2, 2 more clamps on ", "6, 5, 5 more"})
    void aStretchTooLongGetsItsClamps(double times, int clamps, String title) {
        Project p = Systems.corrie();
        Run run = p.system().runs().get(0);
        double most = LineRules.farthestSupports(run).orElseThrow();
        Measured stretch = Measured.of(Unit.INCH.fromSi(times * most), Unit.INCH, "tape");
        Project stretched = p.with(p.system()
                .change(
                        run.id(),
                        Run.class,
                        r -> r.with(r.build().with(RunBuild.Figure.SPACING, Optional.of(stretch)))));
        cured(stretched, Check.BUILD_SUPPORTS, title);
        Assessment a = Assessment.of(stretched);
        Change c = BuildChanges.of(a, failing(a, Check.BUILD_SUPPORTS).get(0)).get(0);
        assertThat(c.takes().get(0).amount()).isEqualTo(clamps);
        Run then = c.on().apply(stretched)
                .system()
                .item(run.id())
                .flatMap(i -> i.only(Run.class))
                .orElseThrow();
        assertThat(then.build().spacing().orElseThrow().si() * (clamps + 1))
                .isCloseTo(stretch.si(), Assertions.within(1e-9));
    }

    private static void cured(Project p, Check check, String title) {
        Assessment a = Assessment.of(p);
        Finding f = failing(a, check).get(0);
        List<Change> changes = BuildChanges.of(a, f);
        assertThat(changes).isNotEmpty().allMatch(c -> c.title().startsWith(title));
        assertThat(changes.stream().anyMatch(c -> !then(a, c).contains(f.id()))).isTrue();
        // made on what has gone by then, it changes nothing
        Project bare = p.with(p.system().minus(changes.get(0).item()));
        assertThat(changes.get(0).on().apply(bare)).isEqualTo(bare);
    }
}
