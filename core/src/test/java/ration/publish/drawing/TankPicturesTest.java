package ration.publish.drawing;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import ration.Systems;
import ration.aircraft.condition.Attitude;
import ration.aircraft.model.Tank;
import ration.answer.assess.TankAnswer;
import ration.base.quantity.UnitSystem;
import ration.physics.tank.StrandedMap;
import ration.publish.drawing.Mark.Spot;

/** The pictures of the Tanks page: true to scale, in words too, and within their frame. */
class TankPicturesTest {

    private static final TankAnswer UPPER =
            Systems.assessedCorrie().tank("upper").orElseThrow();

    private static List<Spot> spots(Picture p) {
        return p.pieces().stream()
                .flatMap(x -> x.marks().stream())
                .filter(Mark.Path.class::isInstance)
                .flatMap(m -> ((Mark.Path) m).spots().stream())
                .toList();
    }

    @Test
    void sectionsKeepWithinTheirFrameInAnyAttitude() {
        for (int pitch = -60; pitch <= 60; pitch += 20) {
            for (TankSection.From from : TankSection.From.values()) {
                Picture p = TankSection.draw(UPPER, Attitude.ofDegrees("x", pitch, pitch / 2.0), from, 0.02, 300, 160);
                assertThat(spots(p)).isNotEmpty().allSatisfy(s -> {
                    assertThat(s.x()).isBetween(-1.0, 301.0);
                    assertThat(s.y()).isBetween(-1.0, 161.0);
                });
            }
        }
    }

    /** The surface is drawn level, and as high as the fuel stands. */
    @Test
    void moreFuelStandsHigher() {
        double low = surface(0.006);
        double high = surface(0.03);
        assertThat(high).isLessThan(low);
    }

    private static double surface(double volume) {
        Picture p = TankSection.draw(UPPER, Attitude.ofDegrees("x", 8, 0), TankSection.From.SIDE, volume, 300, 160);
        return p.pieces().stream()
                .flatMap(x -> x.marks().stream())
                .filter(m -> m instanceof Mark.Path path
                        && path.spots().size() == 2
                        && path.pen().ink() == Ink.FUEL)
                .map(m -> ((Mark.Path) m).spots())
                .peek(s -> assertThat(s.get(0).y()).isEqualTo(s.get(1).y()))
                .findFirst()
                .orElseThrow()
                .get(0)
                .y();
    }

    @Test
    void theMapNamesTheWorstAndTheOneLookedAt() {
        Picture p = StrandedPicture.draw(
                new StrandedPicture.Subject(
                        StrandedMap.of(UPPER.body(), UPPER.feed()),
                        UPPER,
                        Systems.corrie().brief().envelope().corners(),
                        Attitude.ofDegrees("Level", 0, 0),
                        UnitSystem.US),
                450,
                580,
                TextMeasure.approximate());
        assertThat(p.texts()).contains("climb", "glide", "slip", "nose up", "right wing low", "placard 1.30 gal");
        assertThat(p.pieces())
                .anyMatch(x -> x.words().startsWith("Maximum unusable 1.24 gal at Glide"))
                .anyMatch(x -> x.words().startsWith("Current attitude, Level: "));
    }

    @Test
    void aSpotOfTheMapIsItsAttitude() {
        double[] middle = StrandedPicture.under(44 + (450 - 44 - 14) / 2.0, 300, 450, 580);
        assertThat(middle[1]).isCloseTo(0, Offset.offset(1e-9));
        assertThat(StrandedPicture.under(-100, 9000, 450, 580)).containsExactly(-15, -15);
    }

    /** Round contours of a cone: every spot of the ring at height r lies r from its tip. */
    @Test
    void contoursOfAConeAreRound() {
        double[][] cone = new double[41][41];
        for (int i = 0; i < 41; i++) {
            for (int j = 0; j < 41; j++) {
                cone[i][j] = Math.hypot(i - 20, j - 20);
            }
        }
        assertThat(Contours.under(cone, 9.5)).hasSize(1).first().satisfies(ring -> assertThat(ring)
                .allSatisfy(s -> assertThat(Math.hypot(s.x() - 20, s.y() - 20)).isCloseTo(9.5, Offset.offset(0.05))));
        assertThat(Contours.under(cone, 0)).isEmpty();
        assertThat(Contours.under(cone, 100))
                .as("all under: the edge of the map")
                .hasSize(1);
    }

    @Test
    void theGaugeSaysWhereZeroBelongs() {
        Picture p = GaugePicture.draw(
                UPPER, Attitude.ofDegrees("Level", 0, 0), Attitude.ofDegrees("Parked", 12, 0), UnitSystem.US, 300, 260);
        assertThat(p.texts())
                .contains("unusable 1.32", "Level", "Parked 12\u00b0")
                .anyMatch(t -> t.startsWith("zero mark at 0.5"));
    }

    @Test
    void threeViewsShareOneScaleAndAnOpenShapeIsSaid() {
        Tank tank = UPPER.tank();
        Picture p = ShapeViews.draw(tank, null, UnitSystem.US, 700, 600);
        assertThat(p.texts()).contains("Side, nose left", "Front", "Top, nose left");
        Picture open = ShapeViews.draw(
                tank.withShape(new ration.aircraft.model.TankShape.Prism(List.of(), Systems.in(0), Systems.in(1))),
                null,
                UnitSystem.US,
                700,
                600);
        assertThat(open.texts()).containsExactly("Outline not closed yet.");
    }
}
