package ration.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import javafx.scene.input.KeyCode;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import ration.aircraft.model.Run;
import ration.record.reading.Reading;

/** The Vents and drains page. */
class AirWindowTest extends WindowHarness {

    @Test
    void aVentIsBlockedByKeyAndSaysHowLongItLasts() {
        robot.clickOn("#rail-air");
        until(() -> robot.lookup("#block-fuselage").tryQuery().isPresent());
        assertThat(node("#air-picture").getAccessibleText())
                .contains("vent of Upper tank", "drained low point at Strainer");
        robot.interact(() -> node("#block-fuselage").requestFocus());
        keys(KeyCode.SPACE);
        until(() -> robot.lookup("#blocked-fuselage").tryQuery().isPresent());
        assertThat(label("#blocked-fuselage"))
                .contains("flow falls below demand after 0.13 min")
                .contains("min at 8,000 ft");
        until(() -> node("#air-picture").getAccessibleText().contains("vent of Fuselage tank, blocked"));
        keys(KeyCode.SPACE);
        until(() -> robot.lookup("#blocked-fuselage").tryQuery().isEmpty());
        assertThat(session.changed().get()).isFalse();
    }

    /** Which way the air goes is asked by a button, and the drawing says it in words too. */
    @Test
    void airGoesOutWhileATankIsFilledAndInOnTheWayDown() {
        robot.clickOn("#rail-air");
        until(() -> node("#air-picture").getAccessibleText().contains("vent of Fuselage tank, still"));
        robot.clickOn("#air-filling");
        until(() -> node("#air-picture").getAccessibleText().contains("vent of Fuselage tank, 600.0 gph of air out"));
        robot.interact(() -> node("#air-descending").requestFocus());
        keys(KeyCode.SPACE);
        until(() -> node("#air-picture").getAccessibleText().contains("vent of Fuselage tank, 39.1 gph of air in"));
        robot.clickOn("#air-feeding");
        robot.interact(() -> session.look(session.condition().withContents("upper", 0.0)));
        until(() -> everyText().stream().anyMatch(t -> t.startsWith("0.0 of")));
    }

    /**
     * A tank that will not fill: three looks at most, by keys, find the place; a vent that is changed meanwhile is
     * searched anew.
     */
    @Test
    void whatKeepsATankFromFillingIsFoundInThreeLooks() {
        menu("demo-brindle-a2");
        robot.clickOn("#rail-air");
        until(() -> robot.lookup("#fill-hull").tryQuery().isPresent());
        press("#fill-hull");
        until(() -> label("#search-title-hull").startsWith("Joint before: "));
        int looks = 0;
        while (label("#search-title-hull").startsWith("Joint before: ")) {
            String was = label("#search-title-hull");
            press(was.contains("Separator") ? "#search-hull-free" : "#search-hull-blocked");
            until(() -> !label("#search-title-hull").equals(was));
            looks++;
        }
        assertThat(looks).isLessThanOrEqualTo(3);
        assertThat(label("#search-title-hull")).startsWith("Look at: ");
        press("#search-hull-found");
        until(() -> session.project().readings().stream()
                .anyMatch(
                        r -> r.what() == Reading.What.WILL_NOT_FILL && r.place().equals("hull") && r.value() == 1));
        press("#search-hull-again");
        until(() -> label("#search-title-hull").startsWith("Joint before: "));
        robot.interact(() -> session.apply(ration.record.project.Edit.onItem(
                "Drop the pieces",
                "hull",
                ration.aircraft.model.Tank.class,
                t -> t.with(t.fitout().withVent(t.fitout().vent().map(v -> v.withPieces(java.util.List.of())))))));
        until(() -> robot.lookup("#search-title-hull").tryQuery().isEmpty());
    }

    /** In a small window the vents and checks lie over the drawing, when they are asked for. */
    @Test
    void inASmallWindowTheCardIsAskedFor() {
        robot.interact(() -> {
            stage.setWidth(1024);
            stage.setHeight(700);
        });
        robot.clickOn("#rail-air");
        until(() -> node("#air-card-shown").isVisible() && !node("#air-side").isVisible());
        robot.clickOn("#air-card-shown");
        until(() -> node("#air-side").isVisible());
        assertThat(everyText()).contains("Vent of Upper tank");
    }

    @Test
    void theSamplingCardIsPrinted() throws IOException {
        robot.clickOn("#rail-air");
        answers.save = folder.resolve("sampling");
        robot.clickOn("#sampling-print");
        until(() -> Files.exists(folder.resolve("sampling.pdf")));
        try (PDDocument pdf = Loader.loadPDF(folder.resolve("sampling.pdf").toFile())) {
            assertThat(new PDFTextStripper().getText(pdf))
                    .contains("Upper tank", "Fuselage tank", "Strainer", "water", "debris");
        }
    }

    @Test
    void aSagIsFoundOnceItIsMeasured() {
        robot.interact(() -> session.picked().set("r3"));
        until(() -> robot.lookup("#card").tryQuery().isPresent());
        robot.interact(() -> session.apply(ration.record.project.Edit.of(
                "Add point",
                p -> p.with(p.system()
                        .replace(((Run) p.system().item("r1").orElseThrow())
                                .withPoints(java.util.List.of(ration.aircraft.model.Place.inches(50, 0, 22))))))));
        robot.clickOn("#rail-air");
        until(() -> everyText().contains("Low point without a drain, R1"));
        assertThat(label("#ledger-open-verdict")).isEqualTo("Fails");
    }

    /** A vent that is too narrow is short by the drop or by the rule, on the page and in the ledger, and back again. */
    @Test
    void aNarrowVentIsShortAndSaysWhatItCosts() {
        robot.clickOn("#rail-air");
        until(() -> everyText().contains("Vent of Upper tank"));
        int open = open();
        robot.clickOn("#rail-layout");
        robot.interact(() -> session.picked().set("upper"));
        until(() -> robot.lookup("#field-vent-line-bore").tryQuery().isPresent());
        robot.interact(() -> node("#field-vent-line-bore").requestFocus());
        until(() -> node("#field-vent-line-bore").isFocused());
        control(KeyCode.A);
        robot.write("0.1 in");
        keys(KeyCode.ENTER);
        until(() -> open() > open);
        robot.clickOn("#rail-air");
        until(() -> everyText().stream().anyMatch(t -> t.contains("By rule of thumb its bore is too narrow")));
        control(KeyCode.Z);
        until(() -> open() == open);
        assertThat(everyText()).noneMatch(t -> t.contains("too narrow"));
    }

    /** The first figure of "9 of 63". */
    private int open() {
        return Integer.parseInt(label("#ledger-open-figure").split(" ")[0]);
    }
}
