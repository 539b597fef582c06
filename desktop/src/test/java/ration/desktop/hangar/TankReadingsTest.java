package ration.desktop.hangar;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Tank;
import ration.aircraft.topology.Passing;
import ration.answer.assess.Assessment;
import ration.base.quantity.Measured;
import ration.base.quantity.Quantity;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;
import ration.record.evidence.HangarTest;
import ration.record.evidence.Work;
import ration.record.file.ProjectFile;
import ration.record.file.ProjectFileException;

/** What can be entered of a drain, a fill or a top-off, and what it changes, without a display. */
class TankReadingsTest {

    private static final TankReadings US = new TankReadings(UnitSystem.US);
    private static final TankReadings METRIC = new TankReadings(UnitSystem.METRIC);

    private static HangarTest of(Work work) {
        return new HangarTest(
                "t",
                "upper",
                new HangarTest.Circumstances("2026-05-01", "", "", Optional.empty(), "", ""),
                work,
                HangarTest.Progress.START);
    }

    private static Work.Drain drain() {
        return new Work.Drain("", Measured.of(0, Unit.DEGREE), Measured.of(0, Unit.DEGREE), List.of());
    }

    private static Work.Fill fill() {
        return new Work.Fill(Work.Stands.LEVEL, Measured.of(0, Unit.DEGREE, "level"), List.of());
    }

    private static Work.TopOff topOff() {
        return new Work.TopOff(Measured.of(0, Unit.GALLON), Optional.empty());
    }

    @Test
    void a_bare_number_is_in_the_units_of_the_window_and_a_written_unit_stands() {
        Work.Drain us = (Work.Drain) US.poured("2").apply(of(drain())).work();
        Work.Drain metric = (Work.Drain) METRIC.poured("2").apply(of(drain())).work();
        Work.Drain written =
                (Work.Drain) METRIC.poured("2 gal").apply(of(drain())).work();
        assertThat(us.trials().get(0).poured().si()).isEqualTo(Unit.GALLON.toSi(2));
        assertThat(metric.trials().get(0).poured().si()).isEqualTo(Unit.LITRE.toSi(2));
        assertThat(written.trials().get(0).poured().si()).isEqualTo(Unit.GALLON.toSi(2));
        assertThat(us.trials().get(0).poured().by()).isEqualTo("can");
    }

    @ParameterizedTest
    @ValueSource(strings = {"0", "-1", "600", "much", ""})
    void what_nobody_can_have_poured_is_refused_with_a_sentence(String text) {
        assertThatThrownBy(() -> US.poured(text))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageMatching(".* .*\\.");
    }

    @Test
    void a_second_pour_of_a_drain_begins_a_trial_only_once_the_first_came_back() {
        HangarTest first = US.poured("2").apply(of(drain()));
        Work.Drain again = (Work.Drain) US.poured("2.5").apply(first).work();
        assertThat(again.trials())
                .singleElement()
                .satisfies(t -> assertThat(t.poured().si()).isEqualTo(Unit.GALLON.toSi(2.5)));
        HangarTest back = US.cameBack("1.8", again.trials().get(0)).apply(first);
        Work.Drain two = (Work.Drain) US.poured("2").apply(back).work();
        assertThat(two.trials()).hasSize(2);
        assertThat(two.stayed()).singleElement().satisfies(v -> assertThat(v)
                .isCloseTo(Unit.GALLON.toSi(0.7), org.assertj.core.api.Assertions.within(1e-12)));
    }

    @Test
    void more_back_than_was_poured_is_no_reading() {
        Work.Trial trial = new Work.Trial(new Measured(Quantity.of(2, Unit.GALLON), "can"), Optional.empty());
        assertThatThrownBy(() -> US.cameBack("2.1", trial)).hasMessageContaining("More drained than the 2 gal");
        assertThat(((Work.Drain) US.cameBack("2.01", trial)
                                .apply(US.poured("2").apply(of(drain())))
                                .work())
                        .trials()
                        .get(0)
                        .back())
                .isPresent();
    }

    @Test
    void the_last_amount_is_offered_again() {
        assertThat(US.usual(drain())).isEqualTo("2.5 gal");
        assertThat(METRIC.usual(drain())).isEqualTo("10 L");
        assertThat(US.usual(US.poured("1.5").apply(of(drain())).work())).isEqualTo("1.5 gal");
        assertThat(US.usual(fill())).isEmpty();
        assertThat(US.usual(US.poured("3").apply(of(fill())).work())).isEqualTo("3 gal");
        assertThat(US.usual(topOff())).isEmpty();
    }

    /** The tangent of the pitch is the difference of the marks over their distance. */
    @ParameterizedTest
    @CsvSource({"30, 20, 100, 5.7", "20, 30, 100, -5.7", "25, 25, 60, 0.0"})
    void marks_give_the_pitch_once_all_three_are_in(String front, String rear, String apart, double degrees) {
        String text = US.byMarks(front, rear, apart).orElseThrow();
        assertThat(Quantity.parse(text, Unit.DEGREE).si())
                .isCloseTo(Math.toRadians(degrees), org.assertj.core.api.Assertions.within(0.002));
        assertThat(US.byMarks(front, "", apart)).isEmpty();
        assertThat(TankReadings.nose(text)).endsWith(degrees < 0 ? "nose down" : "nose up");
    }

    @Test
    void an_attitude_says_how_it_was_read() {
        Work.Drain d =
                (Work.Drain) US.attitude("8", "-2", true).apply(of(drain())).work();
        assertThat(d.pitch().si()).isEqualTo(Math.toRadians(8));
        assertThat(d.tilt().si()).isEqualTo(Math.toRadians(-2));
        assertThat(d.pitch().by()).isEqualTo("marks");
        assertThat(((Work.Drain) US.attitude("8", "0", false).apply(of(drain())).work())
                        .pitch()
                        .by())
                .isEqualTo("level");
        assertThatThrownBy(() -> US.attitude("8", "", false)).hasMessageContaining("0 if level");
        assertThatThrownBy(() -> US.attitude("61", "0", false)).hasMessageContaining("within \u00b160");
        assertThat(TankReadings.entered(Measured.of(0, Unit.DEGREE)))
                .as("what nobody entered")
                .isEmpty();
        assertThat(TankReadings.entered(d.pitch())).isEqualTo("8.0\u00b0");
    }

    @Test
    void a_position_on_which_another_tank_feeds_too_is_refused() throws ProjectFileException {
        FuelSystem system = ProjectFile.demo("corrie-b1").system();
        Tank upper = system.tanks().stream()
                .filter(t -> t.id().equals("upper"))
                .findFirst()
                .orElseThrow();
        String selector = system.selectors().get(0).id();
        Passing both = Passing.untrusted(Map.of(), Set.of());
        Passing alone = Passing.untrusted(Map.of(selector, "UPPER"), Set.of());
        assertThatThrownBy(() -> TankReadings.selected(system, upper, Optional.empty(), alone))
                .hasMessageContaining("Choose the selector position");
        assertThat(((Work.Drain) TankReadings.selected(system, upper, Optional.of("UPPER"), alone)
                                .apply(of(drain()))
                                .work())
                        .position())
                .isEqualTo("UPPER");
        assertThat(TankReadings.runsOver(system, upper, alone, "On UPPER")).isEmpty();
        Tank teed = ration.record.project.Pattern.GRAVITY_TEED
                .project()
                .system()
                .tanks()
                .get(0);
        FuelSystem joined = ration.record.project.Pattern.GRAVITY_TEED.project().system();
        assertThat(TankReadings.runsOver(joined, teed, both, "With the line open")
                        .orElseThrow())
                .startsWith("With the line open fuel can cross-feed to ")
                .contains("spoil the result");
        assertThatThrownBy(() -> TankReadings.selected(joined, teed, Optional.of("BOTH"), both))
                .hasMessageContaining("another tank feeds too");
    }

    @Test
    void a_gauge_that_shows_nothing_is_marked_so_and_none_is_three_metres_high() {
        HangarTest poured = US.poured("1").apply(of(fill()));
        Work.Pour last = ((Work.Fill) poured.work()).points().get(0);
        assertThat(((Work.Fill) US.gauge("", last).apply(poured).work())
                        .points()
                        .get(0)
                        .reading())
                .isEmpty();
        assertThat(((Work.Fill) METRIC.gauge("120", last).apply(poured).work())
                        .points()
                        .get(0)
                        .reading()
                        .orElseThrow()
                        .si())
                .isEqualTo(0.120);
        assertThatThrownBy(() -> US.gauge("200", last)).hasMessageContaining("bottom of the gauge");
        assertThatThrownBy(() -> US.gauge("-1", last)).hasMessageContaining("bottom of the gauge");
    }

    @Test
    void a_fill_and_a_top_off_note_how_the_aircraft_stands_and_a_change_of_another_kind_leaves_a_record_as_it_is() {
        Measured pitch = Measured.of(9, Unit.DEGREE, "level");
        assertThat(((Work.Fill) TankReadings.standing(Work.Stands.PARKED, pitch)
                                .apply(of(fill()))
                                .work())
                        .pitch())
                .isEqualTo(pitch);
        assertThat(((Work.TopOff) TankReadings.standing(Work.Stands.PARKED, pitch)
                                .apply(of(topOff()))
                                .work())
                        .pitch())
                .contains(pitch);
        HangarTest drained = of(drain());
        assertThat(TankReadings.standing(Work.Stands.PARKED, pitch).apply(drained))
                .isEqualTo(drained);
        assertThat(US.metered("3").apply(drained)).isEqualTo(drained);
        Work.TopOff full = (Work.TopOff)
                US.metered("12").apply(US.before("2").apply(of(topOff()))).work();
        assertThat(full.before().si() + full.metered().orElseThrow().si())
                .isCloseTo(Unit.GALLON.toSi(14), org.assertj.core.api.Assertions.within(1e-12));
    }

    @Test
    void what_was_found_stands_large_with_what_it_is_against() throws ProjectFileException {
        Assessment a = Assessment.of(ProjectFile.demo("corrie-b1"));
        Work.Drain two = drain();
        for (double back : new double[] {1.8, 1.7}) {
            two = two.plus(new Work.Trial(
                    new Measured(Quantity.of(2, Unit.GALLON), "can"),
                    Optional.of(new Measured(Quantity.of(back, Unit.GALLON), "can"))));
        }
        TankFound found = TankFound.of(two, a.tank("upper"), UnitSystem.US);
        assertThat(found.big())
                .as("the largest counts")
                .isEqualTo(UnitSystem.US.fineVolume(Unit.GALLON.toSi(0.3)) + " stays");
        assertThat(found.under())
                .startsWith("2 trials, mean " + UnitSystem.US.fineVolume(Unit.GALLON.toSi(0.25)))
                .contains("computed for this attitude", "Placard");
        assertThat(TankFound.brief(of(two), UnitSystem.US)).isEqualTo(UnitSystem.US.fineVolume(Unit.GALLON.toSi(0.3)));
        assertThat(TankFound.of(two, Optional.empty(), UnitSystem.US).under())
                .as("of a tank that is gone")
                .endsWith("highest is the result.");
        assertThat(TankFound.of(drain(), a.tank("upper"), UnitSystem.US).big()).isEmpty();
        double shape = a.tank("upper").orElseThrow().body().solid().volume();
        Work.TopOff top = new Work.TopOff(
                Measured.of(0, Unit.GALLON), Optional.of(Measured.of(Unit.GALLON.fromSi(shape) + 1, Unit.GALLON)));
        assertThat(TankFound.of(top, a.tank("upper"), UnitSystem.US).under())
                .endsWith("more went in.")
                .contains(UnitSystem.US.fineVolume(shape));
        assertThat(TankFound.of(fill(), a.tank("upper"), UnitSystem.US))
                .isEqualTo(TankFound.of(topOff(), a.tank("upper"), UnitSystem.US));
    }
}
