package ration.answer.find;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import ration.Systems;
import ration.aircraft.condition.Fault;
import ration.aircraft.condition.Fault.Kind;
import ration.aircraft.model.Regulator;
import ration.answer.assess.Assessment;
import ration.answer.assess.StartingCase;
import ration.base.quantity.Unit;
import ration.record.project.Pattern;
import ration.record.reading.Reading;
import ration.record.reading.Setting;
import ration.record.reading.Setting.Manoeuvre;

/** Belief goes by what was read and how well; the textbook's signatures come out. Common practice, no source. */
class HonestBeliefTest {

    private static final Assessment RAIL = Assessment.of(Systems.said(Pattern.HEADER_TWO_PUMPS.project()));

    private static double belief(Search s, Fault f) {
        return s.explanations().stream()
                .filter(e -> e.fault()
                        .filter(x -> x.kind() == f.kind() && x.item().equals(f.item()))
                        .isPresent())
                .mapToDouble(Explanation::belief)
                .sum();
    }

    /** A reading that fits a fault speaks for it the less, the worse the instrument. */
    @ParameterizedTest
    @ValueSource(strings = {"corrie-b1", "tansy-l3"})
    void aWorseInstrumentNeverMakesAFaultSurer(String demo) {
        Assessment a = Systems.assessed(demo);
        Search none = Search.of(a, List.of());
        Setting as = new Setting(StartingCase.of(a.project()));
        String inlet = a.project().system().inlet().orElseThrow().id();
        Fault fault = new Fault(Kind.FILTER_FOULED, "strainer", 30);
        Reading.What what = Reading.What.PRESSURE;
        double real = none.predicted(Set.of(fault), new Reading(inlet, what, 0, 1, as));
        double before = 1;
        for (double times : new double[] {0.5, 1, 2, 5, 10, 30}) {
            double belief =
                    belief(none.with(List.of(new Reading(inlet, what, real, times * Unit.PSI.toSi(0.3), as))), fault);
            assertThat(belief).as(times + " times its usual error").isLessThanOrEqualTo(before + 1e-9);
            before = belief;
        }
    }

    /** 15 psi as it runs, the pump's own with the return pinched: the regulator, however far it hangs open. */
    @Test
    void aRegulatorThatHangsOpenIsFound() {
        Regulator r = RAIL.project().system().all(Regulator.class).findFirst().orElseThrow();
        String inlet = RAIL.project().system().inlet().orElseThrow().id();
        Setting as = new Setting(StartingCase.of(RAIL.project()));
        Search none = Search.of(RAIL, List.of());
        double gauge = Unit.PSI.toSi(0.5);
        for (double hole : new double[] {0.0009, 0.0016, 0.0024}) {
            Fault truth = new Fault(Kind.REGULATOR_STUCK_OPEN, r.id(), hole);
            Reading runs = new Reading(inlet, Reading.What.PRESSURE, 0, gauge, as);
            Reading pinched = new Reading(inlet, Reading.What.PRESSURE, 0, gauge, as.with(Manoeuvre.RETURN_PINCHED));
            List<Reading> read = List.of(runs, pinched).stream()
                    .map(q ->
                            new Reading(q.place(), q.what(), none.predicted(Set.of(truth), q), q.error(), q.setting()))
                    .toList();
            assertThat(read.get(1).value())
                    .as("pinched it rises")
                    .isGreaterThan(read.get(0).value());
            Explanation best = none.with(read).explanations().get(0);
            assertThat(best.fault().map(Fault::kind))
                    .as(hole + ": " + best)
                    .isEqualTo(Optional.of(Kind.REGULATOR_STUCK_OPEN));
        }
    }

    /** A pump that is weak and a regulator that is open are told apart by one pinch, in 95 of 100. */
    @Test
    void onePinchPartsPumpAndRegulator() {
        Regulator r = RAIL.project().system().all(Regulator.class).findFirst().orElseThrow();
        String inlet = RAIL.project().system().inlet().orElseThrow().id();
        String pump = RAIL.project()
                .system()
                .all(ration.aircraft.model.Pump.class)
                .findFirst()
                .orElseThrow()
                .id();
        Setting as = new Setting(StartingCase.of(RAIL.project())
                .withStopped(Set.of(RAIL.project()
                        .system()
                        .all(ration.aircraft.model.Pump.class)
                        .skip(1)
                        .findFirst()
                        .orElseThrow()
                        .id())));
        Search none = Search.of(RAIL, List.of());
        double gauge = Unit.PSI.toSi(0.5);
        Random random = new Random(7);
        int right = 0;
        for (int n = 0; n < 100; n++) {
            boolean weak = n % 2 == 0;
            Fault truth = weak
                    ? new Fault(Kind.PUMP_WEAK, pump, 0.35 + 0.35 * random.nextDouble())
                    : new Fault(Kind.REGULATOR_STUCK_OPEN, r.id(), 0.001 + 0.002 * random.nextDouble());
            List<Reading> read = List.of(as, as.with(Manoeuvre.RETURN_PINCHED)).stream()
                    .map(s -> {
                        Reading asked = new Reading(inlet, Reading.What.PRESSURE, 0, gauge, s);
                        return Rig.taken(asked, none.predicted(Set.of(truth), asked), gauge, random);
                    })
                    .toList();
            Search now = none.with(read);
            right += belief(now, new Fault(Kind.PUMP_WEAK, pump))
                                    > belief(now, new Fault(Kind.REGULATOR_STUCK_OPEN, r.id()))
                            == weak
                    ? 1
                    : 0;
        }
        assertThat(right).isGreaterThanOrEqualTo(95);
    }

    /** What an outcome promises holds for a reading that lies in it, off by its own error. */
    @Test
    void anOutcomeCoversTheErrorOfItsReading() {
        Assessment a = Systems.assessed("tansy-l3");
        Search none = Search.of(a, List.of());
        for (NextReading n : none.next(StartingCase.of(a.project())).stream()
                .filter(n -> !n.asked().what().sign())
                .limit(6)
                .toList()) {
            for (NextReading.Outcome o : n.outcomes()) {
                assertThat(o.to() - o.from())
                        .as(n.words())
                        .isGreaterThanOrEqualTo(2 * n.asked().error() * (1 - 1e-9));
            }
            double promised = n.left();
            double suspects = none.explanations().stream()
                    .filter(e -> e.fault().isPresent())
                    .limit(8)
                    .mapToDouble(e -> {
                        double real = none.predicted(Set.of(e.fault().get()), n.asked());
                        return none.with(List.of(new Reading(
                                        n.asked().place(),
                                        n.asked().what(),
                                        real,
                                        n.asked().error(),
                                        n.asked().setting())))
                                .suspects();
                    })
                    .min()
                    .orElseThrow();
            assertThat(promised)
                    .as(n.words() + ": the promise is no better than the best that can come")
                    .isGreaterThan(0.3 * suspects);
        }
    }

    /**
     * The same cheap look is not asked twice; where all that leads is a leak, that is looked at before anything runs.
     */
    @Test
    void leaksAreLookedAtFirstAndNothingTwice() {
        Assessment a = Systems.assessedCorrie();
        Setting as = new Setting(StartingCase.of(a.project()));
        Reading drips = Reading.sign("strainer", Reading.What.DRIPS, true, as);
        Search now = Search.of(a, List.of(drips));
        List<NextReading> next = now.next(StartingCase.of(a.project()).withContents("upper", 0.001));
        assertThat(next)
                .noneMatch(n -> n.asked().what() == Reading.What.DRIPS
                        && n.asked().place().equals("strainer")
                        && n.asked().setting().manoeuvres().isEmpty()
                        && n.asked()
                                .setting()
                                .condition()
                                .handles()
                                .equals(as.condition().handles()));
        assertThat(new EngineInletless(a).everySuctionScreenIsReadOnBothSides()).isTrue();
    }

    /** Readings that are offered across a screen a pump draws through. */
    private record EngineInletless(Assessment a) {
        boolean everySuctionScreenIsReadOnBothSides() {
            Assessment tansy = Systems.assessed("tansy-l3");
            List<Reading> all = new Readable(tansy.project().system()).now(StartingCase.of(tansy.project()), List.of());
            return all.stream().anyMatch(r -> r.place().equals("strainer.in") && r.error() < 300)
                    && all.stream().anyMatch(r -> r.place().equals("strainer.out") && r.error() < 300);
        }
    }
}
