package ration.desktop.session;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import ration.project.Edit;
import ration.project.Project;

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

    @Test
    void unsavedWorkOfALivingProcessIsLeftAlone() throws IOException {
        Home home = new Home(folder.resolve("home"));
        home.keep(named("mine"), folder.resolve("mine.ration"));
        assertThat(home.recovered()).as("this process still runs").isEmpty();
        Path dead = folder.resolve("home").resolve("unsaved-999999999.ration");
        Files.copy(folder.resolve("home").resolve("unsaved-" + ProcessHandle.current().pid() + ".ration"), dead);
        Files.writeString(dead.resolveSibling(dead.getFileName() + ".origin"), "/somewhere/mine.ration");
        Home.Recovered work = home.recovered().orElseThrow();
        assertThat(work.project().name()).isEqualTo("mine");
        assertThat(work.file()).contains(Path.of("/somewhere/mine.ration"));
        home.discard(work.copy());
        assertThat(home.recovered()).isEmpty();
        home.forget();
        try (var left = Files.list(folder.resolve("home"))) {
            assertThat(left).isEmpty();
        }
    }

    @Test
    void damagedUnsavedWorkIsNotOffered() throws IOException {
        Files.createDirectories(folder.resolve("home"));
        Files.writeString(folder.resolve("home").resolve("unsaved-999999999.ration"), "{");
        assertThat(new Home(folder.resolve("home")).recovered()).isEmpty();
    }
}
