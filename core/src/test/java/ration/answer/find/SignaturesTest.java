package ration.answer.find;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Set;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import ration.Systems;
import ration.aircraft.condition.Condition;
import ration.aircraft.condition.Fault;
import ration.aircraft.condition.Fault.Kind;
import ration.aircraft.condition.Power;
import ration.answer.assess.Assessment;
import ration.answer.assess.StartingCase;
import ration.base.quantity.Unit;
import ration.record.project.Pattern;
import ration.record.reading.Reading;
import ration.record.reading.Setting;
import ration.record.reading.Setting.Manoeuvre;

/**
 * What the trade knows of readings, come out of the network and not out of a table of sentences; common practice, no
 * source.
 */
class SignaturesTest {

    private static final double PSI = Unit.PSI.toSi(1);
    private static final Assessment RAIL = Assessment.of(Pattern.HEADER_TWO_PUMPS.project());
    private static final Assessment CORRIE = Systems.assessedCorrie();
    private static final Assessment TANSY = Systems.assessed("tansy-l3");

    private static Reading pressure(String place, double psi, Setting s) {
        return new Reading(place, Reading.What.PRESSURE, psi * PSI, 1 * PSI, s);
    }

    private static Explanation best(Assessment a, Reading... readings) {
        return Search.of(a, List.of(readings)).explanations().get(0);
    }

    /** A rail of 45 psi reads low; return pinched it jumps to what the pump can do: pump good, regulator bad. */
    @Test
    void pinchedReturnTellsRegulatorFromPump() {
        Setting as = new Setting(StartingCase.of(RAIL.project()));
        Setting pinched = as.with(Manoeuvre.RETURN_PINCHED);
        Search sound = Search.of(RAIL, List.of());
        double set = sound.predicted(Set.of(), pressure("rail", 0, as)) / PSI;
        assertThat(set).isBetween(42.0, 46.0);
        Fault stuck = new Fault(Kind.REGULATOR_STUCK_OPEN, "regulator");
        assertThat(sound.predicted(Set.of(stuck), pressure("rail", 0, as)) / PSI)
                .isLessThan(20);
        assertThat(sound.predicted(Set.of(stuck), pressure("rail", 0, pinched)) / PSI)
                .isBetween(60.0, 75.0);
        Explanation jumps = best(RAIL, pressure("rail", 5.5, as), pressure("rail", 64, pinched));
        assertThat(jumps.fault().orElseThrow().kind()).isEqualTo(Kind.REGULATOR_STUCK_OPEN);
        assertThat(jumps.word()).isEqualTo("likely");
        Explanation stays = best(RAIL, pressure("rail", 5, as), pressure("rail", 6, pinched));
        assertThat(stays.fault().map(Fault::kind))
                .as("pump, filter or supply")
                .isNotEqualTo(java.util.Optional.of(Kind.REGULATOR_STUCK_OPEN));
    }

    @Test
    void aRegulatorStuckShutReadsThePumpsOwnMost() {
        Setting as = new Setting(StartingCase.of(RAIL.project()));
        // two that shut the same way back read the same
        List<Explanation> all =
                Search.of(RAIL, List.of(pressure("rail", 64, as))).explanations();
        assertThat(all.stream()
                        .filter(e -> e.belief() > 0.1)
                        .map(e -> e.fault().map(Fault::kind).orElse(null)))
                .contains(Kind.REGULATOR_STUCK_SHUT)
                .containsAnyOf(Kind.REGULATOR_STUCK_SHUT, Kind.RETURN_BLOCKED);
    }

    /** Fades after minutes on one tank, recovers with the cap loosened: the vent. */
    @Test
    void fadesAndRecoversWithTheCapLoosenedIsTheVent() {
        Condition half = SettingWords.parse(CORRIE, "level, fuselage, half").condition();
        Search search = Search.of(CORRIE, List.of());
        Reading fades = new Reading("carburettor", Reading.What.MINUTES, 1, 0.3, new Setting(half));
        double sound = search.predicted(Set.of(), fades);
        double shut = search.predicted(Set.of(new Fault(Kind.VENT_SHUT, "fuselage")), fades);
        assertThat(shut).isLessThan(2);
        assertThat(sound).isGreaterThan(10);
        Explanation e = best(
                CORRIE,
                fades,
                new Reading(
                        "carburettor", Reading.What.MINUTES, sound, 1, new Setting(half).with(Manoeuvre.CAP_LOOSENED)));
        assertThat(e.fault().orElseThrow()).isEqualTo(new Fault(Kind.VENT_SHUT, "fuselage"));
        assertThat(e.word()).isEqualTo("likely");
    }

    private static Explanation of(Assessment a, Fault.Kind kind, Reading... readings) {
        return Search.of(a, List.of(readings)).explanations().stream()
                .filter(e -> e.fault().filter(f -> f.kind() == kind).isPresent())
                .findFirst()
                .orElseThrow();
    }

    /** Nothing moves and no sound: without volts the supply, with volts the pump. */
    @Test
    void silenceIsTheSupplyOrThePump() {
        Setting as = new Setting(StartingCase.of(TANSY.project()));
        Reading silent = Reading.sign("boost", Reading.What.SILENT, true, as);
        Explanation none = best(TANSY, silent, new Reading("boost", Reading.What.VOLTS, 0.1, 0.3, as));
        assertThat(none.fault().orElseThrow().kind()).isEqualTo(Kind.SUPPLY_DEAD);
        Explanation volts = best(
                TANSY,
                silent,
                new Reading("boost", Reading.What.VOLTS, 13.5, 0.3, as),
                new Reading("boost", Reading.What.AMPS, 0, 0.3, as));
        assertThat(volts.fault().orElseThrow()).isEqualTo(new Fault(Kind.PUMP_DEAD, "boost"));
    }

    /** Right pressure cold, none hot, back after standing: vapor in the pump or its suction, not a worn pump. */
    @Test
    void pressureThatGoesWithHeatAndComesBackIsVapor() {
        Setting cold = SettingWords.parse(TANSY, "level, left, engine pump alone");
        Setting hot = cold.with(Manoeuvre.HOT);
        Search s = Search.of(TANSY, List.of());
        double sound = s.predicted(Set.of(), pressure("servo", 0, cold)) / PSI;
        assertThat(s.predicted(Set.of(), pressure("servo", 0, hot)) / PSI)
                .as("as laid out it stands the heat")
                .isCloseTo(sound, Offset.offset(0.05 * sound));
        Explanation e =
                best(TANSY, pressure("servo", sound, cold), pressure("servo", 0, hot), pressure("servo", sound, cold));
        assertThat(e.fault().orElseThrow().kind()).isEqualTo(Kind.FUEL_VOLATILE);
        assertThat(of(TANSY, Kind.PUMP_WEAK, pressure("servo", sound, cold), pressure("servo", 0, hot))
                        .ruledOut())
                .as("a worn pump is low cold too")
                .isTrue();
    }

    /** More flows through a pump whose return is open: it stays cooler, and the pressure falls. */
    @Test
    void anOpenReturnCoolsThePumpAndCostsPressure() {
        Setting open = new Setting(StartingCase.of(RAIL.project())).with(Manoeuvre.HOT);
        Setting shut = open.with(Manoeuvre.RETURN_PINCHED);
        Search s = Search.of(RAIL, List.of());
        Reading warm = new Reading("rail", Reading.What.TEMPERATURE, 300, 1, open);
        double cooler = s.predicted(Set.of(), new Reading("rail", Reading.What.TEMPERATURE, 300, 1, shut))
                - s.predicted(Set.of(), warm);
        assertThat(cooler).as("K").isBetween(1.0, 30.0);
        assertThat(s.predicted(Set.of(), pressure("rail", 0, open)))
                .isLessThan(s.predicted(Set.of(), pressure("rail", 0, shut)) - 5 * PSI);
    }

    /**
     * Air cannot leave: it will not take fuel, and on a tank that feeds it fades. A vented cap helps the second, not
     * the first.
     */
    @Test
    void aTankThatRefusesFuelCannotBreathe() {
        Setting as = new Setting(StartingCase.of(CORRIE.project()));
        Reading refuses = Reading.sign("fuselage", Reading.What.WILL_NOT_FILL, true, as);
        assertThat(best(CORRIE, refuses).fault().orElseThrow().kind()).isIn(Kind.VENT_SHUT, Kind.VENT_HOLDS_LIQUID);
        Reading takes = Reading.sign("fuselage", Reading.What.WILL_NOT_FILL, false, as);
        assertThat(of(CORRIE, Kind.VENT_SHUT, takes).belief())
                .isLessThan(0.2 * of(CORRIE, Kind.VENT_SHUT, refuses).belief());
    }

    /**
     * On BOTH the tank that cannot breathe falls slower; a tank that rises with the engine stopped takes from the other
     * one.
     */
    @Test
    void tanksThatFallUnevenlyOrRise() {
        Assessment two = Assessment.of(Pattern.GRAVITY_SELECTOR.project());
        Search s = Search.of(two, List.of());
        Setting both = SettingWords.parse(two, "level, both, half");
        Fault shut = new Fault(Kind.VENT_SHUT, "left-tank");
        Reading left = falls("left-tank", 0, both);
        Reading right = falls("right-tank", 0, both);
        assertThat(s.predicted(Set.of(), left)).isCloseTo(s.predicted(Set.of(), right), Offset.offset(1e-9));
        assertThat(s.predicted(Set.of(shut), left)).isLessThan(0.3 * s.predicted(Set.of(shut), right));
        Explanation e = best(two, falls("left-tank", 0.4, both), falls("right-tank", 8.8, both));
        assertThat(e.fault().map(Fault::item)).as(e.toString()).contains("left-tank");

        Condition fuller = SettingWords.parse(two, "level, left, half").condition();
        Setting uneven = new Setting(fuller.withContents(
                        "right-tank", 1.8 * fuller.contents().get("right-tank")))
                .with(Manoeuvre.ENGINE_STOPPED);
        Fault across = new Fault(Kind.SELECTOR_LEAKS, "selector", 0.001);
        assertThat(s.predicted(Set.of(), falls("left-tank", 0, uneven))).isCloseTo(0, Offset.offset(2e-8));
        assertThat(s.predicted(Set.of(across), falls("left-tank", 0, uneven)))
                .as("rises")
                .isLessThan(-Unit.GALLON_PER_HOUR.toSi(0.3));
        assertThat(best(two, falls("left-tank", -1, uneven), falls("right-tank", 1, uneven))
                        .fault()
                        .orElseThrow()
                        .kind())
                .isEqualTo(Kind.SELECTOR_LEAKS);
    }

    private static Reading falls(String tank, double gph, Setting s) {
        return new Reading(tank, Reading.What.FALLS, Unit.GALLON_PER_HOUR.toSi(gph), Unit.GALLON_PER_HOUR.toSi(0.3), s);
    }

    /** A seep shows on paper left overnight, and not while one looks. */
    @Test
    void aSeepShowsOvernightOnly() {
        Setting parked = new Setting(StartingCase.of(CORRIE.project())).with(Manoeuvre.ENGINE_STOPPED);
        Fault seep = new Fault(Kind.FUEL_LEAK, "selector", 0.00002);
        Search s = Search.of(CORRIE, List.of());
        Reading now = Reading.sign("selector", Reading.What.DRIPS, true, parked);
        Reading night = Reading.sign("selector", Reading.What.DRIPS, true, parked.with(Manoeuvre.OVERNIGHT));
        assertThat(s.predicted(Set.of(seep), now)).isLessThan(0.1);
        assertThat(s.predicted(Set.of(seep), night)).isGreaterThan(0.9);
        Explanation e = of(CORRIE, Kind.FUEL_LEAK, Reading.sign("selector", Reading.What.DRIPS, false, parked), night);
        assertThat(e.fault().orElseThrow()).isEqualTo(seep);
        assertThat(e.belief()).isGreaterThan(0.1);
    }

    /**
     * Pressure flutters, worse low and hot: air or vapor on the suction side, never where the line stands above
     * ambient.
     */
    @Test
    void flutteringIsTheSuctionSide() {
        Search s = Search.of(TANSY, List.of());
        Fault leak = new Fault(Kind.AIR_LEAK, "engine-pump");
        Fault far = new Fault(Kind.AIR_LEAK, "boost");
        Fault behind = new Fault(Kind.AIR_LEAK, "servo");
        Setting low = SettingWords.parse(TANSY, "level, left, low, engine pump alone");
        Setting both = SettingWords.parse(TANSY, "level, left, full, both pumps");
        assertThat(s.predicted(Set.of(leak), flutters(low))).isGreaterThan(0.9);
        assertThat(s.predicted(Set.of(leak), flutters(both)))
                .as("the boost pump holds the joint above ambient")
                .isLessThan(0.1);
        assertThat(s.predicted(Set.of(far), flutters(low))).isLessThan(0.1);
        assertThat(s.predicted(Set.of(far), flutters(SettingWords.parse(TANSY, "climb, left, low, engine pump alone"))))
                .as("worse nose up and low")
                .isGreaterThan(0.9);
        assertThat(s.predicted(Set.of(behind), flutters(low)))
                .as("behind the pumps")
                .isLessThan(0.1);
        assertThat(s.predicted(Set.of(), flutters(low))).isLessThan(0.1);
        double air = Search.of(TANSY, List.of(flutters(low), Reading.sign("servo", Reading.What.FLUTTERS, false, both)))
                .explanations()
                .stream()
                .filter(e -> e.fault().filter(f -> f.kind() == Kind.AIR_LEAK).isPresent())
                .mapToDouble(Explanation::belief)
                .sum();
        assertThat(air).isGreaterThan(0.3);
    }

    private static Reading flutters(Setting s) {
        return Reading.sign("servo", Reading.What.FLUTTERS, true, s);
    }

    /** A fouled strainer is felt at high flow, hardly at low. */
    @Test
    void aFouledStrainerShowsAtHighFlowOnly() {
        Setting full = new Setting(StartingCase.of(CORRIE.project()));
        Setting low = new Setting(full.condition().with(Power.IDLE));
        Search s = Search.of(CORRIE, List.of());
        Fault fouled = new Fault(Kind.FILTER_FOULED, "strainer", 6);
        double atFull = s.predicted(Set.of(), pressure("carburettor", 0, full))
                - s.predicted(Set.of(fouled), pressure("carburettor", 0, full));
        double atIdle = s.predicted(Set.of(), pressure("carburettor", 0, low))
                - s.predicted(Set.of(fouled), pressure("carburettor", 0, low));
        assertThat(atFull).isGreaterThan(10 * Math.max(0, atIdle));
    }

    /** A dead engine pump hides while the boost pump runs, and shows at once when that is off. */
    @Test
    void aDeadPumpShowsOnceTheOtherIsOff() {
        Setting both = new Setting(StartingCase.of(TANSY.project()));
        Setting alone = SettingWords.parse(TANSY, "level, left, engine pump alone");
        Explanation e = best(TANSY, pressure("servo", 0, alone), pressure("servo", 19, both));
        assertThat(e.fault().orElseThrow()).isEqualTo(new Fault(Kind.PUMP_DEAD, "engine-pump"));
    }

    /** When nothing fits, it says so; one reading that nothing else bears out is its instrument. */
    @Test
    void whatFitsNothingStaysUnknown() {
        Setting as = new Setting(StartingCase.of(TANSY.project()));
        List<Explanation> odd = Search.of(
                        TANSY,
                        List.of(
                                pressure("servo", 140, as),
                                pressure("boost-pump.out", -9, as),
                                pressure("strainer.out", 77, as)))
                .explanations();
        assertThat(odd.get(0).name()).isEqualTo("None of these");
        Search sound = Search.of(TANSY, List.of());
        double servo = sound.predicted(Set.of(), pressure("servo", 0, as)) / PSI;
        double boost = sound.predicted(Set.of(), pressure("boost-pump.out", 0, as)) / PSI;
        double strainer = sound.predicted(Set.of(), pressure("strainer.out", 0, as)) / PSI;
        List<Explanation> gauge = Search.of(
                        TANSY,
                        List.of(
                                pressure("servo", servo, as),
                                pressure("boost-pump.out", boost + 30, as),
                                pressure("strainer.out", strainer, as)))
                .explanations();
        assertThat(gauge.get(0).name()).isEqualTo("Instrument of reading 2");
        assertThat(gauge.stream().mapToDouble(Explanation::belief).sum()).isCloseTo(1, Offset.offset(1e-9));
    }

    /** What is asked next parts the suspects: its outcomes add up, and it leaves fewer. */
    @Test
    void theNextReadingLeavesFewer() {
        Setting as = new Setting(StartingCase.of(RAIL.project()));
        Search s = Search.of(RAIL, List.of(pressure("rail", 64, as)));
        List<NextReading> next = s.next(as.condition());
        assertThat(next.get(0).left()).isLessThanOrEqualTo(s.suspects());
        assertThat(next).allSatisfy(n -> assertThat(n.outcomes().stream()
                        .mapToDouble(NextReading.Outcome::chance)
                        .sum())
                .isCloseTo(1, Offset.offset(1e-9)));
        assertThat(next.stream().filter(n -> n.words().contains("return pinched")))
                .isNotEmpty()
                .allSatisfy(n -> assertThat(n.caution()).contains("Never rigid or PTFE line"));
        assertThat(next.stream().filter(n -> n.words().contains("open line")))
                .allSatisfy(n -> assertThat(n.caution()).containsIgnoringCase("extinguisher"));
    }

    /** Each prepared case is of its demo, its complaint comes true, and who asks well finds the cause. */
    @ParameterizedTest
    @ValueSource(strings = {"corrie-b1", "brindle-a2", "tansy-l3"})
    void preparedCasesComeTrueAndAreFound(String demo) {
        Assessment a = Systems.assessed(demo);
        List<PracticeCase> cases = PracticeCase.of(a.project());
        assertThat(cases).hasSize(1);
        PracticeCase one = cases.get(0);
        Rig rig = Rig.with(a, one.hidden(), 7);
        Search s = Search.of(a, List.of());
        String inlet = a.project().system().inlet().orElseThrow().id();
        Setting said = SettingWords.parse(
                a,
                switch (demo) {
                    case "corrie-b1" -> "level, fuselage, half";
                    case "brindle-a2" -> "climb, half";
                    default -> "climb, left, low, engine pump alone";
                });
        Reading complaint = demo.equals("tansy-l3")
                ? Reading.sign(inlet, Reading.What.FLUTTERS, true, said)
                : new Reading(inlet, Reading.What.MINUTES, 0, 1, said);
        double failed = s.predicted(one.hidden(), complaint);
        double sound = s.predicted(Set.of(), complaint);
        if (complaint.what().sign()) {
            assertThat(failed).isGreaterThan(0.9);
            assertThat(sound).isLessThan(0.1);
        } else {
            assertThat(failed).isBetween(0.2, 20.0);
            assertThat(sound).isGreaterThan(failed + 5);
        }
        List<Reading> way = rig.shortestWay();
        List<Explanation> after = Search.of(a, way).explanations();
        assertThat(after.stream().limit(4).anyMatch(rig::names))
                .as(way + " " + after.subList(0, 4))
                .isTrue();
    }

    /** The rig says the same for the same seed, hides something that shows, and knows its name and the way to it. */
    @Test
    void aRigHidesWhatCanBeFound() {
        for (long seed = 2; seed <= 2; seed++) {
            Rig rig = Rig.hiding(TANSY, seed);
            assertThat(Rig.hiding(TANSY, seed).hidden()).isEqualTo(rig.hidden()).hasSize(1);
            List<Reading> way = rig.shortestWay();
            assertThat(way).isNotEmpty().hasSizeLessThanOrEqualTo(10);
            assertThat(rig.minutes(way)).isPositive();
            List<Explanation> after = Search.of(TANSY, way).explanations();
            assertThat(after.stream()
                            .filter(rig::names)
                            .findFirst()
                            .orElseThrow()
                            .belief())
                    .as(rig.hidden() + " " + way)
                    .isGreaterThan(0.02);
        }
        Rig dead = Rig.with(TANSY, Set.of(new Fault(Kind.PUMP_DEAD, "engine-pump")), 3);
        List<String> lines =
                dead.run(condition("level, left, engine pump alone")).after(1);
        assertThat(lines).allSatisfy(l -> assertThat(l)
                .matches("[0-9.]+,[a-z0-9-]+\\.(pressure|flow|contents),-?[0-9.]+,(psi|gph|gal)"));
        assertThat(lines.stream()
                        .filter(l -> l.contains("sender.flow"))
                        .findFirst()
                        .orElseThrow())
                .contains(",0.000,");
    }

    private static Condition condition(String words) {
        return SettingWords.parse(TANSY, words).condition();
    }

    @Test
    void aTableOfReadingsIsReadAndWrongRowsAreNamed() {
        String head = "place,quantity,value,unit,error,state\n";
        List<Reading> read = ReadingsCsv.parse(
                TANSY,
                head + "Servo,pressure,12,psi,1,\"level, right, return pinched\"\nsender,flow,9.5,gph,0.5,cruise\n");
        assertThat(read).hasSize(2);
        assertThat(read.get(0).place()).isEqualTo("servo");
        assertThat(read.get(0).setting().manoeuvres()).containsExactly(Manoeuvre.RETURN_PINCHED);
        assertThat(read.get(0).setting().condition().positions()).containsEntry("selector", "RIGHT");
        assertThat(ReadingsCsv.parse(TANSY, "place;quantity;value;unit;error;state\nservo;pressure;12,5;psi;1;level\n")
                        .get(0)
                        .value())
                .isCloseTo(12.5 * PSI, Offset.offset(1e-6));
        Reading sign = ReadingsCsv.parse(TANSY, head + "strainer,water in the sample,yes,,,\"level, left overnight\"\n")
                .get(0);
        assertThat(sign.what()).isEqualTo(Reading.What.WATER);
        assertThat(sign.value()).isEqualTo(1);
        assertThat(sign.setting().manoeuvres()).containsExactly(Manoeuvre.OVERNIGHT);
        assertThat(ReadingsCsv.parse(TANSY, head + "boost,temperature,86,F,2,hot\n")
                        .get(0)
                        .value())
                .isCloseTo(303.15, Offset.offset(1e-6));
        for (String[] wrong : new String[][] {
            {"rudder,pressure,1,psi,1,", "no part"},
            {"servo,smell,1,psi,1,", "no quantity"},
            {"servo,makes no sound,perhaps,,,", "yes"},
            {"servo,pressure,1,gph,1,", "no unit of a pressure"},
            {"servo,pressure,x,psi,1,", "not a number"},
            {"servo,pressure,1,psi,0,", "above zero"},
            {"servo,pressure,1,psi,1,upside", "not recognized"}
        }) {
            assertThatThrownBy(() -> ReadingsCsv.parse(TANSY, head + wrong[0] + "\n"))
                    .isInstanceOf(IllegalArgumentException.class)
                    .hasMessageContaining("Row 1")
                    .hasMessageContaining(wrong[1]);
        }
        assertThatThrownBy(() -> ReadingsCsv.parse(TANSY, "a,b\n1,2\n")).hasMessageContaining("lacks");
    }
}
