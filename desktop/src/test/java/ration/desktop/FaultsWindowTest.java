package ration.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import ration.aircraft.condition.Fault;
import ration.record.file.ProjectFile;
import ration.record.project.Project;
import ration.verdict.check.Verdict;

/** Single failures: found, read, set on the layout and cleared again, by keys in the real window. */
class FaultsWindowTest extends WindowHarness {

    /**
     * The worst fault is on top, its card says why; set on the layout every page answers for it, until it is cleared.
     */
    @Test
    void theWorstFaultIsSetOnTheLayoutAndCleared() {
        assertThat(node("#rail-faults").getAccessibleText()).contains("Not shown");
        robot.clickOn("#rail-faults");
        until(() -> label("#faults-sum").matches("\\d+ of \\d+"));
        assertThat(label("#faults-words")).contains("cut flow below demand", "have no pilot action", "Not shown");
        until(() -> node("#rail-faults").getAccessibleText().contains("Fails"));
        robot.interact(() -> node("#fault-0").requestFocus());
        until(() -> !label("#fault-part").isEmpty());
        String first = label("#fault-part");
        keys(KeyCode.DOWN);
        until(() -> node("#fault-1").isFocused());
        keys(KeyCode.UP);
        until(() -> label("#fault-part").equals(first));
        robot.interact(() -> node("#fault-set").requestFocus());
        keys(KeyCode.SPACE);
        until(() -> !session.condition().faults().none()
                && !label("#conditions-fault").isEmpty());
        until(() -> session.shown()
                .get()
                .condition()
                .faults()
                .equals(session.condition().faults()));
        assertThat(session.shown().get().look().orElseThrow().margin()).isLessThan(1);
        assertThat(session.changed().get()).as("a look changes nothing").isFalse();
        robot.interact(() -> node("#fault-clear").requestFocus());
        keys(KeyCode.SPACE);
        until(() -> session.shown().get().condition().faults().none()
                && label("#conditions-fault").isEmpty());
    }

    /**
     * A filter shows one group; an edit that takes the failed part away takes the fault with it, and the search is done
     * again.
     */
    @Test
    void groupsAreShownAloneAndAnEditAsksAgain() {
        assertThat(label("#ledger-open-need")).isEqualTo("failures not run");
        robot.clickOn("#rail-faults");
        until(() -> label("#faults-sum").matches("\\d+ of \\d+"));
        assertThat(label("#ledger-open-need"))
                .as("what fails is part of what is open")
                .isEqualTo(label("#faults-sum").replaceAll(" .*", "") + " failures cut flow");
        assertThat(label("#ledger-open-case"))
                .contains("; "
                        + session.faults().get().stream()
                                .filter(f -> f.verdict() == Verdict.NOT_SHOWN)
                                .count() + " failures Not shown");
        String before = label("#faults-sum");
        robot.clickOn("#faults-no-way-out");
        until(() -> everyText().stream().noneMatch(t -> t.startsWith("Flow still meets demand  ")));
        robot.clickOn("#faults-all");
        until(() -> everyText().stream().anyMatch(t -> t.startsWith("Flow still meets demand  ")));
        robot.interact(
                () -> session.look(session.condition().with(new Fault(Fault.Kind.FILTER_FOULED, "strainer", 4))));
        robot.interact(() -> session.apply(ration.record.project.Edit.of(
                "Remove the strainer",
                p -> p.with(ration.record.project.LayoutEdits.remove(p.system(), "strainer")
                        .orElseThrow()
                        .system()))));
        until(() -> session.shown().get().condition().faults().none());
        until(() -> label("#faults-sum").matches("\\d+ of \\d+")
                && !label("#faults-sum").equals(before));
    }

    /**
     * What kills soonest without a sign on the Brindle is looked up, a remedy is tried, and the fault does no harm any
     * more.
     */
    @Test
    void aFaultIsRemovedByTry() {
        menu("demo-brindle-a2");
        until(() -> session.project().name().startsWith("Brindle")
                && !session.shown().get().assessment().blocked());
        keys(KeyCode.ESCAPE);
        robot.clickOn("#rail-faults");
        until(() -> label("#faults-sum").matches("\\d+ of \\d+"));
        String before = label("#faults-sum");
        Fault vent = new Fault(Fault.Kind.VENT_SHUT, "hull");
        int row = session.faults()
                .get()
                .indexOf(session.faults().get().stream()
                        .filter(f -> f.fault().equals(vent))
                        .findFirst()
                        .orElseThrow());
        robot.interact(() -> node("#fault-" + row).requestFocus());
        until(() -> label("#fault-part").equals("Hull tank")
                && robot.lookup("#fault-remedies").tryQuery().isPresent());
        robot.interact(() -> node("#fault-remedies").requestFocus());
        keys(KeyCode.SPACE);
        until(() -> robot.lookup("#fault-try-0")
                .tryQuery()
                .map(n -> n.getAccessibleText().startsWith("Try: Vented cap on Hull tank, then Holds"))
                .orElse(false));
        robot.interact(() -> node("#fault-try-0").requestFocus());
        keys(KeyCode.SPACE);
        until(() -> label("#faults-sum").matches("\\d+ of \\d+")
                && !label("#faults-sum").equals(before));
        assertThat(session.faults().get().stream()
                        .filter(f -> f.fault().equals(vent))
                        .map(ration.answer.fault.FaultAnswer::verdict))
                .containsOnly(Verdict.HOLDS);
    }

    /**
     * By gravity nothing stands by: nothing that waits turns one more failure into a stoppage, and what is not computed
     * is told.
     */
    @Test
    void whatWaitsUnseenIsListedByTheCheckThatFindsIt() {
        robot.clickOn("#rail-faults");
        until(() -> robot.lookup("#faults-hidden").tryQuery().isPresent());
        until(() -> label("#faults-words").contains("cut flow")
                || session.faults().get() != null && !session.faults().get().isEmpty());
        robot.interact(() -> node("#faults-hidden").requestFocus());
        keys(KeyCode.SPACE);
        until(() -> label("#hidden-sum").startsWith("No failure that waits unseen turns one more into a stoppage; "));
        assertThat(label("#hidden-sum")).contains(" not computed (never counted as harmless)");
        until(() -> robot.lookup("#hidden-harmless").tryQuery().isPresent());
        robot.interact(() -> node("#hidden-harmless").requestFocus());
        keys(KeyCode.SPACE);
        until(() -> robot.lookup("#hidden-0").tryQuery().isPresent());
        robot.interact(() -> node("#faults-hidden").requestFocus());
        keys(KeyCode.SPACE);
        until(() -> robot.lookup("#faults-search")
                .tryQuery()
                .filter(n -> n.isVisible())
                .isPresent());
    }

    /**
     * Two pumps that stand by each other: a dead one waits. Keys walk the pairs, C puts the check on the preflight
     * card, which closes what it finds; Enter sets both failures on the layout.
     */
    @Test
    void aCheckIsPutOnThePreflightCardFromAHiddenFailure() throws Exception {
        Project brindle = ProjectFile.demo("brindle-a2");
        robot.interact(() -> session.show(brindle, null));
        robot.clickOn("#rail-faults");
        robot.clickOn("#faults-hidden");
        until(() -> robot.lookup("#hidden-0").tryQuery().isPresent());
        until(() -> label("#ledger-open-case").contains("hidden failures without a check"));
        int open = withoutACheck();
        robot.interact(() -> node("#hidden-0").requestFocus());
        until(() -> label("#hidden-name").equals("Lift pump inoperative")
                && label("#hidden-then").equals("waits; then Standby pump inoperative")
                && label("#hidden-minutes").equals("11.4 min"));
        keys(KeyCode.N);
        until(() -> !label("#hidden-then").equals("waits; then Standby pump inoperative"));
        with(KeyCode.SHIFT, KeyCode.N);
        until(() -> label("#hidden-then").equals("waits; then Standby pump inoperative"));
        keys(KeyCode.C);
        until(() -> withoutACheck() == open - 1);
        assertThat(session.project().upkeep().parts())
                .extracting(p -> p.name() + ", " + p.life().words())
                .contains("Lift pump run alone, before every flight");
        robot.interact(() -> node("#hidden-0").requestFocus());
        keys(KeyCode.ENTER);
        until(() -> session.condition().faults().all().size() == 2);
        with(KeyCode.CONTROL, KeyCode.Z);
        until(() -> session.project().upkeep().parts().isEmpty());
    }

    private int withoutACheck() {
        java.util.regex.Matcher m = java.util.regex.Pattern.compile("(\\d+) hidden failures? without a check")
                .matcher(label("#ledger-open-case"));
        return m.find() ? Integer.parseInt(m.group(1)) : -1;
    }
}
