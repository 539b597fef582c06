package ration.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.time.LocalDate;
import javafx.event.Event;
import javafx.event.EventType;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import ration.record.upkeep.Part;
import ration.record.upkeep.Upkeep;

/** Parts with a life, by keys in the real window. */
class UpkeepWindowTest extends WindowHarness {

    private String row(String part) {
        return node("#part-" + part).getAccessibleText();
    }

    /**
     * A hose of unknown age is due; replaced in one act with its paper it holds; undo brings it back; the log only
     * grows.
     */
    @Test
    void aHoseIsReplacedInOneAct() {
        robot.clickOn("#rail-upkeep");
        until(() -> row("hose-at-the-upper-vent").contains("age unknown: treat as due, Not shown"));
        assertThat(everyText()).anyMatch(t -> t.contains("parts due"));
        assertThat(label("#upkeep-words")).contains(" of 9 overdue", "age unknown");
        int before = session.project().upkeep().log().size();
        press("#part-hose-at-the-upper-vent");
        until(() -> everyText().contains("Tests after replacement"));
        type("#act-paper", "26-0058");
        type("#act-who", "builder");
        press("#part-replace");
        until(() -> row("hose-at-the-upper-vent").endsWith("Holds"));
        Upkeep now = session.project().upkeep();
        assertThat(now.log()).hasSize(before + 1);
        assertThat(Upkeep.logbook(now.log().get(before)))
                .startsWith(LocalDate.now().toString())
                .contains("Replaced Hose at the upper vent, ref. 26-0058", "age unknown", "builder");
        robot.interact(session::undo);
        until(() -> row("hose-at-the-upper-vent").endsWith("Not shown"));
        press("#again-0");
        until(() -> robot.lookup("#test-begin").tryQuery().isPresent());
    }

    /**
     * A hose campaign: what the layout has is tracked, hoses marked, one act under one paper, the report written; then
     * a joint is opened, which grounds the aircraft, and done up again.
     */
    @Test
    void aCampaignIsOneAct() throws IOException {
        robot.interact(() -> session.show(ration.record.project.Pattern.HEADER_TWO_PUMPS.project(), null));
        robot.clickOn("#rail-upkeep");
        until(() -> robot.lookup("#upkeep-offered").tryQuery().isPresent());
        press("#upkeep-offered");
        until(() -> session.project().upkeep().parts().size() > 5);
        press("#upkeep-renew");
        until(() -> robot.lookup("#renew-record").tryQuery().isPresent());
        press("#renew-record");
        until(() -> label("#renew-trouble").contains("Mark one part or more"));
        String hose = session.project().upkeep().parts().stream()
                .filter(p -> p.kind() == Part.Kind.RUBBER_HOSE)
                .findFirst()
                .orElseThrow()
                .id();
        String first = "#part-" + hose;
        String second = "#part-"
                + session.project().upkeep().parts().stream()
                        .map(Part::id)
                        .filter(id -> !id.equals(hose))
                        .findFirst()
                        .orElseThrow();
        press(first);
        press(second);
        press(second);
        until(() -> label("#renew-count").equals("1 to replace, 1 to keep and inspect"));
        type("#renew-paper", "26-0101");
        type("#renew-lot-" + hose, "lot 7781, 19.5 in");
        press("#renew-ends");
        press("#renew-ends");
        press("#renew-record");
        until(() -> session.project().upkeep().log().size() == 2);
        assertThat(session.project().upkeep().log().get(0).words())
                .contains("ref. 26-0101, lot 7781, 19.5 in", "End fittings reused, inspected");
        answers.save = folder.resolve("report.pdf");
        until(() -> robot.lookup("#upkeep-report").tryQuery().isPresent());
        press("#upkeep-report");
        until(() -> label("#message").startsWith("Written: report.pdf"));
        press("#upkeep-joint");
        until(() -> robot.lookup("#joint-opened").tryQuery().isPresent());
        press("#joint-opened");
        until(() -> everyText().stream().anyMatch(t -> t.startsWith("OPEN: ")));
        until(() -> session.shown().get().assessment().findings().stream()
                .anyMatch(f -> f.check() == ration.verdict.check.Check.BUILD_OPEN_JOINT));
        type("#joint-torque", "110 in\u00b7lb");
        press("#joint-closed");
        until(() -> everyText().stream().anyMatch(t -> t.contains("Done up ") && t.contains("110 in\u00b7lb")));
        until(() -> session.shown().get().assessment().findings().stream()
                .noneMatch(f -> f.check() == ration.verdict.check.Check.BUILD_OPEN_JOINT));
    }

    /**
     * An answer that comes while a button is held down takes neither the press nor the keys away: the page is made anew
     * once it is let go.
     */
    @Test
    void anAnswerDoesNotTakeThePressAway() {
        robot.clickOn("#rail-upkeep");
        until(() -> robot.lookup("#upkeep-renew").tryQuery().isPresent());
        robot.interact(() -> node("#upkeep-renew").requestFocus());
        toTheOwner(KeyEvent.KEY_PRESSED);
        robot.interact(() -> session.apply(ration.record.project.Edit.of(
                "Set airframe hours", p -> p.with(p.upkeep().withHours(77)))));
        until(() -> session.shown().get().project().upkeep().hours() == 77);
        Hand.settle();
        toTheOwner(KeyEvent.KEY_RELEASED);
        until(() -> robot.lookup("#renew-record").tryQuery().isPresent());
        until(() ->
                node("#airframe-hours") instanceof TextField f && f.getText().startsWith("77"));
        robot.interact(() -> node("#part-hose-at-the-upper-vent").requestFocus());
        robot.interact(() -> session.apply(ration.record.project.Edit.of(
                "Set airframe hours", p -> p.with(p.upkeep().withHours(78)))));
        until(() ->
                node("#airframe-hours") instanceof TextField f && f.getText().startsWith("78"));
        until(() -> node("#part-hose-at-the-upper-vent").isFocused());
    }

    /** To whatever has the keys now. */
    private void toTheOwner(EventType<KeyEvent> type) {
        robot.interact(() -> Event.fireEvent(
                node("#upkeep-page").getScene().getFocusOwner(),
                new KeyEvent(type, " ", " ", KeyCode.SPACE, false, false, false, false)));
    }

    /** What a tube did is told against the document as it was saved before. */
    @Test
    void anEarlierDocumentIsComparedWith() throws Exception {
        answers.open = folder.resolve("before.ration");
        ration.record.file.ProjectFile.save(session.project(), answers.open);
        robot.interact(() -> session.apply(ration.record.project.Edit.onItem(
                "Resize R3",
                "r3",
                ration.aircraft.model.Run.class,
                r -> r.resized(ration.aircraft.model.LineSize.parse("3/8 x 0.035 tube")))));
        until(() -> !label("#ledger-flow-figure").startsWith("1.12"));
        menu("compare");
        until(() -> label("#message").startsWith("Since then: R3: size was 5/16, now 3/8"));
        assertThat(label("#message"))
                .contains("Flow margin 1.12", "Tests no longer valid: Nose-up flow, UPPER (R3: size was");
    }

    /** The packet is written from the menu, behind the window, and can be read back. */
    @Test
    void thePacketIsWritten() throws IOException {
        answers.save = folder.resolve("packet.pdf");
        menu("packet");
        until(() -> label("#message").startsWith("Written: packet.pdf"));
        String text;
        try (var pdf = Loader.loadPDF(answers.save.toFile())) {
            text = new PDFTextStripper().getText(pdf);
        }
        assertThat(text).contains("Open items", "Worm-drive hose clamp", "Compliance table");
    }

    /**
     * What is temporary goes; a part is entered with its usual life; a day that is none is told, and nothing entered.
     */
    @Test
    void partsComeAndGo() throws IOException {
        robot.clickOn("#rail-upkeep");
        press("#part-worm-clamp-on-r4");
        until(() -> everyText().contains("Record removal"));
        press("#part-replace");
        until(() -> session.project().upkeep().part("worm-clamp-on-r4").isEmpty());
        press("#part-new");
        until(() -> node("#new-name").isFocused());
        robot.write("Hose at the drain");
        type("#new-fitted", "9 March");
        type("#new-hours", "400");
        press("#new-enter");
        until(() -> label("#new-trouble").contains("is not a date"));
        assertThat(session.project().upkeep().part("hose-at-the-drain")).isEmpty();
        type("#new-fitted", "2026-03-09");
        press("#new-enter");
        until(() -> session.project().upkeep().part("hose-at-the-drain").isPresent());
        assertThat(session.project()
                        .upkeep()
                        .part("hose-at-the-drain")
                        .orElseThrow()
                        .kind())
                .isEqualTo(Part.Kind.RUBBER_HOSE);
        until(() -> ((TextField) node("#life-months")).getText().equals("60"));
        type("#life-months", "120");
        press("#life-set");
        until(() -> row("hose-at-the-drain").contains("10 years"));
        answers.save = folder.resolve("due.ics");
        press("#upkeep-calendar");
        until(() -> Files.exists(answers.save));
        assertThat(Files.readString(answers.save))
                .contains("BEGIN:VCALENDAR", "Hose at the drain", "DTSTART;VALUE=DATE:20360309");
    }
}
