package ration.publish.drawing;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import ration.aircraft.condition.Attitude;
import ration.aircraft.model.Fitted;
import ration.aircraft.model.Item;
import ration.aircraft.model.Run;
import ration.aircraft.model.Tank;
import ration.answer.assess.Assessment;
import ration.answer.assess.CaseAnswer;
import ration.answer.assess.StartingCase;
import ration.base.quantity.UnitSystem;
import ration.publish.drawing.Mark.Notch;
import ration.publish.drawing.Picture.Kind;
import ration.record.project.Pattern;
import ration.record.project.Project;
import ration.verdict.check.Verdict;

class SymbolsTest {

    private static Picture draw(Project p, CaseAnswer look) {
        return Schematic.draw(
                new SchematicSubject(
                        p.system(),
                        p.brief().envelope().attitudes(),
                        look.condition(),
                        java.util.Optional.of(look),
                        "",
                        UnitSystem.US),
                new SchematicView(814, 612, 1, 0, 0, SchematicView.Layers.ALL),
                TextMeasure.approximate());
    }

    /** Builders tell parts apart by their drawing: no two kinds look alike. */
    @Test
    void noTwoKindsLookAlike() {
        Map<String, List<Mark>> byKind = new TreeMap<>();
        for (Pattern pattern : Pattern.values()) {
            for (Item item : pattern.project().system().items()) {
                if (item instanceof Fitted) {
                    byKind.putIfAbsent(
                            item.kind(), Schematic.icon(item).pieces().get(0).marks());
                }
            }
        }
        assertThat(byKind).hasSizeGreaterThan(14);
        Set<List<Mark>> distinct = new HashSet<>(byKind.values());
        assertThat(distinct).hasSameSizeAs(byKind.entrySet());
    }

    /** In every attitude every item and every run of every layout is drawn, once, within the sheet. */
    @ParameterizedTest
    @EnumSource
    void everyItemIsDrawnInEveryAttitude(Pattern pattern) {
        Project p = pattern.project();
        Assessment a = Assessment.of(p);
        for (Attitude attitude : p.brief().envelope().attitudes()) {
            Picture picture = draw(p, a.look(StartingCase.of(p).with(attitude)).orElseThrow());
            for (Item item : p.system().items()) {
                Kind kind = item instanceof Run ? Kind.RUN : item instanceof Tank ? Kind.TANK : Kind.SYMBOL;
                assertThat(picture.pieces().stream().filter(x -> x.item().equals(item.id()) && x.kind() == kind))
                        .as(item.name() + " in " + attitude.name())
                        .isNotEmpty();
            }
        }
    }

    /** Two tanks stand side by side: neither lies over the other. */
    @ParameterizedTest
    @EnumSource(names = {"BOOST_AND_ENGINE_PUMP", "TWO_PUMPS_PARALLEL", "GRAVITY_SELECTOR", "HEADER_TWO_PUMPS"})
    void tanksStandSideBySide(Pattern pattern) {
        Project p = pattern.project();
        Picture picture = draw(p, Assessment.of(p).look(StartingCase.of(p)).orElseThrow());
        double[][] spans = p.system().tanks().stream()
                .map(t -> picture.pieces().stream()
                        .filter(x -> x.kind() == Kind.TANK && x.item().equals(t.id()))
                        .flatMap(x -> x.marks().stream())
                        .filter(Mark.Path.class::isInstance)
                        .map(Mark.Path.class::cast)
                        .filter(Mark.Path::closed)
                        .flatMap(m -> m.spots().stream())
                        .mapToDouble(Mark.Spot::x)
                        .summaryStatistics())
                .map(s -> new double[] {s.getMin(), s.getMax()})
                .toArray(double[][]::new);
        assertThat(spans.length).isGreaterThanOrEqualTo(2);
        for (int i = 0; i < spans.length; i++) {
            for (int k = i + 1; k < spans.length; k++) {
                assertThat(spans[i][1] <= spans[k][0] + 1 || spans[k][1] <= spans[i][0] + 1)
                        .as(spans[i][0] + ".." + spans[i][1] + " and " + spans[k][0] + ".." + spans[k][1])
                        .isTrue();
            }
        }
    }

    /** A line that only stands is never plum: below ambient is said of flowing fuel. */
    @Test
    void standingLinesAreNotPlum() {
        Project p = Pattern.HULL_AND_PYLON.project();
        CaseAnswer look = Assessment.of(p).look(StartingCase.of(p)).orElseThrow();
        for (Picture.Piece piece : draw(p, look).pieces()) {
            if (piece.kind() == Kind.RUN && piece.words().contains("no flow")) {
                assertThat(piece.words()).doesNotContain("below ambient");
            }
        }
    }

    // the notch bar on paper

    @ParameterizedTest
    @CsvSource({"HOLDS, 1.4", "THIN, 1.02", "FAILS, 0.9", "FAILS, 0", "NOT_SHOWN, 0"})
    void theNotchStandsAtTwoThirdsAndShortStaysBeforeIt(Verdict verdict, double ratio) {
        List<Mark> marks = NotchMarks.of(new Notch(10, 20, 90, 10, ratio, verdict));
        List<Mark.Path> triangles = marks.stream()
                .filter(Mark.Path.class::isInstance)
                .map(Mark.Path.class::cast)
                .filter(m -> m.closed() && m.spots().size() == 3)
                .toList();
        assertThat(triangles)
                .singleElement()
                .satisfies(t -> assertThat(t.spots().get(2).x()).isEqualTo(70));
        boolean hatched = marks.stream()
                .anyMatch(m -> m instanceof Mark.Path path && path.pen().ink() == Ink.RUST);
        assertThat(hatched).as("only Fails is hatched").isEqualTo(verdict == Verdict.FAILS);
        if (hatched) {
            marks.stream()
                    .filter(Mark.Path.class::isInstance)
                    .map(Mark.Path.class::cast)
                    .filter(m -> m.pen().ink() == Ink.RUST)
                    .forEach(m -> assertThat(m.spots()).allMatch(s -> s.x() <= 67.5));
        }
        boolean tick = marks.stream().anyMatch(m -> m instanceof Mark.Box b && b.fill() == Ink.INK && b.width() == 2);
        assertThat(tick).as("only Thin has a tick").isEqualTo(verdict == Verdict.THIN);
    }

    // scales

    @ParameterizedTest
    @CsvSource({"0, 71, 640, 66, 8", "-13.4, 15.2, 210, 44, 3", "0, 17.5, 180, 44, 4", "0.1, 0.31, 100, 30, 3"})
    void ticksAreRoundAndFarEnoughApart(double low, double high, double px, double least, int atMost) {
        Scale scale = new Scale(low, high, 0, px);
        List<Double> ticks = scale.ticks(least);
        assertThat(ticks)
                .isNotEmpty()
                .hasSizeLessThanOrEqualTo(atMost)
                .allMatch(t -> t >= low - 1e-9 && t <= high + 1e-9);
        for (int i = 1; i < ticks.size(); i++) {
            assertThat(scale.at(ticks.get(i)) - scale.at(ticks.get(i - 1))).isGreaterThanOrEqualTo(least - 1e-6);
            double step = ticks.get(1) - ticks.get(0);
            double lead = step / Math.pow(10, Math.floor(Math.log10(step) + 1e-9));
            assertThat(Math.round(lead * 100) / 100.0).isIn(1.0, 2.0, 5.0);
        }
    }
}
