package ration.desktop.control;

import javafx.scene.Group;
import javafx.scene.shape.Circle;
import javafx.scene.shape.Line;
import javafx.scene.shape.Polyline;
import javafx.scene.shape.Shape;
import javafx.scene.shape.StrokeLineJoin;
import ration.desktop.style.Tokens;
import ration.publish.drawing.Ink;

/** A plain aircraft in outline, nose to the right or seen from behind, to show an attitude at a glance. */
public final class Silhouette {

    public static final double WIDTH = 72;
    public static final double HEIGHT = 36;

    private Silhouette() {}

    public static Group side() {
        Polyline body = new Polyline(
                3, 12, 9, 12, 14, 19, 30, 16, 42, 12, 50, 14, 64, 17, 66, 20, 64, 25, 48, 27, 14, 22, 5, 20, 3, 12);
        Polyline wing = new Polyline(34, 9, 54, 8, 55, 10, 34, 11, 34, 9);
        Line prop = new Line(68, 12, 68, 29);
        return styled(
                body,
                wing,
                prop,
                new Line(38, 16, 38, 11),
                new Line(50, 14, 50, 10),
                new Line(54, 26, 57, 31),
                new Circle(58, 32, 3));
    }

    public static Group behind() {
        Polyline wing = new Polyline(4, 16, 68, 16, 68, 18, 4, 18, 4, 16);
        return styled(
                wing,
                new Circle(36, 19, 7),
                new Line(36, 12, 36, 4),
                new Line(26, 11, 46, 11),
                new Line(31, 25, 26, 31),
                new Line(41, 25, 46, 31));
    }

    private static Group styled(Shape... shapes) {
        Group group = new Group();
        for (Shape s : shapes) {
            s.setStroke(Tokens.color(Ink.INK));
            s.setStrokeWidth(1.6);
            s.setStrokeLineJoin(StrokeLineJoin.ROUND);
            s.setFill(Tokens.color(Ink.PANEL));
            group.getChildren().add(s);
        }
        return group;
    }
}
