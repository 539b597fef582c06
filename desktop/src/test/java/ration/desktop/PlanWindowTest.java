package ration.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import javafx.scene.text.Text;
import org.junit.jupiter.api.Test;

/** The layout from above. */
class PlanWindowTest extends WindowHarness {

    /** The system from above is a view of the layout, by keys; what is pressed there is the item on the card. */
    @Test
    void theLayoutIsSeenFromAbove() {
        menu("demo-tansy-l3");
        until(() -> session.project().name().startsWith("Tansy"));
        press("#layer-plan");
        until(() -> node("#layout-plan").isVisible()
                && node("#layout-plan").getAccessibleText().contains("Left tank, ")
                && node("#layout-plan").getAccessibleText().contains(" in left"));
        assertThat(node("#schematic").isVisible()).isFalse();
        robot.clickOnDrawn(n -> n instanceof Text t && t.getText().equals("Strainer") && within(n, "layout-plan"));
        until(() -> session.picked().get().equals("strainer"));
        press("#layer-plan");
        until(() -> node("#schematic").isVisible());
    }
}
