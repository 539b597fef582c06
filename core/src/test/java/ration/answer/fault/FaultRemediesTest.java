package ration.answer.fault;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.assertj.core.data.Percentage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import ration.Samples;
import ration.Systems;
import ration.aircraft.condition.Fault;
import ration.aircraft.condition.Fault.Kind;
import ration.aircraft.model.EngineInlet;
import ration.aircraft.model.Header;
import ration.aircraft.model.Pump;
import ration.answer.assess.Assessment;
import ration.base.quantity.Measured;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;
import ration.base.task.Task;
import ration.record.project.Pattern;
import ration.record.project.Project;
import ration.verdict.check.Verdict;

/**
 * What is offered against a fault has been flown with it: taken up, the search finds what the row promised, and nothing
 * got worse.
 */
class FaultRemediesTest {

    private static FaultAnswer worst(Assessment a, Kind kind) {
        return of(a, kind).stream()
                .max(Comparator.comparing(FaultAnswer::verdict)
                        .thenComparing(
                                Comparator.comparingDouble(FaultAnswer::minutes).reversed()))
                .orElseThrow();
    }

    /** Of one kind; no other is asked, since none bears on what is said of these. */
    private static List<FaultAnswer> of(Assessment a, Kind kind) {
        return FaultSearch.of(
                a,
                Catalogue.of(a.project().system()).stream()
                        .filter(f -> f.kind() == kind)
                        .toList(),
                UnitSystem.US,
                done -> {},
                () -> false);
    }

    /** A layout whose pumps hang on one bus, its dead supply and what is offered against that; asked once. */
    private static final class OneBus {
        static final Project LAYOUT = Systems.said(Pattern.TWO_PUMPS_PARALLEL.project());
        static final Assessment NOW = Assessment.of(LAYOUT);
        static final FaultAnswer DEAD = worst(NOW, Kind.SUPPLY_DEAD);
        static final List<FaultRemedy> OFFERED = remedies(NOW, DEAD);
    }

    private static List<FaultRemedy> remedies(Assessment a, FaultAnswer f) {
        return FaultRemedies.of(a, f, UnitSystem.US, Task.QUIET);
    }

    /** The answer on the same fault once a remedy is taken up. */
    private static Optional<FaultAnswer> after(Project p, FaultRemedy r, Fault fault) {
        Project then = r.edit().change().apply(p);
        return Catalogue.of(then.system()).stream()
                .filter(fault::equals)
                .findFirst()
                .map(f -> FaultSearch.of(Assessment.of(then), f));
    }

    /** Kinds that change something at their own part, in layouts where it helps. */
    @ParameterizedTest
    @CsvSource({
        "corrie-b1, LINE_PINCHED, Next size",
        "corrie-b1, VENT_SHUT, Vented cap",
        "brindle-a2, AIR_LEAK, Header twice as large",
        "TWO_PUMPS_PARALLEL, SUPPLY_DEAD, on a second bus"
    })
    void whatIsOfferedIsFoundOnceItIsTakenUp(String layout, Kind kind, String title) {
        boolean oneBus = layout.equals("TWO_PUMPS_PARALLEL");
        Project p = oneBus ? OneBus.LAYOUT : Systems.demo(layout);
        Assessment a = oneBus ? OneBus.NOW : Systems.assessed(layout);
        FaultAnswer now = oneBus ? OneBus.DEAD : worst(a, kind);
        List<FaultRemedy> offered = oneBus ? OneBus.OFFERED : remedies(a, now);
        assertThat(offered)
                .as("against " + now.part() + " " + kind)
                .extracting(FaultRemedy::title)
                .anyMatch(t -> t.contains(title));
        for (FaultRemedy r : offered) {
            assertThat(r.after().verdict().compareTo(now.verdict()) < 0
                            || r.after().minutes() > now.minutes() + 1)
                    .as(r.title())
                    .isTrue();
            // the plain way asks every failure anew
            if (layout.equals("corrie-b1") && Samples.some(offered, 1).contains(r)) {
                assertThat(r.shorts())
                        .as(r.title())
                        .isEqualTo(
                                FaultSearch.of(Assessment.of(r.edit().change().apply(p))).stream()
                                        .filter(f -> f.verdict() == Verdict.FAILS)
                                        .count());
            }
            if (kind != Kind.SUPPLY_DEAD) {
                FaultAnswer then = after(p, r, now.fault()).orElseThrow();
                assertThat(then.verdict()).as(r.title()).isEqualTo(r.after().verdict());
                assertThat(then.minutes()).as(r.title()).isEqualTo(r.after().minutes());
            }
        }
    }

    /** A supply parted into buses is judged by the one that is worse off. */
    @Test
    void aSecondBusIsJudgedByTheWorseOfTheTwo() {
        FaultRemedy bus = OneBus.OFFERED.stream()
                .filter(r -> r.title().endsWith("on a second bus"))
                .findFirst()
                .orElseThrow();
        Project parted = bus.edit().change().apply(OneBus.LAYOUT);
        assertThat(parted.system().all(Pump.class).map(Pump::bus).distinct()).hasSize(2);
        List<FaultAnswer> supplies = of(Assessment.of(parted), Kind.SUPPLY_DEAD);
        assertThat(supplies).hasSize(2).extracting(FaultAnswer::verdict).doesNotContain(Verdict.FAILS);
        assertThat(bus.after().verdict())
                .isEqualTo(supplies.stream()
                        .map(FaultAnswer::verdict)
                        .max(Comparator.naturalOrder())
                        .orElseThrow());
    }

    /**
     * A relief is offered where the inlet says what it takes, and opens within that; without that figure there is
     * nothing to set it to.
     */
    @Test
    void aReliefOpensWithinWhatTheInletTakes() {
        Project p = Systems.said(Pattern.TWO_PUMPS_PARALLEL.project());
        Project bounded = p.with(p.system()
                .change(
                        p.system().inlet().orElseThrow().id(),
                        EngineInlet.class,
                        i -> i.withPressures(i.minimumPressure(), Optional.of(Measured.of(60, Unit.PSI, "maker")))));
        Assessment a = Assessment.of(bounded);
        FaultAnswer stuck = worst(a, Kind.REGULATOR_STUCK_SHUT);
        for (FaultRemedy r : remedies(a, stuck)) {
            Project then = r.edit().change().apply(bounded);
            then.system()
                    .all(Pump.class)
                    .flatMap(x -> x.build().relief().stream())
                    .forEach(m -> assertThat(m.si()).isLessThan(Unit.PSI.toSi(60)));
        }
        Project silent = p.with(p.system()
                .change(
                        p.system().inlet().orElseThrow().id(),
                        EngineInlet.class,
                        i -> i.withPressures(i.minimumPressure(), Optional.empty())));
        Assessment b = Assessment.of(silent);
        assertThat(remedies(b, worst(b, Kind.REGULATOR_STUCK_SHUT)))
                .noneMatch(r -> r.title().startsWith("Relief"));
    }

    /** Twice the header lasts twice as long: V / q. */
    @Test
    void aHeaderTwiceAsLargeLastsTwiceAsLong() {
        Project p = Systems.demo("brindle-a2");
        Assessment a = Assessment.of(p);
        FaultAnswer leak = FaultSearch.of(a, new Fault(Kind.FILTER_FOULED, "strainer", Double.POSITIVE_INFINITY));
        FaultRemedy larger = remedies(a, leak).stream()
                .filter(r -> r.title().startsWith("Header twice"))
                .findFirst()
                .orElseThrow();
        Header before = p.system().all(Header.class).findFirst().orElseThrow();
        Header then = larger.edit()
                .change()
                .apply(p)
                .system()
                .all(Header.class)
                .findFirst()
                .orElseThrow();
        assertThat(then.capacity().si()).isEqualTo(2 * before.capacity().si());
        assertThat(larger.after().minutes()).isCloseTo(2 * leak.minutes(), Percentage.withPercentage(1e-6));
    }

    /** What cannot be is not offered, and what is stopped gives nothing. */
    @Test
    void nothingIsOfferedThatChangesNothing() {
        Assessment a = Assessment.of(Systems.said(Pattern.GRAVITY_SELECTOR.project()));
        for (FaultAnswer f : Catalogue.of(a.project().system()).stream()
                .map(f -> FaultSearch.of(a, f))
                .filter(f -> f.verdict() == Verdict.FAILS)
                .limit(Samples.of(2, 8))
                .toList()) {
            assertThat(remedies(a, f)).as(f.part() + " " + f.fault()).allSatisfy(r -> assertThat(
                            r.edit().change().apply(a.project()))
                    .isNotEqualTo(a.project()));
            assertThat(FaultRemedies.of(a, f, UnitSystem.US, new Task(share -> {}, () -> true)))
                    .isEmpty();
        }
    }
}
