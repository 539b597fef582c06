package ration.bench;

import java.util.List;
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
import ration.aircraft.flight.FlightPlan;
import ration.aircraft.flight.Switching;
import ration.answer.assess.Assessment;
import ration.answer.assess.StartingCase;
import ration.answer.drawdown.Flight;
import ration.answer.drawdown.FlightRun;
import ration.answer.drawdown.UsualFlight;
import ration.answer.fault.FaultAnswer;
import ration.answer.fault.FaultSearch;
import ration.answer.fault.HiddenSearch;
import ration.answer.find.Search;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;
import ration.base.task.Task;
import ration.record.file.ProjectFile;
import ration.record.file.ProjectFileException;
import ration.record.reading.Reading;
import ration.record.reading.Setting;

/** In time and backwards: a flight by the clock and planned, every fault, one reading weighed and what to read next. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 5, time = 2)
@Fork(1)
public class FlightBenchmark {

    @Param({"corrie-b1", "brindle-a2", "tansy-l3"})
    private String demo;

    private Assessment assessment;
    private FlightPlan clock;
    private FlightPlan planned;
    private List<Reading> reading;
    private List<FaultAnswer> singles;

    @Setup
    public void prepare() throws ProjectFileException {
        assessment = Assessment.of(ProjectFile.demo(demo));
        singles = FaultSearch.of(assessment);
        planned = UsualFlight.of(assessment.project());
        clock = planned.with(Switching.Mode.CLOCK);
        reading = List.of(new Reading(
                assessment.project().system().inlet().orElseThrow().id(),
                Reading.What.PRESSURE,
                0,
                Unit.PSI.toSi(0.3),
                new Setting(StartingCase.of(assessment.project()))));
    }

    /** From full tanks to the last fuel: Corrie 3, Brindle 6, Tansy 4.5 hours, a sample a minute. */
    @Benchmark
    public Flight flight() {
        return FlightRun.of(assessment, clock);
    }

    /** The same planned: several flights, the switches rounded and flown again. */
    @Benchmark
    public Flight plannedFlight() {
        return FlightRun.of(assessment, planned);
    }

    @Benchmark
    public List<FaultAnswer> everyFault() {
        return FaultSearch.of(assessment);
    }

    /** Every pair of a failure that waits unseen and one more; the single ones are known. */
    @Benchmark
    public Object hiddenFailures() {
        return HiddenSearch.of(assessment, singles, UnitSystem.US, Task.QUIET).orElseThrow();
    }

    /** Nothing kept from before. */
    @Benchmark
    public Object oneReading() {
        Search s = Search.of(assessment, reading);
        return s.next(reading.get(0).setting().condition());
    }
}
