package ration.desktop.control;

import javafx.animation.AnimationTimer;
import javafx.application.Platform;

/**
 * Work that follows changes, done at most once between two frames however often it is asked for: the first time as soon as
 * what is happening now has been dealt with, and then with the next frame. So a key held down, or a burst of answers,
 * costs one refresh a frame. To be used on the interface thread.
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
            Platform.runLater(this::run);
        }
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
