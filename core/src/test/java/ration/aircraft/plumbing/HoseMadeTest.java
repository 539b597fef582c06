package ration.aircraft.plumbing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import ration.Systems;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.HoseEnd;
import ration.aircraft.model.JointEnd;
import ration.aircraft.model.LineSize;
import ration.aircraft.model.Place;
import ration.aircraft.model.Run;
import ration.aircraft.model.RunBuild;
import ration.base.geometry.Point3;
import ration.base.quantity.Unit;

/** Hoses as they are made, against worked examples (invented input) and what turning and mirroring must do. */
class HoseMadeTest {

    private static final double INCH = Unit.INCH.toSi(1);

    private static Point3 p(double x, double y, double z) {
        return new Point3(x * INCH, y * INCH, z * INCH);
    }

    private static final List<Point3> ROUTE = List.of(p(0, 0, 0), p(6, 0, 0), p(6, 5, 0), p(8, 7, 4));

    /** L 14.75 in, 15.49 with 5 %, clocking 105.0 degrees. Worked example. */
    @Test
    void aRouteOfTwoBends() {
        HosePath path = new HosePath(ROUTE, 2 * INCH);
        assertThat(path.length() / INCH).isCloseTo(14.75, within(0.005));
        assertThat(1.05 * path.length() / INCH).isCloseTo(15.49, within(0.005));
        assertThat(Math.toDegrees(path.clocking(p(0, 0, 1), p(1, 0, 0)).orElseThrow()))
                .isCloseTo(105.0, within(0.05));
        assertThat(path.tooTight()).isZero();
        assertThat(new HosePath(ROUTE, 4 * INCH).tooTight()).isPositive();
    }

    /** A 45 degree end at the origin, port up, turning aft, 0.7 and 0.8 in: (0.5657, 0, 1.266). Worked example. */
    @Test
    void anElbowReachesRoundItsCorner() {
        HoseEnd end = HoseEnd.parse("45 up aft 0.7 0.8", 0);
        Point3 r = end.reach().orElseThrow();
        assertThat(r.x() / INCH).isCloseTo(0.5657, within(5e-5));
        assertThat(r.y()).isCloseTo(0, within(1e-12));
        assertThat(r.z() / INCH).isCloseTo(1.266, within(5e-4));
        assertThat(HoseEnd.parse("90 up aft 0.9 0.8", 0).reach().orElseThrow().z() / INCH)
                .as("the drop of a right angle is its first leg")
                .isCloseTo(0.9, within(1e-9));
    }

    /** A hose between two ports 14 in apart that both face up. */
    private static FuelSystem upward(String start, String end) {
        FuelSystem s = Systems.twoTanks(0, 0);
        Run run = s.runs().get(0);
        Run hose = run.withSize(LineSize.parse("-6 hose"))
                .withLength(Optional.empty())
                .withPoints(List.of())
                .with(RunBuild.NONE
                        .withStart(RunBuild.End.NONE.withShape(Optional.of(HoseEnd.parse(start, 0))))
                        .withEnd(RunBuild.End.NONE.withShape(Optional.of(HoseEnd.parse(end, 0)))));
        return s.replace(hose);
    }

    /**
     * Two right angles facing one another: hose straight between, both legs added. Worked example, 12.40 and 15.80 in.
     */
    @Test
    void twoElbowsFacingOneAnother() {
        List<Point3> between = List.of(
                p(0, 0, 0).plus(HoseEnd.parse("90 up aft 0.9 0.8", 0).reach().orElseThrow()),
                p(14, 0, 0)
                        .plus(HoseEnd.parse("90 up forward 0.9 0.8", 0).reach().orElseThrow()));
        HosePath path = new HosePath(between, INCH);
        assertThat(path.length() / INCH).isCloseTo(12.40, within(1e-9));
        HoseEnd end = HoseEnd.parse("90 up aft 0.9 0.8", 0);
        assertThat((path.length() + 2 * end.length()) / INCH).isCloseTo(15.80, within(1e-9));
        assertThat(path.clocking(p(0, 0, -1), p(0, 0, -1)).orElseThrow())
                .as("both hang down: not turned")
                .isCloseTo(0, within(1e-9));
    }

    private static List<Point3> route(Random r) {
        List<Point3> all = new ArrayList<>(List.of(p(0, 0, 0)));
        for (int i = 0; i < 1 + r.nextInt(4); i++) {
            all.add(all.get(i).plus(p(r.nextDouble() * 20 - 10, r.nextDouble() * 20 - 10, r.nextDouble() * 20 - 10)));
        }
        return all;
    }

    private static Point3 any(Random r) {
        return p(r.nextGaussian(), r.nextGaussian(), r.nextGaussian());
    }

    private static double apart(double a, double b) {
        return Math.abs(Math.IEEEremainder(a - b, 2 * Math.PI));
    }

    /**
     * Of 500 random routes: swapping the ends keeps the clocking, a mirror turns it the other way, a turn of the far
     * end by so much adds so much, and the whole moved and turned about is the same hose.
     */
    @Test
    void clockingBelongsToTheHoseAlone() {
        Random r = new Random(31);
        for (int n = 0; n < 500; n++) {
            List<Point3> way = route(r);
            HosePath path = new HosePath(way, 0);
            Point3 u = any(r);
            Point3 w = any(r);
            double is = path.clocking(u, w).orElseThrow();
            List<Point3> back = new ArrayList<>(way);
            Collections.reverse(back);
            assertThat(apart(new HosePath(back, 0).clocking(w, u).orElseThrow(), is))
                    .isLessThan(1e-6);
            HosePath mirrored =
                    new HosePath(way.stream().map(HoseMadeTest::mirror).toList(), 0);
            assertThat(apart(mirrored.clocking(mirror(u), mirror(w)).orElseThrow(), -is))
                    .isLessThan(1e-6);
            HosePath moved = new HosePath(
                    way.stream().map(x -> turn(x).plus(p(3, -4, 5))).toList(), 0);
            assertThat(apart(moved.clocking(turn(u), turn(w)).orElseThrow(), is))
                    .isLessThan(1e-6);
            assertThat(moved.length()).isCloseTo(path.length(), within(1e-9));
            Point3 t = way.get(way.size() - 1).minus(way.get(way.size() - 2));
            t = t.times(1 / t.length());
            double by = r.nextDouble() * 2 * Math.PI;
            Point3 square = w.minus(t.times(w.dot(t)));
            Point3 further = square.times(Math.cos(by)).plus(t.cross(square).times(Math.sin(by)));
            assertThat(apart(path.clocking(u, further).orElseThrow(), is + by)).isLessThan(1e-6);
        }
    }

    private static Point3 mirror(Point3 x) {
        return new Point3(x.x(), -x.y(), x.z());
    }

    /** A turn about a slanting axis: the axes go round. */
    private static Point3 turn(Point3 x) {
        return new Point3(x.y(), x.z(), x.x());
    }

    /**
     * Along a sheet of a document: cut is the way between the ends with 5 %, elbows fixed are clocked, a swivel frees.
     */
    @Test
    void aHoseOfALayout() {
        FuelSystem s = upward("90 up aft 0.9 0.8", "90 up forward 0.9 0.8");
        Run run = s.runs().get(0);
        HoseMade made = HoseMade.of(s, run).orElseThrow();
        Point3 from = s.point(run.from()).orElseThrow();
        Point3 to = s.point(run.to()).orElseThrow();
        double between = from.plus(made.start().reach().orElseThrow())
                .distance(to.plus(made.end().reach().orElseThrow()));
        assertThat(made.way()).isCloseTo(between, within(1e-9));
        assertThat(made.cut()).isCloseTo(1.05 * between, within(1e-9));
        assertThat(made.seatToSeat()).isCloseTo(made.cut() + 3.4 * INCH, within(1e-9));
        assertThat(made.clocking()).isPresent();
        assertThat(CutLength.of(s, run).length()).isCloseTo(made.cut(), within(1e-12));
        FuelSystem free = upward("90 up aft 0.9 0.8 swivel", "90 up forward 0.9 0.8");
        assertThat(HoseMade.of(free, free.runs().get(0)).orElseThrow().clocking())
                .isEmpty();
        FuelSystem straight = upward("straight 0.85", "90 up forward 0.9 0.8");
        assertThat(HoseMade.of(straight, straight.runs().get(0)).orElseThrow().clocking())
                .isEmpty();
        FuelSystem squeezed = s.replace(run.withPoints(List.of(Place.inches(0.1, 0, 0), Place.inches(0, 0.1, 0.2))));
        assertThat(HoseMade.of(squeezed, squeezed.runs().get(0)).orElseThrow().trouble())
                .startsWith("Bend ");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {"90 up down", "90 up", "90", "up aft", "200 up aft", "90 up sideways", "45 up aft 0.7 20", "bent"
            })
    void whatIsNoEndIsToldSo(String text) {
        assertThatThrownBy(() -> HoseEnd.parse(text, INCH))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageMatching("(?s).{15,}\\.");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {"straight 0.85", "90 up aft 0.9 0.8", "45 down forward 0.7 0.8 swivel", "30 left up 1 1.125"})
    void anEndIsReadAsItIsWritten(String text) {
        assertThat(HoseEnd.parse(text, 0).text()).isEqualTo(text);
        assertThat(HoseEnd.parse(HoseEnd.parse(text, 0).text(), 0)).isEqualTo(HoseEnd.parse(text, 0));
    }

    /**
     * Every pair of these halves: what mates, by hand, and nothing else. Common practice; start but never hold: from
     * memory.
     */
    @Test
    void whatMatesIsWhatATableByHandSays() {
        List<String> halves = List.of(
                "-6 flare male",
                "-6 flare female",
                "-6 45\u00b0 flare male",
                "-6 45\u00b0 flare female",
                "-6 o-ring male",
                "-6 o-ring female",
                "1/8 NPT male",
                "1/8 NPT female",
                "M14x1.5 metric male",
                "M14x1.5 metric female",
                "M10x1.0 metric male",
                "M10x1.0 metric female",
                "M14x1.5 banjo",
                "3/8 barb",
                "3/8 barb female",
                "3/8 bead",
                "5/16 snap male",
                "5/16 snap female");
        List<List<String>> mate = List.of(
                List.of("-6 flare male", "-6 flare female"),
                List.of("-6 45\u00b0 flare male", "-6 45\u00b0 flare female"),
                List.of("-6 o-ring male", "-6 o-ring female"),
                List.of("1/8 NPT male", "1/8 NPT female"),
                List.of("M14x1.5 metric male", "M14x1.5 metric female"),
                List.of("M10x1.0 metric male", "M10x1.0 metric female"),
                List.of("M14x1.5 banjo", "M14x1.5 metric female"),
                List.of("3/8 barb", "3/8 barb female"),
                List.of("3/8 bead", "3/8 barb female"),
                List.of("5/16 snap male", "5/16 snap female"));
        for (String a : halves) {
            assertThat(JointEnd.parse(a).text()).isEqualTo(a);
            for (String b : halves) {
                boolean wanted = mate.stream().anyMatch(m -> m.equals(List.of(a, b)) || m.equals(List.of(b, a)));
                assertThat(JointEnd.parse(a).mates(JointEnd.parse(b)))
                        .as(a + " and " + b)
                        .isEqualTo(wanted);
                boolean starts = Stream.of(a, b).anyMatch(x -> x.startsWith("M14"))
                                && Stream.of(a, b).anyMatch(x -> x.startsWith("-6") && !x.contains("45"))
                        || Stream.of(a, b).anyMatch(x -> x.startsWith("M10"))
                                && Stream.of(a, b).anyMatch(x -> x.startsWith("1/8"));
                assertThat(JointEnd.parse(a).startsIn(JointEnd.parse(b)))
                        .as(a + " starts in " + b)
                        .isEqualTo(starts);
            }
        }
    }
}
