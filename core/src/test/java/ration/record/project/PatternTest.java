package ration.record.project;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import ration.Systems;
import ration.aircraft.condition.Attitude;
import ration.aircraft.condition.Condition;
import ration.aircraft.condition.Power;
import ration.aircraft.model.CheckValve;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Item;
import ration.aircraft.model.LineSize;
import ration.aircraft.model.Problem;
import ration.aircraft.model.Pump;
import ration.aircraft.model.Run;
import ration.aircraft.model.Selector;
import ration.aircraft.model.Tank;
import ration.aircraft.model.Validation;
import ration.answer.assess.Assessment;
import ration.answer.assess.CaseAnswer;
import ration.answer.assess.LeastMargin;
import ration.answer.assess.PumpSet;
import ration.answer.assess.StartingCase;
import ration.physics.flow.FlowAnswer;
import ration.physics.flow.FlowBasis;
import ration.physics.flow.FlowQuestion;
import ration.record.file.ProjectFile;
import ration.solver.network.NetworkSolution;

/** Every layout people start from is complete, computes, and stays sound however it is flown and changed. */
class PatternTest {

    @ParameterizedTest
    @EnumSource
    void everyPatternIsCompleteAndHoldsItsFlow(Pattern pattern) {
        Project project = pattern.project();
        assertThat(Validation.of(project.system())).isEmpty();
        Assessment a = Assessment.of(project);
        assertThat(a.cases()).isNotEmpty().allMatch(CaseAnswer::answered);
        assertThat(a.governing().orElseThrow().ratio()).isGreaterThan(1);
        assertThat(LeastMargin.of(project, java.util.Optional.empty())
                        .orElseThrow()
                        .margin())
                .isCloseTo(a.governing().get().margin(), Offset.offset(1e-9));
    }

    @ParameterizedTest
    @EnumSource
    void everyPatternSurvivesBeingSaved(Pattern pattern, @TempDir Path folder) throws Exception {
        Project project = pattern.project();
        Path file = folder.resolve("pattern" + ProjectFile.ENDING);
        ProjectFile.save(project, file);
        assertThat(ProjectFile.open(file)).isEqualTo(project);
    }

    /**
     * Any pattern, any sizes, tilted and filled and switched at random: an answer or a reason; what leaves the tanks
     * goes into the engine; pumps and check valves never run backwards.
     */
    @Property(tries = 100)
    void flownAnyhowItBalances(@ForAll long seed) {
        Random random = new Random(seed);
        Project project = resized(Pattern.values()[random.nextInt(Pattern.values().length)].project(), random);
        Condition c = anyCondition(project, random);
        FlowBasis basis = new FlowBasis(
                project.system(),
                project.brief().fuel(),
                project.brief().choices().friction().law());
        double need = project.brief().demand() * c.engine().power().demandShare();
        for (FlowQuestion question :
                List.of(new FlowQuestion.Capacity(), new FlowQuestion.Demand(need), new FlowQuestion.OpenLine())) {
            FlowAnswer a = basis.ask(c, question);
            if (!a.usable()) {
                assertThat(a.reason()).isNotBlank();
                continue;
            }
            double left =
                    project.system().tanks().stream().mapToDouble(a::outflow).sum();
            double borrowed = a.dryHeaders().isEmpty() ? 0 : Double.NaN;
            if (!Double.isNaN(borrowed) && a.airDrawn().isEmpty()) {
                assertThat(left).as("out of the tanks, into the engine").isCloseTo(a.inletFlow(), Offset.offset(3e-9));
            }
            assertThat(a.inletFlow()).isNotNegative().isFinite();
            for (Item item : project.system().items()) {
                boolean oneWay = item instanceof CheckValve
                        || item instanceof Pump && !c.stopped().contains(item.id());
                if (oneWay) {
                    assertThat(a.solution().flow(item.id())).as(item.name()).isGreaterThanOrEqualTo(-1e-9);
                }
            }
        }
    }

    private static Project resized(Project project, Random random) {
        FuelSystem s = project.system();
        for (Run run : s.runs()) {
            if (random.nextInt(3) == 0) {
                List<LineSize> usual = LineSize.usual();
                s = s.replace(run.resized(usual.get(random.nextInt(usual.size()))));
            }
        }
        return project.with(s);
    }

    private static Condition anyCondition(Project project, Random random) {
        Condition c = StartingCase.of(project)
                .with(Attitude.ofDegrees("Any", 40 * random.nextDouble() - 15, 20 * random.nextDouble() - 10))
                .with(Power.values()[random.nextInt(3)])
                .withFouled(random.nextBoolean());
        Map<String, Double> contents = new HashMap<>();
        c.contents().forEach((tank, full) -> contents.put(tank, full * random.nextDouble()));
        for (Selector s : project.system().selectors()) {
            c = c.withPosition(
                    s.id(),
                    s.positions().get(random.nextInt(s.positions().size())).name());
        }
        List<PumpSet> sets = PumpSet.of(project.system());
        return c.withContents(contents)
                .withStopped(sets.get(random.nextInt(sets.size())).stopped());
    }

    /**
     * A duplex selector sends back to the tank it draws from: over every case the other tank neither gains nor loses.
     */
    @ParameterizedTest
    @EnumSource(names = {"BOOST_AND_ENGINE_PUMP", "TWO_PUMPS_PARALLEL"})
    void aDuplexSelectorKeepsTheOtherTankOutOfIt(Pattern pattern) {
        Assessment a = Assessment.of(pattern.project());
        for (CaseAnswer c : a.cases()) {
            if (!c.judged() || !c.demand().usable()) {
                continue;
            }
            String used = c.condition().positions().get("selector").equals("LEFT") ? "left-tank" : "right-tank";
            for (Tank tank : a.project().system().tanks()) {
                double out = c.demand().outflow(tank);
                assertThat(out).as(tank.name()).isCloseTo(tank.id().equals(used) ? c.need() : 0, Offset.offset(2e-9));
            }
        }
    }

    /** R on a rail: a new port on the tank that feeds it; taken away again nothing is left joined to nothing. */
    @ParameterizedTest
    @EnumSource(names = {"TWO_PUMPS_PARALLEL", "PUMP_MODULES", "COLLECTOR_PER_TANK"})
    void aReturnIsLedToTheTankThatFeeds(Pattern pattern) {
        FuelSystem system = pattern.system();
        LayoutEdits.Outcome out = LayoutEdits.addReturn(system, "rail").orElseThrow();
        Run run = (Run) out.system().item(out.picked()).orElseThrow();
        assertThat(run.from().toString()).isEqualTo("rail.return");
        assertThat(out.system().item(run.to().item())).get().isInstanceOf(Tank.class);
        assertThat(Validation.of(out.system())).noneMatch(Problem::blocks);
        assertThat(Assessment.of(Systems.project(out.system())).cases()).allSatisfy(c -> assertThat(
                        c.capacity().usable() || c.capacity().solution().status() != NetworkSolution.Status.CONVERGED)
                .isTrue());
        assertThat(LayoutEdits.addReturn(out.system(), "rail")).isEmpty();
    }
}
