package ration.desktop.frame;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import ration.desktop.control.ColumnBox;
import ration.desktop.control.RowBox;
import ration.desktop.control.Ui;
import ration.desktop.session.Message;

/**
 * Lines over the foot of the page for what must be read or answered; never a window of its own, and nothing moves for
 * them. The newest stands first; what was not closed or answered yet stays under it.
 */
final class MessageBar extends ColumnBox {

    /** An answer. */
    record Choice(String text, String id, Runnable action) {}

    MessageBar() {
        setId("messages");
        setMaxHeight(Region.USE_PREF_SIZE);
        setPickOnBounds(false);
        managedProperty().bind(visibleProperty());
        changed();
    }

    private void changed() {
        setVisible(!getChildren().isEmpty());
    }

    /** Shows what is said now, and no more of what was; questions stay over it. */
    void told(List<Message> now, Consumer<Message> closed) {
        getChildren().removeIf(n -> !((Line) n).asks);
        now.forEach(m -> getChildren().add(new Line(m.text(), Optional.of(m.tone()), choices(m, closed))));
        changed();
    }

    private static Choice[] choices(Message m, Consumer<Message> closed) {
        Choice close = new Choice("Close", "message-close", () -> closed.accept(m));
        return m.offer()
                .map(o -> new Choice[] {
                    new Choice(o.text(), o.id(), () -> {
                        closed.accept(m);
                        o.action().run();
                    }),
                    close
                })
                .orElseGet(() -> new Choice[] {close});
    }

    void ask(String question, Choice... choices) {
        getChildren().removeIf(n -> ((Line) n).asks && ((Line) n).text.getText().equals(question));
        Line line = new Line(question, Optional.empty(), choices);
        getChildren().add(0, line);
        changed();
        line.answer();
    }

    /**
     * One message with its buttons. What is only told lets the pointer through to what it lies over, but for its
     * button.
     */
    private final class Line extends StackPane {

        private final Label text = Ui.wrapped("");
        private final HBox row = new RowBox(10);
        private final boolean asks;

        /** @param tone of what is told; empty where it asks */
        Line(String message, Optional<Message.Tone> tone, Choice... choices) {
            this.asks = tone.isEmpty();
            Region ground = new Region();
            ground.getStyleClass()
                    .addAll(
                            "message",
                            tone.map(t -> "message-" + t.name().toLowerCase(Locale.ROOT))
                                    .orElse("calm"));
            ground.setMouseTransparent(!asks);
            row.getStyleClass().add("message-row");
            row.setAlignment(Pos.CENTER_LEFT);
            row.setPickOnBounds(asks);
            setPickOnBounds(asks);
            text.setId("message");
            text.setText(message);
            text.setMouseTransparent(!asks);
            text.setAccessibleText(tone.map(t -> t.word() + ": ").orElse("") + message);
            Label word = Ui.label(
                    tone.filter(t -> t == Message.Tone.TROUBLE)
                            .map(Message.Tone::word)
                            .orElse(""),
                    "bold");
            word.setManaged(!word.getText().isEmpty());
            word.setMouseTransparent(true);
            Region gap = Ui.spring();
            gap.setMouseTransparent(true);
            row.getChildren().setAll(word, text, gap);
            for (Choice c : choices) {
                Button button = Ui.button(c.text(), c.id(), () -> {
                    MessageBar.this.getChildren().remove(this);
                    changed();
                    c.action().run();
                });
                button.setMinWidth(Region.USE_PREF_SIZE);
                row.getChildren().add(button);
            }
            getChildren().setAll(ground, row);
        }

        /** The first thing that can be answered. */
        void answer() {
            row.getChildren().stream()
                    .filter(Button.class::isInstance)
                    .findFirst()
                    .ifPresent(Node::requestFocus);
        }
    }
}
