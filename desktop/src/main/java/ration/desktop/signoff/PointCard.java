package ration.desktop.signoff;

import java.time.LocalDate;
import java.util.Optional;
import java.util.function.Supplier;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.VBox;
import ration.acceptance.SignOff;
import ration.desktop.control.Ui;
import ration.desktop.session.Session;
import ration.project.Edit;
import ration.signoff.Requirement;

/** The requirement picked: its words, whose hand it is in, and an inspector's acceptance of it as it is. */
final class PointCard extends VBox {

    private final Session session;
    private final Supplier<LocalDate> today;
    private final Label title = Ui.wrapped("", "page-title");
    private final Label words = Ui.wrapped("");
    private final Label basis = Ui.wrapped("", "soft");
    private final Label remedy = Ui.wrapped("");
    private final TextField owner = field("point-owner", "In whose hand");
    private final TextField note = field("point-note", "Note");
    private final TextField name = field("accept-name", "Inspector's name");
    private final TextField reason = field("accept-reason", "Reason");
    private final Label accepted = Ui.wrapped("", "soft");
    private final Label trouble = Ui.trouble("accept-trouble");
    private final VBox open = new VBox(5);
    private Optional<Requirement> shown = Optional.empty();

    PointCard(Session session, Supplier<LocalDate> today) {
        this.session = session;
        this.today = today;
        setSpacing(6);
        getStyleClass().add("card-body");
        title.setId("point-title");
        words.setId("point-words");
        accepted.setId("point-accepted");
        owner.setOnAction(e -> keep());
        note.setOnAction(e -> keep());
        open.getChildren().addAll(Ui.label("Open point", "group-title"), owner, note, Ui.button("Keep", "point-keep", this::keep, "chip"), Ui.label("An inspector accepts it as found",
                "group-title"), name, reason, Ui.button("Accept as found", "point-accept", this::accept, "chip"), trouble, Ui.wrapped(
                        "It stays what it is: an acceptance stands beside a finding and never changes it.", "soft"));
        open.managedProperty().bind(open.visibleProperty());
        remedy.managedProperty().bind(remedy.textProperty().isNotEmpty());
        accepted.managedProperty().bind(accepted.textProperty().isNotEmpty());
        getChildren().addAll(title, words, remedy, basis, accepted, open, Ui.rule());
    }

    private static TextField field(String id, String words) {
        TextField f = new TextField();
        f.setId(id);
        f.setPromptText(words);
        f.setAccessibleText(words);
        return f;
    }

    void show(Optional<Requirement> r) {
        boolean same = shown.map(Requirement::id).equals(r.map(Requirement::id));
        shown = r;
        title.setText(r.map(Requirement::title).orElse("Pick a requirement"));
        words.setText(r.map(Requirement::words).orElse("Its words, its source, what closes it, and who has it in hand."));
        basis.setText(r.map(Requirement::basis).orElse(""));
        remedy.setText(r.map(x -> x.finding().remedy()).orElse(""));
        accepted.setText(r.flatMap(Requirement::accepted).map(a -> "Accepted as found by " + a.name() + " on " + a.on() + ": " + a.reason() + (r.get().acceptedOtherwise()
                ? ". What was found then was another: " + a.as() : "")).orElse(""));
        open.setVisible(r.filter(Requirement::open).isPresent());
        if (!same) {
            owner.setText(r.flatMap(Requirement::point).map(SignOff.Point::owner).orElse(""));
            note.setText(r.flatMap(Requirement::point).map(SignOff.Point::note).orElse(""));
            name.setText("");
            reason.setText("");
            trouble.setText("");
        }
    }

    private void keep() {
        shown.ifPresent(r -> {
            SignOff.Point point = new SignOff.Point(r.id(), owner.getText().strip(), note.getText().strip());
            session.apply(Edit.of("Note an open point", p -> p.with(p.signOff().with(point))));
        });
    }

    private void accept() {
        shown.ifPresent(r -> {
            try {
                trouble.setText("");
                SignOff.Accepted one = new SignOff.Accepted(r.id(), name.getText().strip(), reason.getText().strip(), today.get(), Requirement.as(r.finding()));
                session.apply(Edit.of("Accept as found", p -> p.with(p.signOff().with(one))));
                name.setText("");
                reason.setText("");
            } catch (IllegalArgumentException e) {
                trouble.setText(e.getMessage());
            }
        });
    }
}
