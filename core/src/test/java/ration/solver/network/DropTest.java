package ration.solver.network;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.Size;
import org.assertj.core.data.Offset;
import org.assertj.core.data.Percentage;
import org.junit.jupiter.api.Test;

/** What a law remembers of its last answer changes how soon the next is there, never what it is. */
class DropTest {

    @Property
    void aLogarithmNearTheLastIsThatLogarithm(
            @ForAll @DoubleRange(min = 0.01, max = 1e5) double last,
            @ForAll @DoubleRange(min = -0.02, max = 0.02) double away) {
        Drop drop = new Drop();
        drop.log(0, last);
        double x = last * (1 + away);
        assertThat(drop.log(0, x)).isCloseTo(Math.log(x), Offset.offset(4e-15));
    }

    @Property
    void aPowerNearTheLastIsThatPower(
            @ForAll @DoubleRange(min = 2e3, max = 1e6) double last,
            @ForAll @DoubleRange(min = -0.02, max = 0.02) double away) {
        Drop drop = new Drop();
        drop.power(0, last);
        double x = last * (1 + away);
        assertThat(drop.power(0, x)).isCloseTo(Math.pow(x, -0.9), Percentage.withPercentage(1e-12));
    }

    @Property
    void aFrictionFactorDoesNotDependOnWhatWasAskedBefore(
            @ForAll FrictionLaw law,
            @ForAll @Size(min = 2, max = 12) List<@DoubleRange(min = -2, max = 2) Double> decades) {
        Roughness roughness = new Roughness(3e-4);
        Drop remembering = new Drop();
        double re = 5000;
        for (double decade : decades) {
            re = Math.min(1e6, Math.max(100, re * Math.pow(10, decade * decade * decade)));
            Drop fresh = new Drop();
            law.at(re, roughness, fresh);
            law.at(re, roughness, remembering);
            assertThat(remembering.friction)
                    .as("at Re " + re)
                    .isCloseTo(fresh.friction, Percentage.withPercentage(2e-11));
            assertThat(remembering.frictionRise)
                    .as("slope at Re " + re)
                    .isCloseTo(
                            fresh.frictionRise,
                            // between laminar and turbulent the slope is many times the factor
                            Offset.offset(1e-12 * Math.max(fresh.friction, Math.abs(fresh.frictionRise))));
        }
    }

    @Test
    void linesAreKeptApart() {
        Drop drop = new Drop(2);
        drop.line(0);
        drop.log(0, 8);
        drop.line(1);
        assertThat(drop.kept(0)).isZero();
        assertThat(drop.log(0, 100)).isEqualTo(Math.log(100));
        drop.line(0);
        assertThat(drop.kept(0)).isEqualTo(8);
    }
}
