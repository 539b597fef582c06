package ration.desktop.guide;

import javafx.scene.Group;
import javafx.scene.Node;
import javafx.scene.layout.StackPane;
import javafx.scene.shape.Arc;
import javafx.scene.shape.ArcType;
import javafx.scene.shape.Circle;
import javafx.scene.shape.Polyline;
import ration.answer.guide.StepState;

/** How much of a step is there: dotted none, a share, a check mark all. No verdict. */
final class Pie extends StackPane {

    private static final double RADIUS = 7;

    Pie(StepState s) {
        Circle rim = new Circle(RADIUS, RADIUS, RADIUS);
        rim.getStyleClass().add(s.begun() ? "pie-rim" : "pie-none");
        Group drawn = new Group(rim);
        if (s.whole()) {
            rim.getStyleClass().setAll("pie-whole");
            Polyline check = new Polyline(3.8, 7.4, 6.2, 9.8, 10.4, 4.8);
            check.getStyleClass().add("pie-check");
            drawn.getChildren().add(check);
        } else if (s.begun()) {
            drawn.getChildren().add(share(s));
        }
        getChildren().add(drawn);
        setMinSize(18, 18);
        setMaxSize(18, 18);
    }

    private static Node share(StepState s) {
        Arc arc = new Arc(RADIUS, RADIUS, RADIUS - 2.2, RADIUS - 2.2, 90, -360.0 * s.done() / s.all());
        arc.setType(ArcType.ROUND);
        arc.getStyleClass().add("pie-share");
        return arc;
    }
}
