package ration.desktop.session;

import java.nio.file.Path;
import java.util.Optional;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;
import javafx.beans.property.SimpleObjectProperty;
import javafx.beans.property.SimpleStringProperty;
import javafx.beans.property.StringProperty;
import ration.assess.Assessment;
import ration.assess.CaseAnswer;
import ration.condition.Attitude;
import ration.condition.Condition;
import ration.file.ProjectFile;
import ration.file.ProjectFileException;
import ration.project.Edit;
import ration.project.Project;
import ration.quantity.UnitSystem;

/** One open document and the case looked at; all changes go through here, on the interface thread. */
public final class Session {

    /** What the views show, changed all at once so that no view mixes two moments. */
    public record Shown(Project project, Condition condition, Assessment assessment, Optional<CaseAnswer> look) {
    }

    private final Home home;
    private final Analyst analyst = new Analyst();
    private final History history = new History();
    private final ReadOnlyObjectWrapper<Shown> shown = new ReadOnlyObjectWrapper<>();
    private final ReadOnlyObjectWrapper<Assessment> before = new ReadOnlyObjectWrapper<>();
    private final ObjectProperty<UnitSystem> units = new SimpleObjectProperty<>(UnitSystem.US);
    private final StringProperty picked = new SimpleStringProperty("");
    private final ReadOnlyStringWrapper message = new ReadOnlyStringWrapper("");
    private final ReadOnlyObjectWrapper<Path> file = new ReadOnlyObjectWrapper<>();
    private final ReadOnlyObjectWrapper<Boolean> changed = new ReadOnlyObjectWrapper<>(false);
    private final ExecutorService keeper = Executors.newSingleThreadExecutor(r -> {
        Thread thread = new Thread(r, "recovery copy");
        thread.setDaemon(true);
        return thread;
    });
    private Project project;
    private Project saved;
    private Condition condition;

    public Session(Home home) {
        this.home = home;
        show(Project.empty(), null);
    }

    public Home home() {
        return home;
    }

    /** What the views show now. */
    public ReadOnlyObjectProperty<Shown> shown() {
        return shown.getReadOnlyProperty();
    }

    /** The assessment before the last edit, for showing its effect; null when there was none. */
    public ReadOnlyObjectProperty<Assessment> before() {
        return before.getReadOnlyProperty();
    }

    public ObjectProperty<UnitSystem> units() {
        return units;
    }

    /** Id of the picked item, or empty. */
    public StringProperty picked() {
        return picked;
    }

    /** Something the user must read, or empty. */
    public ReadOnlyStringProperty message() {
        return message.getReadOnlyProperty();
    }

    /** Where the document was opened from or saved to; null if nowhere yet. */
    public ReadOnlyObjectProperty<Path> file() {
        return file.getReadOnlyProperty();
    }

    /** Whether there is work that is not saved. */
    public ReadOnlyObjectProperty<Boolean> changed() {
        return changed.getReadOnlyProperty();
    }

    public Project project() {
        return project;
    }

    public Condition condition() {
        return condition;
    }

    public void say(String text) {
        message.set("");
        message.set(text);
    }

    public void hush() {
        message.set("");
    }

    /** Puts a document in the window in place of the present one. */
    public void show(Project opened, Path from) {
        keeper.execute(home::forget);
        project = opened;
        saved = opened;
        history.clear();
        file.set(from);
        changed.set(false);
        picked.set("");
        before.set(null);
        condition = Assessment.start(opened);
        deliver(analyst.now(opened, condition));
    }

    /** Takes up unsaved work of an earlier session; it stays unsaved. */
    public void resume(Home.Recovered work) {
        show(work.project(), work.file().orElse(null));
        saved = null;
        changed.set(true);
        home.discard(work.copy());
        Project copy = project;
        Path from = file.get();
        keeper.execute(() -> home.keep(copy, from));
    }

    /** Changes the project. */
    public void apply(Edit edit) {
        Project next = edit.change().apply(project);
        if (next.equals(project)) {
            return;
        }
        history.record(edit, project, next);
        become(next);
    }

    private void become(Project next) {
        before.set(shown.get().assessment());
        project = next;
        condition = Assessment.adapt(condition, next);
        if (next.system().item(picked.get()).isEmpty()) {
            picked.set("");
        }
        changed.set(!next.equals(saved));
        Path from = file.get();
        boolean unsaved = changed.get();
        keeper.execute(() -> {
            if (unsaved) {
                home.keep(next, from);
            } else {
                home.forget();
            }
        });
        analyst.ask(project, condition, this::deliver);
    }

    public void undo() {
        history.undo().ifPresent(this::become);
    }

    public void redo() {
        history.redo().ifPresent(this::become);
    }

    /** What undo would take back, or empty. */
    public String undoName() {
        return history.undoName();
    }

    public String redoName() {
        return history.redoName();
    }

    /** Looks at another case; never changes the project. */
    public void look(Condition other) {
        condition = other;
        analyst.ask(project, condition, this::deliver);
    }

    public void look(Attitude attitude) {
        look(condition.with(attitude));
    }

    private void deliver(Analyst.Result result) {
        shown.set(new Shown(result.assessment().project(), result.condition(), result.assessment(), result.look()));
    }

    /** Opens a file; says what is wrong and keeps the present document if it cannot be used. */
    public boolean open(Path path) {
        try {
            show(ProjectFile.open(path), path);
            home.remember(path);
            hush();
            return true;
        } catch (ProjectFileException e) {
            say(e.fullText());
            return false;
        }
    }

    /** Saves to a file; says what is wrong if it fails, and loses nothing. */
    public boolean save(Path path) {
        try {
            ProjectFile.save(project, path);
        } catch (ProjectFileException e) {
            say(e.fullText());
            return false;
        }
        saved = project;
        file.set(path);
        changed.set(false);
        home.remember(path);
        keeper.execute(home::forget);
        return true;
    }

    /** Gives up unsaved work knowingly. */
    public void giveUp() {
        home.forget();
    }
}
