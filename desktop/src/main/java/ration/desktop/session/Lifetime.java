package ration.desktop.session;

import java.util.ArrayList;
import java.util.List;
import javafx.beans.value.ChangeListener;
import javafx.beans.value.ObservableValue;

/**
 * What goes on only while one document is in the window: what its pages listen to, and the work they have under way.
 * Another document ends all of it at once, and pages are made anew: nothing of one aircraft can be shown with another.
 * On the interface thread.
 */
public final class Lifetime {

    private final List<Runnable> ends = new ArrayList<>();
    private boolean ended;

    Lifetime() {}

    /** Told of changes while the document is in the window. */
    public <T> void follow(ObservableValue<T> what, ChangeListener<? super T> heard) {
        what.addListener(heard);
        onEnd(() -> what.removeListener(heard));
    }

    /** The same, of something that only needs to know that it changed. */
    public void follow(ObservableValue<?> what, Runnable heard) {
        follow(what, (o, was, now) -> heard.run());
    }

    /** Work that is given up with the document. */
    public LongWork work(String name) {
        LongWork work = new LongWork(name);
        onEnd(work::close);
        return work;
    }

    /** Done when the document leaves the window; at once, where it has left. */
    public void onEnd(Runnable end) {
        if (ended) {
            end.run();
        } else {
            ends.add(end);
        }
    }

    void end() {
        ended = true;
        ends.forEach(Runnable::run);
        ends.clear();
    }
}
