package ration.desktop.control;

import java.util.logging.Level;
import java.util.logging.Logger;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.layout.Pane;

/**
 * What a view shows in place of itself when it could not be brought up to date: what stood there before would be of
 * another moment. It goes with the next refresh that succeeds.
 */
public final class Cover {

    private static final Logger LOG = Logger.getLogger("ration");

    private final Pane view;
    private final Label words = Ui.wrapped("", "cover");

    /** @param view covered */
    public Cover(Pane view) {
        this.view = view;
        words.setId("view-failed");
        words.setAlignment(Pos.CENTER);
        words.setManaged(false);
        view.widthProperty().addListener((o, was, now) -> place());
        view.heightProperty().addListener((o, was, now) -> place());
    }

    private void place() {
        words.resizeRelocate(0, 0, view.getWidth(), view.getHeight());
    }

    /** Brings the view up to date, or covers it and says so; never throws. */
    public void guard(Runnable refresh) {
        try {
            refresh.run();
            view.getChildren().remove(words);
        } catch (RuntimeException e) {
            LOG.log(Level.WARNING, "A view could not be brought up to date", e);
            words.setText("Not shown: this view failed on the document as it is now. What stood here was of another"
                    + " moment. Undo the last change; the other pages go on.");
            if (!view.getChildren().contains(words)) {
                view.getChildren().add(words);
            }
            words.toFront();
            place();
        }
    }
}
