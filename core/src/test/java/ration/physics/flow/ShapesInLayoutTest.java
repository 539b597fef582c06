package ration.physics.flow;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Set;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import ration.Systems;
import ration.aircraft.condition.Attitude;
import ration.aircraft.condition.Condition;
import ration.aircraft.model.EngineInlet;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Item;
import ration.aircraft.model.Outlet;
import ration.aircraft.model.Place;
import ration.aircraft.model.PortRef;
import ration.aircraft.model.Tag;
import ration.aircraft.model.Tank;
import ration.base.fluid.FuelGrade;
import ration.base.geometry.Point3;
import ration.base.quantity.Measured;
import ration.base.quantity.Unit;
import ration.record.project.ShapePattern;
import ration.solver.network.FrictionLaw;

/**
 * Tanks of every shape in a layout: what presses on the engine inlet is the fuel that stands over it. A shape that is
 * the same seen from its middle both ways is half full up to its middle in every attitude, which needs no integral.
 */
class ShapesInLayoutTest {

    private static final PortRef INLET = new PortRef("carburettor", Item.IN);

    private static FuelSystem system(ShapePattern pattern) {
        FuelSystem s = Systems.oneLine();
        Tank tank = ShapePattern.reshaped(
                s.tanks().get(0),
                pattern.shape(pattern.measures().stream()
                        .map(m -> Measured.of(m.usual(), m.unit(), "tape"))
                        .toList()));
        Place at = Place.inches(50, 0, 20);
        return s.replace(tank)
                .replace(new EngineInlet(
                        new Tag("carburettor", "Carburetor", at), Systems.in(0.3), Measured.of(0.05, Unit.PSI)));
    }

    private static Condition condition(FuelSystem s, double pitch, double bank, double share) {
        Tank tank = s.tanks().get(0);
        return new Condition(
                Attitude.ofDegrees("x", pitch, bank),
                Map.of(tank.id(), share * tank.solid().volume()),
                Map.of(),
                Set.of(),
                Set.of(),
                288.15);
    }

    /** Pressure at the inlet while nothing flows, as height of fuel, m. */
    private static double standing(FuelSystem s, Condition c) {
        FlowAnswer still =
                new FlowBasis(s, FuelGrade.AVGAS_100LL, FrictionLaw.CONSERVATIVE).ask(c, new FlowQuestion.Demand(0));
        assertThat(still.usable()).isTrue();
        return still.pressure(INLET).orElseThrow() / still.weight();
    }

    @Property(tries = 20)
    void halfFullStandsAtTheMiddle(
            @ForAll @DoubleRange(min = -15, max = 20) double pitch,
            @ForAll @DoubleRange(min = -10, max = 10) double bank) {
        Map<ShapePattern, Point3> middles = Map.of(
                ShapePattern.BOX,
                Place.inches(50, 0, 64).point(),
                ShapePattern.DRUM_ACROSS,
                Place.inches(50, 0, 70).point(),
                ShapePattern.DRUM_ALONG,
                Place.inches(58, 0, 66).point(),
                ShapePattern.DRUM_UPRIGHT,
                Place.inches(52, 0, 67).point());
        middles.forEach((pattern, middle) -> {
            FuelSystem s = system(pattern);
            Condition c = condition(s, pitch, bank, 0.5);
            Point3 up = c.attitude().gravity().up();
            double over =
                    up.dot(middle) - up.dot(s.inlet().orElseThrow().place().point());
            assertThat(standing(s, c)).as(pattern.label()).isCloseTo(over, Offset.offset(2e-6));
        });
    }

    /** More fuel presses more, whatever holds it. */
    @Property(tries = 10)
    void moreFuelPressesMore(
            @ForAll @DoubleRange(min = -12, max = 15) double pitch,
            @ForAll @DoubleRange(min = 0.3, max = 0.8) double share) {
        for (ShapePattern pattern : ShapePattern.values()) {
            FuelSystem s = system(pattern);
            assertThat(standing(s, condition(s, pitch, 0, share + 0.1)))
                    .as(pattern.label())
                    .isGreaterThan(standing(s, condition(s, pitch, 0, share)));
        }
    }

    /**
     * A drum lying across is filled to a quarter of its height by 19.55 % of it: circular segment, (acos(1/2) -
     * sqrt(3)/4)/pi.
     */
    @Test
    void aLyingDrumFollowsTheCircularSegment() {
        FuelSystem s = system(ShapePattern.DRUM_ACROSS);
        double share = (Math.acos(0.5) - Math.sqrt(3) / 4) / Math.PI;
        assertThat(share).isCloseTo(0.1955, Offset.offset(5e-5));
        double over = 0.0254 * (70 - 7 + 14 * 0.25 - 20);
        assertThat(standing(s, condition(s, 0, 0, share))).isCloseTo(over, Offset.offset(2e-6));
    }

    /** An outlet two inches over the floor is dry while the fuel is a film, and covered once a third is in. */
    @Test
    void outletsAreCoveredByTheShapeAndNotByItsFrame() {
        for (ShapePattern pattern : List.of(ShapePattern.DRUM_ACROSS, ShapePattern.DRUM_ALONG, ShapePattern.WING_BAY)) {
            FuelSystem s = system(pattern);
            FlowBasis basis = new FlowBasis(s, FuelGrade.AVGAS_100LL, FrictionLaw.CONSERVATIVE);
            Condition nearlyEmpty = condition(s, 0, 0, 1e-4);
            Condition some = condition(s, 0, 0, 0.3);
            assertThat(basis.levels(some).get("tank").uncovered())
                    .as(pattern.label())
                    .isEmpty();
            Tank tank = s.tanks().get(0);
            Outlet raised =
                    tank.outlets().get(0).at(tank.outlets().get(0).place().raised(0.05));
            FuelSystem high = s.replace(tank.withOutlets(List.of(raised)));
            assertThat(new FlowBasis(high, FuelGrade.AVGAS_100LL, FrictionLaw.CONSERVATIVE)
                            .levels(nearlyEmpty)
                            .get("tank")
                            .uncovered())
                    .as(pattern.label())
                    .containsExactly("outlet");
        }
    }
}
