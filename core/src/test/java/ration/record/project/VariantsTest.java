package ration.record.project;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import ration.aircraft.model.LineSize;
import ration.aircraft.model.Run;
import ration.record.file.ProjectFile;
import ration.record.file.ProjectFileException;

class VariantsTest {

    @TempDir
    Path folder;

    private static Project corrie() {
        try {
            return ProjectFile.demo("corrie-b1");
        } catch (ProjectFileException e) {
            throw new AssertionError(e);
        }
    }

    private static Project wider(Project p) {
        return p.with(p.system().change("r3", Run.class, r -> r.resized(LineSize.parse("3/8 x 0.035 tube"))));
    }

    private static Project kept() {
        return VariantEdits.keep("Wider lines", VariantsTest::wider).change().apply(corrie());
    }

    @Test
    void whatIsBuiltStaysAsItIs() {
        Project p = kept();
        assertThat(p.system()).isEqualTo(corrie().system());
        assertThat(p.variants()).extracting(Variant::name).containsExactly("Wider lines");
        assertThat(p.variants().get(0).system()).isEqualTo(wider(corrie()).system());
    }

    @Test
    void whatIsSavedOpens() throws Exception {
        Project p = VariantEdits.keep("As drawn").change().apply(kept());
        Path file = folder.resolve("two.ration");
        ProjectFile.save(p, file);
        assertThat(ProjectFile.open(file)).isEqualTo(p);
    }

    /** A field that a later version wrote within a variant is written back where it stood. */
    @Test
    void whatIsNotKnownIsKept() throws Exception {
        Path file = folder.resolve("later.ration");
        ProjectFile.save(kept(), file);
        String text = Files.readString(file);
        int at = text.indexOf("\"variants\"");
        String later = text.substring(0, at)
                + text.substring(at)
                        .replaceFirst("\"brief\" : \\{", "\"brief\" : {\n\"mood\" : \"calm\",")
                        .replaceFirst("\"name\" :", "\"shade\" : 7,\n\"name\" :");
        Files.writeString(file, later);
        Path again = folder.resolve("again.ration");
        ProjectFile.save(ProjectFile.open(file), again);
        String saved = Files.readString(again);
        assertThat(saved.substring(saved.indexOf("\"variants\""))).contains("\"mood\" : \"calm\"", "\"shade\" : 7");
        assertThat(saved.substring(0, saved.indexOf("\"variants\""))).doesNotContain("mood", "shade");
    }

    @Test
    void oneIsTakenOverAndBack() {
        Project p = kept();
        Project taken = VariantEdits.make("Wider lines", "As built").change().apply(p);
        assertThat(taken.system()).isEqualTo(wider(corrie()).system());
        assertThat(taken.variants()).extracting(Variant::name).containsExactly("As built");
        assertThat(taken.tests()).isEqualTo(p.tests());
        Project back = VariantEdits.make("As built", "Wider lines").change().apply(taken);
        assertThat(back.system()).isEqualTo(p.system());
        assertThat(back.brief()).isEqualTo(p.brief());
        assertThat(back.heat()).isEqualTo(p.heat());
        assertThat(back.variants()).isEqualTo(p.variants());
    }

    @Test
    void namesDiffer() {
        Project p = VariantEdits.keep("Wider lines").change().apply(kept());
        assertThat(p.variants()).extracting(Variant::name).containsExactly("Wider lines", "Wider lines 2");
        Project renamed =
                VariantEdits.rename("Wider lines 2", "Wider lines").change().apply(p);
        assertThat(renamed.variants()).extracting(Variant::name).doesNotHaveDuplicates();
        assertThat(VariantEdits.delete("Wider lines").change().apply(p).variants())
                .extracting(Variant::name)
                .containsExactly("Wider lines 2");
        assertThatThrownBy(() -> new Variant(" ", p.brief(), p.system(), p.heat()))
                .hasMessageContaining("1 to 60");
    }

    @Test
    void twoOfOneNameAreRefusedWithTheirPlace() throws Exception {
        Path file = folder.resolve("twice.ration");
        ProjectFile.save(VariantEdits.keep("Other").change().apply(kept()), file);
        byte[] spoilt =
                Files.readString(file).replace("\"Other\"", "\"Wider lines\"").getBytes(StandardCharsets.UTF_8);
        assertThatThrownBy(() -> ProjectFile.read(spoilt, "twice.ration"))
                .isInstanceOfSatisfying(ProjectFileException.class, e -> assertThat(e.fullText())
                        .contains("two variants have the same name"));
    }
}
