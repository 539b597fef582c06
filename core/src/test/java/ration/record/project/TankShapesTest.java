package ration.record.project;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.assertj.core.data.Offset;
import org.assertj.core.data.Percentage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import ration.Systems;
import ration.aircraft.model.FingerScreen;
import ration.aircraft.model.Fitout;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Place;
import ration.aircraft.model.Problem;
import ration.aircraft.model.Tank;
import ration.aircraft.model.TankShape;
import ration.aircraft.model.TankShape.Along;
import ration.aircraft.model.TankShape.Section;
import ration.aircraft.model.TankShape.SectionPoint;
import ration.aircraft.model.Validation;
import ration.base.quantity.Measured;
import ration.base.quantity.Quantity;
import ration.base.quantity.Unit;
import ration.record.file.ProjectFile;
import ration.record.file.ProjectFileException;

/** Shapes from a few measurements, from tables, and what is said when they do not close. */
class TankShapesTest {

    private static final double CUBIC_INCH = Math.pow(0.0254, 3);

    private static List<Measured> usual(ShapePattern p) {
        List<Measured> values = new ArrayList<>();
        p.measures().forEach(m -> values.add(Measured.of(m.usual(), m.unit(), "tape")));
        return values;
    }

    private static Tank tank() {
        return Systems.oneLine().tanks().get(0);
    }

    @ParameterizedTest
    @EnumSource(ShapePattern.class)
    void everyPatternClosesComesBackFromItsFileAndKeepsTheOutletOnItsFloor(ShapePattern pattern)
            throws ProjectFileException {
        Tank made = ShapePattern.reshaped(tank(), pattern.shape(usual(pattern)));
        assertThat(made.solid().volume()).isPositive();
        Place outlet = made.outlets().get(0).place();
        assertThat(made.shape()
                        .solid()
                        .floorAt(outlet.point().x(), outlet.point().y())
                        .orElseThrow())
                .isCloseTo(outlet.waterLine().si(), Offset.offset(0.002));
        Project project = Systems.project(Systems.oneLine().replace(made));
        Project back =
                ProjectFile.read(ProjectFile.text(project).getBytes(java.nio.charset.StandardCharsets.UTF_8), "x");
        assertThat(back).isEqualTo(project);
    }

    /**
     * Sloped floor: a trapezoid section that grows downwards; 18 x 13..11 wide; mean depth times mean width is near.
     */
    @Test
    void aSlopedFloorHoldsWhatItsMeasuresSay() {
        TankShape hull = ShapePattern.SLOPED_FLOOR.shape(usual(ShapePattern.SLOPED_FLOOR));
        double mean = 18 * (15 + 18.5) / 2 * 12;
        assertThat(hull.solid().volume() / CUBIC_INCH).isCloseTo(mean, Percentage.withPercentage(0.5));
    }

    @Test
    void aLyingDrumHoldsPiRSquaredL() {
        TankShape drum = ShapePattern.DRUM_ACROSS.shape(usual(ShapePattern.DRUM_ACROSS));
        assertThat(drum.solid().volume() / CUBIC_INCH).isCloseTo(Math.PI * 49 * 30, Percentage.withPercentage(1e-9));
    }

    @Test
    void aWingBayThatGoesBackwardsIsRefused() {
        List<Measured> values = usual(ShapePattern.WING_BAY);
        values.set(1, Measured.of(10, Unit.INCH));
        assertThatThrownBy(() -> ShapePattern.WING_BAY.shape(values)).hasMessageContaining("outer rib");
    }

    // sections

    private static SectionPoint p(double across, double wl) {
        return new SectionPoint(Measured.of(across, Unit.INCH), Measured.of(wl, Unit.INCH));
    }

    private static Section box(double at) {
        return new Section(Measured.of(at, Unit.INCH), List.of(p(0, 0), p(10, 0), p(10, 5), p(0, 5)));
    }

    @Test
    void aBadSectionIsNamed() {
        Section crossed = new Section(Measured.of(24, Unit.INCH), List.of(p(0, 0), p(10, 5), p(10, 0), p(0, 5)));
        assertThatThrownBy(() -> new TankShape.Sections(Along.BUTT_LINE, List.of(box(0), crossed)).solid())
                .hasMessageContaining("Section 2 at 24 in")
                .hasMessageContaining("crosses itself near 5.0");
        assertThatThrownBy(() -> new TankShape.Sections(Along.BUTT_LINE, List.of(box(10), box(10))).solid())
                .hasMessageContaining("Section 2 at 10 in")
                .hasMessageContaining("in order");
        assertThatThrownBy(() -> new TankShape.Sections(
                                Along.BUTT_LINE,
                                List.of(box(0), new Section(Measured.of(5, Unit.INCH), List.of(p(0, 0), p(1, 1)))))
                        .solid())
                .hasMessageContaining("has 2 points");
        assertThatThrownBy(() -> new TankShape.Sections(
                                Along.BUTT_LINE,
                                List.of(
                                        box(0),
                                        new Section(Measured.of(5, Unit.INCH), List.of(p(0, 0), p(1, 1), p(2, 2)))))
                        .solid())
                .hasMessageContaining("Section 2");
    }

    @Test
    void theLayoutSaysWhichSectionIsBad() {
        Section crossed = new Section(Measured.of(24, Unit.INCH), List.of(p(0, 0), p(10, 5), p(10, 0), p(0, 5)));
        FuelSystem s = Systems.oneLine()
                .replace(tank().withShape(new TankShape.Sections(Along.BUTT_LINE, List.of(box(0), crossed))));
        assertThat(Validation.of(s)).anySatisfy(x -> {
            assertThat(x.blocks()).isTrue();
            assertThat(x.message()).contains("Section 2 at 24 in");
        });
    }

    @Test
    void aTableBecomesSections() {
        TankShape.Sections shape = SectionTable.parse(
                """
                BL\tstation\tWL
                20\t0\t0
                20\t10\t0
                20\t10\t5
                20\t0\t5
                0\t0\t0
                0\t10\t0
                0\t10\t5
                0\t0\t5
                """,
                Along.BUTT_LINE);
        assertThat(shape.sections()).extracting(s -> s.at().quantity().value()).containsExactly(0.0, 20.0);
        assertThat(shape.solid().volume() / CUBIC_INCH).isCloseTo(1000, Percentage.withPercentage(1e-9));
        assertThat(SectionTable.parse("0;0;0\n0;10,5;0\n0;10,5;5\n20;0;0\n20;10,5;0\n20;10,5;5", Along.STATION)
                        .sections())
                .as("decimal commas between semicolons")
                .hasSize(2);
        assertThatThrownBy(() -> SectionTable.parse("0,0\n1,1", Along.STATION))
                .hasMessageContaining("Row 1")
                .hasMessageContaining("three");
        assertThatThrownBy(() -> SectionTable.parse("0,0,x", Along.STATION)).hasMessageContaining("Row 1");
    }

    @Test
    void pointsAndSectionsComeAndGo() {
        TankShape.Sections shape = SectionTable.of(
                new TankShape.Box(Place.inches(0, 0, 0), Systems.in(10), Systems.in(20), Systems.in(5)));
        double volume = shape.solid().volume();
        List<SectionTable.Row> rows = SectionTable.rows(shape);
        assertThat(rows).hasSize(8);
        TankShape.Sections more = SectionTable.withPointAfter(shape, rows.get(0));
        assertThat(SectionTable.rows(more)).hasSize(9);
        assertThat(more.solid().volume()).isCloseTo(volume, Percentage.withPercentage(1e-9));
        assertThat(SectionTable.without(more, SectionTable.rows(more).get(1))).isEqualTo(shape);
        TankShape.Sections three = SectionTable.withSectionAfter(shape, 0);
        assertThat(three.sections()).hasSize(3);
        assertThat(three.solid().volume()).isCloseTo(volume, Percentage.withPercentage(1e-9));
        TankShape.Sections deeper = SectionTable.with(shape, rows.get(0), 2, Quantity.of(-1, Unit.INCH));
        assertThat(deeper.solid().volume()).isGreaterThan(volume);
    }

    // fit-out

    @Test
    void everythingBuiltInComesBackFromTheFile() throws ProjectFileException {
        Fitout all = new Fitout(
                List.of(new Fitout.Well(Place.inches(10, 0, 23), Systems.in(4), Systems.in(4))),
                List.of(new Fitout.Rib(
                        Systems.in(2),
                        List.of(new Fitout.Opening(Systems.in(3), Systems.in(24.5), Fitout.Passes.TO_THE_LEFT)))),
                Optional.of(Place.inches(5, 0, 33)),
                Optional.of(Place.inches(6, 0, 24)),
                Optional.of(Measured.of(0.4, Unit.GALLON, "maker")),
                Optional.of(new ration.aircraft.model.VentLine(
                        Systems.in(0.3),
                        Systems.in(40),
                        Measured.of(-0.1, Unit.ONE, "estimate"),
                        true,
                        List.of(Place.inches(10, 0, 34)))),
                Set.of(Fitout.Piece.values()));
        Tank t = tank().with(all);
        t = t.withOutlets(List.of(t.outlets()
                .get(0)
                .withFinger(Optional.of(new FingerScreen(
                        Measured.of(12, Unit.ONE), Systems.in(0.018), Systems.in(0.5), Systems.in(1.5))))));
        Project project = Systems.project(Systems.oneLine().replace(t))
                .withTests(Systems.corrie().tests());
        Project back =
                ProjectFile.read(ProjectFile.text(project).getBytes(java.nio.charset.StandardCharsets.UTF_8), "x");
        assertThat(back).isEqualTo(project);
    }

    /**
     * 16 mesh of 0.018 wire: open 0.5069; 0.50 in wide and 0.459 long gives five times a 0.305 line (handbook,
     * calculated).
     */
    @Test
    void aFingerScreensClearArea() {
        FingerScreen f =
                new FingerScreen(Measured.of(16, Unit.ONE), Systems.in(0.018), Systems.in(0.5), Systems.in(0.459));
        assertThat(f.clearArea() / 0.0254 / 0.0254).isCloseTo(0.3653, Offset.offset(0.0005));
    }

    @Test
    void whatCannotBeBuiltIsSaid() {
        Fitout.Well stray = new Fitout.Well(Place.inches(500, 0, 20), Systems.in(4), Systems.in(4));
        Fitout.Rib a = new Fitout.Rib(Systems.in(2), List.of());
        Fitout.Rib b = new Fitout.Rib(Systems.in(1), List.of());
        assertThat(problems(Fitout.NONE.withWells(List.of(stray))))
                .anyMatch(m -> m.contains("does not hang under the tank"));
        assertThat(problems(Fitout.NONE.withRibs(List.of(a, b)))).anyMatch(m -> m.contains("Rib 2"));
        assertThat(problems(Fitout.NONE.withRibs(List.of(new Fitout.Rib(Systems.in(-60), List.of())))))
                .anyMatch(m -> m.contains("Rib 1 at \u221260 in does not cross the tank, which reaches from butt line"
                        + " \u22125 in to 5 in"));
        Fitout.Well well = new Fitout.Well(Place.inches(10, 0, 23), Systems.in(4), Systems.in(4));
        assertThat(problems(Fitout.NONE.withWells(List.of(well, well))))
                .anyMatch(m -> m.contains("lie in one another"));
    }

    private static List<String> problems(Fitout fitout) {
        return Validation.of(Systems.oneLine().replace(tank().with(fitout))).stream()
                .filter(Problem::blocks)
                .map(Problem::message)
                .toList();
    }

    /** Whatever the card offers for a tank can be taken and assessed. */
    @Test
    void everyOfferOfATankCanBeTaken() {
        for (ItemEdits.Offer offer : ItemEdits.of(Systems.corrie().system(), "upper")) {
            Project taken = Systems.corrie().with(offer.on(Systems.corrie().system()));
            assertThat(ration.answer.assess.Assessment.of(taken).findings())
                    .as(offer.label())
                    .isNotEmpty();
            assertThat(ItemFigures.of(taken.system().item("upper").orElseThrow(), taken.system()))
                    .as(offer.label())
                    .isNotEmpty();
        }
    }

    @Test
    void everyFigureOfATankCanBeSet() {
        FuelSystem s = Systems.corrie().system();
        for (ItemFigures.Figure f : ItemFigures.of(s.item("upper").orElseThrow(), s)) {
            Measured other = f.value()
                    .with(Quantity.of(
                            f.value().quantity().value() + 0.125,
                            f.value().quantity().unit()));
            FuelSystem changed = f.set().apply(other).apply(s);
            assertThat(ItemFigures.of(changed.item("upper").orElseThrow(), changed).stream()
                            .filter(x -> x.label().equals(f.label()))
                            .findFirst()
                            .orElseThrow()
                            .value())
                    .as(f.label())
                    .isEqualTo(other);
        }
    }
}
