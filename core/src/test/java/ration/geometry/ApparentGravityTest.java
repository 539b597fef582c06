package ration.geometry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ApparentGravityTest {

    /** A tank outlet 30 in above and 60 in behind the carburettor, 15 degrees nose up: 13.449 in (calculated). */
    @Test
    void headOfATankBehindTheEngine() {
        ApparentGravity g = ApparentGravity.ofAttitude(Math.toRadians(15), 0);
        assertThat(g.height(new Point3(60 * 0.0254, 0, 30 * 0.0254)) / 0.0254).isCloseTo(13.449, Offset.offset(0.001));
    }

    /** Speeding up at 0.3 g leans the fuel as 16.70 degrees of pitch would, 0.2 g as 11.31 (calculated). */
    @ParameterizedTest
    @CsvSource({"0.3, 16.70", "0.2, 11.31"})
    void accelerationLooksLikePitch(double g, double degrees) {
        Point3 up = ApparentGravity.ofAttitude(0, 0).withForwardAcceleration(g * ApparentGravity.STANDARD).up();
        assertThat(Math.toDegrees(Math.atan2(-up.x(), up.z()))).isCloseTo(degrees, Offset.offset(0.005));
    }

    @Test
    void aTurnMakesFuelHeavierAndDoesNotTiltIt() {
        ApparentGravity level = ApparentGravity.ofAttitude(0.1, 0);
        ApparentGravity turn = level.withLoadFactor(2);
        assertThat(turn.up()).isEqualTo(level.up());
        assertThat(turn.magnitude()).isEqualTo(2 * ApparentGravity.STANDARD);
    }

    @Test
    void rightSideDownLowersTheRightWing() {
        ApparentGravity slip = ApparentGravity.ofAttitude(0, Math.toRadians(6));
        assertThat(slip.height(new Point3(0, 1, 0))).isNegative();
        assertThat(slip.height(new Point3(0, -1, 0))).isPositive();
    }

    @Property
    void upIsAlwaysAUnitVector(@ForAll @DoubleRange(min = -1.5, max = 1.5) double pitch,
            @ForAll @DoubleRange(min = -1.5, max = 1.5) double tilt,
            @ForAll @DoubleRange(min = -20, max = 20) double acceleration) {
        ApparentGravity g = ApparentGravity.ofAttitude(pitch, tilt).withForwardAcceleration(acceleration);
        assertThat(g.up().length()).isCloseTo(1, Offset.offset(1e-12));
    }

    @Test
    void impossibleGravityIsRefused() {
        assertThatThrownBy(() -> new ApparentGravity(new Point3(0, 0, 2), 9.8)).hasMessageContaining("unit");
        assertThatThrownBy(() -> ApparentGravity.ofAttitude(0, 0).withLoadFactor(-1)).hasMessageContaining("0 and 20");
        assertThatThrownBy(() -> new Point3(Double.NaN, 0, 0)).isInstanceOf(IllegalArgumentException.class);
    }
}
