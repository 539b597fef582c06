package ration.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import javafx.scene.control.CheckBox;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import ration.aircraft.condition.Fault;
import ration.desktop.session.Worked;
import ration.record.project.Pattern;

/** A hidden fault found by entering readings, in the real window. */
class FindWindowTest extends WindowHarness {

    private String cause(int n) {
        return robot.lookup("#cause-" + n)
                .tryQuery()
                .map(javafx.scene.Node::getAccessibleText)
                .orElse("");
    }

    private void read(String value, String error) {
        int before = session.project().readings().size();
        robot.interact(() -> node("#find-value").requestFocus());
        robot.write(value);
        robot.interact(() -> node("#find-error").requestFocus());
        control(KeyCode.A);
        robot.write(error);
        keys(KeyCode.ENTER);
        until(() -> session.project().readings().size() == before + 1
                && label("#find-words").startsWith("likely causes after " + (before + 1)));
    }

    /**
     * Rail pressure reads low; the return pinched it jumps: the regulator, in two readings. Then it is set on the
     * layout.
     */
    @Test
    void aHiddenRegulatorFaultIsFoundInThreeReadings() {
        Worked header = Worked.of(Pattern.HEADER_TWO_PUMPS.project());
        robot.interact(() -> session.begin(header));
        until(() -> !session.shown().get().assessment().blocked());
        robot.clickOn("#rail-find");
        until(() -> !label("#find-next").isEmpty() && !cause(0).isEmpty());
        read("12", "8");
        read("13", "8");
        assertThat(label("#find-suspects")).isNotEmpty();
        robot.interact(() -> ((CheckBox) node("#find-return-pinched")).setSelected(true));
        read("64", "1");
        until(() -> cause(0).startsWith("Regulator stuck open") && cause(0).contains("likely"));
        assertThat(session.project().readings().get(2).setting().manoeuvres()).hasSize(1);
        robot.interact(() -> node("#cause-0").requestFocus());
        keys(KeyCode.SPACE);
        until(() -> session.condition().faults().has(Fault.Kind.REGULATOR_STUCK_OPEN, "regulator"));
        until(() -> !label("#conditions-fault").isEmpty());
    }

    /**
     * Nothing is recorded that nobody entered; what is asked for next prepares the line; a reading goes and comes back
     * by undo.
     */
    @Test
    void nothingIsRecordedThatNobodyEntered() {
        robot.clickOn("#rail-find");
        until(() -> !label("#find-next").isEmpty());
        robot.interact(() -> node("#find-value").requestFocus());
        keys(KeyCode.ENTER);
        assertThat(label("#find-trouble")).contains("Enter the value read");
        assertThat(session.project().readings()).isEmpty();
        robot.interact(() -> node("#find-enter").requestFocus());
        keys(KeyCode.SPACE);
        until(() -> node("#find-value").isFocused());
        robot.write("1");
        keys(KeyCode.ENTER);
        until(() ->
                session.project().readings().size() == 1 && label("#find-words").startsWith("likely causes after 1"));
        robot.interact(() -> node("#reading-remove-0").requestFocus());
        keys(KeyCode.SPACE);
        until(() -> session.project().readings().isEmpty());
        robot.interact(session::undo);
        until(() -> session.project().readings().size() == 1);
    }

    /** A prepared case says its complaint; the rig runs, its needles move, and signs are asked like gauges. */
    @Test
    void aPreparedCaseRunsBeforeTheReader() {
        robot.clickOn("#rail-find");
        until(() -> !label("#find-next").isEmpty());
        until(() -> node("#find-places").lookupAll("*").size() > 20);
        robot.clickOn("#find-prepared");
        until(() -> label("#find-mode").contains("then dies")
                && !label("#find-next").isEmpty());
        robot.interact(() -> node("#rig-run").requestFocus());
        keys(KeyCode.SPACE);
        until(() -> label("#rig-time").matches("[0-9]+:[0-9]0")
                && !label("#rig-time").equals("0:00")
                && robot.lookup("#needle-carburettor-pressure").tryQuery().isPresent());
        assertThat(label("#needle-carburettor-pressure")).contains("psi");
        keys(KeyCode.SPACE);
        until(() -> label("#rig-time").startsWith("stands at"));
        robot.interact(() -> this.<String>choice("#find-place").setValue("Fuselage tank"));
        robot.interact(() -> this.<ration.record.reading.Reading.What>choice("#find-what")
                .setValue(ration.record.reading.Reading.What.WILL_NOT_FILL));
        robot.interact(() -> node("#find-add").requestFocus());
        keys(KeyCode.SPACE);
        // one look in twenty misses what is there: what is seen is the rig's to say
        until(() -> label("#find-words").startsWith("likely causes after 1")
                || label("#find-words").startsWith("Nothing that fails"));
        assertThat(everyText()).contains("will not fill, Fuselage tank");
        assertThat(session.project().readings()).isEmpty();
    }

    @SuppressWarnings("unchecked")
    private <T> javafx.scene.control.ChoiceBox<T> choice(String id) {
        return (javafx.scene.control.ChoiceBox<T>) node(id);
    }

    /**
     * The program hides a fault and answers like a rig; the cause is named once it is clear, and the document stays as
     * it was.
     */
    @Test
    void aHiddenFaultIsPractised() {
        robot.clickOn("#rail-find");
        until(() -> !label("#find-next").isEmpty());
        robot.clickOn("#find-practise");
        until(() -> label("#find-mode").startsWith("practice")
                && !label("#find-next").isEmpty());
        for (int n = 1; n <= 4 && robot.lookup("#find-enter").tryQuery().isPresent(); n++) {
            String after = "likely causes after " + n;
            robot.interact(() -> node("#find-enter").requestFocus());
            keys(KeyCode.SPACE);
            until(() -> node("#find-add").isFocused());
            keys(KeyCode.SPACE);
            until(() -> label("#find-words").startsWith(after)
                    || label("#find-words").startsWith("Nothing that fails"));
        }
        robot.interact(() -> node("#cause-0").requestFocus());
        keys(KeyCode.SPACE);
        until(() -> label("#find-words").startsWith("Right: ")
                || label("#find-words").startsWith("No: it is not "));
        assertThat(session.project().readings())
                .as("nothing of it goes into the document")
                .isEmpty();
        robot.clickOn("#find-practise");
        until(() -> label("#find-mode").equals("readings in, probable cause out"));
    }
}
