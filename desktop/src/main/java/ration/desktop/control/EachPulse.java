package ration.desktop.control;

import javafx.animation.AnimationTimer;
import javafx.application.Platform;

/**
 * Work that follows changes, done at most once between two frames however often it is asked for: the first time as soon
 * as the next frame is laid out, and then with each frame. So a key held down, or a burst of answers, costs one refresh
 * a frame, and what is shown at once, the ledger, is painted before the panels that take longer. To be used on the
 * interface thread.
 */
public final class EachPulse {

    private final Runnable work;
    private boolean asked;
    private boolean doneThisFrame;
    private final AnimationTimer frame = new AnimationTimer() {
        @Override
        public void handle(long now) {
            stop();
            doneThisFrame = false;
            if (asked) {
                run();
            }
        }
    };

    private final AnimationTimer painted = new AnimationTimer() {
        @Override
        public void handle(long now) {
            stop();
            Platform.runLater(EachPulse.this::run);
        }
    };

    public EachPulse(Runnable work) {
        this.work = work;
    }

    /** Asks for the work to be done. */
    public void ask() {
        if (asked) {
            return;
        }
        asked = true;
        if (!doneThisFrame) {
            painted.start();
        }
    }

    /** What was asked for was done by somebody else meanwhile. */
    public void done() {
        asked = false;
    }

    private void run() {
        if (!asked) {
            return;
        }
        asked = false;
        doneThisFrame = true;
        frame.start();
        work.run();
    }
}
