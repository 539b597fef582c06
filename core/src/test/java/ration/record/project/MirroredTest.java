package ration.record.project;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.Stream;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import ration.Systems;
import ration.aircraft.condition.Attitude;
import ration.aircraft.model.FieldSheet;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Item;
import ration.aircraft.model.Tank;
import ration.aircraft.model.TankShape;
import ration.base.geometry.Point3;
import ration.base.quantity.Method;
import ration.physics.tank.Feed;
import ration.physics.tank.TankBody;
import ration.record.file.ProjectFile;

/** A part copied to the other side is its mirror image, and nobody has measured it. */
class MirroredTest {

    static Stream<Tank> tanks() {
        return Stream.concat(ProjectFile.demos().stream(), ProjectFile.systems().stream())
                .flatMap(d -> Systems.demo(d).system().tanks().stream());
    }

    private static Tank copy(Tank tank) {
        FuelSystem system = new FuelSystem(List.of(tank, Systems.inlet()), java.util.Optional.empty());
        return Mirrored.added(system, tank.id()).tanks().get(1);
    }

    @ParameterizedTest
    @MethodSource("tanks")
    void aTankHoldsTheSameAndStrandsTheSameAtTheOtherTilt(Tank tank) {
        Tank other = copy(tank);
        // a warped wall is split along one of its diagonals, and along the other in the mirror
        double close = 1e-6 * tank.solid().volume();
        assertThat(other.solid().volume()).isCloseTo(tank.solid().volume(), Offset.offset(close));
        for (double tilt : new double[] {-8, 0, 5}) {
            Point3 here = Attitude.ofDegrees("", 7, tilt).gravity().up();
            Point3 there = Attitude.ofDegrees("", 7, -tilt).gravity().up();
            assertThat(TankBody.of(other).stranded(there, Feed.GRAVITY).volume())
                    .isCloseTo(TankBody.of(tank).stranded(here, Feed.GRAVITY).volume(), Offset.offset(close));
        }
        assertThat(other.id()).isNotEqualTo(tank.id());
        assertThat(other.name()).isNotEqualTo(tank.name());
    }

    @ParameterizedTest
    @MethodSource("tanks")
    void twiceIsWhereItWas(Tank tank) {
        Tank back = copy(copy(tank));
        assertThat(back.outlets()).hasSameSizeAs(tank.outlets());
        for (int i = 0; i < tank.outlets().size(); i++) {
            assertThat(back.outlets().get(i).place().point().y())
                    .isCloseTo(tank.outlets().get(i).place().point().y(), Offset.offset(1e-12));
        }
        assertThat(back.solid().volume()).isCloseTo(tank.solid().volume(), Offset.offset(1e-9));
    }

    @ParameterizedTest
    @MethodSource("tanks")
    void everyFigureOfTheCopyIsAnEstimate(Tank tank) {
        Item other = copy(tank);
        assertThat(FieldSheet.of(other))
                .allSatisfy(f -> assertThat(Method.of(f.get().apply(other)).guessed())
                        .as(f.key())
                        .isTrue());
    }

    @Test
    void shapesOfEveryKindTurnOver() {
        TankShape drum = new TankShape.Cylinder(
                ration.aircraft.model.Place.inches(10, 5, 20),
                TankShape.Along.BUTT_LINE,
                Systems.in(30),
                Systems.in(12));
        Tank t = Systems.tank("t", 0, 12, 20).withShape(drum);
        Tank other = copy(t);
        assertThat(other.shape().solid().faces().stream()
                        .flatMap(List::stream)
                        .mapToDouble(Point3::y)
                        .min()
                        .orElseThrow())
                .isCloseTo(-0.0254 * 35, Offset.offset(1e-9));
        assertThat(Mirrored.otherSide("Left tank")).isEqualTo("Right tank");
        assertThat(Mirrored.otherSide("Right vent of the right tank")).isEqualTo("Left vent of the left tank");
        assertThat(Mirrored.otherSide("Upper tank")).isEqualTo("Upper tank");
    }

    @Test
    void onlyWhatLiesOffTheCenterlineHasAnotherSide() {
        FuelSystem s = Systems.demo("tansy-l3").system();
        assertThat(ItemEdits.of(s, "left").stream().map(ItemEdits.Offer::label)).contains("Copy to the other side");
        assertThat(ItemEdits.of(s, s.inlet().orElseThrow().id()).stream().map(ItemEdits.Offer::label))
                .doesNotContain("Copy to the other side");
    }
}
