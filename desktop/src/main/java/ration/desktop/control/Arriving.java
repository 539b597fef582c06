package ration.desktop.control;

import javafx.beans.property.SimpleBooleanProperty;
import javafx.beans.value.ObservableBooleanValue;
import javafx.scene.Node;

/** A page of the window. */
public interface Arriving {

    /** Of the case, whatever is looked at. */
    ObservableBooleanValue ALWAYS = new SimpleBooleanProperty(true);

    /** What is shown. */
    Node node();

    /** It was gone to: whatever takes its keys has the focus. */
    default void arrive() {
        node().requestFocus();
    }

    /** Whether what it shows is of the case looked at; a view of it may be of all of them. */
    default ObservableBooleanValue byCase() {
        return ALWAYS;
    }
}
