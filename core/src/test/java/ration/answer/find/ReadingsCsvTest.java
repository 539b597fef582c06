package ration.answer.find;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import ration.Systems;
import ration.answer.assess.Assessment;
import ration.answer.assess.StartingCase;
import ration.base.quantity.Unit;
import ration.record.reading.Reading;
import ration.record.reading.Setting;

/** Readings from a table: what is read, and what is said of what cannot be. */
class ReadingsCsvTest {

    private static final String HEAD = "place,quantity,value,unit,error,state\n";
    private static final Assessment CORRIE = Systems.assessedCorrie();

    private static Reading one(String row) {
        List<Reading> all = ReadingsCsv.parse(CORRIE, HEAD + row + "\n");
        assertThat(all).hasSize(1);
        return all.get(0);
    }

    private static void refused(String row, String... words) {
        assertThatThrownBy(() -> ReadingsCsv.parse(CORRIE, HEAD + row + "\n"))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageStartingWith("Row 1: ")
                .hasMessageContainingAll(words);
    }

    @Test
    void aRowIsAReadingWithItsUnitAndItsError() {
        Reading r = one("carburettor,pressure,0.5,psi,0.1,");
        assertThat(r.value()).isEqualTo(Unit.PSI.toSi(0.5));
        assertThat(r.error()).isCloseTo(Unit.PSI.toSi(0.1), within(1e-9));
        assertThat(r.setting().condition())
                .as("nothing said: as it starts")
                .isEqualTo(StartingCase.of(CORRIE.project()));
        assertThat(r.item()).isEqualTo("carburettor");
    }

    @Test
    void anErrorIsADifferenceAndMinutesStayMinutes() {
        Reading warm = one("carburetor,temperature,40,\u00b0C,1.5,");
        assertThat(warm.value()).isCloseTo(313.15, within(1e-9));
        assertThat(warm.error()).isCloseTo(1.5, within(1e-9));
        assertThat(one("carburettor,minutes,12,,1,").value()).isEqualTo(12);
        assertThat(one("carburettor,minutes,90,s,30,").value()).isEqualTo(1.5);
    }

    @Test
    void aSignIsSeenOrLookedForAndNotSeen() {
        assertThat(one("carburetor,drips or smells,yes,,,").value()).isEqualTo(1);
        assertThat(one("carburetor,drips or smells, No ,,,").value()).isZero();
        refused("carburetor,drips or smells,,,,", "yes", "no");
    }

    @Test
    void semicolonsAndDecimalCommasAreRead() {
        List<Reading> all = ReadingsCsv.parse(
                CORRIE, "\uFEFFPlace;Quantity;Value;Unit;Error;State\n\ncarburetor;flow;4,5;gph;0,5;\n");
        assertThat(all).singleElement().satisfies(r -> assertThat(r.value()).isEqualTo(Unit.GALLON_PER_HOUR.toSi(4.5)));
    }

    @Test
    void theStateIsSaidInTheWordsOfACaseAndOfWhatIsDone() {
        Setting.Manoeuvre did = Setting.Manoeuvre.values()[0];
        Reading r = one("carburetor,flow,4,gph,0.5,\"upper, " + did.word() + "\"");
        assertThat(r.setting().has(did)).isTrue();
        assertThat(r.setting().condition().positions()).containsValue("UPPER");
        refused("carburetor,flow,4,gph,0.5,\"sideways\"", "Beside that: ", did.word());
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "nowhere,pressure,1,psi,0.1,|There is no part",
                "carburetor,color,1,psi,0.1,|is no quantity here",
                "carburetor,pressure,1,gph,0.1,|is no unit of a pressure",
                "carburetor,pressure,one,psi,0.1,|under value is not a number",
                "carburetor,pressure,1,psi,,|under error is not a number",
                "carburetor,pressure,1,psi,0,|above zero",
                "carburetor,pressure,1,psi,-1,|above zero",
                "carburetor.left,pressure,1,psi,0.1,|has no port"
            })
    void whatCannotBeReadIsSaidWithItsRow(String row, String words) {
        refused(row, words);
    }

    @Test
    void aTableWithoutItsColumnsOrWithoutARowIsRefused() {
        assertThatThrownBy(() -> ReadingsCsv.parse(CORRIE, "place,value\ncarburetor,1\n"))
                .hasMessageContaining("lacks error, quantity, state, unit");
        assertThatThrownBy(() -> ReadingsCsv.parse(CORRIE, HEAD)).hasMessage("There is no reading in it.");
        assertThatThrownBy(() -> ReadingsCsv.parse(CORRIE, "")).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> ReadingsCsv.parse(CORRIE, HEAD + "\"open,1\n"))
                .isInstanceOf(IllegalArgumentException.class);
    }

    /** Every quantity can be written by its word. */
    @ParameterizedTest
    @EnumSource(Reading.What.class)
    void everyQuantityHasItsWord(Reading.What what) {
        String unit = java.util.Arrays.stream(Unit.values())
                .filter(u -> u.dimension() == what.dimension())
                .findFirst()
                .map(Unit::symbol)
                .orElse("");
        Reading r = one("carburettor," + what.word() + "," + (what.sign() ? "yes,," : "1," + unit + ",0.5") + ",");
        assertThat(r.what()).isEqualTo(what);
    }
}
