package ration.publish.export;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.util.List;
import java.util.regex.Pattern;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import ration.Systems;
import ration.aircraft.model.Tank;
import ration.answer.assess.Assessment;
import ration.answer.drawdown.Flight;
import ration.answer.drawdown.FlightEvent;
import ration.answer.drawdown.FlightRun;
import ration.answer.drawdown.FlightTable;
import ration.answer.drawdown.UsualFlight;
import ration.base.quantity.UnitSystem;
import ration.record.project.Project;

/** The card for the knee says what the flight says, and that the gauges decide. */
class SwitchingPdfTest {

    private static final Project TANSY = Systems.demo("tansy-l3");
    private static final Flight FLIGHT = FlightRun.of(Assessment.of(TANSY), UsualFlight.of(TANSY));

    private static String text(UnitSystem units) throws IOException {
        try (PDDocument pdf = Loader.loadPDF(SwitchingPdf.of(TANSY, FLIGHT, units))) {
            assertThat(pdf.getNumberOfPages()).isPositive();
            return new PDFTextStripper().getText(pdf);
        }
    }

    @Test
    void everySwitchBeforeLandingStandsInTheOrderOfTime() throws IOException {
        List<FlightEvent> switches = FLIGHT.switches().stream()
                .filter(e -> e.minutes() <= FLIGHT.landing().minutes())
                .toList();
        assertThat(switches).isNotEmpty();
        String text = text(UnitSystem.US);
        assertThat(text)
                .containsSubsequence(switches.stream()
                        .map(e -> FlightTable.clock(e.minutes()))
                        .toList())
                .containsSubsequence(switches.stream().map(FlightEvent::words).toList());
        assertThat(text)
                .contains("land")
                .contains(FlightTable.clock(FLIGHT.landing().minutes()));
        assertThat(text.split("gauges: _+", -1))
                .as("a line to read the gauges by each row")
                .hasSize(switches.size() + 2);
    }

    @ParameterizedTest
    @EnumSource(UnitSystem.class)
    void itSaysWhatIsLeftInEachTankAndThatTheGaugesDecide(UnitSystem units) throws IOException {
        String text = text(units);
        assertThat(text)
                .contains("Dip the tanks before flight")
                .contains("not this card")
                .contains(FLIGHT.verdict().word());
        for (Tank t : TANSY.system().tanks()) {
            assertThat(text).containsPattern(Pattern.quote(t.name()) + " \\d");
        }
        assertThat(text.contains(" gal")).isEqualTo(units == UnitSystem.US);
    }
}
