package ration.base.geometry;

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
        Point3 up = ApparentGravity.ofAttitude(0, 0)
                .withGroundAcceleration(g * ApparentGravity.STANDARD)
                .up();
        assertThat(Math.toDegrees(Math.atan2(-up.x(), up.z()))).isCloseTo(degrees, Offset.offset(0.005));
    }

    /** On a run the wheels go along the runway, whatever the pitch: aft sin p + a cos p, down cos p - a sin p, in g. */
    @Property
    void theRunAcceleratesAlongTheRunway(
            @ForAll @DoubleRange(min = -0.5, max = 0.5) double pitch, @ForAll @DoubleRange(min = 0, max = 1) double a) {
        ApparentGravity g = ApparentGravity.ofAttitude(pitch, 0).withGroundAcceleration(a * ApparentGravity.STANDARD);
        Point3 felt = g.up().times(g.magnitude() / ApparentGravity.STANDARD);
        assertThat(-felt.x()).isCloseTo(Math.sin(pitch) + a * Math.cos(pitch), Offset.offset(1e-12));
        assertThat(felt.z()).isCloseTo(Math.cos(pitch) - a * Math.sin(pitch), Offset.offset(1e-12));
        // the pull of the ground and the run's are at right angles
        assertThat(g.magnitude() / ApparentGravity.STANDARD).isCloseTo(Math.hypot(1, a), Offset.offset(1e-12));
    }

    /**
     * Lift acts across the nose: in a push-over at a climb's pitch the fuel feels aft sin p as before, and down only n.
     */
    @Property
    void aPushOverTakesAwayWhatPressesDownOnly(
            @ForAll @DoubleRange(min = -0.5, max = 0.5) double pitch,
            @ForAll @DoubleRange(min = 0.1, max = 3) double n) {
        ApparentGravity g = ApparentGravity.ofAttitude(pitch, 0.1).withLoadFactor(n);
        Point3 steady = ApparentGravity.ofAttitude(pitch, 0.1).up();
        Point3 felt = g.up().times(g.magnitude() / ApparentGravity.STANDARD);
        assertThat(felt.x()).isCloseTo(steady.x(), Offset.offset(1e-12));
        assertThat(Math.hypot(felt.y(), felt.z())).isCloseTo(n, Offset.offset(1e-12));
        assertThat(felt.y() / felt.z()).isCloseTo(steady.y() / steady.z(), Offset.offset(1e-12));
    }

    @Test
    void aTurnMakesFuelHeavierAndDoesNotTiltIt() {
        ApparentGravity level = ApparentGravity.ofAttitude(0, 0);
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
    void upIsAlwaysAUnitVector(
            @ForAll @DoubleRange(min = -1.5, max = 1.5) double pitch,
            @ForAll @DoubleRange(min = -1.5, max = 1.5) double tilt,
            @ForAll @DoubleRange(min = -20, max = 20) double acceleration) {
        ApparentGravity g = ApparentGravity.ofAttitude(pitch, tilt).withGroundAcceleration(acceleration);
        assertThat(g.up().length()).isCloseTo(1, Offset.offset(1e-12));
    }

    @Test
    void impossibleGravityIsRefused() {
        assertThatThrownBy(() -> new ApparentGravity(new Point3(0, 0, 2), 9.8)).hasMessageContaining("unit");
        assertThatThrownBy(() -> ApparentGravity.ofAttitude(0, 0).withLoadFactor(-1))
                .hasMessageContaining("below zero");
        assertThatThrownBy(() -> new Point3(Double.NaN, 0, 0)).isInstanceOf(IllegalArgumentException.class);
    }
}
