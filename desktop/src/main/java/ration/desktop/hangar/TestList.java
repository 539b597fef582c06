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
import ration.answer.proof.TestProgram;
import ration.desktop.control.ColumnBox;
import ration.desktop.control.RowBox;
import ration.desktop.control.Ui;
import ration.desktop.style.NotchBar;
import ration.verdict.words.Term;

/** Every test the aircraft gets, by what it is about: how each stands, what it closes, which is next. */
final class TestList extends ColumnBox {

    private static final double[] WIDE = {72, 150, 126, 84};
    /** In a small window; what a test verifies stands beside it. */
    private static final double[] SMALL = {68, 130, 118, 1};

    private final Consumer<TestProgram.Proof> pick;

    TestList(Consumer<TestProgram.Proof> pick) {
        this.pick = pick;
        setId("program");
        setPadding(new Insets(2, 0, 8, 0));
        addEventFilter(KeyEvent.KEY_PRESSED, e -> Ui.walk(this, e));
    }

    /** @param picked key of the test that is open */
    void show(TestProgram program, String picked, String running, LocalDate today) {
        Optional<String> focused = getChildren().stream()
                .filter(javafx.scene.Node::isFocused)
                .map(javafx.scene.Node::getId)
                .findFirst();
        getChildren().clear();
        if (program.tests().isEmpty()) {
            getChildren().add(Ui.wrapped("Add a tank first, on Layout.", "soft"));
            return;
        }
        getChildren().add(head());
        new TestRows(program, picked, running, today).rows().forEach(r -> getChildren()
                .add(row(r)));
        focused.flatMap(id ->
                        getChildren().stream().filter(n -> id.equals(n.getId())).findFirst())
                .ifPresent(javafx.scene.Node::requestFocus);
    }

    private static HBox head() {
        HBox test = new RowBox(Ui.term(Term.VOLUME_TESTS, Ui.label("Test", "soft")));
        Label state = Ui.label("Status", "soft");
        Label closes = Ui.label("Verifies", "soft");
        HBox box = new RowBox(
                5, wide(new Region(), 0), Ui.wide(new Region(), 24), wide(test, 1), wide(state, 2), wide(closes, 3));
        box.setPadding(new Insets(4, 8, 3, 8));
        return box;
    }

    private Button row(TestRows.Row r) {
        TestProgram.Proof p = r.proof();
        NotchBar bar = new NotchBar(24, 7);
        bar.show(r.ratio(), p.verdict());
        Label name = Ui.wrapped(r.name(), p.wanted().asked() ? "plain-text" : "soft");
        Label state = Ui.wrapped(r.state(), r.bad() ? "wrong-text" : p.counts() ? "plain-text" : "soft");
        if (r.strong()) {
            name.getStyleClass().add("bold");
            state.getStyleClass().add("bold");
        }
        HBox box = new RowBox(
                5,
                wide(Ui.wrapped(r.group(), "group-title"), 0),
                bar,
                wide(name, 1),
                wide(state, 2),
                wide(Ui.wrapped(r.closes(), "soft"), 3));
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

    private static Region wide(Region r, int column) {
        return Ui.wide(r, WIDE[column], SMALL[column]);
    }
}
