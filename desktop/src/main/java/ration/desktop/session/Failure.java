package ration.desktop.session;

import java.util.logging.Level;
import java.util.logging.Logger;

/** What a person is told when work in the background fails; the stack goes to the log. */
final class Failure {

    private static final Logger LOG = Logger.getLogger("ration");

    private Failure() {}

    /** A sentence without names of classes. */
    static String words(Throwable e) {
        LOG.log(Level.WARNING, "Work in the background failed", e);
        return "Not shown: "
                + (e instanceof OutOfMemoryError
                        ? "memory ran out while it was worked out."
                        : "the program failed while it was worked out.")
                + " Undo the last change, or save and start again.";
    }
}
