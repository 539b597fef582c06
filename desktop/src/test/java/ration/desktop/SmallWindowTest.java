package ration.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.Region;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import ration.aircraft.condition.Power;
import ration.desktop.frame.Page;
import ration.record.file.ProjectFile;

/** A window of 1024 x 700: every page keeps inside it, and what finds no room folds and can be opened. */
class SmallWindowTest extends WindowHarness {

    @BeforeEach
    void small() {
        robot.interact(() -> {
            stage.setWidth(1024);
            stage.setHeight(700);
        });
    }

    private static boolean seen(Node node) {
        return node != null && node.isVisible() && (node.getParent() == null || seen(node.getParent()));
    }

    /** What the lowest window has inside its decorations. */
    private static final double LEAST = 612;

    @Test
    void everyPageKeepsInside() {
        Parent root = stage.getScene().getRoot();
        for (Page page : Page.values()) {
            String id = "#rail-" + page.name().toLowerCase(java.util.Locale.ROOT);
            robot.interact(() -> node(id).requestFocus());
            keys(KeyCode.ENTER);
            robot.interact(() -> {
                root.applyCss();
                root.layout();
            });
            Region frame = (Region) root.getChildrenUnmodifiable().get(0);
            assertThat(frame.minWidth(-1)).as("width of " + page).isLessThanOrEqualTo(1024);
            assertThat(frame.minHeight(1024)).as("height of " + page).isLessThanOrEqualTo(LEAST);
        }
        for (String beside : List.of("guide", "measure")) {
            menu(beside);
            robot.interact(() -> {
                root.applyCss();
                root.layout();
            });
            Region frame = (Region) root.getChildrenUnmodifiable().get(0);
            assertThat(frame.minWidth(-1)).as("width of " + beside).isLessThanOrEqualTo(1000);
            assertThat(frame.minHeight(1000)).as("height of " + beside).isLessThanOrEqualTo(LEAST);
        }
    }

    /** The drawing has the whole width; the card of what is picked lies over it, clear of the item. */
    @Test
    void theCardLiesOverTheDrawingClearOfWhatIsPicked() {
        Region drawing = (Region) node("#schematic");
        until(() -> drawing.getWidth() > 850 && !node("#card").isVisible());
        robot.interact(() -> session.picked().set("strainer"));
        until(() ->
                node("#card").isVisible() && node("#card").getBoundsInParent().getMinX() > 500);
        robot.interact(() -> session.picked().set("carburettor"));
        until(() -> node("#card").getBoundsInParent().getMaxX() < 400);
        focusDrawing();
        keys(KeyCode.ESCAPE);
        until(() -> !node("#card").isVisible());
        keys(KeyCode.C);
        until(() -> node("#card").isVisible() && everyText().contains("Current case"));
    }

    @Test
    void conditionsFoldAndOpen() throws Exception {
        var tansy = ProjectFile.demo("tansy-l3");
        robot.interact(() -> session.show(tansy, null));
        until(() -> seen(robot.lookup("#fold-engine").query())
                && !seen(robot.lookup("#power-cruise").query()));
        press("#fold-engine");
        until(() -> seen(robot.lookup("#power-cruise").query()));
        press("#power-cruise");
        until(() -> session.condition().engine().power() == Power.CRUISE);
        press("#fold-selector");
        until(() -> seen(robot.lookup("#fold-engine").query())
                && seen(robot.lookup("#position-selector-left").query())
                && everyText().contains("Cruise, 59 \u00b0F"));
    }
}
