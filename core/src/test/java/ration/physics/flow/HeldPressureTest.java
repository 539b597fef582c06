package ration.physics.flow;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import ration.base.quantity.Unit;

/** Against a worked example: 0.05 mL/psi, a bleed of 0.010 in (Cd 0.62), 720 kg/m3, from 43 to 20 psi. */
class HeldPressureTest {

    private static final double OPENING = 0.62 * Math.PI * Math.pow(Unit.INCH.toSi(0.010), 2) / 4;

    @Test
    void aBleedLetsItGoInSeconds() {
        double from = Unit.PSI.toSi(43);
        double to = Unit.PSI.toSi(20);
        assertThat(HeldPressure.seconds(HeldPressure.GIVES, from, to, OPENING, 720))
                .isCloseTo(1.517, within(5e-4));
        // the same by steps: what runs out by Torricelli is what the line gives back
        double p = from;
        double t = 0;
        double step = 1e-5;
        while (p > to) {
            p -= step * OPENING * Math.sqrt(2 * p / 720) / HeldPressure.GIVES;
            t += step;
        }
        assertThat(t).isCloseTo(1.517, within(1e-3));
        assertThat(HeldPressure.seconds(HeldPressure.GIVES, from, to, 0, 720)).isInfinite();
    }
}
