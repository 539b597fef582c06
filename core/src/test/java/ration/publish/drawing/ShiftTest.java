package ration.publish.drawing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import ration.Systems;
import ration.aircraft.model.Fitted;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Run;
import ration.answer.assess.StartingCase;
import ration.base.quantity.UnitSystem;
import ration.publish.drawing.Mark.Spot;
import ration.record.file.ProjectFile;
import ration.record.file.ProjectFileException;
import ration.record.project.Difference;
import ration.record.project.Project;

/** An item drawn elsewhere across: by its builder, never in height, kept in the document. */
class ShiftTest {

    private static final SchematicView VIEW = SchematicView.of(860, 612);
    private static final Project DEMO = Systems.demo("tansy-l3");

    private static Arrangement arrangement(FuelSystem system) {
        return new Arrangement(
                new SchematicSubject(
                        system,
                        DEMO.brief().envelope().attitudes(),
                        StartingCase.of(DEMO),
                        Optional.empty(),
                        "",
                        UnitSystem.US),
                VIEW);
    }

    /**
     * Whatever is moved however far: heights stay, it stands on its side of the firewall, in the picture; the others do
     * not move.
     */
    @Property(tries = 12)
    void movesOneItemAcrossAndNothingElse(
            @ForAll @IntRange(max = 30) int which, @ForAll @DoubleRange(min = -1, max = 1) double by) {
        List<Fitted> all = DEMO.system().all(Fitted.class).toList();
        Fitted item = all.get(which % all.size());
        Arrangement before = arrangement(DEMO.system());
        Arrangement after = arrangement(DEMO.system().shifted(item.id(), by));
        for (Fitted f : all) {
            Spot was = before.centre(f);
            Spot now = after.centre(f);
            assertThat(now.y()).isCloseTo(was.y(), Offset.offset(1e-9));
            if (f.equals(item)) {
                assertThat(now.x()).isBetween(0.0, 860.0);
                assertThat(now.x() > after.firewallX()).isEqualTo(was.x() > before.firewallX());
                assertThat(Math.signum(now.x() - was.x())).isIn(0.0, Math.signum(by));
            } else {
                assertThat(now.x()).isEqualTo(was.x());
            }
        }
    }

    /** The lines follow: they still end at the ports of what they join. */
    @Test
    void linesFollow() {
        FuelSystem moved = DEMO.system().shifted("strainer", 0.05);
        Arrangement after = arrangement(moved);
        for (Run run : moved.runs()) {
            List<Spot> way = after.way(run);
            assertThat(way.get(0)).isEqualTo(after.port(run.from()).orElseThrow());
            assertThat(way.get(way.size() - 1)).isEqualTo(after.port(run.to()).orElseThrow());
        }
        assertThat(after.centre(moved.item("strainer").orElseThrow()).x())
                .isCloseTo(
                        arrangement(DEMO.system())
                                        .centre(DEMO.system().item("strainer").orElseThrow())
                                        .x()
                                + 0.05 * 860,
                        Offset.offset(1e-9));
    }

    @Test
    void isKeptInTheDocumentAndTakenBack(@TempDir Path folder) throws ProjectFileException {
        Project moved = DEMO.with(DEMO.system().shifted("strainer", -0.03).shifted("left", 0.1));
        Path file = folder.resolve("moved.ration");
        ProjectFile.save(moved, file);
        Project read = ProjectFile.open(file);
        assertThat(read).isEqualTo(moved);
        assertThat(read.system().shifts()).containsOnly(Map.entry("strainer", -0.03), Map.entry("left", 0.1));
        assertThat(Difference.between(DEMO, moved)).containsExactly("drawing positions differ");
        FuelSystem back = Systems.offer(read.system(), "strainer", "Reset drawing position")
                .on(read.system());
        assertThat(back.shifts()).containsOnlyKeys("left");
        assertThat(back.minus("left").shifts()).isEmpty();
        assertThat(back.plus().replace(back.item("left").orElseThrow()).shifts())
                .containsOnlyKeys("left");
    }

    /** A figure no drawing has is refused with its place and its limits. */
    @Test
    void aShiftOutOfThePictureIsRefused(@TempDir Path folder) throws Exception {
        Path file = folder.resolve("moved.ration");
        ProjectFile.save(DEMO.with(DEMO.system().shifted("strainer", 0.25)), file);
        Files.writeString(
                file, Files.readString(file, StandardCharsets.UTF_8).replace("0.25", "7.5"), StandardCharsets.UTF_8);
        assertThatThrownBy(() -> ProjectFile.open(file))
                .isInstanceOfSatisfying(ProjectFileException.class, e -> assertThat(e.fullText())
                        .contains("system.shifts")
                        .contains("strainer")
                        .contains("-0.8 to 0.8"));
    }
}
