package ration.desktop.control;

import javafx.scene.Node;

/** A page of the window. */
public interface Arriving {

    /** What is shown. */
    Node node();

    /** It was gone to: whatever takes its keys has the focus. */
    default void arrive() {
        node().requestFocus();
    }
}
