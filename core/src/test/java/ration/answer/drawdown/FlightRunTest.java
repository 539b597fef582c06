package ration.answer.drawdown;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.assertj.core.data.Offset;
import org.assertj.core.data.Percentage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;
import ration.Systems;
import ration.aircraft.condition.Fault;
import ration.aircraft.condition.Faults;
import ration.aircraft.flight.FlightPlan;
import ration.aircraft.flight.Phase;
import ration.aircraft.flight.Phase.Kind;
import ration.aircraft.flight.Switching;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Regulator;
import ration.aircraft.model.Tank;
import ration.aircraft.model.VentLine;
import ration.answer.assess.Assessment;
import ration.base.quantity.Measured;
import ration.base.quantity.Unit;
import ration.base.task.Task;
import ration.record.project.Pattern;
import ration.record.project.Project;
import ration.verdict.check.Verdict;

/** Plans flown: what the rules for the handles do, and what is left. */
class FlightRunTest {

    private static final double GALLON = Unit.GALLON.toSi(1);
    private static final Assessment TANSY = Systems.assessed("tansy-l3");

    private static double burnt(Assessment a, List<Phase> phases) {
        return phases.stream()
                .mapToDouble(p ->
                        p.lasts() * 60 * p.share().si() * a.project().brief().demand())
                .sum();
    }

    @Test
    void whatIsBurntIsPowerTimesTime() {
        FlightPlan plan = UsualFlight.of(TANSY.project());
        Flight f = FlightRun.of(TANSY, plan);
        List<Phase> flown = plan.phases().subList(0, plan.phases().size() - 1);
        assertThat(f.at(f.landing().minutes()).burnt()).isCloseTo(burnt(TANSY, flown), Percentage.withPercentage(1e-6));
        double full = f.samples().get(0).condition().contents().values().stream()
                .mapToDouble(v -> v)
                .sum();
        double placards = TANSY.project().system().tanks().stream()
                .mapToDouble(t -> t.unusable().si())
                .sum();
        assertThat(f.landing().usable())
                .isCloseTo(full - placards - burnt(TANSY, flown), Percentage.withPercentage(1e-6));
        assertThat(f.landing().needs())
                .isCloseTo(30 * 60 * 0.65 * TANSY.project().brief().demand(), Percentage.withPercentage(1e-9));
    }

    @Test
    void theOrderOfEqualPhasesChangesNothing() {
        List<Phase> phases = new ArrayList<>(List.of(
                Phase.of(Kind.CRUISE, 40, 70, 0, 4000, true),
                Phase.of(Kind.CRUISE, 40, 50, 0, 4000, true),
                Phase.of(Kind.CRUISE, 40, 60, 0, 4000, true)));
        Flight one = FlightRun.of(TANSY, FlightPlan.of(phases).with(Switching.Mode.HAND));
        Collections.reverse(phases);
        Flight other = FlightRun.of(TANSY, FlightPlan.of(phases).with(Switching.Mode.HAND));
        assertThat(other.landing().usable()).isCloseTo(one.landing().usable(), Percentage.withPercentage(1e-9));
        assertThat(other.reached().burnt()).isCloseTo(one.reached().burnt(), Percentage.withPercentage(1e-6));
    }

    @ParameterizedTest
    @ValueSource(doubles = {4, 6, 10})
    void aPlannedFlightKeepsItsBalanceAndSwitchesWhereItMay(double limit) {
        FlightPlan plan = UsualFlight.of(TANSY.project()).withLimit(Measured.of(limit, Unit.GALLON));
        Flight f = FlightRun.of(TANSY, plan);
        assertThat(f.balance().most()).isLessThanOrEqualTo(limit * GALLON);
        assertThat(f.verdict()).isEqualTo(Verdict.HOLDS);
        Set<Kind> never = Set.of(Kind.TAKE_OFF, Kind.CIRCUIT);
        assertThat(f.switches()).hasSizeGreaterThan(2).allSatisfy(e -> {
            Kind in = f.phase(f.at(e.minutes())).kind();
            assertThat(e.minutes() > 0 && e.minutes() < f.landing().minutes() && never.contains(in))
                    .as(e.toString())
                    .isFalse();
        });
        Flight wide = FlightRun.of(TANSY, plan.withLimit(Measured.of(2 * limit, Unit.GALLON)));
        assertThat(wide.switches().size()).isLessThanOrEqualTo(f.switches().size());
    }

    @Test
    void byTheClockEveryHalfHour() {
        Flight f = FlightRun.of(TANSY, UsualFlight.of(TANSY.project()).with(Switching.Mode.CLOCK));
        assertThat(f.switches().stream().filter(e -> e.minutes() < 190).map(FlightEvent::minutes))
                .containsExactly(0.0, 30.0, 60.0, 90.0, 120.0, 150.0, 180.0);
        assertThat(f.switches().subList(0, 4))
                .extracting(FlightEvent::words)
                .containsExactly("LEFT", "RIGHT", "LEFT", "RIGHT");
    }

    /** Nobody switches: the left tank runs dry when its fuel above what its outlet strands is burnt. */
    @Test
    void aTankForgottenStarvesTheEngine() {
        Flight f = FlightRun.of(TANSY, UsualFlight.of(TANSY.project()).with(Switching.Mode.HAND));
        FlightEvent trouble = f.firstTrouble().orElseThrow();
        assertThat(trouble.words()).isEqualTo("fuel starvation on LEFT");
        assertThat(f.verdict()).isEqualTo(Verdict.FAILS);
        Flight.Sample then = f.at(trouble.minutes());
        assertThat(then.tank("left")).isCloseTo(f.floors().get(then.phase()).get("left"), Offset.offset(0.02 * GALLON));
        assertThat(then.tank("right")).isCloseTo(f.samples().get(0).tank("right"), Offset.offset(1e-9));
    }

    @Test
    void stepsByHandAreFollowed() {
        FlightPlan plan = UsualFlight.of(TANSY.project()).with(Switching.Mode.HAND);
        Switching s = plan.switching()
                .withSteps(List.of(
                        new Switching.Step(Measured.of(50, Unit.MINUTE), Map.of("selector", "LEFT")),
                        new Switching.Step(Measured.of(0, Unit.MINUTE), Map.of("selector", "RIGHT"))));
        Flight f = FlightRun.of(TANSY, plan.with(s));
        assertThat(f.at(49).positions()).containsEntry("selector", "RIGHT");
        assertThat(f.at(51).positions()).containsEntry("selector", "LEFT");
        assertThat(f.at(40).tank("left")).isEqualTo(f.at(0).tank("left"));
    }

    private static Project both(double leftFloor, double rightTip) {
        FuelSystem system = Systems.twoTanks(leftFloor, 24);
        VentLine vent = new VentLine(
                Systems.in(0.3), Systems.in(20), Measured.of(rightTip, Unit.ONE), false, Optional.empty(), List.of());
        VentLine still = new VentLine(
                Systems.in(0.3), Systems.in(20), Measured.of(0, Unit.ONE), false, Optional.empty(), List.of());
        FuelSystem vented = system.change(
                        "right", Tank.class, t -> t.with(t.fitout().withVent(Optional.of(vent))))
                .change("left", Tank.class, t -> t.with(t.fitout().withVent(Optional.of(still))));
        return Systems.project(vented);
    }

    /** A tip in suction holds its tank back: the other empties first, and the vents are named as the cause. */
    @Test
    void onBothTheTankWithTheLowerTipIsHeldBack() {
        Assessment a = Assessment.of(both(24, -0.3));
        OnBoth b = OnBoth.of(a, UsualFlight.of(a.project())).orElseThrow();
        assertThat(b.first()).isEqualTo("left");
        assertThat(b.causes().get(0).words()).startsWith("vent pressure");
        assertThat(b.causes().get(0).flow()).isPositive();
        assertThat(b.causes().stream().mapToDouble(b::share).sum()).isCloseTo(1, Offset.offset(1e-9));
        assertThat(b.left()).isGreaterThan(0.3 * GALLON);
    }

    @Test
    void onBothTheHigherTankGivesFirst() {
        Assessment a = Assessment.of(both(30, 0));
        OnBoth b = OnBoth.of(a, UsualFlight.of(a.project())).orElseThrow();
        assertThat(b.first()).isEqualTo("left");
        assertThat(b.causes().get(0).words()).startsWith("fuel level");
    }

    /**
     * With equal tanks 1 in of fuel is 180 Pa (1 in of avgas at 0.72; handbook, common practice): tips so far apart
     * part levels by that.
     */
    @Test
    void levelsPartByThePressureOfTheTips() {
        Assessment a = Assessment.of(both(24, -0.3));
        Flight f = FlightRun.of(a, UsualFlight.of(a.project()).with(Switching.Mode.BOTH));
        Flight.Sample s = f.at(0.5 * f.landing().minutes());
        double inches = (s.tank("right") - s.tank("left")) / (200 * Math.pow(0.0254, 2)) / 0.0254;
        double suction = 0.3 * a.basis().orElseThrow().around().ram();
        assertThat(inches * 180 / suction).isBetween(0.9, 1.1);
    }

    @Test
    void withoutBothThereIsNoFlightOnBoth() {
        assertThat(OnBoth.of(TANSY, UsualFlight.of(TANSY.project()))).isEmpty();
        assertThatThrownBy(() ->
                        FlightRun.of(TANSY, UsualFlight.of(TANSY.project()).with(Switching.Mode.BOTH)))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("no BOTH");
    }

    @ParameterizedTest
    @EnumSource(Pattern.class)
    void everyPatternCanBeFlown(Pattern pattern) {
        Assessment a = Assessment.of(pattern.project());
        Flight f = FlightRun.of(a, UsualFlight.of(a.project()));
        assertThat(f.trouble()).isEmpty();
        assertThat(f.events()).isSortedAccordingTo(java.util.Comparator.comparingDouble(FlightEvent::minutes));
        assertThat(f.samples())
                .allSatisfy(s -> assertThat(s.condition().contents().values())
                        .allSatisfy(v -> assertThat(v).isBetween(0.0, 0.5)));
        assertThat(f.reached().endurance()).isGreaterThan(f.landing().minutes());
    }

    /** A vent that ices over in flight is felt: the same flight without it goes on. */
    @Test
    void aShutVentEndsTheFlightEarlier() {
        FlightPlan plan = UsualFlight.of(TANSY.project());
        Flight sound = FlightRun.of(TANSY, plan);
        Flight failed = FlightRun.of(
                TANSY,
                plan,
                new Faults(Set.of(new Fault(Fault.Kind.VENT_SHUT, "left"), new Fault(Fault.Kind.VENT_SHUT, "right"))),
                0,
                Task.QUIET);
        assertThat(failed.reached().endurance()).isLessThan(sound.reached().endurance());
    }

    /** An engine that never gets anything does not "land with full tanks". */
    @Test
    void whatEndsBeforeItLandsIsShort() {
        Flight f = FlightRun.of(
                TANSY,
                UsualFlight.of(TANSY.project()),
                new Faults(Set.of(new Fault(Fault.Kind.FILTER_FOULED, "strainer", Double.POSITIVE_INFINITY))),
                0,
                Task.QUIET);
        assertThat(f.reached().endurance()).isLessThan(1);
        assertThat(f.landing().usable())
                .as("full tanks that cannot be fed are no reserve")
                .isZero();
        assertThat(f.lands()).isFalse();
        assertThat(f.verdict()).isEqualTo(Verdict.FAILS);
        assertThat(f.firstTrouble()).isPresent();
    }

    /**
     * A plan does not know what will fail: what happens before is what happens without it, whatever fails and whenever.
     */
    @ParameterizedTest
    @CsvSource({
        "tansy-l3,VENT_SHUT,left,70",
        "tansy-l3,OUTLET_CLOGGED,right,45",
        "corrie-b1,VENT_SHUT,upper,40",
        "corrie-b1,FILTER_FOULED,strainer,100",
        "corrie-b1,VENT_SHUT,fuselage,70",
        "brindle-a2,PUMP_DEAD,lift,60"
    })
    void whatComesBeforeAFaultIsThatOfTheFlightWithoutIt(String demo, Fault.Kind kind, String item, double at) {
        Assessment a = Systems.assessed(demo);
        FlightPlan plan = UsualFlight.of(a.project());
        String port = kind == Fault.Kind.OUTLET_CLOGGED ? "outlet" : "";
        Flight sound = FlightRun.of(a, plan);
        Flight failed = FlightRun.of(
                a, plan, new Faults(Set.of(new Fault(kind, item, port, Double.POSITIVE_INFINITY))), at, Task.QUIET);
        List<FlightEvent> before =
                sound.events().stream().filter(e -> e.minutes() < at).toList();
        List<FlightEvent> then =
                failed.events().stream().filter(e -> e.minutes() < at).toList();
        assertThat(then).hasSameSizeAs(before);
        for (int i = 0; i < before.size(); i++) {
            assertThat(then.get(i).words()).isEqualTo(before.get(i).words());
            assertThat(then.get(i).minutes()).isCloseTo(before.get(i).minutes(), Offset.offset(1e-5));
        }
        assertThat(failed.plan()).isEqualTo(plan);
    }

    /** The tank whose vent shuts on the way is left once it starves, not before; what stays in it is no reserve. */
    @Test
    void aPlanIsGivenUpWhenItIsSeenToFail() {
        Assessment a = Systems.assessedCorrie();
        Flight f = FlightRun.of(
                a,
                UsualFlight.of(a.project()),
                new Faults(Set.of(new Fault(Fault.Kind.VENT_SHUT, "upper"))),
                40,
                Task.QUIET);
        FlightEvent starves = f.firstTrouble().orElseThrow();
        assertThat(starves.minutes()).isGreaterThan(40);
        assertThat(f.verdict()).isEqualTo(Verdict.FAILS);
        assertThat(f.switches())
                .filteredOn(e -> e.minutes() > starves.minutes() + 1e-6)
                .noneMatch(e -> e.words().equals("UPPER"));
        Flight.Sample landed = f.at(f.landing().minutes());
        double fuselage = landed.tank("fuselage")
                - ((Tank) a.project().system().item("fuselage").orElseThrow())
                        .unusable()
                        .si();
        assertThat(f.landing().usable()).isCloseTo(fuselage, Percentage.withPercentage(1e-6));
    }

    /** Planned or by hand: what is burnt under the placard is said, and the flight never holds. */
    @Test
    void belowThePlacardNeverHolds() {
        Assessment a = Systems.assessedCorrie();
        FlightPlan plan = UsualFlight.of(a.project());
        Flight planned = FlightRun.of(a, plan);
        assertThat(planned.belowPlacard())
                .as("a plan that can be flown above them is")
                .isEmpty();
        a.project().system().tanks().forEach(t -> assertThat(planned.samples().stream()
                        .filter(s -> s.minutes() <= planned.landing().minutes())
                        .mapToDouble(s -> s.tank(t.id()))
                        .min()
                        .orElseThrow())
                .isGreaterThanOrEqualTo(t.unusable().si() - 1e-6));
        Switching late = plan.switching()
                .withSteps(List.of(new Switching.Step(Measured.of(60, Unit.MINUTE), Map.of("selector", "FUSELAGE"))));
        Flight byHand = FlightRun.of(a, plan.with(late.with(Switching.Mode.HAND)));
        assertThat(byHand.belowPlacard().orElseThrow().about()).isEqualTo("upper");
        assertThat(byHand.firstTrouble()).isEmpty();
        assertThat(byHand.verdict()).isEqualTo(Verdict.FAILS);
    }

    /** A rail whose regulator follows the manifold has its least pressure over that: closed throttle is no starving. */
    @Test
    void aRailThatFollowsTheManifoldIsFlown() {
        Project p = Systems.said(Pattern.TWO_PUMPS_PARALLEL.project());
        Regulator r = p.system().all(Regulator.class).findFirst().orElseThrow();
        Project follows = p.with(p.system()
                .replace(new Regulator(r.tag(), r.style(), Regulator.Reference.MANIFOLD, r.setting(), r.loss())));
        Flight still = FlightRun.of(Assessment.of(p), UsualFlight.of(p));
        Flight f = FlightRun.of(Assessment.of(follows), UsualFlight.of(follows));
        assertThat(still.firstTrouble()).isEmpty();
        assertThat(f.firstTrouble()).isEmpty();
        assertThat(f.reached().endurance()).isCloseTo(still.reached().endurance(), Percentage.withPercentage(2));
    }

    /** What fails on the way leaves the flight before it as it was, and says when. */
    @Test
    void whatFailsOnTheWayChangesOnlyWhatFollows() {
        FlightPlan plan = UsualFlight.of(TANSY.project()).with(Switching.Mode.CLOCK);
        Flight sound = FlightRun.of(TANSY, plan);
        Flight failed =
                FlightRun.of(TANSY, plan, new Faults(Set.of(new Fault(Fault.Kind.VENT_SHUT, "left"))), 60, Task.QUIET);
        assertThat(failed.events())
                .filteredOn(e -> e.kind() == FlightEvent.Kind.FAILS)
                .singleElement()
                .satisfies(e -> {
                    assertThat(e.minutes()).isEqualTo(60);
                    assertThat(e.words()).isEqualTo("Left tank vent blocked");
                });
        for (double m : new double[] {10, 30, 59}) {
            assertThat(failed.at(m).condition().contents())
                    .as(m + " min")
                    .isEqualTo(sound.at(m).condition().contents());
            assertThat(failed.at(m).condition().faults().none()).isTrue();
        }
        assertThat(failed.at(61).condition().faults().none()).isFalse();
        assertThat(failed.at(61).condition().airspace()).containsKey("left");
    }

    /**
     * The gap to boiling is never less than the hot day's worst; the fuel goes to the air outside by its lag; cold air
     * widens the gap.
     */
    @Test
    void theGapToBoilingIsFollowedAlongTheWay() {
        FlightPlan plan = UsualFlight.of(TANSY.project());
        Flight f = FlightRun.of(TANSY, plan);
        FlightVapor hot = FlightVapor.of(TANSY, f);
        double start = TANSY.project().heat().si(ration.aircraft.heat.HeatFigure.TANK_FUEL);
        FlightVapor.Point first = hot.points().get(0);
        assertThat(first.kelvin()).isCloseTo(start, Offset.offset(1e-9));
        assertThat(hot.least().orElseThrow().degrees())
                .as("the ledger asks the hot tank at the ceiling")
                .isGreaterThan(TANSY.vapor().orElseThrow().degrees());
        assertThat(hot.crossing()).isEmpty();

        List<Phase> cold = plan.phases().stream()
                .map(p -> p.withOutside(java.util.Optional.of(Measured.of(0, Unit.CELSIUS))))
                .toList();
        Flight winter = FlightRun.of(TANSY, plan.withPhases(cold));
        FlightVapor way = FlightVapor.of(TANSY, winter);
        assertThat(way.least().orElseThrow().degrees())
                .isGreaterThan(hot.least().orElseThrow().degrees() + 5);
        for (FlightVapor.Point p : way.points()) {
            double lag = 273.15 + (start - 273.15) * Math.exp(-p.minutes() / FlightVapor.LAG);
            assertThat(p.kelvin())
                    .as("first order, one temperature outside, and what comes back")
                    .isGreaterThanOrEqualTo(lag - 1e-6);
        }
    }

    /** Without a return the fuel goes to the air outside by its lag and nothing else. */
    @Test
    void fuelThatDoesNotComeBackGoesByItsLagAlone() {
        Assessment a = Systems.assessedCorrie();
        FlightPlan plan = UsualFlight.of(a.project());
        List<Phase> cold = plan.phases().stream()
                .map(p -> p.withOutside(java.util.Optional.of(Measured.of(0, Unit.CELSIUS))))
                .toList();
        double start = a.project().heat().si(ration.aircraft.heat.HeatFigure.TANK_FUEL);
        for (FlightVapor.Point p :
                FlightVapor.of(a, FlightRun.of(a, plan.withPhases(cold))).points()) {
            assertThat(p.kelvin())
                    .isCloseTo(
                            273.15 + (start - 273.15) * Math.exp(-p.minutes() / FlightVapor.LAG), Offset.offset(1e-6));
            assertThat(p.warms()).isZero();
        }
    }

    @Test
    void aStoppedFlightIsNotShown() {
        Flight f = FlightRun.of(TANSY, UsualFlight.of(TANSY.project()), Faults.NONE, 0, new Task(p -> {}, () -> true));
        assertThat(f.verdict()).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(f.trouble()).startsWith("Stopped");
    }

    @Test
    void theTableHasARowAMinute() {
        Flight f = FlightRun.of(TANSY, UsualFlight.of(TANSY.project()));
        List<String> rows = FlightTable.csv(TANSY.project(), f).lines().toList();
        assertThat(rows).hasSize(f.samples().size() + 1);
        assertThat(rows.get(0)).startsWith("minutes,phase,selector,altitude (ft),Left tank (gal),Right tank (gal)");
        assertThat(f.samples().stream()
                        .filter(s -> s.minutes() == Math.rint(s.minutes()))
                        .map(s -> (int) s.minutes())
                        .distinct()
                        .count())
                .isGreaterThanOrEqualTo((long) f.landing().minutes());
    }
}
