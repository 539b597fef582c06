package ration.base.geometry;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.OptionalDouble;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;

/** Where a solid's lowest skin lies over a place, against sums by hand and against the loops of a cut. */
class FloorTest {

    private static final Solid WEDGE = Solid.loft(List.of(
            List.of(new Point3(0, 0, 0), new Point3(2, 0, 0.4), new Point3(2, 0, 1), new Point3(0, 0, 1)),
            List.of(new Point3(0, 3, 0.3), new Point3(2, 3, 0.7), new Point3(2, 3, 1), new Point3(0, 3, 1))));

    /** A floor that rises 0.2 a metre aft and 0.1 a metre to the right: worked out by hand. */
    @Property
    void a_sloping_floor_lies_where_its_plane_does(
            @ForAll @DoubleRange(min = 0.01, max = 1.99) double x,
            @ForAll @DoubleRange(min = 0.01, max = 2.99) double y) {
        assertThat(WEDGE.floorAt(x, y).orElseThrow()).isCloseTo(0.2 * x + 0.1 * y, Offset.offset(1e-6));
    }

    @Test
    void over_an_edge_and_a_corner_line_of_the_faces_it_is_found_too() {
        Solid two = Solid.loft(List.of(section(0, 0), section(1, 0.1), section(2, 0)));
        for (double x : new double[] {0.001, 0.5, 0.9999}) {
            assertThat(two.floorAt(x, 1).orElseThrow())
                    .as("on the middle rib, station %s", x)
                    .isCloseTo(0.1, Offset.offset(1e-9));
        }
        assertThat(two.floorAt(0.5, -0.1)).isEqualTo(OptionalDouble.empty());
        assertThat(two.floorAt(1.5, 1)).isEqualTo(OptionalDouble.empty());
    }

    private static List<Point3> section(double y, double floor) {
        return List.of(new Point3(0, y, floor), new Point3(1, y, floor), new Point3(1, y, 1), new Point3(0, y, 1));
    }

    @Property
    void it_is_the_lowest_point_of_the_loops_of_a_cut(
            @ForAll @DoubleRange(min = 0.05, max = 0.95) double x,
            @ForAll @DoubleRange(min = 0.05, max = 0.95) double y) {
        Solid notched = Solid.prism(
                List.of(
                        new Point2(0, 0),
                        new Point2(0.3, 0.2),
                        new Point2(0.5, 0),
                        new Point2(1, 0.1),
                        new Point2(1, 1),
                        new Point2(0.6, 0.5),
                        new Point2(0, 1)),
                0,
                1);
        double least = Double.POSITIVE_INFINITY;
        for (List<Point3> loop : notched.cut(new Point3(1, 0, 0), x)) {
            for (int i = 0; i < loop.size(); i++) {
                Point3 a = loop.get(i);
                Point3 b = loop.get((i + 1) % loop.size());
                least = a.y() <= y != b.y() <= y
                        ? Math.min(
                                least,
                                a.toward(b, (y - a.y()) / (b.y() - a.y())).z())
                        : least;
            }
        }
        assertThat(notched.floorAt(x, y).orElseThrow()).isCloseTo(least, Offset.offset(1e-12));
    }
}
