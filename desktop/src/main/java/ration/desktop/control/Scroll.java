package ration.desktop.control;

import javafx.scene.Node;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.Skin;
import javafx.scene.control.SkinBase;

/**
 * A view that scrolls and is painted like all else. The toolkit's own keeps a picture of what is in view, as large as
 * the view, and keeps the pictures of earlier sizes until memory is short: after some hundred changes of page and
 * document that was half a gigabyte.
 */
public class Scroll extends ScrollPane {

    public Scroll() {}

    public Scroll(Node content) {
        super(content);
    }

    @Override
    protected Skin<?> createDefaultSkin() {
        Skin<?> skin = super.createDefaultSkin();
        if (skin instanceof SkinBase<?> base) {
            base.getChildren().stream()
                    .filter(n -> n.getStyleClass().contains("viewport"))
                    .forEach(n -> n.setCache(false));
        }
        return skin;
    }
}
