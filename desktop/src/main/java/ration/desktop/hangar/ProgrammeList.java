package ration.desktop.hangar;

import java.time.LocalDate;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import ration.desktop.control.ColumnBox;
import ration.desktop.control.RowBox;
import ration.desktop.control.Ui;
import ration.desktop.style.NotchBar;
import ration.proof.Programme;
import ration.words.Term;

/** Every test the aircraft gets, by what it is about: how each stands, what it closes, which is next. */
final class ProgrammeList extends ColumnBox {

    private static final double[] WIDE = {72, 150, 126, 84};

    private final Consumer<Programme.Proof> pick;

    ProgrammeList(Consumer<Programme.Proof> pick) {
        this.pick = pick;
        setId("programme");
        setPadding(new Insets(2, 0, 8, 0));
        addEventFilter(KeyEvent.KEY_PRESSED, e -> Ui.walk(this, e));
    }

    /** @param picked key of the test that is open */
    void show(Programme programme, String picked, String running, LocalDate today) {
        Optional<String> focused = getChildren().stream()
                .filter(javafx.scene.Node::isFocused)
                .map(javafx.scene.Node::getId)
                .findFirst();
        getChildren().clear();
        if (programme.tests().isEmpty()) {
            getChildren().add(Ui.wrapped("Add a tank first, on Layout.", "soft"));
            return;
        }
        getChildren().add(head());
        new ProgrammeRows(programme, picked, running, today).rows().forEach(r -> getChildren()
                .add(row(r)));
        focused.flatMap(id ->
                        getChildren().stream().filter(n -> id.equals(n.getId())).findFirst())
                .ifPresent(javafx.scene.Node::requestFocus);
    }

    private static HBox head() {
        Label test = Ui.term(Term.VOLUME_TESTS, Ui.label("Test", "soft"));
        Label state = Ui.label("Status", "soft");
        Label closes = Ui.label("Verifies", "soft");
        HBox box = new RowBox(
                5,
                Ui.wide(new Region(), WIDE[0]),
                Ui.wide(new Region(), 24),
                Ui.wide(test, WIDE[1]),
                Ui.wide(state, WIDE[2]),
                Ui.wide(closes, WIDE[3]));
        box.setPadding(new Insets(4, 8, 3, 8));
        return box;
    }

    private Button row(ProgrammeRows.Row r) {
        Programme.Proof p = r.proof();
        NotchBar bar = new NotchBar(24, 7);
        bar.show(r.ratio(), p.verdict());
        Label name = Ui.label(r.name(), p.wanted().asked() ? "plain-text" : "soft");
        Label state = Ui.label(r.state(), r.bad() ? "wrong-text" : p.counts() ? "plain-text" : "soft");
        if (r.strong()) {
            name.getStyleClass().add("bold");
            state.getStyleClass().add("bold");
        }
        HBox box = new RowBox(
                5,
                Ui.wide(Ui.label(r.group(), "group-title"), WIDE[0]),
                bar,
                Ui.wide(name, WIDE[1]),
                Ui.wide(state, WIDE[2]),
                Ui.wide(Ui.label(r.closes(), "soft"), WIDE[3]));
        box.setAlignment(Pos.CENTER_LEFT);
        Button row = Ui.button("", r.id(), () -> pick.accept(p));
        row.setGraphic(box);
        row.getStyleClass().setAll("button", "fault-row");
        if (r.open()) {
            row.getStyleClass().add("fault-picked");
        }
        if (r.stale()) {
            row.getStyleClass().add("stale-row");
        }
        row.setMaxWidth(Double.MAX_VALUE);
        row.setAccessibleText(r.spoken());
        row.setTooltip(new javafx.scene.control.Tooltip(p.wanted().name() + ": " + p.state()));
        return row;
    }
}
