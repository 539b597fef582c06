package ration.desktop.frame;

import java.util.List;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import ration.desktop.control.Ui;

/**
 * Lines over the page for what must be read or answered; never a window of its own. The newest stands first; what was not
 * closed or answered yet stays under it.
 */
final class MessageBar extends VBox {

    /** Told messages kept at once; questions are never dropped. */
    private static final int MOST_TOLD = 3;

    /** An answer. */
    record Choice(String text, String id, Runnable action) {
    }

    MessageBar() {
        setId("messages");
        managedProperty().bind(visibleProperty());
        changed();
    }

    private void changed() {
        setVisible(!getChildren().isEmpty());
    }

    /** Takes away what was only told; questions stay. */
    void hush() {
        getChildren().removeIf(n -> !((Line) n).asks);
        changed();
    }

    void tell(String message, Runnable closed) {
        getChildren().removeIf(n -> !((Line) n).asks && ((Line) n).text.getText().equals(message));
        show(new Line(message, false, new Choice("Close", "message-close", closed)));
        List<Line> told = getChildren().stream().map(Line.class::cast).filter(l -> !l.asks).toList();
        if (told.size() > MOST_TOLD) {
            getChildren().removeAll(told.subList(MOST_TOLD, told.size()));
        }
    }

    void ask(String question, Choice... choices) {
        getChildren().removeIf(n -> ((Line) n).asks && ((Line) n).text.getText().equals(question));
        show(new Line(question, true, choices));
    }

    private void show(Line line) {
        getChildren().add(0, line);
        changed();
        line.getChildren().get(2).requestFocus();
    }

    /** One message with its buttons. */
    private final class Line extends HBox {

        private final Label text = Ui.wrapped("");
        private final boolean asks;

        Line(String message, boolean asks, Choice... choices) {
            super(10);
            this.asks = asks;
            getStyleClass().add("message");
            if (asks) {
                getStyleClass().add("calm");
            }
            setAlignment(Pos.CENTER_LEFT);
            text.setId("message");
            text.setText(message);
            getChildren().setAll(text, Ui.spring());
            for (Choice c : choices) {
                var button = Ui.button(c.text(), c.id(), () -> {
                    MessageBar.this.getChildren().remove(this);
                    changed();
                    c.action().run();
                });
                button.setMinWidth(Region.USE_PREF_SIZE);
                getChildren().add(button);
            }
        }
    }
}
