package ration.desktop.frame;

import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressBar;
import javafx.scene.layout.Region;
import ration.desktop.control.RowBox;
import ration.desktop.control.Ui;
import ration.desktop.session.LongWork;

/** Says that a document is being opened, or a packet written, how far it is, and stops it. */
final class OpeningCard extends RowBox {

    private final Label words = Ui.label("", "bold");

    OpeningCard(LongWork opening) {
        super(12);
        setId("opening");
        getStyleClass().add("tile");
        setAlignment(Pos.CENTER_LEFT);
        setMaxSize(Region.USE_PREF_SIZE, Region.USE_PREF_SIZE);
        ProgressBar progress = new ProgressBar();
        progress.setPrefWidth(160);
        progress.progressProperty().bind(opening.progress());
        getChildren().addAll(words, progress, Ui.button("Stop", "opening-stop", opening::cancel));
        visibleProperty().bind(opening.running());
        managedProperty().bind(visibleProperty());
    }

    /** What is being opened. */
    void name(String document) {
        doing("Opening " + document);
    }

    /** What is being done. */
    void doing(String what) {
        words.setText(what);
    }
}
