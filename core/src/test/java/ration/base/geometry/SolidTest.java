package ration.base.geometry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.assertj.core.data.Offset;
import org.assertj.core.data.Percentage;
import org.junit.jupiter.api.Test;
import ration.base.quantity.Unit;

class SolidTest {

    private static final double IN = 0.0254;
    private static final List<Point2> BOX =
            List.of(new Point2(0, 0), new Point2(1, 0), new Point2(1, 1), new Point2(0, 1));
    /** A concave section: a sump under one end. */
    private static final List<Point2> SUMP = List.of(
            new Point2(0, 0),
            new Point2(2, 0),
            new Point2(2, -0.5),
            new Point2(3, -0.5),
            new Point2(3, 1),
            new Point2(0, 1));

    private static Point3 up(double pitchDeg, double tiltDeg) {
        return ApparentGravity.ofAttitude(Math.toRadians(pitchDeg), Math.toRadians(tiltDeg))
                .up();
    }

    @Test
    void wholeVolumes() {
        assertThat(Solid.prism(BOX, -1, 2).volume()).isCloseTo(3, Percentage.withPercentage(1e-10));
        assertThat(Solid.prism(SUMP, 0, 2).volume()).isCloseTo(2 * 3.5, Percentage.withPercentage(1e-10));
    }

    /**
     * Fuel left in a box of 20 by 10 in with its outlet in the forward bottom edge, 10 degrees nose up: a wedge of half
     * length squared times tangent times width, 352.65 in3 or 1.527 gal (handbook, calculated).
     */
    @Test
    void wedgeLeftInABox() {
        Solid box = Solid.prism(
                List.of(new Point2(0, 0), new Point2(20 * IN, 0), new Point2(20 * IN, 9 * IN), new Point2(0, 9 * IN)),
                0,
                10 * IN);
        Point3 up = up(10, 0);
        double wedge = box.volumeBelow(up, up.dot(new Point3(0, 0, 0)));
        assertThat(Unit.CUBIC_INCH.fromSi(wedge)).isCloseTo(352.65, Offset.offset(0.01));
        assertThat(Unit.GALLON.fromSi(wedge)).isCloseTo(1.527, Offset.offset(0.001));
    }

    @Test
    void aConcaveSectionFillsItsSumpFirst() {
        Solid tank = Solid.prism(SUMP, 0, 1);
        Point3 level = up(0, 0);
        assertThat(tank.volumeBelow(level, 0)).isCloseTo(0.5, Percentage.withPercentage(1e-9));
        assertThat(tank.volumeBelow(level, -0.25)).isCloseTo(0.25, Percentage.withPercentage(1e-9));
        assertThat(tank.volumeBelow(level, 0.5)).isCloseTo(0.5 + 1.5, Percentage.withPercentage(1e-9));
    }

    /** Nothing lies under the lowest corner, and rounding does not make it less than nothing. */
    @Property
    void nothingIsUnderTheLowestCorner(
            @ForAll @DoubleRange(min = -50, max = 50) double pitch,
            @ForAll @DoubleRange(min = -50, max = 50) double tilt) {
        Solid tank = Solid.prism(SUMP, 0, 1);
        Point3 up = up(pitch, tilt);
        assertThat(tank.volumeBelow(up, tank.lowest(up))).isBetween(0.0, 1e-15);
    }

    @Property
    void levelAndVolumeAreEachOthersInverse(
            @ForAll @DoubleRange(min = -50, max = 50) double pitch,
            @ForAll @DoubleRange(min = -50, max = 50) double tilt,
            @ForAll @DoubleRange(min = 0.01, max = 0.99) double share) {
        Solid tank = Solid.prism(SUMP, -0.4, 0.7);
        Point3 up = up(pitch, tilt);
        double level = tank.level(up, share * tank.volume());
        assertThat(tank.volumeBelow(up, level)).isCloseTo(share * tank.volume(), Offset.offset(1e-9 * tank.volume()));
    }

    @Property
    void belowAndAboveMakeTheWhole(
            @ForAll @DoubleRange(min = -50, max = 50) double pitch,
            @ForAll @DoubleRange(min = -50, max = 50) double tilt,
            @ForAll @DoubleRange(min = -1, max = 3) double level) {
        Solid tank = Solid.prism(SUMP, -0.4, 0.7);
        Point3 up = up(pitch, tilt);
        double below = tank.volumeBelow(up, level);
        double above = tank.volumeBelow(up.times(-1), -level);
        assertThat(below + above).isCloseTo(tank.volume(), Offset.offset(1e-9));
        assertThat(below).isBetween(-1e-9, tank.volume() + 1e-9);
    }

    @Property
    void volumeRisesWithLevel(
            @ForAll @DoubleRange(min = -50, max = 50) double pitch,
            @ForAll @DoubleRange(min = -1, max = 3) double level,
            @ForAll @DoubleRange(min = 0, max = 1) double step) {
        Solid tank = Solid.prism(SUMP, 0, 1);
        Point3 up = up(pitch, 10);
        assertThat(tank.volumeBelow(up, level + step)).isGreaterThanOrEqualTo(tank.volumeBelow(up, level) - 1e-12);
    }

    @Test
    void theWayRoundASectionDoesNotMatter() {
        List<Point2> back = new java.util.ArrayList<>(SUMP);
        java.util.Collections.reverse(back);
        assertThat(Solid.prism(back, 1, 0).volume())
                .isCloseTo(Solid.prism(SUMP, 0, 1).volume(), Percentage.withPercentage(1e-10));
    }

    @Test
    void emptyAndFullAreClamped() {
        Solid box = Solid.prism(BOX, 0, 1);
        assertThat(box.level(up(0, 0), 0)).isZero();
        assertThat(box.level(up(0, 0), 5)).isEqualTo(1);
    }

    @Test
    void aSectionWithoutAreaIsRefused() {
        assertThatThrownBy(() -> Solid.prism(List.of(new Point2(0, 0), new Point2(1, 0), new Point2(2, 0)), 0, 1))
                .isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> Solid.prism(BOX, 1, 1)).isInstanceOf(IllegalArgumentException.class);
    }
}
