package ration.physics.tank;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;

/** Measured fills over geometry: never falling, exact where it was measured, there and back. */
class CalibrationTest {

    private static final Offset<Double> CLOSE = Offset.offset(1e-9);

    @Test
    void nothingMeasuredChangesNothing() {
        assertThat(Calibration.NONE.real(0.123)).isEqualTo(0.123);
        assertThat(Calibration.through(List.of()).measured()).isFalse();
        assertThat(Calibration.through(List.of(new Calibration.Point(0, 0.1))).measured())
                .isFalse();
    }

    @Test
    void goesThroughItsPointsAndOnInProportion() {
        Calibration c = Calibration.through(
                List.of(new Calibration.Point(0.010, 0.0096), new Calibration.Point(0.020, 0.0194)));
        assertThat(c.real(0)).isCloseTo(0, CLOSE);
        assertThat(c.real(0.010)).isCloseTo(0.0096, CLOSE);
        assertThat(c.real(0.020)).isCloseTo(0.0194, CLOSE);
        assertThat(c.real(0.030)).isCloseTo(0.0291, CLOSE);
        assertThat(c.byShape(0.0291)).isCloseTo(0.030, CLOSE);
    }

    @Test
    void readingsCloseTogetherCountAsOne() {
        Calibration c = Calibration.through(List.of(
                new Calibration.Point(0.0100, 0.0101),
                new Calibration.Point(0.0101, 0.0099),
                new Calibration.Point(0.020, 0.020)));
        assertThat(c.real(0.01005)).isCloseTo(0.0100, CLOSE);
    }

    @Property(tries = 200)
    void neverFallsAndComesBack(@ForAll long seed) {
        Random r = new Random(seed);
        List<Calibration.Point> points = new ArrayList<>();
        for (int i = 0; i < 1 + r.nextInt(9); i++) {
            double v = 0.001 + 0.05 * r.nextDouble();
            points.add(new Calibration.Point(v, v * (0.85 + 0.3 * r.nextDouble())));
        }
        Calibration c = Calibration.through(points);
        double before = -1;
        for (int i = 0; i <= 60; i++) {
            double real = c.real(i * 0.001);
            assertThat(real).isGreaterThanOrEqualTo(before - 1e-12);
            assertThat(c.real(c.byShape(real))).isCloseTo(real, Offset.offset(1e-8));
            before = real;
        }
    }

    /** Pool adjacent violators: 1, 3, 2 rises as 1, 2.5, 2.5. */
    @Test
    void fallingNeighboursArePooled() {
        MonotoneCurve curve = MonotoneCurve.through(new double[] {0, 1, 2, 3}, new double[] {1, 3, 2, 4});
        assertThat(curve.at(1)).isCloseTo(2.5, CLOSE);
        assertThat(curve.at(2)).isCloseTo(2.5, CLOSE);
        assertThat(curve.at(1.5)).isCloseTo(2.5, CLOSE);
        assertThat(curve.at(-1)).isEqualTo(1);
        assertThat(curve.at(9)).isEqualTo(4);
        assertThat(curve.inverse(3)).isBetween(2.0, 3.0);
    }
}
