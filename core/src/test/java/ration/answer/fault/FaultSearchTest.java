package ration.answer.fault;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.assertj.core.data.Percentage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;
import ration.Samples;
import ration.Systems;
import ration.aircraft.condition.Fault;
import ration.aircraft.condition.Fault.Kind;
import ration.aircraft.model.Header;
import ration.aircraft.model.Item;
import ration.aircraft.model.Pump;
import ration.aircraft.model.Run;
import ration.aircraft.topology.Topology;
import ration.answer.assess.Assessment;
import ration.answer.assess.CaseAnswer;
import ration.answer.assess.FaultCases;
import ration.answer.drawdown.Lasting;
import ration.base.quantity.Measured;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;
import ration.base.task.Task;
import ration.physics.flow.WaysToFail;
import ration.record.file.ProjectFile;
import ration.record.project.LayoutEdits;
import ration.record.project.NewItem;
import ration.record.project.Pattern;
import ration.record.project.Project;
import ration.verdict.check.Verdict;

/**
 * Single failures: nothing left out, nothing called good that was not computed, and the figures those of the network's
 * own cases.
 */
class FaultSearchTest {

    private static List<FaultAnswer> faults(String demo) {
        return Systems.faults(demo);
    }

    private static FaultAnswer find(List<FaultAnswer> all, Kind kind, String item) {
        return all.stream()
                .filter(f -> f.fault().kind() == kind && f.fault().item().equals(item))
                .findFirst()
                .orElseThrow();
    }

    /**
     * Every way of every part is asked, of every layout but two whose kinds all stand in others; only a run that leads
     * nothing back has no return to block, and a supply is one cause.
     */
    @ParameterizedTest
    @EnumSource(
            value = Pattern.class,
            names = {"COLLECTOR_PER_TANK", "HEADER_TWO_PUMPS"},
            mode = EnumSource.Mode.EXCLUDE)
    void noWayOfAnyPartIsLeftOut(Pattern pattern) {
        Project p = Systems.said(pattern.project());
        List<Fault> all = Catalogue.of(p.system());
        Topology topology = Topology.of(p.system());
        Set<String> asked = all.stream().map(f -> f.item() + " " + f.kind()).collect(Collectors.toSet());
        for (Item item : p.system().items()) {
            for (Kind kind : WaysToFail.of(item)) {
                if (kind == Kind.SUPPLY_DEAD) {
                    continue;
                }
                boolean excepted = kind == Kind.RETURN_BLOCKED
                        && item.only(Run.class).filter(topology::returns).isEmpty();
                assertThat(asked.contains(item.id() + " " + kind))
                        .as(item.name() + " " + kind)
                        .isEqualTo(!excepted);
            }
        }
        boolean electric =
                p.system().all(Pump.class).anyMatch(x -> WaysToFail.of(x).contains(Kind.SUPPLY_DEAD));
        assertThat(all.stream().filter(f -> f.kind() == Kind.SUPPLY_DEAD).count())
                .isEqualTo(electric ? 1 : 0);
        // of all of them a part here; each demo is asked whole in other tests
        List<Fault> some = IntStream.range(0, all.size())
                .filter(i -> i % 8 == pattern.ordinal() % 8)
                .mapToObj(all::get)
                .toList();
        List<FaultAnswer> answers = FaultSearch.of(Assessment.of(p), some, UnitSystem.US, done -> {}, () -> false);
        assertThat(answers).hasSameSizeAs(some);
        assertThat(answers).allSatisfy(f -> {
            assertThat(f.why()).isNotBlank();
            if (Double.isNaN(f.share()) || Double.isNaN(f.minutes())) {
                assertThat(f.verdict()).as(f.part() + " " + f.fault()).isEqualTo(Verdict.NOT_SHOWN);
            }
            if (f.verdict() == Verdict.HOLDS) {
                assertThat(f.share()).isGreaterThanOrEqualTo(1);
                assertThat(f.minutes()).isInfinite();
            }
        });
    }

    /** Pumps on one bus stop together; on two, the loss of either leaves the other. */
    @Test
    void aBusIsOneCause() {
        Project one = Systems.said(Pattern.TWO_PUMPS_PARALLEL.project());
        List<FaultAnswer> together = supplies(one);
        assertThat(together).hasSize(1);
        assertThat(together.get(0).verdict()).isEqualTo(Verdict.FAILS);
        assertThat(together.get(0).share()).isLessThan(1);
        String second =
                one.system().all(Pump.class).skip(1).findFirst().orElseThrow().id();
        List<FaultAnswer> apart = supplies(one.with(one.system()
                .change(second, Pump.class, p -> p.withBuild(p.build().withBus("essential")))));
        assertThat(apart)
                .extracting(FaultAnswer::part)
                .containsExactlyInAnyOrder("Electrical power, main bus", "Electrical power, essential bus");
        assertThat(apart).allSatisfy(f -> assertThat(f.share()).as(f.part()).isGreaterThanOrEqualTo(1));
    }

    private static List<FaultAnswer> supplies(Project p) {
        Assessment a = Assessment.of(p);
        return Catalogue.of(p.system()).stream()
                .filter(f -> f.kind() == Kind.SUPPLY_DEAD)
                .map(f -> FaultSearch.of(a, f))
                .toList();
    }

    /** Fuel that boils more easily is the vapor answer of that fuel; water is not computed and says so. */
    @Test
    void winterFuelIsTheVaporAnswerOfThatFuel() {
        Assessment a = Systems.assessed("tansy-l3");
        Fault winter = Catalogue.of(a.project().system()).stream()
                .filter(f -> f.kind() == Kind.FUEL_VOLATILE)
                .reduce((x, y) -> y)
                .orElseThrow();
        Assessment other = Assessment.of(a.project()
                .with(a.project()
                        .heat()
                        .with(
                                ration.aircraft.heat.HeatFigure.REID_CHANGE,
                                ration.base.quantity.Measured.of(4.5, ration.base.quantity.Unit.PSI))));
        double left = other.vapor().orElseThrow().degrees();
        FaultAnswer answer = FaultSearch.of(a, winter);
        assertThat(answer.part()).isEqualTo("Fuel");
        assertThat(answer.verdict()).isEqualTo(left < 0 ? Verdict.FAILS : Verdict.HOLDS);
        assertThat(answer.why()).contains(other.vapor().orElseThrow().label(other.project(), UnitSystem.US));
        assertThat(FaultSearch.of(a, new Fault(Kind.WATER, "strainer")).verdict())
                .isEqualTo(Verdict.NOT_SHOWN);
    }

    /** A dead pump is the case of the matrix in which it stands, to the last digits. */
    @ParameterizedTest
    @ValueSource(strings = {"brindle-a2", "tansy-l3"})
    void aDeadPumpIsTheOtherPumpAlone(String demo) {
        Assessment a = Systems.assessed(demo);
        for (CaseAnswer sound : FaultCases.of(a)) {
            for (Pump pump : a.basis().orElseThrow().topology().feedPumps()) {
                double dead = FaultCases.like(a, sound, sound.condition().with(new Fault(Kind.PUMP_DEAD, pump.id())))
                        .capacity()
                        .inletFlow();
                double stopped = FaultCases.like(a, sound, sound.condition().withStopped(Set.of(pump.id())))
                        .capacity()
                        .inletFlow();
                assertThat(dead).as(pump.name()).isCloseTo(stopped, Percentage.withPercentage(1e-7));
            }
        }
    }

    /** What a pilot is told to do does bring the demand back: set so, the network says it. */
    @ParameterizedTest
    @ValueSource(strings = {"corrie-b1", "brindle-a2", "tansy-l3"})
    void aWayOutIsOne(String demo) {
        Assessment a = Systems.assessed(demo);
        for (FaultAnswer f : faults(demo)) {
            f.wayOut().ifPresent(out -> {
                assertThat(out.does()).as(f.part()).isNotBlank();
                assertThat(out.share()).as(f.part()).isGreaterThanOrEqualTo(1);
                assertThat(f.verdict()).as(f.part()).isIn(Verdict.FAILS, Verdict.THIN, Verdict.NOT_SHOWN);
            });
        }
    }

    @Test
    void theTansysTanksAreEachOthersWayOut() {
        List<FaultAnswer> all = faults("tansy-l3");
        FaultAnswer shut = all.stream()
                .filter(f -> f.fault().kind() == Kind.OUTLET_CLOGGED
                        && f.fault().item().equals("left")
                        && Double.isInfinite(f.fault().severity()))
                .findFirst()
                .orElseThrow();
        assertThat(shut.share()).isZero();
        assertThat(shut.wayOut().orElseThrow().does()).isEqualTo("RIGHT");
        assertThat(find(all, Kind.VENT_SHUT, "left").wayOut().orElseThrow().does())
                .startsWith("RIGHT");
        // the flight cruises on the engine pump alone: with that gone nothing comes, and the pump that is off is the
        // way out
        FaultAnswer dead = find(all, Kind.PUMP_DEAD, "engine-pump");
        assertThat(dead.share()).isZero();
        assertThat(dead.where()).contains("engine pump alone");
        assertThat(dead.wayOut().orElseThrow().does()).isEqualTo("Both pumps");
        FaultAnswer between = find(all, Kind.SELECTOR_BETWEEN, "selector");
        assertThat(between.harm()).isEqualTo(FaultAnswer.Harm.BOILS);
        assertThat(between.why()).contains("hot day");
        assertThat(all.stream()
                        .filter(f -> f.fault().kind() == Kind.FILTER_FOULED
                                && Double.isInfinite(f.fault().severity()))
                        .findFirst()
                        .orElseThrow()
                        .group())
                .isEqualTo(FaultAnswer.Group.NO_WAY_OUT);
    }

    /**
     * In the case in which it is soonest, drawn down in time: as long as the sum of Air & water says, which knows no
     * network.
     */
    @Test
    void aShutVentLastsAsLongAsTheAirPageSays() {
        Assessment a = Systems.assessedCorrie();
        List<FaultAnswer> all = faults(ProjectFile.DEMO);
        a.air().forEach(air -> {
            String tank = air.tank().id();
            double seconds = air.blocked().orElseThrow().soonest().seconds();
            CaseAnswer c = air.blocked().orElseThrow().look();
            double lasts = Lasting.of(
                            a.basis().orElseThrow(), c.condition().with(new Fault(Kind.VENT_SHUT, tank)), c.need(), 60)
                    .minutes();
            assertThat(lasts).isCloseTo(seconds / 60, Percentage.withPercentage(1e-4));
            assertThat(find(all, Kind.VENT_SHUT, tank).minutes())
                    .as("the worst of the cases")
                    .isCloseTo(lasts, Percentage.withPercentage(1e-4));
        });
    }

    private static Project fitted(Project p, String run, NewItem kind) {
        return p.with(LayoutEdits.add(p.system(), run, LayoutEdits.Spot.IN_RUN, kind)
                .orElseThrow()
                .system());
    }

    /**
     * A pressure needle before the engine falls with the air over the fuel: seen when the air has thinned by its band,
     * long before it is short.
     */
    @Test
    void aPressureSenderGivesLead() {
        Project corrie = Systems.corrie();
        String last = corrie.system().runs().stream()
                .filter(r -> r.to().item().equals("carburettor"))
                .findFirst()
                .orElseThrow()
                .id();
        Assessment a = Assessment.of(fitted(corrie, last, NewItem.PRESSURE_SENDER));
        FaultAnswer vent = FaultSearch.of(a, new Fault(Kind.VENT_SHUT, "upper"));
        assertThat(vent.wayOut()).as("there is another tank").isPresent();
        assertThat(vent.seen()).hasSize(1);
        double seen = vent.seen().get(0).minutes();
        assertThat(seen).isPositive().isLessThan(vent.minutes());
        assertThat(vent.lead()).isCloseTo(vent.minutes() - seen, Percentage.withPercentage(1e-9));
        // by then the trapped air and the falling surface have taken just the needle's band
        CaseAnswer sound = FaultCases.of(a).stream()
                .filter(c -> c.condition().with(vent.fault()).equals(vent.condition()))
                .findFirst()
                .orElseThrow();
        double before = sound.demand()
                .pressure(new ration.aircraft.model.PortRef(
                        a.project()
                                .system()
                                .all(ration.aircraft.model.GaugePort.class)
                                .findFirst()
                                .orElseThrow()
                                .id(),
                        Item.OUT))
                .orElseThrow();
        double band = Math.max(0.1 * before, 1034);
        ration.physics.tank.TankBody body = a.basis().orElseThrow().bodies().get("upper");
        double held = sound.condition().contents().get("upper");
        double left = sound.need() * seen * 60;
        double room = body.capacity() - held;
        double thinned = 101_325 - ration.physics.breathing.Vents.trapped(101_325, room, left, 1.4);
        ration.base.geometry.Point3 up = sound.condition().attitude().gravity().up();
        double fallen = (body.level(up, held) - body.level(up, held - left))
                * sound.demand().weight();
        assertThat(thinned + fallen).isCloseTo(band, Percentage.withPercentage(6));
    }

    /**
     * Behind a header nothing is seen of what fails before it until the header is empty; with its supply a needle goes
     * dark, which is seen.
     */
    @Test
    void aNeedleBehindAHeaderShowsNothingBeforeItIsEmpty() {
        Project brindle = Systems.demo("brindle-a2");
        String last = brindle.system().runs().stream()
                .filter(r -> r.to().item().equals("carburettor"))
                .findFirst()
                .orElseThrow()
                .id();
        Project project = fitted(brindle, last, NewItem.PRESSURE_SENDER);
        FaultAnswer shut = FaultSearch.of(
                Assessment.of(project), new Fault(Kind.FILTER_FOULED, "strainer", Double.POSITIVE_INFINITY));
        assertThat(shut.minutes()).isPositive();
        assertThat(shut.seen().get(0).minutes()).isEqualTo(shut.minutes());
        FaultAnswer supply = supplies(project).get(0);
        assertThat(supply.seen().get(0).what()).contains("lose power");
        assertThat(supply.lead()).isEqualTo(supply.minutes());
    }

    /** A pump draws on under a shut vent until the tank gives way: that is never called harmless. */
    @Test
    void aPumpUnderAShutVentIsNotHarmless() {
        FaultAnswer left = find(faults("tansy-l3"), Kind.VENT_SHUT, "left");
        assertThat(left.verdict()).isEqualTo(Verdict.FAILS);
        assertThat(left.why()).contains("collapse limit");
    }

    /** The header behind a dead supply goes on while it lasts: what it holds over what is missing. */
    @Test
    void aHeaderGivesMinutes() {
        Assessment a = Systems.assessed("brindle-a2");
        FaultAnswer dead = supplies(a.project()).get(0);
        double held = a.project()
                .system()
                .all(ration.aircraft.model.Header.class)
                .findFirst()
                .orElseThrow()
                .capacity()
                .si();
        assertThat(dead.share()).isZero();
        assertThat(dead.minutes()).isCloseTo(held / a.project().brief().demand() / 60, Percentage.withPercentage(1e-6));
        FaultAnswer needle = FaultSearch.of(a, new Fault(Kind.NEEDLE_STUCK_SHUT, "carburettor"));
        assertThat(needle.minutes()).as("behind the header").isZero();
    }

    /**
     * A low light in the header comes on once what stands over it is gone: V (1 - s) / q, with s the share of the
     * header under the light; upright half its height is half of it, a wedge a quarter, a lying cylinder half again.
     */
    @ParameterizedTest
    @CsvSource({
        "UPRIGHT,0.5,0.5",
        "UPRIGHT,0.25,0.75",
        "TAPERED,0.5,0.75",
        "TAPERED,0.25,0.9375",
        "LYING,0.5,0.5",
        "LYING,0.25,0.80449889"
    })
    void aLowLightInTheHeaderIsSeenInTime(Header.Form form, double height, double gone) {
        Project brindle = Systems.demo("brindle-a2");
        Header header = brindle.system().all(Header.class).findFirst().orElseThrow();
        Project lit = brindle.with(brindle.system()
                .replace(header.with(form)
                        .withLowLight(Optional.of(Measured.of(header.height().si() * height, Unit.METRE)))));
        Fault clogged = new Fault(Kind.FILTER_FOULED, "strainer", Double.POSITIVE_INFINITY);
        FaultAnswer dark = FaultSearch.of(Assessment.of(brindle), clogged);
        FaultAnswer seen = FaultSearch.of(Assessment.of(lit), clogged);
        assertThat(seen.minutes()).isCloseTo(dark.minutes(), Percentage.withPercentage(1e-9));
        assertThat(seen.seen().get(0).what()).isEqualTo("low light of Header");
        // what comes in beside the demand from a clogged strainer is nothing
        assertThat(seen.seen().get(0).minutes()).isCloseTo(gone * seen.minutes(), Percentage.withPercentage(1e-4));
        assertThat(seen.lead()).isGreaterThan(dark.lead());
    }

    /** What enough flow does not answer is never called good: flooding, leaking, a mixture gone off. */
    @Test
    void harmThatIsNoLackOfFlowIsNotShown() {
        List<FaultAnswer> all = faults("brindle-a2");
        assertThat(find(all, Kind.NEEDLE_STUCK_OPEN, "carburettor").verdict()).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(all)
                .filteredOn(f -> f.fault().kind() == Kind.FUEL_LEAK)
                .isNotEmpty()
                .noneMatch(f -> f.verdict() == Verdict.HOLDS);
        Assessment parallel = Assessment.of(Systems.said(Pattern.TWO_PUMPS_PARALLEL.project()));
        assertThat(Catalogue.of(parallel.project().system()))
                .filteredOn(f -> f.kind() == Kind.REFERENCE_OFF || f.kind() == Kind.SELECTOR_LEAKS)
                .isNotEmpty()
                .allMatch(f -> FaultSearch.of(parallel, f).verdict() == Verdict.NOT_SHOWN);
    }

    /** Stopped, or without a case that holds, every fault is still there, and none is called good. */
    @Test
    void whatWasNotAskedIsNotShown() {
        Assessment a = Systems.assessedCorrie();
        assertThat(FaultSearch.of(a, UnitSystem.US, done -> {}, () -> true))
                .hasSize(Catalogue.of(a.project().system()).size())
                .allMatch(f -> f.verdict() == Verdict.NOT_SHOWN);
        Project hungry = Systems.corrie()
                .with(Systems.corrie()
                        .brief()
                        .withPower(ration.base.quantity.Quantity.of(2000, ration.base.quantity.Unit.HORSEPOWER)));
        List<FaultAnswer> none = FaultSearch.of(Assessment.of(hungry));
        assertThat(none).isNotEmpty().allMatch(f -> f.verdict() == Verdict.NOT_SHOWN);
        FaultSum empty = FaultSum.of(List.of());
        assertThat(empty.worst()).as("nothing asked").isEqualTo(Verdict.NOT_SHOWN);
        assertThat(empty.ratio()).isZero();
        assertThat(FaultSum.of(none).worst()).isEqualTo(Verdict.NOT_SHOWN);
        List<FaultAnswer> corrie = faults(ProjectFile.DEMO);
        FaultSum sum = FaultSum.of(corrie);
        assertThat(sum.shorts())
                .isEqualTo((int) corrie.stream()
                        .filter(f -> f.verdict() == Verdict.FAILS)
                        .count())
                .isPositive();
        assertThat(sum.worst()).isEqualTo(Verdict.FAILS);
        assertThat(sum.ratio()).isBetween(0.0, 0.999);
    }

    /** In litres nothing is said in gallons. */
    @Test
    void wordsAreInTheUnitsAskedFor() {
        Assessment tansy = Systems.assessed("tansy-l3");
        List<Fault> some = Samples.some(Catalogue.of(tansy.project().system()), 24);
        List<FaultAnswer> all = FaultSearch.of(tansy, some, UnitSystem.METRIC, done -> {}, () -> false);
        assertThat(all).filteredOn(f -> !f.seen().isEmpty()).isNotEmpty();
        assertThat(all).allSatisfy(f -> assertThat(f.why() + f.seen()).doesNotContain(" gph", " psi", " gal"));
    }

    /** A second way for the air cures a shut vent; what a remedy gives is asked in FaultRemediesTest. */
    @Test
    void remediesAreSolvedAndRanked() {
        Assessment a = Systems.assessed("brindle-a2");
        List<FaultAnswer> all = faults("brindle-a2");
        Assessment corrie = Systems.assessedCorrie();
        List<FaultRemedy> vent = FaultRemedies.of(
                corrie, find(faults(ProjectFile.DEMO), Kind.VENT_SHUT, "upper"), UnitSystem.US, Task.QUIET);
        assertThat(vent.get(0).title()).isEqualTo("Vented cap on Upper tank");
        assertThat(vent.get(0).after().verdict()).isEqualTo(Verdict.HOLDS);
        FaultAnswer needle = find(faults(ProjectFile.DEMO), Kind.NEEDLE_STUCK_SHUT, "carburettor");
        assertThat(FaultRemedies.of(corrie, needle, UnitSystem.US, Task.QUIET))
                .as("nothing here helps")
                .isEmpty();
        assertThat(FaultRemedies.of(a, find(all, Kind.VENT_SHUT, "hull"), UnitSystem.US, new Task(p -> {}, () -> true)))
                .isEmpty();
    }
}
