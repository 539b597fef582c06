package ration.desktop.session;

import javafx.animation.AnimationTimer;

/** What waits until that which was just put into the window stands on the screen. Interface thread only. */
public final class Painted {

    /** The first frame lays out, the second is painted when the third begins. */
    public static final int FRAMES = 3;

    private Painted() {}

    public static void then(Runnable work) {
        new AnimationTimer() {
            private int frames;

            @Override
            public void handle(long now) {
                if (++frames == FRAMES) {
                    stop();
                    work.run();
                }
            }
        }.start();
    }
}
