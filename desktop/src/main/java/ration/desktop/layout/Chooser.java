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

    void open(String question, List<NewItem> offers, Consumer<NewItem> chosen, Runnable closed) {
        onClose = closed;
        getChildren().setAll(Ui.label(question, "group-title"));
        for (NewItem offer : offers) {
            Button button = Ui.button("", "offer-" + offer.name().toLowerCase(java.util.Locale.ROOT).replace('_', '-'),
                    () -> {
                        close();
                        chosen.accept(offer);
                    });
            button.getStyleClass().setAll("offer");
            HBox words = new HBox(10, Ui.label(offer.label(), "bold"), Ui.spring(), Ui.label(offer.usual(), "soft"));
            words.setPrefWidth(330);
            button.setGraphic(words);
            button.setAccessibleText(offer.label() + ", " + offer.usual());
            getChildren().add(button);
        }
        getChildren().add(Ui.label("Enter adds it with these figures marked as estimates. Escape closes.", "soft"));
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
