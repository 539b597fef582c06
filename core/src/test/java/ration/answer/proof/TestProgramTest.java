package ration.answer.proof;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.assertj.core.data.Offset;
import org.assertj.core.data.Percentage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import ration.Systems;
import ration.aircraft.condition.Condition;
import ration.aircraft.model.Field;
import ration.aircraft.model.FieldSheet;
import ration.aircraft.model.Item;
import ration.aircraft.model.Run;
import ration.aircraft.model.Strainer;
import ration.aircraft.model.Tank;
import ration.answer.assess.Assessment;
import ration.answer.assess.Comparison;
import ration.base.quantity.Measured;
import ration.base.quantity.Quantity;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;
import ration.physics.flow.FlowBasis;
import ration.physics.flow.FlowQuestion;
import ration.record.evidence.Form;
import ration.record.evidence.Grade;
import ration.record.evidence.HangarTest;
import ration.record.evidence.Standing;
import ration.record.evidence.TestKind;
import ration.record.evidence.Work;
import ration.record.project.Pattern;
import ration.record.project.Project;
import ration.record.reading.Live;
import ration.verdict.check.Check;
import ration.verdict.check.Finding;
import ration.verdict.check.Verdict;

/** What is asked of an aircraft, what each test would read, and what a record shows. */
class TestProgramTest {

    private static final Project CORRIE = Systems.corrie().withTests(List.of());

    private static TestProgram.Proof proof(Project p, String key) {
        return Assessment.of(p).program().tests().stream()
                .filter(x -> x.wanted().key().equals(key))
                .findFirst()
                .orElseThrow();
    }

    private static HangarTest done(Project p, Wanted w, Work.Sheet sheet) {
        return new HangarTest(
                "t-" + w.key().replace('.', '-'),
                w.subject(),
                new HangarTest.Circumstances("2026-11-26", "builder", "can", Optional.empty(), "", "")
                        .on(Standing.restsOn(p.asBuilt(), w.subject(), sheet)),
                sheet,
                new HangarTest.Progress(6, 0, true));
    }

    /** A record of a sheet by itself. */
    private static HangarTest done(Work.Sheet sheet) {
        return new HangarTest(
                "t",
                "",
                new HangarTest.Circumstances("2026-11-26", "", "", Optional.empty(), "", ""),
                sheet,
                new HangarTest.Progress(6, 0, true));
    }

    private static Work.Sheet flow(Project p, String key, double pitch, double gallons, double... gph) {
        Work.Sheet sheet = proof(p, key)
                .wanted()
                .begun()
                .with("pitch", Measured.of(pitch, Unit.DEGREE))
                .with("contents", Measured.of(gallons, Unit.GALLON))
                .with("open", Measured.of(0, Unit.INCH));
        for (double q : gph) {
            sheet = sheet.plus(Work.Row.of(
                    Map.of("volume", Measured.of(0.25, Unit.GALLON), "time", Measured.of(900 / q, Unit.SECOND))));
        }
        return sheet;
    }

    private static Project with(Project p, String key, Work.Sheet sheet) {
        return p.with(done(p, proof(p, key).wanted(), sheet));
    }

    private static Verdict verdict(Project p, String key, Work.Sheet sheet) {
        return proof(with(p, key, sheet), key).verdict();
    }

    private static Measured m(double v, Unit u) {
        return Measured.of(v, u);
    }

    /**
     * A flow test of a tank with two outlets rests on the screen of each; an outlet more ends nothing that rests on the
     * others.
     */
    @Test
    void theOtherOutletsScreenEndsTheTestToo() {
        Project p = Systems.demo("two-outlets");
        String key = TestProgram.wanted(p).stream()
                .map(Wanted::key)
                .filter(k -> k.startsWith("pump-flow."))
                .findFirst()
                .orElseThrow();
        HangarTest done = done(p, proof(p, key).wanted(), proof(p, key).wanted().begun());
        Tank tank = p.system().tanks().stream()
                .filter(t -> t.outlets().size() == 2)
                .findFirst()
                .orElseThrow();
        for (int i = 0; i < 2; i++) {
            int at = i;
            List<ration.aircraft.model.Outlet> outlets = new java.util.ArrayList<>(tank.outlets());
            assertThat(outlets.get(i).screen()).isPresent();
            outlets.set(at, outlets.get(at).withScreen(Optional.empty()));
            Project other = p.with(p.system().change(tank.id(), Tank.class, t -> t.withOutlets(outlets)));
            assertThat(Standing.of(done, other.asBuilt()).state())
                    .as("screen of outlet " + (at + 1))
                    .isEqualTo(Standing.State.STALE);
        }
        assertThat(Standing.of(done, p.asBuilt()).counts()).isTrue();
    }

    // what is asked

    @Test
    void theLayoutSaysWhichTestsThereAre() {
        assertThat(TestProgram.wanted(Project.empty())).isEmpty();
        assertThat(TestProgram.wanted(CORRIE))
                .filteredOn(Wanted::asked)
                .extracting(w -> w.kind())
                .contains(TestKind.FLOW, TestKind.SELECTOR_OFF, TestKind.OVERNIGHT)
                .doesNotContain(TestKind.PUMP_FLOW, TestKind.DEAD_HEAD, TestKind.CHECK_HOLDS, TestKind.FLOW_SENDER);
        List<Wanted> brindle = TestProgram.wanted(Systems.demo("brindle-a2"));
        assertThat(brindle).filteredOn(w -> w.kind() == TestKind.PUMP_FLOW).hasSize(2);
        assertThat(brindle).filteredOn(w -> w.kind() == TestKind.CHECK_HOLDS).hasSize(1);
        assertThat(brindle).filteredOn(w -> w.kind() == TestKind.FLOW).isEmpty();
        Project handbook = CORRIE.with(
                CORRIE.brief().withChoices(CORRIE.brief().choices().with(ration.verdict.standard.Standard.PRACTICE)));
        assertThat(TestProgram.wanted(handbook))
                .filteredOn(w -> w.kind() == TestKind.TANK_PRESSURE)
                .isNotEmpty()
                .noneMatch(Wanted::asked);
        assertThat(Assessment.of(CORRIE).program().next().orElseThrow().wanted().kind())
                .isEqualTo(TestKind.DRAIN);
    }

    /** One school: a leak check says nothing of parts that nobody put together by their sheet. */
    @Test
    void aLeakCheckWaitsForAssemblySheetsWhereThatIsChosen() {
        Project usual = Systems.corrie();
        assertThat(proof(usual, "overnight").counts()).isTrue();
        ration.record.project.Practice practice = usual.brief().practice();
        Project p = usual.with(usual.brief()
                .withChoices(usual.brief()
                        .choices()
                        .with(practice.withAsks(practice.asks().withAssembly(true)))));
        List<Wanted> sheets = TestProgram.wanted(p).stream()
                .filter(w -> w.kind() == TestKind.ASSEMBLY)
                .toList();
        assertThat(sheets).hasSizeGreaterThan(1).allMatch(Wanted::asked);
        TestProgram.Proof waits = proof(p, "overnight");
        assertThat(waits.counts()).isFalse();
        assertThat(waits.verdict()).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(waits.state()).startsWith("waits for Assembly sheet, ");
        assertThat(Assessment.of(p).findings())
                .filteredOn(f -> f.check() == Check.PROOF_OVERNIGHT)
                .extracting(Finding::verdict)
                .containsExactly(Verdict.NOT_SHOWN);
        for (Wanted w : sheets) {
            assertThat(proof(p, "overnight").counts()).isFalse();
            Work.Sheet good = w.begun();
            for (String piece :
                    Form.of(TestKind.ASSEMBLY).orElseThrow().pieces(p.system()).keySet()) {
                good = good.plus(Work.Row.seen(piece, Grade.GOOD));
            }
            p = p.with(done(p, w, good));
        }
        assertThat(proof(p, "overnight").counts()).isTrue();
    }

    static Stream<Project> projects() {
        return Stream.concat(
                Stream.of("corrie-b1", "brindle-a2", "tansy-l3").map(Systems::demo),
                Stream.of(Pattern.values()).map(Pattern::project));
    }

    /** A test that is asked for and was not run is Not shown, in every layout; keys are told apart. */
    @ParameterizedTest
    @MethodSource("projects")
    void whatWasNotRunIsNotShown(Project p) {
        Assessment a = Assessment.of(p.withTests(List.of()));
        assertThat(a.program().tests()).extracting(x -> x.wanted().key()).doesNotHaveDuplicates();
        assertThat(a.program().tests())
                .filteredOn(x -> x.wanted().asked())
                .isNotEmpty()
                .allSatisfy(x -> {
                    assertThat(x.verdict()).isEqualTo(Verdict.NOT_SHOWN);
                    assertThat(x.outcome().words().in(UnitSystem.US)).doesNotContain("NaN", "Infinity");
                    if (x.wanted().kind() != TestKind.DRAIN) {
                        assertThat(a.findings())
                                .anyMatch(f ->
                                        f.id().equals("proof." + x.wanted().key()) && f.verdict() == Verdict.NOT_SHOWN);
                    }
                });
        assertThat(a.program().heads().values()).allSatisfy(h -> assertThat(h).isGreaterThanOrEqualTo(0));
    }

    // a flow test

    /**
     * An open line is predicted as one: less where its end is held higher, nothing at the height of the fuel; the same
     * as the network asked by itself.
     */
    @Test
    void theOpenLineIsPredictedAsItIsHeld() {
        Assessment a = Assessment.of(CORRIE);
        FlowBasis basis = a.basis().orElseThrow();
        Work.Sheet sheet = flow(CORRIE, "flow.selector:FUSELAGE", 22, 1.6);
        Condition c = OpenLine.condition(basis, CORRIE.brief(), sheet).orElseThrow();
        double level = OpenLine.of(basis, CORRIE.brief(), sheet).orElseThrow().pours();
        assertThat(level).isEqualTo(basis.ask(c, new FlowQuestion.OpenLine()).inletFlow());
        double before = Double.POSITIVE_INFINITY;
        for (double inches : new double[] {-6, -1, -0.03, 0, 0.03, 1, 6}) {
            double now = OpenLine.of(basis, CORRIE.brief(), sheet.with("open", m(inches, Unit.INCH)))
                    .orElseThrow()
                    .pours();
            assertThat(now).as(inches + " in").isLessThan(before);
            before = now;
        }
        assertThat(OpenLine.of(basis, CORRIE.brief(), sheet.with("open", m(0.03, Unit.INCH)))
                        .orElseThrow()
                        .pours())
                .isCloseTo(level, Percentage.withPercentage(0.2));
        double head = basis.levels(c).get("fuselage").surface()
                - c.attitude()
                        .gravity()
                        .up()
                        .dot(CORRIE.system().inlet().orElseThrow().place().point());
        assertThat(OpenLine.of(
                                basis,
                                CORRIE.brief(),
                                sheet.with("open", m(Unit.INCH.fromSi(Math.min(head, 0.99)), Unit.INCH)))
                        .orElseThrow()
                        .pours())
                .isLessThan(0.02 * level);
    }

    /** The reading that is asked and the engine's need are one figure, seen from the can and from the engine. */
    @Test
    void aFlowTestIsJudgedAtTheEngine() {
        Assessment a = Assessment.of(CORRIE);
        OpenLine l = OpenLine.of(a.basis().orElseThrow(), CORRIE.brief(), flow(CORRIE, "flow.selector:UPPER", 22, 2.3))
                .orElseThrow();
        double need = CORRIE.brief().needed();
        assertThat(l.atEngine(l.reading(need))).isCloseTo(need, Offset.offset(1e-15));
        assertThat(l.reading(need))
                .as("an open line pours more than what arrives under pressure")
                .isGreaterThan(need);
        double gph = Unit.GALLON_PER_HOUR.fromSi(l.reading(need));
        assertThat(verdict(
                        CORRIE,
                        "flow.selector:UPPER",
                        flow(CORRIE, "flow.selector:UPPER", 22, 2.3, gph * 1.2, gph * 1.07, gph * 1.3)))
                .isEqualTo(Verdict.HOLDS);
        assertThat(verdict(
                        CORRIE,
                        "flow.selector:UPPER",
                        flow(CORRIE, "flow.selector:UPPER", 22, 2.3, gph * 1.2, gph * 1.02)))
                .as("lowest is the result")
                .isEqualTo(Verdict.THIN);
        assertThat(verdict(
                        CORRIE,
                        "flow.selector:UPPER",
                        flow(CORRIE, "flow.selector:UPPER", 22, 2.3, gph * 1.2, gph * 0.98)))
                .isEqualTo(Verdict.FAILS);
        assertThat(verdict(CORRIE, "flow.selector:UPPER", flow(CORRIE, "flow.selector:UPPER", 22, 2.3)))
                .isEqualTo(Verdict.NOT_SHOWN);
    }

    /**
     * Nose too low, or too much fuel: kept as information, never pooled, closes nothing; what is short there is short
     * all the same.
     */
    @Test
    void aTestInAnotherConditionClosesNothing() {
        for (Work.Sheet other : List.of(
                flow(CORRIE, "flow.selector:UPPER", 12, 2.3, 40, 41),
                flow(CORRIE, "flow.selector:UPPER", 22, 6, 40, 41))) {
            TestProgram.Proof p = proof(with(CORRIE, "flow.selector:UPPER", other), "flow.selector:UPPER");
            assertThat(p.counts()).isTrue();
            assertThat(p.verdict()).isEqualTo(Verdict.NOT_SHOWN);
            assertThat(p.outcome().words().in(UnitSystem.US)).contains("kept as information");
        }
        assertThat(verdict(CORRIE, "flow.selector:UPPER", flow(CORRIE, "flow.selector:UPPER", 12, 2.3, 10)))
                .isEqualTo(Verdict.FAILS);
    }

    private static FlowBasis basis(Project p) {
        return new FlowBasis(
                p.system(), p.brief().fuel(), p.brief().choices().friction().law());
    }

    /**
     * Each way fuel is brought: by gravity through a selector and a tee, lifted, from headers, with returns and a jet,
     * by transfer.
     */
    static Stream<Project> waysToFeed() {
        return Stream.concat(
                Stream.of("corrie-b1", "brindle-a2", "tansy-l3").map(Systems::demo),
                Stream.of(Pattern.GRAVITY_TEED, Pattern.COLLECTOR_PER_TANK, Pattern.JET_COLLECTOR, Pattern.TRANSFER)
                        .map(Pattern::project));
    }

    /** Whatever figure of the layout moves what a flow test would pour is an input of it: changed, the test ends. */
    @ParameterizedTest
    @MethodSource("waysToFeed")
    void whatMovesThePredictionEndsTheTest(Project laidOut) {
        Project p = laidOut.withTests(List.of());
        Assessment a = Assessment.of(p);
        FlowBasis basis = basis(p);
        for (TestProgram.Proof wanted : a.program().tests()) {
            if (wanted.wanted().kind() != TestKind.FLOW && wanted.wanted().kind() != TestKind.PUMP_FLOW) {
                continue;
            }
            Work.Sheet sheet = flow(p, wanted.wanted().key(), 8, 3, 20);
            HangarTest t = done(p, wanted.wanted(), sheet);
            double before =
                    OpenLine.of(basis, p.brief(), sheet).map(OpenLine::pours).orElse(0.0);
            int moved = 0;
            for (Item item : p.system().items()) {
                for (Field f : FieldSheet.of(item)) {
                    Measured was = f.get().apply(item);
                    Project next = p.with(p.system()
                            .replace(f.with()
                                    .apply(
                                            item,
                                            was.with(Quantity.of(
                                                    was.quantity().value() * 1.04 + 0.05,
                                                    was.quantity().unit())))));
                    if (ration.aircraft.model.Validation.of(next.system()).stream()
                            .anyMatch(ration.aircraft.model.Problem::blocks)) {
                        continue;
                    }
                    boolean counts = Standing.of(t, next.asBuilt()).counts();
                    if (counts) {
                        double after = OpenLine.of(basis(next), p.brief(), sheet)
                                .map(OpenLine::pours)
                                .orElse(before);
                        assertThat(after)
                                .as(wanted.wanted().name() + ": " + item.id() + " " + f.key())
                                .isCloseTo(before, Offset.offset(1e-9 + 1e-6 * before));
                    } else {
                        moved++;
                    }
                }
            }
            assertThat(moved).as(wanted.wanted().name()).isPositive();
        }
    }

    @Test
    void aTestEndsByNameOfItsCauseAndComesBackWithUndo() {
        Project p = with(CORRIE, "flow.selector:FUSELAGE", flow(CORRIE, "flow.selector:FUSELAGE", 22, 1.6, 24));
        Run r3 = (Run) p.system().item("r3").orElseThrow();
        Project wider = p.with(p.system().replace(r3.resized(ration.aircraft.model.LineSize.parse("3/8 x 0.035"))));
        List<Comparison.Ended> ended = Comparison.ended(p, wider);
        assertThat(ended).singleElement().satisfies(e -> {
            assertThat(e.title()).isEqualTo("Nose-up flow, FUSELAGE");
            assertThat(e.causes().get(0)).isEqualTo("R3: size was 5/16 x 0.035 tube, now 3/8 x 0.035 tube");
        });
        assertThat(proof(wider, "flow.selector:FUSELAGE").state()).startsWith("outdated: R3: size was");
        assertThat(Assessment.of(wider).findings())
                .filteredOn(f -> f.check() == Check.PROOF_FLOW && f.id().endsWith("FUSELAGE"))
                .singleElement()
                .extracting(Finding::verdict)
                .isEqualTo(Verdict.NOT_SHOWN);
        assertThat(Comparison.ended(wider, p)).isEmpty();
        assertThat(proof(p, "flow.selector:FUSELAGE").counts()).isTrue();
        Run r1 = (Run) p.system().item("r1").orElseThrow();
        assertThat(Comparison.ended(
                        p, p.with(p.system().replace(r1.resized(ration.aircraft.model.LineSize.parse("1/2 x 0.035"))))))
                .as("the upper tank's line is not on the way")
                .isEmpty();
        assertThat(Comparison.ended(p, p.with(p.system().replace(r3.renamed("Main line")))))
                .as("a name is no input")
                .isEmpty();
        Project lower = p.with(new ration.aircraft.model.FuelSystem(
                p.system().items().stream().map(i -> raised(i)).toList(),
                p.system().firewall()));
        assertThat(Comparison.ended(p, lower))
                .as("the whole aircraft measured from another datum")
                .isEmpty();
    }

    private static Item raised(Item item) {
        Item out = item;
        for (Field f : FieldSheet.of(item)) {
            if (f.key().endsWith("aterLine") && f.unit() == Unit.INCH) {
                Measured m = f.get().apply(out);
                out = f.with()
                        .apply(
                                out,
                                m.with(Quantity.of(
                                        m.quantity().unit().fromSi(m.si() + Unit.INCH.toSi(10)),
                                        m.quantity().unit())));
            }
        }
        return out;
    }

    /** Before the edit is made: which records a change of a part would end, and what would have to be shown. */
    @Test
    void whatAChangeWouldEndIsToldBeforeIt() {
        Project p = with(CORRIE, "flow.selector:FUSELAGE", flow(CORRIE, "flow.selector:FUSELAGE", 22, 1.6, 24));
        assertThat(Touched.by(p, "r3").ended()).containsExactly("Nose-up flow, FUSELAGE");
        assertThat(Touched.by(p, "r3").asked())
                .contains("Nose-up flow, UPPER", "Nose-up flow, FUSELAGE", "Overnight leak check")
                .doesNotContain("Vent flow check");
        assertThat(Touched.by(p, "r1").ended()).isEmpty();
        assertThat(Touched.by(p, "r1").words("R1")).startsWith("No recorded test depends on R1. Retest: ");
        assertThat(Touched.by(Systems.corrie(), "upper").ended()).contains("Drain test of Upper tank");
    }

    /**
     * A hose renewed to the same size is another hose: what rested on it ended, and a mistaken entry put right brings
     * it back.
     */
    @Test
    void renewingAPartEndsWhatRestedOnIt() {
        Project p = CORRIE;
        p = with(p, "flow.selector:FUSELAGE", flow(p, "flow.selector:FUSELAGE", 22, 1.6, 24));
        ration.record.upkeep.Upkeep.Act act = new ration.record.upkeep.Upkeep.Act(
                java.time.LocalDate.of(2026, 11, 26), 413, "builder", "26-1", Optional.empty());
        Project renewed = p.with(p.upkeep().replaced("hose-r4", act));
        assertThat(Comparison.ended(p, renewed)).singleElement().satisfies(e -> {
            assertThat(e.title()).isEqualTo("Nose-up flow, FUSELAGE");
            assertThat(e.causes().get(0)).isEqualTo("R4: renewed is new: 2026-11-26, hose r4");
        });
        int wrong =
                renewed.upkeep().log().get(renewed.upkeep().log().size() - 1).number();
        Project corrected = renewed.with(renewed.upkeep().corrected(wrong, act, "not done"));
        assertThat(proof(corrected, "flow.selector:FUSELAGE").counts()).isTrue();
        Project looked = p.with(p.upkeep().looked("hose-r4", act, "good"));
        assertThat(Comparison.ended(p, looked)).as("a look renews nothing").isEmpty();
    }

    @Test
    void theParkedAngleEndsMarksMadeAtIt() {
        Project p = Systems.corrie();
        Project other = p.with(p.brief().withEnvelope(p.brief().envelope().withParked(m(10, Unit.DEGREE))));
        assertThat(Comparison.ended(p, other))
                .extracting(Comparison.Ended::title)
                .containsExactly("Fill and mark of Upper tank");
        assertThat(Comparison.ended(p, other).get(0).causes())
                .containsExactly("parked angle was 12.0\u00b0, now 10.0\u00b0");
    }

    @Test
    void whatTheStandInFedNeverCloses() {
        Work.Sheet sheet = flow(CORRIE, "flow.selector:UPPER", 22, 2.3, 60, 61);
        HangarTest t = done(CORRIE, proof(CORRIE, "flow.selector:UPPER").wanted(), sheet);
        Project fed = CORRIE.with(t.with(t.by().with(t.by().beside().fedByStandIn())));
        assertThat(proof(CORRIE.with(t), "flow.selector:UPPER").verdict()).isEqualTo(Verdict.HOLDS);
        assertThat(proof(fed, "flow.selector:UPPER").verdict()).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(proof(fed, "flow.selector:UPPER").state()).contains("simulated");
        HangarTest drained = Systems.corrie().tests().stream()
                .filter(x -> x.work() instanceof Work.Drain && x.progress().done())
                .findFirst()
                .orElseThrow();
        Project drainedByStandIn =
                CORRIE.with(drained.with(drained.by().with(drained.by().beside().fedByStandIn())));
        assertThat(Assessment.of(drainedByStandIn)
                        .tank("upper")
                        .orElseThrow()
                        .evidence()
                        .drains())
                .isEmpty();
    }

    /** The stand-in pours as the model says, a little off, and its lines are lines of readings. */
    @Test
    void theStandInPoursAndIsReadAsALogger() {
        FlowBasis basis = Assessment.of(CORRIE).basis().orElseThrow();
        Work.Sheet sheet = flow(CORRIE, "flow.selector:UPPER", 22, 2.3);
        double pours = OpenLine.of(basis, CORRIE.brief(), sheet).orElseThrow().pours();
        double sum = 0;
        for (int seed = 0; seed < 20; seed++) {
            StandIn plays = StandIn.of(basis, CORRIE.brief(), "", sheet, seed);
            Live live = new Live();
            live.line(StandIn.HEAD, 0);
            for (double t = 0.5; t <= 60; t += 0.5) {
                double at = t;
                plays.at(t, 0.5).forEach(l -> live.line(l, at));
            }
            assertThat(live.trouble()).isEmpty();
            double rise = live.rise("can", 50).orElseThrow();
            assertThat(rise).isCloseTo(pours, Percentage.withPercentage(20));
            sum += rise / 20;
        }
        assertThat(sum).as("right in the mean").isCloseTo(pours, Percentage.withPercentage(4));
    }

    /**
     * A strainer that costs 1.6 times its tag is found by the flow it passes, and the record rests on the figure known
     * now.
     */
    @Test
    void aLossIsFittedToWhatWasPoured() {
        Assessment a = Assessment.of(CORRIE);
        Strainer tag = (Strainer) CORRIE.system().item("strainer").orElseThrow();
        Field loss = FieldSheet.of(tag, "loss.loss").orElseThrow();
        double real = 1.6 * loss.get().apply(tag).si();
        Project is = CORRIE.with(
                CORRIE.system().replace(loss.with().apply(tag, Measured.of(Unit.PSI.fromSi(real), Unit.PSI))));
        double gph = Unit.GALLON_PER_HOUR.fromSi(OpenLine.of(
                        Assessment.of(is).basis().orElseThrow(),
                        CORRIE.brief(),
                        flow(CORRIE, "flow.selector:UPPER", 22, 2.3))
                .orElseThrow()
                .pours());
        Project tested = with(
                CORRIE, "flow.selector:UPPER", flow(CORRIE, "flow.selector:UPPER", 22, 2.3, gph * 1.005, gph * 0.995));
        HangarTest t = tested.tests().get(0);
        List<Fit> fits = Fit.of(tested, a.basis().orElseThrow(), t);
        Fit strainer = fits.stream()
                .filter(f -> f.item().equals("strainer"))
                .findFirst()
                .orElseThrow();
        assertThat(strainer.is()).isCloseTo(real, Percentage.withPercentage(1));
        assertThat(strainer.scatter()).isPositive().isLessThan(real);
        Project fitted = strainer.applied(tested);
        assertThat(proof(fitted, "flow.selector:UPPER").counts())
                .as("the part is the same, it is only known better")
                .isTrue();
        assertThat(OpenLine.of(Assessment.of(fitted).basis().orElseThrow(), CORRIE.brief(), (Work.Sheet) t.work())
                        .orElseThrow()
                        .pours())
                .isCloseTo(Unit.GALLON_PER_HOUR.toSi(gph), Percentage.withPercentage(0.1));
        Project lower = CORRIE.with(CORRIE.system().change("upper", Tank.class, x -> x.raised(-0.02)));
        double low = Unit.GALLON_PER_HOUR.fromSi(OpenLine.of(
                        Assessment.of(lower).basis().orElseThrow(),
                        CORRIE.brief(),
                        flow(CORRIE, "flow.selector:UPPER", 22, 2.3))
                .orElseThrow()
                .pours());
        Project once = with(CORRIE, "flow.selector:UPPER", flow(CORRIE, "flow.selector:UPPER", 22, 2.3, low));
        Fit tank = Fit.of(once, a.basis().orElseThrow(), once.tests().get(0)).stream()
                .filter(f -> f.key().equals(Fit.HIGHER))
                .findFirst()
                .orElseThrow();
        assertThat(tank.is())
                .as("the tank stands 20 mm lower than it was measured")
                .isCloseTo(-0.02, Offset.offset(1e-4));
        assertThat(proof(tank.applied(once), "flow.selector:UPPER").counts()).isTrue();
        assertThat(Fit.of(
                        with(CORRIE, "flow.selector:UPPER", flow(CORRIE, "flow.selector:UPPER", 22, 2.3, 300)),
                        a.basis().orElseThrow(),
                        with(CORRIE, "flow.selector:UPPER", flow(CORRIE, "flow.selector:UPPER", 22, 2.3, 300))
                                .tests()
                                .get(0)))
                .as("no loss lets through more than none")
                .isEmpty();
    }

    // the others, by hand

    /** Ideal gas: 3.5 psi at 20 C is 3.25 psi at 16 C, (3.5 + 14.696) 289.15 / 293.15 - 14.696; no leak. */
    @Test
    void pressureIsBroughtToOneTemperature() {
        Work.Sheet s = proof(CORRIE, "tank-pressure.upper")
                .wanted()
                .begun()
                .with("pressure", m(3.5, Unit.PSI))
                .with("minutes", m(10, Unit.MINUTE))
                .with("end", m(3.25, Unit.PSI))
                .seen(Work.Row.seen("seams", Grade.TIGHT));
        assertThat(verdict(CORRIE, "tank-pressure.upper", s))
                .as("no temperatures: a loss")
                .isEqualTo(Verdict.FAILS);
        Work.Sheet warm = s.with("warm", m(20, Unit.CELSIUS)).with("cool", m(16, Unit.CELSIUS));
        assertThat(verdict(CORRIE, "tank-pressure.upper", warm)).isEqualTo(Verdict.HOLDS);
        assertThat(verdict(CORRIE, "tank-pressure.upper", s.with("cool", m(-10, Unit.CELSIUS))))
                .as("one temperature alone makes up for nothing")
                .isEqualTo(Verdict.FAILS);
        assertThat(verdict(CORRIE, "tank-pressure.upper", warm.seen(Work.Row.seen("seams", Grade.BUBBLES))))
                .isEqualTo(Verdict.FAILS);
        assertThat(verdict(
                        CORRIE,
                        "tank-pressure.upper",
                        warm.with("pressure", m(2.2, Unit.PSI)).with("end", m(2, Unit.PSI))))
                .as("a bladder's")
                .isEqualTo(Verdict.THIN);
        assertThat(verdict(
                        CORRIE,
                        "tank-pressure.upper",
                        warm.with("pressure", m(1.5, Unit.PSI)).with("end", m(1.5, Unit.PSI))))
                .isEqualTo(Verdict.NOT_SHOWN);
    }

    /**
     * By Tansy's own figures: the servo bears 14 to 45 psi, the boost pump makes 21 by its curve; a tenth more is a
     * mistake or a hazard.
     */
    @Test
    void aPumpIsHeldAgainstItsCurveAndTheInlet() {
        Project tansy = Systems.demo("tansy-l3");
        Work.Sheet s = proof(tansy, "dead-head.boost")
                .wanted()
                .begun()
                .with("volts", m(12.6, Unit.VOLT))
                .with("shut", m(21.5, Unit.PSI));
        assertThat(verdict(tansy, "dead-head.boost", s))
                .as("running pressures are not entered")
                .isEqualTo(Verdict.NOT_SHOWN);
        Work.Sheet ran = s.with("idle", m(20, Unit.PSI)).with("full", m(16, Unit.PSI));
        assertThat(verdict(tansy, "dead-head.boost", ran)).isEqualTo(Verdict.HOLDS);
        assertThat(verdict(tansy, "dead-head.boost", ran.with("shut", m(24, Unit.PSI))))
                .isEqualTo(Verdict.FAILS);
        assertThat(verdict(tansy, "dead-head.boost", ran.with("full", m(12, Unit.PSI))))
                .isEqualTo(Verdict.FAILS);
        assertThat(verdict(tansy, "dead-head.boost", ran.with("idle", m(46, Unit.PSI))))
                .isEqualTo(Verdict.FAILS);
    }

    /** 100LL at 15 C weighs about 0.72 kg/L: 30 in make 0.78 psi (0.72 x 0.03613 psi an inch of water x 30). */
    @Test
    void aGaugeIsHeldAgainstAColumnOfFuel() {
        Work.Sheet s = Work.Sheet.begun(TestKind.GAUGE_CHECK, Wanted.NONE)
                .plus(Work.Row.of(Map.of("height", m(0, Unit.INCH), "shows", m(0, Unit.PSI))));
        Outcomes outcomes = new Outcomes(CORRIE, Optional.empty(), Map.of());
        Wanted w = new Wanted(TestKind.GAUGE_CHECK, "", Wanted.NONE, "gauge", "gauge", true, "", "");
        assertThat(outcomes.of(w, Optional.of(done(s))).verdict()).isEqualTo(Verdict.NOT_SHOWN);
        for (Object[] c :
                new Object[][] {{0.78, Verdict.HOLDS}, {0.93, Verdict.THIN}, {1.1, Verdict.FAILS}, {0.5, Verdict.FAILS}
                }) {
            Work.Sheet two =
                    s.plus(Work.Row.of(Map.of("height", m(30, Unit.INCH), "shows", m((double) c[0], Unit.PSI))));
            assertThat(outcomes.of(w, Optional.of(done(two))).verdict())
                    .as(c[0] + " psi")
                    .isEqualTo(c[1]);
        }
    }

    @Test
    void senderAndDrops() {
        Outcomes outcomes = new Outcomes(Systems.demo("tansy-l3"), Optional.empty(), Map.of());
        Wanted sender = new Wanted(TestKind.FLOW_SENDER, "flow-sender", Wanted.NONE, "sender", "sender", true, "", "");
        Work.Sheet runs = Work.Sheet.begun(TestKind.FLOW_SENDER, Wanted.NONE);
        for (double pulses : new double[] {29_000, 29_200, 28_900}) {
            runs = runs.plus(Work.Row.of(Map.of("volume", m(1, Unit.GALLON), "pulses", m(pulses, Unit.ONE))));
        }
        Outcome k = outcomes.of(sender, Optional.of(done(runs)));
        assertThat(k.verdict()).isEqualTo(Verdict.HOLDS);
        assertThat(k.words().in(UnitSystem.US)).contains("29,033 pulses/gal, 3 runs, spread 1.0%");
        Wanted off = new Wanted(TestKind.SELECTOR_OFF, "selector", Wanted.NONE, "off", "off", true, "", "");
        Work.Sheet watched =
                Work.Sheet.begun(TestKind.SELECTOR_OFF, Wanted.NONE).with("drops", m(0, Unit.ONE));
        assertThat(outcomes.of(off, Optional.of(done(watched))).verdict()).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(outcomes.of(off, Optional.of(done(watched.with("minutes", m(4, Unit.MINUTE)))))
                        .verdict())
                .isEqualTo(Verdict.NOT_SHOWN);
        assertThat(outcomes.of(off, Optional.of(done(watched.with("minutes", m(10, Unit.MINUTE)))))
                        .verdict())
                .isEqualTo(Verdict.HOLDS);
        assertThat(outcomes.of(
                                off,
                                Optional.of(done(watched.with("minutes", m(4, Unit.MINUTE))
                                        .with("drops", m(1, Unit.ONE)))))
                        .verdict())
                .as("a drop is a drop")
                .isEqualTo(Verdict.FAILS);
    }

    /** One joint not inspected leaves the sheet open; one that is wet makes it short; a smear needs its day. */
    @Test
    void theWorstJointCountsAndNoneIsForgotten() {
        String key = "overnight";
        Map<String, String> joints = Form.of(TestKind.OVERNIGHT).orElseThrow().pieces(CORRIE.system());
        List<String> ids = new ArrayList<>(joints.keySet());
        Work.Sheet s = proof(CORRIE, key).wanted().begun().with("hours", m(20, Unit.ONE));
        for (String id : ids.subList(0, ids.size() - 1)) {
            s = s.seen(Work.Row.seen(id, Grade.DRY));
        }
        String last = ids.get(ids.size() - 1);
        assertThat(verdict(CORRIE, key, s)).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(proof(with(CORRIE, key, s), key).outcome().words().in(UnitSystem.US))
                .contains("not inspected");
        assertThat(verdict(CORRIE, key, s.seen(Work.Row.seen(last, Grade.DRY)))).isEqualTo(Verdict.HOLDS);
        assertThat(verdict(CORRIE, key, s.seen(Work.Row.seen(last, Grade.DRY)).with("hours", m(3, Unit.ONE))))
                .as("not over night")
                .isEqualTo(Verdict.NOT_SHOWN);
        assertThat(verdict(CORRIE, key, s.seen(Work.Row.seen(last, Grade.SMEAR))))
                .isEqualTo(Verdict.NOT_SHOWN);
        assertThat(verdict(CORRIE, key, s.seen(new Work.Row(last, Map.of(), Optional.of(Grade.SMEAR), "2026-12-05"))))
                .isEqualTo(Verdict.THIN);
        Project strict = CORRIE.with(CORRIE.brief()
                .withChoices(CORRIE.brief()
                        .choices()
                        .with(CORRIE.brief()
                                .practice()
                                .withAsks(CORRIE.brief().practice().asks().withSmear(false)))));
        assertThat(verdict(strict, key, s.seen(new Work.Row(last, Map.of(), Optional.of(Grade.SMEAR), "2026-12-05"))))
                .as("a practice choice")
                .isEqualTo(Verdict.FAILS);
        assertThat(verdict(CORRIE, key, s.seen(Work.Row.seen(last, Grade.WET)))).isEqualTo(Verdict.FAILS);
        Project grown = with(CORRIE, key, s.seen(Work.Row.seen(last, Grade.DRY)));
        Run r3 = (Run) grown.system().item("r3").orElseThrow();
        assertThat(proof(
                                grown.with(grown.system()
                                        .replace(r3.resized(ration.aircraft.model.LineSize.parse("3/8 x 0.035")))),
                                key)
                        .verdict())
                .as("a joint made anew")
                .isEqualTo(Verdict.NOT_SHOWN);
    }

    @Test
    void theHeadOverAJointIsThatOfTheHighestFuel() {
        Map<String, Double> heads = Assessment.of(CORRIE).program().heads();
        assertThat(heads.get("r3.end"))
                .as("the strainer is lower than the selector")
                .isGreaterThan(heads.get("r3.start"));
        Tank upper =
                CORRIE.system().item("upper").flatMap(i -> i.only(Tank.class)).orElseThrow();
        assertThat(heads.get("r1.start"))
                .isBetween(
                        0.05,
                        upper.fitout().filler().orElseThrow().waterLine().si()
                                - upper.outlets().get(0).place().waterLine().si()
                                + 0.15);
    }
}
