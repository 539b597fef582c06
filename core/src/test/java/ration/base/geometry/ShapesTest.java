package ration.base.geometry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.Size;
import org.assertj.core.data.Offset;
import org.assertj.core.data.Percentage;
import org.hipparchus.geometry.euclidean.threed.Euclidean3D;
import org.hipparchus.geometry.euclidean.threed.Plane;
import org.hipparchus.geometry.euclidean.threed.PolyhedronsSet;
import org.hipparchus.geometry.euclidean.threed.SubPlane;
import org.hipparchus.geometry.euclidean.threed.Vector3D;
import org.hipparchus.geometry.partitioning.Region;
import org.hipparchus.geometry.partitioning.RegionFactory;
import org.junit.jupiter.api.Test;
import ration.Samples;

/** Lofts, cylinders and bays against closed forms, numerical integrals and a general-purpose geometry library. */
class ShapesTest {

    private static final double TOLERANCE = 1e-10;

    private static Point3 up(double pitch, double tilt) {
        return ApparentGravity.ofAttitude(Math.toRadians(pitch), Math.toRadians(tilt))
                .up();
    }

    private static Point3 p(double x, double y, double z) {
        return new Point3(x, y, z);
    }

    /** A swept, tapered, dihedral wing bay with twisted skins. */
    private static Solid wing() {
        return Solid.loft(List.of(
                List.of(p(0, 0.5, 0), p(0.6, 0.5, 0.02), p(0.6, 0.5, 0.16), p(0.3, 0.5, 0.2), p(0, 0.5, 0.17)),
                List.of(
                        p(0.1, 1.2, 0.05),
                        p(0.62, 1.2, 0.06),
                        p(0.62, 1.2, 0.18),
                        p(0.34, 1.2, 0.22),
                        p(0.1, 1.2, 0.2)),
                List.of(
                        p(0.2, 1.9, 0.11),
                        p(0.64, 1.9, 0.12),
                        p(0.64, 1.9, 0.2),
                        p(0.4, 1.9, 0.24),
                        p(0.2, 1.9, 0.22))));
    }

    /** Pyramid frustum: h/3 (A + B + sqrt(A B)); textbook solid geometry. */
    @Test
    void aTaperedBayIsAFrustum() {
        List<Point3> big = List.of(p(0, 0, 0), p(2, 0, 0), p(2, 0, 1), p(0, 0, 1));
        List<Point3> small = List.of(p(0.5, 3, 0.25), p(1.5, 3, 0.25), p(1.5, 3, 0.75), p(0.5, 3, 0.75));
        assertThat(Solid.loft(List.of(big, small)).volume())
                .isCloseTo(3.0 / 3 * (2 + 0.5 + Math.sqrt(2 * 0.5)), Percentage.withPercentage(1e-10));
        assertThat(Solid.loft(List.of(small, big)).volume())
                .as("from the other end")
                .isCloseTo(3.5, Percentage.withPercentage(1e-10));
    }

    /** Sections on a sphere, ever more of them, come to 4/3 pi r3 from below. */
    @Test
    void sectionsOnASphereComeToItsVolume() {
        double before = 0;
        for (int n : new int[] {8, 16, 32, 64}) {
            List<List<Point3>> rings = new ArrayList<>();
            for (int i = 0; i < n; i++) {
                double y = -Math.cos(Math.PI * (i + 0.5) / n);
                double r = Math.sqrt(1 - y * y);
                List<Point3> ring = new ArrayList<>();
                for (int k = 0; k < n; k++) {
                    ring.add(p(r * Math.cos(2 * Math.PI * k / n), y, r * Math.sin(2 * Math.PI * k / n)));
                }
                rings.add(ring);
            }
            Solid ball = Solid.loft(rings);
            assertThat(ball.volume()).isGreaterThan(before).isLessThan(4.0 / 3 * Math.PI);
            before = ball.volume();
            double half = ball.volumeBelow(up(23, -11), 0);
            assertThat(half)
                    .as("a plane through the middle")
                    .isCloseTo(ball.volume() / 2, Percentage.withPercentage(1e-8));
        }
        assertThat(before).isCloseTo(4.0 / 3 * Math.PI, Percentage.withPercentage(0.5));
    }

    /** Ungula of a cylinder, plane through a diameter of its foot: 2/3 R2 h; textbook (Archimedes' hoof). */
    @Test
    void theHoofOfACylinder() {
        double radius = 0.3;
        Solid drum = Solid.cylinder(p(0, 0, 0), p(0, 0, 1), radius);
        double pitch = 35;
        double height = radius * Math.tan(Math.toRadians(pitch));
        assertThat(drum.volumeBelow(up(pitch, 0), 0))
                .isCloseTo(2.0 / 3 * radius * radius * height, Percentage.withPercentage(1e-9));
    }

    /** Lying level: circular segment r2 acos((r-h)/r) - (r-h) sqrt(2rh-h2), times its length; textbook. */
    /** Rings of any numbers of points, flat panels and twisted ones: every edge is walked as often each way. */
    @Property(tries = 60)
    void aLoftLeavesNoGap(
            @ForAll @Size(min = 2, max = 5) List<@IntRange(min = 3, max = 9) Integer> points,
            @ForAll @DoubleRange(min = 0, max = 0.4) double twist) {
        List<List<Point3>> rings = new ArrayList<>();
        for (int r = 0; r < points.size(); r++) {
            List<Point3> ring = new ArrayList<>();
            for (int i = 0; i < points.get(r); i++) {
                double a = 2 * Math.PI * i / points.get(r) + twist * r;
                ring.add(p(0.3 * Math.cos(a) + 0.05 * r, 0.4 * r, 0.2 * Math.sin(a)));
            }
            rings.add(ring);
        }
        Solid loft = Solid.loft(rings);
        assertThat(Solid.faceted(loft.faces()).volume())
                .isEqualTo(loft.volume())
                .isPositive();
    }

    /** Along an axis of the aircraft and along any other direction. */
    @Property(tries = 40)
    void aSolidReachesAsFarAsItsCorners(
            @ForAll @DoubleRange(min = -80, max = 80) double pitch,
            @ForAll @DoubleRange(min = -80, max = 80) double tilt) {
        Solid wing = wing();
        List<Point3> corners = wing.faces().stream().flatMap(List::stream).toList();
        for (Point3 along :
                List.of(p(1, 0, 0), p(-1, 0, 0), p(0, 1, 0), p(0, -1, 0), p(0, 0, 1), p(0, 0, -1), up(pitch, tilt))) {
            assertThat(wing.lowest(along))
                    .isEqualTo(corners.stream().mapToDouble(along::dot).min().orElseThrow());
            assertThat(wing.highest(along))
                    .isEqualTo(corners.stream().mapToDouble(along::dot).max().orElseThrow());
        }
    }

    @Property(tries = 60)
    void aLyingDrumHoldsASegment(@ForAll @DoubleRange(min = 0.01, max = 0.99) double share) {
        double r = 0.25;
        double h = 2 * r * share;
        Solid drum = Solid.cylinder(p(1, 0, 2), p(1.8, 0, 2), r);
        double segment = r * r * Math.acos((r - h) / r) - (r - h) * Math.sqrt(2 * r * h - h * h);
        assertThat(drum.volumeBelow(p(0, 0, 1), 2 - r + h))
                .isCloseTo(segment * 0.8, Offset.offset(1e-9 * drum.volume()));
    }

    /** Any tilt: slices across the axis, each a circular segment, added up. */
    @Property(tries = 60)
    void aTiltedDrumAgreesWithItsSlices(
            @ForAll @DoubleRange(min = -59, max = 59) double pitch,
            @ForAll @DoubleRange(min = -59, max = 59) double tilt,
            @ForAll @DoubleRange(min = 0.02, max = 0.98) double share) {
        Point3 from = p(0.4, -0.2, 1);
        double r = 0.2;
        double length = 0.9;
        Solid drum = Solid.cylinder(from, from.plus(p(length, 0, 0)), r);
        Point3 up = up(pitch, tilt);
        double level = drum.lowest(up) + share * (drum.highest(up) - drum.lowest(up));
        double across = Math.sqrt(1 - up.x() * up.x());
        double sum = 0;
        int slices = 4000;
        for (int i = 0; i < slices; i++) {
            double s = length * (i + 0.5) / slices;
            double t = Math.max(-r, Math.min(r, (level - up.dot(from.plus(p(s, 0, 0)))) / across));
            sum += (t * Math.sqrt(r * r - t * t) + r * r * (Math.asin(t / r) + Math.PI / 2)) * length / slices;
        }
        assertThat(drum.volumeBelow(up, level)).isCloseTo(sum, Offset.offset(2e-6 * drum.volume()));
    }

    /** Nearly level drums pass from one form of the integral to the other without a step. */
    @Test
    void aHardlyTiltedDrumHasNoStep() {
        Solid drum = Solid.cylinder(p(0, 0, 0), p(1, 0, 0), 0.2);
        double before = drum.volumeBelow(up(0, 0), 0.03);
        for (double pitch = 1e-9; pitch < 2e-3; pitch *= 1.7) {
            double now = drum.volumeBelow(up(pitch, 0), 0.03 - 0.5 * Math.sin(Math.toRadians(pitch)));
            assertThat(now).as("pitch %s", pitch).isCloseTo(before, Offset.offset(1e-9 * drum.volume()));
        }
    }

    /** The same solids in Hipparchus geometry, cut there by the same plane. */
    @Test
    void agreesWithAGeometryLibraryInHundredsOfAttitudes() {
        Random random = new Random(4);
        for (Solid solid : List.of(
                wing(),
                Solid.prism(
                        List.of(
                                new Point2(0, 0),
                                new Point2(1, 0),
                                new Point2(1, 1),
                                new Point2(0.6, 0.4),
                                new Point2(0, 1)),
                        -0.3,
                        0.8))) {
            PolyhedronsSet whole = library(solid);
            assertThat(whole.getSize()).isCloseTo(solid.volume(), Percentage.withPercentage(1e-7));
            for (int i = 0; i < Samples.of(30, 1500); i++) {
                Point3 up = up(random.nextDouble() * 100 - 50, random.nextDouble() * 100 - 50);
                double share = 0.02 + 0.96 * random.nextDouble();
                double level = solid.lowest(up) + share * (solid.highest(up) - solid.lowest(up));
                Vector3D normal = new Vector3D(up.x(), up.y(), up.z());
                Region<Euclidean3D, Vector3D, Plane, SubPlane> below = new PolyhedronsSet(
                        List.of(new Plane(normal.scalarMultiply(level), normal, TOLERANCE).wholeHyperplane()),
                        TOLERANCE);
                double theirs = new RegionFactory<Euclidean3D, Vector3D, Plane, SubPlane>()
                        .intersection(whole.copySelf(), below)
                        .getSize();
                assertThat(solid.volumeBelow(up, level)).isCloseTo(theirs, Offset.offset(1e-7 * solid.volume()));
            }
        }
    }

    private static PolyhedronsSet library(Solid solid) {
        List<Vector3D> corners = new ArrayList<>();
        List<int[]> facets = new ArrayList<>();
        for (List<Point3> face : solid.faces()) {
            int[] facet = new int[face.size()];
            for (int i = 0; i < facet.length; i++) {
                Vector3D v = new Vector3D(
                        face.get(i).x(), face.get(i).y(), face.get(i).z());
                if (!corners.contains(v)) {
                    corners.add(v);
                }
                facet[i] = corners.indexOf(v);
            }
            facets.add(facet);
        }
        return new PolyhedronsSet(corners, facets, TOLERANCE);
    }

    @Property(tries = 60)
    void baysMakeTheWhole(
            @ForAll @DoubleRange(min = -55, max = 55) double pitch,
            @ForAll @DoubleRange(min = -55, max = 55) double tilt,
            @ForAll @DoubleRange(min = 0.02, max = 0.98) double share) {
        Solid wing = wing();
        Point3 up = up(pitch, tilt);
        double level = wing.lowest(up) + share * (wing.highest(up) - wing.lowest(up));
        double sum = 0;
        for (double[] walls : new double[][] {{0, 0.9}, {0.9, 1.37}, {1.37, 3}}) {
            sum += wing.volumeBelow(up, level, new Solid.Slab(p(0, 1, 0), walls[0], walls[1]));
        }
        assertThat(sum).isCloseTo(wing.volumeBelow(up, level), Offset.offset(1e-10 * wing.volume()));
    }

    /** Turned and moved together with gravity, a tank holds the same. */
    @Property(tries = 40)
    void mirroredTankInAMirroredSlipHoldsTheSame(
            @ForAll @DoubleRange(min = -40, max = 40) double pitch,
            @ForAll @DoubleRange(min = -40, max = 40) double tilt,
            @ForAll @DoubleRange(min = 0.05, max = 0.95) double share) {
        Solid right = wing();
        Solid left = Solid.loft(List.of(
                List.of(p(0, -0.5, 0), p(0.6, -0.5, 0.02), p(0.6, -0.5, 0.16), p(0.3, -0.5, 0.2), p(0, -0.5, 0.17)),
                List.of(
                        p(0.1, -1.2, 0.05),
                        p(0.62, -1.2, 0.06),
                        p(0.62, -1.2, 0.18),
                        p(0.34, -1.2, 0.22),
                        p(0.1, -1.2, 0.2)),
                List.of(
                        p(0.2, -1.9, 0.11),
                        p(0.64, -1.9, 0.12),
                        p(0.64, -1.9, 0.2),
                        p(0.4, -1.9, 0.24),
                        p(0.2, -1.9, 0.22))));
        double level = right.level(up(pitch, tilt), share * right.volume());
        assertThat(left.volumeBelow(up(pitch, -tilt), level))
                .isCloseTo(right.volumeBelow(up(pitch, tilt), level), Offset.offset(1e-10 * right.volume()));
        assertThat(left.volume()).isCloseTo(right.volume(), Percentage.withPercentage(1e-9));
    }

    @Test
    void sectionsWithDifferentNumbersOfPointsClose() {
        Solid tank = Solid.loft(List.of(
                List.of(p(0, 0, 0), p(1, 0, 0), p(1, 0, 1), p(0, 0, 1)),
                List.of(p(0, 2, 0), p(0.5, 2, 0), p(1, 2, 0), p(1, 2, 1), p(0.5, 2, 1), p(0, 2, 1))));
        assertThat(tank.volume()).isCloseTo(2, Percentage.withPercentage(1e-9));
    }

    @Test
    void aCutThroughAConcaveTankGivesItsTruePieces() {
        Solid saddle = Solid.prism(
                List.of(
                        new Point2(0, 0),
                        new Point2(1, 0),
                        new Point2(2, 1),
                        new Point2(3, 0),
                        new Point2(4, 0),
                        new Point2(4, 3),
                        new Point2(0, 3)),
                0,
                1);
        assertThat(saddle.cut(p(0, 0, 1), 0.5)).hasSize(2);
        assertThat(saddle.cut(p(0, 0, 1), 2)).hasSize(1).first().satisfies(loop -> assertThat(loop)
                .hasSize(4));
        assertThat(saddle.cut(p(0, 0, 1), 5)).isEmpty();
        Solid withWell = Solid.joined(Arrays.asList(
                saddle,
                Solid.prism(
                        List.of(new Point2(0.2, -0.5), new Point2(0.8, -0.5), new Point2(0.8, 0), new Point2(0.2, 0)),
                        0.2,
                        0.8)));
        assertThat(withWell.volumeBelow(p(0, 0, 1), 0)).isCloseTo(0.6 * 0.6 * 0.5, Percentage.withPercentage(1e-9));
        assertThat(withWell.cut(p(0, 1, 0), 0.5)).hasSize(2);
    }

    @Test
    void aGapOrATwistIsRefused() {
        assertThatThrownBy(() -> FacetedSolid.closed(List.of(
                        List.of(p(0, 0, 0), p(0, 1, 0), p(1, 1, 0), p(1, 0, 0)),
                        List.of(p(0, 0, 0), p(1, 0, 0), p(0.5, 0.5, 1)))))
                .hasMessageContaining("gap");
        assertThatThrownBy(() -> Solid.cylinder(p(0, 0, 0), p(0, 0, 0), 1)).hasMessageContaining("length");
        assertThatThrownBy(() -> Solid.loft(List.of(List.of(p(0, 0, 0), p(1, 0, 0), p(1, 0, 1)))))
                .hasMessageContaining("two sections");
    }
}
