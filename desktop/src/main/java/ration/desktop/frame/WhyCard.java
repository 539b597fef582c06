package ration.desktop.frame;

import java.util.ArrayDeque;
import java.util.Deque;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import ration.base.quantity.UnitSystem;
import ration.desktop.control.ColumnBox;
import ration.desktop.control.RowBox;
import ration.desktop.control.Scroll;
import ration.desktop.control.Ui;
import ration.desktop.session.Session;
import ration.verdict.why.Why;

/** How a figure came about; each figure it was made of can be asked in turn, and the way back is open. */
final class WhyCard extends StackPane {

    private static final double WIDTH = 560;
    private static final double MOST_HEIGHT = 560;

    private final Session session;
    private final VBox body = new ColumnBox(8);
    private final Deque<Why> trail = new ArrayDeque<>();
    private final Button back = Ui.button("Back", "why-back", this::back);
    private Node from;

    WhyCard(Session session) {
        this.session = session;
        setId("why-card");
        Button close = Ui.button("Close", "why-close", this::hide);
        HBox foot = new RowBox(6, back, Ui.spring(), close);
        ScrollPane scroll = new Scroll(body);
        scroll.setFitToWidth(true);
        scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        scroll.getStyleClass().add("plain-scroll");
        scroll.setPrefWidth(WIDTH);
        scroll.setMaxHeight(MOST_HEIGHT);
        VBox card = new ColumnBox(12, scroll, foot);
        card.getStyleClass().add("overlay-card");
        card.setMaxSize(Region.USE_PREF_SIZE, Region.USE_PREF_SIZE);
        card.setOnMouseClicked(javafx.event.Event::consume);
        getChildren().add(card);
        setAlignment(Pos.CENTER);
        setOnMouseClicked(e -> hide());
        setFocusTraversable(true);
        setVisible(false);
    }

    /** Opens on a figure; the focus goes back to where it was asked. */
    void show(Why why, Node asked) {
        from = asked;
        trail.clear();
        trail.push(why);
        setVisible(true);
        fill();
    }

    void hide() {
        setVisible(false);
        if (from != null && from.getScene() != null) {
            from.requestFocus();
        }
    }

    /** One step back; out where there is none. */
    void back() {
        trail.pop();
        if (trail.isEmpty()) {
            hide();
        } else {
            fill();
        }
    }

    private void fill() {
        UnitSystem units = session.units().get();
        Why why = trail.peek();
        back.setDisable(trail.size() < 2);
        Label title = Ui.wrapped(why.figure(), "page-title");
        title.setId("why-figure");
        Label equation = Ui.wrapped(why.equation(units), "equation");
        equation.setId("why-equation");
        body.getChildren().setAll(title, equation, Ui.wrapped(why.says()));
        String about = why.about().apply(units);
        if (!about.isEmpty()) {
            body.getChildren().add(Ui.wrapped("Case: " + about + ".", "soft"));
        }
        if (!why.given().isEmpty()) {
            GridPane given = new GridPane();
            given.setHgap(16);
            given.setVgap(3);
            int n = 0;
            for (Why.Given g : why.given()) {
                given.addRow(n++, Ui.label(g.what()), Ui.label(g.shown(), "bold"), Ui.label(g.by(), "soft"));
            }
            body.getChildren().addAll(Ui.label("Inputs", "group-title"), given);
        }
        body.getChildren().add(Ui.wrapped(why.source(), "soft"));
        if (!why.from().isEmpty()) {
            body.getChildren().addAll(Ui.rule(), Ui.label("Computed from", "group-title"));
            int n = 0;
            for (Why part : why.from()) {
                body.getChildren().add(part(part, n++, units));
            }
        }
        (why.from().isEmpty() ? this : body.lookup("#why-part-0")).requestFocus();
    }

    private Button part(Why part, int n, UnitSystem units) {
        Label name = Ui.label(part.figure());
        HBox.setHgrow(name, Priority.ALWAYS);
        name.setMaxWidth(Double.MAX_VALUE);
        HBox row = new RowBox(8, name, Ui.label(part.value().in(units), "bold"), Ui.label("\u203a", "soft"));
        row.setAlignment(Pos.CENTER_LEFT);
        Button button = Ui.button("", "why-part-" + n, () -> {
            trail.push(part);
            fill();
        });
        button.setGraphic(row);
        button.setAccessibleText(part.figure() + ", " + part.value().in(units) + ", why?");
        button.getStyleClass().setAll("button", "offer");
        row.prefWidthProperty().bind(button.widthProperty().subtract(20));
        return button;
    }
}
