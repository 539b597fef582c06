package ration.desktop.control;

import java.util.Optional;
import java.util.function.Supplier;
import javafx.scene.AccessibleRole;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;
import ration.verdict.why.Why;

/**
 * A figure that tells on a click, or on Enter or Space, how it came about; one that has no derivation is a plain label.
 */
public final class Figure extends Label {

    private Optional<Supplier<Why>> because = Optional.empty();

    public Figure(String id, String... styles) {
        setId(id);
        getStyleClass().addAll(styles);
        addEventHandler(MouseEvent.MOUSE_CLICKED, e -> {
            if (because.isPresent()) {
                e.consume();
                ask();
            }
        });
        addEventHandler(KeyEvent.KEY_PRESSED, e -> {
            if (because.isPresent() && (e.getCode() == KeyCode.ENTER || e.getCode() == KeyCode.SPACE)) {
                e.consume();
                ask();
            }
        });
    }

    /** Shows a figure, and how it came about where that is known. */
    public Figure show(String text, Optional<Supplier<Why>> why) {
        setText(text);
        because = why;
        getStyleClass().remove("asks");
        if (why.isPresent()) {
            getStyleClass().add("asks");
        }
        setFocusTraversable(why.isPresent());
        setAccessibleRole(why.isPresent() ? AccessibleRole.BUTTON : AccessibleRole.TEXT);
        setAccessibleText(why.isPresent() ? text + ", why?" : text);
        return this;
    }

    /** Asks for it, as a click does. */
    public void ask() {
        because.ifPresent(w -> fireEvent(new WhyEvent(this, w.get())));
    }
}
