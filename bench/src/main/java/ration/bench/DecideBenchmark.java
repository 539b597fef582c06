package ration.bench;

import java.util.EnumMap;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import ration.answer.assess.Assessment;
import ration.answer.assess.Doubt;
import ration.answer.improve.MakeItHold;
import ration.answer.improve.Weights;
import ration.answer.measure.MeasureNext;
import ration.base.task.Task;
import ration.record.file.ProjectFile;
import ration.record.file.ProjectFileException;

/** What to do: the cheapest sets that hold, with failures too; what to measure next. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 1, time = 5)
@Measurement(iterations = 3, time = 2)
@Fork(1)
public class DecideBenchmark {

    @Param({"corrie-b1", "brindle-a2", "tansy-l3"})
    private String demo;

    private Assessment assessment;

    @Setup
    public void prepare() throws ProjectFileException {
        assessment = Assessment.of(ProjectFile.demo(demo));
    }

    @Benchmark
    public MakeItHold makeItHold() {
        return MakeItHold.of(assessment, Weights.usual(), Task.QUIET);
    }

    @Benchmark
    public MakeItHold makeItHoldWithFailures() {
        return MakeItHold.of(assessment, Weights.usual().withFailures(true), Task.QUIET);
    }

    @Benchmark
    public Map<Doubt.Of, MeasureNext> measureNext() {
        Doubt doubt = Doubt.of(assessment, Task.QUIET);
        Map<Doubt.Of, MeasureNext> all = new EnumMap<>(Doubt.Of.class);
        for (Doubt.Of of : Doubt.Of.values()) {
            all.put(of, MeasureNext.of(doubt, of, false).resolved(assessment, Task.QUIET));
        }
        return all;
    }
}
