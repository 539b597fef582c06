package ration.record.upkeep;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import biweekly.Biweekly;
import biweekly.ICalendar;
import biweekly.component.VEvent;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import ration.Systems;
import ration.answer.proof.Touched;
import ration.publish.export.UpkeepFiles;
import ration.record.file.ProjectFile;
import ration.record.file.ProjectFileException;
import ration.record.file.StrictSchema;
import ration.record.project.Project;
import ration.verdict.check.Verdict;

/**
 * Lives run out by date and by hours, unknown age is due, the log only grows; usual lives are common practice, no
 * source.
 */
class UpkeepTest {

    private static final LocalDate TODAY = LocalDate.of(2026, 3, 9);

    private static Upkeep.Act act(LocalDate on, double hours) {
        return new Upkeep.Act(on, hours, "builder", "26-0058", Optional.empty());
    }

    private static Optional<Part.Fitted> fitted(int year, int month, int day, double hours) {
        return Optional.of(new Part.Fitted(LocalDate.of(year, month, day), hours, Optional.empty()));
    }

    private static Upkeep at(double hours) {
        return Upkeep.NONE.withHours(hours);
    }

    private static Due due(Upkeep u, LocalDate on) {
        return Due.of(u, u.parts().get(0), on);
    }

    /** A rubber hose of five years: from the day it was fitted, or made where that is printed on it. */
    @Test
    void aHoseLivesFiveYearsFromTheMakersDate() {
        Upkeep u = at(412.6).plus("Hose R4", "r4", Part.Kind.RUBBER_HOSE, fitted(2021, 6, 2, 96.4), "21-0417");
        Due d = due(u, TODAY);
        assertThat(d.on()).contains(LocalDate.of(2026, 6, 2));
        assertThat(d.verdict()).isEqualTo(Verdict.THIN);
        assertThat(d.left()).isEqualTo("12 weeks remaining");
        assertThat(due(u, LocalDate.of(2026, 6, 2)).verdict()).isEqualTo(Verdict.FAILS);
        assertThat(due(u, LocalDate.of(2026, 6, 1)).verdict()).isEqualTo(Verdict.THIN);
        Upkeep older = at(412.6)
                .plus(
                        "Hose R4",
                        "r4",
                        Part.Kind.RUBBER_HOSE,
                        Optional.of(new Part.Fitted(
                                LocalDate.of(2021, 6, 2), 96.4, Optional.of(LocalDate.of(2020, 12, 1)))),
                        "");
        assertThat(due(older, TODAY).on()).contains(LocalDate.of(2025, 12, 1));
        assertThat(due(older, TODAY).verdict()).isEqualTo(Verdict.FAILS);
    }

    /** Every kind of part with every date, and every kind of entry, as the file has them. */
    @Test
    void theSchemaKnowsEveryPartAndEntry() throws Exception {
        Upkeep u = at(100);
        for (Part.Kind kind : Part.Kind.values()) {
            u = u.plus(
                    kind.label(),
                    "r4",
                    kind,
                    Optional.of(new Part.Fitted(LocalDate.of(2026, 1, 1), 90, Optional.of(LocalDate.of(2025, 6, 1)))),
                    "a paper");
        }
        String first = u.parts().get(0).id();
        u = u.looked(first, act(TODAY, 100), "sound")
                .replaced(first, act(TODAY, 100))
                .corrected(1, act(TODAY, 100), "another hose")
                .removed(u.parts().get(1).id(), act(TODAY, 100));
        Project kept = Systems.corrie().with(u);
        StrictSchema.describes(kept);
        assertThat(ProjectFile.read(ProjectFile.text(kept).getBytes(StandardCharsets.UTF_8), "kept.ration")
                        .upkeep())
                .isEqualTo(u);
    }

    /** Whichever comes first, hours or months; a look starts it anew. */
    @Test
    void aScreenIsLookedAtByHoursOrMonths() {
        Upkeep u = at(450).plus("Strainer screen", "strainer", Part.Kind.SCREEN, fitted(2026, 2, 14, 405.1), "");
        Due d = due(u, TODAY);
        assertThat(d.atHours()).isEqualTo(455.1);
        assertThat(d.left()).isEqualTo("5.1 h remaining");
        assertThat(due(u.withHours(455.1), TODAY).verdict()).isEqualTo(Verdict.FAILS);
        Upkeep looked = u.withHours(455.1).looked("strainer-screen", act(TODAY, 455.1), "a few fibres");
        assertThat(due(looked, TODAY).verdict()).isEqualTo(Verdict.HOLDS);
        assertThat(due(looked, TODAY).atHours()).isEqualTo(505.1);
        Upkeep mistaken = looked.corrected(1, act(TODAY, 455.1), "the other strainer");
        assertThat(due(mistaken, TODAY).verdict())
                .as("a look that was put right does not count")
                .isEqualTo(Verdict.FAILS);
    }

    /** What nobody knows is due now and not shown; what is temporary is Short until it is gone. */
    @Test
    void unknownAgeIsDueAndTemporaryThingsAreShort() {
        Upkeep u = at(10).plus("Hose at the plenum", "", Part.Kind.RUBBER_HOSE, Optional.empty(), "")
                .plus("Worm clamp on R4", "r4", Part.Kind.TEMPORARY, fitted(2026, 3, 4, 9), "")
                .plus("Sight tube", "", Part.Kind.SIGHT_TUBE, fitted(2026, 1, 1, 5), "");
        List<Due> all = Due.of(u, TODAY);
        assertThat(all)
                .extracting(d -> d.part().name())
                .containsExactly("Worm clamp on R4", "Hose at the plenum", "Sight tube");
        assertThat(all).extracting(Due::verdict).containsExactly(Verdict.FAILS, Verdict.NOT_SHOWN, Verdict.HOLDS);
        assertThat(all.get(1).left()).isEqualTo("age unknown: treat as due");
        Upkeep off = u.removed("worm-clamp-on-r4", act(TODAY, 10));
        assertThat(off.parts()).hasSize(2);
        assertThat(off.log()).singleElement().satisfies(e -> assertThat(e.what())
                .isEqualTo(Entry.What.REMOVED));
    }

    /** One act: the old out, the new in with its paper, a sentence for the logbook, what to test again. */
    @Test
    void replacingIsOneActAndLeavesASentence() {
        Upkeep u = at(412.6)
                .plus("Hose R4", "r4", Part.Kind.RUBBER_HOSE, fitted(2021, 6, 2, 96.4), "21-0417")
                .replaced("hose-r4", act(TODAY, 412.6));
        assertThat(due(u, TODAY).verdict()).isEqualTo(Verdict.HOLDS);
        assertThat(due(u, TODAY).on()).contains(LocalDate.of(2031, 3, 9));
        assertThat(u.parts().get(0).paper()).isEqualTo("26-0058");
        assertThat(Upkeep.logbook(u.log().get(0)))
                .isEqualTo("2026-03-09, 412.6 h: Replaced Hose R4, ref. 26-0058. Removed part: installed 2021-06-02 at"
                        + " 96.4 h, ref. 21-0417."
                        + " builder");
        assertThat(Touched.renewed(Systems.corrie().with(u), u.parts().get(0)))
                .extracting(Touched.Again::words)
                .contains("Line pressure test", "Nose-up flow, UPPER", "Nose-up flow, FUSELAGE")
                .doesNotContain("Vent flow check")
                .endsWith("Overnight leak check", "Leak check after first run");
    }

    /**
     * A cap's seal keeps water out and does not lie in the fuel's way: a new one ends no test of a line. A new gasket
     * does.
     */
    @Test
    void aCapSealIsNotInTheFuelsWay() {
        Upkeep u = at(100).plus("Seal of the left cap", "left", Part.Kind.CAP_SEAL, Optional.empty(), "")
                .replaced("seal-of-the-left-cap", act(TODAY, 100));
        assertThat(u.renewed()).isEmpty();
        assertThat(Touched.renewed(Systems.demo("tansy-l3").with(u), u.parts().get(0)))
                .extracting(Touched.Again::words)
                .singleElement()
                .asString()
                .contains("sample of Left tank");
        Upkeep plate = u.plus("Plate gasket", "left", Part.Kind.PLATE, Optional.empty(), "")
                .replaced("plate-gasket", act(TODAY, 100));
        assertThat(plate.renewed()).containsKey("left");
        assertThat(Touched.renewed(
                        Systems.demo("tansy-l3").with(plate), plate.parts().get(1)))
                .extracting(Touched.Again::words)
                .contains("Tank pressure test, Left tank")
                .doesNotContain("Tank pressure test, Right tank");
    }

    /** Whatever is done, the log only grows and its numbers are never given twice; nothing earlier changes. */
    @Test
    void theLogOnlyGrows() {
        Random random = new Random(11);
        Upkeep u = at(5).plus("A", "", Part.Kind.OTHER, fitted(2025, 1, 1, 1), "")
                .plus("B", "", Part.Kind.SEALS, Optional.empty(), "");
        for (int n = 0; n < 200; n++) {
            Upkeep before = u;
            Upkeep.Act act = act(TODAY.plusDays(n), 5 + n);
            String part = random.nextBoolean() ? "a" : "b";
            u = switch (random.nextInt(u.log().isEmpty() ? 2 : 3)) {
                case 0 -> u.looked(part, act, "x");
                case 1 -> u.replaced(part, act);
                default -> u.corrected(1 + random.nextInt(u.log().size()), act, "y");
            };
            assertThat(u.log().subList(0, before.log().size())).isEqualTo(before.log());
            assertThat(u.log()).hasSize(before.log().size() + 1);
        }
        assertThat(u.log().stream().map(Entry::number).distinct()).hasSize(200);
        Upkeep last = u;
        assertThatThrownBy(() -> last.corrected(999, act(TODAY, 1), "z")).hasMessageContaining("no entry 999");
    }

    /** To the file and back; a day that is none is told, and the file not changed. */
    @Test
    void itGoesToTheFileAndBack() throws ProjectFileException {
        Upkeep u = at(412.6)
                .plus(
                        "Hose R4",
                        "r4",
                        Part.Kind.RUBBER_HOSE,
                        Optional.of(
                                new Part.Fitted(LocalDate.of(2021, 6, 2), 96.4, Optional.of(LocalDate.of(2021, 1, 5)))),
                        "21-0417")
                .plus("Vent", "upper", Part.Kind.VENT, Optional.empty(), "")
                .replaced("hose-r4", act(TODAY, 412.6))
                .corrected(1, act(TODAY, 412.6), "Hose R3");
        Project p = Systems.corrie().with(u);
        String text = ProjectFile.text(p);
        Project read = ProjectFile.read(text.getBytes(StandardCharsets.UTF_8), "test.ration");
        assertThat(read.upkeep()).isEqualTo(u);
        assertThat(read).isEqualTo(p);
        assertThatThrownBy(() -> ProjectFile.read(
                        text.replace("2026-03-09", "2026-13-09").getBytes(StandardCharsets.UTF_8), "test.ration"))
                .isInstanceOf(ProjectFileException.class);
    }

    /** The calendar is read back by a library: a whole day each, on the day it falls due. */
    @Test
    void theCalendarHoldsTheDays() {
        Project p = Systems.corrie()
                .with(at(412.6)
                        .plus("Hose R4", "r4", Part.Kind.RUBBER_HOSE, fitted(2021, 6, 2, 96.4), "")
                        .plus("Tank sealing", "upper", Part.Kind.SEALANT, fitted(2026, 3, 1, 411), ""));
        String text = UpkeepFiles.calendar(p, TODAY);
        ICalendar read = Biweekly.parse(text).first();
        assertThat(read.getEvents()).as("hours alone have no day").hasSize(1);
        VEvent event = read.getEvents().get(0);
        assertThat(event.getSummary().getValue()).isEqualTo("Corrie B1: Hose R4, replace");
        assertThat(text).contains("DTSTART;VALUE=DATE:20260602");
        assertThat(UpkeepFiles.parts(p, TODAY).lines()).hasSize(3);
        assertThat(UpkeepFiles.log(p).lines()).hasSize(1);
    }
}
