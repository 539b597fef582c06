package ration.desktop.frame;

import java.nio.file.Path;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.scene.Node;
import javafx.scene.control.TextInputControl;
import ration.desktop.control.QuantityField;
import ration.desktop.control.Ui;
import ration.desktop.session.Home;
import ration.desktop.session.LongWork;
import ration.desktop.session.Session;
import ration.record.file.ProjectFile;
import ration.record.project.Project;

/** Opening, saving and leaving documents: nothing half written and nothing unsaved is lost without a question. */
final class Documents {

    private final Session session;
    private final FileDialogs dialogs;
    private final MessageBar messages;
    private final OpeningCard openingCard;
    private final Node rest;
    private QuantityField<?> leftWrong;

    /** @param rest takes the keys when what was written is taken into the document */
    Documents(Session session, FileDialogs dialogs, MessageBar messages, OpeningCard openingCard, Node rest) {
        this.session = session;
        this.dialogs = dialogs;
        this.messages = messages;
        this.openingCard = openingCard;
        this.rest = rest;
    }

    /** A field that was left with what cannot be taken as it stands. */
    void leftWrong(QuantityField<?> field) {
        leftWrong = field;
    }

    /** Offers what a report of a problem holds; the program sends nothing. */
    void reportProblem(Consumer<Optional<Project>> write) {
        messages.ask(
                "Report a problem: version, system and log go into one zip file for you to send. The program sends"
                        + " nothing.",
                new MessageBar.Choice(
                        "Add the document", "report-document", () -> write.accept(Optional.of(session.project()))),
                new MessageBar.Choice("Without it", "report-plain", () -> write.accept(Optional.empty())),
                new MessageBar.Choice("Cancel", "report-cancel", () -> {}));
    }

    /** Goes on only once unsaved work is saved or given up. */
    void leave(Runnable then) {
        if (!session.changed().get()) {
            then.run();
            return;
        }
        messages.ask(
                session.project().name() + " has unsaved changes.",
                new MessageBar.Choice("Save", "leave-save", () -> {
                    save();
                    if (!session.changed().get()) {
                        then.run();
                    }
                }),
                new MessageBar.Choice("Discard changes", "leave-discard", then),
                new MessageBar.Choice("Cancel", "leave-stay", () -> {}));
    }

    /**
     * Goes on once what is half written has been taken into the document it belongs to; where it cannot be read, asks.
     */
    void settled(Runnable then) {
        Node owner = rest.getScene().getFocusOwner();
        if (!(owner instanceof TextInputControl)
                && leftWrong != null
                && leftWrong.dirty()
                && leftWrong.getScene() != null) {
            owner = leftWrong;
        }
        if (owner instanceof QuantityField<?> field && field.dirty()) {
            field.commit();
            if (field.dirty()) {
                messages.ask(
                        "\u201c" + field.getText() + "\u201d is not a valid " + field.getAccessibleText() + ".",
                        new MessageBar.Choice("Discard entry", "drop-text", () -> {
                            field.giveUp();
                            then.run();
                        }),
                        new MessageBar.Choice("Keep editing", "keep-text", field::requestFocus));
                return;
            }
        } else if (owner instanceof TextInputControl text
                && text.getProperties().get(Ui.ASK_BEFORE_LEAVING) instanceof String was
                && !was.equals(text.getText())) {
            messages.ask(
                    "\u201c" + text.getText() + "\u201d in " + text.getAccessibleText() + " is not entered yet.",
                    new MessageBar.Choice("Discard entry", "drop-text", then),
                    new MessageBar.Choice("Keep editing", "keep-text", text::requestFocus));
            return;
        } else if (owner instanceof TextInputControl) {
            rest.requestFocus();
        }
        then.run();
    }

    void startNew() {
        settled(() -> leave(() -> session.show(Project.empty(), null)));
    }

    void openDemo(String name) {
        settled(() -> leave(() -> {
            openingCard.name(name);
            session.openDemo(name);
        }));
    }

    void askOpen() {
        settled(() -> leave(() -> dialogs.toOpen(FileDialogs.Kind.DOCUMENT).ifPresent(this::open)));
    }

    void open(Path path) {
        openingCard.name(
                path.getFileName() == null
                        ? path.toString()
                        : path.getFileName().toString());
        session.open(path);
    }

    void save() {
        if (session.file().get() == null) {
            saveAs();
        } else {
            save(session.file().get());
        }
    }

    /** Never over what somebody else wrote since: tells what differs and asks. */
    void save(Path path) {
        if (!session.changedOnDisk(path)) {
            session.save(path);
            return;
        }
        messages.ask(
                path.getFileName() + " was changed on disk since it was opened here. " + session.differenceOnDisk(path),
                new MessageBar.Choice("Save as\u2026", "conflict-save-as", this::saveAs),
                new MessageBar.Choice("Overwrite", "conflict-over", () -> session.save(path)),
                new MessageBar.Choice("Cancel", "conflict-leave", () -> {}));
    }

    void saveAs() {
        String name =
                session.project().name().toLowerCase(java.util.Locale.ROOT).replaceAll("[^a-z0-9]+", "-");
        dialogs.toSave(name + ProjectFile.ENDING, FileDialogs.Kind.DOCUMENT)
                .ifPresent(path ->
                        save(path.toString().endsWith(ProjectFile.ENDING) ? path : Path.of(path + ProjectFile.ENDING)));
    }

    /** Offers all work that crashes left behind, and names every copy that cannot be read. */
    void offerRecovery() {
        LongWork looking = new LongWork("recovery");
        looking.start(task -> session.home().left(), this::offer, session::trouble);
    }

    private void offer(Home.Left left) {
        left.damaged()
                .forEach(d -> messages.ask(
                        "A copy of unsaved work cannot be read: " + d.why() + " It is kept as " + d.copy() + ".",
                        new MessageBar.Choice("Keep", "damaged-keep", () -> {}),
                        new MessageBar.Choice("Discard", "damaged-discard", () -> session.home()
                                .discard(d.copy()))));
        left.sound()
                .forEach(w -> messages.ask(
                        "Unsaved work on " + w.project().name() + " from an earlier session was found"
                                + w.file().map(f -> ", of " + f.getFileName()).orElse("") + ".",
                        new MessageBar.Choice("Recover", "recover", () -> leave(() -> session.resume(w))),
                        new MessageBar.Choice("Later", "recover-later", () -> {}),
                        new MessageBar.Choice("Discard", "recover-discard", () -> session.home()
                                .discard(w.copy()))));
    }
}
