package ration.answer.assess;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import ration.Systems;
import ration.aircraft.model.FingerScreen;
import ration.aircraft.model.Fitout;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Header;
import ration.aircraft.model.Outlet;
import ration.aircraft.model.Place;
import ration.aircraft.model.Tank;
import ration.aircraft.model.TankShape;
import ration.base.quantity.Measured;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;
import ration.record.evidence.Fingerprint;
import ration.record.evidence.HangarTest;
import ration.record.evidence.Work;
import ration.record.project.Brief;
import ration.record.project.Pattern;
import ration.record.project.Project;
import ration.verdict.check.Finding;
import ration.verdict.check.Verdict;

/** What is asked of tanks, at the figures of 14 CFR 23 before 2017 as the handbook works them out (from memory). */
class TankChecksTest {

    private static final double FLOOR = 30;
    private static final double DEEP = 10;

    /** A box of so many gallons, 20 in long and 10 deep, its outlet in the middle of the floor, a drain beside it. */
    private static Tank box(double gallons, double lip) {
        double wide = gallons * 231 / (20 * DEEP);
        TankShape shape = new TankShape.Box(
                Place.inches(0, -wide / 2, FLOOR), Systems.in(20), Systems.in(wide), Systems.in(DEEP));
        return new Tank(
                "tank",
                "Tank",
                shape,
                List.of(new Outlet("outlet", Place.inches(10, 0, FLOOR + lip), Systems.in(0.305), Optional.empty())),
                Optional.empty(),
                Optional.of(Place.inches(10, 1, FLOOR)),
                Measured.of(0.1, Unit.GALLON));
    }

    /** Flown and parked level. */
    private static Project project(Tank tank) {
        Measured none = Measured.of(0, Unit.DEGREE);
        Project p = Systems.project(new FuelSystem(
                List.of(tank, Systems.inlet(), Systems.run("r1", "tank.outlet", "carburettor.in", 40)),
                Optional.empty()));
        return p.with(p.brief().withEnvelope(new Brief.Envelope(none, none, none, none, none, none)));
    }

    private static Finding finding(Project p, String id) {
        return Assessment.of(p).findings().stream()
                .filter(f -> f.id().equals(id))
                .findFirst()
                .orElseThrow();
    }

    private static String words(Finding f) {
        return f.detail().in(UnitSystem.US);
    }

    // expansion space, 23.969

    /** 25 gal want 0.50 gal over the fuel; a tenth of an inch of this tank is a quarter gallon. */
    @ParameterizedTest
    @CsvSource({"9.70, HOLDS", "9.795, THIN", "9.81, FAILS", "10.0, FAILS"})
    void twoPercentOfATwentyFiveGallonTank(double lip, Verdict verdict) {
        Tank tank = box(25, 0).with(Fitout.NONE.withFiller(Optional.of(Place.inches(10, 0, FLOOR + lip))));
        Finding f = finding(project(tank), "tank.expansion.tank");
        assertThat(f.verdict()).isEqualTo(verdict);
        assertThat(words(f)).contains("0.50 gal", "2% of the tank");
        assertThat(f.source()).contains("23.969", "from memory");
    }

    @Test
    void noneIsAskedWhereTheVentDischargesClear() {
        Tank tank = box(25, 0).withVent(Optional.of(Place.inches(10, 0, FLOOR + 14)));
        Finding f = finding(project(tank), "tank.expansion.tank");
        assertThat(f.verdict()).isEqualTo(Verdict.HOLDS);
        assertThat(words(f)).contains("not required: the vent discharges clear", "of the aircraft");
    }

    /** What a filler leaves as room is what is missing from the usable fuel. */
    @Test
    void fullIsWhereTheFillerLets() {
        Tank tank = box(25, 0).with(Fitout.NONE.withFiller(Optional.of(Place.inches(10, 0, FLOOR + 9))));
        TankAnswer t = Assessment.of(project(tank)).tank("tank").orElseThrow();
        assertThat(Unit.GALLON.fromSi(t.full())).isCloseTo(22.5, Offset.offset(1e-9));
        assertThat(Unit.GALLON.fromSi(t.expansion())).isCloseTo(2.5, Offset.offset(1e-9));
        assertThat(Unit.GALLON.fromSi(t.body().capacity())).isCloseTo(25, Offset.offset(1e-9));
    }

    // sump, 23.971(a)

    /** 10, 15, 25, 50 gal want 0.0625, 0.0625, 0.0625, 0.125 gal under the outlet: a lip just lower, just higher. */
    @ParameterizedTest
    @CsvSource({"10, 0.0625", "15, 0.0625", "25, 0.0625", "50, 0.125"})
    void theSumpOfTheHandbook(double gallons, double sump) {
        double lip = sump / gallons * DEEP;
        assertThat(finding(project(box(gallons, lip * 0.99)), "tank.sump.tank").verdict())
                .isEqualTo(Verdict.FAILS);
        Finding just = finding(project(box(gallons, lip * 1.01)), "tank.sump.tank");
        assertThat(just.verdict()).isEqualTo(Verdict.THIN);
        assertThat(words(just)).contains("minimum " + UnitSystem.figure(sump * 128, 1) + " fl oz");
        assertThat(finding(project(box(gallons, lip * 1.2)), "tank.sump.tank").verdict())
                .isEqualTo(Verdict.HOLDS);
    }

    @Test
    void aSumpWithoutADrainIsNotShown() {
        Finding f = finding(project(box(25, 1).withDrain(Optional.empty())), "tank.sump.tank");
        assertThat(f.verdict()).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(words(f)).contains("no sump drain");
        assertThat(f.remedy()).contains("press D");
    }

    // outlet screen, 23.977

    private static Finding screen(double mesh, double wire, double wide, double length) {
        Tank tank = box(25, 0);
        return finding(
                project(tank.withOutlets(List.of(tank.outlets()
                        .get(0)
                        .withFinger(Optional.of(new FingerScreen(
                                Measured.of(mesh, Unit.ONE),
                                Systems.in(wire),
                                Systems.in(wide),
                                Systems.in(length))))))),
                "tank.screen.tank.outlet");
    }

    /** 0.305 in bore wants 0.3653 in2 clear: 16 mesh of 0.018 wire, 0.50 in wide, 0.459 in long. */
    @Test
    void theOutletScreenOfTheHandbook() {
        assertThat(screen(16, 0.018, 0.5, 0.458).verdict()).isEqualTo(Verdict.FAILS);
        assertThat(screen(16, 0.018, 0.5, 0.460).verdict()).isEqualTo(Verdict.THIN);
        assertThat(screen(16, 0.018, 0.5, 1.0).verdict()).isEqualTo(Verdict.HOLDS);
        assertThat(words(screen(16, 0.018, 0.5, 1.0))).contains("minimum 0.37 in\u00b2", "five times the outlet");
    }

    @Test
    void tooFineTooCoarseAndTooNarrowAreShort() {
        assertThat(screen(20, 0.010, 0.5, 3).verdict()).isEqualTo(Verdict.FAILS);
        assertThat(screen(6, 0.018, 0.5, 3).verdict()).isEqualTo(Verdict.FAILS);
        Finding narrow = screen(16, 0.018, 0.25, 3);
        assertThat(narrow.verdict()).isEqualTo(Verdict.FAILS);
        assertThat(words(narrow)).contains("narrower than the outlet");
        assertThat(finding(project(box(25, 0)), "tank.screen.tank.outlet").verdict())
                .isEqualTo(Verdict.NOT_SHOWN);
    }

    // the figure that governs

    @Test
    void thePublishedFigureGovernsWhereItIsLargest() {
        Tank tank = box(25, 0.4).with(Fitout.NONE.withPublished(Optional.of(Measured.of(2, Unit.GALLON, "maker"))));
        Assessment a = Assessment.of(project(tank));
        TankAnswer t = a.tank("tank").orElseThrow();
        assertThat(Unit.GALLON.fromSi(t.predicted().volume()))
                .as("0.4 of 10 in lie under the lip")
                .isCloseTo(1, Offset.offset(1e-6));
        assertThat(t.source()).isEqualTo(TankAnswer.Source.PUBLISHED);
        Finding f = finding(project(tank), "tank.unusable.tank");
        assertThat(f.verdict()).isEqualTo(Verdict.FAILS);
        assertThat(words(f))
                .contains("2.00 gal needed by the manufacturer's figure", "Usable then is 23.0 gal of 25.0 gal");
        assertThat(finding(project(tank.withUnusable(Measured.of(2.2, Unit.GALLON))), "tank.unusable.tank")
                        .verdict())
                .isEqualTo(Verdict.HOLDS);
    }

    @Test
    void aPlacardThatKeepsBackTooLittleMakesTheLedgerShort() {
        Project little = project(box(25, 0.4));
        Ledger.Entry short1 = Ledger.of(Assessment.of(little), UnitSystem.US).entries().stream()
                .filter(e -> e.title().contains("Unusable"))
                .findFirst()
                .orElseThrow();
        assertThat(short1.verdict()).isEqualTo(Verdict.FAILS);
    }

    @Test
    void aTestOfAnotherShapeIsKeptAndNoLongerCounts() {
        Tank tank = box(25, 0.4);
        Work.Drain d = new Work.Drain(
                "",
                Measured.of(0, Unit.DEGREE),
                Measured.of(0, Unit.DEGREE),
                List.of(new Work.Trial(Measured.of(5, Unit.GALLON), Optional.of(Measured.of(3.5, Unit.GALLON)))));
        HangarTest test = new HangarTest(
                "t1",
                "tank",
                new HangarTest.Circumstances(
                        "2026-03-01", "builder", "can", Optional.empty(), "", Fingerprint.of(tank)),
                d,
                new HangarTest.Progress(7, 100, true));
        Project tested = project(tank).withTests(List.of(test));
        assertThat(finding(tested, "tank.drain-test.tank").verdict()).isEqualTo(Verdict.HOLDS);
        assertThat(words(finding(tested, "tank.unusable.tank"))).contains("1.50 gal needed by the drain test");
        Project moved = tested.with(tested.system().replace(box(25, 0.5)));
        assertThat(finding(moved, "tank.drain-test.tank").verdict()).isEqualTo(Verdict.NOT_SHOWN);
        Finding stale = finding(moved, "tank.stale.tank");
        assertThat(words(stale)).contains("1 test was run before a change of shape");
        assertThat(moved.tests()).containsExactly(test);
        Project back = moved.with(moved.system().replace(tank));
        assertThat(Assessment.of(back).findings()).noneMatch(f -> f.id().equals("tank.stale.tank"));
    }

    /** A header lasts its capacity over the takeoff demand. */
    @Test
    void theHeadersReserveIsSaidInMinutes() {
        Project p = Pattern.HEADER_TWO_PUMPS.project();
        Header header = p.system().all(Header.class).findFirst().orElseThrow();
        double minutes = header.capacity().si() / p.brief().demand() / 60;
        assertThat(words(finding(p, "tank.reserve." + header.id())))
                .contains("lasts " + UnitSystem.figure(minutes, 1) + " min ");
    }
}
