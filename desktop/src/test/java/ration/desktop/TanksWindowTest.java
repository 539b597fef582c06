package ration.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.Clipboard;
import javafx.scene.input.ClipboardContent;
import javafx.scene.input.KeyCode;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import ration.aircraft.model.Tank;
import ration.aircraft.model.TankShape;
import ration.base.quantity.Unit;
import ration.record.evidence.HangarTest;
import ration.record.evidence.Work;

/** Tanks and hangar tests, by clicks and keys. */
class TanksWindowTest extends WindowHarness {

    private void enter(String text) {
        if (!text.isEmpty()) {
            control(KeyCode.A);
            robot.write(text);
        }
        keys(KeyCode.ENTER);
    }

    private HangarTest last() {
        return session.project().tests().get(session.project().tests().size() - 1);
    }

    private double gallons(double m3) {
        return Unit.GALLON.fromSi(m3);
    }

    private Tank tank(String id) {
        return (Tank) session.project().system().item(id).orElseThrow();
    }

    @Test
    void theLedgerLeadsToTheTankThatGoverns() {
        control(KeyCode.DIGIT2);
        until(() -> label("#ledger-unusable-figure").equals("1.32 gal"));
        until(() -> ((ToggleButton) node("#tank-upper")).isSelected());
        until(() -> label("#stranded-here").equals("1.24 gal"));
        assertThat(label("#ledger-unusable-case"))
                .isEqualTo("Estimated from a drain test, Glide \u22126\u00b0, tilt 3\u00b0 right, Upper tank");
        assertThat(node("#stranded-map").getAccessibleText()).contains("Maximum unusable 1.24 gal");
        assertThat(label("#placard-says")).startsWith("Placard needs");
    }

    @Test
    void holdTheTankInAnotherAttitudeByKeysAndByDragging() {
        control(KeyCode.DIGIT2);
        until(() -> label("#stranded-here").equals("1.24 gal"));
        robot.interact(() -> node("#stranded-map").requestFocus());
        keys(KeyCode.UP, KeyCode.UP, KeyCode.RIGHT);
        until(() -> ((TextField) node("#pitch")).getText().equals("\u22124.0\u00b0"));
        assertThat(((TextField) node("#tilt")).getText()).isEqualTo("+4.0\u00b0");
        String there = label("#stranded-here");
        robot.drag("#stranded-map").dropBy(60, 100);
        until(() -> !label("#stranded-here").equals(there));
        assertThat(session.changed().get()).as("looking changes nothing").isFalse();
    }

    @Test
    void tryWhatLeavesLessAndTakeItBack() {
        control(KeyCode.DIGIT2);
        until(() -> robot.lookup("#less-try-0").tryQuery().isPresent());
        robot.clickOn("#less-try-0");
        until(() -> label("#ledger-unusable-was").equals("previously 1.32 gal"));
        assertThat(tank("upper").outlets().get(0).place().waterLine().quantity().value())
                .isLessThan(84);
        control(KeyCode.Z);
        until(() -> label("#ledger-unusable-figure").equals("1.32 gal"));
    }

    /** Picks a test of the program by key and begins it. */
    private void beginTest(String wanted) {
        until(() -> robot.lookup(wanted).tryQuery().isPresent());
        robot.interact(() -> node(wanted).requestFocus());
        keys(KeyCode.SPACE);
        until(() -> robot.lookup("#test-begin")
                .tryQuery()
                .map(javafx.scene.Node::isFocused)
                .orElse(false));
        keys(KeyCode.ENTER);
    }

    /** A total is wanted: what goes into each tank, by keys; more than a tank holds is refused and said. */
    @Test
    void fuelToAWantedTotal() {
        robot.clickOn("#rail-tanks");
        press("#view-all-tanks");
        until(() -> robot.lookup("#refuel-wanted").tryQuery().isPresent());
        type("#refuel-upper", "2");
        keys(KeyCode.ENTER);
        type("#refuel-fuselage", "5");
        keys(KeyCode.ENTER);
        type("#refuel-wanted", "15");
        keys(KeyCode.ENTER);
        until(() -> label("#refuel-add-upper").equals("5.50 gal")
                && label("#refuel-add-fuselage").equals("2.50 gal"));
        assertThat(node("#refuel-wanted").isFocused()).isTrue();
        type("#refuel-wanted", "60");
        keys(KeyCode.ENTER);
        until(() -> label("#refuel-said").endsWith("does not fit. "));
        type("#refuel-upper", "50");
        keys(KeyCode.ENTER);
        until(() -> label("#refuel-said").startsWith("Aboard in Upper tank: at most "));
        assertThat(label("#refuel-add-fuselage")).isNotEqualTo("2.50 gal");
    }

    /** The whole drain test of the upper tank, keys only once it is begun; the placard follows it. */
    @Test
    void aWholeDrainTestByKeyboard() {
        robot.clickOn("#rail-hangar");
        beginTest("#wanted-drain-upper");
        until(() -> step().startsWith("Before a drain test"));
        keys(KeyCode.ENTER);
        until(() ->
                step().startsWith("Tester and instruments") && node("#test-who").isFocused());
        control(KeyCode.A);
        robot.write("helper");
        keys(KeyCode.TAB, KeyCode.TAB);
        robot.write("52 F");
        keys(KeyCode.ENTER);
        until(() -> step().equals("Pour in a measured amount")
                && node("#test-poured").isFocused());
        assertThat(robot.lookup("#cross-feed").tryQuery())
                .as("the selector closes every way")
                .isEmpty();
        enter("2.5");
        until(() -> step().equals("Set the attitude") && node("#mark-front").isFocused());
        robot.write("40");
        keys(KeyCode.TAB);
        robot.write("50");
        keys(KeyCode.TAB);
        robot.write("95.7");
        until(() -> label("#big-figure").equals("\u22126.0\u00b0 nose down"));
        keys(KeyCode.ENTER);
        until(() -> label("#test-trouble").startsWith("Pitch and tilt: enter what"));
        robot.interact(() -> node("#test-tilt").requestFocus());
        robot.write("0");
        keys(KeyCode.ENTER);
        until(() -> step().equals("Select this tank"));
        robot.interact(() -> ((Button) node("#test-next")).fire());
        until(() -> label("#test-trouble").contains("Choose the selector position"));
        until(() -> node("#test-position-upper").isFocused());
        keys(KeyCode.SPACE);
        until(() -> node("#test-next").isFocused());
        keys(KeyCode.ENTER);
        until(() -> step().equals("Drain until the stream breaks"));
        keys(KeyCode.ENTER);
        until(() -> ((Button) node("#test-next")).getText().equals("Stream broke: stop timer"));
        keys(KeyCode.ENTER);
        until(() ->
                step().equals("Enter amount drained") && node("#test-drained").isFocused());
        enter("2.9");
        until(() -> label("#test-trouble").contains("More drained"));
        enter("1");
        until(() -> label("#big-figure").equals("1.50 gal stays"));
        keys(KeyCode.ENTER);
        until(() -> last().progress().done());
        until(() -> label("#ledger-unusable-figure").equals("1.50 gal"));
        assertThat(label("#ledger-unusable-verdict")).isEqualTo("Fails");
        assertThat(label("#ledger-unusable-case")).contains("Drain test", "Upper tank");
        Work.Drain drain = (Work.Drain) last().work();
        assertThat(drain.position()).isEqualTo("UPPER");
        assertThat(last().by().who()).isEqualTo("helper");
        control(KeyCode.DIGIT2);
        until(() -> label("#placard-says").startsWith("Placard needs")
                && label("#placard-says").contains("1.50 gal unusable"));
        robot.clickOn("#placard-set");
        until(() -> label("#ledger-unusable-verdict").equals("Thin")
                || label("#ledger-unusable-verdict").equals("Holds"));
        assertThat(gallons(tank("upper").unusable().si())).isBetween(1.499, 1.501);
    }

    @Test
    void anInterruptedTestGoesOnWhereItStopped() {
        robot.clickOn("#rail-hangar");
        until(() -> robot.lookup("#wanted-drain-fuselage").tryQuery().isPresent());
        robot.clickOn("#wanted-drain-fuselage");
        until(() -> step().equals("Drain until the stream breaks"));
        keys(KeyCode.ENTER, KeyCode.ENTER);
        until(() -> step().equals("Enter amount drained"));
        robot.clickOn("#test-later");
        until(() -> step().equals("Drain test of Fuselage tank"));
        robot.clickOn("#test-test-4");
        until(() ->
                step().equals("Enter amount drained") && node("#test-drained").isFocused());
        enter("2.35 gal");
        until(() -> label("#big-figure").equals("0.15 gal stays"));
        keys(KeyCode.ENTER);
        until(() -> session.project().test("test-4").orElseThrow().progress().done());
        robot.clickOn("#rail-tanks");
        robot.clickOn("#tank-fuselage");
        robot.clickOn("#cards-asked");
        until(() -> everyText().stream()
                .anyMatch(t -> t.startsWith("Worst predicted attitude")
                        && t.contains("not drain-tested. Tested: pitch 17\u00b0, tilt 0\u00b0, 0.15 gal unusable.")));
        assertThat(label("#ledger-open-case"))
                .as("a test of one attitude does not show another")
                .startsWith("4 Fails, 5 Not shown;");
    }

    /** Fill and mark of the fuselage tank by keyboard: the gauge and the capacity follow. */
    @Test
    void aWholeFillByKeyboardGivesMarksCapacityAndPlacard() throws IOException {
        robot.clickOn("#rail-hangar");
        beginTest("#wanted-fill-fuselage");
        until(() -> step().startsWith("Before a fill"));
        keys(KeyCode.ENTER);
        until(() -> step().startsWith("Tester and instruments"));
        keys(KeyCode.ENTER);
        until(() -> step().equals("Choose attitude: level or parked"));
        robot.interact(() -> node("#fill-level").requestFocus());
        keys(KeyCode.SPACE);
        String[][] pours = {{"4", "4.75"}, {"4", "8.7"}, {"4", "12.65"}, {"4.4", "17"}};
        for (int i = 0; i < pours.length; i++) {
            String[] pour = pours[i];
            until(() -> step().equals("Pour") && node("#test-poured").isFocused());
            enter(pour[0]);
            until(() -> step().equals("Read and mark") && node("#test-reading").isFocused());
            enter(pour[1]);
            until(() ->
                    step().equals("Next pour, or full") && node("#test-again").isFocused());
            if (i + 1 < pours.length) {
                keys(KeyCode.ENTER);
            }
        }
        assertThat(label("#big-figure")).isEqualTo("16.40 gal in");
        robot.interact(() -> node("#test-next").requestFocus());
        keys(KeyCode.SPACE);
        until(() -> last().progress().done());
        robot.clickOn("#rail-tanks");
        robot.clickOn("#tank-fuselage");
        until(() -> everyText().stream().anyMatch(t -> t.startsWith("by fills, ")));
        assertThat(node("#gauge-picture").getAccessibleText()).contains("Zero mark belongs at");
        until(() -> label("#placard-says").contains("0.60 gal unusable"));
        answers.save = folder.resolve("gauge");
        robot.clickOn("#gauge-print");
        until(() -> Files.exists(folder.resolve("gauge.pdf")));
        try (PDDocument pdf = Loader.loadPDF(folder.resolve("gauge.pdf").toFile())) {
            assertThat(new PDFTextStripper().getText(pdf))
                    .contains("Fuselage tank", "Level, by fills", "Parked 12\u00b0, by shape");
        }
    }

    @Test
    void aTopOffAndATableOfTests() throws IOException {
        robot.clickOn("#rail-hangar");
        beginTest("#wanted-top-off-fuselage");
        until(() -> step().startsWith("Before a top-off"));
        keys(KeyCode.ENTER, KeyCode.ENTER);
        until(() -> step().equals("Fuel already in the tank")
                && node("#test-before").isFocused());
        enter("2");
        until(() -> step().equals("Choose attitude: level or parked"));
        robot.interact(() -> node("#fill-level").requestFocus());
        keys(KeyCode.SPACE);
        until(() -> step().equals("Fill to the filler") && node("#test-metered").isFocused());
        enter("15");
        until(() -> label("#big-figure").equals("17.00 gal full"));
        keys(KeyCode.ENTER);
        until(() -> last().progress().done());
        answers.save = folder.resolve("tests.csv");
        robot.clickOn("#tests-write");
        until(() -> Files.exists(folder.resolve("tests.csv")));
        int count = session.project().tests().size();
        while (session.project().tests().size() == count) {
            control(KeyCode.Z);
        }
        answers.open = folder.resolve("tests.csv");
        robot.clickOn("#tests-read");
        until(() ->
                session.project().tests().size() == count && last().progress().done());
        answers.open = Files.writeString(folder.resolve("bad.csv"), "id,kind,tank\n1,boil,upper\n");
        robot.clickOn("#tests-read");
        until(() -> label("#message").contains("Row 2") && label("#message").contains("Nothing was changed"));
    }

    @Test
    void aMovedOutletMakesTheTestsStaleAndSaysSo() {
        robot.interact(() -> session.picked().set("upper"));
        until(() -> robot.lookup("#field-outlets-outlet-at-station").tryQuery().isPresent());
        fill("#field-outlets-outlet-at-station", "52");
        until(() -> label("#message").startsWith("This invalidates 5 tests: Fill and mark of Upper tank")
                && label("#message").contains("station was"));
        robot.clickOn("#rail-hangar");
        until(() -> everyText().stream().anyMatch(t -> t.contains("outdated: tank or outlet changed since")));
        until(() -> label("#ledger-open-case").contains("Not shown"));
    }

    @Test
    void aNewShapeFromAPatternAndATableOfPoints() {
        robot.clickOn("#rail-tanks");
        robot.clickOn("#view-shape");
        until(() -> robot.lookup("#shape-patterns").tryQuery().isPresent());
        robot.clickOn("#shape-patterns");
        robot.clickOn("#pattern-wing-bay");
        until(() -> node("#measure-0").isFocused());
        enter("-50");
        robot.clickOn("#pattern-make");
        until(() -> label("#shape-trouble").contains("outer rib"));
        fill("#measure-0", "20");
        robot.clickOn("#pattern-make");
        until(() -> tank("upper").shape() instanceof TankShape.Sections);
        until(() -> robot.lookup("#section-sheet").tryQuery().isPresent());
        robot.interact(() -> {
            ClipboardContent table = new ClipboardContent();
            table.putString("0\t0\t80\n0\t20\t80\n0\t20\t88\n0\t0\t88\n20\t0\t80\n20\t20\t80\n20\t20\t88\n20\t0\t88");
            Clipboard.getSystemClipboard().setContent(table);
        });
        robot.clickOn("#section-paste");
        until(() -> Math.abs(gallons(tank("upper").solid().volume()) - 20 * 20 * 8 / 231.0) < 1e-6);
        robot.interact(() -> {
            ClipboardContent table = new ClipboardContent();
            table.putString("0\t0\t80\n0\t20\t88\n0\t20\t80\n0\t0\t88\n20\t0\t80\n20\t20\t80\n20\t20\t88");
            Clipboard.getSystemClipboard().setContent(table);
        });
        robot.clickOn("#section-paste");
        until(() -> label("#shape-trouble").contains("Section 1 at 0 in crosses itself")
                && label("#shape-trouble").contains("Nothing was changed"));
        assertThat(robot.lookup("#shape-views").query().getAccessibleText()).contains("Front");
        assertThat(((Label) node("#shape-trouble")).getText()).isNotEmpty();
    }

    /**
     * The corners of the region are the Brief's: more slip in the glide leaves more, and a nonsense angle stays unsaid.
     */
    @Test
    void slipsOfTheBriefMoveTheFigureThatGoverns() {
        robot.clickOn("#rail-brief");
        until(() -> robot.lookup("#brief-glide-slip").tryQuery().isPresent());
        assertThat(label("#ledger-unusable-figure")).isEqualTo("1.32 gal");
        fill("#brief-glide-slip", "5");
        until(() -> !label("#ledger-unusable-figure").equals("1.32 gal"));
        assertThat(Double.parseDouble(label("#ledger-unusable-figure").replace(" gal", "")))
                .isBetween(1.33, 1.8);
        assertThat(label("#ledger-unusable-verdict")).isEqualTo("Fails");
        assertThat(label("#ledger-unusable-case")).contains("tilt 5\u00b0");
        fill("#brief-glide-slip", "80");
        until(() -> everyText().stream().anyMatch(t -> t.contains("Attitude: within \u00b160\u00b0")));
        keys(KeyCode.ESCAPE);
        control(KeyCode.Z);
        until(() -> label("#ledger-unusable-figure").equals("1.32 gal"));
    }
}
