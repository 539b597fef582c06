package ration.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import javafx.scene.control.TextInputControl;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import ration.aircraft.model.Fitted;
import ration.aircraft.model.Outlet;
import ration.aircraft.model.Tank;
import ration.base.quantity.Unit;
import ration.record.project.Pattern;

/** An aircraft measured by walking round it: readings typed in any unit, left in the middle and taken up again. */
class WalkWindowTest extends WindowHarness {

    private Outlet outlet() {
        return session.project().system().tanks().get(0).outlets().get(0);
    }

    private void type(String text) {
        robot.write(text);
        keys(KeyCode.ENTER);
    }

    private boolean focused(String start) {
        return stageFocus() instanceof TextInputControl t
                && t.getId() != null
                && t.getId().startsWith(start);
    }

    private javafx.scene.Node stageFocus() {
        return robot.lookup("#walk-page").query().getScene().getFocusOwner();
    }

    @Test
    void readingsGoIntoTheDocumentAsTheyAreTyped() {
        robot.interact(() -> session.show(Pattern.GRAVITY_SELECTOR.project(), null));
        menu("measure");
        until(() -> focused("walk-outlets"));
        String first = label("#walk-title");
        assertThat(first).contains("outlet");
        type("66 1/2");
        until(() -> outlet().place().station().by().equals("level"));
        assertThat(outlet().place().station().si()).isEqualTo(Unit.INCH.toSi(66.5));
        type("");
        type("183 cm");
        until(() -> Math.abs(outlet().place().waterLine().si() - 1.83) < 1e-9);
        assertThat(outlet().place().buttLine().by()).as("passed over").isNotEqualTo("level");
        until(() -> !label("#walk-title").equals(first));
        keys(KeyCode.ESCAPE);
        until(() -> robot.lookup("#walk-page").tryQuery().isEmpty());
        // taken up again where something is left
        menu("measure");
        until(() -> label("#walk-sum").startsWith("2 of "));
        robot.clickOn("#walk-stop-0");
        until(() -> label("#walk-title").equals(first));
        robot.clickOn("#walk-by-tape");
        robot.clickOn("#walk-outlets-outlet-at-buttLine");
        type("a yard");
        until(() -> !label("#walk-trouble").isEmpty());
        robot.interact(() -> ((TextInputControl) node("#walk-outlets-outlet-at-buttLine")).clear());
        type("-39.5");
        until(() -> outlet().place().buttLine().by().equals("tape"));
        keys(KeyCode.ESCAPE);
        control(KeyCode.Z);
        until(() -> !outlet().place().buttLine().by().equals("tape"));
        assertThat(session.project().system().all(Fitted.class)).isNotEmpty();
        assertThat(session.project().system().tanks()).hasOnlyElementsOfType(Tank.class);
    }

    /** Tab walks the boxes in the order printed, over places too; nothing typed is left behind. */
    @Test
    void tabWalksFromPlaceToPlace() {
        robot.interact(() -> session.show(Pattern.GRAVITY_SELECTOR.project(), null));
        menu("measure");
        until(() -> focused("walk-outlets"));
        String first = label("#walk-title");
        for (String reading : java.util.List.of("66.5", "-39", "72")) {
            robot.write(reading);
            keys(KeyCode.TAB);
        }
        until(() -> !label("#walk-title").equals(first) && stageFocus() instanceof TextInputControl);
        assertThat(outlet().place().waterLine().si()).isEqualTo(Unit.INCH.toSi(72));
        String second = label("#walk-title");
        with(KeyCode.SHIFT, KeyCode.TAB);
        until(() -> label("#walk-title").equals(first) && focused("walk-outlets-outlet-at-waterLine"));
        robot.write("73");
        keys(KeyCode.ESCAPE);
        until(() -> ((TextInputControl) stageFocus()).getText().isEmpty());
        robot.write("74");
        robot.clickOn("#walk-stop-1");
        until(() -> label("#walk-title").equals(second));
        assertThat(outlet().place().waterLine().si())
                .as("typed, and taken as one goes")
                .isEqualTo(Unit.INCH.toSi(74));
        keys(KeyCode.ESCAPE);
        until(() -> robot.lookup("#walk-page").tryQuery().isEmpty());
    }
}
