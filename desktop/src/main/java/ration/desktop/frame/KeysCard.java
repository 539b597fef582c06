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
        {"Alt+arrow right, left", "move the selected item left or right (drag also works; height is fixed)"},
        {"Enter", "open the item's card"},
        {"A", "add the next item downstream"},
        {"I", "insert an item in the selected line"},
        {"B", "branch off the selected line"},
        {"J", "join an open port of the selected item to another; type to search"},
        {"O", "add to the selected item: an outlet, an inlet, a breaker; type to search"},
        {"F", "go to an item by name"},
        {"V", "add a vent to the selected tank"},
        {"D", "add a drain to the selected tank or gascolator"},
        {"R", "add a return line from the selected item to its tank"},
        {"P", "insert a starting layout"},
        {"Delete", "remove and rejoin the line"},
        {"Space", "operate the selected selector, valve or pump"},
        {"C", "in a small window, show or hide the case card"},
        {"M", "switch between flow at demand and maximum flow"},
        {"[  ]", "nose down, nose up by 1\u00b0"},
        {",  .", "left side down, right side down by 1\u00b0"},
        {"G", "go to the governing case"},
        {"W", "why: how this page's ledger figure is computed; Enter on any underlined figure does the same"},
        {"T", "terms: the words of this page, explained; dotted words explain themselves under the mouse"},
        {"+  \u2212  0", "zoom in, zoom out, fit"},
        {"Escape", "clear selection"},
        {"Ctrl+Z, Ctrl+Shift+Z", "undo, redo"},
        {"Ctrl+Shift+L", "colors for the night, or the day"},
        {"Ctrl+S, Ctrl+O, Ctrl+N", "save, open, new"},
        {"Ctrl+1, Ctrl+2, Ctrl+3, Ctrl+4", "governing flow, tank and vapor; open findings"},
        {
            "Alt+1 \u2026 Alt+9, Alt+0, Alt+-, Alt+=",
            "the pages, in the order of the rail; Alt+B Build, Alt+S Sign-off, Alt+V Variants"
        },
        {"Ctrl+= or Ctrl++, Ctrl+-, Ctrl+0", "larger text, smaller, the usual size"},
        {"F1", "the guide: the step of this page, and back"},
        {"?", "this card"}
    };

    private final Runnable close;

    KeysCard(Runnable close) {
        this.close = close;
        setId("keys-card");
        setAlignment(Pos.CENTER);
        setOnMouseClicked(e -> close.run());
        setFocusTraversable(true);
    }

    /** Its rows are made when it is first looked at: a start does without them. */
    void show() {
        if (getChildren().isEmpty()) {
            fill();
        }
        setVisible(true);
        requestFocus();
    }

    private void fill() {
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
    }
}
