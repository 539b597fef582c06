package ration.find;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Set;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import ration.Systems;
import ration.assess.Assessment;
import ration.condition.Condition;
import ration.condition.Fault.Kind;
import ration.condition.Fault;
import ration.condition.Power;
import ration.project.Pattern;
import ration.quantity.Unit;
import ration.reading.Reading;
import ration.reading.Setting.Manoeuvre;
import ration.reading.Setting;

/** What the trade knows of readings, come out of the network and not out of a table of sentences; common practice, no source. */
class SignaturesTest {

    private static final double PSI = Unit.PSI.toSi(1);
    private static final Assessment RAIL = Assessment.of(Pattern.HEADER_TWO_PUMPS.project());
    private static final Assessment CORRIE = Assessment.of(Systems.corrie());
    private static final Assessment TANSY = Assessment.of(Systems.demo("tansy-l3"));

    private static Reading pressure(String place, double psi, Setting s) {
        return new Reading(place, Reading.What.PRESSURE, psi * PSI, 1 * PSI, s);
    }

    private static Explanation best(Assessment a, Reading... readings) {
        return Search.of(a, List.of(readings)).explanations().get(0);
    }

    /** A rail of 45 psi reads low; return pinched it jumps to what the pump can do: pump good, regulator bad. */
    @Test
    void pinchedReturnTellsRegulatorFromPump() {
        Setting as = new Setting(Assessment.start(RAIL.project()));
        Setting pinched = as.with(Manoeuvre.RETURN_PINCHED);
        Search sound = Search.of(RAIL, List.of());
        double set = sound.predicted(Set.of(), pressure("rail", 0, as)) / PSI;
        assertThat(set).isBetween(42.0, 46.0);
        Fault stuck = new Fault(Kind.REGULATOR_STUCK_OPEN, "regulator");
        assertThat(sound.predicted(Set.of(stuck), pressure("rail", 0, as)) / PSI).isLessThan(20);
        assertThat(sound.predicted(Set.of(stuck), pressure("rail", 0, pinched)) / PSI).isBetween(60.0, 75.0);
        Explanation jumps = best(RAIL, pressure("rail", 5.5, as), pressure("rail", 64, pinched));
        assertThat(jumps.fault().orElseThrow().kind()).isEqualTo(Kind.REGULATOR_STUCK_OPEN);
        assertThat(jumps.word()).isEqualTo("likely");
        Explanation stays = best(RAIL, pressure("rail", 5, as), pressure("rail", 6, pinched));
        assertThat(stays.fault().map(Fault::kind)).as("pump, filter or supply").isNotEqualTo(java.util.Optional.of(Kind.REGULATOR_STUCK_OPEN));
    }

    @Test
    void aRegulatorStuckShutReadsThePumpsOwnMost() {
        Setting as = new Setting(Assessment.start(RAIL.project()));
        // two that shut the same way back read the same
        List<Explanation> all = Search.of(RAIL, List.of(pressure("rail", 64, as))).explanations();
        assertThat(all.stream().filter(e -> e.belief() > 0.1).map(e -> e.fault().map(Fault::kind).orElse(null))).contains(Kind.REGULATOR_STUCK_SHUT)
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
        Explanation e = best(CORRIE, fades, new Reading("carburettor", Reading.What.MINUTES, sound, 1, new Setting(half).with(Manoeuvre.CAP_LOOSENED)));
        assertThat(e.fault().orElseThrow()).isEqualTo(new Fault(Kind.VENT_SHUT, "fuselage"));
        assertThat(e.word()).isEqualTo("likely");
    }

    /** A fouled strainer is felt at high flow, hardly at low. */
    @Test
    void aFouledStrainerShowsAtHighFlowOnly() {
        Setting full = new Setting(Assessment.start(CORRIE.project()));
        Setting low = new Setting(full.condition().with(Power.IDLE));
        Search s = Search.of(CORRIE, List.of());
        Fault fouled = new Fault(Kind.FILTER_FOULED, "strainer", 6);
        double atFull = s.predicted(Set.of(), pressure("carburettor", 0, full)) - s.predicted(Set.of(fouled), pressure("carburettor", 0, full));
        double atIdle = s.predicted(Set.of(), pressure("carburettor", 0, low)) - s.predicted(Set.of(fouled), pressure("carburettor", 0, low));
        assertThat(atFull).isGreaterThan(10 * Math.max(0, atIdle));
    }

    /** A dead engine pump hides while the boost pump runs, and shows at once when that is off. */
    @Test
    void aDeadPumpShowsOnceTheOtherIsOff() {
        Setting both = new Setting(Assessment.start(TANSY.project()));
        Setting alone = SettingWords.parse(TANSY, "level, left, engine pump alone");
        Explanation e = best(TANSY, pressure("servo", 0, alone), pressure("servo", 19, both));
        assertThat(e.fault().orElseThrow()).isEqualTo(new Fault(Kind.PUMP_DEAD, "engine-pump"));
    }

    /** When nothing fits, it says so; one reading that nothing else bears out is its instrument. */
    @Test
    void whatFitsNothingStaysUnknown() {
        Setting as = new Setting(Assessment.start(TANSY.project()));
        List<Explanation> odd = Search.of(TANSY, List.of(pressure("servo", 140, as), pressure("boost-pump.out", -9, as), pressure("strainer.out", 77, as)))
                .explanations();
        assertThat(odd.get(0).name()).isEqualTo("None of these");
        Search sound = Search.of(TANSY, List.of());
        double servo = sound.predicted(Set.of(), pressure("servo", 0, as)) / PSI;
        double boost = sound.predicted(Set.of(), pressure("boost-pump.out", 0, as)) / PSI;
        double strainer = sound.predicted(Set.of(), pressure("strainer.out", 0, as)) / PSI;
        List<Explanation> gauge = Search.of(TANSY, List.of(pressure("servo", servo, as), pressure("boost-pump.out", boost + 30, as), pressure(
                "strainer.out", strainer, as))).explanations();
        assertThat(gauge.get(0).name()).isEqualTo("Instrument of reading 2");
        assertThat(gauge.stream().mapToDouble(Explanation::belief).sum()).isCloseTo(1, Offset.offset(1e-9));
    }

    /** What is asked next parts the suspects: its outcomes add up, and it leaves fewer. */
    @Test
    void theNextReadingLeavesFewer() {
        Setting as = new Setting(Assessment.start(RAIL.project()));
        Search s = Search.of(RAIL, List.of(pressure("rail", 64, as)));
        List<NextReading> next = s.next(as.condition());
        assertThat(next.get(0).left()).isLessThanOrEqualTo(s.suspects());
        assertThat(next).allSatisfy(n -> assertThat(n.outcomes().stream().mapToDouble(NextReading.Outcome::chance).sum()).isCloseTo(1, Offset.offset(
                1e-9)));
        assertThat(next.stream().filter(n -> n.words().contains("return pinched"))).isNotEmpty().allSatisfy(n -> assertThat(n.caution()).contains(
                "never a hard line"));
        assertThat(next.stream().filter(n -> n.words().contains("open line"))).allSatisfy(n -> assertThat(n.caution()).contains("extinguisher"));
    }

    /** The rig says the same for the same seed, hides something that shows, and knows its name and the way to it. */
    @Test
    void aRigHidesWhatCanBeFound() {
        for (long seed = 1; seed <= 2; seed++) {
            Rig rig = Rig.hiding(TANSY, seed);
            assertThat(Rig.hiding(TANSY, seed).hidden()).isEqualTo(rig.hidden()).hasSize(1);
            List<Reading> way = rig.shortestWay();
            assertThat(way).isNotEmpty().hasSizeLessThanOrEqualTo(10);
            assertThat(rig.minutes(way)).isPositive();
            List<Explanation> after = Search.of(TANSY, way).explanations();
            assertThat(after.stream().filter(rig::names).findFirst().orElseThrow().belief()).as(rig.hidden() + " " + way).isGreaterThan(0.02);
        }
        Rig dead = Rig.with(TANSY, Set.of(new Fault(Kind.PUMP_DEAD, "engine-pump")), 3);
        List<String> lines = dead.run(condition("level, left, engine pump alone")).after(1);
        assertThat(lines).allSatisfy(l -> assertThat(l).matches("[0-9.]+,[a-z0-9-]+\\.(pressure|flow|contents),-?[0-9.]+,(psi|gph|gal)"));
        assertThat(lines.stream().filter(l -> l.contains("sender.flow")).findFirst().orElseThrow()).contains(",0.000,");
    }

    private static Condition condition(String words) {
        return SettingWords.parse(TANSY, words).condition();
    }

    @Test
    void aTableOfReadingsIsReadAndWrongRowsAreNamed() {
        String head = "place,quantity,value,unit,error,state\n";
        List<Reading> read = ReadingsCsv.parse(TANSY, head + "Servo,pressure,12,psi,1,\"level, right, return pinched\"\nsender,flow,9.5,gph,0.5,cruise\n");
        assertThat(read).hasSize(2);
        assertThat(read.get(0).place()).isEqualTo("servo");
        assertThat(read.get(0).setting().manoeuvres()).containsExactly(Manoeuvre.RETURN_PINCHED);
        assertThat(read.get(0).setting().condition().positions()).containsEntry("selector", "RIGHT");
        assertThat(ReadingsCsv.parse(TANSY, "place;quantity;value;unit;error;state\nservo;pressure;12,5;psi;1;level\n").get(0).value()).isCloseTo(12.5
                * PSI, Offset.offset(1e-6));
        for (String[] wrong : new String[][] {{"rudder,pressure,1,psi,1,", "no part"}, {"servo,smell,1,psi,1,", "no quantity"}, {"servo,pressure,1,gph,1,",
            "no unit of a pressure"}, {"servo,pressure,x,psi,1,", "no number"}, {"servo,pressure,1,psi,0,", "above zero"}, {"servo,pressure,1,psi,1,upside",
                "is not known here"}}) {
            assertThatThrownBy(() -> ReadingsCsv.parse(TANSY, head + wrong[0] + "\n")).isInstanceOf(IllegalArgumentException.class).hasMessageContaining(
                    "Row 1").hasMessageContaining(wrong[1]);
        }
        assertThatThrownBy(() -> ReadingsCsv.parse(TANSY, "a,b\n1,2\n")).hasMessageContaining("lacks");
    }
}
