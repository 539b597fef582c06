package ration.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import javafx.event.Event;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import ration.aircraft.model.Run;
import ration.record.file.ProjectFile;
import ration.record.file.ProjectFileException;

/** Nothing that was typed, saved or said is lost: keys held down, fields half written, two windows on one file. */
class KeepingWorkTest extends WindowHarness {

    /** Presses that ten seconds of key repeat give, at thirty a second. */
    private static final int TEN_SECONDS = 300;

    /** A key held down as the system tells it: presses without a release, as fast as they come. */
    private void hold(KeyCode code, String typed) {
        robot.interact(() -> {
            for (int i = 0; i < TEN_SECONDS; i++) {
                Node at = node("#rail-flow").getScene().getFocusOwner();
                Node target = at == null ? node("#rail-flow").getScene().getRoot() : at;
                Event.fireEvent(target, new KeyEvent(KeyEvent.KEY_PRESSED, "", "", code, false, false, false, false));
                if (!typed.isEmpty()) {
                    Event.fireEvent(
                            target,
                            new KeyEvent(
                                    KeyEvent.KEY_TYPED, typed, typed, KeyCode.UNDEFINED, false, false, false, false));
                }
            }
            Node at = node("#rail-flow").getScene().getRoot();
            Event.fireEvent(at, new KeyEvent(KeyEvent.KEY_RELEASED, "", "", code, false, false, false, false));
        });
    }

    @ParameterizedTest
    @CsvSource({
        "runs,DELETE,''",
        "layout,DELETE,''",
        "layout,R,r",
        "layout,B,b",
        "layout,CLOSE_BRACKET,]",
        "flow,RIGHT,''",
        "tanks,ENTER,''",
        "vapor,PERIOD,.",
        "air,DELETE,''",
        "hangar,SPACE,' '",
        "brief,TAB,''"
    })
    void aKeyHeldForTenSecondsIsOneStepAndTheWindowAnswers(String page, KeyCode code, String typed) {
        robot.interact(() -> session.picked().set("r3"));
        robot.clickOn("#rail-" + page);
        if (page.equals("runs")) {
            robot.clickOn("#view-joints");
            robot.interact(() -> {
                var sheet = (ration.desktop.control.Sheet<?>) node("#joints-sheet");
                sheet.requestFocus();
                sheet.choose(1, 3);
            });
        }
        ration.record.project.Project before = session.project();
        hold(code, typed);
        robot.interact(() -> {});
        if (!session.project().equals(before)) {
            robot.interact(session::undo);
            assertThat(session.project()).as("one step to undo").isEqualTo(before);
        }
        keys(KeyCode.ESCAPE);
        robot.clickOn("#rail-layout");
        until(() -> node("#schematic").getScene() != null);
    }

    @Test
    void aChipPressedWhileAFigureIsHalfWrittenKeepsBoth() {
        robot.interact(() -> session.picked().set("r2"));
        until(() -> robot.lookup("#do-add-point").tryQuery().isPresent());
        robot.clickOn("#field-length");
        control(KeyCode.A);
        robot.write("61.5");
        int points = run("r2").points().size();
        robot.clickOn("#do-add-point");
        until(() -> run("r2").points().size() == points + 1);
        assertThat(run("r2").length().orElseThrow().quantity().value()).isEqualTo(61.5);
    }

    private Run run(String id) {
        return (Run) session.project().system().item(id).orElseThrow();
    }

    @Test
    void aRemedyIsTakenOnTheSystemAsItIsNow() {
        robot.clickOn("#ledger-flow");
        until(() -> robot.lookup("#try-0").tryQuery().isPresent());
        robot.interact(() -> session.apply(
                ration.record.project.Edit.onItem("note", "r3", Run.class, r -> r.renamed("R3 renamed"))));
        var edit = ration.answer.remedy.Remedies.of(
                        session.shown().get().assessment(), new ration.base.task.Task(p -> {}, () -> false))
                .get(0)
                .edit();
        robot.interact(() -> session.apply(ration.record.project.Edit.onItem(
                "length",
                "r3",
                Run.class,
                r -> r.withLength(ration.base.quantity.Measured.of(17, ration.base.quantity.Unit.INCH)))));
        robot.interact(() -> session.apply(edit));
        assertThat(run("r3").name()).isEqualTo("R3 renamed");
        assertThat(run("r3").length().orElseThrow().quantity().value()).isEqualTo(17);
    }

    @Test
    void whatIsHalfWrittenStaysWithItsAircraft() {
        robot.interact(() -> session.picked().set("r1"));
        until(() -> robot.lookup("#field-length").tryQuery().isPresent());
        robot.clickOn("#field-length");
        control(KeyCode.A);
        robot.write("71.25");
        control(KeyCode.N);
        until(() -> label("#message").contains("unsaved changes"));
        assertThat(run("r1").length().orElseThrow().quantity().value()).isEqualTo(71.25);
        robot.clickOn("#leave-stay");
        robot.clickOn("#field-length");
        control(KeyCode.A);
        robot.write("about so");
        control(KeyCode.N);
        until(() -> label("#message").contains("is not a valid"));
        robot.clickOn("#keep-text");
        until(() -> ((TextField) node("#field-length")).getText().equals("about so"));
        robot.clickOn("#rail-flow");
        until(() -> label("#message").contains("is not a valid"));
        robot.clickOn("#drop-text");
        until(() -> robot.lookup("#flow-page").tryQuery().isPresent()
                || robot.lookup("#advice").tryQuery().isPresent());
        assertThat(run("r1").length().orElseThrow().quantity().value()).isEqualTo(71.25);
    }

    @Test
    void aThousandsCommaIsAskedBackAndWhatWasUnderstoodIsShown() {
        robot.interact(() -> session.picked().set("r1"));
        until(() -> robot.lookup("#field-length").tryQuery().isPresent());
        fill("#field-length", "1,250 mm");
        until(() -> label("#card-trouble").contains("1250")
                && label("#card-trouble").contains("1.250"));
        fill("#field-length", "1,5 ft");
        until(() -> ((TextField) node("#field-length")).getText().equals("1.5 ft"));
    }

    @Test
    void aSecondWindowsSaveIsNotWrittenOver() throws ProjectFileException, IOException {
        answers.save = folder.resolve("shared");
        robot.interact(() -> session.apply(ration.record.project.Edit.of("note", p -> p.withNote("mine"))));
        control(KeyCode.S);
        until(() -> !session.changed().get());
        Path file = folder.resolve("shared.ration");
        ProjectFile.save(ProjectFile.open(file).withNote("theirs"), file);
        robot.interact(() -> session.apply(ration.record.project.Edit.of("note", p -> p.withNote("mine again"))));
        control(KeyCode.S);
        until(() -> label("#message").contains("changed on disk")
                && label("#message").contains("another note"));
        assertThat(ProjectFile.open(file).note()).isEqualTo("theirs");
        answers.save = folder.resolve("own");
        robot.clickOn("#conflict-save-as");
        until(() -> !session.changed().get());
        assertThat(ProjectFile.open(file).note()).isEqualTo("theirs");
        assertThat(ProjectFile.open(folder.resolve("own.ration")).note()).isEqualTo("mine again");
    }

    @Test
    void twoMessagesAtOnceAreBothSeen() throws IOException {
        Path home = folder.resolve("home");
        Files.createDirectories(home);
        Files.writeString(
                home.resolve("unsaved-aaaa.ration"),
                ProjectFile.text(session.project().withName("Lost one")));
        Files.writeString(
                home.resolve("unsaved-bbbb.ration"),
                ProjectFile.text(session.project().withName("Lost two")));
        Files.writeString(home.resolve("unsaved-cccc.ration"), "{");
        robot.interact(() -> session.say("Something else"));
        robot.interact(window::offerRecovery);
        until(() -> messages().size() == 4);
        assertThat(messages())
                .anyMatch(m -> m.contains("Something else"))
                .anyMatch(m -> m.contains("Lost one"))
                .anyMatch(m -> m.contains("Lost two"))
                .anyMatch(m -> m.contains("cannot be read") && m.contains("unsaved-cccc"));
        // what is asked stands until it is answered
        for (String answer : List.of("#recover-later", "#recover-later", "#damaged-keep")) {
            robot.clickOn(answer);
        }
        until(() -> robot.lookup("#recover-later").tryQuery().isEmpty());
    }

    private List<String> messages() {
        return robot.lookup("#message").queryAll().stream()
                .map(n -> ((Label) n).getText())
                .toList();
    }

    @Test
    void aHugeDocumentIsRefusedAndTheWindowGoesOn() throws IOException {
        StringBuilder tests = new StringBuilder();
        for (int i = 0; i < 5000; i++) {
            tests.append(i == 0 ? "" : ",").append("{\"id\":\"t").append(i).append("\"}");
        }
        String text = ProjectFile.text(session.project().withTests(List.of()));
        answers.open = Files.writeString(
                folder.resolve("huge.ration"), text.replaceFirst("\\{", "{\"tests\":[" + tests + "],"));
        ration.record.project.Project before = session.project();
        control(KeyCode.O);
        until(() -> label("#message").contains("huge.ration"));
        assertThat(session.project()).isSameAs(before);
    }
}
