package ration.desktop;

import javafx.application.Application;
import javafx.scene.Scene;
import javafx.scene.layout.Pane;
import javafx.stage.Stage;

/**
 * What a start is measured against, with the property ration.empty: a window of the same toolkit with nothing in it.
 */
public final class EmptyWindow extends Application {

    @Override
    public void start(Stage stage) {
        stage.setScene(new Scene(new Pane(), 1280, 800));
        StartReport report = new StartReport(stage);
        stage.show();
        report.filled();
    }
}
