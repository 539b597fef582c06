package ration.desktop.frame;

import java.util.function.DoubleConsumer;
import javafx.scene.AccessibleRole;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.Region;

/** A small upright tank that is filled by dragging, or with Up and Down. */
final class ContentsGauge extends Region {

    private static final double WIDTH = 18;
    private static final double HANDLE = 6;
    private static final double KEY_STEP = 0.05;

    private final Region fuel = new Region();
    private final Region handle = new Region();
    private final DoubleConsumer onFraction;
    private double fraction;

    ContentsGauge(String id, DoubleConsumer onFraction) {
        this.onFraction = onFraction;
        setId(id);
        setFocusTraversable(true);
        setAccessibleRole(AccessibleRole.SLIDER);
        getStyleClass().add("gauge");
        fuel.getStyleClass().add("gauge-fuel");
        handle.getStyleClass().add("gauge-handle");
        getChildren().addAll(fuel, handle);
        setPrefSize(WIDTH, 50);
        setMinSize(WIDTH, 50);
        setMaxSize(WIDTH, 50);
        setOnMousePressed(e -> {
            requestFocus();
            drag(e.getY());
        });
        setOnMouseDragged(e -> drag(e.getY()));
        setOnKeyPressed(e -> {
            double change = e.getCode() == KeyCode.UP ? KEY_STEP : e.getCode() == KeyCode.DOWN ? -KEY_STEP : 0;
            if (change != 0) {
                set(fraction + change);
                e.consume();
            }
        });
    }

    private void drag(double y) {
        set(1 - (y - HANDLE / 2) / (getHeight() - HANDLE));
    }

    private void set(double to) {
        onFraction.accept(Math.max(0, Math.min(1, to)));
    }

    void show(double part, String words) {
        fraction = Math.max(0, Math.min(1, part));
        setAccessibleText(words);
        requestLayout();
    }

    @Override
    protected void layoutChildren() {
        double h = getHeight() - 2;
        double top = 1 + (1 - fraction) * (h - HANDLE);
        fuel.resizeRelocate(1, top + HANDLE / 2, WIDTH - 2, h - top + 1 - HANDLE / 2);
        handle.resizeRelocate(-2, top, WIDTH + 4, HANDLE);
    }
}
