package ration.desktop.control;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.layout.FlowPane;

/**
 * A row of small buttons that changes with what they are about. A button that stays on offer stays the same node, and
 * nothing moves while one is held down: a figure typed a moment earlier must not take the press away.
 */
public final class Chips extends FlowPane {

    private final Map<String, Button> buttons = new LinkedHashMap<>();
    private final Consumer<String> onPress;
    private final String prefix;
    private List<String> wanted = List.of();

    /**
     * @param prefix  of the buttons' ids
     * @param onPress told the words of the button pressed
     */
    public Chips(String prefix, Consumer<String> onPress) {
        super(3, 3);
        this.prefix = prefix;
        this.onPress = onPress;
    }

    /** Offers these, in this order. */
    public void show(List<String> labels) {
        wanted = List.copyOf(labels);
        if (buttons.values().stream().noneMatch(Node::isPressed)) {
            arrange();
        }
    }

    private void arrange() {
        if (wanted.equals(new ArrayList<>(buttons.keySet()))) {
            return;
        }
        Map<String, Button> next = new LinkedHashMap<>();
        for (String label : wanted) {
            next.put(label, buttons.containsKey(label) ? buttons.get(label) : button(label));
        }
        buttons.clear();
        buttons.putAll(next);
        getChildren().setAll(buttons.values());
        setManaged(!buttons.isEmpty());
    }

    private Button button(String label) {
        Button button = Ui.button(label, prefix + label.toLowerCase(java.util.Locale.ROOT).replace(' ', '-'),
                () -> onPress.accept(label), "chip");
        button.pressedProperty().addListener((o, was, now) -> {
            if (!now) {
                javafx.application.Platform.runLater(() -> show(wanted));
            }
        });
        return button;
    }
}
