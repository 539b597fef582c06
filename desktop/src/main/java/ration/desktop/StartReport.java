package ration.desktop;

import java.util.Locale;
import javafx.application.Platform;
import javafx.stage.Stage;
import ration.desktop.session.Painted;

/**
 * For measuring starts: with the property ration.started (ms since 1970) tells when the window was mapped and when what
 * was asked for stood painted in it, and ends.
 */
final class StartReport {

    private final String started = System.getProperty("ration.started", "");
    private long mapped;

    StartReport(Stage stage) {
        stage.setOnShown(e -> mapped = System.currentTimeMillis());
    }

    /** All is in the window that was asked for. */
    void filled() {
        if (!started.matches("\\d{1,15}")) {
            return;
        }
        long from = Long.parseLong(started);
        Painted.then(() -> {
            System.err.printf(
                    Locale.ROOT,
                    "ration: started %.2f %.2f%n",
                    (mapped - from) / 1000.0,
                    (System.currentTimeMillis() - from) / 1000.0);
            Platform.exit();
        });
    }
}
