package ration.desktop.flight;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import org.assertj.core.data.Offset;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import ration.answer.assess.Assessment;
import ration.answer.drawdown.Flight;
import ration.answer.drawdown.FlightRun;
import ration.base.quantity.Dimension;
import ration.base.quantity.UnitSystem;
import ration.record.file.ProjectFile;
import ration.record.file.ProjectFileException;
import ration.record.project.Project;
import ration.verdict.check.Verdict;

/** What the card says of a flight, without a display. */
class LandingWordsTest {

    private static double read(String figure) {
        return Double.parseDouble(figure.replace('\u2212', '-').replaceAll("[^0-9.\\-]", ""));
    }

    /**
     * Full less burnt less what the placards keep back is what is usable: as written, to the rounding of its four
     * figures.
     */
    @ParameterizedTest
    @CsvSource({"corrie-b1, US", "corrie-b1, METRIC", "tansy-l3, US", "brindle-a2, METRIC"})
    void the_sum_that_is_written_adds_up(String demo, UnitSystem units) throws ProjectFileException {
        Assessment a = Assessment.of(ProjectFile.demo(demo));
        Flight flight = flown(a);
        LandingWords said = new LandingWords(flight, Optional.empty(), units);
        String[] sides = said.why(a).split("\\. Down")[0].split(" = ");
        String[] terms = sides[1].split(" \u2212 ");
        assertThat(terms).hasSize(3);
        assertThat(read(terms[0]) - read(terms[1]) - read(terms[2].replace(" unusable (placards).", "")))
                .isCloseTo(read(sides[0]), Offset.offset(0.21));
        assertThat(read(said.usable()))
                .isCloseTo(
                        Math.max(
                                0,
                                units.unit(Dimension.VOLUME)
                                        .fromSi(flight.landing().usable())),
                        Offset.offset(0.051));
        assertThat(said.symbol()).isEqualTo(units.unit(Dimension.VOLUME).symbol());
    }

    @ParameterizedTest
    @ValueSource(strings = {"corrie-b1", "tansy-l3", "brindle-a2"})
    void verdicts_told_are_those_of_the_flight_and_trouble_is_told(String demo) throws ProjectFileException {
        Flight flight = flown(Assessment.of(ProjectFile.demo(demo)));
        LandingWords said = new LandingWords(flight, Optional.empty(), UnitSystem.US);
        List<LandingWords.Row> rows = said.rows();
        assertThat(rows)
                .extracting(LandingWords.Row::label)
                .startsWith("Reserve", "Reached", "Endurance")
                .doesNotContain("Boiling");
        assertThat(rows.get(0).verdict()).contains(flight.landingVerdict());
        assertThat(rows.get(1).verdict()).contains(flight.reachedVerdict());
        assertThat(rows.get(2).verdict()).as("only told").isEmpty();
        assertThat(said.wrong().stream().anyMatch(w -> w.startsWith("At ")))
                .isEqualTo(flight.firstTrouble().isPresent());
        assertThat(said.ratio()).isBetween(0.0, 1.5);
        if (flight.landingVerdict() == Verdict.FAILS
                && flight.landing().needs() > 0
                && flight.firstTrouble().isEmpty()) {
            assertThat(said.ratio()).isLessThan(1);
        }
    }

    private static Flight flown(Assessment a) {
        Project p = a.project();
        return FlightRun.of(a, ration.answer.drawdown.UsualFlight.meant(p));
    }
}
