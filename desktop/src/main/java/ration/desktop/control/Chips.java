package ration.desktop.control;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.layout.FlowPane;

/**
 * A row of small buttons that changes with what they are about. A button that stays on offer stays the same node, and
 * nothing moves while one is held down: a figure typed a moment earlier must not take the press away.
 */
public final class Chips extends FlowPane {

    private final Map<String, Button> buttons = new LinkedHashMap<>();
    private final String prefix;
    private Map<String, Runnable> wanted = Map.of();

    /** @param prefix of the buttons' ids */
    public Chips(String prefix) {
        super(3, 3);
        this.prefix = prefix;
    }

    /** Offers what these words do, in this order. */
    public void show(Map<String, Runnable> offers) {
        wanted = new LinkedHashMap<>(offers);
        if (buttons.values().stream().noneMatch(Node::isPressed)) {
            arrange();
        }
    }

    private void arrange() {
        if (List.copyOf(wanted.keySet()).equals(List.copyOf(buttons.keySet()))) {
            return;
        }
        Map<String, Button> next = new LinkedHashMap<>();
        for (String label : wanted.keySet()) {
            next.put(label, buttons.containsKey(label) ? buttons.get(label) : button(label));
        }
        buttons.clear();
        buttons.putAll(next);
        getChildren().setAll(buttons.values());
        setManaged(!buttons.isEmpty());
    }

    private void press(String label) {
        Runnable act = wanted.get(label);
        if (act != null) {
            act.run();
        }
    }

    private Button button(String label) {
        Button button = Ui.button(
                label, prefix + label.toLowerCase(java.util.Locale.ROOT).replace(' ', '-'), () -> press(label), "chip");
        button.pressedProperty().addListener((o, was, now) -> {
            if (!now) {
                javafx.application.Platform.runLater(() -> show(wanted));
            }
        });
        return button;
    }
}
