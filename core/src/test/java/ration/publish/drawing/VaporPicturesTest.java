package ration.publish.drawing;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import ration.Systems;
import ration.aircraft.condition.Power;
import ration.aircraft.heat.HeatFigure;
import ration.answer.assess.Assessment;
import ration.answer.assess.VaporAnswer;
import ration.base.fluid.Volatility;
import ration.base.quantity.Measured;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;
import ration.physics.vapor.Air;
import ration.physics.vapor.PathHeat;
import ration.physics.vapor.SoakPath;
import ration.publish.drawing.Mark.Spot;
import ration.record.file.ProjectFile;
import ration.record.file.ProjectFileException;
import ration.record.project.Pattern;
import ration.record.project.Project;

/**
 * The pictures of the Vapor and the Vents and drains page: on their sheet, in words too, and they show what was
 * computed.
 */
class VaporPicturesTest {

    private static final TextMeasure MEASURE = TextMeasure.approximate();

    private static Project brindle() {
        try {
            return ProjectFile.demo("brindle-a2");
        } catch (ProjectFileException e) {
            throw new IllegalStateException(e);
        }
    }

    private static List<Spot> spots(Picture p) {
        return p.pieces().stream()
                .flatMap(x -> x.marks().stream())
                .filter(Mark.Path.class::isInstance)
                .flatMap(m -> ((Mark.Path) m).spots().stream())
                .toList();
    }

    private static void staysOnItsSheet(Picture p) {
        assertThat(spots(p)).allSatisfy(s -> {
            assertThat(s.x()).isBetween(-1.0, p.width() + 1);
            assertThat(s.y()).isBetween(-1.0, p.height() + 1);
        });
    }

    private static Picture path(Project p, Air air) {
        VaporAnswer v = Assessment.of(p).vapor().orElseThrow();
        return VaporPath.draw(
                new VaporPath.Subject(p, VaporAnswer.path(p, v.look(), air), Optional.empty(), air, UnitSystem.US),
                690,
                330,
                MEASURE);
    }

    private static Picture map(Project p, Air air) {
        VaporAnswer v = Assessment.of(p).vapor().orElseThrow();
        return AltitudeMap.draw(
                p, VaporAnswer.path(p, v.look(), air), air, ration.base.quantity.UnitSystem.US, 470, 330, MEASURE);
    }

    @ParameterizedTest
    @EnumSource
    void everyPatternsPicturesStayOnTheirSheet(Pattern pattern) {
        Project p = pattern.project();
        Air air = Assessment.of(p).vapor().orElseThrow().air();
        staysOnItsSheet(path(p, air));
        staysOnItsSheet(map(p, air));
    }

    @Test
    void thePathNamesWhereItIsNearestToBoilingAndHowNear() {
        Project p = brindle();
        VaporAnswer v = Assessment.of(p).vapor().orElseThrow();
        Picture picture = path(p, v.air());
        String figure = ration.base.quantity.UnitSystem.US.difference(v.degrees());
        assertThat(picture.pieces())
                .anyMatch(x -> x.words().contains(figure) && x.words().contains("lift pump inlet"));
        assertThat(picture.texts()).anyMatch(t -> t.contains(figure));
    }

    /** An empty path is said, not drawn. */
    @Test
    void nothingFlowingIsSaid() {
        Picture p = VaporPath.draw(
                new VaporPath.Subject(
                        brindle(), new PathHeat(List.of()), Optional.empty(), new Air(0, 300), UnitSystem.US),
                690,
                330,
                MEASURE);
        assertThat(p.texts()).containsExactly("Nothing flows in this case: there is no path to follow.");
    }

    @Test
    void theMapsLinesAreTheTemperaturesAtWhichItemsBoil() {
        Project p = brindle();
        VaporAnswer v = Assessment.of(p).vapor().orElseThrow();
        Picture picture = map(p, v.air());
        double limit = Unit.CELSIUS.fromSi(v.air().fuelKelvin()) + v.degrees();
        assertThat(picture.pieces())
                .anyMatch(x -> x.item().equals("lift")
                        && x.words()
                                .contains(
                                        "boils at " + UnitSystem.US.warmth(Unit.CELSIUS.toSi(limit)) + " in the tank"));
        assertThat(picture.texts()).contains("this case", ration.base.quantity.UnitSystem.US.difference(v.degrees()));
        assertThat(picture.texts()).anyMatch(t -> t.startsWith("stay left of this"));
    }

    /** Higher up it boils cooler: every limit line leans to the left as it rises. */
    @ParameterizedTest
    @EnumSource
    void limitsFallWithHeight(Pattern pattern) {
        Project p = pattern.project();
        Picture picture = map(p, Assessment.of(p).vapor().orElseThrow().air());
        List<Picture.Piece> lines = picture.pieces().stream()
                .filter(x -> x.kind() == Picture.Kind.RUN)
                .toList();
        assertThat(lines).isNotEmpty().allSatisfy(l -> {
            List<Spot> way = ((Mark.Path) l.marks().get(0)).spots();
            for (int i = 1; i < way.size(); i++) {
                assertThat(way.get(i).y()).isLessThan(way.get(i - 1).y());
                assertThat(way.get(i).x()).isLessThanOrEqualTo(way.get(i - 1).x() + 1e-9);
            }
        });
    }

    // soak

    private static List<SoakPath> soak(Project p) {
        VaporAnswer v = Assessment.of(p).vapor().orElseThrow();
        return SoakPath.of(
                p.system(),
                VaporAnswer.path(p, v.look(), new Air(0, v.air().fuelKelvin())),
                p.heat(),
                Power.TAKE_OFF,
                0);
    }

    @Test
    void theSoakSaysWhetherARestartIsAtRisk() {
        Project p = Systems.corrie();
        Project hot = p.with(p.heat().with(Volatility.MOGAS_E));
        assertThat(SoakPicture.draw(soak(hot), List.of(), List.of(), UnitSystem.METRIC, 400, 300)
                        .texts())
                .anyMatch(t -> t.startsWith("restart at risk,"));
        Project cool = p.with(p.heat()
                .with(HeatFigure.BAY_SOAK_OVER, Measured.of(0, Unit.CELSIUS))
                .with(HeatFigure.BAY_CLIMB_OVER, Measured.of(0, Unit.CELSIUS))
                .with(HeatFigure.HOT_DAY, Measured.of(60, Unit.FAHRENHEIT)));
        assertThat(SoakPicture.draw(soak(cool), List.of(), List.of(), UnitSystem.METRIC, 400, 300)
                        .texts())
                .contains("no boiling predicted during soak");
        assertThat(SoakPicture.draw(List.of(), List.of(), List.of(), UnitSystem.METRIC, 400, 300)
                        .texts())
                .containsExactly("No item on the path is in the engine bay.");
    }

    /** What was logged lies on the line where it agrees with it, and an earlier run is marked otherwise. */
    @Test
    void loggedReadingsLieWhereTheyWereRead() {
        List<SoakPath> all = soak(Systems.corrie());
        SoakPath part = all.stream().filter(s -> !s.line()).findFirst().orElseThrow();
        double[] minutes = {0, 5, 10, 20, 30};
        double[] kelvin = java.util.Arrays.stream(minutes)
                .map(m -> part.soak().at(60 * m))
                .toArray();
        SoakPicture.Logged log = new SoakPicture.Logged(part.item(), minutes, kelvin);
        Picture p = SoakPicture.draw(all, List.of(log), List.of(log), UnitSystem.METRIC, 400, 300);
        assertThat(p.texts()).contains("predicted", "logged", "earlier");
        List<Spot> line = ((Mark.Path) p.pieces().stream()
                        .filter(x -> x.kind() == Picture.Kind.RUN && x.item().equals(part.item()))
                        .findFirst()
                        .orElseThrow()
                        .marks()
                        .get(0))
                .spots();
        List<Spot> dots = p.pieces().stream()
                .filter(x -> x.words().equals("logged"))
                .flatMap(x -> x.marks().stream())
                .map(m -> ((Mark.Disc) m).centre())
                .toList();
        assertThat(dots).hasSize(minutes.length);
        for (int i = 0; i < minutes.length; i++) {
            Spot on = line.get((int) (minutes[i] * 2));
            assertThat(dots.get(i).x()).isCloseTo(on.x(), Offset.offset(1e-9));
            assertThat(dots.get(i).y()).isCloseTo(on.y(), Offset.offset(1e-9));
        }
        assertThat(p.pieces()).anyMatch(x -> x.words().equals("an earlier run"));
        staysOnItsSheet(p);
    }
}
