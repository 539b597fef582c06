package ration.desktop.layout;

import java.util.List;
import java.util.function.Consumer;
import javafx.scene.control.Button;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import ration.desktop.control.Ui;
import ration.project.NewItem;
import ration.project.Pattern;

/** What can follow, named in trade terms, over the drawing. */
final class Chooser extends VBox {

    private Runnable onClose = () -> { };

    Chooser() {
        super(2);
        setId("chooser");
        getStyleClass().add("overlay-card");
        setMaxSize(Region.USE_PREF_SIZE, Region.USE_PREF_SIZE);
        setVisible(false);
        addEventFilter(javafx.scene.input.KeyEvent.KEY_PRESSED, e -> {
            int step = e.getCode() == KeyCode.DOWN ? 1 : e.getCode() == KeyCode.UP ? -1 : 0;
            if (e.getCode() == KeyCode.ESCAPE) {
                close();
                e.consume();
            } else if (step != 0) {
                move(step);
                e.consume();
            } else if (e.getCode() == KeyCode.ENTER && getScene().getFocusOwner() instanceof Button button) {
                button.fire();
                e.consume();
            }
        });
    }

    /** Something to choose: its name in tests and for assistive technology, what it is called, what it is. */
    record Option(String id, String label, String detail, Runnable chosen) {
    }

    void open(String question, List<NewItem> offers, Consumer<NewItem> chosen, Runnable closed) {
        show(question, "Enter adds it with these figures marked as estimates. Escape closes.", 360, offers.stream().map(
                o -> new Option(o.name().toLowerCase(java.util.Locale.ROOT).replace('_', '-'), o.label(), o.usual(),
                () -> chosen.accept(o))).toList(), closed);
    }

    /** Layouts to start from. */
    void patterns(Consumer<Pattern> chosen, Runnable closed) {
        show("Start from which layout?", "Every figure in it is an estimate to be measured over. Escape closes.", 620,
                java.util.Arrays.stream(Pattern.values()).map(p -> new Option(p.name().toLowerCase(java.util.Locale.ROOT)
                .replace('_', '-'), p.label(), p.detail(), () -> chosen.accept(p))).toList(), closed);
    }

    private void show(String question, String foot, double width, List<Option> options, Runnable closed) {
        onClose = closed;
        getChildren().setAll(Ui.label(question, "group-title"));
        for (Option option : options) {
            Button button = Ui.button("", "offer-" + option.id(), () -> {
                close();
                option.chosen().run();
            });
            button.getStyleClass().setAll("offer");
            HBox words = new HBox(10, Ui.label(option.label(), "bold"), Ui.spring(), Ui.label(option.detail(), "soft"));
            words.setPrefWidth(width);
            button.setGraphic(words);
            button.setAccessibleText(option.label() + ", " + option.detail());
            getChildren().add(button);
        }
        getChildren().add(Ui.label(foot, "soft"));
        setVisible(true);
        getChildren().get(1).requestFocus();
    }

    void close() {
        if (isVisible()) {
            setVisible(false);
            onClose.run();
        }
    }

    private void move(int step) {
        int count = getChildren().size() - 2;
        int at = getChildren().indexOf(getScene().getFocusOwner());
        if (count > 0) {
            getChildren().get(1 + Math.floorMod(at - 1 + step, count)).requestFocus();
        }
    }
}
