package ration.answer.proof;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import ration.Systems;
import ration.aircraft.condition.Fault;
import ration.aircraft.condition.Faults;
import ration.aircraft.condition.Power;
import ration.aircraft.model.JetPump;
import ration.aircraft.model.Orifice;
import ration.aircraft.model.Pump;
import ration.aircraft.model.Regulator;
import ration.answer.assess.Assessment;
import ration.base.quantity.Measured;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;
import ration.physics.flow.FlowBasis;
import ration.record.evidence.Form;
import ration.record.evidence.Grade;
import ration.record.evidence.HangarTest;
import ration.record.evidence.TestKind;
import ration.record.evidence.Work;
import ration.record.project.Pattern;
import ration.record.project.Project;
import ration.verdict.check.Verdict;

/** Tests with the pumps on: what the network says they read, and what is read against it. Limits: common practice. */
class PumpsOnTest {

    private static final Set<TestKind> KINDS = EnumSet.of(
            TestKind.REGULATOR, TestKind.PRIMING, TestKind.JET, TestKind.RETURN, TestKind.HOLD, TestKind.TANK_RETURN);

    /** A document with its flow questions. */
    private record Laid(Project project, FlowBasis basis) {

        private static final Map<String, Laid> KNOWN = new java.util.concurrent.ConcurrentHashMap<>();

        static Laid of(Project p) {
            return new Laid(p, Assessment.of(p).basis().orElseThrow());
        }

        static Laid of(Pattern p) {
            return KNOWN.computeIfAbsent(p.name(), k -> of(p.project()));
        }

        static Laid tansy() {
            return new Laid(
                    Systems.demo("tansy-l3"),
                    Systems.assessed("tansy-l3").basis().orElseThrow());
        }

        List<Wanted> wanted(TestKind kind) {
            return TestProgram.wanted(project).stream()
                    .filter(w -> w.kind() == kind)
                    .toList();
        }

        Outcome says(Wanted w, Work.Sheet sheet) {
            return new Outcomes(project, Optional.of(basis), Map.of())
                    .of(
                            w,
                            Optional.of(new HangarTest(
                                    "t",
                                    w.subject(),
                                    new HangarTest.Circumstances("2026-05-01", "b", "", Optional.empty(), "", ""),
                                    sheet,
                                    new HangarTest.Progress(9, 0, true))));
        }

        /** The test done on an aircraft in which something failed. */
        Outcome played(Wanted w, Faults failed) {
            Work.Sheet begun = w.begun();
            Map<String, Double> reads = new PumpsOn(basis, project.brief(), failed).plays(w.kind(), w.subject(), begun);
            Form form = Form.of(w.kind()).orElseThrow();
            Work.Sheet sheet = begun;
            for (Form.Ask a : form.once()) {
                if (reads.containsKey(a.key())) {
                    sheet = sheet.with(a.key(), si(reads.get(a.key()), a.unit()));
                }
            }
            if (w.kind() == TestKind.JET) {
                sheet = sheet.with("contents", Measured.of(3, Unit.GALLON))
                        .plus(Work.Row.of(Map.of(
                                "volume",
                                si(60 * Math.max(1e-9, reads.getOrDefault("can", 0.0)), Unit.GALLON),
                                "time",
                                Measured.of(60, Unit.SECOND))));
            }
            if (w.kind() == TestKind.HOLD) {
                sheet = sheet.with("minutes", Measured.of(6, Unit.MINUTE));
            }
            if (w.kind() == TestKind.RETURN) {
                sheet = sheet.with("minutes", Measured.of(10, Unit.MINUTE));
                for (Map.Entry<String, Double> e : reads.entrySet()) {
                    double gallons = Unit.GALLON.fromSi(e.getValue() * 600);
                    sheet = sheet.plus(Work.Row.seen(
                            e.getKey(),
                            Math.abs(gallons) < 0.1 ? Grade.STAYS : gallons > 0 ? Grade.RISES : Grade.FALLS));
                }
            }
            return says(w, sheet);
        }
    }

    private static Measured si(double si, Unit unit) {
        return Measured.of(unit.fromSi(si), unit);
    }

    private static Stream<Pattern> patterns() {
        return Stream.of(Pattern.values());
    }

    /** A sound aircraft that reads what the network says passes, or says nothing where a bleed relieves it. */
    @ParameterizedTest
    @EnumSource(Pattern.class)
    void aSoundAircraftPasses(Pattern pattern) {
        Laid laid = Laid.of(pattern);
        for (TestKind kind : KINDS) {
            for (Wanted w : laid.wanted(kind)) {
                boolean relieved = kind == TestKind.HOLD
                        && Stream.concat(
                                        laid.basis().system().all(Orifice.class),
                                        laid.basis().system().all(JetPump.class))
                                .findAny()
                                .isPresent();
                boolean unknown = kind == TestKind.TANK_RETURN
                        && new PumpsOn(laid.basis(), laid.project().brief())
                                .plays(kind, w.subject(), w.begun())
                                .isEmpty();
                Outcome played = laid.played(w, Faults.NONE);
                assertThat(played.verdict())
                        .as(w.key())
                        .isEqualTo(relieved || unknown ? Verdict.NOT_SHOWN : Verdict.HOLDS);
                if (relieved) {
                    assertThat(played.words().in(UnitSystem.US))
                            .contains("alone half is gone in about", "says nothing of check valves");
                }
            }
        }
    }

    /**
     * A regulator stuck either way fails its test in every layout that has one; where it then lets nothing through the
     * engine does not run and nothing is shown.
     */
    @Test
    void aStuckRegulatorFails() {
        int asked = 0;
        for (Pattern p : Pattern.values()) {
            Laid laid = Laid.of(p);
            for (Wanted w : laid.wanted(TestKind.REGULATOR)) {
                for (Fault.Kind stuck : List.of(Fault.Kind.REGULATOR_STUCK_OPEN, Fault.Kind.REGULATOR_STUCK_SHUT)) {
                    asked++;
                    Faults failed = Faults.of(new Fault(stuck, w.subject()));
                    boolean runs = new PumpsOn(laid.basis(), p.project().brief(), failed)
                            .running(Power.IDLE, w.begun())
                            .usable();
                    assertThat(laid.played(w, failed).verdict())
                            .as(p + " " + stuck)
                            .isEqualTo(runs ? Verdict.FAILS : Verdict.NOT_SHOWN);
                }
            }
        }
        assertThat(asked).isGreaterThan(6);
    }

    /** The reference hose: with it off at idle the pressure rises by the manifold depression, or it is blocked. */
    @Test
    void aReferenceThatDoesNotWorkFails() {
        Project p = Pattern.TWO_PUMPS_PARALLEL.project();
        Project refers = p.with(p.system()
                .change(
                        p.system()
                                .all(Regulator.class)
                                .findFirst()
                                .orElseThrow()
                                .id(),
                        Regulator.class,
                        r -> new Regulator(r.tag(), r.style(), Regulator.Reference.MANIFOLD, r.setting(), r.loss())));
        Laid laid = Laid.of(refers);
        Wanted w = laid.wanted(TestKind.REGULATOR).get(0);
        Map<String, Double> reads = new PumpsOn(laid.basis(), refers.brief()).plays(w.kind(), w.subject(), w.begun());
        assertThat(Unit.PSI.fromSi(reads.get("off") - reads.get("idle")))
                .as("5 psi or more at idle: common practice, no source")
                .isGreaterThan(5);
        assertThat(laid.played(w, Faults.NONE).verdict()).isEqualTo(Verdict.HOLDS);
        Outcome blocked = laid.played(w, Faults.of(new Fault(Fault.Kind.REFERENCE_OFF, w.subject())));
        assertThat(blocked.verdict()).isEqualTo(Verdict.FAILS);
        assertThat(blocked.words().in(UnitSystem.US)).contains("reference blocked or leaking");
        Work.Sheet without = w.begun()
                .with("idle", si(reads.get("idle"), Unit.PSI))
                .with("full", si(reads.get("full"), Unit.PSI))
                .with("creep", si(reads.get("creep"), Unit.PSI));
        assertThat(laid.says(w, without).verdict()).as("hose never taken off").isEqualTo(Verdict.NOT_SHOWN);
    }

    /** 3 of 43 psi holds, twice that is thin, more fails; a seat that creeps is told. */
    @ParameterizedTest
    @CsvSource({"43.5, 43.5, HOLDS", "46, 43.5, HOLDS", "47.5, 43.5, THIN", "43.5, 55, FAILS", "36, 36, FAILS"})
    void aRegulatorHoldsItsBand(double full, double creep, Verdict verdict) {
        Laid laid = Laid.of(Pattern.TWO_PUMPS_PARALLEL);
        Wanted w = laid.wanted(TestKind.REGULATOR).get(0);
        Outcome o = laid.says(
                w,
                w.begun()
                        .with("idle", Measured.of(43.5, Unit.PSI))
                        .with("full", Measured.of(full, Unit.PSI))
                        .with("creep", Measured.of(creep, Unit.PSI)));
        assertThat(o.verdict()).isEqualTo(verdict);
        assertThat(o.words().in(UnitSystem.US).contains("leaking seat")).isEqualTo(creep > 50);
    }

    /** 43 psi +- 3: 0.9645 to 1.034; without a reference at 10 inHg 1.056. Worked example. */
    @Test
    void injectorsFlowByTheRootOfTheirPressure() {
        double manifold = Unit.PSI.fromSi(Unit.INCH_OF_MERCURY.toSi(10));
        assertThat(PumpsOn.injectors(40, 43)).isCloseTo(0.9645, within(5e-5));
        assertThat(PumpsOn.injectors(46, 43)).isCloseTo(1.034, within(5e-4));
        assertThat(PumpsOn.injectors(43 + manifold, 43)).isCloseTo(1.056, within(5e-4));
    }

    @Test
    void aCloggedJetAndAStuckCheckFail() {
        Laid jets = Laid.of(Pattern.JET_COLLECTOR);
        Wanted jet = jets.wanted(TestKind.JET).get(0);
        assertThat(jets.played(jet, Faults.of(new Fault(Fault.Kind.NOZZLE_CLOGGED, jet.subject())))
                        .verdict())
                .isEqualTo(Verdict.FAILS);
        Laid laid = Laid.of(Pattern.TWO_PUMPS_PARALLEL);
        Wanted hold = laid.wanted(TestKind.HOLD).get(0);
        String pump =
                laid.basis().system().all(Pump.class).findFirst().orElseThrow().id();
        assertThat(laid.played(hold, Faults.of(new Fault(Fault.Kind.CHECK_STUCK_OPEN, pump)))
                        .verdict())
                .isEqualTo(Verdict.FAILS);
    }

    /** With the engine off nothing is burned: what leaves one tank comes to another, in every layout and position. */
    @Test
    void nothingIsLostWhileItReturns() {
        int asked = 0;
        for (Project p : Stream.concat(
                        patterns().map(Pattern::project),
                        Stream.of("brindle-a2", "tansy-l3").map(Systems::demo))
                .toList()) {
            Laid laid = Laid.of(p);
            for (Wanted w : laid.wanted(TestKind.RETURN)) {
                Map<String, Double> gains =
                        new PumpsOn(laid.basis(), p.brief()).gains(w.handles().positions(), w.begun());
                assertThat(gains).as(p.name() + w.key()).isNotEmpty();
                asked++;
                assertThat(gains.values().stream().mapToDouble(q -> q).sum())
                        .as(p.name() + " " + w.key())
                        .isCloseTo(0, within(Unit.GALLON_PER_HOUR.toSi(0.02)));
            }
        }
        assertThat(asked).isGreaterThan(8);
    }

    /** A level that does what was not computed fails; one not looked at, or pumps on too short, shows nothing. */
    @Test
    void aReturnIntoTheWrongTankFails() {
        Laid laid = Laid.tansy();
        Wanted w = laid.wanted(TestKind.RETURN).get(0);
        Work.Sheet run = w.begun().with("minutes", Measured.of(10, Unit.MINUTE));
        Work.Sheet still = run.seen(Work.Row.seen("left", Grade.STAYS)).seen(Work.Row.seen("right", Grade.STAYS));
        assertThat(laid.says(w, still).verdict()).isEqualTo(Verdict.HOLDS);
        assertThat(laid.says(w, still.seen(Work.Row.seen("right", Grade.RISES))).verdict())
                .isEqualTo(Verdict.FAILS);
        assertThat(laid.says(w, run.seen(Work.Row.seen("left", Grade.STAYS))).verdict())
                .isEqualTo(Verdict.NOT_SHOWN);
        assertThat(laid.says(w, still.with("minutes", Measured.of(2, Unit.MINUTE)))
                        .verdict())
                .isEqualTo(Verdict.NOT_SHOWN);
        assertThat(laid.says(w, run.seen(Work.Row.seen("left", Grade.GOOD)).seen(Work.Row.seen("right", Grade.GOOD)))
                        .verdict())
                .as("a grade of another test is no level")
                .isEqualTo(Verdict.NOT_SHOWN);
    }

    /** 309.6 mL at 25 gph: 11.78 s. Worked example, invented input. */
    @Test
    void linesFillAtTheFlowOfThePump() {
        assertThat(new PumpsOn.Filling(309.6e-6, Unit.GALLON_PER_HOUR.toSi(25)).seconds())
                .isCloseTo(11.78, within(0.005));
        Laid laid = Laid.of(Pattern.TWO_PUMPS_PARALLEL);
        Wanted w = laid.wanted(TestKind.PRIMING).get(0);
        double computed = new PumpsOn(laid.basis(), laid.project().brief())
                .plays(w.kind(), w.subject(), w.begun())
                .get("seconds");
        Map<Double, Verdict> by =
                new HashMap<>(Map.of(1.0, Verdict.HOLDS, 1.4, Verdict.HOLDS, 2.0, Verdict.THIN, 3.5, Verdict.FAILS));
        by.forEach((times, verdict) -> assertThat(
                        laid.says(w, w.begun().with("seconds", Measured.of(times * computed, Unit.SECOND)))
                                .verdict())
                .as("%s times", times)
                .isEqualTo(verdict));
    }

    /** Half after five minutes; what was watched longer is brought back to that, what is too short shows nothing. */
    @ParameterizedTest
    @CsvSource({
        "43, 30, 5, HOLDS",
        "43, 20, 5, FAILS",
        "43, 30, 2, NOT_SHOWN",
        "43, 20, 2, FAILS",
        "43, 20, 20, HOLDS",
        "43, 1, 20, FAILS",
        "0, 0, 10, NOT_SHOWN"
    })
    void pressureHoldsAfterShutoff(double start, double end, double minutes, Verdict verdict) {
        Laid laid = Laid.of(Pattern.TWO_PUMPS_PARALLEL);
        Wanted w = laid.wanted(TestKind.HOLD).get(0);
        assertThat(laid.says(
                                w,
                                w.begun()
                                        .with("start", Measured.of(start, Unit.PSI))
                                        .with("end", Measured.of(end, Unit.PSI))
                                        .with("minutes", Measured.of(minutes, Unit.MINUTE)))
                        .verdict())
                .isEqualTo(verdict);
    }

    /** Each line is put under 1.5 times what it stands itself: a suction line is not asked what the rail is. */
    @Test
    void eachLineIsPutUnderItsOwn() {
        Laid laid = Laid.of(Pattern.TWO_PUMPS_PARALLEL);
        Map<String, Double> under = Assessment.of(laid.project()).program().pressures();
        assertThat(under).hasSize(laid.basis().system().runs().size());
        double most = under.values().stream().mapToDouble(p -> p).max().orElseThrow();
        double least = under.values().stream().mapToDouble(p -> p).min().orElseThrow();
        double curve = laid.basis()
                .system()
                .all(Pump.class)
                .flatMap(p -> p.curve().stream())
                .mapToDouble(c -> c.pressure().si())
                .max()
                .orElseThrow();
        assertThat(most).isCloseTo(1.5 * curve, within(0.03 * curve));
        assertThat(least).isPositive().isLessThan(most / 10);
    }

    @ParameterizedTest
    @CsvSource({"0.3, HOLDS", "-0.3, HOLDS", "0.98, THIN", "1.5, FAILS", "-1.5, FAILS"})
    void aTankStandsLittleOverTheAirOutside(double inches, Verdict verdict) {
        Laid laid = Laid.tansy();
        Wanted w = laid.wanted(TestKind.TANK_RETURN).get(0);
        assertThat(laid.says(w, w.begun().with("pressure", Measured.of(inches, Unit.INCH_OF_WATER)))
                        .verdict())
                .isEqualTo(verdict);
    }
}
