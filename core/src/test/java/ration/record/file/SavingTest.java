package ration.record.file;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import ration.Systems;
import ration.aircraft.model.Run;
import ration.aircraft.model.Validation;
import ration.aircraft.plumbing.CsvCell;
import ration.aircraft.plumbing.RunSheet;
import ration.record.project.Difference;
import ration.record.project.Project;

/** A document is never lost on disk: links, permissions, long names, leftovers, another program's writing. */
class SavingTest {

    @TempDir
    Path folder;

    private static Project noted(String note) {
        return Systems.corrie().withNote(note);
    }

    @Test
    void aLinkIsSavedThroughAndStaysALink() throws Exception {
        Path real = folder.resolve("real.ration");
        ProjectFile.save(noted("a"), real);
        Path link = Files.createSymbolicLink(folder.resolve("link.ration"), real);
        ProjectFile.save(noted("b"), link);
        assertThat(link).isSymbolicLink();
        assertThat(ProjectFile.open(real).note()).isEqualTo("b");
        Path ring = Files.createSymbolicLink(folder.resolve("ring.ration"), folder.resolve("ring.ration"));
        assertThatThrownBy(() -> ProjectFile.save(noted("c"), ring))
                .isInstanceOf(ProjectFileException.class)
                .hasMessageContaining("link");
    }

    @Test
    void permissionsStayAndAReadOnlyDocumentIsRefused() throws Exception {
        Path file = folder.resolve("mine.ration");
        ProjectFile.save(noted("a"), file);
        Files.setPosixFilePermissions(file, PosixFilePermissions.fromString("rw-rw----"));
        ProjectFile.save(noted("b"), file);
        assertThat(PosixFilePermissions.toString(Files.getPosixFilePermissions(file)))
                .isEqualTo("rw-rw----");
        Files.setPosixFilePermissions(file, PosixFilePermissions.fromString("r--r--r--"));
        assertThatThrownBy(() -> ProjectFile.save(noted("c"), file))
                .isInstanceOf(ProjectFileException.class)
                .hasMessageContaining("read-only");
        assertThat(ProjectFile.open(file).note()).isEqualTo("b");
    }

    /**
     * A link planted where a temporary file used to be leads nowhere, and what an earlier crash left there does no
     * harm.
     */
    @Test
    void aPlantedLinkAndALeftoverAreNotFollowed() throws Exception {
        Path victim = Files.writeString(folder.resolve("victim"), "precious");
        Path file = folder.resolve("doc.ration");
        Files.createSymbolicLink(folder.resolve("doc.ration.saving"), victim);
        ProjectFile.save(noted("a"), file);
        Files.delete(folder.resolve("doc.ration.saving"));
        Files.writeString(folder.resolve("doc.ration.saving"), "left over");
        ProjectFile.save(noted("b"), file);
        assertThat(Files.readString(victim)).isEqualTo("precious");
        assertThat(ProjectFile.open(file).note()).isEqualTo("b");
        assertThat(ProjectFile.open(folder.resolve("doc.ration.previous")).note())
                .isEqualTo("a");
        try (var left = Files.list(folder)) {
            assertThat(left.map(p -> p.getFileName().toString()))
                    .containsExactlyInAnyOrder("victim", "doc.ration", "doc.ration.previous", "doc.ration.saving");
        }
    }

    @Test
    void aNameOfTwoHundredAndFiftyBytesIsKept() throws Exception {
        Path file = folder.resolve("n".repeat(243) + ".ration");
        ProjectFile.save(noted("a"), file);
        ProjectFile.save(noted("b"), file);
        assertThat(ProjectFile.open(file).note()).isEqualTo("b");
    }

    @Test
    void anothersWritingIsSeen() throws Exception {
        Path file = folder.resolve("doc.ration");
        DocumentStamp mine = ProjectFile.save(noted("a"), file);
        assertThat(mine.stillHolds(file)).isTrue();
        Files.setLastModifiedTime(file, java.nio.file.attribute.FileTime.fromMillis(0));
        assertThat(mine.stillHolds(file)).as("touched, not changed").isTrue();
        ProjectFile.save(noted("theirs"), file);
        assertThat(mine.stillHolds(file)).isFalse();
        assertThat(Difference.between(noted("a"), ProjectFile.open(file))).containsExactly("another note");
        assertThat(Difference.between(noted("a"), noted("a"))).isEmpty();
        Project without = noted("a").with(noted("a").system().minus("r3"));
        assertThat(Difference.between(noted("a"), without)).containsExactly("R3 was removed");
        assertThat(Difference.between(without, noted("a"))).containsExactly("R3 is new");
    }

    @Test
    void joinsThatAreNoTextAreRefused() {
        String text = ProjectFile.text(Systems.corrie())
                .replaceFirst("\"joins\" : \\[ *\\[? *\n? *\\[", "\"joins\" : [ [ 7, ")
                .replaceFirst("\"joins\" : \\[\\s*\\[\\s*\"", "\"joins\" : [ [ 7, \"");
        assertThatThrownBy(() -> ProjectFile.read(text.getBytes(StandardCharsets.UTF_8), "x"))
                .isInstanceOf(ProjectFileException.class)
                .satisfies(
                        e -> assertThat(((ProjectFileException) e).fullText()).contains("not 7"));
    }

    @Test
    void messagesNameNoClasses() {
        StringBuilder deep = new StringBuilder("{\"format\":\"ration\",\"version\":1,\"x\":");
        for (String text : List.of(
                "{\"format\":\"ration\",\"format\":1}",
                deep + "[".repeat(500) + "]".repeat(500) + "}",
                deep + "1".repeat(500) + "}",
                "{\"format\": nope}")) {
            assertThatThrownBy(() -> ProjectFile.read(text.getBytes(StandardCharsets.UTF_8), "x"))
                    .isInstanceOf(ProjectFileException.class)
                    .satisfies(e -> assertThat(((ProjectFileException) e).fullText())
                            .doesNotContain("StreamRead", "com.", "java.", "jackson", "STRICT_", "`"));
        }
        assertThat(FileTrouble.why(folder.resolve("x"), new IOException("sun.nio.fs.UnixException")))
                .doesNotContain("sun.");
    }

    @Test
    void placesBeyondReasonAreRefusedByFileAndBlockedByTheLayout() {
        String text = ProjectFile.text(Systems.corrie());
        for (String bad : List.of("-9999999 in", "-100000000 in", "1000000000 in")) {
            String one = text.replaceFirst(
                    "\"foot\" : \\{\\s*\"value\" : \"26 in\"", "\"foot\" : { \"value\" : \"" + bad + "\"");
            assertThat(one).isNotEqualTo(text);
            assertThatThrownBy(() -> ProjectFile.read(one.getBytes(StandardCharsets.UTF_8), "x"))
                    .isInstanceOf(ProjectFileException.class);
        }
        Project far = Systems.corrie()
                .with(new ration.aircraft.model.FuelSystem(
                        Systems.corrie().system().items(),
                        java.util.Optional.of(new ration.aircraft.model.Firewall(
                                Systems.in(38), Systems.in(65), Systems.in(-9_999_999)))));
        assertThat(Validation.of(far.system()))
                .anyMatch(p -> p.blocks() && p.message().contains("100 m"));
    }

    @Test
    void whatNoAircraftHoldsIsRefusedUnread() {
        StringBuilder unknown = new StringBuilder("{");
        for (int i = 0; i < 20_000; i++) {
            unknown.append("\"u").append(i).append("\":1,");
        }
        String text = ProjectFile.text(Systems.corrie())
                .replaceFirst("\\{", unknown.toString().replace("$", ""));
        assertThatThrownBy(() -> ProjectFile.read(text.getBytes(StandardCharsets.UTF_8), "x"))
                .isInstanceOf(ProjectFileException.class)
                .hasMessageContaining("more than");
    }

    @Property
    void anyCellComesBackAndNoneBeginsLikeAFormula(@ForAll String text) {
        String out = CsvCell.out(text);
        assertThat(CsvCell.in(out)).isEqualTo(text);
        if (!out.matches("[+-]?\\d+(\\.\\d+)?([eE][+-]?\\d+)?")) {
            assertThat(out)
                    .doesNotStartWith("=")
                    .doesNotStartWith("+")
                    .doesNotStartWith("-")
                    .doesNotStartWith("@");
        }
    }

    @Test
    void aSheetWithFormulasComesBackTheSame() {
        Project p = Systems.corrie();
        Project named = p.with(p.system().change("r3", Run.class, r -> r.renamed("=1+1")));
        String csv = RunSheet.csv(named.system());
        assertThat(csv).contains("'=1+1").contains("'-6 hose");
        RunSheet.Outcome back =
                RunSheet.paste(named.system(), RunSheet.table(csv), 0, ration.aircraft.plumbing.SheetColumn.RUN);
        assertThat(back.problems()).isEmpty();
        assertThat(back.system()).isEqualTo(named.system());
    }
}
