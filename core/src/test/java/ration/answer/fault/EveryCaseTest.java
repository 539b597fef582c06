package ration.answer.fault;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import ration.RandomEdits;
import ration.Samples;
import ration.Systems;
import ration.aircraft.condition.Fault;
import ration.aircraft.condition.Fault.Kind;
import ration.aircraft.model.EveryKind;
import ration.aircraft.model.Item;
import ration.aircraft.model.Tank;
import ration.answer.assess.Assessment;
import ration.answer.assess.CaseAnswer;
import ration.answer.assess.FaultCases;
import ration.answer.assess.FaultCases.Asked;
import ration.answer.drawdown.UsualFlight;
import ration.base.quantity.Measured;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;
import ration.physics.flow.FlowAnswer;
import ration.physics.flow.WaysToFail;
import ration.record.file.ProjectFile;
import ration.record.project.Pattern;
import ration.record.project.Project;
import ration.verdict.check.Verdict;

/** Each failure is asked where it hurts: in every judged case, every phase of the flight, on the hot day. */
class EveryCaseTest {

    /** The demos, whole systems, starting layouts, and layouts as some random edits leave them. */
    static List<String> documents() {
        List<String> some = new ArrayList<>(List.of(
                "corrie-b1",
                "tansy-l3",
                "brindle-a2",
                "GRAVITY_SELECTOR",
                "HULL_AND_PYLON",
                "TWO_PUMPS_PARALLEL",
                "jet-siphon"));
        Stream<String> rest =
                Stream.concat(Arrays.stream(Pattern.values()).map(Pattern::name), ProjectFile.systems().stream());
        some.addAll(
                Samples.of(0, 1) == 0
                        ? List.of()
                        : rest.filter(n -> !some.contains(n)).toList());
        IntStream.range(0, Samples.of(3, 60)).mapToObj(i -> RANDOM + i).forEach(some::add);
        return some;
    }

    private static final String RANDOM = "random ";

    private static Project document(String name) {
        return name.startsWith(RANDOM)
                ? random(new Random(Long.parseLong(name.substring(RANDOM.length()))))
                : name.equals(name.toUpperCase(java.util.Locale.ROOT))
                        ? Systems.said(Pattern.valueOf(name).project())
                        : Systems.demo(name);
    }

    /** A demo after some edits, those taken back that leave a layout which cannot be computed or holds in no case. */
    private static Project random(Random random) {
        Project p = Systems.demo(List.of("corrie-b1", "brindle-a2", "tansy-l3").get(random.nextInt(3)));
        for (int i = 0; i < 4; i++) {
            Project next = RandomEdits.edited(p, random);
            Assessment a = Assessment.ahead(next, Optional.empty());
            p = !a.blocked()
                            && FaultCases.all(a, UsualFlight.meant(next).phases()).stream()
                                    .anyMatch(c -> !c.flown() && FaultCases.holds(a, c))
                    ? next
                    : p;
        }
        return p;
    }

    private static List<FaultAnswer> searched(Assessment a, List<Fault> some) {
        return FaultSearch.of(a, some, UnitSystem.US, done -> {}, () -> false);
    }

    /**
     * The plain way: every case solved anew with what failed in it, nothing skipped, nothing kept; the least of those
     * that use it is what is said.
     */
    @ParameterizedTest
    @MethodSource("documents")
    void theShareSaidIsTheLeastOfAllCases(String name) {
        Assessment a = Assessment.of(document(name));
        List<Asked> all = FaultCases.all(a, UsualFlight.meant(a.project()).phases()).stream()
                .filter(c -> FaultCases.holds(a, c))
                .toList();
        List<Fault> faults = Catalogue.of(a.project().system());
        int asked = 0;
        int every = Samples.of(24, 1);
        List<Fault> some = IntStream.range(0, faults.size())
                .filter(i -> (i + name.hashCode()) % every == 0)
                .mapToObj(faults::get)
                .toList();
        for (FaultAnswer said : searched(a, some)) {
            Fault f = said.fault();
            if (Double.isNaN(said.share()) || f.kind() == Kind.FUEL_VOLATILE) {
                continue;
            }
            asked++;
            double least = Double.POSITIVE_INFINITY;
            double any = Double.POSITIVE_INFINITY;
            for (Asked c : all) {
                CaseAnswer now = FaultCases.failed(a, a.basis().orElseThrow().aside(), c.sound(), f);
                double share = now.capacity().usable() ? now.capacity().inletFlow() / now.need() : 0;
                boolean boils =
                        share >= 1 && FaultCases.degrees(a, now, c.airs()).orElse(1) < 0;
                double arrives = boils ? 0 : share;
                any = Math.min(any, arrives);
                if (boils || Math.abs(share - c.sound().margin()) > 1e-6 || uses(a, f, c.sound())) {
                    least = Math.min(least, arrives);
                }
            }
            assertThat(said.share())
                    .as(said.part() + " " + Catalogue.words(f))
                    .isCloseTo(Double.isInfinite(least) ? any : least, Offset.offset(2e-6));
            assertThat(said.verdict() == Verdict.HOLDS && any < 1)
                    .as(said.part() + " " + Catalogue.words(f))
                    .isFalse();
        }
        assertThat(asked).isPositive();
    }

    /** Whether any fuel goes through what failed. */
    private static boolean uses(Assessment a, Fault f, CaseAnswer sound) {
        Optional<Item> item = a.project().system().item(f.item());
        Optional<Tank> tank = item.flatMap(i -> i.only(Tank.class));
        if (tank.isPresent() && !f.port().isEmpty()) {
            return tank.get().outlets().stream()
                    .filter(o -> o.name().equals(f.port()))
                    .anyMatch(o -> Math.abs(sound.demand().outflow(tank.get(), o)) > FlowAnswer.NO_FLOW);
        }
        if (f.kind() == Kind.SUPPLY_DEAD) {
            return a.project()
                    .system()
                    .all(ration.aircraft.model.Pump.class)
                    .filter(p -> p.drive() == ration.aircraft.model.Pump.Drive.ELECTRIC
                            && (f.port().isEmpty() || p.bus().equals(f.port())))
                    .anyMatch(p -> sound.demand().carries(p.id()));
        }
        return tank.map(t -> f.kind() == Kind.FUEL_LEAK
                        ? sound.demand().carries(t.id())
                        : Math.abs(sound.demand().outflow(t)) > FlowAnswer.NO_FLOW)
                .orElseGet(() -> sound.demand().carries(f.item()));
    }

    /**
     * R2 pinched to half brings 1.11 of the demand in the climb and less than it on the take-off run, which governs the
     * ledger.
     */
    @Test
    void theTakeOffRunIsAsked() {
        FaultAnswer pinched = FaultSearch.of(Systems.assessedCorrie(), new Fault(Kind.LINE_PINCHED, "r2", 0.5));
        assertThat(pinched.verdict()).isEqualTo(Verdict.FAILS);
        assertThat(pinched.where()).startsWith("Takeoff run");
        assertThat(pinched.share()).isLessThan(0.95);
    }

    /** Both ends of a run, every port of a part; what comes into a return goes to its tank. */
    @Test
    void airComesInAtEveryWettedEnd() {
        Assessment a = Systems.assessed("tansy-l3");
        for (String id : List.of("r1", "r2", "r5", "r3")) {
            FaultAnswer f = FaultSearch.of(a, new Fault(Kind.AIR_LEAK, id));
            assertThat(f.verdict()).as(id).isEqualTo(Verdict.FAILS);
            assertThat(f.why()).as(id).contains("Air leaks in");
        }
        assertThat(FaultSearch.of(a, new Fault(Kind.AIR_LEAK, "r9")).verdict())
                .as("a return")
                .isEqualTo(Verdict.HOLDS);
    }

    /** A leg that stands under suction lets air in too: it is open to the line that flows. */
    @Test
    void airComesInThroughALegThatStands() {
        Assessment a = Systems.assessed("jet-siphon");
        List<FaultAnswer> leaks = searched(
                a,
                Catalogue.of(a.project().system()).stream()
                        .filter(f -> f.kind() == Kind.AIR_LEAK)
                        .toList());
        assertThat(leaks).isNotEmpty().allMatch(f -> f.verdict() == Verdict.HOLDS || f.verdict() == Verdict.FAILS);
    }

    /**
     * Every kind of part has a way to fail, every way has its source and some part that knows it, and each of them is
     * answered.
     */
    @Test
    void everyKindKnowsItsWays() {
        Set<Kind> known = EnumSet.noneOf(Kind.class);
        for (Item item : EveryKind.all()) {
            assertThat(WaysToFail.of(item)).as(item.kind()).isNotEmpty().doesNotHaveDuplicates();
            known.addAll(WaysToFail.of(item));
        }
        assertThat(known).containsExactlyInAnyOrder(Kind.values());
        assertThat(Kind.values()).allSatisfy(k -> {
            assertThat(k.source(ration.verdict.standard.Standard.PART_23))
                    .as(k.name())
                    .isNotBlank();
            assertThat(k.words()).as(k.name()).isNotBlank();
        });
    }

    /**
     * A header whose vent is shut stands under what feeds it, and its reserve is gone; a nozzle, an orifice, a coupling
     * that shut pass nothing.
     */
    @Test
    void whatIsNotLackOfFlowIsNeverCalledHarmless() {
        Assessment brindle = Systems.assessed("brindle-a2");
        FaultAnswer header = FaultSearch.of(brindle, new Fault(Kind.VENT_SHUT, "header"));
        assertThat(header.verdict()).isIn(Verdict.NOT_SHOWN, Verdict.FAILS);
        assertThat(header.why()).containsAnyOf("endurance is lost", "maximum 5.00 psi");
        FaultAnswer knocked = FaultSearch.of(brindle, new Fault(Kind.VALVE_SHUT, "shut-off"));
        assertThat(knocked.share()).isZero();
        for (String demo : List.of("corrie-b1", "brindle-a2", "tansy-l3")) {
            Assessment a = Systems.assessed(demo);
            assertThat(searched(
                            a,
                            Catalogue.of(a.project().system()).stream()
                                    .filter(f -> EnumSet.of(
                                                    Kind.CAP_LOST,
                                                    Kind.SELECTOR_STUCK,
                                                    Kind.INDICATION_WRONG,
                                                    Kind.FUEL_LEAK)
                                            .contains(f.kind()))
                                    .toList()))
                    .isNotEmpty()
                    .noneMatch(f -> f.verdict() == Verdict.HOLDS);
        }
    }

    /**
     * With the inlet over its most already, a failure that has nothing to do with it is not told as one more of the
     * same.
     */
    @Test
    void whatTheSoundLayoutFailsIsSaidOnce() {
        Project sound = Systems.demo("tansy-l3");
        Project p = sound.with(sound.system()
                .change(
                        "servo",
                        ration.aircraft.model.EngineInlet.class,
                        e -> e.withPressures(
                                e.minimumPressure(),
                                Optional.of(
                                        Measured.of(e.minimumPressure().si() / 6894.757 + 0.5, Unit.PSI, "print")))));
        Assessment a = Assessment.of(p);
        assertThat(FaultSearch.already(a, ration.base.quantity.UnitSystem.US))
                .isPresent()
                .get()
                .asString()
                .contains("with nothing failed");
        assertThat(FaultSearch.already(Assessment.of(sound), ration.base.quantity.UnitSystem.US))
                .isEmpty();
        assertThat(FaultSearch.of(a))
                .filteredOn(f -> f.harm() == FaultAnswer.Harm.PRESSURE)
                .as("only what drives it up")
                .allMatch(f -> f.why().contains("without the" + " failure"));
    }

    /** A shut vent is soonest where there is least air: in a full tank, in whatever attitude. */
    @ParameterizedTest
    @ValueSource(strings = {"upper", "fuselage"})
    void aShutVentIsSoonestWithAFullTank(String tank) {
        Assessment a = Systems.assessedCorrie();
        Fault shut = new Fault(Kind.VENT_SHUT, tank);
        FaultAnswer said = FaultSearch.of(a, shut);
        List<Double> plain = new ArrayList<>();
        FaultCases.all(a, UsualFlight.meant(a.project()).phases()).stream()
                .filter(c -> FaultCases.holds(a, c)
                        && c.sound().demand().outflow((Tank)
                                        a.project().system().item(tank).orElseThrow())
                                > 0)
                .forEach(c -> plain.add(ration.answer.drawdown.Lasting.minutes(
                        a.basis().orElseThrow(),
                        c.sound().condition().with(shut),
                        c.sound().need(),
                        60)));
        assertThat(said.minutes())
                .isCloseTo(plain.stream().mapToDouble(m -> m).min().orElseThrow(), Offset.offset(1e-6));
        assertThat(said.minutes()).isLessThan(tank.equals("upper") ? 0.35 : 0.2);
        assertThat(said.why()).contains(" gal flows before");
    }

    /** A way out holds in the case the pilot did not think of as well. */
    @Test
    void aWayOutHoldsInEveryCase() {
        Assessment a = Systems.assessedCorrie();
        FaultAnswer pinched = FaultSearch.of(a, new Fault(Kind.LINE_PINCHED, "r3", 0.5));
        assertThat(pinched.wayOut().orElseThrow().does()).startsWith("UPPER");
        double least = a.cases().stream()
                .filter(c -> c.judged()
                        && !c.condition().engine().fouled()
                        && c.condition().positions().containsValue("UPPER"))
                .mapToDouble(c -> FaultCases.failed(a, a.basis().orElseThrow(), c, pinched.fault())
                        .margin())
                .min()
                .orElseThrow();
        assertThat(pinched.wayOut().orElseThrow().share()).isCloseTo(least, Offset.offset(1e-6));
    }
}
