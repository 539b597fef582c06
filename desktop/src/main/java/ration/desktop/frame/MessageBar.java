package ration.desktop.frame;

import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import ration.desktop.control.Ui;

/** One line over the page for what must be read or answered; never a window of its own. */
final class MessageBar extends HBox {

    /** An answer. */
    record Choice(String text, String id, Runnable action) {
    }

    private final Label text = Ui.wrapped("");

    MessageBar() {
        super(10);
        getStyleClass().add("message");
        setAlignment(Pos.CENTER_LEFT);
        text.setId("message");
        hide();
    }

    void hide() {
        setVisible(false);
        setManaged(false);
        text.setText("");
    }

    void tell(String message, Runnable closed) {
        getStyleClass().remove("calm");
        show(message, new Choice("Close", "message-close", () -> {
            hide();
            closed.run();
        }));
    }

    void ask(String question, Choice... choices) {
        if (!getStyleClass().contains("calm")) {
            getStyleClass().add("calm");
        }
        show(question, choices);
    }

    private void show(String message, Choice... choices) {
        text.setText(message);
        getChildren().setAll(text, Ui.spring());
        for (Choice c : choices) {
            var button = Ui.button(c.text(), c.id(), () -> {
                hide();
                c.action().run();
            });
            button.setMinWidth(javafx.scene.layout.Region.USE_PREF_SIZE);
            getChildren().add(button);
        }
        setVisible(true);
        setManaged(true);
        getChildren().get(2).requestFocus();
    }
}
