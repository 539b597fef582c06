package ration.bench;

import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import ration.answer.assess.TankAnswer;
import ration.physics.tank.StrandedMap;
import ration.record.file.ProjectFile;
import ration.record.file.ProjectFileException;
import ration.record.project.Project;

/**
 * Stranded fuel: the map of 41 x 41 attitudes of a prism with a well, and of a lofted tank with two bays and a well.
 */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 5, time = 2)
@Fork(1)
public class TankBenchmark {

    private TankAnswer prism;
    private TankAnswer bays;
    private Project corrie;

    @Setup
    public void prepare() throws ProjectFileException {
        corrie = ProjectFile.demo("corrie-b1");
        prism = TankAnswer.of(corrie, corrie.system().tanks().get(0));
        Project tansy = ProjectFile.demo("tansy-l3");
        bays = TankAnswer.of(tansy, tansy.system().tanks().get(0));
    }

    @Benchmark
    public StrandedMap mapOfAPrism() {
        return StrandedMap.of(prism.body(), prism.feed());
    }

    @Benchmark
    public StrandedMap mapOfALoftWithBays() {
        return StrandedMap.of(bays.body(), bays.feed());
    }

    @Benchmark
    public TankAnswer wholeAnswer() {
        return TankAnswer.of(corrie, corrie.system().tanks().get(0));
    }
}
