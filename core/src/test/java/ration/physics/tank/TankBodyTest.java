package ration.physics.tank;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.assertj.core.data.Offset;
import org.assertj.core.data.Percentage;
import org.junit.jupiter.api.Test;
import ration.Systems;
import ration.aircraft.condition.Attitude;
import ration.aircraft.model.Fitout;
import ration.aircraft.model.Outlet;
import ration.aircraft.model.Place;
import ration.aircraft.model.Tank;
import ration.aircraft.model.TankShape;
import ration.base.geometry.ApparentGravity;
import ration.base.geometry.Point3;
import ration.base.quantity.Measured;
import ration.base.quantity.Unit;
import ration.record.project.ShapePattern;

/** Stranded fuel against closed forms, and what must hold for any tank. */
class TankBodyTest {

    private static final double IN = 0.0254;

    private static Point3 up(double pitch, double tilt) {
        return ApparentGravity.ofAttitude(Math.toRadians(pitch), Math.toRadians(tilt))
                .up();
    }

    private static Outlet outlet(String name, double sta, double bl, double wl) {
        return new Outlet(name, Place.inches(sta, bl, wl), Systems.in(0.3), Optional.empty());
    }

    /** A box 20 x 10 x 9 in, its corner at the datum. */
    private static Tank box(Outlet... outlets) {
        return new Tank(
                "t",
                "T",
                new TankShape.Box(Place.inches(0, -5, 0), Systems.in(20), Systems.in(10), Systems.in(9)),
                List.of(outlets),
                Optional.empty(),
                Optional.empty(),
                Measured.of(0, Unit.GALLON));
    }

    private static double cubicInches(Stranded s) {
        return s.volume() / (IN * IN * IN);
    }

    /** Wedge behind a forward floor outlet, nose 10 degrees up: half L2 tan W; handbook value 352.65 in3. */
    @Test
    void noseUpLeavesAWedgeBehindAForwardOutlet() {
        TankBody body = TankBody.of(box(outlet("o", 0, 0, 0)));
        assertThat(cubicInches(body.stranded(up(10, 0), Feed.GRAVITY))).isCloseTo(352.65, Offset.offset(0.01));
        assertThat(cubicInches(body.stranded(up(-10, 0), Feed.GRAVITY))).isCloseTo(0, Offset.offset(1e-6));
    }

    /** Two outlets, fore and aft: by gravity nothing is left nose up, on suction the first to uncover decides. */
    @Test
    void twoOutletsServeByGravityAndFailBySuction() {
        TankBody body = TankBody.of(box(outlet("f", 0, 0, 0), outlet("r", 20, 0, 0)));
        assertThat(cubicInches(body.stranded(up(10, 0), Feed.GRAVITY))).isCloseTo(0, Offset.offset(1e-6));
        assertThat(cubicInches(body.stranded(up(10, 0), Feed.SUCTION))).isCloseTo(352.65, Offset.offset(0.01));
    }

    private static Fitout.Rib rib(double bl, Fitout.Passes passes, double wl) {
        return new Fitout.Rib(Systems.in(bl), List.of(new Fitout.Opening(Systems.in(10), Systems.in(wl), passes)));
    }

    /** A limber hole an inch up keeps an inch in the far bay: 4 x 20 x 1 in. */
    @Test
    void aBayKeepsWhatLiesUnderItsHole() {
        Tank tank = box(outlet("o", 10, 4, 0)).with(Fitout.NONE.withRibs(List.of(rib(-1, Fitout.Passes.BOTH_WAYS, 1))));
        Stranded level = TankBody.of(tank).stranded(up(0, 0), Feed.GRAVITY);
        assertThat(level.bays()).hasSize(2);
        assertThat(cubicInches(level)).isCloseTo(4 * 20 * 1, Offset.offset(1e-6));
    }

    /** A flapper lets fuel in and not out: a bay whose only door opens towards it keeps all it holds. */
    @Test
    void aFlapperThatOpensTheOtherWayKeepsAll() {
        Tank open =
                box(outlet("o", 10, 4, 0)).with(Fitout.NONE.withRibs(List.of(rib(-1, Fitout.Passes.TO_THE_RIGHT, 0))));
        Tank shut =
                box(outlet("o", 10, 4, 0)).with(Fitout.NONE.withRibs(List.of(rib(-1, Fitout.Passes.TO_THE_LEFT, 0))));
        assertThat(cubicInches(TankBody.of(open).stranded(up(0, 0), Feed.GRAVITY)))
                .isCloseTo(0, Offset.offset(1e-6));
        assertThat(cubicInches(TankBody.of(shut).stranded(up(0, 0), Feed.GRAVITY)))
                .isCloseTo(4 * 20 * 9, Offset.offset(1e-6));
    }

    /** The plane through the holes of a chain of ribs: the highest lip on the easiest way counts. */
    @Test
    void theEasiestWayThroughSeveralRibsCounts() {
        Tank tank = box(outlet("o", 10, 4.5, 0))
                .with(Fitout.NONE.withRibs(
                        List.of(rib(-3, Fitout.Passes.BOTH_WAYS, 2), rib(1, Fitout.Passes.BOTH_WAYS, 1))));
        Stranded s = TankBody.of(tank).stranded(up(0, 0), Feed.GRAVITY);
        assertThat(cubicInches(s)).isCloseTo(2 * 20 * 2 + 4 * 20 * 1, Offset.offset(1e-6));
    }

    @Test
    void aWellAddsItsOwnVolumeAndDrainsLast() {
        Tank tank = box(outlet("o", 10, 0, -0.75))
                .with(Fitout.NONE.withWells(
                        List.of(new Fitout.Well(Place.inches(10, 0, -1), Systems.in(4), Systems.in(4)))));
        TankBody body = TankBody.of(tank);
        assertThat(body.capacity() / (IN * IN * IN)).isCloseTo(20 * 10 * 9 + 16, Percentage.withPercentage(1e-9));
        assertThat(cubicInches(body.stranded(up(0, 0), Feed.GRAVITY))).isCloseTo(4 * 4 * 0.25, Offset.offset(1e-6));
        assertThat(cubicInches(body.stranded(up(5, 3), Feed.GRAVITY)))
                .as("the slope of the floor drains into the well")
                .isLessThan(16);
    }

    @Test
    void theFillerLimitsHowMuchGoesIn() {
        Tank tank = box(outlet("o", 0, 0, 0)).with(Fitout.NONE.withFiller(Optional.of(Place.inches(0, 0, 8))));
        TankBody body = TankBody.of(tank);
        assertThat(body.full(up(0, 0))).isCloseTo(body.capacity() * 8 / 9, Percentage.withPercentage(1e-9));
        assertThat(body.full(up(12, 0)))
                .as("nose up a filler at the front stands high")
                .isGreaterThan(body.full(up(0, 0)));
    }

    private static Tank random(long seed) {
        Random r = new Random(seed);
        List<Measured> values = new ArrayList<>();
        ShapePattern pattern = ShapePattern.values()[r.nextInt(ShapePattern.values().length)];
        for (ShapePattern.Measure m : pattern.measures()) {
            double v = m.unit() == Unit.DEGREE ? r.nextDouble() * 8 : m.usual() * (0.92 + 0.16 * r.nextDouble());
            values.add(Measured.of(v, m.unit()));
        }
        Tank tank = ShapePattern.reshaped(box(outlet("o", 1000, 0, 0)), pattern.shape(values));
        if (r.nextBoolean() && !(tank.shape() instanceof TankShape.Cylinder)) {
            double bl = (tank.shape().left() + tank.shape().right()) / 2 / IN + 0.3;
            Point3 o = tank.outlets().get(0).place().point();
            double floor = tank.shape().solid().floorAt(o.x(), bl * IN).orElse(o.z());
            tank = tank.with(Fitout.NONE.withRibs(List.of(new Fitout.Rib(
                    Systems.in(bl),
                    List.of(new Fitout.Opening(
                            Measured.of(o.x() / IN, Unit.INCH),
                            Measured.of(floor / IN + 0.2, Unit.INCH),
                            Fitout.Passes.BOTH_WAYS))))));
        }
        return tank;
    }

    /**
     * Any tank: between nothing and everything; at least what lies under the outlet's plane; no more with an outlet
     * more.
     */
    @Property(tries = 50)
    void strandedFuelOfAnyTankIsBounded(
            @ForAll long seed,
            @ForAll @DoubleRange(min = -30, max = 30) double pitch,
            @ForAll @DoubleRange(min = -30, max = 30) double tilt) {
        Tank tank = random(seed);
        TankBody body = TankBody.of(tank);
        Stranded s = body.stranded(up(pitch, tilt), Feed.GRAVITY);
        double underPlane = body.solid()
                .volumeBelow(
                        up(pitch, tilt),
                        up(pitch, tilt).dot(tank.outlets().get(0).place().point()));
        assertThat(s.volume()).isBetween(-1e-12, body.capacity() + 1e-12);
        if (tank.fitout().ribs().isEmpty()) {
            assertThat(s.volume()).isCloseTo(underPlane, Offset.offset(1e-12));
        } else {
            assertThat(s.volume()).isGreaterThanOrEqualTo(underPlane - 1e-9);
        }
        Outlet more = tank.outlets().get(0).at(tank.outlets().get(0).place().raised(0.01));
        TankBody two = TankBody.of(tank.withOutlets(
                List.of(tank.outlets().get(0), new Outlet("2", more.place(), more.bore(), Optional.empty()))));
        assertThat(two.stranded(up(pitch, tilt), Feed.GRAVITY).volume()).isLessThanOrEqualTo(s.volume() + 1e-12);
        assertThat(two.stranded(up(pitch, tilt), Feed.SUCTION).volume()).isGreaterThanOrEqualTo(s.volume() - 1e-12);
    }

    /** A higher outlet never leaves less; a level turn changes nothing. */
    @Property(tries = 30)
    void higherOutletsLeaveMoreAndTurnsLeaveNoMore(
            @ForAll long seed,
            @ForAll @DoubleRange(min = -20, max = 20) double pitch,
            @ForAll @DoubleRange(min = 0.01, max = 1) double inches) {
        Tank tank = random(seed);
        Tank raised = tank.withOutlets(
                List.of(tank.outlets().get(0).at(tank.outlets().get(0).place().raised(inches * IN))));
        double now = TankBody.of(tank).stranded(up(pitch, 4), Feed.GRAVITY).volume();
        assertThat(TankBody.of(raised).stranded(up(pitch, 4), Feed.GRAVITY).volume())
                .isGreaterThanOrEqualTo(now - 1e-12);
        ApparentGravity turn = ApparentGravity.ofAttitude(0, Math.toRadians(4)).withLoadFactor(2);
        assertThat(TankBody.of(tank).stranded(turn.up(), Feed.GRAVITY).volume())
                .isCloseTo(TankBody.of(tank).stranded(up(0, 4), Feed.GRAVITY).volume(), Offset.offset(1e-12));
    }

    @Property(tries = 40)
    void gaugeReadingsRiseWithTheFuel(@ForAll long seed, @ForAll @DoubleRange(min = 0, max = 0.9) double share) {
        TankBody body = TankBody.of(random(seed));
        GaugeCurve gauge = GaugeCurve.of(body, up(6, 0));
        assertThat(gauge.reading(body.capacity() * (share + 0.1)))
                .isGreaterThanOrEqualTo(gauge.reading(body.capacity() * share) - 1e-9);
    }

    @Test
    void theMapHoldsWhatEachAttitudeSaysAndTheEnvelopeItsWorst() {
        Tank tank = (Tank) Systems.corrie().system().item("upper").orElseThrow();
        TankBody body = TankBody.of(tank);
        StrandedMap map = StrandedMap.of(body, Feed.GRAVITY);
        assertThat(map.volume()).hasDimensions(41, 41);
        assertThat(map.volume()[8][31])
                .isEqualTo(body.stranded(up(map.pitch().at(8), map.tilt().at(31)), Feed.GRAVITY)
                        .volume());
        List<Attitude> corners = Systems.corrie().brief().envelope().corners();
        Governing worst = Governing.of(body, Feed.GRAVITY, corners);
        for (Attitude a : corners) {
            assertThat(worst.volume())
                    .isGreaterThanOrEqualTo(
                            body.stranded(a.gravity().up(), Feed.GRAVITY).volume() - 1e-12);
        }
        assertThat(worst.attitude().label()).isEqualTo("Glide \u22126\u00b0, tilt 3\u00b0 right");
        assertThat(Governing.inside(0, 0, corners)).isTrue();
        assertThat(Governing.inside(Math.toRadians(16), Math.toRadians(5), corners))
                .isFalse();
    }
}
