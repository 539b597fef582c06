package ration.desktop.vapor;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Locale;
import java.util.function.DoubleUnaryOperator;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import ration.aircraft.condition.Power;
import ration.aircraft.heat.Heat;
import ration.aircraft.heat.HeatFigure;
import ration.aircraft.heat.Soak;
import ration.answer.assess.Assessment;
import ration.answer.assess.VaporAnswer;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;
import ration.desktop.vapor.SoakLog.Meaning;
import ration.physics.vapor.SoakPath;
import ration.record.file.LogTable;
import ration.record.file.ProjectFile;
import ration.record.file.ProjectFileException;
import ration.record.project.Project;

/**
 * A log laid over the soak: what its columns are, what is said of it, and the figures taken from it; without a display.
 */
class SoakLogTest {

    private static Project project;
    private static List<SoakPath> parts;

    @BeforeAll
    static void soak() throws ProjectFileException {
        project = ProjectFile.demo("brindle-a2");
        VaporAnswer v = Assessment.of(project).vapor().orElseThrow();
        parts = SoakPath.of(
                project.system(), VaporAnswer.path(project, v.look(), v.air()), project.heat(), Power.TAKE_OFF, 0);
    }

    private static LogTable table(String text) {
        return LogTable.read(text, p -> {}, () -> false);
    }

    /** A reading every twenty seconds, from the time the log began. */
    private static String log(String head, int from, int to, DoubleUnaryOperator kelvin) {
        StringBuilder csv = new StringBuilder(head).append('\n');
        for (int s = from; s <= to; s += 20) {
            csv.append(String.format(Locale.ROOT, "%d,%.3f%n", s, Unit.CELSIUS.fromSi(kelvin.applyAsDouble(s))));
        }
        return csv.toString();
    }

    private static List<Meaning> as(SoakPath part) {
        return List.of(new Meaning(SoakLog.TIME, "s"), new Meaning(part.name(), "\u00b0C"));
    }

    private static SoakPath hottest() {
        return parts.get(0);
    }

    @Test
    void columns_are_known_by_their_names_and_units() {
        String part = hottest().name();
        List<Meaning> guess = SoakLog.guess(
                table("elapsed (min)," + part.toUpperCase(Locale.ROOT)
                        + " (\u00b0F),rpm,time (s)\n0,100,900,0\n1,101,900,60\n2,102,900,120\n"),
                parts);
        assertThat(guess)
                .containsExactly(
                        new Meaning(SoakLog.TIME, "min"),
                        new Meaning(part, "\u00b0F"),
                        new Meaning(SoakLog.NO_PART, "\u00b0C"),
                        new Meaning(SoakLog.NO_PART, "s"));
    }

    @Test
    void a_log_that_is_what_was_predicted_differs_by_nothing() {
        SoakLog laid = SoakLog.NONE.laid(
                "soak.csv", table(log("t,T", 0, 2400, s -> hottest().soak().at(s))), as(hottest()), "0", parts);
        assertThat(laid.said().in(UnitSystem.METRIC))
                .isEqualTo("Predicted against logged, root mean square: "
                        + hottest().name() + " 0.0 \u00b0C.");
        assertThat(laid.name()).isEqualTo("soak.csv");
        assertThat(laid.logged()).singleElement().satisfies(l -> assertThat(l.minutes()[0])
                .isZero());
    }

    /** A constant difference is its own root mean square, whatever the units and wherever the clock began. */
    @Test
    void units_and_the_time_of_shutdown_are_heard() {
        int began = 7200;
        int ran = 300;
        SoakLog laid = SoakLog.NONE.laid(
                "f",
                table(log(
                        "t,T",
                        began,
                        began + ran + 2400,
                        s -> s < began + ran ? 350 : hottest().soak().at(s - began - ran) + 3)),
                as(hottest()),
                "5",
                parts);
        assertThat(laid.said().in(UnitSystem.METRIC))
                .contains("root mean square: " + hottest().name() + " 3.0 \u00b0C.")
                .contains("While running, maximum: " + hottest().name() + " 76.9 \u00b0C, predicted at this power");
        StringBuilder minutes = new StringBuilder("t,T\n");
        for (int m = 0; m <= 40; m++) {
            minutes.append(String.format(
                    Locale.ROOT,
                    "%d,%.3f%n",
                    m,
                    Unit.FAHRENHEIT.fromSi(hottest().soak().at(60 * m) - 2)));
        }
        SoakLog other = SoakLog.NONE.laid(
                "f",
                table(minutes.toString()),
                List.of(new Meaning(SoakLog.TIME, "min"), new Meaning(hottest().name(), "\u00b0F")),
                "0",
                parts);
        assertThat(other.said().in(UnitSystem.METRIC)).contains(" 2.0 \u00b0C.").doesNotContain("While it ran");
    }

    @Test
    void what_is_not_said_is_asked_for() {
        LogTable t = table(log("t,T", 0, 600, s -> 330));
        assertThatThrownBy(() -> SoakLog.NONE.laid(
                        "f",
                        t,
                        List.of(new Meaning(SoakLog.NO_PART, "s"), as(hottest()).get(1)),
                        "0",
                        parts))
                .hasMessageContaining("Select the time column");
        assertThatThrownBy(() -> SoakLog.NONE.laid(
                        "f", t, List.of(as(hottest()).get(0), new Meaning(SoakLog.NO_PART, "s")), "0", parts))
                .hasMessageContaining("Assign one or more columns");
        assertThatThrownBy(() -> SoakLog.NONE.laid("f", t, as(hottest()), "60", parts))
                .hasMessageContaining("No readings lie within 40 minutes");
        assertThatThrownBy(() -> SoakLog.NONE.laid("f", t, as(hottest()), "soon", parts))
                .isInstanceOf(IllegalArgumentException.class);
    }

    /** A long log is thinned for the screen and keeps its first reading. */
    @Test
    void a_long_log_is_thinned() {
        StringBuilder csv = new StringBuilder("t,T\n");
        for (int i = 0; i < 24_000; i++) {
            csv.append(String.format(Locale.ROOT, "%.1f,%.3f%n", i * 0.1, 60 + i * 1e-4));
        }
        SoakLog laid = SoakLog.NONE.laid("f", table(csv.toString()), as(hottest()), "0", parts);
        assertThat(laid.logged().get(0).minutes()).hasSizeBetween(3000, 4001);
        assertThat(laid.logged().get(0).kelvin()[0]).isCloseTo(Unit.CELSIUS.toSi(60), within(1e-9));
    }

    @Test
    void a_run_kept_stands_beside_the_one_after_a_change() {
        SoakLog before = SoakLog.NONE
                .laid("before", table(log("t,T", 0, 2400, s -> hottest().soak().at(s) + 5)), as(hottest()), "0", parts)
                .kept();
        assertThat(before.logged()).isEmpty();
        SoakLog after = before.laid(
                "after", table(log("t,T", 0, 2400, s -> hottest().soak().at(s))), as(hottest()), "0", parts);
        assertThat(after.earlier()).hasSize(1);
        assertThat(after.said().in(UnitSystem.METRIC))
                .contains(hottest().name() + " reached ")
                .endsWith(" \u00b0C in the earlier run.");
    }

    /**
     * A soak made with other figures is fitted back to them, and they go into the document with where they are from.
     */
    @Test
    void a_fit_finds_the_figures_a_log_was_made_with() {
        Soak s = hottest().soak();
        Soak truth = new Soak(s.outside(), s.startOver(), s.soakOver() + 8, s.fade() * 1.3, s.lag(), s.at(0));
        SoakLog fitted = SoakLog.NONE
                .laid("soak.csv", table(log("t,T", 0, 2400, truth::at)), as(hottest()), "0", parts)
                .fitted(parts);
        assertThat(fitted.said().in(UnitSystem.METRIC)).startsWith("Fitted: soak peaks");
        Heat taken = fitted.taken().change().apply(project).heat();
        assertThat(taken.si(HeatFigure.BAY_SOAK_OVER)).isCloseTo(truth.soakOver(), within(0.5));
        assertThat(taken.si(HeatFigure.SOAK_FADE)).isCloseTo(truth.fade(), within(30.0));
        assertThat(taken.figure(HeatFigure.SOAK_FADE).by()).contains("fitted, soak.csv");
    }

    @Test
    void a_part_taken_off_the_path_since_is_said_and_nothing_breaks() {
        SoakLog laid = SoakLog.NONE.laid("f", table(log("t,T", 0, 2400, s -> 330)), as(hottest()), "0", parts);
        SoakLog after = laid.fitted(parts.subList(1, parts.size()).stream()
                .filter(p -> !p.item().equals(hottest().item()))
                .toList());
        assertThat(after.fit()).isEmpty();
        assertThat(after.said().in(UnitSystem.METRIC)).contains("no longer on the path");
        assertThat(after.logged()).isEqualTo(laid.logged());
    }
}
