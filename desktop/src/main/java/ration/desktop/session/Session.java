package ration.desktop.session;

import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicReference;
import java.util.function.Consumer;
import javafx.application.Platform;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.SimpleObjectProperty;
import javafx.beans.property.SimpleStringProperty;
import javafx.beans.property.StringProperty;
import javafx.collections.ObservableList;
import ration.aircraft.condition.Attitude;
import ration.aircraft.condition.Condition;
import ration.aircraft.condition.Contents;
import ration.answer.assess.Assessment;
import ration.answer.assess.CaseAnswer;
import ration.answer.assess.Comparison;
import ration.answer.assess.Regime;
import ration.answer.assess.StartingCase;
import ration.answer.drawdown.Flight;
import ration.answer.fault.FaultAnswer;
import ration.answer.fault.FaultSearch;
import ration.answer.fault.FaultSum;
import ration.answer.fault.HiddenSearch;
import ration.base.quantity.UnitSystem;
import ration.record.file.DocumentStamp;
import ration.record.file.ProjectFile;
import ration.record.file.ProjectFileException;
import ration.record.project.Difference;
import ration.record.project.Edit;
import ration.record.project.Project;
import ration.verdict.check.Finding;
import ration.verdict.check.Verdict;

/** One open document and the case looked at; all changes go through here, on the interface thread. */
public final class Session {

    /** Differences told at most. */
    private static final int MOST_DIFFERENCES = 8;

    /** What the views show, changed all at once so that no view mixes two moments. */
    public record Shown(Project project, Condition condition, Assessment assessment, Optional<CaseAnswer> look) {}

    private final Home home;
    private final Analyst analyst = new Analyst();
    private final History history = new History();
    private final ReadOnlyObjectWrapper<Lifetime> lifetime = new ReadOnlyObjectWrapper<>(new Lifetime());
    private final ReadOnlyObjectWrapper<Shown> shown = new ReadOnlyObjectWrapper<>();
    private final ReadOnlyObjectWrapper<Assessment> before = new ReadOnlyObjectWrapper<>();
    private final ReadOnlyObjectWrapper<CaseAnswer> early = new ReadOnlyObjectWrapper<>();
    private final ObjectProperty<UnitSystem> units = new SimpleObjectProperty<>(UnitSystem.US);
    private final ObjectProperty<List<FaultAnswer>> faults = new SimpleObjectProperty<>();
    private final ObjectProperty<HiddenSearch> hidden = new SimpleObjectProperty<>();
    private final ObjectProperty<Flight> flight = new SimpleObjectProperty<>();
    private final ObjectProperty<Regime> chosenRegime = new SimpleObjectProperty<>();
    private final StringProperty picked = new SimpleStringProperty("");
    private final KnownFailures knownFailures = new KnownFailures();
    private final Messages messages = new Messages();
    private final ReadOnlyObjectWrapper<Path> file = new ReadOnlyObjectWrapper<>();
    private final ReadOnlyObjectWrapper<Boolean> changed = new ReadOnlyObjectWrapper<>(false);
    private final OpenMark mark;
    private final ExecutorService keeper = Executors.newSingleThreadExecutor(r -> {
        Thread thread = new Thread(r, "recovery copy");
        thread.setDaemon(true);
        return thread;
    });
    private final LongWork opening = new LongWork("opening");
    private final AtomicReference<Runnable> toKeep = new AtomicReference<>();
    private Project project;
    private Project saved;
    private Optional<DocumentStamp> stamp = Optional.empty();
    private Condition condition;

    public Session(Home home) {
        this.home = home;
        mark = home.openMark();
        faults.addListener((o, was, now) -> shownVerdict());
        hidden.addListener((o, was, now) -> shownVerdict());
        home.onTrouble(m -> Platform.runLater(() -> trouble(m)));
        show(Project.empty(), null);
    }

    public Home home() {
        return home;
    }

    /** What the views show now. */
    public ReadOnlyObjectProperty<Shown> shown() {
        return shown.getReadOnlyProperty();
    }

    /**
     * Of the document in the window; another one with each document that is opened or begun, once what it shows is
     * there.
     */
    public ReadOnlyObjectProperty<Lifetime> lifetime() {
        return lifetime.getReadOnlyProperty();
    }

    /** Of the document in the window now. */
    public Lifetime whileOpen() {
        return lifetime.get();
    }

    /** The assessment before the last edit, for showing its effect; null when there was none. */
    public ReadOnlyObjectProperty<Assessment> before() {
        return before.getReadOnlyProperty();
    }

    /**
     * The worst case of an edit among those that came nearest before, until the whole assessment is there; else null.
     */
    public ReadOnlyObjectProperty<CaseAnswer> early() {
        return early.getReadOnlyProperty();
    }

    /** What came of every part failing once, of the assessment shown; null until that was worked out. */
    public ObjectProperty<List<FaultAnswer>> faults() {
        return faults;
    }

    /** Failures that wait unseen and one more, of the assessment shown; null until that was worked out. */
    public ObjectProperty<HiddenSearch> hidden() {
        return hidden;
    }

    /** What came of the failures of the layouts looked at last. */
    public KnownFailures knownFailures() {
        return knownFailures;
    }

    /** The flight as it was flown, of the assessment shown; null until that was worked out. */
    public ObjectProperty<Flight> flight() {
        return flight;
    }

    /** Which answer of the case the user chose to see; null until one was chosen. */
    public ObjectProperty<Regime> chosenRegime() {
        return chosenRegime;
    }

    /** Which answer of the case is shown: the chosen one, else the usual of this aircraft. */
    public Regime regime() {
        return chosenRegime.get() != null
                ? chosenRegime.get()
                : Regime.usual(shown.get().project().brief());
    }

    public ObjectProperty<UnitSystem> units() {
        return units;
    }

    /** Id of the picked item, or empty. */
    public StringProperty picked() {
        return picked;
    }

    /** The newest of what is said, or empty. */
    public ReadOnlyStringProperty message() {
        return messages.newest();
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

    /**
     * Every tank of the present project filled alike, m3 by tank id; without building a tank where that was done
     * before.
     */
    public Map<String, Double> filled(Contents contents) {
        Shown now = shown.get();
        return now != null
                        && now.assessment().project() == project
                        && !now.assessment().blocked()
                ? now.assessment().fill(contents)
                : StartingCase.filled(project, contents);
    }

    public Condition condition() {
        return condition;
    }

    /** What is said now, the newest first. */
    public ObservableList<Message> messages() {
        return messages.all();
    }

    /** A word about what was asked for just now. */
    public void say(String text) {
        messages.tell(text, Message.Tone.NOTE);
    }

    /** It was done. */
    public void done(String text) {
        messages.tell(text, Message.Tone.DONE);
    }

    /** It was done, and this can be done next. */
    public void done(String text, Message.Offer next) {
        messages.tell(new Message(text, Message.Tone.DONE, Optional.of(next)));
    }

    /** Something failed. */
    public void trouble(String text) {
        messages.tell(text, Message.Tone.TROUBLE);
    }

    /** It was read and closed. */
    public void dismiss(Message m) {
        messages.dismiss(m);
    }

    /** Work that brings a document into the window, to be watched and stopped. */
    public LongWork opening() {
        return opening;
    }

    /** Puts a document in the window in place of the present one. */
    public void show(Project opened, Path from) {
        show(opened, from, Optional.empty(), Optional.empty());
    }

    /** Puts a document without a file in the window that was worked out already. */
    public void begin(Worked known) {
        show(known.assessment().project(), null, Optional.empty(), Optional.of(known));
    }

    /** Puts a demo in the window, read and worked out behind it. */
    public void openDemo(String name) {
        opening.start(
                task -> Read.demo(name),
                read -> read.worked().ifPresentOrElse(this::begin, () -> trouble(read.trouble())),
                this::trouble);
    }

    private void show(Project opened, Path from, Optional<DocumentStamp> on, Optional<Worked> known) {
        lifetime.get().end();
        opening.cancel();
        Lifetime next = new Lifetime();
        keep(home::forget);
        messages.hush();
        project = opened;
        saved = opened;
        stamp = on;
        history.clear();
        file.set(from);
        mark(from);
        changed.set(false);
        picked.set("");
        chosenRegime.set(null);
        before.set(null);
        condition = known.map(Worked::condition).orElseGet(() -> StartingCase.of(opened));
        known.ifPresent(k -> analyst.take(k, this::deliver));
        faults.set(null);
        hidden.set(null);
        flight.set(null);
        deliver(known.orElseGet(() -> analyst.now(opened, condition)));
        lifetime.set(next);
    }

    /** All that is shown of the document begins anew, in other colors; the document stays as it is. */
    public void showAnew() {
        lifetime.get().end();
        lifetime.set(new Lifetime());
    }

    /** One after the other in the background; of several waiting only the newest counts. */
    private void keep(Runnable work) {
        if (toKeep.getAndSet(work) == null) {
            keeper.execute(() -> {
                Runnable newest = toKeep.getAndSet(null);
                if (newest != null) {
                    newest.run();
                }
            });
        }
    }

    /** Takes up unsaved work of an earlier session, worked out behind the window; it stays unsaved. */
    public void resume(Home.Recovered work) {
        opening.start(task -> Worked.ahead(work.project()), a -> resumed(work, a), this::trouble);
    }

    private void resumed(Home.Recovered work, Worked known) {
        show(work.project(), work.file().orElse(null), Optional.empty(), Optional.of(known));
        saved = null;
        changed.set(true);
        // what stands on disk may be newer than what was lost: ask before it is written over
        stamp = work.file().map(f -> DocumentStamp.UNKNOWN);
        Project copy = project;
        Path from = file.get();
        // in turn, and not with the orders of which only the newest counts: the copy left behind goes once there is
        // another
        keeper.execute(() -> {
            if (home.keep(copy, from)) {
                home.discard(work.copy());
            }
        });
    }

    /** Changes the project. */
    public void apply(Edit edit) {
        Project next = edit.change().apply(project);
        if (next.equals(project)) {
            return;
        }
        history.record(edit, project, next);
        Project was = project;
        become(next);
        // at once, some milliseconds: told later, it would write over what is said of the next key
        endedWords(was, next).ifPresent(this::say);
    }

    /**
     * Which tests an edit ends, and by which input; empty where it ends none. What was taken away by itself needs no
     * telling.
     */
    private static Optional<String> endedWords(Project was, Project next) {
        List<Comparison.Ended> ended = Comparison.ended(was, next).stream()
                .filter(e -> next.test(e.test()).isPresent())
                .toList();
        if (ended.isEmpty()) {
            return Optional.empty();
        }
        String titles = String.join(
                ", ",
                ended.stream()
                        .map(Comparison.Ended::title)
                        .distinct()
                        .limit(MOST_ENDED)
                        .toList());
        return Optional.of("This invalidates " + (ended.size() == 1 ? "1 test" : ended.size() + " tests") + ": "
                + titles + "; " + ended.get(0).causes().get(0) + ". Undo restores "
                + (ended.size() == 1 ? "it" : "them") + ".");
    }

    private static final int MOST_ENDED = 3;

    private void become(Project next) {
        messages.pass();
        before.set(shown.get().assessment());
        project = next;
        condition = StartingCase.adapted(condition, next);
        if (next.system().item(picked.get()).isEmpty()) {
            picked.set("");
        }
        changed.set(!next.equals(saved));
        Path from = file.get();
        boolean unsaved = changed.get();
        keep(() -> {
            if (unsaved) {
                home.keep(next, from);
            } else {
                home.forget();
            }
        });
        analyst.ask(project, condition, early::set, this::deliver);
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
        analyst.ask(project, condition, early::set, this::deliver);
    }

    public void look(Attitude attitude) {
        look(condition.with(attitude));
    }

    private void deliver(Worked result) {
        early.set(null);
        if (shown.get() == null
                || !FaultSearch.sameQuestions(
                        shown.get().project(), result.assessment().project())) {
            faults.set(null);
            hidden.set(null);
        }
        if (shown.get() == null || !shown.get().assessment().answersAs(result.assessment())) {
            flight.set(null);
        }
        shown.set(new Shown(result.assessment().project(), result.condition(), result.assessment(), result.look()));
        keepVerdict(result.assessment());
    }

    /**
     * The verdict a document was saved with, for the list of recent ones: of what stands in the file and nothing else.
     */
    private void keepVerdict(Assessment of) {
        Path path = file.get();
        if (path != null && of.project() == saved && of.sure().isPresent()) {
            // as the strip counts: failures that were not run are Not shown, whatever the checks say
            Verdict worst = of.findings().stream()
                    .map(Finding::verdict)
                    .reduce(Verdict.HOLDS, Verdict::worse)
                    .worse(FaultSum.of(faults.get())
                            .with(hidden.get(), of.project().upkeep())
                            .worst());
            keeper.execute(() -> home.remember(path, of.blocked() ? Verdict.NOT_SHOWN : worst));
        }
    }

    /** A second window of a document is told so: each would save over what the other has not seen. */
    private void mark(Path path) {
        keeper.execute(() -> {
            if (path == null) {
                mark.release();
            } else if (mark.take(path)) {
                Platform.runLater(() -> trouble(path.getFileName()
                        + " is open in another window of Ration too. Close one of them: what one saves, the other does"
                        + " not see until it is opened again."));
            }
        });
    }

    private void shownVerdict() {
        if (shown.get() != null) {
            keepVerdict(shown.get().assessment());
        }
    }

    /** What came of reading a document, with its assessment, or why there is none. */
    /**
     * What came of reading a document.
     *
     * @param opened the file; empty of a demo, and where it cannot be used
     * @param worked what it holds, worked out but for how sure it is; empty where it cannot be used
     * @param trouble why it cannot be used, or empty
     */
    public record Read(Optional<ProjectFile.Opened> opened, Optional<Worked> worked, String trouble) {

        /** Nothing asked for. */
        public static final Read NOTHING = new Read(Optional.empty(), Optional.empty(), "");

        public static Read of(Path path) {
            return of(path, () -> {});
        }

        private static Read of(Path path, Runnable read) {
            try {
                ProjectFile.Opened opened = ProjectFile.load(path);
                read.run();
                return new Read(Optional.of(opened), Optional.of(Worked.ahead(opened.project())), "");
            } catch (ProjectFileException e) {
                return refused(e);
            }
        }

        public static Read demo(String name) {
            try {
                return new Read(Optional.empty(), Optional.of(Worked.ahead(ProjectFile.demoNamed(name))), "");
            } catch (ProjectFileException e) {
                return refused(e);
            }
        }

        private static Read refused(ProjectFileException e) {
            return new Read(Optional.empty(), Optional.empty(), e.fullText());
        }
    }

    /** Opens a file behind the window; says what is wrong and keeps the present document if it cannot be used. */
    public void open(Path path) {
        opening.start(
                task -> Read.of(path, () -> task.progress().accept(0.4)),
                read -> {
                    if (read.opened().isEmpty()) {
                        trouble(read.trouble());
                    } else {
                        begin(read, path);
                    }
                },
                this::say);
    }

    /** Puts a document in the window that was read and worked out already; says what is wrong where it was not. */
    public void begin(Read read, Path from) {
        show(
                read.worked().map(w -> w.assessment().project()).orElseGet(Project::empty),
                read.opened().isPresent() ? from : null,
                read.opened().map(ProjectFile.Opened::stamp),
                read.worked());
        if (read.opened().isPresent()) {
            keeper.execute(() -> home.remember(from));
        }
        if (!read.trouble().isEmpty()) {
            trouble(read.trouble());
        }
    }

    /**
     * Says what was changed since another document, what that did, which tests it ended; worked out behind the window.
     */
    public void compare(Path earlier) {
        Assessment now = shown.get().assessment();
        UnitSystem in = units.get();
        opening.start(
                task -> {
                    try {
                        return Comparison.of(
                                        Assessment.ahead(ProjectFile.open(earlier), Optional.empty())
                                                .sured(),
                                        now,
                                        in)
                                .sentence();
                    } catch (ProjectFileException e) {
                        return e.getMessage();
                    }
                },
                this::say,
                this::trouble);
    }

    /** The same, given to who shows it. */
    public void compare(Path earlier, Consumer<Comparison> then) {
        Assessment now = shown.get().assessment();
        UnitSystem in = units.get();
        opening.start(
                task -> {
                    try {
                        return Optional.of(Comparison.of(
                                Assessment.ahead(ProjectFile.open(earlier), Optional.empty())
                                        .sured(),
                                now,
                                in));
                    } catch (ProjectFileException e) {
                        Platform.runLater(() -> trouble(e.getMessage()));
                        return Optional.<Comparison>empty();
                    }
                },
                c -> c.ifPresent(then),
                this::trouble);
    }

    /** Whether somebody else wrote the document's file since it was opened or saved here. */
    public boolean changedOnDisk(Path path) {
        return path.equals(file.get()) && stamp.filter(s -> !s.stillHolds(path)).isPresent();
    }

    /** What the file on disk holds otherwise than the window, in words. */
    public String differenceOnDisk(Path path) {
        try {
            List<String> words = Difference.between(project, ProjectFile.open(path));
            int more = words.size() - MOST_DIFFERENCES;
            return words.isEmpty()
                    ? "It holds the same as this window."
                    : "There: " + String.join("; ", words.subList(0, Math.min(words.size(), MOST_DIFFERENCES)))
                            + (more > 0 ? "; and " + more + " more." : ".");
        } catch (ProjectFileException e) {
            return e.getMessage();
        }
    }

    /** Saves to a file; says what is wrong if it fails, and loses nothing. */
    public boolean save(Path path) {
        try {
            stamp = Optional.of(ProjectFile.save(project, path));
        } catch (ProjectFileException e) {
            trouble(e.fullText());
            return false;
        }
        saved = project;
        file.set(path);
        mark(path);
        changed.set(false);
        keeper.execute(() -> home.remember(path));
        keepVerdict(shown.get().assessment());
        keep(home::forget);
        return true;
    }

    /** Ends the work behind the window. */
    public void close() {
        opening.cancel();
        analyst.close();
        keeper.execute(mark::release);
        keeper.shutdown();
        try {
            keeper.awaitTermination(5, TimeUnit.SECONDS);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    /** Gives up unsaved work knowingly. */
    public void giveUp() {
        keep(home::forget);
    }
}
