package ration.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import javafx.scene.control.Button;
import javafx.scene.control.Labeled;
import javafx.scene.input.KeyCode;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import ration.aircraft.model.LineSize;
import ration.aircraft.model.Run;
import ration.record.evidence.HangarTest;
import ration.record.evidence.Standing;
import ration.record.evidence.Work;
import ration.record.project.Edit;

/**
 * The life of one aircraft: a test, a tube changed, the test again, the packet, a hose renewed. By clicks and keys in
 * the real window.
 */
class LifeWindowTest extends WindowHarness {

    private String row(String id) {
        return robot.lookup(id).tryQuery().map(n -> n.getAccessibleText()).orElse("");
    }

    private void enter(String id, String text) {
        until(() -> robot.lookup(id).tryQuery().isPresent());
        robot.interact(() -> node(id).requestFocus());
        control(KeyCode.A);
        robot.write(text);
    }

    private HangarTest last() {
        List<HangarTest> tests = session.project().tests();
        return tests.get(tests.size() - 1);
    }

    /** Picks the flow test of the upper tank and leads it up to the can. */
    private void flowUpToTheCan() {
        until(() -> robot.lookup("#wanted-flow-selector-upper").tryQuery().isPresent());
        robot.interact(() -> node("#wanted-flow-selector-upper").requestFocus());
        keys(KeyCode.SPACE);
        until(() -> robot.lookup("#test-begin")
                .tryQuery()
                .map(javafx.scene.Node::isFocused)
                .orElse(false));
        keys(KeyCode.ENTER);
        until(() -> step().startsWith("Before nose-up flow"));
        next();
        until(() -> step().startsWith("Tester and instruments"));
        enter("#test-witness", "a neighbour");
        next();
        until(() -> step().equals("Raise the nose"));
        keys(KeyCode.ENTER);
        until(() -> label("#test-trouble").startsWith("Pitch, nose up: enter what was read"));
        enter("#sheet-pitch", "22");
        next();
        until(() -> step().startsWith("Disconnect the line"));
        enter("#sheet-open", "0");
        next();
        until(() -> step().startsWith("Pour in"));
        enter("#sheet-contents", "2.3");
        next();
        until(() -> step().startsWith("Let it run"));
    }

    /** What the can reads now, gal. */
    private double inTheCan() {
        return robot.lookup(".live-value").queryAllAs(javafx.scene.control.Label.class).stream()
                .map(javafx.scene.control.Label::getText)
                .filter(t -> t.endsWith(" gal"))
                .mapToDouble(t -> Double.parseDouble(t.replace(" gal", "")))
                .findFirst()
                .orElse(0);
    }

    private void pour(String seconds) {
        int before = ((Work.Sheet) last().work()).rows().size();
        enter("#sheet-volume", "0.25");
        enter("#sheet-time", seconds);
        next();
        until(() -> ((Work.Sheet) last().work()).rows().size() == before + 1);
    }

    private void finish(String figure) {
        robot.interact(() -> ((Button) node("#sheet-last")).fire());
        until(() -> step().equals("Result") && label("#big-figure").equals(figure));
        next();
        until(() -> last().progress().done());
    }

    @Test
    void theLifeOfOneAircraft() throws Exception {
        // a flow test, by hand
        robot.clickOn("#rail-hangar");
        flowUpToTheCan();
        until(() -> label("#under-figure").contains("Computed for this condition"));
        pour("28");
        pour("29 s");
        finish("31.0 gph");
        assertThat(label("#sheet-verdict")).isEqualTo("Holds");
        until(() -> row("#wanted-flow-selector-upper").contains("valid")
                && row("#wanted-flow-selector-upper").contains("Holds"));
        assertThat(last().by().beside().witness()).isEqualTo("a neighbour");

        // asked before the edit, told by it, struck after it
        robot.clickOn("#rail-layout");
        robot.interact(() -> session.picked().set("r3"));
        until(() -> robot.lookup("#test-again-asked").tryQuery().isPresent());
        robot.interact(() -> ((Button) node("#test-again-asked")).fire());
        until(() -> label("#message")
                .startsWith("Changing R3 invalidates 2 tests: Nose-up flow, UPPER, Overnight leak check."));
        robot.interact(() -> session.apply(
                Edit.onItem("Resize R3", "r3", Run.class, r -> r.resized(LineSize.parse("3/8 x 0.035 tube")))));
        until(() -> label("#message")
                .startsWith("This invalidates 3 tests: Nose-up flow, UPPER, Overnight leak check; R3: size was 5/16"));
        robot.clickOn("#rail-hangar");
        until(() -> row("#wanted-flow-selector-upper")
                .contains("outdated: R3: size was 5/16 x 0.035 tube, now 3/8" + " x 0.035 tube"));
        robot.clickOn("#rail-sign_off");
        until(() -> row("#requirement-flow-margin-selector-upper").contains("Not shown")
                && row("#requirement-flow-margin-selector-upper").contains("measured 31.0 gph, no longer valid"));

        // again with the simulator: not evidence
        robot.clickOn("#rail-hangar");
        flowUpToTheCan();
        robot.interact(() -> ((Button) node("#live-stand-in")).fire());
        // the can is empty when it begins, and may read just that: its scale is a little off each time
        until(() -> robot.lookup("#live-use-can").tryQuery().isPresent() && inTheCan() > 0.05);
        enter("#sheet-time", "20");
        robot.interact(() -> ((Button) node("#live-use-can")).fire());
        next();
        until(() -> ((Work.Sheet) last().work()).rows().size() == 1);
        assertThat(last().by().beside().standIn()).isTrue();
        robot.interact(() -> ((Button) node("#sheet-last")).fire());
        until(() -> step().equals("Result"));
        next();
        until(() -> last().progress().done());
        until(() -> row("#wanted-flow-selector-upper").contains("simulated, not evidence"));

        // by hand: it closes
        flowUpToTheCan();
        pour("22");
        pour("22.5");
        finish("40.0 gph");
        until(() -> row("#wanted-flow-selector-upper").contains("valid")
                && row("#wanted-flow-selector-upper").contains("Holds"));
        robot.clickOn("#rail-sign_off");
        until(() -> row("#requirement-flow-margin-selector-upper").contains("measured 40.0 gph")
                && row("#requirement-flow-margin-selector-upper").contains("Holds"));

        // the packet
        answers.save = folder.resolve("packet.pdf");
        robot.interact(() -> ((Button) node("#packet-write")).fire());
        until(() -> label("#message").startsWith("Written: packet.pdf"));
        try (PDDocument doc = Loader.loadPDF(answers.save.toFile())) {
            assertThat(new PDFTextStripper().getText(doc).replaceAll("\\s+", " "))
                    .contains("Nose-up flow, UPPER", "R3: size was 5/16", "simulated: never valid", "40.0 gph");
        }
        try (Stream<Path> files = Files.list(folder)) {
            assertThat(files.map(f -> f.getFileName().toString()))
                    .anyMatch(n -> n.startsWith("packet-") && n.endsWith(".ration"));
        }

        // a hose renewed: what it ended, and what changed since the packet
        robot.clickOn("#rail-upkeep");
        until(() -> robot.lookup("#part-hose-r4").tryQuery().isPresent());
        robot.interact(() -> ((Button) node("#part-hose-r4")).fire());
        enter("#act-who", "builder");
        robot.interact(() -> ((Button) node("#part-replace")).fire());
        until(() -> label("#message")
                .startsWith(
                        "This invalidates 2 tests: Nose-up flow, FUSELAGE, Nose-up flow, UPPER; R4: renewed is new"));
        robot.clickOn("#rail-sign_off");
        until(() -> robot.lookup("#packet-since").tryQuery().isPresent());
        robot.interact(() -> ((Button) node("#packet-since")).fire());
        until(() -> robot.lookup("#comparison").tryQuery().isPresent());
        assertThat(everyText()).anyMatch(t -> t.startsWith("Nose-up flow, UPPER: R4: renewed is new"));
        robot.interact(() -> ((Button) node("#comparison-close")).fire());
        robot.interact(session::undo);
        until(() -> row("#requirement-flow-margin-selector-upper").contains("Holds"));
        assertThat(Standing.of(last(), session.project().asBuilt()).counts())
                .as("undo brings the standing back")
                .isTrue();
    }

    /** Joint by joint by key; one left out leaves it open, and it goes on where it stopped. */
    @Test
    void aLeakSheetIsInterruptedAndGoesOn() throws IOException {
        robot.clickOn("#rail-hangar");
        until(() -> row("#wanted-overnight").contains("recheck overdue"));
        robot.interact(() -> session.apply(Edit.of(
                "Begin anew",
                p -> p.withTests(
                        p.tests().stream().filter(t -> !t.id().equals("test-8")).toList()))));
        robot.clickOn("#rail-hangar");
        until(() -> robot.lookup("#wanted-overnight").tryQuery().isPresent());
        robot.interact(() -> ((Button) node("#wanted-overnight")).fire());
        until(() -> robot.lookup("#test-begin").tryQuery().isPresent());
        robot.interact(() -> ((Button) node("#test-begin")).fire());
        next();
        until(() -> step().startsWith("Tester and instruments"));
        next();
        until(() -> step().startsWith("Hours wrapped"));
        enter("#sheet-hours", "20");
        next();
        until(() -> step().startsWith("Check each fitting"));
        robot.interact(() -> node("#grade-r2-start-smear").requestFocus());
        keys(KeyCode.SPACE);
        until(() -> ((Work.Sheet) last().work()).rows().size() == 1);
        robot.interact(() -> ((Button) node("#test-later")).fire());
        until(() -> row("#wanted-overnight").contains("in progress, step 4"));
        robot.interact(() -> ((Button) node("#wanted-overnight")).fire());
        until(() -> step().startsWith("Check each fitting"));
        robot.interact(() -> ((Button) node("#sheet-rest")).fire());
        until(() -> ((Labeled) node("#test-next")).getText().equals("All inspected"));
        enter("#again-r2-start", "soon");
        keys(KeyCode.ENTER);
        until(() -> label("#test-trouble").contains("Enter a date, e.g."));
        enter("#again-r2-start", "2026-12-05");
        keys(KeyCode.ENTER);
        until(() -> ((Work.Sheet) last().work())
                .row("r2.start")
                .orElseThrow()
                .again()
                .equals("2026-12-05"));
        next();
        until(() -> step().equals("Result") && label("#sheet-verdict").equals("Thin"));
        robot.interact(() -> session.save(folder.resolve("corrie.ration")));
        answers.open = Files.writeString(folder.resolve("smear.png"), "a photograph");
        robot.interact(() -> ((Button) node("#sheet-attach")).fire());
        until(() -> last().by().beside().photos().size() == 1);
        next();
        until(() -> last().progress().done());
        assertThat(last().by().beside().photos())
                .as("what was attached before it was finished stays")
                .hasSize(1);
        until(() -> row("#wanted-overnight").contains("Thin"));
        answers.save = folder.resolve("cards.pdf");
        robot.interact(() -> ((Button) node("#tests-cards")).fire());
        until(() -> Files.exists(folder.resolve("cards.pdf")));
    }

    /**
     * A run log with its table beside the document: by its bytes, and laid over the Vapor page. Readings come from a
     * file that grows.
     */
    @Test
    void aRunLogKeepsItsTableAndReadingsComeFromAFile() throws IOException {
        Path document = folder.resolve("corrie.ration");
        robot.interact(() -> session.save(document));
        runLogUpToTheDate();
        Path growing = Files.writeString(
                folder.resolve("live.csv"), "# ration readings 1\nseconds,channel,value,unit\n1,outside,64,F\n");
        answers.open = growing;
        robot.interact(() -> ((Button) node("#live-file")).fire());
        until(() -> robot.lookup("#live-use-outside").tryQuery().isPresent());
        Files.writeString(growing, "2,outside,nonsense,F\n3,outside,66,F\n", java.nio.file.StandardOpenOption.APPEND);
        until(() -> label("#live-trouble").contains("could not be read"));
        robot.interact(() -> ((Button) node("#live-use-outside")).fire());
        until(() ->
                ((javafx.scene.control.TextField) node("#sheet-air")).getText().startsWith("65"));
        enter("#sheet-soak", "16 min");
        next();
        until(() -> step().equals("Result") && label("#under-figure").contains("attach the log file"));
        assertThat(((Work.Sheet) last().work()).once().get("air").by()).startsWith("live.csv");
        assertThat(last().by().beside().standIn()).isFalse();
        answers.open = Files.writeString(
                folder.resolve("soak.csv"),
                "mm:ss,carburetor [F],T2\n0:00,120,40\n1:00,130,41\n2:00,140,42\n3:00,145,43\n");
        robot.interact(() -> ((Button) node("#sheet-attach")).fire());
        until(() -> last().by().beside().photos().size() == 1);
        until(() -> label("#sheet-verdict").equals("Holds"));
        next();
        until(() -> last().progress().done());
        until(() -> robot.lookup("#lay-over-" + last().id()).tryQuery().isPresent());
        robot.interact(() -> ((Button) node("#lay-over-" + last().id())).fire());
        until(() -> robot.lookup("#soak-pane").tryQuery().isPresent()
                && everyText().stream().anyMatch(t -> t.contains("soak.csv")));
    }

    /** An open point has an owner; an acceptance needs name and reason, and changes no verdict. */
    @Test
    void anOpenPointIsHeldAndAccepted() {
        robot.clickOn("#rail-sign_off");
        until(() -> robot.lookup("#requirement-flow-margin-selector-fuselage")
                .tryQuery()
                .isPresent());
        robot.interact(() -> ((Button) node("#requirement-flow-margin-selector-fuselage")).fire());
        until(() -> label("#point-title").equals("Flow margin on FUSELAGE"));
        enter("#point-owner", "builder");
        keys(KeyCode.ENTER);
        until(() -> session.project().signOff().points().size() == 1);
        robot.interact(() -> ((Button) node("#point-accept")).fire());
        until(() -> label("#accept-trouble").contains("name and a reason"));
        enter("#accept-name", "I. Nobody");
        enter("#accept-reason", "not used for takeoff");
        robot.interact(() -> ((Button) node("#point-accept")).fire());
        until(() -> label("#point-accepted").startsWith("Accepted as is by I. Nobody"));
        assertThat(row("#requirement-flow-margin-selector-fuselage")).contains("Fails");
        robot.interact(() -> ((javafx.scene.control.ToggleButton) node("#filter-holds")).fire());
        until(() -> robot.lookup("#requirement-flow-margin-selector-fuselage")
                .tryQuery()
                .isEmpty());
    }

    /** From what is asked to the test that shows it, ready to be run. */
    @Test
    void aRequirementLeadsToItsTest() {
        robot.clickOn("#rail-sign_off");
        until(() -> robot.lookup("#requirement-flow-margin-selector-fuselage")
                .tryQuery()
                .isPresent());
        robot.interact(() -> ((Button) node("#requirement-flow-margin-selector-fuselage")).fire());
        until(() -> node("#point-test").isVisible());
        robot.clickOn("#point-test");
        until(() -> robot.lookup("#hangar-page").tryQuery().isPresent()
                && label("#step-title").equals("Nose-up flow, FUSELAGE")
                && robot.lookup("#test-begin").tryQuery().isPresent());
    }
}
