package ration.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import ration.desktop.session.Home;
import ration.desktop.style.Tokens;
import ration.record.project.Pattern;
import ration.record.project.Project;
import ration.verdict.check.Verdict;

/** The page to begin with: a layout chosen by keys, its measuring sheet, the documents opened last. */
class StartWindowTest extends WindowHarness {

    private void showStart() {
        robot.interact(() -> {
            session.show(Project.empty(), null);
            window.showStart();
        });
        until(() -> node("#start-gravity-selector").isFocused());
    }

    @Test
    void aLayoutIsChosenByKeysAndLaidOut() {
        showStart();
        until(() -> label("#start-title").equals(Pattern.GRAVITY_SELECTOR.label()));
        assertThat(label("#start-facts")).contains("12 points and 4 lines to measure");
        keys(KeyCode.DOWN);
        until(() -> label("#start-title").equals(Pattern.GRAVITY_TEED.label()));
        until(() -> node("#start-picture").getAccessibleText().contains("Tee"));
        keys(KeyCode.ENTER);
        until(() ->
                session.project().system().equals(Pattern.GRAVITY_TEED.project().system()));
        until(() -> robot.lookup("#schematic").tryQuery().isPresent());
        assertThat(session.undoName()).contains(Pattern.GRAVITY_TEED.label());
        assertThat(robot.lookup("#start").tryQuery()).isEmpty();
    }

    /** A sheet of a layout that is in no document yet; the one of the document stands in its menu. */
    @Test
    void theMeasuringSheetIsWrittenBeforeAnythingIsLaidOut() throws IOException {
        showStart();
        answers.save = folder.resolve("sheet.pdf");
        robot.clickOn("#start-measuring");
        until(() -> Files.exists(folder.resolve("sheet.pdf")));
        until(() -> everyText().contains("Written: sheet.pdf"));
        assertThat(new String(Files.readAllBytes(folder.resolve("sheet.pdf")), 0, 5))
                .isEqualTo("%PDF-");
        assertThat(session.project()).isEqualTo(Project.empty());
    }

    /** What was written is printed from where that is said: page by page, each as large as its paper, none fitted. */
    @Test
    void aSheetThatWasWrittenIsPrintedTrueToScale() throws IOException {
        answers.save = folder.resolve("lines.pdf");
        showStart();
        robot.clickOn("#start-measuring");
        until(() -> robot.lookup("#message-print").tryQuery().isPresent());
        press("#message-print");
        until(() -> session.messages().stream().anyMatch(m -> m.text().startsWith("No printer is set up")));
        robot.clickOn("#start-measuring");
        until(() -> robot.lookup("#message-print").tryQuery().isPresent());
        java.io.ByteArrayOutputStream paper = new java.io.ByteArrayOutputStream();
        answers.paper = paper;
        press("#message-print");
        until(() -> session.messages().stream().anyMatch(m -> m.text().equals("Sent to the printer: lines.pdf")));
        String postScript = paper.toString(java.nio.charset.StandardCharsets.ISO_8859_1);
        assertThat(postScript).startsWith("%!PS-Adobe");
        assertThat(postScript).contains("/PageSize [612.0 792.0]");
        // a point of the sheet is a point of the paper: what the driver divides by, the page is drawn larger by
        java.util.regex.Matcher scale = java.util.regex.Pattern.compile(
                        "\\[72 ([0-9.]+) div [^\\[]*\\[([0-9.]+) ", java.util.regex.Pattern.DOTALL)
                .matcher(postScript);
        assertThat(scale.find()).isTrue();
        assertThat(72 / Double.parseDouble(scale.group(1)) * Double.parseDouble(scale.group(2)))
                .isCloseTo(1, org.assertj.core.api.Assertions.within(1e-6));
    }

    /** A document saved with its answers is listed with its verdict; changed outside since, it is Not shown. */
    @Test
    void recentDocumentsBringTheVerdictTheyWereSavedWith() throws IOException {
        Path saved = folder.resolve("mine.ration");
        robot.interact(() -> assertThat(session.save(saved)).isTrue());
        until(() -> recent().stream()
                .anyMatch(r -> r.file().equals(saved) && r.verdict().equals(java.util.Optional.of(Verdict.FAILS))));
        robot.interact(() -> window.showStart());
        until(() -> robot.lookup("#start-recent-0").tryQuery().isPresent());
        assertThat(node("#start-recent-0").getAccessibleText())
                .startsWith("Open mine.ration, Fails when last saved 20");
        Files.setLastModifiedTime(saved, java.nio.file.attribute.FileTime.fromMillis(1_700_000_000_000L));
        assertThat(recent().get(0).verdict()).isEmpty();
        robot.interact(() -> window.showStart());
        until(() -> node("#start-recent-0").getAccessibleText().startsWith("Open mine.ration, Not shown"));
        robot.clickOn("#start-recent-0");
        until(() -> saved.equals(session.file().get())
                && robot.lookup("#start").tryQuery().isEmpty());
    }

    /**
     * Night colors by key, over the page that is open and kept for the next start; the same key brings the day back.
     */
    @Test
    void nightColorsAreOneKeyAndAreKept() {
        robot.clickOn("#rail-vapor");
        until(() -> robot.lookup("#vapor-page").tryQuery().isPresent());
        try {
            with(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.L);
            until(() -> Tokens.scheme() == Tokens.Scheme.NIGHT);
            until(() -> robot.lookup("#vapor-page").tryQuery().isPresent()
                    && session.home().choice("colors").equals("night"));
            assertThat(session.changed().get()).isFalse();
            with(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.L);
            until(() -> Tokens.scheme() == Tokens.Scheme.DAY
                    && session.home().choice("colors").equals("day"));
        } finally {
            robot.interact(() -> Tokens.use(Tokens.Scheme.DAY));
        }
    }

    /**
     * The colors of the system, changed while the window stands, are taken up; what was chosen in it goes before them.
     */
    @Test
    void theSystemIsFollowedUntilColorsAreChosen() {
        String chosen = session.home().choice("colors");
        session.home().keepChoice("colors", "");
        robot.clickOn("#rail-vapor");
        until(() -> robot.lookup("#vapor-page").tryQuery().isPresent());
        try {
            robot.interact(() -> window.follow(Tokens.Scheme.NIGHT));
            until(() -> Tokens.scheme() == Tokens.Scheme.NIGHT
                    && robot.lookup("#vapor-page").tryQuery().isPresent());
            assertThat(session.home().choice("colors")).isEmpty();
            with(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.L);
            until(() -> Tokens.scheme() == Tokens.Scheme.DAY);
            robot.interact(() -> window.follow(Tokens.Scheme.NIGHT));
            assertThat(Tokens.scheme()).isEqualTo(Tokens.Scheme.DAY);
        } finally {
            session.home().keepChoice("colors", chosen);
            robot.interact(() -> Tokens.use(Tokens.Scheme.DAY));
        }
    }

    private List<Home.Recent> recent() {
        return session.home().recentWithVerdicts();
    }
}
