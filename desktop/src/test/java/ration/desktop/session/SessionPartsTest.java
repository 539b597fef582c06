package ration.desktop.session;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import ration.record.project.Edit;
import ration.record.project.Project;

/** What the session keeps: history, recent files, unsaved work. */
class SessionPartsTest {

    @TempDir
    Path folder;

    private static Project named(String name) {
        return Project.empty().withName(name);
    }

    private static Edit edit(String name) {
        return Edit.of(name, p -> p.withName(name));
    }

    @Test
    void undoAndRedoWalkTheSnapshots() {
        History history = new History();
        history.record(edit("b"), named("a"), named("b"));
        history.record(edit("c"), named("b"), named("c"));
        assertThat(history.undoName()).isEqualTo("c");
        assertThat(history.undo().orElseThrow().name()).isEqualTo("b");
        assertThat(history.redoName()).isEqualTo("c");
        assertThat(history.undo().orElseThrow().name()).isEqualTo("a");
        assertThat(history.undo()).isEmpty();
        assertThat(history.redo().orElseThrow().name()).isEqualTo("b");
        history.record(edit("d"), named("b"), named("d"));
        assertThat(history.redo()).as("a new edit forgets what was undone").isEmpty();
    }

    @Test
    void recentFilesAreNewestFirstOnceEachAndExist() throws IOException {
        Home home = new Home(folder.resolve("home"));
        assertThat(home.recent()).isEmpty();
        List<Path> files = new ArrayList<>();
        for (int i = 0; i < 12; i++) {
            files.add(Files.writeString(folder.resolve("f" + i + ".ration"), "x"));
            home.remember(files.get(i));
        }
        home.remember(files.get(5));
        assertThat(home.recent()).hasSize(8).startsWith(files.get(5), files.get(11));
        Files.delete(files.get(11));
        assertThat(home.recent()).doesNotContain(files.get(11)).doesNotHaveDuplicates();
    }

    /** A document that another program has open is told; one that it left, or that died with it, is free. */
    @Test
    void aDocumentThatIsOpenElsewhereIsTold() throws IOException {
        Path mine = folder.resolve("mine.ration");
        Path other = folder.resolve("other.ration");
        OpenMark first = new Home(home()).openMark();
        OpenMark second = new Home(home()).openMark();
        assertThat(first.take(mine)).isFalse();
        assertThat(first.take(mine)).as("saved again").isFalse();
        assertThat(second.take(mine)).isTrue();
        assertThat(second.take(other)).isFalse();
        assertThat(first.take(other)).isTrue();
        second.release();
        assertThat(first.take(other)).isFalse();
        assertThat(second.take(mine)).as("the one before is free").isFalse();
        first.release();
        second.release();
        try (var left = Files.list(home())) {
            assertThat(left).isEmpty();
        }
        Files.writeString(folder.resolve("no-folder"), "");
        assertThat(new Home(folder.resolve("no-folder")).openMark().take(mine))
                .as("where nothing can be kept nothing is claimed")
                .isFalse();
    }

    private Path home() {
        return folder.resolve("home");
    }

    /** A copy as a session that died leaves it: the program that held its lock is gone. */
    private Path leftBehind(String name, String origin) throws IOException {
        Path copy = home().resolve("unsaved-" + java.util.UUID.randomUUID() + ".ration");
        Files.createDirectories(home());
        Files.writeString(copy, ration.record.file.ProjectFile.text(named(name)));
        Files.writeString(copy.resolveSibling(copy.getFileName() + ".lock"), "");
        Files.writeString(
                copy.resolveSibling(copy.getFileName() + ".origin"),
                origin,
                java.nio.charset.StandardCharsets.ISO_8859_1);
        return copy;
    }

    @Test
    void unsavedWorkOfALivingProgramIsLeftAloneAndAnotherStartDeletesNothing() throws IOException {
        Home living = new Home(home());
        living.keep(named("mine"), folder.resolve("mine.ration"));
        Home second = new Home(home());
        assertThat(second.left().sound()).as("its program lives").isEmpty();
        second.keep(named("other"), null);
        second.forget();
        living.forget();
        living.keep(named("mine again"), null);
        try (var left = Files.list(home())) {
            assertThat(left.map(p -> p.getFileName().toString()).filter(n -> n.endsWith(".ration")))
                    .hasSize(1);
        }
        living.forget();
        try (var left = Files.list(home())) {
            assertThat(left).isEmpty();
        }
    }

    @Test
    void everySoundCopyIsOfferedAndEachDamagedOneNamed() throws IOException {
        leftBehind("one", "/somewhere/one.ration");
        Path two = leftBehind("two", "no\u0000path");
        leftBehind("three", "\u00ff\u00fe");
        Path damaged = leftBehind("four", "");
        Files.writeString(damaged, "{");
        Home.Left left = new Home(home()).left();
        assertThat(left.sound()).extracting(w -> w.project().name()).containsExactlyInAnyOrder("one", "two", "three");
        assertThat(left.sound())
                .filteredOn(w -> w.project().name().equals("one"))
                .singleElement()
                .satisfies(w -> assertThat(w.file()).contains(Path.of("/somewhere/one.ration")));
        assertThat(left.sound())
                .filteredOn(w -> w.copy().equals(two))
                .singleElement()
                .satisfies(w -> assertThat(w.file()).isEmpty());
        assertThat(left.damaged()).singleElement().satisfies(d -> {
            assertThat(d.copy()).isEqualTo(damaged);
            assertThat(d.why()).contains("damaged");
        });
        left.sound().forEach(w -> new Home(home()).discard(w.copy()));
        assertThat(new Home(home()).left().sound()).isEmpty();
        assertThat(damaged).exists();
    }

    @Test
    void copiesAreWholeAtEveryMomentAndReadableByTheOwnerOnly() throws Exception {
        Home writing = new Home(home());
        writing.keep(named("start"), null);
        Path copy;
        try (var files = Files.list(home())) {
            copy = files.filter(p -> p.toString().endsWith(".ration"))
                    .findFirst()
                    .orElseThrow();
        }
        assertThat(java.nio.file.attribute.PosixFilePermissions.toString(Files.getPosixFilePermissions(copy)))
                .isEqualTo("rw-------");
        java.util.concurrent.atomic.AtomicBoolean end = new java.util.concurrent.atomic.AtomicBoolean();
        Thread writer = new Thread(() -> {
            for (int i = 0; i < 60; i++) {
                writing.keep(named("state " + i), null);
            }
            end.set(true);
        });
        writer.start();
        int reads = 0;
        while (!end.get() || reads == 0) {
            assertThatCode(() -> ration.record.file.ProjectFile.open(copy)).doesNotThrowAnyException();
            reads++;
        }
        writer.join();
        writing.forget();
    }

    @Test
    void whereTheHomeCannotBeWrittenThatIsSaidOnce() throws IOException {
        Files.writeString(home(), "a file where the folder should be");
        Home home = new Home(home());
        List<String> said = new ArrayList<>();
        home.onTrouble(said::add);
        home.keep(named("a"), null);
        home.keep(named("b"), null);
        assertThat(said).singleElement().asString().contains("No copy of unsaved work can be kept");
        assertThat(home.left().sound()).isEmpty();
        assertThat(home.recent()).isEmpty();
    }

    @Test
    void aListOfRecentFilesWithNonsenseHidesNothing() throws IOException {
        Home home = new Home(home());
        Path good = Files.writeString(folder.resolve("good.ration"), "x");
        home.remember(good);
        byte[] bytes = ("a\u0000b\n\u00ff\u00fe\n" + good).getBytes(java.nio.charset.StandardCharsets.ISO_8859_1);
        Files.write(home().resolve("recent"), bytes);
        assertThat(home.recent()).containsExactly(good);
    }
}
