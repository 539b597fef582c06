package ration.publish.drawing;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.Stream;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;
import ration.Systems;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.LineSize;
import ration.aircraft.model.Run;
import ration.aircraft.model.Tank;
import ration.answer.assess.StartingCase;
import ration.base.quantity.UnitSystem;
import ration.record.project.LayoutEdits;
import ration.record.project.Project;

/** Layouts side by side: one ruler, and what differs marked. */
class BesidePictureTest {

    private static final TextMeasure MEASURE = (text, size, bold) -> text.length() * size * 0.55;

    private static List<Picture> draw(Project p, FuelSystem... others) {
        return BesidePicture.draw(
                Stream.concat(Stream.of(p.system()), Stream.of(others)).toList(),
                StartingCase.of(p),
                UnitSystem.US,
                340,
                236,
                MEASURE);
    }

    private static List<Mark> bands(Picture of) {
        return of.pieces().stream()
                .filter(x -> x.kind() == Picture.Kind.GROUND && !x.item().isEmpty())
                .flatMap(x -> x.marks().stream())
                .toList();
    }

    private static double foot(Picture of, String item) {
        return of.pieces().stream()
                .filter(x -> x.kind() == Picture.Kind.TANK && x.item().equals(item))
                .flatMap(x -> x.marks().stream())
                .filter(Mark.Path.class::isInstance)
                .flatMap(m -> ((Mark.Path) m).spots().stream())
                .mapToDouble(Mark.Spot::y)
                .max()
                .orElseThrow();
    }

    @Test
    void oneRulerForAll() {
        Project p = Systems.corrie();
        // twenty inches higher: alone it would be drawn smaller
        FuelSystem higher = p.system().change("upper", Tank.class, t -> t.raised(0.508));
        List<Picture> both = draw(p, higher);
        assertThat(foot(both.get(1), "fuselage")).isCloseTo(foot(both.get(0), "fuselage"), Assertions.within(1e-9));
        List<String> ruler = ruler(both.get(0));
        assertThat(ruler(both.get(1))).isEqualTo(ruler).contains("0");
        // where a tank went up by twenty inches it stands higher by that much of the ruler
        double inch = perInch(both.get(0));
        assertThat(foot(both.get(0), "upper") - foot(both.get(1), "upper"))
                .isCloseTo(20 * inch, Assertions.within(0.01));
    }

    private static List<String> ruler(Picture p) {
        return p.pieces().get(0).marks().stream()
                .filter(Mark.Label.class::isInstance)
                .map(m -> ((Mark.Label) m).text())
                .toList();
    }

    private static double perInch(Picture p) {
        List<Mark.Label> labels = p.pieces().get(0).marks().stream()
                .filter(Mark.Label.class::isInstance)
                .map(Mark.Label.class::cast)
                .toList();
        return (labels.get(0).y() - labels.get(1).y()) / (number(labels.get(1)) - number(labels.get(0)));
    }

    private static double number(Mark.Label label) {
        return Double.parseDouble(label.text().replace('\u2212', '-'));
    }

    @Test
    void whatDiffersIsMarkedAndWhatWasTakenOutIsNamed() {
        Project p = Systems.corrie();
        FuelSystem other = LayoutEdits.remove(p.system(), "fuselage")
                .orElseThrow()
                .system()
                .change("r3", Run.class, r -> r.resized(LineSize.parse("3/8 x 0.035 tube")));
        List<Picture> all = draw(p, p.system(), other);
        assertThat(bands(all.get(0))).isEmpty();
        assertThat(bands(all.get(1))).isEmpty();
        assertThat(all.get(1).texts()).noneMatch(t -> t.startsWith("Taken out"));
        assertThat(bands(all.get(2))).isNotEmpty();
        assertThat(all.get(2).texts())
                .anyMatch(t -> t.startsWith("Taken out: Fuselage tank"))
                .contains("R3 3/8", "Upper tank");
    }
}
