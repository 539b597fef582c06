package ration.desktop.control;

import static org.assertj.core.api.Assertions.assertThat;

import javafx.scene.control.Label;
import javafx.scene.layout.Pane;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.framework.junit5.ApplicationExtension;

/** A view that fails shows that it failed, and never what stood there before as if it were of now. */
@ExtendWith(ApplicationExtension.class)
class CoverTest {

    @Test
    void aViewThatFailsIsCoveredUntilItSucceeds() {
        Pane view = new Pane(new Label("36.0 gph Holds"));
        Cover cover = new Cover(view);
        cover.guard(() -> {});
        assertThat(view.getChildren()).hasSize(1);
        for (int n = 0; n < 2; n++) {
            cover.guard(() -> {
                throw new IllegalStateException("a tank outline not closed");
            });
            assertThat(view.getChildren()).hasSize(2);
            assertThat(((Label) view.getChildren().get(1)).getText()).startsWith("Not shown");
        }
        cover.guard(() -> view.getChildren().setAll(new Label("now")));
        assertThat(view.getChildren()).hasSize(1);
    }
}
