package ration.desktop;

import java.util.logging.Level;
import java.util.logging.Logger;
import javafx.application.Application;

/** Entry of the window; not an Application itself, so that a plain class path serves. */
public final class Launch {

    private Launch() {}

    public static void main(String[] args) {
        Logger.getLogger("javafx").setLevel(Level.SEVERE);
        if (Boolean.getBoolean("ration.empty")) {
            Application.launch(EmptyWindow.class, args);
            return;
        }
        RationApp.prepare(java.util.List.of(args));
        Application.launch(RationApp.class, args);
    }
}
