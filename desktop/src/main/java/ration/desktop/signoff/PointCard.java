package ration.desktop.signoff;

import java.time.LocalDate;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.VBox;
import ration.answer.signoff.Requirement;
import ration.desktop.control.ColumnBox;
import ration.desktop.control.Ui;
import ration.desktop.session.Session;

/** The requirement picked: its words, whose hand it is in, and an inspector's acceptance of it as it is. */
final class PointCard extends ColumnBox {

    private final Session session;
    private final Supplier<LocalDate> today;
    private final Label title = Ui.wrapped("", "page-title");
    private final Label words = Ui.wrapped("");
    private final Label basis = Ui.wrapped("", "soft");
    private final Label remedy = Ui.wrapped("");
    private final TextField owner = field("point-owner", "Owner");
    private final TextField note = field("point-note", "Note");
    private final TextField name = field("accept-name", "Inspector's name");
    private final TextField reason = field("accept-reason", "Reason");
    private final Label accepted = Ui.wrapped("", "soft");
    private final Label trouble = Ui.trouble("accept-trouble");
    private final VBox open = new ColumnBox(5);
    private final Button run;
    private Optional<String> test = Optional.empty();
    private PointWords shown = new PointWords(Optional.empty());

    /** @param openTest opens a test by its key, ready to be run */
    PointCard(Session session, Supplier<LocalDate> today, Consumer<String> openTest) {
        this.session = session;
        this.today = today;
        setSpacing(6);
        getStyleClass().add("card-body");
        title.setId("point-title");
        words.setId("point-words");
        accepted.setId("point-accepted");
        owner.setOnAction(e -> keep());
        note.setOnAction(e -> keep());
        open.getChildren()
                .addAll(
                        Ui.label("Open item", "group-title"),
                        owner,
                        note,
                        Ui.button("Save note", "point-keep", this::keep, "chip"),
                        Ui.label("Inspector acceptance", "group-title"),
                        name,
                        reason,
                        Ui.button("Accept as is", "point-accept", this::accept, "chip"),
                        trouble,
                        Ui.wrapped("Acceptance is recorded beside the finding. The verdict does not change.", "soft"));
        open.managedProperty().bind(open.visibleProperty());
        remedy.managedProperty().bind(remedy.textProperty().isNotEmpty());
        accepted.managedProperty().bind(accepted.textProperty().isNotEmpty());
        run = Ui.button("Open the test that shows it", "point-test", () -> test.ifPresent(openTest), "chip");
        run.setVisible(false);
        run.managedProperty().bind(run.visibleProperty());
        getChildren().addAll(title, words, remedy, run, basis, accepted, open, Ui.rule());
    }

    private static TextField field(String id, String words) {
        TextField f = new TextField();
        f.setId(id);
        f.setPromptText(words);
        f.setAccessibleText(words);
        return f;
    }

    void show(Optional<Requirement> r) {
        PointWords now = new PointWords(r);
        boolean same = now.same(shown);
        shown = now;
        title.setText(now.title());
        words.setText(now.words());
        basis.setText(now.basis());
        remedy.setText(now.remedy());
        accepted.setText(now.accepted());
        open.setVisible(now.open());
        test = r.flatMap(x -> x.test(session.shown().get().assessment()));
        run.setVisible(test.isPresent());
        if (!same) {
            owner.setText(now.owner());
            note.setText(now.note());
            name.setText("");
            reason.setText("");
            trouble.setText("");
        }
    }

    private void keep() {
        shown.kept(owner.getText(), note.getText()).ifPresent(session::apply);
    }

    private void accept() {
        try {
            trouble.setText("");
            shown.taken(name.getText(), reason.getText(), today.get()).ifPresent(edit -> {
                session.apply(edit);
                name.setText("");
                reason.setText("");
            });
        } catch (IllegalArgumentException e) {
            trouble.setText(e.getMessage());
        }
    }
}
