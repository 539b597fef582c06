package ration.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import ration.answer.guide.Step;
import ration.base.quantity.Method;
import ration.record.file.ProjectFile;
import ration.record.file.ProjectFileException;
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

    /** Followed on an empty sheet: it leads to the figure itself, and what is entered there ends it. */
    @Test
    void theStepsOfTheAircraftAreFinishedByFollowingThem() {
        robot.interact(() -> session.show(Project.empty(), null));
        keys(KeyCode.F1);
        until(() -> shown("#guide-" + Step.DATUM.file()));
        step(Step.DATUM);
        led("#aircraft-name");
        robot.write("Heron H4");
        keys(KeyCode.TAB);
        step(Step.DATUM);
        robot.interact(() -> node("#guide-go").requestFocus());
        keys(KeyCode.ENTER);
        until(() -> everyText().contains("Add firewall"));
        robot.clickOn("Add firewall");
        step(Step.DATUM);
        led("#field-firewall-station");
        robot.write("-10 in");
        keys(KeyCode.TAB);
        robot.write("tape");
        keys(KeyCode.ENTER);
        step(Step.DATUM);
        led("#brief-parked");
        robot.write("11");
        keys(KeyCode.TAB);
        robot.write("level");
        keys(KeyCode.ENTER);
        until(() -> session.project().brief().envelope().parked().by().equals("level"));
        keys(KeyCode.F1);
        until(() -> everyText().contains("3 of 3 marks named"));
        step(Step.ENGINE);
        led("#brief-power");
        robot.write("85");
        keys(KeyCode.TAB, KeyCode.TAB);
        robot.interact(() -> session.undo());
        until(() -> session.project().brief().power().assumed());
        robot.interact(() -> node("#brief-by-power").requestFocus());
        control(KeyCode.A);
        keys(KeyCode.BACK_SPACE, KeyCode.ENTER);
        until(() -> label("#brief-trouble").contains("Name a source"));
        assertThat(session.project().brief().power().assumed()).isTrue();
        robot.write("maker");
        keys(KeyCode.ENTER);
        until(() -> session.project().brief().power().by().equals("maker"));
        keys(KeyCode.F1);
        until(() -> everyText().contains("1 of 3 with a source"));
    }

    /** Lines begin as estimates of a starting layout; a length written with how it was measured is one no more. */
    @Test
    void aLengthIsMeasuredFromTheGuide() throws ProjectFileException {
        Project layout = ProjectFile.demo("two-outlets");
        robot.interact(() -> session.show(layout, null));
        int before = estimates();
        step(Step.LINES);
        robot.interact(() -> node("#guide-go").requestFocus());
        keys(KeyCode.ENTER);
        until(() -> node("#runs-sheet").isFocused());
        robot.write("47 tape");
        keys(KeyCode.ENTER);
        until(() -> estimates() == before - 1);
    }

    private int estimates() {
        return (int) session.project().system().runs().stream()
                .filter(r -> r.length().filter(m -> !Method.of(m).guessed()).isEmpty())
                .count();
    }

    private void step(Step step) {
        if (!shown("#guide-page")) {
            keys(KeyCode.F1);
        }
        until(() -> shown("#guide-" + step.file()));
        robot.interact(() -> node("#guide-" + step.file()).requestFocus());
        keys(KeyCode.ENTER);
        until(() -> everyText().contains(step.text().title()));
    }

    /** Goes where the first thing that is missing is entered. */
    private void led(String to) {
        robot.interact(() -> node("#guide-go").requestFocus());
        keys(KeyCode.ENTER);
        until(() -> node(to).isFocused());
    }
}
