package ration.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import ration.answer.guide.Step;
import ration.record.project.Project;

/** The guide beside the document: opened at the step of the page, turned by keys, left to what is missing. */
class GuideWindowTest extends WindowHarness {

    private boolean shown(String id) {
        return robot.lookup(id).tryQuery().isPresent();
    }

    @Test
    void itOpensAtTheStepOfThePageAndLeadsToWhatIsMissing() {
        keys(KeyCode.F1);
        until(() -> node("#guide-" + Step.LAYOUT.file()).isFocused());
        keys(KeyCode.PAGE_DOWN);
        until(() -> everyText().contains(Step.HEIGHTS.text().title())
                && node("#guide-" + Step.HEIGHTS.file()).isFocused());
        until(() -> node("#guide-picture").getAccessibleText() != null);
        robot.interact(() -> node("#guide-term-head").requestFocus());
        keys(KeyCode.SPACE);
        until(() -> node("#guide-term").isVisible());
        keys(KeyCode.ESCAPE);
        until(() -> !node("#guide-term").isVisible());
        robot.interact(() -> node("#guide-" + Step.ATTITUDES.file()).requestFocus());
        keys(KeyCode.ENTER);
        until(() -> everyText().contains("2 of 3 measured"));
        assertThat(everyText()).contains("Still missing");
        robot.interact(() -> node("#guide-go").requestFocus());
        keys(KeyCode.ENTER);
        until(() -> shown("#brief") && !shown("#guide-page"));
        keys(KeyCode.F1);
        until(() -> node("#guide-" + Step.ENGINE.file()).isFocused());
        keys(KeyCode.F1);
        until(() -> shown("#brief") && !shown("#guide-page"));
    }

    /** Without a document there is the example to look at, and the first thing to do; all of it goes on paper. */
    @Test
    void anEmptySheetHasTheExamplesPicturesAndIsPrinted() {
        robot.interact(() -> session.show(Project.empty(), null));
        keys(KeyCode.F1);
        until(() -> everyText().contains("Drawn from the example: your document is not that far yet."));
        until(() -> node("#guide-picture").getAccessibleText().contains("Upper tank"));
        assertThat(everyText()).contains("Still missing", "A tank");
        answers.save = folder.resolve("guide.pdf");
        robot.clickOn("#guide-print");
        until(() -> Files.exists(folder.resolve("guide.pdf")));
        keys(KeyCode.ESCAPE);
        until(() -> !shown("#guide-page"));
    }
}
