package ration.desktop.control;

import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import ration.check.Verdict;

/** The few things every view builds in the same way. */
public final class Ui {

    private Ui() {
    }

    public static Label label(String text, String... styles) {
        Label label = new Label(text);
        label.getStyleClass().addAll(styles);
        return label;
    }

    public static Label wrapped(String text, String... styles) {
        Label label = label(text, styles);
        label.setWrapText(true);
        label.setMinHeight(Region.USE_PREF_SIZE);
        return label;
    }

    /** Where a page says why what was written cannot be read; takes no room while there is nothing to say. */
    public static Label trouble(String id) {
        Label label = wrapped("", "wrong-text");
        label.setId(id);
        label.managedProperty().bind(label.textProperty().isNotEmpty());
        return label;
    }

    /** A button with its name for assistive technology and tests. */
    public static Button button(String text, String id, Runnable action, String... styles) {
        Button button = new Button(text);
        button.setId(id);
        button.setOnAction(e -> action.run());
        button.getStyleClass().addAll(styles);
        button.setMnemonicParsing(false);
        button.setMinWidth(Region.USE_PREF_SIZE);
        return button;
    }

    public static Region spring() {
        Region region = new Region();
        HBox.setHgrow(region, Priority.ALWAYS);
        return region;
    }

    public static Region rule() {
        Region region = new Region();
        region.getStyleClass().add("rule");
        return region;
    }

    public static Region tallRule() {
        Region region = new Region();
        region.getStyleClass().add("tall-rule");
        return region;
    }

    /** The verdict as a word in its ink. */
    public static void verdict(Label label, Verdict verdict) {
        label.setText(verdict.word());
        label.getStyleClass().removeIf(s -> s.startsWith("verdict-"));
        label.getStyleClass().add("verdict-" + verdict.name().toLowerCase(java.util.Locale.ROOT).replace('_', '-'));
    }

    public static <N extends Node> N named(N node, String id, String words) {
        node.setId(id);
        node.setAccessibleText(words);
        return node;
    }
}
