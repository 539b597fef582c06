package ration.aircraft.model;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.assertj.core.data.Offset;
import org.assertj.core.data.Percentage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import ration.solver.network.Element.Minor;

class SizesTest {

    /** Bores of the usual tube, OD - 2 x wall, and of rubber hose by dash (MIL-H-8794, from memory). */
    @ParameterizedTest
    @CsvSource({
        "1/4 x 0.035 tube, 0.180",
        "5/16 x 0.035 tube, 0.2425",
        "3/8 x 0.035 tube, 0.305",
        "1/2 x 0.035 tube, 0.430",
        "0.375 x .049, 0.277",
        "-4 hose, 0.1875",
        "-6 hose, 0.3125",
        "-8 hose, 0.40625",
        "0.31 in bore, 0.31"
    })
    void trueBores(String text, double inches) {
        assertThat(LineSize.parse(text).bore() / 0.0254).isCloseTo(inches, Offset.offset(1e-9));
    }

    @Test
    void aSizeReadsItsOwnLabel() {
        for (LineSize size : LineSize.usual()) {
            assertThat(LineSize.parse(size.label())).isEqualTo(size);
        }
    }

    @ParameterizedTest
    @ValueSource(
            strings = {"", "3/8", "-7 hose", "-9999999999 hose", "3/8 x 0.2 tube", "big x 0.035 tube", "0.375 x 0.035.1"
            })
    void refusesWhatIsNoSize(String text) {
        assertThatThrownBy(() -> LineSize.parse(text)).isInstanceOf(IllegalArgumentException.class);
    }

    @Test
    void theNextSizeUpIsOfTheSameKind() {
        assertThat(LineSize.parse("5/16 x 0.035 tube").nextUp().orElseThrow().label())
                .isEqualTo("3/8 x 0.035 tube");
        assertThat(LineSize.parse("-6 hose").nextUp().orElseThrow().label()).isEqualTo("-8 hose");
        assertThat(LineSize.parse("-10 hose").nextUp()).isEmpty();
    }

    /** Hooper two-K at 0.305 in (handbook, calculated): 90 degree screwed elbow and 45 degree. */
    @ParameterizedTest
    @CsvSource({
        "ELBOW_90, 500, 3.3115",
        "ELBOW_90, 2000, 2.1115",
        "ELBOW_90, 1e5, 1.7195",
        "ELBOW_45, 500, 1.8557",
        "ELBOW_45, 4000, 0.9807"
    })
    void twoKLosses(Fitting fitting, double re, double k) {
        Minor loss = ration.physics.flow.Losses.fitting(fitting, 0.305 * 0.0254);
        assertThat(loss.constant() + loss.perReynolds() / re).isCloseTo(k, Offset.offset(1e-4));
    }

    /**
     * A drilled bore of 0.172 in in a 0.180 in tube: area ratio 0.913; contraction and enlargement after Crane, from
     * memory.
     */
    @Test
    void flaredEndsCostALittle() {
        double b = Math.pow(0.172 / 0.180, 2);
        double expected = (0.5 * (1 - b) + (1 - b) * (1 - b)) / (b * b);
        assertThat(ration.physics.flow.Losses.flaredEnd(LineSize.parse("1/4 x 0.035 tube"))
                        .constant())
                .isCloseTo(expected, Percentage.withPercentage(1e-9));
        assertThat(ration.physics.flow.Losses.flaredEnd(LineSize.parse("0.3 in bore")))
                .isEqualTo(Minor.NONE);
        assertThat(Fitting.written("90\u00b0 bend")).contains(Fitting.BEND_90);
    }
}
