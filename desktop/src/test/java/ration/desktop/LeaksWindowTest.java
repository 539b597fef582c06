package ration.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

/** Where fuel can come out, how fast, which valve stops it; a weep measured low is taken to full tanks. */
class LeaksWindowTest extends WindowHarness {

    @Test
    void everyPlaceIsListedAndAWeepIsTakenToFullTanks() {
        robot.clickOn("#rail-runs");
        until(() -> robot.lookup("#view-leaks").tryQuery().isPresent());
        press("#view-leaks");
        until(() -> robot.lookup("#leak-r4-start").tryQuery().isPresent());
        assertThat(node("#leak-r1-end").getAccessibleText())
                .contains(" gph, ", "stopped by no valve: Upper tank runs out");
        assertThat(node("#leak-r4-start").getAccessibleText()).endsWith("stopped by shutting Selector");
        press("#leak-scale");
        until(() -> label("#leak-weep").equals("Choose the place in the list first."));
        press("#leak-r4-start");
        type("#leak-drops", "many");
        type("#leak-height", "6 in");
        press("#leak-scale");
        until(() -> label("#leak-weep").contains("is not a number of drops"));
        type("#leak-drops", "4");
        press("#leak-scale");
        until(() -> label("#leak-weep").contains("drops a minute with full tanks"));
        assertThat(label("#leak-weep")).endsWith("measured 4.0 under 6.0 in.");
    }
}
