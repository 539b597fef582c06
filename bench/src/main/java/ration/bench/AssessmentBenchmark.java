package ration.bench;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Level;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import ration.aircraft.condition.Condition;
import ration.aircraft.condition.Fault;
import ration.aircraft.model.Item;
import ration.aircraft.model.Run;
import ration.answer.assess.Assessment;
import ration.answer.assess.CaseAnswer;
import ration.answer.fault.FaultAnswer;
import ration.answer.fault.FaultSearch;
import ration.answer.remedy.Chance;
import ration.answer.remedy.Remedies;
import ration.answer.remedy.Remedy;
import ration.base.quantity.UnitSystem;
import ration.base.task.Task;
import ration.physics.flow.WaysToFail;
import ration.publish.drawing.Picture;
import ration.publish.drawing.Schematic;
import ration.publish.drawing.SchematicSubject;
import ration.publish.drawing.SchematicView;
import ration.publish.drawing.TextMeasure;
import ration.record.file.ProjectFile;
import ration.record.file.ProjectFileException;
import ration.record.project.Project;
import ration.solver.network.Network;
import ration.solver.network.NetworkSolution;
import ration.verdict.check.Verdict;

/** What an edit costs: the whole assessment of the demo, one case, its network alone, the drawing. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 5, time = 2)
@Fork(1)
public class AssessmentBenchmark {

    private Project demo;
    private Assessment assessment;
    private Condition condition;
    private Optional<CaseAnswer> look;
    private Network network;
    private Project largest;
    private Project header;
    private Assessment largestAssessment;
    private Project demoEdited;
    private Project largestEdited;
    private List<Fault> faults;
    private long round;

    @Setup
    public void prepare() throws ProjectFileException {
        demo = ProjectFile.demo(ProjectFile.DEMO);
        assessment = Assessment.of(demo);
        condition = assessment.governing().orElseThrow().condition();
        look = assessment.look(condition);
        largest = ProjectFile.demo("tansy-l3");
        header = ProjectFile.demo("brindle-a2");
        largestAssessment = Assessment.of(largest);
        demoEdited = edited(demo);
        largestEdited = edited(largest);
        faults = faults(largest);
        network = Network.of(look.orElseThrow().capacity().problem());
    }

    @Benchmark
    public Assessment wholeAssessment() {
        return Assessment.of(demo);
    }

    /** 240 cases: two positions, four pump sets, clean and fouled, five attitudes, three contents. */
    @Benchmark
    public Assessment wholeAssessmentOfTheLargestDemo() {
        return Assessment.of(largest);
    }

    /** 120 cases with a header whose level is unknown. */
    @Benchmark
    public Assessment wholeAssessmentWithAHeader() {
        return Assessment.of(header);
    }

    /** The same with how sure its margin is, which the window shows a moment later. */
    @Benchmark
    public Verdict wholeAssessmentOfTheLargestDemoAndHowSure() {
        return Assessment.of(largest).flowVerdict();
    }

    @Benchmark
    public Verdict wholeAssessmentAndHowSure() {
        return Assessment.of(demo).flowVerdict();
    }

    /** The demo after its first tube became a size larger, and back. */
    @Benchmark
    public Assessment afterATubeEdit() {
        assessment = Assessment.of(assessment.project() == demo ? demoEdited : demo, Optional.of(assessment));
        return assessment;
    }

    @Benchmark
    public Assessment afterATubeEditOfTheLargestDemo() {
        largestAssessment = Assessment.of(
                largestAssessment.project() == largest ? largestEdited : largest, Optional.of(largestAssessment));
        return largestAssessment;
    }

    /** What the ledger says of the flow, before the rest is known. */
    @Benchmark
    public Optional<CaseAnswer> flowAtOnceOfTheLargestDemo() {
        return Assessment.flowAtOnce(largestEdited, largestAssessment);
    }

    /**
     * Every part of the largest demo failed in each way in turn, a thousand of them, in the case that governs; each
     * time a little otherwise, so that no network made before serves again.
     */
    @Benchmark
    public int aThousandFaults() {
        Condition c = largestAssessment.governing().orElseThrow().condition();
        round++;
        List<Fault> anew = faults.stream()
                .map(f -> new Fault(f.kind(), f.item(), f.port(), f.severity() * (1 + 1e-9 * round)))
                .toList();
        return (int) anew.parallelStream()
                .map(f -> largestAssessment.look(c.with(f)))
                .filter(Optional::isPresent)
                .count();
    }

    private static List<Fault> faults(Project project) {
        List<Fault> all = new ArrayList<>();
        while (all.size() < 1000) {
            for (Item item : project.system().items()) {
                for (Fault.Kind kind : WaysToFail.of(item)) {
                    if (all.size() < 1000) {
                        all.add(new Fault(
                                kind, item.id(), kind.severity().endsWith(", m") ? 5e-4 : 0.5 + all.size() * 1e-4));
                    }
                }
            }
        }
        return all;
    }

    private static Project edited(Project project) {
        Run run = project.system().runs().get(0);
        return project.with(
                project.system().replace(run.resized(run.size().nextUp().orElse(run.size()))));
    }

    /** Every single change along the path that governs, each over every case. */
    /** An assessment nobody asked yet, so that no faulted network made before serves again. */
    @State(Scope.Thread)
    public static class Unasked {

        private Assessment assessment;

        @Setup(Level.Invocation)
        public void fresh(AssessmentBenchmark all) {
            assessment = Assessment.of(all.largest);
        }
    }

    /** What the page Faults asks: every way of every part, in every case that governs, with the way out. */
    @Benchmark
    public List<FaultAnswer> allFaults(Unasked unasked) {
        return FaultSearch.of(unasked.assessment);
    }

    @Benchmark
    public List<Remedy> whatBuysMargin() {
        return Remedies.of(largestAssessment, Task.QUIET);
    }

    /** 400 samples of every measured figure. */
    @Benchmark
    public Optional<Chance> howSure() {
        return Chance.of(largestAssessment, 1, ration.answer.assess.Draws.USUAL_SAMPLES, Task.QUIET);
    }

    @Benchmark
    public Optional<CaseAnswer> oneCase() {
        return assessment.look(condition);
    }

    @Benchmark
    public NetworkSolution oneSolveOfTheDemo() {
        return network.solve();
    }

    @Benchmark
    public Picture drawing() {
        return Schematic.draw(
                new SchematicSubject(
                        demo.system(), demo.brief().envelope().attitudes(), condition, look, "r3", UnitSystem.US),
                SchematicView.of(860, 612),
                TextMeasure.approximate());
    }
}
