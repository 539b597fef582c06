package ration.desktop.find;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;
import ration.answer.assess.Assessment;
import ration.answer.assess.StartingCase;
import ration.answer.find.Explanation;
import ration.answer.find.Search;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;
import ration.record.file.ProjectFile;
import ration.record.file.ProjectFileException;
import ration.record.project.Project;
import ration.record.reading.Reading;
import ration.record.reading.Setting;

/** What readings are entered as and what is said of the causes, without a display. */
class ReadingEntryTest {

    private static final ReadingEntry US = new ReadingEntry(UnitSystem.US);
    private static Project corrie;
    private static Assessment assessed;
    private static Setting as;

    @BeforeAll
    static void open() throws ProjectFileException {
        corrie = ProjectFile.demo("corrie-b1");
        assessed = Assessment.of(corrie);
        as = new Setting(StartingCase.of(corrie), Set.of());
    }

    private static String inlet() {
        return corrie.system().inlet().orElseThrow().id();
    }

    @Test
    void the_inlet_comes_first_and_every_part_can_be_read_at() {
        assertThat(ReadingEntry.places(corrie.system()))
                .containsValue(inlet())
                .hasSize(corrie.system().items().size());
        assertThat(ReadingEntry.places(corrie.system()).values().iterator().next())
                .isEqualTo(inlet());
        ration.aircraft.model.Item other = corrie.system().items().stream()
                .filter(i -> !i.id().equals(inlet()))
                .findFirst()
                .orElseThrow();
        ration.aircraft.model.FuelSystem alike = corrie.system()
                .replace(other.renamed(corrie.system().inlet().orElseThrow().name()));
        assertThat(ReadingEntry.places(alike))
                .as("called as the inlet is")
                .containsValue(other.id())
                .hasSize(alike.items().size());
    }

    @Test
    void a_bare_figure_is_in_the_units_of_the_window_and_an_error_is_a_difference() {
        Reading psi = US.read(inlet(), Reading.What.PRESSURE, "2", "0.3", as);
        assertThat(psi.value()).isEqualTo(Unit.PSI.toSi(2));
        assertThat(psi.error()).isCloseTo(Unit.PSI.toSi(0.3), within(1e-9));
        Reading warm = new ReadingEntry(UnitSystem.METRIC).read(inlet(), Reading.What.TEMPERATURE, "40", "1.5", as);
        assertThat(warm.value()).isCloseTo(313.15, within(1e-9));
        assertThat(warm.error()).as("degrees off are no temperature").isCloseTo(1.5, within(1e-9));
        assertThat(US.read(inlet(), Reading.What.MINUTES, "12", "1", as).value())
                .as("minutes stay minutes")
                .isEqualTo(12);
        assertThat(US.read(inlet(), Reading.What.MINUTES, "90 s", "1", as).value())
                .isEqualTo(1.5);
    }

    @Test
    void nothing_is_entered_that_nobody_read() {
        assertThatThrownBy(() -> US.read(null, Reading.What.PRESSURE, "2", "0.3", as))
                .hasMessage("Enter where it was read.");
        assertThatThrownBy(() -> US.read(inlet(), Reading.What.PRESSURE, " ", "0.3", as))
                .hasMessageContaining("Enter the value read");
        assertThatThrownBy(() -> US.read(inlet(), Reading.What.PRESSURE, "2", "", as))
                .hasMessageContaining("Enter the instrument error");
        assertThatThrownBy(() -> US.read(inlet(), Reading.What.DRIPS, "", "", as))
                .hasMessageContaining("no if you looked and it was not");
        assertThatThrownBy(() -> US.read(inlet(), Reading.What.DRIPS, "maybe", "", as))
                .hasMessageContaining("Enter yes");
        assertThatThrownBy(() -> ReadingEntry.asked(null, Reading.What.FLOW, as))
                .hasMessage("Enter where it was read.");
    }

    @ParameterizedTest
    @ValueSource(strings = {"yes", "Y", " no ", "n"})
    void a_sign_is_seen_or_looked_for_and_not_seen(String said) {
        Reading r = US.read(inlet(), Reading.What.DRIPS, said, "", as);
        assertThat(r.value())
                .isEqualTo(said.strip().toLowerCase(java.util.Locale.ROOT).startsWith("y") ? 1 : 0);
        assertThat(US.row(r, corrie.system()).error()).isEmpty();
        assertThat(US.off(r)).isEmpty();
    }

    /** What the rig is asked for, and what is offered for a reading that is asked, can be entered as it stands. */
    @ParameterizedTest
    @EnumSource(Reading.What.class)
    void every_kind_of_reading_is_told_and_entered_again_alike(Reading.What what) {
        Reading asked = ReadingEntry.asked(inlet(), what, as);
        assertThat(asked.error()).isPositive();
        for (UnitSystem units : UnitSystem.values()) {
            ReadingEntry entry = new ReadingEntry(units);
            assertThat(entry.prompt(what)).isNotBlank();
            if (!what.sign()) {
                assertThat(entry.read(inlet(), what, "1", entry.off(asked), as).error())
                        .isCloseTo(asked.error(), within(0.2 * asked.error()));
            }
            assertThat(entry.row(asked, corrie.system()).what()).startsWith(what.word());
        }
    }

    @Test
    void how_the_aircraft_was_set_stands_in_the_row() {
        Setting blown = new Setting(StartingCase.of(corrie), Set.of(Setting.Manoeuvre.values()[0]));
        ReadingEntry.Row row = US.row(US.read(inlet(), Reading.What.FLOW, "5", "0.5", blown), corrie.system());
        assertThat(row.how())
                .contains(blown.condition().positions().values())
                .contains("takeoff")
                .endsWith(Setting.Manoeuvre.values()[0].word());
        assertThat(row.figure()).contains("gph");
        assertThat(row.error()).isEqualTo("\u00b1 0.5 gph");
    }

    @Test
    void a_reading_is_told_to_be_high_or_low_only_beyond_its_error() {
        Reading r = US.read(inlet(), Reading.What.PRESSURE, "2", "0.3", as);
        Reading sign = US.read(inlet(), Reading.What.DRIPS, "yes", "", as);
        assertThat(US.beside(r, Optional.of(new Explanation.Fit(Unit.PSI.toSi(1), 2)))
                        .words())
                .endsWith(": high");
        assertThat(US.beside(r, Optional.of(new Explanation.Fit(Unit.PSI.toSi(3), -2)))
                        .words())
                .endsWith(": low");
        assertThat(US.beside(sign, Optional.of(new Explanation.Fit(0, 9))).words())
                .endsWith(": odd");
        assertThat(US.beside(r, Optional.of(new Explanation.Fit(Unit.PSI.toSi(2), 0.9))))
                .satisfies(b -> {
                    assertThat(b.off()).isFalse();
                    assertThat(b.words()).startsWith("expected ").doesNotContain(":");
                });
        assertThat(US.beside(r, Optional.of(new Explanation.Fit(Double.NaN, 0))).words())
                .as("anything would do")
                .isEmpty();
        assertThat(US.beside(r, Optional.empty()).words()).isEmpty();
    }

    @Test
    void readings_are_added_and_taken_away_from_those_there_are_then() {
        Reading r = US.read(inlet(), Reading.What.PRESSURE, "2", "0.3", as);
        Reading other = US.read(inlet(), Reading.What.FLOW, "4", "0.5", as);
        Project two = ReadingEntry.added(other)
                .change()
                .apply(ReadingEntry.added(r).change().apply(corrie.withReadings(List.of())));
        assertThat(two.readings()).containsExactly(r, other);
        assertThat(ReadingEntry.removed(0).change().apply(two).readings()).containsExactly(other);
        assertThat(ReadingEntry.removed(5).change().apply(two))
                .as("gone already")
                .isEqualTo(two);
    }

    /** A search over real readings: what is said fits what was found, and marks what is off. */
    @Test
    void what_is_said_of_the_causes_is_what_was_found() {
        Reading low = US.read(inlet(), Reading.What.PRESSURE, "0.05", "0.05", as);
        Search search = Search.of(assessed, List.of(low));
        FindWords found = new FindWords(List.of(low), search.explanations(), search.next(as.condition()));
        assertThat(found.sum(1))
                .isIn(
                        "likely causes after 1 reading",
                        "No single fault explains these readings: repeat them, or look for two faults");
        assertThat(found.sound()).hasSize(1);
        boolean off = Math.abs(found.sound().get(0).deviation()) > 1;
        assertThat(found.numbers(US)).singleElement().satisfies(n -> assertThat(n.toString())
                .contains("Reading 1, ")
                .matches(s -> s.contains(", off") == off));
        assertThat(found.open().values()).allMatch(letter -> letter.equals("p") || letter.equals("f"));
        assertThat(found.ranked()).allSatisfy(e -> {
            assertThat(FindWords.spoken(e)).contains(e.name(), FindWords.percent(e.belief()), e.word());
            assertThat(e.fits()).allSatisfy(f -> assertThat(FindWords.sign(f)).isNotBlank());
        });
        found.next().stream().findFirst().ifPresent(n -> assertThat(n.outcomes())
                .allSatisfy(o -> {
                    assertThat(FindWords.reads(n.asked(), o, US)).isNotBlank();
                    assertThat(FindWords.leaves(o)).isNotBlank();
                }));
    }

    @Test
    void readings_of_parts_that_are_gone_are_left_aside_and_said_so() {
        Reading here = US.read(inlet(), Reading.What.PRESSURE, "2", "0.3", as);
        Reading gone = US.read("no-such-part.in", Reading.What.PRESSURE, "2", "0.3", as);
        assertThat(FindWords.known(List.of(here, gone), corrie.system())).containsExactly(here);
        assertThat(new FindWords(List.of(here, gone), List.of(), List.of()).sum(1))
                .isEqualTo("likely causes after 1 reading; 1 at a place no longer in the layout are ignored");
        assertThat(new FindWords(List.of(), List.of(), List.of()).sum(0))
                .startsWith("Enter a reading at the conditions");
    }

    @Test
    void an_instrument_that_is_the_likeliest_cause_is_to_be_read_again() {
        Reading first = US.read(inlet(), Reading.What.PRESSURE, "2", "0.3", as);
        Reading second = US.read(inlet(), Reading.What.FLOW, "4", "0.5", as);
        Explanation wrong = new Explanation(
                ration.answer.find.CauseKind.INSTRUMENT,
                "Instrument of reading 2",
                "misreads",
                Optional.empty(),
                0.6,
                List.of(new Explanation.Fit(1, 0.1), new Explanation.Fit(Double.NaN, 0)));
        List<Explanation> ranked = new ArrayList<>(List.of(wrong));
        assertThat(new FindWords(List.of(first, second), ranked, List.of()).suspect())
                .contains(second);
        ranked.set(0, new Explanation(wrong.kind(), wrong.name(), wrong.how(), wrong.fault(), 0.3, wrong.fits()));
        assertThat(new FindWords(List.of(first, second), ranked, List.of()).suspect())
                .as("not likely enough")
                .isEmpty();
        assertThat(new FindWords(List.of(first), ranked, List.of()).nothingNext())
                .startsWith("One cause remains");
        assertThat(new FindWords(List.of(), List.of(), List.of()).nothingNext()).startsWith("Enter a reading: ");
    }
}
