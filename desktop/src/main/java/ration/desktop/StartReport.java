package ration.desktop;

import java.util.Locale;
import javafx.animation.AnimationTimer;
import javafx.application.Platform;
import javafx.stage.Stage;

/**
 * For measuring starts: with the property ration.started (ms since 1970) tells when the window was mapped and painted,
 * and ends.
 */
final class StartReport {

    private StartReport() {}

    static void watch(Stage stage) {
        String started = System.getProperty("ration.started");
        if (started == null || !started.matches("\\d{1,15}")) {
            return;
        }
        long from = Long.parseLong(started);
        stage.setOnShown(e -> {
            double mapped = (System.currentTimeMillis() - from) / 1000.0;
            new AnimationTimer() {
                private int frames;

                @Override
                public void handle(long now) {
                    // the first frame lays out, the second stands on the screen when the third begins
                    if (++frames == 3) {
                        stop();
                        System.err.printf(
                                Locale.ROOT,
                                "ration: started %.2f %.2f%n",
                                mapped,
                                (System.currentTimeMillis() - from) / 1000.0);
                        Platform.exit();
                    }
                }
            }.start();
        });
    }
}
