package ration.answer.drawdown;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import ration.aircraft.flight.FlightPlan;
import ration.aircraft.flight.Transfer;
import ration.answer.assess.Assessment;
import ration.base.quantity.Measured;
import ration.base.quantity.Unit;
import ration.record.file.ProjectFile;
import ration.record.project.Pattern;
import ration.record.project.Project;

/** A transfer pump as the plan runs it: by the clock, by the gauge, never over a full tank. */
class TransfersTest {

    private static final double GALLON = Unit.GALLON.toSi(1);
    private static final String PUMP = "transfer-pump";
    private static final Project AUXILIARY = Pattern.TRANSFER.project();
    private static final Assessment ASSESSED = Assessment.bare(AUXILIARY, Optional.empty());
    private static final FlightPlan USUAL = UsualFlight.of(AUXILIARY);

    private static Transfer at(double minutes, Optional<Double> lasts, Optional<Double> gallons) {
        return new Transfer(
                PUMP,
                Measured.of(minutes, Unit.MINUTE),
                lasts.map(m -> Measured.of(m, Unit.MINUTE)),
                gallons.map(g -> Measured.of(g, Unit.GALLON)));
    }

    private static Flight fly(Transfer... transfers) {
        return FlightRun.of(ASSESSED, USUAL.withTransfers(List.of(transfers)));
    }

    private static List<FlightEvent> switched(Flight f) {
        return f.events().stream()
                .filter(e -> e.kind() == FlightEvent.Kind.TRANSFER)
                .toList();
    }

    private static double auxiliary(Flight f, double minutes) {
        return f.at(minutes).tank("auxiliary-tank") / GALLON;
    }

    @Test
    void whatIsAskedByTheGaugeLeavesTheTankAndNoMore() {
        Flight f = fly(at(60, Optional.empty(), Optional.of(5.0)));
        List<FlightEvent> all = switched(f);
        assertThat(all).extracting(FlightEvent::words).containsExactly("Transfer pump on", "Transfer pump off");
        assertThat(auxiliary(f, 60)).isCloseTo(auxiliary(f, 10), within(1e-4));
        assertThat(auxiliary(f, 60) - auxiliary(f, f.landing().minutes())).isCloseTo(5, within(1e-3));
        // what is left behind is no reserve: nothing is pumped from there any more
        double placard = AUXILIARY.system().tanks().stream()
                .filter(t -> t.id().equals("auxiliary-tank"))
                .mapToDouble(t -> t.unusable().si())
                .sum();
        assertThat(f.landing().waiting())
                .isCloseTo(auxiliary(f, f.landing().minutes()) * GALLON - placard, within(1e-6));
        assertThat(f.landing().usable()).isLessThan(1e-4);
        // it stands before and after
        assertThat(f.at(59).condition().stopped()).contains(PUMP);
        assertThat(f.at(65).condition().stopped()).doesNotContain(PUMP);
        assertThat(f.at(all.get(1).minutes() + 2).condition().stopped()).contains(PUMP);
        // nothing is lost on the way: tanks, burnt, and what ran out of the full auxiliary at the start
        Flight.Sample end = f.at(f.landing().minutes());
        double sum =
                end.condition().contents().values().stream().mapToDouble(v -> v).sum() + end.burnt();
        double start = f.samples().get(0).condition().contents().values().stream()
                .mapToDouble(v -> v)
                .sum();
        assertThat(sum + f.reached().spilt()).isCloseTo(start, within(1e-6));
    }

    @Test
    void theClockEndsIt() {
        Flight f = fly(at(60, Optional.of(10.0), Optional.of(50.0)), at(120, Optional.of(5.0), Optional.empty()));
        assertThat(switched(f))
                .extracting(FlightEvent::minutes)
                .satisfiesExactly(
                        m -> assertThat(m).isCloseTo(60, within(1e-6)),
                        m -> assertThat(m).isCloseTo(70, within(1e-6)),
                        m -> assertThat(m).isCloseTo(120, within(1e-6)),
                        m -> assertThat(m).isCloseTo(125, within(1e-6)));
        double ten = auxiliary(f, 60) - auxiliary(f, 71);
        double five = auxiliary(f, 119) - auxiliary(f, 126);
        // the pump lifts against a height that changes little
        assertThat(five / ten).isCloseTo(0.5, within(0.05));
    }

    @Test
    void anEmptyTankEndsItAndThePumpDoesNotRunDry() {
        Flight f = fly(at(30, Optional.empty(), Optional.empty()));
        assertThat(switched(f).get(1).words()).isEqualTo("Transfer pump off: Auxiliary tank empty");
        assertThat(f.events()).noneMatch(e -> e.kind() == FlightEvent.Kind.DRY);
        Flight always = FlightRun.of(ASSESSED, USUAL);
        assertThat(switched(always)).isEmpty();
        FlightEvent dry = always.events().stream()
                .filter(e -> e.kind() == FlightEvent.Kind.DRY)
                .findFirst()
                .orElseThrow();
        assertThat(dry.about()).isEqualTo(PUMP);
        assertThat(dry.words())
                .isEqualTo("Transfer pump runs dry, "
                        + Math.round(always.landing().minutes() - dry.minutes()) + " min to landing");
    }

    /** Without an overflow to run back by, a full tank ends it before fuel goes overboard. */
    @Test
    void aFullTankEndsIt() {
        Project shut = AUXILIARY.with(AUXILIARY
                .system()
                .withItems(AUXILIARY.system().items().stream()
                        .filter(i -> !runsFrom(i, "main-tank.overflow"))
                        .map(TransfersTest::withoutOverflow)
                        .toList()));
        Assessment a = Assessment.bare(shut, Optional.empty());
        assertThat(a.blocked()).isFalse();
        Flight f = FlightRun.of(
                a, UsualFlight.of(shut).withTransfers(List.of(at(60, Optional.empty(), Optional.empty()))));
        assertThat(switched(f).get(1).words()).isEqualTo("Transfer pump off: Main tank full");
        assertThat(f.events()).noneMatch(e -> e.kind() == FlightEvent.Kind.OVERFLOWS);
        assertThat(f.reached().spilt()).isCloseTo(0, within(1e-6));
    }

    private static boolean runsFrom(ration.aircraft.model.Item item, String port) {
        return item.only(ration.aircraft.model.Run.class)
                .filter(r -> r.from().toString().equals(port))
                .isPresent();
    }

    private static ration.aircraft.model.Item withoutOverflow(ration.aircraft.model.Item item) {
        return item.only(ration.aircraft.model.Tank.class)
                .filter(t -> t.id().equals("main-tank"))
                .<ration.aircraft.model.Item>map(t -> t.withOutlets(t.outlets().stream()
                        .filter(o -> !o.name().equals("overflow"))
                        .toList()))
                .orElse(item);
    }

    @Test
    void pumpsThatAreNotThereArePassedOverAndFiguresAreHeldInRange() {
        Transfer none = new Transfer("gone", Measured.of(5, Unit.MINUTE), Optional.empty(), Optional.empty());
        assertThat(switched(fly(none))).isEmpty();
        assertThatThrownBy(() -> at(-1, Optional.empty(), Optional.empty()))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("2,880");
        assertThatThrownBy(() -> at(1, Optional.of(0.0), Optional.empty())).hasMessageContaining("1,440");
        assertThatThrownBy(() -> at(1, Optional.empty(), Optional.of(0.0))).hasMessageContaining("above 0");
    }

    @Test
    void aFileKeepsThem() throws Exception {
        Project planned = AUXILIARY.with(USUAL.withTransfers(
                List.of(at(60, Optional.of(10.0), Optional.empty()), at(90, Optional.empty(), Optional.of(4.5)))));
        java.nio.file.Path file = java.nio.file.Files.createTempFile("transfers", ".ration");
        try {
            ProjectFile.save(planned, file);
            assertThat(ProjectFile.open(file).flight()).isEqualTo(planned.flight());
        } finally {
            java.nio.file.Files.delete(file);
        }
    }
}
