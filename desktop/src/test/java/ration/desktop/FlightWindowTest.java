package ration.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import javafx.scene.input.KeyCode;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import ration.aircraft.flight.Switching;
import ration.answer.drawdown.Flight;
import ration.answer.drawdown.UsualFlight;
import ration.desktop.session.Worked;
import ration.record.file.ProjectFile;
import ration.record.file.ProjectFileException;
import ration.record.project.Pattern;
import ration.verdict.check.Verdict;

/** A flight planned, changed, walked along and printed, by keys in the real window. */
class FlightWindowTest extends WindowHarness {

    private void tansy() {
        menu("demo-tansy-l3");
        until(() -> session.project().name().startsWith("Tansy")
                && !session.shown().get().assessment().blocked());
        keys(KeyCode.ESCAPE);
        robot.clickOn("#rail-flight");
        until(() -> label("#flight-landing").equals("Landing at 3:45"));
    }

    /** Pump-fed: the needles as it runs stand there first; M shows the most that can pass, and again the needles. */
    @Test
    void theLayoutShowsTheCaseAsItRunsOrAtMost() {
        menu("demo-tansy-l3");
        until(() -> session.project().name().startsWith("Tansy"));
        focusDrawing();
        until(() -> texts().contains("Pressure along the path")
                && texts().contains("max 35.9")
                && everyText().contains("Engine demand"));
        assertThat(texts()).doesNotContain("needs 22.9");
        keys(KeyCode.M);
        until(() -> texts().contains("needs 22.9") && texts().contains("35.9"));
        until(() -> !everyText().contains("Engine demand"));
        keys(KeyCode.M);
        until(() -> texts().contains("max 35.9"));
    }

    /** A balanced flight is planned as soon as the page opens; its switching card can be read back from the PDF. */
    @Test
    void aBalancedFlightIsPlannedAndItsCardPrinted() throws IOException {
        tansy();
        assertThat(label("#flight-verdict")).isEqualTo("Holds");
        assertThat(session.flight().get().balanceVerdict()).isEqualTo(Verdict.HOLDS);
        until(() -> node("#rail-flight").getAccessibleText().contains("Holds"));
        assertThat(session.changed().get()).as("the usual flight is no change").isFalse();
        answers.save = folder.resolve("card.pdf");
        robot.interact(() -> node("#flight-print").requestFocus());
        keys(KeyCode.SPACE);
        until(() -> Files.exists(answers.save));
        String text;
        try (var pdf = Loader.loadPDF(answers.save.toFile())) {
            text = new PDFTextStripper().getText(pdf);
        }
        assertThat(text).contains("fuel management card", "0:45", "RIGHT", "3:45", "land");
    }

    /** The cursor is the case of every page: contents, selector and attitude of that minute. */
    @Test
    void theCursorSetsWhatEveryPageShows() {
        tansy();
        robot.interact(() -> node("#flight-picture").requestFocus());
        for (int i = 0; i < 12; i++) {
            keys(KeyCode.RIGHT);
        }
        until(() -> label("#flight-state").equals("Every page shows 1:00"));
        assertThat(session.condition().positions()).containsEntry("selector", "RIGHT");
        assertThat(session.condition().contents())
                .isEqualTo(session.flight().get().at(60).condition().contents());
        assertThat(node("#flight-picture").getAccessibleText()).contains("At 1:00, Cruise", "Right", "feeding");
        keys(KeyCode.END);
        until(() -> label("#flight-state").equals("Every page shows 3:45"));
    }

    /** How sure a margin is becomes known after the flight was flown: that flies nothing anew and takes no key away. */
    @Test
    void theFlightStandsWhenItBecomesKnownHowSureAMarginIs() throws ProjectFileException {
        Worked ahead = Worked.ahead(ProjectFile.demo("tansy-l3"));
        assertThat(ahead.assessment().sure().orElseThrow().samples()).isZero();
        robot.clickOn("#rail-flight");
        Flight[] flown = {null};
        robot.interact(() -> {
            session.flight().addListener((o, was, now) -> flown[0] = flown[0] == null ? now : flown[0]);
            session.begin(ahead);
        });
        robot.clickOn("#rail-flight");
        until(() -> label("#flight-landing").equals("Landing at 3:45")
                && session.shown().get().assessment().sure().orElseThrow().samples() > 0);
        assertThat(session.flight().get()).isNotNull().isSameAs(flown[0]);
    }

    /** Something fails at the moment under the cursor; cold air outside keeps the fuel further from boiling. */
    @Test
    void aFaultIsPlannedAtTheCursorAndTheDayIsSetByPhase() {
        tansy();
        assertThat(everyText()).anyMatch(t -> t.startsWith("minimum "));
        robot.interact(() -> node("#flight-picture").requestFocus());
        for (int i = 0; i < 12; i++) {
            keys(KeyCode.RIGHT);
        }
        until(() -> label("#flight-state").equals("Every page shows 1:00"));
        robot.interact(() -> fault().setValue("Boost pump inoperative"));
        until(() -> label("#flight-state").equals("fails at 1:00")
                && session.flight().get() != null
                && session.flight().get().events().stream()
                        .anyMatch(e -> e.words().equals("Boost pump inoperative") && e.minutes() == 60));
        robot.interact(() -> fault().setValue("No failure"));
        until(() -> session.flight().get() != null
                && session.flight().get().events().stream()
                        .noneMatch(e -> e.words().equals("Boost pump inoperative")));
        robot.interact(() -> node("#phase-3").requestFocus());
        keys(KeyCode.SPACE);
        robot.interact(() -> node("#phase-outside").requestFocus());
        robot.write("-4");
        keys(KeyCode.ENTER);
        until(() -> session.project()
                        .flight()
                        .flatMap(f -> f.phases().get(3).outside())
                        .isPresent()
                && session.flight().get() != null);
        assertThat(session.project()
                        .flight()
                        .orElseThrow()
                        .phases()
                        .get(3)
                        .outside()
                        .orElseThrow()
                        .si())
                .isBetween(253.0, 253.3);
    }

    @SuppressWarnings("unchecked")
    private javafx.scene.control.ChoiceBox<String> fault() {
        return (javafx.scene.control.ChoiceBox<String>) node("#flight-fault");
    }

    /** Forgotten switching is Short and says when; a longer cruise eats the reserve; undo brings both back. */
    @Test
    void changesOfThePlanAreFeltAtOnce() {
        tansy();
        robot.clickOn("#flight-hand");
        until(() -> label("#flight-verdict").equals("Fails")
                && everyText().stream().anyMatch(t -> t.contains("fuel starvation on LEFT")));
        assertThat(session.project().flight().orElseThrow().switching().mode()).isEqualTo(Switching.Mode.HAND);
        robot.interact(session::undo);
        until(() -> label("#flight-verdict").equals("Holds"));
        robot.interact(() -> node("#phase-3").requestFocus());
        keys(KeyCode.SPACE);
        until(() -> robot.lookup("#phase-minutes").tryQuery().isPresent()
                && node("#phase-minutes").isFocused());
        control(KeyCode.A);
        robot.write("195");
        keys(KeyCode.ENTER);
        until(() -> label("#flight-landing").equals("Landing at 4:05")
                && label("#flight-verdict").equals("Fails"));
        assertThat(session.project().flight().orElseThrow().phases().get(3).lasts())
                .isEqualTo(195);
        robot.interact(session::undo);
        until(() -> label("#flight-landing").equals("Landing at 3:45"));
        assertThat(session.project().flight()).isEmpty();
    }

    /** Less at the start is less at the landing: the card says Short, and what is entered stays in the document. */
    @Test
    void whatIsInTheTanksAtTheStartIsEntered() {
        tansy();
        fill("#start-left", "20");
        until(() -> session.flight().get() != null && label("#flight-verdict").equals("Fails"));
        assertThat(session.project().flight().orElseThrow().start().get("left").si())
                .isCloseTo(ration.base.quantity.Unit.GALLON.toSi(20), org.assertj.core.data.Offset.offset(1e-9));
        assertThat(session.flight().get().at(0).tank("left"))
                .isCloseTo(ration.base.quantity.Unit.GALLON.toSi(20), org.assertj.core.data.Offset.offset(1e-9));
    }

    /** A transfer pump is planned by keys: when, how long, how much; the flight says when it went on and off. */
    @Test
    void aTransferIsPlanned() {
        robot.interact(() -> session.show(Pattern.TRANSFER.project(), null));
        robot.clickOn("#rail-flight");
        until(() -> everyText().contains("Transfer pump runs for the whole flight."));
        until(() -> everyText().stream().anyMatch(t -> t.contains("Transfer pump runs dry, ")));
        press("#transfer-add-transfer-pump");
        until(() -> everyText().stream().anyMatch(t -> t.contains("Transfer pump off: Auxiliary tank empty")));
        type("#transfer-amount-0", "5");
        keys(KeyCode.ENTER);
        until(() -> everyText().stream().anyMatch(t -> t.contains("Transfer pump off 1:")));
        assertThat(session.project().flight().orElseThrow().transfers().get(0).amount())
                .hasValueSatisfying(m -> assertThat(m.quantity().shown()).isEqualTo("5 gal"));
        type("#transfer-minutes-0", "0");
        keys(KeyCode.ENTER);
        until(() -> label("#flight-trouble").contains("1,440 min"));
        robot.interact(session::undo);
        robot.interact(session::undo);
        until(() -> everyText().contains("Transfer pump runs for the whole flight."));
    }

    /**
     * What the selector cannot do is not offered; a document that asks for it says so, and nothing is shown of the
     * flight.
     */
    @Test
    void withoutBothItIsNotOfferedAndSaidWhy() {
        tansy();
        assertThat(node("#flight-both").isDisabled()).isTrue();
        robot.interact(() -> session.apply(ration.record.project.Edit.of(
                "Ask for BOTH", p -> p.with(UsualFlight.meant(p).with(Switching.Mode.BOTH)))));
        until(() -> everyText().stream().anyMatch(t -> t.startsWith("Not shown: This selector has no BOTH position")));
        assertThat(session.flight().get()).isNull();
        robot.clickOn("#flight-balance");
        until(() -> label("#flight-verdict").equals("Holds"));
    }

    /** The plan of the program is taken over, and a time changed by hand. */
    @Test
    void aPlanIsTakenOverByHand() {
        tansy();
        robot.interact(() -> node("#flight-take").requestFocus());
        keys(KeyCode.SPACE);
        until(() -> robot.lookup("#step-at-1").tryQuery().isPresent());
        fill("#step-at-1", "0:40");
        until(() -> session.flight().get() != null
                && session.flight().get().switches().stream().anyMatch(e -> e.minutes() == 40));
        assertThat(UsualFlight.meant(session.project()).switching().mode()).isEqualTo(Switching.Mode.HAND);
        assertThat(UsualFlight.meant(session.project())
                        .switching()
                        .steps()
                        .get(1)
                        .minutes())
                .isEqualTo(40);
    }
}
