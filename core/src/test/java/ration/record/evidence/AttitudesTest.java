package ration.record.evidence;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import ration.Systems;
import ration.aircraft.condition.Attitude;
import ration.aircraft.model.Tank;
import ration.answer.assess.Assessment;
import ration.answer.assess.TankAnswer;
import ration.base.quantity.Measured;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;
import ration.record.file.TestsCsv;
import ration.record.project.Project;
import ration.verdict.check.Finding;
import ration.verdict.check.Verdict;

/** A test stands for the attitude it was done in, and for no other. */
class AttitudesTest {

    private static Measured gal(double v) {
        return Measured.of(v, Unit.GALLON, "can");
    }

    private static HangarTest drain(Tank tank, String id, double pitch, double tilt, double... stayed) {
        Work.Drain d =
                new Work.Drain("UPPER", Measured.of(pitch, Unit.DEGREE), Measured.of(tilt, Unit.DEGREE), List.of());
        for (double s : stayed) {
            d = d.plus(new Work.Trial(gal(2.5), Optional.of(gal(2.5 - s))));
        }
        return new HangarTest(
                id,
                tank.id(),
                new HangarTest.Circumstances(
                        "2026-03-0" + id.length(), "builder", "can", Optional.empty(), "", Fingerprint.of(tank)),
                d,
                new HangarTest.Progress(7, 100, true));
    }

    private static Project with(HangarTest... tests) {
        Project p = Systems.corrie();
        List<HangarTest> all = new ArrayList<>(p.tests());
        all.addAll(List.of(tests));
        return p.withTests(all);
    }

    private static Tank upper() {
        return (Tank) Systems.corrie().system().item("upper").orElseThrow();
    }

    private static Finding drainTest(Project p) {
        return Assessment.of(p).findings().stream()
                .filter(f -> f.id().equals("tank.drain-test.upper"))
                .findFirst()
                .orElseThrow();
    }

    /** Recomputed: the demo's own test at -6/0 makes about 1.32 gal likely at -6/3, over the 1.3 placard. */
    @Test
    void aTestOfAnotherAttitudeClosesNothingAndIsCarriedByItsRatio() {
        TankAnswer a = Systems.assessedCorrie().tank("upper").orElseThrow();
        assertThat(a.drainedThere()).isEmpty();
        TankAnswer.Carried c = a.carried().orElseThrow();
        assertThat(Unit.GALLON.fromSi(c.likely())).isCloseTo(1.32, Offset.offset(0.005));
        assertThat(c.likely()).isCloseTo(a.predicted().volume() * c.from().mean() / c.there(), Offset.offset(1e-12));
        assertThat(a.source()).isEqualTo(TankAnswer.Source.LIKELY);
        assertThat(a.verdict()).isEqualTo(Verdict.FAILS);
        Finding f = drainTest(Systems.corrie());
        assertThat(f.verdict()).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(f.detail().in(UnitSystem.US))
                .contains("not drain-tested")
                .contains("1.32 gal")
                .contains("spread");
    }

    @Test
    void aTestInTheGoverningAttitudeClosesItAndNothingIsPooled() {
        Tank t = upper();
        Project p = with(drain(t, "a", -6, 3, 1.25, 1.27));
        TankAnswer a = Assessment.of(p).tank("upper").orElseThrow();
        assertThat(a.evidence().drained()).hasSize(2);
        assertThat(a.drainedThere().orElseThrow().trials()).isEqualTo(2);
        assertThat(Unit.GALLON.fromSi(a.drainedThere().orElseThrow().mean())).isCloseTo(1.26, Offset.offset(1e-9));
        assertThat(a.carried()).isEmpty();
        assertThat(drainTest(p).verdict()).isEqualTo(Verdict.HOLDS);
        assertThat(Unit.GALLON.fromSi(a.unusable())).isCloseTo(1.27, Offset.offset(1e-6));
    }

    /** A top-off goes by the attitude it was filled in: parked where it does not say. */
    @Test
    void aTopOffCalibratesTheAttitudeItWasFilledIn() {
        Tank t = upper();
        double parked = Math.toRadians(12);
        Project bare = Systems.corrie().withTests(List.of());
        double shape = Assessment.of(bare)
                .tank("upper")
                .orElseThrow()
                .body()
                .full(Attitude.ofDegrees("p", 12, 0).gravity().up());
        double level = Assessment.of(bare)
                .tank("upper")
                .orElseThrow()
                .body()
                .full(Attitude.ofDegrees("l", 0, 0).gravity().up());
        assertThat(Math.abs(shape - level)).as("the attitude matters here").isGreaterThan(Unit.GALLON.toSi(0.05));
        HangarTest top = new HangarTest(
                "t",
                t.id(),
                new HangarTest.Circumstances("2026-03-01", "", "", Optional.empty(), "", Fingerprint.of(t)),
                new Work.TopOff(
                        gal(0),
                        Optional.of(Measured.of(shape, Unit.CUBIC_INCH)
                                .with(ration.base.quantity.Quantity.ofSi(shape, Unit.GALLON)))),
                new HangarTest.Progress(4, 0, true));
        TankEvidence e = TankEvidence.of(t, List.of(top), Systems.corrie().asBuilt());
        assertThat(e.calibration(t, parked).real(shape))
                .as("just what the shape says, parked")
                .isCloseTo(shape, Offset.offset(1e-9));
        HangarTest said = top.with(new Work.TopOff(
                gal(0), ((Work.TopOff) top.work()).metered(), Optional.of(Measured.of(0, Unit.DEGREE))));
        assertThat(TankEvidence.of(t, List.of(said), Systems.corrie().asBuilt())
                        .calibration(t, parked)
                        .real(level))
                .isCloseTo(shape, Offset.offset(1e-9));
    }

    @Test
    void marksGoByTheAngleMeasured() {
        TankAnswer a = Systems.assessedCorrie().tank("upper").orElseThrow();
        assertThat(a.evidence().marks(Math.toRadians(12))).hasSize(4);
        assertThat(a.evidence().marks(Math.toRadians(9)))
                .as("the parked angle was changed")
                .isEmpty();
        assertThat(a.evidence().marks(0)).hasSize(6);
    }

    /** Reading tests in never replaces one that is there. */
    @Test
    void anImportReplacesNothing() {
        List<HangarTest> there = Systems.corrie().tests();
        TestsCsv.Import same = TestsCsv.into(there, TestsCsv.read(TestsCsv.write(there)));
        assertThat(same.all()).hasSameSizeAs(there);
        assertThat(same.words()).contains("there already");
        HangarTest other = drain(upper(), "test-3", -6, 0, 1.3);
        TestsCsv.Import both = TestsCsv.into(there, TestsCsv.read(TestsCsv.write(List.of(other))));
        assertThat(both.all()).hasSize(there.size() + 1).containsAll(there);
        assertThat(both.words()).contains("test-3 as test-3-2");
    }
}
