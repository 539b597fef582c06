package ration.desktop.control;

import javafx.event.Event;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.ButtonBase;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;

/**
 * Keeps hand and keys where they are while a view makes its controls anew. An assessment comes back whenever it is
 * ready: a button that is just being pressed must not be taken away under the finger, or the press is lost, and the
 * keys must find the control they were on, or the one that took its place.
 */
public final class Steady {

    private final Parent view;
    private ButtonBase touched;

    /** @param view whose controls are made anew */
    public Steady(Parent view) {
        this.view = view;
        view.addEventFilter(MouseEvent.MOUSE_PRESSED, this::touch);
        view.addEventFilter(KeyEvent.KEY_PRESSED, this::touch);
    }

    private void touch(Event e) {
        Node at = e.getTarget() instanceof Node n ? n : null;
        while (at != null && !(at instanceof ButtonBase)) {
            at = at.getParent();
        }
        touched = (ButtonBase) at;
    }

    /** Whether a button of the view is held down now. */
    public boolean held() {
        return touched != null && touched.isArmed() && view.getScene() != null && touched.getScene() == view.getScene();
    }

    /** Makes the view's controls anew and gives the keys back. */
    public void keep(Runnable refresh) {
        Node owner = view.getScene() == null ? null : view.getScene().getFocusOwner();
        if (owner == null || !within(owner) || owner == view) {
            refresh.run();
            return;
        }
        Parent parent = owner.getParent();
        int at = parent.getChildrenUnmodifiable().indexOf(owner);
        refresh.run();
        if (within(owner)) {
            return;
        }
        Node again = owner.getId() == null ? null : view.lookup("#" + owner.getId());
        if (again == null && within(parent) && !parent.getChildrenUnmodifiable().isEmpty()) {
            again = parent.getChildrenUnmodifiable()
                    .get(Math.min(at, parent.getChildrenUnmodifiable().size() - 1));
        }
        if (again != null && again.isFocusTraversable()) {
            again.requestFocus();
        }
    }

    private boolean within(Node node) {
        Node at = node;
        while (at != null && at != view) {
            at = at.getParent();
        }
        return at != null;
    }
}
