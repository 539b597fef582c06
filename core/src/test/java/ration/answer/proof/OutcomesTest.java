package ration.answer.proof;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import ration.Systems;
import ration.answer.assess.Assessment;
import ration.base.quantity.Measured;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;
import ration.record.evidence.Form;
import ration.record.evidence.Grade;
import ration.record.evidence.HangarTest;
import ration.record.evidence.TestKind;
import ration.record.evidence.Work;
import ration.record.project.Project;
import ration.verdict.check.Verdict;

/** What records of senders, gauges, logs and restarts show; the limits are common practice, no source. */
class OutcomesTest {

    private static final Project TANSY = Systems.demo("tansy-l3");
    private static final Outcomes OUTCOMES =
            new Outcomes(TANSY, Assessment.of(TANSY).basis(), Map.of());

    private static Wanted wanted(TestKind kind) {
        return TestProgram.wanted(TANSY).stream()
                .filter(w -> w.kind() == kind)
                .findFirst()
                .orElseThrow();
    }

    private static Outcome of(TestKind kind, Work.Sheet sheet, HangarTest.Photo... beside) {
        HangarTest.Circumstances by =
                new HangarTest.Circumstances("2026-05-01", "builder", "", Optional.empty(), "", "");
        for (HangarTest.Photo p : beside) {
            by = by.with(by.beside().with(p));
        }
        return OUTCOMES.of(
                wanted(kind),
                Optional.of(
                        new HangarTest("t", wanted(kind).subject(), by, sheet, new HangarTest.Progress(9, 0, true))));
    }

    private static Work.Sheet begun(TestKind kind) {
        return wanted(kind).begun();
    }

    private static Work.Row row(Object... figures) {
        Map<String, Measured> all = new java.util.HashMap<>();
        for (int i = 0; i < figures.length; i += 3) {
            all.put((String) figures[i], Measured.of((double) figures[i + 1], (Unit) figures[i + 2]));
        }
        return Work.Row.of(all);
    }

    private static Work.Sheet sender(double... volumesAndOhms) {
        Work.Sheet sheet = begun(TestKind.LEVEL_SENDER);
        for (int i = 0; i < volumesAndOhms.length; i += 2) {
            sheet = sheet.plus(row("volume", volumesAndOhms[i], Unit.GALLON, "shows", volumesAndOhms[i + 1], Unit.ONE));
        }
        return sheet;
    }

    /** Nothing begun, and nothing finished, ever holds: of every kind that has a form. */
    @Test
    void anEmptySheetShowsNothing() {
        for (Wanted w : TestProgram.wanted(TANSY)) {
            if (Form.of(w.kind()).isPresent()) {
                assertThat(OUTCOMES.of(w, Optional.empty()).verdict())
                        .as(w.key())
                        .isEqualTo(Verdict.NOT_SHOWN);
                assertThat(of(w.kind(), w.begun()).verdict()).as(w.key()).isEqualTo(Verdict.NOT_SHOWN);
            }
        }
    }

    @Test
    void aLevelSenderGoesOneWayAndIsZeroAtTheUnusableFuel() {
        double unusable = Unit.GALLON.fromSi(TANSY.system()
                .item(wanted(TestKind.LEVEL_SENDER).subject())
                .flatMap(i -> i.only(ration.aircraft.model.Tank.class))
                .orElseThrow()
                .unusable()
                .si());
        assertThat(of(TestKind.LEVEL_SENDER, sender(unusable, 240, 5, 180, 5, 120))
                        .verdict())
                .isEqualTo(Verdict.HOLDS);
        assertThat(of(TestKind.LEVEL_SENDER, sender(unusable, 10, 5, 80, 5, 120))
                        .verdict())
                .as("rising as well as falling")
                .isEqualTo(Verdict.HOLDS);
        assertThat(of(TestKind.LEVEL_SENDER, sender(unusable, 240, 5, 180, 5, 190))
                        .verdict())
                .as("two amounts show alike")
                .isEqualTo(Verdict.FAILS);
        assertThat(of(TestKind.LEVEL_SENDER, sender(unusable, 240, 5, 240, 5, 240))
                        .verdict())
                .as("it does not move")
                .isEqualTo(Verdict.FAILS);
        assertThat(of(TestKind.LEVEL_SENDER, sender(unusable, 240, 5, 180)).verdict())
                .as("two pairs are not enough")
                .isEqualTo(Verdict.NOT_SHOWN);
        assertThat(of(TestKind.LEVEL_SENDER, sender(unusable + 2, 240, 5, 180, 5, 120))
                        .verdict())
                .as("its zero was not looked at")
                .isEqualTo(Verdict.NOT_SHOWN);
        assertThat(of(TestKind.LEVEL_SENDER, sender(unusable, 240, 5, 180, 5, 120))
                        .words()
                        .in(UnitSystem.US))
                .contains("zero is at a reading of 240");
    }

    /** Pulses of a gallon may scatter by a hundredth and a half, or thinly by three. */
    @ParameterizedTest
    @CsvSource({"10000, 10000, HOLDS", "10000, 10100, HOLDS", "10000, 10200, THIN", "10000, 10400, FAILS"})
    void aFlowSenderScattersLittle(double one, double other, Verdict verdict) {
        Work.Sheet sheet = begun(TestKind.FLOW_SENDER)
                .plus(row("volume", 1.0, Unit.GALLON, "pulses", one, Unit.ONE))
                .plus(row("volume", 2.0, Unit.GALLON, "pulses", 2 * other, Unit.ONE));
        Outcome o = of(TestKind.FLOW_SENDER, sheet);
        assertThat(o.verdict()).isEqualTo(verdict);
        assertThat(o.measured().in(UnitSystem.METRIC))
                .isEqualTo("K-factor " + UnitSystem.figure((one + other) / 2, 0) + " pulses/gal");
        assertThat(of(TestKind.FLOW_SENDER, sheet.withRows(sheet.rows().subList(0, 1)))
                        .verdict())
                .isEqualTo(Verdict.NOT_SHOWN);
    }

    @ParameterizedTest
    @CsvSource({"20, true, HOLDS", "15, true, HOLDS", "14, true, NOT_SHOWN", "20, false, NOT_SHOWN"})
    void aRunLogIsARecordOnlyWithItsTableAndItsSoak(double minutes, boolean attached, Verdict verdict) {
        Work.Sheet sheet = begun(TestKind.RUN_LOG)
                .with("air", Measured.of(30, Unit.CELSIUS))
                .with("soak", Measured.of(minutes, Unit.MINUTE));
        HangarTest.Photo table = new HangarTest.Photo("soak.csv", "ab".repeat(32));
        assertThat((attached ? of(TestKind.RUN_LOG, sheet, table) : of(TestKind.RUN_LOG, sheet)).verdict())
                .isEqualTo(verdict);
    }

    @ParameterizedTest
    @CsvSource({"STARTED, 5, HOLDS", "STARTED, 10, HOLDS", "STARTED, 20, THIN", "STARTED, 31, FAILS"})
    void aHotEngineStartsSoon(Grade grade, double seconds, Verdict verdict) {
        Work.Sheet sheet = begun(TestKind.HOT_RESTART)
                .with("soak", Measured.of(20, Unit.MINUTE))
                .with("seconds", Measured.of(seconds, Unit.SECOND));
        assertThat(of(TestKind.HOT_RESTART, sheet).verdict())
                .as("nobody said that it started")
                .isEqualTo(Verdict.NOT_SHOWN);
        assertThat(of(TestKind.HOT_RESTART, sheet.seen(Work.Row.seen("start", grade)))
                        .verdict())
                .isEqualTo(verdict);
        Grade failed = Form.of(TestKind.HOT_RESTART).orElseThrow().grades().stream()
                .filter(g -> g != Grade.STARTED)
                .findFirst()
                .orElseThrow();
        assertThat(of(TestKind.HOT_RESTART, sheet.seen(Work.Row.seen("start", failed)))
                        .verdict())
                .as("it did not start")
                .isEqualTo(Verdict.FAILS);
    }

    /** A column of fuel makes density times gravity times height: 720 kg/m3, 0.5 m and 9.80665 m/s2 are half a psi. */
    @ParameterizedTest
    @CsvSource({"0, HOLDS", "0.09, HOLDS", "0.15, THIN", "0.3, FAILS"})
    void aGaugeIsComparedWithAColumnOfFuel(double off, Verdict verdict) {
        Project p = Systems.demo("brindle-a2");
        Outcomes outcomes = new Outcomes(p, Assessment.of(p).basis(), Map.of());
        Wanted w = new Wanted(TestKind.GAUGE_CHECK, "sender", Wanted.NONE, "Gauge check", "Gauge check", true, "", "");
        double psi = Unit.PSI.fromSi(p.brief().fuel().density(288.15) * 9.80665 * 0.5);
        Work.Sheet sheet = w.begun()
                .plus(row("height", 0.0, Unit.METRE, "shows", 0.0, Unit.PSI))
                .plus(row("height", 0.5, Unit.METRE, "shows", psi + off, Unit.PSI));
        HangarTest t = new HangarTest(
                "t",
                w.subject(),
                new HangarTest.Circumstances("2026-05-01", "", "", Optional.empty(), "", ""),
                sheet,
                new HangarTest.Progress(9, 0, true));
        assertThat(outcomes.of(w, Optional.of(t)).verdict()).isEqualTo(verdict);
        assertThat(outcomes.of(
                                w,
                                Optional.of(new HangarTest(
                                        "t", w.subject(), t.by(), sheet.withRows(List.of()), t.progress())))
                        .verdict())
                .isEqualTo(Verdict.NOT_SHOWN);
    }

    /** One point not good fails the sheet, one not looked at leaves it open; each part that is opened has one. */
    @Test
    void anAssemblySheetHoldsOnceEveryPointIsGood() {
        Map<String, String> points = Form.of(TestKind.ASSEMBLY).orElseThrow().pieces(TANSY.system());
        Work.Sheet good = begun(TestKind.ASSEMBLY)
                .withRows(points.keySet().stream()
                        .map(p -> Work.Row.seen(p, Grade.GOOD))
                        .toList());
        assertThat(of(TestKind.ASSEMBLY, good).verdict()).isEqualTo(Verdict.HOLDS);
        for (int i = 0; i < points.size(); i++) {
            List<Work.Row> rows = new java.util.ArrayList<>(good.rows());
            Work.Row one = rows.remove(i);
            assertThat(of(TestKind.ASSEMBLY, good.withRows(rows)).verdict()).isEqualTo(Verdict.NOT_SHOWN);
            rows.add(i, Work.Row.seen(one.of(), Grade.BAD));
            assertThat(of(TestKind.ASSEMBLY, good.withRows(rows)).verdict()).isEqualTo(Verdict.FAILS);
        }
        List<String> parts = TestProgram.wanted(TANSY).stream()
                .filter(w -> w.kind() == TestKind.ASSEMBLY)
                .map(Wanted::subject)
                .toList();
        assertThat(parts)
                .containsAll(TANSY.system()
                        .all(ration.aircraft.model.Strainer.class)
                        .map(ration.aircraft.model.Item::id)
                        .toList())
                .doesNotHaveDuplicates();
    }
}
