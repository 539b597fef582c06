package ration.base.quantity;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.assertj.core.data.Offset;
import org.assertj.core.data.Percentage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

class QuantityTest {

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "3/8|0.375|INCH",
                "52 1/2|52.5|INCH",
                "52-1/2 in|52.5|INCH",
                "0.305 in|0.305|INCH",
                "7.7 mm|7.7|MILLIMETRE",
                "7,7mm|7.7|MILLIMETRE",
                "-3|-3|INCH",
                "\u22123 1/4|-3.25|INCH",
                "+4 ft|4|FOOT",
                ".5|0.5|INCH",
                "12\"|12|INCH"
            })
    void readsLengthsAsPeopleWriteThem(String text, double value, Unit unit) {
        Quantity q = Quantity.parse(text, Unit.INCH);
        assertThat(q.value()).isEqualTo(value);
        assertThat(q.unit()).isEqualTo(unit);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "13.75 gph|GALLON_PER_HOUR|GALLON_PER_HOUR",
                "52 L/h|GALLON_PER_HOUR|LITRE_PER_HOUR",
                "0.5 psi|PSI|PSI",
                "30 kPa|PSI|KILOPASCAL",
                "17\u00b0|DEGREE|DEGREE",
                "17 deg|DEGREE|DEGREE",
                "59 \u00b0F|CELSIUS|FAHRENHEIT",
                "15 C|CELSIUS|CELSIUS",
                "0.55 lb/hp/h|POUND_PER_HORSEPOWER_HOUR|POUND_PER_HORSEPOWER_HOUR"
            })
    void keepsTheUnitThatWasWritten(String text, Unit meant, Unit kept) {
        assertThat(Quantity.parse(text, meant).unit()).isEqualTo(kept);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                " ",
                "abc",
                "3/0",
                "1 2",
                "3 gal",
                "NaN",
                "Infinity",
                "1e400",
                "--3",
                "3/8/2",
                "9999999999",
                "12 furlongs",
                "5 in in",
                "\u0000"
            })
    void refusesWhatIsNotALengthAndSaysWhatWouldBe(String text) {
        assertThatThrownBy(() -> Quantity.parse(text, Unit.INCH))
                .isInstanceOf(QuantityFormatException.class)
                .hasMessageContaining("is not a length")
                .hasMessageContaining("3/8")
                .hasMessageContaining("mm");
    }

    /**
     * A comma before three digits is asked back beside a metric unit, where it may be a decimal: "12,500 mm" read as
     * twelve and a half turned Thin into Holds.
     */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "12,500 mm|MILLIMETRE|12500 mm|12.500 mm",
                "1,250|LITRE|1250|1.250",
                "-3,000 kPa|KILOPASCAL|3000|3.000"
            })
    void aCommaBesideAMetricUnitIsAskedBack(String text, Unit unit, String one, String other) {
        assertThatThrownBy(() -> Quantity.parse(text, unit))
                .isInstanceOf(QuantityFormatException.class)
                .hasMessageContaining(one)
                .hasMessageContaining(other);
    }

    /** Beside the units of the United States it parts thousands, as a gap and two commas do everywhere. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "8,000 ft|FOOT|8000",
                "8 000 ft|FOOT|8000",
                "1,250|INCH|1250",
                "39,000|FOOT|39000",
                "12 500 mm|MILLIMETRE|12500",
                "1,234.5 L|LITRE|1234.5",
                "-3,000 psi|PSI|-3000",
                "1,5 L|LITRE|1.5",
                "52 1/2|INCH|52.5",
                "1,440.5|MINUTE|1440.5"
            })
    void thousandsAreReadAsTheyAreWritten(String text, Unit unit, double value) {
        assertThat(Quantity.parse(text, unit).value()).isEqualTo(value);
    }

    /** Whatever a field shows it reads back, in both systems, over the whole range of a figure. */
    @ParameterizedTest
    @EnumSource
    void whatAFieldShowsItReadsBack(Unit unit) {
        for (int decimals = 0; decimals <= 2; decimals++) {
            for (double value : new double[] {0, 0.25, 1, 12.5, 99.9, 999, 1000, 1234.5, 2438, 8000, 12_500, 39_000}) {
                for (double v : new double[] {value, -value}) {
                    if (!unit.dimension().holds(unit.toSi(v))) {
                        continue;
                    }
                    String shown = UnitSystem.field(v, unit, decimals) + " " + unit.symbol();
                    Quantity read;
                    try {
                        read = Quantity.parse(shown, unit);
                    } catch (QuantityFormatException e) {
                        assertThat(e).as(shown).hasMessageContaining("out of range");
                        continue;
                    }
                    assertThat(read.value())
                            .as(shown)
                            .isCloseTo(v, Offset.offset(0.5 * Math.pow(10, -decimals) + 1e-9));
                }
            }
        }
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {"1,5|1.5", "0,125|0.125", "12,50|12.5", "7,7 in|7.7", "0,5000|0.5"})
    void aDecimalCommaStays(String text, double value) {
        assertThat(Quantity.parse(text, Unit.INCH).value()).isEqualTo(value);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "-9999999 in|INCH",
                "-1e8|INCH",
                "999999999 in|INCH",
                "-300 C|CELSIUS",
                "5000000 gph|GALLON_PER_HOUR",
                "100000 ft|FOOT"
            })
    void figuresBeyondAnyAircraftAreRefused(String text, Unit meant) {
        assertThatThrownBy(() -> Quantity.parse(text, meant)).isInstanceOf(QuantityFormatException.class);
    }

    @Test
    void filesMustSayTheUnit() {
        assertThatThrownBy(() -> Quantity.parseWithUnit("52.5", Unit.INCH)).isInstanceOf(QuantityFormatException.class);
        assertThat(Quantity.parseWithUnit("52.5 in", Unit.INCH).value()).isEqualTo(52.5);
    }

    /** Exact definitions. */
    @ParameterizedTest
    @CsvSource({
        "INCH, 1, 0.0254",
        "GALLON, 1, 3.785411784e-3",
        "PSI, 1, 6894.757293168",
        "HORSEPOWER, 1, 745.69987158",
        "POUND_PER_GALLON, 6, 718.958564",
        "KNOT, 1, 0.514444444",
        "FAHRENHEIT, 32, 273.15",
        "FAHRENHEIT, 110, 316.4833333",
        "CELSIUS, 15, 288.15",
        "GALLON_PER_HOUR, 13.75, 1.445817e-5"
    })
    void convertsByDefinition(Unit unit, double written, double si) {
        assertThat(unit.toSi(written)).isCloseTo(si, Percentage.withPercentage(1e-4));
    }

    /** 0.55 lb/hp/h is 334.6 g/kWh (handbook, calculated). */
    @Test
    void specificConsumptionInGramsPerKilowattHour() {
        assertThat(Quantity.of(0.55, Unit.POUND_PER_HORSEPOWER_HOUR)
                        .in(Unit.GRAM_PER_KILOWATT_HOUR)
                        .value())
                .isCloseTo(334.6, Offset.offset(0.05));
    }

    @Test
    void aDifferenceOfTemperaturesHasNoOffset() {
        assertThat(Unit.FAHRENHEIT.differenceToSi(9)).isCloseTo(5, Offset.offset(1e-12));
    }

    @Property
    void everyUnitComesBack(@ForAll Unit unit, @ForAll @DoubleRange(min = -1e6, max = 1e6) double value) {
        assertThat(unit.fromSi(unit.toSi(value))).isCloseTo(value, Offset.offset(1e-6 + Math.abs(value) * 1e-9));
    }

    @Property
    void textIsReadBackTheSame(@ForAll Unit unit, @ForAll @DoubleRange(min = -1e5, max = 1e5) double value) {
        Quantity written = Quantity.of(Math.round(value * 1000) / 1000.0, unit);
        net.jqwik.api.Assume.that(unit.dimension().holds(written.si())
                && (unit.dimension() != Dimension.LENGTH || Math.abs(written.si()) <= 100));
        assertThat(Quantity.parse(written.text(), unit)).isEqualTo(written);
        assertThat(Quantity.parse(written.shown(), unit)).isEqualTo(written);
    }

    @Property
    void anyTextIsAQuantityOrRefused(@ForAll String text) {
        try {
            assertThat(Quantity.parse(text, Unit.PSI).value()).isFinite();
        } catch (QuantityFormatException e) {
            assertThat(e).hasMessageContaining("is not a pressure");
        }
    }

    @Property(tries = 5000)
    void figuresAreRoundedAsTheLibraryRoundsThem(
            @ForAll @DoubleRange(min = -1, max = 1) double share,
            @ForAll @net.jqwik.api.constraints.IntRange(max = 12) int size,
            @ForAll @net.jqwik.api.constraints.IntRange(max = 5) int decimals) {
        double value = share * Math.pow(10, size);
        double written = Math.rint(value * 200) / 200;
        assertThat(UnitSystem.figure(value, decimals)).isEqualTo(UnitSystem.formatted(value, decimals));
        assertThat(UnitSystem.figure(written, decimals))
                .as("a half of a hundredth")
                .isEqualTo(UnitSystem.formatted(written, decimals));
    }

    @Test
    void figuresHaveARealMinusAndNoMinusZero() {
        assertThat(UnitSystem.figure(-12.34, 1)).isEqualTo("\u221212.3");
        assertThat(UnitSystem.figure(-0.04, 1)).isEqualTo("0.0");
        assertThat(UnitSystem.figure(12946, 0)).isEqualTo("12,946");
        assertThat(UnitSystem.METRIC.text(0.0254, Dimension.LENGTH)).isEqualTo("25 mm");
        assertThat(UnitSystem.US.text(Unit.GALLON_PER_HOUR.toSi(20.625), Dimension.FLOW))
                .isEqualTo("20.6 gph");
    }

    /**
     * Small pressures in inches of water (249.089 Pa at 4 degrees Celsius, from memory) or pascals; metric texts hold
     * neither inches nor Fahrenheit.
     */
    @Test
    void airAndHeatAreToldInTheUnitsOfTheSystem() {
        assertThat(UnitSystem.US.small(249.089)).isEqualTo("1.00 inH2O");
        assertThat(UnitSystem.US.small(-3)).isEqualTo("\u22120.012 inH2O");
        assertThat(UnitSystem.METRIC.small(249.089)).isEqualTo("249 Pa");
        assertThat(UnitSystem.METRIC.small(3.04)).isEqualTo("3.0 Pa");
        assertThat(Quantity.parse("1.5 in H2O", Unit.PSI).si())
                .isCloseTo(373.63, org.assertj.core.data.Offset.offset(0.01));
        assertThat(UnitSystem.US.temperature(310.928, 0)).isEqualTo("100 \u00b0F (38 \u00b0C)");
        assertThat(UnitSystem.METRIC.temperature(310.928, 1)).isEqualTo("37.8 \u00b0C");
    }

    /** Who erases the word "assumed" has said nothing; who writes it in other letters neither. */
    @Test
    void whatIsAssumedStaysSoUntilASourceIsNamed() {
        Measured assumed = Measured.of(0.5, Unit.PSI, Measured.ASSUMED);
        assertThatThrownBy(() -> assumed.from("  ")).isInstanceOf(IllegalArgumentException.class);
        assertThat(assumed.from("Assumed, as usual").assumed()).isTrue();
        assertThat(assumed.from("maker").assumed()).isFalse();
        assertThat(assumed.from("maker").from("").by()).isEmpty();
    }
}
