package ration.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.util.Locale;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import ration.aircraft.heat.HeatFigure;
import ration.aircraft.heat.Soak;
import ration.aircraft.model.Run;

/** The Vapor page, by clicks and keys. */
class VaporWindowTest extends WindowHarness {

    private void brindle() {
        menu("demo-brindle-a2");
        until(() -> label("#ledger-vapor-figure").equals("13.5 \u00b0F"));
        control(KeyCode.DIGIT3);
        until(() -> node("#vapor-path").getAccessibleText().contains("13.5 \u00b0F at lift pump inlet"));
    }

    @Test
    void theLedgerLeadsToTheCaseThatGoverns() {
        brindle();
        assertThat(label("#ledger-vapor-verdict")).as("a restart is at risk").isEqualTo("Thin");
        assertThat(label("#ledger-vapor-case"))
                .startsWith("Lift pump inlet, fuel 100 \u00b0F, 8,000 ft; margin ")
                .endsWith(" at 110 \u00b0F; restart at risk");
        assertThat(((TextField) node("#vapor-altitude")).getText()).isEqualTo("8,000 ft");
        robot.clickOn("#vapor-110");
        until(() -> node("#vapor-path").getAccessibleText().matches("(?s).*[1-4]\\.\\d \u00b0F at lift pump inlet.*"));
        assertThat(session.changed().get()).as("another day changes no project").isFalse();
        fill("#vapor-altitude", "4000");
        until(() -> node("#altitude-map").getAccessibleText().contains("This case: 110 \u00b0F"));
    }

    @Test
    void anotherFuelAnotherVerdictAndBack() {
        brindle();
        robot.clickOn("#vapor-grade").clickOn("#grade-mogas-d");
        until(() -> label("#ledger-vapor-verdict").equals("Fails"));
        control(KeyCode.Z);
        until(() -> label("#ledger-vapor-verdict").equals("Thin"));
    }

    @Test
    void heatFiguresAreCheckedAndSet() {
        brindle();
        robot.clickOn("#vapor-figures");
        until(() -> robot.lookup("#heat-needed").tryQuery().isPresent());
        fill("#heat-needed", "90");
        until(() -> label("#vapor-trouble").contains("lies between"));
        fill("#heat-needed", "9");
        until(() -> label("#ledger-vapor-verdict").equals("Fails"));
        assertThat(session.project().heat().si(HeatFigure.NEEDED)).isEqualTo(9);
    }

    /** A part said to stand elsewhere warms otherwise, and goes back to what its place says. */
    @Test
    void aPartIsSaidToStandElsewhere() {
        brindle();
        robot.clickOn("#vapor-figures");
        until(() -> robot.lookup("#zone-lift").tryQuery().isPresent());
        choose("#zone-lift", "Engine bay");
        until(() -> ration.aircraft.heat.Zone.ENGINE_BAY.equals(
                session.project().heat().zones().get("lift")));
        until(() -> robot.lookup("#zone-lift").tryQuery().isPresent()
                && ((ChoiceBox<?>) node("#zone-lift"))
                        .getValue()
                        .equals(java.util.Optional.of(ration.aircraft.heat.Zone.ENGINE_BAY)));
        choose("#zone-lift", "By its place");
        until(() -> session.project().heat().zones().isEmpty());
        until(() -> label("#ledger-vapor-figure").equals("13.5 \u00b0F"));
    }

    @Test
    void whatBuysDegreesIsTriedAndTakenBack() {
        brindle();
        robot.clickOn("#vapor-buys");
        until(() -> robot.lookup("#degrees-try-1").tryQuery().isPresent());
        robot.clickOn("#degrees-try-1");
        until(() -> label("#ledger-vapor-was").equals("previously 13.5 \u00b0F"));
        control(KeyCode.Z);
        until(() -> label("#ledger-vapor-figure").equals("13.5 \u00b0F"));
    }

    @SuppressWarnings("unchecked")
    private void choose(String id, String value) {
        robot.interact(() -> {
            ChoiceBox<Object> box = (ChoiceBox<Object>) node(id);
            box.setValue(box.getItems().stream()
                    .filter(i -> value.equals(
                            box.getConverter() == null ? i : box.getConverter().toString(i)))
                    .findFirst()
                    .orElseThrow());
        });
    }

    /** A made-up log of the carburettor: its columns are said once, it is laid over, fitted, and its figures taken. */
    @Test
    void aLogIsLaidOverFittedAndTaken() throws IOException {
        brindle();
        Soak truth = new Soak(310.93, 40, 47, 2000, 820, 312);
        StringBuilder csv = new StringBuilder("t (s);carb (\u00b0C);note\n");
        for (int i = 0; i < 120; i++) {
            csv.append(String.format(Locale.GERMANY, "%d;%.2f;ok%n", i * 20, truth.at(i * 20) - 273.15));
        }
        answers.open = Files.writeString(folder.resolve("soak.csv"), csv.toString());
        robot.clickOn("#log-open");
        until(() -> robot.lookup("#log-lay").tryQuery().isPresent());
        assertThat(((ChoiceBox<?>) node("#log-is-0")).getValue()).isEqualTo("time");
        assertThat(((ChoiceBox<?>) node("#log-in-1")).getValue()).isEqualTo("\u00b0C");
        choose("#log-is-1", "\u2013");
        robot.clickOn("#log-lay");
        until(() -> label("#log-said").contains("Assign one or more columns"));
        choose("#log-is-1", "Carburetor");
        robot.clickOn("#log-lay");
        until(() -> label("#log-said").contains("root mean square: Carburetor"));
        until(() -> node("#soak-picture").getAccessibleText().contains("logged"));
        robot.clickOn("#log-fit");
        until(() -> label("#log-said").contains("soak peaks 84.6 \u00b0F"));
        robot.clickOn("#log-take");
        until(() -> Math.abs(session.project().heat().si(HeatFigure.BAY_SOAK_OVER) - 47) < 0.6);
        robot.clickOn("#log-open");
        until(() -> robot.lookup("#log-lay").tryQuery().isPresent());
        assertThat(((ChoiceBox<?>) node("#log-is-1")).getValue())
                .as("said once")
                .isEqualTo("Carburetor");
        robot.clickOn("#log-lay");
        until(() -> robot.lookup("#log-keep").tryQuery().isPresent());
        robot.clickOn("#log-keep");
        until(() -> label("#log-said").contains("after the change"));
        robot.clickOn("#log-open");
        until(() -> robot.lookup("#log-lay").tryQuery().isPresent());
        robot.clickOn("#log-lay");
        until(() -> label("#log-said").contains("in the earlier run"));
        assertThat(node("#soak-picture").getAccessibleText()).contains("an earlier run");
        robot.clickOn("#log-open");
        until(() -> robot.lookup("#log-lay").tryQuery().isPresent());
        robot.interact(() -> ((javafx.scene.control.TextField) node("#log-stopped")).setText("5"));
        robot.clickOn("#log-lay");
        until(() -> label("#log-said").contains("While running, maximum: Carburetor"));
    }

    @Test
    void aLogThatIsNoneIsRefusedInWords() throws IOException {
        brindle();
        answers.open = Files.writeString(folder.resolve("poem.csv"), "roses, red\nviolets, blue\nfuel, liquid\n");
        robot.clickOn("#log-open");
        until(() ->
                label("#log-said").contains("poem.csv") && label("#log-said").contains("Not a table of readings"));
    }

    /** Held, changed, compared, let go; another aircraft is not compared with the one before. */
    @Test
    void aChangeIsComparedWithWhatWasHeld() {
        brindle();
        int lines = pieces();
        robot.clickOn("#vapor-hold");
        until(() ->
                ((javafx.scene.control.Button) node("#vapor-hold")).getText().equals("Clear baseline"));
        until(() -> pieces() > lines);
        robot.interact(() -> session.apply(ration.record.project.Edit.of(
                "Widen",
                p -> p.with(p.system()
                        .replace(((Run) p.system().item("r3").orElseThrow())
                                .resized(ration.aircraft.model.LineSize.parse("1/2 x 0.035 tube")))))));
        until(() -> !label("#ledger-vapor-figure").equals("13.5 \u00b0F"));
        assertThat(Double.parseDouble(label("#ledger-vapor-figure").replaceAll("[^0-9.]", "")))
                .as("a wider suction line leaves more")
                .isGreaterThan(13.5);
        control(KeyCode.Z);
        until(() -> label("#ledger-vapor-figure").equals("13.5 \u00b0F"));
        menu("demo-tansy-l3");
        until(() -> label("#ledger-vapor-figure").equals("15.7 \u00b0F"));
        control(KeyCode.DIGIT3);
        until(() ->
                ((javafx.scene.control.Button) node("#vapor-hold")).getText().equals("Set as baseline"));
    }

    private int pieces() {
        return node("#vapor-path").lookupAll("*").size();
    }
}
