package ration.desktop.control;

import java.util.function.Consumer;
import java.util.function.Function;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;

/**
 * A field that takes what people write and gives a value once Enter is pressed or the field is left. Text that cannot
 * be read stays as it is, marked, and says why; Escape brings back the last good one.
 */
public final class QuantityField<T> extends TextField {

    private final Function<String, T> read;
    private final Function<T, String> write;
    private Consumer<T> onValue = v -> {};
    private Consumer<String> onTrouble = m -> {};
    private T value;

    /**
     * @param read throws IllegalArgumentException with a sentence for the writer
     * @param write how a good value is shown
     */
    public QuantityField(String id, String words, Function<String, T> read, Function<T, String> write) {
        this.read = read;
        this.write = write;
        setId(id);
        setAccessibleText(words);
        focusedProperty().addListener((o, was, now) -> {
            if (was) {
                commit();
            }
        });
        setOnKeyPressed(e -> {
            if (e.getCode() == KeyCode.ENTER) {
                commit();
                selectAll();
                e.consume();
            } else if (e.getCode() == KeyCode.ESCAPE && dirty()) {
                show(value);
                e.consume();
            }
        });
    }

    public QuantityField<T> onValue(Consumer<T> action) {
        onValue = action;
        return this;
    }

    /** Told the sentence when the text cannot be read, and an empty one when it can again. */
    public QuantityField<T> onTrouble(Consumer<String> action) {
        onTrouble = action;
        return this;
    }

    /** Shows a value, unless somebody is writing here. */
    public void update(T other) {
        if (!isFocused() || !dirty()) {
            show(other);
        } else {
            value = other;
        }
    }

    private void show(T other) {
        value = other;
        setText(other == null ? "" : write.apply(other));
        trouble("");
    }

    /** Whether the text is not the value last shown. */
    public boolean dirty() {
        return value == null ? !getText().isEmpty() : !getText().equals(write.apply(value));
    }

    /** Gives its value, if what is written can be read; else it stays as written and says why. */
    public void commit() {
        if (!dirty()) {
            trouble("");
            return;
        }
        try {
            T next = read.apply(getText());
            show(next);
            onValue.accept(next);
        } catch (IllegalArgumentException e) {
            trouble(e.getMessage());
        }
    }

    /** Goes back to the last good value. */
    public void giveUp() {
        show(value);
    }

    private void trouble(String message) {
        getStyleClass().remove("wrong");
        if (!message.isEmpty()) {
            getStyleClass().add("wrong");
        }
        onTrouble.accept(message);
    }
}
