package ration.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import ration.base.quantity.UnitSystem;

/** Asking figures how they came about, by key and by click, in the real window. */
class WhyWindowTest extends WindowHarness {

    /** From the margin down to the velocity in a line, and back out, without a mouse. */
    @Test
    void theMarginIsFollowedToItsLinesByKeys() {
        focusDrawing();
        keys(KeyCode.W);
        until(() -> label("#why-equation").equals("1.125 = 15.46 gph \u00f7 13.75 gph"));
        assertThat(label("#why-figure")).isEqualTo("Flow margin");
        assertThat(everyText()).anyMatch(t -> t.contains("Takeoff run 12\u00b0, 0.25 g forward, FUSELAGE"));
        until(() -> node("#why-part-0").isFocused());
        keys(KeyCode.SPACE);
        until(() -> label("#why-figure").equals("Flow at minimum inlet pressure"));
        until(() -> node("#why-part-0").isFocused());
        keys(KeyCode.SPACE);
        until(() -> label("#why-equation").startsWith("0.06000 psi = 10.00 in"));
        keys(KeyCode.BACK_SPACE);
        until(() -> label("#why-figure").equals("Flow at minimum inlet pressure"));
        keys(KeyCode.ESCAPE);
        until(() -> !node("#why-card").isVisible());
        assertThat(session.changed().get()).isFalse();
    }

    /** A click on a figure of the case opens it in the units of the window, and leaves the page as it was. */
    @Test
    void aFigureOfTheCaseIsAskedByClick() {
        robot.clickOn("#now-needed");
        until(() -> label("#why-figure").equals("Flow needed"));
        assertThat(label("#why-equation")).isEqualTo("20.62 gph = 13.75 gph \u00d7 1.500");
        robot.clickOn("#why-part-0");
        until(() -> label("#why-equation").equals("13.75 gph = 150 hp \u00d7 0.5500 lb/hp/h \u00f7 6 lb/gal"));
        assertThat(everyText()).contains("BSFC", "0.55 lb/hp/h", "AC 90-89");
        robot.clickOn("#why-close");
        until(() -> !node("#why-card").isVisible());
        robot.interact(() -> session.units().set(UnitSystem.METRIC));
        until(() -> label("#now-needed").endsWith("L/h"));
        robot.interact(() -> node("#now-needed").requestFocus());
        keys(KeyCode.ENTER);
        until(() -> label("#why-equation").endsWith("L/h \u00d7 1.500"));
    }

    /** What a tank keeps back, and what it leaves, say how. */
    @Test
    void theUsableFuelSaysWhatItIsMadeOf() {
        robot.clickOn("#ledger-unusable");
        until(() -> robot.lookup("#tank-usable").tryQuery().isPresent());
        robot.clickOn("#tank-usable");
        until(() -> label("#why-equation").contains("\u2212"));
        assertThat(label("#why-figure")).isEqualTo("Usable fuel, Upper tank");
        keys(KeyCode.ESCAPE);
        until(() -> !node("#why-card").isVisible());
        until(() -> node("#tank-usable").isFocused());
    }
}
