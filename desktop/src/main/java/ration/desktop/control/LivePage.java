package ration.desktop.control;

import javafx.scene.Node;
import javafx.scene.layout.BorderPane;
import ration.desktop.session.Session;

/**
 * A page that follows the session while it is in the window, once a frame at most, and catches up with what changed
 * once it is shown again.
 */
public abstract class LivePage extends BorderPane implements Arriving {

    private final Cover cover = new Cover(this);
    private boolean stale = true;
    private final Steady steady = new Steady(this);
    private final EachPulse pulse = new EachPulse(this::follow);

    /**
     * A page, to be filled by its subclass.
     *
     * @param id of its node
     * @param words its accessible name
     */
    protected LivePage(Session session, String id, String words) {
        setId(id);
        setFocusTraversable(true);
        setAccessibleText(words);
        session.whileOpen().follow(session.shown(), pulse::ask);
        session.whileOpen().follow(session.units(), pulse::ask);
        sceneProperty().addListener((o, was, now) -> {
            if (now != null && stale) {
                now();
            }
        });
    }

    @Override
    public Node node() {
        return this;
    }

    /** Shows what is now so, at once or when the page is next in the window. */
    protected final void update() {
        now();
    }

    /** A button held down is let go first. */
    private void follow() {
        if (steady.held()) {
            pulse.ask();
        } else {
            now();
        }
    }

    private void now() {
        stale = getScene() == null;
        if (!stale) {
            steady.keep(() -> cover.guard(this::refresh));
        }
    }

    /** Shows what is now so; called only while the page is in the window. */
    protected abstract void refresh();
}
