package ration.answer.assess;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;
import ration.Systems;
import ration.aircraft.model.EngineInlet;
import ration.aircraft.model.Run;
import ration.aircraft.model.Tank;
import ration.aircraft.model.TankShape;
import ration.answer.remedy.Chance;
import ration.base.quantity.Measured;
import ration.base.quantity.Method;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;
import ration.base.task.Task;
import ration.record.project.Pattern;
import ration.record.project.Project;
import ration.record.project.Unsaid;
import ration.verdict.check.Check;
import ration.verdict.check.Finding;
import ration.verdict.check.Verdict;

/**
 * No Holds over what nobody knows: estimates, words that are no method, figures of another kind, lengths that
 * contradict, heat nobody said.
 */
class NobodyKnowsTest {

    private static final LocalDate DAY = LocalDate.of(2026, 3, 9);

    private static Finding finding(Assessment a, Check check) {
        return a.findings().stream().filter(f -> f.check() == check).findFirst().orElseThrow();
    }

    /**
     * A starting layout whose limits the builder confirms still rests on estimates: its margin is not shown, and says
     * of which figures.
     */
    @ParameterizedTest
    @EnumSource(
            value = Pattern.class,
            names = {"GRAVITY_SELECTOR", "FUSELAGE_GRAVITY", "BOOST_AND_ENGINE_PUMP", "PUMP_MODULES"})
    void aLayoutOfEstimatesIsNotShown(Pattern pattern) {
        Assessment a = Assessment.of(Unsaid.said(pattern.project(), DAY));
        assertThat(a.flowVerdict()).isIn(Verdict.NOT_SHOWN, Verdict.FAILS);
        assertThat(a.sure().orElseThrow().mostlyGuessed()).isTrue();
        assertThat(finding(a, Check.FLOW_SURE).verdict()).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(finding(a, Check.FLOW_SURE).item()).as("where to begin").isNotBlank();
        assertThat(finding(a, Check.FLOW_SURE).detail().in(UnitSystem.US))
                .contains("figures that decide it are estimates");
        assertThat(Ledger.of(a, UnitSystem.US).flow().detail()).contains("figures estimated");
        assertThat(a.findings())
                .filteredOn(f -> f.check() == Check.FLOW_MARGIN)
                .isNotEmpty()
                .noneMatch(f -> f.verdict() == Verdict.HOLDS || f.verdict() == Verdict.THIN);
        // the same measured is another matter
        assertThat(Assessment.of(Systems.said(pattern.project()))
                        .sure()
                        .orElseThrow()
                        .mostlyGuessed())
                .isFalse();
    }

    /** Shares of the variance, not counts: one figure that carries it is enough, and measuring that one is. */
    @Test
    void theFiguresThatMatterAreMeasuredOneAfterTheOther() {
        Project p = Unsaid.said(Pattern.GRAVITY_SELECTOR.project(), DAY);
        for (int n = 0; n < 40 && Assessment.of(p).sure().orElseThrow().mostlyGuessed(); n++) {
            Sureness.Deciding first =
                    Assessment.of(p).sure().orElseThrow().open().get(0);
            var field = ration.aircraft.model.FieldSheet.of(first.item()).stream()
                    .filter(f -> f.label().equals(first.label()))
                    .findFirst()
                    .orElseThrow();
            p = p.with(p.system()
                    .replace(field.with()
                            .apply(first.item(), new Measured(first.as().quantity(), "level"))));
        }
        Sureness then = Assessment.of(p).sure().orElseThrow();
        assertThat(then.mostlyGuessed()).isFalse();
        assertThat(then.deciding().stream()
                        .mapToDouble(Sureness.Deciding::share)
                        .sum())
                .isBetween(0.94, 1 + 1e-9);
        assertThat(p.system().items().stream()
                        .flatMap(i -> ration.aircraft.model.FieldSheet.of(i).stream()
                                .map(f -> f.get().apply(i)))
                        .filter(m -> Method.of(m).guessed())
                        .count())
                .as("far from all")
                .isGreaterThan(20);
    }

    @Test
    void manyShortSamplesAreNeverGood() {
        assertThat(Sureness.ofShare(0.04)).isEqualTo(Verdict.HOLDS);
        assertThat(Sureness.ofShare(0.06)).isEqualTo(Verdict.THIN);
        assertThat(Sureness.ofShare(0.34)).isEqualTo(Verdict.NOT_SHOWN);
        Assessment tansy = Systems.assessed("tansy-l3");
        Sureness sure = tansy.sure().orElseThrow();
        Chance page =
                Chance.of(tansy, Draws.SEED, Draws.USUAL_SAMPLES, Task.QUIET).orElseThrow();
        assertThat(sure.samples()).isEqualTo(page.samples());
        assertThat(sure.shorts()).as("the ledger counts what the page counts").isEqualTo(page.shorts());
        assertThat(tansy.flowVerdict())
                .isEqualTo(Sureness.ofShare(page.share())
                        .worse(tansy.governing().orElseThrow().verdict()));
    }

    /** Until it is worked out it is not shown: never what stood there before. */
    @Test
    void aheadOfItNothingIsGood() {
        Assessment ahead = Assessment.ahead(Systems.demo("brindle-a2"), Optional.empty());
        assertThat(ahead.flowVerdict()).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(ahead.sured().flowVerdict()).isEqualTo(Verdict.HOLDS);
        assertThat(ahead.sured().project()).isSameAs(ahead.project());
        Assessment sured = ahead.sured();
        assertThat(sured.sured()).as("worked out once").isSameAs(sured);
    }

    /** A list of methods; a word that is none of them counts as an estimate, own words behind one count as it. */
    @ParameterizedTest
    @CsvSource({
        "tape, TAPE",
        "'tape, left side', TAPE",
        "level, LEVEL",
        "drain test, DRAIN_TEST",
        "guess, ESTIMATE",
        "1 1/2 ft, ESTIMATE",
        "'', ESTIMATE",
        "tapered, ESTIMATE",
        "maker, MAKER",
        "'confirmed by the builder, 2026-03-09', CONFIRMED",
        "assumed, ASSUMED"
    })
    void unknownCountsAsEstimate(String by, Method method) {
        Measured m = Measured.of(40, Unit.INCH, by);
        assertThat(Method.of(m)).isEqualTo(method);
        assertThat(Method.tolerance(m)).isLessThanOrEqualTo(Method.tolerance(Measured.of(40, Unit.INCH, "estimate")));
        assertThat(Method.of(m).guessed()).isEqualTo(method == Method.ESTIMATE || method == Method.ASSUMED);
    }

    /** A limit that the builder confirms is the builder's word of that day, and never the maker's. */
    @Test
    void confirmedIsTheBuildersWord() {
        Project p = Unsaid.said(Pattern.TWO_PUMPS_PARALLEL.project(), DAY);
        EngineInlet inlet = p.system().inlet().orElseThrow();
        assertThat(inlet.minimumPressure().by()).isEqualTo("confirmed by the builder, 2026-03-09");
        assertThat(inlet.maximumPressure().orElseThrow().by()).contains("2026-03-09");
        assertThat(p.brief().power().by()).contains("confirmed by the builder");
        assertThat(Unsaid.of(p).all()).isEmpty();
        assertThat(Assessment.of(p).findings())
                .filteredOn(f -> f.check() == Check.FLOW_INLET_PRESSURE || f.check() == Check.FLOW_INLET_PRESSURE_MOST)
                .isNotEmpty()
                .noneMatch(f -> f.source().contains("from the maker"));
    }

    /**
     * A float carburetor made a rail does not keep its 0.06 psi: what belongs to the old kind is assumed, and not
     * shown.
     */
    @ParameterizedTest
    @EnumSource(EngineInlet.Style.class)
    void anotherKindKeepsNoLimits(EngineInlet.Style style) {
        Project p = Systems.corrie();
        EngineInlet inlet = p.system().inlet().orElseThrow();
        EngineInlet other = inlet.withStyle(style, false);
        if (style == inlet.style()) {
            assertThat(other).isEqualTo(inlet);
            return;
        }
        assertThat(other.minimumPressure().assumed()).isTrue();
        assertThat(other.maximumPressure().orElseThrow().assumed()).isTrue();
        Assessment a = Assessment.of(p.with(p.system().replace(other)));
        assertThat(a.flowVerdict()).isIn(Verdict.NOT_SHOWN, Verdict.FAILS);
    }

    /**
     * An unmeasured length follows its ends; a measured one that is shorter than the way makes what rests on it not
     * shown.
     */
    @Test
    void lengthsFollowTheirEnds() {
        Project p = Systems.corrie();
        Run r = (Run) p.system().item("r3").orElseThrow();
        double way = r.withLength(Optional.empty())
                .lengthM(
                        p.system().point(r.from()).orElseThrow(),
                        p.system().point(r.to()).orElseThrow());
        Project guessed = p.with(p.system().replace(r.withLength(Measured.of(1, Unit.INCH, "estimate"))));
        Project plain = p.with(p.system().replace(r.withLength(Optional.empty())));
        assertThat(Assessment.of(guessed).governing().orElseThrow().margin())
                .isCloseTo(Assessment.of(plain).governing().orElseThrow().margin(), Offset.offset(1e-9));
        assertThat(ration.aircraft.plumbing.CutLength.of(guessed.system(), (Run)
                                guessed.system().item("r3").orElseThrow())
                        .length())
                .isCloseTo(
                        ration.aircraft.plumbing.CutLength.of(plain.system(), (Run)
                                        plain.system().item("r3").orElseThrow())
                                .length(),
                        Offset.offset(0.05 * way + 0.03));
        Project taped = p.with(p.system().replace(r.withLength(Measured.of(1, Unit.INCH, "tape"))));
        Assessment wrong = Assessment.of(taped);
        assertThat(wrong.flowVerdict()).isIn(Verdict.NOT_SHOWN, Verdict.FAILS);
        assertThat(wrong.findings())
                .filteredOn(f -> f.check() == Check.FLOW_MARGIN || f.check() == Check.VAPOR_GAP)
                .isNotEmpty()
                .noneMatch(f -> f.verdict() == Verdict.HOLDS || f.verdict() == Verdict.THIN);
        assertThat(wrong.findings())
                .anyMatch(f ->
                        f.detail().in(UnitSystem.US).contains("Measured shorter than the way between its ends: R3"));
    }

    /** Without a firewall no heat is counted, and so nothing is shown of vapor; with one it is. */
    @ParameterizedTest
    @ValueSource(strings = {"corrie-b1", "brindle-a2", "tansy-l3"})
    void noHeatSaidNoHolds(String demo) {
        Project p = Systems.demo(demo);
        Project bare = p.with(p.system().with(Optional.empty()))
                .with(new ration.aircraft.heat.Heat(
                        p.heat().volatility(), p.heat().figures(), java.util.Map.of()));
        Assessment a = Assessment.of(bare);
        assertThat(a.vapor().orElseThrow().verdict()).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(Ledger.of(a, UnitSystem.US).vapor().verdict()).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(finding(a, Check.VAPOR_GAP).remedy()).contains("firewall");
        Assessment walled = Assessment.of(bare.with(ration.record.project.ItemEdits.walled(bare.system())));
        assertThat(walled.vapor().orElseThrow().verdict()).isNotEqualTo(Verdict.NOT_SHOWN);
        assertThat(finding(walled, Check.VAPOR_RESTART).verdict())
                .as("a restart at risk is thin")
                .isIn(Verdict.THIN, Verdict.HOLDS);
        assertThat(Ledger.of(walled, UnitSystem.US).vapor().verdict())
                .isEqualTo(walled.vapor()
                        .get()
                        .verdict()
                        .worse(walled.hotFuel().get().verdict())
                        .worse(finding(walled, Check.VAPOR_RESTART).verdict()));
    }

    /** A fill and mark in one attitude may show that more stays in another, never that less does. */
    @Test
    void aFillAndMarkNeverTakesAwayWhatStays() {
        Tank tank = (Tank) Systems.corrie().system().item("upper").orElseThrow();
        var shape = ration.physics.tank.TankBody.of(tank);
        var fuller = ration.physics.tank.TankBody.of(
                tank,
                ration.physics.tank.Calibration.through(List.of(
                        new ration.physics.tank.Calibration.Point(shape.capacity() / 2, shape.capacity() / 2 * 0.95),
                        new ration.physics.tank.Calibration.Point(shape.capacity(), shape.capacity() * 0.95))));
        for (double pitch : new double[] {-6, 0, 12, 17}) {
            var up = ration.base.geometry.ApparentGravity.ofAttitude(Math.toRadians(pitch), Math.toRadians(3))
                    .up();
            assertThat(fuller.stranded(up, ration.physics.tank.Feed.GRAVITY).volume())
                    .isGreaterThanOrEqualTo(
                            shape.stranded(up, ration.physics.tank.Feed.GRAVITY).volume() - 1e-12);
        }
    }

    /**
     * One dry tank on BOTH is asked with the other full and with it low: the low one has less to hold the line against
     * the dry outlet.
     */
    @Test
    void oneDryTankIsAskedWithTheOtherLow() {
        Assessment both = Assessment.of(Systems.project(Systems.twoTanks(24, 24)));
        List<CaseAnswer> dry =
                both.cases().stream().filter(c -> c.filling().dry().isPresent()).toList();
        assertThat(dry)
                .extracting(c -> c.filling().level().orElseThrow())
                .contains(ration.aircraft.condition.Contents.FULL, ration.aircraft.condition.Contents.LAST_USABLE);
        double full = dry.stream()
                .filter(c -> c.filling().level().get() == ration.aircraft.condition.Contents.FULL)
                .mapToDouble(CaseAnswer::margin)
                .min()
                .orElseThrow();
        double low = dry.stream()
                .filter(c -> c.filling().level().get() == ration.aircraft.condition.Contents.LAST_USABLE)
                .mapToDouble(CaseAnswer::margin)
                .min()
                .orElseThrow();
        assertThat(low).isLessThan(full);
        assertThat(dry)
                .allMatch(c -> c.label(both.project().system(), UnitSystem.US).contains("dry, the rest "));
    }

    /**
     * A note or a reading changes no figure: how sure the margin is stays known. What the flow rests on makes it not
     * shown until it is worked out anew.
     */
    @Test
    void onlyWhatTheFlowRestsOnIsAskedAnew() {
        Assessment was = Systems.assessedCorrie();
        Assessment noted = Assessment.ahead(was.project().withNote("Looked at the strainer."), Optional.of(was));
        assertThat(noted.sure()).isEqualTo(was.sure());
        assertThat(noted.sured()).isSameAs(noted);
        Run run = was.project().system().runs().get(0);
        Assessment longer = Assessment.ahead(
                was.project().with(was.project().system().replace(run.withLength(Measured.of(80, Unit.INCH, "tape")))),
                Optional.of(was));
        assertThat(longer.sured()).isNotSameAs(longer);
        assertThat(longer.sured().findings())
                .extracting(f -> f.id() + " " + f.verdict())
                .containsExactlyElementsOf(Assessment.of(longer.project()).findings().stream()
                        .map(f -> f.id() + " " + f.verdict())
                        .toList());
    }

    /**
     * A tank whose shape outline not closed has no answer: the least over the others is Not shown, on the ledger and
     * among the findings, in any document.
     */
    @ParameterizedTest
    @ValueSource(strings = {"corrie-b1", "tansy-l3", "brindle-a2"})
    void aTankWithoutAnAnswerNeverDropsOut(String demo) {
        Project p = Systems.demo(demo);
        for (Tank t : p.system().tanks()) {
            Project spoilt = p.with(p.system().replace(unclosed(t)));
            Assessment a = Assessment.of(spoilt);
            assertThat(a.unansweredTanks()).extracting(Tank::id).containsExactly(t.id());
            Ledger.Entry entry = Ledger.of(a, UnitSystem.US).entries().get(1);
            assertThat(entry.verdict()).as(t.name() + ": " + entry).isIn(Verdict.NOT_SHOWN, Verdict.FAILS);
            assertThat(entry.detail() + entry.figure()).containsAnyOf(t.name(), "\u2013");
            assertThat(a.findings())
                    .anyMatch(f -> f.check() == Check.TANK_UNUSABLE
                            && f.item().equals(t.id())
                            && f.verdict() == Verdict.NOT_SHOWN);
        }
    }

    private static Tank unclosed(Tank t) {
        return t.withShape(new TankShape.Box(
                t.outlets().get(0).place(),
                Measured.of(0, Unit.INCH, "tape"),
                Measured.of(1, Unit.INCH, "tape"),
                Measured.of(1, Unit.INCH, "tape")));
    }
}
