package ration.desktop.faults;

import javafx.scene.Node;
import javafx.scene.layout.StackPane;
import javafx.scene.shape.Arc;
import javafx.scene.shape.ArcType;
import javafx.scene.shape.Circle;
import ration.answer.fault.HiddenSearch.Pair;
import ration.desktop.control.Ui;

/** One pair as a sign that can be told from the others without colour. */
final class HiddenTile extends StackPane {

    private static final double WIDE = 30;
    private static final double HIGH = 20;
    private static final double RADIUS = 5;

    HiddenTile(Pair p) {
        setMinSize(WIDE, HIGH);
        setMaxSize(WIDE, HIGH);
        getStyleClass().add("hidden-tile");
        Node sign = sign(p);
        if (sign != null) {
            getChildren().add(sign);
        }
    }

    private Node sign(Pair p) {
        return switch (p.outcome()) {
            case STOPS -> {
                getStyleClass().add("hidden-stop");
                yield Ui.label(HiddenTable.tile(p), "hidden-minutes");
            }
            case UNSEEN -> new StackPane(ring(), half());
            case SWITCHED -> ring();
            case MET -> dot();
            case SAME_PART -> Ui.label("\u2013", "soft");
            case NOT_SHOWN, NOT_RUN -> {
                getStyleClass().add("hidden-unknown");
                yield Ui.label("?", "soft");
            }
        };
    }

    private static Circle ring() {
        Circle ring = new Circle(RADIUS);
        ring.getStyleClass().add("hidden-ring");
        return ring;
    }

    private static Node half() {
        Arc arc = new Arc(0, 0, RADIUS, RADIUS, 90, 180);
        arc.setType(ArcType.CHORD);
        arc.getStyleClass().add("hidden-half");
        StackPane left = new StackPane(arc);
        left.setTranslateX(-RADIUS / 2);
        return left;
    }

    private static Circle dot() {
        Circle dot = new Circle(1.2);
        dot.getStyleClass().add("hidden-half");
        return dot;
    }
}
