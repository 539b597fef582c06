package ration.desktop.session;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.logging.FileHandler;
import java.util.logging.Level;
import java.util.logging.Logger;
import java.util.logging.SimpleFormatter;

/** What went wrong, in a file of the program's own folder that a user can send: ration-0.log, and the one before it. */
final class Log {

    private static final Logger LOG = Logger.getLogger("ration");
    private static final int LARGEST = 1 << 20;
    private static final int KEPT = 2;

    private Log() {}

    /**
     * Keeps it from now on. Where it cannot be kept, the work goes on without.
     *
     * @return to be closed when the program ends
     */
    static AutoCloseable in(Path folder) {
        try {
            Files.createDirectories(folder);
            FileHandler file =
                    new FileHandler(folder.toString().replace("%", "%%") + "/ration-%g.log", LARGEST, KEPT, true);
            file.setFormatter(new SimpleFormatter());
            file.setEncoding("UTF-8");
            LOG.addHandler(file);
            return () -> {
                LOG.removeHandler(file);
                file.close();
            };
        } catch (IOException | SecurityException e) {
            LOG.log(Level.WARNING, "No log is kept", e);
            return () -> {};
        }
    }

    /** What nobody caught is in it too. */
    static void takeUncaught() {
        Thread.setDefaultUncaughtExceptionHandler(
                (thread, e) -> LOG.log(Level.SEVERE, "Uncaught in " + thread.getName(), e));
    }
}
