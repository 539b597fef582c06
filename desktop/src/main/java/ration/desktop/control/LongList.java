package ration.desktop.control;

import java.util.Collections;
import java.util.Iterator;
import java.util.List;
import java.util.function.Supplier;
import javafx.animation.AnimationTimer;
import javafx.scene.Node;
import javafx.scene.layout.Pane;
import ration.desktop.session.Painted;

/**
 * Rows of which only the first are seen without scrolling: those are made at once, the others behind the next pictures,
 * a few a frame. What is shown anew meanwhile takes their place. To be used on the interface thread.
 */
public final class LongList {

    private final Pane into;
    private final int first;
    private final int eachFrame;
    private Iterator<Supplier<Node>> waiting = Collections.emptyIterator();
    /** The first rows stand on the screen before the others are made. */
    private int unpainted;

    private final AnimationTimer frames = new AnimationTimer() {
        @Override
        public void handle(long now) {
            if (unpainted-- > 0) {
                return;
            }
            make(eachFrame);
            if (!waiting.hasNext()) {
                stop();
            }
        }
    };

    /**
     * @param into takes the rows
     * @param first how many are seen without scrolling
     * @param eachFrame how many of the others are made before each frame
     */
    public LongList(Pane into, int first, int eachFrame) {
        this.into = into;
        this.first = first;
        this.eachFrame = eachFrame;
    }

    public void show(List<Supplier<Node>> rows) {
        into.getChildren().clear();
        waiting = List.copyOf(rows).iterator();
        make(first);
        if (waiting.hasNext()) {
            unpainted = Painted.FRAMES;
            frames.start();
        }
    }

    private void make(int count) {
        for (int i = 0; i < count && waiting.hasNext(); i++) {
            into.getChildren().add(waiting.next().get());
        }
    }
}
