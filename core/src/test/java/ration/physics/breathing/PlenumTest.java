package ration.physics.breathing;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import ration.Systems;
import ration.aircraft.condition.Attitude;
import ration.aircraft.condition.Condition;
import ration.aircraft.condition.Fault;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Place;
import ration.aircraft.model.Tag;
import ration.aircraft.model.Tank;
import ration.aircraft.model.VentLine;
import ration.aircraft.model.VentPlenum;
import ration.answer.assess.Assessment;
import ration.answer.assess.CaseAnswer;
import ration.base.fluid.FuelGrade;
import ration.base.geometry.Point3;
import ration.base.quantity.Measured;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;
import ration.physics.flow.FlowAnswer;
import ration.physics.flow.FlowBasis;
import ration.physics.flow.FlowQuestion;
import ration.record.file.ProjectFile;
import ration.record.project.LayoutEdits;
import ration.record.project.Project;
import ration.solver.network.FrictionLaw;
import ration.verdict.check.Check;
import ration.verdict.check.Finding;
import ration.verdict.check.Verdict;

/** Vents that come together in a plenum, against sums of the lines one by one and against p V^n. */
class PlenumTest {

    private static final double DEMAND = 2e-5;
    private static final VentLine OWN = line(0.2, 40);
    private static final VentLine SHARED = line(0.16, 24);

    private static VentLine line(double bore, double length) {
        return new VentLine(Systems.in(bore), Systems.in(length), Measured.of(0, Unit.ONE), false, List.of());
    }

    /** Two tanks on BOTH, each with a line of its own to a plenum over them. */
    private static FuelSystem shared(double leftFloor, double rightFloor) {
        FuelSystem s = Systems.twoTanks(leftFloor, rightFloor);
        for (Tank t : s.tanks()) {
            s = s.replace(t.with(t.fitout().withVent(Optional.of(OWN.leadingTo(Optional.of("plenum"))))));
        }
        return s.plus(
                new VentPlenum(new Tag("plenum", "Plenum", Place.inches(10, 0, 50)), SHARED, Place.inches(10, 0, 60)));
    }

    private static double drop(VentLine v, double flow) {
        return AirLine.of(v).drop(flow);
    }

    private static Condition both(FuelSystem s, double pitch, double tilt) {
        Condition level = Systems.level(s, 4);
        return new Condition(
                Attitude.ofDegrees("Turned", pitch, tilt),
                level.contents(),
                Map.of("selector", "BOTH"),
                level.stopped(),
                level.shutValves(),
                level.fuelKelvin());
    }

    /** The whole demand passes the shared line, its share each tank's own, wherever tanks and plenum stand. */
    @Property(tries = 15)
    void pressureOverTheFuelIsTheSumOfTheLines(
            @ForAll @DoubleRange(min = 20, max = 40) double left,
            @ForAll @DoubleRange(min = 20, max = 40) double right,
            @ForAll @DoubleRange(min = -10, max = 12) double pitch,
            @ForAll @DoubleRange(min = -8, max = 8) double tilt) {
        FuelSystem s = shared(left, right);
        FlowAnswer a = new FlowBasis(s, FuelGrade.AVGAS_100LL, FrictionLaw.CONSERVATIVE)
                .ask(both(s, pitch, tilt), new FlowQuestion.Demand(DEMAND));
        assertThat(a.usable()).as(a.reason()).isTrue();
        double sum = 0;
        for (Tank t : s.tanks()) {
            double out = a.outflow(t);
            double air = Math.signum(out) * drop(OWN, out) + drop(SHARED, DEMAND);
            assertThat(a.solution().pressure(t.id() + "~surface").orElseThrow()).isCloseTo(-air, Offset.offset(1e-6));
            sum += out;
        }
        assertThat(sum).isCloseTo(DEMAND, Offset.offset(1e-12));
    }

    /**
     * Both tanks breathe the same shut-in air: with so much gone the solver finds just the least pressure at the inlet.
     */
    @Test
    void aBlockedPlenumStarvesEveryTankUnderItWhenTheSumSays() {
        Project p = Systems.project(shared(30, 30));
        Assessment a = Assessment.of(p);
        AirAnswerOf found = new AirAnswerOf(a);
        assertThat(found.finding("plenum").verdict()).isEqualTo(Verdict.FAILS);
        assertThat(found.finding("plenum").detail().in(UnitSystem.US)).contains("flow falls below demand");
        var blocked = ration.answer.assess.AirAnswer.blocked(
                        p,
                        p.system()
                                .all(ration.aircraft.model.VentPlenum.class)
                                .findFirst()
                                .orElseThrow(),
                        a.cases().stream()
                                .filter(c -> c.condition().positions().containsValue("LEFT")
                                        && c.condition().attitude().name().equals("Climb"))
                                .toList(),
                        a.tanks())
                .orElseThrow();
        CaseAnswer half = blocked.look();
        double room = p.system().tanks().stream()
                .mapToDouble(t -> a.tank(t.id()).orElseThrow().body().capacity()
                        - half.condition().contents().get(t.id()))
                .sum();
        double gone = blocked.soonest().volume();
        String feeds = half.capacity().path().get(0).item();
        double thin = 101_325 * Math.pow(Math.max(1e-6, room) / (Math.max(1e-6, room) + gone), 1.4) - 101_325;
        CaseAnswer then = a.look(half.condition()
                        .withContents(feeds, half.condition().contents().get(feeds) - gone)
                        .withAirspace(Map.of("left", thin, "right", thin)))
                .orElseThrow();
        double left = then.inletPressureAtDemand(p.system()).orElseThrow()
                - p.system().inlet().orElseThrow().minimumPressure().si();
        assertThat(left).as("what is left, Pa").isCloseTo(0, Offset.offset(2.0));
        double alone = a.air().stream()
                .filter(x -> x.tank().id().equals("left"))
                .findFirst()
                .orElseThrow()
                .blocked()
                .orElseThrow()
                .soonest()
                .volume();
        assertThat(gone).as("more air is shut in with the other tank").isGreaterThanOrEqualTo(alone);
    }

    /** What the findings say, read as a user reads them. */
    private record AirAnswerOf(Assessment a) {
        Finding finding(String item) {
            return a.findings().stream()
                    .filter(f -> f.check() == Check.AIR_BLOCKED && f.item().equals(item))
                    .findFirst()
                    .orElseThrow();
        }
    }

    /**
     * A plenum shut as a fault shuts the tanks under it too: what its line cost is gone, and nothing else feeds air.
     */
    @Test
    void aShutPlenumIsTheFaultOfAllUnderIt() {
        FuelSystem s = shared(30, 30);
        FlowBasis basis = new FlowBasis(s, FuelGrade.AVGAS_100LL, FrictionLaw.CONSERVATIVE);
        Condition shut = both(s, 0, 0)
                .with(new Fault(Fault.Kind.VENT_SHUT, "plenum"))
                .withAirspace(Map.of("left", -900.0, "right", -900.0));
        FlowAnswer a = basis.ask(shut, new FlowQuestion.Demand(DEMAND));
        FlowAnswer open = basis.ask(both(s, 0, 0), new FlowQuestion.Demand(DEMAND));
        var inlet = new ration.aircraft.model.PortRef("carburettor", "in");
        double lost = drop(SHARED, DEMAND) + drop(OWN, DEMAND / 2);
        assertThat(open.pressure(inlet).orElseThrow() - a.pressure(inlet).orElseThrow())
                .as("two answers, each good to a millionth of a pascal")
                .isCloseTo(900 - lost, Offset.offset(2e-6));
    }

    /**
     * One press on a tank's card joins all vents; taking the plenum away leads them outside again; the file keeps it.
     */
    @Test
    void ventsAreJoinedKeptAndPartedAgain() throws Exception {
        Project tansy = Systems.demo("tansy-l3");
        String tank = tansy.system().tanks().get(0).id();
        FuelSystem joined = Systems.offer(tansy.system(), tank, "Join all vents in a plenum")
                .on(tansy.system());
        assertThat(joined.all(VentPlenum.class)).hasSize(1);
        assertThat(joined.tanks())
                .filteredOn(t -> t.vent().isPresent())
                .allSatisfy(t -> assertThat(VentPath.of(joined, t).shares()).isPresent());
        Project saved = ProjectFile.read(
                ProjectFile.text(tansy.with(joined)).getBytes(StandardCharsets.UTF_8), "joined.ration");
        assertThat(saved.system()).isEqualTo(joined);
        assertThat(Assessment.of(saved).findings()).anySatisfy(f -> {
            assertThat(f.check()).isEqualTo(Check.AIR_BLOCKED);
            assertThat(f.item()).isEqualTo("vent-plenum");
        });
        FuelSystem parted =
                LayoutEdits.remove(joined, "vent-plenum").orElseThrow().system();
        assertThat(parted.tanks())
                .allSatisfy(t -> assertThat(VentPath.of(parted, t).open()).isTrue());
    }

    /** A plenum has no fuel ports: asked for a pressure there, the answer says none. */
    @Test
    void nothingIsKnownAtAPortThatIsNotThere() {
        FuelSystem s = shared(30, 30);
        FlowAnswer a = new FlowBasis(s, FuelGrade.AVGAS_100LL, FrictionLaw.CONSERVATIVE)
                .ask(both(s, 0, 0), new FlowQuestion.Demand(DEMAND));
        assertThat(a.pressure(new ration.aircraft.model.PortRef("plenum", "in")))
                .isEmpty();
        assertThat(a.head(new ration.aircraft.model.PortRef("plenum", "in"))).isEmpty();
    }

    /** Its line dips below both ends: liquid closes it for all. */
    @Test
    void aDipInItsLineIsATrap() {
        FuelSystem s = shared(30, 30);
        VentPlenum p = s.all(VentPlenum.class).findFirst().orElseThrow();
        FuelSystem dips = s.replace(p.with(SHARED.withPoints(List.of(Place.inches(10, 5, 46)))));
        assertThat(LowPoints.of(dips, new Point3(0, 0, 1)).points()).anySatisfy(f -> {
            assertThat(f.kind()).isEqualTo(LowPoints.Kind.VENT_TRAP);
            assertThat(f.item()).isEqualTo("plenum");
        });
    }
}
