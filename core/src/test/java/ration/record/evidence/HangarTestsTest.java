package ration.record.evidence;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import ration.Systems;
import ration.aircraft.model.Fitout;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Item;
import ration.aircraft.model.Outlet;
import ration.aircraft.model.Place;
import ration.aircraft.model.ShutOff;
import ration.aircraft.model.Tag;
import ration.aircraft.model.Tank;
import ration.aircraft.model.TankShape;
import ration.aircraft.model.Tee;
import ration.aircraft.topology.Passing;
import ration.aircraft.topology.Topology;
import ration.answer.assess.Assessment;
import ration.answer.assess.Ledger;
import ration.answer.assess.TankAnswer;
import ration.base.quantity.Measured;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;
import ration.record.file.TestsCsv;
import ration.record.project.Project;
import ration.verdict.check.Verdict;

/** What tests say of tanks, and when they stop saying it. */
class HangarTestsTest {

    private static Measured gal(double v) {
        return Measured.of(v, Unit.GALLON, "can");
    }

    private static HangarTest test(String id, Tank tank, Work work, boolean done) {
        return new HangarTest(
                id,
                tank.id(),
                new HangarTest.Circumstances(
                        "2026-03-01", "builder", "can", Optional.empty(), "", Fingerprint.of(tank)),
                work,
                new HangarTest.Progress(7, 100, done));
    }

    private static Work.Drain drained(double poured, double... back) {
        Work.Drain d = new Work.Drain("LEFT", Measured.of(0, Unit.DEGREE), Measured.of(0, Unit.DEGREE), List.of());
        for (double b : back) {
            d = d.plus(new Work.Trial(gal(poured), Optional.of(gal(b))));
        }
        return d;
    }

    /** A flat tank of so many gallons whose outlet lies at its lowest corner: the shape leaves nothing, level. */
    private static Tank tank(String id, double gallons, double bl) {
        double inches = gallons * 231 / (20 * 16);
        TankShape box = new TankShape.Box(Place.inches(0, bl, 40), Systems.in(20), Systems.in(16), Systems.in(inches));
        return new Tank(
                id,
                id,
                box,
                List.of(new Outlet("outlet", Place.inches(10, bl + 8, 40), Systems.in(0.3), Optional.empty())),
                Optional.of(Place.inches(0, 0, 60)),
                Optional.empty(),
                gal(0.1));
    }

    private static Project project(Tank left, Tank right, HangarTest... tests) {
        Project p = Systems.project(new FuelSystem(List.of(left, right, Systems.inlet()), Optional.empty()));
        // flown level only, so that the drain test says more than the shape
        Measured none = Measured.of(0, Unit.DEGREE);
        return p.with(p.brief()
                        .withEnvelope(new ration.record.project.Brief.Envelope(none, none, none, none, none, none)))
                .withTests(List.of(tests));
    }

    /**
     * The usual drain test: 2.5 gal in, 1.8 back, from each of two tanks of 44.0 together: 1.4 unusable, 42.6 usable.
     * Common practice, no source.
     */
    @Test
    void theUsualDrainTest() {
        Tank left = tank("left", 22, -30);
        Tank right = tank("right", 22, 14);
        Assessment a = Assessment.of(project(
                left, right, test("1", left, drained(2.5, 1.8), true), test("2", right, drained(2.5, 1.8), true)));
        double unusable = a.tanks().stream().mapToDouble(TankAnswer::unusable).sum();
        double usable = a.tanks().stream().mapToDouble(TankAnswer::usable).sum();
        assertThat(Unit.GALLON.fromSi(unusable)).isCloseTo(1.4, Offset.offset(1e-9));
        assertThat(Unit.GALLON.fromSi(usable)).isCloseTo(42.6, Offset.offset(1e-6));
        assertThat(a.tanks()).allSatisfy(t -> {
            assertThat(t.source()).isEqualTo(TankAnswer.Source.DRAINED);
            assertThat(t.verdict()).isEqualTo(Verdict.FAILS);
        });
        Ledger.Entry entry = Ledger.of(a, UnitSystem.US).unusable();
        assertThat(entry.figure()).isEqualTo("0.70 gal");
        assertThat(entry.detail()).contains("Drain test");
    }

    /** Two tanks of 60.5 gal together, 56 usable: 2.25 unusable in each. Common practice, no source. */
    @Test
    void thePublishedFigureOfTwoTanks() {
        Tank left = tank("left", 30.25, -30).with(Fitout.NONE.withPublished(Optional.of(gal(2.25))));
        Tank right = tank("right", 30.25, 14).with(Fitout.NONE.withPublished(Optional.of(gal(2.25))));
        Assessment a = Assessment.of(project(left, right, test("1", left, drained(2.5, 1.8), true)));
        assertThat(Unit.GALLON.fromSi(
                        a.tanks().stream().mapToDouble(TankAnswer::usable).sum()))
                .isCloseTo(56, Offset.offset(1e-6));
        assertThat(a.tank("left").orElseThrow().source())
                .as("the largest governs")
                .isEqualTo(TankAnswer.Source.PUBLISHED);
    }

    @Test
    void theLargestTrialCountsAndScatterIsSaid() {
        Tank t = tank("left", 20, 0);
        TankEvidence.Drained d = evidence(t, List.of(test("1", t, drained(2.5, 1.8, 1.7, 1.9), true)))
                .drained()
                .get(0);
        assertThat(Unit.GALLON.fromSi(d.largest())).isCloseTo(0.8, Offset.offset(1e-9));
        assertThat(Unit.GALLON.fromSi(d.mean())).isCloseTo(0.7, Offset.offset(1e-9));
        assertThat(Unit.GALLON.fromSi(d.scatter())).isCloseTo(0.2, Offset.offset(1e-9));
        assertThat(d.trials()).isEqualTo(3);
    }

    @Test
    void anInterruptedTestProvesNothing() {
        Tank t = tank("left", 20, 0);
        assertThat(evidence(t, List.of(test("1", t, drained(2.5, 1.8), false)))).isEqualTo(TankEvidence.NONE);
    }

    @Test
    void aMovedOutletMakesATestStaleAndAnewPlacardDoesNot() {
        Tank t = tank("left", 20, 0);
        List<HangarTest> tests = List.of(test("1", t, drained(2.5, 1.8), true));
        Tank other = t.withUnusable(gal(3)).renamed("Port tank").withVent(Optional.empty());
        assertThat(evidence(other, tests).drains()).hasSize(1);
        Tank moved = t.withOutlets(List.of(t.outlets().get(0).at(Place.inches(11, 8, 40))));
        TankEvidence stale = evidence(moved, tests);
        assertThat(stale.drains()).isEmpty();
        assertThat(stale.stale()).hasSize(1);
        assertThat(evidence(t.raised(0.0254), tests).drains())
                .as("the whole tank higher")
                .hasSize(1);
        Tank longer =
                t.withShape(new TankShape.Box(Place.inches(0, 0, 40), Systems.in(21), Systems.in(16), Systems.in(9)));
        assertThat(Fingerprint.of(longer)).isNotEqualTo(Fingerprint.of(t));
    }

    @Test
    void fillsOverrideTheShapeAndGiveMarks() {
        Tank t = tank("left", 20, 0);
        double tall = 20 * 231.0 / 320;
        Work.Fill fill = new Work.Fill(Work.Stands.LEVEL, Measured.of(0, Unit.DEGREE), List.of());
        for (int i = 1; i <= 4; i++) {
            fill = fill.plus(new Work.Pour(gal(4.75), Optional.of(Measured.of(tall * i / 4, Unit.INCH))));
        }
        TankEvidence e = evidence(t, List.of(test("1", t, fill, true)));
        assertThat(e.marks(0)).hasSize(4);
        assertThat(e.marks(Math.toRadians(12))).isEmpty();
        Assessment a = Assessment.of(project(t, tank("right", 20, 20), test("1", t, fill, true)));
        assertThat(Unit.GALLON.fromSi(a.tank("left").orElseThrow().full()))
                .as("5 % less went in than the shape says")
                .isCloseTo(19, Offset.offset(1e-6));
        double reading = a.tank("left")
                .orElseThrow()
                .gauge(ration.aircraft.condition.Attitude.ofDegrees("Level", 0, 0))
                .reading(gal(9.5).si());
        assertThat(Unit.INCH.fromSi(reading)).isCloseTo(tall / 2, Offset.offset(1e-6));
    }

    /** 34 of 44 with 10 in: the meter agrees with what was expected. Common practice, no source. */
    @Test
    void toppingOffGivesTheCapacity() {
        Tank t = tank("left", 45, 0);
        TankEvidence e = evidence(t, List.of(test("1", t, new Work.TopOff(gal(10), Optional.of(gal(34))), true)));
        assertThat(Unit.GALLON.fromSi(e.capacity().orElseThrow())).isCloseTo(44, Offset.offset(1e-9));
        Assessment a = Assessment.of(
                project(t, tank("right", 20, 20), test("1", t, new Work.TopOff(gal(10), Optional.of(gal(34))), true)));
        assertThat(Unit.GALLON.fromSi(a.tank("left").orElseThrow().full())).isCloseTo(44, Offset.offset(1e-6));
    }

    // paths between tanks

    @Test
    void bothJoinsTanksAndOneAloneDoesNot() {
        FuelSystem s = Systems.twoTanks(20, 20);
        Tank left = s.tanks().get(0);
        assertThat(Topology.of(s).joined(left, Passing.untrusted(Map.of("selector", "BOTH"), Set.of())))
                .extracting(Item::id)
                .containsExactly("right");
        assertThat(Topology.of(s).joined(left, Passing.untrusted(Map.of("selector", "LEFT"), Set.of())))
                .isEmpty();
        assertThat(Topology.of(s).joined(left, Passing.untrusted(Map.of("selector", "OFF"), Set.of())))
                .isEmpty();
        assertThat(Topology.of(s).joined(left, Passing.untrusted(Map.of(), Set.of())))
                .isEmpty();
    }

    @Test
    void teedTanksStayJoinedUntilAValveShutsThem() {
        Tee tee = new Tee(new Tag("tee", "Tee", Place.inches(0, 0, 10)), Systems.in(0.3));
        ShutOff valve =
                new ShutOff(new Tag("v", "V", Place.inches(0, 0, 12)), ration.aircraft.model.Rated.of(20, 0.03, ""));
        FuelSystem s = new FuelSystem(
                List.of(
                        Systems.tank("left", 0, -20, 20),
                        Systems.tank("right", 0, 20, 20),
                        tee,
                        valve,
                        Systems.inlet(),
                        Systems.run("r1", "left.outlet", "v.in", 5),
                        Systems.run("r2", "v.out", "tee.in", 5),
                        Systems.run("r3", "right.outlet", "tee.branch", 5),
                        Systems.run("r4", "tee.out", "carburettor.in", 5)),
                Optional.empty());
        assertThat(Topology.of(s).joined(s.tanks().get(0), Passing.untrusted(Map.of(), Set.of())))
                .hasSize(1);
        assertThat(Topology.of(s).joined(s.tanks().get(0), Passing.untrusted(Map.of(), Set.of("v"))))
                .isEmpty();
    }

    // attitude from heights

    @Test
    void noseHeightBecomesPitch() {
        assertThat(Math.toDegrees(NoseHeight.pitch(1.5, 1.0, 2.0))).isCloseTo(14.4775, Offset.offset(1e-4));
        assertThat(NoseHeight.pitch(1, 1, 3)).isZero();
        assertThat(NoseHeight.pitch(0.8, 1, 3)).isNegative();
        assertThatThrownBy(() -> NoseHeight.pitch(1, 1, 0)).hasMessageContaining("above 0");
        assertThatThrownBy(() -> NoseHeight.pitch(3, 0, 3)).hasMessageContaining("measure them again");
    }

    // tables

    @Test
    void testsComeBackFromTheirTable() {
        Tank t = tank("left", 20, 0);
        Work.Fill fill = new Work.Fill(
                Work.Stands.PARKED,
                Measured.of(12, Unit.DEGREE),
                List.of(
                        new Work.Pour(gal(2), Optional.empty()),
                        new Work.Pour(Measured.of(8, Unit.LITRE), Optional.of(Systems.in(1.25)))));
        List<HangarTest> all = List.of(
                test("a", t, drained(2.5, 1.8, 1.75), true),
                test("b", t, fill, false),
                test("c", t, new Work.TopOff(gal(10), Optional.of(gal(34))), true));
        List<HangarTest> back = TestsCsv.read(TestsCsv.write(all));
        assertThat(back).hasSize(3);
        for (int i = 0; i < 3; i++) {
            assertThat(TestsCsv.write(List.of(back.get(i)))).isEqualTo(TestsCsv.write(List.of(all.get(i))));
            assertThat(back.get(i).progress().done())
                    .isEqualTo(all.get(i).progress().done());
        }
        assertThat(((Work.Drain) back.get(0).work()).stayed())
                .isEqualTo(((Work.Drain) all.get(0).work()).stayed());
    }

    @Test
    void aBadTableSaysWhere() {
        assertThatThrownBy(() -> TestsCsv.read("a,b\n1,2")).hasMessageContaining("names of its columns");
        assertThatThrownBy(() -> TestsCsv.read("id,kind,tank,poured\n1,drain,left,two gallons"))
                .hasMessageContaining("Row 2")
                .hasMessageContaining("poured");
        assertThatThrownBy(() -> TestsCsv.read("id,kind,tank\n1,weigh,left"))
                .hasMessageContaining("drain, fill, top-off");
        assertThatThrownBy(() -> TestsCsv.read("id,kind,tank\n1,drain,left\n1,fill,left"))
                .hasMessageContaining("belong together");
    }

    @Test
    void everyStepOfEveryTestSaysWhatToDo() {
        FuelSystem s = Systems.twoTanks(20, 20);
        Tank t = s.tanks().get(0);
        for (Work w : List.of(
                drained(2.5),
                new Work.Fill(Work.Stands.LEVEL, Measured.of(0, Unit.DEGREE), List.of()),
                new Work.TopOff(gal(0), Optional.empty()))) {
            List<Procedure.Step> steps = Procedure.of(w, s, t);
            assertThat(steps.get(0).caution()).contains("ventilated", "Extinguisher", "bond", "waste");
            assertThat(steps.get(steps.size() - 1).asks()).isEqualTo(Procedure.Asks.RESULT);
            assertThat(steps).allSatisfy(x -> assertThat(x.title()).isNotBlank());
        }
        assertThat(Procedure.of(drained(2.5), s, t).stream().map(Procedure.Step::words))
                .anyMatch(x -> x.contains("OFF"));
    }

    private static TankEvidence evidence(Tank t, List<HangarTest> tests) {
        return TankEvidence.of(
                t,
                tests,
                new AsBuilt(
                        new FuelSystem(List.of(t), Optional.empty()),
                        ration.base.fluid.FuelGrade.AVGAS_100LL,
                        Math.toRadians(12)));
    }
}
