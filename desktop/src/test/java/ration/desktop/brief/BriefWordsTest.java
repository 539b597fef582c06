package ration.desktop.brief;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import ration.base.quantity.Dimension;
import ration.base.quantity.Quantity;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;
import ration.record.file.ProjectFile;
import ration.record.file.ProjectFileException;
import ration.record.project.Brief;
import ration.record.project.Project;

/** What the brief says of the job, without a display. */
class BriefWordsTest {

    /**
     * The sum on the page is the sum that is made: power times consumption over the fuel's weight, and 150 or 125 % of
     * it.
     */
    @ParameterizedTest
    @CsvSource({"corrie-b1, US, 1.5", "brindle-a2, US, 1.25", "tansy-l3, METRIC, 1.25"})
    void the_demand_is_the_sum_that_is_shown(String demo, UnitSystem units, double factor) throws ProjectFileException {
        Project p = ProjectFile.demo(demo);
        BriefWords words = new BriefWords(p, units);
        Brief b = p.brief();
        double demand = b.power().si() * b.consumption().si() / b.demandDensity();
        Unit flow = units.unit(Dimension.FLOW);
        assertThat(words.demand()).isEqualTo(UnitSystem.figure(flow.fromSi(demand), 2) + " " + flow.symbol());
        assertThat(words.needed()).startsWith(units.text(factor * demand, Dimension.FLOW));
        assertThat(words.times()).contains(UnitSystem.figure(factor, 2));
        assertThat(words.delivery()).contains(factor == 1.5 ? "150%" : "125%");
        assertThat(words.weight()).isEqualTo(units.text(b.demandDensity(), Dimension.DENSITY));
        assertThat(words.fuel()).contains("both from memory");
    }

    @Test
    void what_nobody_said_is_named_until_it_is_said() {
        Project fresh = Project.empty();
        String assumed = new BriefWords(fresh, UnitSystem.US).assumed().orElseThrow();
        assertThat(assumed).contains("takeoff power", "BSFC", "Not shown");
        assertThat(new BriefWords(
                                ration.record.project.Unsaid.said(fresh, java.time.LocalDate.of(2026, 3, 9)),
                                UnitSystem.US)
                        .assumed())
                .isEmpty();
    }

    @Test
    void what_cannot_be_is_refused_with_a_sentence() {
        assertThatThrownBy(() -> BriefWords.positive(Quantity.of(0, Unit.HORSEPOWER)))
                .hasMessage("Must be above 0.");
        assertThatThrownBy(() -> BriefWords.notNegative(Quantity.of(-0.1, Unit.GALLON)))
                .hasMessage("Must be 0 or more.");
        assertThatThrownBy(() -> BriefWords.attitude(Quantity.of(-61, Unit.DEGREE)))
                .hasMessageContaining("60\u00b0");
        assertThatThrownBy(() -> BriefWords.temperature(Quantity.of(80, Unit.CELSIUS)))
                .hasMessageContaining("77");
        assertThat(BriefWords.attitude(Quantity.of(60, Unit.DEGREE)).value()).isEqualTo(60);
        assertThat(BriefWords.notNegative(Quantity.of(0, Unit.GALLON)).value()).isZero();
        assertThat(BriefWords.temperature(Quantity.of(-40, Unit.CELSIUS)).value())
                .isEqualTo(-40);
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "   ", "An aircraft whose name is so long that it fits on no tail and no page"})
    void a_name_is_short_and_there(String name) {
        assertThatThrownBy(() -> BriefWords.name(name)).hasMessageContaining("1 to 60 letters");
        assertThat(BriefWords.name(" Corrie B1 ")).isEqualTo("Corrie B1");
    }

    @Test
    void what_is_asked_and_what_is_only_told_read_differently() {
        assertThat(BriefWords.must(true)).isEqualTo("must hold").isNotEqualTo(BriefWords.must(false));
        assertThat(BriefWords.smear(false)).isEqualTo("fails").isNotEqualTo(BriefWords.smear(true));
    }
}
