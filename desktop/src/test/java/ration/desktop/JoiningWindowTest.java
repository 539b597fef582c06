package ration.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.PortRef;
import ration.aircraft.model.Tank;
import ration.aircraft.model.VentPlenum;
import ration.record.project.ItemEdits;
import ration.record.project.Project;

/** Open ports are joined by keys alone: a tank with two outlets on a selector, vents to one plenum. */
class JoiningWindowTest extends WindowHarness {

    private void pick(String id) {
        robot.interact(() -> session.picked().set(id));
        focusDrawing();
    }

    /**
     * From the empty sheet: a tank, a selector in its line, a second outlet, and that outlet to the selector's free
     * side.
     */
    @Test
    void aSecondOutletIsJoinedToTheSelectorByTyping() {
        robot.interact(() -> session.show(Project.empty(), null));
        focusDrawing();
        keys(KeyCode.A);
        until(() -> robot.lookup("#offer-tank").tryQuery().isPresent());
        keys(KeyCode.ENTER);
        until(() -> session.project().system().runs().size() == 1);
        String line = session.project().system().runs().get(0).id();
        pick(line);
        keys(KeyCode.I);
        until(() -> robot.lookup("#offer-selector").tryQuery().isPresent());
        keys(KeyCode.S, KeyCode.E, KeyCode.L);
        until(() -> robot.lookup("#offer-strainer").tryQuery().isEmpty());
        keys(KeyCode.ENTER);
        until(() -> session.project().system().selectors().size() == 1);
        Tank tank = session.project().system().tanks().get(0);
        robot.interact(() -> session.apply(
                ration.record.project.Edit.of("Add outlet", p -> p.with(withOutlet(p.system(), tank.id())))));
        String second =
                session.project().system().tanks().get(0).outlets().get(1).name();
        pick(tank.id());
        keys(KeyCode.J);
        until(() -> robot.lookup("#chooser").query().isVisible());
        keys(KeyCode.R, KeyCode.I, KeyCode.G);
        keys(KeyCode.ENTER);
        until(() -> session.project()
                .system()
                .runAt(new PortRef("selector", "right"))
                .isPresent());
        assertThat(session.project()
                        .system()
                        .runAt(new PortRef("selector", "right"))
                        .orElseThrow()
                        .from())
                .isEqualTo(new PortRef(tank.id(), second));
        assertThat(session.picked().get())
                .isEqualTo(session.project()
                        .system()
                        .runAt(new PortRef("selector", "right"))
                        .orElseThrow()
                        .id());
        control(KeyCode.Z);
        until(() -> session.project()
                .system()
                .runAt(new PortRef("selector", "right"))
                .isEmpty());
    }

    /**
     * A click on an open port begins a run, on another ends it, on a run branches into it; what does not go together
     * says why.
     */
    @Test
    void portsAreJoinedByClicks() {
        robot.interact(() -> session.apply(ration.record.project.Edit.of(
                "Take out", p -> p.with(withOutlet(p.system(), "upper").minus("r2")))));
        until(() -> robot.lookup("#port-fuselage-outlet").tryQuery().isPresent()
                && robot.lookup("#port-upper-outlet-2").tryQuery().isPresent());
        robot.clickOn("#port-fuselage-outlet");
        until(() -> session.message().get().contains("Line starts at Fuselage tank, outlet")
                && session.picked().get().equals("fuselage"));
        robot.clickOn("#port-upper-outlet-2");
        until(() -> session.message().get().contains("do not fit"));
        robot.clickOn("#port-selector-fuselage");
        robot.clickOn("#port-fuselage-outlet");
        until(() -> session.project()
                .system()
                .runAt(new PortRef("selector", "fuselage"))
                .isPresent());
        assertThat(session.project()
                        .system()
                        .runAt(new PortRef("fuselage", "outlet"))
                        .orElseThrow()
                        .to())
                .isEqualTo(new PortRef("selector", "fuselage"));
        until(() -> robot.lookup("#port-selector-fuselage").tryQuery().isEmpty());
        robot.clickOn("#port-upper-outlet-2");
        robot.clickOnDrawn(n -> "r1".equals(n.getUserData()) && n instanceof javafx.scene.Group);
        until(() -> session.project()
                .system()
                .runAt(new PortRef("upper", "outlet-2"))
                .isPresent());
        assertThat(session.project().system().all(ration.aircraft.model.Tee.class))
                .hasSize(1);
        control(KeyCode.Z);
        until(() -> session.project()
                .system()
                .runAt(new PortRef("upper", "outlet-2"))
                .isEmpty());
        robot.clickOn("#port-upper-outlet-2");
        keys(KeyCode.ESCAPE);
        until(() -> session.picked().get().isEmpty());
    }

    /** A key that has nothing to do here says why; letters that find nothing change nothing. */
    @Test
    void whatCannotBeDoneSaysWhy() {
        pick("strainer");
        keys(KeyCode.J);
        until(() -> session.message().get().contains("Strainer has no open port"));
        keys(KeyCode.V);
        until(() -> session.message().get().contains("A vent belongs to a tank"));
        pick("carburettor");
        keys(KeyCode.DELETE);
        until(() -> session.message().get().contains("stays: every layout ends at the engine"));
        int items = session.project().system().items().size();
        pick("r1");
        keys(KeyCode.I);
        until(() -> robot.lookup("#chooser").query().isVisible());
        keys(KeyCode.Q, KeyCode.X);
        until(() -> everyText().contains("No match. Backspace deletes a letter."));
        keys(KeyCode.ENTER);
        keys(KeyCode.ESCAPE);
        until(() -> !robot.lookup("#chooser").query().isVisible());
        assertThat(session.project().system().items()).hasSize(items);
    }

    /** Alt and an arrow, or the pointer, draw an item further across; its measured place, and so its height, stay. */
    @Test
    void anItemIsDrawnFurtherAcrossAndNeverHigher() {
        pick("strainer");
        var place = session.project().system().item("strainer").orElseThrow();
        with(KeyCode.ALT, KeyCode.RIGHT);
        with(KeyCode.ALT, KeyCode.RIGHT);
        until(() -> Math.abs(session.project().system().shifts().getOrDefault("strainer", 0.0) - 0.02) < 1e-9);
        robot.dragDrawn(n -> "strainer".equals(n.getUserData()) && n instanceof javafx.scene.Group)
                .dropBy(-60, 40);
        until(() -> session.project().system().shifts().getOrDefault("strainer", 0.0) < -0.02);
        assertThat(session.project().system().item("strainer")).contains(place);
        until(() -> robot.lookup("#do-reset-drawing-position").tryQuery().isPresent());
        robot.interact(() -> node("#do-reset-drawing-position").requestFocus());
        keys(KeyCode.SPACE);
        until(() -> session.project().system().shifts().isEmpty());
        pick("r1");
        with(KeyCode.ALT, KeyCode.LEFT);
        until(() -> session.message().get().contains("it moves across, never in height"));
    }

    /** Vents of both tanks come together in one act on a tank's card, and the ledger's findings name the plenum. */
    @Test
    void ventsAreJoinedInAPlenumFromTheCard() {
        pick("upper");
        until(() -> everyText().contains("Join all vents in a plenum"));
        robot.interact(() -> robot.lookup(n ->
                        n instanceof javafx.scene.control.Button b && "Join all vents in a plenum".equals(b.getText()))
                .<javafx.scene.control.Button>queryAll()
                .iterator()
                .next()
                .fire());
        until(() -> session.project().system().all(VentPlenum.class).findAny().isPresent());
        robot.clickOn("#rail-air");
        until(() -> robot.lookup("#block-vent-plenum").tryQuery().isPresent());
        robot.interact(() -> node("#block-vent-plenum").requestFocus());
        keys(KeyCode.SPACE);
        until(() -> label("#blocked-vent-plenum").contains("flow falls below demand after"));
        control(KeyCode.Z);
        until(() -> session.project().system().all(VentPlenum.class).findAny().isEmpty());
    }

    private static FuelSystem withOutlet(FuelSystem system, String tank) {
        return ItemEdits.of(system, tank).stream()
                .filter(o -> o.label().equals("Add outlet"))
                .findFirst()
                .orElseThrow()
                .on(system);
    }

    /**
     * A hand that goes on before the answer is back: the chooser it opened stays when the answer to the edit before
     * comes.
     */
    @Test
    void aLateAnswerDoesNotCloseTheChooser() {
        focusDrawing();
        robot.interact(() -> session.picked().set("strainer"));
        robot.interact(() -> {
            session.apply(ration.record.project.Edit.of("Name it", p -> p.withName("Another")));
            // before the answer is back
            javafx.event.Event.fireEvent(
                    node("#schematic"),
                    new javafx.scene.input.KeyEvent(
                            javafx.scene.input.KeyEvent.KEY_PRESSED, "o", "o", KeyCode.O, false, false, false, false));
            assertThat(session.shown().get().project().name()).isNotEqualTo("Another");
        });
        until(() -> session.shown().get().project().name().equals("Another"));
        Hand.settle();
        assertThat(node("#chooser").isVisible()).isTrue();
        keys(KeyCode.ESCAPE);
        until(() -> !node("#chooser").isVisible());
    }
}
