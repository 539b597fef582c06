package ration.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.time.LocalDate;
import java.util.Optional;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import ration.record.build.Stage;
import ration.record.build.StepKey;
import ration.record.project.BuildEdits;

/** A build planned and one delay seen through, by keys in the real window. */
class BuildWindowTest extends WindowHarness {

    private static final StepKey R3 = StepKey.line("r3");

    private ration.record.build.Stage stage(StepKey key) {
        return BuildEdits.stage(session.project(), key);
    }

    @Test
    void aBuildIsPlannedAndOneDelayIsSeenThrough() throws IOException {
        with(KeyCode.ALT, KeyCode.B);
        until(() -> label("#build-sum").contains("steps done"));
        assertThat(everyText()).contains("Nothing is entered of the build yet.");
        press("#build-built");
        until(() -> stage(R3) == Stage.FINAL);

        press("#step-new");
        until(() -> node("#step-name").isFocused());
        control(KeyCode.A);
        robot.write("Left panel closed");
        keys(KeyCode.ENTER);
        until(() -> session.project().build().own().containsValue("Left panel closed"));

        // a line comes out again and is ordered anew
        press("#build-done");
        until(() -> robot.lookup("#step-line-r3").tryQuery().isPresent());
        press("#step-line-r3");
        until(() -> robot.lookup("#stage-ordered").tryQuery().isPresent());
        press("#stage-ordered");
        until(() -> stage(R3) == Stage.ORDERED);
        until(() -> robot.lookup("#step-expected").tryQuery().isPresent());
        type("#step-expected", "9 March");
        keys(KeyCode.ENTER);
        until(() -> label("#step-trouble").contains("is not a date"));
        LocalDate day = LocalDate.now().plusDays(14);
        type("#step-expected", day.toString());
        keys(KeyCode.ENTER);
        until(() -> session.project().build().step(R3).expected().equals(Optional.of(day)));
        type("#step-hours", "2");
        keys(KeyCode.ENTER);
        until(() -> session.project().build().step(R3).hours().equals(Optional.of(2.0)));
        assertThat(label("#step-delay")).contains("Not shown until hours a week are entered");
        type("#build-weekly", "14");
        keys(KeyCode.ENTER);
        until(() -> label("#step-delay")
                .equals("Moves the end by 14 h of work, and "
                        + label("#step-delay").replaceAll(".*and (\\d+ steps?)\\.", "$1") + "."));
        type("#step-late", "0");
        keys(KeyCode.ENTER);
        until(() -> label("#step-delay").equals("Moves nothing."));
        assertThat(label("#build-left")).contains("not before " + day.plusDays(1));

        // what waits for it is not offered to it; a test that rests on it waits
        press("#build-waiting");
        until(() -> robot.lookup("#step-test-overnight").tryQuery().isPresent());
        assertThat(node("#step-test-overnight").getAccessibleText()).contains("waits for R3");
        press("#build-timeline");
        until(() -> robot.lookup("#build-picture").tryQuery().isPresent());

        answers.save = folder.resolve("build.csv");
        press("#build-table");
        until(() -> Files.exists(answers.save));
        until(() -> label("#message").startsWith("Written: build.csv"));
        assertThat(Files.readString(answers.save)).contains("line:r3", "ordered,", day.toString());
        robot.interact(session::undo);
        until(() -> session.project().build().weekly().isEmpty());
    }

    /** How a part is got at is typed on its card, which tells what is drained first and what its mount carries. */
    @Test
    void accessOfAPartIsEnteredByKeys() {
        robot.clickOn("#rail-build");
        until(() -> robot.lookup("#build-to-buy").tryQuery().isPresent());
        press("#build-to-buy");
        until(() -> robot.lookup("#step-part-upper").tryQuery().isPresent());
        press("#step-part-upper");
        until(() -> label("#step-drain").contains("from Upper tank"));
        type("#step-panels", "wing root fairing");
        keys(KeyCode.ENTER);
        until(() -> session.project()
                .build()
                .step(StepKey.part("upper"))
                .access()
                .panels()
                .equals("wing root fairing"));
        type("#step-neighbors", "aileron cable");
        keys(KeyCode.ENTER);
        until(() -> session.project()
                .build()
                .step(StepKey.part("upper"))
                .access()
                .neighbors()
                .equals("aileron cable"));
        type("#step-minutes", "soon");
        keys(KeyCode.ENTER);
        until(() -> everyText().stream().anyMatch(t -> t.contains("is not a number from 0 to 1,000")));
        type("#step-weight", "8");
        keys(KeyCode.ENTER);
        until(() ->
                label("#step-load").contains("at 3.8 g") && label("#step-load").endsWith("Not shown."));
    }
}
