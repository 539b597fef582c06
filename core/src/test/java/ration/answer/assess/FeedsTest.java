package ration.answer.assess;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import ration.Systems;
import ration.aircraft.condition.Attitude;
import ration.aircraft.condition.Condition;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Header;
import ration.aircraft.model.Outlet;
import ration.aircraft.model.Place;
import ration.aircraft.model.Pump;
import ration.aircraft.model.Tag;
import ration.aircraft.model.Tank;
import ration.aircraft.model.Tee;
import ration.base.fluid.FuelGrade;
import ration.base.geometry.Point3;
import ration.base.quantity.Measured;
import ration.base.quantity.Unit;
import ration.physics.flow.FlowAnswer;
import ration.physics.flow.FlowBasis;
import ration.physics.flow.FlowQuestion;
import ration.physics.tank.Feed;
import ration.physics.tank.TankBody;
import ration.record.project.Project;
import ration.solver.network.FrictionLaw;

/** Two outlets of one tank: what the Tanks page says stays is what the flow answer says can be drawn without air. */
class FeedsTest {

    private static final Point3 UP = new Point3(0, 0, 1);

    /** The second outlet 3 in higher than the first, both teed at a height into a pump. */
    private static Project teed(double teeAt) {
        Tank one = Systems.tank("tank", 10, 0, 24);
        Outlet first = one.outlets().get(0);
        Tank two = one.withOutlets(List.of(
                first.at(Place.inches(5, 0, 24)),
                new Outlet("o2", Place.inches(15, 0, 27), first.bore(), Optional.empty())));
        Pump pump = new Pump(
                new Tag("pump", "Pump", Place.inches(4, 0, teeAt)),
                Pump.Drive.ELECTRIC,
                List.of(
                        new Pump.CurvePoint(Measured.of(0, Unit.GALLON_PER_HOUR), Measured.of(8, Unit.PSI)),
                        new Pump.CurvePoint(Measured.of(60, Unit.GALLON_PER_HOUR), Measured.of(0, Unit.PSI))),
                Optional.empty());
        return Systems.project(new FuelSystem(
                List.of(
                        two,
                        Systems.inlet(),
                        new Tee(new Tag("tee", "Tee", Place.inches(8, 0, teeAt)), Systems.in(0.297)),
                        pump,
                        Systems.run("r1", "tank.outlet", "tee.in", 60),
                        Systems.run("r2", "tank.o2", "tee.branch", 60),
                        Systems.run("r3", "tee.out", "pump.in", 6),
                        Systems.run("r4", "pump.out", "carburettor.in", 20)),
                Optional.empty()));
    }

    private static double stranded(Project p, Point3 up) {
        Tank t = p.system().tanks().get(0);
        return TankBody.of(t).stranded(up, Feeds.of(p, t)).volume();
    }

    @Test
    void teedLowUnderAHeadTheLowestOutletCounts() {
        assertThat(Unit.GALLON.fromSi(stranded(teed(-20), UP))).isCloseTo(0, Offset.offset(1e-6));
    }

    @Test
    void drawnFromAboveTheHighestOutletCounts() {
        Project p = teed(40);
        assertThat(Unit.GALLON.fromSi(stranded(p, UP))).isCloseTo(20 * 10 * 3 / 231.0, Offset.offset(1e-6));
    }

    @Test
    void behindAHeaderEachOutletFallsFree() {
        Project p = teed(-20);
        Header header = new Header(
                new Tag("h", "H", Place.inches(6, 0, 0)),
                Measured.of(1, Unit.GALLON),
                Systems.in(8),
                Systems.in(6),
                List.of("in", "in-2"));
        FuelSystem s = p.system()
                .minus("r1", "r2", "tee", "r3")
                .plus(
                        header,
                        Systems.run("r1", "tank.outlet", "h.in", 20),
                        Systems.run("r2", "tank.o2", "h.in-2", 20),
                        Systems.run("r3", "h.out", "pump.in", 6));
        assertThat(Feeds.of(p.with(s), s.tanks().get(0))).isEqualTo(Feed.GRAVITY);
        assertThat(Feeds.of(
                        Systems.project(Systems.oneLine()),
                        Systems.oneLine().tanks().get(0)))
                .isEqualTo(Feed.GRAVITY);
    }

    /**
     * Just over the level found no air comes at takeoff demand, just under it air does or no outlet is left covered.
     */
    @Property(tries = 15)
    void tanksAndFlowAgree(
            @ForAll @DoubleRange(min = -20, max = 40) double teeAt,
            @ForAll @DoubleRange(min = -12, max = 12) double pitch) {
        Project p = teed(teeAt);
        Tank t = p.system().tanks().get(0);
        Attitude attitude = Attitude.ofDegrees("Any", pitch, 0);
        TankBody body = TankBody.of(t);
        double level = body.stranded(attitude.gravity().up(), Feeds.of(p, t)).level();
        double step = Unit.INCH.toSi(0.3);
        FlowBasis basis = new FlowBasis(p.system(), FuelGrade.AVGAS_100LL, FrictionLaw.CONSERVATIVE);
        FlowAnswer over = ask(p, basis, body, attitude, level + step);
        assertThat(over.airDrawn()).as("over the level").isEmpty();
        FlowAnswer under = ask(p, basis, body, attitude, level - step);
        assertThat(!under.airDrawn().isEmpty()
                        || !under.usable()
                        || under.levels().get("tank").uncovered().size() == 2)
                .as("under the level")
                .isTrue();
    }

    private static FlowAnswer ask(Project p, FlowBasis basis, TankBody body, Attitude attitude, double level) {
        Condition c = Systems.level(p.system(), 0)
                .with(attitude)
                .withContents("tank", body.volumeBelow(attitude.gravity().up(), level));
        return basis.ask(c, new FlowQuestion.Demand(p.brief().demand()));
    }
}
