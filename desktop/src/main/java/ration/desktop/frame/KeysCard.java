package ration.desktop.frame;

import javafx.geometry.Pos;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import ration.desktop.control.ColumnBox;
import ration.desktop.control.Ui;

/** Every key, on one card. */
final class KeysCard extends StackPane {

    private static final String[][] KEYS = {
        {"Arrow right, left", "walk downstream, upstream"},
        {"Arrow up, down", "walk between branches"},
        {"Alt+arrow right, left", "draw the picked item further right, left; dragging does the same, its height stays"},
        {"Enter", "open the item's card"},
        {"A", "add the next item downstream"},
        {"I", "insert an item in the picked run"},
        {"B", "branch off the picked run"},
        {"J", "join an open port of the picked item to another; letters find"},
        {"O", "what else the picked item may have: an outlet, an inlet, a breaker; letters find"},
        {"F", "go to an item by its name"},
        {"V", "add a vent to the picked tank"},
        {"D", "add a drain to the picked tank or strainer"},
        {"R", "lead a return from the picked item to its tank"},
        {"P", "start an empty sheet from a pattern"},
        {"Delete", "remove, and join the line again"},
        {"Space", "operate the picked selector, valve or pump"},
        {"C", "in a small window, show the card of the case over the drawing, or put it away"},
        {"M", "see the case as it runs, or the most that can pass"},
        {"[  ]", "nose down, nose up by 1\u00b0"},
        {",  .", "left side down, right side down by 1\u00b0"},
        {"G", "go to the governing case"},
        {"W", "why: how the ledger's figure of this page came about; Enter on any underlined figure does the same"},
        {"+  \u2212  0", "zoom in, zoom out, fit"},
        {"Escape", "pick nothing"},
        {"Ctrl+Z, Ctrl+Shift+Z", "undo, redo"},
        {"Ctrl+S, Ctrl+O, Ctrl+N", "save, open, new"},
        {"Ctrl+1, Ctrl+2, Ctrl+3, Ctrl+4", "flow, tank and vapor that govern, open findings"},
        {"Alt+1 \u2026 Alt+9, Alt+0, Alt+-, Alt+=, Alt+S", "the pages, in the order of the rail"},
        {"?", "this card"}
    };

    KeysCard(Runnable close) {
        setId("keys-card");
        GridPane grid = new GridPane();
        grid.setHgap(24);
        grid.setVgap(6);
        for (int i = 0; i < KEYS.length; i++) {
            grid.addRow(i, Ui.label(KEYS[i][0], "bold"), Ui.label(KEYS[i][1]));
        }
        VBox card = new ColumnBox(12, Ui.label("Keys", "page-title"), grid, Ui.button("Close", "keys-close", close));
        card.getStyleClass().add("overlay-card");
        card.setMaxSize(Region.USE_PREF_SIZE, Region.USE_PREF_SIZE);
        getChildren().add(card);
        setAlignment(Pos.CENTER);
        setOnMouseClicked(e -> close.run());
        setFocusTraversable(true);
    }
}
