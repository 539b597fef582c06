package ration.aircraft.model;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import org.assertj.core.data.Percentage;
import org.junit.jupiter.api.Test;
import ration.Systems;
import ration.base.quantity.Measured;
import ration.base.quantity.Unit;

/** A sump well adds what lies under the tank's floor, and nothing twice. */
class WellTest {

    private static final double IN3 = Math.pow(0.0254, 3);

    private static Tank tank(TankShape shape, Fitout.Well well) {
        return new Tank("t", "T", shape, List.of(), Optional.empty(), Optional.empty(), Measured.of(0.1, Unit.GALLON))
                .with(Fitout.NONE.withWells(List.of(well)));
    }

    /** A floor creased like a V, 1 in deep over 10 in: the well's lid follows it, counted in closed form. */
    @Test
    void underACreasedFloorNothingIsCountedTwice() {
        TankShape.Prism vee = new TankShape.Prism(
                List.of(corner(0, 1), corner(10, 0), corner(20, 1), corner(20, 8), corner(0, 8)),
                Systems.in(-5),
                Systems.in(5));
        Tank t = tank(vee, new Fitout.Well(Place.inches(10, 0, -1), Systems.in(4), Systems.in(4)));
        double shell = vee.solid().volume();
        // from -1 in up to the floor, which rises 0.1 in an inch either way: 1 in deep and 0.1 in more on the average
        double well = 4 * 4 * (1 + 0.1) * IN3;
        assertThat(t.solid().volume() - shell).isCloseTo(well, Percentage.withPercentage(1e-6));
    }

    private static TankShape.Corner corner(double station, double waterLine) {
        return new TankShape.Corner(Systems.in(station), Systems.in(waterLine));
    }

    /** Under a drum of 5 in radius: the box less the segment of the drum that lies in it, in closed form. */
    @Test
    void underADrumTheOverlapIsNotCounted() {
        double r = 5;
        TankShape drum = new TankShape.Cylinder(
                Place.inches(0, 0, 5), TankShape.Along.STATION, Systems.in(20), Systems.in(2 * r));
        double half = 2;
        double low = -1;
        double under = 2 * half * (r - low) - (half * Math.sqrt(r * r - half * half) + r * r * Math.asin(half / r));
        Tank t = tank(drum, new Fitout.Well(Place.inches(10, 0, low), Systems.in(4), Systems.in(2 * half)));
        assertThat((t.solid().volume() - drum.solid().volume()) / IN3)
                .isCloseTo(4 * under, Percentage.withPercentage(1));
    }
}
