package ration.desktop.style;

import java.util.function.BiFunction;
import java.util.function.Consumer;
import javafx.scene.AccessibleRole;
import javafx.scene.Group;
import javafx.scene.Node;
import javafx.scene.layout.Pane;
import javafx.scene.shape.Rectangle;
import ration.publish.drawing.Picture;

/** A picture that fills its pane and is drawn anew when the pane or what it shows changes. */
public final class PicturePane extends Pane {

    private final Group drawing = new Group();
    private final BiFunction<Double, Double, Picture> draw;

    /**
     * @param draw the picture for a width and a height
     * @param onPick told the id of a pressed item
     */
    public PicturePane(String id, BiFunction<Double, Double, Picture> draw, Consumer<String> onPick) {
        this.draw = draw;
        setId(id);
        setAccessibleRole(AccessibleRole.IMAGE_VIEW);
        drawing.setManaged(false);
        getChildren().add(drawing);
        setMinSize(100, 60);
        Rectangle inside = new Rectangle();
        inside.widthProperty().bind(widthProperty());
        inside.heightProperty().bind(heightProperty());
        setClip(inside);
        widthProperty().addListener((o, was, now) -> redraw());
        heightProperty().addListener((o, was, now) -> redraw());
        setOnMouseClicked(e -> {
            for (Node n = e.getPickResult().getIntersectedNode(); n != null && n != this; n = n.getParent()) {
                if (n.getUserData() instanceof String item && !item.isEmpty()) {
                    onPick.accept(item);
                    return;
                }
            }
        });
    }

    private Node reason(String text) {
        javafx.scene.text.Text words = new javafx.scene.text.Text(16, 28, text);
        words.setWrappingWidth(Math.max(40, getWidth() - 32));
        words.getStyleClass().add("sentence");
        return words;
    }

    public void redraw() {
        if (getWidth() < 60 || getHeight() < 40) {
            return;
        }
        drawing.getChildren().clear();
        StringBuilder words = new StringBuilder();
        try {
            for (Picture.Piece piece : draw.apply(getWidth(), getHeight()).pieces()) {
                drawing.getChildren().add(PictureNodes.group(piece));
                if (!piece.words().isEmpty()) {
                    words.append(piece.words()).append(". ");
                }
            }
        } catch (IllegalArgumentException e) {
            // a tank that does not close cannot be drawn: the reason stands in its place
            drawing.getChildren().setAll(reason("Not shown: " + e.getMessage()));
            words.append("Not shown: ").append(e.getMessage());
        }
        setAccessibleText(words.toString());
    }
}
